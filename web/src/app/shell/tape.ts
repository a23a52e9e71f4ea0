import { afterRenderEffect, ChangeDetectionStrategy, Component, ElementRef, inject, input } from '@angular/core';
import { RouterLink } from '@angular/router';
import { Icon } from '../shared/icon';
import { STATIONS, type StationId, type StationState } from '@yardland/core';

const STATE_WORDS: Record<StationState, string> = { open: '', done: 'done', doubtful: 'doubtful', blocked: 'blocked', working: 'being worked out' };

/** The shop's rooms, round the stations of a job. */
const ROOMS = [
  { path: '/jobs', name: 'Jobs' },
  { path: '/day', name: 'Day' },
  { path: '/stockroom', name: 'Stockroom' },
  { path: '/schools', name: 'Schools' },
  { path: '/gauges', name: 'Gauges' },
  { path: '/book', name: 'Book' },
];

/** The measuring tape down the left edge: its marks are the stations. */
@Component({
  selector: 'yl-tape',
  imports: [RouterLink, Icon],
  template: `
    <a
      class="pt-5 pl-4.5 font-head text-[1.25rem]/7 font-extrabold text-ink no-underline max-tablet:pl-3 max-phone:px-3 max-phone:py-1 max-phone:text-panel"
      routerLink="/jobs"
      aria-label="Yardland, all jobs"
      >Yardland</a
    >
    @if (job(); as link) {
      <ol class="stations my-1 flex flex-1 flex-col justify-evenly max-phone:order-3 max-phone:flex-[1_0_100%] max-phone:flex-row max-phone:overflow-x-auto">
        @for (station of stations; track station.id; let i = $index) {
          <li>
            <a
              class="relative mr-6.5 flex min-h-11 items-center justify-between bg-linen pr-1 pl-4.5 text-lead font-[550] text-ink no-underline hover:bg-calico-deep max-tablet:pl-3 max-tablet:text-body max-phone:m-0! max-phone:gap-1.5 max-phone:px-3.5! max-phone:whitespace-nowrap"
              [routerLink]="['/jobs', link.id, link.cushion, station.id]"
              [class.here]="station.id === here()"
              [attr.aria-current]="station.id === here() ? 'step' : null"
              [attr.aria-keyshortcuts]="i + 1"
            >
              <span>{{ station.name }}</span>
              @switch (states()?.[station.id]) {
                @case ('done') {
                  <svg ylIcon="check" size="18" class="text-ok"></svg>
                }
                @case ('doubtful') {
                  <svg ylIcon="triangle-alert" size="18" class="text-warn"></svg>
                }
                @case ('blocked') {
                  <svg ylIcon="octagon-x" size="18" class="text-error"></svg>
                }
                @case ('working') {
                  <svg ylIcon="loader-circle" size="18" class="work"></svg>
                }
              }
              <span class="sr-only">{{ words(station.id) }}</span>
            </a>
          </li>
        }
      </ol>
    }
    <div
      class="mt-auto flex flex-col gap-0.5 bg-linen pt-1.5 pr-1 pb-2.5 pl-2 max-tablet:pr-0 max-tablet:pl-0.5 max-phone:m-0 max-phone:min-w-0 max-phone:flex-[1_1_0] max-phone:flex-row max-phone:flex-nowrap max-phone:overflow-x-auto max-phone:p-0 max-phone:whitespace-nowrap"
    >
      @for (room of rooms; track room.path) {
        <a
          class="flex min-h-8.5 items-center rounded-md bg-linen px-2.5 font-semibold text-ink no-underline hover:bg-calico-deep aria-[current]:bg-calico-deep"
          [routerLink]="room.path"
          [attr.aria-current]="room.path === '/' + here() ? 'page' : null"
          >{{ room.name }}</a
        >
      }
      <ng-content />
    </div>
  `,
  styleUrl: './tape.css',
  host: { role: 'navigation', 'aria-label': 'Stations' },
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class Tape {
  /** The job whose stations are shown, and the cushion in hand; none in the shop's rooms. */
  readonly job = input<{ readonly id: string; readonly cushion: number } | null>(null);
  /** The station or the room one is in. */
  readonly here = input<string>('');
  readonly states = input<Record<StationId, StationState> | null>(null);
  protected readonly stations = STATIONS;
  protected readonly rooms = ROOMS;

  constructor() {
    const host = inject<ElementRef<HTMLElement>>(ElementRef).nativeElement;
    // Where the tape lies across a narrow screen and scrolls, the station in hand is on it.
    afterRenderEffect(() => {
      // The marks of what is done make stations wider.
      this.states();
      const here = this.here() ? host.querySelector<HTMLElement>('.stations a.here') : null;
      const list = here?.closest<HTMLElement>('.stations');
      if (here && list) list.scrollLeft += here.getBoundingClientRect().left - list.getBoundingClientRect().left - 40;
    });
  }

  protected words(id: StationId): string {
    return STATE_WORDS[this.states()?.[id] ?? 'open'];
  }
}
