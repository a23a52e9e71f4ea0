import { afterRenderEffect, ChangeDetectionStrategy, Component, ElementRef, inject, input } from '@angular/core';
import { RouterLink } from '@angular/router';
import { LucideCheck, LucideLoaderCircle, LucideOctagonX, LucideTriangleAlert } from '@lucide/angular';
import { STATIONS, type StationId, type StationState } from '@yardland/core';

const STATE_WORDS: Record<StationState, string> = { open: '', done: 'done', doubtful: 'doubtful', blocked: 'blocked', working: 'being worked out' };

/** The shop's rooms, round the stations of a job. */
const ROOMS = [
  { path: '/jobs', name: 'Jobs' },
  { path: '/stockroom', name: 'Stockroom' },
  { path: '/schools', name: 'Schools' },
  { path: '/gauges', name: 'Gauges' },
];

/** The measuring tape down the left edge: its marks are the stations. */
@Component({
  selector: 'yl-tape',
  imports: [RouterLink, LucideCheck, LucideTriangleAlert, LucideOctagonX, LucideLoaderCircle],
  template: `
    <a class="tape-name" routerLink="/jobs" aria-label="Yardland, all jobs">Yardland</a>
    @if (job(); as link) {
      <ol class="tape-stations">
        @for (station of stations; track station.id; let i = $index) {
          <li>
            <a
              [routerLink]="['/jobs', link.id, link.cushion, station.id]"
              [class.here]="station.id === here()"
              [attr.aria-current]="station.id === here() ? 'step' : null"
              [attr.aria-keyshortcuts]="i + 1"
            >
              <span>{{ station.name }}</span>
              @switch (states()?.[station.id]) {
                @case ('done') {
                  <svg lucideCheck size="18" class="ok"></svg>
                }
                @case ('doubtful') {
                  <svg lucideTriangleAlert size="18" class="doubt"></svg>
                }
                @case ('blocked') {
                  <svg lucideOctagonX size="18" class="block"></svg>
                }
                @case ('working') {
                  <svg lucideLoaderCircle size="18" class="work"></svg>
                }
              }
              <span class="sr-only">{{ words(station.id) }}</span>
            </a>
          </li>
        }
      </ol>
    }
    <div class="tape-foot">
      @for (room of rooms; track room.path) {
        <a class="tape-room" [routerLink]="room.path" [attr.aria-current]="room.path === '/' + here() ? 'page' : null">{{ room.name }}</a>
      }
      <ng-content />
    </div>
  `,
  host: { role: 'navigation', 'aria-label': 'Stations', class: 'tape' },
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
      const here = this.here() ? host.querySelector<HTMLElement>('.tape-stations a.here') : null;
      const list = here?.closest<HTMLElement>('.tape-stations');
      if (here && list) list.scrollLeft += here.getBoundingClientRect().left - list.getBoundingClientRect().left - 40;
    });
  }

  protected words(id: StationId): string {
    return STATE_WORDS[this.states()?.[id] ?? 'open'];
  }
}
