import * as z from 'zod';
import { constructionSchema } from '../cover/list';
import { BIAS_WAYS } from '../cover/welt/bias';
import { CLOTH_SLOTS } from '../piece/material-ref';
import { CROWN_WAYS } from '../crown/domed';
import { CUTTING_TOOLS } from '../allowance/tools';
import { LOOKS } from '../piece/operation';
import { GIVEN } from '../piece/sizes';
import { POSTURES } from '../filling/under-and-over';
import { COVER_FINDINGS, FINDINGS, RATINGS } from '../filling/old-core';
import { salvagedZipSchema } from '../material/material';
import { rangeWords } from '../units/format';
import { BUILDS } from '../filling/sitters';
import { SCHOOL_NUMBER_KEYS, schoolNumber, schoolSchema, type SchoolNumberKey, WRAP_FIXES, WRAP_WAYS } from '../shop/schools';
import { TEST_FIT_COVERS } from '../allowance/test-fit';
import { outlineMarkSchema } from '../template/marks';
import { templateSchema } from '../template/shapes/shapes';
import { issue } from '../kernel/issue';
import { readWith, type Read } from '../kernel/read';
import {
  CORNERS,
  FEELS,
  FIRE_SETTINGS,
  IN_SEAT,
  JOB_FORMAT,
  JOB_STATES,
  JOB_TEXT_LIMIT,
  MOST_CUSHIONS,
  MOST_LAYERS,
  PARTS,
  PLACES,
  SUPPORTS,
  THUMB,
  USES,
  WELT_LIES,
} from './terms';
import { upgraded } from './upgrades/upgrades';
import { calibrationSchema } from '../shop/shop';
import { FILL_WAYS, MACHINES } from '../shop/ways';

const text = (most: number) => z.string().max(most);
const thickness = z.number().positive().max(1000);
const length = z.number().positive().max(20_000);
const day = z.iso.date();

/** What was seen when the seat was looked over. */
const seatSchema = z.strictObject({
  support: z.enum(SUPPORTS).optional(),
  use: z.enum(USES).optional(),
  place: z.enum(PLACES).optional(),
  deckHeightMm: z.number().nonnegative().max(3000).optional(),
  part: z.enum(PARTS).optional(),
  feel: z.enum(FEELS).optional(),
  /** Turned over now and then. */
  reversible: z.boolean().optional(),
  sitters: z
    .array(z.strictObject({ build: z.enum(BUILDS), posture: z.enum(POSTURES), frail: z.boolean().optional() }))
    .max(12)
    .optional(),
  old: z
    .strictObject({
      edgeMm: thickness.optional(),
      middleMm: z.number().nonnegative().max(1000).optional(),
      densityKgM3: z.number().positive().max(1000).optional(),
      hardness25N: z.number().positive().max(5000).optional(),
      /** The bench sample that these were taken from, by its name. */
      sample: text(120).optional(),
      rating: z.enum(RATINGS).optional(),
      /** What is written on the core. */
      mark: text(20).optional(),
      findings: z.array(z.enum(FINDINGS)).max(FINDINGS.length),
      /** Pictures kept by the server, by id. */
      pictures: z.array(z.uuid()).max(12).optional(),
    })
    .optional(),
  oldCover: z
    .strictObject({
      /** The mark of the core it came off. */
      offCore: text(20).optional(),
      findings: z.array(z.enum(COVER_FINDINGS)).max(COVER_FINDINGS.length),
      /** A new cover is made although this one could go back on. */
      renew: z.boolean().optional(),
      /** The salvaged zip of the shop that came out of it, by id. */
      zip: z.string().min(1).max(60).optional(),
      /** Parts that are taken off it for the new cover, for all of these cushions together. */
      keeps: z
        .strictObject({
          buttons: z.int().min(1).max(2000).optional(),
          eyelets: z.int().min(1).max(2000).optional(),
          handles: z.int().min(1).max(500).optional(),
          cordMm: z.number().positive().max(1e6).optional(),
        })
        .optional(),
    })
    .optional(),
  fire: z.strictObject({ setting: z.enum(FIRE_SETTINGS).optional(), rules: text(300).optional() }).optional(),
  /** Old cores and offcuts that are to become one long core, and how many people sit on it side by side. */
  oldCores: z
    .array(z.strictObject({ name: z.string().trim().min(1).max(40), lengthMm: length, depthMm: length, heightMm: thickness }))
    .max(12)
    .optional(),
  places: z.int().min(1).max(20).optional(),
  note: text(2000).optional(),
});

/** One dressed cushion measured against what was promised. */
export const checkSchema = z.strictObject({
  date: day,
  widthMm: z.number().positive().max(20_000).optional(),
  depthMm: z.number().positive().max(20_000).optional(),
  edgeMm: thickness.optional(),
  middleMm: thickness.optional(),
  /** How far a corner of the top lies off the one below it: the plates are twisted. */
  twistMm: z.number().min(0).max(500).optional(),
  corners: z.enum(CORNERS).optional(),
  welt: z.enum(WELT_LIES).optional(),
  /** Pressed with the thumb. */
  thumb: z.enum(THUMB).optional(),
  seat: z.enum(IN_SEAT).optional(),
  pictures: z.array(z.uuid()).max(6).optional(),
  remark: text(2000).optional(),
  /** What was promised when it was measured, by the plan and the constants of that day; absent on checks from before this was kept. */
  promised: z.strictObject({ widthMm: z.number(), depthMm: z.number(), edgeMm: z.number(), middleMm: z.number() }).optional(),
});
export type Check = z.infer<typeof checkSchema>;

/** A cloth as a job uses it: over the selvedges so wide, from the catalogue or not, and how it lies. */
export const clothUseSchema = z.strictObject({
  /** Over the selvedges. */
  widthMm: z.number().positive().max(10_000),
  material: z.string().max(60).optional(),
  railroaded: z.boolean().optional(),
  /** The customer's own cloth: so much of it is there, and none is bought. */
  ownLengthMm: z.number().positive().max(200_000).optional(),
  /** Washed before it is cut: it is not cut larger although it shrinks. */
  washed: z.boolean().optional(),
  /** How its bias strips are cut; absent: across the whole width as one. */
  bias: z.enum(BIAS_WAYS).optional(),
  /** The pattern is not matched, although it repeats. */
  unmatched: z.boolean().optional(),
});
export type ClothUse = z.infer<typeof clothUseSchema>;

/** A piece put by hand: which copy of which piece, on which lay and sheet, turned and moved so. */
export const pinSchema = z.strictObject({
  lay: z.string().min(1).max(60),
  item: z.string().min(1).max(120),
  copy: z.int().min(0).max(9999),
  sheet: z.int().min(0).max(999),
  x: z.number().min(-1e6).max(1e6),
  y: z.number().min(-1e6).max(1e6),
  turn: z.number().min(0).max(360),
});

/** A piece that was wrong: which, on which of the cushions, how many in each, why, and when it was seen. */
export const recutSchema = z.strictObject({
  piece: z.string().min(1).max(80),
  cushions: z.array(z.int().min(1).max(500)).min(1).max(500),
  each: z.int().min(1).max(50),
  /** Of a pair of which one is cut turned over, that one. */
  turned: z.boolean().optional(),
  why: text(200).optional(),
  date: day,
});

/** The range of a school's number in words. */
function schoolRange(input: unknown): string {
  const { number } = input as { readonly number: SchoolNumberKey };
  const { word, leastMm, mostMm } = schoolNumber(number);
  return `${word}: a length ${rangeWords(leastMm, mostMm)}`;
}

export const cushionSchema = z.strictObject({
  name: z.string().trim().min(1).max(120),
  quantity: z.int().min(1).max(500),
  /** Which size was measured; `sewn` is an old cover, seam to seam. */
  given: z.enum(GIVEN),
  template: templateSchema,
  /** Ties and buttons, riding on the outline. */
  marks: z.array(outlineMarkSchema).max(80).optional(),
  /** Of the size that was given: finished for a seat or a finished size, a kept core's thickness, an old cover's sewn height. */
  heightMm: thickness,
  school: z.string().min(1).max(60),
  /** Which edition of a shipped school it was made by; absent: the newest of this format. */
  schoolEdition: z.int().min(1).max(99).optional(),
  /** One number of the school that this cushion takes otherwise. */
  schoolNumber: z
    .strictObject({ number: z.enum(SCHOOL_NUMBER_KEYS), mm: z.number().min(-500).max(5000) })
    .refine(({ number, mm }) => mm >= schoolNumber(number).leastMm && mm <= schoolNumber(number).mostMm, {
      error: ({ input }) => schoolRange(input),
      path: ['mm'],
    })
    .optional(),
  construction: constructionSchema,
  /** Its main cloth, where it is not the job's. */
  cloth: clothUseSchema.optional(),
  /** Pieces, by id, that need not lie on their cloth's pattern although the rest is matched. */
  unmatchedPieces: z.array(z.string().min(1).max(80)).max(80).optional(),
  /** Parts of the cover that are of another cloth than its main one. */
  slots: z.partialRecord(z.enum(CLOTH_SLOTS).exclude(['main']), clothUseSchema).optional(),
  core: z.strictObject({
    layers: z
      .array(
        z.strictObject({
          grade: z.string().min(1).max(60),
          thicknessMm: thickness,
          /** The top layer rolls down over the front. */
          overFront: z.boolean().optional(),
          /** Its upper edges are cut off at 45°, so wide. */
          bevelMm: z.number().positive().max(100).optional(),
        }),
      )
      .max(MOST_LAYERS),
    /** What the foam is cut with; the saw unless told. */
    tool: z.enum(CUTTING_TOOLS).optional(),
    /** The core as it was measured after cutting, where it came out otherwise. */
    asCut: z
      .strictObject({ widthMm: z.number().positive().max(20_000), depthMm: z.number().positive().max(20_000), heightMm: thickness })
      .partial()
      .optional(),
    /** The old core goes back in, or a long one is made of old ones: no foam is bought. */
    kept: z.boolean().optional(),
  }),
  /** One layer of wrap; absent: as the school usually takes. */
  wrapLoftMm: z.number().nonnegative().max(150).optional(),
  /** Absent: as the school usually wraps. */
  wrapWay: z.enum(WRAP_WAYS).optional(),
  /** The wrapped core is tried before any cloth is cut: what it measured over the wrap, lightly squeezed, and whether plates and boxing follow it. */
  testFit: z
    .strictObject({
      widthMm: z.number().positive().max(20_000).optional(),
      depthMm: z.number().positive().max(20_000).optional(),
      heightMm: thickness.optional(),
      cover: z.enum(TEST_FIT_COVERS),
    })
    .optional(),
  /** How the wrap is held; absent: as the shop usually does it. */
  wrapFix: z.enum(WRAP_FIXES).optional(),
  /** Faces that stand proud: how far, how the plates make room for it, on how many faces, and with what pads under them. */
  crown: z
    .strictObject({
      mm: z.number().min(0).max(200),
      way: z.enum(CROWN_WAYS),
      faces: z.union([z.literal(1), z.literal(2)]),
      pads: z.strictObject({ count: z.int().min(1).max(8), loftMm: z.number().min(2).max(60) }).optional(),
    })
    .optional(),
  seat: seatSchema.optional(),
  /** One of several across a seat; `middle` is where the seat's middle lies from this part's own, mm: a pattern is laid from there, so that it runs on from one to the next. */
  split: z
    .strictObject({
      seat: text(120),
      index: z.int().min(1).max(12),
      of: z.int().min(2).max(12),
      middle: z.strictObject({ xMm: z.number().min(-20_000).max(20_000), yMm: z.number().min(-20_000).max(20_000) }).optional(),
    })
    .optional(),
  /** Sewn on another machine than the shop's usual one. */
  machine: z.enum(MACHINES).optional(),
  /** The salvaged zip that its cover is made for: opening and plaque follow from it. By value: a zip that is sewn in leaves the stock. */
  madeForZip: salvagedZipSchema.optional(),
  /** Its core goes in otherwise than the shop's usual way. */
  fill: z.enum(FILL_WAYS).optional(),
  /** Steps done, by the step's own name: on how many of the cushions, and the sizes of its pieces when it was ticked, so that a later change shows. */
  bench: z
    .strictObject({
      done: z.record(
        z.string().max(80),
        z.strictObject({
          count: z.int().min(0).max(500),
          /** On which of the cushions, from 1; absent: the first so many. */
          on: z.array(z.int().min(1).max(500)).max(500).optional(),
          sizes: z.record(z.string().max(60), z.tuple([z.number().finite(), z.number().finite()])).optional(),
          /** Who ticked each of the cushions, by number: the name the shop has for them. */
          by: z.record(z.string().regex(/^\d{1,3}$/), text(40)).optional(),
        }),
      ),
      /** Minutes clocked, by step, over all cushions. */
      minutes: z.record(z.string().max(80), z.number().min(0).max(1e5)).optional(),
      /** The step that the clock runs on, since when, and whose it is. */
      clock: z.strictObject({ step: z.string().max(80), since: z.iso.datetime(), by: z.string().min(1).max(40).optional() }).optional(),
      /** Pieces that were wrong and are cut anew. */
      recuts: z.array(recutSchema).max(200).optional(),
      /** Looks that were answered with no: at what, on which of the cushions, and whether it was sewn again or a piece was wrong. */
      looks: z
        .array(
          z.strictObject({
            kind: z.enum(LOOKS),
            cushions: z.array(z.int().min(1).max(500)).min(1).max(500),
            did: z.enum(['restitched', 'piece']),
            date: day,
          }),
        )
        .max(500)
        .optional(),
      /** Pieces that stay as they were cut although the plan has changed since: width and height, and the seam they are sewn with instead, mm. */
      kept: z
        .record(
          z.string().max(60),
          z.strictObject({ sizes: z.tuple([z.number().finite(), z.number().finite()]), seamMm: z.number().min(1).max(100).optional() }),
        )
        .optional(),
    })
    .optional(),
  checks: z.array(checkSchema).max(500).optional(),
  note: text(2000).optional(),
});
export type Cushion = z.infer<typeof cushionSchema>;

const threeSizes = z.strictObject({ widthMm: length, depthMm: length, heightMm: thickness });

/** A material as it was on the day a job was delivered. */
export const materialThenSchema = z.strictObject({
  id: z.string().min(1).max(60),
  name: text(80),
  price: z.number().nonnegative(),
  hardness25N: z.number().positive().optional(),
});
export type MaterialThen = z.infer<typeof materialThenSchema>;

export const jobSchema = z.strictObject({
  format: z.literal(JOB_FORMAT),
  name: z.string().trim().min(1).max(120),
  customer: text(120).optional(),
  units: z.enum(['inch', 'metric']),
  state: z.enum(JOB_STATES).optional(),
  dueDate: day.optional(),
  note: text(5000).optional(),
  /** Made to practise on: the mistakes in it, by their names. */
  practice: z.array(z.string().max(40)).max(20).optional(),
  /** The days on which what was ordered for it is expected; nothing that needs it is planned before. */
  awaits: z.strictObject({ foam: day.optional(), cloth: day.optional() }).optional(),
  /** Money there is for new cores now; the rest waits. */
  budget: z.number().nonnegative().max(1e7).optional(),
  cushions: z
    .array(cushionSchema)
    .min(1)
    .max(100)
    .refine(
      (cushions) => cushions.reduce((sum, { quantity }) => sum + quantity, 0) <= MOST_CUSHIONS,
      `a job holds at most ${MOST_CUSHIONS} cushions altogether; make two jobs of it`,
    ),
  /** The rolls of wadding that its wraps and pads come off, by id; absent: whichever of the shop's is nearest in loft, out of doors an open one. */
  waddings: z.array(z.string().min(1).max(60)).min(1).max(20).optional(),
  /** Pieces that a person has put somewhere on a lay, by the lay's key; the rest is laid round them. */
  pins: z.array(pinSchema).max(500).optional(),
  /** Lays are looked for ten times as long. */
  lays: z.enum(['thorough']).optional(),
  /** Foam is sawn from edge to edge of what is cut. */
  foamCuts: z.enum(['edge-to-edge']).optional(),
  /** Which lot of a foam, or batch of a cloth, came for it; `before`: what a trial cushion, or the job that this one repeats, was cut from. */
  lots: z
    .array(z.strictObject({ material: z.string().min(1).max(60), lot: z.string().trim().min(1).max(60), day: day.optional(), before: z.boolean().optional() }))
    .max(60)
    .optional(),
  /** Salvaged zips of the shop that are set aside for it, by id. */
  zips: z.array(z.string().min(1).max(60)).max(200).optional(),
  /** Remnants and hides of the shop that are set aside for it, by id: they are cut from first. */
  remnants: z.array(z.string().min(1).max(60)).max(100).optional(),
  /** The day it was delivered, and what held in the shop on that day: for the day on which one more is wanted. */
  delivered: z
    .strictObject({
      on: day,
      calibration: calibrationSchema,
      /** The materials it names, as they were. */
      materials: z.array(materialThenSchema).max(200),
      /** The shop's own schools that it was made by. */
      schools: z.array(schoolSchema).max(60),
    })
    .optional(),
  /** It is made once more after a cushion of another job, since `on`: which, when that was delivered, and what it was sewn to and measured. */
  repeats: z
    .strictObject({
      id: z.uuid().optional(),
      job: text(120),
      cushion: text(120),
      on: day.optional(),
      delivered: day.optional(),
      sewn: threeSizes,
      measured: threeSizes.partial().optional(),
    })
    .optional(),
  /** The main cloth of every cushion that names none of its own. */
  cloth: clothUseSchema,
});
/** A job document. Lengths in millimetres; a field left out means "as the school or the shop says". */
export type Job = z.infer<typeof jobSchema>;

/** Reads a job document of any format there has been: the document in today's, or every problem with its path. */
export function readJob(value: unknown): Read<Job> {
  return readWith(jobSchema, upgraded(value));
}

/** Whether a stored document is in today's format, so that its text can be handed on as it is. */
export function isCurrent(text: string): boolean {
  return text.startsWith(`{"format":"${JOB_FORMAT}"`);
}

/** Reads a document from where the server keeps it; never throws. */
export function readStoredJob(text: string): Read<Job> {
  try {
    return readJob(JSON.parse(text));
  } catch {
    return { ok: false, problems: [issue('error', 'file-not-json', '')] };
  }
}

/** Reads a job from the text of a file; never throws. */
export function readJobText(text: string): Read<Job> {
  return text.length > JOB_TEXT_LIMIT ? { ok: false, problems: [issue('error', 'file-too-large', '', { limit: JOB_TEXT_LIMIT })] } : readStoredJob(text);
}
