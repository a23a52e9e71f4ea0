import { pair, pairMm, type Pair, type UnitSystem } from '../units/length';

/** Units of constants that are the same in every shop. */
type Plain = 'min' | 's' | 'cm²' | 'money/h' | 'money/l' | 'Pa' | 'kPa' | 'mm/kPa' | 'm²' | 'm' | 'l/m²' | 'm²/kg' | 'mm' | 'kg' | 'kg/m³' | 'N' | 'N/m';

/** One constant that the trade assumes rather than derives. A shop may calibrate it; the shipped value stays visible beside it. */
export interface Assumption {
  /** Metric | inch for a length; everything else is the same number twice. */
  readonly value: Pair;
  readonly unit: 'length' | 'ratio' | Plain;
}

/** A length as shipped for metric shops, mm, and for inch shops, inches. */
export const length = (mm: number, inch: number): Assumption => ({ value: pair(mm, inch), unit: 'length' });
export const ratio = (value: number): Assumption => ({ value: pair(value, value), unit: 'ratio' });
export const plain = (value: number, unit: Plain): Assumption => ({ value: pair(value, value), unit });

/**
 * The constants that several folders assume; what each means, and where it comes from, in `assumption-words.ts`. What one construction alone assumes stands in its own
 * folder (`ownAssumptions`); `allConstants` in `cover/own-constants.ts` has all of them.
 */
export const ASSUMPTIONS = {
  clothThicknessMm: length(1, 1 / 25.4),
  selvedgeMm: length(10, 3 / 8),
  trimOffMm: length(50, 2),
  ringOverlapMm: length(50, 2),
  jointClearMm: length(60, 2.5),
  frontClearMm: length(150, 6),
  biasDepthMm: length(700, 27),
  clipOpenMm: length(3, 1 / 8),
  squareEndMm: length(30, 1.25),
  clothGapMm: length(3, 1 / 8),
  softCoreOpening: ratio(0.6),
  zipWidthMm: length(30, 1.25),
  zipStopsMm: length(10, 3 / 8),
  zipSewnStopMm: length(25, 1),
  zipReturnMm: length(50, 2),
  zipPocketMm: length(25, 1),
  cordMm: length(5, 3 / 16),
  threadThin: ratio(2.5),
  threadThick: ratio(3.2),
  sawKerfMm: length(3, 1 / 8),
  knifeKerfMm: length(1, 1 / 16),
  wireKerfMm: length(2, 1 / 16),
  earTrimMm: length(13, 1 / 2),
  penAllowanceMm: length(3, 1 / 8),
  sheetTrimMm: length(5, 1 / 4),
  uprightShare: ratio(0.75),
  reclinedShare: ratio(0.65),
  childKg: plain(25, 'kg'),
  lightKg: plain(43, 'kg'),
  slightKg: plain(55, 'kg'),
  middlingKg: plain(75, 'kg'),
  sturdyKg: plain(95, 'kg'),
  heavyKg: plain(120, 'kg'),
  contactBase: plain(0.075, 'm²'),
  contactPerKg: plain(0.0006, 'm²/kg'),
  lyingShare: ratio(0.22),
  lyingBase: plain(0.03, 'm²'),
  lyingPerKg: plain(0.0001, 'm²/kg'),
  lyingPeakFactor: ratio(1.3),
  peakFactor: ratio(1.6),
  boardGive: plain(0, 'mm/kPa'),
  foldingBedGive: plain(1.5, 'mm/kPa'),
  webbingGive: plain(8, 'mm/kPa'),
  springsGive: plain(10, 'mm/kPa'),
  settledConventional: ratio(0.85),
  settledResilient: ratio(0.9),
  springStiffnessKPa: plain(14, 'kPa'),
  springPeakFactor: ratio(1.3),
  springTravel: ratio(0.7),
  featherPressure: plain(400, 'Pa'),
  softFrom: ratio(0.35),
  mediumFrom: ratio(0.22),
  bottomsOut: ratio(0.7),
  nearBottom: ratio(0.62),
  boardStrain: ratio(0.1),
  boardGiveMm: plain(12, 'mm'),
  lowSeatMm: plain(380, 'mm'),
  deepGiveMm: plain(110, 'mm'),
  frailGiveMm: plain(75, 'mm'),
  comfortShare: ratio(0.35),
  dailyDensity: plain(35, 'kg/m³'),
  regularDensity: plain(30, 'kg/m³'),
  occasionalDensity: plain(24, 'kg/m³'),
  backDensity: plain(18, 'kg/m³'),
  firmestClass: plain(200, 'N'),
  leastSprungMm: plain(120, 'mm'),
  regularDenseKgM3: plain(40, 'kg/m³'),
  occasionalDenseKgM3: plain(29, 'kg/m³'),
  backDenseKgM3: plain(25, 'kg/m³'),
  lightTopShare: ratio(0.34),
  firmSide: ratio(0.05),
  backLoadShare: ratio(1 / 3),
  softBackN: plain(110, 'N'),
  highCushionMm: plain(175, 'mm'),
  featherLightKg: plain(45, 'kg'),
  heavySitterKg: plain(90, 'kg'),
  hardnessClass: plain(45, 'N'),
  slowReturn: plain(60, 's'),
  hourRate: plain(45, 'money/h'),
  padMinutes: plain(25, 'min'),
  wrapMinutes: plain(20, 'min'),
  glueMinutes: plain(20, 'min'),
  spliceMinutes: plain(35, 'min'),
  frameMinutes: plain(10, 'min'),
  airMinutes: plain(15, 'min'),
  steamMinutes: plain(10, 'min'),
  newCoreMinutes: plain(30, 'min'),
  coreCutMinutes: plain(5, 'min'),
  adhesivePrice: plain(18, 'money/l'),
  dryShare: ratio(0.05),
  wrapSqueezedLightly: ratio(0.5),
  packedEndLoftMm: length(40, 1.5),
  looseBelow: plain(150, 'Pa'),
  roomyBelow: plain(700, 'Pa'),
  hardToCloseTension: plain(150, 'N/m'),
  willNotCloseTension: plain(400, 'N/m'),
  bowOversize: ratio(0.09),
  bowThinOversize: ratio(0.04),
  bowThinMm: plain(50, 'mm'),
  leastWrapMm: plain(6, 'mm'),
  wovenStiffness: plain(15_000, 'N/m'),
  stretchStiffness: plain(4_000, 'N/m'),
  wrapFaceOverMm: length(13, 1 / 2),
  wrapBorderOverMm: length(25, 1),
  wrapWhipOverMm: length(32, 1.25),
  cornerReachMm: length(40, 1.5),
  looseFillDensity: plain(14, 'kg/m³'),
  waddingKgM3: plain(10, 'kg/m³'),
  waddingLoftShare: ratio(1),
  sideLoftShare: ratio(1),
  waddingPa: plain(130, 'Pa'),
  clothKgM3: plain(450, 'kg/m³'),
  feltMm: plain(10, 'mm'),
  feltLapMm: length(25, 1),
  hollowPadLoftMm: plain(25, 'mm'),
  usualWrapMm: length(25, 1),
  earRunOut: ratio(0.25),
  sinkLowSeatMm: plain(450, 'mm'),
  pressPlateCm2: plain(323, 'cm²'),
  keptOffcutMm: plain(150, 'mm'),
  joinEndMm: plain(100, 'mm'),
  cutFixedMinutes: plain(2, 'min'),
  cutMetreMinutes: plain(0.6, 'min'),
  cutCornerMinutes: plain(0.2, 'min'),
  sewFixedMinutes: plain(2, 'min'),
  sewMetreMinutes: plain(1.2, 'min'),
  sewCornerMinutes: plain(0.6, 'min'),
  unpickShare: ratio(1),
  handFixedMinutes: plain(3, 'min'),
  handMetreMinutes: plain(14, 'min'),
  stapleFixedMinutes: plain(3, 'min'),
  stapleMetreMinutes: plain(5, 'min'),
  prepareFixedMinutes: plain(6, 'min'),
  prepareMetreMinutes: plain(1, 'min'),
  fillFixedMinutes: plain(5, 'min'),
  fillCornerMinutes: plain(1, 'min'),
  tackyMinutes: plain(5, 'min'),
  glueRestMinutes: plain(30, 'min'),
  powderMinutes: plain(30, 'min'),
  steamRestMinutes: plain(10, 'min'),
  washMinutes: plain(1440, 'min'),
  adhesivePerM2: plain(0.25, 'l/m²'),
  glueEdgeMm: plain(50, 'mm'),
  bobbinM: plain(60, 'm'),
  lookMinutes: plain(1, 'min'),
  joinStopMm: length(50, 2),
  wrapStapleMm: length(25, 1),
  stapleClearMm: length(60, 2.5),
  stapleEveryMm: plain(20, 'mm'),
  sewnEndMm: length(75, 3),
  drumSeamMm: length(13, 1 / 2),
  bolsterEndMm: length(50, 2),
  knifeSeamMm: length(13, 1 / 2),
  joinStitchMm: plain(4, 'mm'),
  pinkMetreMinutes: plain(0.7, 'min'),
  overlockMetreMinutes: plain(0.5, 'min'),
  sealMetreMinutes: plain(0.9, 'min'),
  pinkedLeastMm: length(10, 3 / 8),
  overlockedLeastMm: length(8, 5 / 16),
  holesStitchMm: plain(5, 'mm'),
  holdStapleMm: length(40, 1 + 1 / 2),
  topStitchMm: plain(6, 'mm'),
  slipStitchMm: length(6, 1 / 4),
  ridgeMm: plain(5, 'mm'),
  ringStopMm: length(125, 5),
  ringOverMm: length(25, 1),
  ringTurnMm: length(13, 1 / 2),
  endRowMm: length(25, 1),
  ridgeStopMm: length(13, 1 / 2),
  frontRadiusMm: length(29.6, 29.6 / 25.4),
  tuftDepthShare: ratio(0.2),
  pleatMm: length(6, 1 / 4),
  splitGapMm: length(4, 1 / 8),
  zipShortMm: length(50, 2),
  zipPastTieMm: length(50, 2),
  placketMm: length(75, 3),
  placketShortMm: length(25, 1),
  endHemMm: length(13, 1 / 2),
  endLapMm: length(50, 2),
  teethGapMm: length(3, 1 / 8),
  zipLapMm: length(12, 1 / 2),
  zipTurnMm: length(10, 3 / 8),
  hookTapeMm: length(25, 1),
  weltTightMm: plain(40, 'mm'),
  thinPadMm: plain(60, 'mm'),
} as const satisfies Record<string, Assumption>;

export type AssumptionKey = keyof typeof ASSUMPTIONS;

/** A constant that belongs to one folder above the shop. A shop calibrates it by its key, as it does the others. */
export interface OwnAssumption extends Assumption {
  readonly key: string;
}

/** A folder's own constants, each with its key. */
export function ownAssumptions<K extends string>(rows: Readonly<Record<K, Assumption>>): Readonly<Record<K, OwnAssumption>> {
  const keyed = Object.entries<Assumption>(rows).map(([key, row]) => [key, { ...row, key }]);
  return Object.fromEntries(keyed) as Record<K, OwnAssumption>;
}

/** Constants that earlier documents of a shop may still have calibrated: passed over when they are read, for the law that used them is gone. */
export const RETIRED_ASSUMPTIONS: readonly string[] = ['springRate', 'lyingArea'];

/** A shop's own values of constants by key, in millimetres or the constant's unit; what is absent is as shipped. */
export type Calibration = Readonly<Record<string, number>>;

/** A constant by its key, or the row of a folder's own constant. */
export type Assumed = AssumptionKey | OwnAssumption;

/** A way to look constants up: a shop's, or `shipped`. Lengths in millimetres. */
export type Constants = (constant: Assumed) => number;

/** How constants are looked up for jobs in `system`: the shop's own value, else the shipped one of that system. */
export function constantsOf(calibration: Calibration, system: UnitSystem): Constants {
  const known = new Map<Assumed, number>();
  return (constant) => {
    const before = known.get(constant);
    if (before !== undefined) return before;
    const key = typeof constant === 'string' ? constant : constant.key;
    const { value, unit }: Assumption = typeof constant === 'string' ? ASSUMPTIONS[constant] : constant;
    const found = calibration[key] ?? (unit === 'length' ? pairMm(value, system) : value.mm);
    known.set(constant, found);
    return found;
  };
}

/** A constant as shipped for metric shops, for computing without a shop. */
export const shipped: Constants = constantsOf({}, 'metric');
