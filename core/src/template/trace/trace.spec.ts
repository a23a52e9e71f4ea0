import { asymmetry, distanceTo } from '../../geometry/measure';
import { area, flatten, outlineBounds, type Outline } from '../../geometry/outline';
import { selfCrossing } from '../../geometry/simple';
import { moved } from '../../geometry/transform';
import { homography, mapPoint } from './homography';
import { MADE_PICTURES, madePicture } from './made-picture';
import { findSheet, traceOutline } from './trace';
import { onSheet, outlineThrough } from './on-sheet';

/** Mean and worst distance between two outlines laid with their middles on each other. */
function error(found: Outline, truth: Outline): { readonly mean: number; readonly worst: number } {
  const centred = (outline: Outline): Outline => {
    const box = outlineBounds(outline);
    return moved(outline, -(box.minX + box.maxX) / 2, -(box.minY + box.maxY) / 2);
  };
  const [a, b] = [flatten(centred(found), 0.02), flatten(centred(truth), 0.02)];
  const dense = a.flatMap((p, i) => {
    const q = a[(i + 1) % a.length]!;
    const steps = Math.max(1, Math.round(Math.hypot(q.x - p.x, q.y - p.y) / 3));
    return Array.from({ length: steps }, (_, k) => ({ x: p.x + ((q.x - p.x) * k) / steps, y: p.y + ((q.y - p.y) * k) / steps }));
  });
  const off = dense.map((p) => distanceTo(b, p));
  return { mean: off.reduce((sum, mm) => sum + mm, 0) / off.length, worst: Math.max(...off, ...b.map((p) => distanceTo(a, p))) };
}

describe('a homography', () => {
  it('takes four points to four others and every other where a camera would', () => {
    const from = [
      { x: 0, y: 0 },
      { x: 300, y: 0 },
      { x: 300, y: 200 },
      { x: 0, y: 200 },
    ] as const;
    const to = [
      { x: 20, y: 400 },
      { x: 500, y: 380 },
      { x: 430, y: 60 },
      { x: 90, y: 70 },
    ] as const;
    const there = homography(from, to)!;
    const back = homography(to, from)!;
    from.forEach((p, i) => {
      expect(mapPoint(there, p).x).toBeCloseTo(to[i]!.x, 6);
      expect(mapPoint(there, p).y).toBeCloseTo(to[i]!.y, 6);
    });
    const middle = mapPoint(back, mapPoint(there, { x: 123, y: 45 }));
    expect([middle.x, middle.y].map((mm) => Math.round(mm * 1e6) / 1e6)).toEqual([123, 45]);
    expect(
      homography(
        [
          { x: 0, y: 0 },
          { x: 1, y: 1 },
          { x: 2, y: 2 },
          { x: 0, y: 5 },
        ],
        to,
      ),
    ).toBeNull();
  });
});

describe('a picture of a traced sheet', () => {
  MADE_PICTURES.forEach((made, index) => {
    it(`gives its outline back: ${made.name}`, () => {
      const { picture, corners, sheetWidthMm, sheetDepthMm, truth } = madePicture(index);
      const found = findSheet(picture)!;
      expect(found).not.toBeNull();
      found.forEach((p, i) => expect(Math.hypot(p.x - corners[i]!.x, p.y - corners[i]!.y)).toBeLessThan(4));
      const answer = traceOutline({ picture, corners: found, sheetWidthMm, sheetDepthMm, edge: 'middle', toleranceMm: 0.6 });
      if (!answer.ok) throw new Error(JSON.stringify(answer.problems));
      const { outline, lineMm, meanErrorMm, worstErrorMm } = answer.traced;
      const { mean, worst } = error(outline, truth);
      expect(mean).toBeLessThan(1.5);
      expect(worst).toBeLessThan(4);
      expect(Math.abs(lineMm - made.penMm)).toBeLessThan(1.2);
      expect(meanErrorMm).toBeLessThan(0.6);
      expect(worstErrorMm).toBeLessThan(3);
      expect(outline.segments.length).toBeLessThan(30);
      expect(selfCrossing(outline)).toBeNull();
      // A lopsided pattern stays as lopsided as it is.
      expect(Math.abs(asymmetry(outline).worstMm - asymmetry(truth).worstMm)).toBeLessThan(3);
      // The pen's inner edge lies inside its outer one, by its width. One picture tells.
      if (index > 0) return;
      const inner = traceOutline({ picture, corners: found, sheetWidthMm, sheetDepthMm, edge: 'inner', toleranceMm: 0.6 });
      const outer = traceOutline({ picture, corners: found, sheetWidthMm, sheetDepthMm, edge: 'outer', toleranceMm: 0.6 });
      const wide = (one: typeof inner): number => (one.ok ? outlineBounds(one.traced.outline).maxX : 0);
      expect(Math.abs(wide(outer) - wide(inner) - 2 * made.penMm)).toBeLessThan(2.5);
    });
  });

  it('says what is wrong: an open line, no sheet, corners on a line; and stops when told to', () => {
    const made = madePicture(0);
    const wiped = { ...made.picture, data: made.picture.data.map((value, i) => (i % made.picture.width > 600 && i % made.picture.width < 680 ? 200 : value)) };
    const code = (answer: ReturnType<typeof traceOutline>) => (answer.ok ? 'read' : answer.problems[0]?.code);
    expect(code(traceOutline({ ...made, picture: wiped, edge: 'middle', toleranceMm: 0.6 }))).toBe('picture-line-open');
    expect(findSheet({ width: 200, height: 150, data: new Uint8Array(30_000).fill(90) })).toBeNull();
    const [a, b, c] = made.corners;
    expect(code(traceOutline({ ...made, corners: [a, b, c, { x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 }], edge: 'middle', toleranceMm: 0.6 }))).toBe(
      'picture-corners-on-a-line',
    );
    expect(code(traceOutline({ ...made, edge: 'middle', toleranceMm: 0.6 }, () => false))).toBe('stopped');
  });
});

describe('points put by hand in a picture', () => {
  it('lie where they are in the plane of the sheet, seen straight or at a slant, also beyond it', () => {
    // Half a pixel a millimetre, the front at the foot of the picture.
    const straight = [
      { x: 100, y: 400 },
      { x: 600, y: 400 },
      { x: 600, y: 150 },
      { x: 100, y: 150 },
    ] as const;
    const size = { width: 1000, depth: 500 };
    expect(
      onSheet(
        [
          { x: 100, y: 400 },
          { x: 350, y: 275 },
          { x: 700, y: 450 },
        ],
        straight,
        size,
      ).map(({ x, y }) => [Math.round(x * 1e6) / 1e6, Math.round(y * 1e6) / 1e6]),
    ).toEqual([
      [0, 0],
      [500, 250],
      [1200, -100],
    ]);
    // A road that narrows: its sides meet at the horizon, y = 50; at its end it is three times as far as at its foot.
    const slant = [
      { x: 0, y: 350 },
      { x: 300, y: 350 },
      { x: 200, y: 150 },
      { x: 100, y: 150 },
    ] as const;
    const [half] = onSheet([{ x: 150, y: 200 }], slant, { width: 300, depth: 400 });
    // Distance goes as 1 / y from the horizon: 1/300 at the foot, 1/100 at the end, so that 1/150 is half of the way there: 1/300 of 2/300.
    expect(half?.x).toBeCloseTo(150, 6);
    expect(half?.y).toBeCloseTo(200, 6);
    // Nothing lies on the horizon or above it.
    expect(onSheet([{ x: 150, y: 50 }], slant, { width: 300, depth: 400 })).toEqual([]);
    expect(onSheet([{ x: 150, y: 40 }], slant, { width: 300, depth: 400 })).toEqual([]);
  });

  it('make an outline that turns counter-clockwise, its sides facing where they look', () => {
    const clockwise = [
      { x: 0, y: 0 },
      { x: 0, y: 300 },
      { x: 400, y: 300 },
      { x: 400, y: 0 },
    ];
    const outline = outlineThrough(clockwise);
    expect(outline.segments.map(({ edge }) => edge)).toEqual(['front', 'right', 'back', 'left']);
    expect(area(outline)).toBeCloseTo(120_000, 6);
  });
});
