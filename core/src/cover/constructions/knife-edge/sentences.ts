import type { Sentences } from '../../../kernel/sentences';

/** What is said of this construction and no other. */
export const KNIFE_EDGE_SENTENCES = {
  'envelope-not-for-outline': () => [
    'An envelope back needs an outline that a straight cut parts in two.',
    'It is planned closed by hand; take a zip otherwise.',
  ],
} satisfies Sentences;

declare module '../../../kernel/issue' {
  interface IssueCodes extends Record<keyof typeof KNIFE_EDGE_SENTENCES, true> {}
}
