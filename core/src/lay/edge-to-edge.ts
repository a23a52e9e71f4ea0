import { bounds, type Bounds } from '../geometry/outline';
import type { Point } from '../geometry/point';
import { placed, type LayAnswer, type LayRequest } from './contract';

/** One cut of a saw that runs from edge to edge of the part it is cutting. */
export interface EdgeCut {
  readonly sheet: number;
  readonly from: Point;
  readonly to: Point;
}

/** Boxes meet with this much noise, mm. */
const NOISE_MM = 1e-6;
/** A part of the material that is narrower than this beside a piece is not cut off it, mm. */
const LEAST_STRIP_MM = 0.5;

/** The boxes in groups, in order, so that a line across the axis goes between every two groups; one group where none does. */
function groupsAlong(boxes: readonly Bounds[], low: 'minX' | 'minY', high: 'maxX' | 'maxY'): Bounds[][] {
  const groups: Bounds[][] = [];
  let end = -Infinity;
  for (const box of [...boxes].sort((a, b) => a[low] - b[low])) {
    const group = box[low] >= end - NOISE_MM ? undefined : groups.at(-1);
    if (group) group.push(box);
    else groups.push([box]);
    end = Math.max(end, box[high]);
  }
  return groups;
}

/** Where the saw goes behind a group: at its end, as long as something is left there. */
const endOf = (group: readonly Bounds[], high: 'maxX' | 'maxY'): number => Math.max(...group.map((box) => box[high]));

/** Whether what is left round a single box is larger in one piece when it is first cut along the material, and not across it. */
function levelFirst({ maxX, maxY }: Bounds, part: Bounds): boolean {
  const [along, across] = [part.maxX - part.minX, part.maxY - part.minY];
  const [onward, above] = [part.maxX - maxX, part.maxY - maxY];
  return Math.max(along * above, onward * (across - above)) > Math.max(onward * across, (along - onward) * above);
}

/**
 * The cuts that separate boxes on one panel, each from edge to edge of the part it divides, in the order they are made; null when no such cuts exist. The first cut found can always be
 * taken: whatever can be separated before a cut can still be separated after it.
 */
function cutsOf(boxes: readonly Bounds[], part: Bounds, sheet: number): EdgeCut[] | null {
  const uprightFirst = !(boxes.length === 1 && levelFirst(boxes[0] as Bounds, part));
  for (const upright of [uprightFirst, !uprightFirst]) {
    const [low, high] = upright ? (['minX', 'maxX'] as const) : (['minY', 'maxY'] as const);
    const groups = groupsAlong(boxes, low, high);
    const ends = groups.map((group) => endOf(group, high));
    const lines = ends.filter((end, i) => i + 1 < groups.length || end < part[high] - LEAST_STRIP_MM);
    if (lines.length === 0) continue;
    const own = lines.map((at): EdgeCut => ({
      sheet,
      from: upright ? { x: at, y: part.minY } : { x: part.minX, y: at },
      to: upright ? { x: at, y: part.maxY } : { x: part.maxX, y: at },
    }));
    const parts: EdgeCut[] = [];
    for (const [i, group] of groups.entries()) {
      const inner = { ...part, [low]: i === 0 ? part[low] : Math.min(...group.map((box) => box[low])), [high]: ends[i] ?? part[high] };
      const cuts = cutsOf(group, inner, sheet);
      if (!cuts) return null;
      parts.push(...cuts);
    }
    return [...own, ...parts];
  }
  return boxes.length <= 1 ? [] : null;
}

/**
 * The cuts of a lay on sheets by a saw that runs edge to edge, sheet by sheet in order, each piece sawn out as its box; null where the pieces of a sheet cannot be parted that way. Knows nothing
 * of how the lay was made.
 */
export function edgeCuts(
  { material, items }: Pick<LayRequest, 'material' | 'items'>,
  { placements, sheets }: Pick<LayAnswer, 'placements' | 'sheets'>,
): EdgeCut[] | null {
  if (material.kind !== 'sheet') return null;
  const polygons = new Map(items.map(({ id, polygon }) => [id, polygon]));
  const all: EdgeCut[] = [];
  for (let sheet = 0; sheet < sheets; sheet++) {
    const boxes = placements.filter((one) => one.sheet === sheet).map((one) => bounds(placed(polygons.get(one.item) ?? [], one)));
    const cuts = cutsOf(boxes, { minX: 0, minY: 0, maxX: material.lengthMm, maxY: material.widthMm }, sheet);
    if (!cuts) return null;
    all.push(...cuts);
  }
  return all;
}
