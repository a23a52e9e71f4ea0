import { dayAfter, stepWords, type Day, type PlannedJob, type PlannedStep } from '@yardland/core/schedule';

/** Steps of one job that one person does one after the other. Shares of the width are in per cent, heights in lanes. */
export interface Bar {
  readonly key: string;
  readonly steps: readonly PlannedStep[];
  readonly person: string;
  readonly pinned: boolean;
  /** What sort of work stands where in it, per cent of its own width. */
  readonly works: readonly { readonly work: PlannedStep['work']; readonly left: number; readonly width: number }[];
  readonly row: number;
  readonly lane: number;
  readonly left: number;
  readonly width: number;
  readonly start: string;
  readonly end: string;
  readonly words: string;
  readonly job: string;
  /** Where glue sets after it, from its right end on. */
  readonly rest: number;
}

/** A day of the picture: where it stands and what happens on it. */
export interface DayColumn {
  readonly day: string;
  readonly left: number;
  readonly width: number;
  readonly off: boolean;
}

/** Something that happens on a day: a job is due, foam comes. */
export interface DayMark {
  readonly key: string;
  readonly kind: 'due' | 'foam' | 'cloth';
  readonly row: number;
  readonly left: number;
  readonly words: string;
  readonly late: boolean;
}

export interface BarRow {
  readonly name: string;
  readonly small: string;
  readonly lanes: number;
  readonly late: boolean;
  /** Where the row begins, in lanes. */
  readonly top: number;
  readonly job: PlannedJob | null;
}

export interface BarPicture {
  readonly columns: readonly DayColumn[];
  readonly rows: readonly BarRow[];
  readonly bars: readonly Bar[];
  readonly marks: readonly DayMark[];
  /** Where now is; null where it is not shown. */
  readonly now: number | null;
  readonly lanes: number;
}

export type BarsBy = 'person' | 'job';

/** A day on which nobody works is as narrow as this beside one on which somebody does. */
const OFF_SHARE = 0.22;
/** Steps nearer than this go on in one bar, minutes. */
const ON_MINUTES = 6;
/** A bar is never narrower, per cent: it has to be pressed. */
const LEAST = 0.7;

const minutesOf = (clock: string): number => Number(clock.slice(0, 2)) * 60 + Number(clock.slice(3, 5));
const weekdayOf = (day: string): number => (new Date(`${day}T00:00:00Z`).getUTCDay() + 6) % 7;

/** Hours of the longest working day on this day; 0 where nobody works. */
function longestOn({ people }: Day, on: string): number {
  return Math.max(
    0,
    ...people.map(({ hours, off, otherwise }) => (off.includes(on) ? 0 : (otherwise.find(({ day }) => day === on)?.hours ?? hours[weekdayOf(on)] ?? 0))),
  );
}

function columnsOf(day: Day, from: string, count: number): DayColumn[] {
  const days = Array.from({ length: count }, (_, n) => dayAfter(from, n));
  const shares = days.map((on) => (longestOn(day, on) > 0 ? 1 : OFF_SHARE));
  const all = shares.reduce((sum, share) => sum + share, 0);
  let left = 0;
  return days.map((on, n) => {
    const width = ((shares[n] ?? 1) / all) * 100;
    const column = { day: on, left, width, off: shares[n] !== 1 };
    left += width;
    return column;
  });
}

interface Part {
  readonly step: PlannedStep;
  readonly start: string;
  readonly end: string;
  /** It is the last part of its step. */
  readonly last: boolean;
}

const minutesBetween = (a: string, b: string): number => (Date.parse(`${b}:00Z`) - Date.parse(`${a}:00Z`)) / 60_000;

/** Parts of one row, in the order of time, put together where the same person goes on with the same job. */
function runsOf(parts: readonly Part[]): Part[][] {
  const runs: Part[][] = [];
  for (const part of parts) {
    const run = runs.find((one) => {
      const before = one.at(-1);
      if (!before || before.step.person !== part.step.person || before.step.job !== part.step.job) return false;
      const gap = minutesBetween(before.end, part.start);
      return gap >= 0 && gap <= ON_MINUTES && before.end.slice(0, 10) === part.start.slice(0, 10);
    });
    if (run) run.push(part);
    else runs.push([part]);
  }
  return runs;
}

/** What a bar says: its step, or how many of them. */
function wordsOf(run: readonly Part[]): string {
  const [first] = run;
  return run.length === 1 && first ? stepWords(first.step) : `${run.length} steps`;
}

/** The picture of some days as bars, by person or by job: a pure reading of the plan. */
export function barsOf(day: Day, by: BarsBy, from: string, count: number): BarPicture {
  const columns = columnsOf(day, from, count);
  const opens = minutesOf(day.starts);
  const longest = Math.max(1, ...columns.map(({ day: on }) => longestOn(day, on))) * 60;
  const xOf = (time: string): number | null => {
    const column = columns.find(({ day: on }) => time.startsWith(on));
    if (!column) return null;
    const share = time.length > 10 ? (minutesOf(time.slice(11)) - opens) / longest : 0;
    return column.left + Math.min(1, Math.max(0, share)) * column.width;
  };
  const named = new Map(day.jobs.map(({ id, name }) => [id, name]));
  const jobs = [...day.jobs].sort((a, b) => ((a.due ?? '9') < (b.due ?? '9') ? -1 : 1));
  const names = by === 'person' ? day.people.map(({ name }) => name) : jobs.map(({ id }) => id);
  const bars: Bar[] = [];
  const rows: BarRow[] = [];
  let top = 0;
  names.forEach((name, row) => {
    const own = day.steps
      .filter((step) => (by === 'person' ? step.person : step.job) === name)
      .flatMap((step) => step.parts.map((part, n): Part => ({ step, ...part, last: n === step.parts.length - 1 })))
      .sort((a, b) => (a.start < b.start ? -1 : 1));
    // Steps of one job may go on at once, at several people: each in a lane of its own.
    const ends: string[] = [];
    for (const run of runsOf(own)) {
      const [first, last] = [run[0], run.at(-1)];
      const left = first ? xOf(first.start) : null;
      if (!first || !last || left === null) continue;
      const free = ends.findIndex((until) => until <= first.start);
      const lane = free < 0 ? ends.length : free;
      ends[lane] = last.end;
      const rests = last.step.restsUntil !== null && last.last ? (xOf(last.step.restsUntil) ?? 100) : null;
      const width = Math.max(LEAST, (xOf(last.end) ?? 100) - left);
      const long = Math.max(1, minutesBetween(first.start, last.end));
      bars.push({
        key: `${first.step.job} ${first.step.step} ${first.step.parts.findIndex(({ start }) => start === first.start)}`,
        steps: run.map(({ step }) => step),
        person: first.step.person,
        pinned: run.some(({ step }) => step.pinned),
        works: run.map(({ step, start, end }) => ({
          work: step.work,
          left: (minutesBetween(first.start, start) / long) * 100,
          width: (minutesBetween(start, end) / long) * 100,
        })),
        row,
        lane: top + lane,
        left,
        width,
        start: first.start,
        end: last.end,
        words: wordsOf(run),
        job: named.get(first.step.job) ?? '',
        rest: rests === null ? 0 : Math.max(0, rests - left - width),
      });
    }
    const job = by === 'job' ? (jobs[row] ?? null) : null;
    const lanes = Math.max(1, ends.length);
    const trades = by === 'person' ? (day.people[row]?.does.join(', ') ?? '') : '';
    rows.push({ name: job?.name ?? name, small: job ? '' : trades, lanes, late: (job?.lateDays ?? 0) > 0, top, job });
    top += lanes;
  });
  const marks = jobs.flatMap((job): DayMark[] => {
    const row = by === 'job' ? jobs.indexOf(job) : -1;
    const at = (kind: DayMark['kind'], on: string, words: string, end: boolean): DayMark[] => {
      const column = columns.find(({ day: one }) => one === on);
      return column
        ? [{ key: `${kind} ${job.id}`, kind, row, left: column.left + (end ? column.width : 0), words, late: kind === 'due' && job.lateDays > 0 }]
        : [];
    };
    return [
      ...(job.due === null ? [] : at('due', job.due, `${job.name} is due`, true)),
      ...job.awaits.flatMap(({ what, on, assumed }) => at(what, on, `${what} for ${job.name}${assumed ? ', day not said' : ''}`, false)),
    ];
  });
  return { columns, rows, bars, marks, now: xOf(`${day.from}T${day.now}`), lanes: top };
}

/** The day and time at a share of the width, per cent; the time to a quarter of an hour, within the day's work. */
export function timeAt(day: Day, columns: readonly DayColumn[], x: number): string {
  const column = columns.find(({ left, width }) => x >= left && x < left + width) ?? (x < 0 ? columns[0] : columns.at(-1));
  if (!column) return `${day.from}T${day.starts}`;
  const longest = Math.max(1, ...columns.map(({ day: on }) => longestOn(day, on))) * 60;
  const share = Math.min(0.999, Math.max(0, (x - column.left) / column.width));
  const minutes = minutesOf(day.starts) + Math.floor((share * longest) / 15) * 15;
  const two = (n: number): string => String(n).padStart(2, '0');
  return `${column.day}T${two(Math.floor(minutes / 60))}:${two(minutes % 60)}`;
}
