import type { Choices } from '../cover/contract';
import { CONSTRUCTIONS, constructionSchema, type Construction } from '../cover/list';
import { usualChoices } from '../cover/usual';
import type { GivenSize } from '../piece/sizes';
import type { ShopDocument } from '../shop/shop';
import { SHAPES, type Template } from '../template/shapes/shapes';
import { parseLength } from '../units/parse';
import type { UnitSystem } from '../units/length';

export type QuickProblem = 'no-measures' | 'measure-unreadable' | 'words-unknown' | 'quantity-unclear';

/** A cushion understood from one line, or what stood in the way (and the words it was about). */
export type QuickReading =
  | {
      readonly ok: true;
      readonly quantity: number;
      /** Which size the measures are: what is usually measured for the construction. */
      readonly given: GivenSize;
      readonly template: Template;
      readonly heightMm: number;
      readonly construction: Construction;
    }
  | { readonly ok: false; readonly code: QuickProblem; readonly about: string };

/** A word among the measures that is no unit. */
const UNKNOWN_WORD = /(?!(?:mm|cm|in|inch|inches|ft|yd)\b)[a-z][a-z-]+/;

const GLUE_WORDS = new Set(['with', 'and', 'edge', 'seat', 'cushion', 'cushions']);
const MOST_PIECES = 500;

const no = (code: QuickProblem, about: string): QuickReading => ({ ok: false, code, about });

/** Every word that a construction, a choice of one or a shape goes by. */
const KNOWN = new Set([...CONSTRUCTIONS.flatMap(({ words, choiceWords }) => [...words, ...Object.keys(choiceWords)]), ...SHAPES.flatMap(({ words }) => words)]);

/** The words of a line: one with hyphens whole where it is known so, and two that are known with a hyphen between them as one. */
function wordsOf(text: string): string[] {
  const single = text
    .toLowerCase()
    .split(/[\s,]+/)
    .flatMap((word) => (KNOWN.has(word) ? [word] : word.split('-')))
    .filter(Boolean);
  return single.flatMap((word, i) => {
    const before = single[i - 1];
    if (before !== undefined && KNOWN.has(`${before}-${word}`)) return [];
    const joined = `${word}-${single[i + 1] ?? ''}`;
    return [KNOWN.has(joined) ? joined : word];
  });
}

/** `t-cushion` is a T: the word for what all of them are says nothing more. */
const withoutCushion = (text: string): string => text.replace(/-(?:cushions?|shaped?)\b/gi, ' ');

/** Splits the line at its last measure: unit words stay with the number before them. */
function splitMeasures(text: string): { readonly measures: string; readonly words: string[] } {
  const match = /^([\s\S]*[\d"'½¼¾⅛⅜⅝⅞](?:\s*(?:mm|cm|m|in|inch|inches|ft|yd)\b)?)\s*([a-z,\s-]*)$/i.exec(text.trim());
  return { measures: match?.[1] ?? '', words: wordsOf(match?.[2] ?? '') };
}

/**
 * Reads a cushion as it would be scribbled on card: `6 x 19 3/4 x 17 x 3 boxed welt` (count, width, depth, height), `19 3/4 x 17 x 3`, `2 x 500 mm x 450 mm x 75 mm`.
 * Four measures begin with the count; three are for one piece. A shape's word may come first (`2 x round 460 x 90`); a round shape has one measure less.
 * Numbers without a unit are in `units`. What the line does not say of the construction is the shop's usual way.
 */
export function readQuickLine(text: string, units: UnitSystem, shop: Pick<ShopDocument, 'usual'> = {}): QuickReading {
  const { measures, words } = splitMeasures(withoutCushion(text));
  const shapeWords = new Set<string>(SHAPES.flatMap((shape) => shape.words));
  const parts = withoutCushion(measures)
    .toLowerCase()
    .split(/\s*[x×*]\s*/)
    .map((part) => part.replace(/[a-z-]+/g, (word) => (shapeWords.has(word) ? ' ' : word)).trim())
    .filter(Boolean);
  const spoken = new Set(
    withoutCushion(text)
      .toLowerCase()
      .split(/[^a-z-]+/),
  );
  const shape = SHAPES.find((one) => one.words.some((word) => spoken.has(word))) ?? SHAPES[0];
  // A round one has one measure across, and its height; every other its width, its depth and its height.
  const wanted = shape?.measures.filter((measure) => !measure.optional).length === 1 ? 2 : 3;
  if (parts.length < wanted) return no('no-measures', text.trim());
  if (parts.length > wanted + 1) return no('measure-unreadable', parts.slice(wanted + 1).join(' × '));

  const count = parts.length === wanted + 1 ? (parts[0] ?? '') : '1';
  const quantity = Number(count);
  if (!/^\d+$/.test(count) || quantity < 1 || quantity > MOST_PIECES) return no('quantity-unclear', count);
  const lengths: number[] = [];
  for (const part of parts.slice(-wanted)) {
    const reading = parseLength(part, units);
    if (!reading.ok || reading.mm <= 0) {
      const word = UNKNOWN_WORD.exec(part)?.[0];
      return word ? no('words-unknown', word) : no('measure-unreadable', part);
    }
    lengths.push(reading.mm);
  }

  const kind = CONSTRUCTIONS.find((module) => words.some((word) => module.words.includes(word))) ?? CONSTRUCTIONS[0];
  let choices: Choices = kind ? usualChoices(kind, shop) : { kind: 'boxed' };
  for (const word of words) {
    const choice = kind?.choiceWords[word];
    if (choice) choices = { ...choices, ...choice };
    else if (!kind?.words.includes(word) && !GLUE_WORDS.has(word) && !shapeWords.has(word)) return no('words-unknown', word);
  }
  const construction = constructionSchema.parse(choices);
  const [acrossMm = 0, deepMm = acrossMm] = lengths.slice(0, -1);
  const template: Template = shape?.like(acrossMm, deepMm) ?? { shape: 'rectangle', widthMm: acrossMm, depthMm: deepMm };
  return { ok: true, quantity, given: kind?.given ?? 'seat', template, heightMm: lengths.at(-1) ?? 0, construction };
}

/** What to say when a line could not be read. */
export function sayQuickProblem(code: QuickProblem, about: string): string {
  switch (code) {
    case 'no-measures':
      return 'Write how many, then wide × deep × high: 6 x 19 3/4 x 17 x 3 boxed welt';
    case 'measure-unreadable':
      return `“${about}” is not a measure`;
    case 'quantity-unclear':
      return `“${about}” is not a number of cushions from 1 to ${MOST_PIECES}`;
    case 'words-unknown':
      return `“${about}” is not a shape, construction or edge known here`;
  }
}
