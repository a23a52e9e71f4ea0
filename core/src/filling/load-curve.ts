/** A foam as the load–indentation model sees it. */
export interface FoamFeel {
  /** 25 % indentation hardness, N on the 323 cm² foot at 100 mm. */
  readonly hardness25N: number;
  /** Hardness at 65 % over hardness at 25 %. */
  readonly supportFactor: number;
}

/** The indentation foot, m² (50 in²). */
const FOOT_M2 = 0.0323;
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

/** Pressure in Pa that holds a foam at a strain (0 to 1), in a stack of this much foam altogether. 0 for no strain. */
export function pressureAt(strain: number, foam: FoamFeel, foamThicknessMm: number): number {
  if (strain <= 0) return 0;
  return (foam.hardness25N / FOOT_M2) * hardnessRatio(strain, foam.supportFactor) * (foamThicknessMm / 100) ** THICKNESS_EXPONENT;
}

/** The strain at which a foam carries a pressure (Pa), by bisection to 1e-6. */
export function strainAt(pressurePa: number, foam: FoamFeel, foamThicknessMm: number): number {
  if (pressurePa <= 0) return 0;
  let low = 0;
  let high = MOST_STRAIN;
  while (high - low > 1e-6) {
    const middle = (low + high) / 2;
    if (pressureAt(middle, foam, foamThicknessMm) < pressurePa) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

/** Pressure at which wadding lies at 1/√2 of its loft, Pa; an assumption. */
const WADDING_PA = 130;

/** Thickness of wadding under a pressure (Pa). */
export function waddingAt(loftMm: number, pressurePa: number): number {
  return loftMm / Math.sqrt(1 + Math.max(0, pressurePa) / WADDING_PA);
}
