import { outlineBounds, type Outline } from '../geometry/outline';
import type { Issue } from '../kernel/issue';

/** Largest outline file that is read, characters: thousands of times what a seat's edge needs. */
export const OUTLINE_TEXT_LIMIT = 4_000_000;
/** Most lines, arcs and curves taken out of one file. */
export const MOST_ENTITIES = 20_000;

/** What the figures of a file mean when it does not say. */
export type FileUnits = 'mm' | 'inch';

/** An outline read from a file, or what stood in the way. Notes may come with an outline: units not said, more outlines than one. */
export type ReadOutline =
  { readonly ok: true; readonly outline: Outline; readonly notes: readonly Issue[] } | { readonly ok: false; readonly problems: readonly Issue[] };

/** A file format of outlines: one module with reading and writing; either may be missing. */
export interface OutlineFormat {
  /** File ending without its point. */
  readonly ending: string;
  readonly name: string;
  readonly read?: (text: string, units: FileUnits | null) => ReadOutline;
  readonly write?: (outline: Outline, name: string) => string;
}

export const scaleOf = (units: FileUnits | null): number => (units === 'inch' ? 25.4 : 1);

/** Figures in files: hundredths of a micrometre, without noise behind. */
export const figure = (value: number): string => (Math.round(value * 1e5) / 1e5 + 0).toString();

/** Words as they may stand in SVG. */
export const escaped = (text: string): string => text.replace(/[&<>"]/g, (sign) => ({ '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' })[sign] ?? sign);

/** Words on one line, no longer than a drawing takes. */
export const oneLine = (words: string): string => words.replace(/[\r\n]+/g, ' ').slice(0, 120);

/** Where an outline lies, and how large it is, for a file's frame. */
export function frameOf(outline: Outline): { readonly x: number; readonly y: number; readonly width: number; readonly height: number } {
  const { minX, minY, maxX, maxY } = outlineBounds(outline);
  return { x: minX, y: minY, width: maxX - minX, height: maxY - minY };
}
