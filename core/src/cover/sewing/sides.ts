import { perimeter, stationAt, type Outline } from '../../geometry/outline';
import { cornersOf } from '../band/corners';

/** A run of an outline between two of its corners. */
export interface Side {
  /** Along the outline, mm; `to` may lie beyond the whole length. */
  readonly from: number;
  readonly to: number;
  /** Direction in which its middle faces, degrees from straight ahead at the front: 0 the front, 180 the back. */
  readonly facing: number;
  /** Which way its middle faces, in a word. */
  readonly words: 'front' | 'right' | 'back' | 'left';
}

/** Within this of straight ahead a side faces the front, and as near to straight behind the back; degrees. */
export const FACES_FRONT = 45;

/** The sides of an outline between its corners, in the order in which it runs; one without corners is one side. */
export function sidesBetweenCorners(line: Outline): Side[] {
  const round = perimeter(line);
  const stops = cornersOf(line)
    .map(({ start, end }) => ((start + end) / 2) % round)
    .sort((a, b) => a - b);
  return stops.map((from, i): Side => {
    const to = stops[i + 1] ?? (stops[0] ?? 0) + round;
    const { outward } = stationAt(line, ((from + to) / 2) % round);
    const facing = Math.abs((Math.atan2(outward.x, -outward.y) * 180) / Math.PI);
    const words = facing <= FACES_FRONT ? 'front' : facing >= 180 - FACES_FRONT ? 'back' : outward.x > 0 ? 'right' : 'left';
    return { from, to, facing, words };
  });
}
