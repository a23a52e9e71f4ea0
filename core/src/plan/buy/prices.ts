/** A price older than this may have changed, days. */
export const OLD_PRICE_DAYS = 90;

/** Whole days from one day to another, YYYY-MM-DD. */
const daysBetween = (from: string, to: string): number => Math.round((Date.parse(`${to}T00:00Z`) - Date.parse(`${from}T00:00Z`)) / 86_400_000);

/** What is to be said of a price beside a sum: nothing where it is of late. `today`: YYYY-MM-DD. */
export function priceCaution(pricedOn: string | null, today: string): string {
  if (pricedOn === null) return 'its price has no day: ask again';
  return daysBetween(pricedOn, today) > OLD_PRICE_DAYS ? `price of ${pricedOn}, older than ${OLD_PRICE_DAYS} days: ask again` : '';
}

/** The oldest of the days that the prices of one sum are of; null where one of them has none. */
export function oldestPrice(days: readonly (string | undefined)[]): string | null {
  return days.reduce<string | null>((oldest, day) => (oldest === null || day === undefined ? null : day < oldest ? day : oldest), days[0] ?? null);
}
