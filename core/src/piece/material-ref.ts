/** The cloths of one cushion, by what they are for. One that is not named is the main one. */
export const CLOTH_SLOTS = ['main', 'bottom', 'boxing', 'welt', 'lining', 'ticking', 'mesh', 'grip'] as const;
export type ClothSlot = (typeof CLOTH_SLOTS)[number];

/** What a piece is cut from. `old-core`: from the foam that is there already; `thin-foam`: an edging, cut from any offcut of that thickness. */
export type MaterialRef =
  | { readonly kind: 'cloth'; readonly slot: ClothSlot }
  | { readonly kind: 'foam'; readonly grade: string; readonly thicknessMm: number }
  /** `strip`: ripped off an old core. */
  | { readonly kind: 'old-core'; readonly thicknessMm: number; readonly strip?: true }
  | { readonly kind: 'thin-foam'; readonly thicknessMm: number }
  /** A spring unit, a feather case or felt, made to size. */
  | { readonly kind: 'filling'; readonly filling: string; readonly thicknessMm: number }
  /** The roll is found by the loft. */
  | { readonly kind: 'wadding'; readonly loftMm: number };
export type MaterialKind = MaterialRef['kind'];
