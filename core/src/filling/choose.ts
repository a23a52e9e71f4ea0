import { offered, isFoam, type FillingKind, type Grade, type Stock } from '../material/material';
import type { Constants } from '../shop/assumptions';
import { foamsOf, has, reversibles, stacksOf, type Catalogue, type Stack } from './candidates';
import {
  backMark,
  deckMark,
  BOTTOMS_OUT,
  depthMark,
  envelopeMark,
  featherMark,
  feelMark,
  highMark,
  isLow,
  lifeMark,
  priceMark,
  riseMark,
  reasonsOf,
  sentenceOf,
  sprungMark,
  turnMark,
  type Mark,
  type Sitters,
} from './choose-marks';
import { heaviestOf, typicalOf } from './sitters';
import type { ChooseRequest } from './choose-request';
import { feelOf, type Feel, type FeelBand, type FeelVerdict } from './feel';
import type { Figure } from '../kernel/figure';
import { layerOf } from './layer';
import { boughtShare, stackCost, stacksFromThere } from './scrap';

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
  /** The same in one sentence. */
  readonly because: string;
  /** For the heaviest sitter and, for rising, the frailest. */
  readonly verdicts: readonly FeelVerdict[];
  readonly feel: FeelBand;
}

/** A filling that no stack keeps. */
export interface Excluded {
  readonly grade: string;
  /** Why, in words that follow on "it". */
  readonly reason: string;
  /** What would let it in; null where nothing would. */
  readonly save: string | null;
  /** By itself it would hold in a cushion so much higher, mm. */
  readonly higherMm?: number;
}

/** A stack out of what is there: ranked like any other, with where each layer comes from. */
export interface RankedThere extends Ranked {
  /** Ids of the remnants of each layer, none for one that is bought; as many as layers. */
  readonly remnants: readonly (readonly string[])[];
  /** Share of its height that has to be bought. */
  readonly boughtShare: number;
  /** What one core of it costs: foam that is bought, glue and work. */
  readonly cost: Figure;
}

export interface Choice {
  readonly ranked: readonly Ranked[];
  /** Out of what is there, the least to buy first; empty where the cores' size was not said. */
  readonly there: readonly RankedThere[];
  readonly excluded: readonly Excluded[];
}

const OUTDOORS: Record<FillingKind, string> = {
  spring: 'rusts outdoors',
  feather: 'holds water and rots outdoors',
  felt: 'holds water outdoors',
};

/** Whether a foam dries out of doors: open-cell fast-drying foam anywhere, compressed slab under a roof. */
export function standsOutdoors({ family }: Grade, place: 'covered' | 'outdoor'): boolean {
  return family === 'fast-drying' || (family === 'slab' && place === 'covered');
}

/** What rules a grade out for every stack, in words, and what would let it in; null when nothing does. */
function exclusion(request: ChooseRequest, grade: Stock): { readonly reason: string; readonly save: string | null } | null {
  const indoors = 'a place indoors';
  if (!isFoam(grade)) return request.place === 'indoor' ? null : { reason: OUTDOORS[grade.kind], save: indoors };
  if (request.place === 'outdoor' && grade.family === 'slab') return { reason: 'dries too slowly to be rained on', save: 'a roof over it' };
  if (request.place !== 'indoor' && !standsOutdoors(grade, request.place))
    return { reason: 'is an indoor foam: outdoors it holds water for days', save: indoors };
  if (request.place === 'indoor' && grade.family === 'fast-drying')
    return { reason: 'is a fast-drying foam: its price is for outdoors', save: 'a place outdoors' };
  return null;
}

/** Load and feel of one stack under a sitter, settled as it will be after a few hundred sits. */
function feelUnder(request: ChooseRequest, stack: Stack, sitter: Sitters[number], assume: Constants): Feel {
  const layers = stack.layers.map(({ stock, thicknessMm }) => layerOf(stock, thicknessMm));
  const massKg = sitter.massKg * (request.part === 'back' ? assume('backLoadShare') : 1);
  const deck = request.deckHeightMm === undefined ? {} : { deckHeightMm: request.deckHeightMm };
  return feelOf(
    {
      format: 'yardland/feel@1',
      layers,
      support: request.support,
      sitter: { massKg, posture: sitter.posture, frail: sitter.frail ?? false },
      settled: true,
      ...deck,
    },
    assume,
    0,
  );
}

/** Every joint is glue and time; what it buys is said. */
function layersMark(request: ChooseRequest, stack: Stack): Mark {
  const foams = foamsOf(stack).length;
  const why =
    request.reversible || has(stack, 'spring')
      ? ''
      : foams === 3
        ? 'goes from firm to soft in three steps'
        : foams === 2
          ? 'has a firm base with a softer top'
          : '';
  return { off: (stack.layers.length - 1) * 3, why };
}

function rank(request: ChooseRequest, stack: Stack, assume: Constants): Ranked & { readonly out: Mark | null } {
  const { sitters } = request;
  const typical = feelUnder(request, stack, typicalOf(sitters), assume);
  const heavy = feelUnder(request, stack, heaviestOf(sitters), assume);
  const frailOnes = sitters.filter((sitter) => sitter.frail);
  const frail = frailOnes.length ? feelUnder(request, stack, heaviestOf(frailOnes), assume) : null;
  const marks = [
    feelMark(typical, stack, request.feel, request.part === 'seat' && (frail !== null || isLow(request, assume)), assume),
    // Feather in a back is leant on, not sat on: it has no bottom to come to.
    ...(request.part === 'back' && has(stack, 'feather') ? [] : [depthMark(heavy)]),
    riseMark(request, typical, frail, assume),
    deckMark(request, stack, typical, assume),
    lifeMark(request, stack, assume),
    highMark(request, stack, assume),
    turnMark(request, stack),
    backMark(request, stack, assume),
    featherMark(request, stack, assume),
    sprungMark(request, stack, assume),
    envelopeMark(request, stack, assume),
    priceMark(stack, request.heightMm),
    layersMark(request, stack),
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
    reasons: reasonsOf(marks),
    because: sentenceOf(marks),
    verdicts: [...new Set([...heavy.verdicts.filter((verdict) => verdict !== 'hard-to-rise'), ...rises])],
    feel: typical.feel,
    out: marks.find((mark) => mark.out) ?? null,
  };
}

/** A foam that bottoms out is tried in cushions up to this much higher, mm, in steps of so many. */
const HIGHER_MM = 120;
const HIGHER_STEP_MM = 5;

/** How much higher a cushion a foam would need to hold the heaviest by itself, mm; undefined where it is no foam or no height would do. */
function heightThatHolds(request: ChooseRequest, grade: Stock, assume: Constants): number | undefined {
  if (!isFoam(grade)) return undefined;
  for (let more = HIGHER_STEP_MM; more <= HIGHER_MM; more += HIGHER_STEP_MM) {
    const heightMm = request.heightMm + more;
    const heavy = feelUnder({ ...request, heightMm }, { layers: [{ stock: grade, thicknessMm: heightMm }] }, heaviestOf(request.sitters), assume);
    if (depthMark(heavy).out === undefined) return more;
  }
  return undefined;
}

/** Stacks shown at most. */
const SHOWN = 40;
/** Of what is there. */
const SHOWN_THERE = 12;

/** Stacks out of what is there that hold for this seat: what need not be bought first, then by their marks. */
function fromThere(request: ChooseRequest, { grades, remnants = [] }: Catalogue, assume: Constants): RankedThere[] {
  const { core, heightMm } = request;
  if (!core) return [];
  return stacksFromThere(remnants, grades, core, heightMm)
    .map((layers) => ({ layers, ranked: rank(request, { layers }, assume) }))
    .filter(({ ranked }) => ranked.out === null)
    .map(({ layers, ranked: { out: _none, ...one } }) => ({
      ...one,
      remnants: layers.map(({ remnants: from }) => from),
      boughtShare: boughtShare(layers),
      cost: stackCost(layers, core, assume),
    }))
    .sort((a, b) => a.boughtShare - b.boughtShare || b.score - a.score)
    .slice(0, SHOWN_THERE);
}

/** What one core of a stack of new sheets costs; null where the cores' size was not said. */
export function newCost({ layers }: Ranked, { core }: ChooseRequest, { grades, fillings }: Catalogue, assume: Constants): Figure | null {
  if (!core) return null;
  const stocks = layers.flatMap(({ grade, thicknessMm }) => {
    const stock = [...grades, ...fillings].find(({ id }) => id === grade);
    return stock ? [{ stock, thicknessMm, remnants: [] }] : [];
  });
  return stocks.length === layers.length ? stackCost(stocks, core, assume) : null;
}

/**
 * Ranks the catalogue's fillings, singly and in stacks, for a seat, its sitters and its use; every place with its reasons. Nothing is hidden: what
 * no stack keeps is listed with why.
 */
export function choose(request: ChooseRequest, catalogue: Catalogue, assume: Constants): Choice {
  // Felt and the like lie under or round a core; they are not ranked as one.
  const stock: readonly Stock[] = [...offered(catalogue.grades), ...offered(catalogue.fillings).filter(({ kind }) => kind !== 'felt')];
  const barred = stock.flatMap((one) => {
    const why = exclusion(request, one);
    return why === null ? [] : [{ grade: one.id, ...why }];
  });
  const allowed = stock.filter((one) => !barred.some(({ grade }) => grade === one.id));
  const keep = <T extends Stock>(rows: readonly T[]): T[] => rows.filter((one) => allowed.includes(one));
  const fillings = { grades: keep(catalogue.grades), fillings: keep(catalogue.fillings) };
  const stacks = [...stacksOf(fillings, request.heightMm), ...(request.reversible ? reversibles(fillings.grades, request.heightMm) : [])];
  const all = stacks.map((stack) => rank(request, stack, assume));
  const kept = all.filter((one) => one.out === null).sort((a, b) => b.score - a.score);
  const used = new Set(kept.flatMap((one) => one.layers.map((layer) => layer.grade)));
  const fallen = allowed
    .filter(({ id }) => !used.has(id))
    .map((one): Excluded => {
      const out = all.find(({ layers }) => layers.some(({ grade }) => grade === one.id))?.out;
      if (!out)
        return { grade: one.id, reason: isFoam(one) ? 'has no sheets that add up to this height' : 'is not made for this height', save: 'another height' };
      const higherMm = out.why === BOTTOMS_OUT ? heightThatHolds(request, one, assume) : undefined;
      return { grade: one.id, reason: out.why, save: out.save ?? null, ...(higherMm === undefined ? {} : { higherMm }) };
    });
  return {
    ranked: kept.slice(0, SHOWN).map(({ out: _none, ...one }) => one),
    there: fromThere(request, { ...fillings, ...(catalogue.remnants ? { remnants: catalogue.remnants } : {}) }, assume),
    excluded: [...barred, ...fallen],
  };
}
