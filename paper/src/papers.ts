import { fullSize, HANDS, issue, labelQuerySchema, orderCsv, templatePrintQuerySchema, WALL_PAPERS, type Issue, type Plan } from '@yardland/core';
import * as z from 'zod';
import { localDay } from './local-time';
import type { Stamp } from './writer';

// What draws a paper is loaded when the first one is made: the server's main thread needs this list only.

/** What a paper is asked for with. */
export interface PaperAsk<Query> {
  /** The cushion's place from 0; null for a paper of the whole job. */
  readonly index: number | null;
  readonly query: Query;
  readonly stamp: Stamp;
}

/** A file, or why there is none. */
export type Printed =
  | { readonly kind: 'file'; readonly file: Uint8Array; readonly words: string; /** Of labels: how many. */ readonly count?: number }
  | { readonly kind: 'no-cushion' }
  | { readonly kind: 'no-piece' }
  | { readonly kind: 'no-outline' }
  | { readonly kind: 'refused'; readonly problem: Issue };

/** One kind of paper. */
export interface Paper<Query = unknown> {
  readonly kind: string;
  /** Its address below the job's, with `:cushion` where it is of one cushion, counted from 1. */
  readonly path: string;
  readonly ending: 'pdf' | 'csv';
  readonly query: z.ZodType<Query>;
  /** Whether it shows lays; if not, nothing is laid for it. */
  readonly laid: boolean;
  make(plan: Plan, ask: PaperAsk<Query>): Promise<Printed>;
}

const noQuery = z.strictObject({});

const ticket: Paper<z.infer<typeof noQuery>> = {
  kind: 'ticket',
  path: 'tickets/:cushion',
  ending: 'pdf',
  query: noQuery,
  laid: true,
  async make(plan, { index, stamp }) {
    const { ticketPdf } = await import('./ticket');
    return { kind: 'file', file: await ticketPdf(plan, index ?? 0, stamp), words: plan.job.cushions[index ?? 0]?.name ?? '' };
  },
};

const cuttingList: Paper<z.infer<typeof noQuery>> = {
  kind: 'cutting-list',
  path: 'cutting-list',
  ending: 'pdf',
  query: noQuery,
  laid: true,
  async make(plan, { stamp }) {
    const { cuttingListPdf } = await import('./cutting-list');
    return { kind: 'file', file: await cuttingListPdf(plan, stamp), words: 'cutting list' };
  },
};

const labels: Paper<z.infer<typeof labelQuerySchema>> = {
  kind: 'labels',
  path: 'labels',
  ending: 'pdf',
  query: labelQuerySchema,
  laid: false,
  async make(plan, { stamp, query: { stock = plan.job.units === 'inch' ? 'letter' : 'a4', cushion } }) {
    const index = cushion === undefined ? null : cushion - 1;
    if (index !== null && !plan.cushions[index]) return { kind: 'no-cushion' };
    const { labelsPdf, MOST_LABELS, pieceLabels } = await import('./labels');
    const count = pieceLabels(plan, index).length;
    if (count === 0) return { kind: 'no-outline' };
    if (count > MOST_LABELS) return { kind: 'refused', problem: issue('error', 'print-too-many-labels', 'cushion', { labels: count, most: MOST_LABELS }) };
    return { kind: 'file', file: await labelsPdf(plan, index, stock, stamp.link ?? null), words: 'labels', count };
  },
};

const template: Paper<z.infer<typeof templatePrintQuerySchema>> = {
  kind: 'template',
  path: 'templates/:cushion',
  ending: 'pdf',
  query: templatePrintQuerySchema,
  laid: false,
  async make(plan, { index, query: { paper = 'a4', size = 'given', piece = null, rollWidthMm = null } }) {
    const cushion = plan.cushions[index ?? 0];
    const found = cushion && fullSize(cushion, size, piece);
    if (!found) return { kind: piece !== null && cushion?.state === 'planned' ? 'no-piece' : 'no-outline' };
    const { outline, words, piece: printed } = found;
    const { MOST_PAGES, pagesFor, templatePdf } = await import('./template');
    const pages = rollWidthMm === null ? pagesFor(outline, paper) : 1;
    if (pages > MOST_PAGES) return { kind: 'refused', problem: issue('error', 'print-too-many-pages', 'paper', { pages, most: MOST_PAGES }) };
    const subject = { outline, ...(printed && { sewn: printed.sewn, holes: printed.holes ?? [], marks: printed.marks }) };
    const name = `${plan.job.name}: ${cushion.source.name}, ${words}`;
    const file = await templatePdf(subject, { name, units: plan.job.units, paper: rollWidthMm === null ? paper : { rollWidthMm } });
    return { kind: 'file', file, words: `${cushion.source.name} ${words}` };
  },
};

const orderPage: Paper<z.infer<typeof noQuery>> = {
  kind: 'order-sheet',
  path: 'order-sheet',
  ending: 'pdf',
  query: noQuery,
  laid: true,
  async make(plan, { stamp }) {
    const { orderSheetPdf } = await import('./order-sheet');
    return { kind: 'file', file: await orderSheetPdf(plan, stamp), words: 'order sheet' };
  },
};

const orderTable: Paper<z.infer<typeof noQuery>> = {
  ...orderPage,
  kind: 'order-table',
  ending: 'csv',
  async make(plan, { stamp }) {
    return { kind: 'file', file: new TextEncoder().encode(orderCsv(plan, localDay(stamp.printedAt))), words: 'order sheet' };
  },
};

const wallQuery = z.strictObject({ paper: z.enum(WALL_PAPERS).optional(), hand: z.enum(HANDS).optional() });

const wall: Paper<z.infer<typeof wallQuery>> = {
  kind: 'wall',
  path: 'wall/:cushion',
  ending: 'pdf',
  query: wallQuery,
  laid: false,
  async make(plan, { index, stamp, query: { paper = plan.job.units === 'inch' ? 'letter' : 'a4', hand = 'right' } }) {
    const cushion = plan.cushions[index ?? 0];
    if (cushion?.state !== 'planned') return { kind: 'no-outline' };
    const { wallPdf } = await import('./wall');
    const file = await wallPdf(plan, index ?? 0, { size: paper, hand }, stamp);
    return { kind: 'file', file, words: `${cushion.source.name} order of work` };
  },
};

/** One paper among others. Each is only ever asked with what its own query schema let through, which the type of a list cannot say. */
function oneOfMany<Query>(paper: Paper<Query>): Paper {
  return paper as unknown as Paper;
}

/** The closed list of what is printed of a job: a route, a thread's task and a file name follow from each line. */
export const PAPERS: readonly Paper[] = [
  oneOfMany(ticket),
  oneOfMany(cuttingList),
  oneOfMany(labels),
  oneOfMany(template),
  oneOfMany(orderPage),
  oneOfMany(orderTable),
  oneOfMany(wall),
];

/** The paper of a kind. Throws a RangeError for one that is not in the list. */
export function paperOf(kind: string): Paper {
  const found = PAPERS.find((one) => one.kind === kind);
  if (!found) throw new RangeError(`no paper is called ${kind}`);
  return found;
}
