import { seededRandom } from '../kernel/random';
import { stackLaw } from './feel';
import { pressureOf } from './load-curve';
import { shipped } from '../shop/assumptions';

/** What a simulated press gauge stands on: a foam nobody is told of. */
export interface HiddenFoam {
  readonly hardness25N: number;
  readonly supportFactor: number;
  readonly thicknessMm: number;
}

/** Creep: this share of the strain comes at once, the rest over the minute as the logarithm of time. */
const AT_ONCE = 0.92;
const MINUTE_S = 60;
/** A gauge trembles by this, mm. */
const NOISE_MM = 0.12;

/**
 * A simulated press gauge: the thickness under a plate at each second after the load was laid on, with creep and noise. After a minute it reads what
 * the load curve says, within the noise. Deterministic for a seed.
 */
export function simulatedPress(foam: HiddenFoam, massKg: number, plateAreaCm2: number, seed: number): (second: number) => number {
  const random = seededRandom(seed);
  const pressurePa = pressureOf(massKg, plateAreaCm2);
  const [layer] = stackLaw([{ kind: 'foam', family: 'conventional', densityKgM3: 30, ...foam }], false, shipped)(pressurePa);
  const sinkMm = layer?.sinkMm ?? 0;
  return (second) => {
    const crept = AT_ONCE + (1 - AT_ONCE) * Math.min(1, Math.log1p(Math.max(0, second)) / Math.log1p(MINUTE_S));
    const noise = (random() + random() + random() - 1.5) * NOISE_MM;
    return foam.thicknessMm - sinkMm * crept + noise;
  };
}
