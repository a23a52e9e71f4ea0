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
  // Keys that come faster than pages: each goes on from where the one before was going.
  for (const key of '[[]]') await page.keyboard.press(key);
  await expect(page).toHaveURL(/\/4\/cover$/);
  await expect(shop.ticket().getByRole('heading', { level: 2 })).toHaveText('Cushion 4');

  const why = shop.ticket().getByRole('button', { name: 'Core wide, why' });
  for (let i = 0; i < 80 && !(await why.evaluate((one) => one === document.activeElement)); i++) await page.keyboard.press('Tab');
  await page.keyboard.press('Enter');
  await expect(shop.ticket().locator('yl-why')).toContainText('19 3/4 finished');

  await shop.saved();
  await page.keyboard.press('Control+z');
  await expect(shop.ticket().getByRole('heading', { level: 2 })).toHaveText('Stage manager’s chair');

  // On the lay all pieces are one stop of Tab; arrows and Home go from piece to piece, Enter picks.
  await page.keyboard.press('6');
  // The cover's pieces stay on the table until the lay has come.
  const pieces = page.locator('yl-lay-station yl-table .pickable');
  await expect(pieces.nth(1)).toBeVisible({ timeout: 30_000 });
  // While the lay gets better its pieces change places: they are counted once it stands.
  await expect(page.getByRole('progressbar', { name: 'Lay being worked out' })).toHaveCount(0, { timeout: 100_000 });
  await expect(page.locator('yl-lay-station yl-table .pickable[tabindex="0"]')).toHaveCount(1);
  await pieces.first().focus();
  await page.keyboard.press('ArrowRight');
  await expect(pieces.nth(1)).toBeFocused();
  await page.keyboard.press('Enter');
  await expect(pieces.nth(1)).toHaveAttribute('aria-pressed', 'true');
  await page.keyboard.press('Home');
  await expect(pieces.first()).toBeFocused();
  await page.keyboard.press('5');

  // What else can be taken away.
  await shop.ticket().getByRole('button', { name: 'More to take away' }).press('Enter');
  await expect(page.getByRole('menuitem', { name: 'Copy what to buy' })).toBeFocused();
  await shop.expectAccessible();
  await page.keyboard.press('Enter');
  await expect(page.getByText('What to buy is on the clipboard')).toBeVisible();
  // Pasted where words go, it has a line for every ware.
  await page.keyboard.press('/');
  await page.keyboard.press('Control+v');
  await expect(page.getByRole('textbox', { name: /in one line/i })).toHaveValue(/^Prompt-side boxes.*Moss velvet.*: /);
  await page.keyboard.press('Escape');

  await page.keyboard.press('?');
  const keys = page.getByRole('dialog', { name: 'Keys' });
  await expect(keys).toBeVisible();
  await shop.expectAccessible();
  await keys.getByRole('checkbox', { name: 'Single letters and digits act as keys' }).press('Space');
  await page.keyboard.press('Escape');
  await page.keyboard.press('1');
  await expect(page).toHaveURL(/\/cover$/);
});
