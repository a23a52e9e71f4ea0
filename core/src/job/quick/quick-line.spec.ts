import * as fc from 'fast-check';
import type { ShopDocument } from '../../shop/shop';
import { demoShop } from '../../testing/samples';
import { readQuickLine, readQuickLines, sayQuickProblem, type QuickReading } from './quick-line';
import { suggestQuick } from './suggest';

const INCH = 25.4;
const shop = demoShop().document;
/** What was understood, short: count, shape with its measures, height, construction. */
function short(reading: QuickReading): string {
  if (!reading.ok) return `${reading.code}: ${reading.about}`;
  const { shape, ...measures } = reading.template as { shape: string };
  const { kind, ...choices } = reading.construction;
  const numbers = Object.values(measures)
    .filter((one) => typeof one === 'number')
    .map((one) => Math.round(Number(one)));
  return [reading.quantity, shape, numbers.join('x'), Math.round(reading.heightMm * 10) / 10, kind, ...Object.values(choices)].join(' ');
}
const mm = (line: string, heightMm?: number): string => short(readQuickLine(line, 'metric', shop, heightMm === undefined ? {} : { heightMm }));
const inch = (line: string): string => short(readQuickLine(line, 'inch', {}));

describe('the quick line', () => {
  it('takes a whole cushion as scribbled on card', () => {
    expect(readQuickLine('6 x 19 3/4 x 17 x 3 boxed welt', 'inch')).toEqual({
      ok: true,
      quantity: 6,
      given: 'seat',
      template: { shape: 'rectangle', widthMm: 19.75 * INCH, depthMm: 17 * INCH },
      heightMm: 3 * INCH,
      heightAssumed: false,
      construction: { kind: 'boxed', edge: 'welt' },
      grade: null,
      cloth: null,
      school: null,
    });
    expect(mm('500 × 450 × 75')).toBe('1 rectangle 500x450 75 boxed plain');
    expect(mm('2 x rectangle 500 x 450 x 75 boxed')).toBe('2 rectangle 500x450 75 boxed plain');
    expect(mm('2 x 19 3/4" x 432 mm x 7,5 cm plain')).toBe('2 rectangle 502x432 75 boxed plain');
  });

  it('knows shapes by their usual words, wherever they stand, and a round one has one measure across', () => {
    const lines = {
      '2 x round 460 x 90': '2 round 460 90 boxed plain',
      '22 dia x 90': '1 round 22 90 boxed plain',
      '460 dia 90 thick': '1 round 460 90 boxed plain',
      'Ø460 x 90': '1 round 460 90 boxed plain',
      '600 x 400 x 75 oval welt': '1 oval 600x400 75 boxed welt',
      '4 x half-round 420 x 50': '4 half-round 420 50 boxed plain',
      'half round, 420 x 50, 4 off': '4 half-round 420 50 boxed plain',
      'half round 420 x 190 x 50': '1 half-round 420x190 50 boxed plain',
      '2 x round 380 x 60 drum': '2 round 380 60 drum',
      'round 180 x 600 bolster welted': '1 round 180 600 bolster welt',
      'square 450 x 75': '1 rectangle 450x450 75 boxed plain',
      '4 x 450 x 450 x 120 knife edge envelope': '4 rectangle 450x450 120 knife-edge envelope',
      '4 x 450 x 450 x 120 envelope': '4 rectangle 450x450 120 knife-edge envelope',
    };
    for (const [line, understood] of Object.entries(lines)) expect(mm(line)).withContext(line).toBe(understood);
    for (const line of [
      'T-cushion 24 x 22 x 4',
      't 24x22x4',
      '24 x 22 x 4 t-cushion boxed',
      'boxed T 24 22 4',
      '24x22 T, 4 thick',
      '24" x 22" x 4" T',
      '24x22x4 in T',
    ])
      expect(inch(line))
        .withContext(line)
        .toMatch(/^1 t 610x559x.* 101.6 boxed plain$/);
    expect(inch('round back 20 x 18 x 3')).toMatch(/^1 round-back 508x457.* 76.2 /);
  });

  it('takes measures as they are written: fractions with or without hyphens, feet, cm, marks of inches, a unit said once for all', () => {
    for (const line of ['19-3/4 x 17 x 3', '19 3/4 x 17 x 3', '19¾x17x3', '19.75 x 17 x 3', '19 3/4″ x 17″ x 3″', "1' 7 3/4 x 1' 5 x 3"])
      expect(inch(line)).withContext(line).toBe('1 rectangle 502x432 76.2 boxed plain');
    expect(mm('50 x 43 x 7.5 cm')).toBe('1 rectangle 500x430 75 boxed plain');
    expect(mm('50x43x7,5cm x')).toBe('1 rectangle 500x430 75 boxed plain');
    expect(mm('24 x 22 x 4 in')).toBe('1 rectangle 610x559 101.6 boxed plain');
    // Said of the height alone, for 500 inches make no cushion.
    expect(mm('500 x 430 x 3"')).toBe('1 rectangle 500x430 76.2 boxed plain');
    expect(mm('75 high, 430 deep, 500 wide')).toBe('1 rectangle 500x430 75 boxed plain');
    // A depth that is the smallest of three is how thick it is.
    expect(mm('500 x 430, 75 deep')).toBe('1 rectangle 500x430 75 boxed plain');
    expect(mm('1 196 x 500 x 75')).toBe('1 rectangle 1196x500 75 boxed plain');
  });

  it('tells a count from a width, and a height that is not said is that of the cushion in hand', () => {
    expect(mm('6 500 x 430 x 75')).toBe('6 rectangle 500x430 75 boxed plain');
    expect(mm('6 off 500 x 430 x 75')).toBe('6 rectangle 500x430 75 boxed plain');
    expect(mm('500 x 430 x 75 4 pcs')).toBe('4 rectangle 500x430 75 boxed plain');
    expect(mm('6 piped 500x430x75')).toBe('6 rectangle 500x430 75 boxed welt');
    expect(mm('6 x 500 x 430', 90)).toBe('6 rectangle 500x430 90 boxed plain');
    expect(mm('T 600x560', 90)).toMatch(/^1 t 600x560x.* 90 boxed plain$/);
    expect(readQuickLine('T 600x560', 'metric', {}, { heightMm: 90 })).toEqual(jasmine.objectContaining({ heightAssumed: true }));
    expect(mm('T 600x560')).toBe('no-height: T 600x560');
    expect(mm('1.5 x 500 x 430 x 75')).toBe('quantity-unclear: 1.5');
    expect(mm('900 off 500 x 430 x 75')).toBe('quantity-unclear: 900');
  });

  it('names what the shop has: foam, cloth and school, by as many words as tell it apart', () => {
    const read = readQuickLine('2 x 500 x 430 x 75 heron 40 foam, russet wool, packed ends, hand-closed', 'metric', shop);
    expect(read).toEqual(jasmine.objectContaining({ ok: true, quantity: 2, grade: 'heron-40', cloth: 'russet-wool', school: 'packed-ends' }));
    expect(read.ok && read.construction).toEqual(jasmine.objectContaining({ kind: 'boxed', closing: 'hand' }));
    expect(readQuickLine('500 x 430 x 75 siskin 65 in indigo', 'metric', shop)).toEqual(
      jasmine.objectContaining({ grade: 'siskin-65', cloth: 'indigo-twill' }),
    );
    // Two foams are called Wren 25 and Wren 28: their first word alone is neither.
    expect(mm('500 x 430 x 75 wren')).toBe('word-unknown: wren');
    expect(mm('500 x 430 x 75 heron 40 heron 50')).toBe('said-twice: heron 50');
  });

  it('takes what it does not say from how the shop usually makes it, and passes over what no construction knows', () => {
    const made = (text: string, usual: ShopDocument['usual']) => {
      const reading = readQuickLine(text, 'metric', { usual });
      return reading.ok ? reading.construction : reading.code;
    };
    const ours = { boxed: { edge: 'welt', cordMm: 6 }, 'rolled-edge': { tufts: 'diamond', tuftWith: 'button', knotted: 'third' } };
    expect(made('500 x 450 x 75', ours)).toEqual({ kind: 'boxed', edge: 'welt', cordMm: 6 });
    expect(made('500 x 450 x 75 boxed plain', ours)).toEqual({ kind: 'boxed', edge: 'plain', cordMm: 6 });
    expect(made('900 x 450 x 100 mattress', ours)).toEqual(
      jasmine.objectContaining({ kind: 'rolled-edge', tufts: 'diamond', tuftWith: 'button', knotted: 'third' }),
    );
    expect(made('500 x 450 x 75', { boxed: { edge: 'feathered' } })).toEqual({ kind: 'boxed', edge: 'plain' });
  });

  it('says what it did not understand, where it stands, and what would be', () => {
    const line = '6 x 500 x 430 x 75 weltd';
    const wrong = readQuickLine(line, 'metric');
    expect(wrong.ok || [wrong.code, line.slice(wrong.from, wrong.to), wrong.would]).toEqual(['word-unknown', 'weltd', ['welt', 'welted']]);
    expect(!wrong.ok && sayQuickProblem(wrong)).toMatch(/^“weltd” is not known here; welt or welted would be/);
    const pouffe = readQuickLine('pouffe 24 x 22 x 4', 'inch');
    expect(pouffe).toEqual(jasmine.objectContaining({ ok: false, code: 'word-unknown', about: 'pouffe', from: 0, to: 6 }));
    const other = readQuickLine('500 x 450 x 75 boxed envelope', 'metric');
    expect(other.ok || [other.code, other.from, other.to, other.would]).toEqual(['choice-of-another', 21, 29, ['knife-edge', 'channelled']]);
    expect(inch('boxed')).toBe('no-measures: boxed');
    expect(inch('6 x 19/0 x 17 x 3')).toBe('measure-unreadable: 19/0');
    expect(mm('500 x 430 x 75 x 20 x 10')).toBe('measure-unreadable: 10');
    fc.assert(
      fc.property(fc.string(), (text) => {
        const read = readQuickLine(text, 'metric', shop);
        if (!read.ok) expect(read.from >= 0 && read.to <= text.length && sayQuickProblem(read) !== '').toBeTrue();
      }),
      { seed: 73 },
    );
  });

  it('reads a note of several lines, one cushion each; a line without a height has that of the one before', () => {
    const read = readQuickLines('6 x 500 x 430 x 75 welt\n\nT 600x560\r\nround 460 x 90 quiltd', 'metric');
    expect(read.map(({ line }) => line)).toEqual([0, 2, 3]);
    expect(read.map(({ reading }) => (reading.ok ? `${reading.template.shape} ${reading.heightMm}` : reading.about))).toEqual([
      'rectangle 75',
      't 75',
      'quiltd',
    ]);
  });
});

describe('suggestions as one writes', () => {
  const offered = (line: string): readonly string[] => suggestQuick(line, line.length, shop).words;

  it('go on from the word before the caret, of two words too', () => {
    expect(offered('2 x half')).toContain('half round');
    expect(offered('500 x 430 x 75 he')).toContain('Heron 40');
    expect(offered('500 x 430 x 75 boxed hook a')).toEqual(['hook and loop']);
    expect(offered('6 x 500')).toEqual([]);
    const line = '2 x kni';
    const { from, to, words } = suggestQuick(line, line.length, shop);
    expect(`${line.slice(0, from)}${words[0]!}${line.slice(to)}`).toBe('2 x knife');
  });

  it('offer choices only of the construction that is named', () => {
    expect(offered('boxed 500 x 430 x 75 env')).toEqual([]);
    expect(offered('scatter 450 x 450 x 120 env')).toEqual(['envelope']);
  });
});
