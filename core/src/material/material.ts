import * as z from 'zod';
import { polygonCrossing } from '../geometry/simple';

const id = z.string().regex(/^[a-z0-9][a-z0-9-]{0,59}$/);
const name = z.string().trim().min(1).max(80);
const mm = z.number().positive().max(50_000);
const tint = z.string().regex(/^#[0-9a-f]{6}$/);

/** Families of foam; latex and compressed slab follow the foam law too. */
export const FAMILIES = ['conventional', 'high-resilience', 'fast-drying', 'reconstituted', 'latex', 'slab'] as const;

/** Sheets go by round numbers: 2 in is a 50 mm sheet. Within this a thickness is the nominal one, mm. */
export const SHEET_NOMINAL_MM = 2.5;

/** Thicknesses and lofts that differ by no more than this are the same to a cushion: an inch and 25 mm, 3 in and 75 mm. */
export const SAME_TO_A_CUSHION_MM = 2;

/** Sheets of one lot on the shelf. Foam of two lots feels different: a set of cushions is cut from one. */
export const lotSchema = z.strictObject({
  lot: z.string().trim().min(1).max(60),
  thicknessMm: mm,
  sheets: z.int().nonnegative().max(10_000),
  /** As it was pressed at the gauges, N; absent: it was not. */
  hardness25N: z.number().min(20).max(1500).optional(),
});
export type Lot = z.infer<typeof lotSchema>;

/** A hardness as a supplier quotes it: so many newtons at this per cent on a block this thick. */
export const quotedSchema = z.strictObject({
  hardnessN: z.number().positive().max(3000),
  percent: z.number().min(5).max(75),
  thicknessMm: z.number().min(10).max(300),
});
export type Quoted = z.infer<typeof quotedSchema>;

/** Put away: no longer offered, but readable in the jobs that name it. */
const putAway = z.boolean().optional();

/** The day a price is of; absent: it was never said. */
const pricedOn = z.iso.date().optional();

/** A foam as the supplier sells it. Hardness is the 25 % indentation hardness of page "filling" in the docs, N on the 323 cm² foot. */
export const gradeSchema = z.strictObject({
  id,
  name,
  family: z.enum(FAMILIES),
  densityKgM3: z.number().min(8).max(300),
  hardness25N: z.number().min(20).max(1500),
  supportFactor: z.number().min(1.5).max(3.5),
  sheet: z.strictObject({ widthMm: mm, lengthMm: mm }),
  thicknessesMm: z.array(mm).min(1).max(40),
  pricePerM3: z.number().nonnegative().max(1e6),
  pricedOn,
  putAway,
  lots: z.array(lotSchema).max(200).optional(),
  /** Where `hardness25N` was converted from another per cent or thickness: the figure as given. */
  quoted: quotedSchema.optional(),
  /** The fire rating it is certified to, in the supplier's words; absent where none is known. */
  fireRating: z.string().trim().min(1).max(120).optional(),
});
export type Grade = z.infer<typeof gradeSchema>;

/** Fillings that follow a rule of thumb instead of the foam law. */
export const FILLING_KINDS = ['spring', 'feather', 'felt'] as const;
export type FillingKind = (typeof FILLING_KINDS)[number];

/** Stiffness of a spring unit: the pressure that would press it to nothing if it went on as it begins, kPa. Soft units have 10, firm ones 18. */
export const springStiffness = z.number().min(2).max(60);

/** A spring unit, a feather or down mix, or felt: made to the core's plan, in these heights. */
export const fillingSchema = z.strictObject({
  id,
  name,
  kind: z.enum(FILLING_KINDS),
  /** Weight over volume at full height. */
  densityKgM3: z.number().min(1).max(400),
  thicknessesMm: z.array(mm).min(1).max(40),
  pricePerM3: z.number().nonnegative().max(1e6),
  pricedOn,
  putAway,
  /** Of a spring unit: pressure over travel by height; absent, the shop's constant. */
  stiffnessKPa: springStiffness.optional(),
});
export type Filling = z.infer<typeof fillingSchema>;

/** Whatever a layer of a core may be of. */
export type Stock = Grade | Filling;

export const isFoam = (stock: Stock): stock is Grade => !('kind' in stock);

/** The thickness a stock is sold in that stands for `thicknessMm`: the nearest within the nominal tolerance, else the thickness itself. */
export function nominalThickness({ thicknessesMm }: Pick<Stock, 'thicknessesMm'>, thicknessMm: number): number {
  const [nearest] = [...thicknessesMm].sort((a, b) => Math.abs(a - thicknessMm) - Math.abs(b - thicknessMm));
  return nearest !== undefined && Math.abs(nearest - thicknessMm) <= SHEET_NOMINAL_MM ? nearest : thicknessMm;
}

/** A repeat of a pattern, mm; 0 where it does not repeat in that direction, as a stripe does not. */
const repeat = z.number().nonnegative().max(3000);

/** A pattern that repeats, as it lies on the roll with its upper end up. */
export const patternSchema = z
  .strictObject({
    alongMm: repeat,
    acrossMm: repeat,
    /** Every other row lies half a repeat further along. */
    halfDrop: z.boolean().optional(),
    /** From the selvedge's inner edge to the centre of the first motif; absent: half a repeat. */
    motifMm: repeat.optional(),
  })
  .refine(({ alongMm, acrossMm }) => alongMm >= 10 || acrossMm >= 10, 'no repeat: 10 mm at least, along or across')
  .refine(({ alongMm, acrossMm }) => [alongMm, acrossMm].every((mm) => mm === 0 || mm >= 10), 'a repeat is 10 mm at least, or nothing')
  .refine(({ alongMm, acrossMm, halfDrop }) => !halfDrop || (alongMm > 0 && acrossMm > 0), 'a half drop needs both repeats');
export type ClothPattern = z.infer<typeof patternSchema>;

/** A flat picture of a cloth, kept by the server: one repeat with its motif in the middle where it has a pattern, with the roll's upper end up. What it measures on the cloth, mm. */
export const clothPictureSchema = z.strictObject({ id: z.uuid(), acrossMm: z.number().min(5).max(3000), alongMm: z.number().min(5).max(3000) });
export type ClothPictureRef = z.infer<typeof clothPictureSchema>;

/** What a cover is cut of, as far as the way of working with it goes. */
export const CLOTH_KINDS = ['woven', 'leather', 'vinyl'] as const;
export type ClothKind = (typeof CLOTH_KINDS)[number];

/** A cover cloth: on the roll, or as hides. */
export const clothSchema = z.strictObject({
  id,
  name,
  /** Absent in shops kept before kinds were: woven, or leather where it comes as hides. */
  kind: z.enum(CLOTH_KINDS).optional(),
  widthMm: mm,
  selvedgeMm: z.number().nonnegative().max(200),
  thicknessMm: z.number().positive().max(10),
  oneWay: z.boolean(),
  pattern: patternSchema.optional(),
  /** Gives like stretch vinyl instead of holding like woven cloth. */
  stretches: z.boolean().optional(),
  /** Its cut edges fray; absent: woven cloth does. */
  frays: z.boolean().optional(),
  /** Melts under a hot knife: absent, vinyl does. */
  synthetic: z.boolean().optional(),
  /** May be pressed with an iron; absent: woven cloth may. */
  pressable: z.boolean().optional(),
  /** Shrinks by so much in the wash, along the roll and across it. */
  shrinkAlongPercent: z.number().min(0).max(30).optional(),
  shrinkAcrossPercent: z.number().min(0).max(30).optional(),
  tint,
  /** Shown in the round; absent: its colour, and a motif where it has a pattern. */
  picture: clothPictureSchema.optional(),
  pricePerM: z.number().nonnegative().max(1e5),
  pricedOn,
  putAway,
  /** Leather: bought as whole hides, of which so much is usable along and the width across. */
  hideMm: mm.optional(),
});
export type Cloth = z.infer<typeof clothSchema>;

/** How a cloth is worked, everything said. */
export interface ClothNature {
  readonly kind: ClothKind;
  readonly frays: boolean;
  readonly synthetic: boolean;
  readonly pressable: boolean;
}

/** How a cloth is worked: as its record says, and where that says nothing, as its kind usually is. Cloth in no catalogue is woven. */
export function natureOf(cloth: Partial<Pick<Cloth, 'kind' | 'hideMm' | 'frays' | 'synthetic' | 'pressable'>> = {}): ClothNature {
  const kind = cloth.kind ?? (cloth.hideMm === undefined ? 'woven' : 'leather');
  const woven = kind === 'woven';
  return { kind, frays: cloth.frays ?? woven, synthetic: cloth.synthetic ?? kind === 'vinyl', pressable: woven && (cloth.pressable ?? true) };
}

/** Every hole of a needle or a pin stays in it: leather and vinyl. */
export const showsHoles = ({ kind }: Pick<ClothNature, 'kind'>): boolean => kind !== 'woven';

const at = z.number().min(-20_000).max(20_000);
/** A ring of points, mm: first along (up the roll, or from the tail of a hide to its neck), then across. */
const ring = z
  .array(z.tuple([at, at]))
  .min(3)
  .max(1000)
  .refine((points) => polygonCrossing(points.map(([x, y]) => ({ x, y }))) === null, 'an outline that crosses itself');

/** How large a remnant is: right-angled as it was measured, or of any outline, which lies within its box. */
const extent = {
  widthMm: mm,
  lengthMm: mm,
  outline: ring.optional(),
  /** Where nothing may lie: holes, scars, brands. */
  flaws: z.array(ring).max(60).optional(),
  /** Where nothing that is seen may lie: the belly of a hide. */
  soft: z.array(ring).max(20).optional(),
  /** Of a patterned cloth: where the centre of a motif lies, from the lower left of its box. */
  motif: z.strictObject({ alongMm: z.number().min(0).max(20_000), acrossMm: z.number().min(0).max(20_000) }).optional(),
  /** Where it came from, and when. */
  note: z.string().max(200).optional(),
};

/** What is left over and kept: foam of a sheet, cloth of a roll, or a whole hide with its outline and flaws. */
export const remnantSchema = z.union([
  z.strictObject({ id, grade: z.string().min(1).max(60), thicknessMm: mm, ...extent }),
  z.strictObject({ id, cloth: z.string().min(1).max(60), ...extent }),
]);
export type Remnant = z.infer<typeof remnantSchema>;

/** A zip taken off an old cover and kept, as it was measured. */
export const salvagedZipSchema = z.strictObject({
  id,
  lengthMm: mm,
  colour: z.string().trim().max(40),
  /** Continuous zip may be cut shorter; one with closed ends is used as long as it is. */
  kind: z.enum(['continuous', 'closed-end']),
  /** Where it came from. */
  from: z.string().trim().max(120),
});
export type SalvagedZip = z.infer<typeof salvagedZipSchema>;

/** Polyester wadding on the roll; loft is the nominal thickness of one layer. */
export const waddingSchema = z.strictObject({
  id,
  name,
  loftMm: z.number().positive().max(200),
  rollWidthMm: mm,
  pricePerM: z.number().nonnegative().max(1e5),
  pricedOn,
  putAway,
  /** Open and quick-drying: may be used out of doors. */
  open: z.boolean().optional(),
});
export type Wadding = z.infer<typeof waddingSchema>;

/** What of the shop's things is offered: all that are not put away, and those that are chosen already. */
export function offered<T extends { readonly id: string; readonly putAway?: boolean | undefined }>(
  rows: readonly T[],
  ...chosen: readonly (string | undefined)[]
): T[] {
  return rows.filter(({ id: one, putAway: away }) => !away || chosen.includes(one));
}

/** All of the shop's things, what is put away at the end. */
export function putAwayLast<T extends { readonly putAway?: boolean | undefined }>(rows: readonly T[]): T[] {
  return [...rows].sort((a, b) => Number(a.putAway ?? false) - Number(b.putAway ?? false));
}
