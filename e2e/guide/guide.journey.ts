import { expect, test } from '../support/bench';

test('a practice job has mistakes in it: a hint leads there, what is mended is told with its why, and it can be left', async ({ page, shop }) => {
  await shop.openJobs();
  await page.getByRole('button', { name: 'Practise: find what is wrong' }).click();
  const card = page.getByRole('region', { name: 'Practice' });
  await expect(card.getByRole('heading')).toContainText('Practice: 0 of 8 found');
  await card.getByRole('button', { name: 'A hint' }).click();
  await expect(card).toContainText('Hall bench:');
  await shop.expectAccessible();

  // Sewn shut out of doors: given a zip, it is found.
  const [, , id] = new URL(page.url()).pathname.split('/');
  await page.goto(`/jobs/${id}/2/cover`);
  await page.locator('[data-part=tabs]').getByText('Closing', { exact: true }).click();
  await page.getByRole('group', { name: /tray$/ }).getByRole('radio', { name: 'zip', exact: true }).check();
  await expect(card.getByRole('status')).toContainText('A cover for out of doors was sewn shut.', { timeout: 20_000 });
  await expect(card.getByRole('heading')).toContainText('1 of 8 found');
  // It goes on after the page is loaded anew, and ends when it is left.
  await page.reload();
  await expect(card.getByRole('heading')).toContainText('1 of 8 found');
  await card.getByRole('button', { name: 'Leave practice' }).click();
  await expect(card).toHaveCount(0);
  await page.reload();
  await expect(shop.ticket()).toBeVisible();
  await expect(card).toHaveCount(0);
});

test('the way in goes on as what it asks for is done on the real screens, and can be left', async ({ page, shop }) => {
  await page.addInitScript(() => {
    if (!sessionStorage.getItem('begun')) localStorage.setItem('yardland.guide', '{"firstHour":0}');
    sessionStorage.setItem('begun', 'yes');
  });
  await shop.openJobs();
  const card = page.getByRole('region', { name: 'The first hour' });
  await expect(card.getByRole('heading')).toHaveText('How your shop measures');
  await shop.expectAccessible();
  await card.getByRole('button', { name: 'Next' }).click();
  await page.getByRole('button', { name: 'New job' }).click();
  await expect(shop.ticket()).toBeVisible();
  await page.keyboard.press('/');
  await page.keyboard.type('6 x 500 x 430 x 75 welt');
  await page.keyboard.press('Enter');
  await expect(card.getByRole('heading')).toHaveText('One why');
  await shop.ticket().getByRole('button', { name: 'Core wide, why' }).click();
  await expect(card.getByRole('heading')).toHaveText('One print');
  await card.getByRole('button', { name: 'Leave the way in' }).click();
  await expect(card).toHaveCount(0);
});

test.describe('in a shop of one’s own, without any job', () => {
  test.use({ begins: 'own' });

  test('the way in leads from the empty list to a first cushion, its why, its print and a practice job', async ({ page, shop }) => {
    await shop.openJobs();
    await expect(page.getByRole('heading', { name: 'No jobs yet' })).toBeVisible();
    await page.getByRole('button', { name: 'Show me the way in' }).click();
    const card = page.getByRole('region', { name: 'The first hour' });
    await card.getByRole('link', { name: 'To the Stockroom' }).click();
    await expect(page.getByRole('heading', { name: 'Stockroom' })).toBeVisible();
    await shop.expectAccessible();
    await card.getByRole('button', { name: 'Next' }).click();
    await card.getByRole('link', { name: 'To the jobs' }).click();
    await page.getByRole('button', { name: 'New job' }).click();
    await expect(shop.ticket()).toBeVisible();
    await page.keyboard.press('/');
    await page.keyboard.type('6 x 500 x 430 x 75 welt');
    await page.keyboard.press('Enter');
    await shop.expectSize('Seat', '500 millimetres', '430 millimetres');
    await shop.ticket().getByRole('button', { name: 'Core wide, why' }).click();
    await expect(card.getByRole('heading')).toHaveText('One print');
    await expect(shop.ticket().locator('[data-part=buy]').first()).toBeVisible();
    // Nothing is on the shelf yet.
    await expect(shop.ticket()).not.toContainText('on the shelf');
    const print = shop.ticket().getByRole('link', { name: 'Print this ticket' });
    const paper = await page.request.get((await print.getAttribute('href')) ?? '');
    expect(paper.headers()['content-type']).toBe('application/pdf');
    await print.evaluate((link) => link.addEventListener('click', (event) => event.preventDefault()));
    await print.click();
    await card.getByRole('button', { name: 'Practise' }).click();
    await expect(page.getByRole('region', { name: 'Practice' }).getByRole('heading')).toContainText('Practice: 0 of 8 found');
    await expect(card).toHaveCount(0);
  });
});
