import { ChangeDetectionStrategy, Component, computed, inject, linkedSignal } from '@angular/core';
import { RouterLink } from '@angular/router';
import { minutesInWords } from '@yardland/core';
import { dayAfter, setupWords, stepWords, type PlannedStep } from '@yardland/core/schedule';
import { Icon } from '../shared/icon';
import { ROOM_ICONS } from '../shared/room-icons';
import { Tool, Words } from '../shared/ui/ui';
import { DayStore } from './day-store';

const LONG = new Intl.DateTimeFormat('en-GB', { weekday: 'long', day: 'numeric', month: 'long', timeZone: 'UTC' });

interface Card {
  readonly key: string;
  readonly step: PlannedStep;
  readonly start: string;
  readonly end: string;
  readonly what: string;
  readonly job: string;
  readonly link: readonly (string | number)[];
  readonly setup: string;
  /** Cloth or foot are others than those of the step before. */
  readonly changes: boolean;
  readonly minutes: string;
  readonly rests: string;
  readonly next: boolean;
}

/** One day as a list for each person, to be read from a step away. */
@Component({
  selector: 'yl-today-panel',
  imports: [RouterLink, Icon, Tool, Words],
  template: `
    <div class="mb-2 flex flex-wrap items-center gap-2">
      <button type="button" ylTool aria-label="The day before" [disabled]="on() <= first()" (click)="on.set(step(-1))">
        <svg ylIcon="chevron-left" size="20"></svg>
      </button>
      <h2 class="min-w-64 text-center text-figure max-phone:min-w-0 max-phone:flex-1" aria-live="polite">{{ title() }}</h2>
      <button type="button" ylTool aria-label="The day after" (click)="on.set(step(1))"><svg ylIcon="chevron-right" size="20"></svg></button>
      <p ylWords class="max-phone:basis-full">{{ sum() }}</p>
    </div>
    <div
      class="grid min-h-0 flex-1 auto-rows-[minmax(min-content,1fr)] grid-cols-[repeat(auto-fit,minmax(13.75rem,1fr))] gap-4 overflow-auto pb-5 max-phone:auto-rows-auto"
    >
      @for (column of columns(); track column.name) {
        <section class="rounded-xl bg-linen p-3 shadow-card" [attr.aria-label]="column.name">
          <h3 class="mb-2 flex items-baseline justify-between text-dialog">
            {{ column.name }} <span class="font-text text-note font-normal text-ink-soft">{{ column.hours }}</span>
          </h3>
          <ol class="grid gap-2">
            @for (card of column.cards; track card.key) {
              <li class="rounded-lg border border-line px-3 py-2 [&.next]:border-2 [&.next]:border-ink" [class.next]="card.next">
                <p class="flex items-center gap-1.5 text-note text-ink-soft">
                  <time>{{ card.start }}–{{ card.end }}</time>
                  @if (card.next) {
                    <b class="ml-auto rounded-full bg-ink px-2 text-caption text-linen">next</b>
                  }
                  @if (card.step.inHand) {
                    <b class="ml-auto rounded-full bg-ok-ground px-2 text-caption text-ok">in hand</b>
                  }
                  @if (card.step.pinned) {
                    <svg [ylIcon]="icons.pin" size="15" role="img" aria-label="put by hand"></svg>
                  }
                </p>
                <p class="text-panel leading-tight font-[650]">{{ card.what }}</p>
                <p class="text-note">
                  <a class="underline" [routerLink]="card.link">{{ card.job }}</a> <span class="ml-1.5 text-ink-soft">{{ card.minutes }}</span>
                </p>
                @if (card.changes) {
                  <p class="text-note text-madder">Change to {{ card.setup }}</p>
                } @else if (card.setup) {
                  <p class="text-note text-ink-soft">{{ card.setup }}</p>
                }
                @if (card.rests) {
                  <p class="text-note text-ink-soft">{{ card.rests }}</p>
                }
              </li>
            } @empty {
              <li class="text-note text-ink-soft">{{ column.empty }}</li>
            }
          </ol>
        </section>
      }
    </div>
  `,
  host: { class: 'flex min-h-0 flex-1 flex-col' },
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class TodayPanel {
  protected readonly icons = ROOM_ICONS;
  protected readonly store = inject(DayStore);
  protected readonly first = computed(() => this.store.day()?.from ?? '');
  protected readonly on = linkedSignal(() => this.first());
  protected readonly title = computed(() => {
    const on = this.on();
    return on ? `${on === this.first() ? 'Today, ' : ''}${LONG.format(new Date(`${on}T00:00:00Z`))}` : '';
  });

  protected readonly columns = computed(() => {
    const day = this.store.day();
    if (!day) return [];
    const on = this.on();
    const weekday = (new Date(`${on}T00:00:00Z`).getUTCDay() + 6) % 7;
    const named = new Map(day.jobs.map(({ id, name }) => [id, name]));
    return day.people.map(({ name, hours, off, otherwise }) => {
      const long = off.includes(on) ? 0 : (otherwise.find((one) => one.day === on)?.hours ?? hours[weekday] ?? 0);
      let last: PlannedStep['setup'] = null;
      const cards = day.steps
        .filter((step) => step.person === name)
        .flatMap((step) => step.parts.filter(({ start }) => start.startsWith(on)).map(({ start, end }) => ({ step, start, end })))
        .sort((a, b) => (a.start < b.start ? -1 : 1))
        .map(({ step, start, end }, i): Card => {
          const changes = step.setup !== null && last !== null && JSON.stringify(step.setup) !== JSON.stringify(last);
          last = step.setup ?? last;
          const [operation] = step.operations;
          return {
            key: `${step.job} ${step.step} ${start}`,
            step,
            start: start.slice(11),
            end: end.slice(11),
            what: stepWords(step),
            job: named.get(step.job) ?? '',
            link: ['/jobs', step.job, (operation?.cushion ?? 0) + 1, 'bench'],
            setup: setupWords(step),
            changes,
            minutes: minutesInWords(step.minutes),
            rests: step.restsUntil === null ? '' : `Then rests until ${step.restsUntil.slice(11)}.`,
            next: i === 0 && on === this.first(),
          };
        });
      return { name, cards, hours: long > 0 ? `${day.starts}, ${long} h` : 'off', empty: long > 0 ? 'Nothing planned.' : 'Not here.' };
    });
  });

  protected readonly sum = computed(() => {
    const cards = this.columns().flatMap((column) => column.cards);
    const changes = cards.filter((card) => card.changes).length;
    if (!cards.length) return '';
    return `${cards.length} ${cards.length === 1 ? 'step' : 'steps'}, ${changes === 0 ? 'no change' : changes === 1 ? 'one change' : `${changes} changes`} of cloth or foot.`;
  });

  protected step(by: 1 | -1): string {
    return dayAfter(this.on(), by);
  }
}
