import { expect, test } from '../support/bench';

test.use({ serviceWorkers: 'allow', expectedErrors: [/ERR_INTERNET_DISCONNECTED|ERR_FAILED|Failed to fetch|Failed to load resource/] });

test('the application opens with the server away, shows what it has and says so; what is changed there goes out when the server is back', async ({
  shop,
  page,
  context,
}) => {
  await shop.openJob('Reading corner');
  // Kept from the moment the service worker is at work.
  await page.waitForFunction(() => navigator.serviceWorker.controller !== null);
  await page.reload();
  await shop.setLength('Wide', '1900');
  await shop.setLength('Deep', '815');
  await shop.saved();
  await page.getByRole('link', { name: 'Jobs', exact: true }).click();
  await expect(page.getByRole('link', { name: 'Reading corner', exact: true })).toBeVisible();

  await context.setOffline(true);
  await page.reload();
  // The list and its pictures, and the job as it was last saved, not as it was last read.
  await expect(page.getByText(/^The server is away: this is how it was at \d\d:\d\d\./)).toBeVisible();
  await page.getByRole('link', { name: 'Reading corner', exact: true }).click();
  await shop.expectSize('Finished', '1 900 millimetres', '815 millimetres', '120 millimetres');
  await page.reload();
  await shop.expectSize('Finished', '1 900 millimetres', '815 millimetres', '120 millimetres');
  await shop.setLength('Wide', '1925');
  await expect(page.getByText('Your changes wait in this browser')).toBeVisible();
  await page.reload();
  await shop.expectSize('Finished', '1 925 millimetres', '815 millimetres', '120 millimetres');
  await shop.expectAccessible();

  // A job that was never opened here cannot be shown, and that is said.
  await page.getByRole('link', { name: 'Jobs', exact: true }).click();
  await expect(page.getByRole('row', { name: /Reading corner/ })).toContainText('changes wait in this browser');
  await page.getByRole('link', { name: 'Storage chest top', exact: true }).click();
  await expect(page.getByText(/server/i).first()).toBeVisible();

  await context.setOffline(false);
  await page.goto('/stockroom');
  await expect(page.getByText('The server is away')).toBeHidden();
  // Its changes go out from wherever one is, without the job being opened.
  await expect
    .poll(async () => {
      const { jobs } = (await (await page.request.get('/api/jobs')).json()) as { jobs: { id: string; name: string }[] };
      const { job } = (await (await page.request.get(`/api/jobs/${jobs.find(({ name }) => name === 'Reading corner')?.id}`)).json()) as {
        job: { cushions: { template: { widthMm: number } }[] };
      };
      return job.cushions[0]?.template.widthMm;
    })
    .toBe(1925);
  await page.getByRole('link', { name: 'Jobs', exact: true }).click();
  await expect(page.getByRole('row', { name: /Reading corner/ })).not.toContainText('changes wait');
  await page.getByRole('link', { name: 'Reading corner', exact: true }).click();
  await shop.saved();
  await expect(page.getByRole('dialog')).toBeHidden();
  await page.reload();
  await shop.expectSize('Finished', '1 925 millimetres', '815 millimetres', '120 millimetres');
});
