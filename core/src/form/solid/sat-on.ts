import type { SolidPart } from './solid';
import { boundsOf } from './solid';

/** Somebody sits: in the middle of the cushion, or further to one side, so deep in, over such a radius, mm. */
export interface Sitting {
  readonly sinkMm: number;
  readonly radiusMm: number;
}

/** Within this share of the radius the face goes down as a whole; from there it comes up again to its own height at twice as far. */
const FLAT_SHARE = 0.55;
const OUT_SHARE = 1.7;
/** The front half of a seat is sat on less: the middle of what goes down lies so far behind the middle of the cushion, as a share of its depth. */
const BEHIND = 0.04;

const smooth = (t: number): number => {
  const s = Math.max(0, Math.min(1, t));
  return s * s * (3 - 2 * s);
};

/** Parts as they lie under somebody: what is at the top goes down by all of the sinking, what is at the bottom by nothing, and between by its height. */
export function satOn(parts: readonly SolidPart[], { sinkMm, radiusMm }: Sitting): SolidPart[] {
  const { low, high } = boundsOf(parts);
  const [cx, cy] = [(low.x + high.x) / 2, (low.y + high.y) / 2 + BEHIND * (high.y - low.y)];
  // Nobody presses a cushion through its board.
  const deep = Math.min(sinkMm, 0.9 * (high.z - low.z));
  return parts.map((part) => {
    const positions = Float64Array.from(part.positions);
    for (let i = 0; i < positions.length; i += 3) {
      const away = Math.hypot((positions[i] as number) - cx, (positions[i + 1] as number) - cy) / radiusMm;
      const share = 1 - smooth((away - FLAT_SHARE) / (OUT_SHARE - FLAT_SHARE));
      const up = ((positions[i + 2] as number) - low.z) / (high.z - low.z || 1);
      positions[i + 2] = (positions[i + 2] as number) - deep * share * up;
    }
    return { ...part, positions };
  });
}
