import { openShop, readStoredJob, type ShopDocument } from '@yardland/core';
import { practiceJob, practiceState, type PracticeState } from '@yardland/core/practice';

/** A practice job of what the shop has, as JSON text. */
export const practiceStart = ({ shop }: { readonly shop: ShopDocument }): string => JSON.stringify(practiceJob(openShop(shop)));

/** How far somebody is with a job, as it is stored; null where it is no practice job. */
export function practiceOf({ job, shop }: { readonly job: string; readonly shop: ShopDocument }): PracticeState | null {
  const read = readStoredJob(job);
  return read.ok ? practiceState(read.value, openShop(shop)) : null;
}
