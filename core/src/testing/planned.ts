import type { Cushion } from '../job/document';
import { plan } from '../plan/plan';
import type { CushionPlan } from '../plan/cushion/cushion-plan';
import { demoShop, sampleJob } from './samples';

/** One cushion planned by itself in the demo shop. */
export function planned(cushion: Cushion): CushionPlan {
  const [one] = plan(sampleJob([cushion]), demoShop()).cushions;
  if (!one) throw new Error('nothing was planned');
  return one;
}
