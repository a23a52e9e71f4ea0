import type { Cushion } from '../../job/document';
import type { Stage, StageLine } from '../../piece/stage';
import { polygonArea } from '../../geometry/polygon';
import { madeAlone } from '../../testing/covers';
import { sampleCushion } from '../../testing/samples';
import { placketStages } from '../plaque/plaque-stages';
import { ladderStages } from './hand-stages';
import { threeCutsStages } from './corner-stages';
import { inPlaceStages, walkedBandStages, weltRingStages } from './ring-stages';
import { pleatStages } from './staple-stages';

const of = ({ lines }: Stage, look: StageLine['look']): readonly StageLine[] => lines.filter((one) => one.look === look);
/** Length of a line that runs along the drawing: layers lie apart only upwards. */
const across = ({ points }: StageLine): number => points.slice(1).reduce((sum, p, i) => sum + Math.abs(p.x - points[i]!.x), 0);
const stepOf = (construction: object, id: string, over: Partial<Cushion> = {}) =>
  madeAlone(sampleCushion({ construction: construction as Cushion['construction'], ...over })).operations.find((one) => one.id === id);

describe('stages of a step that is worked by hand', () => {
  it('joins the boxing in place: all that was cut long until it is trimmed, one seam beyond the fold after it', () => {
    const [sewn, folded, trimmed, joined] = inPlaceStages({ openMm: 50, longMm: 50, seamMm: 13 }) as [Stage, Stage, Stage, Stage];
    const boxing = (stage: Stage): number => across(of(stage, 'cloth')[1]!);
    // 3.4 × 50 = 170 of it lie before the place where it meets the plaque.
    expect([sewn, folded, trimmed].map(boxing)).toEqual([220, 220, 183]);
    // Sewn up to 50 short of it; at last right through.
    expect(of(sewn, 'stitch')[0]!.points[1]!.x).toBe(-50);
    expect(of(joined, 'stitch')[0]!.points[1]!.x).toBeGreaterThan(0);
    const step = stepOf({ kind: 'boxed', edge: 'plain', order: 'joined-in-place' }, 'sew/join-in-place');
    expect(step?.stages.length).toBe(4);
  });

  it('trims a corner in three cuts: each takes cloth away, none reaches the stitch', () => {
    const stages = threeCutsStages(13);
    const left = stages.map((stage) => Math.abs(polygonArea([...of(stage, 'cloth')[0]!.points, { x: -65, y: -65 }])));
    expect(left[0]! > left[1]! && left[1]! > left[2]! && left[2]! > left[3]!).toBeTrue();
    // On the diagonal the third cut runs less than the allowance but more than nothing from the stitch’s corner.
    const [cut] = of(stages[2]!, 'cut');
    const middle = (cut!.points[0]!.x + cut!.points[1]!.x) / 2;
    expect(middle > -3 && middle < 6.5).toBeTrue();
    for (const { points } of of(stages[2]!, 'cut')) for (const p of points) expect(p.x > 0 || p.y > 0).toBeTrue();
  });

  it('shows a ring’s join with the shop’s figures: 50 past the mark, 125 from there', () => {
    const [begun] = weltRingStages({ startMm: 50, stopMm: 125, overMm: 25, turnMm: 13 });
    const rows = of(begun!, 'stitch').map(({ points }) => [points[0]!.x, points[1]!.x]);
    expect(rows).toEqual([
      [50, 162.5],
      [-162.5, -75],
    ]);
    const [open, , closed] = walkedBandStages({ openMm: 75, seamMm: 13, pastMm: 25 });
    expect(of(open!, 'stitch').map(({ points }) => points.map(({ x }) => x))).toEqual([
      [-180, -75],
      [75, 180],
    ]);
    expect(of(closed!, 'stitch')[1]!.points.map(({ x }) => x)).toEqual([75, 100]);
  });

  it('folds a placket of 75 so that 25 are left of it to see, whole at every moment', () => {
    for (const stage of placketStages(75, 25, 13)) expect(across(of(stage, 'cloth')[0]!)).toBe(75);
    const [{ points }] = of(placketStages(75, 25, 13)[0]!, 'cloth') as [StageLine];
    expect([points[0]!.x - points.at(-1)!.x, points[0]!.x - points[1]!.x]).toEqual([25, 50]);
  });

  it('carries a ladder stitch straight across and along, one side at a time', () => {
    const [thread] = of(ladderStages(13, 6)[1]!, 'thread');
    const moves = thread!.points.slice(1).map((p, i) => [p.x - thread!.points[i]!.x, p.y - thread!.points[i]!.y] as const);
    moves.forEach(([dx, dy], i) => expect(i % 2 ? dx : Math.abs(dy)).toBeCloseTo(i % 2 ? 6 : 4.8, 9));
    moves.forEach(([dx, dy], i) => expect(i % 2 ? dy : dx).toBe(0));
  });

  it('lays as many pleats under a round frame as its plan counts', () => {
    const staple = stepOf({ kind: 'pull-over' }, 'fix/staple', {
      given: 'seat',
      template: { shape: 'round-back', widthMm: 500, depthMm: 500, riseMm: 249.999 },
    });
    const told = /(\d+) small pleats/.exec(staple!.text)?.[1];
    const drawn = staple!.stages.find(({ words }) => words.startsWith('halved'));
    expect(told).toBeDefined();
    expect(of(drawn!, 'staple').length).toBe(Number(told) + 2);
    expect(of(pleatStages(25, 50, 1)[1]!, 'staple').length).toBe(3);
  });

  it('has the steps that are drawn in the constructions that have them', () => {
    const drawn = (construction: object, id: string, over: Partial<Cushion> = {}): number => stepOf(construction, id, over)?.stages.length ?? -1;
    expect(drawn({ kind: 'boxed', edge: 'welt' }, 'sew/welt-on')).toBe(3);
    expect(drawn({ kind: 'boxed', edge: 'plain', closing: 'hand' }, 'fill/close')).toBe(3);
    expect(drawn({ kind: 'boxed', edge: 'plain', boxing: 'panels', order: 'panel-by-panel' }, 'sew/corners-last')).toBe(4);
    expect(drawn({ kind: 'waterfall', edge: 'welt' }, 'sew/plaque-ends')).toBe(3);
    expect(drawn({ kind: 'waterfall' }, 'look/halves-side-bottom')).toBe(2);
    expect(drawn({ kind: 'rolled-edge' }, 'fix/tufts')).toBe(3);
    expect(drawn({ kind: 'knife-edge' }, 'fill/close', { given: 'core' })).toBe(2);
    expect(drawn({ kind: 'boxed', edge: 'plain' }, 'prepare/wrap', { wrapWay: 'parcel' })).toBe(3);
  });
});
