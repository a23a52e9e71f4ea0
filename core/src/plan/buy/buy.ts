import { pieceOf } from '../../piece/item-ref';
import type { Notion } from '../../cover/contract';
import { given, law, measuredOn, minus, plus, sum, type Figure, type Term } from '../../kernel/figure';
import type { Constants } from '../../shop/assumptions';
import type { Shop } from '../../shop/shop';
import { leftOver, runBought } from '../lays/bought';
import type { Cushion, Job } from '../../job/document';
import { notionsOf } from './notions';
import type { CushionPlan } from '../cushion/cushion-plan';
import { keptOf } from '../cushion/old/kept-parts';
import { goesOn, isBought, type PlannedLay } from '../lays/planned-lay';
import type { LotChoice } from '../lays/lots';
import type { SalvagedUse } from './salvaged';

export type Ware = 'cloth' | 'foam' | 'filling' | 'wadding' | 'bobbins' | Notion['ware'];

/** One line of what to buy. `amount` is null while its lay is still being worked out. */
export interface BuyLine {
  readonly ware: Ware;
  readonly name: string;
  /** Foam only: the sheet's thickness, mm. */
  readonly thicknessMm: number | null;
  readonly sold: 'sheets' | 'hides' | Notion['sold'];
  readonly amount: Figure | null;
  /** The part of the answer that came from a lay: its key, for going there. */
  readonly layKey: string | null;
  /** Foam only: the lot that all of it is cut from. */
  readonly lot: string | null;
  /** Foam only: that lot came for this job; otherwise it is on the shelf. */
  readonly came?: boolean;
  /** Foam only: several pieces of a grade that has to be bought: all of it is ordered together, of one lot. */
  readonly together?: boolean;
  /** Pieces that fit on none of it: what is bought does not count them. */
  readonly unplaced: number;
  /** Which those are, by their names. */
  readonly without: readonly string[];
  /** The customer's own, of which so much is there, mm: nothing is bought. */
  readonly ownMm?: number;
}

/** Names of items of a lay, each once: `plate of Box seat`. */
function namesOf(items: readonly string[], plans: readonly CushionPlan[]): string[] {
  const names = items.map((item) => {
    const found = pieceOf(item, plans);
    if (!found) return item;
    return plans.length > 1 ? `${found.piece.label} of ${found.cushion.source.name}` : found.piece.label;
  });
  return [...new Set(names)];
}

/** How many pieces of a foam a cushion and those like it are cut from. */
const piecesOf = ({ pieces, source }: CushionPlan, grade: string): number =>
  pieces.reduce(
    (sum, { material, countPerCushion }) => sum + (material.kind === 'foam' && material.grade === grade ? countPerCushion * source.quantity : 0),
    0,
  );

function layLine(job: Job, lay: PlannedLay, plans: readonly CushionPlan[], lots: readonly LotChoice[], shop: Shop): BuyLine {
  const { subject, answer } = lay;
  const unplaced = answer?.unplaced.length ?? 0;
  const without = namesOf(answer?.unplaced ?? [], plans);
  if (subject.kind === 'foam') {
    const name = shop.grade(subject.grade)?.name ?? subject.grade;
    const amount = answer ? given('sheets', answer.sheets, 'counted', 'count') : null;
    const chosen = lots.find((one) => one.grade === subject.grade);
    const several = plans.reduce((sum, one) => sum + piecesOf(one, subject.grade), 0) > 1;
    return {
      ware: 'foam',
      name,
      thicknessMm: subject.thicknessMm,
      sold: 'sheets',
      amount,
      layKey: lay.key,
      lot: chosen?.lot ?? null,
      came: chosen?.came ?? false,
      together: several && chosen?.lot === null,
      unplaced,
      without,
    };
  }
  const ware = subject.kind;
  const name = subject.kind === 'cloth' ? subject.name : (shop.document.waddings.find((one) => one.id === subject.material)?.name ?? 'Wadding');
  const own = subject.kind === 'cloth' ? subject.ownLengthMm : null;
  const line = { ware, name, thicknessMm: null, layKey: lay.key, lot: null, unplaced, without, ...(own === null ? {} : { ownMm: own }) };
  if (lay.request.material.kind === 'sheet') return { ...line, sold: 'hides', amount: answer ? given('hides', answer.sheets, 'counted', 'count') : null };
  return { ...line, sold: 'run', amount: runBought(lay, job, shop) };
}

/** What a buy list is worked out from: the job, its cushions and lays, the lots that suit and the salvaged parts it uses. */
export interface Buying {
  readonly job: Job;
  readonly plans: readonly CushionPlan[];
  readonly lays: readonly PlannedLay[];
  readonly lots: readonly LotChoice[];
  readonly salvaged: readonly SalvagedUse[];
  readonly shop: Shop;
}

/** What is cut anew by itself: nothing where it comes off what is left of the roll; otherwise its own line. */
function recutLine(lay: PlannedLay, { job, plans, lays, shop }: Buying): BuyLine[] {
  const base = lays.find((one) => isBought(one) && one.key === lay.recutOf);
  const left = base && lay.request.material.kind === 'roll' ? leftOver(base, lays, job, shop) : null;
  if (lay.answer && left && lay.answer.lengthMm <= left.value) return [];
  const line = layLine(job, lay, plans, [], shop);
  return [{ ...line, name: `${line.name}, cut anew` }];
}

/** Parts that are kept off the old cover, by what they stand for on the list. */
const KEPT: Partial<Record<Notion['ware'], Parameters<typeof keptOf>[1]>> = { buttons: 'buttons', eyelets: 'eyelets', cord: 'cordMm' };

/** What need not be bought of a notion because it comes off the old cover: no more than there is, nor than is needed. */
function keptOff(cushion: Cushion, { ware, amount }: Notion, times: number): Term[] {
  const part = KEPT[ware];
  const kept = part ? Math.min(keptOf(cushion, part), times * amount.value) : 0;
  return kept > 0 ? [minus(given('kept off the old cover', kept, 'measured', amount.unit))] : [];
}

/** Every notion of the job's covers, those of one name together, in the order in which covers name them. */
function notionLines(plans: readonly CushionPlan[], salvaged: readonly SalvagedUse[]): BuyLine[] {
  const rows = new Map<string, { readonly notion: Notion; readonly parts: Term[] }>();
  for (const [index, one] of plans.entries()) {
    const { source } = one;
    const served = salvaged.filter(({ cushion }) => cushion === index).length;
    for (const notion of notionsOf(one)) {
      const key = `${notion.ware} ${notion.name}`;
      const row = rows.get(key) ?? { notion, parts: [] };
      // A salvaged zip comes with its slider.
      const times = notion.ware === 'zip' || notion.ware === 'slider' ? source.quantity - served : source.quantity;
      if (times === 0) continue;
      row.parts.push(plus(notion.amount, times), ...keptOff(source, notion, times));
      rows.set(key, row);
    }
  }
  return [...rows.values()].flatMap(({ notion: { ware, name, sold }, parts }): BuyLine[] => {
    const [first, ...rest] = parts;
    if (!first) return [];
    const title = name.toLowerCase();
    const times: Figure = first.count === 1 ? first.each : law(title, `${first.count} × {0}`, [first.each], first.each.unit);
    const amount = rest.length ? sum(title, times, ...rest) : times;
    if (amount.value < 1e-9 && rest.length) return [];
    return [{ ware, name, thicknessMm: null, sold, amount, layKey: null, lot: null, unplaced: 0, without: [] }];
  });
}

/** Bobbins to wind before sewing: the lower thread is half of what the machine takes. Nothing where nothing is sewn. */
function bobbinLines(notions: readonly BuyLine[], assume: Constants): BuyLine[] {
  const thread = notions.find(({ ware }) => ware === 'thread')?.amount;
  if (!thread) return [];
  const each = given('a bobbin', 1000 * assume('bobbinM'), 'shop');
  const count = Math.ceil(thread.value / 2 / each.value);
  const amount = measuredOn('bobbins', count, 'half of {0}, {1} a bobbin, whole ones', [thread, each], 'count');
  return [{ ware: 'bobbins', name: 'Bobbins to wind', thicknessMm: null, sold: 'count', amount, layKey: null, lot: null, unplaced: 0, without: [] }];
}

/** Spring units, feather cases and felt, made to the core's plan: so many of each height. */
function fillingLines(plans: readonly CushionPlan[], shop: Shop): BuyLine[] {
  const counts = new Map<string, { readonly name: string; readonly thicknessMm: number; count: number }>();
  for (const plan of plans)
    for (const piece of plan.pieces) {
      if (piece.material.kind !== 'filling') continue;
      const { filling, thicknessMm } = piece.material;
      const key = `${filling} ${thicknessMm}`;
      const line = counts.get(key) ?? { name: shop.stock(filling)?.name ?? filling, thicknessMm, count: 0 };
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
    without: [],
  }));
}

/** What the job needs, worked out from its lays and covers. */
export function buyList(buying: Buying): BuyLine[] {
  const { job, plans, lays, lots, salvaged, shop } = buying;
  const lines = lays.filter(isBought).map((lay) => layLine(job, lay, plans, lots, shop));
  const again = lays.filter((lay) => lay.recutOf !== null && !goesOn(lay)).flatMap((lay) => recutLine(lay, buying));
  const notions = notionLines(plans, salvaged);
  return [...lines, ...again, ...fillingLines(plans, shop), ...notions, ...bobbinLines(notions, (key) => shop.assume(key, job.units))];
}
