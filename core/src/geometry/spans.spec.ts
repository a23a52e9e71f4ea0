import { outlineOf } from '../template/shapes/shapes';
import { rectangleOutline } from './outline';
import { highestPlace, spanPolygon, spansThrough } from './spans';

describe('spans through the highest place', () => {
  it('are the sides of a rectangle and the diameters of a round', () => {
    const square = spanPolygon(rectangleOutline(600, 500, 40));
    expect(highestPlace(square).x).toBeCloseTo(300, 6);
    expect(spansThrough(square, highestPlace(square))).toEqual({ acrossMm: 600, deepMm: 500 });
    const outline = spanPolygon(outlineOf({ shape: 'round', diameterMm: 400 }).outline);
    const { acrossMm, deepMm } = spansThrough(outline, highestPlace(outline));
    expect(acrossMm).toBeCloseTo(400, 0);
    expect(deepMm).toBeCloseTo(400, 0);
  });

  it('of a curved bench are its own depth and not that of its box, and of a T those of its wide part', () => {
    // Inner radius 1000, 400 deep: on the middle line the bench is 400 deep; on a level line at the middle radius it is a chord of the outer circle.
    const bench = spanPolygon(outlineOf({ shape: 'ring-sector', innerRadiusMm: 1000, depthMm: 400, angleDeg: 60, facing: 'in' }).outline);
    const spans = spansThrough(bench, highestPlace(bench));
    expect(spans.deepMm).toBeGreaterThan(395);
    expect(spans.deepMm).toBeLessThan(480);
    const outline = spanPolygon(outlineOf({ shape: 't', widthMm: 700, depthMm: 600, backWidthMm: 400, earDepthMm: 200 }).outline);
    expect(spansThrough(outline, highestPlace(outline)).deepMm).toBeCloseTo(600, 0);
  });

  it('of a place outside are those of the whole box', () => {
    expect(spansThrough(spanPolygon(rectangleOutline(600, 500)), { x: 900, y: 0 })).toEqual({ acrossMm: 600, deepMm: 500 });
  });
});
