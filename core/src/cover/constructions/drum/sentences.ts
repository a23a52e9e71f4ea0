import type { Sentences } from '../../../kernel/sentences';

/** What is said of this construction and no other. */
export const DRUM_SENTENCES = {
  'board-too-small-for-flange': (_, mm) => [
    `The board is too small for a flange of ${mm('flangeMm')}.`,
    'Staple the band itself under the board, or take a narrower flange in the constants.',
  ],
} satisfies Sentences;

declare module '../../../kernel/issue' {
  interface IssueCodes extends Record<keyof typeof DRUM_SENTENCES, true> {}
}
