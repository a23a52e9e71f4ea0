import { isFoam, SHEET_NOMINAL_MM, type Filling, type FillingKind, type Grade, type Remnant, type Stock } from '../material/material';

export interface StackLayer {
  readonly stock: Stock;
  readonly thicknessMm: number;
}

/** Layers from the top down that add up to a height. */
export interface Stack {
  readonly layers: readonly StackLayer[];
}

/** What a shop can fill with. */
export interface Catalogue {
  readonly grades: readonly Grade[];
  readonly fillings: readonly Filling[];
  /** What is left over and kept; that of foam may make up a core. */
  readonly remnants?: readonly Remnant[];
}

/** A softer layer is at least this much softer than the one below it. */
const SOFTER = 0.85;
/** A top layer takes between these shares of the height; with a middle layer under it, less. */
const TOP_SHARE = [0.15, 0.5] as const;
const TOP_OF_THREE = [0.12, 0.34] as const;
const MIDDLE_SHARE = [0.2, 0.5] as const;
/** Three layers are worth their glue from this height, mm. */
const THREE_FROM_MM = 100;
/** Foam over a spring unit, mm: less is felt through, more and the springs do nothing. */
const OVER_SPRINGS_MM = [20, 60] as const;
/** A feather case on a core, mm. */
const ENVELOPE_MM = [30, 60] as const;

const within = (mm: number, [least, most]: readonly [number, number]): boolean => mm >= least && mm <= most;
const fits = (a: number, b: number): boolean => Math.abs(a - b) <= SHEET_NOMINAL_MM;

/** The fewest sheets of one grade that make a thickness: one, or two glued; null when none do. */
export function sheetsFor(grade: Grade, thicknessMm: number): readonly number[] | null {
  const one = grade.thicknessesMm.find((mm) => fits(mm, thicknessMm));
  if (one !== undefined) return [one];
  const sorted = [...grade.thicknessesMm].sort((a, b) => b - a);
  for (const first of sorted) for (const second of sorted) if (second <= first && fits(first + second, thicknessMm)) return [first, second];
  return null;
}

const makes = (grade: Grade, thicknessMm: number): boolean => thicknessMm > 0 && sheetsFor(grade, thicknessMm) !== null;

function singles(grades: readonly Grade[], heightMm: number): Stack[] {
  return grades.filter((grade) => makes(grade, heightMm)).map((stock) => ({ layers: [{ stock, thicknessMm: heightMm }] }));
}

function doubles(grades: readonly Grade[], heightMm: number): Stack[] {
  const share = [heightMm * TOP_SHARE[0], heightMm * TOP_SHARE[1]] as const;
  return grades.flatMap((base) =>
    grades
      .filter((top) => top.hardness25N <= base.hardness25N * SOFTER)
      .flatMap((top) =>
        top.thicknessesMm
          .filter((mm) => within(mm, share) && makes(base, heightMm - mm))
          .map((mm) => ({
            layers: [
              { stock: top, thicknessMm: mm },
              { stock: base, thicknessMm: heightMm - mm },
            ],
          })),
      ),
  );
}

/** Three steps of one family, each firmer than the one above: a soft top, a middle, a base of one sheet. */
function triples(grades: readonly Grade[], heightMm: number): Stack[] {
  if (heightMm < THREE_FROM_MM) return [];
  const share = (of: readonly [number, number]) => [heightMm * of[0], heightMm * of[1]] as const;
  const stacks: Stack[] = [];
  for (const base of grades)
    for (const middle of grades.filter((one) => one.family === base.family && one.hardness25N <= base.hardness25N * SOFTER))
      for (const top of grades.filter((one) => one.family === base.family && one.hardness25N <= middle.hardness25N * SOFTER))
        for (const topMm of top.thicknessesMm.filter((mm) => within(mm, share(TOP_OF_THREE))))
          for (const middleMm of middle.thicknessesMm.filter((mm) => within(mm, share(MIDDLE_SHARE)))) {
            const rest = heightMm - topMm - middleMm;
            if (rest >= topMm && base.thicknessesMm.some((mm) => fits(mm, rest)))
              stacks.push({
                layers: [
                  { stock: top, thicknessMm: topMm },
                  { stock: middle, thicknessMm: middleMm },
                  { stock: base, thicknessMm: rest },
                ],
              });
          }
  return stacks;
}

/** Faces of a reversible cushion take these shares of the height each. */
const FACE_SHARE = [0.12, 0.34] as const;

/** A firm middle between two faces of one softer foam, for a cushion that is turned over. */
export function reversibles(grades: readonly Grade[], heightMm: number): Stack[] {
  const share = [heightMm * FACE_SHARE[0], heightMm * FACE_SHARE[1]] as const;
  return grades.flatMap((middle) =>
    grades
      .filter((face) => face.hardness25N <= middle.hardness25N * SOFTER)
      .flatMap((face) =>
        face.thicknessesMm
          .filter((mm) => within(mm, share) && makes(middle, heightMm - 2 * mm))
          .map((mm) => {
            const outside = { stock: face, thicknessMm: mm };
            return { layers: [outside, { stock: middle, thicknessMm: heightMm - 2 * mm }, outside] };
          }),
      ),
  );
}

/** Under a spring unit in a cushion too high for it alone: a base of the same foam as over it, of this thickness, mm. */
const UNDER_SPRINGS_MM = [30, 125] as const;

/** Foam over a spring unit, and in a high cushion a base of the same foam under it. */
function sprung(grades: readonly Grade[], springs: readonly Filling[], heightMm: number): Stack[] {
  const overAlone = springs.flatMap((unit) =>
    unit.thicknessesMm.flatMap((unitMm) =>
      grades
        .filter((grade) => within(heightMm - unitMm, OVER_SPRINGS_MM) && grade.thicknessesMm.some((mm) => fits(mm, heightMm - unitMm)))
        .map((stock) => ({
          layers: [
            { stock, thicknessMm: heightMm - unitMm },
            { stock: unit, thicknessMm: unitMm },
          ],
        })),
    ),
  );
  return [...overAlone, ...springs.flatMap((unit) => sprungOnBase(grades, unit, heightMm))];
}

/** The tallest unit of a kind between foam over it and a base of the same foam, where the unit with foam over it alone does not reach the height. */
function sprungOnBase(grades: readonly Grade[], unit: Filling, heightMm: number): Stack[] {
  const unitMm = Math.max(...unit.thicknessesMm);
  if (heightMm <= unitMm + OVER_SPRINGS_MM[1]) return [];
  return grades.flatMap((stock) =>
    stock.thicknessesMm
      .filter((mm) => within(mm, OVER_SPRINGS_MM) && within(heightMm - unitMm - mm, UNDER_SPRINGS_MM) && makes(stock, heightMm - unitMm - mm))
      .map((mm) => ({
        layers: [
          { stock, thicknessMm: mm },
          { stock: unit, thicknessMm: unitMm },
          { stock, thicknessMm: heightMm - unitMm - mm },
        ],
      })),
  );
}

/** A sprung core with the same foam on both faces, and a case of feather on each. */
function wholeSoft(grades: readonly Grade[], springs: readonly Filling[], feather: Filling, heightMm: number): Stack[] {
  return springs.flatMap((unit) =>
    unit.thicknessesMm.flatMap((unitMm) =>
      feather.thicknessesMm
        .filter((mm) => within(mm, ENVELOPE_MM))
        .flatMap((caseMm) => {
          const foamMm = (heightMm - unitMm) / 2 - caseMm;
          const face = { stock: feather, thicknessMm: caseMm };
          return grades
            .filter((grade) => within(foamMm, OVER_SPRINGS_MM) && grade.thicknessesMm.some((mm) => fits(mm, foamMm)))
            .map((stock): Stack => {
              const pad = { stock, thicknessMm: foamMm };
              return { layers: [face, pad, { stock: unit, thicknessMm: unitMm }, pad, face] };
            });
        }),
    ),
  );
}

/** Feather by itself, or as a case on foam or on a sprung core. */
function feathered(catalogue: Catalogue, heightMm: number): Stack[] {
  const of = (kind: FillingKind): Filling[] => catalogue.fillings.filter((one) => one.kind === kind);
  return of('feather').flatMap((feather) => {
    const alone = feather.thicknessesMm.some((mm) => fits(mm, heightMm)) ? [{ layers: [{ stock: feather, thicknessMm: heightMm }] }] : [];
    const envelopes = feather.thicknessesMm
      .filter((mm) => within(mm, ENVELOPE_MM) && mm < heightMm / 2)
      .flatMap((mm) => {
        const under = [...singles(catalogue.grades, heightMm - mm), ...sprung(catalogue.grades, of('spring'), heightMm - mm)];
        return under.map((stack) => ({ layers: [{ stock: feather, thicknessMm: mm }, ...stack.layers] }));
      });
    return [...alone, ...envelopes, ...wholeSoft(catalogue.grades, of('spring'), feather, heightMm)];
  });
}

/**
 * Every sensible stack of this height: one foam, a firmer base under a softer top, three steps of one family, foam over springs, feather alone or
 * as an envelope.
 */
export function stacksOf(catalogue: Catalogue, heightMm: number): Stack[] {
  const { grades, fillings } = catalogue;
  const springs = fillings.filter((one) => one.kind === 'spring');
  return [
    ...singles(grades, heightMm),
    ...doubles(grades, heightMm),
    ...triples(grades, heightMm),
    ...sprung(grades, springs, heightMm),
    ...feathered(catalogue, heightMm),
  ];
}

/** The foam layers of a stack, top first. */
export function foamsOf(stack: Stack): { readonly grade: Grade; readonly thicknessMm: number }[] {
  return stack.layers.flatMap(({ stock, thicknessMm }) => (isFoam(stock) ? [{ grade: stock, thicknessMm }] : []));
}

/** Whether a stack has a layer of this kind. */
export function has(stack: Stack, kind: FillingKind): boolean {
  return stack.layers.some(({ stock }) => !isFoam(stock) && stock.kind === kind);
}
