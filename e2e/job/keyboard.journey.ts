import { expect, test } from '../support/bench';

test('a word is taken from those on offer, and a note of several lines is added as one step', async ({ shop, page }) => {
  await shop.openJob('Prompt-side boxes');
  const line = page.getByRole('combobox', { name: /^Quick line/ });
  await page.keyboard.press('/');
  await page.keyboard.type('2 x half');
  await expect(page.getByRole('option', { name: 'half round', exact: true })).toBeVisible();
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('Enter');
  await expect(line).toHaveValue('2 x half round ');
  await page.keyboard.type('16 1/2 x 2 heron 40');
  await expect(page.locator('[data-part=quick-says]')).toContainText('2 × half-round');
  await expect(page.locator('[data-part=quick-says]')).toContainText('Heron 40');
  await shop.expectAccessible();
  await page.keyboard.press('Escape');

  // A note pasted from elsewhere: a line that is not understood is marked, and nothing is added until it is.
  await line.focus();
  await line.evaluate((box) => {
    const clipboardData = new DataTransfer();
    clipboardData.setData('text/plain', '4 off T 24x22x4 piped\nround back 20 x 18\n3 x 19 1/2 x 17 x 3 quilted');
    box.dispatchEvent(new ClipboardEvent('paste', { clipboardData, bubbles: true, cancelable: true }));
  });
  const note = page.getByRole('region', { name: 'Cushions of a note, a line each' });
  await expect(note.locator('mark')).toHaveText('quilted');
  await expect(note.getByRole('listitem').nth(1)).toContainText('As high as the cushion in hand');
  await expect(note.getByRole('button', { name: 'Add 3 cushions' })).toBeDisabled();
  await shop.expectAccessible();
  const lines = note.getByRole('textbox');
  await lines.fill((await lines.inputValue()).replace('quilted', 'plain'));
  await note.getByRole('button', { name: 'Add 3 cushions' }).click();
  await expect(page.getByRole('list', { name: 'Cushions' }).getByRole('listitem')).toHaveCount(6);
  await expect(shop.ticket().getByRole('heading', { level: 2 })).toHaveText('Cushion 4');
  await shop.saved();
  await page.keyboard.press('Control+z');
  await expect(page.getByRole('list', { name: 'Cushions' }).getByRole('listitem')).toHaveCount(3);
});

test('a cushion in one line, stations, why and undo, all by keyboard', async ({ shop, page }) => {
  await shop.openJobs();
  const link = page.getByRole('link', { name: 'Prompt-side boxes' });
  for (let i = 0; i < 40 && !(await link.evaluate((one) => one === document.activeElement)); i++) await page.keyboard.press('Tab');
  await page.keyboard.press('Enter');
  await expect(shop.ticket()).toBeVisible();

  await page.keyboard.press('/');
  await page.keyboard.type('6 x 19 3/4 x 17 x 3 quilted');
  await expect(page.locator('[data-part=quick-says]')).toHaveText('“quilted” is not known here');
  await expect(page.locator('[data-part=quick-marked] mark')).toHaveText('quilted');
  for (let i = 0; i < 7; i++) await page.keyboard.press('Backspace');
  await page.keyboard.type('boxed welt');
  await expect(page.locator('[data-part=quick-says]')).toHaveText('6 × rectangle, seat 19 3/4 × 17 × 3 in high, boxed, welted. Enter adds them.');
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
  const pieces = page.locator('yl-lay-station yl-table path[role=button]');
  await expect(pieces.nth(1)).toBeVisible({ timeout: 30_000 });
  // While the lay gets better its pieces change places: they are counted once it stands.
  await expect(page.getByRole('progressbar', { name: 'Lay being worked out' })).toHaveCount(0, { timeout: 100_000 });
  await expect(page.locator('yl-lay-station yl-table path[role=button][tabindex="0"]')).toHaveCount(1);
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
  await expect(page.getByRole('textbox', { name: 'A cushion in each line' })).toHaveValue(/^Prompt-side boxes[\s\S]*Moss velvet.*: /);
  await page.keyboard.press('Escape');
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
