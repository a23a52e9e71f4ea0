import { amountWords, formatNumber, formatRun, goesOn, type LayAnswer, type Plan, type PlannedLay } from '@yardland/core';
import { today } from '../shared/words/days';
import { wasteWords } from './lay-words';

/** What is said of a lay in figures. */
export interface LayFacts {
  /** The customer's own cloth, so long; empty where it is bought. */
  readonly own: string;
  readonly buy: string;
  readonly why: string;
  readonly laid: string;
  readonly use: string;
  readonly waste: { readonly weight: string; readonly money: string } | null;
  /** The least there can be, and how far over it the lay is; empty where that says nothing. */
  readonly bound: string;
  readonly over: string;
  /** Pieces that find no place, in words. */
  readonly unplaced: string;
  readonly stopped: boolean;
}

/** The figures of a lay with its newest answer; `pieceWords` names a piece by its item. */
export function layFacts(lay: PlannedLay, answer: LayAnswer, plan: Plan, pieceWords: (item: string) => string): LayFacts {
  const { units } = plan.job;
  const shared = { use: `${formatNumber(answer.use * 100)} %`, stopped: answer.stopped };
  if (goesOn(lay)) {
    const count = answer.placements.length;
    return {
      ...shared,
      own: '',
      buy: 'nothing',
      why: lay.remnant === null ? 'it comes off what is left' : 'it is kept',
      laid: `${formatNumber(count)} ${count === 1 ? 'piece' : 'pieces'} of what is ${lay.recutOf === null ? 'still to be cut' : 'cut anew'}`,
      waste: null,
      bound: '',
      over: '',
      unplaced: '',
    };
  }
  const line = plan.buy.find((one) => one.layKey === lay.key);
  const fromLeft = lay.recutOf !== null && lay.answer !== null && line === undefined;
  const sheets = lay.request.material.kind === 'sheet';
  const buy = line?.amount ? amountWords(line.sold, line.amount.value, units) : '…';
  return {
    ...shared,
    own: line?.ownMm === undefined ? '' : formatRun(line.ownMm, units),
    buy: fromLeft ? 'nothing' : buy,
    why: fromLeft ? 'it comes off what is left' : '',
    laid: sheets ? `${answer.sheets} used` : `${formatRun(answer.lengthMm, units)} laid`,
    waste: wasteWords(plan, lay.key, today()),
    bound: sheets ? `${formatNumber(answer.bound)} at the least` : `${formatRun(answer.bound, units)} at the least`,
    over: overWords(answer, sheets),
    unplaced: answer.unplaced.map(pieceWords).join(', '),
  };
}

function overWords({ sheets, bound, lengthMm }: LayAnswer, inSheets: boolean): string {
  if (inSheets) return sheets <= Math.ceil(bound - 1e-9) ? 'the least there is' : '';
  return `${formatNumber((lengthMm / Math.max(1, bound) - 1) * 100, 1)} % over`;
}
