/** A picture of yes and no, row by row. */
export interface Mask {
  readonly width: number;
  readonly height: number;
  readonly data: Uint8Array;
}

/** Marks in `out` every cell reached from those on the stack through cells that are on, in steps to the four sides; how many that were. */
function spread({ width, data }: Mask, out: Uint8Array, stack: number[]): number {
  let count = 0;
  const reach = (next: number): void => {
    if (data[next] && !out[next]) {
      out[next] = 1;
      stack.push(next);
    }
  };
  while (stack.length) {
    const at = stack.pop() as number;
    count++;
    const x = at % width;
    if (x > 0) reach(at - 1);
    if (x < width - 1) reach(at + 1);
    if (at >= width) reach(at - width);
    if (at + width < data.length) reach(at + width);
  }
  return count;
}

/** The cells reached from the seeds through cells that are on. */
export function flooded(mask: Mask, seeds: Iterable<number>): Mask {
  const out = new Uint8Array(mask.data.length);
  const stack: number[] = [];
  for (const seed of seeds)
    if (mask.data[seed] && !out[seed]) {
      out[seed] = 1;
      stack.push(seed);
    }
  spread(mask, out, stack);
  return { ...mask, data: out };
}

/** The largest connected region that is on; nothing where none is. */
export function largestRegion(mask: Mask): Mask | null {
  const seen = new Uint8Array(mask.data.length);
  let best: { readonly seed: number; readonly size: number } | null = null;
  for (let i = 0; i < mask.data.length; i++) {
    if (!mask.data[i] || seen[i]) continue;
    seen[i] = 1;
    const size = spread(mask, seen, [i]);
    if (size > (best?.size ?? 0)) best = { seed: i, size };
  }
  return best ? flooded(mask, [best.seed]) : null;
}

export function borderOf({ width, height }: Mask): number[] {
  const rows = Array.from({ length: width }, (_, x) => [x, (height - 1) * width + x]).flat();
  const columns = Array.from({ length: height }, (_, y) => [y * width, y * width + width - 1]).flat();
  return [...rows, ...columns];
}
