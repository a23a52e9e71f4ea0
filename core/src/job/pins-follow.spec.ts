import { demoShop, sampleCushion, sampleJob } from '../testing/samples';
import { withPinsFollowing } from './pins-follow';
import { planSolved } from '../plan/solve';

const pin = (item: string) => ({ lay: 'cloth', item, copy: 0, sheet: 0, x: 500, y: 0, turn: 0 });
const job = sampleJob([sampleCushion({ name: 'A' }), sampleCushion({ name: 'B' }), sampleCushion({ name: 'C' })], {
  pins: [pin('0/plate'), pin('2/plate'), pin('bias/1.1')],
});

describe('pins of a job', () => {
  it('follow their cushion when one before it goes, and go with their own', () => {
    const without = (index: number) => withPinsFollowing(job, { ...job, cushions: job.cushions.filter((_, i) => i !== index) });
    expect(without(1).pins?.map(({ item }) => item)).toEqual(['0/plate', '1/plate', 'bias/1.1']);
    expect(without(0).pins?.map(({ item }) => item)).toEqual(['1/plate', 'bias/1.1']);
    expect(withPinsFollowing(job, { ...job, cushions: [sampleCushion({ name: 'New' }), ...job.cushions] }).pins?.map(({ item }) => item)).toEqual([
      '1/plate',
      '3/plate',
      'bias/1.1',
    ]);
  });

  it('stay as they are when a cushion is changed in its place', () => {
    const changed = { ...job, cushions: job.cushions.map((one, i) => (i === 2 ? { ...one, heightMm: 80 } : one)) };
    expect(withPinsFollowing(job, changed)).toBe(changed);
  });

  it('hold their piece in the lay that the plan asks for', () => {
    const one = sampleJob([sampleCushion()]);
    const place = { lay: 'cloth', item: '0/plate', copy: 1, sheet: 0, x: 900, y: 700, turn: 0 };
    const lay = planSolved({ ...one, pins: [place] }, demoShop()).lays.find(({ key }) => key === 'cloth')!;
    expect(lay.problems).toEqual([]);
    const { lay: _lay, ...placement } = place;
    expect(lay.answer!.placements.find(({ item, copy }) => item === '0/plate' && copy === 1)).toEqual(placement);
  });
});
