import type { ClothPattern, Plan } from '@yardland/core';
import { clothPlaces, isStrap, type ClothPlace, type Solid, type SolidPart } from '@yardland/core/solid';

/** Which way a part moves when the cushion is taken apart, and how far, as a share of its size; and when it is put in place, by the order of work. */
export interface Apart {
  readonly x: number;
  readonly y: number;
  readonly z: number;
  /** Its turn, from 0 for the first. */
  readonly turn: number;
}

/** What is fastened on the band comes away further than the band does. */
const STRAP_WAY = 1.35;

/** The middle of a part. */
function middleOf({ positions }: SolidPart): readonly [number, number, number] {
  const sum = [0, 0, 0];
  for (let i = 0; i < positions.length; i++) sum[i % 3] = (sum[i % 3] as number) + (positions[i] as number);
  const count = positions.length / 3 || 1;
  return sum.map((value) => value / count) as [number, number, number];
}

/** How each part comes away: what is on top upwards, what is underneath downwards, the band to its own side. Pieces come in the order in which the work takes them up. */
export function apartOf({ parts }: Solid, operations: readonly { readonly phase: string; readonly pieces: readonly string[] }[]): Apart[] {
  const order: string[] = [];
  for (const { phase, pieces } of operations) if (phase !== 'cut') for (const piece of pieces) if (!order.includes(piece)) order.push(piece);
  const known = (piece: string): number => (order.includes(piece) ? order.indexOf(piece) : order.length);
  const onBoard = parts.some(({ kind }) => kind === 'board');
  const cover = parts.filter(({ kind }) => kind === 'cover' || kind === 'board');
  const middles = cover.map(middleOf);
  const centre = [0, 1, 2].map((axis) => middles.reduce((sum, one) => sum + (one[axis] as number), 0) / (middles.length || 1)) as [number, number, number];
  const ways = parts.map((part) => {
    const [x, y] = middleOf(part);
    if (part.id.endsWith(':top')) return { x: 0, y: 0, z: 1 };
    if (part.id.endsWith(':bottom')) return { x: 0, y: 0, z: -0.55 };
    // The filling is pushed in at the back; on a board the cover is drawn over it.
    if (part.kind === 'core') return onBoard ? { x: 0, y: 0, z: 0 } : { x: 0, y: 1.5, z: 0 };
    const strap = isStrap(part);
    if ((part.kind === 'cord' && !strap) || (part.kind === 'stitch' && part.piece === 'ridge'))
      return { x: 0, y: 0, z: middleOf(part)[2] > centre[2] ? 0.72 : -0.35 };
    const [dx, dy] = [x - centre[0], y - centre[1]];
    const long = Math.hypot(dx, dy);
    // A band that goes all round has no side to go to.
    const far = strap ? STRAP_WAY : 1;
    return long < 5 ? { x: 0, y: 0, z: -0.2 } : { x: (far * dx) / long, y: (far * dy) / long, z: 0 };
  });
  const orderOf = ({ piece, kind }: SolidPart): number => (kind === 'core' ? (onBoard ? -1 : Infinity) : known(piece));
  const turns = [...new Set(parts.map(orderOf))].sort((a, b) => a - b);
  return parts.map((part, i) => ({ ...(ways[i] as (typeof ways)[number]), turn: turns.indexOf(orderOf(part)) }));
}

/** The places of a part on its cloth, for its picture: the plate's second copy is the underside. Null where its lay is not worked out. */
export function clothPlaceOf(part: SolidPart, plan: Plan, cushion: number): ClothPlace | null {
  const places = clothPlaces(plan, cushion, part.piece);
  return (part.id.endsWith(':bottom') ? places.at(-1) : places[0]) ?? null;
}

/**
 * Places on the piece as places on the cloth's picture. Across runs to the left on a cloth whose roll runs up. `picture`: what it measures; its middle is the first motif.
 * Without a lay the piece lies as it is drawn, its own middle on a motif.
 */
export function pictureUvs(
  uvs: ArrayLike<number>,
  place: ClothPlace | null,
  picture: { readonly acrossMm: number; readonly alongMm: number },
  pattern: ClothPattern | null,
): Float32Array {
  const out = new Float32Array(uvs.length);
  const firstAcross = place?.motifAcrossMm ?? (pattern ? (pattern.motifMm ?? pattern.acrossMm / 2) : 0);
  for (let i = 0; i < uvs.length; i += 2) {
    const [u, v] = [uvs[i] as number, uvs[i + 1] as number];
    const across = place ? place.across[0] * u + place.across[1] * v + place.across[2] - firstAcross : -u;
    const along = place ? place.along[0] * u + place.along[1] * v + place.along[2] - (place.motifAtMm ?? 0) : v;
    // A half drop's picture holds two rows; the first stands in the middle of its left half.
    out[i] = -across / picture.acrossMm + (pattern?.halfDrop ? 0.25 : 0.5);
    out[i + 1] = along / picture.alongMm + 0.5;
  }
  return out;
}
