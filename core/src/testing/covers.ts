import type { Cushion, Job } from '../job/document';
import { plan } from '../plan/plan';
import type { CushionPlan, Planned } from '../plan/cushion/cushion-plan';
import type { UnitSystem } from '../units/length';
import { demoShop, sampleJob } from './samples';

/** Millimetres of an inch. */
export const IN = 25.4;
const shop = demoShop();

/** A cushion planned in a job of its own. */
export function plannedAlone(cushion: Cushion, units: UnitSystem = 'metric', over: Partial<Job> = {}): CushionPlan {
  const [one] = plan(sampleJob([cushion], { units, ...over }), shop).cushions;
  if (!one) throw new Error('no plan');
  return one;
}

/** The same where it can be made; what is in the way is thrown. */
export function madeAlone(...ask: Parameters<typeof plannedAlone>): Planned {
  const one = plannedAlone(...ask);
  if (one.state !== 'planned') throw new Error(one.problems.map(({ code }) => code).join());
  return one;
}

/** Width and height of the piece with an id, to a thousandth of `unit` mm. */
export function sizeOf(one: Planned, id: string, unit = 1): number[] {
  const piece = one.pieces.find((each) => each.id === id);
  if (!piece) throw new Error(one.pieces.map((each) => each.id).join());
  return [piece.width.value, piece.height.value].map((mm) => Math.round((mm / unit) * 1000) / 1000);
}
