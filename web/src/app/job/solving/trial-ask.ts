import type { Cushion, CushionTrialAsk, Job, Shop } from '@yardland/core';

/** A question about a cushion, whole in itself, for a worker. */
export function trialAsk(format: CushionTrialAsk['format'], cushion: Cushion, { units, cloth, waddings }: Job, shop: Shop): CushionTrialAsk {
  return { format, cushion, job: { units, cloth, waddings }, shop: shop.document };
}
