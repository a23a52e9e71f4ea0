import { isCorner } from '../geometry/measure';
import { area, flatten, outlineBounds, type Outline } from '../geometry/outline';
import { distance } from '../geometry/point';
import { contains } from '../geometry/polygon';
import type { Segment } from '../geometry/segment';
import { selfCrossing } from '../geometry/simple';
import { outlineOf, SHAPES, type Template } from '../template/shapes/shapes';
import { crown } from './crown';
import { heightAt, membrane } from './membrane';

const plan = (template: Template): Outline => outlineOf(template).outline;
const disc = plan({ shape: 'round', diameterMm: 400 });
const rectangle = plan({ shape: 'rectangle', widthMm: 600, depthMm: 500 });

/** ∫(√(1 + u'²) − 1) of a parabola c high over a width, by Simpson on very many parts. */
function parabolaExtra(c: number, width: number): number {
  const n = 20_000;
  const f = (x: number): number => Math.sqrt(1 + ((8 * c * x) / (width * width)) ** 2) - 1;
  let sum = 0;
  for (let i = 0; i < n; i++) {
    const [a, b] = [-width / 2 + (width * i) / n, -width / 2 + (width * (i + 1)) / n];
    sum += ((b - a) / 6) * (f(a) + 4 * f((a + b) / 2) + f(b));
  }
  return sum;
}

/** The membrane over a rectangle a × b by its double sine series, unscaled. */
function series(a: number, b: number, x: number, y: number): number {
  let sum = 0;
  for (let m = 1; m < 120; m += 2)
    for (let n = 1; n < 120; n += 2) sum += (Math.sin((m * Math.PI * x) / a) * Math.sin((n * Math.PI * y) / b)) / (m * n * ((m / a) ** 2 + (n / b) ** 2));
  return sum;
}

describe('the membrane', () => {
  it('is the paraboloid over a disc and an ellipse, and its series over a rectangle', () => {
    const ellipse = plan({ shape: 'oval', widthMm: 600, depthMm: 400 });
    const over = membrane(flatten(ellipse, 0.05), area(ellipse));
    for (const [x, y] of [
      [300, 200],
      [420, 250],
      [120, 140],
      [300, 330],
    ] as const)
      expect(heightAt(over, { x, y }))
        .withContext(`${x} ${y}`)
        .toBeCloseTo(1 - ((x - 300) / 300) ** 2 - ((y - 200) / 200) ** 2, 2);
    const flat = membrane(flatten(rectangle), area(rectangle));
    const peak = series(600, 500, 300, 250);
    for (const [x, y] of [
      [300, 100],
      [100, 250],
      [450, 400],
      [60, 60],
    ] as const)
      expect(heightAt(flat, { x, y }))
        .withContext(`${x} ${y}`)
        .toBeCloseTo(series(600, 500, x, y) / peak, 2);
  });

  it('converges with its grid: errors fall as the steps are halved', () => {
    const errorOf = (steps: number): number => {
      const over = membrane(flatten(rectangle), area(rectangle), steps);
      const peak = series(600, 500, 300, 250);
      return Math.max(
        ...[
          [150, 125],
          [450, 250],
          [300, 400],
          [80, 420],
        ].map(([x = 0, y = 0]) => Math.abs(heightAt(over, { x, y }) - series(600, 500, x, y) / peak)),
      );
    };
    const [coarse, middle, fine] = [errorOf(16), errorOf(32), errorOf(64)];
    expect(middle).toBeLessThan(coarse / 2);
    expect(fine).toBeLessThan(middle / 2);
  });
});

describe('the crown', () => {
  it('takes the cloth that the trade’s cases take', () => {
    const round = crown(disc, 30);
    expect(Math.abs(round.extraAcrossMm - 5.92)).toBeLessThan(0.05);
    expect(Math.abs(round.extraAlongMm - 5.92)).toBeLessThan(0.05);
    const square = crown(rectangle, 30);
    expect(Math.abs(square.extraAcrossMm - 4.38)).toBeLessThan(0.05);
    expect(Math.abs(square.extraAlongMm - 4.95)).toBeLessThan(0.05);
    const ellipse = crown(plan({ shape: 'oval', widthMm: 600, depthMm: 400 }), 40);
    expect(ellipse.extraAcrossMm / parabolaExtra(40, 600)).toBeCloseTo(1, 2);
    expect(ellipse.extraAlongMm / parabolaExtra(40, 400)).toBeCloseTo(1, 2);
    // Flat, the plate draws in until the dome on what is left uses it up.
    const left = 400 - round.drawInAcrossMm;
    expect(parabolaExtra(30, left)).toBeCloseTo(round.drawInAcrossMm, 1);
  });

  it('of nothing is the flat plate exactly', () => {
    const none = crown(rectangle, 0, 2);
    expect(none.bowed).toBe(rectangle);
    expect([none.extraAcrossMm, none.extraAlongMm, none.drawInAcrossMm, none.drawInAlongMm]).toEqual([0, 0, 0, 0]);
  });

  it('bows every shape by half the extra in the middle of its sides and by nothing at its corners', () => {
    const square = crown(rectangle, 30);
    const box = outlineBounds(square.bowed);
    expect(box.maxX - 600).toBeCloseTo(square.extraAcrossMm / 2, 1);
    expect(-box.minY).toBeCloseTo(square.extraAlongMm / 2, 1);
    for (const template of [
      ...SHAPES.map((shape) => shape.like(620, 480)),
      { shape: 'oval' as const, widthMm: 600, depthMm: 400 },
      { shape: 'round' as const, diameterMm: 333 },
    ]) {
      const shape = template;
      const outline = plan(template);
      const { bowed } = crown(outline, 30);
      expect(selfCrossing(bowed)).withContext(shape.shape).toBeNull();
      expect(area(bowed)).withContext(shape.shape).toBeGreaterThan(area(outline));
      expect(area(bowed) / area(outline))
        .withContext(shape.shape)
        .toBeLessThan(1.04);
      const edge = flatten(bowed, 0.02);
      outline.segments.forEach((segment, i) => {
        const next = outline.segments[(i + 1) % outline.segments.length] as Segment;
        if (isCorner(segment, next))
          expect(Math.min(...edge.map((p) => distance(p, segment.to))))
            .withContext(`${shape.shape} ${i}`)
            .toBeLessThan(0.5);
      });
    }
  });

  it('has pads that nest, their areas those of the level sets', () => {
    // Over a disc the surface stands at a share s or more on 1 − s of it.
    const { pads } = crown(disc, 30, 4);
    expect(pads.map((pad) => pad.heightMm)).toEqual([3.75, 11.25, 18.75, 26.25]);
    pads.forEach((pad, i) => expect(pad.areaMm2 / area(disc)).toBeCloseTo(1 - (i + 0.5) / 4, 2));
    for (const name of ['t', 'l', 'ring-sector', 'rectangle']) {
      const outline = plan(SHAPES.find((one) => one.shape === name)!.like(620, 480));
      const all = crown(outline, 30, 3).pads;
      expect(all.length).toBe(3);
      all.slice(1).forEach((pad, i) => {
        const under = flatten(all[i]!.outline, 0.05);
        for (const p of flatten(pad.outline, 1)) expect(contains(under, p)).withContext(name).toBeTrue();
      });
    }
  });
});
