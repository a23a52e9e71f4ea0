import { splitCushion } from '@yardland/core';
import { inWords, readJobFile } from '../read';
import { refusal, type Outcome, type Verb } from '../verb';

const wrong = (path: string, message: string): Outcome => refusal([{ code: 'option-wrong', path, message }]);

/** One seat made of several cushions, in a job document. */
export const splitVerb: Verb = {
  name: 'split',
  usage: 'split JOB.json [--cushion N] (--into N | --widths MM,MM…) [--gap MM]',
  does: 'cuts one cushion of a job (the first where N is not said) into several across its width, the gaps between them shared, and prints the job',
  options: ['cushion', 'into', 'widths', 'gap'],
  run([file], options) {
    const read = readJobFile(file);
    if (!read.ok) return refusal(inWords(read.problems));
    const job = read.value;
    const index = Number(options['cushion'] ?? 1) - 1;
    const cushion = job.cushions[index];
    if (!cushion) return wrong('--cushion', `The job has cushions 1 to ${job.cushions.length}.`);
    const [into, widths] = [options['into'], options['widths']?.split(',').map(Number)];
    if ((into === undefined) === (widths === undefined)) return wrong('--into', 'Say either into how many, or how wide each is.');
    const split = splitCushion(cushion, {
      ...(into === undefined ? {} : { into: Number(into) }),
      ...(widths ? { widthsMm: widths } : {}),
      gapMm: Number(options['gap'] ?? 0),
    });
    if (!split.ok) return refusal(inWords(split.problems));
    return { code: 0, out: `${JSON.stringify({ ...job, cushions: job.cushions.flatMap((one, i) => (i === index ? split.cushions : [one])) }, null, 2)}\n` };
  },
};
