import { mergeShops } from './merge-shops';
import { shopSchema, type ShopDocument } from './shop';

const wadding = (id: string, loftMm: number, name = `Wadding ${id}`) => ({ id, name, loftMm, rollWidthMm: 1370, pricePerM: 2 });
const shop = (over: Partial<ShopDocument>): ShopDocument =>
  shopSchema.parse({
    format: 'yardland/shop@1',
    name: 'The Lantern House',
    units: 'metric',
    step: { mm: 1, inch: 0.125 },
    grades: [],
    cloths: [],
    waddings: [],
    calibration: {},
    ...over,
  });

describe('two windows that changed the shop', () => {
  const base = shop({ waddings: [wadding('a', 13), wadding('b', 25), wadding('c', 6)], calibration: { pressPlateCm2: 300 } });

  it('keep what each did: a change, a removal, an addition, another field of the same thing', () => {
    const mine = shop({ ...base, waddings: [wadding('a', 14), wadding('b', 25), wadding('mine', 9)], machine: 'home', usual: { boxed: { edge: 'welt' } } });
    const theirs = shop({
      ...base,
      usual: { drum: { edge: 'plain' } },
      waddings: [wadding('a', 13, 'Soft wadding'), wadding('b', 26), wadding('c', 6), wadding('theirs', 8)],
      name: 'The Lantern',
    });
    const { value, clashes } = mergeShops(base, mine, theirs);
    expect(clashes).toEqual([]);
    expect(value.waddings).toEqual([wadding('a', 14, 'Soft wadding'), wadding('b', 26), wadding('theirs', 8), wadding('mine', 9)]);
    expect([value.name, value.machine, value.units]).toEqual(['The Lantern', 'home', 'metric']);
    expect(value.usual).toEqual({ boxed: { edge: 'welt' }, drum: { edge: 'plain' } });
  });

  it('name what both changed: the other one’s stands', () => {
    const mine = shop({ ...base, waddings: [wadding('a', 14), wadding('b', 25), wadding('c', 6)], calibration: { pressPlateCm2: 310 } });
    const theirs = shop({ ...base, waddings: [wadding('a', 15), wadding('b', 25), wadding('c', 6)], calibration: { pressPlateCm2: 320 } });
    const { value, clashes } = mergeShops(base, mine, theirs);
    expect(clashes).toEqual(['pressPlateCm2', 'Wadding a']);
    expect([value.waddings[0]?.loftMm, value.calibration['pressPlateCm2']]).toEqual([15, 320]);
  });

  it('bring back what one removed and the other changed since, and add a thing of one id once', () => {
    const removed = shop({ ...base, waddings: [wadding('b', 25), wadding('c', 6), wadding('new', 9)] });
    const changed = shop({ ...base, waddings: [wadding('a', 14), wadding('b', 25), wadding('c', 6), wadding('new', 9)] });
    for (const [mine, theirs] of [
      [removed, changed],
      [changed, removed],
    ] as const) {
      const { value, clashes } = mergeShops(base, mine, theirs);
      expect(clashes).toEqual([]);
      expect(value.waddings.map(({ id, loftMm }) => `${id} ${loftMm}`).sort()).toEqual(['a 14', 'b 25', 'c 6', 'new 9']);
    }
  });
});
