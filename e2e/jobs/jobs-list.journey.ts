import { expect, test } from '../support/bench';

test('jobs are found, copied, put away and brought back', async ({ shop, page }) => {
  await shop.openJobs();
  await shop.expectAccessible();
  await page.getByRole('combobox', { name: 'State' }).selectOption('late');
  await expect(page.locator('[data-part=name]')).toHaveText(['Puppeteers’ kneelers']);
  await expect(page.locator('[data-part=due].late')).toContainText('3 days late');
  await page.getByRole('combobox', { name: 'State' }).selectOption('all');

  await page.getByRole('button', { name: 'Copy Storage chest top' }).click();
  await expect(shop.ticket()).toBeVisible();
  await shop.openJobs();
  // Only the rows near the screen are in the page: it is looked for.
  await page.getByRole('searchbox').fill('chest top, again');
  await page.getByRole('button', { name: 'Put away Storage chest top, again' }).click();
  await expect(page.getByRole('link', { name: 'Storage chest top, again' })).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('link', { name: 'Storage chest top, again' })).toHaveCount(1);
  await page.getByRole('searchbox').fill('no such job');
  await expect(page.getByRole('heading', { name: 'No job matches' })).toBeVisible();
});

for (const [name, size, theme] of [
  ['a tablet', { width: 1024, height: 768 }, 'light'],
  ['a tablet in the dark', { width: 1024, height: 768 }, 'dark'],
  ['a phone at the bench', { width: 390, height: 844 }, 'light'],
] as const) {
  test.describe(name, () => {
    test.use({ viewport: size, colorScheme: theme });
    test('shows every station whole, accessible, with nothing wider than the screen', async ({ shop, page }) => {
      await shop.openJob('Prompt-side boxes');
      for (const station of ['look-over', 'filling', 'template', 'build', 'cover', 'lay', 'bench', 'check']) {
        await page.goto(page.url().replace(/[a-z-]+$/, station));
        await expect(shop.ticket().getByRole('heading', { level: 2 })).toHaveText('Box seat');
        await shop.expectAccessible();
        expect(await page.evaluate(() => document.documentElement.scrollWidth - innerWidth)).toBeLessThanOrEqual(0);
      }
    });
  });
}

test('a job as large as a drawing of a thousand corners a cushion is taken, copied and listed by the server as it is built', async ({
  shop,
  page,
  request,
}) => {
  await page.goto('/');
  await shop.openJob('Reading corner');
  const { job } = (await (await request.get(`/api/jobs/${page.url().split('/jobs/')[1]!.split('/')[0]!}`)).json()) as { job: { cushions: object[] } };
  const corner = (i: number): readonly [number, number] => {
    const angle = (i / 1000) * 2 * Math.PI;
    return [Math.round(300 + 200 * Math.cos(angle)), Math.round(300 + 200 * Math.sin(angle))];
  };
  const outline = { format: 'yardland/outline@1', start: corner(0), segments: Array.from({ length: 1000 }, (_, i) => ({ to: corner((i + 1) % 1000) })) };
  const cushions = Array.from({ length: 8 }, (_, k) => ({ ...job.cushions[0], name: `Round ${k}`, marks: [], template: { shape: 'free', outline } }));
  const made = await request.post('/api/jobs', { data: { job: { ...job, name: 'A thousand corners', cushions } } });
  expect(made.status()).toBe(201);
  const { id } = (await made.json()) as { id: string };
  expect((await request.post(`/api/jobs/${id}/duplicate`)).status()).toBe(201);
  await page.goto('/');
  await expect(page.getByRole('link', { name: 'A thousand corners, again', exact: true })).toBeVisible();
});
