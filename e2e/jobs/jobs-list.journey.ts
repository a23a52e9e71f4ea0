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
  await expect(page.getByRole('heading', { name: 'No job is like that' })).toBeVisible();
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
