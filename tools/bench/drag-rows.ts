import { served } from '../served';
import { rowOf, type Row } from './measure';

const PORT = 4979;
const STEPS = 120;

/** Frames while a point of an outline is dragged, every derived size renewed with it: the time from one to the next. */
export async function dragRows(): Promise<Row[]> {
  const { base, browser, jobId, stop } = await served(PORT);
  try {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
    await page.goto(`${base}/jobs/${jobId('Gallery and box seats') ?? ''}/6/template`);
    await page.locator('[data-part=tabs]').getByText('Points', { exact: true }).click();
    await page.waitForFunction(() => !document.querySelector('[data-part=buy] .working, yl-tape .work'));
    const box = await page.getByRole('button', { name: 'Point 2', exact: true }).boundingBox();
    if (!box) throw new Error('no point to drag');
    const at = { x: box.x + box.width / 2, y: box.y + box.height / 2 };
    await page.mouse.move(at.x, at.y);
    await page.mouse.down();
    // As text: what compiles this file would put helpers into a function that the page does not know.
    await page.evaluate('window.frames_ = []; (function tick(now) { if (now) window.frames_.push(now); requestAnimationFrame(tick); })()');
    for (let i = 1; i <= STEPS; i++) await page.mouse.move(at.x + 40 * Math.sin(i / 12), at.y + 30 * Math.sin(i / 9));
    const frames = (await page.evaluate('window.frames_')) as number[];
    await page.mouse.up();
    return [
      rowOf(
        'from frame to frame while a point is dragged, all sizes live',
        'about 17 ms',
        frames.slice(1).map((now, i) => now - (frames[i] ?? now)),
      ),
    ];
  } finally {
    await stop();
  }
}
