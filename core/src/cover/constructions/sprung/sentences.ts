import type { Sentences } from '../../../kernel/sentences';

/** What is said of this construction and no other. */
export const SPRUNG_SENTENCES = {
  'no-springs-in-filling': () => ['There is no spring unit in the filling: the felt is reckoned round the whole core.', 'Choose a spring unit under Filling.'],
  'no-inner-case': () => ['An inner case cannot be drawn outside this outline.', 'Even the outline out under Template, or take a boxed cover.'],
} satisfies Sentences;

declare module '../../../kernel/issue' {
  interface IssueCodes extends Record<keyof typeof SPRUNG_SENTENCES, true> {}
}
