import { bounds, flatten } from '../geometry/outline';
import type { Point } from '../geometry/point';
import type { Operation } from '../piece/operation';
import type { Piece } from '../piece/piece';
import type { Planned } from '../plan/cushion/cushion-plan';
import { sewnRuns, type SewnRun } from '../bench/runs';

/** A strip longer than so many times the widest plate is drawn with a break: the ends of it, and what is left out between them, as shares of the widest. */
const BREAK_FROM = 3;
const BREAK_END = 0.75;
const BREAK_GAP = 0.06;
/** Room between pieces, as a share of the widest: in rows; in wide rows on a low drawing, and under each other on a narrow one, which are smaller, so that the words need more of it. */
const GAP = { 'in-rows': 0.12, 'in-wide-rows': 0.3, 'under-each-other': 0.26 } as const;
/** How many times as wide as high rows are. */
const ASPECT = { 'in-rows': 1.25, 'in-wide-rows': 3 } as const;
/** Room in a row for the words over a small piece, as a share of the widest. */
const SLOT = 0.62;
/** On a piece narrower than so many seams the letters of opposite edges stand apart along it: as shares of the run. */
const NARROW = 12;
const LETTER_AT = { narrow: 0.3, wide: 0.5 } as const;
/** A letter stands so many seams inside its run. */
const LETTER_IN = 2.4;

/** How the pieces of a step lie on its drawing. */
export type StepLying = keyof typeof GAP;

/** What a step is drawn as: a plan of the whole cushion with its roll, its tufts or its staples; moment by moment; the pieces in hand; or the section of the cushion, where it has none. */
export type StepShown = 'roll' | 'tufts' | 'staples' | 'moments' | 'pieces' | 'section';

/** What a step of a cushion is drawn as. Whoever draws moments may have room for the pieces beside them. */
export function stepShown({ cover, pieces }: Pick<Planned, 'cover' | 'pieces'>, step: Operation): StepShown {
  const { onPlan, stages } = step;
  if (onPlan === 'staples' ? cover.staples && stages.length : onPlan && cover.roll) return onPlan as StepShown;
  if (stages.length) return 'moments';
  return pieces.some(({ id }) => step.pieces.includes(id)) ? 'pieces' : 'section';
}

/** A part of a piece as it is drawn: from where to where along it, and how far it is moved along the drawing. */
export interface DrawnPart {
  readonly fromX: number;
  readonly toX: number;
  readonly dx: number;
}

/** A stretch that is sewn in the step, placed on the drawing: its line, its two ends where it is no ring, and where its letter stands (null on all but its first stretch). */
export interface DrawnRun {
  readonly points: readonly Point[];
  readonly hand: boolean;
  readonly ends: readonly (readonly [Point, Point])[];
  readonly letter: { readonly at: Point; readonly text: string } | null;
}

/** A piece of a step where it lies on the drawing, its left lower corner at `at`; mm, y upwards. */
export interface DrawnPiece {
  readonly piece: Piece;
  readonly at: Point;
  readonly width: number;
  readonly height: number;
  /** One part, or two where the middle of a long strip is left out. */
  readonly parts: readonly DrawnPart[];
  /** Added to the piece's own coordinates upwards. */
  readonly dy: number;
  readonly runs: readonly DrawnRun[];
}

/** The pieces of a step to one scale, the edges that are sewn on them, and what each letter stands for. */
export interface StepPicture {
  readonly pieces: readonly DrawnPiece[];
  readonly letters: readonly { readonly letter: string; readonly words: string }[];
}

type Sized = Pick<DrawnPiece, 'piece' | 'width' | 'height' | 'parts'> & { readonly lowX: number; readonly lowY: number };

function sizedAs(piece: Piece, widest: number): Sized {
  const { minX, maxX, minY, maxY } = bounds(flatten(piece.outline));
  const long = maxX - minX;
  const common = { piece, height: maxY - minY, lowX: minX, lowY: minY };
  if (long <= widest * BREAK_FROM) return { ...common, width: long, parts: [{ fromX: minX, toX: maxX, dx: -minX }] };
  const end = widest * BREAK_END;
  const gap = widest * BREAK_GAP;
  const left = { fromX: minX, toX: minX + end, dx: -minX };
  const right = { fromX: maxX - end, toX: maxX, dx: end + gap - (maxX - end) };
  return { ...common, width: 2 * end + gap, parts: [left, right] };
}

/** The parts of a line that lie between two x. */
function between(points: readonly Point[], fromX: number, toX: number): Point[][] {
  const runs: Point[][] = [];
  let run: Point[] = [];
  const cut = (a: Point, b: Point, x: number): Point => ({ x, y: a.y + ((b.y - a.y) * (x - a.x)) / (b.x - a.x) });
  for (let i = 1; i < points.length; i++) {
    const [a, b] = [points[i - 1] as Point, points[i] as Point];
    const crossings = [fromX, toX].filter((x) => (a.x - x) * (b.x - x) < 0).sort((p, q) => (b.x > a.x ? p - q : q - p));
    const stops = [a, ...crossings.map((x) => cut(a, b, x)), b];
    for (let k = 1; k < stops.length; k++) {
      const [p, q] = [stops[k - 1] as Point, stops[k] as Point];
      const middle = (p.x + q.x) / 2;
      if (middle >= fromX - 1e-6 && middle <= toX + 1e-6) run = run.length ? [...run, q] : [p, q];
      else if (run.length) {
        runs.push(run);
        run = [];
      }
    }
  }
  return run.length ? [...runs, run] : runs;
}

/** The point at a share of a line's length, and the direction there. */
function placeOn(points: readonly Point[], share: number): { readonly at: Point; readonly way: Point } {
  const lengths = points.slice(1).map((p, i) => Math.hypot(p.x - (points[i] as Point).x, p.y - (points[i] as Point).y));
  let rest = lengths.reduce((sum, mm) => sum + mm, 0) * share;
  for (let i = 0; i < lengths.length; i++) {
    const [a, b, long] = [points[i] as Point, points[i + 1] as Point, lengths[i] as number];
    if (rest <= long && long > 0)
      return { at: { x: a.x + ((b.x - a.x) * rest) / long, y: a.y + ((b.y - a.y) * rest) / long }, way: { x: (b.x - a.x) / long, y: (b.y - a.y) / long } };
    rest -= long;
  }
  return { at: points[0] as Point, way: { x: 1, y: 0 } };
}

/** Runs along the same line of a piece as one, with the letters of all: both plates are drawn as one piece, and each is sewn by a seam of its own. */
function oneOfEach(runs: readonly SewnRun[]): SewnRun[] {
  const lines = new Map<string, SewnRun>();
  for (const run of runs) {
    const line = JSON.stringify(run.points);
    const before = lines.get(line);
    lines.set(line, before ? { ...before, letter: `${before.letter}, ${run.letter}` } : run);
  }
  return [...lines.values()];
}

/** A short stroke across the end of a line, `seamMm` to both sides; none at a point. */
function acrossEnd(end: Point, next: Point, seamMm: number): readonly (readonly [Point, Point])[] {
  const long = Math.hypot(next.x - end.x, next.y - end.y);
  if (long === 0) return [];
  const out = { x: ((next.y - end.y) / long) * seamMm, y: (-(next.x - end.x) / long) * seamMm };
  return [
    [
      { x: end.x + out.x, y: end.y + out.y },
      { x: end.x - out.x, y: end.y - out.y },
    ],
  ];
}

function placedRun(run: SewnRun, { parts, lowY, height }: Sized, { x, y }: Point, seamMm: number): DrawnRun[] {
  const share = height < seamMm * NARROW ? LETTER_AT.narrow : LETTER_AT.wide;
  return parts.flatMap(({ fromX, toX, dx }, part) =>
    between(run.points, fromX, toX).map((line, k): DrawnRun => {
      const points = line.map((p) => ({ x: p.x + dx + x, y: p.y - lowY + y }));
      const { at, way } = placeOn(points, share);
      const ends = run.ring
        ? []
        : [
            ...acrossEnd(points[0] as Point, points[1] as Point, seamMm),
            ...acrossEnd(points[points.length - 1] as Point, points[points.length - 2] as Point, seamMm),
          ];
      // Beside the line, on the piece: it runs counter-clockwise, so the piece is on its left.
      const inside = { x: at.x - way.y * seamMm * LETTER_IN, y: at.y + way.x * seamMm * LETTER_IN };
      const text = `${run.letter}${run.rows > 1 ? ` ${run.rows}×` : ''}`;
      return { points, hand: run.method === 'hand', ends, letter: part === 0 && k === 0 ? { at: inside, text } : null };
    }),
  );
}

/** The pieces of a step as they are drawn: in rows of about `aspect` times as wide as high (its own for how they lie, unless it is said), or under each other; the edges that meet as lines with their letters. */
export function stepPicture(
  one: Planned,
  step: Operation,
  lying: StepLying,
  aspect: number = ASPECT[lying === 'in-wide-rows' ? lying : 'in-rows'],
): StepPicture {
  const pieces = one.pieces.filter(({ id }) => step.pieces.includes(id));
  const runs = sewnRuns({ seams: step.asks?.seams ?? step.seams }, one.pieces, one.cover.seams);
  const seamMm = one.sizes.seam.value;
  const widest = Math.max(one.sizes.cut.width.value, 200);
  const gap = widest * GAP[lying];
  const sized = pieces.map((piece) => sizedAs(piece, widest));
  const slot = (width: number): number => Math.max(width, widest * SLOT);
  const total = sized.reduce((sum, { width, height }) => sum + (slot(width) + gap) * (height + 2 * gap), 0);
  const limit = lying !== 'under-each-other' ? Math.max(...sized.map(({ width }) => width), Math.sqrt(total * aspect)) : 0;
  const drawn: DrawnPiece[] = [];
  let [x, top, rowHeight] = [0, 0, 0];
  for (const each of sized) {
    if (x > 0 && x + each.width > limit) {
      top -= rowHeight + gap;
      [x, rowHeight] = [0, 0];
    }
    const at = { x, y: top - each.height };
    drawn.push({
      piece: each.piece,
      at,
      width: each.width,
      height: each.height,
      parts: each.parts,
      dy: at.y - each.lowY,
      runs: oneOfEach(runs.filter((run) => run.piece === each.piece.id)).flatMap((run) => placedRun(run, each, at, seamMm)),
    });
    x += slot(each.width) + gap;
    rowHeight = Math.max(rowHeight, each.height + gap * 0.4);
  }
  return { pieces: drawn, letters: [...new Map(runs.map(({ letter, words }) => [letter, words]))].map(([letter, words]) => ({ letter, words })) };
}
