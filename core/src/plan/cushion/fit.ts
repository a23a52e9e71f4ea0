import type { CrownAnswer } from '../../crown/domed';
import { slacker, tighter } from '../../fit/deciding';
import type { Fit, FitLayer, FitRequest } from '../../fit/fit';
import { highestPlace, spanPolygon, spansThrough } from '../../geometry/spans';
import type { Outlines } from '../../allowance/outlines';
import type { Sizes } from '../../piece/sizes';
import { middleOf } from '../../allowance/slope';
import { fillingLaw } from '../../filling/layer';
import { sideLofts, wrapLies } from '../../allowance/wrap-lies';
import { issue, type Issue } from '../../kernel/issue';
import { isFoam } from '../../material/material';
import type { Constants } from '../../shop/assumptions';
import type { School, WrapWay } from '../../shop/schools';
import type { Shop } from '../../shop/shop';
import type { Cushion } from '../../job/document';
import type { Construction, EdgeProfile } from '../../cover/contract';
import { facesOf } from './crown';

/** What the fit of a cushion depends on besides its document and its sizes. */
export interface FitContext {
  readonly loftMm: number;
  /** Of one pad of a crown. */
  readonly padLoftMm: number;
  readonly way: WrapWay;
  readonly school: School;
  /** The cloth gives. */
  readonly stretches: boolean;
  readonly assume: Constants;
  readonly shop: Shop;
  readonly crown: CrownAnswer | null;
  readonly profile: EdgeProfile;
  readonly outlines: Outlines;
  /** How much higher the core was cut than its layers say. */
  readonly heightShare?: number;
}

/** What the fit model is told of a cushion. Null while a layer is of nothing that the shop knows, or there is none. */
export function fitRequestOf(cushion: Cushion, sizes: Sizes, context: FitContext): FitRequest | null {
  const { loftMm, padLoftMm, way, school, stretches, assume, shop, crown, profile, outlines, heightShare = 1 } = context;
  const stocks = cushion.core.layers.map((layer) => shop.stock(layer.grade));
  if (stocks.length === 0 || stocks.includes(undefined)) return null;
  // A wedge is judged by its middle.
  const { slope } = sizes;
  const share = slope ? middleOf('core in the middle', sizes.core.height, slope.core).value / sizes.core.height.value : 1;
  const long = sizes.core.width.value >= sizes.core.depth.value ? 'across' : 'along';
  const sides = sideLofts(way, loftMm, school.wrap.packedEnds ? long : null, assume);
  const faces = facesOf(cushion, profile);
  // Pads are cut for plates that can be domed, and for no others.
  const pads = profile.domes ? cushion.crown?.pads : undefined;
  const domed = cushion.crown?.way === 'bow';
  const cover = spanPolygon(outlines.sewn);
  const highest = highestPlace(cover);
  const [sewn, core] = [spansThrough(cover, highest), spansThrough(spanPolygon(outlines.core), highest)];
  return {
    widthMm: sewn.acrossMm,
    depthMm: sewn.deepMm,
    heightMm: profile.heightMm,
    core: {
      widthMm: core.acrossMm,
      depthMm: core.deepMm,
      layers: cushion.core.layers.flatMap((layer, i): FitLayer[] => {
        const stock = stocks[i];
        const thicknessMm = layer.thicknessMm * share * heightShare;
        if (!stock) return [];
        return [
          isFoam(stock) ? { kind: 'foam', thicknessMm, hardness25N: stock.hardness25N, supportFactor: stock.supportFactor } : fillingLaw(stock, thicknessMm),
        ];
      }),
    },
    wrapLoftMm: wrapLies(way).faces ? (profile.onBoard ? 1 : 2) * loftMm * assume('waddingLoftShare') : 0,
    sideLoftAcrossMm: sides.acrossMm * assume('sideLoftShare'),
    sideLoftAlongMm: sides.alongMm * assume('sideLoftShare'),
    padLoftMm: ((pads ? pads.count * padLoftMm * faces : 0) + (profile.middleLoftMm ?? 0)) * assume('waddingLoftShare'),
    crownedFaces: faces,
    bowAcrossMm: domed ? (crown?.extraAcrossMm ?? 0) : 0,
    bowAlongMm: domed ? (crown?.extraAlongMm ?? 0) : 0,
    clothStiffnessNPerM: assume(stretches ? 'stretchStiffness' : 'wovenStiffness'),
    waddingPa: assume('waddingPa'),
  };
}

/** What the fit model does not know, or knows only roughly: it says so. */
export function notModelled(cushion: Cushion, shop: Shop, profile: EdgeProfile, { name }: Construction): Issue[] {
  if (!profile.modelled) return [issue('note', 'fit-not-known-for-construction', 'construction', { construction: name.toLowerCase() })];
  const other = cushion.core.layers.map((layer) => shop.stock(layer.grade)).find((stock) => stock !== undefined && !isFoam(stock));
  return other ? [issue('note', 'fit-rough-for-filling', 'core.layers', { filling: other.name })] : [];
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
  else if (prediction.verdict === 'loose') problems.push(issue('warning', 'cover-loose', 'wrapLoftMm', { pressurePa: slacker(prediction) }));
  if (prediction.verdict === 'hard-to-close' || prediction.verdict === 'will-not-close')
    problems.push(issue('warning', `cover-${prediction.verdict}`, 'core.layers', { tension: tighter(prediction) }));
  if (prediction.bowRisk) problems.push(issue('warning', 'cushion-may-bow', 'template', { oversizeMm }));
  return problems;
}
