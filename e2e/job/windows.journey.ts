import { expect, Shop, test } from '../support/bench';

test('two windows on one job: the later sees both and chooses; nothing is overwritten silently', async ({ shop, page, context }) => {
  await shop.openJob('Queue benches, courtyard');
  const other = new Shop(await context.newPage());
  await other.page.goto(page.url());
  await expect(other.ticket()).toBeVisible();

  await shop.setLength('Deep', '410');
  await shop.saved();
  await other.setLength('Finished height', '80');
  const dialog = other.page.getByRole('dialog', { name: 'This job was changed in another window' });
  await expect(dialog).toContainText('no. 1, template, depth');
  await expect(dialog.getByRole('row', { name: /height/ })).toContainText('75');
  await dialog.getByRole('button', { name: 'Take the other window’s' }).click();
  await other.expectSize('Finished', '1 200 millimetres', '410 millimetres', '75 millimetres');

  await shop.setLength('Deep', '420');
  await shop.saved();
  await other.setLength('Finished height', '85');
  await dialog.getByRole('button', { name: 'Keep this window’s' }).click();
  await other.saved();
  await page.reload();
  await shop.expectSize('Finished', '1 200 millimetres', '410 millimetres', '85 millimetres');
});

test.describe('without the server', () => {
  test.use({ expectedErrors: [/ERR_INTERNET_DISCONNECTED|ERR_FAILED|Failed to fetch/] });

  test('changes wait in the browser, a sign says so, they go out in order when it is back', async ({ shop, page, context }) => {
    await shop.openJob('Reading corner');
    await context.setOffline(true);
    await shop.setLength('Wide', '1910');
    await shop.setLength('Deep', '810');
    await expect(page.getByRole('alert')).toContainText('Your changes wait in this browser');
    await shop.expectSize('Finished', '1 910 millimetres', '810 millimetres', '120 millimetres');
    await context.setOffline(false);
    await shop.saved();
    await expect(page.getByRole('button', { name: 'Undo: Depth' })).toBeVisible();
    await page.reload();
    await shop.expectSize('Finished', '1 910 millimetres', '810 millimetres', '120 millimetres');
  });

  test('also when the job is left and opened again in the same window', async ({ shop, page, context }) => {
    await shop.openJob('Reading corner');
    await context.route('**/api/jobs/*', (route) => (route.request().method() === 'PUT' ? route.abort('failed') : route.continue()));
    await shop.setLength('Deep', '820');
    await expect(page.getByRole('alert')).toContainText('Your changes wait');
    await page.getByRole('link', { name: 'Jobs', exact: true }).click();
    await page.getByRole('link', { name: 'Reading corner', exact: true }).click();
    await shop.expectSize('Finished', '1 900 millimetres', '820 millimetres', '120 millimetres');
    await context.unroute('**/api/jobs/*');
    await shop.saved();
    await expect(page.getByRole('dialog')).toBeHidden();
    await page.reload();
    await shop.expectSize('Finished', '1 900 millimetres', '820 millimetres', '120 millimetres');
  });

  test('two windows closed without it: the next one sends the one’s changes and shows the other’s beside them', async ({ shop, page, context }) => {
    await shop.openJob('Reading corner');
    const address = page.url();
    const two = new Shop(await context.newPage());
    await two.page.goto(address);
    await expect(two.ticket()).toBeVisible();
    await context.setOffline(true);
    await shop.setLength('Wide', '1888');
    await expect(page.getByRole('alert')).toContainText('Your changes wait');
    await two.setLength('Deep', '777');
    await expect(two.page.getByRole('alert')).toContainText('Your changes wait');
    const three = new Shop(await context.newPage());
    await page.close();
    await two.page.close();
    await context.setOffline(false);
    await three.page.goto(address);
    const dialog = three.page.getByRole('dialog', { name: 'This job was changed in another window' });
    await expect(dialog.getByRole('row', { name: /width/ })).toContainText('1888');
    await expect(dialog.getByRole('row', { name: /depth/ })).toContainText('777');
    await dialog.getByRole('button', { name: 'Take the other window’s' }).click();
    await three.saved();
    expect(await three.page.evaluate(() => Object.keys(localStorage).filter((key) => key.includes('pending')))).toEqual([]);
  });

  test('also after a reload', async ({ shop, page, context }) => {
    await shop.openJob('Storage chest top');
    // The pages still come; only the writes fail, as when the server restarts.
    await context.route('**/api/jobs/*', (route) => (route.request().method() === 'PUT' ? route.abort('failed') : route.continue()));
    await shop.setLength('Finished height', '3 1/4');
    await expect(page.getByRole('alert')).toContainText('Your changes wait');
    await page.reload();
    await shop.expectSize('Finished', '44 inches', '20 inches', '3 1/4 inches');
    await context.unroute('**/api/jobs/*');
    await shop.saved();
    await page.reload();
    await shop.expectSize('Finished', '44 inches', '20 inches', '3 1/4 inches');
  });
});
