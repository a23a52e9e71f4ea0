import fc from 'fast-check';
import { grow } from './offset';
import { area, bounds, edgeSpans, flatten, perimeter, rectangleOutline, stationAt, type Outline } from './outline';
import { polygonArea, polygonGap } from './polygon';
import { arcAbout, line } from './segment';
import { sliced } from './transform';

const rectangle = fc
  .record({
    w: fc.double({ min: 50, max: 3000, noNaN: true }),
    d: fc.double({ min: 50, max: 3000, noNaN: true }),
    k: fc.double({ min: 0, max: 1, noNaN: true }),
  })
  .map(({ w, d, k }) => ({ w, d, r: (k * Math.min(w, d)) / 2 }));

function grown(outline: Outline, mm: number): Outline {
  const result = grow(outline, mm);
  if (!result.ok) throw new Error(result.code);
  return result.outline;
}

describe('a rectangle with rounded corners', () => {
  it('has the perimeter and area of the closed formulas', () => {
    fc.assert(
      fc.property(rectangle, ({ w, d, r }) => {
        const outline = rectangleOutline(w, d, r);
        expect(perimeter(outline)).toBeCloseTo(2 * (w + d) - (8 - 2 * Math.PI) * r, 6);
        expect(area(outline)).toBeCloseTo(w * d - (4 - Math.PI) * r * r, 3);
      }),
      { seed: 31 },
    );
  });

  it('flattens within the tolerance: never outside, and the area short by no more than tolerance × arc length', () => {
    fc.assert(
      fc.property(rectangle, ({ w, d, r }) => {
        const points = flatten(rectangleOutline(w, d, r), 0.2);
        const lost = area(rectangleOutline(w, d, r)) - polygonArea(points);
        expect(lost).toBeGreaterThan(-1e-6 * w * d);
        expect(lost).toBeLessThan(0.2 * 2 * Math.PI * r + 1e-3);
      }),
      { seed: 32 },
    );
  });

  it('grows as Steiner says: A + P·d and straight corners mitred, or + π·d² when rounded', () => {
    fc.assert(
      fc.property(rectangle, fc.double({ min: 0.5, max: 60, noNaN: true }), ({ w, d, r }, mm) => {
        const outline = rectangleOutline(w, d, r);
        const rounded = r > 1e-3;
        fc.pre(rounded || r === 0);
        const wanted = area(outline) + perimeter(outline) * mm + (rounded ? Math.PI : 4) * mm * mm;
        expect(area(grown(outline, mm)) / wanted).toBeCloseTo(1, 6);
      }),
      { seed: 33 },
    );
  });

  it('comes back when grown and shrunk by the same', () => {
    fc.assert(
      fc.property(rectangle, fc.double({ min: 0.5, max: 60, noNaN: true }), ({ w, d, r }, mm) => {
        fc.pre(r === 0 || r > 1e-3);
        const outline = rectangleOutline(w, d, r);
        const back = grown(grown(outline, mm), -mm);
        expect(perimeter(back)).toBeCloseTo(perimeter(outline), 4);
        expect(area(back) / area(outline)).toBeCloseTo(1, 6);
      }),
      { seed: 34 },
    );
  });

  it('says so when it cannot shrink', () => {
    // A radius used up leaves a square corner: 100 − 2 × 11.
    const square = grown(rectangleOutline(100, 100, 10), -11);
    expect(square.segments.every((segment) => segment.kind === 'line')).toBeTrue();
    expect(area(square)).toBeCloseTo(78 * 78, 6);
    expect(grow(rectangleOutline(100, 100), -60)).toEqual({ ok: false, code: 'nothing-left' });
  });

  it('knows its edges in order and where a distance lies', () => {
    const outline = rectangleOutline(600, 500, 50);
    expect(edgeSpans(outline).map((span) => span.edge)).toEqual(['front', 'corner', 'right', 'corner', 'back', 'corner', 'left', 'corner']);
    const front = stationAt(outline, 250);
    expect(front.at.x).toBeCloseTo(300, 9);
    expect(front.at.y).toBeCloseTo(0, 9);
    expect(front.outward.y).toBeCloseTo(-1, 12);
    expect(stationAt(outline, perimeter(outline) + 250).at.x).toBeCloseTo(300, 6);
    const corner = stationAt(outline, 500 + (50 * Math.PI) / 4);
    expect(corner.outward.x).toBeCloseTo(Math.SQRT1_2, 9);
    expect(bounds(flatten(outline))).toEqual({ minX: 0, minY: 0, maxX: 600, maxY: 500 });
  });
});

describe('polygonGap', () => {
  const box = (x: number, y: number, w: number, h: number) => flatten(rectangleOutline(w, h)).map((p) => ({ x: p.x + x, y: p.y + y }));
  it('is the clear distance, and 0 for every way of overlapping', () => {
    expect(polygonGap(box(0, 0, 10, 10), box(13, 0, 5, 5))).toBeCloseTo(3, 9);
    expect(polygonGap(box(0, 0, 10, 10), box(13, 14, 5, 5))).toBeCloseTo(5, 9);
    expect(polygonGap(box(0, 0, 10, 10), box(5, 5, 10, 10))).toBe(0);
    expect(polygonGap(box(0, 0, 10, 10), box(2, 2, 3, 3))).toBe(0);
    expect(polygonGap(box(0, 0, 10, 10), box(0, 0, 10, 10))).toBe(0);
    expect(polygonGap(box(4, -5, 2, 20), box(0, 0, 10, 10))).toBe(0);
  });
});

describe('a slice of an outline', () => {
  it('keeps a curve that touches the level where a slice begins', () => {
    // A half round that lies on its curve, cut level at 100 of 173: its lower part has what the circle has below, r² acos(d/r) − d √(r² − d²) with d = 73.
    const r = 173;
    const half: Outline = { segments: [arcAbout('front', { x: 0, y: r }, { x: -r, y: r }, Math.PI), line('back', { x: r, y: r }, { x: -r, y: r })] };
    const below = sliced(half, 'y', 0, 100);
    expect(area(below!)).toBeCloseTo(r * r * Math.acos(73 / r) - 73 * Math.sqrt(r * r - 73 * 73), 3);
  });
});
