import type { Point } from '../../../geometry/point';
import { seededRandom } from '../../../kernel/random';
import type { LayItem, LayRequest } from '../../contract';
import { validateLay } from '../../validate';
import { Budget } from '../budget';
import { Beams } from './beams';
import { areaUnder, deepestPit, Drop, emptyFront, FrontMaker, reachOf } from './front';
import { mirrored, profileOf } from './profile';

const ring = (...points: readonly (readonly [number, number])[]): Point[] => points.map(([x, y]) => ({ x, y }));
const box = (w: number, h: number): Point[] => ring([0, 0], [w, 0], [w, h], [0, h]);
/** Upright at the left, its right side runs in from 300 below to 100 above. */
const WEDGE = ring([0, 0], [300, 0], [100, 200], [0, 200]);

describe('a piece seen along the roll', () => {
  it('has its sides over its height, about its own box', () => {
    const wedge = profileOf(WEDGE, 0);
    expect([...wedge.rows].map(Math.round)).toEqual([0, 200, 0, 0, 300, 100]);
    expect(wedge.w).toBeCloseTo(300, 6);
    expect([wedge.h, wedge.isBox]).toEqual([200, false]);
    expect(profileOf(box(300, 200), 0).isBox).toBeTrue();
    const moved = profileOf(
      WEDGE.map(({ x, y }) => ({ x: x - 50, y: y + 20 })),
      0,
    );
    expect([moved.ox, moved.oy]).toEqual([50, -20]);
    // From the other end the slant is on the left.
    expect([...mirrored(wedge).rows].map(Math.round)).toEqual([0, 200, 0, 200, 300, 300]);
  });

  it('keeps the gap to others: a box is larger by it, a slant is further out by as much along as half the gap is across', () => {
    const grown = profileOf(box(300, 200), 6);
    expect([grown.w, grown.h]).toEqual([306, 206]);
    // At the middle, the right side of what lies within 3 above and below is that of 3 below: 203, and 3 beyond it on each side 209.
    const rows = profileOf(WEDGE, 6).rows;
    let right = NaN;
    for (let i = 0; i < rows.length; i += 6) {
      const [from, to, a, b] = [rows[i]!, rows[i + 1]!, rows[i + 4]!, rows[i + 5]!];
      if (from <= 103 && to > 103) right = a + ((b - a) * (103 - from)) / (to - from);
    }
    expect(right).toBeGreaterThan(209 - 1e-3);
    expect(right).toBeLessThan(209 + 2);
  });
});

describe('the front of a lay', () => {
  const make = new FrontMaker();
  const drop = new Drop();
  const wedge = profileOf(WEDGE, 0);

  it('takes a piece where it touches, and tells what is shut in and what it grows by', () => {
    const front = make.withPiece(emptyFront(500), wedge, 0, 0);
    expect(reachOf(front)).toBeCloseTo(300, 6);
    expect(areaUnder(front)).toBeCloseTo(40_000, 6);
    // A box 100 across against the slant: it meets it at its lower end, at 300, and shuts a triangle of 100 × 100 in.
    drop.at(front, profileOf(box(50, 100), 0), 0);
    expect(drop.x).toBeCloseTo(300, 6);
    expect(drop.shut).toBeCloseTo(5_000, 4);
    expect(drop.gain).toBeCloseTo(5_000 + 5_000, 4);
    // The wedge turned by half a turn lies on it face to face: nothing is shut in, and the front is level.
    const turned = profileOf(ring([300, 200], [0, 200], [200, 0], [300, 0]), 0);
    drop.at(front, turned, 0);
    expect(drop.x).toBeCloseTo(100, 6);
    expect(drop.shut).toBeCloseTo(0, 4);
    const level = make.withPiece(front, turned, drop.x, 0);
    expect(deepestPit(level, 2)).toEqual({ low: 200, high: 500, levelMm: jasmine.any(Number) });
    expect(deepestPit(level, 2).levelMm).toBeCloseTo(400, 4);
  });

  it('has its deepest pit between its walls, and none when it is level', () => {
    let front = make.withPiece(emptyFront(1000), profileOf(box(200, 300), 0), 0, 0);
    front = make.withPiece(front, profileOf(box(120, 400), 0), 0, 600);
    expect(deepestPit(front, 2)).toEqual({ low: 300, high: 600, levelMm: 120 });
    const filled = make.raised(front, 300, 600, 120);
    expect(deepestPit(filled, 2)).toEqual({ low: 300, high: 1000, levelMm: 200 });
    expect(deepestPit(make.raised(filled, 300, 1000, 200), 2).levelMm).toBe(Infinity);
  });
});

describe('beams', () => {
  const items = (...of: readonly (readonly [id: string, w: number, h: number, count: number])[]): LayItem[] =>
    of.map(([id, w, h, count]) => ({ id, polygon: box(w, h), count, turns: [0] }));

  function shortest(
    of: readonly LayItem[],
    widthMm: number,
    gapMm: number,
    runs: number,
  ): ReturnType<Beams['next']> extends Generator<void, infer Lay> ? Lay : never {
    const beams = new Beams(of, widthMm, gapMm, seededRandom(1));
    const budget = new Budget(1e6);
    let best: Beams['kept'][number] | null = null;
    for (let run = 0; run < runs; run++) {
      const work = beams.next(budget);
      let step = work.next();
      while (!step.done) step = work.next();
      if (step.value && (!best || step.value.lengthMm < best.lengthMm)) best = step.value;
    }
    return best;
  }

  it('fill a rectangle that boxes were cut from, with the gap between them kept', () => {
    // 1000 across: 600 + 400, 300 + 700 and 500 + 500 side by side, 250 + 150 + 200 long, with 4 between them.
    const gap = 4;
    const puzzle = items(['a', 250, 598, 1], ['b', 250, 398, 1], ['c', 150, 298, 1], ['d', 150, 698, 1], ['e', 200, 498, 2]);
    const lay = shortest(puzzle, 1000, gap, 12)!;
    expect(lay.lengthMm).toBeCloseTo(608, 6);
    const request: LayRequest = {
      format: 'yardland/lay-request@2',
      material: { kind: 'roll', widthMm: 1000 },
      gapMm: gap,
      items: puzzle,
      pins: [],
      seed: 1,
      moves: 0,
    };
    const answer = { format: 'yardland/lay-answer@2', ...lay, sheets: 1, unplaced: [], bound: 0, use: 1, moves: 0, stopped: false } as const;
    expect(validateLay(request, answer)).toEqual([]);
  });

  it('lay wedges against each other, from either end', () => {
    const wedges: LayItem[] = [{ id: 'wedge', polygon: WEDGE, count: 6, turns: [0, 180] }];
    // Three pairs of 400 × 200 side by side.
    expect(shortest(wedges, 600, 0, 8)!.lengthMm).toBeCloseTo(400, 3);
  });
});
