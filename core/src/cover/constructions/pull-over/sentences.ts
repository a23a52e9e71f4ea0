import type { Sentences } from '../../../kernel/sentences';

/** What is said of this construction and no other. */
export const PULL_OVER_SENTENCES = {
  'top-layer-not-over-front': () => [
    'On a frame the top layer runs over the front and down, and the layers under it end that much short of it.',
    'Choose *over the front* for the top layer under Build.',
  ],
  'frame-too-small-to-staple': (_, mm) => [
    `The frame is too small for a line of staples ${mm('lineMm')} in from its edge.`,
    'Take a smaller distance in the constants.',
  ],
} satisfies Sentences;

declare module '../../../kernel/issue' {
  interface IssueCodes extends Record<keyof typeof PULL_OVER_SENTENCES, true> {}
}
