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
