import type { Point } from '../../geometry/point';
import type { LayPattern } from '../contract';
import { alongFrom, phaseAt, rowsBetween } from '../pattern';
import type { Arrangement, Box, Place } from './arrangement';
import { TOUCH_MM } from './forbidden';
import type { Budget } from './separate';

/** Orders in which the matched pieces are laid, the first from the largest to the smallest. */
const TRIES = 60;
/** Share of the work that goes into them at most. */
const SHARE = 0.3;
/** How far beyond the placed pieces a place is searched for, in repeats: a motif always lies within one. */
const BEYOND_REPEATS = 2;

/** A piece that has to match, with where a motif falls in each of its turns. */
export interface Matched {
  readonly piece: number;
  readonly motifs: readonly Point[];
}

interface Tried {
  readonly places: readonly (Place | null)[];
  /** Pieces that found no place: on a roll none. */
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

/** A pattern as it lies, and how far along it the pieces laid so far reach. */
interface Laying {
  readonly pattern: LayPattern;
  readonly phaseMm: number;
  readonly end: number;
}

/** Places on the pattern for one turn of a piece, those that reach least far first on each line; a line ends with the first that is clear. */
function* linesOf(all: Arrangement, { i, turn, box, motif }: InTurn, { pattern, phaseMm, end }: Laying): Generator<Point[]> {
  // A roll is searched a little beyond the placed pieces; a remnant is searched whole, because flaws may lie on its nearer motifs.
  const last = Number.isFinite(box.highX) ? box.highX : end + (BEYOND_REPEATS + 1) * pattern.alongMm - all.turned(i, turn).minX;
  const along = (row: number): number[] => {
    const first = alongFrom(pattern, phaseMm, motif, row, box.lowX);
    return Array.from({ length: Math.max(0, Math.floor((last - first) / pattern.alongMm) + 1) }, (_, k) => first + k * pattern.alongMm);
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
function firstPlace(all: Arrangement, { piece, motifs }: Matched, pattern: LayPattern, phaseMm: number, end: number): Place | null {
  let best: Place | null = null;
  let reach = Infinity;
  for (const [turn, motif] of motifs.entries()) {
    const box = all.boxOf(piece, 0, turn);
    if (!box) continue;
    const far = all.turned(piece, turn).maxX;
    for (const line of linesOf(all, { i: piece, turn, box, motif }, { pattern, phaseMm, end })) {
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

/** Where a motif of the first row lies along when a piece is flush with the squared end: in its first turn, on the lowest row it can have. */
function flushPhase(all: Arrangement, { piece, motifs }: Matched, pattern: LayPattern): number | null {
  for (const [turn, motif] of motifs.entries()) {
    const box = all.boxOf(piece, 0, turn);
    if (!box) continue;
    const y = pattern.acrossMm > 0 ? rowsBetween(pattern, motif, box.lowY, box.highY)[0]?.y : box.lowY;
    if (y !== undefined) return phaseAt(pattern, { x: box.lowX + motif.x, y: y + motif.y });
  }
  return null;
}

/** Lays all matched pieces one after another, beside those already placed. */
function inOrder(all: Arrangement, order: readonly Matched[], pattern: LayPattern, phaseMm: number, budget: Budget): Tried {
  let end = all.places.reduce((far, place, i) => (place ? Math.max(far, all.reachOf(i)) : far), 0);
  let [sum, open] = [0, 0];
  for (const matched of order) {
    budget.spend(all.bodies.length);
    const place = firstPlace(all, matched, pattern, phaseMm, end);
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

/** A pattern, and where along it a motif of the first row lies because a pinned piece or a remnant says so; null where it may be chosen. */
export interface OnPattern {
  readonly pattern: LayPattern;
  readonly knownPhaseMm: number | null;
}

interface ToMatch extends OnPattern {
  readonly matched: readonly Matched[];
}

/**
 * Lays the pieces that have to match on the pattern, round those that are pinned, in several orders, so that as many as can find a place and reach least far. On a roll each must fit on some row of motifs. Returns all places, null for what is still to be laid.
 */
export function layMatched(all: Arrangement, { matched, pattern, knownPhaseMm }: ToMatch, budget: Budget, random: () => number): readonly (Place | null)[] {
  const pinned = [...all.places];
  const least = budget.left * (1 - SHARE);
  const areaOf = ({ piece }: Matched): number => all.bodies[piece]?.areaMm2 ?? 0;
  const order = [...matched].sort((a, b) => areaOf(b) - areaOf(a));
  let best: Tried | null = null;
  let bestOrder = order;
  for (let attempt = 0; attempt < TRIES && (attempt === 0 || budget.left > least); attempt++) {
    const next = attempt === 0 ? order : exchanged(bestOrder, random);
    const leader = next[attempt % 3 === 2 ? Math.floor(random() * next.length) : 0];
    const phaseMm = knownPhaseMm ?? (leader ? flushPhase(all, leader, pattern) : null) ?? 0;
    pinned.forEach((place, i) => (all.places[i] = place));
    const tried = inOrder(all, next, pattern, phaseMm, budget);
    if (!better(tried, best)) continue;
    best = tried;
    bestOrder = next;
  }
  return best?.places ?? pinned;
}

/** The order with two pieces exchanged, now and then with one moved to the front. */
function exchanged(order: readonly Matched[], random: () => number): Matched[] {
  const next = [...order];
  const [a, b] = [Math.floor(random() * next.length), Math.floor(random() * next.length)];
  if (random() < 0.4) next.unshift(...next.splice(a, 1));
  else [next[a], next[b]] = [next[b] as Matched, next[a] as Matched];
  return next;
}
