import type { Cushion, Job, Shop, TrialAsk } from '@yardland/core';

/** A question about a cushion, whole in itself, for a worker. */
export function trialAsk(format: TrialAsk['format'], cushion: Cushion, { units, cloth, waddings }: Job, shop: Shop): TrialAsk {
  return { format, cushion, units, cloth, waddings, shop: shop.document };
}
