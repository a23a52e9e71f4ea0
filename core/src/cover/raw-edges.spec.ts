import type { Job } from '../job/document';
import { plan } from '../plan/plan';
import { openShop, type ShopDocument } from '../shop/shop';
import { demoShop, sampleCushion, sampleJob } from '../testing/samples';
import type { Construction } from './list';

const demo = demoShop();

function planned(ways: Partial<ShopDocument>, material: string, construction: Partial<Construction> = {}) {
  const shop = openShop({ ...demo.document, ...ways });
  const cushion = sampleCushion({ construction: { kind: 'boxed', edge: 'plain', seamMm: 13, ...construction } as Construction });
  const job: Job = sampleJob([cushion], { cloth: { material, widthMm: demo.cloth(material)?.widthMm ?? 1400 } });
  const [one] = plan(job, shop).cushions;
  if (one?.state !== 'planned') throw new Error('blocked');
  const step = (id: string) => one.operations.find((operation) => operation.id === id);
  return { one, step, minutes: one.operations.reduce((sum, { minutes }) => sum + minutes, 0) };
}

describe('raw edges', () => {
  it('of cloth that frays are overlocked after cutting and before sewing, by the metre of every edge', () => {
    const { one, step } = planned({ rawEdges: 'overlocked' }, 'russet-wool');
    const done = step('cut/edges-overlocked');
    // All pieces are rectangles: round each by its figures, not by its outline.
    const cloth = one.pieces.filter(({ material }) => material.kind === 'cloth');
    const runMm = cloth.reduce((mm, { width, height, countPerCushion }) => mm + countPerCushion * 2 * (width.value + height.value), 0);
    expect(done?.pieces.length).toBe(cloth.length);
    expect(done?.minutes).toBeCloseTo(demo.assume('cutFixedMinutes', 'metric') + 0.5 * (runMm / 1000), 6);
    const order = one.operations.map(({ id }) => id);
    expect(order.indexOf('cut/edges-overlocked')).toBeGreaterThan(order.indexOf('cut/notch'));
    expect(order.indexOf('cut/edges-overlocked')).toBeLessThan(order.indexOf('sew/band-to-top'));
  });

  it('are sealed with a hot knife where the cloth is synthetic, with its cautions, and never of cotton or wool', () => {
    const ways = { rawEdges: 'pinked', rawEdgesSynthetic: 'sealed' } as const;
    const canvas = planned(ways, 'rain-canvas');
    expect(canvas.step('cut/edges-sealed')?.cautions.join(' ')).toContain('Fumes');
    const wool = planned(ways, 'russet-wool');
    expect([wool.step('cut/edges-sealed'), wool.step('cut/edges-pinked')?.phase]).toEqual([undefined, 'cut']);
  });

  it('of leather and vinyl do not fray: nothing is done', () => {
    for (const material of ['saddle-hide', 'foyer-vinyl'])
      expect(planned({ rawEdges: 'overlocked', rawEdgesSynthetic: 'sealed' }, material).one.operations.filter(({ id }) => id.startsWith('cut/edges'))).toEqual(
        [],
      );
  });

  it('are covered by a row on each joining seam, which takes as long as the seam; a ridge is that row already', () => {
    const [left, covered] = [planned({}, 'russet-wool'), planned({ rawEdges: 'top-stitched' }, 'russet-wool')];
    const by = covered.one.operations.filter(({ cautions }) => cautions.some((words) => words.startsWith('Raw edges')));
    expect(by.map(({ id }) => id)).toContain('sew/band-to-top');
    // Round the plate, 2 × (590 + 490), at the shop's rate.
    const more = (covered.step('sew/band-to-top')?.minutes ?? NaN) - (left.step('sew/band-to-top')?.minutes ?? NaN);
    expect(more).toBeCloseTo(2.16 * demo.assume('sewMetreMinutes', 'metric'), 1);
    const ridged = planned({ rawEdges: 'top-stitched' }, 'russet-wool', { edge: 'ridge' } as Partial<Construction>);
    expect(ridged.step('sew/band-to-top')?.cautions.some((words) => words.startsWith('Raw edges'))).toBeFalse();
  });

  it('say where the seam allowance is too small for them', () => {
    const codes = (seamMm: number) => planned({ rawEdges: 'pinked' }, 'russet-wool', { seamMm } as Partial<Construction>).one.problems.map(({ code }) => code);
    expect(codes(9)).toContain('raw-edge-wants-allowance');
    expect(codes(10)).not.toContain('raw-edge-wants-allowance');
  });
});
