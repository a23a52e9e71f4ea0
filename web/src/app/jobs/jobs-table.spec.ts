import { TestBed } from '@angular/core/testing';
import { provideRouter } from '@angular/router';
import { of } from 'rxjs';
import { Pages } from '../shared/saving/pages';
import type { JobRow } from './job-row';
import { JobsTable } from './jobs-table';

const job = (at: number): JobRow => ({
  id: `job-${at}`,
  name: `Job ${at}`,
  customer: '',
  revision: 1,
  state: 'sewing',
  stateWords: 'sewing',
  archived: false,
  dueDate: null,
  dueWords: '',
  away: '',
  late: false,
  pieces: 1,
  cushions: 1,
  outlines: [],
  updatedAt: '2026-11-02T08:00:00.000Z',
  shapes: [],
  more: 0,
});

const LATE_FRAME_MS = 40;
const wait = (ms: number): Promise<unknown> => new Promise((done) => setTimeout(done, ms));

describe('the table of jobs', () => {
  const rows = Array.from({ length: 300 }, (_, at) => job(at));
  const pagesOf = (all: readonly JobRow[]): Pages<JobRow> => {
    const page = (from: number, most: number) => ({ rows: all.slice(from, from + most), total: all.length });
    return new Pages(page(0, 100), (from, most) => of(page(from, most)), fail);
  };

  it('shows each job once, in its own row, while it is scrolled and when jobs leave and come back', async () => {
    // On a busy machine a frame comes long after Angular has looked at what changed.
    spyOn(window, 'requestAnimationFrame').and.callFake((paint) => window.setTimeout(() => paint(performance.now()), LATE_FRAME_MS));
    TestBed.configureTestingModule({ providers: [provideRouter([])] });
    const fixture = TestBed.createComponent(JobsTable);
    fixture.componentRef.setInput('pages', pagesOf(rows));
    fixture.autoDetectChanges();
    const host = fixture.nativeElement as HTMLElement;
    host.style.cssText = 'display: flex; height: 500px';
    const viewport = host.querySelector('cdk-virtual-scroll-viewport') as HTMLElement;
    // As soon as rows come or go, each stands for one job and says so.
    const twice: string[] = [];
    const look = new MutationObserver(() => {
      const names = [...host.querySelectorAll('[data-part=name]')].map((link) => link.textContent ?? '');
      twice.push(...names.filter((name, i) => names.indexOf(name) !== i));
    });
    look.observe(host, { childList: true, subtree: true });
    // On a busy machine frames come later still: the rows are waited for, and what is there in the end is judged.
    const shown = async (wanted: (names: readonly string[]) => boolean): Promise<string[]> => {
      let names: string[] = [];
      for (let frame = 0; frame < 120; frame++) {
        await wait(LATE_FRAME_MS * 3);
        names = [...host.querySelectorAll('tbody tr')].map((row) => row.querySelector('[data-part=name]')?.textContent ?? '');
        if (wanted(names)) break;
      }
      return names;
    };
    const inARow = (names: readonly string[], all: readonly JobRow[]): void => {
      expect(names.length).toBeGreaterThan(4);
      const first = all.findIndex(({ name }) => name === names[0]);
      expect(names).toEqual(all.slice(first, first + names.length).map(({ name }) => name));
    };
    window.dispatchEvent(new Event('resize'));
    inARow(await shown((names) => names.length > 4), rows);
    for (const top of [3000, 9100, 400, 20000]) {
      viewport.scrollTop = top;
      const name = `Job ${Math.ceil(top / 76)}`;
      const names = await shown((all) => all.includes(name));
      inARow(names, rows);
      expect(names).toContain(name);
    }
    viewport.scrollTop = 0;
    // A list shorter than the screen: a row comes and goes at its end.
    const few = rows.slice(0, 5);
    const without = few.filter((_, at) => at !== 1);
    for (const all of [few, without, few, [few[3] as JobRow], few, [few[4] as JobRow], without]) {
      fixture.componentRef.setInput('pages', pagesOf(all));
      const names = await shown((there) => there.join() === all.map(({ name }) => name).join());
      expect(names).toEqual(all.map(({ name }) => name));
    }
    expect(twice).toEqual([]);
    look.disconnect();
    fixture.destroy();
  });
});
