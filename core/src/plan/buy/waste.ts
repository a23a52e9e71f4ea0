import { polygonArea } from '../../geometry/polygon';
import type { Shop } from '../../shop/shop';
import { leftOver, runBought } from '../lays/bought';
import { isBought, type PlannedLay } from '../lays/planned-lay';
import type { Plan } from '../plan';

/** What of a material that is bought for a job goes into no piece and is too small to be kept. */
export interface Waste {
  /** The key of the lay. */
  readonly layKey: string;
  readonly name: string;
  /** Of foam, mm. */
  readonly thicknessMm: number | null;
  /** Bought, m². */
  readonly boughtM2: number;
  /** Of that, in pieces. */
  readonly usedM2: number;
  /** Of that, in one piece that is worth keeping: the end of the roll, or of the last sheet. */
  readonly keptM2: number;
  /** The rest: between pieces, selvedges, short ends. */
  readonly wasteM2: number;
  readonly wasteKg: number;
  /** Its share of what the material costs; null where there is no price, or the customer brought it. */
  readonly money: number | null;
  /** The day that price is of; null where that was never said. */
  readonly pricedOn: string | null;
}

/** A material by its surface: how wide it is with its selvedges, or as a sheet before its edges are trimmed, mm; what a square metre weighs, kg, and costs. */
interface Surface {
  readonly name: string;
  readonly wholeWidthMm: number;
  /** Of one sheet; null off a roll. */
  readonly sheetMm: number | null;
  readonly kgPerM2: number;
  readonly perM2: number | null;
  readonly pricedOn: string | null;
}

function surfaceOf({ subject, request: { material } }: PlannedLay, shop: Shop, assume: (key: Parameters<Shop['assume']>[0]) => number): Surface {
  const laidMm = material.kind === 'hide' ? 0 : material.widthMm;
  const sheetMm = material.kind === 'sheet' ? material.lengthMm : null;
  if (subject.kind === 'foam') {
    const grade = shop.grade(subject.grade);
    const thickM = subject.thicknessMm / 1000;
    return {
      name: grade?.name ?? subject.grade,
      wholeWidthMm: grade?.sheet.widthMm ?? laidMm,
      sheetMm: grade?.sheet.lengthMm ?? sheetMm,
      kgPerM2: (grade?.densityKgM3 ?? 0) * thickM,
      perM2: grade?.pricePerM3 ? grade.pricePerM3 * thickM : null,
      pricedOn: grade?.pricedOn ?? null,
    };
  }
  if (subject.kind === 'wadding') {
    const roll = shop.document.waddings.find(({ id }) => id === subject.material);
    const perM2 = roll?.pricePerM ? roll.pricePerM / (roll.rollWidthMm / 1000) : null;
    return {
      name: roll?.name ?? 'Wadding',
      wholeWidthMm: laidMm,
      sheetMm,
      kgPerM2: (assume('waddingKgM3') * subject.loftMm) / 1000,
      perM2,
      pricedOn: roll?.pricedOn ?? null,
    };
  }
  const cloth = shop.cloth(subject.use.material ?? '');
  const { widthMm } = subject.use;
  return {
    name: subject.name,
    wholeWidthMm: material.kind === 'roll' ? widthMm : laidMm,
    sheetMm,
    kgPerM2: (assume('clothKgM3') * (cloth?.thicknessMm ?? assume('clothThicknessMm'))) / 1000,
    perM2: cloth?.pricePerM && subject.ownLengthMm === null ? cloth.pricePerM / (widthMm / 1000) : null,
    pricedOn: cloth?.pricedOn ?? null,
  };
}

/** Surface of the pieces that have found a place, mm². */
function laidArea({ request, answer }: PlannedLay): number {
  const each = new Map(request.items.map(({ id, polygon }) => [id, Math.abs(polygonArea(polygon))]));
  return (answer?.placements ?? []).reduce((sum, { item }) => sum + (each.get(item) ?? 0), 0);
}

/** The waste of every material that is bought for a job or brought by the customer; of a lay that is still worked out there is none yet. What is cut anew comes off what is left. */
export function wasteOf({ lays, job, shop }: Plan): readonly Waste[] {
  const assume = (key: Parameters<Shop['assume']>[0]): number => shop.assume(key, job.units);
  return lays.filter(isBought).flatMap((lay): Waste[] => {
    const { answer, request, subject, key } = lay;
    const { material } = request;
    if (!answer || material.kind === 'hide') return [];
    const { name, wholeWidthMm, sheetMm, kgPerM2, perM2, pricedOn } = surfaceOf(lay, shop, assume);
    const own = subject.kind === 'cloth' ? subject.ownLengthMm : null;
    const lengthMm = sheetMm === null ? (own ?? runBought(lay, job, shop)?.value ?? 0) : answer.sheets * sheetMm;
    const leftMm = leftOver(lay, lays, job, shop)?.value ?? 0;
    const m2 = (mm2: number): number => mm2 / 1e6;
    const boughtM2 = m2(lengthMm * wholeWidthMm);
    const again = lays.filter(({ recutOf }) => recutOf === key).reduce((sum, one) => sum + laidArea(one), 0);
    const usedM2 = m2(laidArea(lay) + again);
    const keptM2 = leftMm >= assume('keptOffcutMm') ? m2(leftMm * material.widthMm) : 0;
    const wasteM2 = Math.max(0, boughtM2 - usedM2 - keptM2);
    return [
      {
        layKey: key,
        name,
        thicknessMm: subject.kind === 'foam' ? subject.thicknessMm : null,
        boughtM2,
        usedM2,
        keptM2,
        wasteM2,
        wasteKg: wasteM2 * kgPerM2,
        money: perM2 === null ? null : wasteM2 * perM2,
        pricedOn,
      },
    ];
  });
}
