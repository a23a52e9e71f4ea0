import * as z from 'zod';
import type { Constants } from '../shop/assumptions';
import { comfortLayers } from './comfort';
import { foamThickness, layerSchema, strainLaw, type FillingLayer } from './layer';
import { GRAVITY, waddingAt } from './load-curve';
import { DECKS, POSTURES } from './under-and-over';

export const sitterSchema = z.strictObject({ massKg: z.number().min(3).max(400), posture: z.enum(POSTURES), frail: z.boolean().optional() });
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

export interface LayerFeel {
  readonly strain: number;
  readonly sinkMm: number;
  /** There for comfort: it may be pressed flat. */
  readonly comfort: boolean;
}

export interface Feel {
  /** Filling only. */
  readonly sinkMm: number;
  /** Gone at the first touch; decides nothing. */
  readonly wrapSinkMm: number;
  /** Filling and support. */
  readonly giveMm: number;
  readonly meanPressurePa: number;
  readonly layers: readonly LayerFeel[];
  /** Worst bearing layer at peak pressure. */
  readonly peakStrain: number;
  /** That layer's place from the top; null where no layer is judged. */
  readonly worstLayer: number | null;
  /** Sink over height, of the foam where there is any, settled: what the feel goes by. */
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

/** What of a filling a sitter touches, m². Lying, it is the hip that decides. */
export function contactArea({ massKg, posture }: Sitter, assume: Constants): number {
  return posture === 'lying' ? assume('lyingBase') + assume('lyingPerKg') * massKg : assume('contactBase') + assume('contactPerKg') * massKg;
}

const SHARE = { upright: 'uprightShare', reclined: 'reclinedShare', lying: 'lyingShare' } as const;

/** Mean pressure under a sitter, Pa: weight × share over the contact area. */
export function meanPressure(sitter: Sitter, assume: Constants): number {
  return (sitter.massKg * GRAVITY * assume(SHARE[sitter.posture])) / contactArea(sitter, assume);
}

/** Highest pressure under a sitter over the mean. */
const peakFactor = ({ posture }: Sitter, assume: Constants): number => assume(posture === 'lying' ? 'lyingPeakFactor' : 'peakFactor');

const GIVE = { board: 'boardGive', 'folding-bed': 'foldingBedGive', webbing: 'webbingGive', springs: 'springsGive' } as const;

type Strained = readonly { readonly strain: number; readonly sinkMm: number }[];
type StackLaw = (pressurePa: number) => Strained;

/** Sink of each layer of a stack as a function of pressure: the same pressure goes through every layer. */
export function stackLaw(layers: readonly FillingLayer[], settled: boolean, assume: Constants): StackLaw {
  const foamMm = foamThickness(layers);
  const laws = layers.map((layer) => ({ strainAt: strainLaw(layer, foamMm, settled, assume), thicknessMm: layer.thicknessMm }));
  return (pressurePa) =>
    laws.map(({ strainAt, thicknessMm }) => {
      const strain = strainAt(pressurePa);
      return { strain, sinkMm: strain * thicknessMm };
    });
}

const totalSink = (layers: Strained): number => layers.reduce((sum, layer) => sum + layer.sinkMm, 0);

type Judged = Pick<Feel, 'peakStrain' | 'layers' | 'giveMm' | 'satHeightMm'>;

function verdictsOf({ peakStrain, layers, giveMm, satHeightMm }: Judged, { frail }: Sitter, assume: Constants): FeelVerdict[] {
  const verdicts: FeelVerdict[] = [];
  if (peakStrain > assume('bottomsOut')) verdicts.push('bottoms-out');
  else if (peakStrain > assume('nearBottom')) verdicts.push('near-bottom');
  if (layers.every(({ strain }) => strain <= assume('boardStrain')) && giveMm < assume('boardGiveMm')) verdicts.push('board-like');
  if ((satHeightMm !== null && satHeightMm < assume('lowSeatMm')) || giveMm > assume(frail ? 'frailGiveMm' : 'deepGiveMm')) verdicts.push('hard-to-rise');
  return verdicts;
}

/** The layer that gives most at the highest pressure under a sitter, and how far; none where nothing that bears is judged. */
interface Worst {
  readonly strain: number;
  readonly layer: number | null;
}

/**
 * What is judged for bottoming is what bears: the layers that are not there for comfort. A pad spreads the load before it comes to a spring unit. Feather bears
 * nothing, unless springs under the seat give way in its place.
 */
function worstBearing({ layers, support, sitter }: FeelRequest, comfort: readonly boolean[], law: StackLaw, meanPa: number, assume: Constants): Worst {
  const [atPeak, onSprings] = [law(meanPa * peakFactor(sitter, assume)), law(meanPa * assume('springPeakFactor'))];
  return layers.reduce<Worst>(
    (worst, { kind }, i) => {
      if (comfort[i] || (kind === 'feather' && support === 'springs')) return worst;
      const strain = (kind === 'spring' ? onSprings : atPeak)[i]?.strain ?? 0;
      return strain > worst.strain ? { strain, layer: i } : worst;
    },
    { strain: 0, layer: null },
  );
}

/** Sink over height of the foam layers; of everything where there is no foam. */
function feelRatio(layers: readonly FillingLayer[], strained: Strained, all: number): number {
  const foam = layers.map((layer, i) => (layer.kind === 'foam' ? [strained[i]?.sinkMm ?? 0, layer.thicknessMm] : [0, 0]) as readonly [number, number]);
  const heightMm = foam.reduce((sum, [, mm]) => sum + mm, 0);
  return heightMm > 0 ? foam.reduce((sum, [mm]) => sum + mm, 0) / heightMm : all;
}

/** How a stack of layers feels under one sitter. A model with assumed constants; see its limits in the docs. */
export function feelOf(request: FeelRequest, assume: Constants, curvePoints = CURVE_POINTS): Feel {
  const { sitter, support, deckHeightMm } = request;
  const settled = request.settled ?? false;
  const meanPressurePa = meanPressure(sitter, assume);
  const law = stackLaw(request.layers, settled, assume);
  const strained = law(meanPressurePa);
  const comfort = comfortLayers(request.layers, assume);
  const sinkMm = totalSink(strained);
  const heightMm = request.layers.reduce((sum, layer) => sum + layer.thicknessMm, 0);
  const wrapMm = request.wrapLoftMm ?? 0;
  const giveMm = sinkMm + (assume(GIVE[support]) * meanPressurePa) / 1000;
  const wrapUnder = waddingAt(wrapMm, meanPressurePa, assume('waddingPa'));
  const worst = worstBearing(request, comfort, law, meanPressurePa, assume);
  // Suppliers' words are about foam that has been sat on: the feel is always read on settled foam.
  const worn = settled ? strained : stackLaw(request.layers, true, assume)(meanPressurePa);
  const ratio = feelRatio(request.layers, worn, totalSink(worn) / heightMm);
  const partial = {
    sinkMm,
    wrapSinkMm: wrapMm - wrapUnder,
    giveMm,
    meanPressurePa,
    layers: strained.map((layer, i) => ({ ...layer, comfort: comfort[i] ?? false })),
    peakStrain: worst.strain,
    worstLayer: worst.layer,
    ratio,
    satHeightMm: deckHeightMm === undefined ? null : deckHeightMm + heightMm + wrapUnder - giveMm,
  };
  const peakPa = meanPressurePa * peakFactor(sitter, assume);
  return {
    ...partial,
    feel: ratio > assume('softFrom') ? 'soft' : ratio >= assume('mediumFrom') ? 'medium' : 'firm',
    verdicts: verdictsOf(partial, sitter, assume),
    curve: Array.from({ length: curvePoints }, (_, i) => {
      const pressurePa = (peakPa * CURVE_BEYOND * (i + 1)) / curvePoints;
      return { pressurePa, sinkMm: totalSink(law(pressurePa)) };
    }),
  };
}
