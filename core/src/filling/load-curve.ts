import { fallingRoot } from '../kernel/root';

/** A foam as the load–indentation model sees it. */
export interface FoamFeel {
  /** 25 % indentation hardness, N on the 323 cm² foot at 100 mm. */
  readonly hardness25N: number;
  /** Hardness at 65 % over hardness at 25 %. */
  readonly supportFactor: number;
}

/** The indentation foot, m² (50 in²). */
export const FOOT_M2 = 0.0323;
/** m/s². */
export const GRAVITY = 9.81;
const KNEE = 0.1;
/** How hardness grows with the total thickness of foam; an assumption, with 100 mm as the reference. */
const THICKNESS_EXPONENT = 0.3;
/** Strains from here on are beyond the model; the curve is as good as vertical. */
const MOST_STRAIN = 0.98;

const early = (e: number): number => 1 - Math.exp(-e / KNEE);
const late = (e: number): number => e / (1 - e) ** 2;

/** The two weights of f(e) = A·h(e) + B·g(e) with f(0.25) = 1 and f(0.65) = S. */
function weights(supportFactor: number): readonly [number, number] {
  const [h1, g1, h2, g2] = [early(0.25), late(0.25), early(0.65), late(0.65)];
  const determinant = h1 * g2 - h2 * g1;
  return [(g2 - supportFactor * g1) / determinant, (supportFactor * h1 - h2) / determinant];
}

/** Hardness at strain e over hardness at 25 %: 1 at 0.25, S at 0.65. */
export function hardnessRatio(strain: number, supportFactor: number): number {
  const [a, b] = weights(supportFactor);
  const e = Math.min(strain, MOST_STRAIN);
  return a * early(e) + b * late(e);
}

/** How much harder a stack of this much foam reads than one of 100 mm. */
export function thicknessFactor(foamThicknessMm: number): number {
  return (foamThicknessMm / 100) ** THICKNESS_EXPONENT;
}

/** Pressure in Pa of a mass (kg) on an area (cm²). */
export function pressureOf(massKg: number, areaCm2: number): number {
  return (massKg * GRAVITY) / (areaCm2 / 1e4);
}

/** The load curve of one foam in a stack: the model's constants worked out once, for asking many times. */
export interface LoadCurve {
  /** Pressure in Pa that holds the foam at a strain (0 to 1); 0 for no strain. */
  readonly pressureAt: (strain: number) => number;
  /** The strain at which it carries a pressure (Pa), to 1e-6. */
  readonly strainAt: (pressurePa: number) => number;
}

/** The curve of a foam in a stack of `foamThicknessMm` of foam altogether. */
export function loadCurve(foam: FoamFeel, foamThicknessMm: number): LoadCurve {
  const [a, b] = weights(foam.supportFactor);
  const stiffness = (foam.hardness25N / FOOT_M2) * thicknessFactor(foamThicknessMm);
  const pressureAt = (strain: number): number => {
    if (strain <= 0) return 0;
    const e = Math.min(strain, MOST_STRAIN);
    return stiffness * (a * early(e) + b * late(e));
  };
  return { pressureAt, strainAt: (pressurePa) => (pressurePa <= 0 ? 0 : fallingRoot(0, MOST_STRAIN, 1e-6, (e) => pressurePa - pressureAt(e))) };
}

/** Thickness of wadding under a pressure, Pa; at `waddingPa` (the shop's constant of that name) it lies at 1/√2 of its loft. */
export function waddingAt(loftMm: number, pressurePa: number, waddingPa: number): number {
  return loftMm / Math.sqrt(1 + Math.max(0, pressurePa) / waddingPa);
}
