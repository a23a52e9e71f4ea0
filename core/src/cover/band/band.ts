import type { Outline } from '../../geometry/outline';
import { stationAt } from '../../geometry/outline';
import type { SkinRun } from '../../form/skin';
import type { Figure } from '../../kernel/figure';
import type { Issue } from '../../kernel/issue';
import type { Piece } from '../../piece/piece';
import type { SeamDraft, Stretch } from '../../piece/seam';
import type { Plaque } from '../plaque/plaque';

/** A part of the boxing with the run of the seam line that it covers, mm from the band's start, and where on it that begins. */
export interface BandPart {
  readonly piece: Piece;
  readonly fromMm: number;
  readonly toMm: number;
  readonly x: number;
}

/** The band round the cushion: boxing in strips or panels, and the plaque that opens; null where the cover is closed by hand. */
export interface Band {
  /** Between the plaque's joins; of a cover closed by hand, what is left open. */
  readonly opening: Figure;
  /** What of it the core can pass. */
  readonly clear: Figure;
  readonly panels: boolean;
  readonly boxing: readonly Piece[];
  readonly plaque: Plaque | null;
  /** Pieces besides: end plackets. */
  readonly plackets: readonly Piece[];
  /** The band's edges along the top and the bottom plate: what meets their seam lines. */
  readonly topEdge: readonly Stretch[];
  readonly bottomEdge: readonly Stretch[];
  /** Seams inside the band: strips end to end, or panels at the corners. */
  readonly joins: readonly SeamDraft[];
  /** What meets at the plaque's ends. */
  readonly ends: readonly SeamDraft[];
  /** Where its pieces stand round the cushion. */
  readonly runs: readonly SkinRun[];
  /** What of the zip lies under a pocket or a placket at each of its ends, mm. */
  readonly coversMm: number;
  /** The opening's start and end, mm round the sewn outline. */
  readonly zip: { readonly startMm: number; readonly endMm: number } | null;
  /** The band's lower edge beside the opening and along it, with the same runs of the bottom plate, where it is closed by hand. */
  readonly byHand: { readonly opening: readonly Stretch[]; readonly rest: readonly Stretch[]; readonly startMm: number; readonly endMm: number } | null;
  readonly problems: readonly Issue[];
}

/** Lower edges of a band's parts over a run of it, mm from its start; a run may go over the band's own join. */
export function lowerEdges(parts: readonly BandPart[], lengthMm: number, startMm: number, endMm: number): Stretch[] {
  const runs = endMm <= lengthMm ? [[startMm, endMm] as const] : [[startMm, lengthMm] as const, [0, endMm - lengthMm] as const];
  return runs.flatMap(([from, to]) =>
    parts.flatMap(({ piece, fromMm, toMm, x }): Stretch[] => {
      const [a, b] = [Math.max(from, fromMm), Math.min(to, toMm)];
      const y = piece.sewn?.segments[0]?.from.y ?? NaN;
      return b - a > 1e-9 ? [{ piece: piece.id, from: { x: x + a - fromMm, y }, to: { x: x + b - fromMm, y } }] : [];
    }),
  );
}

/** Runs measured from a place on the rim as runs from its first point. */
export function runsFrom(runs: readonly SkinRun[], startMm: number): SkinRun[] {
  return runs.map((run) => ({ ...run, fromMm: run.fromMm + startMm, toMm: run.toMm + startMm }));
}

/** A run of a plate's own seam line as a stretch, mm round it. */
export function runOf({ id, sewn }: Piece, line: Outline, startMm: number, endMm: number): Stretch {
  return { piece: id, from: stationAt(sewn ?? line, startMm).at, to: stationAt(sewn ?? line, endMm).at };
}
