import type { Page } from '@playwright/test';

/**
 * What is wrong with how a page is laid out at the size of its window: it is wider than the window, words are cut off where nothing scrolls or tells them in full, or words lie over each
 * other. Looked at from the rectangles of all visible words, in HTML and in drawings. Empty when nothing is.
 */
export async function layoutFaults(page: Page): Promise<string[]> {
  return page.evaluate(() => {
    /** Words overlap, or are cut, by more than this, px: the boxes of letters are higher than the letters, a third of them. */
    const SLACK = 5 * (parseFloat(getComputedStyle(document.documentElement).fontSize) / 16);
    interface Words {
      readonly element: Element;
      readonly text: string;
      readonly box: DOMRect;
    }
    const faults = new Set<string>();
    const short = (text: string): string => text.trim().replace(/\s+/g, ' ').slice(0, 50);
    const where = (element: Element): string =>
      element.closest('[data-part]')?.getAttribute('data-part') ?? element.closest('[class]')?.tagName.toLowerCase() ?? '';
    const parents = (element: Element): Element[] => {
      const all: Element[] = [];
      for (let one = element.parentElement; one; one = one.parentElement) all.push(one);
      return all;
    };
    const labelled = (one: Element): boolean => one.hasAttribute('title') || one.hasAttribute('aria-label');
    /** How an element cuts what is in it, worked out once: many words are in the same elements. */
    interface Frame {
      readonly box: DOMRect | null;
      readonly hidesX: boolean;
      readonly hidesY: boolean;
      /** What it cuts is told in full elsewhere. */
      readonly told: boolean;
      readonly position: string;
    }
    const frames = new Map<Element, Frame>();
    const frameOf = (one: Element): Frame => {
      const known = frames.get(one);
      if (known) return known;
      const { overflowX, overflowY, textOverflow, position } = getComputedStyle(one);
      const page = one === document.documentElement || one === document.body || (one instanceof SVGElement && one.tagName !== 'svg');
      const clips = !page && (overflowX !== 'visible' || overflowY !== 'visible');
      const hides = (overflow: string): boolean => overflow === 'hidden' || overflow === 'clip';
      const told = textOverflow === 'ellipsis' && [one, ...parents(one).slice(0, 3)].some(labelled);
      const frame = { box: clips ? one.getBoundingClientRect() : null, hidesX: hides(overflowX), hidesY: hides(overflowY), told, position };
      frames.set(one, frame);
      return frame;
    };
    const shown = (element: Element): boolean =>
      element.checkVisibility({ checkOpacity: true, checkVisibilityCSS: true }) &&
      !element.closest('.sr-only, [aria-hidden=true] kbd, option, script, style, title');
    const wide = document.documentElement.clientWidth;
    if (document.documentElement.scrollWidth > wide + 1) faults.add(`the page is ${document.documentElement.scrollWidth} wide in a window of ${wide}`);

    /** What can be seen of a box through everything round it that cuts or scrolls, and whether something cuts it without scrolling. */
    const seen = (element: Element, box: DOMRect): { readonly box: DOMRect | null; readonly cutBy: Element | null } => {
      let [left, top, right, bottom] = [box.left, box.top, box.right, box.bottom];
      let cutBy: Element | null = null;
      for (const one of [element, ...parents(element)]) {
        const { box: frame, hidesX, hidesY, told, position } = frameOf(one);
        if (frame) {
          const overX = hidesX && Math.max(frame.left - left, right - frame.right) > SLACK;
          const overY = hidesY && Math.max(frame.top - top, bottom - frame.bottom) > SLACK;
          if ((overX || overY) && !told) cutBy ??= one;
          [left, top, right, bottom] = [Math.max(left, frame.left), Math.max(top, frame.top), Math.min(right, frame.right), Math.min(bottom, frame.bottom)];
        }
        if (position === 'fixed') break;
      }
      return { box: right - left > 1 && bottom - top > 1 ? new DOMRect(left, top, right - left, bottom - top) : null, cutBy };
    };

    const all: Words[] = [];
    const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
    for (let node = walker.nextNode(); node; node = walker.nextNode()) {
      const element = node.parentElement;
      const text = node.textContent ?? '';
      if (!element || !text.trim() || !shown(element)) continue;
      const range = document.createRange();
      range.selectNodeContents(node);
      for (const rect of Array.from(range.getClientRects())) {
        if (rect.width < 2 || rect.height < 2) continue;
        const { box, cutBy } = seen(element, rect);
        if (cutBy && box) faults.add(`“${short(text)}” is cut off in ${where(cutBy)}`);
        if (box) all.push({ element, text, box });
        if (box && box.right > wide + 1) faults.add(`“${short(text)}” runs out of the window`);
      }
    }
    const layer = (element: Element): Element | null =>
      [element, ...parents(element)].find((one) => ['fixed', 'sticky'].includes(frameOf(one).position) || one.matches('.cdk-overlay-container')) ?? null;
    const words = all.map((one) => ({ ...one, layer: layer(one.element) })).sort((a, b) => a.box.top - b.box.top);
    words.forEach((a, i) => {
      for (const b of words.slice(i + 1)) {
        // Those further down begin below it.
        if (b.box.top >= a.box.bottom) break;
        if (a.layer !== b.layer || a.element === b.element || a.element.contains(b.element) || b.element.contains(a.element)) continue;
        const across = Math.min(a.box.right, b.box.right) - Math.max(a.box.left, b.box.left);
        const down = Math.min(a.box.bottom, b.box.bottom) - Math.max(a.box.top, b.box.top);
        if (across > SLACK && down > SLACK)
          faults.add(`“${short(a.text)}” and “${short(b.text)}” lie over each other (${Math.round(across)} × ${Math.round(down)})`);
      }
    });
    return [...faults];
  });
}
