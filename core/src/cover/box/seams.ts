import type { MarkKind, Piece } from '../../piece/piece';
import { measuredEdge, seamsOn, type Seam, type SeamDraft, type Stretch } from '../../piece/seam';
import type { Band } from '../band/band';
import { allRound } from '../sewing/cloth-piece';
import { plaqueIsLast, weltWithBoxing, type Box } from './choices';
import { isJoinedInPlace } from './order';
import type { Plates } from './plates';
import type { Welts } from './welts';

const SIDES = ['top', 'bottom'] as const;
type Side = (typeof SIDES)[number];

/** A plate's seam line divided at two notches of a kind: from the second round to the first, and between them; null where it has no such notches. */
function dividedAt({ id, marks }: Piece, kind: MarkKind): { readonly rest: Stretch; readonly between: Stretch } | null {
  const [start, end] = marks.filter((mark) => mark.kind === kind);
  return start && end ? { rest: { piece: id, from: end.at, to: start.at }, between: { piece: id, from: start.at, to: end.at } } : null;
}

/** Runs of the band and of a plate that meet. */
interface Meeting {
  readonly name: 'band' | 'plaque' | 'closing';
  readonly side: Side;
  readonly first: readonly Stretch[];
  readonly second: readonly Stretch[];
}

/** What of the band meets a plate: all of it at once, or the boxing and, sewn in last, the plaque; of a cover closed by hand what is sewn and what is left open. */
function meetings(choices: Box, band: Band, side: Side, plate: Piece): Meeting[] {
  const whole = side === 'top' ? band.topEdge : band.bottomEdge;
  const opening = side === 'bottom' && band.byHand ? dividedAt(plate, 'open-end') : null;
  if (band.byHand && opening)
    return [
      { name: 'band', side, first: band.byHand.rest, second: [opening.rest] },
      { name: 'closing', side, first: band.byHand.opening, second: [opening.between] },
    ];
  // What is joined in place is sewn to the first plate in two runs; the second plate meets the whole ring.
  const inTwo = plaqueIsLast(choices) || (side === 'top' && isJoinedInPlace(choices, band));
  const zip = band.plaque && inTwo ? dividedAt(plate, 'zip-end') : null;
  if (!band.plaque || !zip) return [{ name: 'band', side, first: whole, second: [allRound(plate)] }];
  const inPlaque = new Set(band.plaque.pieces.map(({ id }) => id));
  return [
    { name: 'band', side, first: whole.filter(({ piece }) => !inPlaque.has(piece)), second: [zip.rest] },
    { name: 'plaque', side, first: whole.filter(({ piece }) => inPlaque.has(piece)), second: [zip.between] },
  ];
}

const WORDS = { band: 'band', plaque: 'plaque', closing: 'opening' } as const;

/** What a boxed cover is sewn of. */
export interface BoxParts {
  readonly band: Band;
  readonly plates: Plates;
  readonly welts: Welts | null;
  /** Seams of what is sewn on besides. */
  readonly more: readonly SeamDraft[];
  /** Every piece, those of the band and the plates among them. */
  readonly pieces: readonly Piece[];
}

/** The seams of a boxed cover, in the order in which they are sewn. */
export function boxSeams(choices: Box, { band, plates, welts, more, pieces }: BoxParts): Seam[] {
  const easedFor = { top: plates.topEased, bottom: plates.bottomEased };
  /** What the second edge has more where its plate is domed. */
  const eased = (side: Side, first: readonly Stretch[], second: readonly Stretch[]): number =>
    easedFor[side] ? measuredEdge(pieces, second).lengthMm - measuredEdge(pieces, first).lengthMm : 0;
  const welt = SIDES.flatMap((side): SeamDraft[] => {
    const ring = welts?.[side];
    const second = [allRound(plates[side])];
    // Sewn on with the boxing it has no row of its own.
    const rows = weltWithBoxing(choices) ? 0 : 1;
    return ring ? [{ id: `welt-${side}`, words: `welt to the ${side} plate`, rows, first: ring.edge, second, easedMm: eased(side, ring.edge, second) }] : [];
  });
  const all = SIDES.flatMap((side) => meetings(choices, band, side, plates[side]));
  const sewn = all.map(({ name, side, first, second }): SeamDraft => {
    if (name === 'closing')
      return { id: 'closing', words: 'the opening at the back, by hand', method: 'hand', first, second, easedMm: eased(side, first, second) };
    return {
      id: `${name}-to-${side}`,
      words: `${WORDS[name]} to the ${side} plate`,
      first,
      second,
      easedMm: eased(side, first, second),
      ...(name === 'plaque' ? { zip: true as const } : {}),
    };
  });
  const rows = choices.ridge === 'twice' ? 2 : 1;
  const ridged = choices.edge === 'ridge';
  const ridges = all.map(({ name, side, first, second }): SeamDraft => ({
    id: name === 'band' ? `ridge-${side}` : name === 'plaque' ? `ridge-plaque-${side}` : 'ridge-closing',
    words: `ridge along the ${name === 'closing' ? 'closed opening' : name === 'plaque' ? `plaque’s ${side} seam` : `${side} seam`}`,
    method: name === 'closing' ? 'hand' : 'top-stitch',
    rows: name === 'closing' ? 1 : rows,
    first,
    second,
    easedMm: eased(side, first, second),
  }));
  const panelRidges = band.panels
    ? band.joins.map((join): SeamDraft => ({ ...join, id: `ridge-${join.id}`, words: `ridge: ${join.words}`, method: 'top-stitch', rows }))
    : [];
  return seamsOn(pieces, [
    ...(band.plaque?.seams ?? []),
    ...band.joins,
    ...welt,
    ...more,
    ...band.ends,
    ...sewn,
    ...(ridged ? [...ridges, ...panelRidges] : []),
  ]);
}
