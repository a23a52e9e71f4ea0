/// <reference lib="webworker" />
import { madeAgain, openShop, pointsOf, readJob, sewnThen, sinceMade } from '@yardland/core';
import { constantsInUse, learnFrom, lookBack, observationsIn, planForChecks, type Observation } from '@yardland/core/book';
import type { FromAgain, FromChecks, FromLookBack, JobPoint, ToAgain, ToChecks, ToLookBack } from './checks-messages';

/** Every job's checks held against what was promised, then what they teach; tells how far it is after each job. */
function holdChecks({ jobs, shop: document }: ToChecks, tell: (message: FromChecks) => void): void {
  const shop = openShop(document);
  const points: JobPoint[] = [];
  const observations: Observation[] = [];
  const read = jobs.flatMap(({ id, job }) => {
    const one = readJob(job);
    return one.ok ? [{ id, job: one.value }] : [];
  });
  read.forEach(({ id, job }, i) => {
    tell({ done: i, of: read.length });
    const plan = planForChecks(job, shop);
    points.push(...pointsOf(plan).map((point) => ({ ...point, job: id, jobName: job.name })));
    observations.push(...observationsIn(plan));
  });
  tell({ points, learnt: learnFrom(observations, constantsInUse(shop)), jobs: read.length });
}

function lookedBack({ job, index, complaint, shop }: ToLookBack): FromLookBack {
  const plan = planForChecks(job, openShop(shop));
  const one = plan.cushions[index];
  const problems = plan.problems.filter(({ path }) => path.startsWith(`cushions.${index}.`) || path.startsWith('cloth'));
  return one ? lookBack(one, problems, complaint) : null;
}

function again({ again: { job, index, id, on }, shop: document }: ToAgain): FromAgain {
  const shop = openShop(document);
  const [made, sewn] = [madeAgain(job, index, shop, { id, on }), sewnThen(job, index, shop)];
  return made && sewn ? { made, sewn, since: sinceMade(job, index, shop) } : null;
}

addEventListener('message', ({ data }: MessageEvent<ToChecks | ToLookBack | ToAgain>) => {
  if ('again' in data) postMessage(again(data));
  else if ('jobs' in data) holdChecks(data, (message) => postMessage(message));
  else postMessage(lookedBack(data));
});
