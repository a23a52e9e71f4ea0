import { CONSTRUCTIONS } from '../../cover/list';
import { tokensOf } from './tokens';
import { vocabularyOf, type Meaning, type Phrase, type QuickShop } from './vocabulary';

/** Words that the one being written could become, and the stretch of the line that they would take the place of. */
export interface QuickSuggestions {
  readonly from: number;
  readonly to: number;
  readonly words: readonly string[];
}

const MOST = 6;
/** What is offered first: what a cushion cannot do without. */
const ORDER: readonly Meaning['is'][] = ['shape', 'construction', 'choice', 'grade', 'cloth', 'school'];

const rank = ({ meanings }: Phrase): number => Math.min(...meanings.map(({ is }) => ORDER.indexOf(is)).filter((i) => i >= 0), ORDER.length);

/** What the word before the caret could become: words of the trade and names of the shop that begin with it, none twice, choices only of the construction that the line names. */
export function suggestQuick(line: string, caret: number, shop: QuickShop = {}): QuickSuggestions {
  const before = line.slice(0, caret);
  const known = vocabularyOf(shop);
  const kinds = tokensOf(line, known).flatMap((one) =>
    one.is === 'word' ? one.phrase.meanings.flatMap((each) => (each.is === 'construction' ? [each.kind] : [])) : [],
  );
  const goes = ({ words, meanings }: Phrase): boolean => {
    const kind = CONSTRUCTIONS.find((one) => one.kind === kinds.at(-1));
    return !kind || !meanings.every(({ is }) => is === 'choice') || words in kind.choiceWords;
  };
  // Written as one word or as two it is offered once, as two.
  const asTwo = ({ words }: Phrase): boolean =>
    words.includes('-') || ![...known.keys()].some((other) => other.includes('-') && other.replaceAll('-', '') === words);
  // The last two words, or the last: `half r` and `hook a` go on as one.
  for (const pattern of [/[\p{L}][\p{L}\p{N}]*[\s-]+[\p{L}\p{N}]+$/u, /\p{L}[\p{L}\p{N}-]*$/u]) {
    const word = pattern.exec(before)?.[0];
    if (word === undefined) continue;
    const key = word.toLowerCase().replace(/[\s-]+/g, '-');
    const all = [...known.values()].filter(
      (phrase) => phrase.words.startsWith(key) && phrase.words !== key && rank(phrase) < ORDER.length && goes(phrase) && asTwo(phrase),
    );
    const words = [...new Set(all.sort((a, b) => rank(a) - rank(b) || a.words.length - b.words.length).map(({ shown }) => shown))].slice(0, MOST);
    if (words.length) return { from: caret - word.length, to: caret, words };
  }
  return { from: caret, to: caret, words: [] };
}
