import { issue, type Issue } from '../../kernel/issue';
import { SHEET_NOMINAL_MM, type Grade } from '../../material/material';
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
  /** The lot all of it is cut from; null where no lot on the shelf holds enough, or none is there. */
  readonly lot: string | null;
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

/** One lot for each foam of the job: the one that holds enough of every thickness with the least left over. */
export function chooseLots(lays: readonly PlannedLay[], shop: Shop): LotChoice[] {
  return [...sheetNeeds(lays)].map(([id, needs]) => {
    const grade = shop.grade(id);
    const names = [...new Set((grade?.lots ?? []).map((one) => one.lot))];
    const enough = names
      .filter((lot) => grade && needs.every(({ thicknessMm, sheets }) => heldBy(grade, lot, thicknessMm) >= sheets))
      .map((lot) => ({ lot, left: (grade?.lots ?? []).filter((one) => one.lot === lot).reduce((sum, one) => sum + one.sheets, 0) }))
      .sort((a, b) => a.left - b.left);
    return { grade: id, needs, lot: enough[0]?.lot ?? null };
  });
}

/** Warnings where sheets are on the shelf but no one lot holds enough: the set would be split, and its cushions feel different. */
export function lotProblems(choices: readonly LotChoice[], shop: Shop): Issue[] {
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
