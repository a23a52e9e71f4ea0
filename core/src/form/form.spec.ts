import { polygonArea } from '../geometry/polygon';
import { drawClosed, USUAL_VIEW } from './draw';
import { projected } from './stage';
import { frontProfile } from './soft-front';
import { placeOn, riseOf, type ClosedForm } from './form';

const BOX: ClosedForm = {
  rim: [
    { x: 0, y: 0 },
    { x: 500, y: 0 },
    { x: 500, y: 400 },
    { x: 0, y: 400 },
  ],
  front: [true, false, false, false],
  heightMm: 100,
  lie: 'across',
  overMm: 0,
  underMm: 0,
  lines: { top: 'seam', bottom: 'seam', corners: true, softFront: false },
  cornersAt: [0, 1, 2, 3],
  buttons: [],
};
const T: ClosedForm = {
  ...BOX,
  // Ears at the front, 100 deep and 60 wide on both sides.
  rim: [
    { x: -60, y: 0 },
    { x: 560, y: 0 },
    { x: 560, y: 100 },
    { x: 500, y: 100 },
    { x: 500, y: 400 },
    { x: 0, y: 400 },
    { x: 0, y: 100 },
    { x: -60, y: 100 },
  ],
  front: [true, false, false, false, false, false, false, false],
  cornersAt: [],
};

describe('a closed cushion', () => {
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

  it('shows the two sides that face the eye, and of a T those of its ears too, those behind first', () => {
    const bands = (form: ClosedForm) => drawClosed(form).strokes.filter(({ kind }) => kind === 'band');
    expect(bands(BOX).length).toBe(2);
    // Front, the right ear's side, the right of the back, and no side that looks away.
    expect(bands(T).length).toBe(3);
    // The same solid turned once round is the same drawing; from behind other sides are seen, as many.
    expect(bands(BOX).length).toBe(drawClosed(BOX, { turnDeg: USUAL_VIEW.turnDeg + 180, aboveDeg: 30 }).strokes.filter(({ kind }) => kind === 'band').length);
    const order = drawClosed(T).strokes.map(({ kind }) => kind);
    expect(order.lastIndexOf('band')).toBeLessThan(order.indexOf('face'));
  });

  it('covers what it covers: its sides and its face have the areas of their projections', () => {
    const area = (kind: string): number =>
      drawClosed(BOX, { turnDeg: 30, aboveDeg: 30 })
        .strokes.filter((stroke) => stroke.kind === kind)
        .reduce((sum, { points }) => sum + Math.abs(polygonArea(points)), 0);
    // The face 500 × 400 shortened by sin 30°; the sides 500 and 400 by cos 30° and sin 30° of their turn, 100 high by cos 30°.
    expect(area('face')).toBeCloseTo(500 * 400 * 0.5, 3);
    expect(area('band')).toBeCloseTo((500 * Math.cos(Math.PI / 6) + 400 * 0.5) * 100 * Math.cos(Math.PI / 6), 3);
  });

  it('domes its face: nothing at the rim, all of it in the middle, and a welt or nothing where the construction says so', () => {
    const rise = riseOf(BOX);
    expect([rise({ x: 0, y: 200 }), rise({ x: -5, y: 200 })]).toEqual([0, 0]);
    expect(rise({ x: 250, y: 200 })).toBeCloseTo(1, 6);
    expect(rise({ x: 250, y: 100 })).toBeCloseTo(0.75, 6);
    const kinds = (lines: Partial<ClosedForm['lines']>) =>
      new Set(drawClosed({ ...BOX, overMm: 30, lines: { ...BOX.lines, ...lines } }).strokes.map(({ kind }) => kind));
    expect([kinds({ top: 'welt' }).has('welt'), kinds({ top: 'ridge' }).has('ridge'), kinds({}).has('welt')]).toEqual([true, true, false]);
    const domed = drawClosed({ ...BOX, overMm: 60 });
    expect(domed.maxY).toBeGreaterThanOrEqual(drawClosed(BOX).maxY);
    expect(domed.strokes.filter(({ kind }) => kind === 'hatch').length).toBeGreaterThan(20);
  });

  it('leans as a wedge does, and lies along its length as a roll', () => {
    const wedge: ClosedForm = { ...BOX, backMm: 40 };
    expect([placeOn(wedge, { x: 0, y: 0 }, 1).z, placeOn(wedge, { x: 0, y: 400 }, 1).z, placeOn(wedge, { x: 0, y: 200 }, 0.5).z]).toEqual([100, 40, 35]);
    expect(placeOn({ ...BOX, lie: 'along', heightMm: 700 }, { x: 10, y: 20 }, 1)).toEqual({ x: 700, y: 10, z: 20 });
  });

  it('rounds a front on quarter circles, and is as wide and deep on the picture as before', () => {
    const rounded = { topMm: 30, bottomMm: 20 };
    const profile = frontProfile({ heightMm: 100, rounded });
    const points = profile?.points ?? [];
    expect([points[0], points.at(-1)].map((p) => ({ backMm: Math.round(p?.backMm ?? NaN), upMm: Math.round(p?.upMm ?? NaN) }))).toEqual([
      { backMm: 30, upMm: 100 },
      { backMm: 20, upMm: 0 },
    ]);
    for (const { backMm, upMm } of points)
      expect(upMm > 60 ? Math.hypot(backMm - 30, upMm - 70) : Math.hypot(backMm - 20, upMm - 20)).toBeCloseTo(upMm > 60 ? 30 : 20, 6);
    // Looked at level from the front, the rounded cushion is the same rectangle.
    const level = { turnDeg: 0, aboveDeg: 0 };
    const [square, soft] = [BOX, { ...BOX, rounded }].map((form) => drawClosed(form, level));
    for (const side of ['minX', 'maxX', 'minY', 'maxY'] as const) expect(soft?.[side]).toBeCloseTo(square?.[side] ?? NaN, 6);
    // From above and in front its faces end behind the front: the top's nearest line lies 30 back.
    const above = drawClosed({ ...BOX, rounded }, { turnDeg: 0, aboveDeg: 90 });
    const face = above.strokes.filter(({ kind }) => kind === 'face').at(-1);
    expect(Math.min(...(face?.points ?? []).map(({ y }) => y))).toBeCloseTo(above.minY + 30, 6);
  });

  it('shows a zip only from the side on which it runs', () => {
    const zip = [false, false, true, false];
    const zips = (turnDeg: number): number => drawClosed({ ...BOX, zip }, { turnDeg, aboveDeg: 30 }).strokes.filter(({ kind }) => kind === 'zip').length;
    expect([zips(32), zips(212)]).toEqual([0, 1]);
  });

  it('rises as its solved surface does, straight between the places of the grid', () => {
    // A grid of 200: all of the rise at one of its places, half of it at the next.
    const surface = { x0: 0, y0: 0, step: 200, columns: 4, rows: 3, values: [0, 0, 0, 0, 0, 1, 0.5, 0, 0, 0, 0, 0] };
    const rise = riseOf({ ...BOX, surface });
    expect([rise({ x: 200, y: 200 }), rise({ x: 400, y: 200 })]).toEqual([1, 0.5]);
    expect(rise({ x: 300, y: 200 })).toBeCloseTo(0.75, 6);
    expect(rise({ x: 200, y: 100 })).toBeCloseTo(0.5, 6);
    expect(rise({ x: -5, y: 200 })).toBe(0);
  });
});
