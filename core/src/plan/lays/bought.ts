import { atLeastNone, given, minus, plus, sum, type Figure } from '../../kernel/figure';
import type { Shop } from '../../shop/shop';
import { MM_PER_YARD, type UnitSystem } from '../../units/length';
import { roundUp } from '../../units/round';
import type { Job } from '../../job/document';
import { leftKey, repeatToBegin, type PlannedLay } from './planned-lay';

/** Cloth and wadding are sold by this. */
function saleStep(system: UnitSystem): { readonly mm: number; readonly words: string } {
  return system === 'inch' ? { mm: MM_PER_YARD / 4, words: 'quarter yard' } : { mm: 100, words: 'tenth of a metre' };
}

/** What comes off a roll before anything is laid: its end is squared, and with a pattern it begins on a motif. */
function takenFirst({ request }: PlannedLay, { units }: Job, shop: Shop): Figure[] {
  const squared = given('to square the end', shop.assume('squareEndMm', units), 'shop');
  const repeatMm = repeatToBegin(request);
  return repeatMm > 0 ? [squared, given('one repeat, to begin on a motif', repeatMm, 'material')] : [squared];
}

/** What is bought of a roll for a lay, mm: what is laid with the end squared, rounded up to what is sold. Null while the lay is worked out. */
export function runBought(lay: PlannedLay, job: Job, shop: Shop): Figure | null {
  if (!lay.answer) return null;
  const step = saleStep(job.units);
  const length = sum('with the end squared', given('laid', lay.answer.lengthMm, 'counted'), ...takenFirst(lay, job, shop).map((one) => plus(one)));
  return sum(`${lay.subject.kind} to buy`, length, plus(given(`up to the next ${step.words}`, roundUp(length.value, step.mm) - length.value, 'shop')));
}

/** What there is of a roll to lay on, mm: what is bought, or the customer's own, once its end is squared. Null while the lay is worked out. */
export function runThere(lay: PlannedLay, job: Job, shop: Shop): Figure | null {
  const { subject } = lay;
  const own = subject.kind === 'cloth' ? subject.ownLengthMm : null;
  const all = own === null ? runBought(lay, job, shop) : given('their own', own, 'entered');
  const first = takenFirst(lay, job, shop);
  return all && atLeastNone(sum('there to lay on', all, ...first.map((one) => minus(one))));
}

/** What is left of the material that was bought for a lay beyond what is laid and, with it, what is cut anew from it, mm: of the roll, or of the last sheet. Null while the lay is worked out. */
export function leftOver(lay: PlannedLay, lays: readonly PlannedLay[], job: Job, shop: Shop): Figure | null {
  const { answer, request } = lay;
  if (!answer || request.material.kind === 'hide') return null;
  const again = lays.find(({ key }) => key === leftKey(lay.key, answer.sheets - 1));
  const used = given('laid', Math.max(answer.lengthMm, again?.answer?.lengthMm ?? 0), 'counted');
  if (request.material.kind === 'sheet') return sum('left of the last sheet', given('sheet', request.material.lengthMm, 'material'), minus(used));
  const there = runThere(lay, job, shop);
  return there && atLeastNone(sum('left of the roll', there, minus(used)));
}
