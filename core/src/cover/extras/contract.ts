import type { SkinStrap } from '../../form/skin';
import type { Issue } from '../../kernel/issue';
import type { Operation } from '../../piece/operation';
import type { OutlineMark } from '../../template/marks';
import type { Piece } from '../../piece/piece';
import type { SeamDraft } from '../../piece/seam';
import type { CoverRequest, Notion } from '../contract';

/** What an extra is given besides its own choices. */
export interface ExtraAsk<C> {
  readonly choices: C;
  readonly request: CoverRequest;
  /** The bottom plate, with the patches that are on it already. */
  readonly bottom: Piece;
  /** Pieces of the band, by id. */
  readonly bandIds: readonly string[];
}

/** What extras add to a cover. */
export interface Added {
  readonly pieces: readonly Piece[];
  readonly seams: readonly SeamDraft[];
  readonly notions: readonly Notion[];
  readonly operations: readonly Operation[];
  readonly problems: readonly Issue[];
  /** What of it lies along the outside of the closed cushion. */
  readonly straps: readonly SkinStrap[];
  /** The bottom plate with the lines on which patches are sewn to it; the same one where there are none. */
  readonly bottom: Piece;
}

/** How many marks of a kind the template has. */
export const marksOf = ({ marks }: CoverRequest, wanted: OutlineMark['kind']): number => marks.filter(({ kind }) => kind === wanted).length;
