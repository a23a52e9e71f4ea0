import { expect, test } from '../support/bench';
import { layoutFaults } from '../support/layout';

/** A phone, a tablet upright, a tablet lying, a laptop. */
const SIZES = [
  [390, 844],
  [768, 1024],
  [1024, 768],
  [1280, 800],
] as const;
const ROOMS = [
  '',
  'day',
  'day?read=weeks',
  'day?read=promises',
  'day?read=people',
  'stockroom',
  'schools',
  'gauges',
  'book',
  'book?read=points',
  'book?read=back',
];
const STATIONS = ['look-over', 'filling', 'template', 'build', 'cover', 'lay', 'bench', 'check'];

const faultsAt = async (page: Parameters<typeof layoutFaults>[0], place: string): Promise<string[]> => {
  const found: string[] = [];
  for (const [width, height] of SIZES) {
    await page.setViewportSize({ width, height });
    // A page settles after it gets another size; what is wrong then stays wrong.
    let faults: string[] = [];
    for (let look = 0; look < 25; look++) {
      await page.waitForTimeout(200);
      faults = await layoutFaults(page);
      if (!faults.length && look > 0) break;
    }
    found.push(...faults.map((fault) => `${place} at ${width} × ${height}: ${fault}`));
  }
  return found;
};

test('every room stands in its window at four sizes: no words cut off, none over each other', async ({ page }) => {
  const found: string[] = [];
  for (const room of ROOMS) {
    await page.goto(`/${room}`);
    await page.locator('h1').first().waitFor();
    await page.waitForLoadState('networkidle');
    found.push(...(await faultsAt(page, room || 'jobs')));
  }
  expect(found).toEqual([]);
});

for (const [job, cushion] of [
  ['Gallery and box seats', 3],
  ['Roof terrace', 1],
] as const)
  test(`every station of ${job} stands in its window at four sizes`, async ({ page, shop }) => {
    await shop.openJob(job);
    const [, , id] = new URL(page.url()).pathname.split('/');
    const found: string[] = [];
    for (const station of STATIONS) {
      await page.goto(`/jobs/${id}/${cushion}/${station}`);
      await expect(shop.ticket()).toBeVisible();
      await page.waitForLoadState('networkidle');
      found.push(...(await faultsAt(page, station)));
    }
    expect(found).toEqual([]);
  });
