import type { LayCompared } from './lay-ways';
import { fitsWell, offTaut } from '../fit/deciding';
import type { Fit } from '../fit/fit';
import { offered, isFoam } from '../material/material';
import type { Constants } from '../shop/assumptions';
import { schoolNumber } from '../shop/schools';
import { pairMm } from '../units/length';
import type { Cushion } from '../job/document';
import { planCushion } from '../plan/cushion/plan-cushion';
import type { CushionContext } from '../plan/cushion/steps/context';
import type { CushionPlan } from '../plan/cushion/cushion-plan';
import { planCushionSolved, type CrownSolver } from '../plan/cushion/plan-cushion-solved';

/** One thing that could be changed about a cushion so that its cover fits, by how much, and how it would fit then. */
export interface Advice {
  readonly kind: 'wrap' | 'plate' | 'boxing' | 'foam' | 'school' | 'crown-pads';
  /** What it is now and what it would be: mm, or names. */
  readonly from: number | string;
  readonly to: number | string;
  readonly cushion: Cushion;
  readonly fit: Fit;
}

/** Plates and boxing are changed by no more than this a side, and in steps that a shop can cut, mm. */
const MOST_MM = 12;
const STEP_MM = 1;

/** Weights of what is wrong with a fit besides its tautness: of a bow, and of every millimetre that the crown is off what was asked for. */
const BOW = 3;
const CROWN_PER_MM = 0.1;

/** How far a fit is from where it should be, in octaves of its tautness with bow and crown on top. Crown counts where one was asked for. */
export function offTheMark(fit: Fit, crownMm: number | null, assume: Constants): number {
  return offTaut(fit, assume) + (crownMm === null ? 0 : Math.abs(fit.crownMm - crownMm) * CROWN_PER_MM) + (fit.bowRisk ? BOW : 0);
}

/** Every change of one kind that could be tried. */
function tries(one: CushionPlan, { shop, units }: CushionContext): Omit<Advice, 'fit'>[] {
  const { source, school } = one;
  if (!school) return [];
  const loft = one.wrap?.value ?? 0;
  const lofts = [0, ...offered(shop.document.waddings).map((wadding) => wadding.loftMm)].filter((mm) => Math.abs(mm - loft) > 0.5);
  const steps = Array.from({ length: MOST_MM / STEP_MM }, (_, i) => (i + 1) * STEP_MM).flatMap((mm) => [mm, -mm]);
  const numberNow = (key: 'plate' | 'boxing'): number => pairMm(schoolNumber(key).get(school) ?? { mm: 0, inch: 0 }, units);
  const byNumber = (key: 'plate' | 'boxing'): Omit<Advice, 'fit'>[] =>
    school[key].to === 'core' || (source.schoolNumber && source.schoolNumber.number !== key)
      ? []
      : steps.map((mm) => {
          const from = numberNow(key);
          return { kind: key, from, to: from + mm, cushion: { ...source, schoolNumber: { number: key, mm: from + mm } } };
        });
  const [top, ...below] = source.core.layers;
  const foams = top
    ? offered(shop.document.grades)
        .filter((grade) => isFoam(grade) && grade.id !== top.grade && grade.thicknessesMm.some((mm) => Math.abs(mm - top.thicknessMm) < 1))
        .map((grade): Omit<Advice, 'fit'> => ({
          kind: 'foam',
          from: shop.stock(top.grade)?.name ?? top.grade,
          to: grade.name,
          cushion: { ...source, core: { ...source.core, layers: [{ ...top, grade: grade.id }, ...below] } },
        }))
    : [];
  const pads = source.crown;
  return [
    ...lofts.map((mm): Omit<Advice, 'fit'> => ({ kind: 'wrap', from: loft, to: mm, cushion: { ...source, wrapLoftMm: mm } })),
    ...byNumber('plate'),
    ...byNumber('boxing'),
    ...(source.core.kept ? [] : foams),
    ...shop.schools
      .filter((row) => row.id !== source.school)
      .map((row): Omit<Advice, 'fit'> => {
        const { schoolNumber: _number, schoolEdition: _edition, wrapLoftMm: _loft, wrapWay: _way, ...rest } = source;
        return { kind: 'school', from: school.name, to: row.name, cushion: { ...rest, school: row.id } };
      }),
    ...(pads
      ? [1, 2, 3, 4]
          .filter((count) => count !== (pads.pads?.count ?? 0))
          .map((count): Omit<Advice, 'fit'> => ({
            kind: 'crown-pads',
            from: pads.pads?.count ?? 0,
            to: count,
            cushion: { ...source, crown: { ...pads, pads: { count, loftMm: pads.pads?.loftMm ?? 13 } } },
          }))
      : []),
  ];
}

/** Of each kind so many come into the last round, where each is worked out with its own crown. */
const SHORTLIST = 3;

/** How far trying out has come: changes tried, of so many. */
export interface TrialProgress {
  readonly done: number;
  readonly of: number;
  /** Of lays: the rows that are there already. */
  readonly compared?: readonly LayCompared[];
}

/**
 * Changes that make the cover fit: for each kind of change the amount that comes nearest, the best kind first. Every change is first tried with the present crown; the best
 * of each kind are then solved again with their own. Yields after each trial, for progress and stopping. Empty when nothing improves the fit, or the fit is not predicted.
 * It only advises.
 */
export function* fitAdvice(one: CushionPlan, context: CushionContext, solveCrown: CrownSolver): Generator<TrialProgress, Advice[]> {
  if (!one.fit) return [];
  const asked = one.source.crown?.mm ?? null;
  if (fitsWell(one.fit, asked)) return [];
  const assume: Constants = (key) => context.shop.assume(key, context.units);
  const now = offTheMark(one.fit, asked, assume);
  const all = tries(one, context);
  const known = one.crown?.answer ?? null;
  const asItIs: CushionContext = { ...context, answers: { ...context.answers, crown: () => known } };
  let done = 0;
  const good: { readonly change: Omit<Advice, 'fit'>; readonly off: number }[] = [];
  for (const change of all) {
    const off = tried(change, planCushion(change.cushion, asItIs), asked, assume)?.off ?? Infinity;
    if (off < now - BETTER) good.push({ change, off });
    yield { done: ++done, of: all.length };
  }
  const kinds = [...new Set(good.map(({ change }) => change.kind))];
  const shortlist = kinds.flatMap((kind) =>
    good
      .filter(({ change }) => change.kind === kind)
      .sort((a, b) => a.off - b.off)
      .slice(0, SHORTLIST),
  );
  const best = new Map<Advice['kind'], Advice & { readonly off: number }>();
  for (const { change } of shortlist) {
    const after = tried(change, planCushionSolved(change.cushion, context, solveCrown), asked, assume);
    if (after && after.off < Math.min(now - BETTER, best.get(change.kind)?.off ?? Infinity)) best.set(change.kind, { ...change, ...after });
    yield { done: ++done, of: all.length + shortlist.length };
  }
  return [...best.values()].sort((a, b) => a.off - b.off).map(({ off: _off, ...advice }) => advice);
}

/** A change has to come nearer by this, in octaves, to be worth a word. */
const BETTER = 0.1;

/** How a change would fit, or null where it makes a cushion that cannot be or trades one trouble for another. */
function tried(change: Omit<Advice, 'fit'>, after: CushionPlan, askedMm: number | null, assume: Constants): { readonly fit: Fit; readonly off: number } | null {
  if (!after.fit || after.problems.some((problem) => problem.severity === 'error')) return null;
  if (change.kind === 'school' && after.problems.some((problem) => problem.code === 'layers-do-not-add-up')) return null;
  return { fit: after.fit, off: offTheMark(after.fit, askedMm, assume) };
}
