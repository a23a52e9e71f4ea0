import { fit, type Fit, type FitRequest } from './fit';

/** An allowance that the fit depends on, and what one more millimetre of it does. */
export interface Sensitivity {
  readonly what: 'core-plan' | 'core-thickness' | 'wrap' | 'cover-plan' | 'boxing' | 'pad';
  readonly crownMm: number;
  /** In the direction that decides the verdict. */
  readonly tensionNPerM: number;
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
      const layer = request.wrapLoftMm / 2;
      // What share of a layer's loft stays at the sides; a third where there is no wrap yet.
      const share = layer > 0 ? request.sideWrapSqueezedMm / layer : 1 / 3;
      return { ...request, wrapLoftMm: request.wrapLoftMm + 2 * mm, sideWrapSqueezedMm: request.sideWrapSqueezedMm + share * mm };
    },
  },
  { what: 'cover-plan', by: (request, mm) => ({ ...request, widthMm: request.widthMm + mm, depthMm: request.depthMm + mm }) },
  { what: 'boxing', by: (request, mm) => ({ ...request, heightMm: request.heightMm + mm }) },
  { what: 'pad', by: (request, mm) => ({ ...request, padLoftMm: request.padLoftMm + mm }) },
];

/** Tension in the direction that decides: the slacker one of a loose cover, else the tighter. */
export function deciding(fitted: Fit): number {
  const { tensionAcrossNPerM: across, tensionAlongNPerM: along } = fitted;
  return fitted.verdict === 'loose' ? Math.min(across, along) : Math.max(across, along);
}

/** Differences are taken over so much on both sides, mm: wide enough that bisection's leftovers do not show. */
const STEP_MM = 0.5;

/** What one more millimetre of each allowance does to crown and tension, the strongest first. */
export function sensitivity(request: FitRequest): Sensitivity[] {
  const asIs = fit(request);
  const along = asIs.verdict === 'loose' ? Math.min : Math.max;
  const tension = (one: Fit): number => along(one.tensionAcrossNPerM, one.tensionAlongNPerM);
  return MORE.map(({ what, by }): Sensitivity => {
    const [less, more] = [fit(by(request, -STEP_MM)), fit(by(request, STEP_MM))];
    return { what, crownMm: (more.crownMm - less.crownMm) / (2 * STEP_MM), tensionNPerM: (tension(more) - tension(less)) / (2 * STEP_MM) };
  }).sort((a, b) => Math.abs(b.tensionNPerM) - Math.abs(a.tensionNPerM));
}
