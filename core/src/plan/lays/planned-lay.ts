import { isOfPiece } from '../../piece/item-ref';
import type { ClothSlot } from '../../piece/material-ref';
import { hashText } from '../../kernel/hash';
import type { Issue } from '../../kernel/issue';
import type { LayAnswer, LayRequest } from '../../lay/contract';
import { clothName } from '../cloths';
import type { ClothUse } from '../../job/document';

/** Which material a lay is on. */
export type LaySubject =
  /** One cloth, with the slots that are of it; `ownLengthMm`: it is the customer's own, and so much is there. */
  | { readonly kind: 'cloth'; readonly name: string; readonly slots: readonly ClothSlot[]; readonly use: ClothUse; readonly ownLengthMm: number | null }
  | { readonly kind: 'foam'; readonly grade: string; readonly thicknessMm: number }
  | { readonly kind: 'wadding'; readonly loftMm: number; readonly material: string };

/** A lay that the plan needs, named by the content of its request. */
export interface WantedLay {
  readonly hash: string;
  readonly key: string;
  readonly subject: LaySubject;
  readonly request: LayRequest;
  /** Cushions, by their place in the job, that cannot be matched to the cloth's pattern: with a motif in its middle a piece would not lie between the selvedges. */
  readonly offPattern: readonly number[];
  /** Pieces that were wrong and are cut anew, from what is left of another lay or by themselves: that one's key. */
  readonly recutOf: string | null;
  /** The remnant or hide that it lies on, by id: what finds no place there goes on to the next, and to what is bought. */
  readonly remnant: string | null;
  /** It waits for the lays of remnants before it: what is left for it is not known yet. */
  readonly held: boolean;
}

/** The lay of what is cut anew by itself. */
export const recutKey = (key: string): string => `${key}/recut`;

/** The lay of what is cut anew from what another lay leaves of one of its sheets, or of its roll or remnant. */
export const leftKey = (key: string, sheet: number): string => `${key}/left of ${sheet + 1}`;

/** Whether what finds no place on a lay's material goes on to the next: the lay is on something that is there, and may be full. */
export const goesOn = ({ request }: Pick<WantedLay, 'request'>): boolean => request.material.kind === 'hide';

/** Whether a lay is of material that is bought, or the customer brings: not of a remnant, and not cut anew. */
export const isBought = ({ recutOf, remnant }: WantedLay): boolean => recutOf === null && remnant === null;

/** A lay of the plan: its request, and the checked answer once there is one. */
export interface PlannedLay extends WantedLay {
  readonly answer: LayAnswer | null;
  readonly problems: readonly Issue[];
}

/** The key of the lay on a cloth: the main cloth's has always been the same. */
export function clothLayKey(use: ClothUse, main: ClothUse): string {
  const name = clothName(use);
  return name === clothName(main) ? 'cloth' : `cloth-${hashText(name).slice(-6)}`;
}

/** On which lays a piece that is cut anew comes to lie, and how often. */
export function recutPlaces(lays: readonly PlannedLay[], of: Parameters<typeof isOfPiece>[1]): readonly { readonly lay: PlannedLay; readonly count: number }[] {
  return lays.flatMap((lay) => {
    const count = lay.recutOf === null ? 0 : (lay.answer?.placements.filter((one) => isOfPiece(one.item, of)).length ?? 0);
    return count ? [{ lay, count }] : [];
  });
}

/** What is said of a lay for what is cut anew, after its material: from what is left of it, or by itself; empty for every other lay. */
export const anewWords = (lay: WantedLay): string => (lay.recutOf === null ? '' : goesOn(lay) ? ', cut anew from the rest' : ', cut anew');

/** A lay for what is cut anew on which nothing found a place: there is nothing to see on it. */
export const nothingOn = ({ recutOf, answer }: PlannedLay): boolean => recutOf !== null && answer?.placements.length === 0;

/** Where on the roll the first motif lies is seen only when the cloth is there: up to one repeat is cut off before it, mm. */
export function repeatToBegin({ material, items }: LayRequest): number {
  return material.kind === 'roll' && items.some(({ motif }) => motif) ? (material.pattern?.alongMm ?? 0) : 0;
}
