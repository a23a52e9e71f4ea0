import type { Planned, View3 } from '@yardland/core';
import type { LinePicture, Solid } from '@yardland/core/solid';

/** What can be made of a planned cushion: its mesh, or its picture in lines. Null where there is nothing to show. */
export interface RoundMade {
  readonly solid: Solid | null;
  readonly picture: LinePicture | null;
}
export type RoundWanted = keyof RoundMade;

/** A cushion that something is to be made of, with a number to know the answer by. */
export interface ToRound {
  readonly id: number;
  readonly one: Planned;
  readonly wanted: RoundWanted;
  /** From where a picture is looked at; as usual where it is not said. */
  readonly view?: View3 | undefined;
}

/** What was made; a sentence where it failed. */
export type FromRound = { readonly id: number; readonly made: RoundMade[RoundWanted] } | { readonly id: number; readonly failed: string };
