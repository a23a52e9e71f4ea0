import { expect, test } from '../support/bench';

test('a foam is added and used, a constant is the shop’s own, and goes back', async ({ shop, page }) => {
  await page.goto('/stockroom');
  await page.getByRole('button', { name: 'New foam' }).click();
  const form = page.getByRole('region', { name: 'New foam' });
  await expect(form).toBeVisible();
  await form.getByRole('textbox', { name: 'Density, kg/m³' }).fill('thick');
  await form.getByRole('textbox', { name: 'Density, kg/m³' }).press('Enter');
  await expect(page.getByRole('alert')).toContainText('densityKgM3');
  await form.getByRole('textbox', { name: 'Density, kg/m³' }).fill('41');
  await form.getByRole('textbox', { name: 'Density, kg/m³' }).press('Enter');
  await form.getByRole('textbox', { name: 'Called' }).fill('Plover 41');
  await form.getByRole('textbox', { name: 'Called' }).press('Enter');
  await expect(page.getByRole('row', { name: /Plover 41/ })).toContainText('41');
  await shop.expectAccessible();

  // A zip of the shop's own width stands in the next cover.
  const own = page.getByRole('textbox', { name: 'Own value: width of the zip tape' });
  await own.fill('24');
  await own.press('Enter');
  await shop.openJob('Reading corner');
  await shop.goTo('Cover');
  await expect(shop.tray().getByRole('textbox', { name: 'Zip tape wide' })).toHaveValue('24');
  await shop.goTo('Filling');
  await shop.tray().getByRole('combobox', { name: 'Layer 1, foam' }).selectOption('Plover 41');
  await expect(shop.ticket()).toContainText('Plover 41');
  await shop.saved();
  await page.getByRole('button', { name: 'Undo: Foam' }).click();

  await page.goto('/stockroom');
  await own.fill('');
  await own.press('Enter');
  await page.getByRole('button', { name: 'Plover 41', exact: true }).click();
  await page.getByRole('button', { name: 'Remove Plover 41' }).click();
  await expect(page.getByRole('row', { name: /Plover 41/ })).toBeHidden();
});
