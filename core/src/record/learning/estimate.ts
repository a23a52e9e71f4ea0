import { SIGMA_MM, type LearntKey, type Observation, type Theta } from './observe';

/** Residuals beyond this many σ count by their size and no more by its square (Huber, 1964). */
const HUBER = 2;
/** A shipped constant is believed to within this share of itself. */
export const PRIOR_SHARE = 0.25;
/** Step of the differences, as a share of the constant. */
const STEP_SHARE = 0.01;
const ROUNDS = 12;
/** A round that moves no constant by more than this share of it is the last. */
const SETTLED = 1e-6;
/** No constant is taken below or above these shares of the shipped one. */
const LEAST = 0.2;
const MOST = 4;

/** Where the constants come out, and within what. */
export interface Estimate {
  readonly theta: Theta;
  /** One standard error of each, from the inverse of the normal matrix. */
  readonly errors: Readonly<Partial<Record<LearntKey, number>>>;
}

/** Solves a small symmetric system by elimination and gives its inverse: at most as many rows as there are constants. */
function inverse(matrix: readonly (readonly number[])[]): number[][] {
  const size = matrix.length;
  const rows = matrix.map((row, i) => [...row, ...Array.from({ length: size }, (_, k) => (k === i ? 1 : 0))]);
  for (let i = 0; i < size; i++) {
    const pivot = rows[i] as number[];
    const by = pivot[i] as number;
    for (let k = 0; k < 2 * size; k++) pivot[k] = (pivot[k] as number) / by;
    for (let j = 0; j < size; j++) {
      if (j === i) continue;
      const row = rows[j] as number[];
      const share = row[i] as number;
      for (let k = 0; k < 2 * size; k++) row[k] = (row[k] as number) - share * (pivot[k] as number);
    }
  }
  return rows.map((row) => row.slice(size));
}

/** How much the model of each check moves with each constant, by differences to both sides. */
function slopes(observations: readonly Observation[], theta: Theta, keys: readonly LearntKey[]): number[][] {
  return observations.map(({ model }) =>
    keys.map((key) => {
      const step = STEP_SHARE * theta[key];
      return (model({ ...theta, [key]: theta[key] + step }) - model({ ...theta, [key]: theta[key] - step })) / (2 * step);
    }),
  );
}

/**
 * The constants that explain the checks best: least Σ ρ((m − model)/σ) + Σ ((θ − θ₀)/τ)², ρ Huber's with 2, σ 2 mm, τ a quarter of the shipped value. Gauss–Newton, checks
 * far off weighed less (iteratively reweighted least squares). Constants not among `keys` stay as they are in `start`.
 */
export function estimate(observations: readonly Observation[], keys: readonly LearntKey[], start: Theta, shipped: Theta): Estimate {
  let theta = start;
  let covariance: number[][] = [];
  for (let round = 0; round < ROUNDS; round++) {
    const jacobian = slopes(observations, theta, keys);
    const residuals = observations.map(({ measuredMm, model }) => (measuredMm - model(theta)) / SIGMA_MM);
    const weights = residuals.map((r) => (Math.abs(r) <= HUBER ? 1 : HUBER / Math.abs(r)));
    const priors = keys.map((key) => PRIOR_SHARE * shipped[key]);
    const normal = keys.map((_, a) =>
      keys.map((__, b) => {
        const data = jacobian.reduce((sum, row, i) => sum + ((weights[i] ?? 0) * (row[a] ?? 0) * (row[b] ?? 0)) / SIGMA_MM ** 2, 0);
        return data + (a === b ? 1 / (priors[a] ?? 1) ** 2 : 0);
      }),
    );
    covariance = inverse(normal);
    const pull = keys.map((key, a) => {
      const data = jacobian.reduce((sum, row, i) => sum + ((weights[i] ?? 0) * (row[a] ?? 0) * (residuals[i] ?? 0)) / SIGMA_MM, 0);
      return data - (theta[key] - shipped[key]) / (priors[a] ?? 1) ** 2;
    });
    let most = 0;
    const next = { ...theta };
    keys.forEach((key, a) => {
      const step = (covariance[a] ?? []).reduce((sum, value, b) => sum + value * (pull[b] ?? 0), 0);
      next[key] = Math.max(LEAST * shipped[key], Math.min(MOST * shipped[key], theta[key] + step));
      most = Math.max(most, Math.abs(next[key] - theta[key]) / shipped[key]);
    });
    theta = next;
    if (most < SETTLED) break;
  }
  return { theta, errors: Object.fromEntries(keys.map((key, a) => [key, Math.sqrt(Math.max(0, covariance[a]?.[a] ?? 0))])) };
}

const rms = (values: readonly number[]): number => Math.sqrt(values.reduce((sum, value) => sum + value * value, 0) / (values.length || 1));

/** What the model is off by on checks it has not seen, mm: each is predicted from all others (leave-one-out). */
export function leaveOneOut(observations: readonly Observation[], keys: readonly LearntKey[], start: Theta, shipped: Theta): number {
  return rms(
    observations.map(({ measuredMm, model }, i) => {
      const others = observations.filter((_, k) => k !== i);
      return measuredMm - model(estimate(others, keys, start, shipped).theta);
    }),
  );
}

/** What the model is off by with given constants, mm. */
export const errorWith = (observations: readonly Observation[], theta: Theta): number =>
  rms(observations.map(({ measuredMm, model }) => measuredMm - model(theta)));
