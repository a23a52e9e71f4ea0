import type { Outline } from '../geometry/outline';
import type { Crown } from './crown';

/** How a face is made to stand proud: the plate domed, or left flat and drawn in. */
export const CROWN_WAYS = ['bow', 'flat'] as const;

/** A question for the crown of a face. The same request always gives the same answer. */
export interface CrownAsk {
  readonly format: 'yardland/crown-ask@1';
  readonly outline: Outline;
  readonly crownMm: number;
  readonly pads: number;
}

export interface CrownAnswer extends Crown {
  readonly format: 'yardland/crown-answer@1';
}
