import { ChangeDetectionStrategy, Component, input } from '@angular/core';
import { RouterLink } from '@angular/router';
import { LucideCheck, LucideLoaderCircle, LucideOctagonX, LucideTriangleAlert } from '@lucide/angular';
import { STATIONS, type StationId, type StationState } from '@yardland/core';

const STATE_WORDS: Record<StationState, string> = { open: '', done: 'done', doubtful: 'doubtful', blocked: 'blocked', working: 'being worked out' };

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
      <a class="tape-room" routerLink="/jobs" [attr.aria-current]="job() ? null : 'page'">Jobs</a>
      <ng-content />
    </div>
  `,
  host: { role: 'navigation', 'aria-label': 'Stations', class: 'tape' },
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class Tape {
  /** The job whose stations are shown, and the cushion in hand; none in the shop's rooms. */
  readonly job = input<{ readonly id: string; readonly cushion: number } | null>(null);
  readonly here = input<string>('');
  readonly states = input<Record<StationId, StationState> | null>(null);
  protected readonly stations = STATIONS;

  protected words(id: StationId): string {
    return STATE_WORDS[this.states()?.[id] ?? 'open'];
  }
}
