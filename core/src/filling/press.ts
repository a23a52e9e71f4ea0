import * as z from 'zod';
import { issue, type Issue } from '../kernel/issue';
import { FOOT_M2, hardnessRatio, pressureOf, thicknessFactor } from './load-curve';

export const pressRequestSchema = z.strictObject({
  format: z.literal('yardland/press@1'),
  plateAreaCm2: z.number().positive().max(5000),
  thicknessMm: z.number().positive().max(600),
  readings: z
    .array(z.strictObject({ massKg: z.number().positive().max(500), loadedThicknessMm: z.number().positive().max(600) }))
    .min(1)
    .max(50),
});
export type PressRequest = z.infer<typeof pressRequestSchema>;

export interface PressResult {
  readonly hardness25N: number;
  readonly lowN: number;
  readonly highN: number;
  /** Assumed 2.2 for one reading; fitted, within 1.5 to 3.5, for several. */
  readonly supportFactor: number;
}

const USUAL_SUPPORT = 2.2;
/** Support factors that a foam of unknown kind may have. */
const SUPPORT_RANGE = [1.8, 3] as const;
const SUPPORT_LIMITS = [1.5, 3.5] as const;
/** A thickness under load is read to this, mm. */
const READING_ERROR_MM = 1;

interface Point {
  readonly strain: number;
  /** Hardness ratio that this point stands for, times hardness: N. */
  readonly force: number;
}

/** Readings as strain and the force they stand for on the standard foot at 100 mm. */
function pointsOf(request: PressRequest, offMm: number): Point[] {
  const { thicknessMm, plateAreaCm2 } = request;
  const factor = thicknessFactor(thicknessMm);
  return request.readings.map(({ massKg, loadedThicknessMm }) => ({
    strain: (thicknessMm - loadedThicknessMm - offMm) / thicknessMm,
    force: pressureOf(massKg, plateAreaCm2) * (FOOT_M2 / factor),
  }));
}

/** The hardness that fits the points best for a given support factor: least squares of the relative error. */
function hardnessFor(points: readonly Point[], supportFactor: number): number {
  const shares = points.map(({ strain, force }) => hardnessRatio(strain, supportFactor) / force);
  return shares.reduce((a, b) => a + b, 0) / shares.reduce((a, b) => a + b * b, 0);
}

/** Hardness and support factor together. f(e) is linear in S, f = f₀ + S·f₁, so force = K·f₀ + (K·S)·f₁ is a linear problem. */
function fitBoth(points: readonly Point[]): { hardness25N: number; supportFactor: number } {
  const rows = points.map(({ strain, force }) => {
    const f0 = 2 * hardnessRatio(strain, 1) - hardnessRatio(strain, 2);
    return { a: f0 / force, b: (hardnessRatio(strain, 2) - hardnessRatio(strain, 1)) / force };
  });
  const total = (of: (row: { a: number; b: number }) => number): number => rows.reduce((sum, row) => sum + of(row), 0);
  const [aa, ab, bb, a1, b1] = [total((r) => r.a * r.a), total((r) => r.a * r.b), total((r) => r.b * r.b), total((r) => r.a), total((r) => r.b)];
  const determinant = aa * bb - ab * ab;
  const k = (a1 * bb - b1 * ab) / determinant;
  const ks = (b1 * aa - a1 * ab) / determinant;
  const supportFactor = Math.min(SUPPORT_LIMITS[1], Math.max(SUPPORT_LIMITS[0], determinant > 1e-18 && k > 0 ? ks / k : USUAL_SUPPORT));
  return { hardness25N: hardnessFor(points, supportFactor), supportFactor };
}

/** What makes a press test unusable: a load that did not press, or pressed beyond what the model knows. */
export function checkPress(request: PressRequest): Issue[] {
  return request.readings.flatMap(({ loadedThicknessMm }, i) => {
    const strain = (request.thicknessMm - loadedThicknessMm) / request.thicknessMm;
    const path = `readings.${i}.loadedThicknessMm`;
    if (strain <= 0) return [issue('error', 'press-not-pressed', path, { loadedMm: loadedThicknessMm, thicknessMm: request.thicknessMm })];
    return strain > 0.9 ? [issue('error', 'press-on-the-ground', path, { loadedMm: loadedThicknessMm })] : [];
  });
}

/** Hardness of a sample from a plate, masses and thicknesses: a value and the range it may lie in. Only for requests that pass `checkPress`. */
export function press(request: PressRequest): PressResult {
  const points = pointsOf(request, 0);
  const several = request.readings.length > 1;
  const best = several ? fitBoth(points) : { hardness25N: hardnessFor(points, USUAL_SUPPORT), supportFactor: USUAL_SUPPORT };
  // A millimetre more or less on the ruler, and, where S is not measured, any S that foams have.
  const supports = several ? [best.supportFactor] : [...SUPPORT_RANGE, USUAL_SUPPORT];
  const possible = [-READING_ERROR_MM, 0, READING_ERROR_MM].flatMap((off) => {
    const moved = pointsOf(request, off).filter((point) => point.strain > 0);
    return moved.length ? supports.map((support) => hardnessFor(moved, support)) : [];
  });
  return { ...best, lowN: Math.min(best.hardness25N, ...possible), highN: Math.max(best.hardness25N, ...possible) };
}
