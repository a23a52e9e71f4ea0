import { expect, test } from '../support/bench';

test('a word of the trade is explained where it stands, by a press or from its field, and the hand goes back to where it was', async ({ shop, page }) => {
  await shop.openJob('Prompt-side boxes');
  await shop.goTo('Build');
  const explained = page.getByRole('dialog');

  // On the ticket, by Tab and Enter.
  const finished = shop.ticket().getByRole('rowheader', { name: 'Finished' }).getByRole('button');
  await finished.focus();
  await page.keyboard.press('Enter');
  await expect(explained.getByRole('heading', { name: 'Finished size' })).toBeVisible();
  await expect(explained).toContainText('from seam to seam');
  await shop.expectAccessible();
  await page.keyboard.press('Escape');
  await expect(explained).toBeHidden();
  await expect(finished).toBeFocused();

  // From a field: its label is no stop of the Tab key, F1 explains it.
  const school = page.getByLabel('Allowance school', { exact: true });
  await school.focus();
  await page.keyboard.press('F1');
  await expect(explained.getByRole('heading', { name: 'Allowance school' })).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(school).toBeFocused();

  // And by the pointer, on a phone too, whole in the window.
  await page.setViewportSize({ width: 390, height: 844 });
  await shop.goTo('Cover');
  await page.getByRole('button', { name: 'Edge', exact: true }).click();
  await expect(explained.getByRole('heading', { name: 'Edge' })).toBeVisible();
  const box = await explained.boundingBox();
  expect(box && box.x >= 0 && box.x + box.width <= 390 && box.y >= 0 && box.y + box.height <= 844).toBe(true);
});
