import type { Sentences } from '../kernel/sentences';
import { CHANNELLED_SENTENCES } from './constructions/channelled/sentences';
import { DRUM_SENTENCES } from './constructions/drum/sentences';
import { KNIFE_EDGE_SENTENCES } from './constructions/knife-edge/sentences';
import { PULL_OVER_SENTENCES } from './constructions/pull-over/sentences';
import { SPRUNG_SENTENCES } from './constructions/sprung/sentences';

/** The sentences of every construction's own problems. They stand apart from `list.ts`, so that a page can say a problem without loading what makes covers. */
export const OWN_SENTENCES = {
  ...CHANNELLED_SENTENCES,
  ...DRUM_SENTENCES,
  ...KNIFE_EDGE_SENTENCES,
  ...PULL_OVER_SENTENCES,
  ...SPRUNG_SENTENCES,
} satisfies Sentences;
