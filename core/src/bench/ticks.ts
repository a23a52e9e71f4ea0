import type { Operation } from '../piece/operation';
import type { Piece } from '../piece/piece';

/** Sizes of the pieces in hand when a step was ticked: width and height by piece, mm. */
export type TickedSizes = Readonly<Record<string, readonly [number, number]>>;

export interface Tick {
  readonly count: number;
  /** On which of the cushions, from 1; absent: the first so many. */
  readonly on?: readonly number[] | undefined;
  readonly sizes?: TickedSizes | undefined;
  /** Who ticked each of the cushions, by number. */
  readonly by?: Readonly<Record<string, string>> | undefined;
}

/** Sizes further apart than this are told of, mm: what a tape can tell. */
export const CHANGED_MM = 0.5;

/** What a tick remembers of the pieces in hand. */
export function sizesAt({ pieces }: Operation, all: readonly Piece[]): Record<string, [number, number]> {
  return Object.fromEntries(all.filter(({ id }) => pieces.includes(id)).map(({ id, width, height }) => [id, [width.value, height.value]]));
}

/** A piece whose size is no longer what it was when its step was ticked; `now` is null where the piece is gone. */
export interface ChangedSince {
  readonly piece: string;
  readonly label: string;
  readonly then: readonly [number, number];
  readonly now: readonly [number, number] | null;
}

/** Pieces that a person keeps as they were cut, by id. */
export type KeptAsCut = Readonly<Record<string, { readonly sizes: readonly [number, number]; readonly seamMm?: number | undefined }>>;

/** Which pieces of a ticked step have changed since; not those that are kept as they were then. */
export function changedSince(tick: Tick | undefined, all: readonly Piece[], kept: KeptAsCut = {}): ChangedSince[] {
  return Object.entries(tick?.sizes ?? {}).flatMap(([id, then]): ChangedSince[] => {
    const piece = all.find((one) => one.id === id);
    if (!piece) return [{ piece: id, label: id.replaceAll('-', ' '), then, now: null }];
    const now = [piece.width.value, piece.height.value] as const;
    const decided = kept[id]?.sizes;
    if (decided && decided[0] === then[0] && decided[1] === then[1]) return [];
    const same = Math.abs(now[0] - then[0]) <= CHANGED_MM && Math.abs(now[1] - then[1]) <= CHANGED_MM;
    return same ? [] : [{ piece: id, label: piece.label, then, now }];
  });
}
