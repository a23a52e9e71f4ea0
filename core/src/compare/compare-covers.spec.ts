import { demoShop, sampleCushion, sampleJob } from '../testing/samples';
import { answersIn } from '../plan/answers';
import { contextOf } from '../plan/cushion/steps/context';
import { compareCovers } from './compare-covers';
import { plan } from '../plan/plan';

const shop = demoShop();
const context = contextOf(sampleJob(), shop, answersIn({}));

describe('covers compared', () => {
  const cushion = sampleCushion({ given: 'finished', template: { shape: 'rectangle', widthMm: 500, depthMm: 450 } });
  const offers = compareCovers(cushion, context);
  const of = (kind: string) => offers.find((one) => one.kind === kind);

  it('are the cushion as each construction makes it: the one in hand as it is chosen, its edge and seam carried over', () => {
    expect(of('boxed')?.construction).toBe(cushion.construction);
    expect([of('waterfall')?.construction, of('folded-corner')?.construction]).toEqual([
      { kind: 'waterfall', edge: 'welt', cordMm: 5, seamMm: 13 },
      { kind: 'folded-corner', seamMm: 13 },
    ]);
    // Worked by hand for the folded corner: 676 × 626 less its four squares of 75, and 526 × 476.
    const folded = of('folded-corner')?.facts;
    expect(folded?.pieces).toBe(2);
    expect(folded?.clothMm2).toBeCloseTo(676 * 626 - 4 * 75 * 75 + 526 * 476, 0);
    // Four corners of 75, the round of 1 900 but for the zip's 400, and two rows along that.
    expect([folded?.machineMm, folded?.topStitchMm, folded?.handMm]).toEqual([300 + 1500 + 800, 0, 0]);
    expect([of('boxed')?.facts?.welted, folded?.welted, folded?.traits.washable, of('drum')?.facts?.traits.washable]).toEqual([true, false, true, false]);
    const order = plan(sampleJob([cushion]), shop).cushions[0]?.operations ?? [];
    expect(of('boxed')?.facts?.minutes).toBeCloseTo(
      order.reduce((sum, step) => sum + step.minutes, 0),
      6,
    );
  });

  it('say why one does not suit', () => {
    const round = compareCovers(sampleCushion({ template: { shape: 'round', diameterMm: 500 } }), context);
    const refused = round.filter(({ facts }) => facts === null);
    expect(refused.map(({ kind }) => kind)).toEqual(['waterfall', 'folded-corner', 'pull-over']);
    expect(refused.every(({ problems }) => problems[0]?.code === 'construction-not-for-outline')).toBeTrue();
  });
});
