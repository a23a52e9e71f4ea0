import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { toObservable, toSignal } from '@angular/core/rxjs-interop';
import type { Planned, Point } from '@yardland/core';
import type { LinePicture } from '@yardland/core/solid';
import { catchError, debounceTime, of, switchMap } from 'rxjs';
import { RoundWork } from '../round-thread/round-work';
import { JobStore } from './job-store';

/** The picture is drawn anew when nothing has changed for this long: never while something is dragged. */
const STILL_MS = 250;
/** Room round the drawing, as a share of its larger side. */
const MARGIN = 0.03;

const pathOf = (points: readonly Point[]): string => `M${points.map(({ x, y }) => `${x.toFixed(1)} ${(-y).toFixed(1)}`).join('L')}`;

function drawn({ outline, lines, minX, minY, maxX, maxY }: LinePicture) {
  const room = MARGIN * Math.max(maxX - minX, maxY - minY);
  return {
    box: [minX - room, -maxY - room, maxX - minX + 2 * room, maxY - minY + 2 * room].map((mm) => mm.toFixed(1)).join(' '),
    outline: `${pathOf(outline)}z`,
    lines: lines.map(({ kind, points }) => ({ kind, path: pathOf(points) })),
  };
}

/** The cushion in hand made up, as it stands on the ticket: a line drawing from its mesh, made in a thread of its own. */
@Component({
  selector: 'yl-closed-picture',
  template: `
    @if (picture(); as picture) {
      <svg
        class="block h-full w-full [&_path]:fill-none [&_path]:stroke-ink [&_path]:stroke-[1.1] [&_path]:[stroke-linejoin:round] [&_path]:[vector-effect:non-scaling-stroke] [&_.whole]:fill-linen [&_.whole]:stroke-[1.4] [&_.cord]:stroke-[3] [&_.inside]:stroke-linen! [&_.inside]:stroke-[1.2]!"
        role="img"
        [attr.aria-label]="name()"
        [attr.viewBox]="picture.box"
      >
        <path class="whole" [attr.d]="picture.outline" />
        @for (line of picture.lines; track $index) {
          <path [class]="line.kind" [attr.d]="line.path" />
          @if (line.kind === 'cord') {
            <path class="inside" [attr.d]="line.path" />
          }
        }
      </svg>
    }
  `,
  host: { class: 'block' },
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class ClosedPicture {
  readonly #store = inject(JobStore);
  readonly #work = inject(RoundWork);
  protected readonly name = computed(() => `${this.#store.cushion()?.name ?? ''}, made up`);
  readonly #one = computed((): Planned | null => {
    const one = this.#store.cushionPlan();
    return one?.state === 'planned' ? one : null;
  });
  /** Null while the cushion cannot be made, and until its first picture is there. */
  readonly #made = toSignal(
    toObservable(this.#one).pipe(
      debounceTime(STILL_MS),
      switchMap((one) => (one ? this.#work.picture(one).pipe(catchError(() => of(null))) : of(null))),
    ),
    { initialValue: null },
  );
  protected readonly picture = computed(() => {
    const made = this.#made();
    return made && drawn(made);
  });
}
