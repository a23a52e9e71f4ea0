import fs from 'node:fs';
import { expect, test } from '../support/bench';

// A remnant that another job has set aside is refused, and the job comes in without it.
test.use({ expectedErrors: [/422 \(Unprocessable Entity\)/] });

test('a lay is compared with others, a way is taken, looked at longer, and saved full size in cutting order', async ({ shop, page }) => {
  await shop.openJob('Conductor’s chair');
  await shop.goTo('Lay');
  await page.getByRole('button', { name: 'Compare lays' }).click();
  const dialog = page.getByRole('dialog', { name: 'Compare lays' });
  await expect(dialog.getByRole('row', { name: /As it is now/ })).toContainText('in hand', { timeout: 60_000 });
  const blocks = dialog.getByRole('row', { name: /from blocks/ });
  const laid = await blocks.getByRole('cell').first().innerText();
  await shop.expectAccessible();
  await blocks.getByRole('button', { name: /^Take/ }).click();
  await expect(dialog).toBeHidden();
  // What the table said is what the lay now takes.
  await expect(shop.tray()).toContainText(`${laid} laid`, { timeout: 60_000 });
  await page.keyboard.press('Control+z');
  await expect(shop.tray()).not.toContainText(`${laid} laid`, { timeout: 60_000 });

  await shop.choose('Bias strips', 'a tube, cut round');
  await shop.tick('look ten times as long');
  await expect(page.getByRole('button', { name: 'Stop, keep the best' })).toBeVisible();
  await page.getByRole('button', { name: 'Stop, keep the best' }).click();
  await expect(shop.tray()).toContainText('Stopped by hand');
  await shop.expectAccessible();

  const [download] = await Promise.all([page.waitForEvent('download'), page.getByRole('button', { name: 'Save the lay as DXF' }).click()]);
  expect(download.suggestedFilename()).toMatch(/^conductor-s-chair-.*\.dxf$/);
  const text = fs.readFileSync(await download.path(), 'utf8');
  // The material’s edge, then the pieces: strips come first.
  expect(text).toContain('\nMATERIAL\n');
  const names = [...text.matchAll(/\nTEXT\n8\nTEXT\n(?:.*\n){6}1\n(.*)\n/g)].map(([, name]) => name ?? '');
  expect(names.length).toBeGreaterThan(10);
  expect(names[0]).toMatch(/^1 .*(boxing|band|plaque|strip|welt)/);
  await shop.saved();
});

test('a piece is moved by keys and by hand, stays where it is put over a reload, and is unpinned, all undone', async ({ shop, page }) => {
  await shop.openJob('Conductor’s chair');
  await shop.goTo('Lay');
  await expect(shop.tray()).toContainText('laid', { timeout: 60_000 });
  await page
    .getByRole('button', { name: /plate.*copy 1, .* along, .* across/ })
    .first()
    .focus();
  await page.keyboard.press('Enter');
  await expect(page.locator('[data-part=room]')).toContainText(/^Room round it: .+ towards the beginning, .+ onward, .+ below, .+ above\.$/);
  await page.getByRole('button', { name: 'Pin it here' }).click();
  await expect(page.getByRole('button', { name: 'Unpin all (1)' })).toBeVisible();
  const knob = page.getByRole('button', { name: /^Move .*plate/ });
  await knob.focus();
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('ArrowRight');
  await expect(shop.tray()).toContainText('laid', { timeout: 60_000 });
  await expect(knob).toBeFocused();
  await expect(page.getByRole('button', { name: 'Unpin all (1)' })).toBeVisible();
  // By hand, a good way along the roll.
  const box = (await knob.boundingBox())!;
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + 120, box.y + 10, { steps: 6 });
  // Before it is let go, what it would cost there is told.
  await expect(page.locator('[data-part=move-cost]')).toHaveText(/^Put here, the lay is (no longer than now|at most .* m longer)\.$/);
  await page.mouse.up();
  await expect(page.locator('[data-part=move-cost]')).toBeHidden();
  await expect(shop.tray()).toContainText('laid', { timeout: 60_000 });
  await shop.expectAccessible();
  await shop.saved();
  await page.reload();
  await expect(page.getByRole('button', { name: 'Unpin all (1)' })).toBeVisible();
  await page.getByRole('button', { name: 'Unpin all (1)' }).click();
  await expect(page.getByRole('button', { name: 'Unpin all (1)' })).toBeHidden();
  await page.keyboard.press('Control+z');
  await expect(page.getByRole('button', { name: 'Unpin all (1)' })).toBeVisible();
  await page.keyboard.press('Control+Shift+z');
  await expect(page.getByRole('button', { name: 'Unpin all (1)' })).toBeHidden();
  await shop.saved();
});

test('a patterned cloth is matched, which costs cloth, and is bought with a repeat to begin on', async ({ shop, page }) => {
  await shop.openJob('Reading corner');
  await shop.goTo('Lay');
  const laid = async (): Promise<number> => {
    await expect(page.getByRole('button', { name: 'Stop, keep the best' })).toBeHidden({ timeout: 60_000 });
    return Number(/([\d.]+) m laid/.exec(await shop.tray().innerText())?.[1]);
  };
  const bought = async (): Promise<number> => Number(/buy\s+([\d.]+) m/.exec(await shop.tray().innerText())?.[1]);
  const [matched, matchedBuy] = [await laid(), await bought()];
  // 30 to square the end and one repeat of 320, up to a tenth of a metre.
  expect(matchedBuy).toBeCloseTo(Math.ceil((matched + 0.03 + 0.32) * 10 - 0.05) / 10, 5);
  await page.getByRole('checkbox', { name: 'pattern matched' }).uncheck();
  await expect(shop.tray()).not.toContainText(`${matched} m laid`, { timeout: 60_000 });
  expect(await laid()).toBeLessThan(matched - 0.5);
  await page.keyboard.press('Control+z');
  await expect(page.getByRole('checkbox', { name: 'pattern matched' })).toBeChecked();
  await expect(shop.tray()).toContainText(`${matched} m laid`, { timeout: 60_000 });

  // What one piece's match costs is told among the ways to lay it, and can be let go by itself.
  await page.getByRole('button', { name: 'Compare lays' }).click();
  const one = page.getByRole('row', { name: /^\d+ Day mattress, .* not matched/ }).first();
  await expect(one).toBeVisible({ timeout: 120_000 });
  await one.getByRole('button', { name: /^Take/ }).click();
  await expect(shop.tray()).toContainText('One piece is not matched.');
  expect(await laid()).toBeLessThanOrEqual(matched);
  await page.getByRole('button', { name: 'Match again' }).click();
  await expect(shop.tray()).not.toContainText('not matched');
  await expect(shop.tray()).toContainText(`${matched} m laid`, { timeout: 60_000 });
  await shop.saved();
});

test('what is cut comes off a hide first, and what a job leaves over is kept in one press, taken back, and used by the next', async ({ shop, page }) => {
  // A job of its own: others change what this shop began with.
  const job = JSON.parse(fs.readFileSync(new URL('../../demo/jobs/ushers-perches.json', import.meta.url), 'utf8')) as object;
  const takeIn = async (name: string): Promise<void> => {
    await page.goto('/jobs');
    await page
      .locator('input[type=file]')
      .setInputFiles({ name: 'perches.json', mimeType: 'application/json', buffer: Buffer.from(JSON.stringify({ ...job, name })) });
    // A job that comes in is opened.
    await expect(shop.ticket()).toBeVisible();
  };
  // The demo's own job has set the hide aside, and it can be cut once only: another comes in without it, and that is said.
  await takeIn('Perches again');
  await expect(page.getByText(/set aside for “Ushers’ perches” already.*Perches again came in without the remnants/)).toBeVisible();
  // Once it is free it comes in with it.
  const { jobs } = (await (await page.request.get('/api/jobs?search=ushers')).json()) as { jobs: { id: string }[] };
  const address = `/api/jobs/${jobs[0]!.id}`;
  const stored = (await (await page.request.get(address)).json()) as { revision: number; job: { remnants?: string[] } };
  const { remnants: _remnants, ...free } = stored.job;
  expect((await page.request.put(address, { data: { revision: stored.revision, label: 'Hide', job: free } })).status()).toBe(200);
  await takeIn('Perches in leather');
  await shop.goTo('Lay');
  // The hide set aside takes everything that is seen: nothing of it is bought.
  await expect(shop.tray()).toContainText(/nothing\s+it is kept/, { timeout: 60_000 });
  await expect(shop.tray()).toContainText('12 pieces');
  await expect(shop.ticket().getByRole('row', { name: /Saddle hide/ })).toHaveCount(0);
  await shop.expectAccessible();
  // From a piece on the ticket to where it lies, on whichever material; and its row is marked.
  const row = shop.ticket().locator('[data-piece]').filter({ hasText: 'staple flange' });
  await row.click();
  await shop.ticket().getByRole('link', { name: 'Show it on the lay' }).click();
  await expect(shop.tray().getByRole('status').filter({ hasText: 'staple flange' })).toBeVisible();
  await expect(shop.tray().getByRole('combobox', { name: 'Lay on' }).locator('option:checked')).toContainText('Unbleached calico');
  await expect(row).toHaveClass(/bg-calico/);
  await shop.tray().getByRole('combobox', { name: 'Lay on' }).selectOption({ index: 0 });
  await page.getByRole('checkbox', { name: /first of two/ }).click();
  await expect(shop.ticket().getByRole('row', { name: /Saddle hide/ })).toContainText('1 hide', { timeout: 60_000 });
  await page.keyboard.press('Control+z');
  await expect(shop.ticket().getByRole('row', { name: /Saddle hide/ })).toHaveCount(0, { timeout: 60_000 });

  // Two foams leave a part of a sheet each, the calico nothing worth keeping.
  await page.getByRole('button', { name: 'Keep what is left (2)' }).click();
  await expect(page.getByText(/^On the shelf: /)).toBeVisible();
  await expect(page.getByRole('button', { name: /^Keep what is left/ })).toBeHidden();
  await page.locator('yl-messages').getByRole('button', { name: 'Undo' }).click();
  await page.getByRole('button', { name: 'Keep what is left (2)' }).click();
  await expect(page.getByRole('button', { name: /^Keep what is left/ })).toBeHidden();

  await page.goto('/stockroom');
  const remnants = page.getByRole('table', { name: 'Remnants and hides' });
  await expect(remnants.getByRole('row', { name: /Perches in leather/ })).toHaveCount(2);
  await remnants.getByRole('button', { name: 'Saddle hide, tan', exact: true }).click();
  const panel = page.locator('yl-remnants-panel').getByRole('region');
  await panel.getByRole('button', { name: 'Mark it' }).click();
  await expect(panel).toContainText('flaw 50 × 50 mm, 0 mm from the left');
  await panel.getByRole('button', { name: /^Remove flaw 50 × 50 mm/ }).click();
  await expect(panel).not.toContainText('flaw 50 × 50 mm');
  await page
    .locator('yl-remnants-panel input[type=file]')
    .setInputFiles({ name: 'hide.csv', mimeType: 'text/csv', buffer: Buffer.from('x,y\n100,50\n2000,50\n1900,1500\n100,1400\n') });
  await expect(remnants.getByRole('row', { name: /first of two/ })).toContainText(/1\s*900 × 1\s*450 mm/);
  await remnants
    .getByRole('row', { name: /Perches in leather/ })
    .first()
    .getByRole('button', { name: /^Used up/ })
    .click();
  await expect(remnants.getByRole('row', { name: /Perches in leather/ })).toHaveCount(1);
  await shop.expectAccessible();
});

test('a welt for which less is bought is proposed by itself; foam is sawn from edge to edge, its cuts numbered', async ({ shop, page }) => {
  await shop.openJob('Reading corner');
  await shop.goTo('Lay');
  const proposal = shop.tray().locator('[data-part=proposal]');
  await expect(proposal).toContainText(/less to buy, .* in the welt/, { timeout: 60_000 });
  const cloth = shop.tray().locator('dl').first();
  const before = await cloth.innerText();
  await proposal.getByRole('button', { name: 'Cut it so' }).click();
  await expect.poll(() => cloth.innerText(), { timeout: 60_000 }).not.toBe(before);
  await page.keyboard.press('Control+z');
  await expect.poll(() => cloth.innerText(), { timeout: 60_000 }).toBe(before);

  const foam = await shop.tray().getByRole('combobox', { name: 'Lay on' }).locator('option').allInnerTexts();
  await shop.choose('Lay on', foam.find((name) => / mm$/.test(name)) ?? '');
  await shop.tick('sawn from edge to edge');
  // Along it and across it: the day mattress alone lies on its sheet.
  await expect(page.locator('[data-look=saw]')).toHaveCount(2, { timeout: 60_000 });
  await shop.expectAccessible();
  // Where the saw goes nothing is moved by hand.
  await page
    .locator('yl-table')
    .getByRole('button', { name: /copy 1,/ })
    .first()
    .click();
  await page.getByRole('button', { name: 'Pin it here' }).click();
  await expect(shop.tray().getByRole('alert')).toContainText('pieces are not moved by hand');
  await page.keyboard.press('Control+z');
  await expect(page.locator('[data-look=saw]')).toHaveCount(0, { timeout: 60_000 });
});
