import type { CrownAnswer } from '../crown/domed';
import type { Fit, FitRequest } from '../fit/fit';
import type { Sizes } from '../piece/sizes';
import { middleOf } from '../allowance/slope';
import { wrapLies } from '../allowance/wrap';
import { issue, type Issue } from '../kernel/issue';
import { isFoam } from '../material/material';
import type { Constants } from '../shop/assumptions';
import type { School, WrapWay } from '../shop/schools';
import type { Shop } from '../shop/shop';
import type { Cushion } from './document';
import type { Construction, EdgeProfile } from '../cover/contract';
import { facesOf } from './plan-crown';

/** What the fit of a cushion depends on besides its document and its sizes. */
export interface FitContext {
  readonly loftMm: number;
  readonly way: WrapWay;
  readonly school: School;
  /** The cloth gives. */
  readonly stretches: boolean;
  readonly assume: Constants;
  readonly shop: Shop;
  readonly crown: CrownAnswer | null;
  readonly profile: EdgeProfile;
}

/** What the fit model is told of a cushion. Null while a layer is not foam, or there is none. */
export function fitRequestOf(cushion: Cushion, sizes: Sizes, { loftMm, way, school, stretches, assume, shop, crown, profile }: FitContext): FitRequest | null {
  const foams = cushion.core.layers.flatMap((layer) => {
    const grade = shop.grade(layer.grade);
    return grade ? [{ thicknessMm: layer.thicknessMm, hardness25N: grade.hardness25N, supportFactor: grade.supportFactor }] : [];
  });
  if (foams.length === 0 || foams.length < cushion.core.layers.length) return null;
  // A wedge is judged by its middle.
  const { slope } = sizes;
  const share = slope ? middleOf('core in the middle', sizes.core.height, slope.core).value / sizes.core.height.value : 1;
  const lies = wrapLies(way);
  const longer = sizes.core.width.value >= sizes.core.depth.value;
  const packed = school.wrap.packedEnds ? assume('packedEndsMm') : 0;
  const faces = facesOf(cushion, profile);
  const pads = cushion.crown?.pads;
  const bowed = cushion.crown?.way === 'bow';
  return {
    widthMm: sizes.sewn.width.value,
    depthMm: sizes.sewn.depth.value,
    heightMm: profile.heightMm,
    core: {
      widthMm: sizes.core.width.value + (longer ? packed : 0),
      depthMm: sizes.core.depth.value + (longer ? 0 : packed),
      layers: foams.map((foam) => ({ ...foam, thicknessMm: foam.thicknessMm * share })),
    },
    wrapLoftMm: lies.faces ? 2 * loftMm : 0,
    sideWrapSqueezedMm: lies.sides ? loftMm * assume('sideWrapSqueezed') : 0,
    padLoftMm: pads ? pads.count * pads.loftMm * faces : 0,
    crownedFaces: faces,
    bowAcrossMm: bowed ? (crown?.extraAcrossMm ?? 0) : 0,
    bowAlongMm: bowed ? (crown?.extraAlongMm ?? 0) : 0,
    clothStiffnessNPerM: assume(stretches ? 'stretchStiffness' : 'wovenStiffness'),
  };
}

/** The fit model knows foam in a cover with a band: of anything else it says so and predicts nothing. */
export function notModelled(cushion: Cushion, shop: Shop, profile: EdgeProfile, { name }: Construction): Issue[] {
  if (!profile.modelled) return [issue('note', 'fit-not-known-for-construction', 'construction', { construction: name.toLowerCase() })];
  const other = cushion.core.layers.map((layer) => shop.stock(layer.grade)).find((stock) => stock !== undefined && !isFoam(stock));
  return other ? [issue('note', 'fit-not-known-for-filling', 'core.layers', { filling: other.name })] : [];
}

/** A crown that the construction has no plates for: it is left out, and said. */
export function crownProblems({ crown }: Cushion, { domes }: EdgeProfile, { name }: Construction): Issue[] {
  return crown && crown.mm > 0 && !domes
    ? [issue('warning', 'crown-not-for-construction', 'crown.mm', { construction: name.toLowerCase(), crownMm: crown.mm })]
    : [];
}

/** What the prediction gives cause to say; it never blocks. */
export function fitProblems(prediction: Fit, sizes: Sizes, loftMm: number, school: School, assume: Constants): Issue[] {
  const problems: Issue[] = [];
  const oversizeMm = Math.max(sizes.core.width.value - sizes.sewn.width.value, sizes.core.depth.value - sizes.sewn.depth.value);
  if (loftMm <= 0 && oversizeMm <= 1)
    problems.push(issue('warning', 'core-exact-without-wrap', 'wrapLoftMm', { wrapMm: school.wrap.loft.mm || assume('usualWrapMm') }));
  else if (prediction.verdict === 'loose')
    problems.push(issue('warning', 'cover-loose', 'wrapLoftMm', { tension: Math.min(prediction.tensionAcrossNPerM, prediction.tensionAlongNPerM) }));
  const tightest = Math.max(prediction.tensionAcrossNPerM, prediction.tensionAlongNPerM);
  if (prediction.verdict === 'hard-to-close' || prediction.verdict === 'will-not-close')
    problems.push(issue('warning', `cover-${prediction.verdict}`, 'core.layers', { tension: tightest }));
  if (prediction.bowRisk) problems.push(issue('warning', 'cushion-may-bow', 'template', { oversizeMm }));
  return problems;
}
