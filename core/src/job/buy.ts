import { given, law, plus, sum, type Figure } from '../kernel/figure';
import type { Shop } from '../shop/shop';
import { MM_PER_YARD, type UnitSystem } from '../units/length';
import { roundUp } from '../units/round';
import type { Job } from './document';
import { clothFacts, type CushionPlan } from './plan-cushion';
import type { PlannedLay } from './lays';
import type { LotChoice } from './lots';

export type Ware = 'cloth' | 'foam' | 'filling' | 'wadding' | 'zip' | 'cord' | 'thread' | 'slider';

/** One line of what to buy. `amount` is null while its lay is still being worked out. */
export interface BuyLine {
  readonly ware: Ware;
  readonly name: string;
  /** Foam only: the sheet's thickness, mm. */
  readonly thicknessMm: number | null;
  readonly sold: 'run' | 'sheets' | 'count';
  readonly amount: Figure | null;
  /** The part of the answer that came from a lay: its key, for going there. */
  readonly layKey: string | null;
  /** Foam only: the lot on the shelf that all of it can be cut from. */
  readonly lot: string | null;
  /** Pieces that fit on none of it. */
  readonly unplaced: number;
}

/** Cloth and wadding are sold by this. */
function saleStep(system: UnitSystem): { readonly mm: number; readonly words: string } {
  return system === 'inch' ? { mm: MM_PER_YARD / 4, words: 'quarter yard' } : { mm: 100, words: 'tenth of a metre' };
}

function runToBuy(name: string, lengthMm: number, extra: Figure, system: UnitSystem): Figure {
  const step = saleStep(system);
  const length = sum('with the end squared', given('laid', lengthMm, 'counted'), plus(extra));
  return law(name, `{0}, up to the next ${step.words}`, [length], (mm = 0) => roundUp(mm, step.mm));
}

function layLine(job: Job, lay: PlannedLay, lots: readonly LotChoice[], shop: Shop): BuyLine {
  const { subject, answer } = lay;
  const unplaced = answer?.unplaced.length ?? 0;
  if (subject.kind === 'foam') {
    const name = shop.grade(subject.grade)?.name ?? subject.grade;
    const amount = answer ? given('sheets', answer.sheets, 'counted', 'count') : null;
    return {
      ware: 'foam',
      name,
      thicknessMm: subject.thicknessMm,
      sold: 'sheets',
      amount,
      layKey: lay.key,
      lot: lots.find((one) => one.grade === subject.grade)?.lot ?? null,
      unplaced,
    };
  }
  const ware = subject.kind;
  const name =
    subject.kind === 'cloth'
      ? (clothFacts(job, shop).name ?? 'Cover cloth')
      : (shop.document.waddings.find((one) => one.id === subject.material)?.name ?? 'Wadding');
  const squared = given('to square the end', shop.assume('squareEndMm', job.units), 'shop');
  return {
    ware,
    name,
    thicknessMm: null,
    sold: 'run',
    amount: answer ? runToBuy(`${ware} to buy`, answer.lengthMm, squared, job.units) : null,
    layKey: lay.key,
    lot: null,
    unplaced,
  };
}

function total(name: string, plans: readonly CushionPlan[], of: (plan: CushionPlan) => Figure | null): Figure | null {
  const parts = plans.flatMap((plan) => {
    const figure = plan.keptCover ? null : of(plan);
    return figure ? [plus(figure, plan.source.quantity)] : [];
  });
  const [first, ...rest] = parts;
  if (!first) return null;
  return sum(
    name,
    law(name, `${first.count} × {0}`, [first.each], (v = 0) => v * first.count, first.each.unit),
    ...rest,
  );
}

/** Spring units, feather cases and felt, made to the core's plan: so many of each height. */
function fillingLines(plans: readonly CushionPlan[], shop: Shop): BuyLine[] {
  const counts = new Map<string, { readonly name: string; readonly thicknessMm: number; count: number }>();
  for (const plan of plans)
    for (const piece of plan.pieces) {
      if (piece.material !== 'filling' || piece.grade === null || piece.thicknessMm === null) continue;
      const key = `${piece.grade} ${piece.thicknessMm}`;
      const line = counts.get(key) ?? { name: shop.stock(piece.grade)?.name ?? piece.grade, thicknessMm: piece.thicknessMm, count: 0 };
      line.count += piece.countPerCushion * plan.source.quantity;
      counts.set(key, line);
    }
  return [...counts.values()].map(({ name, thicknessMm, count }) => ({
    ware: 'filling',
    name,
    thicknessMm,
    sold: 'count',
    amount: given('made to size', count, 'counted', 'count'),
    layKey: null,
    lot: null,
    unplaced: 0,
  }));
}

/** What the job needs, worked out from its lays and covers. */
export function buyList(job: Job, plans: readonly CushionPlan[], lays: readonly PlannedLay[], lots: readonly LotChoice[], shop: Shop): BuyLine[] {
  const notion = (ware: Ware, name: string, sold: BuyLine['sold'], of: (plan: CushionPlan) => Figure | null): BuyLine[] => {
    const amount = total(name.toLowerCase(), plans, of);
    return amount ? [{ ware, name, thicknessMm: null, sold, amount, layKey: null, lot: null, unplaced: 0 }] : [];
  };
  return [
    ...lays.map((lay) => layLine(job, lay, lots, shop)),
    ...fillingLines(plans, shop),
    ...notion('zip', 'Zip tape', 'run', (plan) => plan.cover?.notions.zip ?? null),
    ...notion('slider', 'Sliders', 'count', (plan) => plan.cover?.notions.sliders ?? null),
    ...notion('cord', 'Welt cord', 'run', (plan) => plan.cover?.notions.cord ?? null),
    ...notion('thread', 'Thread', 'run', (plan) => plan.cover?.notions.thread ?? null),
  ];
}
