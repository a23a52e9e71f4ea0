import type { Point } from '../../geometry/point';
import type { LayPattern } from '../contract';
import { alongFrom, rowsBetween } from '../pattern';
import { exchanged } from '../roll/one-by-one';
import type { Arrangement, Box, Place } from './arrangement';
import { TOUCH_MM } from './forbidden';
import type { Budget } from './separate';

/** Orders in which the matched pieces are laid, the first from the largest to the smallest. */
const TRIES = 60;
/** Share of the work that goes into them at most. */
const SHARE = 0.3;

/** A piece that has to match, with where a motif falls in each of its turns. */
export interface Matched {
  readonly piece: number;
  readonly motifs: readonly Point[];
}

interface Tried {
  readonly places: readonly (Place | null)[];
  /** Pieces that found no place. */
  readonly open: number;
  readonly end: number;
  readonly sum: number;
}

/** Candidate places along one line: the ends of the regions of placed pieces. */
function ends(all: Arrangement, i: number, turn: number, at: number, upright: boolean): number[] {
  return all.places.flatMap((other, j) => {
    if (!other || j === i) return [];
    const here = at - (upright ? other.x : other.y);
    return (all.hindrance(j, i, turn)?.regions ?? []).flatMap((region) => {
      const [low, high] = upright ? [region.minX, region.maxX] : [region.minY, region.maxY];
      if (here <= low || here >= high) return [];
      return [(upright ? other.y : other.x) + (upright ? region.upperAt(here) : region.rightAt(here))];
    });
  });
}

/** A piece in one of its turns: where its origin may be, and where from it its motif lies. */
interface InTurn {
  readonly i: number;
  readonly turn: number;
  readonly box: Box;
  readonly motif: Point;
}

/** A remnant's pattern, and where along it a motif of the first row lies. */
export interface OnPattern {
  readonly pattern: LayPattern;
  readonly phaseMm: number;
}

/** Places on the pattern for one turn of a piece, those that reach least far first on each line; a line ends with the first that is clear. */
function* linesOf(all: Arrangement, { i, turn, box, motif }: InTurn, { pattern, phaseMm }: OnPattern): Generator<Point[]> {
  const along = (row: number): number[] => {
    const first = alongFrom(pattern, phaseMm, motif, row, box.lowX);
    return Array.from({ length: Math.max(0, Math.floor((box.highX - first) / pattern.alongMm) + 1) }, (_, k) => first + k * pattern.alongMm);
  };
  if (pattern.acrossMm > 0) {
    for (const { row, y } of rowsBetween(pattern, motif, box.lowY, box.highY)) {
      const xs = pattern.alongMm > 0 ? along(row) : [box.lowX, ...ends(all, i, turn, y, false)].sort((a, b) => a - b);
      yield xs.map((x) => ({ x, y }));
    }
    return;
  }
  for (const x of along(0)) yield [box.lowY, ...ends(all, i, turn, x, true)].sort((a, b) => a - b).map((y) => ({ x, y }));
}

/** The place on the pattern that reaches least far, in any turn; null when there is none. */
function firstPlace(all: Arrangement, { piece, motifs }: Matched, on: OnPattern): Place | null {
  let best: Place | null = null;
  let reach = Infinity;
  for (const [turn, motif] of motifs.entries()) {
    const box = all.boxOf(piece, 0, turn);
    if (!box) continue;
    const far = all.turned(piece, turn).maxX;
    for (const line of linesOf(all, { i: piece, turn, box, motif }, on)) {
      for (const { x, y } of line) {
        if (x + far >= reach - TOUCH_MM) break;
        if (x < box.lowX - TOUCH_MM || x > box.highX + TOUCH_MM || y < box.lowY - TOUCH_MM || y > box.highY + TOUCH_MM) continue;
        all.places[piece] = { panel: 0, turn, x, y };
        if (all.costOf(piece) > 0) continue;
        best = { panel: 0, turn, x, y };
        reach = x + far;
        break;
      }
    }
  }
  all.places[piece] = null;
  return best;
}

/** Lays all matched pieces one after another, beside those already placed. */
function inOrder(all: Arrangement, order: readonly Matched[], on: OnPattern, budget: Budget): Tried {
  let end = all.places.reduce((far, place, i) => (place ? Math.max(far, all.reachOf(i)) : far), 0);
  let [sum, open] = [0, 0];
  for (const matched of order) {
    budget.spend(all.bodies.length);
    const place = firstPlace(all, matched, on);
    all.places[matched.piece] = place;
    if (!place) {
      open++;
      continue;
    }
    const reach = all.reachOf(matched.piece);
    end = Math.max(end, reach);
    sum += reach;
  }
  return { places: [...all.places], open, end, sum };
}

const better = (a: Tried, b: Tried | null): boolean =>
  !b || a.open < b.open || (a.open === b.open && (a.end < b.end - TOUCH_MM || (a.end < b.end + TOUCH_MM && a.sum < b.sum)));

/**
 * Lays the pieces that have to match on a remnant's pattern, round those that are pinned, in several orders, so that as many as can find a place and reach least far. Returns all places,
 * null for what is still to be laid.
 */
export function layMatched(all: Arrangement, matched: readonly Matched[], on: OnPattern, budget: Budget, random: () => number): readonly (Place | null)[] {
  const pinned = [...all.places];
  const least = budget.left * (1 - SHARE);
  const areaOf = ({ piece }: Matched): number => all.bodies[piece]?.areaMm2 ?? 0;
  const order = [...matched].sort((a, b) => areaOf(b) - areaOf(a));
  let best: Tried | null = null;
  let bestOrder = order;
  for (let attempt = 0; attempt < TRIES && (attempt === 0 || budget.left > least); attempt++) {
    const next = attempt === 0 ? order : exchanged(bestOrder, random);
    pinned.forEach((place, i) => (all.places[i] = place));
    const tried = inOrder(all, next, on, budget);
    if (!better(tried, best)) continue;
    best = tried;
    bestOrder = next;
  }
  return best?.places ?? pinned;
}
