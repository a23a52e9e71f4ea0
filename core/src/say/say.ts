import type { Issue } from '../kernel/issue';
import { formatPressureUnit, formatTensionUnit } from '../units/force';
import { formatLengthUnit, formatNumber } from '../units/format';
import type { Pair, UnitSystem } from '../units/length';
import { COVER_SENTENCES } from './cover';
import { FILES_SENTENCES } from './files';
import { FILLING_SENTENCES } from './filling';
import { FIT_SENTENCES } from './fit';
import { LAY_SENTENCES } from './lay';
import { OLD_SENTENCES } from './old';
import type { Sentences, Speak } from '../kernel/sentences';
import { SCHEDULE_SENTENCES } from './schedule';
import { SHOP_SENTENCES } from './shop';
import { SIZES_SENTENCES } from './sizes';
import { TEMPLATE_SENTENCES } from './template';

/** The units that lengths are printed in, and what they are rounded to. */
export interface SayIn {
  readonly units: UnitSystem;
  readonly step: Pair;
}

/** A problem in plain words: what is wrong, and what to do about it. */
export interface Said {
  readonly what: string;
  readonly mend: string;
}

/** The sentences of every problem that is not a construction's own. */
export const SENTENCES: Sentences = {
  ...TEMPLATE_SENTENCES,
  ...FILES_SENTENCES,
  ...SIZES_SENTENCES,
  ...FIT_SENTENCES,
  ...COVER_SENTENCES,
  ...FILLING_SENTENCES,
  ...OLD_SENTENCES,
  ...LAY_SENTENCES,
  ...SHOP_SENTENCES,
  ...SCHEDULE_SENTENCES,
};

/** A document's own problems carry the code that its schema gave them. */
const DOCUMENT_SENTENCE: Speak = (n) => [`The document is not as it should be: ${n('detail')}.`, 'Correct the document and read it again.'];

/** The problem in words by a table of sentences, lengths in the job's units at the shop's step. A code without a sentence speaks by its name rather than not at all. */
export function sayBy(sentences: Sentences, { code, data }: Issue, { units, step }: SayIn): Said {
  const value = (key: string): number => Number(key === 'differenceAbsMm' ? Math.abs(Number(data['differenceMm'])) : data[key]);
  const mm = (key: string): string => formatLengthUnit(value(key), units, step);
  const n = (key: string): string => (typeof data[key] === 'number' ? formatNumber(value(key)) : String(data[key] ?? ''));
  const speak = sentences[code] ?? (code.startsWith('document-') ? DOCUMENT_SENTENCE : undefined);
  const pressure = (key: string): string => formatPressureUnit(value(key), units);
  const tension = (key: string): string => formatTensionUnit(value(key), units);
  const [what, mend] = speak ? speak(n, mm, { pressure, tension }) : [code.replaceAll('-', ' '), ''];
  return { what, mend };
}
