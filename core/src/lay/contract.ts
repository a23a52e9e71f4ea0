import { bounds } from '../geometry/outline';
import type { Point } from '../geometry/point';
import type { Issue } from '../kernel/issue';

/**
 * A pattern woven into or printed on a roll: motifs in rows along it. A repeat of 0: none in that direction, as stripes have.
 * Where along a roll the first motif lies is not known before the cloth is on the table, so the lay chooses it.
 */
export interface LayPattern {
  /** Repeat along the roll, mm. */
  readonly alongMm: number;
  /** From row to row across the roll, mm. */
  readonly acrossMm: number;
  /** Every other row lies half a repeat further along. */
  readonly halfDrop: boolean;
  /** The centre of the first row, from the usable edge at y = 0. */
  readonly motifAcrossMm: number;
}

/**
 * What pieces lie on, millimetres: x along from the squared end, y across from one usable edge, face up.
 *
 * - A hide: the lower left of its outline's bounds lies anywhere. `flaws` are outlines inside it; in its soft parts (belly, neck) no piece may lie that is seen.
 * - `taken`: outlines of pieces already cut from it, to which others keep the gap. The rest of a roll or of a sheet is a hide with such parts.
 */
export type LayMaterial =
  | { readonly kind: 'roll'; readonly widthMm: number; readonly pattern?: LayPattern }
  /** `cuts`: sawn by a saw that runs from edge to edge of what it cuts, each piece as its box. */
  | { readonly kind: 'sheet'; readonly widthMm: number; readonly lengthMm: number; readonly cuts?: 'edge-to-edge' }
  | {
      readonly kind: 'hide';
      readonly outline: readonly Point[];
      readonly flaws: readonly (readonly Point[])[];
      readonly soft?: readonly (readonly Point[])[];
      readonly taken?: readonly (readonly Point[])[];
      /** Of a remnant on which a motif was found: where the first row lies across, and along it a motif of that row. */
      readonly pattern?: LayPattern & { readonly motifAlongMm: number };
    };

export interface LayItem {
  readonly id: string;
  /** The cut line as a simple polygon, first point not repeated; any origin, either direction. */
  readonly polygon: readonly Point[];
  readonly count: number;
  /** Allowed turns, degrees counter-clockwise. */
  readonly turns: readonly number[];
  /** On a material with a pattern: where the centre of a motif has to fall, about the polygon's own origin. It may lie outside the polygon. */
  readonly motif?: Point;
  /** It is seen: on a hide it keeps off the soft parts. */
  readonly good?: true;
}

/** One copy of an item: its polygon turned counter-clockwise about its own origin, then moved by x along and y across on its sheet. */
export interface Placement {
  readonly item: string;
  readonly copy: number;
  /** Which sheet, from 0; 0 on a roll and on a hide. */
  readonly sheet: number;
  readonly x: number;
  readonly y: number;
  readonly turn: number;
}

/** A question to the lay engine. The same request always gets the same answer. */
export interface LayRequest {
  readonly format: 'yardland/lay-request@2';
  readonly material: LayMaterial;
  /** Least clear distance between two pieces: the kerf, or room for the knife. Pieces may touch the material's edges. */
  readonly gapMm: number;
  readonly items: readonly LayItem[];
  /** Where a person has put pieces: they stay there, the rest is laid round them. One that is no longer legal, because it or the material has changed, does not count. */
  readonly pins: readonly Placement[];
  readonly seed: number;
  /** Searches that begin differently, with seeds counted up from `seed`, each with all the moves; the best answer counts. One where it is left out. */
  readonly seeds?: number;
  /** Places looked for at most. A count and not a time, so that the answer does not depend on the speed of the machine. */
  readonly moves: number;
}

/** What an engine answers. It is believed only after `validateLay`. */
export interface LayAnswer {
  readonly format: 'yardland/lay-answer@2';
  readonly placements: readonly Placement[];
  readonly sheets: number;
  /** Length used on a roll or a hide; on sheets, the furthest reach on the last one. */
  readonly lengthMm: number;
  /** Items that found no place, once for each copy. */
  readonly unplaced: readonly string[];
  /** No lay of what was placed can be shorter (roll, hide: mm) or use fewer sheets (count). */
  readonly bound: number;
  /** Area of the placed pieces over the material they take, 0 to 1: the length used, whole sheets, or a hide without its flaws. */
  readonly use: number;
  /** Where along the material the centre of a motif of the first row lies, below one repeat; only where pieces are matched to a pattern. */
  readonly patternAtMm?: number;
  readonly moves: number;
  readonly stopped: boolean;
}

/** A lay with what an independent check found wrong with it; an empty list means that it can be cut. */
export interface CheckedLay {
  readonly format: 'yardland/checked-lay@2';
  readonly answer: LayAnswer;
  readonly problems: readonly Issue[];
}

export interface LayProgress {
  readonly done: number;
  readonly of: number;
  readonly best: LayAnswer;
}

/** A ring turned counter-clockwise about the origin, degrees. Quarter turns are exact. */
export function turnedBy(ring: readonly Point[], degrees: number): Point[] {
  const quarter = (((degrees % 360) + 360) % 360) / 90;
  if (quarter === 0) return [...ring];
  if (quarter === 1) return ring.map(({ x, y }) => ({ x: -y, y: x }));
  if (quarter === 2) return ring.map(({ x, y }) => ({ x: -x, y: -y }));
  if (quarter === 3) return ring.map(({ x, y }) => ({ x: y, y: -x }));
  const [cos, sin] = [Math.cos((degrees * Math.PI) / 180), Math.sin((degrees * Math.PI) / 180)];
  return ring.map(({ x, y }) => ({ x: x * cos - y * sin, y: x * sin + y * cos }));
}

/** A piece's polygon as it lies. */
export function placed(polygon: readonly Point[], { turn, x, y }: Pick<Placement, 'turn' | 'x' | 'y'>): Point[] {
  return turnedBy(polygon, turn).map((p) => ({ x: p.x + x, y: p.y + y }));
}

/** The material's box: a roll has no end. */
export function boxOf(material: LayMaterial): { minX: number; minY: number; maxX: number; maxY: number } {
  if (material.kind === 'hide') return bounds(material.outline);
  return { minX: 0, minY: 0, maxX: material.kind === 'sheet' ? material.lengthMm : Infinity, maxY: material.widthMm };
}

/** Whether a material is sheets that a saw parts from edge to edge. */
export const isSawn = (material: LayMaterial): boolean => material.kind === 'sheet' && material.cuts === 'edge-to-edge';
