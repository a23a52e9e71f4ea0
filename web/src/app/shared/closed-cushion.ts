import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { drawClosed, USUAL_VIEW, type ClosedForm, type StrokeKind } from '@yardland/core';

interface Line {
  readonly kind: StrokeKind;
  readonly path: string;
}

/** Room round the drawing, millimetres of the cushion for each of its largest measure. */
const MARGIN = 0.03;

/** The finished cushion, closed: a line drawing with hidden lines removed, from the cushion's own outline, edge and crown. */
@Component({
  selector: 'yl-closed-cushion',
  template: `
    @let picture = drawing();
    <svg
      class="block h-full w-full [&_.band]:fill-calico [&_.button]:fill-calico [&_.button]:stroke-ink [&_.edge]:stroke-ink [&_.face]:fill-linen [&_.hatch]:stroke-line-strong [&_.hatch]:opacity-55 [&_.hatch-side]:stroke-line-strong [&_.hatch-side]:opacity-80 [&_.ridge]:stroke-ink [&_.roll]:stroke-ink [&_.roll]:stroke-[5.5] [&_.roll-core]:stroke-linen [&_.roll-core]:stroke-[3.4] [&_.seam]:stroke-ink-soft [&_.welt]:stroke-ink [&_.welt]:stroke-[3.4] [&_.welt-core]:stroke-linen [&_.welt-core]:stroke-[1.5] [&_path]:fill-none [&_path]:stroke-[1.1] [&_path]:[stroke-linejoin:round] [&_path]:[stroke-linecap:round] [&_path]:[vector-effect:non-scaling-stroke]"
      role="img"
      [attr.aria-label]="name()"
      [attr.viewBox]="picture.box"
      preserveAspectRatio="xMidYMid meet"
    >
      @for (line of picture.lines; track $index) {
        <path [class]="line.kind" [attr.d]="line.path" />
        @if (line.kind === 'welt' || line.kind === 'roll') {
          <path [class]="line.kind + '-core'" [attr.d]="line.path" />
        }
      }
    </svg>
  `,
  host: { class: 'block' },
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class ClosedCushion {
  readonly form = input.required<ClosedForm>();
  /** What it shows, in words. */
  readonly name = input.required<string>();

  /** Turned about the upright by so many degrees from the usual view. */
  readonly turned = input(0);

  /** A small picture in a list: with fewer lines. */
  readonly small = input(false);

  protected readonly drawing = computed(() => {
    const { strokes, minX, minY, maxX, maxY } = drawClosed(this.form(), { ...USUAL_VIEW, turnDeg: USUAL_VIEW.turnDeg + this.turned() }, this.small() ? 0.5 : 1);
    const room = MARGIN * Math.max(maxX - minX, maxY - minY);
    const lines = strokes.map(({ kind, points, closed }): Line => ({
      kind,
      path: `M${points.map(({ x, y }) => `${x.toFixed(1)} ${(-y).toFixed(1)}`).join('L')}${closed ? 'z' : ''}`,
    }));
    return { lines, box: [minX - room, -maxY - room, maxX - minX + 2 * room, maxY - minY + 2 * room].map((mm) => mm.toFixed(1)).join(' ') };
  });
}
