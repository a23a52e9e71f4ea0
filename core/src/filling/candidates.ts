import type { Grade } from '../material/material';

export interface StackLayer {
  readonly grade: Grade;
  readonly thicknessMm: number;
}

/** Layers from the top down that add up to a height. */
export interface Stack {
  readonly layers: readonly StackLayer[];
}

/** Sheets are nominal: a stack may miss the height by this much, mm (compressed or trued by the wrap). */
const HEIGHT_MM = 2.5;
/** A softer top is at least this much softer than its base, and takes between these shares of the height. */
const SOFTER = 0.85;
const TOP_SHARE = [0.15, 0.5] as const;

/** The fewest sheets of one grade that make a thickness: one, or two glued; null when none do. */
export function sheetsFor(grade: Grade, thicknessMm: number): readonly number[] | null {
  const fits = (mm: number): boolean => Math.abs(mm - thicknessMm) <= HEIGHT_MM;
  const one = grade.thicknessesMm.find(fits);
  if (one !== undefined) return [one];
  const sorted = [...grade.thicknessesMm].sort((a, b) => b - a);
  for (const first of sorted) for (const second of sorted) if (second <= first && fits(first + second)) return [first, second];
  return null;
}

/** Every sensible stack of this height: one foam, or a firmer base under a softer top from the same family of use. */
export function stacksOf(grades: readonly Grade[], heightMm: number): Stack[] {
  const single = grades.filter((grade) => sheetsFor(grade, heightMm) !== null).map((grade): Stack => ({ layers: [{ grade, thicknessMm: heightMm }] }));
  const double = grades.flatMap((base) =>
    grades
      .filter((top) => top.hardness25N <= base.hardness25N * SOFTER)
      .flatMap((top) =>
        top.thicknessesMm
          .filter((mm) => mm >= heightMm * TOP_SHARE[0] && mm <= heightMm * TOP_SHARE[1] && sheetsFor(base, heightMm - mm) !== null)
          .map((mm): Stack => ({
            layers: [
              { grade: top, thicknessMm: mm },
              { grade: base, thicknessMm: heightMm - mm },
            ],
          })),
      ),
  );
  return [...single, ...double];
}
