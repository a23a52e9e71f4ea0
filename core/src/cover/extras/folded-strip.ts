import { law, type Figure } from '../../kernel/figure';
import type { Piece } from '../../piece/piece';
import type { SeamDraft } from '../../piece/seam';
import { clothStrip, stripEdge } from '../sewing/cloth-piece';

/** A strip that is folded: how long, how wide when finished, what is turned in on both edges, and how many a cushion. */
export interface FoldedStrip {
  readonly role: 'tie' | 'handle';
  readonly remark: string;
  readonly length: Figure;
  readonly wide: Figure;
  readonly turnIn: Figure;
  readonly count: number;
}

/** A strip turned in on both edges and folded: 2 × finished + 2 × turn-in wide. */
export function foldedStrip({ role, remark, length, wide, turnIn, count }: FoldedStrip): Piece {
  const height = law('strip, cut', '2 × {0} + 2 × {1}', [wide, turnIn]);
  return clothStrip(
    'main',
    { id: role, role, label: role, remark, countPerCushion: count, width: length, height },
    { left: 0, right: 0, lower: turnIn.value, upper: turnIn.value },
    [],
  );
}

/** Its two edges meet. */
export function foldedEdge(strip: Piece, id: string, words: string): SeamDraft {
  return { id, words, method: 'top-stitch', first: [stripEdge(strip, 'lower')], second: [stripEdge(strip, 'upper')], count: strip.countPerCushion };
}
