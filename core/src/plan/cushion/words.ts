import type { FitVerdict } from '../../fit/fit';
import { EDGE_NAMES, type EdgeName } from '../../geometry/segment';
import { notchPlaces, type NotchPlace } from '../../piece/notches';
import type { MarkKind, Piece } from '../../piece/piece';
import type { GIVEN } from '../../piece/sizes';
import { schoolNumber } from '../../shop/schools';
import type { Shop } from '../../shop/shop';
import type { Figure } from '../../kernel/figure';
import { formatNumber, formatLength, formatLengthUnit } from '../../units/format';
import { pairMm, type Pair, type UnitSystem } from '../../units/length';
import type { Cushion } from '../../job/document';
import type { CushionPlan } from './cushion-plan';
import type { SayIn } from '../../say/say';

export const FIT_WORDS: Record<FitVerdict, string> = {
  loose: 'loose',
  roomy: 'roomy',
  taut: 'taut',
  'hard-to-close': 'hard to close',
  'will-not-close': 'will not close',
};

/** What the height of a cushion is called, by the size that was given. */
export const HEIGHT_WORDS: Record<(typeof GIVEN)[number], string> = {
  seat: 'finished height',
  finished: 'finished height',
  core: 'core’s thickness',
  sewn: 'old cover’s height',
};

/** Which school a cushion follows, and the one number it takes otherwise: `Packed ends; core longer, an end: −20 mm, not −13 mm`. */
export function schoolWords({ school, source }: CushionPlan, shop: Shop, { units, step }: SayIn): string {
  if (!school) return '';
  const row = shop.school(school.id, source.schoolEdition);
  const name = source.schoolEdition === undefined ? school.name : `${school.name}, edition ${source.schoolEdition}`;
  if (!school.overridden || !source.schoolNumber || !row) return name;
  const number = schoolNumber(school.overridden);
  const size = (mm: number): string => formatLengthUnit(mm, units, step);
  const usual = number.get(row);
  return `${name}; ${number.word}: ${size(source.schoolNumber.mm)}${usual ? `, not ${size(pairMm(usual, units))}` : ''}`;
}

/** Which of how many cushions of one seat it is; empty for a seat of its own. */
export function splitWords({ split }: Pick<Cushion, 'split'>): string {
  return split ? `${split.index} of ${split.of} across ${split.seat}, ${split.middle ? 'joins and pattern matched' : 'joins matched'}` : '';
}

/** A figure in a sentence: a length in the job's units, a weight with its unit, anything else as a number. The first of a pair, `590 × 560 mm`, leaves its unit to the second. */
function figureWords({ value, unit }: Figure, paired: boolean, units: UnitSystem, step: Pair): string {
  if (unit === 'mm') return paired ? formatLength(value, units, step) : formatLengthUnit(value, units, step);
  return unit === 'g' ? `${formatNumber(Math.ceil(value - 1e-9))} g` : formatNumber(value);
}

/** A sentence with its figures put in, lengths in the job's units: `{0} × {1}, seam {2}` becomes `590 × 560 mm, seam 13 mm`. */
export function filled(text: string, figures: readonly Figure[], units: UnitSystem, step: Pair): string {
  return text.replace(/\{(\d+)\}(?=( × \{)?)/g, (_, i: string, paired?: string) => {
    const figure = figures[Number(i)];
    return figure ? figureWords(figure, paired !== undefined, units, step) : '';
  });
}

const MARK_WORDS: Record<MarkKind, string> = {
  'centre-front': 'centre front',
  'centre-back': 'centre back',
  mid: 'mid mark',
  corner: 'corner',
  quarter: 'quarter',
  'zip-end': 'zip end',
  'open-end': 'end of the opening',
  fold: 'fold',
  tie: 'tie',
  button: 'button',
  tuft: 'tuft',
  roll: 'roll',
};
/** What the edges of a strip are called, which is drawn lying. */
const STRIP_EDGES: Partial<Record<EdgeName, string>> = { front: 'lower edge', back: 'upper edge', left: 'left end', right: 'right end' };
/** Two notches on opposite edges are one line when they are as near as this, mm. */
const OPPOSITE_MM = 0.5;

/** Where each notch of a piece is cut, to be found with a tape: `both edges from the left 353 corner, 588 centre front`. Empty where it has none. */
export function notchWords(piece: Piece, { units, step }: SayIn): string {
  const places = [...notchPlaces(piece)].sort((a, b) => a.alongMm - b.alongMm);
  const strip = piece.role !== 'plate' && piece.width.value > 2.5 * piece.height.value;
  const on = (edge: EdgeName) => places.filter((one) => one.edge === edge);
  const listed = (list: readonly NotchPlace[]): string =>
    list.map(({ alongMm, kind }) => `${formatLength(alongMm, units, step)} ${MARK_WORDS[kind]}`).join(', ');
  const [lower, upper] = [on('front'), on('back')];
  const alike =
    strip && lower.length > 0 && lower.length === upper.length && lower.every((one, i) => Math.abs(one.alongMm - (upper[i]?.alongMm ?? NaN)) < OPPOSITE_MM);
  const edges = EDGE_NAMES.filter((edge) => on(edge).length > 0 && edge !== 'corner' && (!alike || (edge !== 'front' && edge !== 'back')));
  const corners = on('corner');
  const from = (edge: EdgeName): string => (edge === 'front' || edge === 'back' ? 'from the left' : 'from the front');
  return [
    ...(alike ? [`both edges from the left ${listed(lower)}`] : []),
    ...edges.map((edge) => `${strip ? (STRIP_EDGES[edge] ?? edge) : edge} ${from(edge)} ${listed(on(edge))}`),
    ...(corners.length ? [`${corners.length} on curved corners`] : []),
  ].join('; ');
}
