import type { Planned } from '@yardland/core';
import type { Solid } from '@yardland/core/solid';

/** A cushion to be made into a mesh, with a number to know the answer by. */
export interface ToRound {
  readonly id: number;
  readonly one: Planned;
}

/** Its mesh; null where there is nothing to show, a sentence where it failed. */
export type FromRound = { readonly id: number; readonly solid: Solid | null } | { readonly id: number; readonly failed: string };
