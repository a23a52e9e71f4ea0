import { massOf, typicalOf } from '../filling/sitters';
import type { Feel, FeelBand, FeelVerdict } from '../filling/feel';
import { deciding, type Deciding } from '../fit/deciding';
import type { Fit, FitRequest, FitVerdict } from '../fit/fit';
import type { Shop } from '../shop/shop';
import type { UnitSystem } from '../units/length';
import { cushionFeel, fillingLayers } from '../plan/cushion/feel/cushion-feel';
import type { CushionPlan } from '../plan/cushion/cushion-plan';
import { formatPressureUnit, formatTensionUnit } from '../units/force';

/** How a cushion will look, feel and close, in one place. A part that is not predicted is null. */
export interface Outlook {
  readonly look: {
    readonly crownMm: number;
    readonly faces: 1 | 2;
    /** Whether wrap or oversize reaches into the cover's corners. */
    readonly cornersFull: boolean;
    readonly mayBow: boolean;
  } | null;
  readonly feel: {
    readonly feel: FeelBand;
    readonly sinkMm: number;
    readonly verdicts: readonly FeelVerdict[];
  } | null;
  readonly close: { readonly verdict: FitVerdict; readonly deciding: Deciding; readonly rough: boolean } | null;
}

/** Wrap at the sides, or a core larger than its cover, fills the corners; with neither in a direction they stay empty. */
export function cornersFull({ core, widthMm, depthMm, sideLoftAcrossMm, sideLoftAlongMm }: FitRequest): boolean {
  return (sideLoftAcrossMm > 0 || core.widthMm > widthMm + 1) && (sideLoftAlongMm > 0 || core.depthMm > depthMm + 1);
}

/** How it feels to the usual sitter of those who were named, or to a middling one where nobody was. */
function feelOfUsual({ source, wrap }: CushionPlan, shop: Shop, units: UnitSystem): Feel | null {
  const layers = fillingLayers(source, shop);
  if (!layers) return null;
  const assume = (key: Parameters<Shop['assume']>[0]): number => shop.assume(key, units);
  const named = (source.seat?.sitters ?? []).map(({ build, posture }) => ({ posture, massKg: massOf(build, assume) }));
  const usual = named.length ? typicalOf(named) : null;
  const posture = usual?.posture ?? (source.seat?.part === 'mattress' ? 'lying' : 'upright');
  const sitter = { massKg: usual?.massKg ?? massOf('middling', assume), posture };
  return cushionFeel(source, { wrapLoftMm: wrap?.value ?? 0, layers, sitter, curvePoints: 0 }, shop, units);
}

const lookOf = (fit: Fit, request: FitRequest): NonNullable<Outlook['look']> => ({
  crownMm: fit.crownMm,
  faces: request.crownedFaces,
  cornersFull: cornersFull(request),
  mayBow: fit.bowRisk,
});

/** How a planned cushion will look, feel and close. A back is leant on and a roll is not sat on: their feel is not predicted. */
export function outlookOf(one: CushionPlan, shop: Shop, units: UnitSystem): Outlook {
  const { fit, fitRequest, source, profile } = one;
  const sat = profile?.kind !== 'body' && source.seat?.part !== 'back' ? feelOfUsual(one, shop, units) : null;
  return {
    look: fit && fitRequest ? lookOf(fit, fitRequest) : null,
    feel: sat && { feel: sat.feel, sinkMm: sat.sinkMm, verdicts: sat.verdicts },
    close: fit && { verdict: fit.verdict, deciding: deciding(fit), rough: fit.rough },
  };
}

const VERDICTS: Record<FeelVerdict, string> = {
  'bottoms-out': 'bottoms out',
  'near-bottom': 'comes near its bottom',
  'board-like': 'sits like a board',
  'hard-to-rise': 'is hard to get up from',
};

/** The feel in words, and nothing of who sits: `medium; sinks 28 mm when sat on`. `size` prints a length. */
export function feelWords({ feel, sinkMm, verdicts }: NonNullable<Outlook['feel']>, size: (mm: number) => string): string {
  return [feel, `sinks ${size(sinkMm)} when sat on`, ...verdicts.map((verdict) => VERDICTS[verdict])].join('; ');
}

/** The look in words: `crown 20 mm a face; corners full`. */
export function lookWords({ crownMm, faces, cornersFull: full, mayBow }: NonNullable<Outlook['look']>, size: (mm: number) => string): string {
  return [
    crownMm < 0.5 ? 'flat faces' : `crown about ${size(crownMm)} ${faces === 1 ? 'on top' : 'a face'}`,
    full ? 'corners full' : 'corners under-filled',
    ...(mayBow ? ['may bow like a boat'] : []),
  ].join('; ');
}

/** The figure that a verdict rests on, in the job's units: `1 190 Pa` or `11.2 lbf/ft`. */
export function decidingWords({ of, value }: Deciding, units: UnitSystem): string {
  return of === 'pressure' ? formatPressureUnit(value, units) : formatTensionUnit(value, units);
}
