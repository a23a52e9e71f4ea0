import { bounds } from '../geometry/outline';
import type { Point } from '../geometry/point';
import { polygonGap } from '../geometry/polygon';
import { issue, type Issue } from '../kernel/issue';
import { placed, type LayAnswer, type LayItem, type LayMaterial, type LayRequest } from './contract';

/** Pieces may come nearer than the gap by this, mm: double-precision noise, not a rule. */
const NOISE_MM = 1e-3;

interface Laid {
  readonly label: string;
  readonly sheet: number;
  readonly polygon: readonly Point[];
}

/**
 * Checks a lay against its request, knowing nothing of how it was made: every piece there once, in an allowed turn, inside the material,
 * clear of every other. An empty list means the lay can be cut.
 */
export function validateLay(request: LayRequest, answer: LayAnswer): Issue[] {
  const problems: Issue[] = [];
  const { material } = request;
  const items = new Map(request.items.map((item) => [item.id, item]));
  const seen = new Set<string>();
  const laid: Laid[] = [];

  for (const placement of answer.placements) {
    const label = `${placement.item} ${placement.copy + 1}`;
    const item = items.get(placement.item);
    if (!item) {
      problems.push(issue('error', 'lay-unknown-piece', '', { piece: label }));
      continue;
    }
    if (seen.has(label) || placement.copy < 0 || placement.copy >= item.count) problems.push(issue('error', 'lay-piece-twice', '', { piece: label }));
    seen.add(label);
    if (!item.turns.includes(placement.turn)) problems.push(issue('error', 'lay-turn-not-allowed', '', { piece: label, turn: placement.turn }));
    const polygon = placed(item.polygon, placement.turn, placement.x, placement.y);
    const box = bounds(polygon);
    const length = material.kind === 'sheet' ? material.lengthMm : answer.lengthMm;
    const outside = Math.max(-box.minX, -box.minY, box.maxX - material.widthMm, box.maxY - length);
    if (outside > NOISE_MM || placement.sheet < 0 || placement.sheet >= answer.sheets)
      problems.push(issue('error', 'lay-outside', '', { piece: label, byMm: outside }));
    laid.push({ label, sheet: placement.sheet, polygon });
  }

  for (const item of request.items) {
    if (answer.unplaced.includes(item.id)) {
      // Left out is only what fits on nothing: an item that would go in by itself was dropped.
      if (fitsAlone(item, material)) problems.push(issue('error', 'lay-left-out', '', { piece: item.id }));
      continue;
    }
    for (let copy = 0; copy < item.count; copy++)
      if (!seen.has(`${item.id} ${copy + 1}`)) problems.push(issue('error', 'lay-piece-missing', '', { piece: `${item.id} ${copy + 1}` }));
  }

  problems.push(...tooNear(laid, material.gapMm));
  return problems;
}

/** Whether one copy of an item lies inside the material in any allowed turn. */
function fitsAlone({ polygon, turns }: LayItem, material: LayMaterial): boolean {
  const length = material.kind === 'sheet' ? material.lengthMm : Infinity;
  return turns.some((turn) => {
    const { maxX, maxY } = bounds(placed(polygon, turn, 0, 0));
    return maxX <= material.widthMm && maxY <= length;
  });
}

/** Pairs nearer than the gap. Swept along the material, so that only pieces whose boxes come near are measured. */
function tooNear(laid: readonly Laid[], gapMm: number): Issue[] {
  const problems: Issue[] = [];
  const least = gapMm - NOISE_MM;
  const sorted = laid.map((one) => ({ ...one, box: bounds(one.polygon) })).sort((a, b) => a.sheet - b.sheet || a.box.minY - b.box.minY);
  let open: typeof sorted = [];
  for (const b of sorted) {
    open = open.filter((a) => a.sheet === b.sheet && a.box.maxY + least > b.box.minY);
    for (const a of open) {
      if (a.box.minX - b.box.maxX >= least || b.box.minX - a.box.maxX >= least) continue;
      const gap = polygonGap(a.polygon, b.polygon);
      if (gap < least) problems.push(issue('error', 'lay-too-near', '', { piece: a.label, other: b.label, gapMm: gap }));
    }
    open.push(b);
  }
  return problems;
}
