import type { Cushion, Job } from '../../job/document';
import { openShop, type ShopDocument } from '../../shop/shop';
import { demoShop, sampleCushion, sampleJob } from '../../testing/samples';
import { amountWords, notionsOf } from './notions';
import { plan } from '../plan';

const demo = demoShop();
const LAYERS = (...mm: readonly number[]) => ({ layers: mm.map((thicknessMm) => ({ grade: 'wren-28', thicknessMm })) });

function notions(over: Partial<Cushion>, ways: Partial<ShopDocument> = {}, job: Partial<Job> = {}) {
  const shop = openShop({ ...demo.document, ...ways });
  const whole = plan(sampleJob([sampleCushion(over)], job), shop);
  const [one] = whole.cushions;
  if (one?.state !== 'planned') throw new Error('blocked');
  return { one, whole, of: (ware: string) => notionsOf(one).filter((notion) => notion.ware === ware) };
}

describe('what is used up', () => {
  it('is adhesive by the area that is glued: between two layers once the core, and a wrap along its edges', () => {
    const { one, of } = notions({ core: LAYERS(50, 25), wrapLoftMm: 25 });
    const [wide, deep] = [one.sizes.core.width.value, one.sizes.core.depth.value];
    // One joint of the whole core; and 50 along the edge on both faces.
    const m2 = (wide * deep + 2 * 2 * (wide + deep) * 50) / 1e6;
    expect(of('adhesive')[0]?.amount.value).toBeCloseTo(0.25 * m2, 9);
    expect(notions({ core: LAYERS(75), wrapLoftMm: 0 }).of('adhesive')).toEqual([]);
  });

  it('is staples where a wrap is stapled, and then no adhesive for it', () => {
    const { one, of } = notions({ core: LAYERS(75), wrapFix: 'staples' });
    const round = 2 * (one.sizes.core.width.value + one.sizes.core.depth.value);
    expect(of('staples').map(({ amount }) => amount.value)).toEqual([Math.ceil((2 * round) / 25)]);
    expect(of('adhesive')).toEqual([]);
  });

  it('is adhesive in the joints of a layer glued up from parts', () => {
    // 2 500 across from sheets of 1 990: two parts, one joint as deep as the core and as high as the layer.
    const { one, of } = notions({ template: { shape: 'rectangle', widthMm: 2500, depthMm: 490 }, core: LAYERS(75), wrapLoftMm: 0 });
    expect(one.pieces.filter(({ glued }) => glued).length).toBe(2);
    expect(of('adhesive')[0]?.amount.value).toBeCloseTo((0.25 * one.sizes.core.depth.value * 75) / 1e6, 9);
  });

  it('is thread, by hand doubled, and whole bobbins of its half', () => {
    const hand = { construction: { kind: 'boxed', edge: 'plain', closing: 'hand' } } as Partial<Cushion>;
    const { one, whole, of } = notions(hand);
    const rows = one.cover.seams.reduce((mm, { edges, rows: many, count, method }) => mm + edges[0].lengthMm * many * count * (method === 'hand' ? 2 : 1), 0);
    const ratio = (of('thread')[0]?.amount.value ?? NaN) / rows;
    expect(ratio).toBeGreaterThanOrEqual(2.5);
    expect(ratio).toBeLessThanOrEqual(3.2);
    const bobbins = whole.buy.find(({ ware }) => ware === 'bobbins')?.amount?.value;
    expect(bobbins).toBe(Math.ceil((of('thread')[0]?.amount.value ?? NaN) / 2 / 60_000));
    // On a home machine plain seams are gone round twice; not in leather.
    const thread = (material: string) => notions({ ...hand, machine: 'home' }, {}, { cloth: { material, widthMm: 1500 } }).of('thread')[0]?.amount.value ?? NaN;
    expect(thread('russet-wool') / thread('saddle-hide')).toBeGreaterThan(1.5);
  });

  it('is said as it is bought', () => {
    expect([amountWords('volume', 0.061, 'metric'), amountWords('volume', 1.21, 'metric')]).toEqual(['70 ml', '1.3 l']);
    expect(amountWords('volume', 0.061, 'inch')).toBe('3 fl oz');
  });

  it('stands on the list of what to buy, for all cushions together', () => {
    const job = sampleJob([sampleCushion({ core: LAYERS(50, 25), quantity: 6 })]);
    const whole = plan(job, demo);
    const each = notions({ core: LAYERS(50, 25) }).of('adhesive')[0]?.amount.value ?? NaN;
    expect(whole.buy.find(({ ware }) => ware === 'adhesive')?.amount?.value).toBeCloseTo(6 * each, 9);
  });
});
