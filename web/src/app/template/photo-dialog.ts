import { DIALOG_DATA, DialogRef } from '@angular/cdk/dialog';
import { ChangeDetectionStrategy, Component, computed, DestroyRef, inject, signal } from '@angular/core';
import {
  bounds,
  flatten,
  formatNumber,
  homography,
  mapPoint,
  outlineThrough,
  say,
  sheetCorners,
  type Corners,
  type Outline,
  type PenEdge,
  type Point,
  type SayIn,
  type Traced,
  formatSize,
} from '@yardland/core';
import type { Subscription } from 'rxjs';
import { Choice, Switch } from '../shared/controls/choice';
import { NumberField } from '../shared/controls/number-field';
import { NOT_A_PICTURE, openPicture, type OpenPicture } from '../shared/reading/open-picture';
import { PictureCorners } from '../shared/reading/picture-corners';
import { PictureSource } from '../shared/reading/picture-source';
import { Button, DialogFoot, DialogFrame, TrayRow, Words } from '../shared/ui/ui';
import { HandRings, sizeOfRing } from './hand-rings';
import { TraceWork } from './trace-work';
import { ProgressTape } from '../shared/ui/progress-tape';

/** What a picture is for. */
export interface PhotoData {
  readonly title: string;
  readonly about: string;
  /** The word on the button that takes what was found. */
  readonly take: string;
  readonly inWords: SayIn;
  /** What may be put round by hand on it besides its outline. */
  readonly parts: readonly { readonly value: string; readonly name: string }[];
  readonly taken: (outline: Outline, parts: Readonly<Record<string, readonly (readonly Point[])[]>>) => void;
}

const SHEETS = [
  { value: '594x841', name: 'A1 sheet', width: 594, depth: 841 },
  { value: '420x594', name: 'A2 sheet', width: 420, depth: 594 },
  { value: '297x420', name: 'A3 sheet', width: 297, depth: 420 },
  { value: '210x297', name: 'A4 sheet', width: 210, depth: 297 },
  { value: 'own', name: 'another size', width: 600, depth: 600 },
] as const;
const EDGES = [
  { value: 'middle', name: 'middle of the line' },
  { value: 'inner', name: 'its inner edge' },
  { value: 'outer', name: 'its outer edge' },
];
const CORNER_NAMES = ['front left', 'front right', 'back right', 'back left'].map((name) => `Corner of the sheet, ${name}`);
const TOLERANCE_MM = 0.6;

/**
 * An outline from a picture with four corners of a sheet of known size: a pen's line found, lines and curves fitted to it, or points put round it by hand, also beyond the sheet. What is
 * seen at a slant is set straight.
 */
@Component({
  selector: 'yl-photo-dialog',
  imports: [ProgressTape, DialogFrame, TrayRow, Button, Words, DialogFoot, Choice, Switch, NumberField, PictureCorners, PictureSource],
  templateUrl: './photo-dialog.html',
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class PhotoDialog {
  protected readonly data = inject<PhotoData>(DIALOG_DATA);
  readonly #dialog = inject(DialogRef);
  readonly #work = inject(TraceWork);
  protected readonly sheets = SHEETS.map(({ value, name }) => ({ value, name }));
  protected readonly edges = EDGES;
  protected readonly ways = [
    { value: 'found', name: 'a line to find' },
    { value: 'hand', name: 'put by hand' },
  ];
  protected readonly cornerNames = CORNER_NAMES;

  protected readonly picture = signal<OpenPicture | null>(null);
  protected readonly corners = signal<Corners | null>(null);
  protected readonly sheet = signal('594x841');
  protected readonly ownWidth = signal(600);
  protected readonly ownDepth = signal(600);
  protected readonly edge = signal<PenEdge>('middle');
  protected readonly busy = signal<'sheet' | 'line' | null>(null);
  protected readonly share = signal(0);
  protected readonly message = signal<string | null>(null);
  protected readonly traced = signal<Traced | null>(null);
  #running: Subscription | null = null;

  protected readonly size = computed(() => {
    const known = SHEETS.find((one) => one.value === this.sheet());
    return known && known.value !== 'own' ? { width: known.width, depth: known.depth } : { width: this.ownWidth(), depth: this.ownDepth() };
  });
  /** The found outline laid back over the picture. */
  protected readonly overlay = computed(() => {
    const [corners, traced] = [this.corners(), this.traced()];
    if (!corners || !traced) return '';
    const map = homography(sheetCorners(this.size()), corners);
    if (!map) return '';
    const points = flatten(traced.outline, 0.3).map((p) => mapPoint(map, { x: p.x + traced.origin.x, y: p.y + traced.origin.y }));
    return `M${points.map((p) => `${p.x.toFixed(1)} ${p.y.toFixed(1)}`).join('L')}Z`;
  });
  protected readonly found = computed(() => {
    const traced = this.traced();
    return (
      traced &&
      `The line is ${formatNumber(traced.lineMm, 1)} mm wide. The outline is ${formatNumber(traced.meanErrorMm, 2)} mm off it on average, ${formatNumber(traced.worstErrorMm, 2)} mm at most.`
    );
  });

  constructor() {
    inject(DestroyRef).onDestroy(() => {
      this.#running?.unsubscribe();
      this.#forget();
    });
  }

  /** Opens a picture and looks for its sheet. */
  protected async open(file: Blob): Promise<void> {
    this.stop();
    const picture = await openPicture(file);
    if (!picture) {
      this.message.set(NOT_A_PICTURE);
      return;
    }
    const { rgba, width, height } = picture;
    this.#forget();
    this.message.set(null);
    this.traced.set(null);
    this.corners.set(null);
    this.hand.clear();
    this.picture.set(picture);
    this.busy.set('sheet');
    this.#running = this.#work.run({ kind: 'find', rgba, width, height }).subscribe((said) => {
      if (said.kind !== 'sheet') return;
      this.busy.set(null);
      const [w, h] = [width, height];
      // Without a sheet found, corners to be put by hand.
      this.corners.set(
        said.corners ?? [
          { x: w * 0.2, y: h * 0.85 },
          { x: w * 0.8, y: h * 0.85 },
          { x: w * 0.75, y: h * 0.15 },
          { x: w * 0.25, y: h * 0.15 },
        ],
      );
      if (!said.corners) this.message.set('No sheet stands out in the picture: put the four corners on it by hand.');
    });
  }

  protected trace(): void {
    const [picture, corners] = [this.picture(), this.corners()];
    if (!picture || !corners) return;
    const { width, depth } = this.size();
    this.busy.set('line');
    this.share.set(0);
    this.message.set(null);
    this.traced.set(null);
    this.#running = this.#work
      .run({
        kind: 'trace',
        rgba: picture.rgba,
        width: picture.width,
        height: picture.height,
        corners,
        sheetWidthMm: width,
        sheetDepthMm: depth,
        edge: this.edge(),
        toleranceMm: TOLERANCE_MM,
      })
      .subscribe({
        next: (said) => {
          if (said.kind === 'progress') this.share.set(said.share);
          if (said.kind !== 'traced') return;
          this.busy.set(null);
          if (said.answer.ok) this.traced.set(said.answer.traced);
          else
            this.message.set(
              said.answer.problems
                .map((problem) => say(problem, this.data.inWords))
                .map(({ what, mend }) => `${what} ${mend}`)
                .join(' '),
            );
        },
        error: (error: unknown) => {
          this.busy.set(null);
          this.message.set(String(error));
        },
      });
  }

  protected stop(): void {
    this.#running?.unsubscribe();
    this.busy.set(null);
  }

  protected setEdge(value: string): void {
    this.edge.set(value as PenEdge);
    this.traced.set(null);
  }

  protected setSheet(value: string): void {
    this.sheet.set(value);
    this.traced.set(null);
  }

  protected setCorners(corners: Corners | null): void {
    this.traced.set(null);
    this.corners.set(corners);
  }

  /** Points are put round it by hand, and not found. */
  protected readonly byHand = signal(false);
  protected readonly hand = new HandRings();
  protected readonly kinds = [{ value: 'outline', name: 'its outline' }, ...this.data.parts];
  protected readonly handPaths = computed(() =>
    this.hand.rings().map(({ kind, points }) => ({
      kind,
      d: points.map((p, i) => `${i ? 'L' : 'M'}${p.x.toFixed(1)} ${p.y.toFixed(1)}`).join('') + (points.length > 2 ? 'Z' : ''),
      points,
    })),
  );
  /** What was put by hand and is whole, on its sheet, mm. */
  #onSheet(kind: string): readonly (readonly Point[])[] {
    const corners = this.corners();
    return corners ? this.hand.found(kind, corners, this.size()) : [];
  }
  /** The outline that was put by hand; null while it has fewer than three points or its sides cross. */
  readonly #handOutline = computed(() => {
    const [ring] = this.#onSheet('outline');
    return ring && sizeOfRing(ring) ? ring : null;
  });
  protected readonly handWords = computed(() => {
    const [ring] = this.#onSheet('outline');
    if (!ring) return 'Put points round it, one after the other, by pressing along its edge in the picture.';
    const size = sizeOfRing(ring);
    if (!size) return 'Its sides cross: take the last point back.';
    const { units, step } = this.data.inWords;
    const parts = this.data.parts.flatMap(({ value, name }) => {
      const count = this.#onSheet(value).length;
      return count ? [`${formatNumber(count)} × ${name}`] : [];
    });
    return `${formatSize([size.width, size.depth], units, step)}${parts.length ? `, with ${parts.join(', ')}` : ''}. The further from the sheet, the less exact.`;
  });
  protected readonly ready = computed(() => (this.byHand() ? this.#handOutline() !== null : this.traced() !== null));

  /** A point by hand, where it is pressed. */
  protected point(at: Point): void {
    if (this.byHand()) this.hand.add(at);
  }

  protected take(): void {
    const [traced, ring] = [this.traced(), this.#handOutline()];
    if (!this.byHand()) {
      if (traced) this.data.taken(traced.outline, {});
    } else if (ring) {
      const { minX, minY } = bounds(ring);
      const moved = (points: readonly Point[]): Point[] => points.map(({ x, y }) => ({ x: x - minX, y: y - minY }));
      const parts = Object.fromEntries(this.data.parts.map(({ value }) => [value, this.#onSheet(value).map(moved)]));
      this.data.taken(outlineThrough(moved(ring)), parts);
    }
    this.#dialog.close();
  }

  protected close(): void {
    this.#dialog.close();
  }

  #forget(): void {
    const picture = this.picture();
    if (picture) URL.revokeObjectURL(picture.address);
  }
}
