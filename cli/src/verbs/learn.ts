import { openShop, readWith } from '@yardland/core';
import { jobsOf, learn, learnRequestSchema } from '@yardland/core/book';
import { inWords, readJson, readShop } from '../read';
import { refusal, type Verb } from '../verb';

/** What the checks of jobs say of the shop's constants and schools. */
export const learnVerb: Verb = {
  name: 'learn',
  usage: 'learn FILE.json',
  does: 'holds the checks of jobs against what was promised, and says which constants of the shop, and which schools, they would have otherwise',
  options: [],
  run([file]) {
    const value = readJson(file);
    if (!value.ok) return refusal(inWords(value.problems));
    const request = readWith(learnRequestSchema, value.value);
    if (!request.ok) return refusal(inWords(request.problems));
    const jobs = jobsOf(request.value);
    if (!jobs.ok) return refusal(inWords(jobs.problems));
    const shop = request.value.shop ? { ok: true as const, value: openShop(request.value.shop) } : readShop(undefined);
    if (!shop.ok) return refusal(inWords(shop.problems));
    return { code: 0, out: `${JSON.stringify(learn(jobs.value, shop.value), null, 2)}\n` };
  },
};
