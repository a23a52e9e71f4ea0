import * as z from 'zod';
import { FAMILIES, isFoam, springStiffness, type Filling, type Stock } from '../material/material';
import type { Constants } from '../shop/assumptions';
import { loadCurve, type LoadCurve } from './load-curve';

const thicknessMm = z.number().positive().max(600);

/** Everything that follows the foam law: foams, latex (S 2.8 to 3.2) and compressed slab (S 2.0). */
const foamSchema = z.strictObject({
  kind: z.literal('foam'),
  family: z.enum(FAMILIES),
  hardness25N: z.number().min(10).max(2000),
  supportFactor: z.number().min(1.5).max(3.5),
  densityKgM3: z.number().min(5).max(400),
  thicknessMm,
});

/** A layer of a filling, by the law it follows. Spring units, feather and felt follow rules of thumb. */
export const layerSchema = z.discriminatedUnion('kind', [
  foamSchema,
  z.strictObject({ kind: z.literal('spring'), thicknessMm, stiffnessKPa: springStiffness.optional() }),
  z.strictObject({ kind: z.literal('feather'), thicknessMm }),
  z.strictObject({ kind: z.literal('felt'), thicknessMm }),
]);
export type FillingLayer = z.infer<typeof layerSchema>;
export type FoamLayer = z.infer<typeof foamSchema>;

/** A filling of the catalogue as the load laws take it: a spring unit with its own stiffness where it names one. */
export function fillingLaw({ kind, stiffnessKPa }: Filling, thicknessMm: number): Exclude<FillingLayer, FoamLayer> {
  return kind === 'spring' ? { kind, thicknessMm, ...(stiffnessKPa === undefined ? {} : { stiffnessKPa }) } : { kind, thicknessMm };
}

/** A layer of the catalogue as the feel model takes it. */
export function layerOf(stock: Stock, thicknessMm: number): FillingLayer {
  if (!isFoam(stock)) return fillingLaw(stock, thicknessMm);
  const { family, hardness25N, supportFactor, densityKgM3 } = stock;
  return { kind: 'foam', family, hardness25N, supportFactor, densityKgM3, thicknessMm };
}

/** What the load law of a layer depends on. */
export type LayerLaw =
  | { readonly kind: 'foam'; readonly hardness25N: number; readonly supportFactor: number }
  | { readonly kind: 'spring'; readonly thicknessMm: number; readonly stiffnessKPa?: number | undefined }
  | { readonly kind: 'feather' | 'felt'; readonly thicknessMm: number };

/** Past the travel of a spring unit its wires lie on each other: this much stiffer. */
const COIL_BOUND = 40;
/** Felt gives next to nothing: this much of its thickness for each kPa, and at a fifth of it no more. */
const FELT_PER_PA = 0.01 / 1000;
const FELT_MOST = 0.2;
/** Strain of anything but foam at most. */
const MOST_STRAIN = 0.98;

/** How much of its hardness a foam keeps once sat in. */
function settledShare(layer: FoamLayer, assume: Constants): number {
  return layer.family === 'high-resilience' || layer.family === 'latex' ? assume('settledResilient') : assume('settledConventional');
}

/** Total thickness of all layers that follow the foam law, mm: what the thickness factor of the load curve is taken of. */
export function foamThickness(layers: readonly { readonly kind: FillingLayer['kind']; readonly thicknessMm: number }[]): number {
  return layers.reduce((sum, layer) => sum + (layer.kind === 'foam' ? layer.thicknessMm : 0), 0);
}

/** The load curve of a layer in a stack with `foamMm` of foam altogether, strain 0 to 1. Foam by its law, everything else by a rule of thumb. */
export function curveOf(layer: LayerLaw, foamMm: number, assume: Constants): LoadCurve {
  switch (layer.kind) {
    case 'foam':
      return loadCurve(layer, foamMm);
    case 'spring': {
      const stiffness = 1000 * (layer.stiffnessKPa ?? assume('springStiffnessKPa'));
      const travel = assume('springTravel');
      const boundPa = stiffness * travel;
      return {
        pressureAt: (e) => (e <= travel ? Math.max(0, e) * stiffness : boundPa + (e - travel) * stiffness * COIL_BOUND),
        strainAt: (p) => (p <= boundPa ? Math.max(0, p) / stiffness : Math.min(MOST_STRAIN, travel + (p - boundPa) / (stiffness * COIL_BOUND))),
      };
    }
    case 'feather': {
      const half = assume('featherPressure');
      return { pressureAt: (e) => (half * Math.max(0, e)) / (1 - Math.min(e, MOST_STRAIN)), strainAt: (p) => 1 - 1 / (1 + Math.max(0, p) / half) };
    }
    case 'felt':
      return {
        pressureAt: (e) => (Math.min(e, FELT_MOST) + Math.max(0, e - FELT_MOST) * COIL_BOUND) / FELT_PER_PA,
        strainAt: (p) => Math.min(FELT_MOST, FELT_PER_PA * Math.max(0, p)),
      };
  }
}

/** Strain of a layer as a function of pressure (Pa), 0 to 1. */
export function strainLaw(layer: FillingLayer, foamMm: number, settled: boolean, assume: Constants): (pressurePa: number) => number {
  const hardness = settled && layer.kind === 'foam' ? { hardness25N: layer.hardness25N * settledShare(layer, assume) } : {};
  return curveOf({ ...layer, ...hardness }, foamMm, assume).strainAt;
}
