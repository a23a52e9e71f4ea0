import fs from 'node:fs';
import { expect, test, type Shop } from '../support/bench';

const part = (shop: Shop, name: string) => shop.tray().locator('[data-part=tabs]').getByText(name, { exact: true }).click();

test('any shape by its measures: changed, typed on the drawing, refused in plain words, and the whole cover follows', async ({ shop, page }) => {
  await shop.openJob('Gallery and box seats');
  await page.getByRole('button', { name: 'Box seat between arms, 2' }).click();
  await shop.goTo('Template');
  await shop.expectSize('Seat', '640 millimetres', '560 millimetres');
  // Typed onto the drawing.
  await page.getByRole('button', { name: /^between the arms 500/ }).click();
  const typed = page.locator('[data-part=dim]').getByRole('textbox', { name: 'between the arms' });
  await typed.fill('520');
  await typed.press('Enter');
  await expect(shop.tray().getByRole('textbox', { name: 'Between the arms' })).toHaveValue('520');
  await shop.setLength('Between the arms', '700');
  await expect(shop.ticket().getByRole('link', { name: /width between the arms is 700 mm/ })).toBeVisible();
  await shop.setLength('Between the arms', '500');
  await shop.goTo('Bench');
  await expect(page.getByRole('button', { name: /Stay-stitch the 2 inner corners/ })).toBeVisible();
  // Another shape keeps its reach.
  await shop.goTo('Template');
  await shop.tray().getByRole('combobox', { name: 'Shape' }).selectOption('oval');
  await shop.expectSize('Seat', '640 millimetres', '560 millimetres');
  await shop.goTo('Bench');
  await expect(page.getByRole('button', { name: /every \d+.* along the curves/ })).toBeVisible();
  await shop.goTo('Template');
  await shop.tray().getByRole('combobox', { name: 'Shape' }).selectOption('depths from the front');
  await shop.tray().getByRole('button', { name: 'A depth' }).click();
  await expect(shop.tray().getByRole('textbox', { name: 'deep' })).toHaveCount(6);
  await shop.expectAccessible();
  await shop.saved();
});

test('points are dragged, snapped and mirrored, each a step of undo; halves are evened out', async ({ shop, page }) => {
  await shop.openJob('Gallery and box seats');
  await page.getByRole('button', { name: /Foyer bay window/ }).click();
  await shop.goTo('Template');
  await part(shop, 'Points');
  await shop.tick('mirror what I drag');
  const point = page.getByRole('button', { name: 'Point 4', exact: true });
  const box = (await point.boundingBox())!;
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2 - 20, { steps: 6 });
  // Derived at once, while it is still in the hand.
  await expect.poll(async () => Number((await shop.size('Seat'))[1]?.replace(/\D/g, ''))).toBeGreaterThan(485);
  await page.mouse.up();
  await shop.saved();
  await expect(page.getByRole('button', { name: 'Undo: Point moved' })).toBeVisible();
  await part(shop, 'Even out');
  await expect(shop.tray()).toContainText('Both halves are the same.');

  // Without mirroring one half goes its own way, is told, and evened out.
  await part(shop, 'Points');
  await shop.tick('mirror what I drag', false);
  await point.press('Shift+ArrowRight');
  await point.press('Shift+ArrowRight');
  await part(shop, 'Even out');
  await expect(shop.tray()).toContainText(/halves differ by \d+/);
  await expect(page.locator('yl-table text').filter({ hasText: 'apart here' })).toBeVisible();
  await shop.expectAccessible();
  await shop.tray().getByRole('button', { name: 'Keep the left' }).click();
  await expect(shop.tray()).toContainText('Both halves are the same.');

  // Drawn round foam: the pen comes off all round; and a knife edge loses its ears but not its width.
  const wide = async (): Promise<number> => Number((await shop.size('Seat'))[0]?.replace(/\D/g, ''));
  const before = await wide();
  await shop.tray().getByRole('button', { name: 'Take the pen off, 3 mm' }).click();
  await expect.poll(wide).toBe(before - 6);
  await page.getByRole('button', { name: 'Undo: Pen taken off' }).click();
  await expect.poll(wide).toBe(before);
  await shop.tray().getByRole('button', { name: 'Take the ears off, 13 mm' }).click();
  await page.getByRole('button', { name: 'Undo: Ears taken off' }).click();
  await expect.poll(wide).toBe(before);

  // A side becomes a curve, gets a point, and the ticket stays true.
  await part(shop, 'Points');
  await page.getByRole('button', { name: /^Bulge of side 1,/ }).focus();
  await shop.tray().getByText('an arc', { exact: true }).click();
  await expect(page.getByRole('button', { name: 'Bulge of side 1, an arc' })).toBeVisible();
  await shop.tray().getByRole('button', { name: 'Point in its middle' }).click();
  await expect(shop.tray()).toContainText('Side 1 of 7');
  await shop.expectAccessible();
  await shop.saved();
});

test('outlines come in from files and go out full size; a bad file loses nothing', async ({ shop, page }) => {
  await shop.openJob('Gallery and box seats');
  await page.getByRole('button', { name: /Old pattern, traced/ }).click();
  await shop.goTo('Template');
  await part(shop, 'Files and print');
  const before = await shop.size('Seat');
  const file = shop.tray().locator('input[type=file]');
  await file.setInputFiles({ name: 'bad.svg', mimeType: 'image/svg+xml', buffer: Buffer.from('<svg><g>') });
  await expect(shop.tray()).toContainText('Line 1 of the SVG file cannot be read right: 1:8: unclosed tag: g.');
  expect(await shop.size('Seat')).toEqual(before);
  const drawing =
    '<svg xmlns="http://www.w3.org/2000/svg" width="400mm" height="400mm" viewBox="0 0 400 400"><path d="M20 380 H380 V200 A180 180 0 0 0 20 200 Z"/></svg>';
  await file.setInputFiles({ name: 'arch.svg', mimeType: 'image/svg+xml', buffer: Buffer.from(drawing) });
  await expect(shop.tray()).toContainText('arch.svg is the template now.');
  await shop.expectSize('Seat', '360 millimetres', '360 millimetres');
  await file.setInputFiles({ name: 'points.csv', mimeType: 'text/csv', buffer: Buffer.from('0,0\n300,0\n300,200\n0,200\n') });
  await expect(shop.tray()).toContainText('The file does not say its units: read as millimetres.');

  const waiting = page.waitForEvent('download');
  await shop.tray().getByRole('button', { name: 'Save as DXF' }).click();
  const saved = await waiting;
  expect(saved.suggestedFilename()).toBe('old-pattern-traced.dxf');
  expect(fs.readFileSync(await saved.path(), 'utf8')).toContain('CUT');
  // Any piece of the plan too, by its name.
  await shop.choose('Which outline', 'zip plaque');
  const print = await shop.tray().getByRole('link', { name: 'Print full size' }).getAttribute('href');
  expect(print).toContain('piece=plaque');
  const pdf = await page.request.get(print ?? '');
  expect(pdf.headers()['content-type']).toBe('application/pdf');
  await shop.expectAccessible();
});

test('a picture of traced paper becomes the template, its error in millimetres', async ({ shop, page }) => {
  await shop.openJob('Gallery and box seats');
  await page.getByRole('button', { name: /Usher’s perch/ }).click();
  await shop.goTo('Template');
  await part(shop, 'Files and print');
  await shop.tray().getByRole('button', { name: 'From a picture' }).click();
  const dialog = page.getByRole('dialog', { name: 'Template from a picture' });
  await expect(dialog).toContainText('camera simulated');
  await dialog.getByRole('button', { name: 'Take one' }).click();
  await expect(dialog.getByRole('button', { name: 'Corner of the sheet, back left' })).toBeVisible({ timeout: 20_000 });
  await dialog.getByRole('button', { name: 'Find the line' }).click();
  await expect(dialog.getByRole('progressbar', { name: 'The line being found' })).toBeVisible();
  await dialog.getByRole('button', { name: 'Stop' }).click();
  await expect(dialog.getByRole('button', { name: 'Take as the template' })).toBeDisabled();
  await dialog.getByRole('button', { name: 'Find the line' }).click();
  await expect(dialog).toContainText(/is 0\.\d+ mm off it on average/, { timeout: 30_000 });
  await shop.expectAccessible();
  await dialog.getByRole('button', { name: 'Take as the template' }).click();
  // The made picture is of a round-back seat, 470 × 460.
  await expect
    .poll(async () => {
      const [wide, deep] = (await shop.size('Finished')).map((text) => Number(text.replace(/\D/g, '')));
      return Math.max(Math.abs((wide ?? 0) - 470), Math.abs((deep ?? 0) - 460));
    })
    .toBeLessThanOrEqual(2);
  await shop.saved();
});
