import {
  clockedOperations,
  fullSize,
  issue,
  learntFrom,
  openShop,
  plan,
  planJson,
  planWith,
  readStoredJob,
  solve as solveHere,
  type Clocked,
  type HeavyAnswer,
  type HeavyRequest,
  type Issue,
  type Job,
  type LearntTimes,
  type Plan,
  type ShopDocument,
  type Wanted,
} from '@yardland/core';
import { madePicture } from '@yardland/core/trace';
import {
  cuttingListPdf,
  labelsPdf,
  MOST_LABELS,
  MOST_PAGES,
  pieceLabels,
  pagesFor,
  templatePdf,
  ticketPdf,
  type LabelStock,
  type TemplatePaper,
} from '@yardland/paper';
import sharp from 'sharp';
import { Answers } from './answers';

// What runs in a worker thread: the pool calls these by name, so that the thread that answers requests never waits for them.

/** A job and the shop it is made in, as they are stored. */
export interface InShop {
  readonly job: Job;
  readonly shop: ShopDocument;
}

export interface TicketTask extends InShop {
  readonly index: number;
  readonly stamp: { readonly revision: number; readonly printedAt: Date };
}

export interface TemplateTask extends InShop {
  readonly index: number;
  readonly size: Parameters<typeof fullSize>[1];
  readonly piece: string | null;
  readonly paper: Exclude<TemplatePaper, object>;
  readonly rollWidthMm: number | null;
}

/** A file, or why there is none. */
export type Printed =
  | { readonly kind: 'file'; readonly file: Uint8Array; readonly words: string; /** Of labels: how many. */ readonly count?: number }
  | { readonly kind: 'no-piece' }
  | { readonly kind: 'no-outline' }
  | { readonly kind: 'refused'; readonly problem: Issue };

/** What this thread has worked out already: a ticket printed twice is not laid twice. */
const answers = new Answers();

function planned({ job, shop }: InShop, asked?: (one: Wanted) => boolean): Promise<Plan> {
  const answer = (hash: string, request: HeavyRequest): Promise<HeavyAnswer> => Promise.resolve(answers.of(hash, request));
  return planWith(job, openShop(shop), answer, asked);
}

/** Answers a heavy question of a plan. */
export function solve(request: HeavyRequest): HeavyAnswer {
  return solveHere(request);
}

/** The ticket of one cushion. */
export async function ticket({ index, stamp, ...one }: TicketTask): Promise<Uint8Array> {
  return ticketPdf(await planned(one), index, stamp);
}

/** The cutting list of a whole job. */
export async function cuttingList({ stamp, ...one }: Omit<TicketTask, 'index'>): Promise<Uint8Array> {
  return cuttingListPdf(await planned(one), stamp);
}

/** Labels of the pieces of a job or of one cushion. What shapes the pieces is worked out first, nothing is laid. */
export async function labels({ index, stock, ...one }: InShop & { readonly index: number | null; readonly stock: LabelStock }): Promise<Printed> {
  const plan = await planned(one, ({ request }) => request.format !== 'yardland/lay-request@2');
  const count = pieceLabels(plan, index).length;
  if (count === 0) return { kind: 'no-outline' };
  if (count > MOST_LABELS) return { kind: 'refused', problem: issue('error', 'print-too-many-labels', 'cushion', { labels: count, most: MOST_LABELS }) };
  return { kind: 'file', file: await labelsPdf(plan, index, stock), words: 'labels', count };
}

/** A template or piece at full size. What shapes the pieces is worked out first, nothing is laid. */
export async function template({ index, size, piece, paper, rollWidthMm, ...one }: TemplateTask): Promise<Printed> {
  const plan = await planned(one, ({ request }) => request.format !== 'yardland/lay-request@2');
  const cushion = plan.cushions[index];
  const found = cushion && fullSize(cushion, size, piece);
  if (!found) return { kind: piece !== null && cushion?.state === 'planned' ? 'no-piece' : 'no-outline' };
  const { outline, words, piece: printed } = found;
  const pages = rollWidthMm === null ? pagesFor(outline, paper) : 1;
  if (pages > MOST_PAGES) return { kind: 'refused', problem: issue('error', 'print-too-many-pages', 'paper', { pages, most: MOST_PAGES }) };
  const subject = { outline, ...(printed && { sewn: printed.sewn, holes: printed.holes ?? [], marks: printed.marks }) };
  const name = `${one.job.name}: ${cushion?.source.name ?? ''}, ${words}`;
  const file = await templatePdf(subject, { name, units: one.job.units, paper: rollWidthMm === null ? paper : { rollWidthMm } });
  return { kind: 'file', file, words };
}

/** The whole plan, with everything it wants answered, as JSON text. */
export async function wholePlan(one: InShop): Promise<string> {
  return JSON.stringify(planJson(await planned(one)));
}

/** What the clock says of the shop's rates, from jobs as they are stored. One that cannot be read tells nothing. */
export function times({ jobs, shop }: { readonly jobs: readonly string[]; readonly shop: ShopDocument }): LearntTimes {
  const open = openShop(shop);
  const clocked = jobs.flatMap((text): Clocked[][] => {
    const read = readStoredJob(text);
    if (!read.ok) return [];
    return plan(read.value, open).cushions.map(({ operations, source: { bench, quantity } }) =>
      clockedOperations(operations, bench?.done ?? {}, bench?.minutes ?? {}, quantity),
    );
  });
  return { jobs: jobs.length, works: learntFrom(clocked.flat()) };
}

/** One of the simulated camera's pictures, as a JPEG file. */
export async function photograph({ shot }: { readonly shot: number }): Promise<Uint8Array> {
  const { picture } = madePicture(shot);
  return await sharp(picture.data, { raw: { width: picture.width, height: picture.height, channels: 1 } })
    .jpeg({ quality: 88 })
    .toBuffer();
}
