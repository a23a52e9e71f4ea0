import fc from 'fast-check';
import { evenOut } from '../template/even-out';
import { fitCurve } from '../template/fit-curve';
import { insertPoint, movePoint, movePointMirrored, removePoint, setKind } from '../template/edit-outline';
import { arcsOf } from './biarc';
import { asymmetry } from './measure';
import { grow, growEdges } from './offset';
import { area, flatten, isClosed, outlineBounds, perimeter, polygonOutline, rectangleOutline, type Outline } from './outline';
import { distance, type Point } from './point';
import { contains } from './polygon';
import { arcAbout, directionOn, line, pointOn, segmentLength, type Cubic } from './segment';
import { selfCrossing } from './simple';
import { mirrored, spread } from './transform';

const point = fc.record({ x: fc.double({ min: -300, max: 300, noNaN: true }), y: fc.double({ min: -300, max: 300, noNaN: true }) });
const cubic = fc.tuple(point, point, point, point).map(([from, c1, c2, to]): Cubic => ({ kind: 'cubic', edge: 'front', from, c1, c2, to }));

/** Distance of a point from an open way through points. */
function offWay(way: readonly Point[], p: Point): number {
  return Math.min(
    ...way.slice(1).map((b, i) => {
      const a = way[i]!;
      const t = Math.max(0, Math.min(1, ((p.x - a.x) * (b.x - a.x) + (p.y - a.y) * (b.y - a.y)) / ((b.x - a.x) ** 2 + (b.y - a.y) ** 2 || 1)));
      return Math.hypot(p.x - a.x - t * (b.x - a.x), p.y - a.y - t * (b.y - a.y));
    }),
  );
}

describe('a cubic', () => {
  it('is as long, and encloses as much, as very many chords', () => {
    fc.assert(
      fc.property(cubic, (curve) => {
        fc.pre(distance(curve.from, curve.to) > 20);
        const n = 4000;
        const at = (t: number): Point => {
          const u = 1 - t;
          const of = (a: number, b: number, c: number, d: number): number => u * u * u * a + 3 * u * u * t * b + 3 * u * t * t * c + t * t * t * d;
          return { x: of(curve.from.x, curve.c1.x, curve.c2.x, curve.to.x), y: of(curve.from.y, curve.c1.y, curve.c2.y, curve.to.y) };
        };
        let [length, twice] = [0, 0];
        for (let i = 0; i < n; i++) {
          const [p, q] = [at(i / n), at((i + 1) / n)];
          length += distance(p, q);
          twice += p.x * q.y - p.y * q.x;
        }
        expect(segmentLength(curve) / length).toBeCloseTo(1, 4);
        expect(area({ segments: [curve] })).toBeCloseTo(twice / 2, -1);
        const half = pointOn(curve, segmentLength(curve) / 2);
        expect(Number.isFinite(half.x + half.y)).toBeTrue();
      }),
      { seed: 61, numRuns: 60 },
    );
  });

  it('goes as smoothly joined arcs within the tolerance', () => {
    fc.assert(
      fc.property(fc.double({ min: -120, max: 120, noNaN: true }), fc.double({ min: -120, max: 120, noNaN: true }), (a, b) => {
        const curve: Cubic = { kind: 'cubic', edge: 'back', from: { x: 0, y: 0 }, c1: { x: 80, y: a }, c2: { x: 220, y: b }, to: { x: 300, y: 10 } };
        const arcs = arcsOf(curve, 0.01);
        const dense = flatten({ segments: [curve] }, 0.001);
        for (const p of flatten({ segments: arcs }, 0.001)) expect(offWay([...dense, curve.to], p)).toBeLessThan(0.02);
        const length = arcs.reduce((sum, arc) => sum + segmentLength(arc), 0);
        expect(length).toBeCloseTo(segmentLength(curve), 1);
        arcs.slice(1).forEach((arc, i) => {
          const before = arcs[i]!;
          const [u, v] = [directionOn(before, segmentLength(before)), directionOn(arc, 0)];
          expect(u.x * v.x + u.y * v.y).toBeGreaterThan(0.9999);
        });
      }),
      { seed: 62, numRuns: 60 },
    );
  });
});

/** A star-shaped polygon, corners rounded by nothing: any number of convex and concave ones. */
const star = fc
  .record({ radii: fc.array(fc.double({ min: 120, max: 300, noNaN: true }), { minLength: 4, maxLength: 9 }), turn: fc.double({ min: 0, max: 1, noNaN: true }) })
  .map(({ radii, turn }) => {
    const corners = radii.map((r, i) => {
      const angle = ((i + turn) / radii.length) * 2 * Math.PI;
      return [400 + r * Math.cos(angle), 400 + r * Math.sin(angle), 'front'] as const;
    });
    return polygonOutline(corners);
  });

describe('an offset', () => {
  it('of a random outline holds just the places within its amount, in a slow raster', () => {
    fc.assert(
      fc.property(star, fc.double({ min: -30, max: 40, noNaN: true }), (outline, mm) => {
        fc.pre(Math.abs(mm) > 1);
        const grown = grow(outline, mm, 'round');
        if (!grown.ok) return;
        const [was, now] = [flatten(outline), flatten(grown.outline, 0.05)];
        for (let x = 30; x < 780; x += 29.7)
          for (let y = 30; y < 780; y += 31.3) {
            const least = Math.min(
              ...was.map((a, i) => {
                const b = was[(i + 1) % was.length]!;
                const t = Math.max(0, Math.min(1, ((x - a.x) * (b.x - a.x) + (y - a.y) * (b.y - a.y)) / ((b.x - a.x) ** 2 + (b.y - a.y) ** 2)));
                return Math.hypot(x - a.x - t * (b.x - a.x), y - a.y - t * (b.y - a.y));
              }),
            );
            const inside = contains(was, { x, y });
            const signed = inside ? -least : least;
            if (Math.abs(signed - mm) < 0.3) continue;
            // Shrinking may leave more than one part; the largest is kept.
            if (mm < 0 && !grown.exact) continue;
            expect(contains(now, { x, y }))
              .withContext(`${x} ${y} ${mm}`)
              .toBe(signed < mm);
          }
      }),
      { seed: 63, numRuns: 40 },
    );
  });

  it('out and in again gives a convex outline back', () => {
    for (const outline of [
      rectangleOutline(600, 400, 60),
      polygonOutline([
        [0, 0, 'front'],
        [500, 0, 'right'],
        [430, 380, 'back'],
        [70, 380, 'left'],
      ]),
    ]) {
      const out = grow(outline, 25, 'round');
      const back = out.ok ? grow(out.outline, -25) : out;
      if (!back.ok) throw new Error('lost');
      expect(area(back.outline) / area(outline)).toBeCloseTo(1, 7);
      expect(perimeter(back.outline)).toBeCloseTo(perimeter(outline), 4);
    }
  });

  it('may give each edge an amount of its own, corners kept round', () => {
    const grown = growEdges(rectangleOutline(600, 400, 50), { front: 40, right: 10, back: 0, left: 10, corner: 0 });
    if (!grown.ok) throw new Error('lost');
    const box = outlineBounds(grown.outline);
    expect([box.minX, box.minY, box.maxX, box.maxY].map((mm) => Math.round(mm * 1000) / 1000)).toEqual([-10, -40, 610, 400]);
    const radii = grown.outline.segments.flatMap((segment) => (segment.kind === 'arc' ? [Math.round(segment.radius)] : []));
    expect(radii.sort()).toEqual([50, 50, 60, 60]);
    expect(area(grown.outline)).toBeCloseTo(620 * 440 - (1 - Math.PI / 4) * (2 * 3600 + 2 * 2500), 3);
    expect(selfCrossing(grown.outline)).toBeNull();
  });

  it('closes a notch that is narrower than its growth, and says that it was trimmed', () => {
    const notched = polygonOutline([
      [0, 0, 'front'],
      [300, 0, 'right'],
      [300, 200, 'back'],
      [160, 200, 'back'],
      [160, 120, 'back'],
      [140, 120, 'back'],
      [140, 200, 'back'],
      [0, 200, 'left'],
    ]);
    const grown = grow(notched, 15, 'mitre');
    expect(grown.ok && grown.exact).toBeFalse();
    expect(grown.ok && area(grown.outline)).toBeCloseTo(330 * 230, -1);
  });
});

describe('a pattern', () => {
  it('spread at its middle keeps its curves and grows by just that', () => {
    const disc: Outline = {
      segments: [0, 1, 2, 3].map((q) =>
        arcAbout('front', { x: 0, y: 0 }, { x: 200 * Math.cos((q * Math.PI) / 2), y: 200 * Math.sin((q * Math.PI) / 2) }, Math.PI / 2),
      ),
    };
    const wide = spread(disc, 'x', 60);
    expect(area(wide)).toBeCloseTo(Math.PI * 40_000 + 60 * 400, 4);
    expect(wide.segments.filter((segment) => segment.kind === 'line').length).toBe(2);
    expect(isClosed(wide)).toBeTrue();
  });

  it('evened out is its own mirror, by either half or by their mean', () => {
    const crooked = polygonOutline([
      [0, 0, 'front'],
      [500, 10, 'right'],
      [470, 400, 'back'],
      [60, 380, 'left'],
    ]);
    for (const keep of ['left', 'right', 'average'] as const) {
      const even = evenOut(crooked, keep);
      if (!even) throw new Error(keep);
      expect(asymmetry(even).worstMm).withContext(keep).toBeLessThan(0.02);
      expect(selfCrossing(even)).toBeNull();
    }
    // Of an outline even already nothing changes.
    const plain = rectangleOutline(500, 400, 40);
    expect(area(evenOut(plain, 'left') ?? plain)).toBeCloseTo(area(plain), 6);
    expect(asymmetry(crooked).worstMm).toBeGreaterThan(10);
    expect(area(mirrored(crooked, 250))).toBeCloseTo(area(crooked), 6);
  });

  it('is changed point by point and stays closed', () => {
    const square = rectangleOutline(400, 300);
    const steps = [
      (one: Outline) => movePoint(one, 1, { x: 430, y: -10 }),
      (one: Outline) => insertPoint(one, 2),
      (one: Outline) => setKind(one, 2, 'arc'),
      (one: Outline) => setKind(one, 0, 'cubic'),
      (one: Outline) => movePoint(one, 3, { x: 210, y: 340 }),
      (one: Outline) => removePoint(one, 1),
    ];
    let outline = square;
    for (const step of steps) {
      outline = step(outline);
      expect(isClosed(outline)).toBeTrue();
      expect(area(outline)).toBeGreaterThan(50_000);
    }
    const both = movePointMirrored(square, 2, { x: 380, y: 320 });
    expect(asymmetry(both).worstMm).toBeLessThan(1e-6);
  });

  it('fitted through noisy places stays near them, with straight sides straight and corners sharp', () => {
    const places = Array.from({ length: 120 }, (_, i) => {
      const t = i / 119;
      const bulge = 90 * Math.sin(Math.PI * t);
      return { point: { x: 400 * t, y: bulge + (((i * 7919) % 100) / 100 - 0.5) * 0.4 }, edge: 'back' as const };
    });
    const fitted = fitCurve(places, 0.5);
    expect(fitted.length).toBeLessThan(5);
    const dense = flatten({ segments: fitted }, 0.01);
    for (const { point: p } of places) expect(offWay([...dense, places[119]!.point], p)).toBeLessThan(0.8);
    const corner = [...Array.from({ length: 40 }, (_, i) => ({ x: i * 5, y: 0 })), ...Array.from({ length: 40 }, (_, i) => ({ x: 200, y: i * 5 }))];
    const two = fitCurve(
      corner.map((p) => ({ point: p, edge: 'front' as const })),
      0.3,
    );
    expect(two.map((segment) => segment.kind)).toEqual(['line', 'line']);
    expect(distance(two[0]!.to, { x: 200, y: 0 })).toBeLessThan(6);
    expect(line('front', two[0]!.from, two[0]!.to).kind).toBe('line');
  });
});
