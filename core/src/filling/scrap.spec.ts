import type { Grade, Remnant } from '../material/material';
import { shipped } from '../shop/assumptions';
import { demoShop } from '../testing/samples';
import { choose } from './choose';
import type { ChooseRequest } from './choose-request';
import { boughtShare, stackCost, stacksFromThere } from './scrap';

const grade = (id: string, hardness25N: number, thicknessesMm: number[], over: Partial<Grade> = {}): Grade => ({
  id,
  name: id,
  family: 'conventional',
  densityKgM3: 38,
  hardness25N,
  supportFactor: 2.2,
  sheet: { widthMm: 1000, lengthMm: 2000 },
  thicknessesMm,
  pricePerM3: 300,
  ...over,
});
const FIRM = grade('firm', 180, [50, 75]);
const SOFT = grade('soft', 110, [25, 30]);
const end = (id: string, one: Grade, thicknessMm: number, widthMm: number, lengthMm: number): Remnant => ({
  id,
  grade: one.id,
  thicknessMm,
  widthMm,
  lengthMm,
});
const CORE = { widthMm: 500, depthMm: 450, quantity: 1 };
const words = (stacks: ReturnType<typeof stacksFromThere>): string[] =>
  stacks.map((layers) => layers.map(({ stock, thicknessMm, remnants }) => `${stock.id} ${thicknessMm}${remnants.length ? '' : ' new'}`).join(' over '));

describe('a core out of what is there', () => {
  it('is glued up of remnants that make up the height, soft over firm, each for as many layers as it gives', () => {
    // 6 + 6 firm under 3 + 3 soft: the firm end gives two layers of 60, the soft one two of 30.
    const ends = [end('a', FIRM, 60, 500, 900), end('b', SOFT, 30, 1000, 460)];
    const stacks = stacksFromThere(ends, [FIRM, SOFT], CORE, 180);
    expect(words(stacks)).toContain('soft 30 over soft 30 over firm 60 over firm 60');
    // A third layer of 60 is not there.
    expect(words(stacks).some((stack) => stack.split('firm 60').length > 3)).toBeFalse();
    // For two cushions each end gives one layer a core.
    expect(words(stacksFromThere(ends, [FIRM, SOFT], { ...CORE, quantity: 2 }, 180))).toEqual([]);
    expect(words(stacksFromThere(ends, [FIRM, SOFT], { ...CORE, quantity: 2 }, 90))).toContain('soft 30 over firm 60');
  });

  it('takes several ends of one foam and thickness together: one old core for each of two cushions', () => {
    const cores = [end('old-1', FIRM, 75, 500, 450), end('old-2', FIRM, 75, 500, 450)];
    const [stack, ...rest] = stacksFromThere(cores, [FIRM], { ...CORE, quantity: 2 }, 75);
    expect([stack!.map(({ remnants }) => remnants), rest.length]).toEqual([[['old-1', 'old-2']], 0]);
    expect(stacksFromThere(cores, [FIRM], { ...CORE, quantity: 3 }, 75)).toEqual([]);
  });

  it('may take one new sheet for what is missing, and says how much of it is bought', () => {
    const ends = [end('a', FIRM, 75, 500, 450)];
    const stacks = stacksFromThere(ends, [FIRM, SOFT], CORE, 100);
    expect(words(stacks)).toEqual(['soft 25 new over firm 75']);
    expect(boughtShare(stacks[0]!)).toBeCloseTo(0.25, 9);
    // 0.5 × 0.45 × 0.025 m³ at 300; one joint: 20 minutes at 45 an hour, 0.225 m² at 0.25 l and 18 a litre.
    expect(stackCost(stacks[0]!, CORE, shipped).value).toBeCloseTo(0.5 * 0.45 * 0.025 * 300 + 15 + 0.225 * 0.25 * 18, 9);
  });

  it('takes a remnant that lies across, and none that is too small, of another outline, or of no foam in the catalogue', () => {
    const lies = (one: Remnant): number => stacksFromThere([one], [FIRM], CORE, 75).length;
    expect(lies(end('across', FIRM, 75, 450, 500))).toBe(1);
    expect(lies(end('small', FIRM, 75, 449, 500))).toBe(0);
    expect(
      lies({
        ...end('shaped', FIRM, 75, 600, 600),
        outline: [
          [0, 0],
          [600, 0],
          [0, 600],
        ],
      }),
    ).toBe(0);
    expect(lies(end('unknown', SOFT, 75, 600, 600))).toBe(0);
  });

  it('is ranked by what need not be bought, never where the sitter bottoms out', () => {
    const request: ChooseRequest = {
      format: 'yardland/choose@1',
      sitters: [{ massKg: 95, posture: 'upright' }],
      feel: 'medium',
      part: 'seat',
      use: 'regular',
      place: 'indoor',
      support: 'webbing',
      heightMm: 100,
      core: CORE,
    };
    const feeble = grade('feeble', 40, [25]);
    const remnants = [end('a', FIRM, 75, 500, 450), end('b', SOFT, 25, 500, 450), end('c', feeble, 100, 500, 450)];
    const { there } = choose(request, { grades: [FIRM, SOFT, feeble], fillings: [], remnants }, shipped);
    expect(there[0]!.remnants).toEqual([['b'], ['a']]);
    expect(there.map((one) => one.boughtShare)).toEqual([...there.map((one) => one.boughtShare)].sort((a, b) => a - b));
    expect(there.some(({ remnants: from }) => from.length === 1 && from[0]!.includes('c'))).toBeFalse();
    expect(choose({ ...request, core: undefined }, { ...demoShop().document, remnants }, shipped).there).toEqual([]);
  });
});
