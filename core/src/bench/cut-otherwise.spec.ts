import { keptFit, type KeptSizes } from '../plan/cushion/as-cut/kept-fit';
import { allButLays, planSolved } from '../plan/solve';
import type { Constants } from '../shop/assumptions';
import { demoShop, sampleCushion, sampleJob } from '../testing/samples';
import { adapting } from './cut-otherwise';
import { changedSince } from './ticks';

describe('a piece that was cut before its size changed', () => {
  const shop = demoShop();
  const made = (bench?: NonNullable<ReturnType<typeof sampleCushion>['bench']>) =>
    planSolved(sampleJob([sampleCushion({ template: { shape: 'rectangle', widthMm: 600, depthMm: 400 }, ...(bench ? { bench } : {}) })]), shop, allButLays)
      .cushions[0]!;
  const one = made();
  const plate = one.pieces.find(({ role }) => role === 'plate')!;
  const [width, height] = [plate.width.value, plate.height.value];
  const seam = (width - 600) / 2;

  it('is trimmed where it is too large, sewn with a narrower seam where it is too small, and cut anew where that would be too narrow', () => {
    expect(adapting(plate, [width + 8, height])).toEqual({ trimMm: [8, 0], seamMm: null });
    // 4 missing across: 2 less of a seam on each edge.
    const narrower = adapting(plate, [width - 4, height + 3]);
    expect(narrower?.trimMm).toEqual([0, 3]);
    expect(narrower?.seamMm).toBeCloseTo(seam - 2, 6);
    expect(seam).toBeCloseTo(13, 0);
    expect(adapting(plate, [width - 2 * (seam - 5.9), height])).toBeNull();
  });

  it('kept as it was, is no longer told of, and stands as a caution on each step that sews it, until it is cut at another size', () => {
    const then: [number, number] = [width - 6, height];
    const tick = { count: 1, sizes: { [plate.id]: then } };
    expect(changedSince(tick, one.pieces).map(({ piece }) => piece)).toEqual([plate.id]);
    expect(changedSince(tick, one.pieces, { [plate.id]: { sizes: then } })).toEqual([]);
    expect(changedSince(tick, one.pieces, { [plate.id]: { sizes: [1, 2] } }).length).toBe(1);
    const kept = made({ done: {}, kept: { [plate.id]: { sizes: then, seamMm: 10 } } });
    const said = kept.operations.filter(({ cautions }) => cautions.some((words) => words.includes('as it was cut') && words.includes('seam of 10 mm')));
    expect(said.length).toBeGreaterThan(1);
    expect(said.every(({ phase, pieces }) => phase !== 'cut' && pieces.includes(plate.id))).toBeTrue();
  });

  it('fits tighter when its plate is smaller, looser when it is larger, and its boxing has its say too', () => {
    const assume: Constants = (key) => shop.assume(key, 'metric');
    const tension = (kept: KeptSizes): number => keptFit(one, kept, assume).fit?.tensionAcrossNPerM ?? NaN;
    const [small, same, large] = [-10, 0, 10].map((mm) => tension({ [plate.id]: [width + mm, height] }));
    expect(same).toBeCloseTo(one.fit?.tensionAcrossNPerM ?? NaN, 6);
    expect(small).toBeGreaterThan(same ?? NaN);
    expect(large).toBeLessThan(same ?? NaN);
    const boxing = one.pieces.find(({ role }) => role === 'boxing')!;
    expect(tension({ [boxing.id]: [boxing.width.value, boxing.height.value - 8] })).toBeGreaterThan(same ?? NaN);
    expect(keptFit(one, { foam: [1, 1] }, assume).fit).toBeNull();
  });

  it('goes together with the others that were cut with it, and not with those that are cut anew', () => {
    const assume: Constants = (key) => shop.assume(key, 'metric');
    // The same cushion, cut when it was 20 wider and 10 deeper: every piece as it was then.
    const before = planSolved(sampleJob([sampleCushion({ template: { shape: 'rectangle', widthMm: 620, depthMm: 410 } })]), shop, allButLays).cushions[0]!;
    const sizes = (roles: readonly string[]): KeptSizes =>
      Object.fromEntries(before.pieces.filter(({ role }) => roles.includes(role)).map(({ id, width: w, height: h }) => [id, [w.value, h.value] as const]));
    // Twice 20 and 10 round it: the band of now is 60 too short for the plates of then, and that of then 60 too long for the plates of now.
    expect(keptFit(one, sizes(['plate']), assume).bandLongerMm).toBeCloseTo(-60, 6);
    expect(keptFit(one, sizes(['boxing', 'plaque']), assume).bandLongerMm).toBeCloseTo(60, 6);
    const all = keptFit(one, sizes(['plate', 'boxing', 'plaque']), assume);
    expect(all.bandLongerMm).toBeCloseTo(0, 6);
    // The core is cut as it is planned now: the cover of then is loose on it, as the cover of now is not.
    expect(all.fit!.tensionAcrossNPerM).toBeLessThan(one.fit!.tensionAcrossNPerM);
    expect(keptFit(one, {}, assume)).toEqual({ fit: null, bandLongerMm: 0 });
  });
});
