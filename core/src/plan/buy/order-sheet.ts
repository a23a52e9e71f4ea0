import { area } from '../../geometry/outline';
import { fillingCost } from '../../filling/costs';
import { given, law, type Figure } from '../../kernel/figure';
import { isFoam, type Stock } from '../../material/material';
import type { Piece } from '../../piece/piece';
import type { Shop } from '../../shop/shop';
import type { CushionPlan } from '../cushion/cushion-plan';
import { isBought, type PlannedLay } from '../lays/planned-lay';
import type { Plan } from '../plan';
import type { BuyLine } from './buy';

/** A plan that fills its box by this share is right-angled: nothing of it has to be told by its outline. */
const SQUARE = 0.9995;

/** How a material is told to a supplier. */
export interface Orderable {
  readonly name: string;
  /** Of foam and fillings. */
  readonly densityKgM3: number | null;
  /** At 25 %, N; of foam. */
  readonly hardness25N: number | null;
  /** Money, by today's price; null where there is no price, or nothing to reckon with yet. */
  readonly cost: Figure | null;
  /** The day its price is of; null where that was never said. */
  readonly pricedOn: string | null;
}

/** Whole sheets of one foam in one thickness. */
export interface SheetRow extends Orderable {
  readonly thicknessMm: number;
  readonly widthMm: number;
  readonly lengthMm: number;
  /** Null while the lay is worked out. */
  readonly sheets: number | null;
  /** The lot on the shelf that holds enough of it. */
  readonly lot: string | null;
}

/** One sort of core or layer, cut to size by the supplier. */
export interface CutRow extends Orderable {
  /** Which it is of which cushion. */
  readonly what: string;
  readonly count: number;
  readonly widthMm: number;
  readonly depthMm: number;
  readonly thicknessMm: number;
  /** Its plan is no rectangle: its outline goes with the order as a file. */
  readonly byOutline: boolean;
}

/** Wadding off one roll. */
export interface WaddingRow extends Orderable {
  readonly loftMm: number;
  readonly rollWidthMm: number;
  /** Null while the lay is worked out. */
  readonly lengthMm: number | null;
}

/** What of a job's foam, fillings and wadding is ordered: foam as whole sheets, or cut to size instead. */
export interface OrderSheet {
  readonly sheets: readonly SheetRow[];
  readonly cuts: readonly CutRow[];
  readonly wadding: readonly WaddingRow[];
  /** Foams of which several cores are cut: all of it of one lot, or they feel different. */
  readonly oneLot: readonly string[];
}

/** Money for a volume at the price of a cubic metre; null without a price. */
function volumeCost(stock: Stock | undefined, mm3: number): Figure | null {
  if (!stock?.pricePerM3) return null;
  return fillingCost(stock, mm3);
}

const facts = (stock: Stock | undefined, id: string): Pick<Orderable, 'name' | 'densityKgM3' | 'hardness25N' | 'pricedOn'> => ({
  name: stock?.name ?? id,
  densityKgM3: stock?.densityKgM3 ?? null,
  hardness25N: stock && isFoam(stock) ? stock.hardness25N : null,
  pricedOn: stock?.pricedOn ?? null,
});

function sheetRows(lays: readonly PlannedLay[], buy: readonly BuyLine[], shop: Shop): SheetRow[] {
  return lays.filter(isBought).flatMap(({ subject, answer, key }): SheetRow[] => {
    const stock = subject.kind === 'foam' ? shop.grade(subject.grade) : undefined;
    if (subject.kind !== 'foam' || !stock) return [];
    const { widthMm, lengthMm } = stock.sheet;
    const { thicknessMm } = subject;
    const sheets = answer?.sheets ?? null;
    const lot = buy.find(({ layKey }) => layKey === key)?.lot ?? null;
    const cost = sheets === null ? null : volumeCost(stock, sheets * widthMm * lengthMm * thicknessMm);
    return [{ ...facts(stock, subject.grade), thicknessMm, widthMm, lengthMm, sheets, lot, cost }];
  });
}

/** The foam and the fillings that a cushion's core is made of; a core that goes back in has none of them. */
function cutRows({ pieces, source }: CushionPlan, shop: Shop): CutRow[] {
  return pieces.flatMap((piece: Piece): CutRow[] => {
    const { material, width, height, outline, label, countPerCushion } = piece;
    if (material.kind !== 'foam' && material.kind !== 'filling') return [];
    const id = material.kind === 'foam' ? material.grade : material.filling;
    const stock = shop.stock(id);
    const { thicknessMm } = material;
    const count = countPerCushion * source.quantity;
    const [widthMm, depthMm] = [width.value, height.value];
    return [
      {
        ...facts(stock, id),
        what: `${source.name}: ${label}`,
        count,
        widthMm,
        depthMm,
        thicknessMm,
        byOutline: Math.abs(area(outline)) < SQUARE * widthMm * depthMm,
        cost: volumeCost(stock, count * widthMm * depthMm * thicknessMm),
      },
    ];
  });
}

function waddingRows(lays: readonly PlannedLay[], buy: readonly BuyLine[], shop: Shop): WaddingRow[] {
  return lays.filter(isBought).flatMap(({ subject, key }): WaddingRow[] => {
    const roll = subject.kind === 'wadding' ? shop.document.waddings.find(({ id }) => id === subject.material) : undefined;
    if (!roll) return [];
    const { name, loftMm, rollWidthMm, pricePerM, pricedOn = null } = roll;
    const lengthMm = buy.find(({ layKey }) => layKey === key)?.amount?.value ?? null;
    const metres = lengthMm === null ? null : given('m', lengthMm / 1000, 'counted', 'count');
    const cost = metres && pricePerM > 0 ? law('cost', '{0} × {1}', [metres, given('a m', pricePerM, 'material', 'count')], 'count') : null;
    return [{ name, densityKgM3: null, hardness25N: null, loftMm, rollWidthMm, lengthMm, cost, pricedOn }];
  });
}

/** Everything of a job's foam, fillings and wadding that is ordered. */
export function orderSheet({ cushions, lays, buy, shop }: Plan): OrderSheet {
  const cuts = cushions.flatMap((one) => cutRows(one, shop));
  const foams = cuts.filter(({ hardness25N }) => hardness25N !== null);
  const several = (name: string): boolean => foams.filter((row) => row.name === name).reduce((sum, { count }) => sum + count, 0) > 1;
  return {
    sheets: sheetRows(lays, buy, shop),
    cuts,
    wadding: waddingRows(lays, buy, shop),
    oneLot: [...new Set(foams.map(({ name }) => name))].filter(several),
  };
}
