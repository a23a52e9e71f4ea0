import { isFoam, type FillingKind, type Grade, type Stock } from '../material/material';
import type { Constants } from '../shop/assumptions';
import { foamsOf, stacksOf, type Catalogue, type Stack } from './candidates';
import {
  backMark,
  deckMark,
  densityFloor,
  depthMark,
  featherMark,
  feelMark,
  heaviestOf,
  isLow,
  lifeMark,
  priceMark,
  riseMark,
  sprungMark,
  typicalOf,
  type Mark,
  type Sitters,
} from './choose-marks';
import type { ChooseRequest } from './choose-request';
import { feelOf, type Feel, type FeelBand, type FeelVerdict } from './feel';
import { layerOf } from './layer';

export interface ChosenLayer {
  readonly grade: string;
  readonly family: Grade['family'] | FillingKind;
  /** Null for what follows no foam law: springs, feather, felt. */
  readonly hardness25N: number | null;
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

const OUTDOORS: Record<FillingKind, string> = {
  spring: 'springs rust outdoors',
  feather: 'feather holds water and rots outdoors',
  felt: 'felt holds water outdoors',
};

/** What rules a grade out for every stack, in words; null when nothing does. */
function exclusion(request: ChooseRequest, grade: Stock): string | null {
  if (!isFoam(grade)) return request.place === 'outdoor' ? OUTDOORS[grade.kind] : null;
  if (request.place === 'outdoor' && grade.family !== 'fast-drying') return 'indoor foam: outdoors it holds water for days';
  if (request.place === 'indoor' && grade.family === 'fast-drying') return 'fast-drying foam: its price is for outdoors';
  return null;
}

/** Load and feel of one stack under a sitter, settled as it will be after a few hundred sits. */
function feelUnder(request: ChooseRequest, stack: Stack, sitter: Sitters[number], assume: Constants): Feel {
  const layers = stack.layers.map(({ stock, thicknessMm }) => layerOf(stock, thicknessMm));
  // A back bears a third of what a seat does: people lean on it.
  const massKg = request.part === 'back' ? sitter.massKg / 3 : sitter.massKg;
  const deck = request.deckHeightMm === undefined ? {} : { deckHeightMm: request.deckHeightMm };
  return feelOf(
    { format: 'yardland/feel@1', layers, support: request.support, sitter: { massKg, posture: sitter.posture }, settled: true, ...deck },
    assume,
    0,
  );
}

/** Every joint is glue and time; what it buys is said. */
function layersMark(stack: Stack): Mark {
  const foams = foamsOf(stack).length;
  const why = foams === 3 ? 'three steps from firm to soft' : foams === 2 ? 'a firm base with a softer top' : '';
  return { off: (stack.layers.length - 1) * 3, why };
}

function rank(request: ChooseRequest, stack: Stack, assume: Constants): Ranked & { readonly out: string | null } {
  const { sitters } = request;
  const typical = feelUnder(request, stack, typicalOf(sitters), assume);
  const heavy = feelUnder(request, stack, heaviestOf(sitters), assume);
  const frailOnes = sitters.filter((sitter) => sitter.frail);
  const frail = frailOnes.length ? feelUnder(request, stack, heaviestOf(frailOnes), assume) : null;
  const marks = [
    feelMark(typical, stack, request.feel, request.part === 'seat' && (frail !== null || isLow(request))),
    depthMark(heavy),
    riseMark(request, typical, frail),
    deckMark(request, stack, typical, assume),
    lifeMark(request, stack, densityFloor(request, assume)),
    backMark(request, stack),
    featherMark(request, stack, assume),
    sprungMark(request, stack, assume),
    priceMark(stack, request.heightMm),
    layersMark(stack),
  ];
  const rises = (frail ?? typical).verdicts.filter((verdict) => verdict === 'hard-to-rise');
  return {
    layers: stack.layers.map(({ stock, thicknessMm }) => ({
      grade: stock.id,
      family: isFoam(stock) ? stock.family : stock.kind,
      hardness25N: isFoam(stock) ? stock.hardness25N : null,
      densityKgM3: stock.densityKgM3,
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
 * Ranks the catalogue's fillings, singly and in stacks, for a seat, its sitters and its use; every place with its reasons. Nothing is hidden: what
 * no stack keeps is listed with why.
 */
export function choose(request: ChooseRequest, catalogue: Catalogue, assume: Constants): Choice {
  // Felt and the like lie under or round a core; they are not ranked as one.
  const stock: readonly Stock[] = [...catalogue.grades, ...catalogue.fillings.filter(({ kind }) => kind !== 'felt')];
  const barred = stock.flatMap((one) => {
    const reason = exclusion(request, one);
    return reason === null ? [] : [{ grade: one.id, reason }];
  });
  const allowed = stock.filter((one) => !barred.some(({ grade }) => grade === one.id));
  const keep = <T extends Stock>(rows: readonly T[]): T[] => rows.filter((one) => allowed.includes(one));
  const stacks = stacksOf({ grades: keep(catalogue.grades), fillings: keep(catalogue.fillings) }, request.heightMm);
  const all = stacks.map((stack) => rank(request, stack, assume));
  const kept = all.filter((one) => one.out === null).sort((a, b) => b.score - a.score);
  const used = new Set(kept.flatMap((one) => one.layers.map((layer) => layer.grade)));
  const fallen = allowed
    .filter(({ id }) => !used.has(id))
    .map(({ id, ...one }) => ({
      grade: id,
      reason:
        all.find(({ layers }) => layers.some((layer) => layer.grade === id))?.out ??
        ('kind' in one ? 'not made for this height' : 'no sheets of it add up to this height'),
    }));
  return { ranked: kept.slice(0, SHOWN).map(({ out: _none, ...one }) => one), excluded: [...barred, ...fallen] };
}
