/** A moment where the shop is: `26 Nov 2026, 14:05`. The zone is the machine's, or the one that is given. */
export function localTime(moment: Date, timeZone?: string): string {
  return new Intl.DateTimeFormat('en-GB', {
    day: 'numeric',
    month: 'short',
    year: 'numeric',
    hour: '2-digit',
    minute: '2-digit',
    hour12: false,
    ...(timeZone === undefined ? {} : { timeZone }),
  }).format(moment);
}

/** The day of a moment where the shop is, YYYY-MM-DD. The zone is the machine's, or the one that is given. */
export function localDay(moment: Date, timeZone?: string): string {
  // The Swedish way to write a day is the standard's.
  return new Intl.DateTimeFormat('sv-SE', { ...(timeZone === undefined ? {} : { timeZone }) }).format(moment);
}
