import { ASSUMPTION_WORDS, type AssumptionWords } from '../shop/assumption-words';
import { BLOCK_CONSTANT_WORDS } from './constructions/block/constant-words';
import { CHANNELLED_CONSTANT_WORDS } from './constructions/channelled/constant-words';
import { DRUM_CONSTANT_WORDS } from './constructions/drum/constant-words';
import { KNIFE_EDGE_CONSTANT_WORDS } from './constructions/knife-edge/constant-words';
import { PULL_OVER_CONSTANT_WORDS } from './constructions/pull-over/constant-words';
import { ROLLED_EDGE_CONSTANT_WORDS } from './constructions/rolled-edge/constant-words';
import { SPRUNG_CONSTANT_WORDS } from './constructions/sprung/constant-words';
import { EXTRAS_CONSTANT_WORDS } from './extras/constant-words';

/** The words of every constant in `allConstants`. */
const CONSTANT_WORDS: Readonly<Record<string, AssumptionWords>> = {
  ...ASSUMPTION_WORDS,
  ...BLOCK_CONSTANT_WORDS,
  ...CHANNELLED_CONSTANT_WORDS,
  ...DRUM_CONSTANT_WORDS,
  ...KNIFE_EDGE_CONSTANT_WORDS,
  ...PULL_OVER_CONSTANT_WORDS,
  ...ROLLED_EDGE_CONSTANT_WORDS,
  ...SPRUNG_CONSTANT_WORDS,
  ...EXTRAS_CONSTANT_WORDS,
};

/** What a constant means and where its shipped value comes from. A key that no rule uses any more is its own meaning. */
export function constantWords(key: string): AssumptionWords {
  return (Object.hasOwn(CONSTANT_WORDS, key) && CONSTANT_WORDS[key]) || { meaning: key, source: '' };
}
