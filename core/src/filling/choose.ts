import * as z from 'zod';
import type { Grade } from '../material/material';
import { shipped, type Constants } from '../shop/assumptions';
import { stacksOf, type Stack } from './candidates';
import { DECKS, feelOf, POSTURES, type Feel, type FeelBand, type FeelVerdict } from './feel';

export const chooseRequestSchema = z.strictObject({
  format: z.literal('yardland/choose@1'),
  sitters: z
    .array(z.strictObject({ massKg: z.number().min(3).max(400), posture: z.enum(POSTURES), frail: z.boolean().optional() }))
    .min(1)
    .max(20),
  feel: z.enum(['soft', 'medium', 'firm']),
  part: z.enum(['seat', 'back', 'mattress']),
  use: z.enum(['daily', 'regular', 'occasional']),
  place: z.enum(['indoor', 'outdoor']),
  support: z.enum(DECKS),
  heightMm: z.number().min(15).max(600),
  deckHeightMm: z.number().nonnegative().max(3000).optional(),
});
export type ChooseRequest = z.infer<typeof chooseRequestSchema>;

export interface ChosenLayer {
  readonly grade: string;
  readonly family: Grade['family'];
  readonly hardness25N: number;
  readonly densityKgM3: number;
  readonly thicknessMm: number;
}

export interface Ranked {
  readonly layers: readonly ChosenLayer[];
  /** 0 to 100. */
  readonly score: number;
  readonly reasons: readonly string[];
  /** For the heaviest sitter and, for rising, the frailest. */
  readonly verdicts: readonly FeelVerdict[];
  readonly feel: FeelBand;
}

export interface Choice {
  readonly ranked: readonly Ranked[];
  readonly excluded: readonly { readonly grade: string; readonly reason: string }[];
}

type Sitters = ChooseRequest['sitters'];

/** A judgement of one side of a stack: points off (0 to 100) and why. `out` rules the stack out. */
interface Mark {
  readonly off: number;
  readonly why: string;
  readonly out?: boolean;
}

const heaviestOf = (sitters: Sitters): Sitters[number] => sitters.reduce((a, b) => (b.massKg > a.massKg ? b : a));

/** The sitter of middle weight stands for the usual one. */
function typicalOf(sitters: Sitters): Sitters[number] {
  const sorted = [...sitters].sort((a, b) => a.massKg - b.massKg);
  return sorted[Math.floor((sorted.length - 1) / 2)] ?? heaviestOf(sitters);
}

/** Middle of each band of sink over height, and how far off it a whole band is. */
const BAND_MIDDLE: Record<FeelBand, number> = { soft: 0.42, medium: 0.275, firm: 0.15 };
const BAND_WIDTH = 0.15;

/** Where someone must be able to get up, the firm side of the wanted band is aimed at. */
const FIRM_SIDE = 0.05;

function feelMark(feel: Feel, heightMm: number, wanted: FeelBand, mustRise: boolean): Mark {
  const ratio = feel.sinkMm / heightMm;
  const aim = BAND_MIDDLE[wanted] - (mustRise ? FIRM_SIDE : 0);
  const off = Math.min(60, (Math.abs(ratio - aim) / BAND_WIDTH) * 24) + (feel.feel === wanted ? 0 : 12);
  return { off, why: feel.feel === wanted ? `feels ${feel.feel}, as wanted` : `feels ${feel.feel}, not ${wanted}` };
}

function depthMark(heavy: Feel): Mark {
  if (heavy.verdicts.includes('bottoms-out')) return { off: 100, why: 'bottoms out under the heaviest', out: true };
  if (heavy.verdicts.includes('near-bottom')) return { off: 18, why: 'comes near its bottom under the heaviest' };
  return { off: 0, why: 'holds the heaviest clear of its bottom' };
}

/** A seat that ends below this, with nobody on it, is low, mm. */
const LOW_SEAT_MM = 450;

const isLow = ({ part, deckHeightMm, heightMm }: ChooseRequest): boolean =>
  part === 'seat' && deckHeightMm !== undefined && deckHeightMm + heightMm < LOW_SEAT_MM;

function riseMark(request: ChooseRequest, typical: Feel, frail: Feel | null): Mark {
  if (request.part !== 'seat') return { off: 0, why: '' };
  const low = isLow(request);
  const weight = frail ? 2 : low ? 1 : 0.3;
  const hard = (frail ?? typical).verdicts.includes('hard-to-rise');
  // Every millimetre that the seat gives has to be climbed again.
  const off = weight * (typical.giveMm / 10) + (hard ? 15 * weight : 0);
  if (hard) return { off, why: frail ? 'the frail sitter will find it hard to get up' : 'hard to get up from' };
  return { off, why: frail || low ? 'firm enough to get up from' : '' };
}

function deckMark(request: ChooseRequest, stack: Stack, typical: Feel, assume: Constants): Mark {
  const hardDeck = request.support === 'board' || request.support === 'folding-bed';
  if (!hardDeck || request.part === 'back' || request.heightMm <= assume('thinPadMm')) return { off: 0, why: '' };
  if (stack.layers.every((layer) => layer.grade.hardness25N >= assume('firmestClass')))
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

function lifeMark(request: ChooseRequest, stack: Stack, floor: number): Mark {
  const bearing = stack.layers.filter((layer, i) => !(i === 0 && stack.layers.length > 1 && layer.thicknessMm <= request.heightMm * LIGHT_TOP));
  const least = Math.min(...bearing.map((layer) => layer.grade.densityKgM3));
  if (least < floor * 0.8) return { off: 100, why: `too light for this use: ${least} kg/m³ where ${floor} is the least`, out: true };
  if (least < floor) return { off: 45, why: `light for this use: ${least} kg/m³ where ${floor} is wanted` };
  const over = Math.max(...bearing.map((layer) => layer.grade.densityKgM3)) - CEILING[request.part === 'back' ? 'back' : request.use];
  if (over > 0) return { off: Math.min(20, 8 + over / 2), why: 'denser than this use will ever wear out' };
  return { off: 0, why: 'dense enough for its use' };
}

function backMark(request: ChooseRequest, stack: Stack): Mark {
  if (request.part !== 'back') return { off: 0, why: '' };
  const firmest = Math.max(...stack.layers.map((layer) => layer.grade.hardness25N));
  return { off: Math.max(0, (firmest - 110) / 6), why: firmest <= 110 ? 'soft, as a back may be' : '' };
}

function priceMark(stack: Stack, heightMm: number): Mark {
  const perM2 = stack.layers.reduce((sum, layer) => sum + (layer.grade.pricePerM3 * layer.thicknessMm) / 1000, 0);
  const perM3 = (perM2 * 1000) / heightMm;
  return { off: perM3 / 60, why: '' };
}

/** What rules a grade out for every stack, in words; null when nothing does. */
function exclusion(request: ChooseRequest, grade: Grade): string | null {
  if (request.place === 'outdoor' && grade.family !== 'fast-drying') return 'indoor foam: outdoors it holds water for days';
  if (request.place === 'indoor' && grade.family === 'fast-drying') return 'fast-drying foam: its price is for outdoors';
  return null;
}

/** Load and feel of one stack under a sitter, settled as it will be after a few hundred sits. */
function feelUnder(request: ChooseRequest, stack: Stack, sitter: Sitters[number], assume: Constants): Feel {
  const layers = stack.layers.map(({ grade, thicknessMm }) => ({
    kind: 'foam' as const,
    family: grade.family,
    hardness25N: grade.hardness25N,
    supportFactor: grade.supportFactor,
    densityKgM3: grade.densityKgM3,
    thicknessMm,
  }));
  // A back bears a third of what a seat does: people lean on it.
  const massKg = request.part === 'back' ? sitter.massKg / 3 : sitter.massKg;
  const deck = request.deckHeightMm === undefined ? {} : { deckHeightMm: request.deckHeightMm };
  return feelOf(
    { format: 'yardland/feel@1', layers, support: request.support, sitter: { massKg, posture: sitter.posture }, settled: true, ...deck },
    assume,
    0,
  );
}

function rank(request: ChooseRequest, stack: Stack, assume: Constants): Ranked & { readonly out: string | null } {
  const { sitters } = request;
  const typical = feelUnder(request, stack, typicalOf(sitters), assume);
  const heavy = feelUnder(request, stack, heaviestOf(sitters), assume);
  const frailOnes = sitters.filter((sitter) => sitter.frail);
  const frail = frailOnes.length ? feelUnder(request, stack, heaviestOf(frailOnes), assume) : null;
  const marks = [
    feelMark(typical, request.heightMm, request.feel, request.part === 'seat' && (frail !== null || isLow(request))),
    depthMark(heavy),
    riseMark(request, typical, frail),
    deckMark(request, stack, typical, assume),
    lifeMark(request, stack, densityFloor(request, assume)),
    backMark(request, stack),
    priceMark(stack, request.heightMm),
    { off: (stack.layers.length - 1) * 3, why: stack.layers.length > 1 ? 'a firm base with a softer top' : '' },
  ];
  const rises = (frail ?? typical).verdicts.filter((verdict) => verdict === 'hard-to-rise');
  return {
    layers: stack.layers.map(({ grade: { id, family, hardness25N, densityKgM3 }, thicknessMm }) => ({
      grade: id,
      family,
      hardness25N,
      densityKgM3,
      thicknessMm,
    })),
    score: Math.max(0, 100 - marks.reduce((sum, mark) => sum + mark.off, 0)),
    // What weighs most is said first.
    reasons: [...marks]
      .sort((a, b) => b.off - a.off)
      .map((mark) => mark.why)
      .filter(Boolean),
    verdicts: [...new Set([...heavy.verdicts.filter((verdict) => verdict !== 'hard-to-rise'), ...rises])],
    feel: typical.feel,
    out: marks.find((mark) => mark.out)?.why ?? null,
  };
}

/** Stacks shown at most. */
const SHOWN = 40;

/**
 * Ranks the catalogue's foams, singly and in stacks of a firmer base with a softer top, for a seat, its sitters and its use; every place with its
 * reasons. Nothing is hidden: a grade that no stack keeps is listed with why.
 */
export function choose(request: ChooseRequest, grades: readonly Grade[], assume: Constants = shipped): Choice {
  const barred = grades.flatMap((grade) => {
    const reason = exclusion(request, grade);
    return reason === null ? [] : [{ grade: grade.id, reason }];
  });
  const allowed = grades.filter((grade) => !barred.some((one) => one.grade === grade.id));
  const all = stacksOf(allowed, request.heightMm).map((stack) => rank(request, stack, assume));
  const kept = all.filter((one) => one.out === null).sort((a, b) => b.score - a.score);
  const used = new Set(kept.flatMap((one) => one.layers.map((layer) => layer.grade)));
  const fallen = allowed
    .filter((grade) => !used.has(grade.id))
    .map((grade) => ({
      grade: grade.id,
      reason: all.find((one) => one.layers.some((layer) => layer.grade === grade.id))?.out ?? 'no sheets of it add up to this height',
    }));
  return { ranked: kept.slice(0, SHOWN).map(({ out: _none, ...one }) => one), excluded: [...barred, ...fallen] };
}
