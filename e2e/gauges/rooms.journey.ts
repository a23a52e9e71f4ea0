import type { StoredSample, StoredShop } from '@yardland/core';
import { FieldHarness } from '@yardland/web/harnesses';
import { expect, test } from '../support/bench';

test.use({ expectedErrors: [/ERR_INTERNET_DISCONNECTED|409 \(Conflict\)/] });

test('what is changed in the rooms while the server is away waits, and is put together with what another window did', async ({ shop, page, context }) => {
  const foam = async (): Promise<StoredShop['shop']['grades'][number] | undefined> =>
    ((await (await page.request.get('/api/shop')).json()) as StoredShop).shop.grades.find(({ name }) => name === 'Foam 37-150');
  await page.goto('/stockroom');
  await page.getByRole('textbox', { name: 'Grade code' }).fill('37-150');
  await page.getByRole('button', { name: 'New foam' }).click();
  const form = page.getByRole('region', { name: 'Foam 37-150' });
  const price = await shop.control(FieldHarness, 'Price a m³', form);
  await expect.poll(async () => (await foam())?.densityKgM3).toBe(37);

  await context.setOffline(true);
  await price.enter('450');
  await expect(page.getByRole('alert')).toContainText('kept in this browser and goes out when it answers');
  // It shows, and another change is taken too.
  const support = form.getByRole('textbox', { name: 'Support factor' });
  await support.fill('2.6');
  await support.press('Enter');
  await expect(support).toHaveValue('2.6');
  await shop.expectAccessible();

  // Meanwhile another window gives the same foam another hardness, and another price.
  const { revision, shop: there } = (await (await page.request.get('/api/shop')).json()) as StoredShop;
  const grades = there.grades.map((one) => (one.name === 'Foam 37-150' ? { ...one, hardness25N: 155, pricePerM3: 500 } : one));
  expect(
    (await page.request.put('/api/shop', { data: { revision, shop: { ...there, grades } }, headers: { origin: new URL(page.url()).origin } })).status(),
  ).toBe(200);

  await context.setOffline(false);
  const question = page.getByRole('alert').filter({ hasText: 'changed in another window too (Foam 37-150)' });
  await expect(question).toBeVisible();
  await expect.poll(async () => (await foam())?.supportFactor).toBe(2.6);
  expect([(await foam())?.hardness25N, (await foam())?.pricePerM3]).toEqual([155, 500]);
  await question.getByRole('button', { name: 'Take mine' }).click();
  await expect.poll(async () => (await foam())?.pricePerM3).toBe(450);
  expect((await foam())?.hardness25N).toBe(155);
  await page.getByRole('button', { name: 'Remove Foam 37-150' }).click();
  await expect.poll(foam).toBeUndefined();
});

test('a sample is made and changed without the server, and goes out when it is back, from whatever page', async ({ shop, page, context }) => {
  const sample = async (): Promise<StoredSample | undefined> =>
    ((await (await page.request.get('/api/samples')).json()) as { samples: StoredSample[] }).samples.find(
      (one) => one.sample.name === 'Offcut without a server',
    );
  await page.goto('/gauges');
  await expect(page.getByRole('button', { name: 'New sample' })).toBeVisible();
  await context.setOffline(true);
  await page.getByRole('button', { name: 'New sample' }).click();
  await (await shop.control(FieldHarness, 'Called', page.locator('main'))).enter('Offcut without a server');
  await (await shop.control(FieldHarness, 'Weight', page.getByRole('region', { name: 'Density' }))).enter('0.7');
  await expect(page.getByRole('alert')).toContainText('kept in this browser');
  expect(await sample()).toBeUndefined();
  // The page is left before the server is back: the next one that opens sends it.
  await page.close();
  await context.setOffline(false);
  const next = await context.newPage();
  await next.goto('/');
  const kept = async () =>
    ((await (await next.request.get('/api/samples')).json()) as { samples: StoredSample[] }).samples.find(
      (one) => one.sample.name === 'Offcut without a server',
    );
  await expect.poll(async () => (await kept())?.sample.massKg).toBe(0.7);
  const { id, revision } = (await kept())!;
  expect((await next.request.delete(`/api/samples/${id}?revision=${revision}`, { headers: { origin: new URL(next.url()).origin } })).status()).toBe(204);
});
