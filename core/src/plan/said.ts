import { OWN_SENTENCES } from '../cover/own-sentences';
import type { Issue, IssueCode } from '../kernel/issue';
import { sayBy, SENTENCES, type Said, type SayIn } from '../say/say';
import type { Sentences } from '../kernel/sentences';

/** The sentences of every problem there is, with those of each construction. */
export const EVERY_SENTENCE: Sentences = { ...SENTENCES, ...OWN_SENTENCES };

/** Every code that has a sentence of its own. */
export const SPOKEN_CODES = Object.keys(EVERY_SENTENCE) as readonly IssueCode[];

/** A problem in words, lengths in the job's units at the shop's step. */
export function say(problem: Issue, inWords: SayIn): Said {
  return sayBy(EVERY_SENTENCE, problem, inWords);
}

/** Both sentences as one message. */
export function sayLine(problem: Issue, inWords: SayIn): string {
  const { what, mend } = say(problem, inWords);
  return mend ? `${what} ${mend}` : what;
}
