import { fillingCost, glueCost } from '../../filling/costs';
import type { LongCore } from '../../filling/long-core';
import type { RefreshItem } from '../../filling/refresh';
import { given, law, plus, sum, type Figure } from '../../kernel/figure';
import type { AssumptionKey, Constants } from '../../shop/assumptions';
import type { Shop } from '../../shop/shop';
import { MM_PER_FOOT, type UnitSystem } from '../../units/length';

export interface CoreSize {
  readonly widthMm: number;
  readonly depthMm: number;
}

const MINUTES: Record<RefreshItem['kind'], AssumptionKey> = {
  pad: 'padMinutes',
  wrap: 'wrapMinutes',
  frame: 'frameMinutes',
  glue: 'glueMinutes',
  splice: 'spliceMinutes',
  air: 'airMinutes',
  steam: 'steamMinutes',
};

/** What the hands cost: minutes at the shop's hour. */
function labour(minutes: number, shop: Shop, units: UnitSystem): Figure {
  const inputs = [given('minutes', minutes, 'shop', 'count'), given('an hour', shop.assume('hourRate', units), 'shop', 'count')];
  return law('work', '{0} ÷ 60 × {1}', inputs, 'count');
}

/** Wadding of this area at the price of the roll whose loft is nearest. */
function waddingCost(areaMm2: number, loftMm: number, shop: Shop, units: UnitSystem): Figure {
  const wadding = shop.waddingNear(loftMm);
  const perM2 = wadding ? wadding.pricePerM / (wadding.rollWidthMm / 1000) : 0;
  // Area and price in one unit, so that the sum holds as it is printed.
  const [unit, mm2] = units === 'inch' ? ['ft²', MM_PER_FOOT ** 2] : ['m²', 1e6];
  const inputs = [given(`${unit} of wadding`, areaMm2 / mm2, 'measured', 'count'), given(`a ${unit}`, (perM2 * mm2) / 1e6, 'material', 'count')];
  return law('wadding', '{0} × {1}', inputs, 'count');
}

/** Wadding once round a core: both faces, and a border as high as the core. */
const wrapArea = ({ widthMm, depthMm }: CoreSize, heightMm: number): number => 2 * widthMm * depthMm + 2 * (widthMm + depthMm) * heightMm;

/** An old core that is to be refreshed: what is done to it, its size and height, and the loft of the wrap and the pads. */
interface Refreshing {
  readonly items: readonly RefreshItem[];
  readonly core: CoreSize;
  readonly heightMm: number;
  readonly wrapLoftMm: number;
  readonly padLoftMm: number;
}

/** What it costs to bring one old core back: the work of each item, and the wadding of pads and wrap. */
export function refreshCost({ items, core, heightMm, wrapLoftMm, padLoftMm }: Refreshing, shop: Shop, units: UnitSystem): Figure {
  const minutes = items.reduce((total, item) => total + shop.assume(MINUTES[item.kind], units), 0);
  const pads = items.reduce((total, item) => total + (item.kind === 'pad' ? item.pads.reduce((area, pad) => area + pad.areaMm2, 0) : 0), 0);
  const wrap = items.some((item) => item.kind === 'wrap') && wrapLoftMm > 0 ? wrapArea(core, heightMm) : 0;
  return sum('to refresh', labour(minutes, shop, units), plus(waddingCost(pads, padLoftMm, shop, units)), plus(waddingCost(wrap, wrapLoftMm, shop, units)));
}

/** What one new core costs: its layers by volume, the work of cutting it, and its wrap. */
export function replaceCost(
  layers: readonly { readonly grade: string; readonly thicknessMm: number }[],
  core: CoreSize,
  wrapLoftMm: number,
  shop: Shop,
  units: UnitSystem,
): Figure {
  const heightMm = layers.reduce((total, layer) => total + layer.thicknessMm, 0);
  const filling = layers.map(({ grade, thicknessMm }) => {
    const stock = shop.stock(grade) ?? { name: grade, pricePerM3: 0 };
    return fillingCost(stock, core.widthMm * core.depthMm * thicknessMm);
  });
  const wrap = wrapLoftMm > 0 ? wrapArea(core, heightMm) : 0;
  const minutes = shop.assume('newCoreMinutes', units) + (wrap > 0 ? shop.assume('wrapMinutes', units) : 0);
  return sum('to replace', labour(minutes, shop, units), ...filling.map((figure) => plus(figure)), plus(waddingCost(wrap, wrapLoftMm, shop, units)));
}

/** Old cores joined to one long one: how it is made, how large it is, and its wrap. */
interface Joining extends Pick<LongCore, 'cuts' | 'joins'> {
  readonly core: CoreSize;
  readonly heightMm: number;
  readonly wrapLoftMm: number;
  readonly padLoftMm: number;
}

/** What it costs to join old cores: the work of cutting and gluing, the glue, a pad over the joins on both faces, and the wrap. */
export function joinCost({ cuts, joins, core, heightMm, wrapLoftMm, padLoftMm }: Joining, shop: Shop, units: UnitSystem): Figure {
  const assume: Constants = (constant) => shop.assume(constant, units);
  const wrap = wrapLoftMm > 0 ? wrapArea(core, heightMm) : 0;
  const minutes = cuts * assume('coreCutMinutes') + joins.length * assume('glueMinutes') + assume('padMinutes') + (wrap > 0 ? assume('wrapMinutes') : 0);
  const glue = glueCost(joins.length * core.depthMm * heightMm, assume);
  const pads = joins.length ? 2 * core.widthMm * core.depthMm : 0;
  return sum(
    'to join',
    labour(minutes, shop, units),
    plus(glue),
    plus(waddingCost(pads, padLoftMm, shop, units)),
    plus(waddingCost(wrap, wrapLoftMm, shop, units)),
  );
}
