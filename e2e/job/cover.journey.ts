import { ChoiceHarness } from '@yardland/web/harnesses';
import { expect, test } from '../support/bench';

test('a cover is made in another way and of two cloths; cloth that is short is said; a changed size shows on what was ticked', async ({ shop, page }) => {
  await shop.openJob('Ushers’ perches');
  await page.keyboard.press('/');
  await page.keyboard.type('2 x round 400 x 60 drum');
  await expect(page.locator('[data-part=quick-says]')).toHaveText(
    '2 × round, seat 400 × 400 mm, foam’s thickness 60 mm, drum, with a ridge and a staple flange. Enter adds them.',
  );
  await page.keyboard.press('Enter');
  await expect(shop.ticket()).toContainText('staple flange');
  // Sewn 1 in on each side, foam 6 over the board, the plate 13 outside its seam: 398, 412, 424.
  await shop.expectSize('Cut, plate', '424 millimetres', '424 millimetres');

  await shop.goTo('Bench');
  await page.getByRole('checkbox', { name: /Glue the strip of thin foam/ }).click();
  await expect(page.getByRole('checkbox', { name: /staple the flange flat under the board/ })).toBeVisible();

  await shop.goTo('Cover');
  await shop.choose('Made as', 'Boxed');
  await expect(shop.ticket()).toContainText('zip plaque');
  await expect(shop.ticket()).not.toContainText('staple flange');
  await shop.tray().getByText('Cloths', { exact: true }).click();
  await shop.choose('Boxing or band of', 'Indigo twill');
  await expect(shop.ticket().getByRole('row', { name: /Indigo twill/ })).toContainText(/\d m/);

  await shop.goTo('Lay');
  await shop.choose('Lay on', 'boxing, Indigo twill');
  await shop.setLength('Their own, long', '100');
  await expect(shop.ticket().getByRole('row', { name: /Indigo twill/ })).toContainText('is there');
  await expect(shop.ticket().getByRole('list', { name: 'Problems' })).toContainText('Indigo twill');

  // What was ticked on the drum is no longer in the plan: it is shown, not lost.
  await shop.goTo('Bench');
  await expect(page.getByRole('heading', { name: 'Ticked, and no longer in the plan' })).toBeVisible();
  await page.getByRole('button', { name: 'Forget it' }).click();
  await expect(page.getByRole('heading', { name: 'Ticked, and no longer in the plan' })).toBeHidden();
  await page.getByRole('checkbox', { name: /Make up the zip plaque/ }).click();
  await shop.goTo('Template');
  await shop.setLength('Across', '420');
  await shop.goTo('Bench');
  await expect(page.getByText(/zip plaque was .* when this was ticked; it is .* now\./)).toBeVisible();
  await shop.expectAccessible();
});

test('covers of every kind: an order of staples, the cushion finished and turned, tufts on paper, fill by weight', async ({ shop, page }) => {
  // A browser without WebGL.
  await page.addInitScript(() => {
    const own = HTMLCanvasElement.prototype.getContext;
    HTMLCanvasElement.prototype.getContext = function (this: HTMLCanvasElement, kind: string, ...rest: unknown[]) {
      return kind.startsWith('webgl') ? null : (own as (kind: string, ...rest: unknown[]) => unknown).call(this, kind, ...rest);
    } as typeof own;
  });
  await shop.openJob('Dressing room one');
  await shop.goTo('Cover');
  await expect(shop.ticket()).toContainText('Rolled-edge mattress');
  await expect(shop.ticket()).toContainText('Twine for the roll');
  await shop.tray().getByText('In the round', { exact: true }).click();
  // That is said once, and the line drawing is shown, which turns as well.
  await expect(page.getByRole('status').getByText(/no WebGL/)).toHaveCount(1);
  const drawing = page.getByRole('img', { name: 'Day-bed mattress, finished, drawn' });
  const seen = await drawing.locator('path').first().getAttribute('d');
  await page.getByLabel('Seen from', { exact: true }).selectOption('Back');
  await expect(drawing.locator('path').first()).not.toHaveAttribute('d', seen ?? '');
  await page.getByLabel('Seen from', { exact: true }).selectOption('From the corner');
  await expect(drawing.locator('path').first()).toHaveAttribute('d', seen ?? '');
  // A drawing of a mattress: a ring for each tuft among its seams, more than on one of its ends.
  expect(await drawing.locator('path.seam').count()).toBeGreaterThan(10);
  await shop.expectAccessible();

  await page.goto(page.url().replace(/1\/cover$/, '3/cover'));
  await expect(shop.ticket()).toContainText('Pull-over on a frame');
  await shop.tray().getByText('Stapling', { exact: true }).click();
  await expect(shop.tray()).toContainText('staple along it');
  await expect(page.locator('yl-table')).toContainText('corners last');
  await shop.expectAccessible();

  await page.goto(page.url().replace(/3\/cover$/, '4/cover'));
  await expect(shop.ticket()).toContainText('Channelled feather case');
  await expect(shop.ticket()).toContainText('904 g');
  await shop.choose('Filled with', 'down');
  await expect(shop.ticket()).toContainText('581 g');
  await shop.ticket().getByRole('heading', { level: 2 }).click();

  await page.keyboard.press('/');
  await page.keyboard.type('2 x 500 x 450 x 60 pull-over');
  await expect(page.locator('[data-part=quick-says]')).toContainText('pull-over');
  await page.keyboard.press('Enter');
  await expect(shop.ticket()).toContainText('top panel');
});

test('some cushions are put in a cloth of their own, laid and bought by itself, and all of them go back as one step', async ({ shop, page }) => {
  await shop.openJob('Prompt-side boxes');
  const strip = page.getByRole('list', { name: 'Cushions' });
  await expect(strip.getByRole('button', { name: /in Indigo twill/ })).toHaveCount(0);
  await shop.goTo('Cover');
  await shop.tray().getByText('Cloths', { exact: true }).click();
  await shop.tray().getByRole('button', { name: 'Several cushions in one cloth' }).click();
  const dialog = page.getByRole('dialog', { name: 'Cushions in one cloth' });
  await (await shop.control(ChoiceHarness, 'All of these in', dialog)).choose('Indigo twill');
  await dialog.getByRole('checkbox').first().uncheck();
  await shop.expectAccessible();
  await dialog.getByRole('button', { name: /^Put (these \d|this one) in it$/ }).click();
  await expect(dialog).toBeHidden();
  // The first keeps the job's cloth, all others say theirs.
  const count = await strip.getByRole('button').count();
  await expect(strip.getByRole('button', { name: /in Indigo twill/ })).toHaveCount(count - 1);
  await expect(shop.ticket()).toContainText('Moss velvet');
  await expect(shop.ticket().getByRole('row', { name: /Indigo twill/ })).toContainText(/\d (yd|in|m)/, { timeout: 30_000 });
  await strip.getByRole('button').nth(1).click();
  await expect(shop.ticket()).toContainText('Indigo twill');

  await shop.choose('Cover of', 'Moss velvet, the job’s');
  await expect(strip.getByRole('button', { name: /in Indigo twill/ })).toHaveCount(count - 2);
  await shop.saved();
  await page.keyboard.press('Control+z');
  await page.keyboard.press('Control+z');
  await expect(strip.getByRole('button', { name: /in Indigo twill/ })).toHaveCount(0);
});
