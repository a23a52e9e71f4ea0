import * as z from 'zod';
import type { Constants } from '../shop/assumptions';

/** A core weighed wet at intervals, bare or in its cover. */
export const dryingSchema = z.strictObject({
  /** Weight before it was wetted. */
  dryKg: z.number().positive().max(200),
  readings: z
    .array(
      z.strictObject({
        minute: z.number().nonnegative().max(100_000),
        massKg: z.number().positive().max(300),
        covered: z.boolean(),
        /** Knocked against a grate just before. */
        knocked: z.boolean().optional(),
      }),
    )
    .max(200),
});
export type Drying = z.infer<typeof dryingSchema>;

export interface DryingCurve {
  readonly covered: boolean;
  readonly points: readonly { readonly minute: number; readonly waterKg: number; readonly knocked: boolean }[];
  /** When it counts as dry, minutes after the first reading; `extrapolated` beyond the last one. Null while that cannot be said. */
  readonly dryAfter: { readonly minutes: number; readonly extrapolated: boolean } | null;
}

/** The minute at which water falls to `level` between or beyond two readings, falling as an exponential does. */
function minuteAt(level: number, a: { minute: number; waterKg: number }, b: { minute: number; waterKg: number }): number | null {
  if (a.waterKg <= b.waterKg || b.minute <= a.minute || b.waterKg <= 0) return b.waterKg <= level && a.waterKg > level ? b.minute : null;
  const rate = Math.log(a.waterKg / b.waterKg) / (b.minute - a.minute);
  return a.minute + Math.log(a.waterKg / level) / rate;
}

function dryAfter(points: DryingCurve['points'], share: number): DryingCurve['dryAfter'] {
  const [first] = points;
  if (!first || points.length < 2 || first.waterKg <= 0) return null;
  const level = first.waterKg * share;
  for (let i = 1; i < points.length; i++) {
    const [a, b] = [points[i - 1], points[i]];
    if (a && b && b.waterKg <= level) {
      const minute = minuteAt(level, a, b);
      return { minutes: (minute ?? b.minute) - first.minute, extrapolated: false };
    }
  }
  const [a, b] = points.slice(-2);
  const minute = a && b ? minuteAt(level, a, b) : null;
  return minute === null ? null : { minutes: minute - first.minute, extrapolated: true };
}

/** The drying curves of a sample, bare first: water still held over time, and the time until it counts as dry. */
export function dryingCurves(drying: Drying, assume: Constants): DryingCurve[] {
  return [false, true].flatMap((covered) => {
    const points = drying.readings
      .filter((one) => one.covered === covered)
      .sort((a, b) => a.minute - b.minute)
      .map(({ minute, massKg, knocked }) => ({ minute, waterKg: Math.max(0, massKg - drying.dryKg), knocked: knocked ?? false }));
    return points.length ? [{ covered, points, dryAfter: dryAfter(points, assume('dryShare')) }] : [];
  });
}
