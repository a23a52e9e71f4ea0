import { loadCurve, waddingAt, type FoamFeel, type LoadCurve } from '../filling/load-curve';
import { fallingRoot } from '../kernel/root';

/** Everything the fit depends on; millimetres and N/m. */
export interface FitRequest {
  readonly widthMm: number;
  readonly depthMm: number;
  /** Sewn boxing height. */
  readonly heightMm: number;
  readonly core: { readonly widthMm: number; readonly depthMm: number; readonly layers: readonly (FoamFeel & { readonly thicknessMm: number })[] };
  /** Both faces together. */
  readonly wrapLoftMm: number;
  /** Per side. */
  readonly sideWrapSqueezedMm: number;
  readonly padLoftMm: number;
  readonly crownedFaces: 1 | 2;
  readonly bowAcrossMm: number;
  readonly bowAlongMm: number;
  readonly clothStiffnessNPerM: number;
}

export type FitVerdict = 'loose' | 'roomy' | 'taut' | 'hard-to-close' | 'will-not-close';

export interface Fit {
  readonly crownMm: number;
  readonly tensionAcrossNPerM: number;
  readonly tensionAlongNPerM: number;
  readonly verdict: FitVerdict;
  readonly bowRisk: boolean;
}

/** Cloth tension, N/m, at which one verdict gives way to the next; assumptions. */
export const FIT_BANDS: readonly { readonly verdict: FitVerdict; readonly from: number }[] = [
  { verdict: 'loose', from: 0 },
  { verdict: 'roomy', from: 15 },
  { verdict: 'taut', from: 40 },
  { verdict: 'hard-to-close', from: 150 },
  { verdict: 'will-not-close', from: 300 },
];

/** Crown and tension are worked out to these, mm and N/m: far finer than the model is true. */
const CROWN_TOLERANCE_MM = 1e-4;
const TENSION_TOLERANCE = 1e-4;

interface Sprung {
  readonly curve: LoadCurve;
  readonly thicknessMm: number;
}

/** Tension of a plate in one direction, N/m, at crown c: the core, squeezed into the held width, pushes half on each plate. */
function tension(coverMm: number, coreMm: number, bowMm: number, crownMm: number, request: FitRequest, layers: readonly Sprung[]): number {
  const wide = coreMm + 2 * request.sideWrapSqueezedMm;
  const push = (t: number): number => {
    const held = coverMm * (1 + t / request.clothStiffnessNPerM) + bowMm - (8 * crownMm * crownMm) / (3 * coverMm);
    const strain = (wide - held) / wide;
    return layers.reduce((sum, layer) => sum + (layer.curve.pressureAt(strain) * layer.thicknessMm) / 2000, 0);
  };
  const slack = push(0);
  return slack === 0 ? 0 : fallingRoot(0, slack, TENSION_TOLERANCE, (t) => push(t) - t);
}

function verdictOf(across: number, along: number): FitVerdict {
  const loosest = Math.min(across, along);
  if (loosest < (FIT_BANDS[1]?.from ?? 0)) return 'loose';
  const tightest = Math.max(across, along);
  return [...FIT_BANDS].reverse().find((band) => tightest >= band.from)?.verdict ?? 'loose';
}

/**
 * Predicts how far each face will crown and how taut the cover will be, before anything is cut: the cloth's tension over the crown against the
 * thickness of foam, wrap and pad that wants out. A model with assumed constants; it advises.
 */
export function fit(request: FitRequest): Fit {
  const foamMm = request.core.layers.reduce((sum, layer) => sum + layer.thicknessMm, 0);
  const layers = request.core.layers.map((layer): Sprung => ({ curve: loadCurve(layer, foamMm), thicknessMm: layer.thicknessMm }));
  const loft = request.wrapLoftMm + request.padLoftMm;
  const tensions = (crown: number): readonly [number, number] => [
    tension(request.widthMm, request.core.widthMm, request.bowAcrossMm, crown, request, layers),
    tension(request.depthMm, request.core.depthMm, request.bowAlongMm, crown, request, layers),
  ];
  const surplus = (crown: number): number => {
    const [tx, ty] = tensions(crown);
    const pressure = 8 * crown * 1000 * (tx / request.widthMm ** 2 + ty / request.depthMm ** 2);
    const foam = layers.reduce((sum, layer) => sum + layer.thicknessMm * (1 - layer.curve.strainAt(pressure)), 0);
    return foam + waddingAt(loft, pressure) - request.heightMm - request.crownedFaces * crown;
  };
  const most = (foamMm + loft - request.heightMm) / request.crownedFaces;
  const crownMm = most <= 1e-9 ? 0 : fallingRoot(0, most, CROWN_TOLERANCE_MM, surplus);
  const [across, along] = tensions(crownMm);
  const oversize = Math.max(request.core.widthMm / request.widthMm, request.core.depthMm / request.depthMm) - 1;
  return {
    crownMm,
    tensionAcrossNPerM: across,
    tensionAlongNPerM: along,
    verdict: verdictOf(across, along),
    bowRisk: oversize > 0.08 || (foamMm < 50 && oversize > 0.04),
  };
}
