import type { Cushion } from '../job/document';
import { plan } from '../plan/plan';
import { planSolved } from '../plan/solve';
import { demoShop, sampleCushion, sampleJob } from '../testing/samples';
import { stationStates } from './station-states';
import { STATIONS, stationOf } from './stations';

const shop = demoShop();
const states = (over: Partial<Cushion> = {}, job = {}) => stationStates(plan(sampleJob([sampleCushion(over)], job), shop), 0);

describe('the stations', () => {
  it('stand in working order', () => {
    expect(STATIONS.map(({ name }) => name)).toEqual(['Look over', 'Filling', 'Template', 'Build', 'Cover', 'Lay', 'Bench', 'Check']);
  });

  it('are done, doubtful or blocked by the problems that belong to them', () => {
    expect(states()).toEqual(
      jasmine.objectContaining({ filling: 'done', template: 'done', build: 'done', cover: 'done', lay: 'working', bench: 'open', check: 'open' }),
    );
    expect(states({ core: { layers: [] } }).filling).toBe('blocked');
    expect(states({ core: { layers: [{ grade: 'wren-28', thicknessMm: 50 }] } }).filling).toBe('doubtful');
    expect(states({ wrapLoftMm: 0 }).build).toBe('doubtful');
    const broken = states({ template: { shape: 'rectangle', widthMm: 300, depthMm: 300, cornerRadiusMm: 200 } });
    expect([broken.template, broken.build, broken.cover, broken.bench]).toEqual(['blocked', 'blocked', 'blocked', 'blocked']);
    expect(states({}, { cloth: { widthMm: 500 } }).cover).toBe('blocked');
  });

  it('take the lay as done when every answer is there, and as blocked when a piece fits nowhere', () => {
    const solved = (job: ReturnType<typeof sampleJob>) => {
      return stationStates(planSolved(job, shop), 0).lay;
    };
    expect(solved(sampleJob())).toBe('done');
    expect(solved(sampleJob([sampleCushion()], { cloth: { widthMm: 500 } }))).toBe('blocked');
  });

  it('take bench and check from what was ticked and measured', () => {
    const steps = plan(sampleJob(), shop).cushions[0]!.operations;
    const done = Object.fromEntries(steps.map((step) => [step.id, { count: 1 }]));
    expect(states({ bench: { done } }).bench).toBe('done');
    expect(states({ quantity: 2, bench: { done } }).bench).toBe('open');
    expect(states({ checks: [{ date: '2026-11-20', widthMm: 591 }] }).check).toBe('done');
    expect(states({ checks: [{ date: '2026-11-20', widthMm: 640 }] }).check).toBe('doubtful');
    expect(states({ seat: { support: 'board', use: 'daily' } })['look-over']).toBe('done');
  });

  it('know where a problem is mended', () => {
    expect(
      ['cushions.3.core.layers.0.grade', 'cloth.widthMm', 'cushions.0.template.cornerRadiusMm', 'wrapLoftMm', 'construction.strips'].map(stationOf),
    ).toEqual(['filling', 'cover', 'template', 'build', 'cover']);
  });
});
