import { offered } from '../material/material';
import { plan } from '../plan/plan';
import { firstFilling } from '../plan/cushion/feel/first-filling';
import { demoShop, sampleCushion, sampleJob } from '../testing/samples';
import { openShop, type ShopDocument } from './shop';

const demo = demoShop();

describe('what is put away in the stockroom', () => {
  it('is not offered, but for what is chosen already', () => {
    const rows = [{ id: 'a' }, { id: 'b', putAway: true }, { id: 'c', putAway: false }];
    expect(offered(rows).map(({ id }) => id)).toEqual(['a', 'c']);
    expect(offered(rows, 'b').map(({ id }) => id)).toEqual(['a', 'b', 'c']);
  });

  it('stays readable in the jobs that name it, and is taken by none of itself', () => {
    const near = demo.waddingNear(25)!;
    const first = firstFilling(75, demo, 'metric')[0]!.grade;
    const document: ShopDocument = {
      ...demo.document,
      waddings: demo.document.waddings.map((one) => (one.id === near.id ? { ...one, putAway: true } : one)),
      grades: demo.document.grades.map((one) => (one.id === first || one.id === 'wren-28' ? { ...one, putAway: true } : one)),
    };
    const shop = openShop(document);
    expect(shop.waddingNear(25)?.id).not.toBe(near.id);
    expect(shop.waddingNear(25, { outdoors: false, chosen: [near.id] })?.id).toBe(near.id);
    expect(firstFilling(75, shop, 'metric')[0]?.grade).not.toBe(first);
    // A cushion of the foam is planned, laid and bought as before.
    const job = sampleJob([sampleCushion()], { waddings: [near.id] });
    const names = (of: typeof shop) => plan(job, of).buy.map(({ name }) => name);
    expect(names(shop)).toEqual(names(openShop({ ...demo.document })));
  });
});
