import type { FitVerdict } from '../build/fit';
import type { GIVEN } from '../build/sizes';
import type { Piece, PieceRole, SeamKind } from '../piece/piece';
import { schoolNumber } from '../shop/schools';
import type { Shop } from '../shop/shop';
import { formatLengthUnit } from '../units/format';
import { pairMm } from '../units/length';
import type { CushionPlan } from './plan-cushion';
import type { SayIn } from './say';

const ROLE_WORDS: Record<PieceRole, string> = {
  plate: 'plate',
  boxing: 'boxing',
  'side-panel': 'side panel',
  plaque: 'zip plaque',
  welt: 'welt strip',
  foam: 'foam',
  filling: 'filling',
  'wrap-face': 'wrap, face',
  'wrap-border': 'wrap, border',
  'wrap-blanket': 'wrap, blanket',
  'wrap-end': 'wrap, end',
  'wrap-parcel': 'wrap, parcel',
  'crown-pad': 'crown pad',
  'hollow-pad': 'hollow pad',
};

export const SEAM_WORDS: Record<SeamKind, string> = {
  'plaque-slit': 'zip into the plaque',
  'plaque-ends': 'plaque to boxing, both ends',
  'boxing-joins': 'joins in the boxing',
  'panel-corners': 'panels to each other at the corners',
  'welt-top': 'welt to the top plate',
  'welt-bottom': 'welt to the bottom plate',
  'band-to-top': 'band to the top plate',
  'band-to-bottom': 'band to the bottom plate',
};

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
  const row = shop.school(school.id);
  if (!school.overridden || !source.schoolNumber || !row) return school.name;
  const number = schoolNumber(school.overridden);
  const size = (mm: number): string => formatLengthUnit(mm, units, step);
  const usual = number.get(row);
  return `${school.name}; ${number.word}: ${size(source.schoolNumber.mm)}${usual ? `, not ${size(pairMm(usual, units))}` : ''}`;
}

/** What is written on a piece: `boxing 2 of 3`, `foam, layer 1`. */
export function pieceLabel(piece: Piece): string {
  const { index, of } = piece.part;
  if (piece.name !== undefined) return piece.name;
  if (piece.role === 'foam' || piece.role === 'filling') {
    const layer = of > 1 ? `${piece.role}, layer ${index}` : piece.role;
    return piece.glued ? `${layer}, part ${piece.glued.index} of ${piece.glued.of}` : layer;
  }
  if (piece.role === 'plate' && of > 1) return index === 1 ? 'bottom plate' : 'top plate';
  if (piece.role === 'welt' && of > 1) return index === 1 ? 'welt strip, bottom' : 'welt strip, top';
  if (piece.role === 'side-panel') return index === 1 ? 'right side panel' : 'left side panel';
  const words = of > 1 ? `${ROLE_WORDS[piece.role]} ${index} of ${of}` : ROLE_WORDS[piece.role];
  return piece.glued ? `${words}, part ${piece.glued.index} of ${piece.glued.of}` : words;
}

/** A few words more, for lists. */
export function pieceRemark(piece: Piece): string {
  if (piece.role === 'welt') return `bias, ${piece.joins === 0 ? 'no join' : piece.joins === 1 ? '1 join' : `${piece.joins} joins`}`;
  if (piece.role === 'plaque') return 'slit strip';
  if (piece.role === 'boxing') return piece.part.of === 1 ? 'no join' : '';
  if (piece.role === 'side-panel') return 'tapered';
  if (piece.role === 'plate') return `${piece.marks.length} notches`;
  return '';
}
