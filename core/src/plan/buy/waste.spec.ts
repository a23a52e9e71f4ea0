import { openShop } from '../../shop/shop';
import { demoShop, sampleCushion, sampleJob } from '../../testing/samples';
import { planSolved } from '../solve';
import { wasteOf } from './waste';

const demo = demoShop();
/** A cloth of 1400 at 20 a metre, one thick; a foam of 40 kg/m³ at 300 a m³ in sheets of 1 × 2 m. */
const shop = openShop({
  ...demo.document,
  grades: demo.document.grades.map((grade) =>
    grade.id === 'wren-28'
      ? { ...grade, densityKgM3: 40, pricePerM3: 300, pricedOn: '2026-11-02', sheet: { widthMm: 1000, lengthMm: 2000 }, thicknessesMm: [75], lots: [] }
      : grade,
  ),
});
const job = (over = {}) =>
  sampleJob([sampleCushion({ given: 'finished', construction: { kind: 'boxed', edge: 'plain' }, wrapLoftMm: 0, quantity: 2 })], {
    cloth: { widthMm: 1400 },
    ...over,
  });

describe('waste', () => {
  it('of a sheet is what no core is cut from and no end worth keeping holds: by weight and money', () => {
    const plan = planSolved(job(), shop);
    const [row] = wasteOf(plan).filter(({ name }) => name === plan.shop.grade('wren-28')?.name);
    const core = plan.cushions[0]!.sizes!.core;
    const cores = (2 * core.width.value * core.depth.value) / 1e6;
    expect(row!.boughtM2).toBeCloseTo(2, 9);
    expect(row!.usedM2).toBeCloseTo(cores, 6);
    // Two cores of at most 600 × 500 lie in less than half the sheet: the rest of its length is kept, 1 m wide.
    expect(row!.keptM2).toBeGreaterThan(1);
    const waste = 2 - cores - row!.keptM2;
    expect(row!.wasteM2).toBeCloseTo(waste, 9);
    // 75 mm of 40 kg/m³: 3 kg a m²; of 300 a m³: 22.50 a m².
    expect(row!.wasteKg).toBeCloseTo(3 * waste, 9);
    expect(row!.money).toBeCloseTo(22.5 * waste, 9);
    expect(row!.pricedOn).toBe('2026-11-02');
  });

  it('of cloth counts its selvedges; what the customer brings costs the shop nothing, and weighs', () => {
    const bought = wasteOf(planSolved(job({ cloth: { widthMm: 1400, material: demo.document.cloths[0]!.id } }), shop))[0]!;
    expect(bought.money).toBeGreaterThan(0);
    expect(bought.boughtM2 % 0.14).toBeCloseTo(0, 6);
    expect(bought.wasteM2 + bought.usedM2 + bought.keptM2).toBeCloseTo(bought.boughtM2, 9);
    const own = wasteOf(planSolved(job({ cloth: { widthMm: 1400, ownLengthMm: 3000 } }), shop))[0]!;
    expect([own.boughtM2, own.money]).toEqual([jasmine.anything(), null]);
    expect(own.boughtM2).toBeCloseTo(4.2, 9);
    expect(own.wasteKg).toBeGreaterThan(0);
  });
});
