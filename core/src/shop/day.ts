import * as z from 'zod';

/** What a person may be able to do. */
export const TRADES = ['cut', 'sew', 'fill', 'staple'] as const;
export type Trade = (typeof TRADES)[number];

/** A time of a day where the shop is, to the minute: `2026-12-04T11:20`. */
export const LOCAL_MINUTE = z.iso.datetime({ local: true, precision: -1 });

const day = z.iso.date();
const hours = z.number().min(0).max(16);

/** Whole weeks of a person: hours from Monday, what they do, days off, and days with other hours. */
export const workerSchema = z.strictObject({
  hours: z.array(hours).length(7),
  does: z.array(z.enum(TRADES)).min(1).max(TRADES.length),
  off: z.array(day).max(200).optional(),
  otherwise: z.array(z.strictObject({ day, hours })).max(200).optional(),
});
export type Worker = z.infer<typeof workerSchema>;

/** A step put by hand on the plan of the day: who does it, and not before when. */
export const dayPinSchema = z.strictObject({
  job: z.uuid(),
  step: z.string().min(1).max(120),
  person: z.string().min(1).max(40).optional(),
  notBefore: LOCAL_MINUTE.optional(),
});
export type DayPin = z.infer<typeof dayPinSchema>;

/** How the shop works: when its day starts, what its people do and when, how many cut and sew at once, what was put by hand. */
export const shopDaySchema = z.strictObject({
  starts: z.string().regex(/^([01]\d|2[0-3]):[0-5]\d$/),
  /** By name; whoever is not named works the usual week and does everything. */
  workers: z.record(z.string().min(1).max(40), workerSchema).optional(),
  tables: z.int().min(1).max(20).optional(),
  machines: z.int().min(1).max(20).optional(),
  pins: z.array(dayPinSchema).max(500).optional(),
});
export type ShopDay = z.infer<typeof shopDaySchema>;

/** A week as most shops work, from Monday. */
export const USUAL_WEEK: Worker['hours'] = [8, 8, 8, 8, 8, 0, 0];
/** When a day starts that nobody has said. */
export const USUAL_START = '08:00';
