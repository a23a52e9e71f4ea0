import { ChangeDetectionStrategy, Component, computed, ElementRef, inject, input } from '@angular/core';
import { Dialogs } from '../dialogs';
import { TERMS } from './terms';

/**
 * Words as they stand on the screen; where they are a word of the trade, quietly underlined and explained at a press. In a label the explanation is no stop of the Tab
 * key, since labels stand between fields that are filled in one after another: F1 in the field opens it.
 */
@Component({
  selector: 'yl-term',
  template: `@if (name()) {
      <button
        type="button"
        class="cursor-help bg-transparent p-0 text-left font-[inherit] text-inherit underline decoration-dotted decoration-1 underline-offset-3 hover:decoration-solid"
        aria-haspopup="dialog"
        [attr.tabindex]="inLabel ? -1 : null"
        (click)="explain($event)"
      >
        {{ words() }}
      </button>
    } @else {
      {{ words() }}
    }`,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class Term {
  readonly words = input.required<string>();
  protected readonly name = computed(() => TERMS[this.words().toLowerCase()]);
  readonly #host = inject<ElementRef<HTMLElement>>(ElementRef).nativeElement;
  readonly #dialogs = inject(Dialogs);
  protected readonly inLabel = this.#host.closest('label, legend') !== null;

  protected explain(event: Event): void {
    event.preventDefault();
    void this.#dialogs.open(async () => (await import('./term-dialog')).TermDialog, { data: this.name(), labelledBy: 'term-title', near: this.#host });
  }
}
