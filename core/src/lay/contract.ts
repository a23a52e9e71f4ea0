import type { Point } from '../geometry/point';
import type { Issue } from '../kernel/issue';

export type Turn = 0 | 90 | 180 | 270;

/** What pieces lie on. Coordinates: x across from one usable edge, y along from the squared end; millimetres. */
export type LayMaterial =
  | { readonly kind: 'roll'; readonly widthMm: number; readonly gapMm: number }
  | { readonly kind: 'sheet'; readonly widthMm: number; readonly lengthMm: number; readonly gapMm: number };

export interface LayItem {
  readonly id: string;
  /** The cut line as a simple polygon, first point not repeated; any origin. */
  readonly polygon: readonly Point[];
  readonly count: number;
  readonly turns: readonly Turn[];
}

/** A question to a lay engine. The same request always gives the same answer. */
export interface LayRequest {
  readonly format: 'yardland/lay-request@1';
  readonly material: LayMaterial;
  readonly items: readonly LayItem[];
  readonly seed: number;
  /** Orders tried at most. */
  readonly tries: number;
}

/** One copy of an item: turned counter-clockwise, then moved so that the lower left of its box is at x, y on its sheet. */
export interface Placement {
  readonly item: string;
  readonly copy: number;
  readonly sheet: number;
  readonly x: number;
  readonly y: number;
  readonly turn: Turn;
}

/** What an engine answers. It is believed only after `validateLay`. */
export interface LayAnswer {
  readonly format: 'yardland/lay-answer@1';
  readonly placements: readonly Placement[];
  readonly sheets: number;
  /** Length used on a roll; on sheets, the furthest reach on the last one. */
  readonly lengthMm: number;
  /** Items that fit in no allowed turn. */
  readonly unplaced: readonly string[];
  /** No lay of these pieces can be shorter (roll, mm) or use fewer sheets (count). */
  readonly bound: number;
  /** Piece area over material area used, 0 to 1. */
  readonly use: number;
  readonly tried: number;
  readonly stopped: boolean;
}

/** A lay with what an independent check found wrong with it; an empty list means that it can be cut. */
export interface CheckedLay {
  readonly format: 'yardland/checked-lay@1';
  readonly answer: LayAnswer;
  readonly problems: readonly Issue[];
}

export interface LayProgress {
  readonly tried: number;
  readonly tries: number;
  readonly best: LayAnswer;
}

/** A polygon turned by quarter turns and put with the lower left of its box at x, y. */
export function placed(polygon: readonly Point[], turn: Turn, x: number, y: number): Point[] {
  const turned = polygon.map((p) => (turn === 0 ? p : turn === 90 ? { x: -p.y, y: p.x } : turn === 180 ? { x: -p.x, y: -p.y } : { x: p.y, y: -p.x }));
  const minX = Math.min(...turned.map((p) => p.x));
  const minY = Math.min(...turned.map((p) => p.y));
  return turned.map((p) => ({ x: p.x - minX + x, y: p.y - minY + y }));
}
