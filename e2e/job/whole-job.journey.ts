import fs from 'node:fs';
import { expect, test } from '../support/bench';

test('a plain seat from the first measure to a printed ticket, and found again', async ({ shop, page }) => {
  await shop.openJobs();
  await page.getByRole('button', { name: 'New job' }).click();
  await expect(shop.ticket()).toBeVisible();

  await shop.setLength('Wide', '590');
  await shop.setLength('Deep', '49 cm');
  await shop.setLength('Finished height', '75');
  await shop.expectSize('Finished', '590 millimetres', '490 millimetres', '75 millimetres');
  await shop.expectSize('Cut, plate', '616 millimetres', '516 millimetres');
  await expect(shop.piece('plate').locator('[data-part=size]')).toContainText('616');

  // Every number says why.
  await shop.ticket().getByRole('button', { name: 'Cut, plate wide, why' }).click();
  await expect(shop.ticket().locator('yl-why')).toContainText('590 seat − 0 gap = 590 finished');
  await expect(shop.ticket().locator('yl-why')).toContainText('+ 2 × 13 seam = 616 cut');
  await shop.ticket().getByRole('button', { name: 'Cut, plate wide, why' }).click();

  // A size typed onto the drawing.
  await page.getByRole('button', { name: /^seat width 590 mm/ }).click();
  await page.getByRole('textbox', { name: 'seat width' }).fill('23 1/2"');
  await page.keyboard.press('Enter');
  await shop.expectSize('Seat', '597 millimetres', '490 millimetres');
  await shop.saved();

  // Undone, done again, over a reload.
  await page.getByRole('button', { name: 'Undo: Width' }).click();
  await shop.expectSize('Seat', '590 millimetres', '490 millimetres');
  await page.reload();
  await page.getByRole('button', { name: 'Redo: Width' }).click();
  await shop.expectSize('Seat', '597 millimetres', '490 millimetres');

  // The job's own sheet.
  await page.getByRole('button', { name: /the job’s own sheet/ }).click();
  const sheet = page.getByRole('dialog', { name: 'The job' });
  await sheet.getByLabel('Name').fill('Bay of the journey');
  await sheet.getByLabel('Promised for').fill('2027-01-15');
  await sheet.getByLabel('State').selectOption('cutting');
  await shop.expectAccessible();
  await sheet.getByRole('button', { name: 'Done' }).click();
  await expect(page.locator('[data-part=job-title]')).toContainText('due 15 Jan 2027');

  // Name it, and go through every station.
  await shop.setLength('Called', 'Window seat of the journey');
  for (const station of ['Look over', 'Filling', 'Build', 'Cover', 'Lay', 'Bench', 'Check', 'Template']) {
    await shop.goTo(station);
    await shop.expectAccessible();
  }

  // The lay is worked out in the worker, and says what to buy.
  await shop.goTo('Lay');
  await expect(shop.tray().getByText('used')).toBeVisible();
  await expect(shop.ticket().locator('[data-part=buy]').getByRole('row').filter({ hasText: 'Indigo twill' })).toContainText(/\d m/);

  const [ticket] = await Promise.all([page.context().waitForEvent('page'), shop.ticket().getByRole('link', { name: 'Print this ticket' }).click()]);
  const pdf = await page.request.get(ticket.url());
  expect(pdf.headers()['content-type']).toBe('application/pdf');
  expect((await pdf.body()).subarray(0, 5).toString()).toBe('%PDF-');
  await ticket.close();

  await shop.saved();
  await shop.openJobs();
  await page.getByRole('searchbox', { name: 'Search jobs and cushions' }).fill('window seat of the journey');
  await expect(page.locator('[data-part=name]')).toHaveText(['Bay of the journey']);
  await expect(page.locator('[data-part=chip]')).toHaveText(['cutting']);
});

test('the same in inches, with bad input that loses nothing', async ({ shop, page }) => {
  await shop.openJob('Prompt-side boxes');
  await shop.expectSize('Seat', '19 3/4 inches', '17 inches');
  const wide = shop.tray().getByRole('textbox', { name: 'Wide' });
  await wide.fill('20 1/0');
  await wide.press('Enter');
  await expect(shop.tray()).toContainText('The lower number of a fraction cannot be zero.');
  await shop.expectSize('Seat', '19 3/4 inches', '17 inches');
  await wide.fill('20 1/4');
  await wide.press('Enter');
  await shop.expectSize('Cut, plate', '21 1/4 inches', '18 inches');
  await wide.blur();
  await page.keyboard.press('u');
  await shop.expectSize('Seat', '514 millimetres', '432 millimetres');
  await page.keyboard.press('u');

  // A radius that cannot be is said at the ticket with what to do, blocks its station, and is mended by undo.
  await shop.setLength('Corner radius', '9');
  await expect(shop.ticket().getByRole('list', { name: 'Problems' })).toContainText('Make it 8 1/2 in or less.');
  await expect(page.getByRole('link', { name: 'Template blocked' })).toBeVisible();
  await shop.saved();
  await page.getByRole('button', { name: 'Undo: Corner radius' }).click();
  await expect(shop.ticket()).not.toContainText('Make it 8 1/2 in or less.');
});

test('a drag is one step of undo, and every derived size follows it', async ({ shop, page }) => {
  await shop.openJob('Reading corner');
  await page.getByRole('button', { name: 'Floor cushion, 4' }).click();
  await shop.expectSize('Finished', '560 millimetres', '560 millimetres', '100 millimetres');
  const handle = page.getByRole('slider', { name: 'Drag the width' });
  const box = (await handle.boundingBox())!;
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  for (let i = 1; i <= 8; i++) await page.mouse.move(box.x + box.width / 2 + 5 * i, box.y + box.height / 2);
  // Derived while it is still held; what it is let go at is cut 26 larger.
  await expect.poll(async () => (await shop.size('Cut, plate'))[0]).not.toBe('586 millimetres');
  await page.mouse.up();
  await shop.saved();
  const wide = Number(await handle.getAttribute('aria-valuenow'));
  expect(wide).toBeGreaterThan(560);
  await shop.expectSize('Cut, plate', `${wide + 26} millimetres`, '586 millimetres');
  await page.getByRole('button', { name: 'Undo: Width' }).click();
  await shop.expectSize('Cut, plate', '586 millimetres', '586 millimetres');
  // The same by keyboard.
  await page.getByRole('slider', { name: 'Drag the depth' }).press('ArrowUp');
  await shop.expectSize('Finished', '560 millimetres', '561 millimetres', '100 millimetres');
});

test('a long bench tells what is wrong with the cloth, and one switch mends it', async ({ shop }) => {
  await shop.openJob('Stalls benches');
  await shop.goTo('Lay');
  await shop.tray().getByText('up the roll').click();
  const problems = shop.ticket().getByRole('list', { name: 'Problems' });
  await expect(problems).toContainText('The plate is 1 706 mm across and the cloth gives 1 380 mm.');
  await expect(problems).toContainText('falls on the front edge');
  await expect(shop.tray().getByRole('alert')).toContainText('Does not fit: Front row bench: plate');
  await shop.tray().getByText('railroaded').click();
  await expect(problems).toBeHidden();
});

test('steps are ticked and kept, a check measures against the promise', async ({ shop, page }) => {
  await shop.openJob('Puppeteers’ kneelers');
  await shop.goTo('Bench');
  await expect(page.getByText('12 of 16 steps to do')).toBeVisible();
  await page.getByRole('checkbox', { name: /Lay the faces on the core/ }).click();
  await expect(page.getByText('11 of 16 steps to do')).toBeVisible();
  await shop.saved();
  await page.reload();
  await expect(page.getByText('11 of 16 steps to do')).toBeVisible();

  await page.getByRole('button', { name: 'Pit kneeler, wide, 3' }).click();
  await shop.goTo('Check');
  await page.getByRole('button', { name: 'Measure a cushion' }).click();
  await page.getByRole('textbox', { name: 'Wide, measured' }).fill('761');
  await page.getByRole('textbox', { name: 'Deep, measured' }).fill('340');
  await page.getByRole('textbox', { name: 'Remark' }).fill('Corners full.');
  await page.getByRole('textbox', { name: 'Remark' }).blur();
  await expect(page.locator('[data-part=comparison]').getByRole('row', { name: 'Wide' })).toContainText('1 mm over');
  await expect(page.locator('[data-part=comparison]').getByRole('row', { name: 'Deep' })).toContainText('20 mm over · look again');
  // What a depth alone means, with the way to mend it; and what the hand says.
  const means = page.getByRole('list', { name: 'What check 1 means' });
  await expect(means).toContainText('Only the depth is 20 mm over');
  await page.getByRole('combobox', { name: 'Corners' }).selectOption('empty');
  await expect(means).toContainText('the core does not reach them');
  await expect(means.getByRole('link', { name: 'Build' })).toBeVisible();
  await page.locator('yl-pictures input[type=file]').setInputFiles({
    name: 'kneeler.png',
    mimeType: 'image/png',
    buffer: Buffer.from('iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==', 'base64'),
  });
  await expect(page.getByRole('img', { name: 'Picture 1 of check 1' })).toBeVisible();
  await shop.expectAccessible();
  await expect(page.getByRole('link', { name: 'Check doubtful' })).toBeVisible();
});

test('the job goes out as a file and comes back the same', async ({ shop, page }) => {
  await shop.openJob('Storage chest top');
  const [download] = await Promise.all([page.waitForEvent('download'), page.getByRole('link', { name: 'Export this job as a file' }).click()]);
  const file = await download.path();
  const out = JSON.parse(fs.readFileSync(file, 'utf8')) as { name: string };
  expect(out.name).toBe('Storage chest top');
  const sent = { ...out, name: 'Chest from a file' };

  await shop.openJobs();
  await page
    .getByLabel('A job file to import')
    .setInputFiles({ name: 'chest.job.json', mimeType: 'application/json', buffer: Buffer.from(JSON.stringify(sent)) });
  await expect(shop.ticket()).toBeVisible();
  const id = /jobs\/([0-9a-f-]+)/.exec(page.url())?.[1] ?? '';
  const back = (await (await page.request.get(`/api/jobs/${id}/export`)).json()) as unknown;
  expect(back).toEqual(sent);

  await shop.openJobs();
  await page
    .getByLabel('A job file to import')
    .setInputFiles({ name: 'broken.json', mimeType: 'application/json', buffer: Buffer.from(JSON.stringify({ ...out, cushions: [] })) });
  await expect(page.getByRole('alert')).toContainText('broken.json was not taken. At cushions:');
});
