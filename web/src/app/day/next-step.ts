import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { stepWords } from '@yardland/core/schedule';
import { catchError, EMPTY, switchMap, timer } from 'rxjs';
import { DayApi } from './day-api';

/** The plan goes on while one works. */
const AGAIN_MS = 60_000;

/** What somebody does after this, by the plan of the day; nothing where there is no plan, or nobody has said who they are. */
@Component({
  selector: 'yl-next-step',
  template: `@if (words(); as words) {
    <p class="text-body text-ink-soft" data-part="next"><b>Next:</b> {{ words }}</p>
  }`,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class NextStep {
  readonly person = input.required<string>();
  /** The job in hand and the operation that is looked at. */
  readonly job = input.required<string>();
  readonly operation = input.required<string>();
  readonly #api = inject(DayApi);
  readonly #shown = toSignal(timer(0, AGAIN_MS).pipe(switchMap(() => this.#api.shown(undefined).pipe(catchError(() => EMPTY)))));

  protected readonly words = computed(() => {
    const [day, person] = [this.#shown()?.day, this.person()];
    if (!day || !person) return '';
    const inHand = (step: (typeof day.steps)[number]): boolean => step.job === this.job() && step.operations.some(({ id }) => id === this.operation());
    const [next] = day.steps
      .filter((step) => step.person === person && !inHand(step))
      .sort((a, b) => ((a.parts[0]?.start ?? '') < (b.parts[0]?.start ?? '') ? -1 : 1));
    if (!next) return '';
    const job = next.job === this.job() ? '' : `, ${day.jobs.find(({ id }) => id === next.job)?.name ?? ''}`;
    const start = next.parts[0]?.start ?? '';
    return `${stepWords(next)}${job}${start.startsWith(day.from) ? ` at ${start.slice(11)}` : ''}.`;
  });
}
