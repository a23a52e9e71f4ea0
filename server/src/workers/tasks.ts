import {
  clockedOperations,
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
  type Job,
  type KeptLay,
  type LearntTimes,
  type Plan,
  type ShopDocument,
  type Wanted,
} from '@yardland/core';
import { madeCloth, madePicture } from '@yardland/core/trace';
import { makePaper, type PaperAsk, type Printed } from '@yardland/paper';
import { paperOf } from '@yardland/paper/papers';
import sharp from 'sharp';
import { Answers } from './answers';

// What runs in a worker thread: the pool calls these by name, so that the thread that answers requests never waits for them.

/** A job, as its text is stored, and the shop it is made in; `lays`: those of its lays that are known. */
export interface InShop {
  readonly job: string;
  readonly shop: ShopDocument;
  readonly lays?: readonly KeptLay[];
}

/** What was made, and the lays that had to be searched for. */
export interface Laid<Made> {
  readonly made: Made;
  readonly lays: readonly KeptLay[];
}

/** A paper of a job, by its kind in the list of papers. */
export interface PrintTask extends InShop {
  readonly kind: string;
  readonly ask: PaperAsk<unknown>;
}

/** What this thread has worked out already: a ticket printed twice is not laid twice. */
const answers = new Answers();

function planned(job: Job, { shop, lays = [] }: Omit<InShop, 'job'>, asked?: (one: Wanted) => boolean): Promise<Plan> {
  const kept = new Map(lays.map(({ hash, answer }) => [hash, answer]));
  const answer = (hash: string, request: HeavyRequest): Promise<HeavyAnswer> => Promise.resolve(answers.of(hash, request, kept));
  return planWith(job, openShop(shop), answer, asked);
}

/** The lays of a plan that were not among those known: other lays than those, or none. */
function newLays(plan: Plan, { lays: known = [] }: InShop): KeptLay[] {
  const before = new Map(known.map(({ hash, answer }) => [hash, answer]));
  return plan.lays.flatMap(({ hash, answer }) => (answer && before.get(hash) !== answer ? [{ hash, answer }] : []));
}

/** The job of a task. Throws an Error where it cannot be read as it is stored. */
function read({ job }: InShop): Job {
  const found = readStoredJob(job);
  if (!found.ok) throw new Error(`A stored job cannot be read: ${found.problems[0]?.path ?? ''}`);
  return found.value;
}

/** Answers a heavy question of a plan. */
export function solve(request: HeavyRequest): HeavyAnswer {
  return solveHere(request);
}

/** One paper. What shapes the pieces is worked out first; a paper without lays waits for none. */
export async function print({ kind, ask, ...one }: PrintTask): Promise<Laid<Printed>> {
  const { laid } = paperOf(kind);
  const job = read(one);
  if (ask.index !== null && !job.cushions[ask.index]) return { made: { kind: 'no-cushion' }, lays: [] };
  const plan = await planned(job, one, laid ? undefined : ({ request }) => request.format !== 'yardland/lay-request@2');
  return { made: await makePaper(kind, plan, ask), lays: newLays(plan, one) };
}

/** The whole plan, with everything it wants answered, as JSON text. */
export async function wholePlan(one: InShop): Promise<Laid<string>> {
  const plan = await planned(read(one), one);
  return { made: JSON.stringify(planJson(plan)), lays: newLays(plan, one) };
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

export { practiceOf, practiceStart } from './practice-tasks';
export { dayPaper, dayPlan, dayPromise, daySavers } from './day-tasks';

/** One of the simulated camera's pictures, as a JPEG file: of a cloth, or of a traced sheet by its number. */
export async function photograph({ shot }: { readonly shot: number | 'cloth' }): Promise<Uint8Array> {
  const { width, height, ...made } = shot === 'cloth' ? madeCloth().picture : madePicture(shot).picture;
  const [pixels, channels] = 'rgba' in made ? ([made.rgba, 4] as const) : ([made.data, 1] as const);
  return await sharp(pixels, { raw: { width, height, channels } }).jpeg({ quality: 88 }).toBuffer();
}
