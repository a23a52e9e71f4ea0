import shopJson from '../../../demo/shop.json';
import { outlineBounds } from '../geometry/outline';
import { openShop, shopSchema, type Shop } from '../shop/shop';
import { sampleCushion, sampleJob } from '../testing/samples';
import type { Job } from '../job/document';
import { clothName, withClothUse, withCushionCloth } from './cloths';
import { planJson } from './json';
import { plan, type Plan } from './plan';
import { checkedLay, planSolved } from './solve';

const shop = openShop(shopSchema.parse(shopJson));
const INDIGO = { material: 'indigo-twill', widthMm: 1400 };
const clothLines = ({ buy }: Plan): (readonly [string, string | null])[] =>
  buy.filter(({ ware }) => ware === 'cloth').map(({ name, layKey }) => [name, layKey]);
const own = (job: Job, ownLengthMm: number): Job => ({ ...job, cloth: { ...job.cloth, ownLengthMm } });

describe('cloths of a cover', () => {
  const two = sampleJob([sampleCushion({ slots: { welt: INDIGO } }), sampleCushion({ name: 'Bolt seat', slots: { boxing: INDIGO, welt: INDIGO } })], {
    cloth: { material: 'russet-wool', widthMm: 1500 },
  });

  it('are laid and bought each by itself, slots of one cloth together, and every piece is on exactly one lay', () => {
    const made = planSolved(two, shop);
    const lays = made.lays.filter(({ subject }) => subject.kind === 'cloth');
    expect(lays.map(({ subject }) => subject.kind === 'cloth' && [subject.name, subject.slots.join()])).toEqual([
      ['Russet wool', 'main,boxing'],
      ['Indigo twill', 'boxing,welt'],
    ]);
    expect(clothLines(made).map(([name]) => name)).toEqual(['Russet wool', 'Indigo twill']);
    const placed = lays.flatMap(({ request }) => request.items.map(({ id }) => id)).filter((id) => !id.startsWith('bias'));
    const wanted = made.cushions.flatMap((one, i) =>
      one.pieces.filter(({ material, grain }) => material.kind === 'cloth' && grain !== 'bias').map(({ id }) => `${i}/${id}`),
    );
    expect([...placed].sort()).toEqual([...wanted].sort());
    // The second cushion's boxing left the main cloth.
    const main = lays[0]!.request.items.map(({ id }) => id);
    expect(main.some((id) => id.startsWith('0/boxing'))).toBeTrue();
    expect(main.some((id) => id.startsWith('1/boxing') || id.startsWith('1/plaque'))).toBeFalse();
  });

  it('that are named like the main one are the main one: one lay, one line', () => {
    const same = { ...two, cushions: [sampleCushion({ slots: { welt: two.cloth } })] };
    expect(clothLines(planSolved(same, shop)).length).toBe(1);
  });
});

describe('a cushion in a cloth of its own', () => {
  const russet = { material: 'russet-wool', widthMm: 1500 };
  const job = sampleJob(
    [
      sampleCushion({ name: 'Seat' }),
      sampleCushion({ name: 'Stool', cloth: INDIGO, slots: { welt: russet }, construction: { kind: 'boxed', edge: 'welt' } }),
      sampleCushion({ name: 'Bolt seat', cloth: INDIGO }),
    ],
    { cloth: russet },
  );
  const made = planSolved(job, shop);
  const cloths = made.lays.filter(({ subject }) => subject.kind === 'cloth');
  const itemsOn = (at: number): string[] => cloths[at]!.request.items.map(({ id }) => id);

  it('is laid and bought off that cloth with its slots, but for a slot that names another; foam and wadding stay together', () => {
    expect(clothLines(made).map(([name]) => name)).toEqual(['Russet wool', 'Indigo twill']);
    expect(
      itemsOn(0)
        .filter((id) => !id.startsWith('bias'))
        .every((id) => id.startsWith('0/')),
    ).toBeTrue();
    // The stool's welt is of the job's cloth.
    expect(itemsOn(0).some((id) => id.startsWith('bias'))).toBeTrue();
    expect(new Set(itemsOn(1).map((id) => id.split('/')[0]))).toEqual(new Set(['1', '2', 'bias']));
    expect(itemsOn(1).some((id) => id.startsWith('1/boxing'))).toBeTrue();
    expect(made.lays.filter(({ subject }) => subject.kind === 'foam').length).toBe(1);
    expect(made.lays.filter(({ subject }) => subject.kind === 'wadding').length).toBe(1);
    expect(planJson(made).cushions.map(({ cloth }) => cloth)).toEqual([
      { name: 'Russet wool', ...russet },
      { name: 'Indigo twill', ...INDIGO },
      { name: 'Indigo twill', ...INDIGO },
    ]);
  });

  it('cuts a wrong piece anew from that cloth', () => {
    const [seat, stool, bolt] = job.cushions;
    const bench = { done: {}, recuts: [{ piece: 'plate', cushions: [1], each: 1, date: '2026-11-30' }] };
    const again = planSolved({ ...job, cushions: [seat!, { ...stool!, bench }, bolt!] }, shop);
    const anew = again.lays.filter(({ recutOf }) => recutOf !== null);
    expect(anew.map(({ recutOf, request }) => [recutOf, request.items.map(({ id }) => id)])).toContain([cloths[1]!.key, ['1/plate']]);
  });

  it('has a problem with it told under the cushion, not under the job', () => {
    const narrow = { ...INDIGO, widthMm: 400 };
    const [seat, stool] = job.cushions;
    const tight = plan({ ...job, cushions: [seat!, { ...stool!, cloth: narrow }] }, shop);
    const paths = tight.problems.filter(({ code }) => code === 'plate-wider-than-cloth').map(({ path }) => path);
    expect(paths).toEqual(['cushions.1.cloth.widthMm']);
    expect(planJson(tight).cushions[1]!.problems.find(({ code }) => code === 'plate-wider-than-cloth')?.path).toBe('cushions.1.cloth.widthMm');
  });

  it('is changed for some at once, goes back to the job’s, and follows a change of its cloth wherever it is used', () => {
    const all = withCushionCloth(job, [0, 2], { material: 'moss-velvet', widthMm: 1400 });
    expect(all.cushions.map(({ cloth }) => cloth?.material)).toEqual(['moss-velvet', 'indigo-twill', 'moss-velvet']);
    expect(withCushionCloth(all, [0, 1], null).cushions.map(({ cloth }) => cloth?.material)).toEqual([undefined, undefined, 'moss-velvet']);
    // The job's own cloth needs no name of its own.
    expect(withCushionCloth(job, [1], russet).cushions[1]!.cloth).toBeUndefined();
    const turned = withClothUse(job, clothName(INDIGO), (use) => ({ ...use, railroaded: true }));
    expect(turned.cushions.map(({ cloth }) => cloth?.railroaded ?? false)).toEqual([false, true, true]);
    expect(turned.cloth).toEqual(russet);
  });
});

describe('the customer’s own cloth', () => {
  const job = sampleJob();
  const bought = planSolved(job, shop);
  const needed = bought.lays[0]!.answer!.lengthMm + 30;
  const short = (length: number): number[] =>
    planSolved(own(job, length), shop)
      .problems.filter(({ code }) => code === 'own-cloth-short')
      .map(({ data }) => Number(data['shortMm']));

  it('is enough, or short by so much, with the 30 mm that squaring the end takes', () => {
    expect(short(needed)).toEqual([]);
    expect(short(needed + 500)).toEqual([]);
    expect(short(needed - 100).map(Math.round)).toEqual([100]);
  });

  it('is not bought: its line says how much there is', () => {
    const line = planSolved(own(job, 5000), shop).buy.find(({ ware }) => ware === 'cloth');
    expect(line?.ownMm).toBe(5000);
    expect(bought.buy.find(({ ware }) => ware === 'cloth')?.ownMm).toBeUndefined();
  });

  it('tells at once when its length is changed, although its lay is the same and is not worked out again', () => {
    const before = plan(own(job, needed + 500), shop, Object.fromEntries(bought.lays.map((lay) => [lay.hash, checkedLay(lay.request, lay.answer!)])));
    expect(before.lays[0]!.answer).not.toBeNull();
    const after = plan(own(job, needed - 100), shop, {}, before);
    expect(after.lays[0]!.answer).toBe(before.lays[0]!.answer);
    expect(after.problems.map(({ code }) => code)).toContain('own-cloth-short');
  });
});

describe('cloth that shrinks', () => {
  const shrinking: Shop = openShop(
    shopSchema.parse({
      ...shopJson,
      cloths: shopJson.cloths.map((one) => (one.id === 'calico' ? { ...one, shrinkAlongPercent: 5, shrinkAcrossPercent: 2 } : one)),
    }),
  );
  const job = sampleJob(undefined, { cloth: { material: 'calico', widthMm: 1580 } });
  const plateOf = (over: Job): number[] => {
    const plate = plan(over, shrinking).cushions[0]!.pieces.find(({ role }) => role === 'plate')!;
    return [plate.width.value, plate.height.value].map((mm) => Number(mm.toFixed(6)));
  };

  it('is cut larger by its per cent before the seam is added, unless it is washed first', () => {
    // 590 × 1.02 + 2 × 13 across, 490 × 1.05 + 2 × 13 along.
    expect(plateOf(job)).toEqual([627.8, 540.5]);
    expect(plateOf({ ...job, cloth: { ...job.cloth, washed: true } })).toEqual([616, 516]);
  });

  it('has every piece’s own allowance outside the larger seam line, and its hole larger too', () => {
    const stool = sampleCushion({
      given: 'seat',
      template: { shape: 'round', diameterMm: 380 },
      heightMm: 60,
      construction: { kind: 'drum', boardMm: 22 },
      slots: { lining: { material: 'calico', widthMm: 1580 } },
    });
    const flange = plan(sampleJob([stool]), shrinking).cushions[0]!.pieces.find(({ role }) => role === 'flange')!;
    // Seam line 378: × 1.02 and × 1.05, and 6 outside it on each side.
    expect([flange.width.value, flange.height.value].map((mm) => Number(mm.toFixed(1)))).toEqual([397.6, 408.9]);
    const hole = outlineBounds(flange.holes![0]!);
    // 378 − 2 × 50 across and along.
    expect([hole.maxX - hole.minX, hole.maxY - hole.minY].map((mm) => Number(mm.toFixed(1)))).toEqual([283.6, 291.9]);
  });
});
