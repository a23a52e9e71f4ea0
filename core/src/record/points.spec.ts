import { plan } from '../plan/plan';
import { demoShop, sampleCushion, sampleJob } from '../testing/samples';
import { compare } from './check';
import { furthestFirst, pointsOf } from './points';

const shop = demoShop();
const promise = { widthMm: 600, depthMm: 500, edgeMm: 75, middleMm: 95 };

describe('predicted against measured', () => {
  it('holds a check against what was promised on its day, not against what the plan promises now', () => {
    const check = { date: '2026-03-04', widthMm: 604, middleMm: 99, edgeMm: 77, promised: promise };
    const planned = plan(sampleJob([sampleCushion({ name: 'A', checks: [check] })]), shop);
    const points = pointsOf(planned);
    expect(points.map(({ place, promisedMm, measuredMm }) => [place, promisedMm, measuredMm])).toEqual([
      ['crownMm', 20, 22],
      ['widthMm', 600, 604],
      ['edgeMm', 75, 77],
      ['middleMm', 95, 99],
    ]);
    expect(points[0]!.ofItsDay).toBeTrue();
    expect(compare(planned.cushions[0]!, check).find(({ place }) => place === 'widthMm')!.offMm).toBe(4);
  });

  it('takes the plan’s promise where none was kept, and names what it is grouped by', () => {
    const planned = plan(
      sampleJob([sampleCushion({ checks: [{ date: '2026-03-04', widthMm: 604 }], core: { layers: [{ grade: 'heron-40', thicknessMm: 75 }] } })]),
      shop,
    );
    const [point] = pointsOf(planned);
    expect(point!.promisedMm).toBe(planned.cushions[0]!.sizes!.sewn.width.value);
    expect([point!.ofItsDay, point!.groups.filling, point!.groups.school]).toEqual([false, 'Heron 40', 'Padded to the line']);
  });

  it('lists the furthest off first, whichever way', () => {
    const checks = [602, 590, 607].map((widthMm) => ({ date: '2026-03-04', widthMm, promised: promise }));
    const points = pointsOf(plan(sampleJob([sampleCushion({ quantity: 3, checks })]), shop));
    expect(furthestFirst(points, 'widthMm').map(({ measuredMm }) => measuredMm)).toEqual([590, 607, 602]);
  });
});
