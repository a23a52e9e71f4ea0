import { bounds } from '../geometry/outline';
import type { Point } from '../geometry/point';
import { placed, turnedBy, type LayItem, type LayMaterial, type LayPattern, type LayRequest, type Placement } from './contract';

/** A motif may be off the mark by this, mm: double-precision noise, not a rule. */
export const ON_PATTERN_MM = 1e-3;

/** Remainder that is never negative. */
const modulo = (value: number, by: number): number => ((value % by) + by) % by;

/** The pattern of a material, where it has one. */
export function patternOf(material: LayMaterial): LayPattern | null {
  return material.kind === 'sheet' ? null : (material.pattern ?? null);
}

/** Where along a material a motif of its first row lies, where that is known before anything is laid; null where the lay may choose. */
export function knownPhase(material: LayMaterial): number | null {
  return material.kind === 'hide' && material.pattern
    ? phaseAt(material.pattern, { x: material.pattern.motifAlongMm, y: material.pattern.motifAcrossMm })
    : null;
}

/** Where a motif's centre falls when the item is turned and its origin is at 0; null when the item need not match. */
export function turnedMotif({ motif }: Pick<LayItem, 'motif'>, turn: number): Point | null {
  return motif ? (turnedBy([motif], turn)[0] ?? null) : null;
}

/** How far the motifs of a row lie further along than those of row 0, mm. */
export function dropOf({ alongMm, halfDrop }: LayPattern, row: number): number {
  return halfDrop && modulo(row, 2) === 1 ? alongMm / 2 : 0;
}

/** Rows of motifs lie across the material at `motifAcrossMm` and every repeat from there; the row nearest to y. */
export function rowNear({ acrossMm, motifAcrossMm }: LayPattern, y: number): number {
  return acrossMm > 0 ? Math.round((y - motifAcrossMm) / acrossMm) : 0;
}

/** Where along the material a motif of row 0 lies, 0 to one repeat, if there is a motif's centre at this point. */
export function phaseAt(pattern: LayPattern, { x, y }: Point): number {
  return pattern.alongMm > 0 ? modulo(x - dropOf(pattern, rowNear(pattern, y)), pattern.alongMm) : 0;
}

/** How far a point is from the nearest motif's centre, mm, when a motif of row 0 lies at `phaseMm` along. A direction without repeat does not count. */
export function offPattern(pattern: LayPattern, phaseMm: number, { x, y }: Point): number {
  const row = rowNear(pattern, y);
  const across = pattern.acrossMm > 0 ? y - pattern.motifAcrossMm - row * pattern.acrossMm : 0;
  const past = pattern.alongMm > 0 ? modulo(x - phaseMm - dropOf(pattern, row), pattern.alongMm) : 0;
  return Math.hypot(Math.min(past, pattern.alongMm - past), across);
}

/** Every y at which a piece can lie between two others for its motif to fall on a row, with that row; nothing where rows do not matter. */
export function rowsBetween(pattern: LayPattern, motif: Point, lowY: number, highY: number): { readonly y: number; readonly row: number }[] {
  if (pattern.acrossMm <= 0) return [];
  const first = Math.ceil((lowY + motif.y - pattern.motifAcrossMm) / pattern.acrossMm - 1e-9);
  const last = Math.floor((highY + motif.y - pattern.motifAcrossMm) / pattern.acrossMm + 1e-9);
  return Array.from({ length: Math.max(0, last - first + 1) }, (_, i) => {
    const row = first + i;
    return { row, y: Math.min(highY, Math.max(lowY, pattern.motifAcrossMm + row * pattern.acrossMm - motif.y)) };
  });
}

/** The first x, not before `fromX`, at which a piece on a row has its motif on the pattern. */
export function alongFrom(pattern: LayPattern, phaseMm: number, motif: Point, row: number, fromX: number): number {
  return fromX + modulo(phaseMm + dropOf(pattern, row) - motif.x - fromX, pattern.alongMm);
}

/** Where along a motif of row 0 lies: as it is known of the material, or told by the first of some placements that has to match; null where neither tells. */
export function phaseOf({ material, items }: Pick<LayRequest, 'material' | 'items'>, placements: readonly Placement[]): number | null {
  const [pattern, known] = [patternOf(material), knownPhase(material)];
  if (known !== null || !pattern) return known;
  for (const { item, turn, x, y } of placements) {
    const motif = turnedMotif(items.find(({ id }) => id === item) ?? {}, turn);
    if (motif) return phaseAt(pattern, { x: x + motif.x, y: y + motif.y });
  }
  return null;
}

/** Whether an item that has to match can lie across the material with its motif on some row, in a turn it may have; true where nothing has to match. */
export function fitsPattern({ polygon, turns, motif }: LayItem, material: LayMaterial): boolean {
  const pattern = patternOf(material);
  if (!pattern || !motif || material.kind !== 'roll' || pattern.acrossMm <= 0) return true;
  return turns.some((turn) => {
    const { minY, maxY } = bounds(placed(polygon, { turn, x: 0, y: 0 }));
    const at = turnedMotif({ motif }, turn);
    return at !== null && rowsBetween(pattern, at, -minY, material.widthMm - maxY).length > 0;
  });
}
