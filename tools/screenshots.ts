// Pictures of the main views in docs/screenshots, made from the demo data: npm run screenshots
import path from 'node:path';
import type { Page } from '@playwright/test';
import { root, served } from './served';

const PORT = 4873;

interface Picture {
  readonly file: string;
  readonly job?: string;
  readonly room?: string;
  readonly place: string;
  readonly size?: { readonly width: number; readonly height: number };
  readonly theme?: 'light' | 'dark';
  readonly before?: (page: Page) => Promise<void>;
}

const openWhy = async (page: Page): Promise<void> => page.getByRole('button', { name: 'Cut, plate wide, why' }).click();

const tracePicture = async (page: Page): Promise<void> => {
  await page.locator('[data-part=tabs]').getByText('Files and print', { exact: true }).click();
  await page.getByRole('button', { name: 'From a picture' }).click();
  await page.getByRole('button', { name: 'Take one' }).click();
  await page.getByRole('button', { name: 'Corner of the sheet, back left' }).waitFor();
  await page.getByRole('button', { name: 'Find the line' }).click();
  await page.getByText(/off it on average/).waitFor();
};

const PICTURES: readonly Picture[] = [
  { file: 'jobs', place: '' },
  { file: 'day', place: '', room: 'day', before: (page) => page.getByRole('region', { name: 'Ines' }).getByRole('listitem').first().waitFor() },
  { file: 'book', place: '', room: 'book', before: (page) => page.getByRole('listitem').first().waitFor() },
  { file: 'look-over', job: 'Stalls benches', place: '3/look-over', before: (page) => page.getByText('Old core', { exact: true }).click() },
  { file: 'filling', job: 'Prompt-side boxes', place: '1/filling' },
  { file: 'template', job: 'Gallery and box seats', place: '3/template' },
  { file: 'template-picture', job: 'Gallery and box seats', place: '6/template', before: tracePicture },
  { file: 'build', job: 'Prompt-side boxes', place: '1/build', before: openWhy },
  {
    file: 'build-crown',
    job: 'Conductor’s chair',
    place: '5/build',
    before: async (page) => {
      await page.locator('[data-part=tabs]').getByText('Crown', { exact: true }).click();
      await page.getByText('Profile along the dragged line').waitFor();
    },
  },
  { file: 'cover', job: 'Roof terrace', place: '1/cover' },
  {
    file: 'round',
    job: 'Prompt-side boxes',
    place: '1/cover',
    before: async (page) => {
      await page.locator('[data-part=tabs]').getByText('In the round', { exact: true }).click();
      await page.locator('canvas[data-parts]:not([data-parts="0"])').waitFor();
      await page.getByLabel('Cut open', { exact: true }).selectOption('across');
    },
  },
  { file: 'lay', job: 'Reading corner', place: '1/lay' },
  { file: 'bench', job: 'Puppeteers’ kneelers', place: '1/bench' },
  {
    file: 'bench-view',
    job: 'Prompt-side boxes',
    place: '1/bench',
    before: async (page) => {
      await page.getByRole('button', { name: 'At the bench' }).click();
      const dialog = page.getByRole('dialog');
      await dialog.getByRole('status').first().waitFor();
      // On from the cutting to what is folded and slit.
      for (let step = 1; step < 20 && !(await dialog.getByText('Make up the zip plaque').first().isVisible()); step++) {
        await page.keyboard.press('ArrowRight');
        await dialog.getByText(`Step ${step + 1} of`).waitFor();
      }
      await dialog.locator('svg').last().waitFor();
    },
  },
  { file: 'gauges', room: 'gauges', place: '', before: (page) => page.locator('[ylPanel] h3').first().waitFor() },
  { file: 'schools', room: 'schools', place: '', before: (page) => page.locator('[ylPanel] h2').first().waitFor() },
  { file: 'stockroom', room: 'stockroom', place: '', before: (page) => page.locator('[ylPanel] h3').first().waitFor() },
  { file: 'check', job: 'Storage chest top', place: '1/check' },
  {
    file: 'cover-compare',
    job: 'Conductor’s chair',
    place: '1/cover',
    theme: 'dark',
    before: async (page) => {
      await page.getByRole('button', { name: 'Compare covers' }).click();
      await page.locator('yl-comparison yl-closed-picture').first().waitFor();
      await page.waitForFunction(() => !document.querySelector('yl-comparison yl-closed-picture:not(:has(svg))'));
    },
  },
];

const { base, browser, jobId, stop } = await served(PORT);
try {
  for (const { file, job, room, place, size, theme, before } of PICTURES) {
    const page = await browser.newPage({ viewport: size ?? { width: 1280, height: 800 }, colorScheme: theme ?? 'light', reducedMotion: 'reduce' });
    const id = job === undefined ? undefined : jobId(job);
    await page.goto(id ? `${base}/jobs/${id}/${place}` : `${base}/${room ?? 'jobs'}`);
    await page
      .locator(id ? 'yl-ticket h2' : room ? 'main h1' : '[data-part=name]')
      .first()
      .waitFor();
    // The picture on the ticket comes last; then until every lay is worked out and the fonts are there.
    if (id) await page.locator('yl-closed-picture svg').waitFor();
    await page.waitForFunction(() => document.fonts.status === 'loaded' && !document.querySelector('[data-part=buy] .working, yl-tape .work'));
    await before?.(page);
    await page.screenshot({ path: path.join(root, `docs/screenshots/${file}.png`) });
    await page.close();
    console.log(`docs/screenshots/${file}.png`);
  }
} finally {
  await stop();
}
