import { TestKey, type ComponentHarness } from '@angular/cdk/testing';
import { AxeBuilder } from '@axe-core/playwright';
import { expect, test as base, type Locator, type Page } from '@playwright/test';

import { ChoiceHarness, FieldHarness, PickListHarness, SwitchHarness, TickboxHarness, type LabelledControl } from '@yardland/web/harnesses';
import { ownServer } from './own-server';
import { PageEnvironment } from './page-environment';

/** The application as a person speaks of it: tape, table, tray, ticket. */
export class Shop {
  constructor(readonly page: Page) {}

  async openJobs(): Promise<void> {
    await this.page.goto('/jobs');
    await expect(this.page.getByRole('heading', { name: 'Jobs' })).toBeVisible();
  }

  async openJob(name: string): Promise<void> {
    await this.openJobs();
    // Only the rows near the screen are in the page: it is looked for.
    await this.page.getByRole('searchbox').fill(name);
    // A row that is pressed while the list is drawn anew is not opened.
    await expect(this.page.getByRole('main').getByRole('status')).toContainText('found');
    await this.page.getByRole('link', { name, exact: true }).click();
    await expect(this.ticket()).toBeVisible();
  }

  async goTo(station: string): Promise<void> {
    await this.page
      .getByRole('navigation', { name: 'Stations' })
      .getByRole('link', { name: new RegExp(`^${station}`) })
      .click();
    await expect(this.page.locator('yl-tape a.here')).toContainText(station);
  }

  ticket(): Locator {
    return this.page.getByRole('complementary', { name: 'Ticket' });
  }

  tray(): Locator {
    return this.page.getByRole('group', { name: /tray$/ });
  }

  /** The numbers of one row of the four sizes as they are read out: `['590 millimetres', …]`. */
  async size(row: 'Seat' | 'Finished' | 'Core' | 'Cut, plate'): Promise<string[]> {
    const texts = await this.ticket()
      .getByRole('row')
      .filter({ has: this.page.getByRole('rowheader', { name: row, exact: true }) })
      .locator('yl-length .sr-only')
      .allInnerTexts();
    return texts.map((text) => text.replace(/[\u202f\u00a0]/g, ' '));
  }

  async expectSize(row: 'Seat' | 'Finished' | 'Core' | 'Cut, plate', ...lengths: string[]): Promise<void> {
    await expect.poll(() => this.size(row)).toEqual(lengths);
  }

  /** What the layers of the filling are of, from the top down, as the tray has them. */
  layers(): Promise<string[]> {
    return this.tray()
      .locator('[data-part=layer-row] yl-choice:not([data-part=stock-sheet]) select')
      .evaluateAll((all) => all.map((one) => (one as HTMLSelectElement).value));
  }

  /** The line of a piece on the ticket. */
  piece(label: string): Locator {
    return this.ticket().locator('[data-part=piece-row]').filter({ hasText: label });
  }

  /** A shared control by its label: in the tray, or in another part of the page. Looked for anew at each use, so it may be drawn anew between two. */
  async control<T extends ComponentHarness>(kind: LabelledControl<T>, label: string, part?: Locator): Promise<T> {
    return new kind(PageEnvironment.within(await this.host(kind, label, part)));
  }

  /** Where a shared control with this label is. */
  private async host<T extends ComponentHarness>(kind: LabelledControl<T>, label: string, part: Locator = this.tray()): Promise<Locator> {
    const exactly = new RegExp(`^\\s*${label.replace(/[.*+?^${}()|[\]\\]/g, '\\$&').replace(/\s+/g, '\\s+')}\\s*$`);
    const found = part.locator(kind.hostSelector).filter({ has: this.page.locator(kind.labelSelector, { hasText: exactly }) });
    await expect(found, label).toHaveCount(1);
    return found;
  }

  /** A list of which one is shown beside it, by its name. */
  async pickList(name: string): Promise<PickListHarness> {
    const found = this.page.locator(PickListHarness.hostSelector).filter({ has: this.page.getByRole('listbox', { name, exact: true }) });
    await expect(found, name).toHaveCount(1);
    return new PickListHarness(PageEnvironment.within(found));
  }

  /** Types a length into a field of the tray and settles it. */
  async setLength(field: string, text: string): Promise<void> {
    await (await this.control(FieldHarness, field)).writeAndPress(text, TestKey.ENTER);
  }

  /** Chooses in the tray, from a list that drops down, by the words that are shown. */
  async choose(label: string, name: string): Promise<void> {
    // By its words, not its place in the list: the list may become longer or shorter meanwhile.
    await (await this.host(ChoiceHarness, label)).locator('select').selectOption({ label: name });
  }

  /** Chooses in the tray, between a few side by side, and sees that it was taken. */
  async turn(label: string, name: string): Promise<void> {
    await (await this.control(SwitchHarness, label)).choose(name);
    await expect.poll(async () => (await this.control(SwitchHarness, label)).chosen(), { message: `${label}: ${name}` }).toBe(name);
  }

  /** Ticks a box of the tray, or takes its tick off. */
  async tick(label: string, on = true): Promise<void> {
    const box = await this.control(TickboxHarness, label);
    if ((await box.isTicked()) !== on) await box.toggle();
  }

  async saved(): Promise<void> {
    await expect(this.page.locator('[data-part=save-state]')).toHaveText('saved');
  }

  /** No accessibility violation by the rules of WCAG 2.2 AA. `without`: rules that the page keeps in another way, which the caller says. `skip`: selectors of what was looked at before. */
  async expectAccessible({ without = [], skip = [] }: { readonly without?: readonly string[]; readonly skip?: readonly string[] } = {}): Promise<void> {
    const axe = new AxeBuilder({ page: this.page });
    for (const selector of skip) axe.exclude(selector);
    const { violations } = await axe
      // In the page itself: without frames of other origins nothing has to be put together in a page of its own, which takes three times as long.
      .setLegacyMode()
      // Only violations are read: that of what passes the selectors are not worked out takes half as long.
      .options({ resultTypes: ['violations'] })
      .disableRules([...without])
      .withTags(['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'])
      .analyze();
    expect(violations.map((one) => `${one.id}: ${one.nodes.map((node) => node.target.join(' ')).join(', ')}`)).toEqual([]);
  }
}

/** Every journey has a server and a demo shop of its own (`begins: 'own'`: a shop without jobs), so that none finds what another did; and fails on a console error, an exception, or a request that leaves this machine. */
export const test = base.extend<{ shop: Shop; expectedErrors: RegExp[]; begins: 'demo' | 'own' }>({
  begins: ['demo', { option: true }],
  baseURL: async ({ begins }, use) => {
    const { url, stop } = await ownServer({ YARDLAND_BEGIN: begins });
    await use(url);
    await stop();
  },
  expectedErrors: [[], { option: true }],
  shop: async ({ page, expectedErrors }, use) => {
    const troubles: string[] = [];
    page.on('console', (message) => {
      if (message.type() === 'error') troubles.push(message.text());
    });
    page.on('pageerror', (error) => troubles.push(error.message));
    page.on('request', (request) => {
      const { protocol, hostname } = new URL(request.url());
      if (!['data:', 'blob:'].includes(protocol) && hostname !== '127.0.0.1') troubles.push(`a request left: ${request.url()}`);
    });
    await use(new Shop(page));
    expect(troubles.filter((text) => !expectedErrors.some((expected) => expected.test(text)))).toEqual([]);
  },
});

export { expect };
