import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { Router, RouterLink } from '@angular/router';
import { sayLine } from '@yardland/core';
import { WriteButton } from '../log/write-button';
import { Switch, type Option } from '../shared/controls/choice';
import { Icon } from '../shared/icon';
import { Messages } from '../shared/messages';
import { ROOM_ICONS } from '../shared/room-icons';
import { Button, Empty, Room, RoomHead, RoomMain, Tool, Words } from '../shared/ui/ui';
import { Tape } from '../shell/tape';
import { ThemeButton } from '../shell/theme-button';
import { DayStore } from './day-store';
import { PeoplePanel } from './people-panel';
import { PromisePanel } from './promise-panel';
import { TodayPanel } from './today-panel';
import { WeeksPanel } from './weeks-panel';

type Part = 'today' | 'weeks' | 'promises' | 'people';
const PARTS: readonly Option<Part>[] = [
  { value: 'today', name: 'Today' },
  { value: 'weeks', name: 'Weeks' },
  { value: 'promises', name: 'Promises' },
  { value: 'people', name: 'How we work' },
];

/** Who does what when: today by person, weeks as bars, what can be promised, and how the shop works. */
@Component({
  selector: 'yl-day-page',
  imports: [
    RoomMain,
    RoomHead,
    RouterLink,
    Button,
    Empty,
    Tool,
    Words,
    Tape,
    ThemeButton,
    WriteButton,
    Switch,
    Icon,
    TodayPanel,
    WeeksPanel,
    PromisePanel,
    PeoplePanel,
  ],
  template: `
    <yl-tape here="day">
      <div class="flex"><yl-theme-button /><yl-write-button /></div>
    </yl-tape>
    <main ylRoomMain>
      <div ylRoomHead>
        <h1>Day</h1>
        <yl-switch class="w-auto!" label="What is shown" [bare]="true" [options]="parts" [value]="part()" (picked)="show($event)" />
        <button
          type="button"
          ylTool
          aria-label="Take the last change back"
          title="Take the last change back"
          [disabled]="!store.canUndo()"
          (click)="store.undo()"
        >
          <svg ylIcon="undo-2" size="20"></svg>
        </button>
        <button
          type="button"
          ylTool
          aria-label="Plan anew"
          title="Plan anew: every step to whoever is free first, whatever the plan was so far"
          [disabled]="!store.day()"
          (click)="store.anew()"
        >
          <svg [ylIcon]="icons.shuffle" size="20"></svg>
        </button>
        <button
          type="button"
          ylTool
          aria-label="Copy the calendar’s address"
          title="Copy the calendar’s address"
          [disabled]="!store.shown()"
          (click)="copyCalendar()"
        >
          <svg [ylIcon]="icons.calendarDays" size="20"></svg>
        </button>
        <a ylButton href="/api/day/day.pdf" target="_blank" rel="noopener"><svg ylIcon="printer" size="20"></svg> For the wall</a>
      </div>
      @if (late().length && part() !== 'promises') {
        <p class="mb-2 flex flex-wrap items-center gap-x-2 gap-y-1 rounded-lg border-l-4 border-l-error bg-linen px-3 py-1.5 text-row" data-part="late">
          <b class="text-error">Late:</b> {{ late().join('; ') }}.
          <a class="underline" routerLink="/day" [queryParams]="{ read: 'promises' }">What would save it?</a>
        </p>
      }
      @if (store.failure(); as why) {
        <div ylEmpty>
          <h2>The day could not be planned</h2>
          <p>{{ why }}</p>
          <button type="button" ylButton (click)="store.again()">Try again</button>
        </div>
      } @else if (problems().length && part() !== 'people') {
        <div ylEmpty>
          <h2>The day cannot be planned as it is</h2>
          @for (problem of problems(); track problem) {
            <p>{{ problem }}</p>
          }
          <a ylButton routerLink="/day" [queryParams]="{ read: 'people' }">How we work</a>
        </div>
      } @else if (store.day(); as day) {
        @if (!day.steps.length && part() !== 'people' && part() !== 'promises') {
          <div ylEmpty>
            <h2>Nothing is at work</h2>
            <p>Jobs are planned from when they wait for foam, are cut or sewn; a job’s own sheet says which of these it is.</p>
          </div>
        } @else {
          @switch (part()) {
            @case ('today') {
              <yl-today-panel />
            }
            @case ('weeks') {
              <yl-weeks-panel />
            }
            @case ('promises') {
              <yl-promise-panel />
            }
            @case ('people') {
              <yl-people-panel />
            }
          }
        }
      } @else {
        <p ylWords role="status">Planning the day …</p>
      }
    </main>
  `,
  hostDirectives: [Room],
  providers: [DayStore],
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class DayPage {
  readonly #router = inject(Router);
  readonly #messages = inject(Messages);
  protected readonly icons = ROOM_ICONS;
  protected readonly store = inject(DayStore);
  /** From the address: which part is shown. */
  readonly read = input<string>();
  protected readonly parts = PARTS;
  protected readonly part = computed(() => PARTS.find(({ value }) => value === this.read())?.value ?? 'today');
  protected readonly problems = computed(() =>
    (this.store.day()?.problems ?? []).map((problem) => sayLine(problem, { units: 'metric', step: { mm: 1, inch: 1 / 8 } })),
  );
  protected readonly late = computed(() =>
    (this.store.day()?.jobs ?? [])
      .filter(({ lateDays }) => lateDays > 0)
      .map(({ name, lateDays }) => `${name} by ${Math.ceil(lateDays)} ${Math.ceil(lateDays) === 1 ? 'day' : 'days'}`),
  );

  protected show(read: Part): void {
    void this.#router.navigate([], { queryParams: { read: read === 'today' ? null : read } });
  }

  /** The address that a calendar subscribes to, on the clipboard; where that is not to be had, in a message to copy from. */
  protected async copyCalendar(): Promise<void> {
    const address = new URL(this.store.shown()?.calendar ?? '', document.baseURI).href;
    try {
      await navigator.clipboard.writeText(address);
      this.#messages.tell('calendar', 'The calendar’s address is on the clipboard. Whoever has it sees the plan: give it only to the shop’s own people.');
    } catch {
      this.#messages.warn('calendar', `Subscribe a calendar to ${address}. Whoever has this address sees the plan.`);
    }
  }
}
