import { BIAS_WAYS, USUAL_BIAS } from '../cover/welt/bias';
import { constructionOf } from '../cover/list';
import type { LayAnswer } from '../lay/contract';
import type { Shop } from '../shop/shop';
import type { UnitSystem } from '../units/length';
import type { TrialProgress } from './advice';
import { clothName, clothUse, withClothUse } from '../plan/cloths';
import type { ClothUse, Cushion, Job } from '../job/document';
import { patternFor } from '../plan/lays/lays';
import { WELT_WAYS, type LayCompared, type LayWay, type Tried } from './lay-ways';
import { motifWays } from './motif-ways';
import { clothLayKey } from '../plan/lays/planned-lay';
import type { Solved } from '../plan/answers';
import type { Plan } from '../plan/plan';
import { remnantKey } from '../plan/lays/remnants';
import { allButLays, planSolved } from '../plan/solve';

/** Widths that cloth is commonly sold in, over the selvedges, mm. */
const USUAL_WIDTHS: Readonly<Record<UnitSystem, readonly number[]>> = { metric: [1200, 1370, 1400, 1500], inch: [48, 54, 60].map((inch) => inch * 25.4) };
/** Widths nearer than this are one, mm. */
const SAME_WIDTH_MM = 6;

/** A choice made otherwise in every cushion whose construction has it. */
function withChoice(job: Job, key: string, value: string, wanted: (cushion: Cushion) => boolean): Job {
  return {
    ...job,
    cushions: job.cushions.map((cushion) =>
      wanted(cushion) && constructionOf(cushion.construction).fields.some((field) => field.key === key)
        ? { ...cushion, construction: { ...cushion.construction, [key]: value } as Cushion['construction'] }
        : cushion,
    ),
  };
}

const choiceOf = ({ construction }: Cushion, key: string): unknown => (construction as Readonly<Record<string, unknown>>)[key];

/** Every way worth trying for one cloth of a job, the one that stands first. */
export function layWays(before: Plan, use: ClothUse, shop: Shop): readonly Tried[] {
  const { job } = before;
  const name = clothName(use);
  const of = (slot: 'welt' | 'boxing', cushion: Cushion): boolean => clothName(clothUse(slot, job, cushion, shop)) === name;
  const biased = before.cushions.some(
    ({ pieces, source }) => of('welt', source) && pieces.some(({ grain, material }) => grain === 'bias' && material.kind === 'cloth'),
  );
  const strips = job.cushions.some((cushion) => of('boxing', cushion) && choiceOf(cushion, 'strips') === 'along') ? 'across' : 'along';
  const used = (way: LayWay, as: ClothUse): Tried => ({ way, job: withClothUse(job, name, () => as), use: as });
  const { bias: now = USUAL_BIAS, ...plain } = use;
  const { unmatched = false, ...matched } = use;
  const patterned = patternFor(matched, shop) !== null;
  const ways: Tried[] = [
    { way: { kind: 'as-it-is' }, job, use },
    used({ kind: 'turned' }, { ...use, railroaded: !use.railroaded }),
    ...USUAL_WIDTHS[job.units]
      .filter((widthMm) => Math.abs(widthMm - use.widthMm) > SAME_WIDTH_MM)
      .map((widthMm) => used({ kind: 'width', widthMm }, { ...use, widthMm })),
    ...(biased ? BIAS_WAYS.filter((way) => way !== now).map((way) => used({ kind: 'bias', way }, way === USUAL_BIAS ? plain : { ...use, bias: way })) : []),
    ...(patterned ? [used({ kind: 'pattern', matched: unmatched }, unmatched ? matched : { ...use, unmatched: true })] : []),
    ...(patterned && !unmatched ? motifWays(before, use) : []),
    {
      way: { kind: 'straight-welt' },
      job: withChoice(job, 'weltCut', 'straight', (cushion) => biased && of('welt', cushion) && choiceOf(cushion, 'edge') === 'welt'),
      use,
    },
    { way: { kind: 'boxing', strips }, job: withChoice(job, 'strips', strips, (cushion) => of('boxing', cushion)), use },
  ];
  // A way that changes nothing of this job is none.
  const seen = new Set<string>();
  return ways.filter((one) => {
    const content = JSON.stringify(one.job);
    return !seen.has(content) && seen.add(content);
  });
}

/** The plan of a job with one of its cloths laid, on the remnants that are set aside first, and what is laid on new cloth; null when the job has no such cloth. */
function laidOn(job: Job, shop: Shop, key: string, known: Solved): { made: Plan; answer: Pick<LayAnswer, 'lengthMm' | 'use' | 'unplaced'> } | null {
  const isOn = (one: string): boolean => one === key || one.startsWith(remnantKey(key, ''));
  const made = planSolved(job, shop, (one) => !('key' in one) || isOn(one.key), known);
  const all = made.lays.filter((lay) => isOn(lay.key) && lay.recutOf === null);
  if (all.length === 0) return null;
  // Where the remnants take everything, nothing is laid on new cloth.
  return { made, answer: all.find((lay) => lay.key === key)?.answer ?? { lengthMm: 0, use: 0, unplaced: [] } };
}

function joinsIn({ cushions }: Plan): number {
  return cushions.reduce((sum, { pieces, source }) => {
    const joins = pieces
      .filter(({ role }) => role === 'welt')
      .reduce((all, piece) => all + piece.joins * (piece.grain === 'bias' ? piece.countPerCushion : 1), 0);
    return sum + source.quantity * joins;
  }, 0);
}

function compared({ way, job, use }: Tried, shop: Shop, known: Solved = {}): LayCompared | null {
  const key = clothLayKey(use, job.cloth);
  const laid = laidOn(job, shop, key, known);
  if (!laid) return null;
  const { made, answer } = laid;
  const line = made.buy.find(({ layKey }) => layKey === key);
  return {
    way,
    job,
    laidMm: answer.lengthMm,
    buyMm: line ? (line.amount?.value ?? null) : 0,
    use: answer.use,
    joins: joinsIn(made),
    unplaced: answer.unplaced.length,
    problems: made.problems.filter(({ severity }) => severity !== 'note').length,
  };
}

/** Each cushion laid by itself off new cloth, as it is cut when one is made after another: all lengths together. */
function oneByOne({ remnants: _aside, ...job }: Job, use: ClothUse, shop: Shop): LayCompared | null {
  const rows = job.cushions.flatMap((cushion) => {
    const alone = { ...job, cushions: [cushion] };
    const row = compared({ way: { kind: 'one-by-one' }, job: alone, use }, shop);
    return row ? [row] : [];
  });
  if (rows.length < 2) return null;
  const laidMm = rows.reduce((sum, row) => sum + row.laidMm, 0);
  return {
    way: { kind: 'one-by-one' },
    job: null,
    laidMm,
    buyMm: rows.reduce<number | null>((sum, row) => (sum === null || row.buyMm === null ? null : sum + row.buyMm), 0),
    use: rows.reduce((sum, row) => sum + row.use * row.laidMm, 0) / laidMm,
    joins: rows.reduce((sum, row) => sum + row.joins, 0),
    unplaced: rows.reduce((sum, row) => sum + row.unplaced, 0),
    problems: Math.max(...rows.map(({ problems }) => problems)),
  };
}

/** What of a cloth's lays is compared. */
export interface LaysAsked {
  /** Only as it is, and with its welt cut in other ways. */
  readonly only?: 'welt' | undefined;
  /** Answers that are there already, by hash: what is in hand is not laid anew. */
  readonly known?: Solved | undefined;
}

/** The set on one cloth in every way that might take less, each really laid. Yields after each with the rows so far, so that they can be shown as they come. */
export function* compareLays(job: Job, use: ClothUse, shop: Shop, { only, known }: LaysAsked = {}): Generator<TrialProgress, LayCompared[]> {
  // What shapes the pieces is worked out first: without it there are no lays to be asked about.
  const shaped = planSolved(job, shop, allButLays, known);
  const all = layWays(shaped, use, shop);
  const ways = only === 'welt' ? all.filter(({ way }) => WELT_WAYS.includes(way.kind)) : all;
  const of = ways.length + (only ? 0 : 1);
  const rows: LayCompared[] = [];
  yield { done: 0, of };
  for (const [done, way] of ways.entries()) {
    const row = compared(way, shop, known);
    if (row) rows.push(row);
    yield { done: done + 1, of, compared: [...rows] };
  }
  const alone = only ? null : oneByOne(job, use, shop);
  return alone ? [...rows, alone] : rows;
}
