import { minutesInWords, type UnitSystem } from '@yardland/core';
import { setupWords, stepWords, type Day, type PlannedStep } from '@yardland/core/schedule';
import { localTime } from './local-time';
import { Sheet } from './sheet';

/** Whose day it is, how large its paper, and when it was printed. */
export interface DayPaperAsk {
  readonly shop: string;
  readonly units: UnitSystem;
  readonly printedAt: Date;
}

const MARGIN = 30;
const GAP = 14;
const DAY = new Intl.DateTimeFormat('en-GB', { weekday: 'long', day: 'numeric', month: 'long', timeZone: 'UTC' });
const dayWords = (day: string): string => DAY.format(new Date(`${day}T00:00:00Z`));
/** Columns narrower than this cannot be read from a step away: more people go on another sheet, points. */
const LEAST_COLUMN = 175;
/** Room that a step takes besides its words, and lines of them, points. */
const STEP = { head: 11, words: 13.5, small: 10.5, gap: 8 } as const;

interface Row {
  readonly step: PlannedStep;
  readonly start: string;
  readonly end: string;
}

/** What a person does on a day, in its order. */
function rowsOf({ steps }: Day, person: string, day: string): Row[] {
  return steps
    .filter((one) => one.person === person)
    .flatMap((step) => step.parts.filter(({ start }) => start.startsWith(day)).map(({ start, end }) => ({ step, start: start.slice(11), end: end.slice(11) })))
    .sort((a, b) => (a.start < b.start ? -1 : 1));
}

/** The first day from a plan's first on which anybody works. */
function shownDay({ steps, from }: Day): string {
  return steps.flatMap(({ parts }) => parts.map(({ start }) => start.slice(0, 10))).sort()[0] ?? from;
}

/** What is late and what is expected: below the columns where it fits, else on a sheet of its own. */
function writeNotes(
  sheet: Sheet,
  day: Day,
  { written, bottom, width, head }: { readonly written: number; readonly bottom: number; readonly width: number; readonly head: () => number },
): void {
  const late = day.jobs
    .filter(({ lateDays }) => lateDays > 0)
    .map(({ name, lateDays }) => `${name} will be ${Math.ceil(lateDays)} ${Math.ceil(lateDays) === 1 ? 'day' : 'days'} late`);
  const comes = day.jobs.flatMap(({ name, awaits }) =>
    awaits.map(({ what, on: when, assumed }) => `${what} for ${name} ${dayWords(when)}${assumed ? ' (not said)' : ''}`),
  );
  const notes = [...late, ...comes];
  if (notes.length) {
    const lines = sheet.wrapped(notes.join(' · '), width, { size: 10 });
    // Below the columns where it fits, else on a sheet of its own.
    let y = written + 10;
    if (y + 22 + lines.length * 13 > bottom) {
      sheet.nextPage();
      y = head();
    }
    sheet.line('Late, and expected', MARGIN, y, { size: 14, face: 'bold' });
    lines.forEach((line, n) => sheet.line(line, MARGIN, y + 20 + n * 13, { size: 10 }));
  }
}

/** Today for the wall: a column for each person, large enough to be read from a step away; what does not fit goes on the next sheet. Late jobs and what is expected stand below. */
export async function dayPdf(day: Day, { shop, units, printedAt }: DayPaperAsk): Promise<Uint8Array> {
  const lying: [number, number] = units === 'inch' ? [792, 612] : [841.89, 595.28];
  const on = shownDay(day);
  const sheet = new Sheet(lying, `${shop}: ${dayWords(on)}`);
  const width = sheet.width - 2 * MARGIN;
  const bottom = sheet.height - MARGIN - 14;
  const perSheet = Math.max(1, Math.floor((width + GAP) / (LEAST_COLUMN + GAP)));
  const named = new Map(day.jobs.map(({ id, name }) => [id, name]));
  const head = (): number => {
    sheet.line(dayWords(on), MARGIN, 22, { size: 24, face: 'head' });
    sheet.line(`${shop} · printed ${localTime(printedAt)}`, sheet.width - MARGIN, 32, { size: 9, grey: 70, align: 'right' });
    sheet.rule(MARGIN, 54, width, 1.4);
    return 62;
  };

  let first = true;
  // How far down the last sheet is written.
  let written = 0;
  for (let at = 0; at < day.people.length; at += perSheet) {
    const people = day.people.slice(at, at + perSheet);
    const column = (width - GAP * (people.length - 1)) / people.length;
    const left = people.map(({ name }) => rowsOf(day, name, on));
    const whole = left.map((rows) => rows.length);
    // Column by column, over as many sheets as the longest takes.
    do {
      if (!first) sheet.nextPage();
      first = false;
      const top = head();
      written = 0;
      people.forEach(({ name }, i) => {
        const x = MARGIN + i * (column + GAP);
        const rows = left[i] ?? [];
        // On a further sheet only those who go on there.
        if (whole[i] !== 0 && !rows.length) return;
        sheet.line(rows.length < (whole[i] ?? 0) ? `${name}, continued` : name, x, top, { size: 17, face: 'bold', most: column });
        let y = top + 24;
        if (whole[i] === 0) sheet.line('nothing planned', x, y, { size: 11, grey: 90 });
        while (rows.length) {
          const [row] = rows as [Row, ...Row[]];
          const words = sheet.wrapped(stepWords(row.step), column - 16, { size: 11.5, face: 'bold' });
          const small = [named.get(row.step.job) ?? '', setupWords(row.step)].filter(Boolean).join(' · ');
          const under = sheet.wrapped(small, column - 16, { size: 9 });
          const height = STEP.head + words.length * STEP.words + under.length * STEP.small + STEP.gap;
          if (y + height > bottom && y > top + 30) break;
          sheet.shape(
            [
              { x, y: y + 1 },
              { x: x + 9, y: y + 1 },
              { x: x + 9, y: y + 10 },
              { x, y: y + 10 },
            ],
            { width: 1 },
          );
          const rest = row.step.restsUntil === null ? '' : `, rests until ${row.step.restsUntil.slice(11)}`;
          sheet.line(`${row.start}–${row.end} · ${minutesInWords(row.step.minutes)}${rest}`, x + 15, y, { size: 9, grey: 60, most: column - 15 });
          const below = y + STEP.head;
          words.forEach((line, n) => sheet.line(line, x + 15, below + n * STEP.words, { size: 11.5, face: 'bold' }));
          under.forEach((line, n) => sheet.line(line, x + 15, below + words.length * STEP.words + n * STEP.small, { size: 9, grey: 50 }));
          y += height;
          sheet.rule(x, y - 4, column, 0.3, 170);
          rows.shift();
        }
        written = Math.max(written, y);
      });
    } while (left.some((rows) => rows.length));
  }
  writeNotes(sheet, day, { written, bottom, width, head });
  return sheet.finish();
}
