import { waddingAt, type LoadCurve } from '../filling/load-curve';
import { curveOf, foamThickness, type LayerLaw } from '../filling/layer';
import { fallingRoot } from '../kernel/root';
import type { Constants } from '../shop/assumptions';

/** A layer of the core: foam by its hardness, anything else by its own rough law. */
export type FitLayer = LayerLaw & { readonly thicknessMm: number };

/** Everything the fit depends on; millimetres and N/m. */
export interface FitRequest {
  /** The cover as sewn, on the lines through the highest point. */
  readonly widthMm: number;
  readonly depthMm: number;
  /** Sewn boxing height. */
  readonly heightMm: number;
  /** The core as it is free, on the same lines. */
  readonly core: { readonly widthMm: number; readonly depthMm: number; readonly layers: readonly FitLayer[] };
  /** Both faces together. */
  readonly wrapLoftMm: number;
  /** Nominal loft of the wadding on one side of the core, left and right. */
  readonly sideLoftAcrossMm: number;
  /** The same, front and back. */
  readonly sideLoftAlongMm: number;
  readonly padLoftMm: number;
  readonly crownedFaces: 1 | 2;
  readonly bowAcrossMm: number;
  readonly bowAlongMm: number;
  readonly clothStiffnessNPerM: number;
  /** Pressure at which its wadding lies at 1/√2 of its loft, Pa; the shipped constant where it is not said. */
  readonly waddingPa?: number | undefined;
}

export type FitVerdict = 'loose' | 'roomy' | 'taut' | 'hard-to-close' | 'will-not-close';

export interface Fit {
  readonly crownMm: number;
  /** Of one plate, N/m: what it takes to close the zip. */
  readonly tensionAcrossNPerM: number;
  readonly tensionAlongNPerM: number;
  /** Of the cover on the filling's sides, Pa: what a hand feels. */
  readonly pressureAcrossPa: number;
  readonly pressureAlongPa: number;
  readonly verdict: FitVerdict;
  readonly bowRisk: boolean;
  /** A layer that is no foam goes by a rough law: the figures are a guide only. */
  readonly rough: boolean;
}

/** Crown and strain are worked out to these: far finer than the model is true. */
const CROWN_TOLERANCE_MM = 1e-4;
const STRAIN_TOLERANCE = 1e-8;
/** A core is never pressed into less than this share of its width. */
const MOST_STRAIN = 0.97;

interface Layer {
  readonly curve: LoadCurve;
  readonly thicknessMm: number;
}

/** One direction of the plan, mm. */
interface Direction {
  readonly coverMm: number;
  readonly coreMm: number;
  readonly sideLoftMm: number;
  readonly domedMm: number;
}

/** What both directions have alike: the cloth, the wadding, and the layers with their thickness together. */
interface Stuff {
  readonly stiffnessNPerM: number;
  readonly waddingPa: number;
  readonly layers: readonly Layer[];
  readonly thickMm: number;
}

interface Held {
  readonly tensionNPerM: number;
  readonly pressurePa: number;
}

/**
 * The tension that one direction settles at under crown c. Core and side wrap stand in series inside the length that the stretched cloth holds,
 * core·(1 − ε) + 2ℓ·w(q) = W·(1 + T/EA) + b − 8c²/(3W). The squeezed core gives Σ p(ε)·t = 2T, and the loop of cloth presses with q = 2T/t. Slack (no tension) where core and wrap do not
 * reach the cloth.
 */
function held({ coverMm, coreMm, sideLoftMm, domedMm }: Direction, crownMm: number, { stiffnessNPerM, waddingPa, layers, thickMm }: Stuff): Held {
  const room = coverMm + domedMm - (8 * crownMm * crownMm) / (3 * coverMm);
  const at = (strain: number): Held => {
    const twiceTension = layers.reduce((sum, { curve, thicknessMm }) => sum + curve.pressureAt(strain) * (thicknessMm / 1000), 0);
    return { tensionNPerM: twiceTension / 2, pressurePa: twiceTension / (thickMm / 1000) };
  };
  const surplus = (strain: number): number => {
    const { tensionNPerM, pressurePa } = at(strain);
    return coreMm * (1 - strain) + 2 * waddingAt(sideLoftMm, pressurePa, waddingPa) - (room + (coverMm * tensionNPerM) / stiffnessNPerM);
  };
  // Were the wrap not squeezed at all, and the cloth did not stretch, the core would have to give this much.
  const most = Math.min(MOST_STRAIN, (coreMm + 2 * sideLoftMm - room) / coreMm);
  return at(most <= 0 ? 0 : fallingRoot(0, most, STRAIN_TOLERANCE, surplus));
}

/** The first verdict that holds: what cannot be closed, then what is too slack to press on its filling. */
function verdictOf(across: Held, along: Held, assume: Constants): FitVerdict {
  const tension = Math.max(across.tensionNPerM, along.tensionNPerM);
  const pressure = Math.min(across.pressurePa, along.pressurePa);
  if (tension > assume('willNotCloseTension')) return 'will-not-close';
  if (tension > assume('hardToCloseTension')) return 'hard-to-close';
  if (pressure < assume('looseBelow')) return 'loose';
  return pressure < assume('roomyBelow') ? 'roomy' : 'taut';
}

/**
 * Predicts how far each face will crown and how taut the cover will be, before anything is cut: the cloth's tension over the crown against the
 * thickness of foam, wrap and pad that wants out. A model with assumed constants; it advises.
 */
export function fit(request: FitRequest, assume: Constants): Fit {
  const { core } = request;
  const foamMm = foamThickness(core.layers);
  const thickMm = core.layers.reduce((sum, layer) => sum + layer.thicknessMm, 0);
  const layers = core.layers.map((layer): Layer => ({ curve: curveOf(layer, foamMm, assume), thicknessMm: layer.thicknessMm }));
  const across: Direction = { coverMm: request.widthMm, coreMm: core.widthMm, sideLoftMm: request.sideLoftAcrossMm, domedMm: request.bowAcrossMm };
  const along: Direction = { coverMm: request.depthMm, coreMm: core.depthMm, sideLoftMm: request.sideLoftAlongMm, domedMm: request.bowAlongMm };
  const waddingPa = request.waddingPa ?? assume('waddingPa');
  const stuff: Stuff = { stiffnessNPerM: request.clothStiffnessNPerM, waddingPa, layers, thickMm };
  const loft = request.wrapLoftMm + request.padLoftMm;
  const both = (crown: number): readonly [Held, Held] => [held(across, crown, stuff), held(along, crown, stuff)];
  const surplus = (crown: number): number => {
    const [x, y] = both(crown);
    const pressure = 8 * crown * 1000 * (x.tensionNPerM / request.widthMm ** 2 + y.tensionNPerM / request.depthMm ** 2);
    const filling = layers.reduce((sum, { curve, thicknessMm }) => sum + thicknessMm * (1 - curve.strainAt(pressure)), 0);
    return filling + waddingAt(loft, pressure, waddingPa) - request.heightMm - request.crownedFaces * crown;
  };
  const most = (thickMm + loft - request.heightMm) / request.crownedFaces;
  const crownMm = most <= 1e-9 ? 0 : fallingRoot(0, most, CROWN_TOLERANCE_MM, surplus);
  const [x, y] = both(crownMm);
  const oversize = Math.max(core.widthMm / request.widthMm, core.depthMm / request.depthMm) - 1;
  return {
    crownMm,
    tensionAcrossNPerM: x.tensionNPerM,
    tensionAlongNPerM: y.tensionNPerM,
    pressureAcrossPa: x.pressurePa,
    pressureAlongPa: y.pressurePa,
    verdict: verdictOf(x, y, assume),
    bowRisk: oversize > assume('bowOversize') || (thickMm < assume('bowThinMm') && oversize > assume('bowThinOversize')),
    rough: core.layers.some(({ kind }) => kind !== 'foam'),
  };
}
