import type { ClothPattern, ClothPictureRef } from '@yardland/core';

/** A picture of a cloth that repeats: one repeat of its pattern, or a small piece of a plain weave. */
export interface ClothPicture {
  readonly canvas: HTMLCanvasElement;
  /** What the picture measures on the cloth, mm. */
  readonly acrossMm: number;
  readonly alongMm: number;
}

const WEAVE_MM = 12;
const STRIPE_MM = 60;
const PIXELS = 256;
/** Longer side of one repeat of a picture that was taken. */
const PHOTO_PIXELS = 512;

/** A colour mixed with white (more than 0) or black (less). */
function shade(tint: string, by: number): string {
  const parts = [1, 3, 5].map((at) => parseInt(tint.slice(at, at + 2), 16));
  return `rgb(${parts.map((one) => Math.round(by > 0 ? one + (255 - one) * by : one * (1 + by))).join(' ')})`;
}

/** Threads over and under, so faint that the cloth looks woven and not printed. */
function weave(pen: CanvasRenderingContext2D, tint: string, width: number, height: number, threadPx: number): void {
  pen.fillStyle = tint;
  pen.fillRect(0, 0, width, height);
  for (let row = 0; row * threadPx < height; row++)
    for (let column = 0; column * threadPx < width; column++) {
      pen.fillStyle = shade(tint, (row + column) % 2 ? 0.05 : -0.05);
      pen.fillRect(column * threadPx, row * threadPx, threadPx * 0.9, threadPx * 0.9);
    }
}

/** A motif: a leaf pair with a heart, upright, so that turned nap and mismatches are seen. */
function motif(pen: CanvasRenderingContext2D, tint: string, x: number, y: number, size: number): void {
  const leaf = (side: 1 | -1): void => {
    pen.beginPath();
    pen.moveTo(x, y + size * 0.42);
    pen.bezierCurveTo(x + side * size * 0.5, y + size * 0.2, x + side * size * 0.46, y - size * 0.3, x + side * size * 0.08, y - size * 0.18);
    pen.bezierCurveTo(x + side * size * 0.3, y - size * 0.02, x + side * size * 0.2, y + size * 0.25, x, y + size * 0.42);
    pen.fill();
  };
  pen.fillStyle = shade(tint, 0.42);
  leaf(1);
  leaf(-1);
  pen.fillStyle = shade(tint, -0.38);
  pen.beginPath();
  pen.ellipse(x, y - size * 0.3, size * 0.1, size * 0.14, 0, 0, 2 * Math.PI);
  pen.fill();
}

/** The picture of a cloth by its colour and its repeat; the first motif stands in the middle. A repeat in one direction only is a stripe. */
export function clothPicture(tint: string, pattern: ClothPattern | null): ClothPicture {
  const canvas = document.createElement('canvas');
  const acrossMm = pattern?.acrossMm || (pattern ? STRIPE_MM : WEAVE_MM);
  const alongMm = pattern?.alongMm || (pattern ? STRIPE_MM : WEAVE_MM);
  const drops = pattern?.halfDrop ? 2 : 1;
  canvas.width = PIXELS * (pattern ? drops : 1);
  canvas.height = pattern ? Math.max(64, Math.min(1024, Math.round((PIXELS * alongMm) / acrossMm))) : PIXELS;
  const pen = canvas.getContext('2d');
  if (!pen) return { canvas, acrossMm: acrossMm * drops, alongMm };
  weave(pen, tint, canvas.width, canvas.height, pattern ? 8 : PIXELS / 16);
  if (pattern) {
    const { height } = canvas;
    if (pattern.acrossMm && pattern.alongMm) {
      const size = Math.min(PIXELS, height) * 0.62;
      motif(pen, tint, PIXELS / 2, height / 2, size);
      // Half drop: every other row lies half a repeat further along, and so stands above and below the edge of the picture.
      if (drops === 2) for (const y of [0, height]) motif(pen, tint, PIXELS * 1.5, y, size);
    } else {
      pen.fillStyle = shade(tint, 0.4);
      if (pattern.acrossMm) pen.fillRect(PIXELS * 0.38, 0, PIXELS * 0.24, height);
      else pen.fillRect(0, height * 0.38, canvas.width, height * 0.24);
    }
  }
  return { canvas, acrossMm: acrossMm * drops, alongMm };
}

/**
 * The picture of a cloth from one that was taken of it: one repeat, its motif in the middle. Where the cloth does not repeat in a direction, every other copy is mirrored in it, so that copies meet.
 */
export function photographedCloth(image: CanvasImageSource, taken: ClothPictureRef, pattern: ClothPattern | null): ClothPicture {
  const [acrossMm, alongMm] = [pattern?.acrossMm || taken.acrossMm, pattern?.alongMm || taken.alongMm];
  const scale = PHOTO_PIXELS / Math.max(acrossMm, alongMm);
  const [width, height] = [acrossMm, alongMm].map((mm) => Math.max(8, Math.round(mm * scale))) as [number, number];
  const [mirrorAcross, mirrorAlong] = [!pattern?.acrossMm, !pattern?.alongMm];
  const [columns, rows] = [pattern?.halfDrop || mirrorAcross ? 2 : 1, mirrorAlong ? 2 : 1];
  const canvas = document.createElement('canvas');
  canvas.width = width * columns;
  canvas.height = height * rows;
  const pen = canvas.getContext('2d');
  for (let column = 0; column < columns; column++)
    for (let row = -1; row < rows; row++) {
      const down = pattern?.halfDrop && column === 1 ? Math.round(height / 2) : 0;
      const [flipX, flipY] = [mirrorAcross && column === 1, mirrorAlong && row !== 0];
      pen?.setTransform(flipX ? -1 : 1, 0, 0, flipY ? -1 : 1, (column + (flipX ? 1 : 0)) * width, (row + (flipY ? 1 : 0)) * height + down);
      pen?.drawImage(image, 0, 0, width, height);
    }
  return { canvas, acrossMm: acrossMm * columns, alongMm: alongMm * rows };
}
