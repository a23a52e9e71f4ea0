// Searches for the lays of the demo's jobs and writes them to demo/lays.json, so that a shop just begun need not wait for them. Run: npm run demo-lays
import fs from 'node:fs';
import path from 'node:path';
import { LAY_ENGINE, openShop, planSolved, readJob, shopSchema, type KeptLay } from '@yardland/core';
import { root } from './served';

const demo = path.join(root, 'demo');
const read = (file: string): unknown => JSON.parse(fs.readFileSync(path.join(demo, file), 'utf8'));
const shop = openShop(shopSchema.parse(read('shop.json')));

/** The lays that the plan of a demo job asks for. Throws an Error where it is no job. */
function laysOf(file: string): KeptLay[] {
  const job = readJob(read(file));
  if (!job.ok) throw new Error(`${file} is no job: ${job.problems[0]?.path ?? ''}`);
  return planSolved(job.value, shop).lays.flatMap(({ hash, answer }) => (answer ? [{ hash, answer }] : []));
}

const jobs: Record<string, KeptLay[]> = {};
for (const name of fs.readdirSync(path.join(demo, 'jobs')).sort()) {
  const file = `jobs/${name}`;
  jobs[file] = laysOf(file);
  console.log(`${file}: ${jobs[file].length} lays`);
}
fs.writeFileSync(path.join(demo, 'lays.json'), `${JSON.stringify({ engine: LAY_ENGINE, jobs })}\n`);
