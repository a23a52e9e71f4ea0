import * as z from 'zod';
import {
  offered,
  clothSchema,
  fillingSchema,
  gradeSchema,
  remnantSchema,
  salvagedZipSchema,
  waddingSchema,
  type Cloth,
  type Grade,
  type Stock,
  type Wadding,
} from '../material/material';
import { shopDaySchema } from './day';
import { constantsOf, RETIRED_ASSUMPTIONS, type Assumed } from './assumptions';
import type { UnitSystem } from '../units/length';
import { COOL_EDGES, FILL_WAYS, MACHINES, RAW_EDGES } from './ways';
import { EARLIER_SCHOOLS, schoolSchema, SHIPPED_SCHOOLS, WRAP_FIXES, type SchoolRow } from './schools';

/** Calibrated constants without those that no law uses any more. */
function withoutRetired(calibration: unknown): unknown {
  if (typeof calibration !== 'object' || calibration === null) return calibration;
  return Object.fromEntries(Object.entries(calibration).filter(([key]) => !RETIRED_ASSUMPTIONS.includes(key)));
}

/** The shop's own values of constants, by key. Which keys there are is known above, where constructions bring their own: `calibratedShopSchema` refuses others. */
export const calibrationSchema = z.preprocess(withoutRetired, z.record(z.string().min(1).max(60), z.number().finite()));

/** Something that checks taught and a person took: a constant's value, or a school with ease of its own. */
export const learntSchema = z.strictObject({
  id: z.uuid(),
  day: z.iso.date(),
  what: z.enum(['constant', 'school']),
  /** The constant's key, or the new school's id. */
  key: z.string().min(1).max(60),
  /** What it is called, in words. */
  name: z.string().min(1).max(200),
  /** The shop's own value before; null: the shipped one, or a school. */
  from: z.number().finite().nullable(),
  to: z.number().finite().nullable(),
  /** From how many checks. */
  checks: z.int().min(1).max(100_000),
  /** Not taken any more since this day. */
  takenBack: z.iso.date().optional(),
});
export type TakenLearnt = z.infer<typeof learntSchema>;

/** What a shop keeps: its units, the step it cuts to, its materials and its calibrated constants. */
export const shopSchema = z.strictObject({
  format: z.literal('yardland/shop@1'),
  name: z.string().trim().min(1).max(80),
  units: z.enum(['inch', 'metric']),
  step: z.strictObject({ mm: z.number().positive().max(25), inch: z.number().positive().max(1) }),
  /** What covers are sewn on; absent: a machine with a walking foot. */
  machine: z.enum(MACHINES).optional(),
  /** What is done to raw edges of cotton, wool and other natural cloth that frays, and of synthetic cloth that does; absent: they are left. */
  rawEdges: z.enum(COOL_EDGES).optional(),
  rawEdgesSynthetic: z.enum(RAW_EDGES).optional(),
  /** How soft cores go in; absent: in a bag that is drawn out again. */
  fill: z.enum(FILL_WAYS).optional(),
  /** How wraps are held; absent: with adhesive. */
  wrapFix: z.enum(WRAP_FIXES).optional(),
  /** By construction, the choices that a cushion takes over when it is made that way. One that the construction no longer knows is passed over. */
  usual: z.record(z.string().max(40), z.record(z.string().max(40), z.union([z.string().max(40), z.number().finite(), z.boolean()]))).optional(),
  /** Who works here, by name only: at the bench each says which of them they are. */
  people: z
    .array(z.string().trim().min(1).max(40))
    .max(40)
    .refine((people) => new Set(people).size === people.length, 'two people of one name')
    .optional(),
  grades: z.array(gradeSchema).max(500),
  fillings: z.array(fillingSchema).max(200).default([]),
  cloths: z.array(clothSchema).max(500),
  waddings: z.array(waddingSchema).max(100),
  /** Left over and kept: foam, cloth, hides. */
  remnants: z.array(remnantSchema).max(500).default([]),
  /** Zips taken off old covers and kept: measured, each a single piece. */
  zips: z.array(salvagedZipSchema).max(500).default([]),
  /** The shop's own schools; the shipped ones stand before them. */
  schools: z
    .array(schoolSchema)
    .max(60)
    .refine(
      (schools) => new Set([...SHIPPED_SCHOOLS, ...schools].map(({ id }) => id)).size === SHIPPED_SCHOOLS.length + schools.length,
      'two schools of one id',
    )
    .default([]),
  calibration: calibrationSchema,
  /** When and by whom work is done; absent: the usual week. */
  day: shopDaySchema.optional(),
  /** What checks have taught, in the order it was taken. */
  learnt: z.array(learntSchema).max(500).optional(),
});
export type ShopDocument = z.infer<typeof shopSchema>;

/** Which rolls of wadding may be used. */
export interface Rolls {
  /** Out of doors: open ones only, where the shop has any. */
  readonly outdoors: boolean;
  /** The rolls a job has chosen, by id; they overrule. Ids that the shop does not have are passed over. */
  readonly chosen?: readonly string[] | undefined;
}

/** A shop ready for planning: its document with the schools and everything found by id. */
export interface Shop {
  readonly document: ShopDocument;
  readonly schools: readonly SchoolRow[];
  /** A school by its id: the newest edition, or the one asked for; undefined when there is none. */
  readonly school: (id: string, edition?: number) => SchoolRow | undefined;
  readonly grade: (id: string) => Grade | undefined;
  /** A foam or another filling: whatever a layer names. */
  readonly stock: (id: string) => Stock | undefined;
  readonly cloth: (id: string) => Cloth | undefined;
  /** The roll of wadding whose loft is nearest to `loftMm`, among those that may be used; undefined when the shop has none. */
  readonly waddingNear: (loftMm: number, from?: Rolls) => Wadding | undefined;
  readonly assume: (constant: Assumed, system: UnitSystem) => number;
}

export function openShop(document: ShopDocument): Shop {
  const find = <T extends { readonly id: string }>(rows: readonly T[]): ((id: string) => T | undefined) => {
    const byId = new Map(rows.map((one) => [one.id, one]));
    return (id) => byId.get(id);
  };
  const schools: readonly SchoolRow[] = [...SHIPPED_SCHOOLS, ...document.schools];
  const newest = find(schools);
  const constants = { inch: constantsOf(document.calibration, 'inch'), metric: constantsOf(document.calibration, 'metric') };
  return {
    document,
    schools,
    school: (id, edition) =>
      edition === undefined ? newest(id) : [...schools, ...EARLIER_SCHOOLS].find((one) => one.id === id && (one.edition ?? 1) === edition),
    grade: find(document.grades),
    stock: find<Stock>([...document.grades, ...document.fillings]),
    cloth: find(document.cloths),
    waddingNear: (loftMm, from) => {
      const chosen = document.waddings.filter(({ id }) => from?.chosen?.includes(id));
      const there = offered(document.waddings);
      const open = from?.outdoors ? there.filter((one) => one.open) : [];
      const rolls = chosen.length ? chosen : open.length ? open : there;
      return [...rolls].sort((a, b) => Math.abs(a.loftMm - loftMm) - Math.abs(b.loftMm - loftMm))[0];
    },
    assume: (constant, system) => constants[system](constant),
  };
}
