import { apartOn } from '../../geometry/around';
import { inArcs } from '../../geometry/biarc';
import { perimeter, stationAt, type Outline } from '../../geometry/outline';
import type { Point } from '../../geometry/point';
import { segmentLength } from '../../geometry/segment';
import type { Pleats, Staple, StaplePlan } from '../../piece/staples';
import { given } from '../../kernel/figure';
import type { Constants } from '../../shop/assumptions';
import type { Closing } from '../contract';
import { offsetOrNull } from '../band/ring';
import { smooth } from '../plate/plate';
import { FACES_FRONT, sidesBetweenCorners, type Side } from './sides';

/** The sides of a line, those facing each other one after the other: front, back, then the others. */
function facingPairs(line: Outline): Side[] {
  // 0 is the front and 180 the back: what is nearest to either comes first, the front before the back.
  const rank = ({ facing }: Side): number => Math.min(facing, 180 - facing) + (facing > 90 ? 1 : 0);
  return sidesBetweenCorners(line).sort((a, b) => rank(a) - rank(b));
}

/** Indices 1 … count − 1 in the order in which gaps are halved: the middle first; each with its round. */
function halving(count: number): { readonly index: number; readonly round: number }[] {
  const found: { index: number; round: number }[] = [];
  let gaps: (readonly [number, number])[] = [[0, count]];
  for (let round = 1; gaps.length; round++) {
    const next: (readonly [number, number])[] = [];
    for (const [from, to] of gaps) {
      if (to - from < 2) continue;
      const index = Math.floor((from + to) / 2);
      found.push({ index, round });
      next.push([from, index], [index, to]);
    }
    gaps = next;
  }
  return found;
}

/** One staple of a line before it is numbered. */
interface Place {
  readonly at: Point;
  readonly turn: number;
  /** Its side's place among the sides. */
  readonly side: number;
  /** For a staple beside a corner: when its corner's turn comes. Null elsewhere. */
  readonly corner: number | null;
}

/** When the staples at a corner are set: front corners first, back corners last; at each the side before the front, or before the back. */
function cornerTurn(own: Side, other: Side | undefined): number {
  const facings = [own.facing, other?.facing ?? 90];
  const behind = Math.max(...facings) > 180 - FACES_FRONT && Math.min(...facings) > FACES_FRONT;
  const onSide = own.facing > FACES_FRONT && own.facing < 180 - FACES_FRONT;
  return (behind ? 2 : 0) + (onSide ? 0 : 1);
}

/**
 * The order of the staples along a line: the middles of the sides first, each followed by the opposite one; then the gaps are halved again and again, all at least
 * `clearMm` from the corners; then the front corners (at each the side before the front); the back corners last. A line without corners is divided into quarters.
 */
export function stapleOrder(line: Outline, everyMm: number, clearMm: number): Staple[] {
  const round = perimeter(line);
  const cornered = !smooth(line);
  const sides = facingPairs(line);
  const meets = (mm: number, own: Side): Side | undefined =>
    sides.find((one) => one !== own && [one.from, one.to].some((end) => apartOn(round, end, mm) < 1e-6));
  const all = sides.flatMap((side, place): Place[] => {
    const length = side.to - side.from;
    // An even number of gaps, so that one staple is in the middle.
    const count = 2 * Math.max(1, Math.ceil(length / (2 * everyMm) - 1e-9));
    const at = (index: number): Point => stationAt(line, (side.from + (length * index) / count) % round).at;
    const cornerOf = (index: number): number | null => {
      const along = (length * index) / count;
      if (!cornered || index === count / 2 || Math.min(along, length - along) >= clearMm - 1e-9) return null;
      return cornerTurn(side, meets(along < length / 2 ? side.from : side.to, side));
    };
    const staples = halving(count).map(({ index, round: turn }): Place => ({ at: at(index), turn, side: place, corner: cornerOf(index) }));
    // Without corners the places between the quarters are staples too.
    return cornered ? staples : [...staples, { at: at(0), turn: 2, side: place, corner: null }];
  });
  const most = Math.max(...all.map(({ turn }) => turn));
  return all
    .map((one) => ({ ...one, turn: one.corner === null ? one.turn : most + 1 + one.corner }))
    .sort((a, b) => a.turn - b.turn || a.side - b.side)
    .map(({ at, turn, corner }, i) => ({ at, round: turn, corner: corner !== null, order: i + 1 }));
}

/** Curved runs of an outline that bulge outwards, with how far each turns: radians. */
function curves(outline: Outline): { readonly from: number; readonly to: number; readonly turn: number }[] {
  const runs: { from: number; to: number; turn: number }[] = [];
  let along = 0;
  for (const segment of inArcs(outline).segments) {
    const to = along + segmentLength(segment);
    if (segment.kind === 'arc' && segment.sweep > 0) {
      const last = runs.at(-1);
      if (last && last.to === along) runs[runs.length - 1] = { from: last.from, to, turn: last.turn + segment.sweep };
      else runs.push({ from: along, to, turn: segment.sweep });
    }
    along = to;
  }
  const [first] = runs;
  const last = runs.at(-1);
  // The outline may begin in the middle of a curve.
  if (first && last && first !== last && first.from === 0 && last.to === along) {
    runs[0] = { from: last.from, to: along + first.to, turn: first.turn + last.turn };
    runs.pop();
  }
  return runs;
}

/** Cloth turned under by `inMm` round a curve of θ has θ · inMm too much: so many pleats, each taking in twice its depth. */
function pleatsOn(edge: Outline, line: Outline, inMm: number, pleatMm: number): Pleats[] {
  const [whole, inner] = [perimeter(edge), perimeter(line)];
  return curves(edge).map(({ from, to, turn }) => {
    const spareMm = turn * inMm;
    return { at: stationAt(line, (((from + to) / 2 / whole) * inner) % inner).at, count: Math.ceil(spareMm / (2 * pleatMm) - 1e-9), spareMm };
  });
}

/** The fixing plan under an edge: staples on a line so far inside it. Null where the outline leaves no room for the line. */
export function staplePlan(edge: Outline, inMm: number, assume: Constants): StaplePlan | null {
  const line = offsetOrNull(edge, -inMm);
  if (!line) return null;
  return {
    edge,
    line,
    inMm,
    staples: stapleOrder(line, assume('stapleEveryMm'), assume('stapleClearMm')),
    pleats: pleatsOn(edge, line, inMm, assume('pleatMm')),
  };
}

/** What there is to say of pleats, with a space before it; empty without any. */
export function pleatWords({ pleats }: StaplePlan): string {
  const count = pleats.reduce((all, one) => all + one.count, 0);
  if (!count) return '';
  const where = pleats.map((one) => one.count).join(' + ');
  return ` Lay ${count === 1 ? 'one small pleat' : `${where} small pleats`} underneath on the round of the edge, evenly, none on the side that is seen.`;
}

/** Closed with the staples of a plan. */
export function stapleClosing({ line, staples }: StaplePlan): Extract<Closing, { readonly kind: 'staples' }> {
  return { kind: 'staples', round: given('round the line', perimeter(line), 'counted'), count: given('staples', staples.length, 'counted', 'count') };
}
