import type { Figure } from '../kernel/figure';

export interface Plane {
  readonly width: Figure;
  readonly depth: Figure;
}

/** The thin edge of a wedge beside the thick one, and the top plate that lies along the slope. */
export interface Slope {
  readonly end: 'front' | 'back';
  readonly finished: Figure;
  readonly sewn: Figure;
  readonly core: Figure;
  /** Of the panel at the thin edge. */
  readonly boxingCut: Figure;
  /** Depth of the top plate, sewn and cut: along the slope. */
  readonly slant: Figure;
  readonly slantCut: Figure;
}

/** The four sizes of a cushion, and the sewn one beside the finished. Millimetres, unrounded. */
export interface Sizes {
  readonly seat: Plane;
  readonly finished: Plane & { readonly height: Figure };
  /** What the cover measures seam to seam. */
  readonly sewn: Plane & { readonly height: Figure };
  readonly core: Plane & { readonly height: Figure };
  /** The plates. */
  readonly cut: Plane;
  readonly boxingCut: Figure;
  readonly seam: Figure;
  /** Allowance of the plates’ edges where a welt’s flange sets another than the seam’s; null where the seam’s holds. */
  readonly flange: Figure | null;
  /** Plates and boxing are cut to the core, with nothing added: their seam lines lie an allowance inside it. */
  readonly cutToCore: boolean;
  /** Of a wedge: its thin edge. Heights elsewhere are those of the thick one. */
  readonly slope: Slope | null;
}

/** Which size was measured; `sewn` is an old cover, seam to seam. */
export const GIVEN = ['seat', 'finished', 'core', 'sewn'] as const;
export type GivenSize = (typeof GIVEN)[number];

/** A size apart from another by less than this is the same on paper, mm. */
export const SAME_SIZE_MM = 0.01;

/** Whether the cover is sewn larger or smaller than the finished size, so that both must be said. */
export function sewnApart({ finished, sewn }: Sizes): boolean {
  return (['width', 'depth', 'height'] as const).some((key) => Math.abs(sewn[key].value - finished[key].value) > SAME_SIZE_MM);
}
