import type { Constants } from '../shop/assumptions';
import { foamsOf, has, type Stack } from './candidates';
import type { ChooseRequest } from './choose-request';
import type { Feel, FeelBand } from './feel';

export type Sitters = ChooseRequest['sitters'];

/** A judgement of one side of a stack: points off (0 to 100) and why. `out` rules the stack out. */
export interface Mark {
  readonly off: number;
  readonly why: string;
  readonly out?: boolean;
}

export const heaviestOf = (sitters: Sitters): Sitters[number] => sitters.reduce((a, b) => (b.massKg > a.massKg ? b : a));

/** The sitter of middle weight stands for the usual one. */
export function typicalOf(sitters: Sitters): Sitters[number] {
  const sorted = [...sitters].sort((a, b) => a.massKg - b.massKg);
  return sorted[Math.floor((sorted.length - 1) / 2)] ?? heaviestOf(sitters);
}

/** Middle of each band of sink over height, and how far off it a whole band is. */
const BAND_MIDDLE: Record<FeelBand, number> = { soft: 0.42, medium: 0.275, firm: 0.15 };
const BAND_WIDTH = 0.15;

/** Where someone must be able to get up, the firm side of the wanted band is aimed at. */
const FIRM_SIDE = 0.05;

export function feelMark(feel: Feel, stack: Stack, wanted: FeelBand, mustRise: boolean): Mark {
  // Feather by itself lies flat under anyone; its loft is what is felt.
  if (stack.layers.length === 1 && has(stack, 'feather')) return wanted === 'soft' ? { off: 0, why: 'feels soft, as wanted' } : { off: 60, why: 'feels soft' };
  const { ratio } = feel;
  const aim = BAND_MIDDLE[wanted] - (mustRise ? FIRM_SIDE : 0);
  const off = Math.min(60, (Math.abs(ratio - aim) / BAND_WIDTH) * 24) + (feel.feel === wanted ? 0 : 12);
  return { off, why: feel.feel === wanted ? `feels ${feel.feel}, as wanted` : `feels ${feel.feel}, not ${wanted}` };
}

export function depthMark(heavy: Feel): Mark {
  if (heavy.verdicts.includes('bottoms-out')) return { off: 100, why: 'bottoms out under the heaviest', out: true };
  if (heavy.verdicts.includes('near-bottom')) return { off: 18, why: 'comes near its bottom under the heaviest' };
  return { off: 0, why: 'holds the heaviest clear of its bottom' };
}

/** A seat that ends below this, with nobody on it, is low, mm. */
const LOW_SEAT_MM = 450;

export const isLow = ({ part, deckHeightMm, heightMm }: ChooseRequest): boolean =>
  part === 'seat' && deckHeightMm !== undefined && deckHeightMm + heightMm < LOW_SEAT_MM;

export function riseMark(request: ChooseRequest, typical: Feel, frail: Feel | null): Mark {
  if (request.part !== 'seat') return { off: 0, why: '' };
  const low = isLow(request);
  const weight = frail ? 2 : low ? 1 : 0.3;
  const hard = (frail ?? typical).verdicts.includes('hard-to-rise');
  // Every millimetre that the seat gives has to be climbed again.
  const off = weight * (typical.giveMm / 10) + (hard ? 15 * weight : 0);
  if (hard) return { off, why: frail ? 'the frail sitter will find it hard to get up' : 'hard to get up from' };
  return { off, why: frail || low ? 'firm enough to get up from' : '' };
}

export function deckMark(request: ChooseRequest, stack: Stack, typical: Feel, assume: Constants): Mark {
  const hardDeck = request.support === 'board' || request.support === 'folding-bed';
  if (!hardDeck || request.part === 'back' || request.heightMm <= assume('thinPadMm')) return { off: 0, why: '' };
  const foams = foamsOf(stack);
  if (foams.length === stack.layers.length && foams.every((layer) => layer.grade.hardness25N >= assume('firmestClass')))
    return { off: 30, why: 'the firmest class on a hard deck sits like a board' };
  return typical.verdicts.includes('board-like') ? { off: 20, why: 'sits like a board' } : { off: 0, why: '' };
}

/** The least density for the bearing layers. */
export function densityFloor({ part, use }: Pick<ChooseRequest, 'part' | 'use'>, assume: Constants): number {
  if (part === 'back' || (part === 'mattress' && use === 'occasional')) return assume('backDensity');
  if (part === 'mattress') return use === 'daily' ? assume('regularDensity') : assume('occasionalDensity');
  return { daily: assume('dailyDensity'), regular: assume('regularDensity'), occasional: assume('occasionalDensity') }[use];
}

/** A top layer up to this share of the height may be lighter: it bears little. */
const LIGHT_TOP = 0.34;

/** Density above which a foam is paid for and not used, kg/m³. */
const CEILING = { daily: Infinity, regular: 40, occasional: 29, back: 25 };

export function lifeMark(request: ChooseRequest, stack: Stack, floor: number): Mark {
  const foams = foamsOf(stack);
  // Over springs the foam is a pad: it bears no more than a light top does.
  const bearing = has(stack, 'spring')
    ? []
    : foams.filter((layer, i) => !(i === 0 && foams.length > 1 && layer.thicknessMm <= request.heightMm * LIGHT_TOP)).map((layer) => layer.grade.densityKgM3);
  if (!bearing.length) return { off: 0, why: '' };
  const least = Math.min(...bearing);
  if (least < floor * 0.8) return { off: 100, why: `too light for this use: ${least} kg/m³ where ${floor} is the least`, out: true };
  if (least < floor) return { off: 45, why: `light for this use: ${least} kg/m³ where ${floor} is wanted` };
  const over = Math.max(...bearing) - CEILING[request.part === 'back' ? 'back' : request.use];
  if (over > 0) return { off: Math.min(20, 8 + over / 2), why: 'denser than this use will ever wear out' };
  return { off: 0, why: 'dense enough for its use' };
}

export function backMark(request: ChooseRequest, stack: Stack): Mark {
  if (request.part !== 'back') return { off: 0, why: '' };
  const firmest = Math.max(0, ...foamsOf(stack).map((layer) => layer.grade.hardness25N));
  return { off: Math.max(0, (firmest - 110) / 6), why: firmest <= 110 ? 'soft, as a back may be' : '' };
}

export function priceMark(stack: Stack, heightMm: number): Mark {
  const perM2 = stack.layers.reduce((sum, layer) => sum + (layer.stock.pricePerM3 * layer.thicknessMm) / 1000, 0);
  const perM3 = (perM2 * 1000) / heightMm;
  return { off: perM3 / 60, why: '' };
}

/** Whether feather by itself lies on a base that springs for it: on anything harder it bottoms out. */
const isSprungBase = ({ support }: ChooseRequest): boolean => support === 'springs';

/** Feather and down: alone for light sitters on a sprung base, else as an envelope where a soft feel is wanted; round a sprung core for the heavy. */
export function featherMark(request: ChooseRequest, stack: Stack, assume: Constants): Mark {
  if (!has(stack, 'feather')) return { off: 0, why: '' };
  const heaviest = heaviestOf(request.sitters).massKg;
  if (stack.layers.length === 1) {
    if (!isSprungBase(request)) return { off: 100, why: 'feather alone needs a well-sprung base: on this one it bottoms out', out: true };
    if (heaviest > assume('featherLightKg')) return { off: 100, why: 'feather alone is for very light sitters', out: true };
    return { off: 6, why: 'light sitters on a sprung base may have feather, in a channelled inner case' };
  }
  if (request.feel !== 'soft') return { off: 100, why: 'a feather envelope is for a soft feel', out: true };
  if (heaviest >= assume('heavySitterKg') && !has(stack, 'spring'))
    return { off: 100, why: 'for a heavy sitter a feather envelope goes round a sprung core', out: true };
  return { off: 6, why: 'a feather envelope for a soft feel; it must be plumped' };
}

/** A sprung core is for heavy sitters and hard bases. */
export function sprungMark(request: ChooseRequest, stack: Stack, assume: Constants): Mark {
  const heavy = request.part === 'seat' && heaviestOf(request.sitters).massKg >= assume('heavySitterKg');
  if (!has(stack, 'spring')) return heavy ? { off: 22, why: 'a heavy sitter is better off on a sprung core with foam over it' } : { off: 0, why: '' };
  if (request.part === 'back') return { off: 100, why: 'a back needs no springs', out: true };
  const hardBase = request.support === 'board' || request.support === 'folding-bed';
  const off = (heavy ? 0 : 18) + (hardBase ? 0 : 10);
  if (heavy) return { off, why: hardBase ? 'a sprung core carries a heavy sitter and suits a hard base' : 'a sprung core carries a heavy sitter' };
  return { off, why: hardBase ? 'a sprung core suits a hard base; these sitters could do without' : 'springs on a base that gives already' };
}
