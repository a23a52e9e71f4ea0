import fc from 'fast-check';
import { flatten, rectangleOutline } from '../geometry/outline';
import type { LayItem, LayPattern, LayRequest } from './contract';
import { lowerBound } from './bound';
import { solveLay } from './engine/engine';
import { nearestPlace } from './pins';
import { validateLay } from './validate';

const PATTERN: LayPattern = { alongMm: 320, acrossMm: 340, halfDrop: false, motifAcrossMm: 170 };

/** A plate with a motif in its middle: `w` across and `h` along. */
const plate = (id: string, w: number, h: number, count: number, turns: readonly number[] = [0]): LayItem => ({
  id,
  polygon: flatten(rectangleOutline(h, w)),
  count,
  turns,
  motif: { x: h / 2, y: w / 2 },
});

const request = (items: readonly LayItem[], over: Partial<LayPattern> = {}, pins: LayRequest['pins'] = []): LayRequest => ({
  format: 'yardland/lay-request@2',
  material: { kind: 'roll', widthMm: 1360, pattern: { ...PATTERN, ...over } },
  gapMm: 3,
  items,
  pins,
  seed: 1,
  moves: 400,
});

describe('a lay on a pattern', () => {
  it('puts a motif in the middle of each plate, in the shortest length by hand', () => {
    const length = (h: number, over: Partial<LayPattern> = {}): number => {
      const asked = request([plate('plate', 300, h, 8)], over);
      const answer = solveLay(asked);
      expect(validateLay(asked, answer)).toEqual([]);
      expect(answer.placements.length).toBe(8);
      return answer.lengthMm;
    };
    // Four rows of motifs, two plates on each: from the first's end half a plate, one repeat, half a plate.
    expect(length(300)).toBeCloseTo(150 + 320 + 150, 6);
    // Plates longer than a repeat take two each.
    expect(length(330)).toBeCloseTo(165 + 640 + 165, 6);
    // With a half drop two of the rows begin half a repeat later.
    expect(length(300, { halfDrop: true })).toBeCloseTo(150 + 160 + 320 + 150, 6);
    // Stripes along the roll: plates follow each other with the gap between them.
    expect(length(300, { alongMm: 0 })).toBeCloseTo(300 + 3 + 300, 6);
    // Stripes across it: only along counts, and four of 300 still lie side by side.
    expect(length(300, { acrossMm: 0 })).toBeCloseTo(620, 6);
  });

  it('has a least length that knows the match: reached by hand-worked sets, and never more than a lay', () => {
    const least = (items: readonly LayItem[], over: Partial<LayPattern> = {}, widthMm = 1360): number =>
      lowerBound(items, { kind: 'roll', widthMm, pattern: { ...PATTERN, ...over } }, 3);
    // As laid above: by area alone the first would be 8 × 300 × 300 / 1360 = 529.
    expect(least([plate('plate', 300, 300, 8)])).toBeCloseTo(620, 1);
    expect(least([plate('plate', 300, 330, 8)])).toBeCloseTo(970, 1);
    // Of nine one has to follow two others. 350 wide, only the rows at 510 and 850 keep them between the selvedges, and these are too near: all follow each other.
    expect(least([plate('plate', 300, 300, 9)])).toBeCloseTo(940, 1);
    expect(least([plate('plate', 350, 300, 9)])).toBeCloseTo(8 * 320 + 300, 1);
    // Without a pattern along, plates follow each other as close as the knife goes.
    expect(least([plate('plate', 300, 300, 8)], { alongMm: 0 })).toBeGreaterThan(600);
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.integer({ min: 120, max: 600 }), fc.integer({ min: 120, max: 600 }), fc.integer({ min: 1, max: 4 })), {
          minLength: 1,
          maxLength: 3,
        }),
        fc.integer({ min: 60, max: 500 }),
        fc.integer({ min: 60, max: 500 }),
        fc.boolean(),
        (sizes, alongMm, acrossMm, halfDrop) => {
          const items = sizes.map(([w, h, count], i) => plate(`p${i}`, w, h, count));
          const asked = { ...request(items, { alongMm, acrossMm, halfDrop, motifAcrossMm: acrossMm / 2 }), moves: 60 };
          const answer = solveLay(asked);
          if (answer.unplaced.length) return;
          expect(answer.bound)
            .withContext(JSON.stringify([sizes, alongMm, acrossMm, halfDrop]))
            .toBeLessThanOrEqual(answer.lengthMm + 1e-3);
        },
      ),
      { seed: 28, numRuns: 150 },
    );
  });

  it('lays what need not match in the room between', () => {
    const strips: LayItem = { id: 'strip', polygon: flatten(rectangleOutline(300, 30)), count: 4, turns: [0] };
    const asked = request([plate('plate', 300, 300, 8), strips]);
    const answer = solveLay(asked);
    expect(validateLay(asked, answer)).toEqual([]);
    expect(answer.lengthMm).toBeCloseTo(620, 6);
  });

  it('matches two kinds of piece to each other, whichever comes first', () => {
    // The boxing runs on from a plate 400 deep: the motif lies 200 behind the plate's front edge, which is the boxing's upper edge.
    const boxing: LayItem = { id: 'boxing', polygon: flatten(rectangleOutline(80, 600)), count: 2, turns: [0], motif: { x: 80 + 200, y: 300 } };
    const asked = request([plate('plate', 500, 400, 2), boxing]);
    const answer = solveLay(asked);
    expect(validateLay(asked, answer)).toEqual([]);
    const upper = answer.placements.filter(({ item }) => item === 'boxing').map(({ x, y }) => ({ along: x + 80, middle: y + 300 }));
    const front = answer.placements.filter(({ item }) => item === 'plate').map(({ x, y }) => ({ along: x, middle: y + 250 }));
    const off = (mm: number, repeat: number): number => Math.abs(mm - repeat * Math.round(mm / repeat));
    for (const { along, middle } of upper)
      for (const plateAt of front) {
        expect(off(along - plateAt.along, 320)).toBeCloseTo(0, 6);
        expect(off(middle - plateAt.middle, 340)).toBeCloseTo(0, 6);
      }
    expect(upper.length * front.length).toBe(4);
  });

  it('is valid and the same for the same seed, for random plates and patterns, also round a piece that is held', () => {
    fc.assert(
      fc.property(
        fc.record({
          alongMm: fc.integer({ min: 0, max: 700 }),
          acrossMm: fc.integer({ min: 40, max: 700 }),
          halfDrop: fc.boolean(),
          plates: fc.array(fc.tuple(fc.integer({ min: 60, max: 1300 }), fc.integer({ min: 60, max: 900 }), fc.integer({ min: 1, max: 4 }), fc.boolean()), {
            minLength: 1,
            maxLength: 4,
          }),
        }),
        ({ alongMm, acrossMm, halfDrop, plates }) => {
          const along = alongMm < 40 ? 0 : alongMm;
          const items = plates.map(([w, h, count, either], i) => plate(`p${i}`, w, h, count, either ? [0, 180] : [0]));
          const asked = request(items, { alongMm: along, acrossMm, halfDrop: halfDrop && along > 0, motifAcrossMm: acrossMm / 3 });
          const answer = solveLay(asked);
          expect(validateLay(asked, answer)).toEqual([]);
          expect(solveLay(asked)).toEqual(answer);
          // Where the last piece is held, a motif lies along as it says, and the others follow.
          const pinned = { ...asked, pins: answer.placements.slice(-1) };
          const held = solveLay(pinned);
          expect(validateLay(pinned, held)).toEqual([]);
          if (pinned.pins.length) expect(held.placements).toContain(pinned.pins[0]!);
        },
      ),
      { numRuns: 40, seed: 11 },
    );
  });

  it('puts long strips into the lanes between matched pieces', () => {
    // Two plates on each of the four rows, as above. A strip as long as both lies in each of the three 40 wide lanes between the rows, with the knife's 3 on both sides.
    const strips: LayItem = { id: 'strip', polygon: flatten(rectangleOutline(620, 34)), count: 3, turns: [0] };
    const asked = request([strips, plate('plate', 300, 300, 8)]);
    const answer = solveLay(asked);
    expect(validateLay(asked, answer)).toEqual([]);
    expect(answer.lengthMm).toBeCloseTo(620, 6);
  });

  it('names a piece that cannot have its motif between the selvedges, and one that lies off the pattern', () => {
    // 1300 wide, but its middle can be at 650 to 710 only, and rows are at 510 and 850.
    expect(solveLay(request([plate('wide', 1300, 300, 1)])).unplaced).toEqual(['wide']);
    const asked = request([plate('plate', 300, 300, 2)]);
    const answer = solveLay(asked);
    const [first, ...rest] = answer.placements;
    const moved = { ...answer, placements: [...(first ? [{ ...first, y: first.y + 2 }] : []), ...rest] };
    expect(validateLay(asked, moved).map(({ code, data }) => [code, data['byMm']])).toEqual([['lay-off-pattern', 2]]);
  });

  it('takes a piece put by hand to the nearest motif, and the others follow it', () => {
    const items = [plate('plate', 300, 300, 3)];
    const before = solveLay(request(items));
    const place = nearestPlace(request(items), [], { item: 'plate', copy: 1, sheet: 0, turn: 0, x: 480, y: 400 }, before.patternAtMm ?? null);
    // Motifs along at 150 and each 320 from there; across at 170 and each 340.
    expect(place).toEqual({ item: 'plate', copy: 1, sheet: 0, turn: 0, x: 150 + 320 - 150, y: 510 - 150 });
    const asked = request(items, {}, place ? [{ ...place, x: place.x + 57 }] : []);
    const answer = solveLay(asked);
    expect(validateLay(asked, answer)).toEqual([]);
    expect(answer.patternAtMm).toBeCloseTo(150 + 57, 6);
    expect(answer.placements.map(({ x }) => x)).toContain(377);
  });

  it('lays the rest round matched pieces that are all held', () => {
    const strips: LayItem = { id: 'strip', polygon: flatten(rectangleOutline(620, 34)), count: 3, turns: [0] };
    const asked = request([strips, plate('plate', 300, 300, 8)]);
    const pins = solveLay(asked).placements.filter(({ item }) => item === 'plate');
    const answer = solveLay({ ...asked, pins });
    expect(validateLay({ ...asked, pins }, answer)).toEqual([]);
    expect([answer.placements.length, answer.unplaced]).toEqual([11, []]);
    expect(answer.lengthMm).toBeCloseTo(620, 6);
  });
});
