import type { Constants } from '../shop/assumptions';
import { foamsOf, has, type Stack } from './candidates';
import type { ChooseRequest } from './choose-request';
import { densityFloor } from './density-floor';
import type { Feel, FeelBand } from './feel';
import { heaviestOf } from './sitters';

export type Sitters = ChooseRequest['sitters'];

/** A judgement of one side of a stack: points off (0 to 100), and why in words that follow on "it". `out` rules the stack out; `save` is what would let it back in. */
export interface Mark {
  readonly off: number;
  readonly why: string;
  readonly out?: boolean;
  /** Speaks for the stack, whatever it costs. */
  readonly praise?: boolean;
  /** Speaks against the stack, however little it costs. */
  readonly against?: boolean;
  readonly save?: string;
}

/** Points off from which a mark speaks against a stack. */
const AGAINST = 10;

const speaksAgainst = ({ off, praise, against }: Mark): boolean => against ?? (off >= AGAINST && !praise);

/** What is to be said of a stack: what speaks for it, then what against, the weightiest of each first. */
function inOrder(marks: readonly Mark[]): { readonly forIt: readonly string[]; readonly against: readonly string[] } {
  const said = marks.filter(({ why }) => why !== '').sort((a, b) => b.off - a.off);
  const words = (some: readonly Mark[]): string[] => some.map(({ why }) => why);
  return { forIt: words(said.filter((mark) => !speaksAgainst(mark))), against: words(said.filter(speaksAgainst)) };
}

/** The reasons one by one, what speaks for the stack first. */
export function reasonsOf(marks: readonly Mark[]): string[] {
  const { forIt, against } = inOrder(marks);
  return [...forIt, ...against];
}

/** The marks of a stack as one sentence that a person would say. */
export function sentenceOf(marks: readonly Mark[]): string {
  const reasons = inOrder(marks);
  const list = (words: readonly string[]): string =>
    words.length > 1 ? `${words.slice(0, -1).join(', ')} and ${words[words.length - 1] ?? ''}` : (words[0] ?? '');
  const [forIt, against] = [list(reasons.forIt), list(reasons.against)];
  if (!forIt) return `It ${against}.`;
  return against ? `It ${forIt}, but ${against}.` : `It ${forIt}.`;
}

/** How far off the wanted feel costs what: for half the width of the medium band, and for landing in another band. */
const HALF_BAND_OFF = 10;
const WRONG_BAND_OFF = 12;
const MOST_FEEL_OFF = 60;

/** The sink over height that a feel aims at: the middle of the medium band, and as far beyond its ends for the other two. */
function aimOf(wanted: FeelBand, assume: Constants): { readonly aim: number; readonly half: number } {
  const [soft, medium] = [assume('softFrom'), assume('mediumFrom')];
  const half = (soft - medium) / 2;
  return { aim: { soft: soft + half, medium: medium + half, firm: medium - half }[wanted], half };
}

export function feelMark(feel: Feel, stack: Stack, wanted: FeelBand, mustRise: boolean, assume: Constants): Mark {
  // Feather by itself lies flat under anyone; its loft is what is felt.
  if (stack.layers.length === 1 && has(stack, 'feather'))
    return wanted === 'soft' ? { off: 0, why: 'feels soft as wanted' } : { off: MOST_FEEL_OFF, why: `feels soft and not ${wanted}` };
  const { aim, half } = aimOf(wanted, assume);
  const far = Math.abs(feel.ratio - (aim - (mustRise ? assume('firmSide') : 0)));
  const off = Math.min(MOST_FEEL_OFF, (far / half) * HALF_BAND_OFF);
  return feel.feel === wanted
    ? { off, praise: true, why: `feels ${feel.feel} as wanted` }
    : { off: off + WRONG_BAND_OFF, why: `feels ${feel.feel} and not ${wanted}` };
}

/** What is said of a stack that bottoms out. */
export const BOTTOMS_OUT = 'bottoms out';

export function depthMark(heavy: Feel): Mark {
  if (heavy.verdicts.includes('bottoms-out')) return { off: 100, why: BOTTOMS_OUT, out: true, save: 'a firmer foam under it, or a thicker cushion' };
  if (heavy.verdicts.includes('near-bottom')) return { off: 18, why: 'comes near its bottom' };
  return { off: 0, why: 'stays clear of its bottom' };
}

/** A seat that ends low with nobody on it. */
export const isLow = ({ part, deckHeightMm, heightMm }: ChooseRequest, assume: Constants): boolean =>
  part === 'seat' && deckHeightMm !== undefined && deckHeightMm + heightMm < assume('sinkLowSeatMm');

export function riseMark(request: ChooseRequest, typical: Feel, frail: Feel | null, assume: Constants): Mark {
  if (request.part !== 'seat') return { off: 0, why: '' };
  const low = isLow(request, assume);
  const weight = frail ? 2 : low ? 1 : 0.3;
  const hard = (frail ?? typical).verdicts.includes('hard-to-rise');
  // Every millimetre that the seat gives has to be climbed again.
  const off = weight * (typical.giveMm / 10) + (hard ? 15 * weight : 0);
  if (hard) return { off, against: true, why: frail ? 'is hard for the frail sitter to get up from' : 'is hard to get up from' };
  return { off, why: frail || low ? 'is firm enough to get up from' : '' };
}

export function deckMark(request: ChooseRequest, stack: Stack, typical: Feel, assume: Constants): Mark {
  const hardDeck = request.support === 'board' || request.support === 'folding-bed';
  if (!hardDeck || request.part === 'back' || request.heightMm <= assume('thinPadMm')) return { off: 0, why: '' };
  const foams = foamsOf(stack);
  if (foams.length === stack.layers.length && foams.every((layer) => layer.grade.hardness25N >= assume('firmestClass')))
    return { off: 30, why: 'is of the firmest class, which sits like a board on a hard deck' };
  return typical.verdicts.includes('board-like') ? { off: 20, why: 'sits like a board' } : { off: 0, why: '' };
}

/** Density above which a foam is paid for and not used, kg/m³. */
function denseEnough({ part, use }: Pick<ChooseRequest, 'part' | 'use'>, assume: Constants): number {
  if (part === 'back') return assume('backDenseKgM3');
  return { daily: Infinity, regular: assume('regularDenseKgM3'), occasional: assume('occasionalDenseKgM3') }[use];
}

/** A foam lighter than this share of what its use wants is ruled out, not only marked down. */
const FAR_TOO_LIGHT = 0.8;

export function lifeMark(request: ChooseRequest, stack: Stack, assume: Constants): Mark {
  const floor = densityFloor(request, assume);
  const foams = foamsOf(stack);
  const light = request.heightMm * assume('lightTopShare');
  // Over springs the foam is a pad: it bears no more than a light top does. A face of a reversible cushion is a top either way up.
  const faces = request.reversible ? [0, foams.length - 1] : [0];
  const bearing = has(stack, 'spring')
    ? []
    : foams.filter((layer, i) => !(faces.includes(i) && foams.length > 1 && layer.thicknessMm <= light)).map((layer) => layer.grade.densityKgM3);
  if (!bearing.length) return { off: 0, why: '' };
  const least = Math.min(...bearing);
  if (least < floor * FAR_TOO_LIGHT)
    return {
      off: 100,
      why: `is too light for this use: ${least} kg/m³ where ${floor} is the least`,
      out: true,
      save: `a thin layer of it on top of a foam of ${floor} kg/m³ or more`,
    };
  if (least < floor) return { off: 45, why: `is light for this use: ${least} kg/m³ where ${floor} is wanted` };
  const over = Math.max(...bearing) - denseEnough(request, assume);
  if (over > 0) return { off: Math.min(20, 8 + over / 2), why: 'is denser than this use will ever wear out' };
  return { off: 0, why: 'is dense enough for its use' };
}

/** In a high cushion the medium class already reads firm: the firmest there is for nobody. */
export function highMark(request: ChooseRequest, stack: Stack, assume: Constants): Mark {
  const foams = foamsOf(stack);
  const firmest = foams.length > 0 && foams.every(({ grade }) => grade.hardness25N >= assume('firmestClass'));
  if (request.part !== 'seat' || request.feel !== 'firm' || request.heightMm < assume('highCushionMm') || !firmest || has(stack, 'spring'))
    return { off: 0, why: '' };
  return {
    off: 100,
    why: 'is of the firmest class, and in so high a cushion the medium one already sits firm',
    out: true,
    save: 'a softer layer on top of it, or the medium class by itself',
  };
}

/** A cushion that is turned over is the same from both sides. */
export function turnMark({ reversible }: ChooseRequest, stack: Stack): Mark {
  if (!reversible) return { off: 0, why: '' };
  const same = stack.layers.every((layer, i) => layer.stock.id === stack.layers[stack.layers.length - 1 - i]?.stock.id);
  if (!same) return { off: 100, why: 'is not the same from both sides', out: true, save: 'the soft layer on both faces of the firm one' };
  return { off: 0, why: stack.layers.length > 1 ? 'has a firm middle and the same on both faces' : 'is the same from both sides' };
}

export function backMark(request: ChooseRequest, stack: Stack, assume: Constants): Mark {
  if (request.part !== 'back') return { off: 0, why: '' };
  const over = Math.max(0, ...foamsOf(stack).map((layer) => layer.grade.hardness25N)) - assume('softBackN');
  return { off: Math.max(0, over / 6), why: over <= 0 ? 'is soft as a back may be' : over > 60 ? 'is firm for a back' : '' };
}

export function priceMark(stack: Stack, heightMm: number): Mark {
  const perM2 = stack.layers.reduce((sum, layer) => sum + (layer.stock.pricePerM3 * layer.thicknessMm) / 1000, 0);
  const perM3 = (perM2 * 1000) / heightMm;
  return { off: perM3 / 60, why: '' };
}

/** Whether feather by itself lies on a base that springs for it: on anything harder it bottoms out. */
const isSprungBase = ({ support }: ChooseRequest): boolean => support === 'springs';

/**
 * Feather and down. In a back on anything. As a seat by itself only for very light sitters on a sprung base, else as an envelope where a soft feel is wanted; round a sprung
 * core for the heavy.
 */
export function featherMark(request: ChooseRequest, stack: Stack, assume: Constants): Mark {
  if (!has(stack, 'feather')) return { off: 0, why: '' };
  if (request.part === 'back') return { off: 4, why: 'is feather, fine in a back and to be plumped' };
  const heaviest = heaviestOf(request.sitters).massKg;
  if (stack.layers.length === 1) {
    if (!isSprungBase(request))
      return {
        off: 100,
        why: 'needs a well-sprung base: on this one feather alone bottoms out',
        out: true,
        save: 'springs under it, or a core of foam inside it',
      };
    if (heaviest > assume('featherLightKg'))
      return { off: 100, why: 'lies flat under these sitters: feather alone is for the very lightest', out: true, save: 'a core of foam or springs inside it' };
    return { off: 6, why: 'will do by itself on this sprung base, in a channelled inner case' };
  }
  if (request.feel !== 'soft') return { off: 100, why: 'feels soft: a feather case is for that', out: true, save: 'a soft feel asked for' };
  if (heaviest >= assume('heavySitterKg') && request.heightMm >= assume('leastSprungMm') && !has(stack, 'spring'))
    return {
      off: 100,
      why: 'has no springs: for these sitters a feather case goes on a sprung core',
      out: true,
      save: 'a sprung core under the case',
    };
  return { off: 6, why: 'has a feather case for its soft feel, which must be plumped' };
}

/** Sitters that a sprung core is for, in a cushion high enough for one. */
function wantsSprings({ part, sitters, heightMm }: ChooseRequest, assume: Constants): boolean {
  return part === 'seat' && heaviestOf(sitters).massKg >= assume('heavySitterKg') && heightMm >= assume('leastSprungMm');
}

/** Where springs carry the sitters and a soft feel is wanted, a feather case belongs on them. */
export function envelopeMark(request: ChooseRequest, stack: Stack, assume: Constants): Mark {
  if (request.feel !== 'soft' || !wantsSprings(request, assume) || has(stack, 'feather')) return { off: 0, why: '' };
  return { off: 25, why: 'has no feather case, which would make it soft' };
}

/** A sprung core is for heavy sitters and hard bases. */
export function sprungMark(request: ChooseRequest, stack: Stack, assume: Constants): Mark {
  const heavy = wantsSprings(request, assume);
  if (!has(stack, 'spring'))
    return heavy ? { off: 45, why: 'has no springs, and these sitters are better off on a sprung core with muslin and foam over it' } : { off: 0, why: '' };
  if (request.part === 'back') return { off: 100, why: 'has springs, and a back needs none', out: true, save: 'foam or feather without the springs' };
  const hardBase = request.support === 'board' || request.support === 'folding-bed';
  const off = (heavy ? 0 : 18) + (hardBase ? 0 : 10);
  if (heavy) return { off, praise: true, why: `carries its sitters on springs, with muslin and foam over them${hardBase ? ', and suits a hard base' : ''}` };
  return { off, why: hardBase ? 'has springs, which suit a hard base and which these sitters could do without' : 'has springs on a base that gives already' };
}
