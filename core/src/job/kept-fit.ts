import { fit, type Fit } from '../fit/fit';
import type { Constants } from '../shop/assumptions';
import type { CushionPlan } from './plan-cushion';

/**
 * How the cushion fits when one piece stays as it was cut: a plate changes the cover's width and depth by what it differs, the boxing its height. Null for a piece that has no say in the
 * fit, and where none is predicted.
 */
export function keptFit({ fitRequest, pieces }: CushionPlan, id: string, [width, height]: readonly [number, number], assume: Constants): Fit | null {
  const piece = pieces.find((one) => one.id === id);
  if (!fitRequest || !piece) return null;
  const [wider, higher] = [width - piece.width.value, height - piece.height.value];
  if (piece.role === 'plate') return fit({ ...fitRequest, widthMm: fitRequest.widthMm + wider, depthMm: fitRequest.depthMm + higher }, assume);
  if (piece.role === 'boxing') return fit({ ...fitRequest, heightMm: fitRequest.heightMm + higher }, assume);
  return null;
}
