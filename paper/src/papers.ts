import { HANDS, labelQuerySchema, templatePrintQuerySchema, WALL_PAPERS } from '@yardland/core';
import * as z from 'zod';

/** One kind of paper: a route, a thread's task and a file name follow from its line in the list; how it is drawn stands in `make-paper.ts`. */
interface PaperLine {
  readonly kind: string;
  /** Its address below the job's, with `:cushion` where it is of one cushion, counted from 1. */
  readonly path: string;
  readonly ending: 'pdf' | 'csv';
  readonly query: z.ZodType;
  /** Whether it shows lays; if not, nothing is laid for it. */
  readonly laid: boolean;
}

const noQuery = z.strictObject({});
const wallQuery = z.strictObject({ paper: z.enum(WALL_PAPERS).optional(), hand: z.enum(HANDS).optional() });

/** The closed list of what is printed of a job. It loads nothing that draws, so that the server's main thread can hold it. */
export const PAPERS = [
  { kind: 'ticket', path: 'tickets/:cushion', ending: 'pdf', query: noQuery, laid: true },
  { kind: 'cutting-list', path: 'cutting-list', ending: 'pdf', query: noQuery, laid: true },
  { kind: 'labels', path: 'labels', ending: 'pdf', query: labelQuerySchema, laid: false },
  { kind: 'template', path: 'templates/:cushion', ending: 'pdf', query: templatePrintQuerySchema, laid: false },
  { kind: 'order-sheet', path: 'order-sheet', ending: 'pdf', query: noQuery, laid: true },
  { kind: 'order-table', path: 'order-sheet', ending: 'csv', query: noQuery, laid: true },
  { kind: 'wall', path: 'wall/:cushion', ending: 'pdf', query: wallQuery, laid: false },
] as const satisfies readonly PaperLine[];

export type Paper = (typeof PAPERS)[number];
export type PaperKind = Paper['kind'];
/** What a paper may be asked for with. */
export type PaperQuery<K extends PaperKind> = z.infer<Extract<Paper, { readonly kind: K }>['query']>;

/** The paper of a kind. Throws a RangeError for one that is not in the list. */
export function paperOf(kind: string): Paper {
  const found = PAPERS.find((one) => one.kind === kind);
  if (!found) throw new RangeError(`no paper is called ${kind}`);
  return found;
}
