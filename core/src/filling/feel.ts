import * as z from 'zod';
import type { Constants } from '../shop/assumptions';
import { foamThickness, layerSchema, strainLaw, type FillingLayer } from './layer';
import { GRAVITY, waddingAt } from './load-curve';

export const POSTURES = ['upright', 'reclined', 'lying'] as const;
export const DECKS = ['board', 'folding-bed', 'webbing', 'springs'] as const;
export type Deck = (typeof DECKS)[number];

export const sitterSchema = z.strictObject({ massKg: z.number().min(3).max(400), posture: z.enum(POSTURES) });
export type Sitter = z.infer<typeof sitterSchema>;

export const feelRequestSchema = z.strictObject({
  format: z.literal('yardland/feel@1'),
  /** From the top down. */
  layers: z.array(layerSchema).min(1).max(8),
  /** Both faces together. */
  wrapLoftMm: z.number().nonnegative().max(300).optional(),
  support: z.enum(DECKS),
  deckHeightMm: z.number().nonnegative().max(3000).optional(),
  sitter: sitterSchema,
  settled: z.boolean().optional(),
});
export type FeelRequest = z.infer<typeof feelRequestSchema>;

export type FeelBand = 'soft' | 'medium' | 'firm';
export type FeelVerdict = 'bottoms-out' | 'near-bottom' | 'board-like' | 'hard-to-rise';

export interface Feel {
  /** Filling only. */
  readonly sinkMm: number;
  /** Gone at the first touch; decides nothing. */
  readonly wrapSinkMm: number;
  /** Filling and support. */
  readonly giveMm: number;
  readonly meanPressurePa: number;
  readonly layers: readonly { readonly strain: number; readonly sinkMm: number }[];
  /** Worst bearing layer at peak pressure. */
  readonly peakStrain: number;
  /** Sink over height, of the foam where there is any: what the feel goes by. */
  readonly ratio: number;
  readonly feel: FeelBand;
  /** Seat height with the sitter on it; null where the deck's height is not known. */
  readonly satHeightMm: number | null;
  readonly verdicts: readonly FeelVerdict[];
  readonly curve: readonly { readonly pressurePa: number; readonly sinkMm: number }[];
}

const CURVE_POINTS = 100;
/** The curve is drawn to this many times the peak pressure. */
const CURVE_BEYOND = 1.5;

/** Mean pressure under a sitter, Pa: weight × share over the contact area. */
export function meanPressure({ massKg, posture }: Sitter, assume: Constants): number {
  if (posture === 'lying') return (massKg * GRAVITY) / assume('lyingArea');
  const share = posture === 'upright' ? assume('uprightShare') : assume('reclinedShare');
  return (massKg * GRAVITY * share) / (assume('contactBase') + assume('contactPerKg') * massKg);
}

const GIVE = { board: 'boardGive', 'folding-bed': 'foldingBedGive', webbing: 'webbingGive', springs: 'springsGive' } as const;

/** Sink of each layer of a stack as a function of pressure: the same pressure goes through every layer. */
export function stackLaw(
  layers: readonly FillingLayer[],
  settled: boolean,
  assume: Constants,
): (pressurePa: number) => { readonly strain: number; readonly sinkMm: number }[] {
  const foamMm = foamThickness(layers);
  const laws = layers.map((layer) => ({ strainAt: strainLaw(layer, foamMm, settled, assume), thicknessMm: layer.thicknessMm }));
  return (pressurePa) =>
    laws.map(({ strainAt, thicknessMm }) => {
      const strain = strainAt(pressurePa);
      return { strain, sinkMm: strain * thicknessMm };
    });
}

const totalSink = (layers: readonly { readonly sinkMm: number }[]): number => layers.reduce((sum, layer) => sum + layer.sinkMm, 0);

function verdictsOf(feel: Omit<Feel, 'verdicts' | 'curve' | 'feel'>, bears: boolean, sprungOut: boolean, assume: Constants): FeelVerdict[] {
  const verdicts: FeelVerdict[] = [];
  if (sprungOut || (bears && feel.peakStrain > assume('bottomsOut'))) verdicts.push('bottoms-out');
  else if (bears && feel.peakStrain > assume('nearBottom')) verdicts.push('near-bottom');
  if (feel.layers.every((layer) => layer.strain <= assume('boardStrain')) && feel.giveMm < assume('boardGiveMm')) verdicts.push('board-like');
  if ((feel.satHeightMm !== null && feel.satHeightMm < assume('lowSeatMm')) || feel.giveMm > assume('deepGiveMm')) verdicts.push('hard-to-rise');
  return verdicts;
}

type Strained = readonly { readonly strain: number; readonly sinkMm: number }[];

const followsLoad = ({ kind }: FillingLayer): boolean => kind === 'foam' || kind === 'felt';

/**
 * Which layers the peak pressure judges. Feather over something that bears is a wrap: it lies flat at once and decides nothing; alone it bears only
 * where springs under it do. A spring unit ties its coils together, so the mean pressure is what may push it past its travel.
 */
function bearing({ layers, support }: FeelRequest, strained: Strained, assume: Constants) {
  const some = layers.some(followsLoad);
  const feather = layers.every((layer) => layer.kind === 'feather');
  return {
    judged: (i: number): boolean => !some || followsLoad(layers[i] as FillingLayer),
    bears: some || (feather && support !== 'springs'),
    sprungOut: layers.some((layer, i) => layer.kind === 'spring' && (strained[i]?.strain ?? 0) > assume('springTravel')),
  };
}

/** Sink over height of the foam layers; of everything where there is no foam. */
function feelRatio(layers: readonly FillingLayer[], strained: Strained, all: number): number {
  const foam = layers.map((layer, i) => (layer.kind === 'foam' ? [strained[i]?.sinkMm ?? 0, layer.thicknessMm] : [0, 0]) as readonly [number, number]);
  const heightMm = foam.reduce((sum, [, mm]) => sum + mm, 0);
  return heightMm > 0 ? foam.reduce((sum, [mm]) => sum + mm, 0) / heightMm : all;
}

/** How a stack of layers feels under one sitter. A model with assumed constants; see its limits in the docs. */
export function feelOf(request: FeelRequest, assume: Constants, curvePoints = CURVE_POINTS): Feel {
  const meanPressurePa = meanPressure(request.sitter, assume);
  const peakPa = meanPressurePa * assume('peakFactor');
  const law = stackLaw(request.layers, request.settled ?? false, assume);
  const layers = law(meanPressurePa);
  const sinkMm = totalSink(layers);
  const heightMm = request.layers.reduce((sum, layer) => sum + layer.thicknessMm, 0);
  const wrapMm = request.wrapLoftMm ?? 0;
  const giveMm = sinkMm + (assume(GIVE[request.support]) * meanPressurePa) / 1000;
  const wrapUnder = waddingAt(wrapMm, meanPressurePa);
  const { judged, bears, sprungOut } = bearing(request, layers, assume);
  const partial = {
    sinkMm,
    wrapSinkMm: wrapMm - wrapUnder,
    giveMm,
    meanPressurePa,
    layers,
    peakStrain: Math.max(...law(peakPa).map((layer, i) => (judged(i) ? layer.strain : 0))),
    ratio: feelRatio(request.layers, layers, sinkMm / heightMm),
    satHeightMm: request.deckHeightMm === undefined ? null : request.deckHeightMm + heightMm + wrapUnder - giveMm,
  };
  return {
    ...partial,
    feel: partial.ratio > assume('softFrom') ? 'soft' : partial.ratio >= assume('mediumFrom') ? 'medium' : 'firm',
    verdicts: verdictsOf(partial, bears, sprungOut, assume),
    curve: Array.from({ length: curvePoints }, (_, i) => {
      const pressurePa = (peakPa * CURVE_BEYOND * (i + 1)) / curvePoints;
      return { pressurePa, sinkMm: totalSink(law(pressurePa)) };
    }),
  };
}
