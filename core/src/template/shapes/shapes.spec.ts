import fc from 'fast-check';
import { grow } from '../../geometry/offset';
import { area, flatten, isClosed, outlineBounds, perimeter } from '../../geometry/outline';
import { contains } from '../../geometry/polygon';
import { selfCrossing } from '../../geometry/simple';
import { asymmetry } from '../../geometry/measure';
import { plan } from '../../plan/plan';
import { unequalSeams } from '../../piece/seam';
import { demoShop, sampleCushion, sampleJob } from '../../testing/samples';
import { outlineFromJson, outlineToJson } from '../outline-json';
import { sized } from '../sized';
import { quadrilateralError } from './quadrilateral';
import { outlineOf, SHAPES, shapeOf, templateSchema, type Template } from './shapes';

/** Perimeter of an ellipse by summing a million chords' worth of a fine Simpson rule. */
function ellipsePerimeter(a: number, b: number): number {
  const n = 20_000;
  const speed = (t: number): number => Math.hypot(a * Math.sin(t), b * Math.cos(t));
  let sum = 0;
  for (let i = 0; i < n; i++) {
    const [p, q] = [(i / n) * (Math.PI / 2), ((i + 1) / n) * (Math.PI / 2)];
    sum += ((q - p) / 6) * (speed(p) + 4 * speed((p + q) / 2) + speed(q));
  }
  return 4 * sum;
}

/** Closed formulas, worked by hand: measures, area, perimeter, width, depth. */
const KNOWN: readonly (readonly [Template, areaMm2: number, perimeterMm: number, acrossMm: number, deepMm: number])[] = [
  [{ shape: 'rectangle', widthMm: 600, depthMm: 500, cornerRadiusMm: 50 }, 600 * 500 - (4 - Math.PI) * 2500, 2200 - (8 - 2 * Math.PI) * 50, 600, 500],
  [
    { shape: 'rectangle', widthMm: 600, depthMm: 500, backLeftRadiusMm: 80, backRightRadiusMm: 40 },
    600 * 500 - (1 - Math.PI / 4) * (6400 + 1600),
    2200 - (2 - Math.PI / 2) * 120,
    600,
    500,
  ],
  [{ shape: 'round', diameterMm: 460 }, Math.PI * 230 ** 2, Math.PI * 460, 460, 460],
  [{ shape: 'oval', widthMm: 700, depthMm: 420 }, Math.PI * 350 * 210, ellipsePerimeter(350, 210), 700, 420],
  [{ shape: 'half-round', widthMm: 500 }, (Math.PI * 250 ** 2) / 2, Math.PI * 250 + 500, 500, 250],
  // A flat one: radius (250² + 100²)/(2·100) = 362.5; half angle asin(250/362.5).
  [{ shape: 'half-round', widthMm: 500, depthMm: 100 }, 362.5 ** 2 * Math.asin(250 / 362.5) - 250 * 262.5, 2 * 362.5 * Math.asin(250 / 362.5) + 500, 500, 100],
  [
    { shape: 'round-back', widthMm: 500, depthMm: 450, riseMm: 100 },
    500 * 350 + 362.5 ** 2 * Math.asin(250 / 362.5) - 250 * 262.5,
    500 + 700 + 2 * 362.5 * Math.asin(250 / 362.5),
    500,
    450,
  ],
  [{ shape: 'trapezoid', frontMm: 560, backMm: 440, depthMm: 480 }, 500 * 480, 1000 + 2 * Math.hypot(60, 480), 560, 480],
  [{ shape: 'trapezoid', frontMm: 560, backMm: 440, depthMm: 480, skewMm: 100 }, 500 * 480, 1000 + Math.hypot(160, 480) + Math.hypot(40, 480), 600, 480],
  [{ shape: 'wedge', widthMm: 500, depthMm: 400, thinMm: 40 }, 200_000, 1800, 500, 400],
  [{ shape: 't', widthMm: 620, depthMm: 560, backWidthMm: 500, earDepthMm: 150 }, 620 * 150 + 500 * 410, 2 * (620 + 560), 620, 560],
  [{ shape: 'l', widthMm: 620, depthMm: 560, backWidthMm: 540, earDepthMm: 150, arm: 'left' }, 620 * 150 + 540 * 410, 2 * (620 + 560), 620, 560],
  [
    { shape: 'angle-cut', widthMm: 600, depthMm: 500, cutAcrossMm: 120, cutDeepMm: 160, corner: 'front-left' },
    600 * 500 - (120 * 160) / 2,
    2200 - 280 + 200,
    600,
    500,
  ],
  [{ shape: 'bay', widthMm: 1800, depthMm: 500, backMm: 1000, sideMm: 200 }, 1800 * 200 + 1400 * 300, 1800 + 400 + 1000 + 2 * 500, 1800, 500],
  // 1200 to 1650, 50 degrees: across from the outer radius, deep from its top to the inner ends.
  [
    { shape: 'ring-sector', innerRadiusMm: 1200, depthMm: 450, angleDeg: 50 },
    ((1650 ** 2 - 1200 ** 2) * ((50 * Math.PI) / 180)) / 2,
    (1650 + 1200) * ((50 * Math.PI) / 180) + 900,
    2 * 1650 * Math.sin((25 * Math.PI) / 180),
    1650 - 1200 * Math.cos((25 * Math.PI) / 180),
  ],
  [{ shape: 'quadrilateral', frontMm: 400, rightMm: 300, backMm: 400, leftMm: 300, diagonalMm: 500, otherDiagonalMm: 500 }, 120_000, 1400, 400, 300],
];

describe('shapes', () => {
  it('have the area, perimeter and reach of their closed formulas', () => {
    for (const [template, areaMm2, perimeterMm, across, deep] of KNOWN) {
      expect(shapeOf(template).check(template)).withContext(template.shape).toEqual([]);
      const { outline, acrossMm, deepMm } = outlineOf(template);
      expect(area(outline) / areaMm2)
        .withContext(`${template.shape} area`)
        .toBeCloseTo(1, 7);
      expect(perimeter(outline) / perimeterMm)
        .withContext(`${template.shape} perimeter`)
        .toBeCloseTo(1, 7);
      expect(acrossMm).withContext(`${template.shape} across`).toBeCloseTo(across, 5);
      expect(deepMm).withContext(`${template.shape} deep`).toBeCloseTo(deep, 5);
    }
    const shapes = new Set(KNOWN.map(([template]) => template.shape));
    for (const { shape } of SHAPES) if (shape !== 'stations' && shape !== 'free') expect(shapes.has(shape)).withContext(shape).toBeTrue();
  });

  it('all give a closed, simple, counter-clockwise outline from the origin that begins with its front, and are read back from a document', () => {
    for (const shape of SHAPES) {
      const template = shape.like(620, 480);
      expect(templateSchema.parse(JSON.parse(JSON.stringify(template))))
        .withContext(shape.shape)
        .toEqual(template);
      const { outline } = outlineOf(template);
      expect(isClosed(outline)).withContext(shape.shape).toBeTrue();
      expect(area(outline)).withContext(shape.shape).toBeGreaterThan(10_000);
      expect(selfCrossing(outline)).withContext(shape.shape).toBeNull();
      expect(outline.segments[0]?.edge).withContext(shape.shape).toBe('front');
      expect(outline.segments.some((segment) => segment.edge === 'back'))
        .withContext(shape.shape)
        .toBeTrue();
      const box = outlineBounds(outline);
      expect(Math.hypot(box.minX, box.minY)).withContext(shape.shape).toBeLessThan(1e-6);
      const again = outlineFromJson(outlineToJson(outline));
      expect(area(again) / area(outline))
        .withContext(shape.shape)
        .toBeCloseTo(1, 7);
      expect(again.segments.map((segment) => [segment.kind, segment.edge])).toEqual(outline.segments.map((segment) => [segment.kind, segment.edge]));
      for (const { key } of shape.dimensions(template)) expect(key.length).toBeGreaterThan(2);
    }
  });

  it('say in plain words what cannot be', () => {
    const codes = (template: Template) =>
      shapeOf(template)
        .check(template)
        .map((problem) => problem.code);
    expect(codes({ shape: 't', widthMm: 500, depthMm: 400, backWidthMm: 500, earDepthMm: 100 })).toEqual(['measure-too-large']);
    expect(codes({ shape: 'half-round', widthMm: 500, depthMm: 260 })).toEqual(['measure-too-large']);
    expect(codes({ shape: 'quadrilateral', frontMm: 400, rightMm: 300, backMm: 400, leftMm: 300, diagonalMm: 800 })).toEqual(['diagonal-does-not-reach']);
    expect(codes({ shape: 'rectangle', widthMm: 400, depthMm: 300, backLeftRadiusMm: 250, backRightRadiusMm: 200 })).toEqual(['corner-radii-too-large']);
    expect(
      codes({
        shape: 'stations',
        stations: [
          { atMm: 0, depthMm: 300 },
          { atMm: 0, depthMm: 310 },
        ],
      }),
    ).toEqual(['stations-not-in-order']);
    const bow = {
      format: 'yardland/outline@1' as const,
      start: [0, 0] as [number, number],
      segments: (
        [
          [400, 400],
          [400, 0],
          [0, 400],
          [0, 0],
        ] as [number, number][]
      ).map((to) => ({ to })),
    };
    expect(codes({ shape: 'free', outline: bow })).toEqual(['outline-crosses-itself']);
    expect(codes({ shape: 'free', outline: { ...bow, segments: bow.segments.slice(0, 3) } })).toEqual(['outline-open']);
  });

  it('a measured quadrilateral finds the true one from sides and both diagonals, and says what is left over', () => {
    const corners = [
      [0, 0],
      [510, 0],
      [530, 420],
      [-12, 400],
    ] as const;
    const d = (i: number, j: number): number => Math.hypot(corners[i]![0] - corners[j]![0], corners[i]![1] - corners[j]![1]);
    const exact = {
      shape: 'quadrilateral' as const,
      frontMm: d(0, 1),
      rightMm: d(1, 2),
      backMm: d(2, 3),
      leftMm: d(3, 0),
      diagonalMm: d(0, 2),
      otherDiagonalMm: d(1, 3),
    };
    expect(quadrilateralError(exact)).toBeLessThan(1e-6);
    expect(outlineOf(exact).acrossMm).toBeCloseTo(542, 6);
    const wrong = quadrilateralError({ ...exact, otherDiagonalMm: d(1, 3) + 10 });
    expect(wrong).toBeGreaterThan(1.5);
    expect(wrong).toBeLessThan(10);
    expect(shapeOf(exact).remarks?.({ ...exact, otherDiagonalMm: d(1, 3) + 10 })[0]?.code).toBe('diagonals-disagree');
  });

  it('a curve through depths measured on a circle is that circle within a millimetre', () => {
    const radius = 900;
    const stations = Array.from({ length: 13 }, (_, i) => ({ atMm: i * 100, depthMm: 300 + Math.sqrt(radius ** 2 - (i * 100 - 600) ** 2) - 600 }));
    const { outline } = outlineOf({ shape: 'stations', stations });
    for (const segment of outline.segments.filter((one) => one.edge === 'back'))
      for (const p of flatten({ segments: [segment] }, 0.01)) expect(Math.abs(Math.hypot(p.x - 600, p.y + 300) - radius)).toBeLessThan(1);
    expect(asymmetry(outline).worstMm).toBeLessThan(0.05);
  });
});

describe('every shape', () => {
  const growth = fc.record({ across: fc.double({ min: -30, max: 60, noNaN: true }), deep: fc.double({ min: -30, max: 60, noNaN: true }) });

  it('grows by Steiner where it is convex, against a slow raster everywhere', () => {
    for (const shape of SHAPES) {
      const { outline } = outlineOf(shape.like(620, 480));
      const grown = grow(outline, 20, 'round');
      if (!grown.ok) throw new Error(shape.shape);
      // The slow check: points of a raster are in the grown outline when they are in the first or within 20 mm of it.
      const [was, now] = [flatten(outline, 0.05), flatten(grown.outline, 0.05)];
      for (let x = -40; x <= 700; x += 17.3)
        for (let y = -40; y <= 560; y += 16.1) {
          let least = Infinity;
          was.forEach((a, i) => {
            const b = was[(i + 1) % was.length]!;
            const t = Math.max(0, Math.min(1, ((x - a.x) * (b.x - a.x) + (y - a.y) * (b.y - a.y)) / ((b.x - a.x) ** 2 + (b.y - a.y) ** 2)));
            least = Math.min(least, Math.hypot(x - a.x - t * (b.x - a.x), y - a.y - t * (b.y - a.y)));
          });
          if (Math.abs(least - 20) < 0.3) continue;
          const wanted = contains(was, { x, y }) || least < 20;
          expect(contains(now, { x, y })).withContext(`${shape.shape} ${x} ${y}`).toBe(wanted);
        }
      const convex = ['rectangle', 'round', 'oval', 'half-round', 'round-back', 'trapezoid', 'bay', 'angle-cut', 'quadrilateral', 'free'].includes(shape.shape);
      if (convex)
        expect(area(grown.outline) / (area(outline) + perimeter(outline) * 20 + Math.PI * 400))
          .withContext(shape.shape)
          .toBeCloseTo(1, 4);
    }
  });

  it('is sized to what a school asks, across and deep, where its corners are square or round', () => {
    fc.assert(
      fc.property(fc.constantFrom('rectangle', 'round', 'oval', 't', 'l', 'round-back'), growth, (name, { across, deep }) => {
        const template = SHAPES.find((one) => one.shape === name)!.like(600, 460);
        const base = outlineOf(template);
        const made = sized(base.outline, across, deep);
        if (!made) throw new Error(name);
        const box = outlineBounds(made);
        expect(box.maxX - box.minX)
          .withContext(name)
          .toBeCloseTo(base.acrossMm + across, 1);
        expect(box.maxY - box.minY)
          .withContext(name)
          .toBeCloseTo(base.deepMm + deep, 1);
        expect(selfCrossing(made)).toBeNull();
      }),
      { seed: 41, numRuns: 60 },
    );
  });

  it('makes a whole cover by every school, plain and welted, whose seams pair', () => {
    const shop = demoShop();
    for (const shape of SHAPES)
      for (const school of shop.schools)
        for (const edge of ['plain', 'welt'] as const) {
          const cushion = sampleCushion({ template: shape.like(560, 460), school: school.id, construction: { kind: 'boxed', edge } });
          const one = plan(sampleJob([cushion]), shop).cushions[0]!;
          const context = `${shape.shape} ${school.id} ${edge}`;
          expect(one.cover).withContext(context).not.toBeNull();
          expect(unequalSeams(one.cover?.seams ?? []))
            .withContext(context)
            .toEqual([]);
          expect(one.problems.filter((problem) => problem.severity === 'error').map((problem) => problem.code))
            .withContext(context)
            .toEqual([]);
          for (const { polygon } of one.cuts) expect(polygon.length).withContext(context).toBeGreaterThan(2);
        }
  });
});
