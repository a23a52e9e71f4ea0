import type { Piece, PieceRole, SeamKind } from '../piece/piece';

const ROLE_WORDS: Record<PieceRole, string> = {
  plate: 'plate',
  boxing: 'boxing',
  plaque: 'zip plaque',
  welt: 'welt strip',
  foam: 'foam',
  filling: 'filling',
  'wrap-face': 'wrap, face',
  'wrap-border': 'wrap, border',
};

export const SEAM_WORDS: Record<SeamKind, string> = {
  'plaque-slit': 'zip into the plaque',
  'plaque-ends': 'plaque to boxing, both ends',
  'boxing-joins': 'joins in the boxing',
  'welt-top': 'welt to the top plate',
  'welt-bottom': 'welt to the bottom plate',
  'band-to-top': 'band to the top plate',
  'band-to-bottom': 'band to the bottom plate',
};

/** What is written on a piece: `boxing 2 of 3`, `foam, layer 1`. */
export function pieceLabel(piece: Piece): string {
  const { index, of } = piece.part;
  if (piece.role === 'foam' || piece.role === 'filling') return of > 1 ? `${piece.role}, layer ${index}` : piece.role;
  return of > 1 ? `${ROLE_WORDS[piece.role]} ${index} of ${of}` : ROLE_WORDS[piece.role];
}

/** A few words more, for lists. */
export function pieceRemark(piece: Piece): string {
  if (piece.role === 'welt') return `bias, ${piece.joins === 0 ? 'no join' : piece.joins === 1 ? '1 join' : `${piece.joins} joins`}`;
  if (piece.role === 'plaque') return 'slit strip';
  if (piece.role === 'boxing') return piece.part.of === 1 ? 'no join' : '';
  if (piece.role === 'plate') return `${piece.marks.length} notches`;
  return '';
}
