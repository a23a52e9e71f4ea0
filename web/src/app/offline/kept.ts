/** Where the service worker keeps what was read; forgotten at signing out. */
export const DATA_CACHE = 'yardland-data';
/** Where it keeps the page. */
export const PAGE_CACHE = 'yardland-page';
/** Answers kept at most: a shop's jobs of some years, with their pictures. */
export const MOST_KEPT = 400;
/** On a kept answer: when it was read. */
export const TAKEN_AT = 'x-yardland-taken-at';
/** On an answer that was shown because the server is away: since when it has been kept. */
export const KEPT_SINCE = 'x-yardland-kept-since';

/** What was read of the shop is forgotten on this device; a browser without such a store has nothing to forget. */
export async function forgetKept(): Promise<void> {
  if (typeof caches !== 'undefined') await caches.delete(DATA_CACHE).catch(() => false);
}
