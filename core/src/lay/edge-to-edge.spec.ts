import fc from 'fast-check';
import { flatten, rectangleOutline } from '../geometry/outline';
import type { LayAnswer, LayItem, LayMaterial, LayRequest, Placement } from './contract';
import { edgeCuts } from './edge-to-edge';
import { solveLay } from './engine/engine';
import { validateLay } from './validate';

const piece = (id: string, along: number, across: number, count = 1): LayItem => ({
  id,
  polygon: flatten(rectangleOutline(along, across)),
  count,
  turns: [0, 90, 180, 270],
});
const SAWN: LayMaterial = { kind: 'sheet', widthMm: 1000, lengthMm: 1000, cuts: 'edge-to-edge' };
const asked = (items: readonly LayItem[], gapMm = 0, material: LayMaterial = SAWN): LayRequest => ({
  format: 'yardland/lay-request@2',
  material,
  gapMm,
  items,
  pins: [],
  seed: 1,
  moves: 400,
});
const laid = (request: LayRequest): LayAnswer => {
  const answer = solveLay(request);
  expect(validateLay(request, answer)).toEqual([]);
  return answer;
};

describe('sheets that are sawn from edge to edge', () => {
  it('are not parted where four pieces go round a fifth, which a free lay may', () => {
    // Four of 600 × 400 round one of 200 × 200 fill a square of 1000: no line crosses it without going through a piece.
    const items = [piece('arm', 600, 400, 4), piece('heart', 200, 200)];
    const at = (item: string, copy: number, x: number, y: number, turn: number): Placement => ({ item, copy, sheet: 0, x, y, turn });
    const round: LayAnswer = {
      ...solveLay(asked(items)),
      placements: [at('arm', 0, 0, 0, 0), at('arm', 1, 1000, 0, 90), at('arm', 2, 1000, 1000, 180), at('arm', 3, 0, 1000, 270), at('heart', 0, 400, 400, 0)],
      sheets: 1,
      unplaced: [],
    };
    expect(validateLay(asked(items, 0, { kind: 'sheet', widthMm: 1000, lengthMm: 1000 }), round)).toEqual([]);
    expect(edgeCuts(asked(items), round)).toBeNull();
    expect(validateLay(asked(items), round).map(({ code }) => code)).toEqual(['lay-not-edge-to-edge']);
    // So the saw takes a second sheet.
    expect(laid(asked(items)).sheets).toBe(2);
  });

  it('are cut in order: across the whole, then each part by itself', () => {
    const four = laid(asked([piece('core', 500, 500, 4)]));
    expect(four.sheets).toBe(1);
    expect(edgeCuts(asked([piece('core', 500, 500, 4)]), four)).toEqual([
      { sheet: 0, from: { x: 500, y: 0 }, to: { x: 500, y: 1000 } },
      { sheet: 0, from: { x: 0, y: 500 }, to: { x: 500, y: 500 } },
      { sheet: 0, from: { x: 500, y: 500 }, to: { x: 1000, y: 500 } },
    ]);
    // A core by itself is sawn off along and across; what the saw takes is lost between two.
    // It lies 600 × 400 or 400 × 600; the larger rest, 1000 × 600, stays whole.
    const one = edgeCuts(asked([piece('core', 600, 400)]), laid(asked([piece('core', 600, 400)]))) ?? [];
    expect(one.map(({ from, to }) => Math.abs(to.x - from.x) + Math.abs(to.y - from.y))).toEqual([1000, 400]);
    expect(laid(asked([piece('core', 497.5, 497.5, 4)], 5)).sheets).toBe(1);
    expect(laid(asked([piece('core', 498, 498, 4)], 5)).sheets).toBe(4);
  });

  it('give a lay that the saw can part, whatever the pieces, and never on fewer sheets than there can be', () => {
    const size = fc.integer({ min: 60, max: 900 });
    fc.assert(
      fc.property(fc.array(fc.tuple(size, size, fc.integer({ min: 1, max: 4 })), { minLength: 1, maxLength: 7 }), fc.constantFrom(0, 3), (sizes, gapMm) => {
        const request = asked(
          sizes.map(([along, across, count], i) => piece(`p${i}`, along, across, count)),
          gapMm,
        );
        const answer = laid(request);
        expect(answer.unplaced).toEqual([]);
        expect(answer.sheets).toBeGreaterThanOrEqual(answer.bound);
        expect(edgeCuts(request, answer)).not.toBeNull();
      }),
      { seed: 26, numRuns: 60 },
    );
  });
});
