import { seededRandom } from '../../kernel/random';
import type { Cushion, Job } from '../../job/document';
import { planSolved } from '../../plan/solve';
import { openShop, type Shop } from '../../shop/shop';
import { demoShop, sampleCushion, sampleJob } from '../../testing/samples';
import { promised } from '../check';
import { learn, learnFrom, observationsOf } from './learn';
import { LEARNT, type Theta } from './observe';

/** A number of the standard normal distribution (Box and Muller, 1958). */
const normal = (random: () => number): number => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());

const shop = demoShop();
const inShop = (calibration: Shop['document']['calibration']): Shop => openShop({ ...shop.document, calibration });
const SHIPPED: Theta = { waddingLoftShare: 1, sideLoftShare: 1, waddingPa: 130 };

/** Cushions of many sizes and wraps by three schools, all with a crown. */
function cushions(count: number): Cushion[] {
  return Array.from({ length: count }, (_, i) =>
    sampleCushion({
      template: { shape: 'rectangle', widthMm: 420 + 37 * (i % 9), depthMm: 400 + 29 * (i % 7) },
      heightMm: 75 + 25 * (i % 3),
      core: { layers: [{ grade: i % 2 ? 'wren-28' : 'heron-40', thicknessMm: 75 + 25 * (i % 3) }] },
      wrapLoftMm: [18, 25, 40][i % 3] ?? 25,
      school: ['padded-to-the-line', 'bare-and-oversize', 'measured-over-the-wrap'][i % 3] ?? 'padded-to-the-line',
    }),
  );
}

/** The same as they came out in a world with other constants, measured to 2 mm. */
function checked(list: readonly Cushion[], world: Shop, random: () => number, noiseMm = 2): Job {
  const { cushions: plans } = planSolved(sampleJob(list), world, () => false);
  return sampleJob(
    list.map((cushion, i) => {
      const target = promised(plans[i]!)!;
      return { ...cushion, checks: [{ date: '2026-10-05', edgeMm: target.edgeMm, middleMm: target.middleMm + noiseMm * normal(random) }] };
    }),
  );
}

describe('learning the shop’s constants from its checks', () => {
  it('finds a hidden loft share of 0.8 within a twentieth from 24 checks measured to 2 mm, and offers it', () => {
    for (const seed of [1, 2, 3, 4, 5]) {
      const { constants } = learn([checked(cushions(24), inShop({ waddingLoftShare: 0.8 }), seededRandom(seed))], shop);
      const loft = constants.find(({ key }) => key === 'waddingLoftShare')!;
      expect(Math.abs(loft.fitted / 0.8 - 1))
        .withContext(`seed ${seed}`)
        .toBeLessThan(0.05);
      expect([loft.offered, loft.used, loft.shipped]).toEqual([true, 1, 1]);
      expect(loft.why).toContain('in place of 1.00');
      expect(constants.filter(({ offered }) => offered).length).toBe(1);
    }
  });

  it('offers nothing of five checks, and says how many more of which kind would tell', () => {
    const { constants, schools } = learn([checked(cushions(5), inShop({ waddingLoftShare: 0.8 }), seededRandom(8))], shop);
    expect(constants.map(({ offered }) => offered)).toEqual([false, false, false]);
    expect(schools.filter(({ offered }) => offered)).toEqual([]);
    expect(constants[0]!.why).toContain('so far tell about the wadding’s loft on the faces');
    expect(constants[0]!.why).toContain('more of crowned cushions with wadding on their faces');
  });

  it('without a job lists every constant, none of them offered', () => {
    const { constants, schools } = learn([], shop);
    expect(constants.map(({ key, checks, offered, fitted }) => [key, checks, offered, fitted])).toEqual(LEARNT.map((key) => [key, 0, false, SHIPPED[key]]));
    expect(schools).toEqual([]);
  });

  it('offers nothing in 95 of 100 sets of checks that were made by the constants in use', () => {
    const random = seededRandom(34);
    const clean = observationsOf([checked(cushions(24), shop, random, 0)], shop);
    let offering = 0;
    for (let set = 0; set < 100; set++) {
      const noisy = clean.map((one) => ({ ...one, measuredMm: one.measuredMm + 2 * normal(random) }));
      const { constants, schools } = learnFrom(noisy, SHIPPED);
      if (constants.some(({ offered }) => offered) || schools.some(({ offered }) => offered)) offering++;
    }
    expect(offering).toBeLessThanOrEqual(5);
  });

  it('takes one check that is far off for what it is', () => {
    const job = checked(cushions(24), inShop({ waddingLoftShare: 0.8 }), seededRandom(2));
    const [first, ...rest] = job.cushions;
    const spoilt = { ...job, cushions: [{ ...first!, checks: [{ ...first!.checks![0]!, middleMm: first!.checks![0]!.middleMm! + 60 }] }, ...rest] };
    const [before, after] = [job, spoilt].map((one) => learn([one], shop).constants[0]!.fitted);
    expect(Math.abs(after! - before!)).toBeLessThan(0.03);
  });

  it('offers a school whose cushions come out otherwise than the others of the same wadding', () => {
    const job = checked(cushions(30), shop, seededRandom(4));
    const off = {
      ...job,
      cushions: job.cushions.map((one) =>
        one.school === 'bare-and-oversize' ? { ...one, checks: [{ ...one.checks![0]!, middleMm: one.checks![0]!.middleMm! + 8 }] } : one,
      ),
    };
    const { schools } = learn([off], shop);
    const found = schools.filter(({ offered }) => offered);
    expect(found.map(({ school }) => school)).toContain('bare-and-oversize');
    expect(found.find(({ school }) => school === 'bare-and-oversize')!.meanMm).toBeGreaterThan(2.5);
  });
});
