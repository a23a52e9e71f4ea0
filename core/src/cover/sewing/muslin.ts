import type { Piece } from '../../piece/piece';
import type { CoverRequest } from '../contract';
import { clothPiece } from './cloth-piece';

/** Thin cloth between springs and any foam on them, so that neither wears the other; null where no foam lies on springs. */
export function muslinOf({ sizes, core, contents }: Pick<CoverRequest, 'sizes' | 'core' | 'contents'>): Piece | null {
  if (contents.foamOnSprings === 0) return null;
  return clothPiece('lining', {
    id: 'muslin',
    role: 'muslin',
    label: 'muslin',
    remark: 'between springs and foam',
    face: 'hidden',
    grain: 'any',
    countPerCushion: contents.foamOnSprings,
    width: sizes.core.width,
    height: sizes.core.depth,
    outline: core,
  });
}
