import { standsOutdoors } from '../../../filling/choose';
import { densityFloor } from '../../../filling/density-floor';
import type { Asked } from '../../../filling/old-core';
import { isFoam } from '../../../material/material';
import type { Constants } from '../../../shop/assumptions';
import type { Shop } from '../../../shop/shop';
import type { UnitSystem } from '../../../units/length';
import type { Cushion } from '../../../job/document';
import { isOutdoors } from '../../../job/terms';

/** Settings whose rules ask for certified material. */
const CERTIFIED = new Set(['public', 'marine', 'rail', 'care']);

/** How a part of a job is loaded: a pillow is leant on, like a back. */
export function loadedAs(part: NonNullable<Cushion['seat']>['part']): 'seat' | 'back' | 'mattress' {
  return part === 'pillow' ? 'back' : (part ?? 'seat');
}

/** The least density for a seat's use; a seat whose use was not said counts as in regular use. */
function floorOf({ seat }: Cushion, assume: Constants): number {
  return densityFloor({ part: loadedAs(seat?.part), use: seat?.use ?? 'regular' }, assume);
}

/** Whether every layer of a core is known to be of foam that dries where the seat stands; of a core without layers nothing is known. */
export function dries({ core, seat }: Cushion, shop: Shop): boolean {
  const place = seat?.place === 'covered' ? 'covered' : 'outdoor';
  return (
    core.layers.length > 0 &&
    core.layers.every(({ grade }) => {
      const stock = shop.stock(grade);
      return stock !== undefined && isFoam(stock) && standsOutdoors(stock, place);
    })
  );
}

/** What the seat asks of its core: the density for its use, the hardness of the firmest new layer, and whether rules ask for certified foam. */
export function askedOf(cushion: Cushion, shop: Shop, units: UnitSystem): Asked {
  const assume: Constants = (constant) => shop.assume(constant, units);
  const hardness = cushion.core.layers.flatMap(({ grade }) => {
    const stock = shop.stock(grade);
    return stock && isFoam(stock) ? [stock.hardness25N] : [];
  });
  return {
    densityFloor: floorOf(cushion, assume),
    hardness25N: hardness.length ? Math.max(...hardness) : undefined,
    hardnessClass: assume('hardnessClass'),
    wet: isOutdoors(cushion.seat?.place) && !dries(cushion, shop),
    certified: CERTIFIED.has(cushion.seat?.fire?.setting ?? 'home'),
  };
}
