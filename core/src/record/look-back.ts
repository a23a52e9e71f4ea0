import { doneOn } from '../bench/batch';
import { changedSince } from '../bench/ticks';
import type { Check } from '../job/document';
import type { Issue, IssueCode } from '../kernel/issue';
import type { LookKind, Phase } from '../piece/operation';
import type { CushionPlan } from '../plan/cushion/cushion-plan';
import type { ComplaintSort } from './log/entry';
import { compare, promised, type Comparison } from './check';
import { SIGMA_MM } from './learning/observe';
import { meaningOf, type Meaning } from './meaning';

/** Where something that may explain a complaint was found. */
export const LOOK_BACK_SIDES = ['promised', 'measured', 'changed', 'not-done'] as const;
export type LookBackSide = (typeof LOOK_BACK_SIDES)[number];

/** One thing found while looking back. */
export type Found = { readonly side: LookBackSide } & (
  | { readonly code: 'warned'; readonly issue: Issue }
  | { readonly code: 'size-promised'; readonly widthMm: number; readonly depthMm: number; readonly edgeMm: number; readonly middleMm: number }
  | { readonly code: 'check'; readonly day: string; readonly rows: readonly Comparison[] }
  | { readonly code: 'meaning'; readonly day: string; readonly meaning: Meaning }
  | { readonly code: 'crown-off'; readonly mm: number; readonly checks: number }
  | { readonly code: 'recut'; readonly day: string; readonly piece: string; readonly count: number; readonly why: string | null }
  | { readonly code: 'look-failed'; readonly day: string; readonly kind: LookKind; readonly count: number; readonly did: 'restitched' | 'piece' }
  | { readonly code: 'cut-then-changed'; readonly piece: string; readonly then: readonly [number, number]; readonly now: readonly [number, number] | null }
  | { readonly code: 'kept-as-cut'; readonly piece: string }
  | { readonly code: 'core-cut-otherwise' }
  | { readonly code: 'never-measured' }
  | { readonly code: 'not-tried' }
  | { readonly code: 'step-open'; readonly step: string; readonly text: string; readonly done: number; readonly of: number }
);

/** What was found, and whether it can explain what the customer says. */
export type Evidence = Found & { readonly explains: boolean };

/** A mean lies off for sure beyond so many standard errors. */
const SURELY = 2;

/** What explains each sort of complaint: warnings of the plan, findings of checks, phases of the work, looks. */
interface Causes {
  readonly issues: readonly IssueCode[];
  readonly meanings: readonly Meaning['code'][];
  readonly phases: readonly Phase[];
  readonly looks: readonly LookKind[];
  /** Pieces that came out otherwise explain it. */
  readonly pieces: boolean;
}

const NONE: Causes = { issues: [], meanings: [], phases: [], looks: [], pieces: false };

const CAUSES: Readonly<Record<ComplaintSort, Causes>> = {
  'too-soft': {
    ...NONE,
    issues: [
      'sitter-bottoms-out',
      'soft-under-firm',
      'core-kept-against-verdict',
      'bad-core-kept',
      'feather-under-heavy',
      'lot-other-than-before',
      'lot-softer-than-grade',
    ],
    meanings: ['flatter', 'slack', 'edge-low'],
    phases: ['prepare'],
  },
  'too-hard': { ...NONE, issues: ['firm-on-hard-base', 'lot-other-than-before'], meanings: ['prouder', 'hard', 'edge-high'] },
  wrinkles: {
    ...NONE,
    issues: ['cover-loose', 'core-exact-without-wrap', 'wrap-very-thin', 'wrap-not-fixed', 'cushion-may-bow'],
    meanings: ['larger', 'flatter', 'edge-low', 'corners-soft', 'corners-empty', 'slack', 'twisted', 'welt-wavy'],
    phases: ['prepare', 'fill'],
    looks: ['pleats', 'corners'],
    pieces: true,
  },
  'lost-height': {
    ...NONE,
    issues: ['core-kept-against-verdict', 'bad-core-kept', 'sitter-bottoms-out', 'wrap-very-thin', 'feather-under-heavy'],
    meanings: ['flatter', 'edge-low', 'slack', 'corners-empty'],
    phases: ['prepare', 'fill'],
  },
  'does-not-fit': {
    ...NONE,
    issues: ['core-cut-otherwise', 'cushion-may-bow', 'cover-loose'],
    meanings: ['larger', 'smaller', 'one-way', 'edge-high', 'edge-low', 'twisted', 'tight-in-seat', 'gap-in-seat'],
    phases: ['cut'],
    looks: ['halves', 'opposite'],
    pieces: true,
  },
  'seam-or-zip': {
    ...NONE,
    issues: ['zip-too-short-for-core', 'tie-near-zip-end', 'raw-edge-wants-allowance', 'straight-welt-on-tight-curve', 'plaque-longer-than-strip'],
    meanings: ['welt-rolls', 'welt-wavy', 'smaller'],
    phases: ['sew'],
    looks: ['pleats', 'plaque-join', 'ties', 'welt'],
    pieces: true,
  },
  pattern: { ...NONE, issues: ['pattern-cannot-match', 'boxing-join-on-front'], meanings: ['twisted', 'one-way'], looks: ['halves', 'opposite'], pieces: true },
  'smell-or-damp': {
    ...NONE,
    issues: ['indoor-foam-outdoors', 'indoor-wadding-outdoors', 'fixed-cover-outdoors', 'kept-core-outdoors', 'bad-core-kept', 'core-kept-against-verdict'],
  },
  other: { ...NONE, meanings: ['twisted', 'tight-in-seat', 'gap-in-seat'] },
};

function ofCheck(one: CushionPlan, check: Check): Found[] {
  const meanings = meaningOf(one, check).filter(({ code }) => code !== 'as-promised');
  return [
    { side: 'measured', code: 'check', day: check.date, rows: compare(one, check) },
    ...meanings.map((meaning): Found => ({ side: 'measured', code: 'meaning', day: check.date, meaning })),
  ];
}

/** The crown over all checks of the cushion: lower or higher than promised by more than hands measure to, though each check by itself may be within bounds. */
function crownOff(one: CushionPlan): Found[] {
  const target = promised(one);
  const off = (one.source.checks ?? []).flatMap(({ middleMm, edgeMm, promised: then }) => {
    const promise = then ?? target;
    return promise && middleMm !== undefined && edgeMm !== undefined ? [middleMm - edgeMm - (promise.middleMm - promise.edgeMm)] : [];
  });
  const mm = off.reduce((sum, each) => sum + each, 0) / off.length;
  return off.length && Math.abs(mm) > (SURELY * SIGMA_MM) / Math.sqrt(off.length) ? [{ side: 'measured', code: 'crown-off', mm, checks: off.length }] : [];
}

function changes({ source: { bench, core }, pieces }: CushionPlan): Found[] {
  const cut = Object.values(bench?.done ?? {}).flatMap((tick) => changedSince(tick, pieces, bench?.kept));
  const once = [...new Map(cut.map((one) => [one.piece, one])).values()];
  return [
    ...(bench?.recuts ?? []).map(({ date: day, piece, cushions, each, why }): Found => {
      return { side: 'changed', code: 'recut', day, piece, count: cushions.length * each, why: why ?? null };
    }),
    ...(bench?.looks ?? []).map(({ date: day, kind, cushions, did }): Found => {
      return { side: 'changed', code: 'look-failed', day, kind, count: cushions.length, did };
    }),
    ...once.map(({ label: piece, then, now }): Found => ({ side: 'changed', code: 'cut-then-changed', piece, then, now })),
    ...Object.keys(bench?.kept ?? {}).map((piece): Found => ({ side: 'changed', code: 'kept-as-cut', piece: piece.replaceAll('-', ' ') })),
    ...(core.asCut ? [{ side: 'changed', code: 'core-cut-otherwise' } satisfies Found] : []),
  ];
}

/** What was left out. Steps count only where anything was ticked at all: a shop that does not tick has left nothing open. */
function notDone({ source, operations }: CushionPlan): Found[] {
  const { bench, quantity, checks = [], testFit } = source;
  const ticked = Object.keys(bench?.done ?? {}).length > 0;
  const open = operations.flatMap(({ id, text }): Found[] => {
    const done = doneOn(bench?.done[id], quantity).length;
    return ticked && done < quantity ? [{ side: 'not-done', code: 'step-open', step: id, text, done, of: quantity }] : [];
  });
  const tried = testFit?.widthMm !== undefined || testFit?.depthMm !== undefined || testFit?.heightMm !== undefined;
  return [
    ...(checks.length ? [] : [{ side: 'not-done', code: 'never-measured' } satisfies Found]),
    ...(testFit && !tried ? [{ side: 'not-done', code: 'not-tried' } satisfies Found] : []),
    ...open,
  ];
}

function explains(found: Found, { issues, meanings, phases, looks, pieces }: Causes, phaseOf: ReadonlyMap<string, Phase>): boolean {
  switch (found.code) {
    case 'warned':
      return issues.includes(found.issue.code);
    case 'meaning':
      return meanings.includes(found.meaning.code);
    case 'crown-off':
      return meanings.includes(found.mm < 0 ? 'flatter' : 'prouder');
    case 'look-failed':
      return looks.includes(found.kind);
    case 'recut':
    case 'cut-then-changed':
    case 'kept-as-cut':
      return pieces;
    case 'core-cut-otherwise':
      return issues.includes('core-cut-otherwise');
    case 'not-tried':
      return meanings.includes('tight-in-seat') || pieces;
    case 'step-open':
      return phases.includes(phaseOf.get(found.step) ?? 'fix');
    case 'size-promised':
    case 'check':
    case 'never-measured':
      return false;
  }
}

/**
 * Looks back over a cushion for what explains a complaint: what was promised and warned of, what was measured, what was changed on the way, what was not done. `problems` are those
 * of the cushion; nothing is left out that does not explain it, it only stands behind what does.
 */
export function lookBack(one: CushionPlan, problems: readonly Issue[], sort: ComplaintSort): Evidence[] {
  const target = promised(one);
  const phaseOf = new Map(one.operations.map(({ id, phase }) => [id, phase]));
  const found: Found[] = [
    ...(target ? [{ side: 'promised', code: 'size-promised', ...target } satisfies Found] : []),
    ...problems.map((problem): Found => ({ side: 'promised', code: 'warned', issue: problem })),
    ...(one.source.checks ?? []).flatMap((check) => ofCheck(one, check)),
    ...crownOff(one),
    ...changes(one),
    ...notDone(one),
  ];
  const all = found.map((entry): Evidence => ({ ...entry, explains: explains(entry, CAUSES[sort], phaseOf) }));
  return LOOK_BACK_SIDES.flatMap((side) => {
    const own = all.filter((entry) => entry.side === side);
    return [...own.filter((entry) => entry.explains), ...own.filter((entry) => !entry.explains)];
  });
}
