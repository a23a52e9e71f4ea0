import { compareWraps } from '../../compare/compare-wraps';
import { finished } from '../../compare/trials';
import type { Cushion } from '../../job/document';
import { openShop } from '../../shop/shop';
import { madeAlone } from '../../testing/covers';
import { demoShop, sampleCushion, sampleJob } from '../../testing/samples';
import { planSolved } from '../solve';

/** A seat cut to the line with a wrap of faces and a border that is butted to them, on a roll of 1400. */
const cushion = (over: Partial<Cushion> = {}): Cushion =>
  sampleCushion({
    given: 'core',
    template: { shape: 'rectangle', widthMm: 600, depthMm: 500 },
    heightMm: 75,
    wrapWay: 'butted-border',
    wrapLoftMm: 25,
    ...over,
  });
const demo = demoShop();
const shop = openShop({ ...demo.document, waddings: [{ id: 'roll', name: 'Roll', loftMm: 25, rollWidthMm: 1400, pricePerM: 4 }] });
const roll = (one: Cushion): number =>
  planSolved(sampleJob([one]), shop)
    .lays.filter(({ subject }) => subject.kind === 'wadding')
    .reduce((sum, { answer }) => sum + (answer?.lengthMm ?? NaN), 0);

describe('the border of a wrap', () => {
  it('is butted from equal parts where that shortens the roll, and they are as long together', () => {
    const made = madeAlone(cushion());
    const border = made.pieces.find(({ role }) => role === 'wrap-border')!;
    const parts = border.countPerCushion;
    expect(parts).toBeGreaterThan(1);
    // Round a core of 600 × 500 with a lap: whatever the shop laps, parts and whole are the same.
    const whole = 2 * (600 + 500) + demo.assume('wrapBorderOverMm', 'metric');
    expect(parts * border.width.value).toBeCloseTo(whole, 6);
    // In one piece it lies along the roll: 2.2 m of it. In parts beside the faces the roll is not longer than faces and border by their area and a good third.
    const area = 2 * (600 + 2 * 40) * (500 + 2 * 40) + whole * 75;
    expect(roll(cushion())).toBeLessThan((1.4 * area) / 1400);
    expect(roll(cushion())).toBeLessThan(whole - 500);
    expect(made.operations.find(({ id }) => id === 'prepare/wrap')?.text).toContain(`The border is in ${parts} parts: butt them`);
  });

  it('stays whole where it goes across the roll', () => {
    const small = madeAlone(cushion({ template: { shape: 'rectangle', widthMm: 150, depthMm: 150 } }));
    expect(small.pieces.find(({ role }) => role === 'wrap-border')!.countPerCushion).toBe(1);
    expect(small.operations.find(({ id }) => id === 'prepare/wrap')?.text).not.toContain('butt them, and begin');
  });
});

describe('ways of wrapping', () => {
  it('are compared by what the whole job buys, the one in hand first, each as a real lay', () => {
    const job = sampleJob([cushion({ quantity: 2 }), cushion({ name: 'Other', wrapWay: 'faces' })]);
    const rows = finished(compareWraps(job, 0, shop));
    expect(rows[0]?.way.kind).toBe('as-it-is');
    expect(rows.length).toBe(7);
    const faces = rows.find(({ way }) => way.kind === 'wrap' && way.wrap === 'faces');
    // Without a border there is less wadding, and nothing is joined.
    expect(faces!.laidMm).toBeLessThan(rows[0]!.laidMm);
    expect([faces!.joins, rows[0]!.joins > 0]).toEqual([0, true]);
    expect(faces!.job!.cushions.map(({ wrapWay }) => wrapWay)).toEqual(['faces', 'faces']);
    for (const { unplaced, buyMm, laidMm } of rows) expect([unplaced, buyMm! >= laidMm]).toEqual([0, true]);
  });
});
