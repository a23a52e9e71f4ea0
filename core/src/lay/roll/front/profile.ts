import { bounds } from '../../../geometry/outline';
import type { Point } from '../../../geometry/point';

/** A stretch of a piece across the roll: from y0 to y1 its left side runs from l0 to l1 and its right side from r0 to r1, mm. */
export interface ProfileRow {
  readonly y0: number;
  readonly y1: number;
  readonly l0: number;
  readonly l1: number;
  readonly r0: number;
  readonly r1: number;
}

/** A piece in one of its turns as it is seen along the roll, grown by half the gap on every side: its left and right side over its height, straight from row to row, with jumps. */
export interface Profile {
  /** Rows of y0, y1, l0, l1, r0, r1, one after another. */
  readonly rows: Float64Array;
  /** Height across and length along of the grown piece. */
  readonly h: number;
  readonly w: number;
  /** The piece's origin in the grown piece's box. */
  readonly ox: number;
  readonly oy: number;
  readonly isBox: boolean;
}

/** Rows within so much of one straight line become one that holds them, mm. */
const MERGED_MM = 2;
/** Corners nearer than this across are one, mm. */
const SAME_MM = 0.02;
/** Sides that differ by less are one line, mm; and slopes. */
const ON_LINE_MM = 1e-3;
const SAME_SLOPE = 1e-4;

/** The outermost crossings of a ring at a level. */
function outermost(ring: readonly Point[], y: number): readonly [left: number, right: number] {
  let [left, right] = [Infinity, -Infinity];
  ring.forEach((a, i) => {
    const b = ring[(i + 1) % ring.length] as Point;
    if (a.y > y === b.y > y) return;
    const x = a.x + ((b.x - a.x) * (y - a.y)) / (b.y - a.y);
    [left, right] = [Math.min(left, x), Math.max(right, x)];
  });
  return [left, right];
}

/** The rows of a ring from corner to corner across. */
function rowsOf(ring: readonly Point[]): ProfileRow[] {
  const levels = [...new Set(ring.map(({ y }) => Math.round(y * 1e5) / 1e5))]
    .sort((a, b) => a - b)
    .filter((y, i, all) => i === 0 || y - (all[i - 1] as number) > SAME_MM);
  return levels.slice(1).map((y1, i) => {
    const y0 = levels[i] as number;
    // A hair inside, and out again along the line.
    const inset = (y1 - y0) * 1e-3;
    const [[la, ra], [lb, rb]] = [outermost(ring, y0 + inset), outermost(ring, y1 - inset)];
    const out = inset / (y1 - y0 - 2 * inset);
    const [left, right] = [(lb - la) * out, (rb - ra) * out];
    return { y0, y1, l0: la - left, l1: lb + left, r0: ra - right, r1: rb + right };
  });
}

/** The rows grown by half of a gap each way, as by a square: at every level the outermost of what lies within half the gap of it. */
function grown(rows: readonly ProfileRow[], gapMm: number): ProfileRow[] {
  const half = gapMm / 2;
  const levels = [...new Set(rows.flatMap(({ y0, y1 }) => [y0 - half, y0 + half, y1 - half, y1 + half]))]
    .sort((a, b) => a - b)
    .filter((y, i, all) => i === 0 || y - (all[i - 1] as number) > 1e-6);
  const near = (y: number): readonly [number, number] => {
    let [left, right] = [Infinity, -Infinity];
    for (const { y0, y1, l0, l1, r0, r1 } of rows) {
      const [from, to] = [Math.max(y0, y - half), Math.min(y1, y + half)];
      if (to <= from) continue;
      const at = (level: number, a: number, b: number): number => a + ((b - a) * (level - y0)) / (y1 - y0);
      left = Math.min(left, at(from, l0, l1), at(to, l0, l1));
      right = Math.max(right, at(from, r0, r1), at(to, r0, r1));
    }
    return [left, right];
  };
  return levels.slice(1).map((y1, i) => {
    const y0 = levels[i] as number;
    const inset = (y1 - y0) * 1e-6;
    const [[l0, r0], [l1, r1]] = [near(y0 + inset), near(y1 - inset)];
    return { y0: y0 + half, y1: y1 + half, l0, l1, r0: r0 + gapMm, r1: r1 + gapMm };
  });
}

const slope = (from: number, to: number, { y0, y1 }: ProfileRow): number => (to - from) / (y1 - y0);

/** Neighbours on one line become one. */
function straightened(rows: readonly ProfileRow[]): ProfileRow[] {
  return rows.reduce<ProfileRow[]>((out, row) => {
    const last = out.at(-1);
    const goesOn =
      last &&
      Math.abs(last.l1 - row.l0) < ON_LINE_MM &&
      Math.abs(last.r1 - row.r0) < ON_LINE_MM &&
      Math.abs(slope(last.l0, last.l1, last) - slope(row.l0, row.l1, row)) < SAME_SLOPE &&
      Math.abs(slope(last.r0, last.r1, last) - slope(row.r0, row.r1, row)) < SAME_SLOPE;
    return goesOn ? [...out.slice(0, -1), { ...last, y1: row.y1, l1: row.l1, r1: row.r1 }] : [...out, row];
  }, []);
}

/** One row that holds some that follow one another, nearly on one line; null where they are further off it. */
function holding(some: readonly ProfileRow[]): ProfileRow | null {
  const [first, last] = [some[0] as ProfileRow, some.at(-1) as ProfileRow];
  const whole = { y0: first.y0, y1: last.y1, l0: first.l0, l1: last.l1, r0: first.r0, r1: last.r1 };
  const at = (y: number, a: number, b: number): number => a + ((b - a) * (y - whole.y0)) / (whole.y1 - whole.y0);
  const offs = some.flatMap(({ y0, y1, l0, l1, r0, r1 }) => [
    { left: at(y0, whole.l0, whole.l1) - l0, right: r0 - at(y0, whole.r0, whole.r1) },
    { left: at(y1, whole.l0, whole.l1) - l1, right: r1 - at(y1, whole.r0, whole.r1) },
  ]);
  if (offs.some(({ left, right }) => Math.max(Math.abs(left), Math.abs(right)) > MERGED_MM)) return null;
  const left = Math.max(0, ...offs.map((off) => off.left));
  const right = Math.max(0, ...offs.map((off) => off.right));
  return { ...whole, l0: whole.l0 - left, l1: whole.l1 - left, r0: whole.r0 + right, r1: whole.r1 + right };
}

/** Rows that are nearly on one line become one that holds them: curves have few rows. */
function merged(rows: readonly ProfileRow[]): ProfileRow[] {
  const out: ProfileRow[] = [];
  for (let i = 0; i < rows.length;) {
    let kept = rows[i] as ProfileRow;
    let next = i + 1;
    for (let j = i + 1; j < rows.length; j++) {
      const one = holding(rows.slice(i, j + 1));
      if (!one) break;
      [kept, next] = [one, j + 1];
    }
    out.push(kept);
    i = next;
  }
  return out;
}

/** The profile of a ring that lies as it is; `gapMm` is kept to others laid by profiles. */
export function profileOf(ring: readonly Point[], gapMm: number): Profile {
  const { minX, minY } = bounds(ring);
  const exact = rowsOf(ring.map(({ x, y }) => ({ x: x - minX, y: y - minY })));
  const rows = merged(straightened(gapMm > 0 ? grown(exact, gapMm) : exact));
  const [only] = rows;
  const level = only !== undefined && Math.abs(only.l0 - only.l1) < ON_LINE_MM && Math.abs(only.r0 - only.r1) < ON_LINE_MM;
  return {
    rows: Float64Array.from(rows.flatMap(({ y0, y1, l0, l1, r0, r1 }) => [y0, y1, l0, l1, r0, r1])),
    h: rows.at(-1)?.y1 ?? 0,
    w: Math.max(...rows.flatMap(({ r0, r1 }) => [r0, r1])),
    ox: -minX,
    oy: -minY,
    isBox: rows.length === 1 && level,
  };
}

/** The same seen in a mirror along the roll. */
export function mirrored(profile: Profile): Profile {
  const { rows, w } = profile;
  const out = rows.slice();
  for (let i = 0; i < rows.length; i += 6)
    out.set([w - (rows[i + 4] as number), w - (rows[i + 5] as number), w - (rows[i + 2] as number), w - (rows[i + 3] as number)], i + 2);
  return { ...profile, rows: out };
}
