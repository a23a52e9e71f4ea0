import type { Chord, Surface } from './membrane';

/** A node this near to a chord's end, in steps, is left out: two knots on one spot would make any slope. */
const NEAR_END = 0.08;

/** A place along a line and the surface's height there, as a share of the crown. */
export interface Knot {
  readonly along: number;
  readonly height: number;
}

/** The surface along one chord: nothing at both ends, between them where the grid's lines cross it, by the parabola through three rows. */
export function knotsOn({ x0, y0, step, columns, rows, values }: Surface, axis: 'x' | 'y', at: number, chord: Chord): Knot[] {
  // Across runs on a row, along on a column; `line` counts them, `place` counts nodes on one.
  const [lineOf, lines] = axis === 'y' ? [(at - y0) / step, rows] : [(at - x0) / step, columns];
  const origin = axis === 'y' ? x0 : y0;
  const node = (line: number, place: number): number => (axis === 'y' ? (values[line * columns + place] ?? 0) : (values[place * columns + line] ?? 0));
  const middle = Math.max(1, Math.min(lines - 2, Math.round(lineOf)));
  const t = lineOf - middle;
  const knots: Knot[] = [{ along: chord.from, height: 0 }];
  const first = Math.ceil((chord.from - origin) / step + NEAR_END);
  const last = Math.floor((chord.to - origin) / step - NEAR_END);
  for (let place = first; place <= last; place++) {
    const [a, b, c] = [node(middle - 1, place), node(middle, place), node(middle + 1, place)];
    knots.push({ along: origin + place * step, height: b + (t * (c - a)) / 2 + (t * t * (a - 2 * b + c)) / 2 });
  }
  knots.push({ along: chord.to, height: 0 });
  return knots;
}
