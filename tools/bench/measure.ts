/** A figure with its spread, milliseconds unless said otherwise. */
export interface Row {
  readonly what: string;
  readonly goal: string;
  readonly median: number;
  readonly p95: number;
  readonly worst: number;
  readonly unit: string;
  readonly times: number;
}

function rank(sorted: readonly number[], share: number): number {
  return sorted[Math.min(sorted.length - 1, Math.floor(sorted.length * share))] ?? NaN;
}

export function rowOf(what: string, goal: string, values: readonly number[], unit = 'ms'): Row {
  const sorted = [...values].sort((a, b) => a - b);
  return { what, goal, median: rank(sorted, 0.5), p95: rank(sorted, 0.95), worst: sorted[sorted.length - 1] ?? NaN, unit, times: sorted.length };
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

export function table(rows: readonly Row[]): string {
  const figure = (value: number): string => (value >= 100 ? value.toFixed(0) : value >= 10 ? value.toFixed(1) : value.toFixed(2));
  return [
    '| what | goal | median | 95 % within | worst | of |',
    '|---|---|---|---|---|---|',
    ...rows.map(
      (row) =>
        `| ${row.what} | ${row.goal} | ${figure(row.median)} ${row.unit} | ${figure(row.p95)} ${row.unit} | ${figure(row.worst)} ${row.unit} | ${row.times} |`,
    ),
  ].join('\n');
}
