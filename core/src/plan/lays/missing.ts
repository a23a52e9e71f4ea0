import { pieceOf } from '../../piece/item-ref';
import { issue, type Issue } from '../../kernel/issue';
import type { MaterialKind } from '../../piece/material-ref';
import { goesOn, type PlannedLay } from './planned-lay';
import type { CushionPlan } from '../cushion/cushion-plan';

/** Where a piece of this material is changed, from the cushion. */
const PATHS: Record<MaterialKind, string> = {
  cloth: 'construction',
  'thin-foam': 'construction',
  foam: 'core.layers',
  'old-core': 'seat.oldCores',
  filling: 'core.layers',
  wadding: 'wrapLoftMm',
};

/** A piece that its material cannot give, the last that it goes on to: never bought short in silence, but named with its size, under its cushion. */
export function missingPieces(lays: readonly PlannedLay[], cushions: readonly CushionPlan[]): Issue[] {
  return lays.flatMap((lay) => {
    const { answer, key } = lay;
    return [...new Set((!goesOn(lay) && answer?.unplaced) || [])].flatMap((item) => {
      const found = pieceOf(item, cushions);
      if (!found) return [issue('error', 'piece-missing', 'cloth', { piece: item, widthMm: 0, heightMm: 0, key })];
      const { piece, index } = found;
      const { width, height } = piece;
      return [
        issue('error', 'piece-missing', `cushions.${index}.${PATHS[piece.material.kind]}`, {
          piece: piece.label,
          widthMm: width.value,
          heightMm: height.value,
          key,
        }),
      ];
    });
  });
}
