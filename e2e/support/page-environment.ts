import {
  HarnessEnvironment,
  type ElementDimensions,
  type EventData,
  type ModifierKeys,
  type TestElement,
  TestKey,
  type TextOptions,
} from '@angular/cdk/testing';
import type { Locator } from '@playwright/test';

/** Names of the keys in the browser driver's words. */
const KEYS: Partial<Record<TestKey, string>> = {
  [TestKey.ENTER]: 'Enter',
  [TestKey.ESCAPE]: 'Escape',
  [TestKey.TAB]: 'Tab',
  [TestKey.HOME]: 'Home',
  [TestKey.END]: 'End',
  [TestKey.LEFT_ARROW]: 'ArrowLeft',
  [TestKey.RIGHT_ARROW]: 'ArrowRight',
  [TestKey.UP_ARROW]: 'ArrowUp',
  [TestKey.DOWN_ARROW]: 'ArrowDown',
};

/** An element of the real page, for the harnesses of the shared controls. */
class PageElement implements TestElement {
  constructor(private readonly locator: Locator) {}

  blur = (): Promise<void> => this.locator.blur();
  clear = (): Promise<void> => this.locator.fill('');
  focus = (): Promise<void> => this.locator.focus();
  hover = (): Promise<void> => this.locator.hover();
  mouseAway = (): Promise<void> => this.locator.page().mouse.move(0, 0);
  getAttribute = (name: string): Promise<string | null> => this.locator.getAttribute(name);
  setInputValue = (value: string): Promise<void> => this.locator.fill(value);
  isFocused = (): Promise<boolean> => this.locator.evaluate((element) => element === document.activeElement);
  matchesSelector = (selector: string): Promise<boolean> => this.locator.evaluate((element, wanted) => element.matches(wanted), selector);
  hasClass = (name: string): Promise<boolean> => this.locator.evaluate((element, wanted) => element.classList.contains(wanted), name);

  async click(): Promise<void> {
    await this.locator.click();
  }

  async rightClick(): Promise<void> {
    await this.locator.click({ button: 'right' });
  }

  getCssValue(property: string): Promise<string> {
    return this.locator.evaluate((element, name) => getComputedStyle(element).getPropertyValue(name), property);
  }

  async sendKeys(...keys: (string | TestKey | ModifierKeys)[]): Promise<void> {
    for (const key of keys) {
      if (typeof key === 'string') await this.locator.pressSequentially(key);
      else if (typeof key === 'number') await this.locator.press(KEYS[key] ?? '');
      else throw new Error('keys held down are not sent through here: press them in the journey');
    }
  }

  /** Read at once: an element that was drawn away since it was found has no text, and is not waited for. */
  text(options?: TextOptions): Promise<string> {
    return this.locator.evaluateAll(([element], exclude) => {
      if (!element) return '';
      const copy = element.cloneNode(true) as Element;
      if (exclude) copy.querySelectorAll(exclude).forEach((one) => one.remove());
      return (copy.textContent ?? '').trim();
    }, options?.exclude);
  }

  async setContenteditableValue(value: string): Promise<void> {
    await this.locator.fill(value);
  }

  getDimensions(): Promise<ElementDimensions> {
    return this.locator.evaluate((element) => {
      const { left, top, width, height } = element.getBoundingClientRect();
      return { left, top, width, height };
    });
  }

  getProperty<T>(name: string): Promise<T> {
    return this.locator.evaluate((element, key) => (element as unknown as Record<string, T>)[key] as T, name);
  }

  async selectOptions(...indexes: number[]): Promise<void> {
    await this.locator.selectOption(indexes.map((index) => ({ index })));
  }

  async dispatchEvent(name: string, data?: Record<string, EventData>): Promise<void> {
    await this.locator.dispatchEvent(name, data);
  }
}

/** Finds the shared controls' harnesses in a page that a browser shows. */
export class PageEnvironment extends HarnessEnvironment<Locator> {
  /** Harnesses inside one part of it. */
  static within(part: Locator): PageEnvironment {
    return new PageEnvironment(part);
  }

  /** Two frames: what a change brings about is drawn by then. What waits for a server is waited for by the journey. */
  async forceStabilize(): Promise<void> {
    await this.rawRootElement.page().evaluate(() => new Promise((done) => requestAnimationFrame(() => requestAnimationFrame(done))));
  }

  waitForTasksOutsideAngular(): Promise<void> {
    return this.forceStabilize();
  }

  protected getDocumentRoot(): Locator {
    return this.rawRootElement.page().locator('body');
  }

  protected createTestElement(element: Locator): TestElement {
    return new PageElement(element);
  }

  protected createEnvironment(element: Locator): HarnessEnvironment<Locator> {
    return new PageEnvironment(element);
  }

  protected getAllRawElements(selector: string): Promise<Locator[]> {
    return this.rawRootElement.locator(selector).all();
  }
}
