import { issue, type Issue, type IssueCode } from '../kernel/issue';

export const FINDINGS = ['mould', 'crumbling', 'no-return', 'joints-open', 'strip-missing', 'discoloured', 'smell'] as const;
export type Finding = (typeof FINDINGS)[number];

export const VERDICTS = ['keep', 'refresh', 'patch', 'replace'] as const;
export type Verdict = (typeof VERDICTS)[number];

/** Whether a core is known to meet a fire rating. */
export const RATINGS = ['known', 'none', 'unknown'] as const;
export type Rating = (typeof RATINGS)[number];

/** What was found of an old core; what was not looked at is left out. */
export interface OldCore {
  readonly edgeMm?: number | undefined;
  readonly middleMm?: number | undefined;
  readonly densityKgM3?: number | undefined;
  /** 25 % indentation hardness as measured, N. */
  readonly hardness25N?: number | undefined;
  readonly rating?: Rating | undefined;
  readonly findings: readonly Finding[];
}

/** What the seat asks of a core, so that an old one can be held against it. */
export interface Asked {
  /** Least density of bearing layers for the use, kg/m³. */
  readonly densityFloor?: number | undefined;
  /** Hardness of the core's bearing layer as it is wanted, N. */
  readonly hardness25N?: number | undefined;
  /** One class of hardness, N. */
  readonly hardnessClass?: number | undefined;
  /** Out of doors, and nothing says that the old core is of foam that dries there. */
  readonly wet?: boolean | undefined;
  /** Used by the public, at sea, on rails or in care. */
  readonly certified?: boolean | undefined;
}

/** Set, as a share of the edge's thickness, from which a core is refreshed, and from which it is replaced. */
export const SAT_OUT = 0.1;
const DONE_FOR = 0.25;
/** Density under the floor by more than this share: advise replacing. */
const TOO_LIGHT = 0.2;

/** How much thinner the middle is than the edge, as a share of the edge; null until both are measured. */
export function setOf(old: Pick<OldCore, 'edgeMm' | 'middleMm'>): number | null {
  return old.edgeMm && old.middleMm !== undefined ? (old.edgeMm - old.middleMm) / old.edgeMm : null;
}

export interface Judged {
  readonly verdict: Verdict;
  readonly reasons: readonly Issue[];
  readonly set: number | null;
}

/** The heaviest verdict that applies to an old core, with all its reasons. */
export function judge(old: OldCore, asked: Asked = {}): Judged {
  const found = new Set(old.findings);
  const set = setOf(old);
  const floor = asked.densityFloor ?? 0;
  const soft = (asked.hardness25N ?? 0) - (asked.hardnessClass ?? Infinity);
  const rows: [boolean, Verdict, IssueCode][] = [
    [found.has('mould'), 'replace', 'old-core-mould'],
    [found.has('crumbling'), 'replace', 'old-core-crumbling'],
    [found.has('no-return'), 'replace', 'old-core-no-return'],
    [set !== null && set > DONE_FOR, 'replace', 'old-core-done-for'],
    [old.hardness25N !== undefined && old.hardness25N < soft, 'replace', 'old-core-too-soft'],
    [old.densityKgM3 !== undefined && old.densityKgM3 < floor * (1 - TOO_LIGHT), 'replace', 'old-core-too-light'],
    [asked.certified === true && old.rating !== 'known', 'replace', 'old-core-not-rated'],
    [asked.wet === true, 'replace', 'old-core-outdoors'],
    [found.has('joints-open'), 'patch', 'old-core-joints-open'],
    [found.has('strip-missing'), 'patch', 'old-core-strip-missing'],
    [set !== null && set > SAT_OUT && set <= DONE_FOR, 'refresh', 'old-core-sat-out'],
    [found.has('discoloured'), 'keep', 'old-core-discoloured'],
    [found.has('smell'), 'keep', 'old-core-smell'],
  ];
  const held = rows.filter(([applies]) => applies);
  const verdict = held.map(([, v]) => v).reduce<Verdict>((worst, v) => (VERDICTS.indexOf(v) > VERDICTS.indexOf(worst) ? v : worst), 'keep');
  const data = {
    setPercent: (set ?? 0) * 100,
    hardness: old.hardness25N ?? 0,
    wanted: asked.hardness25N ?? 0,
    density: old.densityKgM3 ?? 0,
    floor,
  };
  return { verdict, reasons: held.map(([, , code]) => issue('note', code, 'seat.old', data)), set };
}

export const COVER_FINDINGS = ['seams-pull', 'worn', 'torn', 'shrunk', 'faded', 'mould-stained', 'no-zip', 'sewn-shut', 'zip-good'] as const;
export type CoverFinding = (typeof COVER_FINDINGS)[number];

export const COVER_VERDICTS = ['wash', 'restitch', 'renew'] as const;
export type CoverVerdict = (typeof COVER_VERDICTS)[number];

/** Findings that no washing or stitching mends. */
const PAST_USE: readonly CoverFinding[] = ['worn', 'torn', 'shrunk', 'faded', 'mould-stained', 'no-zip'];

/** The old cover's own verdict: wash and reuse, re-stitch, or renew; a good zip is saved. */
export function judgeCover(findings: readonly CoverFinding[]): {
  readonly verdict: CoverVerdict;
  readonly saveZip: boolean;
  readonly reasons: readonly Issue[];
} {
  const found = new Set(findings);
  const renew = PAST_USE.some((one) => found.has(one));
  const verdict: CoverVerdict = renew ? 'renew' : found.has('seams-pull') ? 'restitch' : 'wash';
  const saveZip = renew && found.has('zip-good') && !found.has('no-zip');
  const codes = findings.filter((finding) => finding !== 'zip-good').map((finding) => `old-cover-${finding}` as const);
  return { verdict, saveZip, reasons: [...codes, ...(saveZip ? (['old-cover-save-zip'] as const) : [])].map((code) => issue('note', code, 'seat.oldCover')) };
}
