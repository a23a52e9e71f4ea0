import flags from '../../tools/chromium.json' with { type: 'json' };
import { expect, test } from '../support/bench';
import { layoutFaults } from '../support/layout';

// A browser set to letters twice as large: what is measured in rem grows with them, and a window of 1280 becomes one of 640.
test.use({
  launchOptions: { executablePath: process.env['CHROME_BIN'] ?? '/usr/bin/chromium', args: [...flags, '--blink-settings=defaultFontSize=32'] },
});

test('with letters twice as large no words are cut off or lie over each other, on a laptop and on a large screen', async ({ shop, page }) => {
  await shop.openJob('Gallery and box seats');
  const [, , id] = new URL(page.url()).pathname.split('/');
  expect(await page.evaluate(() => getComputedStyle(document.body).fontSize)).toBe('32px');
  const found: string[] = [];
  for (const place of ['', 'day', 'stockroom', ...['filling', 'template', 'build', 'cover', 'lay', 'bench', 'check'].map((one) => `jobs/${id}/3/${one}`)]) {
    await page.goto(`/${place}`);
    await (place.startsWith('jobs') ? shop.ticket() : page.locator('h1').first()).waitFor();
    await page.waitForLoadState('networkidle');
    for (const [width, height] of [
      [1280, 800],
      [1280, 1024],
      [2560, 1600],
    ] as const) {
      await page.setViewportSize({ width, height });
      await page.waitForTimeout(600);
      found.push(...(await layoutFaults(page)).map((fault) => `${place || 'jobs'} at ${width}: ${fault}`));
    }
  }
  expect(found).toEqual([]);
});

test('in colours of the person’s own drawings have these too, and what is in hand stands out', async ({ shop, page }) => {
  await page.emulateMedia({ forcedColors: 'active' });
  await shop.openJob('Gallery and box seats');
  await shop.goTo('Build');
  await page.locator('[data-look=core]').first().waitFor();
  const colours = await page.evaluate(() => {
    const system = (name: string): string => {
      const probe = document.createElement('i');
      probe.style.cssText = `color: ${name}; forced-color-adjust: none`;
      document.body.append(probe);
      const { color } = getComputedStyle(probe);
      probe.remove();
      return color;
    };
    const of = (selector: string, what: 'stroke' | 'color' | 'backgroundColor'): string => getComputedStyle(document.querySelector(selector) as Element)[what];
    return {
      ink: system('CanvasText'),
      ground: system('Canvas'),
      cut: of('[data-look=core]', 'stroke'),
      station: [of('yl-tape a.here', 'color'), of('yl-tape a.here', 'backgroundColor')],
      other: of('yl-tape a:not(.here)', 'backgroundColor'),
    };
  });
  expect(colours.ink).not.toBe(colours.ground);
  expect(colours.cut).not.toBe(colours.ground);
  expect(colours.station).toEqual([colours.ground, colours.ink]);
  expect(colours.other).not.toBe(colours.ink);
  await shop.expectAccessible();
});
