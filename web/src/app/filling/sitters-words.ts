import type { Cushion } from '@yardland/core';

export type Seat = NonNullable<Cushion['seat']>;
export type SeatSitter = NonNullable<Seat['sitters']>[number];

export const BUILD_WORDS: Record<SeatSitter['build'], string> = {
  child: 'a child',
  light: 'very light',
  slight: 'slight',
  middling: 'middling',
  sturdy: 'sturdy',
  heavy: 'heavy',
};

/** Who sits, in a few words: `a child, middling, sturdy`. */
export function sittersWords(sitters: readonly SeatSitter[]): string {
  return sitters.length ? sitters.map(({ build, frail }) => `${BUILD_WORDS[build]}${frail ? ', frail' : ''}`).join(' · ') : 'not said';
}
