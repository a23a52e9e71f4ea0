import type { Cushion } from '@yardland/core';

/** Which size was measured, as it is asked for. */
export const GIVEN_OPTIONS: readonly { readonly value: Cushion['given']; readonly name: string }[] = [
  { value: 'seat', name: 'the seat' },
  { value: 'finished', name: 'the cushion' },
  { value: 'core', name: 'a kept core' },
  { value: 'sewn', name: 'an old cover' },
];
