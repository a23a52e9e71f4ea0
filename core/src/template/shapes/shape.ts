import type { ZodType } from 'zod';
import type { Outline } from '../../geometry/outline';
import type { Figure } from '../../kernel/figure';
import type { Issue } from '../../kernel/issue';

/** One measure of a shape: its field in the document and where its dimension stands on a drawing. */
export interface Measure<M> {
  readonly key: keyof M & string;
  readonly word: string;
  readonly place: 'across' | 'deep' | 'corner';
  readonly optional: boolean;
}

/** A family of outlines by their measures. Self-contained: adding one to the list in `shapes.ts` is all it takes. */
export interface ShapeModule<M extends { readonly shape: string }> {
  readonly shape: M['shape'];
  /** What a person calls it on card: the quick line understands these words. */
  readonly words: readonly string[];
  readonly schema: ZodType<M>;
  readonly measures: readonly Measure<M>[];
  /** What is wrong with the measures together, paths relative to the template. Empty when an outline can be made. */
  readonly check: (measures: M) => Issue[];
  /** The outline, front left at the origin. Only for measures that pass `check`. */
  readonly outline: (measures: M) => Outline;
  readonly span: (measures: M) => { readonly acrossMm: number; readonly deepMm: number };
  /** The same shape with its span changed by these amounts, rounded corners kept concentric. */
  readonly resized: (measures: M, acrossMm: number, deepMm: number) => M;
  /** Length round the outline as a figure over its spans. */
  readonly perimeter: (measures: M, width: Figure, depth: Figure) => Figure;
}
