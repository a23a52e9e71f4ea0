import { contactArea } from '../filling/feel';
import { massOf, type Build } from '../filling/sitters';
import type { Sitting } from '../form/solid/sat-on';
import { cushionFeel, fillingLayers } from '../plan/cushion/feel/cushion-feel';
import type { Planned } from '../plan/cushion/cushion-plan';
import type { Shop } from '../shop/shop';
import type { UnitSystem } from '../units/length';

/** Somebody who sits on a cushion, in a few words that say nothing of a weight, and what the cushion does under them. */
export interface NamedSitting extends Sitting {
  readonly name: string;
}

/** How far a cushion goes down under each of those who were named, or under a middling sitter; none where it is not sat on, or its filling is not known. */
export function sittingsOf({ source, wrap, profile }: Planned, shop: Shop, units: UnitSystem): NamedSitting[] {
  const layers = fillingLayers(source, shop);
  if (!layers || profile.kind === 'body' || source.seat?.part === 'back') return [];
  const assume = (key: Parameters<Shop['assume']>[0]): number => shop.assume(key, units);
  const posture = source.seat?.part === 'mattress' ? ('lying' as const) : ('upright' as const);
  const named = source.seat?.sitters?.length ? source.seat.sitters : [{ build: 'middling' as Build, posture }];
  return named.map((one) => {
    const sitter = { massKg: massOf(one.build, assume), posture: one.posture };
    const { sinkMm } = cushionFeel(source, { wrapLoftMm: wrap.value, layers, sitter, curvePoints: 0 }, shop, units);
    return { name: `${one.build}, ${one.posture}`, sinkMm, radiusMm: 1000 * Math.sqrt(contactArea(sitter, assume) / Math.PI) };
  });
}
