import { expect, test } from '../support/bench';

// As in a shop's network without TLS: no service worker, and a page that was opened before the server was renewed.
test.use({ serviceWorkers: 'block', expectedErrors: [/404|Failed to load|dynamically imported module|MIME/i] });

test('a window from before the server was renewed says so, loads the new version, and keeps what was typed', async ({ shop, page }) => {
  await shop.openJob('Reading corner');
  await shop.setLength('Wide', '1888');
  await shop.saved();
  // The server is renewed: its page begins with another script, and parts of the old one are gone.
  let renewed = true;
  await page.route('**/*.js', (route) => (renewed ? route.fulfill({ status: 404, body: 'gone' }) : route.continue()));
  await page.route(
    (url) => url.pathname === '/',
    async (route) => {
      if (route.request().resourceType() === 'document') return route.continue();
      const answer = await route.fetch();
      return route.fulfill({ response: answer, body: (await answer.text()).replace(/main-[^"]+\.js/, 'main-RENEWED0.js') });
    },
  );
  // A dialog's part is gone: it is said, with a way to go on.
  await page.getByRole('button', { name: 'More to take away' }).click();
  await page.getByRole('menuitem', { name: 'Send the labels to the label printer' }).click();
  const message = page.getByText('A new version is here. What you have typed is kept when it is loaded.');
  await expect(message).toBeVisible();
  // A page's part is gone: the page is loaded with the new version.
  const loaded = page.waitForRequest((request) => request.isNavigationRequest() && new URL(request.url()).pathname === '/stockroom');
  void loaded.then(() => (renewed = false));
  await page.getByRole('link', { name: 'Stockroom', exact: true }).click();
  await loaded;
  await expect(page.getByRole('heading', { level: 1, name: 'Stockroom' }).or(page.getByRole('heading', { name: 'Stockroom' }).first())).toBeVisible();
  await page.unrouteAll();
  await shop.openJob('Reading corner');
  await shop.expectSize('Finished', '1 888 millimetres', '800 millimetres', '120 millimetres');
});
