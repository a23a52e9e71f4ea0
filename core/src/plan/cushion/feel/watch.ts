import { standsOutdoors } from '../../../filling/choose';
import { massOf } from '../../../filling/sitters';
import type { LookedOver } from '../old/look-over';
import { issue, type Issue } from '../../../kernel/issue';
import { isFoam } from '../../../material/material';
import type { Constants } from '../../../shop/assumptions';
import type { Rolls, Shop } from '../../../shop/shop';
import type { UnitSystem } from '../../../units/length';
import { cushionFeel, fillingLayers } from './cushion-feel';
import { dries, loadedAs } from '../steps/asked';
import type { Cushion } from '../../../job/document';
import { isOutdoors } from '../../../job/terms';

/** What is looked at so that nothing grave passes in silence. */
export interface Watched {
  readonly source: Cushion;
  readonly wrapLoftMm: number;
  /** The rolls that its wadding may come off. */
  readonly rolls: Rolls;
  readonly looked: LookedOver | null;
  /** The construction fills the whole cushion with feather itself. */
  readonly featherOnly: boolean;
  /** The setting asks for certified material. */
  readonly certified: boolean;
  /** The cover can be taken off to dry or to be washed. */
  readonly comesOff: boolean;
  readonly shop: Shop;
  readonly units: UnitSystem;
}

/** The sitter who is named and under whom the filling gives most, where it bottoms out: what is said names the layer that gives, and nobody's weight. */
function bottomsOut({ source, wrapLoftMm, shop, units }: Watched, assume: Constants): Issue[] {
  const layers = fillingLayers(source, shop);
  if (!layers || loadedAs(source.seat?.part) === 'back') return [];
  // The verdicts alone are wanted: their curves would be most of the work.
  const felt = (source.seat?.sitters ?? []).map(({ build, posture, frail }) =>
    cushionFeel(source, { wrapLoftMm, layers, sitter: { massKg: massOf(build, assume), posture, frail: frail ?? false }, curvePoints: 0 }, shop, units),
  );
  const [worst] = felt.filter(({ verdicts }) => verdicts.includes('bottoms-out')).sort((a, b) => b.peakStrain - a.peakStrain);
  if (!worst) return [];
  const gives = shop.stock(source.core.layers[worst.worstLayer ?? 0]?.grade ?? '');
  return [issue('warning', 'sitter-bottoms-out', 'core.layers', { layer: gives?.name ?? '', strainPercent: worst.peakStrain * 100 })];
}

/** The same stack from above and from below. */
export function sameBothWays({ layers }: Cushion['core']): boolean {
  return layers.every((layer, i) => {
    const mate = layers[layers.length - 1 - i];
    return mate?.grade === layer.grade && Math.abs(mate.thicknessMm - layer.thicknessMm) < 1;
  });
}

/** A firm foam lying on a softer one: the soft one is never felt and gives way under the edge of the firm one. */
function softUnderFirm({ source, shop }: Watched, assume: Constants): Issue[] {
  const { layers } = source.core;
  if (sameBothWays(source.core)) return [];
  const foams = layers.map(({ grade }) => shop.grade(grade));
  const at = foams.findIndex((below, i) => {
    const above = foams[i - 1];
    return above && below && above.hardness25N - below.hardness25N > assume('hardnessClass') / 2;
  });
  const [above, below] = [foams[at - 1], foams[at]];
  return above && below ? [issue('warning', 'soft-under-firm', `core.layers.${at}`, { above: above.name, below: below.name })] : [];
}

/** Out of doors: foam, new or kept, and wadding that hold water for days; a cover that cannot be taken off and dried. */
function outdoors({ source, wrapLoftMm, rolls, comesOff, shop }: Watched): Issue[] {
  if (!isOutdoors(source.seat?.place)) return [];
  const place = source.seat?.place === 'covered' ? 'covered' : 'outdoor';
  const layer = source.core.layers.findIndex(({ grade }) => {
    const stock = shop.stock(grade);
    return stock !== undefined && !(isFoam(stock) && standsOutdoors(stock, place));
  });
  const held = shop.stock(source.core.layers[layer]?.grade ?? '');
  const wadding = wrapLoftMm > 0 ? shop.waddingNear(wrapLoftMm, rolls) : undefined;
  return [
    ...(source.core.kept
      ? dries(source, shop)
        ? []
        : [issue('warning', 'kept-core-outdoors', 'seat.old', { filling: held?.name ?? '' })]
      : held
        ? [issue('warning', 'indoor-foam-outdoors', `core.layers.${layer}`, { filling: held.name })]
        : []),
    ...(wadding && !wadding.open ? [issue('warning', 'indoor-wadding-outdoors', 'wrapLoftMm', { wadding: wadding.name })] : []),
    ...(comesOff ? [] : [issue('warning', 'fixed-cover-outdoors', 'construction')]),
  ];
}

/** Firm is wanted where what is underneath is hard already, in a cushion that is no thin pad. */
function firmOnHard({ source }: Watched, assume: Constants): Issue[] {
  const { feel, support } = source.seat ?? {};
  if (feel !== 'firm' || (support !== 'board' && support !== 'folding-bed') || source.heightMm <= assume('thinPadMm')) return [];
  return [issue('note', 'firm-on-hard-base', 'seat.feel', { base: support, thinMm: assume('thinPadMm') })];
}

/** Reasons to replace an old core that no other warning tells. */
const REPLACES_UNSAID: ReadonlySet<string> = new Set(['old-core-done-for', 'old-core-too-soft', 'old-core-too-light']);

/** An old core that goes back in although it should not. */
function keptCore({ source, looked, certified }: Watched): Issue[] {
  const old = source.seat?.old;
  if (!source.core.kept || !old) return [];
  const bad = old.findings.filter((finding) => finding === 'mould' || finding === 'crumbling' || finding === 'no-return');
  return [
    ...(bad[0] ? [issue('warning', 'bad-core-kept', 'seat.old', { finding: bad[0] })] : []),
    ...(!bad[0] && looked?.judged.reasons.some(({ code }) => REPLACES_UNSAID.has(code)) && !(certified && old.rating !== 'known')
      ? [issue('warning', 'core-kept-against-verdict', 'seat.old')]
      : []),
  ];
}

/** Used by the public, at sea, on rails or in care: every filling must be known to meet the rules. */
function rating({ source, certified, shop }: Watched): Issue[] {
  if (!certified) return [];
  if (source.core.kept) return source.seat?.old?.rating === 'known' ? [] : [issue('warning', 'kept-core-not-rated', 'seat.old')];
  const unknown = source.core.layers
    .map(({ grade }) => shop.stock(grade))
    .find((stock) => stock !== undefined && !(isFoam(stock) && stock.fireRating !== undefined));
  return unknown ? [issue('warning', 'filling-not-rated', 'core.layers', { filling: unknown.name })] : [];
}

/** Feather and down by itself under somebody heavy, as a seat. */
function featherAlone({ source, shop, featherOnly }: Watched, assume: Constants): Issue[] {
  const stocks = source.core.layers.map(({ grade }) => shop.stock(grade));
  const feather = stocks.length > 0 && stocks.every((stock) => stock !== undefined && !isFoam(stock) && stock.kind === 'feather');
  if (!(feather || featherOnly) || loadedAs(source.seat?.part) === 'back') return [];
  const heavy = (source.seat?.sitters ?? []).find(({ build }) => massOf(build, assume) >= assume('heavySitterKg'));
  return heavy ? [issue('warning', 'feather-under-heavy', 'core.layers')] : [];
}

/** What must never pass in silence about a filling: each with what to do in its sentence. The zip that cannot let it in is the cover's. */
export function watch(watched: Watched): Issue[] {
  const assume: Constants = (key) => watched.shop.assume(key, watched.units);
  return [
    ...bottomsOut(watched, assume),
    ...softUnderFirm(watched, assume),
    ...outdoors(watched),
    ...firmOnHard(watched, assume),
    ...keptCore(watched),
    ...rating(watched),
    ...featherAlone(watched, assume),
  ];
}
