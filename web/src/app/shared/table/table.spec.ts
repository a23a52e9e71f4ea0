import { ChangeDetectionStrategy, Component, signal } from '@angular/core';
import { TestBed, type ComponentFixture } from '@angular/core/testing';
import type { Scene } from './scene';
import { Table, type Edit, type Move } from './table';

const box = [
  { x: 0, y: 0 },
  { x: 600, y: 0 },
  { x: 600, y: 400 },
  { x: 0, y: 400 },
];

@Component({
  selector: 'yl-host',
  imports: [Table],
  template: `<div [style.width.px]="900" [style.height.px]="640" [style.display]="'grid'">
    <yl-table
      [scene]="scene()"
      units="metric"
      [step]="{ mm: 5, inch: 0.125 }"
      [picked]="picked()"
      (pick)="picked.set($event)"
      (edit)="edits.push($event)"
      (dragging)="drags.push($event)"
      (dragged)="drops.push($event)"
      (moving)="moves.push($event)"
      (moved)="moved.push($event)"
      (held)="held.push($event)"
    />
  </div>`,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
class Host {
  readonly picked = signal<string | null>(null);
  readonly edits: Edit[] = [];
  readonly drags: (Edit | null)[] = [];
  readonly drops: Edit[] = [];
  readonly moves: (Move | null)[] = [];
  readonly moved: Move[] = [];
  readonly held: string[] = [];
  readonly scene = signal<Scene>({
    title: 'A plate',
    fit: 'one',
    items: [
      { kind: 'area', key: 'plate', shape: box, look: 'piece', pick: 'the plate' },
      { kind: 'dim', key: 'widthMm', name: 'width', side: 'below', from: { x: 0, y: 0 }, to: { x: 600, y: 0 }, mm: 600, edit: { minMm: 20, maxMm: 900 } },
      { kind: 'knob', key: 'point-2', at: { x: 600, y: 400 }, name: 'Point 3', look: 'corner' },
      { kind: 'handle', key: 'widthMm', axis: 'x', at: { x: 600, y: 200 }, mm: 600, perMm: 1, minMm: 20, maxMm: 700, name: 'Drag the width' },
    ],
  });
}

describe('the table', () => {
  let fixture: ComponentFixture<Host>;
  let root: HTMLElement;
  const find = <T extends Element>(selector: string): T => root.querySelector<T>(selector) as T;
  const path = (): string => find('[data-look=piece]').getAttribute('d') ?? '';

  beforeEach(async () => {
    fixture = TestBed.createComponent(Host);
    root = fixture.nativeElement as HTMLElement;
    document.body.append(root);
    await fixture.whenStable();
    await new Promise((resolve) => setTimeout(resolve, 50));
    await fixture.whenStable();
  });
  afterEach(() => root.remove());

  const pointer = (target: Element, type: string, x: number, y: number): void => {
    target.dispatchEvent(new PointerEvent(type, { bubbles: true, pointerId: 1, button: 0, clientX: x, clientY: y }));
  };

  it('drags a grip in the shop’s steps, within its limits, and drops it once', async () => {
    const svg = find<SVGSVGElement>('svg[role=group]');
    spyOn(svg, 'setPointerCapture');
    const grip = find('.handle').getBoundingClientRect();
    const [x, y] = [grip.left + grip.width / 2, grip.top + grip.height / 2];
    pointer(find('.handle'), 'pointerdown', x, y);
    pointer(svg, 'pointermove', x + 20, y);
    pointer(svg, 'pointermove', x + 600, y);
    pointer(svg, 'pointerup', x + 600, y);
    await fixture.whenStable();
    const { drags, drops } = fixture.componentInstance;
    expect(drags.length).toBe(2);
    expect(drags.every((edit) => edit !== null && edit.mm % 5 === 0)).toBeTrue();
    expect(drops).toEqual([{ key: 'widthMm', mm: 700 }]);
  });

  it('gives a drag up when it ends where it began', () => {
    const svg = find<SVGSVGElement>('svg[role=group]');
    spyOn(svg, 'setPointerCapture');
    pointer(find('.handle'), 'pointerdown', 300, 300);
    pointer(svg, 'pointerup', 300, 300);
    expect([fixture.componentInstance.drags, fixture.componentInstance.drops]).toEqual([[null], []]);
  });

  it('nudges by keyboard', () => {
    find('.handle').dispatchEvent(new KeyboardEvent('keydown', { key: 'ArrowRight', bubbles: true }));
    find('.handle').dispatchEvent(new KeyboardEvent('keydown', { key: 'ArrowDown', bubbles: true }));
    expect(fixture.componentInstance.drops).toEqual([
      { key: 'widthMm', mm: 605 },
      { key: 'widthMm', mm: 595 },
    ]);
  });

  it('takes a size typed onto the drawing, within its limits', async () => {
    find<HTMLButtonElement>('[data-part=dim] button').click();
    await fixture.whenStable();
    const input = find<HTMLInputElement>('[data-part=dim] input');
    const type = (text: string): void => {
      input.value = text;
      input.dispatchEvent(new Event('input'));
      fixture.detectChanges();
      input.dispatchEvent(new KeyboardEvent('keydown', { key: 'Enter' }));
    };
    type('901');
    expect(fixture.componentInstance.edits).toEqual([]);
    type('24 in');
    expect(fixture.componentInstance.edits).toEqual([{ key: 'widthMm', mm: 24 * 25.4 }]);
  });

  it('picks by pointer and key', async () => {
    const piece = find('path[role=button]');
    piece.dispatchEvent(new MouseEvent('click', { bubbles: true }));
    expect(fixture.componentInstance.picked()).toBe('plate');
    await fixture.whenStable();
    expect(piece.getAttribute('aria-pressed')).toBe('true');
    fixture.componentInstance.picked.set(null);
    piece.dispatchEvent(new KeyboardEvent('keydown', { key: 'Enter' }));
    expect(fixture.componentInstance.picked()).toBe('plate');
  });

  it('zooms and pans by keyboard, fits again, and fits anew when the thing is another', async () => {
    const svg = find('svg[role=group]');
    const press = async (key: string): Promise<void> => {
      svg.dispatchEvent(new KeyboardEvent('keydown', { key }));
      await fixture.whenStable();
    };
    const fitted = path();
    await press('+');
    const near = path();
    expect(near).not.toBe(fitted);
    await press('ArrowLeft');
    expect(path()).not.toBe(near);
    await press('0');
    expect(path()).toBe(fitted);
    await press('-');
    fixture.componentInstance.scene.update((scene) => ({ ...scene, fit: 'two' }));
    await fixture.whenStable();
    expect(path()).toBe(fitted);
  });

  it('carries a knob freely: a tremble is no move, a drag is told as it goes, a key is a step', async () => {
    const knob = find<SVGGElement>('.knob');
    const paper = find<SVGSVGElement>('svg[role=group]');
    // No real pointer stands behind a made event.
    paper.setPointerCapture = () => undefined;
    const at = (type: string, x: number, y: number): PointerEvent => new PointerEvent(type, { pointerId: 7, clientX: x, clientY: y, button: 0, bubbles: true });
    const { heard, scale } = { heard: fixture.componentInstance, scale: () => Number(/L([\d.]+) /.exec(path())?.[1] ?? 0) };
    expect(scale()).toBeGreaterThan(0);
    knob.dispatchEvent(at('pointerdown', 300, 300));
    paper.dispatchEvent(at('pointermove', 301, 301));
    paper.dispatchEvent(at('pointerup', 301, 301));
    expect([heard.held, heard.moves, heard.moved]).toEqual([['point-2'], [null], []]);
    knob.dispatchEvent(at('pointerdown', 300, 300));
    paper.dispatchEvent(at('pointermove', 340, 280));
    paper.dispatchEvent(at('pointerup', 340, 280));
    await fixture.whenStable();
    const [last] = heard.moved;
    // Right and up on the screen is right and back on the seat.
    expect(last?.key).toBe('point-2');
    expect(last!.to.x).toBeGreaterThan(600);
    expect(last!.to.y).toBeGreaterThan(400);
    expect((last!.to.x - 600) / (last!.to.y - 400)).toBeCloseTo(2, 6);
    knob.dispatchEvent(new KeyboardEvent('keydown', { key: 'ArrowLeft', bubbles: true }));
    knob.dispatchEvent(new KeyboardEvent('keydown', { key: 'ArrowDown', shiftKey: true, bubbles: true }));
    expect(heard.moved.slice(1).map((move) => move.to)).toEqual([
      { x: 595, y: 400 },
      { x: 600, y: 350 },
    ]);
  });
});
