import { readWith } from '../kernel/read';
import { ASSUMPTIONS } from '../shop/assumptions';
import { openShop } from '../shop/shop';
import { demoShop } from '../testing/samples';
import { constantWords } from './constant-words';
import { allConstants, calibratedShopSchema, OWN_CONSTANTS } from './own-constants';

describe('constants of constructions', () => {
  const { document } = demoShop();

  it('have keys that no other constant has, a meaning and a source', () => {
    const keys = [ASSUMPTIONS, ...Object.values(OWN_CONSTANTS)].flatMap((rows) => Object.keys(rows));
    expect(new Set(keys).size).toBe(keys.length);
    expect(Object.keys(allConstants()).sort()).toEqual(keys.sort());
    for (const key of keys) {
      const { meaning, source } = constantWords(key);
      expect(meaning)
        .withContext(key)
        .toMatch(/\w+ \w+/);
      expect(source).withContext(key).toMatch(/\w{3}/);
    }
  });

  it('are as shipped for the job’s units, unless the shop has its own', () => {
    const board = (calibration: Record<string, number>) => {
      const { assume } = openShop({ ...document, calibration });
      return [assume(OWN_CONSTANTS.drum.boardMm, 'metric'), Number(assume(OWN_CONSTANTS.drum.boardMm, 'inch').toFixed(6))];
    };
    expect(board({})).toEqual([18, 19.05]);
    expect(board({ boardMm: 22 })).toEqual([22, 22]);
  });

  it('are read from a shop’s file; one that does not exist is refused where it stands', () => {
    const read = (calibration: Record<string, unknown>) => readWith(calibratedShopSchema, { ...document, calibration });
    expect(read({ boardMm: 22, sheetTrimMm: 4 }).ok).toBeTrue();
    // Of a law that is gone.
    expect(read({ springRate: 3 })).toEqual(jasmine.objectContaining({ ok: true, value: jasmine.objectContaining({ calibration: {} }) }));
    const wrong = read({ boardMM: 22 });
    expect(wrong.ok ? [] : wrong.problems.map(({ path }) => path)).toEqual(['calibration.boardMM']);
    // A name that every object has is no constant either.
    expect(read({ toString: 1 }).ok).toBeFalse();
  });
});
