import { densityFloor } from '../../../filling/density-floor';
import { feelOf, type FeelBand } from '../../../filling/feel';
import { layerOf } from '../../../filling/layer';
import { massOf } from '../../../filling/sitters';
import type { Cushion } from '../../../job/document';
import { offered, SHEET_NOMINAL_MM, type Grade } from '../../../material/material';
import type { Shop } from '../../../shop/shop';
import type { UnitSystem } from '../../../units/length';
import { UNSAID_DECK } from './cushion-feel';

/** An ordinary seat is medium where that can be, else firm rather than soft. */
const BEST_FIRST: readonly FeelBand[] = ['medium', 'firm', 'soft'];

/**
 * The filling of a new cushion until somebody chooses one: a single sheet from the shop that suits an ordinary seat, a middling sitter and the assumed deck. It is dense enough
 * for regular use, does not come near bottoming, and is the cheapest of those that feel alike. If none suits, the shop's first foam; if it has none, no filling.
 */
export function firstFilling(
  heightMm: number,
  { document, assume: constant }: Pick<Shop, 'document' | 'assume'>,
  units: UnitSystem,
): Cushion['core']['layers'] {
  const assume = (key: Parameters<Shop['assume']>[0]): number => constant(key, units);
  const sitter = { massKg: massOf('middling', assume), posture: 'upright' } as const;
  const floor = densityFloor({ part: 'seat', use: 'regular' }, assume);
  const grades = offered(document.grades);
  const suiting = grades.flatMap((grade) => {
    if (!isOrdinary(grade) || grade.densityKgM3 < floor || !grade.thicknessesMm.some((mm) => Math.abs(mm - heightMm) <= SHEET_NOMINAL_MM)) return [];
    const felt = feelOf({ format: 'yardland/feel@1', layers: [layerOf(grade, heightMm)], support: UNSAID_DECK, sitter, settled: true }, assume, 0);
    return felt.verdicts.length ? [] : [{ grade, rank: BEST_FIRST.indexOf(felt.feel) }];
  });
  const [best] = suiting.sort((a, b) => a.rank - b.rank || a.grade.pricePerM3 - b.grade.pricePerM3);
  const grade = best?.grade ?? grades[0];
  return grade ? [{ grade: grade.id, thicknessMm: heightMm }] : [];
}

/** Foam for a seat indoors, as most are. */
const isOrdinary = ({ family }: Grade): boolean => family === 'conventional' || family === 'high-resilience';
