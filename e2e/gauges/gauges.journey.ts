import { FieldHarness, TickboxHarness } from '@yardland/web/harnesses';
import { expect, test } from '../support/bench';

test('a sample is weighed, pressed and drained, by hand and from the simulated devices', async ({ shop, page }) => {
  const samples = () => shop.pickList('Samples');
  await page.goto('/gauges');
  await expect(page.getByRole('heading', { name: 'Gauges' })).toBeVisible();
  await page.getByRole('button', { name: 'New sample' }).click();
  await page.getByRole('textbox', { name: 'Called' }).fill('Offcut of the journey');
  await page.getByRole('textbox', { name: 'Called' }).press('Enter');
  for (const [field, length] of [
    ['Wide', '400'],
    ['Deep', '16 in'],
    ['Thick', '100'],
  ] as const) {
    const box = page.getByRole('region', { name: 'Density' }).getByRole('textbox', { name: field });
    await box.fill(length);
    await box.press('Enter');
  }
  const weight = await shop.control(FieldHarness, 'Weight', page.getByRole('region', { name: 'Density' }));
  await weight.enter('0.5');
  // 0.5 kg of 400 × 406.4 × 100 mm.
  await expect(page.getByRole('region', { name: 'Density' })).toContainText('30.8 kg/m³');

  await expect(page.locator('[data-part=chip]:has-text("simulated")')).toHaveCount(2);

  // The scale overwrites what was typed; the gauge adds a reading after its minute.
  await page.getByRole('button', { name: 'Read from the scale' }).click();
  await expect.poll(() => weight.text()).not.toBe('0.5');
  const press = page.getByRole('region', { name: 'Press test' });
  await press.getByRole('button', { name: 'Read from the press gauge' }).click();
  await expect(press.getByRole('listitem')).toHaveCount(1);
  await expect(press).toContainText(/\d+ N at 25 % \(\d+ to \d+ N\), support factor 2.2/);
  await (await shop.control(FieldHarness, 'Load on the plate', press)).enter('25');
  await press.getByRole('button', { name: 'Read from the press gauge' }).click();
  await expect(press.getByRole('listitem')).toHaveCount(2);

  // Unplugged half-way: said, and nothing taken over.
  await press.getByRole('button', { name: 'Read, and be unplugged half-way' }).click();
  await expect(press.getByRole('alert')).toContainText('The device was unplugged.');
  await expect(press.getByRole('listitem')).toHaveCount(2);
  await shop.expectAccessible();

  // It becomes a foam of the catalogue.
  await page.getByRole('button', { name: 'Put it into the stockroom' }).click();
  await expect(page.getByRole('status').filter({ hasText: 'stands in the stockroom now' })).toBeVisible();
  await page.getByRole('link', { name: 'Stockroom' }).click();
  await expect(page.getByRole('row', { name: /Offcut of the journey/ })).toContainText('conventional');
  await page.getByRole('button', { name: 'Offcut of the journey', exact: true }).click();
  await page.getByRole('button', { name: 'Remove Offcut of the journey' }).click();
  await page.getByRole('link', { name: 'Gauges' }).click();
  await (await samples()).pick('Offcut of the journey');

  // A drain test beside another sample's.
  const drain = page.getByRole('region', { name: 'Drain test' });
  await (await shop.control(FieldHarness, 'Collected', drain)).write('2,4');
  await drain.getByRole('button', { name: 'Add' }).click();
  await expect(drain).toContainText('After how many minutes?');
  await expect(drain).toContainText('More than was poured on.');
  await (await shop.control(FieldHarness, 'After', drain)).enter('10');
  await (await shop.control(FieldHarness, 'Collected', drain)).write('1,8');
  await drain.getByRole('button', { name: 'Add' }).click();
  await expect(drain).toContainText('12.3 ml held back');
  await expect(drain.locator('.legendtext')).toHaveCount(2);

  await page.reload();
  await (await samples()).pick('Offcut of the journey');
  await expect(press.getByRole('listitem')).toHaveCount(2);
  await page.getByRole('button', { name: 'Remove Offcut of the journey' }).click();
  await expect.poll(async () => (await samples()).names()).not.toContain('Offcut of the journey');
});

test('a core that was wetted is weighed until it is dry, bare and in its cover', async ({ shop, page }) => {
  await page.goto('/gauges');
  await (await shop.pickList('Samples')).pick('Tern 30 open, drained');
  const panel = page.getByRole('region', { name: 'Drying' });
  await expect(panel).toContainText(/bare: dry after [\d.]+ h; in its cover: dry after about [\d.]+ h, as it goes on/);
  await expect(panel.locator('.js-plotly-plot')).toBeVisible();
  await (await shop.control(FieldHarness, 'After', panel)).enter('600');
  await (await shop.control(FieldHarness, 'Weighs', panel)).enter('0.365');
  await (await shop.control(TickboxHarness, 'in its cover', panel)).toggle();
  await (await shop.control(TickboxHarness, 'knocked on a grate first', panel)).toggle();
  await panel.getByRole('button', { name: 'Add weighing' }).click();
  await expect(panel.getByText('600 min: 0.365 kg, in its cover, knocked first')).toBeVisible();
  await expect(panel).toContainText(/in its cover: dry after [\d.]+ h$/m);
  await shop.expectAccessible();
});
