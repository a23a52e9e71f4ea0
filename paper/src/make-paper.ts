import { fullSize, issue, orderCsv, type Issue, type Plan } from '@yardland/core';
import { cuttingListPdf } from './cutting-list';
import { labelsPdf, MOST_LABELS, pieceLabels } from './labels';
import { localDay } from './local-time';
import { orderSheetPdf } from './order-sheet';
import { paperOf, type PaperKind, type PaperQuery } from './papers';
import { MOST_PAGES, pagesFor, templatePdf } from './template';
import { ticketPdf } from './ticket';
import { wallPdf } from './wall';
import type { Stamp } from './writer';

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

type Makers = { readonly [K in PaperKind]: (plan: Plan, ask: PaperAsk<PaperQuery<K>>) => Promise<Printed> };

const MAKERS: Makers = {
  async ticket(plan, { index, stamp }) {
    return { kind: 'file', file: await ticketPdf(plan, index ?? 0, stamp), words: plan.job.cushions[index ?? 0]?.name ?? '' };
  },

  async 'cutting-list'(plan, { stamp }) {
    return { kind: 'file', file: await cuttingListPdf(plan, stamp), words: 'cutting list' };
  },

  async labels(plan, { stamp, query: { stock = plan.job.units === 'inch' ? 'letter' : 'a4', cushion } }) {
    const index = cushion === undefined ? null : cushion - 1;
    if (index !== null && !plan.cushions[index]) return { kind: 'no-cushion' };
    const count = pieceLabels(plan, index).length;
    if (count === 0) return { kind: 'no-outline' };
    if (count > MOST_LABELS) return { kind: 'refused', problem: issue('error', 'print-too-many-labels', 'cushion', { labels: count, most: MOST_LABELS }) };
    return { kind: 'file', file: await labelsPdf(plan, index, stock, stamp.link ?? null), words: 'labels', count };
  },

  async template(plan, { index, query: { paper = 'a4', size = 'given', piece = null, rollWidthMm = null } }) {
    const cushion = plan.cushions[index ?? 0];
    const found = cushion && fullSize(cushion, size, piece);
    if (!found) return { kind: piece !== null && cushion?.state === 'planned' ? 'no-piece' : 'no-outline' };
    const { outline, words, piece: printed } = found;
    const pages = rollWidthMm === null ? pagesFor(outline, paper) : 1;
    if (pages > MOST_PAGES) return { kind: 'refused', problem: issue('error', 'print-too-many-pages', 'paper', { pages, most: MOST_PAGES }) };
    const subject = { outline, ...(printed && { sewn: printed.sewn, holes: printed.holes ?? [], marks: printed.marks }) };
    const name = `${plan.job.name}: ${cushion.source.name}, ${words}`;
    const file = await templatePdf(subject, { name, units: plan.job.units, paper: rollWidthMm === null ? paper : { rollWidthMm } });
    return { kind: 'file', file, words: `${cushion.source.name} ${words}` };
  },

  async 'order-sheet'(plan, { stamp }) {
    return { kind: 'file', file: await orderSheetPdf(plan, stamp), words: 'order sheet' };
  },

  async 'order-table'(plan, { stamp }) {
    return { kind: 'file', file: new TextEncoder().encode(orderCsv(plan, localDay(stamp.printedAt))), words: 'order sheet' };
  },

  async wall(plan, { index, stamp, query: { paper = plan.job.units === 'inch' ? 'letter' : 'a4', hand = 'right' } }) {
    const cushion = plan.cushions[index ?? 0];
    if (cushion?.state !== 'planned') return { kind: 'no-outline' };
    return { kind: 'file', file: await wallPdf(plan, index ?? 0, { size: paper, hand }, stamp), words: `${cushion.source.name} order of work` };
  },
};

/** Makes a paper of a job. `ask.query` is what the paper's own query schema let through. Throws a RangeError for a kind that is not in the list. */
export function makePaper(kind: string, plan: Plan, ask: PaperAsk<unknown>): Promise<Printed> {
  // The schema of the same kind has checked the query, which the type of a record of all kinds cannot say.
  const make = MAKERS[paperOf(kind).kind] as (plan: Plan, ask: PaperAsk<unknown>) => Promise<Printed>;
  return make(plan, ask);
}
