import fc from 'fast-check';
import { flatten, rectangleOutline } from '../geometry/outline';
import { overlapArea } from '../geometry/overlap';
import type { Point } from '../geometry/point';
import { polygonArea } from '../geometry/polygon';
import { seededRandom } from '../kernel/random';
import { perfectCut } from '../testing/perfect-cut';
import { placed, type LayAnswer, type LayItem, type LayMaterial, type LayRequest, type Placement } from './contract';
import { layEngine, solveLay } from './engine/engine';
import { lowerBound } from './bound';
import { nearestPlace, pinsThatHold } from './pins';
import { validateLay } from './validate';

/** A box `w` across and `h` along the material. */
const piece = (id: string, w: number, h: number, count = 1, turns: readonly number[] = [0, 180]): LayItem => ({
  id,
  polygon: flatten(rectangleOutline(h, w)),
  count,
  turns,
});

const ROLL: LayMaterial = { kind: 'roll', widthMm: 1350 };

const request = (items: readonly LayItem[], over: Partial<LayRequest> = {}): LayRequest => ({
  format: 'yardland/lay-request@2',
  material: ROLL,
  gapMm: 3,
  items,
  pins: [],
  seed: 1,
  moves: 300,
  ...over,
});

const ring = (...points: readonly (readonly [number, number])[]): Point[] => points.map(([x, y]) => ({ x, y }));
const total = (items: readonly LayItem[]): number => items.reduce((sum, { polygon, count }) => sum + count * Math.abs(polygonArea(polygon)), 0);

describe('the lay', () => {
  it('of hand-worked pieces is the shortest there is', () => {
    // Two plates 673 wide side by side with 3 between them: 1349 of 1350; a strip the full width above: 500 + 3 + 100.
    const answer = solveLay(request([piece('plate', 673, 500, 2), piece('boxing', 1350, 100)]));
    expect(answer.lengthMm).toBeCloseTo(603, 6);
    expect(answer.unplaced).toEqual([]);
    expect(answer.use).toBeCloseTo(808_000 / (1350 * 603), 6);
    // By area 598.5. Three of the plates do not go side by side, so each takes half of the width, and the strip all of it.
    expect(answer.bound).toBeCloseTo(600, 6);
  });

  it('is valid for random pieces on rolls, sheets and a hide, in every allowed turn', () => {
    const shape = fc.record({
      w: fc.integer({ min: 20, max: 1340 }),
      h: fc.integer({ min: 20, max: 900 }),
      count: fc.integer({ min: 1, max: 4 }),
      any: fc.boolean(),
      cut: fc.double({ min: 0, max: 0.45, noNaN: true }),
    });
    const hide: LayMaterial = {
      kind: 'hide',
      outline: ring([100, 0], [1800, 150], [2300, 900], [1900, 1700], [700, 1900], [0, 1100], [250, 600]),
      flaws: [ring([900, 800], [1000, 780], [1010, 900])],
    };
    const materials: readonly LayMaterial[] = [ROLL, { kind: 'sheet', widthMm: 1350, lengthMm: 2000 }, hide];
    fc.assert(
      fc.property(
        fc.array(shape, { minLength: 1, maxLength: 6 }),
        fc.integer({ min: 0, max: 1e6 }),
        fc.nat(2),
        fc.constantFrom(0, 5),
        (rows, seed, on, gapMm) => {
          const items = rows.map(({ w, h, count, any, cut }, i): LayItem => {
            // A corner cut off, or one cut in: convex and not.
            const inward = i % 2 === 1;
            const corner: readonly (readonly [number, number])[] = inward
              ? [
                  [h, w * (1 - cut)],
                  [h * (1 - cut), w * (1 - cut)],
                  [h * (1 - cut), w],
                ]
              : [
                  [h, w * (1 - cut)],
                  [h * (1 - cut), w],
                ];
            return {
              id: `p${i}`,
              polygon: ring([0, 0], [h, 0], ...(cut > 0.01 ? corner : [[h, w] as const]), [0, w]),
              count,
              turns: any ? [0, 90, 180, 270] : [0],
            };
          });
          const asked = request(items, { seed, moves: 60, gapMm, material: materials[on] as LayMaterial });
          const answer = solveLay(asked);
          expect(validateLay(asked, answer)).toEqual([]);
          if (on < 2) expect(on === 0 ? answer.lengthMm : answer.sheets).toBeGreaterThanOrEqual(answer.bound - 1e-6);
        },
      ),
      { seed: 41, numRuns: 90 },
    );
  });

  it('is the same for the same seed, and never worse for more moves', () => {
    const items = [piece('a', 410, 390, 5), piece('b', 260, 610, 4), piece('c', 900, 120, 6), piece('d', 130, 130, 9)];
    const short = solveLay(request(items, { moves: 40 }));
    const long = solveLay(request(items, { moves: 600 }));
    expect(solveLay(request(items, { moves: 600 }))).toEqual(long);
    expect(long.lengthMm).toBeLessThanOrEqual(short.lengthMm);
  });

  it('of several seeds is the best of what each finds by itself', () => {
    const items = perfectCut(9, 1350, 600, seededRandom(4)).map((polygon, i) => ({ id: `p${i}`, polygon, count: 1, turns: [0, 180] }));
    const alone = [1, 2, 3].map((seed) => solveLay(request(items, { seed, gapMm: 0 })));
    const together = solveLay(request(items, { seeds: 3, gapMm: 0 }));
    expect(new Set(alone.map(({ lengthMm }) => lengthMm)).size).toBe(3);
    expect(together.lengthMm).toBe(Math.min(...alone.map(({ lengthMm }) => lengthMm)));
    expect(validateLay(request(items, { gapMm: 0 }), together)).toEqual([]);
    expect(together.moves).toBe(alone.reduce((sum, { moves }) => sum + moves, 0));
  });

  it('finds how pieces that were cut from a whole go together again', () => {
    // Eight crooked pieces cut from one rectangle: the optimum is known, and no lay can be shorter.
    const polygons = perfectCut(8, 1370, 526, seededRandom(3));
    const items = polygons.map((polygon, i): LayItem => ({ id: `p${i}`, polygon, count: 1, turns: [0, 180] }));
    const asked = request(items, { material: { kind: 'roll', widthMm: 1370 }, gapMm: 0, moves: 12_000 });
    const answer = solveLay(asked);
    expect(validateLay(asked, answer)).toEqual([]);
    expect(total(items)).toBeCloseTo(1370 * 526, 3);
    expect(answer.lengthMm).toBeLessThan(526 / 0.88);
    expect(answer.lengthMm).toBeGreaterThan(526 - 1e-3);
  });

  it('lays slanted strips against each other, where boxes would leave triangles between them', () => {
    // Four parallelograms 400 long, 600 across, slanted by 45°: beside each other 4 × 400 + one slant of 600.
    const slant: LayItem = { id: 's', polygon: ring([0, 0], [400, 0], [1000, 600], [600, 600]), count: 4, turns: [0, 180] };
    const answer = solveLay(request([slant], { material: { kind: 'roll', widthMm: 600 }, gapMm: 0, moves: 400 }));
    expect(answer.lengthMm).toBeCloseTo(2200, 3);
  });

  it('does with one sheet less where pieces go into each other', () => {
    // Twelve L shapes, two of which make 600 × 400: six pairs fill one sheet of 1200 × 1200, their boxes would need three.
    const ell: LayItem = { id: 'l', polygon: ring([0, 0], [500, 0], [500, 200], [100, 200], [100, 400], [0, 400]), count: 12, turns: [0, 180] };
    const asked = request([ell], { material: { kind: 'sheet', widthMm: 1200, lengthMm: 1200 }, gapMm: 0, moves: 3000 });
    const answer = solveLay(asked);
    expect(validateLay(asked, answer)).toEqual([]);
    expect(answer.sheets).toBeLessThanOrEqual(2);
  });

  it('shows a valid best at every step, so that it can be stopped at any', () => {
    const asked = request([piece('a', 410, 390, 5), piece('b', 260, 610, 4)], { moves: 120 });
    let steps = 0;
    let done = 0;
    for (const progress of layEngine(asked)) {
      steps++;
      expect(progress.done).toBeGreaterThanOrEqual(done);
      done = progress.done;
      expect(validateLay(asked, progress.best)).toEqual([]);
    }
    expect(steps).toBeGreaterThan(1);
  });

  it('names what is too large for the material once for each copy, and lays the rest', () => {
    const asked = request([piece('bench', 1800, 450, 2, [0]), piece('plate', 500, 450)]);
    const answer = solveLay(asked);
    expect(answer.unplaced).toEqual(['bench', 'bench']);
    expect(answer.placements.map((p) => p.item)).toEqual(['plate']);
    expect(solveLay(request([piece('bench', 1800, 450, 1, [0, 90])])).lengthMm).toBe(1800);
  });

  it('leaves pinned pieces where they were put, and lays the rest round them', () => {
    const items = [piece('a', 410, 390, 5), piece('b', 260, 610, 4)];
    const pins: Placement[] = [{ item: 'a', copy: 2, sheet: 0, x: 700, y: 100, turn: 180 }].map((pin) => ({ ...pin, x: 700 + 390, y: 100 + 410 }));
    const asked = request(items, { pins, moves: 400 });
    const answer = solveLay(asked);
    expect(validateLay(asked, answer)).toEqual([]);
    expect(answer.placements.find(({ item, copy }) => item === 'a' && copy === 2)).toEqual(pins[0]);
  });

  it('takes a piece where a person puts it: clear of other pins, at the contact that is near, and not at all where there is no room', () => {
    const ground = request([piece('a', 410, 390, 5, [0]), piece('b', 260, 610, 4)]);
    const lie = (item: string, copy: number, x: number, y: number, turn = 0): Placement => ({ item, copy, sheet: 0, x, y, turn });
    // Boxes have their corner at the origin. By the edge: within 12 mm of it, it is meant.
    expect(nearestPlace(ground, [], lie('a', 0, 5, 900))).toEqual(lie('a', 0, 0, 900));
    expect(nearestPlace(ground, [], lie('a', 0, -50, 2000))).toEqual(lie('a', 0, 0, 1350 - 410));
    expect(nearestPlace(ground, [], lie('a', 0, 300, 500))).toEqual(lie('a', 0, 300, 500));
    // On another pin: the nearest way off it is along, 390 and the gap of 3 on.
    const first = lie('a', 0, 0, 0);
    expect(nearestPlace(ground, [first], lie('a', 1, 350, 20))).toEqual(lie('a', 1, 393, 20));
    expect(nearestPlace(ground, [first], lie('a', 1, 350, 8))).toEqual(lie('a', 1, 393, 0));
    // A turn it may not have, and a piece that is not there.
    expect(nearestPlace(ground, [], lie('a', 0, 0, 0, 90))).toBeNull();
    expect(nearestPlace(ground, [], lie('z', 0, 0, 0))).toBeNull();
    // A sheet that a pin fills.
    const sheet = { ...ground, material: { kind: 'sheet', widthMm: 500, lengthMm: 500 } as const };
    expect(nearestPlace(sheet, [first], lie('a', 1, 50, 50))).toBeNull();
    expect(pinsThatHold(ground, [first, lie('a', 1, 100, 100), lie('b', 0, 500, 0), lie('b', 9, 0, 700)])).toEqual([first, lie('b', 0, 500, 0)]);
  });

  it('slides a piece along slanting edges, and into the corner between two of them', () => {
    // Two right-angled triangles beside each other with their long sides up, as a valley: x + y = 200 on the left, y = x − 200 on the right.
    const left = { id: 'left', polygon: ring([0, 0], [200, 0], [0, 200]), count: 1, turns: [0] };
    const right = { id: 'right', polygon: ring([0, 0], [200, 0], [200, 200]), count: 1, turns: [0] };
    const ground = request([left, right, piece('box', 100, 100, 1, [0])], { gapMm: 0 });
    const pin = (item: string, x: number, y = 0): Placement => ({ item, copy: 0, sheet: 0, x, y, turn: 0 });
    const [a, b] = [pin('left', 0), pin('right', 200)];
    // The box’s lower left corner on x + y = 200: straight off the slant from either side of it, where it is near.
    for (const [x, y] of [
      [104, 104],
      [90, 90],
    ] as const) {
      const at = nearestPlace(ground, [a], pin('box', x, y))!;
      expect([at.x, at.y].map((mm) => Math.round(mm * 1e6) / 1e6)).toEqual([100, 100]);
    }
    // Its lower right corner is 100 further: x + y = 200 and y = (x + 100) − 200 meet at 150, 50.
    const corner = nearestPlace(ground, [a, b], pin('box', 153, 58))!;
    expect([corner.x, corner.y].map((mm) => Math.round(mm * 1e6) / 1e6)).toEqual([150, 50]);
    const lies = { ...solveLay(ground), placements: [a, b, corner], unplaced: [], lengthMm: 400 };
    expect(validateLay(ground, lies).filter(({ code }) => code === 'lay-too-near')).toEqual([]);
  });

  it('finds the hole between pieces that are cut already, with the gap to them', () => {
    // A square of 1000 of which all but 300…500 × 400…600 is cut away.
    const taken = [
      [0, 0, 300, 1000],
      [500, 0, 1000, 1000],
      [300, 0, 500, 400],
      [300, 600, 500, 1000],
    ].map(([x0 = 0, y0 = 0, x1 = 0, y1 = 0]) => ring([x0, y0], [x1, y0], [x1, y1], [x0, y1]));
    const hide: LayMaterial = { kind: 'hide', outline: ring([0, 0], [1000, 0], [1000, 1000], [0, 1000]), flaws: [], taken };
    const in1 = (size: number, gapMm: number): LayAnswer => {
      const asked = request([piece('patch', size, size, 1, [0])], { material: hide, gapMm });
      const answer = solveLay(asked);
      expect(validateLay(asked, answer)).toEqual([]);
      return answer;
    };
    expect(in1(200, 0).placements.map(({ x, y }) => [x, y])).toEqual([[300, 400]]);
    expect(in1(201, 0).unplaced).toEqual(['patch']);
    expect(in1(190, 5).placements.map(({ x, y }) => [x, y])).toEqual([[305, 405]]);
    expect(in1(191, 5).unplaced).toEqual(['patch']);
    // All that was left is used.
    expect(in1(200, 0).use).toBeCloseTo(1, 9);
    // The check sees a piece on what is cut already, and one that is too near to it.
    const asked = request([piece('patch', 190, 190, 1, [0])], { material: hide, gapMm: 5 });
    const at = (x: number): LayAnswer => ({ ...in1(190, 5), placements: [{ item: 'patch', copy: 0, sheet: 0, x, y: 405, turn: 0 }] });
    expect([at(304), at(200)].map((answer) => validateLay(asked, answer).map(({ code }) => code))).toEqual([['lay-too-near'], ['lay-too-near']]);
  });

  it('keeps to a hide and off its flaws, and says what found no place', () => {
    const hide: LayMaterial = {
      kind: 'hide',
      outline: ring([0, 0], [1000, 0], [1000, 1000], [0, 1000]),
      flaws: [ring([450, 450], [550, 450], [550, 550], [450, 550])],
    };
    // Four of 450 fit round the flaw in the middle; a fifth has no place.
    const asked = request([piece('seat', 450, 450, 5)], { material: hide, gapMm: 0, moves: 400 });
    const answer = solveLay(asked);
    expect(validateLay(asked, answer)).toEqual([]);
    expect(answer.unplaced).toEqual(['seat']);
    expect(answer.use).toBeCloseTo((4 * 450 * 450) / (1_000_000 - 10_000), 9);
  });
});

describe('the least length there can be', () => {
  const least = (items: readonly LayItem[], widthMm: number): number => lowerBound(items, { kind: 'roll', widthMm }, 0);

  it('counts pieces over half the width one after another, though their area would take less', () => {
    expect(least([piece('wide', 760, 300, 5, [0])], 1500)).toBeCloseTo(1500, 3);
    // Two of 600 go beside each other, but none beside one of 1000.
    expect(least([piece('wide', 1000, 300, 3, [0]), piece('half', 600, 400, 2, [0])], 1500)).toBeCloseTo(1300, 3);
  });

  it('counts two side by side where three do not fit', () => {
    // 520 of 1500: two beside each other. Five take three rows.
    expect(least([piece('third', 520, 200, 6, [0])], 1500)).toBeCloseTo(600, 3);
  });

  it('is never above a lay that is known to be possible', () => {
    for (let seed = 1; seed <= 30; seed++) {
      const polygons = perfectCut(9, 1370, 800, seededRandom(seed));
      expect(
        least(
          polygons.map((polygon, i) => ({ id: `p${i}`, polygon, count: 1, turns: [0, 180] })),
          1370,
        ),
      ).toBeLessThan(800 + 1e-6);
    }
  });
});

describe('validateLay', () => {
  const asked = request([piece('a', 400, 300, 2), piece('b', 100, 100)]);
  const good = solveLay(asked);
  type Changed = { -readonly [K in keyof Placement]: Placement[K] };
  const spoiled = (change: (placements: Changed[]) => void, over: Partial<LayAnswer> = {}, question = asked): string[] => {
    const placements = good.placements.map((p) => ({ ...p }));
    change(placements);
    return validateLay(question, { ...good, placements, ...over }).map((p) => p.code);
  };
  const at = (list: Changed[], i: number): Changed => list[i] as Changed;

  it('finds each way a lay can be wrong', () => {
    expect(spoiled(() => undefined)).toEqual([]);
    expect(spoiled((p) => Object.assign(at(p, 0), { x: at(p, 1).x + 5, y: at(p, 1).y, turn: at(p, 1).turn }))).toContain('lay-too-near');
    expect(spoiled((p) => (at(p, 0).y += 1000))).toContain('lay-outside');
    expect(spoiled((p) => (at(p, 0).turn = 90))).toContain('lay-turn-not-allowed');
    expect(spoiled((p) => p.pop())).toEqual(['lay-piece-missing']);
    expect(spoiled((p) => p.push(at(p, 0)))).toContain('lay-piece-twice');
    expect(spoiled((p) => (at(p, 0).item = 'z'))).toContain('lay-unknown-piece');
    expect(spoiled(() => undefined, { lengthMm: 100 })).toContain('lay-outside');
    expect(spoiled((p) => p.pop(), { unplaced: ['b'] })).toContain('lay-left-out');
    const pin = { ...(good.placements[0] as Placement), x: 700 };
    expect(spoiled(() => undefined, {}, { ...asked, pins: [pin] })).toEqual(['lay-pin-moved']);
  });

  it('lets pieces touch where there is no gap, and sees a hair of overlap', () => {
    const tight = request([piece('a', 400, 300, 2, [0])], { gapMm: 0 });
    const lie = (x: number): LayAnswer => ({
      ...good,
      unplaced: [],
      sheets: 1,
      lengthMm: 700,
      placements: [0, x].map((from, copy) => ({ item: 'a', copy, sheet: 0, x: from, y: 0, turn: 0 })),
    });
    expect(validateLay(tight, lie(300))).toEqual([]);
    expect(validateLay(tight, lie(299.9999)).map(({ code }) => code)).toEqual(['lay-overlap']);
  });
});

describe('the area two polygons share', () => {
  it('is worked out by hand for a cross, a notch and a slant', () => {
    const square = ring([0, 0], [10, 0], [10, 10], [0, 10]);
    expect(overlapArea(square, ring([-5, 4], [15, 4], [15, 6], [-5, 6]))).toBeCloseTo(20, 9);
    expect(overlapArea(square, ring([0, 0], [10, 0], [10, 10], [5, 5], [0, 10]))).toBeCloseTo(75, 9);
    expect(overlapArea(square, ring([5, -5], [15, 5], [5, 15], [-5, 5]))).toBeCloseTo(100, 9);
    expect(overlapArea(square, ring([10, 0], [20, 0], [20, 10], [10, 10]))).toBe(0);
    expect(overlapArea(placed(square, { turn: 45, x: 0, y: 0 }), placed(square, { turn: 45, x: 0, y: 0 }))).toBeCloseTo(100, 9);
  });
});
