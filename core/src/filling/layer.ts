import * as z from 'zod';
import { FAMILIES, isFoam, type Stock } from '../material/material';
import type { Constants } from '../shop/assumptions';
import { loadCurve } from './load-curve';

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
  z.strictObject({ kind: z.literal('spring'), thicknessMm }),
  z.strictObject({ kind: z.literal('feather'), thicknessMm }),
  z.strictObject({ kind: z.literal('felt'), thicknessMm }),
]);
export type FillingLayer = z.infer<typeof layerSchema>;
export type FoamLayer = z.infer<typeof foamSchema>;

/** A layer of the catalogue as the feel model takes it. */
export function layerOf(stock: Stock, thicknessMm: number): FillingLayer {
  if (!isFoam(stock)) return { kind: stock.kind, thicknessMm };
  const { family, hardness25N, supportFactor, densityKgM3 } = stock;
  return { kind: 'foam', family, hardness25N, supportFactor, densityKgM3, thicknessMm };
}

/** Past the travel of a spring unit its wires lie on each other: this much stiffer. */
const COIL_BOUND = 40;
/** Felt gives next to nothing; this much of its thickness for each kPa, at most a fifth. */
const FELT_PER_KPA = 0.01;
const FELT_MOST = 0.2;

/** How much of its hardness a foam keeps once sat in. */
function settledShare(layer: FoamLayer, assume: Constants): number {
  return layer.family === 'high-resilience' || layer.family === 'latex' ? assume('settledResilient') : assume('settledConventional');
}

/** Total thickness of all layers that follow the foam law, mm: what the thickness factor of the load curve is taken of. */
export function foamThickness(layers: readonly FillingLayer[]): number {
  return layers.reduce((sum, layer) => sum + (layer.kind === 'foam' ? layer.thicknessMm : 0), 0);
}

/** Strain of a layer as a function of pressure (Pa), 0 to 1. */
export function strainLaw(layer: FillingLayer, foamMm: number, settled: boolean, assume: Constants): (pressurePa: number) => number {
  switch (layer.kind) {
    case 'foam': {
      const hardness25N = layer.hardness25N * (settled ? settledShare(layer, assume) : 1);
      return loadCurve({ hardness25N, supportFactor: layer.supportFactor }, foamMm).strainAt;
    }
    case 'spring': {
      const [rate, travel] = [assume('springRate'), assume('springTravel')];
      const boundPa = rate * travel * layer.thicknessMm;
      return (p) =>
        p <= boundPa ? Math.max(0, p) / (rate * layer.thicknessMm) : Math.min(0.98, travel + (p - boundPa) / (rate * COIL_BOUND * layer.thicknessMm));
    }
    case 'feather':
      return (p) => 1 - 1 / (1 + Math.max(0, p) / assume('featherPressure'));
    case 'felt':
      return (p) => Math.min(FELT_MOST, (FELT_PER_KPA * Math.max(0, p)) / 1000);
  }
}
