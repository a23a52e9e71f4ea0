import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { drawClosed, USUAL_VIEW, type ClosedDrawing, type ClosedForm, type StrokeKind } from '@yardland/core';

/** One stroke of a drawing as a path. */
export interface Line {
  readonly kind: StrokeKind;
  readonly path: string;
}

/** The strokes of a drawing as paths, moved by dx and dy and scaled, y downwards, to a decimal of a pixel or a millimetre. */
export function linesOf({ strokes }: ClosedDrawing, scale = 1, dx = 0, dy = 0): Line[] {
  return strokes.map(({ kind, points, closed }) => ({
    kind,
    path: `M${points.map(({ x, y }) => `${(dx + x * scale).toFixed(1)} ${(dy - y * scale).toFixed(1)}`).join('L')}${closed ? 'z' : ''}`,
  }));
}

/** Room round the drawing, millimetres of the cushion for each of its largest measure. */
const MARGIN = 0.03;

/** The finished cushion, closed: a line drawing with hidden lines removed, from the cushion's own outline, edge and crown. */
@Component({
  selector: 'yl-closed-cushion',
  template: `
    @let picture = drawing();
    <svg
      class="block h-full w-full [&_.band]:fill-calico [&_.button]:fill-calico [&_.button]:stroke-ink [&_.edge]:stroke-ink [&_.face]:fill-linen [&_.hatch]:stroke-line-strong [&_.hatch]:opacity-55 [&_.hatch-side]:stroke-line-strong [&_.hatch-side]:opacity-80 [&_.ridge]:stroke-ink [&_.roll]:stroke-ink [&_.roll]:stroke-[5.5] [&_.roll-core]:stroke-linen [&_.roll-core]:stroke-[3.4] [&_.seam]:stroke-ink-soft [&_.zip]:stroke-ink [&_.zip]:stroke-[2.2] [&_.zip]:[stroke-dasharray:2_2.4] [&_.welt]:stroke-ink [&_.welt]:stroke-[3.4] [&_.welt-core]:stroke-linen [&_.welt-core]:stroke-[1.5] [&_path]:fill-none [&_path]:stroke-[1.1] [&_path]:[stroke-linejoin:round] [&_path]:[stroke-linecap:round] [&_.welt]:[stroke-linecap:butt] [&_.welt-core]:[stroke-linecap:butt] [&_path]:[vector-effect:non-scaling-stroke]"
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
    const drawn = drawClosed(this.form(), { ...USUAL_VIEW, turnDeg: USUAL_VIEW.turnDeg + this.turned() }, this.small() ? 0.5 : 1);
    const { minX, minY, maxX, maxY } = drawn;
    const room = MARGIN * Math.max(maxX - minX, maxY - minY);
    return { lines: linesOf(drawn), box: [minX - room, -maxY - room, maxX - minX + 2 * room, maxY - minY + 2 * room].map((mm) => mm.toFixed(1)).join(' ') };
  });
}
