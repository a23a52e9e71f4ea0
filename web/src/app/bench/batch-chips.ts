import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';

/** The cushions of a batch as numbered keys: which of them a step is done on. */
@Component({
  selector: 'yl-batch-chips',
  template: `
    @for (number of numbers(); track number) {
      <button
        type="button"
        class="min-h-11 min-w-11 cursor-pointer rounded-lg border border-line-strong bg-linen px-2 font-[650] tabular-nums text-ink aria-pressed:border-ink aria-pressed:bg-ink aria-pressed:text-linen"
        [attr.aria-pressed]="done().includes(number)"
        [attr.aria-label]="'Cushion ' + number + (done().includes(number) ? ', done' : ', to do')"
        (click)="toggled.emit(number)"
      >
        {{ number }}
      </button>
    }
  `,
  host: { class: 'flex flex-wrap gap-1.5', role: 'group', '[attr.aria-label]': 'words()' },
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class BatchChips {
  readonly numbers = input.required<readonly number[]>();
  readonly done = input.required<readonly number[]>();
  /** What is done: the name of the group. */
  readonly words = input.required<string>();
  readonly toggled = output<number>();
}
