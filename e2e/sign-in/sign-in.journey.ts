import { AxeBuilder } from '@axe-core/playwright';
import { expect, test } from '@playwright/test';
import { ownServer } from '../support/own-server';

test('a shop with a pass-phrase is signed in to on a page, comes back to where one was, and lists and ends sessions', async ({ page, browser }) => {
  const shop = await ownServer({ YARDLAND_PASSPHRASE: 'straw and chalk', LOG_LEVEL: 'silent' });
  await page.goto(`${shop.url}/stockroom`);
  await expect(page.getByRole('heading', { name: 'Yardland' })).toBeVisible();
  expect((await new AxeBuilder({ page }).analyze()).violations).toEqual([]);
  await page.getByLabel('Pass-phrase').fill('chalk and straw');
  await page.getByRole('button', { name: 'Sign in' }).click();
  await expect(page.getByRole('alert')).toHaveText('That is not the pass-phrase of this shop.');
  await page.getByLabel('Pass-phrase').fill('straw and chalk');
  await page.keyboard.press('Enter');
  await expect(page).toHaveURL(`${shop.url}/stockroom`);
  await expect(page.getByRole('heading', { name: 'Stockroom' })).toBeVisible();

  const tablet = await (await browser.newContext({ userAgent: 'Mozilla/5.0 (Linux; Android 14; Tablet) Chromium/120' })).newPage();
  await tablet.goto(`${shop.url}/`);
  await tablet.getByLabel('Pass-phrase').fill('straw and chalk');
  await tablet.keyboard.press('Enter');
  await tablet.getByRole('link', { name: 'Storage chest top' }).click();
  await expect(tablet.getByRole('complementary')).toContainText('Chest top');

  await page.getByRole('link', { name: 'Jobs', exact: true }).click();
  await page.getByRole('button', { name: 'Who is signed in' }).click();
  const dialog = page.getByRole('dialog', { name: 'Who is signed in' });
  await expect(dialog.getByRole('listitem')).toHaveCount(2);
  expect((await new AxeBuilder({ page }).analyze()).violations).toEqual([]);
  // A program of the shop is let in by a token of its own, told once.
  await dialog.getByLabel('Let a program in, called').fill('Bookkeeping');
  await dialog.getByRole('button', { name: 'Make a token' }).click();
  const token = await dialog.locator('[data-part=token]').textContent();
  const program = await browser.newContext({ extraHTTPHeaders: { authorization: `Bearer ${token}` } });
  expect((await program.request.get(`${shop.url}/api/jobs`)).status()).toBe(200);
  expect((await program.request.post(`${shop.url}/api/jobs`, { data: {} })).status()).toBe(403);
  expect((await new AxeBuilder({ page }).analyze()).violations).toEqual([]);
  await dialog.getByRole('button', { name: 'End the token of Bookkeeping' }).click();
  await expect(dialog.getByRole('listitem')).toHaveCount(2);
  expect((await program.request.get(`${shop.url}/api/jobs`)).status()).toBe(401);
  await dialog.getByRole('listitem').filter({ hasText: 'tablet' }).getByRole('button', { name: 'End it' }).click();
  await expect(dialog.getByRole('listitem')).toHaveCount(1);

  // What the tablet changes now is asked for again, and goes out once it is let in.
  const here = tablet.url();
  await tablet.getByLabel('Finished height').fill('5');
  await tablet.keyboard.press('Enter');
  await expect(tablet.getByLabel('Pass-phrase')).toBeVisible();
  await tablet.getByLabel('Pass-phrase').fill('straw and chalk');
  await tablet.keyboard.press('Enter');
  await expect(tablet).toHaveURL(here);
  await expect(tablet.getByLabel('Finished height')).toHaveValue('5');
  await expect(tablet.getByText(/^saved/)).toBeVisible();
  await tablet.close();

  await dialog.getByRole('button', { name: 'Sign out here' }).click();
  await expect(page.getByLabel('Pass-phrase')).toBeVisible();
  await shop.stop();
});

test('in the shop’s network TLS is spoken: the page for tablets is read without it, a code on paper comes back to its step after signing in', async ({
  browser,
}) => {
  const shop = await ownServer({ HOST: '0.0.0.0', YARDLAND_PASSPHRASE: 'straw and chalk', LOG_LEVEL: 'silent' });
  const { port } = new URL(shop.url);
  expect(shop.url).toMatch(/^https:/);
  const page = await (await browser.newContext({ ignoreHTTPSErrors: true })).newPage();
  await page.goto(`https://localhost:${port}/trust`);
  await expect(page.getByRole('link', { name: 'Get the shop’s certificate' })).toBeVisible();
  expect((await new AxeBuilder({ page }).analyze()).violations).toEqual([]);
  const certificate = await page.request.get(`https://localhost:${port}/trust/yardland-shop.crt`);
  expect(await certificate.text()).toMatch(/^-----BEGIN CERTIFICATE-----/);

  await page.goto(`https://localhost:${port}/jobs`);
  await page.getByLabel('Pass-phrase').fill('straw and chalk');
  await page.keyboard.press('Enter');
  // Over TLS the cookie is for TLS alone, and the browser allows what it keeps for safe pages.
  await expect(page.getByRole('link', { name: 'Prompt-side boxes' })).toBeVisible();
  expect((await page.context().cookies()).find(({ name }) => name === 'yardland_session')!.secure).toBe(true);
  expect(await page.evaluate(() => isSecureContext)).toBe(true);
  const { jobs } = (await (await page.request.get(`https://localhost:${port}/api/jobs`)).json()) as { jobs: { id: string; name: string }[] };
  const id = jobs.find(({ name }) => name === 'Prompt-side boxes')!.id;

  const phone = await (await browser.newContext({ ignoreHTTPSErrors: true, viewport: { width: 390, height: 844 } })).newPage();
  await phone.goto(`https://localhost:${port}/Q/${id.slice(0, 8).toUpperCase()}/1/P/BOXING`);
  await phone.getByLabel('Pass-phrase').fill('straw and chalk');
  await phone.keyboard.press('Enter');
  await expect(phone).toHaveURL(new RegExp(`/jobs/${id}/1/bench\\?at=boxing$`));
  await expect(phone.locator('.step.here')).toBeVisible();
  await shop.stop();
});
