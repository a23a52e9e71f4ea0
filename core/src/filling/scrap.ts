import { given, law, plus, sum, type Figure } from '../kernel/figure';
import { SHEET_NOMINAL_MM, type Grade, type Remnant } from '../material/material';
import type { Constants } from '../shop/assumptions';
import type { StackLayer } from './candidates';
import { fillingCost, glueCost } from './costs';

/** How large the cores are that a filling is chosen for, and how many. */
export interface CoresWanted {
  readonly widthMm: number;
  readonly depthMm: number;
  readonly quantity: number;
}

/** A layer of a core out of what is there, or, without remnants, one that is bought. */
export interface ThereLayer extends StackLayer {
  readonly stock: Grade;
  /** Ids of the remnants that it is cut from, all of one grade and thickness; none where it is bought. */
  readonly remnants: readonly string[];
}

/** Remnants of one foam and thickness, and how many layers of all the cores can be cut from them together. */
interface Scrap {
  readonly remnants: readonly string[];
  readonly stock: Grade;
  readonly thicknessMm: number;
  readonly layers: number;
}

/** Layers of one core at most: more joints than this are not worth gluing. */
const MOST_LAYERS = 4;
/** Stacks looked at before the search gives up; no shop keeps so much. */
const MOST_STACKS = 4000;

/** How many pieces `w` × `d` a right-angled remnant gives, all the one way or all the other. One of another outline is left to the lay. */
function piecesOf({ widthMm, lengthMm, outline, flaws }: Remnant, w: number, d: number): number {
  if (outline || flaws?.length) return 0;
  const rows = (a: number, b: number): number => Math.floor(widthMm / a + 1e-9) * Math.floor(lengthMm / b + 1e-9);
  return Math.max(rows(w, d), rows(d, w));
}

/** The foam remnants that give at least one layer to each of the cores, those of one foam and thickness together. */
function scrapsFor(remnants: readonly Remnant[], grades: readonly Grade[], { widthMm, depthMm, quantity }: CoresWanted): Scrap[] {
  const alike = new Map<string, { readonly stock: Grade; readonly thicknessMm: number; readonly remnants: string[]; pieces: number }>();
  for (const one of remnants) {
    const stock = 'grade' in one ? grades.find(({ id }) => id === one.grade) : undefined;
    const pieces = piecesOf(one, widthMm, depthMm);
    if (!stock || !('thicknessMm' in one) || pieces === 0) continue;
    const key = `${stock.id} ${one.thicknessMm}`;
    const group = alike.get(key) ?? { stock, thicknessMm: one.thicknessMm, remnants: [], pieces: 0 };
    group.remnants.push(one.id);
    group.pieces += pieces;
    alike.set(key, group);
  }
  return [...alike.values()].flatMap(({ pieces, ...group }): Scrap[] => {
    const layers = Math.floor(pieces / quantity);
    return layers > 0 ? [{ ...group, layers }] : [];
  });
}

/** The softest on top: a soft layer under a firm one is felt as a hole. */
const softestFirst = (layers: readonly ThereLayer[]): ThereLayer[] => [...layers].sort((a, b) => a.stock.hardness25N - b.stock.hardness25N);

/**
 * Every stack of at most four layers that makes up a height out of remnants, or out of remnants and one new sheet; remnants for no more layers than they give. Heights
 * agree as sheets do. The softest layer lies on top.
 */
export function stacksFromThere(
  remnants: readonly Remnant[],
  grades: readonly Grade[],
  cores: CoresWanted,
  heightMm: number,
): readonly (readonly ThereLayer[])[] {
  const scraps = scrapsFor(remnants, grades, cores);
  const found = new Map<string, readonly ThereLayer[]>();
  const keep = (layers: readonly ThereLayer[]): void => {
    const stack = softestFirst(layers);
    const key = stack.map(({ stock, thicknessMm, remnants: from }) => `${stock.id} ${thicknessMm} ${from.length > 0}`).join('/');
    if (found.size < MOST_STACKS) found.set(key, stack);
  };
  const fill = (from: number, layers: readonly ThereLayer[], restMm: number): void => {
    if (found.size >= MOST_STACKS) return;
    if (layers.length && Math.abs(restMm) <= SHEET_NOMINAL_MM) keep(layers);
    if (layers.length === MOST_LAYERS || restMm <= SHEET_NOMINAL_MM) return;
    // What is still missing, as one new sheet.
    if (layers.length)
      for (const stock of grades)
        for (const thicknessMm of stock.thicknessesMm)
          if (Math.abs(thicknessMm - restMm) <= SHEET_NOMINAL_MM) keep([...layers, { stock, thicknessMm, remnants: [] }]);
    for (const [i, { remnants: ids, stock, thicknessMm, layers: gives }] of scraps.entries()) {
      if (i < from || layers.filter((one) => one.remnants === ids).length >= gives) continue;
      fill(i, [...layers, { stock, thicknessMm, remnants: ids }], restMm - thicknessMm);
    }
  };
  fill(0, [], heightMm);
  return [...found.values()];
}

/** Share of a stack's height that has to be bought. */
export function boughtShare(layers: readonly ThereLayer[]): number {
  const mm = (some: readonly ThereLayer[]): number => some.reduce((total, { thicknessMm }) => total + thicknessMm, 0);
  return mm(layers.filter(({ remnants }) => remnants.length === 0)) / mm(layers);
}

/** What one core costs: the foam that is bought, and for every joint the glue and the work of gluing it. What is there costs nothing. */
export function stackCost(layers: readonly (StackLayer & Pick<ThereLayer, 'remnants'>)[], { widthMm, depthMm }: CoresWanted, assume: Constants): Figure {
  const joints = layers.length - 1;
  const foams = layers.filter(({ remnants }) => remnants.length === 0).map(({ stock, thicknessMm }) => fillingCost(stock, widthMm * depthMm * thicknessMm));
  const work = law(
    'work of gluing',
    '{0} × {1} ÷ 60 × {2}',
    [
      given('joints', joints, 'counted', 'count'),
      given('minutes a joint', assume('glueMinutes'), 'shop', 'count'),
      given('an hour', assume('hourRate'), 'shop', 'count'),
    ],
    'count',
  );
  const glue = glueCost(joints * widthMm * depthMm, assume);
  return sum('filling of one', work, plus(glue), ...foams.map((foam) => plus(foam)));
}
