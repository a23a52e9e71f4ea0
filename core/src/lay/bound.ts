import { bounds } from '../geometry/outline';
import type { Point } from '../geometry/point';
import { polygonArea } from '../geometry/polygon';
import { turnedBy, type LayItem, type LayMaterial } from './contract';
import { patternBound } from './pattern-bound';

/** How a height across the material is counted: so that what lies side by side never counts for more than the whole width. */
type Counting = (height: number) => number;

/**
 * Dual feasible functions of a width (Fekete and Schepers 2001, their three families): whatever heights fit side by side, their counts fit too.
 * What leaves room only for less than `least` counts as the whole width; or all count by how many of `least`, or of a share, go side by side.
 */
function countings(width: number, heights: readonly number[]): Counting[] {
  const eps = [...new Set(heights.flatMap((h) => [h, width - h]).filter((h) => h > 0 && h <= width / 2))];
  const noise = width * 1e-9;
  const wide = eps.map(
    (least): Counting =>
      (h) =>
        h > width - least + noise ? width : h < least - noise ? 0 : h,
  );
  const steps = eps.map((least): Counting => {
    const most = Math.floor(width / least + 1e-9);
    return (h) => {
      if (Math.abs(2 * h - width) < noise) return width / 2;
      return h > width / 2 ? width - (Math.floor((width - h) / least + 1e-9) * width) / most : (Math.floor(h / least + 1e-9) * width) / most;
    };
  });
  const shares = [1, 2, 3, 4, 5, 6, 7].map((k): Counting => (h) => {
    const parts = ((k + 1) * h) / width;
    return Math.abs(parts - Math.round(parts)) < 1e-9 ? h : (Math.floor(parts) * width) / k;
  });
  return [(h) => h, ...wide, ...steps, ...shares];
}

/** A stretch of a piece along the material, and its least height across on it. */
interface Slab {
  readonly alongMm: number;
  readonly heightMm: number;
}

/** A piece is known in so many slabs at most: of finer ones neighbours are taken together, at the least height of them. */
const MOST_SLABS = 240;

function fewer(slabs: readonly Slab[]): Slab[] {
  const together = Math.ceil(slabs.length / MOST_SLABS);
  if (together <= 1) return [...slabs];
  return Array.from({ length: Math.ceil(slabs.length / together) }, (_, i) => {
    const some = slabs.slice(i * together, (i + 1) * together);
    return { alongMm: some.reduce((sum, { alongMm }) => sum + alongMm, 0), heightMm: Math.min(...some.map(({ heightMm }) => heightMm)) };
  });
}

/** A stretch between two corners is looked at in so many parts, each with its lower end's height. */
const PARTS = 6;

/** The piece in thin slabs: for each the height of the thickest part, which does not exceed what the piece takes there. */
function slabsOf(polygon: readonly Point[]): Slab[] {
  const edges = polygon.map((from, i) => [from, polygon[(i + 1) % polygon.length] as Point] as const);
  const xs = [...new Set(polygon.map((p) => p.x))].sort((a, b) => a - b);
  const heightAt = (x: number): number => {
    const ys = edges
      .filter(([a, b]) => a.x > x !== b.x > x)
      .map(([a, b]) => a.y + ((b.y - a.y) * (x - a.x)) / (b.x - a.x))
      .sort((a, b) => a - b);
    let most = 0;
    for (let i = 0; i + 1 < ys.length; i += 2) most = Math.max(most, (ys[i + 1] as number) - (ys[i] as number));
    return most;
  };
  return xs.slice(1).flatMap((to, i) => {
    const from = xs[i] as number;
    const wide = (to - from) / PARTS;
    if (wide < 1e-9) return [];
    // A hair inside, where no corner is in the way: the height is a straight line over the stretch.
    const inset = wide * 1e-6;
    return Array.from({ length: PARTS }, (_, k): Slab => {
      const [a, b] = [from + k * wide + inset, from + (k + 1) * wide - inset];
      return { alongMm: wide, heightMm: Math.min(heightAt(a), heightAt(b)) };
    });
  });
}

/**
 * A bound that no lay of these pieces can beat: length on a roll (mm), or a count of sheets. It is the greatest of four: the area, the longest piece, the match to a pattern
 * (`pattern-bound.ts`), and the pieces' heights, because every line across the material cuts pieces whose heights fit side by side.
 */
export function lowerBound(items: readonly LayItem[], material: Exclude<LayMaterial, { readonly kind: 'hide' }>, gapMm: number): number {
  if (items.length === 0) return 0;
  const width = material.widthMm + gapMm;
  const turned = items.map(({ polygon, count, turns }) => ({
    count,
    area: Math.abs(polygonArea(polygon)),
    ways: turns.map((turn) => {
      const ring = turnedBy(polygon, turn);
      const box = bounds(ring);
      return {
        slabs: fewer(slabsOf(ring)).map(({ alongMm, heightMm }) => ({ alongMm, heightMm: heightMm + gapMm })),
        along: box.maxX - box.minX,
        across: box.maxY - box.minY,
      };
    }),
  }));
  const fitting = turned.map((one) => ({ ...one, ways: one.ways.filter(({ across }) => across <= material.widthMm + 1e-6) })).filter(({ ways }) => ways.length);
  const heights = fitting.flatMap(({ ways }) => ways.flatMap(({ slabs }) => slabs.map(({ heightMm }) => heightMm)));
  // Many different heights, as curves have: the widest tell most.
  const telling = [...new Set(heights.map((h) => Math.round(h * 1e6) / 1e6))].sort((a, b) => b - a).slice(0, 120);
  const takes = (counting: Counting): number =>
    fitting.reduce(
      (sum, { ways, count }) =>
        sum + count * Math.min(...ways.map(({ slabs }) => slabs.reduce((all, { alongMm, heightMm }) => all + alongMm * counting(heightMm), 0))),
      0,
    );
  const counted = Math.max(...countings(width, telling).map(takes)) / width;
  const areaMm2 = fitting.reduce((sum, { area, count }) => sum + area * count, 0);
  const alongMm = Math.max(counted, areaMm2 / material.widthMm);
  if (material.kind === 'sheet')
    return Math.max(1, Math.ceil(alongMm / (material.lengthMm + gapMm) - 1e-6), Math.ceil(areaMm2 / (material.widthMm * material.lengthMm) - 1e-9));
  const onPattern = material.pattern ? patternBound(items, material.pattern, material.widthMm, gapMm) : 0;
  return Math.max(alongMm, onPattern, ...fitting.map(({ ways }) => Math.min(...ways.map(({ along }) => along))));
}
