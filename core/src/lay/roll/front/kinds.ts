import { polygonArea } from '../../../geometry/polygon';
import { turnedBy, type LayItem, type Placement } from '../../contract';
import { cleaned } from '../../engine/convex';
import { wider } from '../../engine/wider';
import { FINE_MM } from '../shape';
import { mirrored, profileOf, type Profile } from './profile';

/** One of a kind's turns. */
export interface Variant extends Profile {
  readonly turn: number;
}

/** Pieces of equal profiles, with the copies they stand for. */
export interface Kind {
  readonly copies: readonly Pick<Placement, 'item' | 'copy'>[];
  readonly areaMm2: number;
  readonly variants: readonly Variant[];
}

/** The kinds of some items; turns that look alike are one. A kind that does not fit across the roll in any turn has no variants. */
export function kindsOf(items: readonly LayItem[], widthMm: number, gapMm: number): Kind[] {
  const kinds = new Map<string, Kind>();
  for (const { id, polygon, count, turns } of items) {
    const ring = wider(cleaned(polygon), FINE_MM);
    const looks = new Map<string, Variant>();
    for (const turn of turns) {
      const profile = profileOf(turnedBy(ring, turn), gapMm);
      const look = [...profile.rows].map((v) => v.toFixed(1)).join();
      if (profile.h <= widthMm + gapMm + 1e-6 && !looks.has(look)) looks.set(look, { ...profile, turn });
    }
    const variants = [...looks.values()];
    // Pieces that look alike about other origins stay apart: the origin is the variant's.
    const key = [...looks.entries()].map(([look, { ox, oy, turn }]) => `${look} ${ox.toFixed(3)} ${oy.toFixed(3)} ${turn}`).join(';');
    const copies = Array.from({ length: count }, (_, copy) => ({ item: id, copy }));
    const known = kinds.get(key);
    kinds.set(key, known ? { ...known, copies: [...known.copies, ...copies] } : { copies, areaMm2: Math.abs(polygonArea(polygon)), variants });
  }
  return [...kinds.values()];
}

/** The kinds seen in a mirror along the roll: what is laid from the far end. */
export const mirroredKinds = (kinds: readonly Kind[]): Kind[] =>
  kinds.map((kind) => ({ ...kind, variants: kind.variants.map((variant) => ({ ...variant, ...mirrored(variant) })) }));
