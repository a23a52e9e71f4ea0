import { served } from '../served';
import { rowOf, type Row } from './measure';

const PORT = 4979;
const STEPS = 120;
const KEYS = 40;
const OPENED = 10;
/** Between two keys: as fast as a person types. */
const KEY_PAUSE_MS = 180;

/** What a person feels: frames while a point is dragged, and the time from a key to its paint, every derived size renewed with them. */
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
    await page.locator('[data-part=save-state]').getByText('saved', { exact: true }).waitFor();

    // The demo's job of most cushions, a wrap made thicker by its arrow key: from the key to what is painted with every size, the fit and the ticket renewed.
    await page.goto(`${base}/jobs/${jobId('Gallery and box seats') ?? ''}/1/build`);
    await page.locator('[data-part=tabs]').getByText('Wrap', { exact: true }).click();
    await page.waitForFunction(() => !document.querySelector('[data-part=buy] .working, yl-tape .work'));
    const wrap = page.getByRole('textbox', { name: 'Wrap, one layer' });
    await wrap.focus();
    // From each key to the paint after the ticket's first change: its sizes come back from another thread.
    await page.evaluate(`
      window.keys_ = [];
      let from = null;
      addEventListener('keydown', () => { from = performance.now(); }, true);
      const painted = (begun) => requestAnimationFrame(() => {
        const { port1, port2 } = new MessageChannel();
        port1.onmessage = () => window.keys_.push(performance.now() - begun);
        port2.postMessage(0);
      });
      new MutationObserver(() => { if (from === null) return; painted(from); from = null; })
        .observe(document.querySelector('yl-ticket'), { subtree: true, childList: true, characterData: true });
    `);
    for (let i = 0; i < KEYS; i++) {
      await wrap.press(i % 2 ? 'ArrowDown' : 'ArrowUp');
      await page.waitForTimeout(KEY_PAUSE_MS);
    }
    const keys = (await page.evaluate('window.keys_')) as number[];
    if (keys.length !== KEYS) throw new Error(`the ticket followed ${keys.length} of ${KEYS} keys`);

    // Opened with nothing kept, until the ticket shows the sizes: by the page's own clock, from the moment that its address was asked for.
    const opened: number[] = [];
    for (let i = 0; i < OPENED; i++) {
      const fresh = await browser.newContext({ viewport: { width: 1280, height: 800 }, serviceWorkers: 'block' });
      const first = await fresh.newPage();
      await first.addInitScript(
        "new MutationObserver((_, watch) => { if (!document.querySelector('[data-part=sizes] tbody td')) return; window.shown_ = performance.now(); watch.disconnect(); }).observe(document, { subtree: true, childList: true })",
      );
      await first.goto(`${base}/jobs/${jobId('Gallery and box seats') ?? ''}/1/build`);
      await first.locator('[data-part=sizes] tbody td').first().waitFor();
      opened.push((await first.evaluate('window.shown_')) as number);
      await fresh.close();
    }
    return [
      rowOf('a job of the demo opened with a cold cache, until its ticket shows the sizes', 'under 1.5 s', opened),
      rowOf('from a key to the paint of the ticket that follows it, on the Build station, job of most cushions', 'under 50 ms', keys),
      rowOf(
        'from frame to frame while a point is dragged, the sizes following',
        'about 17 ms',
        frames.slice(1).map((now, i) => now - (frames[i] ?? now)),
      ),
    ];
  } finally {
    await stop();
  }
}
