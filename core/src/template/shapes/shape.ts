import type { ZodType } from 'zod';
import type { Outline } from '../../geometry/outline';
import type { Point } from '../../geometry/point';
import type { Figure } from '../../kernel/figure';
import type { Issue } from '../../kernel/issue';

/** One measure of a shape: its field in the document, what it is called, and what may be typed into it. */
export interface Measure {
  readonly key: string;
  readonly word: string;
  readonly unit: 'mm' | 'deg';
  readonly optional: boolean;
  readonly least: number;
  readonly most: number;
}

/** Where a measure stands on the drawing: between two points, to that side of them. */
export interface Dimensioned {
  readonly key: string;
  readonly from: Point;
  readonly to: Point;
  readonly side: 'below' | 'above' | 'left' | 'right';
}

/** A choice that a shape offers besides its measures: which corner, which side. */
export interface ShapeOption {
  readonly key: string;
  readonly word: string;
  readonly values: readonly { readonly value: string; readonly name: string }[];
}

/** A family of outlines by their measures. Self-contained: adding one to the list in `shapes.ts` is all it takes. */
export interface ShapeModule<M extends { readonly shape: string }> {
  readonly shape: M['shape'];
  /** What it is called in a list. */
  readonly name: string;
  /** What a person calls it on card: the quick line understands these words. */
  readonly words: readonly string[];
  readonly schema: ZodType<M>;
  readonly measures: readonly Measure[];
  readonly options?: readonly ShapeOption[];
  /** A fair example of about this width and depth: what a cushion starts as when the shape is chosen. */
  readonly like: (acrossMm: number, deepMm: number) => M;
  /** What is wrong with the measures together, paths relative to the template. Empty when an outline can be made. */
  readonly check: (measures: M) => Issue[];
  /** The outline, counter-clockwise from its front, its box from the origin. Only for measures that pass `check`. */
  readonly outline: (measures: M) => Outline;
  /** Its measures on the drawing. */
  readonly dimensions: (measures: M) => readonly Dimensioned[];
  /** A second thickness, where the shape has one: what the thin edge measures, and which it is. */
  readonly thin?: (measures: M) => { readonly mm: number; readonly end: 'front' | 'back' };
  /** Length round the outline as a formula over its spans, where there is one worth printing. */
  readonly round?: (measures: M, width: Figure, depth: Figure) => Figure;
}

/** A length of a shape: above nothing, at most 20 m. */
export const mmMeasure = (key: string, word: string, optional = false, least = optional ? 0 : 1): Measure => ({
  key,
  word,
  unit: 'mm',
  optional,
  least,
  most: 20_000,
});
