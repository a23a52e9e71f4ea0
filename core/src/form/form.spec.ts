import fc from 'fast-check';
import type { Point } from '../geometry/point';
import { contains, polygonArea } from '../geometry/polygon';
import { onGrid } from './form';
import { drawRough, type RoughCushion, type Stroke } from './rough';
import { projected, USUAL_VIEW, type View3 } from './stage';

const LINES = { top: 'seam', bottom: 'seam', corners: true, softFront: false } as const;
const rim = (...points: readonly (readonly [number, number])[]): Point[] => points.map(([x, y]) => ({ x, y }));
const BOX: RoughCushion = { rim: rim([0, 0], [500, 0], [500, 400], [0, 400]), heightMm: 100, lines: LINES };
/** Ears at the front, 100 deep and 60 wide on both sides. */
const T: RoughCushion = { ...BOX, rim: rim([-60, 0], [560, 0], [560, 100], [500, 100], [500, 400], [0, 400], [0, 100], [-60, 100]) };
/** A bay open to the right: its long inner side stands behind the end of the short arm, though its middle is nearer to the eye. */
const BAY: RoughCushion = { ...BOX, rim: rim([0, 0], [300, 0], [300, 60], [80, 60], [80, 120], [1500, 120], [1500, 200], [0, 200]) };
const L: RoughCushion = { ...BOX, rim: rim([0, 0], [600, 0], [600, 200], [150, 200], [150, 700], [0, 700]) };

const ofKind = ({ strokes }: { readonly strokes: readonly Stroke[] }, kind: string): Stroke[] => strokes.filter((stroke) => stroke.kind === kind);

/** What the eye meets first at a place of the picture, by the ray through it: the upper face, a side by its number, or nothing. */
function metFirst({ rim: of, heightMm }: RoughCushion, { turnDeg, aboveDeg }: View3, p: Point): 'face' | number | null {
  const [a, e] = [(turnDeg * Math.PI) / 180, (aboveDeg * Math.PI) / 180];
  const turned = of.map(({ x, y }) => ({ x: x * Math.cos(a) + y * Math.sin(a), y: -x * Math.sin(a) + y * Math.cos(a) }));
  const hits: { readonly what: 'face' | number; readonly depth: number }[] = [];
  const away = (p.y - heightMm * Math.cos(e)) / Math.sin(e);
  if (contains(turned, { x: p.x, y: away })) hits.push({ what: 'face', depth: away * Math.cos(e) - heightMm * Math.sin(e) });
  turned.forEach((from, i) => {
    const to = turned[(i + 1) % turned.length] as Point;
    if (from.x <= p.x === to.x <= p.x) return;
    const y = from.y + ((to.y - from.y) * (p.x - from.x)) / (to.x - from.x);
    const z = (p.y - y * Math.sin(e)) / Math.cos(e);
    if (z >= 0 && z <= heightMm) hits.push({ what: i, depth: y * Math.cos(e) - z * Math.sin(e) });
  });
  return hits.sort((one, other) => one.depth - other.depth)[0]?.what ?? null;
}

/** What was painted last at a place of the picture. */
function paintedLast(cushion: RoughCushion, view: View3, p: Point): 'face' | number | null {
  const to = projected(view);
  const area = drawRough(cushion, view)
    .strokes.filter(({ kind, points }) => (kind === 'face' || kind === 'band') && contains(points, p))
    .at(-1);
  if (!area) return null;
  if (area.kind === 'face') return 'face';
  return cushion.rim.findIndex(
    ({ x, y }) => Math.hypot(to({ x, y, z: 0 }).x - (area.points[0]?.x ?? NaN), to({ x, y, z: 0 }).y - (area.points[0]?.y ?? NaN)) < 1e-9,
  );
}

describe('a cushion drawn in a list', () => {
  it('is projected in parallel: by hand, turned 30° and from 30° above', () => {
    const to = projected({ turnDeg: 30, aboveDeg: 30 });
    // across = 500 cos 30°, away = −500 sin 30°, up = 100 cos 30°.
    const corner = to({ x: 500, y: 0, z: 100 });
    expect(corner.x).toBeCloseTo(433.013, 3);
    expect(corner.y).toBeCloseTo(-250 * 0.5 + 86.603, 3);
    // What lies further back, or lower, lies deeper.
    expect(to({ x: 0, y: 400, z: 0 }).depth).toBeGreaterThan(to({ x: 0, y: 0, z: 0 }).depth);
    expect(to({ x: 0, y: 0, z: 50 }).depth).toBeLessThan(to({ x: 0, y: 0, z: 0 }).depth);
  });

  it('covers what it covers: its sides and its face have the areas of their projections', () => {
    const drawn = drawRough(BOX, { turnDeg: 30, aboveDeg: 30 });
    const area = (kind: string): number => ofKind(drawn, kind).reduce((sum, { points }) => sum + Math.abs(polygonArea(points)), 0);
    // The face 500 × 400 shortened by sin 30°; the sides 500 and 400 by cos 30° and sin 30° of their turn, 100 high by cos 30°.
    expect(area('face')).toBeCloseTo(500 * 400 * 0.5, 3);
    expect(area('band')).toBeCloseTo((500 * Math.cos(Math.PI / 6) + 400 * 0.5) * 100 * Math.cos(Math.PI / 6), 3);
    // Of a T the front, the right ear’s side and the right side behind it are seen.
    expect(ofKind(drawRough(T), 'band').length).toBe(3);
  });

  it('hides what the eye does not meet, behind inner corners too, from every side', () => {
    const [view, share] = [
      fc.record({ turnDeg: fc.constantFrom(32, 60, 120, 200, 255, 310), aboveDeg: fc.integer({ min: 12, max: 70 }) }),
      fc.double({ min: 0.01, max: 0.99, noNaN: true }),
    ];
    const met = new Set<unknown>();
    fc.assert(
      fc.property(fc.constantFrom(BOX, T, BAY, L), view, share, share, (cushion, from, across, up) => {
        const { minX, minY, maxX, maxY } = drawRough(cushion, from);
        const p = { x: minX + (maxX - minX) * across + 1e-4, y: minY + (maxY - minY) * up + 1e-4 };
        const first = metFirst(cushion, from, p);
        met.add(typeof first);
        expect(paintedLast(cushion, from, p))
          .withContext(JSON.stringify({ from, p }))
          .toBe(first);
      }),
      { numRuns: 3000, seed: 20 },
    );
    // The face, sides and places beside the cushion were all among them.
    expect(met.size).toBe(3);
    // By hand, from the usual view: the arm’s end is seen whole, its upper part before the long side.
    const middle = projected(USUAL_VIEW)({ x: 300, y: 30, z: 90 });
    expect([metFirst(BAY, USUAL_VIEW, middle), paintedLast(BAY, USUAL_VIEW, middle)]).toEqual([1, 1]);
  });

  it('hides the sides of a roll with a hollow end behind those before them', () => {
    // A trough: its end is a U whose hollow opens upwards.
    const U: RoughCushion = {
      rim: rim([0, 0], [300, 0], [300, 200], [240, 200], [240, 60], [60, 60], [60, 200], [0, 200]),
      heightMm: 700,
      lines: { ...LINES, solid: 'roll' },
    };
    const [a, e] = [(USUAL_VIEW.turnDeg * Math.PI) / 180, (USUAL_VIEW.aboveDeg * Math.PI) / 180];
    const [ca, sa, ce, se] = [Math.cos(a), Math.sin(a), Math.cos(e), Math.sin(e)];
    /** By the ray through a place of the picture: where it meets each side's plane, and how far away. */
    const first = ({ x: px, y: py }: Point): number | null => {
      const hits = U.rim.flatMap((p, i) => {
        const q = U.rim[(i + 1) % U.rim.length] as Point;
        // x ca + y sa = px and (−x sa + y ca) se + z ce = py, with y and z along the side by t.
        const [dy, dz] = [q.x - p.x, q.y - p.y];
        const [m11, m12, m21, m22] = [ca, dy * sa, -sa * se, dy * ca * se + dz * ce];
        const [r1, r2] = [px - p.x * sa, py - p.x * ca * se - p.y * ce];
        const det = m11 * m22 - m12 * m21;
        const [x, t] = [(r1 * m22 - m12 * r2) / det, (m11 * r2 - m21 * r1) / det];
        if (!(t >= 0 && t <= 1 && x >= 0 && x <= U.heightMm)) return [];
        return [{ i, depth: (-x * sa + (p.x + t * dy) * ca) * ce - (p.y + t * dz) * se }];
      });
      return hits.sort((one, other) => one.depth - other.depth)[0]?.i ?? null;
    };
    const to = projected(USUAL_VIEW);
    const corner = ({ x, y }: Point): Point => to({ x: 0, y: x, z: y });
    const painted = drawRough(U).strokes.filter(({ kind }) => kind === 'band' || kind === 'face');
    let sides = 0;
    fc.assert(
      fc.property(
        fc.double({ min: 5, max: 690, noNaN: true }),
        fc.double({ min: 1, max: 299, noNaN: true }),
        fc.double({ min: 1, max: 199, noNaN: true }),
        (x, y, z) => {
          const p = to({ x, y, z });
          const area = painted.filter(({ points }) => contains(points, p)).at(-1);
          // The end is painted over what lies behind it.
          if (area?.kind !== 'band') return;
          sides++;
          const seen = U.rim.findIndex((one) => Math.hypot(corner(one).x - (area.points[0]?.x ?? NaN), corner(one).y - (area.points[0]?.y ?? NaN)) < 1e-9);
          expect(seen)
            .withContext(JSON.stringify(p))
            .toBe(first(p) as number);
        },
      ),
      { numRuns: 600, seed: 5 },
    );
    expect(sides).toBeGreaterThan(200);
  });

  it('has the lines that its construction leaves: a welt, a ridge, nothing over a soft front', () => {
    const kinds = (lines: Partial<RoughCushion['lines']>) => new Set(drawRough({ ...BOX, lines: { ...LINES, ...lines } }).strokes.map(({ kind }) => kind));
    expect([kinds({ top: 'welt' }).has('welt'), kinds({ top: 'ridge' }).has('ridge'), kinds({}).has('welt')]).toEqual([true, true, false]);
    // All round in one line, so that it turns its corners whole; with a soft front along the other three sides.
    expect(ofKind(drawRough({ ...BOX, lines: { ...LINES, top: 'welt' } }), 'welt').map(({ closed }) => closed)).toEqual([true]);
    expect(ofKind(drawRough({ ...BOX, lines: { ...LINES, top: 'welt', softFront: true } }), 'welt').length).toBe(3);
    // Four channels have three seams between them, across the whole depth.
    const seams = ofKind(drawRough({ ...BOX, lines: { ...LINES, corners: false, channels: 4 } }, { turnDeg: 0, aboveDeg: 90 }), 'seam');
    expect(seams.map(({ points }) => [points[0], points.at(-1)].map((p) => [Math.round(p?.x ?? NaN), Math.round(p?.y ?? NaN)]))).toEqual([
      [
        [125, 0],
        [125, 400],
      ],
      [
        [250, 0],
        [250, 400],
      ],
      [
        [375, 0],
        [375, 400],
      ],
    ]);
  });

  it('stands proud by half its loft on both sides where two plates meet, and lies along its length as a roll', () => {
    const level = { turnDeg: 0, aboveDeg: 0 };
    const knife = drawRough({ ...BOX, lines: { ...LINES, solid: 'faces' } }, level);
    expect(knife.maxY).toBeGreaterThan(45);
    expect(knife.maxY).toBeLessThanOrEqual(50);
    expect(knife.minY).toBeCloseTo(-knife.maxY, 6);
    // A roll of 160 across, 700 long.
    const round = Array.from({ length: 24 }, (_, i) => ({ x: 80 + 80 * Math.cos((i * Math.PI) / 12), y: 80 + 80 * Math.sin((i * Math.PI) / 12) }));
    const roll = drawRough({ rim: round, heightMm: 700, lines: { ...LINES, solid: 'roll' } }, level);
    expect([roll.maxX - roll.minX, roll.maxY - roll.minY].map(Math.round)).toEqual([700, 160]);
  });
});

describe('a surface on its grid', () => {
  it('rises straight between its places, and is nothing beyond them', () => {
    // A grid of 200: all of the rise at one of its places, half of it at the next.
    const surface = { x0: 0, y0: 0, step: 200, columns: 4, rows: 3, values: [0, 0, 0, 0, 0, 1, 0.5, 0, 0, 0, 0, 0] };
    expect([onGrid(surface, { x: 200, y: 200 }), onGrid(surface, { x: 400, y: 200 })]).toEqual([1, 0.5]);
    expect(onGrid(surface, { x: 300, y: 200 })).toBeCloseTo(0.75, 6);
    expect(onGrid(surface, { x: 200, y: 100 })).toBeCloseTo(0.5, 6);
    expect(onGrid(surface, { x: -5, y: 200 })).toBe(0);
  });
});
