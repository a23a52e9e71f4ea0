import { afterNextRender, ChangeDetectionStrategy, Component, computed, ElementRef, inject, linkedSignal } from '@angular/core';
import { LucideMinus, LucidePlus, LucideTriangleAlert } from '@lucide/angular';
import { bounds, flatten, formatLength, pieceLabel, SEAM_WORDS, stepsOf, type Phase, type Piece, type Step } from '@yardland/core';
import { JobStore } from '../job/job-store';
import { boxArea, notchItems } from '../shared/table/cushion-scene';
import { shifted, type Scene, type SceneItem } from '../shared/table/scene';
import { Table } from '../shared/table/table';

const PHASE_WORDS: Record<Phase, string> = { cut: 'Cut', prepare: 'Prepare the core', sew: 'Sew', fill: 'Fill and dress' };

/** The work order: what is done on how many, the pieces of the step in hand lit up. */
@Component({
  selector: 'yl-bench-station',
  imports: [Table, LucideTriangleAlert, LucidePlus, LucideMinus],
  templateUrl: './bench-station.html',
  host: { class: 'station' },
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class BenchStation {
  protected readonly store = inject(JobStore);
  readonly #steps = computed(() => {
    const one = this.store.cushionPlan();
    return one ? stepsOf(one) : [];
  });
  protected readonly quantity = computed(() => this.store.cushion()?.quantity ?? 1);
  protected readonly phases = computed(() =>
    (['cut', 'prepare', 'sew', 'fill'] as const)
      .map((phase) => ({ phase, name: PHASE_WORDS[phase], steps: this.#steps().filter((step) => step.phase === phase) }))
      .filter(({ steps }) => steps.length),
  );
  protected readonly left = computed(() => this.#steps().filter((step) => this.done(step) < this.quantity()).length);
  protected readonly total = computed(() => this.#steps().length);
  /** The step in hand: the first that is not done, unless another is pointed at. */
  protected readonly here = linkedSignal(() => this.#steps().find((step) => this.done(step) < this.quantity())?.id ?? this.#steps()[0]?.id ?? '');

  protected readonly scene = computed<Scene>(() => {
    const one = this.store.cushionPlan();
    const step = this.#steps().find((each) => each.id === this.here());
    const fit = `bench ${this.store.cushionIndex()} ${this.here()}`;
    if (!one?.sizes || !step) return { title: 'Bench', fit, items: [] };
    const seam = one.sizes.seam.value;
    const pieces = one.pieces.filter((piece) => step.lit.includes(piece.role));
    const widest = Math.max(...one.pieces.filter((piece) => piece.role === 'plate').map((piece) => piece.width.value), 200);
    const items: SceneItem[] = [];
    let y = 0;
    for (const piece of pieces) {
      const drawn = litPiece(piece, y, widest, seam, step);
      items.push(...drawn.items);
      y = drawn.bottom - widest * 0.14;
    }
    const seamWords = step.seam === null ? '' : `; seam: ${SEAM_WORDS[step.seam]}`;
    return { title: `Pieces of this step: ${pieces.map(pieceLabel).join(', ')}${seamWords}`, fit, room: { left: 30, right: 30, top: 70, bottom: 30 }, items };
  });

  constructor() {
    const host = inject<ElementRef<HTMLElement>>(ElementRef).nativeElement;
    afterNextRender(() => {
      // Only the list itself is scrolled: scrolling into view would move the whole page with it.
      const [list, step] = [host.querySelector<HTMLElement>('.sheet .sheet'), host.querySelector<HTMLElement>('.step.here')];
      if (list && step) list.scrollTop += step.getBoundingClientRect().top - list.getBoundingClientRect().top - list.clientHeight / 3;
    });
  }

  protected done(step: Step): number {
    return Math.min(this.quantity(), this.store.cushion()?.bench?.done[step.id]?.count ?? 0);
  }

  protected words(step: Step): string {
    const { units, step: shopStep } = this.store.inWords();
    return step.what.replace(/\{(\d+)\}/g, (_, i: string) => formatLength(step.figures[Number(i)]?.value ?? 0, units, shopStep));
  }

  protected setDone(step: Step, count: number): void {
    const done = Math.max(0, Math.min(this.quantity(), count));
    this.store.editCushion(`${PHASE_WORDS[step.phase]}: ${done} of ${this.quantity()}`, (cushion) => {
      const { [step.id]: _before, ...rest } = cushion.bench?.done ?? {};
      return { ...cushion, bench: { done: done > 0 ? { ...rest, [step.id]: { count: done } } : rest } };
    });
  }

  protected tick(step: Step): void {
    this.setDone(step, this.done(step) >= this.quantity() ? 0 : this.quantity());
  }

  protected point(step: Step): void {
    this.here.set(step.id);
  }
}

/** One piece of a step, its seam line lit where the step sews it; long strips drawn with a break. */
function litPiece(piece: Piece, top: number, widest: number, seam: number, step: Step): { items: SceneItem[]; bottom: number } {
  const box = bounds(flatten(piece.outline));
  const height = box.maxY - box.minY;
  const y = top - height;
  const label: SceneItem = { kind: 'note', key: `${piece.id}-words`, at: { x: 0, y: top }, dy: -6, text: `${piece.countPerCushion} × ${pieceLabel(piece)}` };
  const look = piece.role === 'foam' ? 'foam' : piece.material === 'wadding' ? 'wrap' : piece.grain === 'bias' ? 'bias' : 'piece';
  if (box.maxX - box.minX > widest * 1.02 && !piece.sewn) {
    return {
      items: [boxArea(piece.id, 0, y, widest * 0.47, height, look), boxArea(`${piece.id}-far`, widest * 0.53, y, widest * 0.47, height, look), label],
      bottom: y,
    };
  }
  const sewn: SceneItem[] = piece.sewn
    ? [{ kind: 'area', key: `${piece.id}-sewn`, shape: shifted(piece.sewn, -box.minX, y - box.minY), look: step.seam ? 'finished' : 'sew' }]
    : [];
  return {
    items: [
      { kind: 'area', key: piece.id, shape: shifted(piece.outline, -box.minX, y - box.minY), look },
      ...sewn,
      ...notchItems(piece, seam, piece.id, -box.minX, y - box.minY),
      label,
    ],
    bottom: y,
  };
}
