import fc from 'fast-check';
import { alongOutline } from './along';
import type { Outline } from './outline';
import { distance } from './point';
import { arcAbout, line, pointOn, segmentLength, type Cubic, type Segment } from './segment';
import { crossingsOf } from './transform';

/** Half a disc: 200 along its straight side, then a half circle of radius 100 back over (100, 100). */
const HALF_DISC: Outline = { segments: [line('front', { x: 0, y: 0 }, { x: 200, y: 0 }), arcAbout('back', { x: 100, y: 0 }, { x: 200, y: 0 }, Math.PI)] };

const coordinate = fc.double({ min: -300, max: 300, noNaN: true });
const point = fc.record({ x: coordinate, y: coordinate });
const curve = fc.tuple(point, point, point, point).map(([from, c1, c2, to]): Cubic => ({ kind: 'cubic', edge: 'front', from, c1, c2, to }));
const arc = fc
  .tuple(point, point, fc.double({ min: 0.2, max: 5, noNaN: true }), fc.boolean())
  .filter(([centre, from]) => distance(centre, from) > 10)
  .map(([centre, from, sweep, left]): Segment => arcAbout('front', centre, from, left ? sweep : -sweep));

describe('a place on an outline', () => {
  it('lies as far along as was worked out by hand, on a line, on an arc and at its ends', () => {
    // At 60° on the half circle: 200 of the straight side and π × 100 ÷ 3.
    const at = { x: 100 + 100 * Math.cos(Math.PI / 3), y: 100 * Math.sin(Math.PI / 3) };
    expect(alongOutline(HALF_DISC, at, 0.05)).toBeCloseTo(200 + (100 * Math.PI) / 3, 9);
    expect(alongOutline(HALF_DISC, { x: 150, y: 0.04 }, 0.05)).toBeCloseTo(150, 9);
    expect(alongOutline(HALF_DISC, { x: 150, y: 0.06 }, 0.05)).toBeNull();
    expect(alongOutline(HALF_DISC, { x: 200, y: 0 }, 0.05)).toBe(200);
  });

  it('is found where it was taken from, on any arc and any curve', () => {
    fc.assert(
      fc.property(fc.oneof(curve, arc), fc.double({ min: 0, max: 1, noNaN: true }), (segment, share) => {
        const p = pointOn(segment, share * segmentLength(segment));
        const found = alongOutline({ segments: [segment] }, p, 0.05);
        // Where a curve crosses itself the place may be the other one of the two.
        expect(distance(pointOn(segment, found ?? NaN), p)).toBeLessThan(1e-3);
      }),
      { seed: 27, numRuns: 300 },
    );
  });

  it('is on the upright that a segment is cut at, once for each change of side', () => {
    fc.assert(
      fc.property(fc.oneof(curve, arc), coordinate, (segment, at) => {
        const length = segmentLength(segment);
        const found = crossingsOf(segment, 'x', at);
        for (const along of found) expect(pointOn(segment, along).x).toBeCloseTo(at, 5);
        const sides = [0, ...found, length].slice(1).map((to, i, all) => Math.sign(pointOn(segment, ((all[i - 1] ?? 0) + to) / 2).x - at));
        sides.slice(1).forEach((side, i) => expect(side).not.toBe(sides[i]!));
      }),
      { seed: 27, numRuns: 300 },
    );
  });
});
