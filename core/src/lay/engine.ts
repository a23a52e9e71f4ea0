import { bounds } from '../geometry/outline';
import { polygonArea } from '../geometry/polygon';
import { seededRandom } from '../kernel/random';
import type { LayAnswer, LayItem, LayMaterial, LayProgress, LayRequest, Placement, Turn } from './contract';
import { Skyline, type Spot } from './skyline';

interface Box {
  readonly item: LayItem;
  readonly copy: number;
  readonly width: number;
  readonly height: number;
}

const quarter = (turn: Turn): boolean => turn === 90 || turn === 270;

function boxesOf(items: readonly LayItem[]): Box[] {
  return items.flatMap((item) => {
    const box = bounds(item.polygon);
    const size = { width: box.maxX - box.minX, height: box.maxY - box.minY };
    return Array.from({ length: item.count }, (_, copy) => ({ item, copy, ...size }));
  });
}

const turnedSize = (box: Box, turn: Turn): readonly [number, number] => (quarter(turn) ? [box.height, box.width] : [box.width, box.height]);

function fits(box: Box, material: LayMaterial): boolean {
  const length = material.kind === 'roll' ? Infinity : material.lengthMm;
  return box.item.turns.some((turn) => {
    const [w, h] = turnedSize(box, turn);
    return w <= material.widthMm + 1e-6 && h <= length + 1e-6;
  });
}

interface Lay {
  readonly placements: readonly Placement[];
  readonly sheets: number;
  readonly lengthMm: number;
}

/** Lays the boxes one after the other, each at the lowest spot of any allowed turn; a new sheet when none takes it. */
function layInOrder(boxes: readonly Box[], material: LayMaterial): Lay {
  const gap = material.gapMm;
  const ceiling = material.kind === 'roll' ? Infinity : material.lengthMm + gap;
  const sheets: Skyline[] = [];
  const placements: Placement[] = [];
  const reach: number[] = [];
  for (const box of boxes) {
    let chosen: { spot: Spot; turn: Turn; sheet: number; top: number } | null = null;
    for (let sheet = 0; sheet <= sheets.length && !chosen; sheet++) {
      const skyline = (sheets[sheet] ??= new Skyline(material.widthMm + gap, ceiling));
      for (const turn of box.item.turns) {
        const [w, h] = turnedSize(box, turn);
        const spot = skyline.best(w + gap, h + gap);
        if (spot && (!chosen || spot.y + h < chosen.top - 1e-6)) chosen = { spot, turn, sheet, top: spot.y + h };
      }
    }
    if (!chosen) continue;
    const [w, h] = turnedSize(box, chosen.turn);
    sheets[chosen.sheet]?.put(chosen.spot, w + gap, h + gap);
    reach[chosen.sheet] = Math.max(reach[chosen.sheet] ?? 0, chosen.top);
    placements.push({ item: box.item.id, copy: box.copy, sheet: chosen.sheet, x: chosen.spot.x, y: chosen.spot.y, turn: chosen.turn });
  }
  return { placements, sheets: reach.length, lengthMm: reach[reach.length - 1] ?? 0 };
}

/** What no lay can beat: the area, and on a roll the longest piece in its shortest allowed direction. */
function lowerBound(boxes: readonly Box[], material: LayMaterial): number {
  const total = boxes.reduce((sum, box) => sum + Math.abs(polygonArea(box.item.polygon)), 0);
  if (material.kind === 'sheet') return boxes.length ? Math.max(1, Math.ceil(total / (material.widthMm * material.lengthMm) - 1e-9)) : 0;
  const tallest = boxes.map((box) =>
    Math.min(
      ...box.item.turns
        .map((turn) => turnedSize(box, turn))
        .filter(([w]) => w <= material.widthMm + 1e-6)
        .map(([, h]) => h),
    ),
  );
  return Math.max(total / material.widthMm, 0, ...tallest.filter(Number.isFinite));
}

const better = (a: Lay, b: Lay): boolean => a.sheets < b.sheets || (a.sheets === b.sheets && a.lengthMm < b.lengthMm - 1e-6);

const SORTS: readonly ((a: Box, b: Box) => number)[] = [
  (a, b) => b.width - a.width || b.height - a.height,
  (a, b) => b.height - a.height || b.width - a.width,
  (a, b) => b.width * b.height - a.width * a.height,
  (a, b) => Math.max(b.width, b.height) - Math.max(a.width, a.height),
];

/** The order with one stretch of it reversed or two places exchanged. */
function shuffled(order: readonly Box[], random: () => number): Box[] {
  const next = [...order];
  const i = Math.floor(random() * next.length);
  const j = Math.floor(random() * next.length);
  const [a, b] = [Math.min(i, j), Math.max(i, j)];
  if (random() < 0.3) return [...next.slice(0, a), ...next.slice(a, b + 1).reverse(), ...next.slice(b + 1)];
  const held = next[a] as Box;
  next[a] = next[b] as Box;
  next[b] = held;
  return next;
}

/**
 * A plain engine: bottom-left laying of the pieces' boxes, over several orders, then a seeded search of neighbouring orders.
 * Yields after every try, so that a caller can show progress and stop; a stop is `return`ing the last yielded best.
 */
export function* layEngine(request: LayRequest): Generator<LayProgress, LayAnswer> {
  const { material } = request;
  const all = boxesOf(request.items);
  const boxes = all.filter((box) => fits(box, material));
  const unplaced = [...new Set(all.filter((box) => !fits(box, material)).map((box) => box.item.id))];
  const bound = lowerBound(boxes, material);
  const areaMm2 = boxes.reduce((sum, box) => sum + Math.abs(polygonArea(box.item.polygon)), 0);
  const random = seededRandom(request.seed);

  const answer = (lay: Lay, tried: number): LayAnswer => {
    const usedMm2 = material.kind === 'roll' ? material.widthMm * lay.lengthMm : material.widthMm * material.lengthMm * lay.sheets;
    return {
      format: 'yardland/lay-answer@1',
      placements: lay.placements,
      sheets: lay.sheets,
      lengthMm: lay.lengthMm,
      unplaced,
      bound,
      use: usedMm2 > 0 ? areaMm2 / usedMm2 : 0,
      tried,
      stopped: false,
    };
  };

  let order = boxes;
  let best: Lay | null = null;
  let tried = 0;
  for (; tried < Math.max(SORTS.length, request.tries); tried++) {
    const sort = SORTS[tried];
    const next = sort ? [...boxes].sort(sort) : shuffled(order, random);
    const lay = layInOrder(next, material);
    if (!best || better(lay, best)) best = lay;
    if (best === lay || (sort === undefined && !better(best, lay))) order = next;
    yield { tried: tried + 1, tries: request.tries, best: answer(best, tried + 1) };
    const reached = material.kind === 'roll' ? best.lengthMm <= bound + 1e-6 : best.sheets <= bound && boxes.length <= 1;
    if (reached || boxes.length <= 1) {
      tried += 1;
      break;
    }
  }
  return answer(best ?? { placements: [], sheets: 0, lengthMm: 0 }, tried);
}

/** Runs the engine to its end: for the command line, the server and tests. */
export function solveLay(request: LayRequest): LayAnswer {
  const run = layEngine(request);
  for (let step = run.next(); ; step = run.next()) if (step.done) return step.value;
}
