import { closest, distance } from 'fastest-levenshtein';
import type { Choices } from '../../cover/contract';
import { CONSTRUCTIONS, constructionSchema, type Construction } from '../../cover/list';
import { usualChoices } from '../../cover/usual';
import type { GivenSize } from '../../piece/sizes';
import { SHAPES, type Template } from '../../template/shapes/shapes';
import type { UnitSystem } from '../../units/length';
import { measuresOf, MOST_QUICK } from './measures';
import { tokensOf, type Token, type WordToken } from './tokens';
import { vocabularyOf, type Meaning, type QuickShop, type Vocabulary } from './vocabulary';

export type QuickProblem = 'no-measures' | 'no-height' | 'measure-unreadable' | 'word-unknown' | 'choice-of-another' | 'said-twice' | 'quantity-unclear';

/** A cushion understood from one line, or what stood in the way: the words it was about, where they stand in the line, and what would be understood instead. */
export type QuickReading =
  | {
      readonly ok: true;
      readonly quantity: number;
      /** Which size the measures are: what is usually measured for the construction. */
      readonly given: GivenSize;
      readonly template: Template;
      readonly heightMm: number;
      /** The line does not say it: it is as high as the cushion in hand. */
      readonly heightAssumed: boolean;
      readonly construction: Construction;
      /** Ids of what the line names of the shop. */
      readonly grade: string | null;
      readonly cloth: string | null;
      readonly school: string | null;
    }
  | { readonly ok: false; readonly code: QuickProblem; readonly about: string; readonly from: number; readonly to: number; readonly would: readonly string[] };

/** What the line may leave unsaid. */
export interface QuickLike {
  /** As high as the cushion in hand, mm. */
  readonly heightMm?: number;
}

type Problem = Extract<QuickReading, { ok: false }>;
type Named = 'grade' | 'cloth' | 'school';

/** So many changed letters still make a slip of the pen, by the length of the word. */
const slip = (word: string): number => Math.max(1, Math.floor(word.length / 3));
const MOST_INSTEAD = 3;

const problem = (code: QuickProblem, about: string, { from, to }: Pick<Token, 'from' | 'to'>, would: readonly string[] = []): Problem => ({
  ok: false,
  code,
  about,
  from,
  to,
  would,
});

/** Words that are written nearly like this one. */
function near(word: string, known: Vocabulary): string[] {
  const words = [...known.values()].filter(({ meanings }) => meanings.some(({ is }) => is !== 'filler')).map(({ words: own }) => own);
  const within = words.filter((one) => distance(one, word.toLowerCase()) <= slip(word));
  const first = within.length ? closest(word.toLowerCase(), within) : undefined;
  const sorted = within.sort((a, b) => Number(b === first) - Number(a === first) || distance(a, word) - distance(b, word));
  return [...new Set(sorted.map((one) => known.get(one)?.shown ?? one))].slice(0, MOST_INSTEAD);
}

/** The construction that is named, else the first that knows every choice in the line; and a choice that it does not know. */
function constructionFor(words: readonly WordToken[]): { readonly kind: (typeof CONSTRUCTIONS)[number] | undefined; readonly wrong: WordToken | undefined } {
  const choices = words.filter(({ phrase }) => phrase.meanings.some(({ is }) => is === 'choice'));
  const named = words.flatMap(({ phrase }) => phrase.meanings.flatMap((one) => (one.is === 'construction' ? [one.kind] : [])));
  const knows = (kind: (typeof CONSTRUCTIONS)[number], { phrase }: WordToken): boolean =>
    phrase.words in kind.choiceWords || phrase.meanings.some(({ is }) => is !== 'choice');
  const kind = named.length
    ? CONSTRUCTIONS.find((one) => one.kind === named.at(-1))
    : (CONSTRUCTIONS.find((one) => choices.every((choice) => knows(one, choice))) ?? CONSTRUCTIONS[0]);
  return { kind, wrong: kind && choices.find((choice) => !knows(kind, choice)) };
}

/** What of the shop is named; or the second of two of a kind. */
function namedIn(words: readonly WordToken[]): Record<Named, string | null> | WordToken {
  const found: Record<Named, string | null> = { grade: null, cloth: null, school: null };
  const isNamed = (one: Meaning): one is Extract<Meaning, { is: Named }> => one.is in found;
  for (const word of words)
    for (const { is, id } of word.phrase.meanings.filter(isNamed)) {
      if (found[is] !== null && found[is] !== id) return word;
      found[is] = id;
    }
  return found;
}

/**
 * Reads a cushion as it would be scribbled on card, its words in any order: `6 x 19 3/4 x 17 x 3 boxed welt` (count, width, depth, height), `T 24x22`, `22 dia drum`, `2 off 500 x 430 x 75 mm Heron 40`.
 * Numbers without a unit are in `units`. What the line does not say of the construction is the shop's usual way; what it does not say of the height is as `like` has it.
 */
export function readQuickLine(text: string, units: UnitSystem, shop: QuickShop = {}, like: QuickLike = {}): QuickReading {
  const known = vocabularyOf(shop);
  const tokens = tokensOf(text, known);
  const whole = { from: 0, to: text.length };
  const unknown = tokens.find(({ is }) => is === 'unknown');
  if (unknown) return problem('word-unknown', unknown.text, unknown, near(unknown.text, known));
  const words = tokens.filter((one) => one.is === 'word');
  const shapes = words.flatMap(({ phrase }) => phrase.meanings.flatMap((one) => (one.is === 'shape' ? [one.shape] : [])));
  const { kind, wrong } = constructionFor(words);
  if (wrong) {
    const others = CONSTRUCTIONS.filter(({ choiceWords }) => wrong.phrase.words in choiceWords).map(({ words: own }) => own[0] ?? '');
    return problem('choice-of-another', wrong.text, wrong, others);
  }
  const named = namedIn(words);
  if ('is' in named) return problem('said-twice', named.text, named);

  const round =
    shapes.length === 0 && tokens.some((one) => one.is === 'word' && one.phrase.meanings.some((each) => each.is === 'axis' && each.axis === 'diameter'));
  const shape = SHAPES.find((one) => one.shape === (round ? 'round' : shapes.at(-1))) ?? SHAPES[0];
  const square = words.some(({ phrase }) => phrase.words === 'square');
  // One measure across: a round one, and every shape of which the others follow.
  const oneAcross = square || shape?.measures.filter((measure) => !measure.optional).length === 1;
  const mayBeDeep = !square && (shape?.measures.some(({ key, optional }) => key === 'depthMm' && optional) ?? false);
  const tall = kind?.heightWord !== undefined || kind?.kind === 'block';
  const read = measuresOf(tokens, units, { oneAcross, mayBeDeep, tall });
  if (!read.ok) return problem(read.code, read.token?.text ?? text.trim(), read.token ?? whole);
  const { quantity, acrossMm = 0, deepMm = acrossMm, highMm = like.heightMm } = read.value;
  if (read.value.deepMm === undefined && !oneAcross) return problem('no-measures', text.trim(), whole);
  if (highMm === undefined) return problem('no-height', text.trim(), whole);
  let choices: Choices = kind ? usualChoices(kind, shop) : { kind: 'boxed' };
  for (const { phrase } of words) choices = { ...choices, ...kind?.choiceWords[phrase.words] };
  const usual: Template = shape?.like(acrossMm, deepMm) ?? { shape: 'rectangle', widthMm: acrossMm, depthMm: deepMm };
  const template = mayBeDeep && read.value.deepMm !== undefined ? ({ ...usual, depthMm: deepMm } as Template) : usual;
  return {
    ok: true,
    quantity: quantity ?? 1,
    given: kind?.given ?? 'seat',
    template,
    heightMm: highMm,
    heightAssumed: read.value.highMm === undefined,
    construction: constructionSchema.parse(choices),
    ...named,
  };
}

/** A line of several, with its place among them (from 0) and what was read of it. Empty lines are none. */
export interface ReadLine {
  readonly line: number;
  readonly text: string;
  readonly reading: QuickReading;
}

/** Reads several lines, one cushion each, as from a note. A line that does not say its height is as high as the one before it. */
export function readQuickLines(text: string, units: UnitSystem, shop: QuickShop = {}, like: QuickLike = {}): ReadLine[] {
  let before = like;
  return text.split(/\r\n?|\n/).flatMap((one, line) => {
    if (!one.trim()) return [];
    const reading = readQuickLine(one, units, shop, before);
    if (reading.ok) before = { heightMm: reading.heightMm };
    return [{ line, text: one, reading }];
  });
}

/** What to say when a line could not be read. */
export function sayQuickProblem({ code, about, would }: Pick<Problem, 'code' | 'about' | 'would'>): string {
  const or = would.length > 1 ? `${would.slice(0, -1).join(', ')} or ${would.at(-1) ?? ''}` : (would[0] ?? '');
  switch (code) {
    case 'no-measures':
      return 'Write how many, then wide × deep × high: 6 x 19 3/4 x 17 x 3 boxed welt';
    case 'no-height':
      return 'The height is missing: a third measure, or 4 high';
    case 'measure-unreadable':
      return `“${about}” is not a measure, or one too many`;
    case 'quantity-unclear':
      return `“${about}” is not a number of cushions from 1 to ${MOST_QUICK}`;
    case 'word-unknown':
      return `“${about}” is not known here${or ? `; ${or} would be` : ''}`;
    case 'choice-of-another':
      return `“${about}” does not go with this construction; it goes with ${or}`;
    case 'said-twice':
      return `“${about}” is the second of its kind in this line: a cushion has one foam, one cloth and one school`;
  }
}
