import type { Job } from '../job/document';
import type { Shop } from '../shop/shop';
import { WRAP_WAYS } from '../shop/schools';
import type { Solved } from '../plan/answers';
import { isBought } from '../plan/lays/planned-lay';
import type { Plan } from '../plan/plan';
import { borderParts } from '../plan/cushion/wrap-border';
import { planSolved } from '../plan/solve';
import type { TrialProgress } from './advice';
import type { LayCompared, LayWay } from './lay-ways';

/** Butt joins in the wadding of a job. */
function joinsIn({ cushions }: Plan): number {
  return cushions.reduce((sum, { pieces, source }) => {
    const parts = pieces.filter(({ material, glued }) => material.kind === 'wadding' && glued && glued.index > 1);
    return sum + source.quantity * (borderParts(pieces) - 1 + parts.reduce((all, { countPerCushion }) => all + countPerCushion, 0));
  }, 0);
}

function compared(way: LayWay, job: Job, shop: Shop, known: Solved): LayCompared {
  const made = planSolved(job, shop, (one) => !('key' in one) || one.subject.kind === 'wadding', known);
  const lays = made.lays.filter((lay) => lay.subject.kind === 'wadding' && isBought(lay));
  const sum = (of: (lay: (typeof lays)[number]) => number): number => lays.reduce((total, lay) => total + of(lay), 0);
  const laidMm = sum(({ answer }) => answer?.lengthMm ?? 0);
  const lines = made.buy.filter(({ ware }) => ware === 'wadding');
  return {
    way,
    job,
    laidMm,
    buyMm: lines.some(({ amount }) => amount === null) ? null : lines.reduce((total, { amount }) => total + (amount?.value ?? 0), 0),
    use: laidMm > 0 ? sum(({ answer }) => (answer ? answer.use * answer.lengthMm : 0)) / laidMm : 0,
    joins: joinsIn(made),
    unplaced: sum(({ answer }) => answer?.unplaced.length ?? 0),
    problems: made.problems.filter(({ severity }) => severity !== 'note').length,
  };
}

/** All wadding of a job with one of its cushions wrapped in every way there is, each really laid; the one in hand first. Yields after each with the rows so far. */
export function* compareWraps(job: Job, cushion: number, shop: Shop, known: Solved = {}): Generator<TrialProgress, LayCompared[]> {
  const source = job.cushions[cushion];
  const now = source?.wrapWay ?? shop.school(source?.school ?? '', source?.schoolEdition)?.wrap.way;
  const withWay = (wrapWay: (typeof WRAP_WAYS)[number]): Job => ({
    ...job,
    cushions: job.cushions.map((one, i) => (i === cushion ? { ...one, wrapWay } : one)),
  });
  const ways: { readonly way: LayWay; readonly job: Job }[] = [
    { way: { kind: 'as-it-is' }, job },
    ...WRAP_WAYS.filter((way) => way !== now).map((way) => ({ way: { kind: 'wrap' as const, wrap: way }, job: withWay(way) })),
  ];
  const rows: LayCompared[] = [];
  yield { done: 0, of: ways.length };
  for (const [done, one] of ways.entries()) {
    rows.push(compared(one.way, one.job, shop, known));
    yield { done: done + 1, of: ways.length, compared: [...rows] };
  }
  return rows;
}
