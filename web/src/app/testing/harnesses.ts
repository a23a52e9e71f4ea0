import { ComponentHarness, HarnessPredicate, type TestKey, type BaseHarnessFilters, type ComponentHarnessConstructor } from '@angular/cdk/testing';

// The shared controls as a person speaks of them. Unit specs and browser journeys drive them alike.

interface Labelled extends BaseHarnessFilters {
  readonly label?: string;
}

/** A control with a label above it or round it; `labelSelector` finds the label inside the control. */
abstract class LabelledHarness extends ComponentHarness {
  async label(): Promise<string> {
    const { labelSelector } = this.constructor as unknown as LabelledControl<this>;
    return (await (await this.locatorFor(labelSelector)()).text()).trim();
  }
}

/** A kind of control that can be found by the words of its label. */
export interface LabelledControl<T extends ComponentHarness> extends ComponentHarnessConstructor<T> {
  readonly labelSelector: string;
}

function labelled<T extends LabelledHarness>(type: ComponentHarnessConstructor<T>, { label, ...filters }: Labelled): HarnessPredicate<T> {
  return new HarnessPredicate(type, filters).addOption('label', label, async (one, wanted) => (await one.label()) === wanted);
}

/** A box to type a length, a number, a word or a remark into. */
export class FieldHarness extends LabelledHarness {
  static readonly hostSelector = 'yl-quantity, yl-number, yl-text, yl-note';
  static readonly labelSelector = 'label';
  readonly #box = this.locatorFor('input, textarea');
  readonly #line = this.locatorForOptional('.field-says');

  static called(label: string): HarnessPredicate<FieldHarness> {
    return labelled(FieldHarness, { label });
  }

  /** Types over what is in it, without leaving it. */
  async write(text: string): Promise<void> {
    const box = await this.#box();
    await box.focus();
    await box.clear();
    if (text) await box.sendKeys(text);
  }

  /** Types over what is in it and leaves it. */
  async enter(text: string): Promise<void> {
    await this.write(text);
    const box = await this.#box();
    await box.dispatchEvent('change');
    await box.blur();
  }

  /** Types over what is in it and presses a key. */
  async writeAndPress(text: string, key: TestKey): Promise<void> {
    await this.write(text);
    await this.press(key);
  }

  async press(key: TestKey): Promise<void> {
    const box = await this.#box();
    await box.focus();
    await box.sendKeys(key);
  }

  async leave(): Promise<void> {
    await (await this.#box()).blur();
  }

  async text(): Promise<string> {
    return (await this.#box()).getProperty<string>('value');
  }

  /** The line under it: what it read, a hint, or what is wrong. */
  async says(): Promise<string> {
    return ((await (await this.#line())?.text()) ?? '').trim();
  }

  async isWrong(): Promise<boolean> {
    return (await (await this.#box()).getAttribute('aria-invalid')) === 'true';
  }
}

/** A choice from a list that drops down. */
export class ChoiceHarness extends LabelledHarness {
  static readonly hostSelector = 'yl-choice';
  static readonly labelSelector = 'label';

  static called(label: string): HarnessPredicate<ChoiceHarness> {
    return labelled(ChoiceHarness, { label });
  }

  async options(): Promise<string[]> {
    return Promise.all((await this.locatorForAll('option')()).map(async (option) => (await option.text()).trim()));
  }

  /** What stands in it. */
  async chosen(): Promise<string> {
    const at = await (await this.locatorFor('select')()).getProperty<number>('selectedIndex');
    return (await this.options())[at] ?? '';
  }

  async choose(name: string): Promise<void> {
    const at = (await this.options()).indexOf(name);
    if (at < 0) throw new Error(`“${name}” is not to choose under “${await this.label()}”`);
    await (await this.locatorFor('select')()).selectOptions(at);
  }
}

/** A few choices side by side. */
export class SwitchHarness extends LabelledHarness {
  static readonly hostSelector = 'yl-switch';
  static readonly labelSelector = 'legend';

  static called(label: string): HarnessPredicate<SwitchHarness> {
    return labelled(SwitchHarness, { label });
  }

  async chosen(): Promise<string> {
    const on = await this.locatorForOptional('label.on')();
    return on ? (await on.text()).trim() : '';
  }

  async choose(name: string): Promise<void> {
    for (const option of await this.locatorForAll('fieldset label')()) {
      if ((await option.text()).trim() === name) return option.click();
    }
    throw new Error(`“${name}” is not to choose under “${await this.label()}”`);
  }
}

/** A tick box with its words. */
export class TickboxHarness extends LabelledHarness {
  static readonly hostSelector = 'yl-tickbox';
  static readonly labelSelector = 'label';

  static called(label: string): HarnessPredicate<TickboxHarness> {
    return labelled(TickboxHarness, { label });
  }

  async isTicked(): Promise<boolean> {
    return (await this.locatorFor('input')()).getProperty<boolean>('checked');
  }

  async toggle(): Promise<void> {
    await (await this.locatorFor('label')()).click();
  }
}

/** A list of which one is shown beside it. */
export class PickListHarness extends ComponentHarness {
  static readonly hostSelector = 'yl-pick-list';

  static called(label: string): HarnessPredicate<PickListHarness> {
    return new HarnessPredicate(PickListHarness, {}).addOption('label', label, async (list, wanted) => (await list.label()) === wanted);
  }

  async label(): Promise<string> {
    return (await (await this.locatorFor('ul')()).getAttribute('aria-label')) ?? '';
  }

  async names(): Promise<string[]> {
    return Promise.all((await this.locatorForAll('li b')()).map((name) => name.text()));
  }

  async picked(): Promise<string> {
    return (await (await this.locatorForOptional('li[aria-selected=true] b')())?.text()) ?? '';
  }

  async pick(name: string): Promise<void> {
    const at = (await this.names()).indexOf(name);
    const line = (await this.locatorForAll('li')())[at];
    if (!line) throw new Error(`“${name}” is not in the list “${await this.label()}”`);
    await line.click();
  }

  /** Presses keys in the list, one after the other. */
  async press(...keys: TestKey[]): Promise<void> {
    const list = await this.locatorFor('ul')();
    await list.focus();
    await list.sendKeys(...keys);
  }
}
