import { openShop } from '../../shop/shop';
import { demoShop } from '../../testing/samples';
import { easedSchool, inForce, withConstant, withEasedSchool, withTakenBack } from './take';

const shop = demoShop().document;
const offered = { key: 'waddingLoftShare' as const, shipped: 1, used: 1, fitted: 0.84139, plusMinus: 0.01, checks: 24, offered: true, why: '' };
const [first, second] = ['0d2f6d3a-3b7e-4c39-9a58-5f2f6c2d7e11', '6a1c0c5e-93c5-4a55-8d1f-7a0f6d1f2b20'] as const;

describe('what checks teach, taken and taken back', () => {
  it('is used at once, noted with its day and its checks, and given up to what was before', () => {
    const taken = withConstant(shop, offered, 'Loft', { id: first, day: '2026-11-02' });
    expect(openShop(taken).assume('waddingLoftShare', 'metric')).toBe(0.841);
    expect(inForce(taken)).toEqual([
      { id: first, day: '2026-11-02', what: 'constant', key: 'waddingLoftShare', name: 'Loft', from: null, to: 0.841, checks: 24 },
    ]);
    const again = withConstant(taken, { ...offered, fitted: 0.8 }, 'Loft', { id: second, day: '2026-12-02' });
    expect(inForce(again).map(({ id }) => id)).toEqual([second]);
    const back = withTakenBack(again, second, '2026-12-03');
    expect(openShop(back).assume('waddingLoftShare', 'metric')).toBe(0.841);
    expect(back.learnt!.map(({ takenBack }) => takenBack)).toEqual([undefined, '2026-12-03']);
    const all = withTakenBack(back, first, '2026-12-03');
    expect([all.calibration, inForce(all)]).toEqual([shop.calibration, []]);
    // A second press changes nothing.
    expect(withTakenBack(all, first, '2026-12-04')).toBe(all);
  });

  it('is not in force once somebody has set another value', () => {
    const taken = withConstant(shop, offered, 'Loft', { id: first, day: '2026-11-02' });
    expect(inForce({ ...taken, calibration: { waddingLoftShare: 0.9 } })).toEqual([]);
  });

  it('of a school is a copy whose boxing has that much more ease; the school itself stays', () => {
    const school = openShop(shop).school('measured-over-the-wrap')!;
    const eased = easedSchool(school, -3.2, 'x');
    expect([eased.boxing.ease.mm - school.boxing.ease.mm, eased.edition]).toEqual([-3, undefined]);
    const taken = withEasedSchool(shop, { school: school.id, meanMm: 4, plusMinusMm: 1, checks: 7, offered: true }, 'x', { id: first, day: '2026-11-02' });
    expect(openShop(taken).school('x')!.boxing.ease.mm - school.boxing.ease.mm).toBe(4);
    expect(openShop(taken).school(school.id)).toEqual(school);
    expect(openShop(withTakenBack(taken, first, '2026-11-03')).school('x')).toBeUndefined();
  });
});
