import { sampleCushion, sampleJob, demoShop } from '../../testing/samples';
import { openShop, type Shop } from '../../shop/shop';
import type { Job } from '../../job/document';
import { plan } from '../plan';
import { fittingZips } from './salvaged';

const zip = (id: string, lengthMm: number) => ({ id, lengthMm, colour: 'black', kind: 'continuous' as const, from: '' });
const shop: Shop = openShop({ ...demoShop().document, zips: [zip('long', 900), zip('fits', 655), zip('short', 590), zip('spare', 652)] });
/** Openings of 600 and 500 between the joins: new tapes of 700 and 600; salvaged ones with a stop sewn across each end 650 and 550. */
const job = (over: Partial<Job> = {}): Job =>
  sampleJob(
    [
      sampleCushion({ given: 'finished', template: { shape: 'rectangle', widthMm: 500, depthMm: 450 }, quantity: 2 }),
      sampleCushion({ given: 'finished', template: { shape: 'rectangle', widthMm: 400, depthMm: 400 } }),
    ],
    over,
  );
const bought = (made: ReturnType<typeof plan>, ware: string): number => made.buy.find((line) => line.ware === ware)?.amount?.value ?? 0;

describe('salvaged zips', () => {
  it('that fit are offered nearest longer first', () => {
    expect(fittingZips(600, shop).map(({ id }) => id)).toEqual(['spare', 'fits', 'long']);
    // With its own stops a zip needs 10 beyond the opening at each end, with one sewn across 25: 620 and 650 for 600.
    const kinds = openShop({
      ...demoShop().document,
      zips: [{ ...zip('stops', 620), kind: 'closed-end' }, { ...zip('no', 619), kind: 'closed-end' }, zip('cut', 650), zip('short', 649)],
    });
    expect(fittingZips(600, kinds).map(({ id }) => id)).toEqual(['stops', 'cut']);
  });

  it('that come out of a cover of the same size go back in', () => {
    // The zip of an opening of 600 between its stops measures 620: new tape for it would be cut 700.
    const old = openShop({ ...demoShop().document, zips: [{ ...zip('old', 620), kind: 'closed-end' }] });
    const one = sampleCushion({ given: 'finished', template: { shape: 'rectangle', widthMm: 500, depthMm: 450 } });
    expect(plan(sampleJob([one], { zips: ['old'] }), old).salvaged.map(({ zip: { id }, neededMm }) => [id, neededMm])).toEqual([['old', 620]]);
  });

  it('set aside go over the whole job, each once, the longest need first and to it the nearest longer', () => {
    const none = plan(job(), shop);
    expect([none.salvaged, bought(none, 'zip'), bought(none, 'slider')]).toEqual([[], 2000, 3]);
    const two = plan(job({ zips: ['long', 'short'] }), shop);
    expect(two.salvaged.map(({ zip: { id }, cushion, copy }) => [id, cushion, copy])).toEqual([
      ['long', 0, 0],
      ['short', 1, 0],
    ]);
    // One of 700 is still to buy, with its slider.
    expect([bought(two, 'zip'), bought(two, 'slider')]).toEqual([700, 1]);
    const all = plan(job({ zips: ['long', 'fits', 'short', 'spare'] }), shop);
    expect(all.salvaged.map(({ zip: { id } }) => id)).toEqual(['spare', 'fits', 'short']);
    expect(all.buy.some(({ ware }) => ware === 'zip' || ware === 'slider')).toBeFalse();
  });

  it('are passed over where they are too short, gone, or there is nothing to close', () => {
    expect(plan(job({ zips: ['no-such'] }), shop).salvaged).toEqual([]);
    const byHand = sampleCushion({ construction: { kind: 'boxed', edge: 'plain', closing: 'hand' } });
    expect(plan(sampleJob([byHand], { zips: ['long'] }), shop).salvaged).toEqual([]);
  });
});
