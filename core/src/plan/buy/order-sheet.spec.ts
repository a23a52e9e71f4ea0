import Papa from 'papaparse';
import { openShop, type Shop } from '../../shop/shop';
import { demoShop, sampleCushion, sampleJob } from '../../testing/samples';
import { planSolved } from '../solve';
import { orderCsv } from './order-csv';
import { orderSheet } from './order-sheet';
import { priceCaution } from './prices';

/** The demo shop with prices of foam of a day, and none of wadding. */
function pricedOn(day: string): Shop {
  const { document } = demoShop();
  return openShop({
    ...document,
    waddings: document.waddings.map(({ pricedOn: _day, ...roll }) => roll),
    grades: document.grades.map((grade) => ({ ...grade, pricedOn: day })),
  });
}

const job = sampleJob([
  sampleCushion({ name: 'Seat', quantity: 2 }),
  sampleCushion({ name: 'Stool', template: { shape: 'round', diameterMm: 400 }, core: { layers: [{ grade: 'heron-50', thicknessMm: 75 }] } }),
]);

describe('the order of a job’s foam and wadding', () => {
  const made = planSolved(job, pricedOn('2026-08-01'));
  const order = orderSheet(made);

  it('has whole sheets with their size and sum, or each core cut to size with how many and the grade’s numbers', () => {
    // Both seats come out of one sheet of 1.2 × 2.0 × 0.075 m: 0.18 m³ at 290.
    const [wren, heron] = order.sheets;
    expect([wren!.name, wren!.sheets, wren!.widthMm, wren!.lengthMm, wren!.thicknessMm]).toEqual(['Wren 28', 1, 1200, 2000, 75]);
    expect(wren!.cost!.value).toBeCloseTo(52.2, 6);
    // 1.4 × 2.1 × 0.075 m at 610.
    expect(heron!.cost!.value).toBeCloseTo(134.505, 6);
    const [seat, stool] = order.cuts;
    expect([seat!.what, seat!.count, seat!.densityKgM3, seat!.hardness25N, seat!.byOutline]).toEqual(['Seat: foam', 2, 28, 156, false]);
    const { core } = made.cushions[0]!.sizes!;
    expect([seat!.widthMm, seat!.depthMm, seat!.thicknessMm]).toEqual([core.width.value, core.depth.value, 75]);
    expect(seat!.cost!.value).toBeCloseTo(2 * core.width.value * core.depth.value * 75e-9 * 290, 6);
    // A round one goes by its outline.
    expect([stool!.count, stool!.byOutline]).toEqual([1, true]);
    // Two seats of one foam are of one lot; of the stool's there is but one.
    expect(order.oneLot).toEqual(['Wren 28']);
    expect(order.sheets.map(({ lot }) => lot)).toEqual(['W28-1203', null]);
  });

  it('has wadding by the roll, as much as is bought', () => {
    const [roll] = order.wadding;
    const bought = made.buy.find(({ ware }) => ware === 'wadding')!.amount!.value;
    expect([roll!.name, roll!.loftMm, roll!.rollWidthMm, roll!.lengthMm]).toEqual(['Wadding 25', 25, 1400, bought]);
    expect(roll!.cost!.value).toBeCloseTo((bought / 1000) * 5.4, 6);
  });

  it('orders nothing for a core that goes back in', () => {
    const kept = planSolved(sampleJob([sampleCushion({ core: { layers: [{ grade: 'wren-28', thicknessMm: 75 }], kept: true } })]), demoShop());
    expect([orderSheet(kept).sheets, orderSheet(kept).cuts]).toEqual([[], []]);
  });

  it('says of a price that is older than 90 days, or of no day, that it has to be asked again', () => {
    // From 1 August it is 90 days to 30 October.
    expect(priceCaution('2026-08-01', '2026-10-30')).toBe('');
    expect(priceCaution('2026-08-01', '2026-10-31')).toContain('older than 90 days');
    expect(priceCaution(null, '2026-10-30')).toContain('no day');
  });

  it('is read back from its table row by row', () => {
    const { data } = Papa.parse<Record<string, string>>(orderCsv(made, '2026-11-30'), { header: true });
    expect(data.map(({ how, material, count }) => `${how} ${material} ${count}`)).toEqual([
      'sheets Wren 28 1',
      'sheets Heron 50 1',
      'cut to size Wren 28 2',
      'cut to size Heron 50 1',
      'off the roll Wadding 25 1',
    ]);
    expect([data[0]!['cost'], data[0]!['remark']]).toEqual(['52.2', 'price of 2026-08-01, older than 90 days: ask again']);
    expect([data[3]!['by_outline'], data[3]!['width_mm']]).toEqual(['yes', String(Math.round(order.cuts[1]!.widthMm * 100) / 100)]);
    expect(data[4]!['remark']).toBe('its price has no day: ask again');
  });
});
