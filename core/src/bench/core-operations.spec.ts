import type { Cushion } from '../job/document';
import { planned } from '../testing/planned';
import { sampleCushion } from '../testing/samples';

const operation = (over: Partial<Cushion>, id: string) => planned(sampleCushion(over)).operations.find((one) => one.id === id);

describe('the work on a core', () => {
  it('holds the wrap as it was chosen, each way with its own cautions and no other', () => {
    const wrap = (wrapFix?: Cushion['wrapFix']) => operation(wrapFix ? { wrapFix } : {}, 'prepare/wrap')!;
    expect(wrap().text).toContain('tacky');
    expect(wrap().cautions.join(' ')).toContain('open the window');
    expect(wrap('staples').text).toContain('Staple it round the edge seam');
    expect(wrap('staples').cautions.join(' ')).not.toContain('window');
    expect(wrap('stitch').cautions).toEqual([]);
    expect(wrap('loose').cautions.join(' ')).toContain('rolls up');
    expect(wrap('loose').waitMinutes ?? 0).toBe(0);
  });

  it('cuts slab with scissors or a knife, a layer at a time, and foam with the saw', () => {
    const slab = operation({ core: { layers: [{ grade: 'dunnock-40', thicknessMm: 75 }] } }, 'cut/foam-1')!;
    expect(slab.text).toContain('scissors');
    expect(slab.cautions.join(' ')).not.toContain('Foam saw');
    expect(operation({}, 'cut/foam-1')!.cautions.join(' ')).toContain('Foam saw');
  });

  it('wraps springs in felt before anything is glued to them, and slides them in neither bagged nor compressed', () => {
    const core = {
      layers: [
        { grade: 'wren-28', thicknessMm: 30 },
        { grade: 'plover-springs', thicknessMm: 120 },
      ],
    };
    const ids = planned(sampleCushion({ core, heightMm: 150 })).operations.map(({ id }) => id);
    expect(ids.indexOf('prepare/felt')).toBeGreaterThan(ids.indexOf('cut/felt-2-second'));
    expect(ids.indexOf('prepare/felt')).toBeLessThan(ids.indexOf('prepare/glue-layers'));
    expect(operation({ core, heightMm: 150 }, 'fill/insert')!.text).toContain('neither bagged nor compressed');
    // Springs want the whole back and both corners open.
    const closed = planned(sampleCushion({ core, heightMm: 150, construction: { kind: 'boxed', edge: 'plain', zipReturnMm: 0 } }));
    expect(closed.problems.map(({ code }) => code)).toContain('zip-too-short-for-core');
    const open = planned(sampleCushion({ core, heightMm: 150 }));
    expect(open.problems.map(({ code }) => code)).not.toContain('zip-too-short-for-core');
  });
});
