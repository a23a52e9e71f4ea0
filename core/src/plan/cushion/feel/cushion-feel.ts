import { feelOf, type Feel, type FeelRequest, type Sitter } from '../../../filling/feel';
import type { Deck } from '../../../filling/under-and-over';
import { layerOf, type FillingLayer } from '../../../filling/layer';
import type { Shop } from '../../../shop/shop';
import type { UnitSystem } from '../../../units/length';
import type { Cushion } from '../../../job/document';

/** A seat whose support was not said is worked out on this; the interface says so. */
export const UNSAID_DECK: Deck = 'board';

/** The layers of a cushion as the feel model takes them, top first; null while a grade is unknown or there is none. */
export function fillingLayers(cushion: Cushion, shop: Shop): FillingLayer[] | null {
  const layers = cushion.core.layers.flatMap(({ grade, thicknessMm }): FillingLayer[] => {
    const stock = shop.stock(grade);
    return stock ? [layerOf(stock, thicknessMm)] : [];
  });
  return layers.length > 0 && layers.length === cushion.core.layers.length ? layers : null;
}

/** A filling, in a wrap of so much loft a layer, under a sitter; the curve drawn with so many points, none of it for 0. */
export interface FeltFilling {
  readonly wrapLoftMm: number;
  readonly layers: readonly FillingLayer[];
  readonly sitter: Sitter;
  readonly curvePoints?: number;
}

/** How a cushion's filling feels under a sitter, in its wrap, on its own deck, settled as it will be. */
export function cushionFeel({ seat }: Cushion, { wrapLoftMm, layers, sitter, curvePoints }: FeltFilling, shop: Shop, units: UnitSystem): Feel {
  const request: FeelRequest = {
    format: 'yardland/feel@1',
    layers: [...layers],
    wrapLoftMm: 2 * wrapLoftMm * shop.assume('waddingLoftShare', units),
    support: seat?.support ?? UNSAID_DECK,
    sitter,
    settled: true,
    ...(seat?.deckHeightMm === undefined ? {} : { deckHeightMm: seat.deckHeightMm }),
  };
  return feelOf(request, (key) => shop.assume(key, units), curvePoints);
}
