import { madeAlone } from '../testing/covers';
import { sampleCushion, sampleJob, demoShop } from '../testing/samples';
import { planSolved } from '../plan/solve';
import type { Cushion } from '../job/document';
import { operation } from '../piece/operation';
import { doneBy, doneOn, signedBy, toggledOn, whereabouts } from './batch';
import { stationStates } from '../progress/station-states';
import { openedAgain, redoing } from './recut';
import { sewnRuns } from './runs';
import type { Tick } from './ticks';
import { benchTime } from './time';

const op = (id: string, phase: 'cut' | 'prepare' | 'sew' | 'fill', minutes: number, pieces: readonly string[] = []) =>
  operation({ id, phase, text: id, minutes, needs: 'table', pieces });

/** A small cover: the welt never touches the bottom, the boxing everything. */
const COVER = [
  op('cut', 'cut', 10, ['top', 'bottom', 'boxing', 'welt']),
  op('foam', 'prepare', 5, ['foam']),
  op('welt-on', 'sew', 4, ['top', 'welt']),
  op('band-to-top', 'sew', 8, ['top', 'boxing']),
  op('band-to-bottom', 'sew', 7, ['bottom', 'boxing']),
  op('insert', 'fill', 6, []),
];

describe('a batch', () => {
  it('knows which of the cushions a step is done on, also from ticks that only count', () => {
    expect(doneOn({ count: 2 }, 6)).toEqual([1, 2]);
    expect(doneOn({ count: 2, on: [5, 3, 3, 9] }, 6)).toEqual([3, 5]);
    expect(toggledOn({ count: 2 }, 2, 6)).toEqual([1]);
    expect(toggledOn(undefined, 4, 6)).toEqual([4]);
  });

  it('says where each cushion is', () => {
    const at = whereabouts(COVER, { cut: { count: 3 }, foam: { count: 1, on: [2] }, 'welt-on': { count: 2, on: [1, 2] } }, 3);
    expect(at.map(({ cushion, done, next }) => [cushion, done, next?.id])).toEqual([
      [1, 2, 'foam'],
      [2, 3, 'band-to-top'],
      [3, 1, 'foam'],
    ]);
  });

  it('takes the shop’s minutes, by phase and what is left of them', () => {
    const time = benchTime(COVER, { cut: { count: 3 }, foam: { count: 1 } }, { cut: 36 }, 3);
    // 40 minutes each; left are 2 × 5 of the foam and 3 × 25 from sewing on.
    expect([time.eachMinutes, time.allMinutes, time.leftMinutes]).toEqual([40, 120, 85]);
    expect(time.phases.map(({ phase, leftMinutes }) => [phase, leftMinutes])).toEqual([
      ['cut', 0],
      ['prepare', 10],
      ['sew', 57],
      ['fill', 18],
    ]);
    expect([time.clockedMinutes, time.reckonedMinutes]).toEqual([36, 30]);
  });
});

describe('a piece found to be wrong', () => {
  const ticks: Record<string, Tick> = {
    cut: { count: 4 },
    'welt-on': { count: 4 },
    'band-to-top': { count: 3 },
    'band-to-bottom': { count: 2 },
    insert: { count: 1 },
  };

  it('opens what was sewn with it, and the filling where it is in, the last first', () => {
    const made = redoing(COVER, ticks, 4, { piece: 'top', cushions: [1, 3] }, 1);
    // The bottom seam does not hold the top plate; cushion 1 is filled, cushion 3 is not.
    expect(made.unpick.map(({ operation: { id }, cushions }) => [id, cushions])).toEqual([
      ['insert', [1]],
      ['band-to-top', [1, 3]],
      ['welt-on', [1, 3]],
    ]);
    expect(made.redo.map(({ operation: { id } }) => id)).toEqual(['welt-on', 'band-to-top', 'insert']);
    // Twice each: opened and done again.
    expect(made.minutes).toBe(2 * (2 * 4 + 2 * 8 + 6));
    expect(openedAgain(ticks, made, 4)).toEqual({
      cut: { count: 4 },
      'welt-on': { count: 2, on: [2, 4] },
      'band-to-top': { count: 1, on: [2] },
      'band-to-bottom': { count: 2 },
    });
  });

  it('undoes nothing that was not begun', () => {
    const made = redoing(COVER, { cut: { count: 4 } }, 4, { piece: 'boxing', cushions: [1, 2, 3, 4] }, 1);
    expect([made.redo, made.minutes]).toEqual([[], 0]);
  });

  it('is laid among what is cut of its material and beyond it, or bought', () => {
    const job = (recuts: NonNullable<Cushion['bench']>['recuts']) =>
      planSolved(
        sampleJob([sampleCushion({ quantity: 4, template: { shape: 'rectangle', widthMm: 600, depthMm: 500 }, bench: { done: {}, recuts } })], {
          cloth: { widthMm: 1400 },
        }),
        demoShop(),
      );
    const cloths = (plan: ReturnType<typeof job>) => plan.buy.filter(({ ware }) => ware === 'cloth').map(({ name, amount }) => [name, amount?.value]);
    const before = job(undefined as never);
    const one = job([{ piece: 'plate', cushions: [2], each: 1, date: '2026-01-05' }]);
    const lay = one.lays.find(({ key }) => key === 'cloth/recut');
    // Nothing of the roll is left that is large enough.
    expect(one.lays.find(({ key }) => key === 'cloth/left of 1')?.answer?.unplaced).toEqual(['0/plate']);
    // 626 × 526 by itself: the roll is 526 long there, more than is left of one bought to the next tenth of a metre.
    expect(lay?.request.items.map(({ id, count }) => [id, count])).toEqual([['0/plate', 1]]);
    expect(lay?.answer?.lengthMm).toBeCloseTo(526, 6);
    expect(cloths(one)).toEqual([...cloths(before), [`${String(cloths(before)[0]?.[0])}, cut anew`, 600]]);
    // The first lay is not touched by it: what is cut stays.
    expect(one.lays[0]?.hash).toBe(before.lays[0]?.hash as string);
    // Two cores 600 × 500 of the four that lie on one sheet of 2000 × 1000: they lie beyond them on the same sheet, and no sheet is bought.
    const foam = job([{ piece: 'foam-1', cushions: [2, 3], each: 1, date: '2026-01-05' }]);
    const again = foam.lays.find(({ recutOf }) => recutOf === 'foam-wren-28-75');
    expect(again?.answer?.placements.length).toBe(2);
    expect(again?.problems).toEqual([]);
    expect(stationStates(foam, 0).lay).toBe('done');
    expect(stationStates(one, 0).lay).toBe('done');
    expect(again?.request.material.kind === 'hide' && again.request.material.taken?.length).toBe(4);
    expect(foam.buy.filter(({ ware }) => ware === 'foam').map(({ amount }) => amount?.value)).toEqual([1]);
  });
});

describe('whose a tick is', () => {
  it('is told for each cushion: who ticked before keeps theirs, a tick taken back is nobody’s', () => {
    const first: Tick = { count: 2, on: [1, 2], by: signedBy(undefined, [1, 2], 'Alma', 6) };
    const second: Tick = { count: 3, on: [2, 3, 5], by: signedBy(first, [2, 3, 5], 'Bo', 6) };
    expect(doneBy(second, 6)).toEqual([
      { person: 'Alma', cushions: [2] },
      { person: 'Bo', cushions: [3, 5] },
    ]);
    // Nobody said who they are; and what an older tick does not tell is not made up.
    expect(signedBy(second, [2, 3, 5, 6], '', 6)).toEqual({ 2: 'Alma', 3: 'Bo', 5: 'Bo' });
    expect(doneBy({ count: 2 }, 6)).toEqual([]);
  });
});

describe('the stretches that a step sews', () => {
  it('are as long as the seam on either piece, and share its letter', () => {
    const one = madeAlone(sampleCushion({ template: { shape: 'rectangle', widthMm: 600, depthMm: 480, cornerRadiusMm: 60 } }));
    const long = (points: readonly { readonly x: number; readonly y: number }[]): number =>
      points.slice(1).reduce((sum, p, i) => sum + Math.hypot(p.x - (points[i]?.x ?? 0), p.y - (points[i]?.y ?? 0)), 0);
    let looked = 0;
    for (const step of one.cover.operations.filter(({ seams }) => seams.length)) {
      const runs = sewnRuns(step, one.pieces, one.cover.seams);
      for (const seam of one.cover.seams.filter(({ id }) => step.seams.includes(id))) {
        const here = runs.filter((run) => run.seam === seam.id);
        const folded = seam.edges.flatMap(({ stretches }) => stretches).reduce((sum, { foldedMm = 0 }) => sum + foldedMm, 0);
        // Drawn as chords of 13 to a curve: a little short of the arc.
        const drawn = here.reduce((sum, run) => sum + long(run.points), 0) - folded;
        expect(Math.abs(drawn - seam.edges[0].lengthMm - seam.edges[1].lengthMm)).toBeLessThan(2);
        expect(new Set(here.map(({ letter }) => letter)).size).toBe(1);
        looked++;
      }
    }
    expect(looked).toBeGreaterThan(4);
  });
});
