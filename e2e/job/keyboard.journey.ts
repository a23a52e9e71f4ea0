import { expect, test } from '../support/bench';

test('a cushion in one line, stations, why and undo, all by keyboard', async ({ shop, page }) => {
  await shop.openJobs();
  const link = page.getByRole('link', { name: 'Prompt-side boxes' });
  for (let i = 0; i < 40 && !(await link.evaluate((one) => one === document.activeElement)); i++) await page.keyboard.press('Tab');
  await page.keyboard.press('Enter');
  await expect(shop.ticket()).toBeVisible();

  await page.keyboard.press('/');
  await page.keyboard.type('6 x 19 3/4 x 17 x 3 quilted');
  await expect(page.locator('[data-part=quick-says]')).toHaveText('“quilted” is not a shape, construction or edge known here');
  for (let i = 0; i < 7; i++) await page.keyboard.press('Backspace');
  await page.keyboard.type('boxed welt');
  await expect(page.locator('[data-part=quick-says]')).toHaveText('6 × rectangle, seat 19 3/4 × 17 × 3 high, boxed, welted. Enter adds them.');
  await page.keyboard.press('Enter');
  await expect(shop.ticket().getByRole('heading', { level: 2 })).toHaveText('Cushion 4');
  await shop.expectSize('Cut, plate', '20 3/4 inches', '18 inches');

  await page.keyboard.press('5');
  await expect(page).toHaveURL(/\/4\/cover$/);
  await page.keyboard.press('[');
  await expect(page).toHaveURL(/\/3\/cover$/);
  await page.keyboard.press(']');

  const why = shop.ticket().getByRole('button', { name: 'Core wide, why' });
  for (let i = 0; i < 80 && !(await why.evaluate((one) => one === document.activeElement)); i++) await page.keyboard.press('Tab');
  await page.keyboard.press('Enter');
  await expect(shop.ticket().locator('yl-why')).toContainText('19 3/4 finished');

  await shop.saved();
  await page.keyboard.press('Control+z');
  await expect(shop.ticket().getByRole('heading', { level: 2 })).toHaveText('Stage manager’s chair');

  await page.keyboard.press('?');
  const keys = page.getByRole('dialog', { name: 'Keys' });
  await expect(keys).toBeVisible();
  await shop.expectAccessible();
  await keys.getByRole('checkbox', { name: 'Single letters and digits act as keys' }).press('Space');
  await page.keyboard.press('Escape');
  await page.keyboard.press('1');
  await expect(page).toHaveURL(/\/cover$/);
});
