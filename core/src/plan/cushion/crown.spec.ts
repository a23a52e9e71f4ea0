import { area, flatten, perimeter } from '../../geometry/outline';
import { pointSegmentDistance } from '../../geometry/polygon';
import type { Point } from '../../geometry/point';
import { unequalSeams } from '../../piece/seam';
import { demoShop, sampleCushion, sampleJob } from '../../testing/samples';
import type { Cushion } from '../../job/document';
import { plan } from '../plan';
import type { CushionPlan } from './cushion-plan';
import { allButLays, planSolved } from '../solve';

const shop = demoShop();
const crowned = (crown: Cushion['crown'], over: Partial<Cushion> = {}): Cushion =>
  sampleCushion({ given: 'finished', template: { shape: 'rectangle', widthMm: 600, depthMm: 500 }, ...(crown ? { crown } : {}), ...over });
const solved = (cushion: Cushion): CushionPlan => planSolved(sampleJob([cushion]), shop, allButLays).cushions[0]!;
const piece = (one: CushionPlan, id: string) => one.pieces.find((each) => each.id === id)!;
const off = (polygon: readonly Point[], p: Point): number => Math.min(...polygon.map((a, i) => pointSegmentDistance(p, a, polygon[(i + 1) % polygon.length]!)));

describe('a crown in the plan', () => {
  it('is asked for before the lays, and the plates are flat until it is known', () => {
    const job = sampleJob([crowned({ mm: 30, way: 'bow', faces: 2 })]);
    const asked = plan(job, shop);
    expect(asked.wanted.map((one) => one.request.format)).toEqual(['yardland/crown-ask@1']);
    expect(asked.lays).toEqual([]);
    const done = planSolved(job, shop);
    expect(done.lays.map((lay) => lay.key)).toContain('cloth');
    expect(done.wanted).toEqual([]);
  });

  it('bows the plates by half the extra on each side, and says what is eased into the flat band', () => {
    // The trade's case: 600 × 500, 30 high: 4.38 more across and 4.95 along. Cut 600 + 4.38 + 2 × 13, 500 + 4.95 + 2 × 13.
    const one = solved(crowned({ mm: 30, way: 'bow', faces: 2 }));
    const plate = piece(one, 'plate');
    expect(plate.countPerCushion).toBe(2);
    expect(plate.width.value).toBeCloseTo(626 + 4.38, 1);
    expect(plate.height.value).toBeCloseTo(526 + 4.95, 1);
    expect(area(plate.sewn!)).toBeGreaterThan(600 * 500);
    expect(one.cover!.eased!.value).toBeCloseTo(perimeter(plate.sewn!) - 2200, 6);
    expect(one.cover!.eased!.value).toBeGreaterThan(0);
    expect(unequalSeams(one.cover!.seams)).toEqual([]);
    // A cover that forgot to say what it eases would be found.
    expect(unequalSeams(one.cover!.seams.map((seam) => ({ ...seam, easedMm: seam.easedMm + 2 }))).length).toBe(one.cover!.seams.length);
    const line = flatten(plate.sewn!, 0.01);
    for (const mark of plate.marks) expect(off(line, mark.at)).withContext(mark.kind).toBeLessThan(0.1);
    // The boxing follows the flat seam line.
    expect(piece(one, 'boxing-1').height.value).toBe(101);
    expect(one.sizes!.sewn.width.value).toBe(600);
  });

  it('of one face leaves the other flat; left flat, both are; of nothing is as if it had not been asked', () => {
    const one = solved(crowned({ mm: 30, way: 'bow', faces: 1 }));
    expect(piece(one, 'plate-bottom').width.value).toBe(626);
    expect(piece(one, 'plate-top').width.value).toBeGreaterThan(629);
    expect(unequalSeams(one.cover!.seams)).toEqual([]);
    const flat = solved(crowned({ mm: 30, way: 'flat', faces: 2 }));
    expect(piece(flat, 'plate').width.value).toBe(626);
    expect(flat.crown!.answer!.drawInAcrossMm).toBeCloseTo(4.4, 1);
    const none = solved(crowned({ mm: 0, way: 'bow', faces: 2 }));
    expect(none.pieces).toEqual(solved(crowned(undefined)).pieces);
  });

  it('has pads that are cut from wadding of their own loft, and that fill the crown', () => {
    const bare = solved(crowned({ mm: 30, way: 'bow', faces: 2 }));
    const padded = solved(crowned({ mm: 30, way: 'bow', faces: 2, pads: { count: 3, loftMm: 13 } }));
    const pads = padded.pieces.filter((each) => each.role === 'crown-pad');
    expect(pads.map((pad) => pad.countPerCushion)).toEqual([2, 2, 2]);
    const areas = pads.map((pad) => area(pad.outline));
    expect(areas[0]).toBeGreaterThan(areas[1]!);
    expect(areas[1]).toBeGreaterThan(areas[2]!);
    expect(padded.fitRequest!.padLoftMm).toBe(2 * 3 * 13);
    expect(padded.fit!.crownMm).toBeGreaterThan(bare.fit!.crownMm);
    const job = planSolved(sampleJob([crowned({ mm: 30, way: 'bow', faces: 2, pads: { count: 3, loftMm: 13 } })]), shop);
    expect(
      job.lays
        .map((lay) => lay.key)
        .filter((key) => key.startsWith('wadding'))
        .sort(),
    ).toEqual(['wadding-wadding-13', 'wadding-wadding-25']);
  });

  it('of a wedge stands on its slope', () => {
    const one = solved(crowned({ mm: 25, way: 'bow', faces: 2 }, { template: { shape: 'wedge', widthMm: 600, depthMm: 500, thinMm: 40 }, heightMm: 100 }));
    expect(one.fitRequest!.crownedFaces).toBe(1);
    expect(piece(one, 'plate-top').width.value).toBeGreaterThan(628);
    expect(piece(one, 'plate-bottom').width.value).toBe(626);
    expect(unequalSeams(one.cover!.seams)).toEqual([]);
  });
});
