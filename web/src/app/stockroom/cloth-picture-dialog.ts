import { DIALOG_DATA, DialogRef } from '@angular/cdk/dialog';
import { ChangeDetectionStrategy, Component, computed, DestroyRef, effect, type ElementRef, inject, signal, viewChild } from '@angular/core';
import { formatSize, homography, mapPoint, sheetCorners, type Cloth, type ClothPictureRef, type Corners, type Point, type SayIn } from '@yardland/core';
import { evenlyLit, meanTint, straightenedPicture, type ColourPicture } from '@yardland/core/trace';
import { QuantityField } from '../shared/controls/quantity-field';
import { NOT_A_PICTURE, openPicture, type OpenPicture } from '../shared/reading/open-picture';
import { PictureCorners } from '../shared/reading/picture-corners';
import { PictureSource } from '../shared/reading/picture-source';
import { PicturesApi } from '../shared/reading/pictures-api';
import { problemOf } from '../shared/saving/problem';
import { Button, DialogFoot, DialogFrame, TrayRow, Words } from '../shared/ui/ui';

/** The cloth that a picture is taken of, and what becomes of it. */
export interface ClothPictureData {
  readonly cloth: Pick<Cloth, 'name' | 'pattern' | 'picture'>;
  readonly inWords: SayIn;
  /** The picture as it is kept, and the cloth's mean colour in it, `#rrggbb`. */
  readonly taken: (picture: ClothPictureRef, tint: string) => void;
}

/** Longer side of what is kept, pixels; and of what is shown while the corners are put. */
const KEPT_PX = 1024;
const SHOWN_PX = 110;
/** Repeats that are shown beside each other, across and along, to see whether they meet. */
const SHOWN = 3;
/** A plain cloth's frame shows as much where nothing else is said, mm. */
const PLAIN_MM = 100;
const CORNER_NAMES = ['lower left', 'lower right', 'upper right', 'upper left'].map((name) => `Corner of the frame, ${name}`);

const path = (points: readonly Point[]): string => `M${points.map(({ x, y }) => `${x.toFixed(1)} ${y.toFixed(1)}`).join('L')}`;

/** A picture as a canvas. */
function drawn({ width, height, rgba }: ColourPicture): HTMLCanvasElement {
  const canvas = document.createElement('canvas');
  canvas.width = width;
  canvas.height = height;
  canvas.getContext('2d')?.putImageData(new ImageData(new Uint8ClampedArray(rgba), width, height), 0, 0);
  return canvas;
}

/** A flat, evenly lit picture of a cloth from one taken at a slant: four corners are put round one repeat of its pattern, or round a piece of a plain cloth. */
@Component({
  selector: 'yl-cloth-picture-dialog',
  imports: [DialogFrame, DialogFoot, TrayRow, Button, Words, QuantityField, PictureCorners, PictureSource],
  template: `
    <div ylDialog="wide">
      <h2 id="cloth-picture-title">{{ data.cloth.name }}, a picture</h2>
      <p>{{ about }}</p>
      <div ylTrayRow>
        <yl-picture-source of="cloth" (chosen)="open($event)" (failed)="message.set($event)" />
        @if (!pattern?.acrossMm) {
          <yl-quantity
            label="The frame shows, across"
            [value]="acrossMm()"
            [min]="5"
            [max]="3000"
            [units]="units"
            [step]="step"
            (entered)="acrossMm.set($event)"
          />
        }
        @if (!pattern?.alongMm) {
          <yl-quantity
            label="The frame shows, along"
            [value]="alongMm()"
            [min]="5"
            [max]="3000"
            [units]="units"
            [step]="step"
            (entered)="alongMm.set($event)"
          />
        }
      </div>
      @if (picture(); as shown) {
        <div class="grid min-h-0 grid-cols-[minmax(0,1fr)_auto] items-start gap-4 max-phone:grid-cols-[minmax(0,1fr)]">
          <yl-picture-corners
            class="h-[44dvh] max-phone:h-[30dvh]"
            label="The picture with the four corners of its frame"
            [picture]="shown"
            [(corners)]="corners"
            [names]="cornerNames"
          >
            <svg:path class="fill-none stroke-[#fff] stroke-2 [stroke-dasharray:4_6]" [attr.d]="repeats()" />
            <svg:path class="fill-none stroke-[#8ec3f2] stroke-3" [attr.d]="middle()" />
          </yl-picture-corners>
          <figure class="m-0 grid gap-1">
            <canvas #shown class="block h-auto max-w-full rounded-lg border border-line-strong" role="img" [attr.aria-label]="'As it lies: ' + size()"></canvas>
            <figcaption class="max-w-84 text-label text-ink-soft">{{ size() }}, shown {{ many }} × {{ many }} times</figcaption>
          </figure>
        </div>
      }
      <p ylWords role="status">{{ message() }}</p>
      <div ylDialogFoot>
        <button type="button" ylButton (click)="close()">Never mind</button>
        <button type="button" ylButton="strong" [disabled]="!tile() || sending()" (click)="take()">
          {{ sending() ? 'Sending …' : 'Take as its picture' }}
        </button>
      </div>
    </div>
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class ClothPictureDialog {
  protected readonly data = inject<ClothPictureData>(DIALOG_DATA);
  readonly #dialog = inject(DialogRef);
  readonly #api = inject(PicturesApi);
  private readonly shownCanvas = viewChild<ElementRef<HTMLCanvasElement>>('shown');
  protected readonly pattern = this.data.cloth.pattern;
  protected readonly units = this.data.inWords.units;
  protected readonly step = this.data.inWords.step;
  protected readonly cornerNames = CORNER_NAMES;
  protected readonly many = SHOWN;
  protected readonly about = this.pattern
    ? 'Put the four corners round one repeat, its motif in the middle, with the upper end of the roll up. The fine frames round it show where the next repeats should lie. The camera may stand at a slant.'
    : 'Put the four corners round a right-angled piece of the cloth that has been measured, with the upper end of the roll up. The camera may stand at a slant.';
  protected readonly acrossMm = signal(this.pattern?.acrossMm || (this.data.cloth.picture?.acrossMm ?? PLAIN_MM));
  protected readonly alongMm = signal(this.pattern?.alongMm || (this.data.cloth.picture?.alongMm ?? PLAIN_MM));
  protected readonly picture = signal<OpenPicture | null>(null);
  protected readonly corners = signal<Corners | null>(null);
  protected readonly message = signal('');
  protected readonly sending = signal(false);
  protected readonly size = computed(() => {
    const { units, step } = this.data.inWords;
    return `${this.pattern ? 'One repeat' : 'The frame'}, across × along: ${formatSize([this.acrossMm(), this.alongMm()], units, step)}`;
  });
  readonly #toPicture = computed(() => {
    const corners = this.corners();
    return corners && homography(sheetCorners({ width: 1, depth: 1 }), corners);
  });
  /** The frames of the repeats round the one that is framed, half of every other row further along where it is a half drop. */
  protected readonly repeats = computed(() => {
    const map = this.#toPicture();
    if (!map || !this.pattern) return '';
    const around = [-1, 0, 1].flatMap((column) => [-1, 0, 1].map((row) => ({ x: column, y: row + (this.pattern?.halfDrop && column ? 0.5 : 0) })));
    const unit = sheetCorners({ width: 1, depth: 1 });
    return around.map(({ x, y }) => `${path(unit.map((p) => mapPoint(map, { x: x + p.x, y: y + p.y })))}Z`).join('');
  });
  /** A cross in the middle of the frame, where the motif belongs. */
  protected readonly middle = computed(() => {
    const map = this.#toPicture();
    if (!map || !this.pattern) return '';
    const line = (from: Point, to: Point): string => path([mapPoint(map, from), mapPoint(map, to)]);
    return `${line({ x: 0.44, y: 0.5 }, { x: 0.56, y: 0.5 })}${line({ x: 0.5, y: 0.44 }, { x: 0.5, y: 0.56 })}`;
  });
  /** What is framed, small; null while the corners span nothing. */
  protected readonly tile = computed(() => this.#framed(SHOWN_PX));

  constructor() {
    effect(() => {
      const [canvas, tile] = [this.shownCanvas()?.nativeElement, this.tile()];
      if (canvas && tile) this.#show(canvas, tile);
    });
    inject(DestroyRef).onDestroy(() => this.#forget());
  }

  protected async open(file: Blob): Promise<void> {
    const picture = await openPicture(file);
    this.message.set(picture ? '' : NOT_A_PICTURE);
    if (!picture) return;
    this.#forget();
    const { width: w, height: h } = picture;
    this.picture.set(picture);
    this.corners.set([
      { x: w * 0.3, y: h * 0.75 },
      { x: w * 0.7, y: h * 0.75 },
      { x: w * 0.7, y: h * 0.25 },
      { x: w * 0.3, y: h * 0.25 },
    ]);
  }

  protected async take(): Promise<void> {
    const framed = this.#framed(KEPT_PX);
    if (!framed) return;
    this.sending.set(true);
    const file = await new Promise<Blob | null>((resolve) => drawn(framed).toBlob(resolve, 'image/jpeg', 0.92));
    if (!file) {
      this.sending.set(false);
      return;
    }
    this.#api.send(null, new File([file], 'cloth.jpg', { type: file.type })).subscribe({
      next: ({ id }) => {
        this.data.taken({ id, acrossMm: this.acrossMm(), alongMm: this.alongMm() }, meanTint(framed));
        this.close();
      },
      error: (error: unknown) => {
        this.sending.set(false);
        this.message.set(problemOf(error).message);
      },
    });
  }

  protected close(): void {
    this.#dialog.close();
  }

  /** What lies in the frame, from straight above and evenly lit, its longer side so many pixels. */
  #framed(longerPx: number): ColourPicture | null {
    const [picture, corners, across, along] = [this.picture(), this.corners(), this.acrossMm(), this.alongMm()];
    if (!picture || !corners) return null;
    const scale = longerPx / Math.max(across, along);
    const size = { width: Math.max(8, Math.round(across * scale)), height: Math.max(8, Math.round(along * scale)) };
    const flat = straightenedPicture(picture, corners, size);
    return flat && evenlyLit(flat);
  }

  #show(canvas: HTMLCanvasElement, tile: ColourPicture): void {
    const [one, { width, height }] = [drawn(tile), tile];
    canvas.width = width * SHOWN;
    canvas.height = height * SHOWN;
    const pen = canvas.getContext('2d');
    for (let column = 0; column < SHOWN; column++)
      for (let row = -1; row < SHOWN; row++) {
        const down = this.pattern?.halfDrop && column % 2 ? Math.round(height / 2) : 0;
        pen?.drawImage(one, column * width, row * height + down);
      }
  }

  #forget(): void {
    const picture = this.picture();
    if (picture) URL.revokeObjectURL(picture.address);
  }
}
