import { pointsOf, sinceMade, canMatch, writtenBy } from '@yardland/core';
import { planForChecks } from '@yardland/core/book';
import { inWords, readJobFile, readShop } from '../read';
import { refusal, type Verb } from '../verb';

/** What a job says of itself for the log, its checks beside what was promised, and whether each cushion could be matched today. */
export const recordVerb: Verb = {
  name: 'record',
  usage: 'record JOB.json [--shop SHOP.json]',
  does: 'tells what a job writes into the log, its checks beside what was promised, and whether one more of each cushion could match today',
  options: ['shop'],
  run([file], options) {
    const job = readJobFile(file);
    if (!job.ok) return refusal(inWords(job.problems));
    const shop = readShop(options['shop']);
    if (!shop.ok) return refusal(inWords(shop.problems));
    const again = job.value.cushions.map(({ name }, index) => {
      const since = sinceMade(job.value, index, shop.value);
      return { cushion: name, match: canMatch(since), since };
    });
    const out = { entries: writtenBy(job.value), points: pointsOf(planForChecks(job.value, shop.value)), again };
    return { code: 0, out: `${JSON.stringify(out, null, 2)}\n` };
  },
};
