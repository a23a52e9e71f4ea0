import { readQuickLines, sayQuickProblem, type UnitSystem } from '@yardland/core';
import { inWords, readShop, readText } from '../read';
import { refusal, type Outcome, type Verb } from '../verb';

const wrong = (path: string, message: string): Outcome => refusal([{ code: 'option-wrong', path, message }]);

/** Cushions from lines as they are scribbled on card, a cushion a line. */
export const quickVerb: Verb = {
  name: 'quick',
  usage: 'quick FILE.txt [--units metric|inch] [--high MM] [--shop SHOP.json]',
  does: 'reads cushions from lines as they are scribbled on card, such as 6 x 19 3/4 x 17 x 3 boxed welt; a line without a height is as high as the one before it, the first as high as --high',
  options: ['units', 'high', 'shop'],
  run([file], options) {
    if (file === undefined) return refusal([{ code: 'file-missing', path: '', message: 'Name a file of lines, or - for standard input.' }]);
    const text = readText(file);
    if (!text.ok) return refusal(inWords(text.problems));
    const shop = readShop(options['shop']);
    if (!shop.ok) return refusal(inWords(shop.problems));
    const units = options['units'] ?? 'metric';
    if (units !== 'metric' && units !== 'inch') return wrong('--units', 'Say metric or inch.');
    const high = options['high'] === undefined ? undefined : Number(options['high']);
    if (high !== undefined && !(high > 0)) return wrong('--high', 'Say a height in millimetres.');
    const lines = readQuickLines(text.value, units satisfies UnitSystem, shop.value.document, high === undefined ? {} : { heightMm: high });
    const out = lines.map(({ line, text: said, reading }) => ({
      line: line + 1,
      text: said,
      ...(reading.ok ? reading : { ...reading, message: sayQuickProblem(reading) }),
    }));
    return { code: lines.every(({ reading }) => reading.ok) ? 0 : 1, out: `${JSON.stringify(out, null, 2)}\n` };
  },
};
