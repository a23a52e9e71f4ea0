import type { Figure } from '../kernel/figure';
import type { Stage } from './stage';

/** The parts of a work order, in their order. */
export const PHASES = ['strip', 'cut', 'prepare', 'sew', 'fill', 'fix'] as const;
export type Phase = (typeof PHASES)[number];

/** What a step at the machine runs along, where that asks for a foot of its own: a zip's teeth, or the edge of a plate, where a welt's cord may lie. */
export type RunsAlong = 'zip' | 'edge';

/** What is looked over where a later step would hide a fault. */
export const LOOKS = ['corners', 'opposite', 'pleats', 'plaque-join', 'ties', 'welt', 'halves'] as const;
export type LookKind = (typeof LOOKS)[number];

/** Who or what is needed for an operation. */
export type Workplace = 'table' | 'machine' | 'hand' | 'bench';

/** Tools beyond the everyday ones (shears, rule, chalk, pins, hammer and the machine): what a job wants laid out before it is begun. */
export const TOOLS = [
  'foam saw',
  'foam knife',
  'hot wire',
  'hot knife',
  'pinking shears',
  'overlock machine',
  'seam roller',
  'leather needle',
  'eyelet tool',
  'vacuum and thin bags',
  'scales',
  'staple gun',
  'curved needle',
  'long needle',
  'regulator',
] as const;
export type Tool = (typeof TOOLS)[number];

/**
 * One thing to do, for each cushion. Its name is stable: what it does to which piece or seam, never its place in a list. `{0}`, `{1}` in the text stand for its figures,
 * printed at the edge in the job's units.
 */
export interface Operation {
  readonly id: string;
  readonly phase: Phase;
  readonly text: string;
  readonly figures: readonly Figure[];
  /** The pieces in hand and the seams sewn, by id. */
  readonly pieces: readonly string[];
  readonly seams: readonly string[];
  /** Warnings that belong to this operation and no other. */
  readonly cautions: readonly string[];
  readonly minutes: number;
  /** Time nobody works: until glue is tacky, or steam has dried. */
  readonly waitMinutes: number;
  readonly needs: Workplace;
  /** What it takes beyond the everyday tools. */
  readonly tools: readonly Tool[];
  readonly foot?: RunsAlong | undefined;
  /** What of it is looked over before the next step. */
  readonly looks?: readonly LookKind[] | undefined;
  /** How what is looked over is held or laid for it, where that wants a picture of its own. */
  readonly looksLike?: Readonly<Partial<Record<LookKind, readonly Stage[]>>> | undefined;
  /** It is a look: at what, after which step, and along which seams, which are sewn again where the answer is no. */
  readonly asks?: { readonly kind: LookKind; readonly of: string; readonly seams: readonly string[] } | undefined;
  /** What it folds, slits or turns, moment by moment; empty where the pieces in hand only meet. */
  readonly stages: readonly Stage[];
  /** It is seen best on a plan of the whole cushion: of its staples, of its stitched roll, of its tufts. */
  readonly onPlan?: 'staples' | 'roll' | 'tufts' | undefined;
  /** Operations that come before it, where they are in the order at all. */
  readonly after: readonly string[];
}

/** What one cushion is done by; the order is made from all of them together. */
export type OperationDraft = Pick<Operation, 'id' | 'phase' | 'text' | 'minutes' | 'needs'> & Partial<Operation>;

export function operation(draft: OperationDraft): Operation {
  return { figures: [], pieces: [], seams: [], cautions: [], waitMinutes: 0, tools: [], stages: [], after: [], ...draft };
}

/** The tools that steps take beyond the everyday ones, each once, in the order of the list. */
export function toolsOf(operations: readonly Operation[]): Tool[] {
  const needed = new Set(operations.flatMap(({ tools }) => tools));
  return TOOLS.filter((tool) => needed.has(tool));
}
