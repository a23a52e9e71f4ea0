const DAY_MS = 86_400_000;

const LONG = new Intl.DateTimeFormat('en-GB', { weekday: 'short', day: 'numeric', month: 'short' });
const WITH_YEAR = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short', year: 'numeric' });

/** A day, YYYY-MM-DD, at noon where the shop is, so that no clock change moves it. */
function noon(day: string): Date {
  return new Date(`${day}T12:00:00`);
}

/** Today, YYYY-MM-DD, where the shop is. */
export function today(now = new Date()): string {
  return `${now.getFullYear()}-${String(now.getMonth() + 1).padStart(2, '0')}-${String(now.getDate()).padStart(2, '0')}`;
}

/** Whole days from today to a day; negative when it is past. */
export function daysUntil(day: string, from = today()): number {
  return Math.round((noon(day).getTime() - noon(from).getTime()) / DAY_MS);
}

/** `due Thu, 3 Dec`, or nothing. */
export function dueWords(day: string | null): string {
  return day === null ? '' : `due ${dayWords(day)}`;
}

/** `Thu, 3 Dec`; with the year when it is another. */
export function dayWords(day: string, from = today()): string {
  return day.slice(0, 4) === from.slice(0, 4) ? LONG.format(noon(day)) : WITH_YEAR.format(noon(day));
}

const CLOCK = new Intl.DateTimeFormat('en-GB', { hour: '2-digit', minute: '2-digit' });

/** `at 14:32`; with its day when that is not today. Nothing for what is no time. */
export function timeWords(iso: string, now = new Date()): string {
  const at = new Date(iso);
  if (Number.isNaN(at.getTime())) return '';
  const clock = `at ${CLOCK.format(at)}`;
  return today(at) === today(now) ? clock : `on ${dayWords(today(at), today(now))} ${clock}`;
}
