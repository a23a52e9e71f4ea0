import type { Constants } from '../shop/assumptions';
import { deciding, slacker, tighter } from './deciding';
import { fit, type FitRequest } from './fit';

/** An allowance that the fit depends on, and what one more millimetre of it does. */
export interface Sensitivity {
  readonly what: 'core-plan' | 'core-thickness' | 'wrap' | 'cover-plan' | 'boxing' | 'pad';
  readonly crownMm: number;
  /** To the figure that the verdict rests on: Pa or N/m, as `of` says. */
  readonly of: 'pressure' | 'tension';
  readonly amount: number;
}

const withCore = (request: FitRequest, byMm: number): FitRequest => ({
  ...request,
  core: { ...request.core, widthMm: request.core.widthMm + byMm, depthMm: request.core.depthMm + byMm },
});

/** Each allowance a little more: the core's plan a millimetre all told across and deep, the wrap a millimetre a layer. */
const MORE: readonly { readonly what: Sensitivity['what']; readonly by: (request: FitRequest, mm: number) => FitRequest }[] = [
  { what: 'core-plan', by: withCore },
  {
    what: 'core-thickness',
    by: (request, mm) => {
      const total = request.core.layers.reduce((sum, layer) => sum + layer.thicknessMm, 0);
      return {
        ...request,
        core: { ...request.core, layers: request.core.layers.map((layer) => ({ ...layer, thicknessMm: layer.thicknessMm * (1 + mm / total) })) },
      };
    },
  },
  {
    what: 'wrap',
    by: (request, mm) => {
      // Wadding that lies on the faces alone gets no thicker at the sides.
      const side = (loftMm: number): number => (loftMm > 0 ? loftMm + mm : 0);
      const { wrapLoftMm, sideLoftAcrossMm, sideLoftAlongMm } = request;
      return { ...request, wrapLoftMm: wrapLoftMm + 2 * mm, sideLoftAcrossMm: side(sideLoftAcrossMm), sideLoftAlongMm: side(sideLoftAlongMm) };
    },
  },
  { what: 'cover-plan', by: (request, mm) => ({ ...request, widthMm: request.widthMm + mm, depthMm: request.depthMm + mm }) },
  { what: 'boxing', by: (request, mm) => ({ ...request, heightMm: request.heightMm + mm }) },
  { what: 'pad', by: (request, mm) => ({ ...request, padLoftMm: request.padLoftMm + mm }) },
];

/** Differences are taken over so much on both sides, mm: wide enough that what the root finding leaves over does not show. */
const STEP_MM = 0.5;

/** What one more millimetre of each allowance does to the crown and to the figure that decides the verdict, the strongest first. */
export function sensitivity(request: FitRequest, assume: Constants): Sensitivity[] {
  const asIs = fit(request, assume);
  const { of } = deciding(asIs);
  const figure = of === 'tension' ? tighter : slacker;
  return MORE.map(({ what, by }): Sensitivity => {
    const [less, more] = [fit(by(request, -STEP_MM), assume), fit(by(request, STEP_MM), assume)];
    return { what, of, crownMm: (more.crownMm - less.crownMm) / (2 * STEP_MM), amount: (figure(more) - figure(less)) / (2 * STEP_MM) };
  }).sort((a, b) => Math.abs(b.amount) - Math.abs(a.amount));
}
