import { ChangeDetectionStrategy, Component, input, model, output } from '@angular/core';
import type { FormValueControl } from '@angular/forms/signals';
import { Label } from '../ui/ui';
import { Term } from '../words/term';

/** One of several values to choose from, with its name. */
export interface Option<T extends string = string> {
  readonly value: T;
  readonly name: string;
}

let nextId = 0;

/** A choice from a list. A control of a signal form, or by itself. */
@Component({
  selector: 'yl-choice',
  imports: [Label, Term],
  template: `
    <label ylLabel [class.sr-only]="bare()" [attr.for]="id"><yl-term [words]="label()" /></label>
    <select [id]="id" #box (change)="pick(box.value)">
      @if (value() === '') {
        <option value="" selected>{{ none() }}</option>
      }
      @for (option of options(); track option.value) {
        <option [value]="option.value" [selected]="option.value === value()">{{ option.name }}</option>
      }
    </select>
  `,
  host: { class: 'field block min-w-0' },
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class Choice<T extends string = string> implements FormValueControl<T | ''> {
  readonly label = input.required<string>();
  readonly options = input.required<readonly Option<T>[]>();
  /** Empty while nothing has been chosen. */
  readonly value = model.required<T | ''>();
  readonly touched = model(false);
  readonly none = input('not said');
  /** The label is read out but not shown. */
  readonly bare = input(false);
  /** One was chosen. */
  readonly picked = output<T>();
  protected readonly id = `choice-${++nextId}`;

  protected pick(text: string): void {
    const option = this.options().find(({ value }) => value === text);
    if (!option) return;
    this.touched.set(true);
    this.value.set(option.value);
    this.picked.emit(option.value);
  }
}

/** A few choices side by side, one of them on. A control of a signal form, or by itself. */
@Component({
  selector: 'yl-switch',
  imports: [Label, Term],
  template: `
    <fieldset class="switch gap-0 flex flex-wrap whitespace-nowrap">
      <legend ylLabel [class.sr-only]="bare()"><yl-term [words]="label()" /></legend>
      @for (option of options(); track option.value) {
        <label
          class="px-3.25 -ml-px border border-line-strong relative inline-flex items-center min-h-11 bg-linen font-semibold cursor-pointer [&.on]:border-ink [&.on]:z-1 [&.on]:bg-ink [&.on]:text-linen last-of-type:rounded-r-lg last-of-type:rounded-l-none focus-within:z-2 focus-within:[outline:3px_solid_var(--color-focus)] focus-within:[outline-offset:1px] first-of-type:ml-0 first-of-type:rounded-l-lg"
          [class.on]="option.value === value()"
          ><input
            class="absolute opacity-0"
            type="radio"
            [name]="group"
            [value]="option.value"
            [checked]="option.value === value()"
            (change)="pick(option.value)"
          />{{ option.name }}</label
        >
      }
    </fieldset>
  `,
  host: { class: 'field block min-w-0' },
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class Switch<T extends string = string> implements FormValueControl<T | ''> {
  readonly label = input.required<string>();
  readonly options = input.required<readonly Option<T>[]>();
  /** Empty while nothing has been chosen. */
  readonly value = model.required<T | ''>();
  readonly touched = model(false);
  /** The label is read out but not shown. */
  readonly bare = input(false);
  /** One was chosen. */
  readonly picked = output<T>();
  protected readonly group = `switch-${++nextId}`;

  protected pick(value: T): void {
    this.touched.set(true);
    this.value.set(value);
    this.picked.emit(value);
  }
}
