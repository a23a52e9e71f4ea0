import type { Solid, SolidPart } from '../form/solid/solid';

/** Decimals of a millimetre in a solid's JSON: far finer than anything is cut, and vertices that are one stay one. */
const DECIMALS = 1e4;

const rounded = (values: Float64Array): number[] => Array.from(values, (value) => Math.round(value * DECIMALS) / DECIMALS + 0);

const partJson = ({ piece, kind, material, positions, triangles, uvs }: SolidPart) => ({
  piece,
  kind,
  material,
  positions: rounded(positions),
  triangles: Array.from(triangles),
  uvs: rounded(uvs),
});

/** A cushion in the round as open JSON: millimetres, z up, its cover standing on z = 0; `uvs` in millimetres on the piece as it is cut. */
export function solidJson({ parts }: Solid): { readonly parts: readonly ReturnType<typeof partJson>[] } {
  return { parts: parts.map(partJson) };
}
