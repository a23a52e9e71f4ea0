import * as z from 'zod';
import { given, law, volume, type Figure } from '../kernel/figure';
import { issue, under, type Issue } from '../kernel/issue';
import type { Constants } from '../shop/assumptions';
import { dryingCurves, dryingSchema, type DryingCurve } from './drying';
import { setOf } from './old-core';
import { checkPress, press, type PressRequest, type PressResult } from './press';

const mm = z.number().positive().max(3000);

/** What was measured on a piece of foam at the bench: a sample from the supplier, an offcut, or an old core. */
export const sampleSchema = z.strictObject({
  format: z.literal('yardland/sample@1'),
  name: z.string().trim().min(1).max(120),
  date: z.iso.date(),
  lot: z.string().max(60).optional(),
  note: z.string().max(2000).optional(),
  thicknessMm: mm.optional(),
  widthMm: mm.optional(),
  depthMm: mm.optional(),
  /** Area of a piece that is no rectangle, as its template has it; counts instead of the two sides. */
  areaMm2: z.number().positive().max(1e8).optional(),
  massKg: z.number().positive().max(200).optional(),
  press: z
    .strictObject({
      plateAreaCm2: z.number().positive().max(5000),
      readings: z.array(z.strictObject({ massKg: z.number().positive().max(500), loadedThicknessMm: z.number().positive().max(600) })).max(50),
    })
    .optional(),
  /** Thickness at the edge and in the middle. */
  edgeMm: mm.optional(),
  middleMm: z.number().nonnegative().max(3000).optional(),
  /** Seconds to come back after a squeeze. */
  recoverySeconds: z.number().nonnegative().max(3600).optional(),
  /** Litres poured on, and collected below after so many minutes. */
  drain: z
    .strictObject({
      pouredL: z.number().positive().max(100),
      collected: z.array(z.strictObject({ minute: z.number().nonnegative().max(100_000), litres: z.number().nonnegative().max(100) })).max(100),
    })
    .optional(),
  drying: dryingSchema.optional(),
});
export type Sample = z.infer<typeof sampleSchema>;

export interface SampleResults {
  /** kg/m³. */
  readonly density: Figure | null;
  readonly press: PressResult | null;
  /** Share of the edge's thickness that the middle has lost. */
  readonly set: number | null;
  /** Litres held back for each litre of foam, at each time that was read. */
  readonly retained: readonly { readonly minute: number; readonly perLitre: number }[];
  readonly drying: readonly DryingCurve[];
  readonly problems: readonly Issue[];
}

const areaOf = ({ areaMm2, widthMm, depthMm }: Sample): number | null => areaMm2 ?? (widthMm && depthMm ? widthMm * depthMm : null);

/** Litres of foam in a sample; null until its size is known. */
export function litresOf(sample: Sample): number | null {
  const area = areaOf(sample);
  return area !== null && sample.thicknessMm ? (area * sample.thicknessMm) / 1e6 : null;
}

function densityOf(sample: Sample): Figure | null {
  const { massKg, widthMm, depthMm, thicknessMm, areaMm2 } = sample;
  if (massKg === undefined || thicknessMm === undefined || areaOf(sample) === null) return null;
  const thick = given('thick', thicknessMm, 'entered');
  const sides =
    areaMm2 === undefined ? [given('wide', widthMm ?? 0, 'entered'), given('deep', depthMm ?? 0, 'entered')] : [given('area', areaMm2, 'entered', 'mm²')];
  // A kilogram a cubic metre is a gram a litre.
  return law('kg/m³', '1000 × {0} ÷ {1}', [given('kg', massKg, 'entered', 'count'), volume('sample', [...sides, thick])], 'count');
}

/** Everything that a sample's readings say by the shop's constants, each on its own; what was not measured is null. Readings that cannot be are problems. */
export function sampleResults(sample: Sample, assume: Constants): SampleResults {
  const litres = litresOf(sample);
  const problems: Issue[] = [];
  let pressed: PressResult | null = null;
  if (sample.press && sample.press.readings.length > 0 && sample.thicknessMm !== undefined) {
    const request: PressRequest = { format: 'yardland/press@1', thicknessMm: sample.thicknessMm, ...sample.press };
    const wrong = checkPress(request);
    problems.push(...under('press', wrong));
    if (wrong.length === 0) pressed = press(request);
  }
  const poured = sample.drain?.pouredL ?? 0;
  const retained = litres === null ? [] : (sample.drain?.collected ?? []).map((one) => ({ minute: one.minute, perLitre: (poured - one.litres) / litres }));
  if (sample.drain?.collected.some(({ litres }) => litres > poured))
    problems.push(issue('error', 'more-collected-than-poured', 'drain.collected', { pouredL: poured }));
  return {
    density: densityOf(sample),
    press: pressed,
    set: setOf(sample),
    drying: sample.drying ? dryingCurves(sample.drying, assume) : [],
    retained: [...retained].sort((a, b) => a.minute - b.minute),
    problems,
  };
}
