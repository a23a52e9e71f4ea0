import { bounds, flatten, type Outline } from './outline';
import { distance, type Point } from './point';
import { distanceTo } from './measure';
import { contains, polygonArea } from './polygon';

/** An outline that fills this share of its box is as good as one hump: a rectangle, an oval, a trapezoid. Others (a T, a curved bench) have a widest place to be found. */
const ONE_HUMP = 0.75;
/** Places looked at across and deep for the widest one, and how often the neighbourhood of the best is looked at more closely. */
const PLACES = 14;
const CLOSER = 4;
const EDGE_MM = 0.5;

/** An outline as fine as spans are taken from: its points, counter-clockwise. */
export function spanPolygon(outline: Outline): Point[] {
  return flatten(outline, EDGE_MM);
}

/**
 * About where a crowned face stands highest: the centre of area of an outline that is one hump, else the place that lies furthest from its edge. It stands in for the top of
 * the membrane where only the lines through it are wanted.
 */
export function highestPlace(points: readonly Point[]): Point {
  const { minX, minY, maxX, maxY } = bounds(points);
  if (polygonArea(points) >= ONE_HUMP * (maxX - minX) * (maxY - minY)) return centreOfArea(points);
  let best: { at: Point; mm: number } = { at: { x: (minX + maxX) / 2, y: (minY + maxY) / 2 }, mm: -1 };
  const look = (at: Point): void => {
    if (!contains(points, at)) return;
    const mm = distanceTo(points, at);
    if (mm > best.mm + 1e-9) best = { at, mm };
  };
  let [stepX, stepY] = [(maxX - minX) / PLACES, (maxY - minY) / PLACES];
  for (let i = 0; i < PLACES; i++) for (let j = 0; j < PLACES; j++) look({ x: minX + stepX * (i + 0.5), y: minY + stepY * (j + 0.5) });
  for (let round = 0; round < CLOSER; round++) {
    [stepX, stepY] = [stepX / 2, stepY / 2];
    const { x, y } = best.at;
    for (const dx of [-stepX, 0, stepX]) for (const dy of [-stepY, 0, stepY]) look({ x: x + dx, y: y + dy });
  }
  return best.at;
}

function centreOfArea(points: readonly Point[]): Point {
  let [twice, x, y] = [0, 0, 0];
  points.forEach((a, i) => {
    const b = points[(i + 1) % points.length] as Point;
    const w = a.x * b.y - b.x * a.y;
    twice += w;
    x += (a.x + b.x) * w;
    y += (a.y + b.y) * w;
  });
  return { x: x / (3 * twice), y: y / (3 * twice) };
}

/** How far an outline reaches on the lines through a place inside it, mm: left to right, and front to back. */
export interface Spans {
  readonly acrossMm: number;
  readonly deepMm: number;
}

/** The stretch of a line on which `at` lies, between the edges that it meets. */
function stretch(crossings: readonly number[], at: number): number {
  const before = Math.max(...crossings.filter((one) => one <= at));
  const after = Math.min(...crossings.filter((one) => one > at));
  return after - before;
}

/** The spans of an outline through a place inside it; of its whole box where the place is outside. */
export function spansThrough(points: readonly Point[], at: Point): Spans {
  const box = bounds(points);
  if (!contains(points, at)) return { acrossMm: box.maxX - box.minX, deepMm: box.maxY - box.minY };
  const across: number[] = [];
  const deep: number[] = [];
  points.forEach((a, i) => {
    const b = points[(i + 1) % points.length] as Point;
    if (distance(a, b) === 0) return;
    if (a.y > at.y !== b.y > at.y) across.push(a.x + ((at.y - a.y) / (b.y - a.y)) * (b.x - a.x));
    if (a.x > at.x !== b.x > at.x) deep.push(a.y + ((at.x - a.x) / (b.x - a.x)) * (b.y - a.y));
  });
  return { acrossMm: stretch(across, at.x), deepMm: stretch(deep, at.y) };
}
