import * as z from 'zod';
import { pair, pairOf, type Pair } from '../units/length';

const amount = z.number().min(-500).max(2000);
const pairSchema = z.strictObject({ mm: amount, inch: z.number().min(-20).max(80) });
/** An amount added `times` over: twice for both sides, once for one direction only. */
const growthSchema = z.strictObject({ each: pairSchema, times: z.union([z.literal(0), z.literal(1), z.literal(2)]) });

/** Ways of wrapping a core in wadding. */
export const WRAP_WAYS = ['blanket', 'faces', 'faces-and-border', 'butted-border', 'border', 'parcel', 'whipped'] as const;
export type WrapWay = (typeof WRAP_WAYS)[number];

/** How a wrap is held on its core. */
export const WRAP_FIXES = ['adhesive', 'staples', 'stitch', 'loose'] as const;
export type WrapFix = (typeof WRAP_FIXES)[number];

/** What the cover is sewn to: the finished size, the wrapped core as it measures, or the core itself, whose oversize is then the seam allowance. */
export const SEWN_TO = ['finished', 'wrapped', 'core'] as const;

/**
 * An allowance school: the policy that leads from the seat to every cut size. A row of data, read by the one evaluator in `allowance/sizes.ts`.
 * Every number is a pair, metric | inch.
 */
export const schoolSchema = z.strictObject({
  id: z
    .string()
    .regex(/^[a-z0-9-]+$/)
    .max(60),
  name: z.string().trim().min(1).max(60),
  idea: z.string().max(300),
  /** finished = seat − this, across and deep. */
  seatGap: pairSchema,
  seam: pairSchema,
  /** core = finished + these; `coreEnds` along the longer side, at both its ends. */
  coreAcross: growthSchema,
  coreDeep: growthSchema,
  coreEnds: growthSchema,
  coreThickness: pairSchema,
  /** Long cores go slack at the ends: beyond `beyond`, add `add` for every `per` of length, in proportion. */
  longCore: z.strictObject({ beyond: pairSchema, add: pairSchema, per: z.strictObject({ mm: z.number().min(1), inch: z.number().min(0.04) }) }).nullable(),
  wrap: z.strictObject({
    loft: pairSchema,
    way: z.enum(WRAP_WAYS),
    /** Core thickness over the finished height once wadding lies on the faces, if that differs. */
    coreThicknessWrapped: pairSchema.nullable(),
    /** Whether the school counts on a wrap to fill the cover. */
    needed: z.boolean(),
    /** Loose wadding is packed into both ends of a long cushion. */
    packedEnds: z.boolean(),
  }),
  /** Seam line of the plates: what it is sewn to, and this more a side. */
  plate: z.strictObject({ to: z.enum(SEWN_TO), each: pairSchema }),
  /** Sewn boxing: what it is sewn to, and this more. */
  boxing: z.strictObject({ to: z.enum(SEWN_TO), ease: pairSchema }),
});
export interface SchoolRow extends z.infer<typeof schoolSchema> {
  /** Of a shipped row whose numbers have been corrected: which edition this is. Absent on rows that never were, and on a shop's own. */
  readonly edition?: number;
}

/** A row, and which of its numbers a cushion has overridden. */
export interface School extends SchoolRow {
  readonly overridden?: SchoolNumberKey;
}

const ZERO = pair(0, 0);
const EDGE = pair(13, 1 / 2);
const NONE = { each: ZERO, times: 0 as const };
const bothSides = (each: Pair) => ({ each, times: 2 as const });

const BASE: Omit<SchoolRow, 'id' | 'name' | 'idea'> = {
  seatGap: ZERO,
  seam: EDGE,
  coreAcross: NONE,
  coreDeep: NONE,
  coreEnds: NONE,
  coreThickness: ZERO,
  longCore: null,
  wrap: { loft: ZERO, way: 'faces', coreThicknessWrapped: null, needed: false, packedEnds: false },
  plate: { to: 'finished', each: ZERO },
  boxing: { to: 'finished', ease: ZERO },
};
const WRAPPED: SchoolRow['wrap'] = { ...BASE.wrap, loft: pair(25, 1), way: 'faces-and-border', needed: true };

/** The schools that ship, read-only. A shop's own schools join them as rows of the same kind. */
export const SHIPPED_SCHOOLS: readonly SchoolRow[] = [
  {
    ...BASE,
    id: 'padded-to-the-line',
    name: 'Padded to the line',
    idea: 'Foam and cover are both cut to the finished size; the wrap is not counted and does the filling.',
    longCore: { beyond: pair(900, 36), add: pair(6, 1 / 4), per: pair(600, 24) },
    wrap: WRAPPED,
  },
  {
    ...BASE,
    id: 'bare-and-oversize',
    name: 'Bare and oversize',
    idea: 'The foam is cut larger than the cover all round and thicker, and compresses into the corners; no wrap, or one on the faces only.',
    coreAcross: bothSides(EDGE),
    coreDeep: bothSides(EDGE),
    coreThickness: pair(25, 1),
    wrap: { ...BASE.wrap, coreThicknessWrapped: ZERO },
  },
  {
    ...BASE,
    id: 'squeezed-slab',
    name: 'Squeezed slab',
    idea: 'Cloth is cut to the oversize slab with nothing added: the oversize is the seam allowance. For compressed polyester and soft cores.',
    coreAcross: bothSides(EDGE),
    coreDeep: bothSides(EDGE),
    plate: { to: 'core', each: ZERO },
    boxing: { to: 'core', ease: ZERO },
  },
  {
    ...BASE,
    id: 'measured-over-the-wrap',
    name: 'Measured over the wrap',
    edition: 2,
    idea: 'The core is as the template; plates and boxing are measured over its wrap, lightly squeezed, with a wide seam allowance of their own: roomier and smoother.',
    seam: pair(19, 3 / 4),
    wrap: WRAPPED,
    plate: { to: 'wrapped', each: ZERO },
    boxing: { to: 'wrapped', ease: ZERO },
  },
  {
    ...BASE,
    id: 'packed-ends',
    name: 'Packed ends',
    idea: 'For long benches: the core is cut short and both ends are packed with loose wadding, so that the corners stay full.',
    coreEnds: bothSides(pair(-13, -1 / 2)),
    wrap: { ...WRAPPED, packedEnds: true },
    boxing: { to: 'finished', ease: EDGE },
  },
  {
    ...BASE,
    id: 'full-block',
    name: 'Full block',
    edition: 2,
    idea: 'Tall layered blocks are cut a little full, in plan and in height; no wrap, or a thin one round the edges.',
    coreAcross: bothSides(pair(6, 1 / 4)),
    coreDeep: bothSides(pair(6, 1 / 4)),
    coreThickness: EDGE,
    wrap: { ...BASE.wrap, way: 'border' },
  },
  {
    ...BASE,
    id: 'sprung-and-snug',
    name: 'Sprung core, snug cover',
    edition: 2,
    idea: 'The sprung core is built to the finished size with felt both ways round it, in an inner case; the cover is sewn a touch smaller in plan and as high as the case.',
    wrap: { ...BASE.wrap, way: 'blanket' },
    plate: { to: 'finished', each: pair(-6, -1 / 4) },
  },
  {
    ...BASE,
    id: 'deck-tight',
    name: 'Deck-tight',
    edition: 2,
    idea: 'One long core between arms: fuller from front to back only, wrapped all round with its ends folded like a parcel.',
    coreDeep: { each: pair(25, 1), times: 1 },
    wrap: { ...WRAPPED, way: 'parcel' },
  },
];

const shipped = (id: string): SchoolRow => SHIPPED_SCHOOLS.find((one) => one.id === id) as SchoolRow;

/** Shipped rows as they were before they were corrected. A job that was made by one keeps it until a person takes the new row. */
export const EARLIER_SCHOOLS: readonly SchoolRow[] = [
  {
    ...shipped('measured-over-the-wrap'),
    edition: 1,
    seam: EDGE,
    plate: { to: 'wrapped', each: pair(6, 1 / 4) },
    boxing: { to: 'wrapped', ease: EDGE },
  },
  { ...shipped('full-block'), edition: 1, coreThickness: ZERO },
  { ...shipped('sprung-and-snug'), edition: 1, boxing: { to: 'finished', ease: pair(-6, -1 / 4) } },
  { ...shipped('deck-tight'), edition: 1, wrap: { ...WRAPPED, way: 'faces' } },
];

/** A number of a school that can be edited, or overridden by one cushion. */
export interface SchoolNumber {
  readonly key: SchoolNumberKey;
  /** What it is called beside its field, and in a why. */
  readonly word: string;
  readonly short: string;
  readonly leastMm: number;
  readonly mostMm: number;
  /** Null where the school has no such rule. */
  readonly get: (school: SchoolRow) => Pair | null;
  readonly set: <S extends SchoolRow>(school: S, value: Pair) => S;
}

export const SCHOOL_NUMBER_KEYS = [
  'seat-gap',
  'seam',
  'core-across',
  'core-deep',
  'core-ends',
  'core-thickness',
  'long-beyond',
  'long-add',
  'long-per',
  'wrap-loft',
  'plate',
  'boxing',
] as const;
export type SchoolNumberKey = (typeof SCHOOL_NUMBER_KEYS)[number];

const grown = (key: 'coreAcross' | 'coreDeep' | 'coreEnds', word: string, times: 1 | 2): Omit<SchoolNumber, 'key'> => ({
  word,
  short: 'a side',
  leastMm: -200,
  mostMm: 200,
  get: (school) => school[key].each,
  set: (school, each) => ({ ...school, [key]: { each, times: each.mm === 0 && each.inch === 0 ? 0 : school[key].times || times } }),
});
const long = (key: 'beyond' | 'add' | 'per', word: string, short: string, leastMm: number, mostMm: number): Omit<SchoolNumber, 'key'> => ({
  word,
  short,
  leastMm,
  mostMm,
  get: (school) => school.longCore?.[key] ?? null,
  set: (school, value) => (school.longCore ? { ...school, longCore: { ...school.longCore, [key]: value } } : school),
});

const NUMBERS: Record<SchoolNumberKey, Omit<SchoolNumber, 'key'>> = {
  'seat-gap': { word: 'seat gap', short: 'gap', leastMm: 0, mostMm: 100, get: (school) => school.seatGap, set: (school, seatGap) => ({ ...school, seatGap }) },
  seam: { word: 'seam allowance', short: 'seam', leastMm: 3, mostMm: 50, get: (school) => school.seam, set: (school, seam) => ({ ...school, seam }) },
  'core-across': grown('coreAcross', 'core wider, a side', 2),
  'core-deep': grown('coreDeep', 'core deeper, a side', 2),
  'core-ends': { ...grown('coreEnds', 'core longer, an end', 2), short: 'an end' },
  'core-thickness': {
    word: 'core thicker than the height',
    short: 'over the height',
    leastMm: -100,
    mostMm: 200,
    get: (school) => school.coreThickness,
    set: (school, coreThickness) => ({ ...school, coreThickness }),
  },
  'long-beyond': long('beyond', 'a core is long beyond', 'limit', 300, 5000),
  'long-add': long('add', 'a long core gets more', 'more', 0, 100),
  'long-per': long('per', 'for every', 'of length', 100, 2000),
  'wrap-loft': {
    word: 'wrap, one layer',
    short: 'wrap',
    leastMm: 0,
    mostMm: 150,
    get: (school) => school.wrap.loft,
    set: (school, loft) => ({ ...school, wrap: { ...school.wrap, loft } }),
  },
  plate: {
    word: 'plate larger, a side',
    short: 'a side',
    leastMm: -100,
    mostMm: 100,
    get: (school) => (school.plate.to === 'core' ? null : school.plate.each),
    set: (school, each) => ({ ...school, plate: { ...school.plate, each } }),
  },
  boxing: {
    word: 'boxing higher',
    short: 'boxing ease',
    leastMm: -100,
    mostMm: 100,
    get: (school) => (school.boxing.to === 'core' ? null : school.boxing.ease),
    set: (school, ease) => ({ ...school, boxing: { ...school.boxing, ease } }),
  },
};

/** Every editable number of a school, in the order in which they are read. */
export const SCHOOL_NUMBERS: readonly SchoolNumber[] = SCHOOL_NUMBER_KEYS.map((key) => ({ key, ...NUMBERS[key] }));

/** One number of a school. */
export function schoolNumber(key: SchoolNumberKey): SchoolNumber {
  return { key, ...NUMBERS[key] };
}

/** A school with one number put over by a cushion; the same school where it has no such number. */
export function overridden(school: SchoolRow, key: SchoolNumberKey, mm: number): School {
  const number = schoolNumber(key);
  return number.get(school) === null ? school : { ...number.set(school, pairOf(mm)), overridden: key };
}
