import { planned } from '../../../testing/planned';
import { demoShop, sampleCushion, sampleJob } from '../../../testing/samples';
import { openShop } from '../../../shop/shop';
import { plan } from '../../plan';
import { allButLays, planSolved } from '../../solve';
import { lookedOver } from './look-over';
import { longCoreCosts, oldCoreCosts, stagedJob } from '../../buy/old-core-costs';
import { oldestPrice } from '../../buy/prices';

const old = { edgeMm: 80, middleMm: 69, findings: ['joints-open' as const], mark: 'A' };

describe('a cushion looked over', () => {
  it('is judged by what its own seat asks: density for its use, hardness of its new foam, rules of the place', () => {
    const light = sampleCushion({ seat: { use: 'daily', old: { densityKgM3: 26, findings: [] } } });
    expect(lookedOver(planned(light))?.judged.reasons.map((reason) => reason.code)).toEqual(['old-core-too-light']);
    const occasional = sampleCushion({ seat: { use: 'occasional', old: { densityKgM3: 26, findings: [] } } });
    expect(lookedOver(planned(occasional))?.judged.verdict).toBe('keep');
    const inPublic = sampleCushion({ seat: { fire: { setting: 'public' }, old: { findings: [], rating: 'unknown' } } });
    expect(lookedOver(planned(inPublic))?.judged.verdict).toBe('replace');
    expect(lookedOver(planned(sampleCushion()))).toBeNull();
  });

  it('costs what its minutes, wadding and foam cost, each with its why', () => {
    const one = planned(sampleCushion({ seat: { old } }));
    const shop = demoShop();
    const costs = oldCoreCosts(one, shop, 'metric')!;
    // Glue 20, pad 25, steam 10, wrap 20 minutes at 45 an hour, and the wadding of pad and wrap.
    const work = (75 / 60) * 45;
    expect(costs.refresh!.value).toBeGreaterThan(work);
    expect(costs.refresh!.value).toBeLessThan(work + 12);
    // 590 × 490 × 75 at 290 a m³, 50 minutes, and a wrap.
    const foam = 0.59 * 0.49 * 0.075 * 290;
    expect(costs.replace.value).toBeGreaterThan(foam + (50 / 60) * 45);
    expect(costs.replace.kind).toBe('sum');
  });

  it('of several, joining costs glue, work and wadding, against a new core at the oldest of its prices', () => {
    const { document } = demoShop();
    const dated = { ...document, waddings: document.waddings.map((roll) => ({ ...roll, pricePerM: 0, pricedOn: '2026-09-30' })) };
    const shop = openShop({ ...dated, grades: dated.grades.map((grade) => ({ ...grade, pricePerM3: 290, pricedOn: '2026-11-01' })) });
    const half = (name: string) => ({ name, lengthMm: 600, depthMm: 500, heightMm: 100 });
    const cushion = sampleCushion({
      given: 'core',
      template: { shape: 'rectangle', widthMm: 1200, depthMm: 500 },
      heightMm: 100,
      core: { layers: [{ grade: 'wren-28', thicknessMm: 100 }], kept: true },
      seat: { oldCores: [half('left'), half('right')] },
    });
    const [one] = planSolved(sampleJob([cushion]), shop, allButLays).cushions;
    const costs = longCoreCosts(one!, shop, 'metric')!;
    // No cut, one join of 500 × 100: glue 20, pad 25, wrap 20 minutes at 45 an hour, 0.05 m² of glue at 0.25 l a m² and 18 a litre. The wadding costs nothing here.
    expect(costs.join.value).toBeCloseTo((65 / 60) * 45 + 0.05 * 0.25 * 18, 6);
    expect(costs.replace.value).toBeCloseTo(1.2 * 0.5 * 0.1 * 290 + (50 / 60) * 45, 6);
    expect(costs.pricedOn).toBe('2026-09-30');
    expect(longCoreCosts(planned(sampleCushion()), shop, 'metric')).toBeNull();
    expect(oldestPrice(['2026-11-01', undefined])).toBeNull();
  });

  it('kept, its core is neither laid nor bought, and its refreshing is in the work order', () => {
    const kept = sampleCushion({
      core: { layers: [{ grade: 'wren-28', thicknessMm: 75 }], kept: true },
      seat: { old, oldCover: { offCore: 'A', findings: [] } },
    });
    const one = planned(kept);
    expect(one.pieces.some((piece) => piece.role === 'foam')).toBeFalse();
    const steps = one.operations.map((step) => step.text);
    expect(steps.some((what) => what.startsWith('Re-glue the open joints'))).toBeTrue();
    expect(steps.some((what) => what.startsWith('Cut the foam'))).toBeFalse();
    expect(steps.some((what) => what.includes('Core A goes in'))).toBeTrue();
  });

  it('over a job the budget goes to the worst', () => {
    const rows = [
      sampleCushion({ name: 'Sat out', seat: { old } }),
      sampleCushion({ name: 'Crumbles', quantity: 3, seat: { old: { findings: ['crumbling', 'mould'] } } }),
      sampleCushion({ name: 'New' }),
    ];
    const job = sampleJob(rows, { budget: 100 });
    const staged = stagedJob(plan(job, demoShop()));
    expect(staged.rows.map((row) => [row.cushion, row.verdict])).toEqual([
      [0, 'patch'],
      [1, 'replace'],
    ]);
    const each = staged.rows[1]!.replace.value;
    expect(staged.staged).toEqual([
      { row: 1, now: Math.floor(100 / each), later: 3 - Math.floor(100 / each), patched: false },
      { row: 0, now: 0, later: 1, patched: true },
    ]);
    expect(staged.spent).toBeLessThanOrEqual(100);
  });

  it('two cores with one mark are told', () => {
    const job = sampleJob([sampleCushion({ name: 'One', seat: { old } }), sampleCushion({ name: 'Two', seat: { old } })]);
    expect(
      plan(job, demoShop())
        .problems.filter((problem) => problem.code === 'core-mark-twice')
        .map((problem) => problem.path),
    ).toEqual(['cushions.1.seat.old.mark']);
  });
});

describe('lots', () => {
  const withLots = (lots: readonly { lot: string; thicknessMm: number; sheets: number }[]) => {
    const { document } = demoShop();
    const shop = openShop({ ...document, grades: document.grades.map((grade) => (grade.id === 'wren-28' ? { ...grade, lots: [...lots] } : grade)) });
    const job = sampleJob([sampleCushion({ quantity: 18 })]);
    return planSolved(job, shop);
  };
  const sheets = withLots([]).lays.find((lay) => lay.subject.kind === 'foam')?.answer?.sheets ?? 0;

  it('a set is cut from the one lot that holds enough with the least left over', () => {
    expect(sheets).toBeGreaterThan(2);
    const both = withLots([
      { lot: 'large', thicknessMm: 75, sheets: sheets + 6 },
      { lot: 'snug', thicknessMm: 75, sheets },
      { lot: 'other thickness', thicknessMm: 50, sheets: 40 },
    ]);
    expect(both.lots[0]?.lot).toBe('snug');
    expect(both.buy.find((line) => line.ware === 'foam')?.lot).toBe('snug');
    expect(both.problems.map((problem) => problem.code)).not.toContain('lot-would-be-split');
  });

  it('is warned of when it would be split, and not where nothing is on the shelf', () => {
    const split = withLots([
      { lot: 'a', thicknessMm: 75, sheets: sheets - 1 },
      { lot: 'b', thicknessMm: 75, sheets: 2 },
    ]);
    expect(split.problems.find((problem) => problem.code === 'lot-would-be-split')?.data).toEqual(
      jasmine.objectContaining({ sheets, most: sheets - 1, together: sheets + 1 }),
    );
    expect(withLots([]).problems.map((problem) => problem.code)).not.toContain('lot-would-be-split');
  });
});
