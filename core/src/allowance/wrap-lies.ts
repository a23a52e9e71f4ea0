import type { Constants } from '../shop/assumptions';
import type { WrapWay } from '../shop/schools';

/** Where wadding lies by the way it is wrapped. Faces alone end at the edge; whipped ones are cut so that they meet on the sides. */
export function wrapLies(way: WrapWay): { readonly sides: boolean; readonly faces: boolean } {
  return { sides: way !== 'faces', faces: way !== 'border' };
}

/** Nominal loft of the wadding on one side of a core, mm. */
export interface SideLofts {
  /** Left and right. */
  readonly acrossMm: number;
  /** Front and back. */
  readonly alongMm: number;
}

/** What lies on the sides of a core: one loft where the way of wrapping reaches them, and the packing besides at both ends of a long core that is packed. */
export function sideLofts(way: WrapWay, loftMm: number, packed: 'across' | 'along' | null, assume: Constants): SideLofts {
  const side = wrapLies(way).sides ? loftMm : 0;
  const packing = (end: typeof packed): number => (packed === end ? assume('packedEndLoftMm') : 0);
  return { acrossMm: side + packing('across'), alongMm: side + packing('along') };
}
