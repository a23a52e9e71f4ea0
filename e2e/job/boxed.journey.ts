import { SwitchHarness } from '@yardland/web/harnesses';
import { expect, test } from '../support/bench';

test('a boxed cover is made in panels with a ridge, closed by hand, welted with a flange, and its ticket follows', async ({ shop, page }) => {
  await shop.openJob('Reading corner');
  await shop.goTo('Cover');
  await shop.expectSize('Finished', '1 900 millimetres', '800 millimetres', '120 millimetres');
  await shop.turn('Boxing', 'panels');
  await expect(shop.piece('front panel')).toBeVisible();
  await expect(shop.piece('left panel')).toBeVisible();
  await shop.turn('Edge', 'ridge');
  await shop.turn('Stitched', 'twice');
  await expect(shop.ticket()).toContainText('ridged, panels');

  // A welt's flange of its own draws the sewn size in, and the ticket has a row for it.
  await shop.turn('Edge', 'welt');
  await shop.setLength('Welt’s flange', '16');
  await expect(shop.ticket().getByRole('rowheader', { name: 'Sewn', exact: true })).toBeVisible();
  await shop.turn('Welt on', 'top only');
  await expect(shop.ticket()).toContainText('welted on top, panels');
  await shop.expectSize('Finished', '1 900 millimetres', '800 millimetres', '120 millimetres');

  await shop.tray().getByText('Closing', { exact: true }).click();
  await shop.turn('Closed with', 'by hand');
  await expect(shop.ticket()).not.toContainText('zip plaque');
  await expect(shop.ticket()).toContainText('closed by hand');
  await shop.turn('Closed with', 'zip');
  await shop.turn('Plaque', 'lapped');
  await expect(shop.piece('narrow plaque strip')).toBeVisible();
  await shop.choose('It runs', 'round three sides');
  await shop.choose('Its ends', 'hemmed over');
  await expect(await (await shop.control(SwitchHarness, 'Plaque')).chosen()).toBe('lapped');

  await shop.tray().getByText('Extras', { exact: true }).click();
  await shop.turn('Drain panel', 'mesh in the bottom');
  await expect(shop.ticket().getByRole('list', { name: 'Problems' })).toContainText('The drain panel is laid on the main cloth');
  await shop.tray().getByText('Cloths', { exact: true }).click();
  await shop.choose('Drain panel of', 'Drain mesh');
  await expect(shop.ticket().getByRole('row', { name: /Drain mesh/ })).toBeVisible();
  await expect(shop.ticket()).not.toContainText('The drain panel is laid on the main cloth');
  await shop.expectAccessible();

  await shop.goTo('Bench');
  await expect(page.getByRole('button', { name: /^Sew the mesh flat to the bottom plate/ })).toBeVisible();
  await expect(page.getByRole('button', { name: /^Open the zip a hand’s width/ })).toBeVisible();
  await shop.saved();
});

test('covers are compared side by side, one is taken by its number, and what does not suit says why', async ({ shop, page }) => {
  await shop.openJob('Conductor’s chair');
  await shop.goTo('Cover');
  await page.getByRole('button', { name: 'Compare covers' }).click();
  const dialog = page.getByRole('dialog', { name: 'Compare covers' });
  await expect(dialog.getByRole('row', { name: /Boxed/ })).toContainText('in hand');
  await expect(dialog.getByRole('row', { name: /Folded corner/ })).toContainText('in the bottom seam, unseen');
  await shop.expectAccessible();
  await page.keyboard.press('2');
  await expect(shop.ticket()).toContainText('Waterfall front, welted');
  // The number was the dialog's: the page is where it was.
  await expect(page.locator('yl-tape a.here')).toContainText('Cover');
  await expect(shop.piece('plate, top to bottom')).toBeVisible();
  await shop.goTo('Bench');
  await expect(page.getByRole('button', { name: /^Fold the plate over the front/ })).toBeVisible();
  await page.keyboard.press('Control+z');
  await shop.goTo('Cover');
  await expect(shop.ticket()).toContainText('Boxed, welted');
  // An outline without a straight front has no waterfall.
  await shop.goTo('Template');
  await shop.choose('Shape', 'round');
  await shop.goTo('Cover');
  await page.getByRole('button', { name: 'Compare covers' }).click();
  await expect(dialog.getByRole('row', { name: /Waterfall/ })).toContainText('its front has to be one straight side');
  await page.keyboard.press('Escape');
});

test('a seat is split into cushions of its own; a salvaged zip is kept, set aside and saves one', async ({ shop, page }) => {
  await page.goto('/stockroom');
  await page.getByRole('button', { name: 'Salvaged zip' }).click();
  await page.getByRole('textbox', { name: 'Zip 5, long' }).fill('1500');
  await page.getByRole('textbox', { name: 'Zip 5, long' }).press('Enter');
  await page.getByRole('textbox', { name: 'Zip 5, from' }).fill('an old awning');
  await page.getByRole('textbox', { name: 'Zip 5, from' }).press('Enter');

  await shop.openJob('Queue benches, courtyard');
  await shop.goTo('Template');
  await shop.tray().getByText('Split', { exact: true }).click();
  await shop.setLength('Gap between two', '10');
  await expect(shop.tray()).toContainText('Each of the 2 is 595 mm wide');
  await shop.turn('They are', 'each its own');
  await shop.setLength('Wide, 1 from the left', '700');
  await expect(shop.tray()).toContainText('700 mm, 490 mm');
  await page.getByRole('button', { name: 'Split it' }).click();
  await expect(shop.ticket().getByRole('heading', { level: 2 })).toHaveText('Courtyard bench, left');
  await expect(page.getByRole('button', { name: /Courtyard bench, right/ })).toBeVisible();
  await shop.saved();
  await page.keyboard.press('Control+z');
  await expect(shop.ticket().getByRole('heading', { level: 2 })).toHaveText('Courtyard bench');

  await shop.goTo('Cover');
  await shop.tray().getByText('Closing', { exact: true }).click();
  const sliders = shop.ticket().getByRole('row', { name: /^Sliders/ });
  await expect(sliders).toContainText('7');
  await shop.tick('1 500 mm black, an old awning'.replace(' ', '\u202f'));
  await expect(shop.tray()).toContainText('1 set aside for the job. Into this cushion goes 1');
  await expect(sliders).toContainText('6');
  await shop.expectAccessible();
});

test('orders of work are compared, one is taken by its number, and the bench goes by it', async ({ shop, page }) => {
  await shop.openJob('Stalls benches');
  await shop.goTo('Cover');
  await page.getByRole('button', { name: 'Compare orders of work' }).click();
  const dialog = page.getByRole('dialog', { name: 'Compare orders of work' });
  await expect(dialog.getByRole('row', { name: /plaque with the boxing/ })).toContainText('in hand');
  await expect(dialog.getByRole('row', { name: /joined in place/ })).toContainText('cloth that gives does no harm');
  await shop.expectAccessible();
  await page.keyboard.press('3');
  await expect(dialog).toBeHidden();
  await expect.poll(async () => (await shop.control(SwitchHarness, 'Order of work')).chosen()).toBe('joined in place');
  await shop.goTo('Bench');
  await expect(page.getByRole('button', { name: /^At each end fold the boxing over where it meets the plaque/ })).toBeVisible();
  await expect(page.getByRole('button', { name: /^Sew the boxing to the top plate, its ends long/ })).toBeVisible();
  await page.keyboard.press('Control+z');
  await expect(page.getByRole('button', { name: /^Sew the band to the top plate/ })).toBeVisible();
});
