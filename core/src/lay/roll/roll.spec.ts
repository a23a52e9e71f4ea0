import * as fc from 'fast-check';
import type { Point } from '../../geometry/point';
import { polygonArea } from '../../geometry/polygon';
import { overlapArea } from '../../geometry/overlap';
import { seededRandom } from '../../kernel/random';
import { perfectCut } from '../../testing/perfect-cut';
import { placed, type LayItem, type LayRequest } from '../contract';
import { layEngine, solveLay } from '../engine/engine';
import { validateLay } from '../validate';
import { Budget } from './budget';
import { Copies } from './copies';
import { Mover } from './mover';
import { NoFitMaker } from './no-fit';
import { separate } from './separate';
import { FINE_MM, shapesOf, type Shape } from './shape';
import { joinedUnits, singleUnit } from './units';

const ring = (...points: readonly (readonly [number, number])[]): Point[] => points.map(([x, y]) => ({ x, y }));
const box = (w: number, h: number): Point[] => ring([0, 0], [w, 0], [w, h], [0, h]);
const item = (id: string, polygon: readonly Point[], count = 1, turns: readonly number[] = [0, 180]): LayItem => ({ id, polygon, count, turns });
const asked = (items: readonly LayItem[], widthMm: number, over: Partial<LayRequest> = {}): LayRequest => ({
  format: 'yardland/lay-request@2',
  material: { kind: 'roll', widthMm },
  gapMm: 0,
  items,
  pins: [],
  seed: 1,
  moves: 2000,
  ...over,
});

const TRAPEZOID = ring([0, 0], [400, 0], [300, 200], [100, 200]);
const ELL = ring([0, 0], [300, 0], [300, 100], [100, 100], [100, 300], [0, 300]);

describe('where a piece may not lie', () => {
  const only = (polygon: readonly Point[], turn = 0): Shape => shapesOf(polygon, [turn], FINE_MM)[0]!;

  it('is measured exactly, with a gap beside and slanting edges', () => {
    const square = only(box(100, 100));
    const noFit = new NoFitMaker(0).of(square, square);
    // 30 in from the right, 40 from above: 30 is the shorter way out.
    expect(noFit.depth(70, 60)).toBeCloseTo(30, 9);
    expect(noFit.depth(100, 0)).toBe(0);
    // 5 apart where 8 are kept is 3 too near.
    expect(new NoFitMaker(8).of(square, square).depth(105, 0)).toBeCloseTo(3, 9);
    // A trapezoid beside its twin, upside down: their slanting edges meet where the twin's lower left corner is 300 along.
    const [up, down] = [only(TRAPEZOID), only(TRAPEZOID, 180)];
    const beside = new NoFitMaker(0).of(up, down);
    expect(beside.depth(700, 200)).toBeCloseTo(0, 6);
    // 10 nearer along is 10 × the edge's slope: sin of atan(200 ÷ 100).
    expect(beside.depth(690, 200)).toBeCloseTo(10 * Math.sin(Math.atan2(200, 100)), 6);
  });

  it('is the same by the polygon that is kept for four pairs as by one made for the pair', () => {
    const all = new Copies({ items: [item('a', TRAPEZOID), item('b', ELL)], widthMm: 1000, gapMm: 3, pins: [] }).layout(FINE_MM);
    const random = seededRandom(5);
    let inside = 0;
    for (let k = 0; k < 400; k++) {
      const [lying, moving] = [Math.floor(4 * random()), Math.floor(4 * random())];
      const [x, y] = [900 * (random() - 0.5), 900 * (random() - 0.5)];
      const kept = all.noFit(lying, moving);
      const sign = all.sign(lying, moving);
      const own = new NoFitMaker(3).of(all.shapes[lying]!, all.shapes[moving]!);
      expect(kept.depth(sign * x, sign * y)).toBeCloseTo(own.depth(x, y), 6);
      if (own.depth(x, y) > 0) inside++;
    }
    expect(inside).toBeGreaterThan(20);
  });
});

describe('moving a piece', () => {
  it('slides it along a slanting neighbour to where it touches', () => {
    const copies = new Copies({
      items: [item('lies', TRAPEZOID, 1, [0]), item('moves', TRAPEZOID, 1, [180])],
      widthMm: 200,
      gapMm: 0,
      pins: [{ item: 'lies', copy: 0, sheet: 0, x: 0, y: 0, turn: 0 }],
    });
    const all = copies.layout(FINE_MM);
    all.x[1] = 1500;
    all.y[1] = 200;
    all.length = 2000;
    const mover = new Mover(all, seededRandom(3));
    expect(mover.find(1, { lines: 12, farMm: 2000 }, { cost: 0, reachMm: Infinity })).toBeTrue();
    expect(mover.x).toBeCloseTo(700, 3);
    expect(mover.y).toBeCloseTo(200, 6);
  });

  it('parts pieces that lie on each other, and leaves what is held', () => {
    const copies = new Copies({
      items: [item('a', box(300, 300), 3), item('b', ELL, 2)],
      widthMm: 700,
      gapMm: 2,
      pins: [{ item: 'a', copy: 0, sheet: 0, x: 100, y: 100, turn: 0 }],
    });
    const all = copies.layout(FINE_MM);
    all.length = 1100;
    for (let i = 1; i < all.n; i++) [all.x[i], all.y[i]] = [150, 150];
    const run = separate(all, new Mover(all, seededRandom(1)), new Budget(20_000), { rounds: 60, strikes: 3 });
    let step = run.next();
    while (!step.done) step = run.next();
    expect(step.value).toBe(0);
    expect(all.isClear()).toBeTrue();
    expect([all.x[0], all.y[0]]).toEqual([100, 100]);
  });
});

describe('pieces that fit one another', () => {
  it('are joined: a trapezoid and its twin, strips on the bias to a block; boxes stay single', () => {
    const units = (polygon: readonly Point[], count: number) =>
      joinedUnits(
        Array.from({ length: count }, (_, i) => singleUnit('one', i, polygon, [0, 180])),
        1400,
      );
    const [pair, ...none] = units(TRAPEZOID, 2);
    expect(none).toEqual([]);
    expect(Math.abs(polygonArea(pair!.outline))).toBeCloseTo(2 * 60_000, 6);
    // The members lie beside each other in it, not on each other.
    const [one, other] = pair!.members.map((member) => placed(TRAPEZOID, member));
    expect(overlapArea(one!, other!)).toBeLessThan(0.01);
    const slanted = ring([0, 0], [60, 0], [560, 500], [500, 500]);
    expect(units(slanted, 4).map(({ members }) => members.length)).toEqual([4]);
    expect(units(box(300, 200), 4).length).toBe(4);
  });
});

describe('the lay of a roll', () => {
  it('finds the one way in which crooked pieces fill it', () => {
    const pieces = perfectCut(12, 1370, 800, seededRandom(1)).map((polygon, i) => item(`p${i}`, polygon));
    const request = asked(pieces, 1370, { moves: 60_000 });
    const answer = solveLay(request);
    expect(validateLay(request, answer)).toEqual([]);
    expect(answer.use).toBeGreaterThan(0.9999);
  });

  it('is the same for the same seed, is never longer than by boxes, and keeps what is pinned, whatever is laid', () => {
    const polygons = [box(420, 260), TRAPEZOID, ELL, ring([0, 0], [500, 30], [500, 60], [0, 30]), ring([0, 0], [300, 0], [150, 260])];
    const pieces = fc.array(fc.record({ shape: fc.nat(4), count: fc.integer({ min: 1, max: 4 }), turns: fc.constantFrom([0], [0, 180], [0, 90, 180, 270]) }), {
      minLength: 1,
      maxLength: 6,
    });
    fc.assert(
      fc.property(pieces, fc.constantFrom(0, 3), fc.integer({ min: 500, max: 1400 }), (some, gapMm, widthMm) => {
        const request = asked(
          some.map(({ shape, count, turns }, i) => item(`i${i}`, polygons[shape]!, count, turns)),
          widthMm,
          { gapMm, moves: 400 },
        );
        const answer = solveLay(request);
        expect(validateLay(request, answer)).toEqual([]);
        expect(answer.bound).toBeLessThanOrEqual(answer.lengthMm + 1e-6);
        expect(solveLay(request)).toEqual(answer);
        expect(answer.lengthMm).toBeLessThanOrEqual(solveLay({ ...request, moves: 0 }).lengthMm + 1e-6);
        const pinned = { ...request, pins: answer.placements.slice(-1) };
        const held = solveLay(pinned);
        expect(validateLay(pinned, held)).toEqual([]);
        const [pin] = pinned.pins;
        expect(held.placements.find(({ item: id, copy }) => id === pin!.item && copy === pin!.copy)).toEqual(pin!);
      }),
      { seed: 28, numRuns: 25 },
    );
  });

  it('shows a valid lay at once and goes on from the best', () => {
    const request = asked([item('plate', box(600, 500), 6), item('gusset', TRAPEZOID, 8)], 1370, { gapMm: 3 });
    const run = layEngine(request);
    const first = run.next();
    if (first.done) throw new Error('done at once');
    expect(validateLay(request, first.value.best)).toEqual([]);
    let lengthMm = Infinity;
    for (let step = run.next(); !step.done; step = run.next()) {
      expect(step.value.best.lengthMm).toBeLessThanOrEqual(lengthMm + 1e-9);
      lengthMm = step.value.best.lengthMm;
    }
    expect(lengthMm).toBeLessThan(Infinity);
  });
});
