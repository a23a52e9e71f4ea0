import { CONSTRUCTIONS } from '../../cover/list';
import type { ShopDocument } from '../../shop/shop';
import { SHIPPED_SCHOOLS } from '../../shop/schools';
import { SHAPES } from '../../template/shapes/shapes';

/** What a word of the line may stand for. A word may stand for several things: a drum is a shape and a construction. */
export type Meaning =
  | { readonly is: 'shape'; readonly shape: string }
  | { readonly is: 'construction'; readonly kind: string }
  | { readonly is: 'choice' }
  | { readonly is: 'grade' | 'cloth' | 'school'; readonly id: string }
  | { readonly is: 'axis'; readonly axis: Axis }
  | { readonly is: 'count' }
  | { readonly is: 'filler' };

/** Which way a measure goes. */
export type Axis = 'across' | 'deep' | 'high' | 'diameter';

/** The shop as far as the line may name what is in it. */
export type QuickShop = Pick<ShopDocument, 'usual'> & Partial<Pick<ShopDocument, 'grades' | 'cloths' | 'schools'>>;

/** A word or several, in lower case with hyphens between them, and what they stand for; `shown` as it is written out. */
export interface Phrase {
  readonly words: string;
  readonly shown: string;
  readonly meanings: readonly Meaning[];
}

export type Vocabulary = ReadonlyMap<string, Phrase>;

const AXES: Readonly<Record<Axis, readonly string[]>> = {
  across: ['wide', 'width', 'w', 'long', 'length', 'across'],
  deep: ['deep', 'depth', 'd', 'front-to-back'],
  high: ['high', 'height', 'h', 'thick', 'thickness', 'tall'],
  diameter: ['dia', 'diameter', 'diam', 'ø'],
};
const COUNTS = ['off', 'no', 'nos', 'pcs', 'pieces', 'piece', 'pc', 'cushion', 'cushions', 'times'];
const FILLERS = [
  'with',
  'and',
  'edge',
  'edges',
  'seat',
  'seats',
  'shape',
  'shaped',
  'for',
  'in',
  'of',
  'the',
  'a',
  'an',
  'to',
  'foam',
  'core',
  'cloth',
  'cover',
  'closed',
];

/** How a name is looked for: lower case, hyphens between its words and between letters and numbers. */
export const asKey = (text: string): string =>
  text
    .toLowerCase()
    .replace(/[^\p{L}\p{N}]+/gu, '-')
    .replace(/(\p{L})(?=\p{N})|(\p{N})(?=\p{L})/gu, '$1$2-')
    .replace(/^-|-$/g, '');

/** A name by its first words too, wherever these are enough to tell it from all others. */
function shortened(names: readonly { readonly id: string; readonly name: string }[], is: 'grade' | 'cloth' | 'school'): [string, string, Meaning][] {
  const keys = names.map(({ name }) => asKey(name).split('-'));
  return names.flatMap(({ id, name }, n) =>
    (keys[n] ?? []).flatMap((_, i): [string, string, Meaning][] => {
      const first = (keys[n] ?? []).slice(0, i + 1).join('-');
      const alone = keys.every((other, o) => o === n || other.slice(0, i + 1).join('-') !== first);
      // What is said with one letter or a number alone is never a name.
      return (alone || i === (keys[n]?.length ?? 0) - 1) && /\p{L}{3}/u.test(first) ? [[first, name, { is, id }]] : [];
    }),
  );
}

/** Every word that the line understands in a shop. What the trade itself says comes before names that the shop has given. */
export function vocabularyOf({ grades = [], cloths = [], schools = [] }: QuickShop): Vocabulary {
  const all = new Map<string, Phrase>();
  const add = (word: string, meaning: Meaning, shown = word): void => {
    const words = asKey(word);
    const before = all.get(words);
    if (before?.meanings.some((one) => ['grade', 'cloth', 'school'].includes(meaning.is) && one.is !== meaning.is)) return;
    all.set(words, { words, shown: before?.shown ?? shown, meanings: [...(before?.meanings ?? []), meaning] });
  };
  for (const { shape, words } of SHAPES) for (const word of words) add(word, { is: 'shape', shape }, word.replaceAll('-', ' '));
  for (const { kind, words, choiceWords } of CONSTRUCTIONS) {
    for (const word of words) add(word, { is: 'construction', kind }, word.replaceAll('-', ' '));
    for (const word of Object.keys(choiceWords))
      if (!all.get(word)?.meanings.some(({ is }) => is === 'choice')) add(word, { is: 'choice' }, word.replaceAll('-', ' '));
  }
  for (const [axis, words] of Object.entries(AXES) as [Axis, readonly string[]][]) for (const word of words) add(word, { is: 'axis', axis });
  for (const word of COUNTS) add(word, { is: 'count' });
  for (const word of FILLERS) add(word, { is: 'filler' });
  for (const [words, shown, meaning] of [
    ...shortened([...SHIPPED_SCHOOLS, ...schools], 'school'),
    ...shortened(grades, 'grade'),
    ...shortened(cloths, 'cloth'),
  ])
    add(words, meaning, shown);
  return all;
}
