import { expect, Shop, test } from '../support/bench';

test('a batch of six is ticked in two windows; a wrong plate opens what is sewn with it and is cut anew', async ({ shop, page, context }) => {
  await shop.openJob('Prompt-side boxes');
  await shop.goTo('Bench');
  const other = new Shop(await context.newPage());
  await other.page.goto(page.url());
  const cut = (number: number, of: Shop) =>
    of.page.getByRole('group', { name: /^Square the end/ }).getByRole('button', { name: new RegExp(`^Cushion ${number}, `) });
  await expect(cut(1, other)).toBeVisible();

  // Both windows tick the same step of the same job, and neither is asked to choose.
  await cut(1, shop).click();
  await cut(4, shop).click();
  await shop.saved();
  await cut(2, other).click();
  await other.saved();
  for (const number of [1, 2, 4]) await expect(cut(number, other)).toHaveAttribute('aria-pressed', 'true');
  await expect(cut(3, other)).toHaveAttribute('aria-pressed', 'false');
  await expect(other.page.getByRole('dialog')).toBeHidden();
  await other.page.close();
  await page.reload();
  for (const number of [1, 2, 4]) await expect(cut(number, shop)).toHaveAttribute('aria-pressed', 'true');
  await page.getByText('Where each of the 6 is').click();
  await expect(page.getByRole('listitem').filter({ hasText: /^\s*3\s*next: Square the end/ })).toContainText('0 of');

  // Four have their plate sewn to the band; on number 4 the plate was cut wrong.
  const band = page.getByRole('listitem').filter({ hasText: 'Sew the band to the top plate' }).last();
  for (const number of [1, 2, 3, 4]) await band.getByRole('button', { name: new RegExp(`^Cushion ${number}, `) }).click();
  await shop.saved();
  // The look after it: a corner of number 3 is not on its notch, and is sewn again before the next seam hides it.
  const look = page.getByRole('listitem').filter({ hasText: 'Look before you go on: Is every corner square' }).last();
  await look.getByRole('button', { name: 'No: mend it first' }).click();
  const mend = page.getByRole('dialog', { name: 'No: mend it before you go on' });
  await mend.getByRole('button', { name: /^Cushion 1, / }).click();
  await mend.getByRole('button', { name: /^Cushion 3, / }).click();
  await expect(mend).toContainText('Sew the band to the top plate');
  await shop.expectAccessible();
  await mend.getByRole('button', { name: 'Sew that run again' }).click();
  await expect(band.getByRole('button', { name: /^Cushion 3, to do/ })).toBeVisible();
  await expect(band.getByRole('button', { name: /^Cushion 2, done/ })).toBeVisible();
  await shop.goTo('Check');
  await expect(page.getByText('Found at the looks on the bench: corners 1.')).toBeVisible();
  await shop.goTo('Bench');
  await band.getByRole('button', { name: /^Cushion 3, / }).click();
  await shop.saved();
  await page.getByRole('button', { name: 'A piece is wrong' }).click();
  const dialog = page.getByRole('dialog', { name: 'A piece is wrong' });
  await dialog.getByLabel('Which piece').selectOption({
    label: await dialog
      .getByRole('option', { name: /^plate/ })
      .first()
      .innerText(),
  });
  await dialog.getByRole('button', { name: /^Cushion 1, / }).click();
  await dialog.getByRole('button', { name: /^Cushion 4, / }).click();
  await dialog.getByLabel('What was wrong with it').fill('nap the wrong way');
  await expect(dialog.getByRole('region', { name: 'Open, the last first' })).toContainText('Sew the band to the top plate');
  await expect(dialog.getByRole('region', { name: 'Then do again' })).toContainText('on 4');
  await shop.expectAccessible();
  await dialog.getByRole('button', { name: 'Cut it anew' }).click();
  await expect(page.getByRole('region', { name: 'Cut anew' })).toContainText('1 × plate on 4');
  await expect(page.getByRole('region', { name: 'Cut anew' })).toContainText('nap the wrong way');
  await expect(band.getByRole('button', { name: /^Cushion 4, to do/ })).toBeVisible();
  await expect(band.getByRole('button', { name: /^Cushion 3, done/ })).toBeVisible();
  await shop.expectAccessible();

  // There is no room for it between what is cut, so that it is bought: the list of what is cut anew says where it lies, and goes there.
  await page.getByRole('region', { name: 'Cut anew' }).getByRole('link', { name: '1 on Moss velvet, cut anew', exact: true }).click({ timeout: 60_000 });
  await expect(page.getByRole('button', { name: /plate.*copy 1/ })).toHaveCount(1);
  await expect(shop.tray()).toContainText('laid', { timeout: 60_000 });
  await shop.goTo('Bench');
  await page.keyboard.press('Control+z');
  await expect(page.getByRole('region', { name: 'Cut anew' })).toBeHidden();
  await expect(band.getByRole('button', { name: /^Cushion 4, done/ })).toBeVisible();
  await shop.saved();
});

test('people of the shop are told by name: whoever is at a screen signs what is ticked there', async ({ shop, page }) => {
  await page.goto('/stockroom');
  for (const name of ['Alma', 'Bo']) {
    const box = page.getByRole('textbox', { name: 'Name', exact: true });
    await box.fill(name);
    await page.getByRole('button', { name: 'Add them' }).click();
  }
  await expect(page.getByRole('list', { name: 'Who works here' })).toContainText('Bo');
  await page.getByRole('button', { name: 'Add them' }).click();
  await expect(page.getByRole('alert')).toContainText('Write a name first.');
  await shop.expectAccessible();

  await shop.openJob('Puppeteers’ kneelers');
  await shop.goTo('Bench');
  const first = page.getByRole('listitem').filter({ hasText: 'Lay the faces on the core' }).last();
  const cushion = (n: number) => first.getByRole('button', { name: new RegExp(`^Cushion ${n}, `) });
  const at = page.getByRole('combobox', { name: 'At this screen' });
  await at.selectOption('Alma');
  await cushion(6).click();
  await cushion(7).click();
  await at.selectOption('Bo');
  await cushion(8).click();
  await expect(first).toContainText('done by Alma 6, 7; Bo 8');
  await shop.saved();
  await page.reload();
  await expect(at).toHaveValue('Bo');
  await expect(first).toContainText('done by Alma 6, 7; Bo 8');
  await shop.expectAccessible();
  // As it was, for the other journeys.
  await first.getByRole('button', { name: /^Lay the faces/ }).click();
  for (const n of [6, 7, 8]) await cushion(n).click();
  await shop.saved();
  await page.goto('/stockroom');
  for (const name of ['Alma', 'Bo']) await page.getByRole('button', { name: `Remove ${name}` }).click();
  await expect(page.getByRole('list', { name: 'Who works here' })).not.toContainText(/Alma|Bo/);
});

test('piece labels go to the label printer, which says how far it is and can be stopped', async ({ shop, page }) => {
  await shop.openJob('Puppeteers’ kneelers');
  await page.getByRole('button', { name: 'More to take away' }).click();
  await page.getByRole('menuitem', { name: 'Send the labels to the label printer' }).click();
  const dialog = page.getByRole('dialog', { name: 'Labels of Bridge kneeler' });
  await expect(dialog).toContainText('simulated');
  await shop.expectAccessible();
  await dialog.getByRole('button', { name: 'Print' }).click();
  await expect(dialog.getByRole('progressbar', { name: 'Labels printed' })).toBeVisible();
  const out = async (): Promise<number> => Number(/(\d+) of \d+ printed/.exec(await dialog.innerText())?.[1]);
  await expect.poll(out).toBeGreaterThan(2);
  await dialog.getByRole('button', { name: 'Stop' }).click();
  const stopped = await out();
  await dialog.getByRole('button', { name: 'Go on' }).click();
  await expect.poll(out).toBeGreaterThan(stopped);
  // Whatever is left of the roll: it ends, or all are out.
  await expect(dialog).toContainText(/All are out|The roll is at its end/, { timeout: 60_000 });
});

test('the bench view is stepped, ticked and timed by keys alone, and reads on a phone', async ({ shop, page }) => {
  await page.setViewportSize({ width: 1024, height: 768 });
  await shop.openJob('Gallery and box seats');
  await shop.goTo('Bench');
  await page.getByRole('button', { name: 'At the bench' }).focus();
  await page.keyboard.press('Enter');
  const view = page.getByRole('dialog', { name: /Gallery bench, curved/ });
  await expect(view.getByRole('status')).toContainText(/Step \d+ of \d+/);
  while (!(await view.getByRole('status').innerText()).startsWith('Step 1 ')) await page.keyboard.press('ArrowLeft');
  const first = await view.getByRole('group').last().getByRole('button').count();
  expect(first).toBe(6);
  const doneOf = async (): Promise<number> => view.getByRole('button', { name: /^Cushion \d+, done/ }).count();
  const before = await doneOf();
  // A foot switch sends some key; a number is that cushion.
  await page.keyboard.press('b');
  await expect.poll(doneOf).toBe(before + 1);
  await page.keyboard.press('6');
  await expect(view.getByRole('button', { name: /^Cushion 6, done/ })).toBeVisible();
  await page.keyboard.press('t');
  await expect(view.getByRole('button', { name: /Clock off, 0:0\d/ })).toBeVisible();
  await page.keyboard.press('t');
  await expect(view.getByText(/clocked 0 min/)).toBeVisible();
  await page.keyboard.press('ArrowRight');
  await expect(view.getByRole('status')).toContainText('Step 2 of');
  // Where no piece is in hand the cushion is seen across.
  const steps = Number(/of (\d+)/.exec(await view.getByRole('status').innerText())?.[1]);
  for (let step = 3; step <= steps; step++) {
    await page.keyboard.press('ArrowRight');
    await expect(view.getByRole('status')).toContainText(`Step ${step} of`);
  }
  await expect(view.getByLabel(/^Section of Gallery bench, curved/)).toBeVisible();
  await shop.expectAccessible();
  await page.setViewportSize({ width: 390, height: 844 });
  await expect(view.getByRole('button', { name: /One more done|Done/ })).toBeInViewport({ ratio: 1 });
  const wide = await page.evaluate(() => document.documentElement.scrollWidth);
  expect(wide).toBeLessThanOrEqual(390);
  await page.keyboard.press('Escape');
  await expect(view).toBeHidden();
});

test('a size that changes after cutting asks: keep it, cut it anew, or make it do; the bench is told', async ({ shop, page }) => {
  await shop.openJob('Queue benches, courtyard');
  await shop.goTo('Bench');
  await page.getByRole('checkbox', { name: /^Done: Square the end/ }).click();
  await shop.goTo('Template');
  const depth = Number((await shop.size('Seat'))[1]?.replace(/\D/g, ''));
  await shop.setLength('Deep', String(depth + 4));
  await shop.goTo('Bench');
  await page.getByRole('button', { name: 'Keep, cut anew, or make it do' }).click();
  const dialog = page.getByRole('dialog', { name: 'Cut before the size changed' });
  const plate = dialog.getByRole('region', { name: /plate/ }).first();
  await expect(plate).toContainText(/The cushion (stays|becomes)/);
  // 4 missing front to back: 2 less of each seam.
  await expect(plate).toContainText(/Sew it with a seam of \d+ mm/);
  await shop.expectAccessible();
  const open = dialog.getByRole('heading', { name: /planned now/ });
  const pieces = await open.count();
  await plate.getByRole('button', { name: 'Make it do' }).click();
  await expect(open).toHaveCount(pieces - 1);
  await dialog.getByRole('button', { name: 'Done', exact: true }).click();
  await expect(
    page
      .locator('.step')
      .filter({ hasText: /as it was cut, .* sew it with a seam of/ })
      .first(),
  ).toBeVisible();
  await page.keyboard.press('Control+z');
  await expect(page.locator('.step').filter({ hasText: /as it was cut/ })).toHaveCount(0);
  // What was cut together goes together: one press keeps all of it.
  await page.getByRole('button', { name: 'Keep, cut anew, or make it do' }).click();
  const together = dialog.getByRole('region', { name: 'All of them' });
  await expect(together).toContainText(/The cushion (stays|becomes)/);
  await expect(together).not.toContainText('The band is then');
  await expect(plate).toContainText('The band is then 8 mm too long');
  await together.getByRole('button', { name: 'Keep all that was cut' }).click();
  await expect(dialog).toContainText('Every piece of this step is decided.');
});

test('a wrapped core is tried before its cloth is cut, its edge rolled by a left hand, and the work hung on the wall', async ({ shop, page, request }) => {
  await shop.openJob('Dressing room one');
  await shop.goTo('Build');
  await shop.tray().getByText('Wrap', { exact: true }).click();
  await shop.choose('Tried on before cloth is cut', 'yes: the cover follows');
  await shop.setLength('Measured wide', '1806');
  await shop.saved();
  await shop.goTo('Bench');
  const steps = page.getByRole('listitem');
  await expect(steps.filter({ hasText: 'Before any cloth is cut, measure the wrapped core' }).last()).toContainText(
    '1 800 × 720 mm and 125 mm high were planned',
  );
  await expect(shop.ticket()).toContainText(/sewn\s*1\s806/i);

  // The drawing numbers the stitches the way that this person sews.
  await page.getByRole('combobox', { name: 'Sews with' }).selectOption('the left hand');
  await steps.filter({ hasText: 'stitch the roll along both edges' }).last().getByRole('button').first().click();
  await page.getByRole('button', { name: 'At the bench' }).click();
  await expect(page.getByRole('dialog').getByRole('group', { name: /side after side: back, right, left, front; for a left hand/ })).toBeVisible();
  await shop.expectAccessible();
  await page.keyboard.press('Escape');

  const link = page.getByRole('link', { name: 'Print it for the wall' });
  await expect(link).toHaveAttribute('href', /\/wall\/1\.pdf\?hand=left$/);
  const paper = await request.get((await link.getAttribute('href')) ?? '');
  expect([paper.status(), paper.headers()['content-type']]).toEqual([200, 'application/pdf']);
});
