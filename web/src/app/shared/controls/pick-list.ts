import { CdkListbox, CdkOption } from '@angular/cdk/listbox';
import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';

/** A line of a list to pick from: its name and a word about it. */
export interface PickLine {
  readonly value: string;
  readonly name: string;
  readonly about: string;
}

/** A list of which one is shown beside it. Arrow keys, Home, End and the first letters move in it; Enter and Space pick. */
@Component({
  selector: 'yl-pick-list',
  imports: [CdkListbox, CdkOption],
  template: `
    <ul class="grid content-start gap-1.5" cdkListbox [attr.aria-label]="label()" [cdkListboxValue]="shown()" (cdkListboxValueChange)="pick($event.value)">
      @for (line of lines(); track line.value) {
        <li
          class="grid min-h-14 cursor-pointer content-center rounded-lg border border-line bg-linen px-3 py-2 leading-[1.3] aria-selected:shadow-[inset_0_0_0_2px_var(--color-ink)]"
          [cdkOption]="line.value"
          [cdkOptionTypeaheadLabel]="line.name"
        >
          <b>{{ line.name }}</b>
          <span class="text-caption text-ink-soft">{{ line.about }}</span>
        </li>
      }
    </ul>
  `,
  host: { class: 'block min-h-0 overflow-y-auto px-0.5 pt-0.5 pb-5' },
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class PickList {
  readonly label = input.required<string>();
  readonly lines = input.required<readonly PickLine[]>();
  readonly value = input.required<string | null>();
  readonly picked = output<string>();

  protected readonly shown = computed<readonly string[]>(() => {
    const value = this.value();
    return value !== null && this.lines().some((line) => line.value === value) ? [value] : [];
  });

  protected pick([value]: readonly string[]): void {
    if (value !== undefined && value !== this.value()) this.picked.emit(value);
  }
}
