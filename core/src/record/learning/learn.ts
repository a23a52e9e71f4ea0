import type { Job } from '../../job/document';
import type { Plan } from '../../plan/plan';
import { allButLays, planSolved } from '../../plan/solve';
import { shipped as shippedValue } from '../../shop/assumptions';
import type { Shop } from '../../shop/shop';
import type { UnitSystem } from '../../units/length';
import { errorWith, estimate, leaveOneOut } from './estimate';
import { LEARNT, observed, SIGMA_MM, type LearntKey, type Observation, type Theta } from './observe';

/** Fewer checks than this never offer anything. */
export const LEAST_CHECKS = 6;
const LEAST_SCHOOL_CHECKS = 5;
/** A tenth of a constant moves a check that tells about it by at least this, mm. */
const MOVES_MM = 0.4;
/** What is offered lies further from what is used than this many standard errors, and takes this share off the error on checks not seen. */
const APART = 2;
const FALLS_BY = 0.1;

/** Keeps the chance that any of several schools is offered for nothing as small as for one: close to the quantiles of the normal distribution (Šidák, 1967). */
const MORE_SCHOOLS = 0.37;

/** What the checks say of one constant. */
export interface LearntConstant {
  readonly key: LearntKey;
  readonly shipped: number;
  readonly used: number;
  readonly fitted: number;
  /** One standard error. */
  readonly plusMinus: number;
  /** Checks that it moves. */
  readonly checks: number;
  readonly offered: boolean;
  /** In a sentence: why it is offered, or what would tell more. */
  readonly why: string;
}

/** What the checks say of one school, once the constants are as they were fitted. */
export interface LearntSchool {
  readonly school: string;
  /** Mean of middle less edge, measured less predicted, mm. */
  readonly meanMm: number;
  readonly plusMinusMm: number;
  readonly checks: number;
  readonly offered: boolean;
}

export interface Learnt {
  readonly constants: readonly LearntConstant[];
  readonly schools: readonly LearntSchool[];
}

const NAMES: Readonly<Record<LearntKey, string>> = {
  waddingLoftShare: 'the wadding’s loft on the faces',
  sideLoftShare: 'the wadding’s loft at the sides',
  waddingPa: 'the pressure that wadding gives way to',
};

const CHECK_OF: Readonly<Record<LearntKey, string>> = {
  waddingLoftShare: 'of crowned cushions with wadding on their faces, middle and edge measured',
  sideLoftShare: 'of cushions with thick wadding round their sides, middle and edge measured',
  waddingPa: 'of soft cushions with thick wadding, middle and edge measured',
};

const constantsOf = (value: (key: LearntKey) => number): Theta => Object.fromEntries(LEARNT.map((key) => [key, value(key)])) as Theta;
const numbered = (count: number, one: string): string => `${count} ${one}${count === 1 ? '' : 's'}`;
const short = (value: number): string => (value >= 10 ? value.toFixed(0) : value.toFixed(2));

/** The plan that checks are held against: crowns that were asked for are solved, lays are not. */
export function planForChecks(job: Job, shop: Shop): Plan {
  return planSolved(job, shop, allButLays);
}

/** The constants that checks tell about, as a shop has them. */
export function constantsInUse(shop: Shop, units: UnitSystem = 'metric'): Theta {
  return constantsOf((key) => shop.assume(key, units));
}

/** The checks of a plan that tell about a crown, as the learning sees them: each is of one dressed cushion of its batch. */
export function observationsIn({ job: { units }, shop, cushions }: Plan): Observation[] {
  return cushions.flatMap((one) =>
    (one.source.checks ?? []).flatMap((check) => observed(one, check, constantsInUse(shop, units), (key) => shop.assume(key, units)) ?? []),
  );
}

/** The same of many jobs, of those that were measured. */
export function observationsOf(jobs: readonly Job[], shop: Shop): Observation[] {
  const measured = jobs.filter(({ cushions }) =>
    cushions.some(({ checks = [] }) => checks.some((one) => one.middleMm !== undefined && one.edgeMm !== undefined)),
  );
  return measured.flatMap((job) => observationsIn(planForChecks(job, shop)));
}

/** The checks that a constant moves. */
const movedBy = (observations: readonly Observation[], key: LearntKey, theta: Theta): Observation[] =>
  observations.filter(({ model }) => Math.abs(model({ ...theta, [key]: theta[key] * 1.1 }) - model(theta)) >= MOVES_MM);

interface Asked {
  readonly observations: readonly Observation[];
  readonly used: Theta;
  readonly shipped: Theta;
}

/** One constant judged beside those that are fitted with it already. */
function judged(
  { observations, used, shipped }: Asked,
  key: LearntKey,
  beside: readonly LearntKey[],
  before: Theta,
): LearntConstant & { readonly theta: Theta } {
  const moved = movedBy(observations, key, used);
  const keys = [...beside, key];
  const { theta, errors } = moved.length ? estimate(observations, keys, before, shipped) : { theta: before, errors: {} as Partial<Record<LearntKey, number>> };
  const plusMinus = errors[key] ?? shipped[key] / 4;
  const base = { key, shipped: shipped[key], used: used[key], fitted: theta[key], plusMinus, checks: moved.length, theta };
  const off = Math.abs(theta[key] - used[key]);
  if (moved.length < LEAST_CHECKS) {
    const more = LEAST_CHECKS - moved.length;
    const have = moved.length ? `${numbered(moved.length, 'check')} so far` : 'No check so far';
    return { ...base, offered: false, why: `${have} ${moved.length <= 1 ? 'tells' : 'tell'} about ${NAMES[key]}: ${more} more ${CHECK_OF[key]}, would.` };
  }
  if (off <= APART * plusMinus) {
    // The error shrinks with the root of the checks.
    const wanted = Math.ceil(moved.length * ((APART * plusMinus) / Math.max(off, plusMinus / 10)) ** 2) - moved.length;
    const tells = wanted > 0 && wanted < 200 ? ` About ${wanted} more ${CHECK_OF[key]}, would tell it from what is used.` : '';
    return {
      ...base,
      offered: false,
      why: `${numbered(moved.length, 'check')}: ${short(theta[key])} ± ${short(plusMinus)} does not differ from ${short(used[key])} by more than chance.${tells}`,
    };
  }
  const [with_, without] = [
    leaveOneOut(observations, keys, before, shipped),
    beside.length ? leaveOneOut(observations, beside, before, shipped) : errorWith(observations, used),
  ];
  const falls = with_ <= (1 - FALLS_BY) * without;
  const words = `${numbered(moved.length, 'check')}: with ${short(theta[key])} ± ${short(plusMinus)} in place of ${short(used[key])} the error on checks it has not seen goes from ${without.toFixed(1)} to ${with_.toFixed(1)} mm`;
  return { ...base, offered: falls, why: falls ? `${words}.` : `${words}, which is not a tenth less: it is left as it is.` };
}

/** What is left by school once the constants are as fitted: offered as a copy of the school with that much ease where its mean is beyond two standard errors. */
function schoolsOf(observations: readonly Observation[], theta: Theta): LearntSchool[] {
  const bySchool = new Map<string, number[]>();
  for (const { school, measuredMm, model } of observations) bySchool.set(school, [...(bySchool.get(school) ?? []), measuredMm - model(theta)]);
  // Of several schools one lies beyond two standard errors by chance more often than of one.
  const apart = APART + MORE_SCHOOLS * Math.log(Math.max(1, bySchool.size));
  return [...bySchool].map(([school, residuals]) => {
    const count = residuals.length;
    const meanMm = residuals.reduce((sum, mm) => sum + mm, 0) / count;
    const variance = residuals.reduce((sum, mm) => sum + (mm - meanMm) ** 2, 0) / Math.max(1, count - 1);
    // Few checks that happen to agree are not surer than hands measure; and their mean is known less well than that of many.
    const plusMinusMm = Math.max(Math.sqrt(variance), SIGMA_MM) / Math.sqrt(Math.max(1, count - 1));
    return { school, meanMm, plusMinusMm, checks: count, offered: count >= LEAST_SCHOOL_CHECKS && Math.abs(meanMm) > apart * plusMinusMm };
  });
}

/** What checks say of constants in use, and of schools. Nothing is changed: what is offered is taken, or not, by a person. */
export function learnFrom(observations: readonly Observation[], used: Theta): Learnt {
  const asked: Asked = { observations, used, shipped: constantsOf((key) => shippedValue(key)) };
  let theta = used;
  const taken: LearntKey[] = [];
  const constants = LEARNT.map((key): LearntConstant => {
    const { theta: found, ...constant } = judged(asked, key, taken, theta);
    // What is not offered explains nothing: the schools are held against what is used.
    if (constant.offered) {
      taken.push(key);
      theta = found;
    }
    return constant;
  });
  return { constants, schools: schoolsOf(observations, theta) };
}

/** The same for jobs with checks, in the shop whose constants they were made by. */
export function learn(jobs: readonly Job[], shop: Shop): Learnt {
  return learnFrom(observationsOf(jobs, shop), constantsInUse(shop));
}
