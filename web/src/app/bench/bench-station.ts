import { afterNextRender, ChangeDetectionStrategy, Component, computed, ElementRef, inject, linkedSignal } from '@angular/core';
import { Icon } from '../shared/icon';
import { bounds, changedSince, filled, flatten, formatLength, PHASES, sizesAt, type Operation, type Phase, type Piece } from '@yardland/core';
import { JobStore } from '../job/job-store';
import { boxArea, notchItems } from '../shared/table/cushion-scene';
import { shifted, type Look, type Scene, type SceneItem } from '../shared/table/scene';
import { Table } from '../shared/table/table';
import { StationFrame, Tool, Words } from '../shared/ui/ui';

const PHASE_WORDS: Record<Phase, string> = { cut: 'Cut', prepare: 'Prepare the core', sew: 'Sew', fill: 'Fill and dress', fix: 'Fix' };

/** The work order: what is done on how many, the pieces of the step in hand lit up. */
@Component({
  selector: 'yl-bench-station',
  imports: [Words, Tool, Table, Icon],
  templateUrl: './bench-station.html',
  hostDirectives: [StationFrame],
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class BenchStation {
  protected readonly store = inject(JobStore);
  readonly #steps = computed<readonly Operation[]>(() => this.store.cushionPlan()?.operations ?? []);
  protected readonly quantity = computed(() => this.store.cushion()?.quantity ?? 1);
  protected readonly phases = computed(() =>
    PHASES.map((phase) => ({
      phase,
      name: PHASE_WORDS[phase],
      steps: this.#steps().filter((step) => step.phase === phase),
    })).filter(({ steps }) => steps.length),
  );
  protected readonly left = computed(() => this.#steps().filter((step) => this.done(step) < this.quantity()).length);
  protected readonly total = computed(() => this.#steps().length);
  /** The step in hand: the first that is not done, unless another is pointed at. */
  protected readonly here = linkedSignal(() => this.#steps().find((step) => this.done(step) < this.quantity())?.id ?? this.#steps()[0]?.id ?? '');

  protected readonly scene = computed<Scene>(() => {
    const one = this.store.cushionPlan();
    const step = this.#steps().find((each) => each.id === this.here());
    const fit = `bench ${this.store.cushionIndex()} ${this.here()}`;
    if (one?.state !== 'planned' || !step) return { title: 'Bench', fit, items: [] };
    const pieces = one.pieces.filter((piece) => step.pieces.includes(piece.id));
    const widest = Math.max(one.sizes.cut.width.value, 200);
    const items: SceneItem[] = [];
    let y = 0;
    for (const piece of pieces) {
      const drawn = litPiece(piece, y, widest, one.sizes.seam.value, step.seams.length > 0);
      items.push(...drawn.items);
      y = drawn.bottom - widest * 0.14;
    }
    const seams = one.cover.seams.filter(({ id }) => step.seams.includes(id)).map(({ words }) => words);
    const seamWords = seams.length ? `; ${seams.length === 1 ? 'seam' : 'seams'}: ${seams.join(', ')}` : '';
    return {
      title: `Pieces of this step: ${pieces.map(({ label }) => label).join(', ')}${seamWords}`,
      fit,
      room: { left: 30, right: 30, top: 70, bottom: 30 },
      items,
    };
  });

  constructor() {
    const host = inject<ElementRef<HTMLElement>>(ElementRef).nativeElement;
    afterNextRender(() => {
      // Only the list itself is scrolled: scrolling into view would move the whole page with it.
      const [list, step] = [host.querySelector<HTMLElement>('.sheet .sheet'), host.querySelector<HTMLElement>('.step.here')];
      if (list && step) list.scrollTop += step.getBoundingClientRect().top - list.getBoundingClientRect().top - list.clientHeight / 3;
    });
  }

  protected done(step: Operation): number {
    return Math.min(this.quantity(), this.store.cushion()?.bench?.done[step.id]?.count ?? 0);
  }

  protected words({ text, figures }: Operation): string {
    const { units, step } = this.store.inWords();
    return filled(text, figures, units, step);
  }

  protected setDone(step: Operation, count: number): void {
    const done = Math.max(0, Math.min(this.quantity(), count));
    const sizes = sizesAt(step, this.store.cushionPlan()?.pieces ?? []);
    this.store.editCushion(`${PHASE_WORDS[step.phase]}: ${done} of ${this.quantity()}`, (cushion) => {
      const { [step.id]: _before, ...rest } = cushion.bench?.done ?? {};
      return { ...cushion, bench: { done: done > 0 ? { ...rest, [step.id]: { count: done, sizes } } : rest } };
    });
  }

  /** What has changed since the step was ticked, in words: the pieces in hand then have other sizes now, or are gone. */
  protected changed(step: Operation): string[] {
    const { units, step: shopStep } = this.store.inWords();
    const size = (pair: readonly [number, number]): string => pair.map((mm) => formatLength(mm, units, shopStep)).join(' × ');
    return changedSince(this.store.cushion()?.bench?.done[step.id], this.store.cushionPlan()?.pieces ?? []).map(({ label, then, now }) =>
      now ? `${label} was ${size(then)} when this was ticked; it is ${size(now)} now.` : `${label}, ${size(then)}, was done here and is no longer in the plan.`,
    );
  }

  /** Steps that were ticked and that the plan no longer has. */
  protected readonly gone = computed(() => {
    const now = new Set(this.#steps().map(({ id }) => id));
    return Object.entries(this.store.cushion()?.bench?.done ?? {}).flatMap(([id, { count }]) =>
      now.has(id) ? [] : [{ id, words: id.replaceAll('-', ' '), count }],
    );
  });

  protected forget(id: string): void {
    this.store.editCushion('Tick of a step that is gone', (cushion) => {
      const { [id]: _gone, ...rest } = cushion.bench?.done ?? {};
      return { ...cushion, bench: { done: rest } };
    });
  }

  protected tick(step: Operation): void {
    this.setDone(step, this.done(step) >= this.quantity() ? 0 : this.quantity());
  }

  protected point(step: Operation): void {
    this.here.set(step.id);
  }
}

/** What a piece is drawn as: foam, wadding, cloth on the bias, cloth. */
function pieceLook({ material, grain }: Piece): Look {
  if (material.kind === 'wadding') return 'wrap';
  if (material.kind !== 'cloth') return 'foam';
  return grain === 'bias' ? 'bias' : 'piece';
}

/** One piece of a step, its seam line lit where the step sews it; long strips drawn with a break. */
function litPiece(piece: Piece, top: number, widest: number, seam: number, sewing: boolean): { items: SceneItem[]; bottom: number } {
  const box = bounds(flatten(piece.outline));
  const height = box.maxY - box.minY;
  const y = top - height;
  const label: SceneItem = { kind: 'note', key: `${piece.id}-words`, at: { x: 0, y: top }, dy: -6, text: `${piece.countPerCushion} × ${piece.label}` };
  const look = pieceLook(piece);
  if (box.maxX - box.minX > widest * 1.6) {
    return {
      items: [boxArea(piece.id, 0, y, widest * 0.47, height, look), boxArea(`${piece.id}-far`, widest * 0.53, y, widest * 0.47, height, look), label],
      bottom: y,
    };
  }
  const sewn: SceneItem[] = piece.sewn
    ? [{ kind: 'area', key: `${piece.id}-sewn`, shape: shifted(piece.sewn, -box.minX, y - box.minY), look: sewing ? 'finished' : 'sew' }]
    : [];
  return {
    items: [
      { kind: 'area', key: piece.id, shape: shifted(piece.outline, -box.minX, y - box.minY), look },
      ...(piece.holes ?? []).map((hole, i): SceneItem => ({
        kind: 'area',
        key: `${piece.id}-hole-${i}`,
        shape: shifted(hole, -box.minX, y - box.minY),
        look: 'cut',
      })),
      ...sewn,
      ...notchItems(piece, seam, piece.id, -box.minX, y - box.minY),
      label,
    ],
    bottom: y,
  };
}
