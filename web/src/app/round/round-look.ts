import { computed, Injectable, signal } from '@angular/core';

/** A view by its name: turned about the upright and from how far above the level, degrees. */
export const VIEWS = [
  { value: 'usual', name: 'From the corner', turnDeg: 32, aboveDeg: 28 },
  { value: 'front', name: 'Front', turnDeg: 0, aboveDeg: 8 },
  { value: 'side', name: 'Side', turnDeg: 90, aboveDeg: 8 },
  { value: 'back', name: 'Back', turnDeg: 180, aboveDeg: 12 },
  { value: 'above', name: 'Above', turnDeg: 0, aboveDeg: 89 },
  { value: 'under', name: 'Underneath', turnDeg: 0, aboveDeg: -60 },
] as const;
export type ViewName = (typeof VIEWS)[number]['value'];

/** Where the cushion is cut open: not at all, across its middle or from front to back. */
export type CutWay = 'none' | 'across' | 'deep';

/** What can be taken away of a cushion in the round. */
export interface Takeable {
  gltf(): string | null;
  png(): Promise<Blob | null>;
}

const STEEPEST_DEG = 89;
const [FIRST] = VIEWS;

/** How a cushion in the round is looked at. One look may be shared by several cushions side by side, which then turn together. */
@Injectable()
export class RoundLook {
  readonly turnDeg = signal<number>(FIRST.turnDeg);
  readonly aboveDeg = signal<number>(FIRST.aboveDeg);
  /** 1 as it fits the picture; more is nearer. */
  readonly nearness = signal(1);
  readonly chalk = signal(false);
  readonly cutWay = signal<CutWay>('none');
  /** Where the cut goes through, as a share of the cushion. */
  readonly cutAt = signal(0.5);
  /** 1: put together; 0: every part by itself. */
  readonly together = signal(1);
  /** Who sits on it, by their place in the list; null for nobody. */
  readonly sitter = signal<number | null>(null);
  /** The view whose files are taken away: the one made last. */
  readonly shownBy = signal<Takeable | null>(null);
  /** That the browser has no WebGL is said once. */
  readonly withoutGlSaid = signal(false);
  /** The view that it is in, where it is exactly one of those with a name. */
  readonly view = computed<ViewName | ''>(() => VIEWS.find((one) => one.turnDeg === this.turnDeg() && one.aboveDeg === this.aboveDeg())?.value ?? '');

  show(name: ViewName): void {
    const view = VIEWS.find(({ value }) => value === name) ?? FIRST;
    this.turnDeg.set(view.turnDeg);
    this.aboveDeg.set(view.aboveDeg);
  }

  /** Turned further, to the right and upwards, degrees. */
  turn(rightDeg: number, upDeg: number): void {
    this.turnDeg.update((deg) => (((deg + rightDeg) % 360) + 360) % 360);
    this.aboveDeg.update((deg) => Math.max(-STEEPEST_DEG, Math.min(STEEPEST_DEG, deg + upDeg)));
  }

  near(by: number): void {
    this.nearness.update((now) => Math.max(0.5, Math.min(4, now * by)));
  }
}
