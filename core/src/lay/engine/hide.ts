import { bounds } from '../../geometry/outline';
import type { Point } from '../../geometry/point';
import type { LayMaterial } from '../contract';
import type { Panel } from './arrangement';
import { cleaned, convexParts, minkowskiSum } from './convex';
import { octagon } from './shape';
import { wider } from './wider';

/** Room round a hide's box, so that what is off the hide is one ring with a hole, mm. */
const ROUND_MM = 50;

/** A hide as a box of which what lies off it, the flaws, and what is cut already with the gap round it, is blocked. Its box's lower left is the panel's origin. */
export function hidePanel({ outline, flaws, soft = [], taken = [] }: Extract<LayMaterial, { readonly kind: 'hide' }>, gapMm: number): Panel {
  const box = bounds(outline);
  const moved = (ring: readonly Point[]): Point[] => cleaned(ring.map((p) => ({ x: p.x - box.minX, y: p.y - box.minY })));
  const [widthMm, lengthMm] = [box.maxY - box.minY, box.maxX - box.minX];
  const round = [
    { x: -ROUND_MM, y: -ROUND_MM },
    { x: lengthMm + ROUND_MM, y: -ROUND_MM },
    { x: lengthMm + ROUND_MM, y: widthMm + ROUND_MM },
    { x: -ROUND_MM, y: widthMm + ROUND_MM },
  ];
  const cut = taken.flatMap((piece) => convexParts(wider(moved(piece)))).map((part) => (gapMm > 0 ? minkowskiSum(part, octagon(gapMm)) : part));
  const blocked = [...convexParts(round, [moved(outline)]), ...flaws.flatMap((flaw) => convexParts(moved(flaw))), ...cut];
  return { widthMm, lengthMm, blocked, forSeen: soft.length ? [...blocked, ...soft.flatMap((part) => convexParts(moved(part)))] : blocked };
}
