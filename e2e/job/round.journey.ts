import fs from 'node:fs';
import flags from '../../tools/chromium.json' with { type: 'json' };
import type { Locator } from '@playwright/test';
import { expect, test } from '../support/bench';

// Drawn by the processor: WebGL without a graphics card.
test.use({
  launchOptions: {
    executablePath: process.env['CHROME_BIN'] ?? '/usr/bin/chromium',
    args: [...flags.filter((one) => one !== '--disable-gpu'), '--use-angle=swiftshader', '--enable-unsafe-swiftshader'],
  },
});

/** How many different colours the middle of a picture holds: more than a handful when something is drawn there. */
const coloursOf = (canvas: HTMLCanvasElement): number => {
  const copy = document.createElement('canvas');
  [copy.width, copy.height] = [96, 64];
  const pen = copy.getContext('2d');
  pen?.drawImage(canvas, 0, 0, copy.width, copy.height);
  const { data } = pen?.getImageData(0, 0, copy.width, copy.height) ?? { data: [] };
  const seen = new Set<number>();
  for (let i = 0; i < data.length; i += 4) if ((data[i + 3] ?? 0) > 200) seen.add(((data[i] ?? 0) << 16) | ((data[i + 1] ?? 0) << 8) | (data[i + 2] ?? 0));
  return seen.size;
};
const pictureOf = (canvas: HTMLCanvasElement): string => canvas.toDataURL();

/** Dots of a picture that are clearly blue. */
const blueOf = (canvas: HTMLCanvasElement): number => {
  const copy = document.createElement('canvas');
  [copy.width, copy.height] = [240, 160];
  const pen = copy.getContext('2d');
  pen?.drawImage(canvas, 0, 0, copy.width, copy.height);
  const { data } = pen?.getImageData(0, 0, copy.width, copy.height) ?? { data: [] };
  let count = 0;
  for (let i = 0; i < data.length; i += 4) if ((data[i + 2] ?? 0) > (data[i] ?? 0) + 25) count++;
  return count;
};

test('a cloth is photographed at a slant, framed, and lies on the cushion that is made of it', async ({ shop, page }) => {
  const round = async (): Promise<Locator> => {
    await shop.openJob('Gallery and box seats');
    await shop.goTo('Cover');
    await shop.tray().getByText('In the round', { exact: true }).click();
    const canvas = page.getByRole('img', { name: 'Gallery bench, curved, finished' });
    await expect.poll(() => canvas.evaluate(coloursOf), { timeout: 60_000 }).toBeGreaterThan(30);
    return canvas;
  };
  expect(await (await round()).evaluate(blueOf)).toBe(0);

  await page.goto('/stockroom');
  await page.getByRole('button', { name: 'Moss velvet', exact: true }).click();
  await page.getByRole('button', { name: 'Picture of the cloth' }).click();
  const dialog = page.getByRole('dialog', { name: 'Moss velvet, a picture' });
  await expect(dialog.getByRole('button', { name: 'Take as its picture' })).toBeDisabled();
  await dialog.getByRole('button', { name: 'Take one' }).click();
  const picture = dialog.getByRole('group', { name: 'The picture with the four corners of its frame' });
  // One repeat of the made cloth, as it is seen in the picture; the last corner by keys from where the mouse has left it.
  for (const [name, x, y] of [
    ['lower left', 452, 790],
    ['lower right', 968, 812],
    ['upper right', 904, 262],
    ['upper left', 498, 256],
  ] as const) {
    const corner = picture.getByRole('button', { name: `Corner of the frame, ${name}` });
    const to = await picture.evaluate(
      (svg: Element, at) => {
        const { x, y } = new DOMPoint(at.x, at.y).matrixTransform((svg as SVGSVGElement).getScreenCTM()!);
        return { x, y };
      },
      { x, y },
    );
    await corner.hover();
    await page.mouse.down();
    await page.mouse.move(to.x, to.y, { steps: 3 });
    await page.mouse.up();
  }
  await picture.getByRole('button', { name: 'Corner of the frame, upper left' }).press('Shift+ArrowUp');
  for (const [label, value] of [
    ['The frame shows, across', '160'],
    ['The frame shows, along', '200'],
  ] as const) {
    await dialog.getByRole('textbox', { name: label }).fill(value);
    await dialog.getByRole('textbox', { name: label }).press('Enter');
  }
  await shop.expectAccessible();
  await dialog.getByRole('button', { name: 'Take as its picture' }).click();
  await expect(dialog).toBeHidden();
  await expect(page.getByRole('img', { name: 'Picture of Moss velvet' })).toBeVisible();
  const canvas = await round();
  await expect.poll(() => canvas.evaluate(blueOf)).toBeGreaterThan(100);
});

test('a cushion is seen in the round: turned by dragging and by keys, cut open, sat on, made step by step, and taken away', async ({ shop, page }) => {
  await shop.openJob('Gallery and box seats');
  await shop.goTo('Cover');
  await shop.tray().getByText('In the round', { exact: true }).click();
  const canvas = page.getByRole('img', { name: 'Gallery bench, curved, finished' });
  await expect(canvas).toHaveAccessibleDescription(/crowned 2\d mm on both faces, welt round both edges, zip at the back/);
  // Two plates, three strips of boxing, the plaque, two welts, the zip and the filling.
  await expect(canvas).toHaveAttribute('data-parts', '10');
  await expect.poll(() => canvas.evaluate(coloursOf), { timeout: 60_000 }).toBeGreaterThan(30);
  const looks: string[] = [await canvas.evaluate(pictureOf)];
  /** Waits until the picture is another one than all before. */
  const another = async (): Promise<void> => {
    await expect.poll(async () => looks.includes(await canvas.evaluate(pictureOf))).toBe(false);
    looks.push(await canvas.evaluate(pictureOf));
  };
  const box = (await canvas.boundingBox())!;
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width / 2 + 90, box.y + box.height / 2 + 20, { steps: 4 });
  await page.mouse.up();
  await another();
  await canvas.press('ArrowLeft');
  await another();
  await expect(page.getByLabel('Seen from', { exact: true })).toHaveValue('');
  await page.getByLabel('Seen from', { exact: true }).selectOption('Back');
  await another();
  await page.getByLabel('Cut open', { exact: true }).selectOption('across');
  await another();
  await page.getByLabel('Where', { exact: true }).fill('0.8');
  await another();
  await page.getByLabel('Cut open', { exact: true }).selectOption('closed');
  await page.getByLabel('Sat on by', { exact: true }).selectOption({ index: 1 });
  await another();
  await page.getByText('Chalk the seams', { exact: true }).click();
  await another();
  await page.getByLabel('Put together', { exact: true }).fill('0.4');
  await expect(page.locator('[data-part=round-step]')).toContainText(/^Step \d+ of \d+: /);
  await another();
  await shop.expectAccessible();

  const [gltf] = await Promise.all([page.waitForEvent('download'), page.getByRole('button', { name: 'Take it as glTF' }).click()]);
  expect(gltf.suggestedFilename()).toBe('gallery-bench-curved.gltf');
  const { nodes, materials } = JSON.parse(fs.readFileSync(await gltf.path(), 'utf8')) as { nodes: { name: string }[]; materials: { name: string }[] };
  expect(nodes.map(({ name }) => name)).toContain('plaque:band');
  expect(materials.map(({ name }) => name)).toContain('Moss velvet');
  const [png] = await Promise.all([page.waitForEvent('download'), page.getByRole('button', { name: 'Take the picture' }).click()]);
  expect(
    fs
      .readFileSync(await png.path())
      .subarray(1, 4)
      .toString(),
  ).toBe('PNG');
});

test('the cushion stands in the round beside its plan and large by itself; covers turn together side by side', async ({ shop, page }) => {
  await shop.openJob('Gallery and box seats');
  await shop.goTo('Build');
  await page.getByRole('button', { name: 'Show it in the round' }).click();
  const small = page.getByRole('img', { name: 'Gallery bench, curved, finished' });
  await expect.poll(() => small.evaluate(coloursOf), { timeout: 60_000 }).toBeGreaterThan(20);
  await page.getByRole('button', { name: 'Large, cut open, sat on' }).click();
  const large = page.getByRole('dialog').getByRole('img', { name: 'Gallery bench, curved, finished' });
  await expect.poll(() => large.evaluate(coloursOf), { timeout: 60_000 }).toBeGreaterThan(30);
  await page.getByRole('button', { name: 'Done' }).click();

  await shop.goTo('Cover');
  await page.getByRole('button', { name: 'Compare covers' }).click();
  const rows = page.getByRole('dialog').getByRole('row');
  await rows.filter({ hasText: 'Boxed' }).getByText('in the round').click();
  await rows.filter({ hasText: 'Knife edge' }).getByText('in the round').click();
  const both = page.getByRole('group', { name: 'Side by side, turned together' }).getByRole('img');
  await expect(both).toHaveCount(2);
  for (const one of await both.all()) await expect.poll(() => one.evaluate(coloursOf), { timeout: 60_000 }).toBeGreaterThan(20);
  const before = await Promise.all((await both.all()).map((one) => one.evaluate(pictureOf)));
  await both.first().press('ArrowRight');
  for (const [i, one] of (await both.all()).entries()) await expect.poll(() => one.evaluate(pictureOf)).not.toBe(before[i]);
});
