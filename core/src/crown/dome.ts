import { flatten } from '../geometry/outline';
import type { CrownAnswer, CrownAsk } from './domed';
import { knotsOn } from './knots';
import { chordsOf } from './membrane';

/** How high a face stands along a line through its highest point, as a share of its crown: 0 at both edges, by share of the way. */
export type Dome = (share: number) => number;

const parabola: Dome = (share) => 4 * share * (1 - share);

/** The crown's own surface along the line across (`y`) or along (`x`) through its highest point, once it has been worked out; until then a parabola. */
export function middleDome(crown: { readonly request: CrownAsk; readonly answer: CrownAnswer | null } | null, axis: 'x' | 'y'): Dome {
  const answer = crown?.answer;
  if (!crown || !answer) return parabola;
  const { surface, top } = answer;
  const [at, along] = axis === 'y' ? [top.y, top.x] : [top.x, top.y];
  const chord = chordsOf(flatten(crown.request.outline), axis, at).find(({ from, to }) => along >= from && along <= to);
  if (!chord) return parabola;
  const knots = knotsOn(surface, axis, at, chord);
  return (share) => {
    const x = chord.from + (chord.to - chord.from) * share;
    const i = knots.findIndex((knot) => knot.along >= x);
    const [before, after] = [knots[Math.max(0, i - 1)], knots[Math.max(0, i)]];
    if (!before || !after || after.along === before.along) return 0;
    return before.height + ((after.height - before.height) * (x - before.along)) / (after.along - before.along);
  };
}
