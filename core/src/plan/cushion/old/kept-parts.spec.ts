import type { Cushion } from '../../../job/document';
import { madeAlone } from '../../../testing/covers';
import { demoShop, sampleCushion, sampleJob } from '../../../testing/samples';
import { plan } from '../../plan';

type OldCover = NonNullable<NonNullable<Cushion['seat']>['oldCover']>;
const cushion = (oldCover: OldCover | undefined, over: Partial<Cushion> = {}): Cushion =>
  sampleCushion({
    quantity: 2,
    construction: { kind: 'boxed', edge: 'welt', vents: 4, handles: 2 },
    seat: oldCover ? { oldCover } : {},
    ...over,
  });
const amounts = (one: Cushion): Record<string, number> =>
  Object.fromEntries(plan(sampleJob([one]), demoShop()).buy.map(({ ware, amount }) => [ware, amount?.value ?? NaN]));
const step = (one: Cushion, id: string): string | undefined => madeAlone(one).operations.find((each) => each.id === id)?.text;

describe('parts of the old cover', () => {
  const bare = amounts(cushion(undefined));

  it('that are kept are not bought, and no more of them is counted than is needed', () => {
    const worn = (keeps: OldCover['keeps']): Cushion => cushion({ findings: ['worn'], ...(keeps ? { keeps } : {}) });
    const some = amounts(worn({ eyelets: 3, cordMm: 1000 }));
    expect(bare['eyelets']).toBe(8);
    expect(some['eyelets']).toBe(5);
    expect(some['cord']).toBeCloseTo((bare['cord'] ?? 0) - 1000, 6);
    // Ten eyelets for eight holes: none is bought, and the line is gone.
    expect(amounts(worn({ eyelets: 10 }))['eyelets']).toBeUndefined();
  });

  it('handles: those there are go on, the rest is cut; half a handle a cushion is none', () => {
    const handles = (kept: number): number =>
      madeAlone(cushion({ findings: ['worn'], keeps: { handles: kept } })).pieces.find(({ role }) => role === 'handle')?.countPerCushion ?? 0;
    expect([1, 2, 3, 4].map(handles)).toEqual([2, 1, 1, 0]);
    expect(step(cushion({ findings: ['worn'], keeps: { handles: 4 } }), 'sew/handles')).toContain('Box-stitch the old cover’s 2 handles on the boxing');
  });

  it('are taken off in a step of their own, before the work; a good zip too, a cover that goes back on gives none', () => {
    const made = madeAlone(cushion({ findings: ['faded', 'zip-good'], keeps: { eyelets: 8 } }));
    expect(made.operations[0]?.id).toBe('prepare/save-parts');
    expect(made.operations[0]?.text).toContain('its zip with both stops, 8 eyelets');
    const back = cushion({ findings: ['zip-good'], keeps: { eyelets: 8 } });
    expect(step(back, 'prepare/save-parts')).toBeUndefined();
    expect(step(cushion({ findings: ['worn'] }), 'prepare/save-parts')).toBeUndefined();
  });
});
