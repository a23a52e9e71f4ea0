import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';

export interface Option {
  readonly value: string;
  readonly name: string;
}

let nextId = 0;

/** A choice from a list. */
@Component({
  selector: 'yl-choice',
  template: `
    <label class="field-label" [class.sr-only]="bare()" [attr.for]="id">{{ label() }}</label>
    <select [id]="id" #box (change)="changed.emit(box.value)">
      @if (value() === '') {
        <option value="" selected>{{ none() }}</option>
      }
      @for (option of options(); track option.value) {
        <option [value]="option.value" [selected]="option.value === value()">{{ option.name }}</option>
      }
    </select>
  `,
  host: { class: 'field' },
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class Choice {
  readonly label = input.required<string>();
  readonly options = input.required<readonly Option[]>();
  readonly value = input.required<string>();
  readonly none = input('not said');
  /** The label is read out but not shown. */
  readonly bare = input(false);
  readonly changed = output<string>();
  protected readonly id = `choice-${++nextId}`;
}

/** A few choices side by side, one of them on. */
@Component({
  selector: 'yl-switch',
  template: `
    <fieldset class="switch">
      <legend class="field-label">{{ label() }}</legend>
      @for (option of options(); track option.value) {
        <label [class.on]="option.value === value()"
          ><input type="radio" [name]="name" [value]="option.value" [checked]="option.value === value()" (change)="changed.emit(option.value)" />{{
            option.name
          }}</label
        >
      }
    </fieldset>
  `,
  host: { class: 'field' },
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class Switch {
  readonly label = input.required<string>();
  readonly options = input.required<readonly Option[]>();
  readonly value = input.required<string>();
  readonly changed = output<string>();
  protected readonly name = `switch-${++nextId}`;
}
