import type { Page } from '@playwright/test';
import { expect, test } from '../support/bench';

const SCREENS = [
  { width: 1280, height: 800 },
  { width: 1024, height: 768 },
  { width: 390, height: 844 },
];

/** What an upholsterer does first at each station, by the name of its control. */
const FIRST_ACTION = {
  'look-over': 'Underneath is',
  filling: 'Layer 1, foam',
  template: 'the seat',
  build: 'Core',
  cover: 'Made as',
  lay: 'Lay on',
  bench: 'At the bench',
  check: 'Measure a cushion',
};
const ROOM_ACTION = { jobs: 'New job', stockroom: 'New foam', schools: 'Copy to edit', gauges: 'New sample' };

interface Sight {
  /** What keeps the first action from being seen, empty when it is in view. */
  readonly hidden: string;
  /** Controls and headings of which a part is cut off. */
  readonly cut: readonly string[];
}

/** Looks at the page as it stands, without scrolling: is this control in view and nothing over it, and what is cut off? Runs in the page. */
function look(name: string): Sight {
  const nameOf = (one: Element): string => {
    const labels = (one as HTMLInputElement).labels;
    return (one.getAttribute('aria-label') ?? labels?.[0]?.textContent ?? one.textContent ?? '').replace(/\s+/g, ' ').trim();
  };
  const shown = (one: Element): boolean => one.checkVisibility({ visibilityProperty: true }) && one.getBoundingClientRect().width > 1;
  /** How much of a box its surroundings cut off along one axis, px. With `scrolled`, what lies in a scrolling part may be brought into that part. */
  const lost = (one: Element, axis: 'X' | 'Y', scrolled: boolean): number => {
    const range = (of: Element): [number, number] => {
      const box = of.getBoundingClientRect();
      return axis === 'X' ? [box.left, box.right] : [box.top, box.bottom];
    };
    const beyond = ([from, to]: [number, number], [least, most]: [number, number]): number => Math.max(0, least - from) + Math.max(0, to - most);
    let [held, cutOff] = [range(one), 0];
    for (let up = one.parentElement; up && up !== document.body; up = up.parentElement) {
      const overflow = getComputedStyle(up)[`overflow${axis}`];
      if (overflow === 'visible') continue;
      if (scrolled && /auto|scroll/.test(overflow)) held = range(up);
      else cutOff += beyond(held, range(up));
    }
    // The page itself scrolls downwards, never across.
    return scrolled && axis === 'Y' ? cutOff : cutOff + beyond(held, [0, axis === 'X' ? innerWidth : innerHeight]);
  };
  const controls = Array.from(document.querySelectorAll('button, input, select, textarea, a[href], [role=combobox], h1, h2, h3')).filter(shown);
  const first = controls.find((one) => nameOf(one) === name || nameOf(one).startsWith(`${name} `));
  const seen = (one: Element): string => {
    // A tick or a radio button is pressed by its label.
    const pressed = (one as HTMLInputElement).labels?.[0] ?? one;
    const [across, down] = [lost(pressed, 'X', false), lost(pressed, 'Y', false)];
    if (across > 1 || down > 1) return `cut off by ${Math.round(across)} px across and ${Math.round(down)} px down`;
    const box = pressed.getBoundingClientRect();
    const top = document.elementFromPoint(box.left + box.width / 2, box.top + box.height / 2);
    return top && (pressed.contains(top) || one.contains(top) || top.contains(pressed)) ? '' : `under ${top?.tagName.toLowerCase() ?? 'nothing'}`;
  };
  const cut = controls
    // Links that are skipped to, and inputs that a drawn box stands for, are out of sight on purpose.
    .filter((one) => !one.closest('.sr-only') && !one.matches('input[type=checkbox], input[type=radio], input[type=file]'))
    .flatMap((one) => {
      const text = !one.matches('input, textarea') && !one.getAttribute('title') && one.scrollWidth > one.clientWidth + 2;
      const hides = text && getComputedStyle(one).overflowX !== 'visible';
      return lost(one, 'X', true) > 2 || lost(one, 'Y', true) > 2 || hides ? [`${nameOf(one)} (${one.tagName.toLowerCase()})`] : [];
    });
  return { hidden: first ? seen(first) : `there is no “${name}”`, cut: [...new Set(cut)] };
}

async function expectInSight(page: Page, name: string, where: string): Promise<void> {
  await expect.poll(async () => page.evaluate(look, name), { message: where }).toEqual({ hidden: '', cut: [] });
}

for (const screen of SCREENS) {
  test(`on ${screen.width} × ${screen.height} the first action of every station is in view, and nothing is cut off`, async ({ shop, page }) => {
    await page.setViewportSize(screen);
    await shop.openJob('Conductor’s chair');
    const job = page.url().replace(/\/1\/.*$/, '/1');
    for (const [station, action] of Object.entries(FIRST_ACTION)) {
      await page.goto(`${job}/${station}`);
      await expectInSight(page, action, station);
    }
    for (const [room, action] of Object.entries(ROOM_ACTION)) {
      await page.goto(`/${room}`);
      await expectInSight(page, action, room);
    }
  });
}
