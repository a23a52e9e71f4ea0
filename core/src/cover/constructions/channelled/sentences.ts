import type { Sentences } from '../../../kernel/sentences';

/** What is said of this construction and no other. */
export const CHANNELLED_SENTENCES = {
  'layers-not-in-case': () => [
    'The case is filled with loose feather by weight: the layers under Filling are not used.',
    'Take it as an envelope, or clear the layers.',
  ],
  'envelope-without-feather': () => [
    'An envelope goes round a core in cases as high as the feather layers of the filling, and there is none.',
    'Add a feather layer above and below the core under Filling.',
  ],
} satisfies Sentences;

declare module '../../../kernel/issue' {
  interface IssueCodes extends Record<keyof typeof CHANNELLED_SENTENCES, true> {}
}
