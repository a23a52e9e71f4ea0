import fs from 'node:fs';
import { fileURLToPath } from 'node:url';
import { demoLaysSchema, openShop, planWith, readJobText, shopSchema, solve, stillGood, type Job, type Plan } from '@yardland/core';

/** A file of the demo shop as text. */
export const demo = (file: string): string => fs.readFileSync(fileURLToPath(new URL(`../../demo/${file}`, import.meta.url)), 'utf8');

export const shop = openShop(shopSchema.parse(JSON.parse(demo('shop.json'))));

/** A job of the demo by the name of its file. Throws for one that cannot be read. */
export function demoJob(name: string): Job {
  const read = readJobText(demo(`jobs/${name}.json`));
  if (!read.ok) throw new Error(name);
  return read.value;
}

const plans = new Map<string, Promise<Plan>>();

/** The whole plan of a demo job: with the lays that come with the demo, as far as they pass the check against what the plan asks for. */
export function demoPlan(name: string): Promise<Plan> {
  const made = plans.get(name) ?? planned(name);
  plans.set(name, made);
  return made;
}

function planned(name: string): Promise<Plan> {
  const kept = new Map(demoLaysSchema.parse(JSON.parse(demo('lays.json'))).jobs[`jobs/${name}.json`]?.map(({ hash, answer }) => [hash, answer]));
  return planWith(demoJob(name), shop, (hash, request) => {
    const answer = kept.get(hash);
    const good = answer && request.format === 'yardland/lay-request@2' ? stillGood(request, answer) : null;
    return Promise.resolve(good ?? solve(request));
  });
}
