import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { toObservable, toSignal } from '@angular/core/rxjs-interop';
import type { Planned, Point, View3 } from '@yardland/core';
import type { LinePicture } from '@yardland/core/solid';
import { catchError, debounceTime, map, of, switchMap } from 'rxjs';
import { RoundWork } from './round-work';

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

/** A cushion made up, as it stands on the ticket and on paper: a line drawing from its mesh, made in a thread of its own. */
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
  readonly #work = inject(RoundWork);
  /** Null while the cushion cannot be made. */
  readonly one = input.required<Planned | null>();
  /** What it shows, in words. */
  readonly name = input.required<string>();
  /** From where it is looked at; from the front, a little from the right and from above where it is not said. */
  readonly view = input<View3>();
  readonly #asked = computed(() => ({ one: this.one(), view: this.view() }));
  /** Null too until the first picture is there. */
  protected readonly picture = toSignal(
    toObservable(this.#asked).pipe(
      debounceTime(STILL_MS),
      switchMap(({ one, view }) => (one ? this.#work.picture(one, view).pipe(catchError(() => of(null))) : of(null))),
      map((made) => made && drawn(made)),
    ),
    { initialValue: null },
  );
}
