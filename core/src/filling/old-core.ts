import { issue, type Issue } from '../kernel/issue';

export const FINDINGS = ['mould', 'crumbling', 'no-return', 'joints-open', 'discoloured', 'smell'] as const;
export type Finding = (typeof FINDINGS)[number];

export const VERDICTS = ['keep', 'refresh', 'patch', 'replace'] as const;
export type Verdict = (typeof VERDICTS)[number];

export interface OldCore {
  readonly edgeMm?: number | undefined;
  readonly middleMm?: number | undefined;
  readonly findings: readonly Finding[];
}

/** Set, as a share of the edge's thickness, from which a core is refreshed, and from which it is replaced. */
const SAT_OUT = 0.1;
const DONE_FOR = 0.25;

/** How much thinner the middle is than the edge, as a share of the edge; null until both are measured. */
export function setOf(old: OldCore): number | null {
  return old.edgeMm && old.middleMm !== undefined ? (old.edgeMm - old.middleMm) / old.edgeMm : null;
}

/** The heaviest verdict that applies to an old core, with all its reasons. */
export function judge(old: OldCore): { readonly verdict: Verdict; readonly reasons: readonly Issue[]; readonly set: number | null } {
  const found = new Set(old.findings);
  const set = setOf(old);
  const rows: [boolean, Verdict, string][] = [
    [found.has('mould'), 'replace', 'old-core-mould'],
    [found.has('crumbling'), 'replace', 'old-core-crumbling'],
    [found.has('no-return'), 'replace', 'old-core-no-return'],
    [set !== null && set > DONE_FOR, 'replace', 'old-core-done-for'],
    [found.has('joints-open'), 'patch', 'old-core-joints-open'],
    [set !== null && set > SAT_OUT && set <= DONE_FOR, 'refresh', 'old-core-sat-out'],
    [found.has('discoloured'), 'keep', 'old-core-discoloured'],
    [found.has('smell'), 'keep', 'old-core-smell'],
  ];
  const held = rows.filter(([applies]) => applies);
  const verdict = held.map(([, v]) => v).reduce<Verdict>((worst, v) => (VERDICTS.indexOf(v) > VERDICTS.indexOf(worst) ? v : worst), 'keep');
  return { verdict, reasons: held.map(([, , code]) => issue('note', code, 'seat.old', { setPercent: (set ?? 0) * 100 })), set };
}
