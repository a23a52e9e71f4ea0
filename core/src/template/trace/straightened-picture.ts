import { homography, mapPoint } from './homography';
import type { Corners } from './trace';

/** A picture in red, green, blue and alpha, 0 to 255 each, row by row from the top left. */
export interface ColourPicture {
  readonly width: number;
  readonly height: number;
  readonly rgba: Uint8ClampedArray;
}

/** Looks a pixel of the straightened picture takes along each side: enough for a picture four times as fine. */
const LOOKS = 4;
/** Light is compared over a border of this share of each side. */
const BORDER = 0.04;
/** Light is evened out by this factor at most: beyond it the frame does not hold one repeat. */
const MOST_LIGHT = 3;

/** The colour between pixels, bilinear; the edge goes on beyond it. Adds it to `sum`. */
function addColour({ width, height, rgba }: ColourPicture, x: number, y: number, sum: Float64Array): void {
  const cx = Math.max(0, Math.min(width - 1.001, x));
  const cy = Math.max(0, Math.min(height - 1.001, y));
  const [ix, iy] = [Math.floor(cx), Math.floor(cy)];
  const [fx, fy] = [cx - ix, cy - iy];
  const first = 4 * (iy * width + ix);
  const below = Math.min(iy + 1, height - 1) === iy ? first : first + 4 * width;
  for (let k = 0; k < 3; k++) {
    const upper = (rgba[first + k] ?? 0) * (1 - fx) + (rgba[first + 4 + k] ?? 0) * fx;
    const lower = (rgba[below + k] ?? 0) * (1 - fx) + (rgba[below + 4 + k] ?? 0) * fx;
    sum[k] = (sum[k] ?? 0) + upper * (1 - fy) + lower * fy;
  }
}

/**
 * What lies between four corners of a picture taken at a slant, as it is seen from straight above. `corners`: lower left, lower right, upper right, upper left in the picture, pixels. Null where they span nothing.
 */
export function straightenedPicture(
  picture: ColourPicture,
  corners: Corners,
  { width, height }: { readonly width: number; readonly height: number },
): ColourPicture | null {
  // Pixels' middles lie half a pixel inside their squares.
  const map = homography(
    [
      { x: 0, y: height },
      { x: width, y: height },
      { x: width, y: 0 },
      { x: 0, y: 0 },
    ],
    corners,
  );
  if (!map) return null;
  const rgba = new Uint8ClampedArray(4 * width * height);
  const sum = new Float64Array(3);
  for (let row = 0; row < height; row++)
    for (let column = 0; column < width; column++) {
      sum.fill(0);
      for (let look = 0; look < LOOKS * LOOKS; look++) {
        const { x, y } = mapPoint(map, { x: column + ((look % LOOKS) + 0.5) / LOOKS, y: row + (Math.floor(look / LOOKS) + 0.5) / LOOKS });
        addColour(picture, x - 0.5, y - 0.5, sum);
      }
      const at = 4 * (row * width + column);
      for (let k = 0; k < 3; k++) rgba[at + k] = Math.round((sum[k] ?? 0) / (LOOKS * LOOKS));
      rgba[at + 3] = 255;
    }
  return { width, height, rgba };
}

/** The mean of each colour over a rectangle of a picture; 1 at least, so that it can be divided by. */
function meanOf({ width, rgba }: ColourPicture, [left, top, right, bottom]: readonly [number, number, number, number]): [number, number, number] {
  const sum: [number, number, number] = [0, 0, 0];
  for (let row = top; row < bottom; row++)
    for (let column = left; column < right; column++) for (const k of [0, 1, 2] as const) sum[k] += rgba[4 * (row * width + column) + k] ?? 0;
  const count = Math.max(1, (right - left) * (bottom - top));
  return sum.map((one) => Math.max(1, one / count)) as [number, number, number];
}

/**
 * Evens out the light of a picture of one repeat, so that copies of it meet without a visible step. Opposite borders of a repeat show the same cloth, so a difference in
 * brightness between them comes from the light: it is removed by a ratio that changes linearly from border to border. The middle stays as bright as it is.
 */
export function evenlyLit(picture: ColourPicture): ColourPicture {
  const { width, height } = picture;
  const [bx, by] = [Math.max(1, Math.round(width * BORDER)), Math.max(1, Math.round(height * BORDER))];
  const ratio = (one: readonly number[], other: readonly number[]): number[] =>
    one.map((value, k) => Math.log(Math.max(1 / MOST_LIGHT, Math.min(MOST_LIGHT, value / (other[k] ?? 1)))));
  const across = ratio(meanOf(picture, [0, 0, bx, height]), meanOf(picture, [width - bx, 0, width, height]));
  const along = ratio(meanOf(picture, [0, 0, width, by]), meanOf(picture, [0, height - by, width, height]));
  // From the middle of one border to the middle of the other.
  const [longX, longY] = [Math.max(1, width - bx), Math.max(1, height - by)];
  const rgba = new Uint8ClampedArray(picture.rgba.length);
  for (let row = 0; row < height; row++)
    for (let column = 0; column < width; column++) {
      const at = 4 * (row * width + column);
      const [x, y] = [(column + 0.5 - width / 2) / longX, (row + 0.5 - height / 2) / longY];
      for (let k = 0; k < 3; k++) rgba[at + k] = Math.round((picture.rgba[at + k] ?? 0) * Math.exp((across[k] ?? 0) * x + (along[k] ?? 0) * y));
      rgba[at + 3] = 255;
    }
  return { width, height, rgba };
}

/** The mean colour of a picture as `#rrggbb`. */
export function meanTint(picture: ColourPicture): string {
  const mean = meanOf(picture, [0, 0, picture.width, picture.height]);
  return `#${mean.map((value) => Math.round(value).toString(16).padStart(2, '0')).join('')}`;
}
