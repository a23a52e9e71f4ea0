import { ChangeDetectionStrategy, Component, computed, type ElementRef, input, model, output, viewChild } from '@angular/core';
import type { Corners, Point } from '@yardland/core';
import type { OpenPicture } from './open-picture';

/** An arrow moves a corner by so many pixels; with Shift by the larger one. */
const NUDGE_PX = 1;
const LARGE_NUDGE_PX = 10;
const NUDGES: Readonly<Record<string, readonly [number, number]>> = { ArrowUp: [0, -1], ArrowDown: [0, 1], ArrowLeft: [-1, 0], ArrowRight: [1, 0] };

/** A picture with four corners on it that are put by dragging, or by the arrows. What is shown over it besides is put between its tags. */
@Component({
  selector: 'yl-picture-corners',
  template: `
    <svg
      #paper
      class="rounded-lg block w-full h-full bg-calico-deep touch-none"
      [class.cursor-crosshair]="pointed()"
      [attr.viewBox]="'0 0 ' + picture().width + ' ' + picture().height"
      role="group"
      [attr.aria-label]="label()"
      (pointerdown)="press($event)"
      (pointermove)="drag($event)"
      (pointerup)="drop()"
      (pointercancel)="drop()"
    >
      <image [attr.href]="picture().address" [attr.width]="picture().width" [attr.height]="picture().height" preserveAspectRatio="none" />
      <path class="fill-none stroke-[#8ec3f2] stroke-4 [stroke-dasharray:16_10]" [attr.d]="frame()" />
      <ng-content />
      @for (corner of corners() ?? []; track $index; let i = $index) {
        <g
          class="group cursor-grab outline-none"
          role="button"
          tabindex="0"
          [attr.aria-label]="names()[i]"
          (pointerdown)="hold(i, $event)"
          (keydown)="nudge(i, $event)"
        >
          <circle class="fill-transparent" [attr.cx]="corner.x" [attr.cy]="corner.y" r="70" />
          <circle
            class="fill-[rgb(29_95_158/35%)] stroke-[#fff] stroke-5 group-focus-visible:stroke-[#ffd23a] group-focus-visible:stroke-9"
            [attr.cx]="corner.x"
            [attr.cy]="corner.y"
            r="26"
          />
        </g>
      }
    </svg>
  `,
  host: { class: 'block min-h-0' },
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class PictureCorners {
  readonly picture = input.required<OpenPicture>();
  /** Lower left, lower right, upper right, upper left, pixels of the picture. */
  readonly corners = model.required<Corners | null>();
  /** What the picture is, and what each of its corners is called. */
  readonly label = input.required<string>();
  readonly names = input.required<readonly string[]>();
  /** Points are put on it by pressing. */
  readonly pointed = input(false);
  /** Where it was pressed beside its corners, pixels of the picture. */
  readonly pressed = output<Point>();
  private readonly paper = viewChild<ElementRef<SVGSVGElement>>('paper');
  #held: number | null = null;

  protected readonly frame = computed(() => {
    const corners = this.corners();
    return corners ? `M${corners.map((p) => `${p.x.toFixed(1)} ${p.y.toFixed(1)}`).join('L')}Z` : '';
  });

  protected press(event: PointerEvent): void {
    const at = this.#inPicture(event);
    if (at && this.#held === null) this.pressed.emit(at);
  }

  protected hold(index: number, event: PointerEvent): void {
    this.#held = index;
    this.paper()?.nativeElement.setPointerCapture(event.pointerId);
  }

  protected drag(event: PointerEvent): void {
    const at = this.#inPicture(event);
    if (this.#held !== null && at) this.#put(this.#held, at);
  }

  protected drop(): void {
    this.#held = null;
  }

  protected nudge(index: number, event: KeyboardEvent): void {
    const by = NUDGES[event.key];
    const at = this.corners()?.[index];
    if (!by || !at) return;
    event.preventDefault();
    const step = event.shiftKey ? LARGE_NUDGE_PX : NUDGE_PX;
    this.#put(index, { x: at.x + by[0] * step, y: at.y + by[1] * step });
  }

  /** Where a pointer is in the picture, pixels. */
  #inPicture({ clientX, clientY }: PointerEvent): Point | null {
    const toPicture = this.paper()?.nativeElement.getScreenCTM()?.inverse();
    if (!toPicture) return null;
    const { x, y } = new DOMPoint(clientX, clientY).matrixTransform(toPicture);
    return { x, y };
  }

  #put(index: number, { x, y }: Point): void {
    const { width, height } = this.picture();
    const to = { x: Math.max(0, Math.min(width, x)), y: Math.max(0, Math.min(height, y)) };
    this.corners.update((corners) => corners && (corners.map((p, i) => (i === index ? to : p)) as unknown as Corners));
  }
}
