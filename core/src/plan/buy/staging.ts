import type { Judged } from '../../filling/old-core';

/** A row of cushions whose old cores were judged. */
export interface StageRow {
  readonly judged: Judged;
  readonly quantity: number;
  /** For one. */
  readonly replaceCost: number;
}

export interface Staged {
  /** Index of the row as it was given. */
  readonly row: number;
  readonly now: number;
  readonly later: number;
  /** It is patched for now. */
  readonly patched: boolean;
}

interface Ranked {
  readonly row: StageRow;
  readonly index: number;
}

/** How badly a core wants replacing: reasons for it first, then the set. */
const badness = ({ judged }: StageRow): number => judged.reasons.length * 10 + (judged.set ?? 0);

const worstFirst = (a: Ranked, b: Ranked): number => badness(b.row) - badness(a.row) || a.index - b.index;

/**
 * Which replacements a budget pays now, worst first; a cheaper one further down is taken where a dearer one no longer fits. Without a budget all are
 * done now. Cores that were patched are good for now and come new later: they follow, and no money is spent on them. Others are not listed.
 */
export function stageReplacements(rows: readonly StageRow[], budget: number | null): { readonly staged: readonly Staged[]; readonly spent: number } {
  let left = budget ?? Infinity;
  let spent = 0;
  const staged = rows
    .map((row, index) => ({ row, index }))
    .filter(({ row }) => row.judged.verdict === 'replace')
    .sort(worstFirst)
    .map(({ row, index }): Staged => {
      const now = row.replaceCost > 0 ? Math.min(row.quantity, Math.floor((left + 1e-9) / row.replaceCost)) : row.quantity;
      left -= now * row.replaceCost;
      spent += now * row.replaceCost;
      return { row: index, now, later: row.quantity - now, patched: false };
    });
  const patched = rows
    .map((row, index) => ({ row, index }))
    .filter(({ row }) => row.judged.verdict === 'patch')
    .sort(worstFirst)
    .map(({ row, index }): Staged => ({ row: index, now: 0, later: row.quantity, patched: true }));
  return { staged: [...staged, ...patched], spent };
}
