import type { ClothUse, Cushion, Job } from '../job/document';
import { itemRef } from '../piece/item-ref';
import { clothLayKey } from '../plan/lays/planned-lay';
import type { Plan } from '../plan/plan';
import type { Tried } from './lay-ways';

/** Never taken off the pattern alone: the pattern of every other piece continues one of these. */
const CONTINUED = ['plate', 'body', 'drop'];

/** A job with some pieces of one cushion off the pattern. None: all of it is matched. */
function withUnmatched(job: Job, index: number, pieces: readonly string[]): Job {
  return {
    ...job,
    cushions: job.cushions.map((cushion, i): Cushion => {
      if (i !== index) return cushion;
      const { unmatchedPieces: _before, ...rest } = cushion;
      return pieces.length ? { ...rest, unmatchedPieces: [...pieces] } : rest;
    }),
  };
}

/**
 * Ways that tell what the match costs: each cushion off its pattern, and each piece that continues another's; what was taken off is put back on it. A plate is not taken off
 * alone, since its neighbours would continue nothing; nor is a single cushion, which is the whole pattern.
 */
export function motifWays({ job, cushions, lays }: Plan, use: ClothUse): Tried[] {
  const key = clothLayKey(use, job.cloth);
  const items = lays.filter((lay) => lay.key === key).flatMap(({ request }) => request.items);
  const onMotif = new Map<number, string[]>();
  for (const { id, motif } of items) {
    const ref = itemRef(id);
    if (!motif || ref?.kind !== 'piece') continue;
    const known = onMotif.get(ref.cushion) ?? [];
    if (!known.includes(ref.piece)) onMotif.set(ref.cushion, [...known, ref.piece]);
  }
  return cushions.flatMap((one, index): Tried[] => {
    const { name, unmatchedPieces: off = [] } = one.source;
    const on = onMotif.get(index) ?? [];
    const pieceOf = (id: string) => one.pieces.find((piece) => piece.id === id);
    const tried = (piece: string | null, pieces: readonly string[], matched: boolean): Tried => ({
      way: { kind: 'motif', cushion: name, piece, matched },
      job: withUnmatched(job, index, pieces),
      use,
    });
    const goingOn = on.filter((id) => !CONTINUED.includes(pieceOf(id)?.role ?? ''));
    return [
      ...(off.length ? [tried(null, [], true)] : []),
      ...(on.length && onMotif.size > 1 ? [tried(null, [...off, ...on], false)] : []),
      ...goingOn.map((id) => tried(pieceOf(id)?.label ?? id, [...off, id], false)),
    ];
  });
}
