import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { toObservable, toSignal } from '@angular/core/rxjs-interop';
import { closedForm } from '@yardland/core';
import { debounceTime, map } from 'rxjs';
import { ClosedCushion } from '../shared/closed-cushion';
import { JobStore } from './job-store';

/** The picture is drawn anew when nothing has changed for this long: never while something is dragged. */
const STILL_MS = 250;

/** The cushion in hand, finished and closed, as the ticket shows it. */
@Component({
  selector: 'yl-closed-picture',
  imports: [ClosedCushion],
  template: `
    @if (form(); as form) {
      <yl-closed-cushion class="h-full w-full" [small]="true" [form]="form" [name]="name()" />
    }
  `,
  host: { class: 'block' },
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class ClosedPicture {
  readonly #store = inject(JobStore);
  protected readonly name = computed(() => `${this.#store.cushion()?.name ?? ''}, closed`);
  /** Null while the cushion cannot be made. */
  protected readonly form = toSignal(
    toObservable(this.#store.cushionPlan).pipe(
      debounceTime(STILL_MS),
      map((one) => (one?.state === 'planned' ? closedForm(one) : null)),
    ),
    { initialValue: null },
  );
}
