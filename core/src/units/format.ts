import { MM_PER_FOOT, MM_PER_INCH, MM_PER_YARD, type Pair, type UnitSystem } from './length';
import { roundHalfUp, roundToStep } from './round';

/** A printed length in parts, so that a screen can stack the fraction. Metric lengths have only `whole`. */
export interface LengthParts {
  readonly negative: boolean;
  readonly whole: string;
  readonly numerator: number;
  readonly denominator: number;
  readonly unit: 'in' | 'mm';
}

/** Finest inch fraction that is ever printed. */
const FINEST_INCH = 64;

const NARROW_SPACE = '\u202f';
const MINUS = '−';

/** 1196 → `1 196`, with a narrow space from four digits on; the decimals, if any, are kept. */
function grouped(value: number, decimals: number): string {
  const text = roundHalfUp(value, 10 ** -decimals).toFixed(decimals);
  const [whole = '0', part] = (decimals > 0 ? text.replace(/\.?0+$/, '') : text).split('.');
  const spaced = whole.replace(/\B(?=(\d{3})+(?!\d))/g, NARROW_SPACE);
  return part ? `${spaced}.${part}` : spaced;
}

function inchParts(inches: number): LengthParts {
  const units = Math.round(Math.abs(inches) * FINEST_INCH);
  let numerator = units % FINEST_INCH;
  let denominator = FINEST_INCH;
  while (numerator > 0 && numerator % 2 === 0) {
    numerator /= 2;
    denominator /= 2;
  }
  const whole = Math.floor(units / FINEST_INCH);
  return { negative: inches < 0 && units > 0, whole: String(whole), numerator, denominator: numerator ? denominator : 1, unit: 'in' };
}

/** The length rounded half up to the shop's step, in parts. */
export function lengthParts(mm: number, system: UnitSystem, step: Pair): LengthParts {
  const rounded = roundToStep(mm, system, step);
  if (system === 'inch') return inchParts(rounded / MM_PER_INCH);
  const decimals = step.mm < 1 ? 1 : 0;
  return { negative: rounded < 0, whole: grouped(Math.abs(rounded), decimals), numerator: 0, denominator: 1, unit: 'mm' };
}

/** Parts as one line of text: `23 1/2`, `1 196`, `3/8`. */
export function partsText(parts: LengthParts): string {
  const fraction = parts.numerator ? `${parts.numerator}/${parts.denominator}` : '';
  const whole = parts.whole === '0' && fraction ? '' : parts.whole;
  return (parts.negative ? MINUS : '') + [whole, fraction].filter(Boolean).join(' ');
}

/** The length rounded to the shop's step as text without its unit. */
export function formatLength(mm: number, system: UnitSystem, step: Pair): string {
  return partsText(lengthParts(mm, system, step));
}

/** The same with the unit: `23 1/2 in`, `597 mm`. */
export function formatLengthUnit(mm: number, system: UnitSystem, step: Pair): string {
  return `${formatLength(mm, system, step)} ${system === 'inch' ? 'in' : 'mm'}`;
}

/** Lengths that belong together, the unit once: `23 1/2 × 20 × 4 in`, `597 × 508 mm`. */
export function formatSize(mms: readonly number[], system: UnitSystem, step: Pair): string {
  return mms.map((mm, i) => (i < mms.length - 1 ? formatLength : formatLengthUnit)(mm, system, step)).join(' × ');
}

/** The length as it enters a sum, before the shop's rounding: tenths of a millimetre, or a fraction of an inch where it is one, else hundredths. */
export function formatExact(mm: number, system: UnitSystem): string {
  if (system === 'metric') return (mm < 0 ? MINUS : '') + grouped(Math.abs(mm), 1);
  const inches = mm / MM_PER_INCH;
  const sixteenths = inches * 16;
  if (Math.abs(sixteenths - Math.round(sixteenths)) < 1e-6) return partsText(inchParts(inches));
  return (inches < 0 ? MINUS : '') + grouped(Math.abs(inches), 2);
}

/** A plain number for counts, per cents and forces, at most `decimals` decimals, no trailing zeros. */
export function formatNumber(value: number, decimals = 0): string {
  return (value < 0 && roundHalfUp(-value, 10 ** -decimals) > 0 ? MINUS : '') + grouped(Math.abs(value), decimals);
}

/** Runs from this length on are said in yards, shorter ones in inches. */
const YARDS_FROM_MM = 2 * MM_PER_YARD;

/** A run of cloth, zip or cord: `2.3 m`; for an inch shop `2 1/4 yd`, or `29 7/8 in` below two yards, to the nearest eighth. */
export function formatRun(mm: number, system: UnitSystem): string {
  if (system === 'metric') return `${formatNumber(mm / 1000, 2)} m`;
  const yards = mm >= YARDS_FROM_MM;
  return `${partsText(inchParts(roundHalfUp(mm / (yards ? MM_PER_YARD : MM_PER_INCH), 1 / 8)))} ${yards ? 'yd' : 'in'}`;
}

/** An area without its unit: square metres, or square feet; at most `decimals` decimals. */
export function formatAreaNumber(mm2: number, system: UnitSystem, decimals = 2): string {
  return formatNumber(system === 'metric' ? mm2 / 1e6 : mm2 / MM_PER_FOOT ** 2, decimals);
}

/** What areas are said in. */
export const areaUnit = (system: UnitSystem): string => (system === 'metric' ? 'm²' : 'ft²');

/** An area: `0.27 m²`, or `2.91 ft²` for an inch job. */
export function formatArea(mm2: number, system: UnitSystem, decimals = 2): string {
  return `${formatAreaNumber(mm2, system, decimals)} ${areaUnit(system)}`;
}

/** A length of stitch: `4 mm`, or `6 stitches to the inch`, which is how a machine is set there. Never rounded to the shop's step. */
export function formatStitch(mm: number, system: UnitSystem): string {
  return system === 'metric' ? `${formatNumber(mm, 1)} mm` : `${formatNumber(roundHalfUp(MM_PER_INCH / mm, 1))} to the inch`;
}

/** An amount of money, always with two decimals. */
export function formatMoney(value: number): string {
  return value.toFixed(2).replace(/\B(?=(\d{3})+(?!\d))/g, '\u202f');
}

/** A range of lengths in words, metric and inch: `from 3 to 50 mm (1/8 to 2 in)`. */
export function rangeWords(leastMm: number, mostMm: number): string {
  const inch = (mm: number): string => partsText(lengthParts(mm, 'inch', { mm: 1, inch: 1 / 8 }));
  return `from ${formatNumber(leastMm)} to ${formatNumber(mostMm)} mm (${inch(leastMm)} to ${inch(mostMm)} in)`;
}
