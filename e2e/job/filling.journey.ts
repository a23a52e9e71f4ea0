import { expect, test } from '../support/bench';

test('a filling is felt before it is cut: sitters, verdicts, the curve, a choice with reasons', async ({ shop, page }) => {
  await shop.openJob('Queue benches, courtyard');
  await page.getByRole('button', { name: 'Corner bench, 2' }).click();
  await shop.goTo('Filling');
  const panel = page.getByRole('region', { name: 'How it feels' });

  // Heavier sinks deeper, and the drawing is pressed with it.
  const sitting = panel.getByRole('slider', { name: 'On it sits' });
  const sinks = () => panel.locator('dd').nth(1).innerText();
  await sitting.fill('1');
  await expect(panel).toContainText('a child');
  const child = await sinks();
  await sitting.fill('5');
  await expect(panel).toContainText('heavy');
  expect(parseInt(await sinks(), 10)).toBeGreaterThan(parseInt(child, 10));
  await expect(page.locator('yl-table text').filter({ hasText: /−\d+\s%/ })).toHaveCount(1);
  await expect(panel.locator('.js-plotly-plot')).toBeVisible();
  await shop.expectAccessible();

  // Who sits is asked by build.
  await page.getByRole('button', { name: 'Who sits' }).click();
  const who = page.getByRole('dialog', { name: 'Who sits, and how should it feel?' });
  await who.getByRole('button', { name: 'Another sitter' }).click();
  await who.getByRole('combobox', { name: 'Sitter 3, build' }).selectOption('heavy');
  await who.getByRole('checkbox', { name: 'finds it hard to get up' }).last().check();
  await shop.expectAccessible();
  await who.getByRole('button', { name: 'Done' }).click();

  // Outdoors only fast-drying foam is ranked, and everything else says why not.
  await page.getByRole('button', { name: 'Choose for me' }).click();
  const choice = page.getByRole('dialog', { name: 'Choose for me' });
  await expect(choice).toContainText('for 3 sitters, outdoors');
  await expect(choice.getByRole('listitem').first()).toContainText('Tern');
  await choice.getByText(/fillings fell out/).click();
  await expect(
    choice.getByRole('listitem').filter({ hasText: /Heron 40 is an indoor foam: outdoors it holds water for days\. What would save it: a place indoors/ }),
  ).toBeVisible();
  await shop.expectAccessible();
  await choice
    .getByRole('checkbox', { name: /^compare/ })
    .nth(2)
    .check();
  // The second of the list is the stack in hand: taking it would change nothing.
  const chosen = (await choice.getByRole('listitem').nth(2).locator('strong').innerText()).trim();
  await choice.getByRole('button', { name: `Take ${chosen}`, exact: true }).click();
  await expect(page.locator('[data-part=layer-remark]').first()).toBeVisible();
  await expect(panel.locator('.legendtext')).toHaveCount(2);
  await shop.saved();
  await expect(page.getByRole('button', { name: /^Undo: Filling chosen/ })).toBeVisible();
});

test('layers are dragged in order, come in stocked sheets, and need not be foam', async ({ shop, page }) => {
  await shop.openJob('Conductor’s chair');
  await page.getByRole('button', { name: 'Back cushion' }).click();
  await shop.goTo('Filling');
  await expect.poll(() => shop.layers()).toEqual(['eider-feather', 'wren-22-soft']);
  await expect(shop.tray()).toContainText('by a rule of thumb');
  await expect(shop.ticket()).toContainText('made to size');

  // By the pointer: the top layer under the other, and nothing kept until it is let go.
  const knob = page.getByRole('button', { name: 'Layer 1, drag up or down' });
  const from = (await knob.boundingBox())!;
  await page.mouse.move(from.x + from.width / 2, from.y + from.height / 2);
  await page.mouse.down();
  await page.mouse.move(from.x + from.width / 2, from.y + 60, { steps: 4 });
  await page.mouse.move(from.x + from.width / 2, from.y + 160, { steps: 4 });
  await expect.poll(() => shop.layers()).toEqual(['wren-22-soft', 'eider-feather']);
  await page.mouse.up();
  await shop.saved();
  await expect(page.getByRole('button', { name: 'Undo: Layers in another order' })).toBeVisible();
  // And back by a key.
  await page.getByRole('button', { name: 'Layer 2, drag up or down' }).press('ArrowUp');
  await expect.poll(() => shop.layers()).toEqual(['eider-feather', 'wren-22-soft']);

  // Or in the list itself, by its grip.
  const grips = shop.tray().getByTitle('Drag to another place');
  const [first, second] = [(await grips.nth(0).boundingBox())!, (await grips.nth(1).boundingBox())!];
  await page.mouse.move(first.x + 8, first.y + 20);
  await page.mouse.down();
  await page.mouse.move(first.x + 8, second.y + 20, { steps: 6 });
  await page.mouse.move(first.x + 8, second.y + 34, { steps: 3 });
  await page.mouse.up();
  await expect.poll(() => shop.layers()).toEqual(['wren-22-soft', 'eider-feather']);
  await shop.tray().getByRole('button', { name: 'Layer 2 up' }).click();
  await expect.poll(() => shop.layers()).toEqual(['eider-feather', 'wren-22-soft']);

  await shop.tray().getByRole('combobox', { name: 'Layer 2, sheet in stock' }).selectOption('75');
  await expect(shop.tray().getByRole('textbox', { name: 'Layer 2, thickness' })).toHaveValue('75');
  await expect(shop.ticket()).toContainText('The layers make 115 mm');
  await shop.expectAccessible();

  // What must hold filters the ranking.
  await page.getByRole('button', { name: 'Choose for me' }).click();
  const choice = page.getByRole('dialog', { name: 'Choose for me' });
  await choice.getByRole('checkbox', { name: 'one layer, no glue' }).check();
  await expect(choice.locator('[data-part=ranking] strong').filter({ hasText: ' over ' })).toHaveCount(0);
  await choice.getByRole('checkbox', { name: 'one layer, no glue' }).uncheck();
  await choice.getByRole('checkbox', { name: 'feels as wanted' }).check();
  await expect(choice.locator('[data-part=ranking]').getByText(/feels (medium|firm)/)).toHaveCount(0);
});

test('a core is made up of remnants in stock, and what they cost stands beside the best new one', async ({ shop, page }) => {
  await shop.openJobs();
  await page.getByRole('button', { name: 'New job' }).click();
  await expect(shop.ticket()).toBeVisible();
  await shop.setLength('Wide', '500');
  await shop.setLength('Deep', '430');
  await shop.setLength('Finished height', '100');
  await shop.saved();
  await shop.goTo('Filling');
  await page.getByRole('button', { name: 'Choose for me' }).click();
  const there = page.getByRole('dialog', { name: 'Choose for me' }).getByRole('region', { name: 'From what is there' });
  await expect(there.getByRole('listitem').first()).toContainText('25 mm Wren 22 soft over 75 mm Wren 28');
  await expect(there.getByRole('listitem').first()).toContainText('Nothing is bought: about');
  await expect(there).toContainText(/The best new one, .*: about [\d.]+ each/);
  await shop.expectAccessible();
  await there.getByRole('button', { name: /^Take 25 mm Wren 22 soft over 75 mm Wren 28/ }).click();
  await expect(page.getByRole('button', { name: 'Undo: Filling from what is there' })).toBeVisible();
  // Nothing of foam is on the list of what to buy: both layers come off their remnants.
  await expect(shop.ticket()).toContainText('foam, layer 1');
  await expect(shop.ticket().locator('[data-part=buy]').filter({ hasText: 'Wren' })).toHaveCount(0);
  await shop.goTo('Lay');
  await shop.tray().getByRole('combobox', { name: 'Lay on' }).selectOption({ label: 'Wren 28, 75 mm, remnant 540 × 990 mm, Stalls benches' });
});
