import { expect, test } from '../support/bench';

// A file that is no picture is refused by the server, on purpose.
test.use({ expectedErrors: [/400 \(Bad Request\)/] });

test('an old core is measured, photographed and judged; what brings it back has its price; the whole job its budget', async ({ shop, page }) => {
  await shop.openJob('Stalls benches');
  await shop.goTo('Look over');
  await page.getByText('Old core', { exact: true }).click();
  const verdict = page.getByRole('region', { name: 'Verdict on the old core' });
  await expect(verdict.getByRole('heading', { name: 'Replace the old core' })).toBeVisible();
  await expect(verdict).toContainText('Nothing shows that the old core meets a fire rating');

  // The measures of a bench sample are taken over in one step.
  await page.getByRole('button', { name: 'Second row bench, 4' }).click();
  await shop.tray().getByRole('combobox', { name: 'Or as measured at the gauges' }).selectOption('Second row, old core');
  await expect(shop.tray().getByRole('textbox', { name: 'Density' })).toHaveValue('34.7');
  await expect(verdict.getByRole('heading', { name: /the old core/ })).toBeVisible();
  await verdict.getByRole('button', { name: 'to replace, why' }).click();
  await expect(verdict).toContainText('÷ 60 ×');
  // It is foam to cut from for another core, as the grade that it feels like.
  await verdict.getByRole('button', { name: 'Keep it as foam to cut from' }).click();
  await expect(verdict).toContainText(/It lies in the stockroom as foam to cut from: .* mm thick/);
  await shop.saved();

  // A picture goes up, is shown, and stays after a reload.
  const picture = await page.screenshot();
  await shop.tray().locator('input[type=file]').setInputFiles({ name: 'core.png', mimeType: 'image/png', buffer: picture });
  const shown = shop.tray().getByRole('img', { name: 'Picture 1 of the old core' });
  await expect(shown).toBeVisible();
  await expect.poll(() => shown.evaluate((image: HTMLImageElement) => image.naturalWidth)).toBeGreaterThan(300);
  await shop
    .tray()
    .locator('input[type=file]')
    .setInputFiles({ name: 'notes.png', mimeType: 'image/png', buffer: Buffer.from('no picture at all') });
  await expect(shop.tray().getByRole('alert')).toContainText('notes.png: This is not a picture');
  await shop.expectAccessible();
  await shop.saved();
  await page.reload();
  await page.getByText('Old core', { exact: true }).click();
  await expect(shown).toBeVisible();

  // Refreshed: the list says what to do, and the core is not cut anew.
  await page.getByRole('button', { name: 'Side bench, short, 2' }).click();
  await expect(verdict).toContainText(/crown pad of one layer, 836 × 304/);
  await verdict.getByRole('checkbox', { name: 'the old core goes back in' }).check();
  await expect(shop.piece('foam')).toHaveCount(0);
  await shop.goTo('Bench');
  await expect(page.getByRole('button', { name: /^Lay the hollow pads in the hollow/ })).toBeVisible();
  await expect(page.getByRole('button', { name: /Core B goes in/ })).toBeVisible();

  // The budget pays for two of four now.
  await shop.goTo('Look over');
  await page.getByText('Whole job', { exact: true }).click();
  const front = page.getByRole('row', { name: /Front row bench, 4/ });
  await expect(front).toContainText(/71\.00\s*2\s*2$/);
  const budget = shop.tray().getByRole('textbox', { name: 'Budget for new cores' });
  await budget.fill('');
  await budget.press('Enter');
  await expect(front).toContainText(/71\.00\s*4\s*0$/);
  await shop.expectAccessible();
});

test('the old cover has its own verdict, and fire rules their caution', async ({ shop, page }) => {
  await shop.openJob('Prompt-side boxes');
  await shop.goTo('Look over');
  await shop.tray().getByRole('combobox', { name: 'Used in' }).selectOption('a boat or ship');
  await expect(shop.tray()).toContainText('certified materials and licensed advice');
  await page.getByText('Old cover', { exact: true }).click();
  const verdict = page.getByRole('region', { name: 'Verdict on the old cover' });
  await expect(verdict).toContainText('Renew the cover');
  await shop.tick('zip still good');
  await expect(verdict).toContainText('Save it for the new cover');
  // What is good of it goes into the new one: the zip by way of the stock, measured, and the cover is made for it.
  await shop.tray().getByRole('button', { name: 'Put it into stock' }).click();
  await expect(page.getByText('Measure the zip as it lies, and enter its length.')).toBeVisible();
  await shop.setLength('Zip, measured', '21 1/2 in');
  await shop.tray().getByRole('button', { name: 'Put it into stock' }).click();
  await expect(shop.tray()).toContainText('In the stockroom: black, from Prompt-side boxes, Box seat.');
  await shop.tray().getByRole('button', { name: 'Make the new cover for it' }).click();
  await shop.setLength('Welt cord', '3 m');
  await shop.goTo('Cover');
  await page.getByText('Closing', { exact: true }).click();
  await expect(shop.tray().getByRole('combobox', { name: 'Opening made for' })).toContainText('21 1/2 in black, closed ends, Prompt-side boxes');
  await expect(shop.ticket()).toContainText('Salvaged zip 21 1/2 in black, closed ends, from Prompt-side boxes');
  await shop.goTo('Look over');
  await page.getByText('Old cover', { exact: true }).click();
  await shop.tick('worn through', false);
  await expect(verdict).toContainText('Wash the old cover and use it again');
  await shop.expectAccessible();
});

test('several old cores become one long one, with the joins where nobody sits', async ({ shop, page }) => {
  await shop.openJob('Foyer long seat');
  await shop.goTo('Look over');
  await page.getByText('Several into one', { exact: true }).click();
  await expect(shop.tray().getByRole('status').last()).toContainText('4 cuts and 3 joins, none where somebody sits');
  // Long enough by itself with the two others: less cutting.
  await shop.setLength('Old core 3, long', '600');
  await expect(shop.tray().getByRole('status').last()).toContainText('2 cuts and 2 joins');
  await shop.setLength('Old core 3, high', '60');
  await expect(shop.tray().getByRole('status').last()).toContainText('too short: fill the gap with an offcut');
  await shop.expectAccessible();
});
