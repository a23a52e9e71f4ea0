import { TestBed, type ComponentFixture } from '@angular/core/testing';
import { solve } from '@yardland/core';
import { boxesJob, openedStore, stallsJob } from '../testing/opened-job';
import type { JobStore } from './job-store';
import { Ticket } from './ticket';

describe('the ticket', () => {
  let fixture: ComponentFixture<Ticket>;
  let store: JobStore;
  const root = (): HTMLElement => fixture.nativeElement as HTMLElement;
  const text = (selector: string): string[] => Array.from(root().querySelectorAll(selector), (one) => one.textContent?.replace(/\s+/g, ' ').trim() ?? '');
  const show = async (job = boxesJob): Promise<void> => {
    ({ store } = openedStore(job));
    fixture = TestBed.createComponent(Ticket);
    await fixture.whenStable();
  };

  it('shows the four sizes, the pieces and what one cushion takes', async () => {
    await show();
    expect(text('[data-part=sizes] tbody th')).toEqual(['Seat', 'Finished', 'Core', 'Cut, plate']);
    expect(text('[data-part=sizes] tbody tr:last-child .sr-only')).toEqual(['20 3/4 inches', '18 inches']);
    expect(text('[data-part=pieces] [data-part=piece-row]')[0]).toContain('plate');
    expect(text('[aria-label="Zip, cord and thread for one"] [data-part=piece-row]')).toContain('Zip tape30 in');
    expect(text('h2')).toEqual(['Box seat']);
    // No weight and no sitter is ever printed here.
    expect(root().textContent).not.toMatch(/sitter|heavy|slight|kg\b/);
  });

  it('opens the why of one number at a time', async () => {
    await show();
    const [first, second] = Array.from(root().querySelectorAll<HTMLButtonElement>('[data-part=sizes] [ylFigure]')).slice(-2);
    first?.click();
    await fixture.whenStable();
    expect(text('yl-why')[0]).toContain('+ 2 × 1/2 seam = 20 3/4 cut');
    second?.click();
    await fixture.whenStable();
    expect(root().querySelectorAll('yl-why').length).toBe(1);
    second?.click();
    await fixture.whenStable();
    expect(root().querySelectorAll('yl-why').length).toBe(0);
  });

  it('says that a length is being worked out, then what to buy, with its why', async () => {
    await show();
    expect(text('[data-part=buy] .working').length).toBeGreaterThan(0);
    for (const { hash, request } of store.plan()?.wanted ?? []) store.planned.addAnswer(hash, solve(request));
    await fixture.whenStable();
    expect(text('[data-part=buy] .working')).toEqual([]);
    expect(text('[data-part=buy] tr')[0]).toMatch(/^Moss velvet \d+( \d\/\d)? yd$/);
    root().querySelector<HTMLButtonElement>('[data-part=buy] [ylFigure]')?.click();
    await fixture.whenStable();
    expect(text('[data-part=buy-why]')[0]).toContain('up to the next quarter yard');
  });

  it('says problems with what to do, linked to where they are mended', async () => {
    await show({ ...stallsJob, cloth: { ...stallsJob.cloth, railroaded: false } });
    expect(text('[data-part=problem]').join(' ')).toContain(
      'The plate is 1 706 mm across and the cloth gives 1 380 mm. Railroad the cloth, have wide plates made of a middle and two sides, under Cover, or take a wider cloth.',
    );
    const links = Array.from(root().querySelectorAll<HTMLAnchorElement>('.problem'), (one) => one.getAttribute('href'));
    expect(links.every((href) => href?.endsWith('/1/cover'))).toBeTrue();
    store.edit('How the cloth lies', (job) => ({ ...job, cloth: { ...job.cloth, railroaded: true } }));
    await fixture.whenStable();
    expect(text('[data-part=problem]')).toEqual([]);
  });

  it('follows the cushion in hand and the units shown', async () => {
    await show();
    store.select(1);
    store.flipUnits();
    await fixture.whenStable();
    expect(text('h2')).toEqual(['Conductor’s stool pad']);
    expect(text('[data-part=sizes] tbody tr:first-child .sr-only')).toEqual(['406 millimetres', '381 millimetres']);
  });
});
