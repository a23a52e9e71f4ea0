import { issue, type Issue } from '../../kernel/issue';
import { SHEET_NOMINAL_MM, type Grade } from '../../material/material';
import type { Job } from '../../job/document';
import type { Shop } from '../../shop/shop';
import type { PlannedLay } from './planned-lay';

/** Sheets of one foam and thickness that a job needs. */
export interface SheetNeed {
  readonly thicknessMm: number;
  readonly sheets: number;
}

export interface LotChoice {
  readonly grade: string;
  readonly needs: readonly SheetNeed[];
  /** The lot all of it is cut from: the one that came for the job, or one on the shelf; null where no lot on the shelf holds enough, or none is there. */
  readonly lot: string | null;
  /** It came for the job, and no sheet of the shelf is needed. */
  readonly came: boolean;
}

/** The lot of a material that came for a job; null where none was noted. */
export const lotThatCame = ({ lots = [] }: Pick<Job, 'lots'>, material: string): string | null =>
  lots.find((one) => one.material === material && !one.before)?.lot ?? null;

/** The lot of a material that a trial cushion, or the job that this one repeats, was cut from; null where there was none. */
export const lotBefore = ({ lots = [] }: Pick<Job, 'lots'>, material: string): string | null =>
  lots.find((one) => one.material === material && one.before)?.lot ?? null;

/** The job with another note of which lot of a material came, or was before; an empty text takes the note back. */
export function withLot(job: Job, material: string, lot: string, { before = false, day }: { readonly before?: boolean; readonly day?: string } = {}): Job {
  const { lots = [], ...rest } = job;
  const others = lots.filter((one) => one.material !== material || (one.before ?? false) !== before);
  const next = lot ? [...others, { material, lot, ...(day ? { day } : {}), ...(before ? { before: true } : {}) }] : others;
  return next.length ? { ...rest, lots: next } : rest;
}

/** What a job that repeats another knows of its lots: all of them were before. */
export function lotsBefore({ lots = [] }: Pick<Job, 'lots'>): Pick<Job, 'lots'> {
  const latest = new Map(lots.map((one) => [one.material, one]));
  return latest.size ? { lots: [...latest.values()].map((one) => ({ ...one, before: true })) } : {};
}

function heldBy(grade: Grade, lot: string, thicknessMm: number): number {
  return (grade.lots ?? [])
    .filter((one) => one.lot === lot && Math.abs(one.thicknessMm - thicknessMm) <= SHEET_NOMINAL_MM)
    .reduce((sum, one) => sum + one.sheets, 0);
}

/** What each foam of a job needs, from the lays that are worked out. */
export function sheetNeeds(lays: readonly PlannedLay[]): Map<string, SheetNeed[]> {
  const needs = new Map<string, SheetNeed[]>();
  for (const { subject, answer } of lays)
    if (subject.kind === 'foam' && answer)
      needs.set(subject.grade, [...(needs.get(subject.grade) ?? []), { thicknessMm: subject.thicknessMm, sheets: answer.sheets }]);
  return needs;
}

/** One lot for each foam of the job: the one that came for it, or the one on the shelf that holds enough of every thickness with the least left over. */
export function chooseLots(lays: readonly PlannedLay[], job: Pick<Job, 'lots'>, shop: Shop): LotChoice[] {
  return [...sheetNeeds(lays)].map(([id, needs]): LotChoice => {
    const lot = lotThatCame(job, id);
    if (lot !== null) return { grade: id, needs, lot, came: true };
    const grade = shop.grade(id);
    const names = [...new Set((grade?.lots ?? []).map((one) => one.lot))];
    const enough = names
      .filter((lot) => grade && needs.every(({ thicknessMm, sheets }) => heldBy(grade, lot, thicknessMm) >= sheets))
      .map((lot) => ({ lot, left: (grade?.lots ?? []).filter((one) => one.lot === lot).reduce((sum, one) => sum + one.sheets, 0) }))
      .sort((a, b) => a.left - b.left);
    return { grade: id, needs, lot: enough[0]?.lot ?? null, came: false };
  });
}

/** Warnings about lots: no one lot holds enough, so that the set would be split; another lot than before; a lot that measures softer than its grade. */
export function lotProblems(choices: readonly LotChoice[], job: Pick<Job, 'lots'>, shop: Shop): Issue[] {
  return [...splitProblems(choices, shop), ...choices.flatMap((choice) => [...otherLotProblems(choice, job, shop), ...softerProblems(choice, shop)])];
}

/** What is cut now is of another lot than the cushions before: a trial, or the job that this one repeats. */
function otherLotProblems({ grade: id, lot }: LotChoice, job: Pick<Job, 'lots'>, shop: Shop): Issue[] {
  const before = lotBefore(job, id);
  if (before === null || before === lot) return [];
  return [issue('warning', 'lot-other-than-before', `lots.${id}`, { grade: shop.grade(id)?.name ?? id, before, now: lot ?? '' })];
}

/** Feel of foam that is softer by this share than it is sold as differs, and it sinks further under a sitter. */
const SOFTER = 0.08;

/** The lot that is cut from was pressed at the gauges, and is softer than its grade. */
function softerProblems({ grade: id, lot }: LotChoice, shop: Shop): Issue[] {
  const grade = shop.grade(id);
  const measured = grade?.lots?.find((one) => one.lot === lot && one.hardness25N !== undefined)?.hardness25N;
  if (!grade || lot === null || measured === undefined || measured >= (1 - SOFTER) * grade.hardness25N) return [];
  return [issue('warning', 'lot-softer-than-grade', `lots.${id}`, { grade: grade.name, lot, measuredN: measured, soldN: grade.hardness25N })];
}

function splitProblems(choices: readonly LotChoice[], shop: Shop): Issue[] {
  return choices.flatMap(({ grade: id, needs, lot }) => {
    const grade = shop.grade(id);
    if (!grade || lot !== null) return [];
    return needs.flatMap(({ thicknessMm, sheets }) => {
      const held = [...new Set((grade.lots ?? []).map((one) => one.lot))].map((name) => heldBy(grade, name, thicknessMm));
      const [most, together] = [Math.max(0, ...held), held.reduce((sum, count) => sum + count, 0)];
      if (together === 0 || most >= sheets) return [];
      return [issue('warning', 'lot-would-be-split', `lots.${id}`, { grade: grade.name, thicknessMm, sheets, most, together })];
    });
  });
}
