// Searches for better lays of the bench's sets than are known, and keeps them in tools/bench/best-lays.json. Run: npm run best-lays -- --seconds 600
import os from 'node:os';
import { parseArgs } from 'node:util';
import { betterAnswer, validateLay } from '@yardland/core';
import { layInThread } from '../../cli/src/lay-thread';
import { root } from '../served';
import { readBestLays, writeBestLays, type BestLays } from './best-lays';
import { realSets, setHash } from './lay-sets';

const { values } = parseArgs({ options: { seconds: { type: 'string', default: '600' } } });
const seconds = Number(values.seconds);
const threads = os.availableParallelism();

let lays: BestLays = readBestLays(root);
for (const { name, words, request } of realSets(root)) {
  const hash = setHash(request);
  const known = lays[name]?.hash === hash ? lays[name] : null;
  const tried = known?.seeds ?? 0;
  // Seeds that were not tried before; an answer of an earlier engine stays as long as it is the best.
  const found = await Promise.all(Array.from({ length: threads }, (_, i) => layInThread({ request: { ...request, seed: tried + i + 1, seeds: 1 }, seconds })));
  const answer = [...(known ? [known.answer] : []), ...found].reduce((best, one) => (betterAnswer(one, best) ? one : best));
  const problems = validateLay(request, answer);
  if (problems.length) throw new Error(`${name}: ${problems[0]?.code ?? ''}`);
  lays = { ...lays, [name]: { hash, seeds: tried + threads, answer } };
  writeBestLays(root, lays);
  console.log(`${words}: ${(100 * (1 - answer.use)).toFixed(2)} % left over${answer === known?.answer ? ', as before' : ''}`);
}
