/** A plain piece of work timed in the same run: what a row is a multiple of. */
export interface Reference {
  readonly words: string;
  readonly median: number;
}

/** A figure with its spread, milliseconds unless said otherwise. */
export interface Row {
  readonly what: string;
  readonly goal: string;
  readonly median: number;
  readonly p95: number;
  readonly worst: number;
  readonly unit: string;
  readonly times: number;
  readonly reference: Reference | null;
}

function rank(sorted: readonly number[], share: number): number {
  return sorted[Math.min(sorted.length - 1, Math.floor(sorted.length * share))] ?? NaN;
}

export function rowOf(what: string, goal: string, values: readonly number[], { unit = 'ms', reference = null as Reference | null } = {}): Row {
  const sorted = [...values].sort((a, b) => a - b);
  return { what, goal, median: rank(sorted, 0.5), p95: rank(sorted, 0.95), worst: sorted[sorted.length - 1] ?? NaN, unit, times: sorted.length, reference };
}

export function referenceOf(words: string, values: readonly number[]): Reference {
  return { words, median: rowOf(words, '', values).median };
}

/** Times `work` after some runs that do not count. */
export function timed(times: number, work: (i: number) => void): number[] {
  for (let i = 0; i < Math.min(50, times); i++) work(i);
  return Array.from({ length: times }, (_, i) => {
    const begun = performance.now();
    work(i);
    return performance.now() - begun;
  });
}

/** A fixed loop of arithmetic: how fast the machine is at this hour. */
export function arithmeticLoop(): Reference {
  let kept = 0;
  const times = timed(60, () => {
    let x = 1;
    for (let i = 1; i <= 1_000_000; i++) x = (x * 1.000_001 + 0.5 / i) % 1000;
    kept += x;
  });
  if (!Number.isFinite(kept)) throw new Error('the loop did not come to a number');
  return referenceOf('a loop of a million multiplications', times);
}

export function table(rows: readonly Row[]): string {
  const figure = (value: number): string => (value >= 100 ? value.toFixed(0) : value >= 10 ? value.toFixed(1) : value.toFixed(2));
  const multiple = ({ median, reference }: Row): string =>
    reference ? `${(median / reference.median).toPrecision(2)} × ${reference.words} (${figure(reference.median)})` : '—';
  return [
    '| what | goal | median | 95 % within | worst | of | as a multiple |',
    '|---|---|---|---|---|---|---|',
    ...rows.map(
      (row) =>
        `| ${row.what} | ${row.goal} | ${figure(row.median)} ${row.unit} | ${figure(row.p95)} ${row.unit} | ${figure(row.worst)} ${row.unit} | ${row.times} | ${multiple(row)} |`,
    ),
  ].join('\n');
}
