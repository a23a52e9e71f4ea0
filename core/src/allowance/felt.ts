import { rectangleOutline } from '../geometry/outline';
import { given, law, plus, sum, type Figure } from '../kernel/figure';
import { offered, isFoam } from '../material/material';
import { PLAIN_PIECE, type Piece } from '../piece/piece';
import type { Sizes } from '../piece/sizes';
import type { Constants } from '../shop/assumptions';
import type { Shop } from '../shop/shop';
import type { Layer } from './foam';

/**
 * Felt round each spring unit, in two strips: the first goes round the width and is as wide as the unit is deep; the second goes round the depth, over the first. Its thickness is the
 * stocked one nearest to what is asked for, or to the usual one. No felt when the shop stocks none. Without springs, felt only goes round the whole core, and only when asked for.
 */
export function feltPieces(
  layers: readonly Layer[],
  core: Sizes['core'],
  shop: Shop,
  assume: Constants,
  asked: { readonly mm: number | null } | null,
): Piece[] {
  const felts = offered(shop.document.fillings)
    .filter(({ kind }) => kind === 'felt')
    .flatMap((felt) => felt.thicknessesMm.map((mm) => ({ felt, mm })));
  const thickMm = asked?.mm ?? assume('feltMm');
  const [usual] = felts.sort((a, b) => Math.abs(a.mm - thickMm) - Math.abs(b.mm - thickMm));
  if (!usual) return [];
  const lap = given('lap', assume('feltLapMm'), 'shop');
  const felt = asked?.mm ? given('felt', asked.mm, 'entered') : given('felt', usual.mm, 'material');
  const springs = layers.flatMap((layer, i) => {
    const stock = shop.stock(layer.grade);
    return stock && !isFoam(stock) && stock.kind === 'spring' ? [{ ...layer, index: i + 1 }] : [];
  });
  const units = springs.length || !asked ? springs : [{ thicknessMm: core.height.value, index: 1 }];
  return units.flatMap(({ thicknessMm, index }): Piece[] => {
    const high = given('unit, high', thicknessMm, 'entered');
    const first = law('felt', '2 × ({0} + {1})', [core.width, high]);
    const second = law('felt', '2 × ({0} + {1}) + 4 × {2}', [core.depth, high, felt]);
    const strip = (way: 'first' | 'second', round: Figure, wide: Figure): Piece => {
      const width = sum('felt', round, plus(lap));
      return {
        ...PLAIN_PIECE,
        id: `felt-${index}-${way}`,
        role: 'felt',
        label: `felt, ${way} way round`,
        part: { index: way === 'first' ? 1 : 2, of: 2 },
        material: { kind: 'filling', filling: usual.felt.id, thicknessMm: felt.value },
        width,
        height: wide,
        outline: rectangleOutline(width.value, wide.value),
      };
    };
    return [strip('first', first, core.depth), strip('second', second, core.width)];
  });
}
