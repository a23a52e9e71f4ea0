import { aheadOn } from '../../geometry/around';
import type { SkinStrap } from '../skin';
import type { Column } from './column';
import type { SolidPart } from './solid';

/** Two layers of cloth, folded, mm. */
const THICK_MM = 1.4;
/** Between a strap and the band it lies on, mm. */
const CLEAR_MM = 0.4;
/** A tie lies so far over the lower edge: clear of a cord, mm. */
const OVER_EDGE_MM = 4;
/** Where the middle of a handle stands out, mm: a hint of its slack, for where its ends are stitched no plan says. */
const SLACK_MM = 5;

/** A place on the band: its rim point's place and outward direction, and how high and how full it stands there. */
type Place = Pick<Column, 'lowZ' | 'highZ' | 'bulgeMm'> & { readonly at: Column['rim']['at']; readonly outward: Column['rim']['outward'] };

/** The band at a place of the rim, between the two columns that it lies between. */
function placeAt(columns: readonly Column[], roundMm: number, mm: number): Place {
  const at = aheadOn(roundMm, 0, mm);
  const next = columns.findIndex(({ rim }) => rim.mm > at);
  const before = columns.at(next < 0 ? -1 : next - 1) as Column;
  const after = columns[Math.max(0, next)] as Column;
  const gap = aheadOn(roundMm, before.rim.mm, after.rim.mm) || roundMm;
  const t = aheadOn(roundMm, before.rim.mm, at) / gap;
  const mix = (a: number, b: number): number => a + (b - a) * t;
  const [p, q] = [before.rim, after.rim];
  return {
    at: { x: mix(p.at.x, q.at.x), y: mix(p.at.y, q.at.y) },
    outward: { x: mix(p.outward.x, q.outward.x), y: mix(p.outward.y, q.outward.y) },
    lowZ: mix(before.lowZ, after.lowZ),
    highZ: mix(before.highZ, after.highZ),
    bulgeMm: mix(before.bulgeMm, after.bulgeMm),
  };
}

/** Ways along a strap at which it has a ring of vertices: its ends, and each column that it passes. */
function stopsOf({ fromMm, toMm }: SkinStrap, columns: readonly Column[], roundMm: number): number[] {
  const [long, back] = [Math.abs(toMm - fromMm), toMm < fromMm];
  const passed = columns.map(({ rim }) => (back ? aheadOn(roundMm, rim.mm, fromMm) : aheadOn(roundMm, fromMm, rim.mm)));
  return [0, ...passed.filter((mm) => mm > 0.1 && mm < long - 0.1).sort((a, b) => a - b), long];
}

/** Whether a part is a strap: a tie or a handle. */
export const isStrap = ({ id }: Pick<SolidPart, 'id'>): boolean => id.startsWith('strap-');

/**
 * A strap along the outside of the band, folded from two layers: a closed body with four sides. u runs along its strip, v across the side that is seen. It stands out by
 * less than a welt's cord does.
 */
export function strapPart(strap: SkinStrap, index: number, columns: readonly Column[], roundMm: number, material: string): SolidPart {
  const { piece, fromMm, toMm, wideMm, onPiece, kind } = strap;
  const back = toMm < fromMm;
  const long = Math.abs(toMm - fromMm);
  const positions: number[] = [];
  const uvs: number[] = [];
  const triangles: number[] = [];
  const stops = stopsOf(strap, columns, roundMm);
  for (const s of stops) {
    const { at, outward, lowZ, highZ, bulgeMm } = placeAt(columns, roundMm, back ? fromMm - s : fromMm + s);
    const high = highZ - lowZ;
    const half = Math.min(wideMm, 0.9 * high) / 2;
    const middle = kind === 'tie' ? Math.min(lowZ + OVER_EDGE_MM + half, highZ - half) : (lowZ + highZ) / 2;
    const slack = kind === 'handle' ? SLACK_MM * Math.sin((Math.PI * s) / long) : 0;
    const outAt = (z: number): number => {
      const share = high > 0 ? (z - lowZ) / high : 0;
      return bulgeMm * 4 * share * (1 - share) + CLEAR_MM + slack;
    };
    for (const [z, thick, v] of [
      [middle - half, THICK_MM, 0],
      [middle + half, THICK_MM, wideMm],
      [middle + half, 0, wideMm],
      [middle - half, 0, 2 * wideMm],
    ] as const) {
      const out = outAt(z) + thick;
      positions.push(at.x + outward.x * out, at.y + outward.y * out, z);
      uvs.push(onPiece.x + s, onPiece.y + v);
    }
  }
  const quad = (a: number, b: number, c: number, d: number): void => {
    // Going the other way round the rim turns every side over.
    if (back) triangles.push(a, c, b, a, d, c);
    else triangles.push(a, b, c, a, c, d);
  };
  for (let i = 0; i + 1 < stops.length; i++)
    for (let k = 0; k < 4; k++) {
      const [a, d] = [4 * i + k, 4 * i + ((k + 1) % 4)];
      quad(a, a + 4, d + 4, d);
    }
  const last = 4 * (stops.length - 1);
  quad(0, 1, 2, 3);
  quad(last + 3, last + 2, last + 1, last);
  return {
    id: `strap-${index + 1}`,
    piece,
    kind: 'cord',
    material,
    positions: Float64Array.from(positions),
    triangles: Uint32Array.from(triangles),
    uvs: Float64Array.from(uvs),
  };
}
