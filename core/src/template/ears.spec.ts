import { area, outlineBounds, perimeter, polygonOutline, rectangleOutline } from '../geometry/outline';
import { isClosed } from '../geometry/outline';
import { selfCrossing } from '../geometry/simple';
import { outlineOf, SHAPES } from './shapes/shapes';
import { withoutEars } from './ears';

describe('a knife-edge plate without ears', () => {
  it('is taken in by 13 at each corner of a square, not at all in the middle of a side', () => {
    const square = rectangleOutline(400, 400);
    const trimmed = withoutEars(square, 13, 0.25);
    // Corners at (13, 13) and their like; the middle half of every side stays on the line.
    const corners = trimmed.segments.filter((segment) => Math.abs(segment.from.x - 13) < 1e-9 && Math.abs(segment.from.y - 13) < 1e-9);
    expect(corners.length).toBe(1);
    const straight = trimmed.segments.filter((segment) => segment.kind === 'line');
    expect(straight.length).toBe(4);
    for (const side of straight) expect(Math.hypot(side.to.x - side.from.x, side.to.y - side.from.y)).toBeCloseTo(200, 6);
    expect(outlineBounds(trimmed)).toEqual(outlineBounds(square));
    expect(area(trimmed)).toBeLessThan(400 * 400);
    // Less than the straight wedges would take: 8 × 13 × 100 ÷ 2, and the corner squares.
    expect(area(trimmed)).toBeGreaterThan(400 * 400 - (8 * 13 * 100) / 2 - 4 * 13 * 13);
    expect(perimeter(trimmed)).toBeLessThan(1600);
  });

  it('takes both sides in by as much whatever the angle, leaves inner and round corners, and is nothing at nothing', () => {
    const slanted = polygonOutline([
      [0, 0, 'front'],
      [500, 0, 'right'],
      [380, 400, 'back'],
      [0, 400, 'left'],
    ]);
    const tip = withoutEars(slanted, 10, 0.25).segments.find((segment) => Math.hypot(segment.from.x - 500, segment.from.y) < 40)!.from;
    expect(tip.y).toBeCloseTo(10, 9);
    // Distance from the slanting side through (500, 0) and (380, 400).
    expect(Math.abs((500 - tip.x) * 400 - tip.y * 120) / Math.hypot(400, 120)).toBeCloseTo(10, 9);
    expect(withoutEars(slanted, 0, 0.25)).toBe(slanted);
    const round = outlineOf({ shape: 'round', diameterMm: 400 }).outline;
    expect(withoutEars(round, 13, 0.25)).toBe(round);
  });

  it('is a closed, simple outline for every shape', () => {
    for (const shape of SHAPES) {
      const { outline } = outlineOf(shape.like(600, 500));
      const trimmed = withoutEars(outline, 13, 0.25);
      expect(isClosed(trimmed)).withContext(shape.shape).toBeTrue();
      expect(selfCrossing(trimmed)).withContext(shape.shape).toBeNull();
    }
  });
});
