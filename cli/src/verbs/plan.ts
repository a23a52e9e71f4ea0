import { planJson, planSolved } from '@yardland/core';
import { inWords, readJobFile, readShop } from '../read';
import { refusal, type Verb } from '../verb';

/** Everything derived from a job document, its lays worked out. */
export const planVerb: Verb = {
  name: 'plan',
  usage: 'plan JOB.json [--shop SHOP.json]',
  does: 'works out sizes, pieces, seams, lays and what to buy, and prints the plan as JSON; exits with 1 when the plan holds an error',
  options: ['shop'],
  run([file], options) {
    const job = readJobFile(file);
    if (!job.ok) return refusal(inWords(job.problems));
    const shop = readShop(options['shop']);
    if (!shop.ok) return refusal(inWords(shop.problems).map((problem) => ({ ...problem, path: ['shop', problem.path].filter(Boolean).join('.') })));
    const made = planSolved(job.value, shop.value);
    // What cannot be cut is told by the exit code too: the plan is still written to standard output.
    const code = made.problems.some(({ severity }) => severity === 'error') ? 1 : 0;
    return { code, out: `${JSON.stringify(planJson(made), null, 2)}\n` };
  },
};
