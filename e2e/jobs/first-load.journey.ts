import fs from 'node:fs';
import path from 'node:path';
import { fileURLToPath } from 'node:url';
import { expect, test } from '../support/bench';

const built = fileURLToPath(new URL('../../dist/web', import.meta.url));
const { initial, routes } = JSON.parse(fs.readFileSync(path.join(built, 'scripts.json'), 'utf8')) as {
  initial: string[];
  routes: Record<string, string[]>;
};
const STATIONS = ['look-over', 'filling', 'template', 'build', 'cover', 'lay', 'bench', 'check'];
/** What a page may load before it can be used, compressed. */
const MOST_BYTES = 220_000;
const MOST_SCRIPTS = 12;

const bytes = (name: string): number => fs.statSync(path.join(built, 'browser', `${name}.br`)).size;

test('a page needs few scripts before it can be used, as small as they were promised', async ({ shop, page }) => {
  const asked = new Set<string>();
  page.on('request', (request) => asked.add(request.url().split('/').at(-1) ?? ''));
  const needs = (...names: string[]): string[] => [...new Set([...initial, ...names.flatMap((name) => routes[name] ?? [])])];

  await shop.openJobs();
  const list = needs('jobs');
  expect([...asked]).toEqual(expect.arrayContaining(list));
  expect(list.length).toBeLessThanOrEqual(MOST_SCRIPTS);
  expect(list.reduce((sum, name) => sum + bytes(name), 0)).toBeLessThan(MOST_BYTES);
  // What works a cover out is in the core's thread, and no part of the list.
  expect([...asked].filter((name) => name.startsWith('worker-'))).toEqual([]);

  await shop.openJob('Prompt-side boxes');
  for (const station of STATIONS) {
    await page.goto(page.url().replace(/[a-z-]+$/, station));
    await expect(shop.ticket().getByRole('heading', { level: 2 })).toHaveText('Box seat');
    const scripts = needs('jobs/:id', station);
    expect([...asked], station).toEqual(expect.arrayContaining(scripts));
    expect(scripts.length, station).toBeLessThanOrEqual(MOST_SCRIPTS);
    expect(
      scripts.reduce((sum, name) => sum + bytes(name), 0),
      station,
    ).toBeLessThan(MOST_BYTES);
  }
  expect([...asked].some((name) => name.startsWith('worker-'))).toBe(true);
});
