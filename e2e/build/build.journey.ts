import fs from 'node:fs';
import { expect, test } from '../support/bench';

test('a crown is asked for, seen from above, walked along its profile, and taken back', async ({ shop, page }) => {
  await shop.openJob('Conductor’s chair');
  await page.getByRole('button', { name: /Crowned seat/ }).click();
  await shop.goTo('Build');
  const tray = shop.tray();
  await tray.getByText('Crown', { exact: true }).first().click();
  await expect(page.getByText('Profile along the dragged line')).toBeVisible();
  await expect(tray).toContainText('Eased into the flat band');
  await expect(shop.ticket()).toContainText('crown pad 2 of 2');

  // The knob is moved by the keyboard too: up to where the plate is narrower, the profile is lower.
  await expect(page.getByText('30 mm high here')).toBeVisible();
  for (const end of ['One end', 'Other end']) {
    const knob = page.getByRole('button', { name: `${end} of the profile line` });
    await knob.focus();
    for (let i = 0; i < 20; i++) await knob.press('ArrowDown');
  }
  await expect(page.getByText('30 mm high here')).toBeHidden();

  await tray.getByText('left flat', { exact: true }).click();
  await expect(tray).toContainText('Finished size draws in');
  await tray.getByRole('textbox', { name: 'Crown', exact: true }).fill('');
  await tray.getByRole('textbox', { name: 'Crown', exact: true }).press('Enter');
  await expect(tray).toContainText('Flat faces');
  await expect(shop.ticket()).not.toContainText('crown pad');
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Undo' }).click();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(shop.ticket()).toContainText('crown pad 2 of 2');
  await shop.expectAccessible();
});

test('schools are compared and one is taken with its number; a cushion takes one number otherwise, and its ticket says so', async ({ shop, page }) => {
  await shop.openJob('Puppeteers’ kneelers');
  await shop.goTo('Build');
  await page.getByRole('button', { name: 'Compare schools' }).click();
  const dialog = page.getByRole('dialog', { name: 'Compare schools' });
  await expect(dialog.getByRole('row')).toHaveCount(9);
  await expect(dialog.getByRole('row', { name: /Squeezed slab/ })).toContainText(/taut|roomy|loose|close/);
  await shop.expectAccessible();
  await page.keyboard.press('4');
  await expect(dialog).toBeHidden();
  await expect(shop.ticket()).toContainText('Measured over the wrap');
  await expect(shop.ticket().getByRole('rowheader', { name: 'Sewn', exact: true })).toBeVisible();

  const tray = shop.tray();
  await shop.choose('One number otherwise', 'boxing higher');
  await shop.setLength('Boxing higher', '20');
  await expect(shop.ticket()).toContainText('boxing higher: 20 mm, not 0 mm');
  await shop.saved();
  await page.reload();
  await expect(shop.ticket()).toContainText('boxing higher: 20 mm, not 0 mm');
  await tray.getByRole('combobox', { name: 'One number otherwise' }).selectOption('none');
  await expect(shop.ticket()).not.toContainText('boxing higher');
});

test('a loose cover is mended with one press, and the wrap is laid out in its own way', async ({ shop, page }) => {
  await shop.openJob('Reading corner');
  await shop.goTo('Build');
  const tray = shop.tray();
  await tray.getByText('Wrap', { exact: true }).click();
  await shop.setLength('Wrap, one layer', '0');
  const panel = page.getByRole('region', { name: 'Will it fit' });
  await expect(panel.getByRole('heading').first()).toContainText('Loose');
  const advice = panel.getByRole('button', { name: /^Take: Wrap it in/ });
  await advice.click();
  await expect(panel.getByRole('heading').first()).toContainText(/Taut|Roomy/);
  await shop.choose('The way it is wrapped', 'parcel fold, mitred');
  await expect(shop.ticket()).toContainText('wrap, parcel');
  await expect(tray).toContainText('Loose wadding for the corners');
  // Loose wadding rolls up: said at once, and mended by holding it.
  await tray.getByRole('combobox', { name: 'Held by' }).selectOption('loose');
  await expect(shop.ticket()).toContainText('Nothing holds the wrap');
  await tray.getByRole('combobox', { name: 'Held by' }).selectOption('staples');
  await expect(shop.ticket()).not.toContainText('Nothing holds the wrap');
  await tray.getByText('Core', { exact: true }).click();
  await expect(tray).toContainText('Kerf between pieces');
  await shop.expectAccessible();
});

test('a job from before a school was corrected keeps its numbers until the new ones are taken', async ({ shop, page }) => {
  const job = JSON.parse(fs.readFileSync(new URL('../../core/src/job/upgrades/fixtures/2-stalls-benches.json', import.meta.url), 'utf8')) as object;
  await page.goto('/jobs');
  await page
    .locator('input[type=file]')
    .setInputFiles({ name: 'old.json', mimeType: 'application/json', buffer: Buffer.from(JSON.stringify({ ...job, name: 'From before' })) });
  await expect(page.getByRole('heading', { name: 'From before' })).toBeVisible();
  await expect(shop.ticket()).toContainText('Measured over the wrap, edition 1');
  const before = await shop.size('Cut, plate');
  await shop.goTo('Build');
  await shop.tray().getByRole('button', { name: 'Take the new numbers' }).click();
  await expect(shop.ticket()).not.toContainText('edition 1');
  // 19 of seam and nothing more, instead of 13 and 6: the plate is as large, the boxing lower.
  expect(await shop.size('Cut, plate')).toEqual(before);
  await shop.expectAccessible();
});

test('a wedge has its slope, its panels and its order of work', async ({ shop, page }) => {
  await shop.openJob('Conductor’s chair');
  await page.getByRole('button', { name: /Wedge for the podium stool/ }).click();
  await shop.goTo('Template');
  await shop.setLength('Thin edge', '120');
  await expect(shop.ticket()).toContainText('The thin edge is 120');
  await shop.setLength('Thin edge', '50');
  await expect(shop.ticket()).not.toContainText('The thin edge is');
  await shop.goTo('Build');
  await expect(page.getByText('Section, front to back')).toBeVisible();
  await shop.goTo('Cover');
  await expect(page.locator('yl-table text').filter({ hasText: 'left side panel' })).toBeVisible();
  await shop.goTo('Bench');
  await expect(page.getByRole('button', { name: /^Cut the top on the slope/ })).toBeVisible();
});

test('a school is copied, edited with its example beside it, and used by a cushion', async ({ shop, page }) => {
  await page.goto('/schools');
  await (await shop.pickList('Allowance schools')).pick('Packed ends');
  const example = page.getByRole('region', { name: 'Worked example' });
  await expect(example).toContainText('1 174 × 450 × 100'.replace(/ (?=\d{3} ×)/, '\u202f'));
  await expect(page.getByRole('textbox', { name: 'core longer, an end, metric' })).toBeDisabled();
  await page.getByRole('button', { name: 'Copy to edit' }).click();
  const ends = page.getByRole('textbox', { name: 'core longer, an end, metric' });
  await expect(ends).toBeEnabled();
  await ends.fill('-20');
  await ends.press('Enter');
  await expect(example).toContainText(/1\s160 × 450 × 100/);
  await expect(example).toContainText('2 × 20 an end');
  await ends.fill('-900');
  await ends.press('Enter');
  await expect(page.getByText(/^At least/)).toBeVisible();
  await ends.press('Escape');
  await shop.expectAccessible();

  await shop.openJob('Queue benches, courtyard');
  await shop.goTo('Build');
  await shop.choose('Allowance school', 'Packed ends, ours');
  await expect(shop.ticket()).toContainText('Packed ends, ours');
});
