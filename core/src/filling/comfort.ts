import type { Constants } from '../shop/assumptions';
import type { FillingLayer } from './layer';

/** Layers of the two faces of a reversible cushion are alike within this, mm. */
const ALIKE_MM = 1;

/** Whether a layer gives sooner than the one it lies on: feather before all else, foam before a harder foam, anything before springs. */
function softer(upper: FillingLayer, lower: FillingLayer): boolean {
  if (upper.kind === 'spring') return false;
  if (lower.kind === 'spring') return true;
  if (upper.kind === 'feather') return lower.kind !== 'feather';
  if (upper.kind === 'foam' && lower.kind === 'foam') return upper.hardness25N < lower.hardness25N;
  return upper.kind === 'foam' && lower.kind === 'felt';
}

/** Whether a stack is the same from both sides. */
function reversible(layers: readonly FillingLayer[]): boolean {
  return layers.every((layer, i) => {
    const mate = layers[layers.length - 1 - i] as FillingLayer;
    if (mate.kind !== layer.kind || Math.abs(mate.thicknessMm - layer.thicknessMm) > ALIKE_MM) return false;
    return layer.kind !== 'foam' || mate.kind !== 'foam' || layer.hardness25N === mate.hardness25N;
  });
}

/**
 * The comfort layers of a stack, which may be pressed flat: the longest run from the top in which each layer is softer than the one below it, limited to a share of the
 * whole height. Foam on springs counts whatever its hardness. A reversible cushion has such a run on each face.
 */
export function comfortLayers(layers: readonly FillingLayer[], assume: Constants): readonly boolean[] {
  const heightMm = layers.reduce((sum, { thicknessMm }) => sum + thicknessMm, 0);
  const mostMm = heightMm * assume('comfortShare') + 1e-9;
  let count = 0;
  let comfortMm = 0;
  for (let i = 0; i + 1 < layers.length; i++) {
    const [upper, lower] = [layers[i] as FillingLayer, layers[i + 1] as FillingLayer];
    comfortMm += upper.thicknessMm;
    if (comfortMm > mostMm || !softer(upper, lower)) break;
    count++;
  }
  const both = layers.length > 2 && reversible(layers);
  return layers.map((_, i) => i < count || (both && i >= layers.length - count));
}
