import type { ChooseRequest } from '../../../filling/choose-request';
import { massOf } from '../../../filling/sitters';
import { loadedAs } from '../steps/asked';
import type { Shop } from '../../../shop/shop';
import type { UnitSystem } from '../../../units/length';
import { UNSAID_DECK } from './cushion-feel';
import type { CushionPlan } from '../cushion-plan';

/** What a place asks of a filling: in the damp it stays as wet as in the open. */
const PLACE = { indoor: 'indoor', covered: 'covered', outdoor: 'outdoor', damp: 'outdoor' } as const;

/** The question for `choose` that a cushion stands for; what was not said is asked for an ordinary seat. */
export function chooseRequestOf(one: CushionPlan, shop: Shop, units: UnitSystem): ChooseRequest {
  const { seat } = one.source;
  const assume = (key: Parameters<Shop['assume']>[0]): number => shop.assume(key, units);
  const sitters = (seat?.sitters ?? []).map(({ build, posture, frail }) => ({ massKg: massOf(build, assume), posture, frail: frail ?? false }));
  return {
    format: 'yardland/choose@1',
    sitters: sitters.length ? sitters : [{ massKg: massOf('middling', assume), posture: 'upright', frail: false }],
    feel: seat?.feel ?? 'medium',
    part: loadedAs(seat?.part),
    use: seat?.use ?? 'regular',
    place: PLACE[seat?.place ?? 'indoor'],
    support: seat?.support ?? UNSAID_DECK,
    heightMm: Math.max(15, one.sizes?.core.height.value ?? one.source.heightMm),
    ...(one.sizes ? { core: { widthMm: one.sizes.core.width.value, depthMm: one.sizes.core.depth.value, quantity: one.source.quantity } } : {}),
    ...(seat?.reversible ? { reversible: true } : {}),
    ...(seat?.deckHeightMm === undefined ? {} : { deckHeightMm: seat.deckHeightMm }),
  };
}
