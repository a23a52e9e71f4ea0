import * as z from 'zod';
import { LOCAL_MINUTE, shopDaySchema, TRADES } from '../shop/day';
import { WORKS } from '../shop/minutes';
import type { Day } from '../schedule/day/day';
import type { Promised, Saver } from '../schedule/day/promise';

const day = z.iso.date();
const time = LOCAL_MINUTE;
const part = z.strictObject({ start: time, end: time });
const setup = z.record(z.string(), z.string()).nullable();
const awaited = z.strictObject({ what: z.enum(['foam', 'cloth']), on: day, assumed: z.boolean() });
const otherwise = z.strictObject({ day, hours: z.number() });

const plannedStepSchema = z.strictObject({
  job: z.uuid(),
  step: z.string(),
  person: z.string(),
  parts: z.array(part).min(1),
  does: z.enum(TRADES),
  needs: z.enum(['table', 'machine']).nullable(),
  minutes: z.number(),
  work: z.enum(WORKS),
  of: z.string(),
  operations: z.array(z.strictObject({ cushion: z.int(), id: z.string() })),
  inHand: z.boolean(),
  restsUntil: time.nullable(),
  pinned: z.boolean(),
  setup,
  after: z.array(z.string()),
});

const plannedJobSchema = z.strictObject({
  id: z.uuid(),
  name: z.string(),
  customer: z.string(),
  due: day.nullable(),
  end: time,
  lateDays: z.number(),
  bound: time,
  awaits: z.array(awaited),
});

/** Who does what when, from now on. */
export const daySchema = z.strictObject({
  from: day,
  now: z.string(),
  starts: z.string(),
  people: z.array(
    z.strictObject({ name: z.string(), does: z.array(z.enum(TRADES)), hours: z.array(z.number()).length(7), off: z.array(day), otherwise: z.array(otherwise) }),
  ),
  steps: z.array(plannedStepSchema),
  jobs: z.array(plannedJobSchema),
  setups: z.number(),
  lateness: z.number(),
  problems: z.array(
    z.strictObject({
      code: z.string(),
      path: z.string(),
      severity: z.enum(['error', 'warning', 'note']),
      data: z.record(z.string(), z.union([z.string(), z.number()])),
    }),
  ),
}) as unknown as z.ZodType<Day>;

/** The plan of the day, and what else there is to it. */
export const shownDaySchema = z.strictObject({
  day: daySchema,
  /** Jobs that are not at work yet: what could be promised for them is asked for one by one. */
  open: z.array(z.strictObject({ id: z.uuid(), name: z.string(), customer: z.string(), minutes: z.number() })),
  /** Where calendars subscribe to it, below the server's address. */
  calendar: z.string(),
});
export type ShownDay = z.infer<typeof shownDaySchema>;

const pushes = z.array(z.strictObject({ job: z.uuid(), name: z.string(), days: z.number() }));

export const promisedSchema = z.strictObject({
  job: z.uuid(),
  end: time,
  day,
  alone: time,
  awaits: z.array(awaited),
  heldUp: z.array(z.strictObject({ by: z.string(), step: plannedStepSchema, hours: z.number(), until: time })),
  pushes,
}) as unknown as z.ZodType<Promised>;

/** Something tried out on the plan. */
export const whatIfSchema = z.strictObject({
  /** How the shop works, where that was just changed here: the plan does not wait until it is kept. */
  shopDay: shopDaySchema.optional(),
  otherwise: z
    .array(z.strictObject({ person: z.string().min(1).max(40), day, hours: z.number().min(0).max(16) }))
    .max(20)
    .optional(),
  waits: z
    .array(z.strictObject({ job: z.uuid(), until: day }))
    .max(20)
    .optional(),
});

/** The plan that the next one goes on from: whose each step is, and when it was to begin. */
export const standingSchema = z.strictObject({
  steps: z.array(z.strictObject({ job: z.uuid(), step: z.string().min(1).max(120), person: z.string().min(1).max(80), start: time })).max(80_000),
});

export const saversSchema = z.strictObject({
  savers: z.array(z.strictObject({ whatIf: whatIfSchema, lateDays: z.number(), end: time, pushes })) as unknown as z.ZodType<readonly Saver[]>,
});
