/** A picture in one channel, 0 dark to 255 bright, row by row from the top left. */
export interface Gray {
  readonly width: number;
  readonly height: number;
  readonly data: Uint8Array;
}

/** Brightness of a picture in red, green, blue and alpha. */
export function grayOf(rgba: ArrayLike<number>, width: number, height: number): Gray {
  const data = new Uint8Array(width * height);
  for (let i = 0; i < data.length; i++) data[i] = Math.round(0.299 * (rgba[4 * i] ?? 0) + 0.587 * (rgba[4 * i + 1] ?? 0) + 0.114 * (rgba[4 * i + 2] ?? 0));
  return { width, height, data };
}

/** Brightness between pixels, bilinear; the edge goes on beyond it. */
export function sampleAt({ width, height, data }: Gray, x: number, y: number): number {
  const cx = Math.max(0, Math.min(width - 1.001, x));
  const cy = Math.max(0, Math.min(height - 1.001, y));
  const [ix, iy] = [Math.floor(cx), Math.floor(cy)];
  const [fx, fy] = [cx - ix, cy - iy];
  const at = (dx: number, dy: number): number => data[(iy + dy) * width + ix + dx] ?? 0;
  return (at(0, 0) * (1 - fx) + at(1, 0) * fx) * (1 - fy) + (at(0, 1) * (1 - fx) + at(1, 1) * fx) * fy;
}

/** Means over squares of side 2r + 1, by running sums. */
export function blurred({ width, height, data }: Gray, r: number): Gray {
  const pass = (source: Uint8Array, w: number, h: number): Uint8Array => {
    // Along rows, written turned: two passes blur both ways and bring the picture back.
    const out = new Uint8Array(w * h);
    for (let y = 0; y < h; y++) {
      let [sum, count] = [0, 0];
      for (let x = 0; x < Math.min(r, w); x++) {
        sum += source[y * w + x] ?? 0;
        count++;
      }
      for (let x = 0; x < w; x++) {
        if (x + r < w) {
          sum += source[y * w + x + r] ?? 0;
          count++;
        }
        if (x - r - 1 >= 0) {
          sum -= source[y * w + x - r - 1] ?? 0;
          count--;
        }
        out[x * h + y] = Math.round(sum / count);
      }
    }
    return out;
  };
  return { width, height, data: pass(pass(data, width, height), height, width) };
}

/** The brightness that parts a picture into dark and bright with the greatest variance between them (Otsu 1979). */
export function otsu({ data }: Gray): number {
  const counts = new Float64Array(256);
  for (const value of data) counts[value] = (counts[value] ?? 0) + 1;
  const total = data.length;
  const all = counts.reduce((sum, count, value) => sum + count * value, 0);
  let [below, sumBelow, best, threshold] = [0, 0, -1, 128];
  for (let t = 0; t < 256; t++) {
    below += counts[t] ?? 0;
    sumBelow += t * (counts[t] ?? 0);
    const above = total - below;
    if (below === 0 || above === 0) continue;
    const apart = (below * above * (sumBelow / below - (all - sumBelow) / above) ** 2) / (total * total);
    if (apart > best) [best, threshold] = [apart, t];
  }
  return threshold;
}
