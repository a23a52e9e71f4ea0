import { pair, pairMm, type Pair, type UnitSystem } from '../units/length';

/** One constant that the trade assumes rather than derives. A shop may calibrate it; the shipped value stays visible beside it. */
export interface Assumption {
  /** Metric | inch for a length; a ratio is the same number twice. */
  readonly value: Pair;
  readonly unit: 'length' | 'ratio';
  readonly meaning: string;
  readonly source: string;
}

const length = (mm: number, inch: number, meaning: string, source: string): Assumption => ({ value: pair(mm, inch), unit: 'length', meaning, source });
const ratio = (value: number, meaning: string, source: string): Assumption => ({ value: pair(value, value), unit: 'ratio', meaning, source });

/** Every assumed constant in one table. */
export const ASSUMPTIONS = {
  clothThicknessMm: length(
    1,
    1 / 25.4,
    'thickness of an ordinary upholstery cloth, where the cloth does not say',
    'weaves of 300 to 400 g/m² measure 0.8 to 1.2 mm',
  ),
  selvedgeMm: length(10, 3 / 8, 'selvedge lost on each side of a roll, where the cloth does not say', 'usual for furnishing widths'),
  trimOffMm: length(50, 2, 'strips and zips are cut longer by this at each end and trimmed at their join', 'bench practice'),
  ringOverlapMm: length(50, 2, 'extra welt in each ring for its closing join', 'bench practice'),
  jointClearMm: length(60, 2.5, 'a boxing join keeps this far from a corner, a tie or a zip end', 'bench practice'),
  biasDepthMm: length(700, 27, 'depth of cloth set aside for cutting bias strips', 'longer strips mean fewer joins, deeper cloth more offcut'),
  clipOpenMm: length(3, 1 / 8, 'no clip on a curve opens or overlaps more than this', 'bench practice'),
  squareEndMm: length(30, 1.25, 'cloth lost when the end of the roll is squared', 'bench practice'),
  clothGapMm: length(3, 1 / 8, 'room between pieces on cloth and wadding for shears or knife', 'bench practice'),
  softCoreOpening: ratio(0.6, 'a soft core compressed in a bag passes an opening of this share of its smaller side', 'bench practice'),
  zipWidthMm: length(30, 1.25, 'width of the zip tape', 'medium continuous zip'),
  zipReturnMm: length(50, 2, 'the zip runs this far round each back corner', '50 to 75 in use'),
  zipPocketMm: length(25, 1, 'depth of the pocket that hides each zip end', '25 to 50 in use'),
  cordMm: length(5, 3 / 16, 'thickness of the welt cord', 'ordinary piping cord'),
  threadThin: ratio(2.5, 'thread per length of seam and row, thin cloth (0.5 mm and under)', 'lockstitch, both threads'),
  threadThick: ratio(3.2, 'thread per length of seam and row, thick cloth (2 mm and over)', 'lockstitch, both threads'),
  sawKerfMm: length(3, 1 / 8, 'width of cut of the foam saw', 'bench practice'),
  sheetTrimMm: length(5, 1 / 4, 'edge of a foam sheet that is not square and clean', 'bench practice'),
} as const satisfies Record<string, Assumption>;

export type AssumptionKey = keyof typeof ASSUMPTIONS;

/** Calibrated values of a shop, by key, millimetres or ratios; what is absent is as shipped. */
export type Calibration = Partial<Record<AssumptionKey, number>>;

/** A constant for a job in `system`: the shop's calibrated value, else the shipped one of that system. Lengths in millimetres. */
export function assumed(key: AssumptionKey, calibration: Calibration, system: UnitSystem): number {
  const { value, unit } = ASSUMPTIONS[key];
  return calibration[key] ?? (unit === 'ratio' ? value.mm : pairMm(value, system));
}
