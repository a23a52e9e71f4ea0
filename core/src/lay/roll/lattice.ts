import type { Point } from '../../geometry/point';
import type { LayPattern } from '../contract';
import { alongFrom, dropOf, phaseAt, rowsBetween } from '../pattern';

/** Smaller differences of a place or a phase do not count, mm. */
export const SAME_MM = 1e-6;
/** On stripes that run across the roll every place along has a line of its own: so many are searched at most, the nearest ones. */
const MOST_STRIPES = 24;

/** Where the origin of a piece in one of its turns may be for the piece to lie inside the strip. */
export interface Origins {
  readonly lowX: number;
  readonly highX: number;
  readonly lowY: number;
  readonly highY: number;
}

/** A line that holds places of a matched piece's origin: through (x, y) along the roll or across it. Where `stepMm` is above 0 only this place and every step from it count; otherwise the whole line. */
export interface LatticeLine {
  readonly x: number;
  readonly y: number;
  readonly across: boolean;
  readonly stepMm: number;
}

/** A layout's shapes on a pattern: a piece that has to match lies only where a motif falls where it should. `phase` is where along the roll a motif of the first row lies, mm. */
export class Lattice {
  /** `motifs`: of each shape, where a motif's centre has to fall about its origin; null where it need not match. */
  constructor(
    readonly pattern: LayPattern,
    private readonly motifs: readonly (Point | null)[],
  ) {}

  /** Whether a piece has to match in this shape. */
  matches(s: number): boolean {
    return Boolean(this.motifs[s]);
  }

  /** Beyond any length of the roll a matched piece finds a place within this, mm. */
  get repeatMm(): number {
    return this.pattern.alongMm;
  }

  /** The lines with places of a matched shape, those near to `nearX` if there are many. */
  lines(s: number, phase: number, { lowX, highX, lowY, highY }: Origins, nearX: number): LatticeLine[] {
    const motif = this.motifs[s];
    if (!motif) return [];
    const { alongMm, acrossMm } = this.pattern;
    if (acrossMm > 0)
      return rowsBetween(this.pattern, motif, lowY, highY)
        .map(({ row, y }) => ({ x: alongMm > 0 ? alongFrom(this.pattern, phase, motif, row, lowX) : lowX, y, across: false, stepMm: alongMm }))
        .filter(({ x }) => x <= highX + SAME_MM);
    if (alongMm <= 0) return [{ x: lowX, y: lowY, across: false, stepMm: 0 }];
    const first = alongFrom(this.pattern, phase, motif, 0, lowX);
    const count = Math.floor((highX + SAME_MM - first) / alongMm) + 1;
    const from = Math.max(0, Math.min(count - MOST_STRIPES, Math.round((nearX - first) / alongMm) - MOST_STRIPES / 2));
    return Array.from({ length: Math.max(0, Math.min(count, MOST_STRIPES)) }, (_, k) => ({
      x: first + (from + k) * alongMm,
      y: lowY,
      across: true,
      stepMm: 0,
    }));
  }

  /** The place of a matched shape nearest to a point; null where there is none inside the strip. */
  nearest(s: number, phase: number, origins: Origins, { x, y }: Point): Point | null {
    const { lowX, highX, lowY, highY } = origins;
    let best: Point | null = null;
    let least = Infinity;
    for (const line of this.lines(s, phase, origins, x)) {
      const steps = line.stepMm > 0 ? Math.max(0, Math.min(Math.floor((highX + SAME_MM - line.x) / line.stepMm), Math.round((x - line.x) / line.stepMm))) : 0;
      const at = line.across
        ? { x: line.x, y: Math.max(lowY, Math.min(highY, y)) }
        : { x: line.stepMm > 0 ? line.x + steps * line.stepMm : Math.max(lowX, Math.min(highX, x)), y: line.y };
      const away = (at.x - x) ** 2 + (at.y - y) ** 2;
      if (away < least) [best, least] = [at, away];
    }
    return best;
  }

  /** The phases at which a matched shape of these lies flush with the squared end: one a drop. `originsOf` gives a shape's origins on the strip. */
  flushPhases(originsOf: (s: number) => Origins): number[] {
    const phases: number[] = [];
    this.motifs.forEach((motif, s) => {
      if (!motif) return;
      const { lowX, lowY, highY } = originsOf(s);
      const rows = this.pattern.acrossMm > 0 ? rowsBetween(this.pattern, motif, lowY, highY) : [{ row: 0, y: lowY }];
      const drops = new Map(rows.map(({ row, y }) => [dropOf(this.pattern, row), y]));
      for (const y of drops.values()) {
        const phase = phaseAt(this.pattern, { x: lowX + motif.x, y: y + motif.y });
        if (!phases.some((one) => Math.abs(one - phase) < SAME_MM)) phases.push(phase);
      }
    });
    return phases;
  }
}
