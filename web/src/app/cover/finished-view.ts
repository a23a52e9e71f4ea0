import { ChangeDetectionStrategy, Component, computed, inject, input, model } from '@angular/core';
import { Icon } from '../shared/icon';
import { closedForm, constructionOf } from '@yardland/core';
import { JobStore } from '../job/job-store';
import { ClosedCushion } from '../shared/closed-cushion';
import { Button, TrayPart, Words } from '../shared/ui/ui';

/** A press turns the cushion by so much. */
const TURN_DEG = 30;

/** The cushion in hand, finished and closed, as large as the table. */
@Component({
  selector: 'yl-finished-view',
  imports: [ClosedCushion],
  template: `
    @if (form(); as form) {
      <yl-closed-cushion class="h-full w-full" [form]="form" [turned]="turned()" [name]="name()" />
    }
  `,
  host: { class: 'block min-h-0 [grid-area:table] p-6' },
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class FinishedView {
  readonly #store = inject(JobStore);
  readonly turned = input(0);
  protected readonly name = computed(() => `${this.#store.cushion()?.name ?? ''}, finished`);
  /** Null while the cushion cannot be made. */
  protected readonly form = computed(() => {
    const one = this.#store.cushionPlan();
    return one?.state === 'planned' ? closedForm(one) : null;
  });
}

/** What there is to say of the finished cover, and turning it. */
@Component({
  selector: 'yl-finished-facts',
  imports: [Button, Words, Icon],
  template: `
    <div class="flex gap-2" role="group" aria-label="Turn the drawing">
      <button type="button" ylButton (click)="turn(-1)"><svg ylIcon="rotate-cw" size="20"></svg> Turn left</button>
      <button type="button" ylButton (click)="turn(1)"><svg ylIcon="rotate-ccw" size="20"></svg> Turn right</button>
    </div>
    <p ylWords>{{ words() }}</p>
  `,
  hostDirectives: [TrayPart],
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class FinishedFacts {
  readonly #store = inject(JobStore);
  readonly turned = model(0);
  protected readonly words = computed(() => {
    const choices = this.#store.cushion()?.construction;
    if (!choices) return '';
    const { zip, washable, edge, hard } = constructionOf(choices).traits(choices);
    return `Edge: ${edge}. ${zip ? `Zip ${zip}.` : 'No zip.'} ${washable ? 'Comes off to be washed.' : 'Does not come off to be washed.'} Hard about it: ${hard}`;
  });

  protected turn(way: 1 | -1): void {
    this.turned.update((deg) => (deg + way * TURN_DEG) % 360);
  }
}
