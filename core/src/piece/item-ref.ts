/** What an item of a lay is: a piece of one of the job's cushions, or one of the blocks that bias strips are cut from, which are of the whole cloth. */
export type ItemRef =
  /** `turned`: copies that are cut turned over, as the mirror image. */
  | { readonly kind: 'piece'; readonly cushion: number; readonly piece: string; readonly turned?: true }
  | { readonly kind: 'bias'; readonly group: number; readonly block: number };

const TURNED = '/turned';

/** The name of an item in a lay: `2/plate` is the plate of the third cushion, `2/plate/turned` the same cut turned over, `bias/1.2` the second block of the first group of strips. */
export function itemId(ref: ItemRef): string {
  return ref.kind === 'piece' ? `${ref.cushion}/${ref.piece}${ref.turned ? TURNED : ''}` : `bias/${ref.group}.${ref.block}`;
}

/** What an item's name stands for; null for a name that is none. */
export function itemRef(id: string): ItemRef | null {
  const bias = /^bias\/(\d+)\.(\d+)$/.exec(id);
  if (bias) return { kind: 'bias', group: Number(bias[1]), block: Number(bias[2]) };
  const piece = /^(\d+)\/([^/]+)(\/turned)?$/.exec(id);
  return piece ? { kind: 'piece', cushion: Number(piece[1]), piece: piece[2] ?? '', ...(piece[3] ? { turned: true } : {}) } : null;
}

/** A piece of something that has its pieces by cushion; null for a bias block, or where it is not there. */
export function pieceOf<C extends { readonly pieces: readonly { readonly id: string }[] }>(
  id: string,
  cushions: readonly C[],
): { readonly cushion: C; readonly index: number; readonly piece: C['pieces'][number] } | null {
  const ref = itemRef(id);
  if (ref?.kind !== 'piece') return null;
  const cushion = cushions[ref.cushion];
  const piece = cushion?.pieces.find((one) => one.id === ref.piece);
  return cushion && piece ? { cushion, index: ref.cushion, piece } : null;
}

/** Whether an item's copies are cut turned over. */
export const isTurned = (id: string): boolean => {
  const ref = itemRef(id);
  return ref?.kind === 'piece' && ref.turned === true;
};

/** Whether an item is copies of a cushion's piece, as drawn or turned over. */
export function isOfPiece(id: string, of: { readonly cushion: number; readonly piece: string }): boolean {
  const ref = itemRef(id);
  return ref?.kind === 'piece' && ref.cushion === of.cushion && ref.piece === of.piece;
}

/** Whether an item is a block of bias strips. */
export const isBiasItem = (id: string): boolean => itemRef(id)?.kind === 'bias';
