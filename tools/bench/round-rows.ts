import fs from 'node:fs';
import path from 'node:path';
import { jobSchema, openShop, planSolved, shopSchema } from '@yardland/core';
import { solidOf } from '@yardland/core/solid';
import { served } from '../served';
import { rowOf, timed, type Reference, type Row } from './measure';

const PORT = 4981;
const TURNS = 90;

/** The mesh of a cushion, and of all of the demo's job of most cushions, with its triangles. */
export function meshRows(root: string, reference: Reference): Row[] {
  const read = (file: string): unknown => JSON.parse(fs.readFileSync(path.join(root, 'demo', file), 'utf8'));
  const shop = openShop(shopSchema.parse(read('shop.json')));
  const job = jobSchema.parse(read('jobs/gallery-and-boxes.json'));
  const { cushions } = planSolved(job, shop, ({ request }) => request.format !== 'yardland/lay-request@2');
  const planned = cushions.flatMap((one) => (one.state === 'planned' ? [one] : []));
  const [first] = planned;
  if (!first) throw new Error('the demo’s job makes no cushion');
  const triangles = planned.map((one) => solidOf(one)?.parts.reduce((sum, part) => sum + part.triangles.length / 3, 0) ?? 0);
  return [
    rowOf(
      'mesh of a cushion',
      '—',
      timed(12, () => void solidOf(first)),
      { reference },
    ),
    rowOf(
      `mesh of the ${planned.length} cushions of the demo’s job of most cushions`,
      'under 300 ms',
      timed(5, () => {
        for (const one of planned) solidOf(one);
      }),
      { reference },
    ),
    rowOf('triangles of one of them', 'under 40 000', triangles, { unit: '' }),
  ];
}

/** What it costs to show it: the chunk that draws, and from frame to frame while it is turned by dragging, drawn by the processor. */
export async function turningRows(root: string): Promise<Row[]> {
  const folder = path.join(root, 'dist/web/browser');
  const chunks = fs.readdirSync(folder).filter((name) => name.endsWith('.js') && fs.readFileSync(path.join(folder, name), 'utf8').includes('WebGLRenderer'));
  const kB = chunks.reduce((sum, name) => sum + fs.statSync(path.join(folder, `${name}.br`)).size, 0) / 1000;
  const { base, browser, jobId, stop } = await served(PORT);
  try {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
    await page.goto(`${base}/jobs/${jobId('Gallery and box seats') ?? ''}/1/cover`);
    await page.locator('[data-part=tabs]').getByText('In the round', { exact: true }).click();
    const canvas = page.locator('canvas[data-parts]:not([data-parts="0"])');
    const box = await canvas.boundingBox();
    if (!box) throw new Error('nothing is shown in the round');
    const at = { x: box.x + box.width / 2, y: box.y + box.height / 2 };
    await page.mouse.move(at.x, at.y);
    await page.mouse.down();
    await page.evaluate('window.frames_ = []; (function tick(now) { if (now) window.frames_.push(now); requestAnimationFrame(tick); })()');
    for (let i = 1; i <= TURNS; i++) await page.mouse.move(at.x + 3 * i, at.y + 20 * Math.sin(i / 9));
    const frames = (await page.evaluate('window.frames_')) as number[];
    await page.mouse.up();
    return [
      rowOf('the chunk that draws in the round, Brotli, fetched when it is first shown', '—', [kB], { unit: 'kB' }),
      rowOf(
        'from frame to frame while a cushion is turned, drawn by the processor without a graphics card',
        'about 17 ms, 50 at the worst',
        frames.slice(1).map((now, i) => now - (frames[i] ?? now)),
      ),
    ];
  } finally {
    await stop();
  }
}
