import { bounds, cushionFeel, fillingLayers, polygonArea, sectionOf, type CushionPlan } from '@yardland/core';
import { fillingScene } from '../../filling/filling-scene';
import { boxesJob, demoShop, solvedPlan } from '../../testing/opened-job';
import { outlineItems, planDimensions, plateItems } from './cushion-scene';
import { shapeDimensions } from './shape-dimensions';
import { sectionItems } from './section';
import { pointsOf, type Area, type SceneItem } from './scene';

const inWords = { units: 'metric' as const, step: { mm: 1, inch: 1 / 8 } };
const cushions = solvedPlan(boxesJob).cushions;
const [box, , chair] = cushions as [CushionPlan, CushionPlan, CushionPlan];
const area = (items: readonly SceneItem[], key: string): Area => {
  const found = items.find((item): item is Area => item.kind === 'area' && item.key === key);
  if (!found) throw new Error(`no ${key}`);
  return found;
};
const sizeOf = (item: Area): number[] => {
  const box = bounds(pointsOf(item.shape));
  return [box.maxX - box.minX, box.maxY - box.minY].map((mm) => Math.round(mm * 10) / 10);
};

describe('a cushion drawn', () => {
  it('has its outlines centred over each other, to scale', () => {
    const items = outlineItems(chair, ['seat', 'core']);
    expect(sizeOf(area(items, 'outline-core'))).toEqual([546.1, 495.3]);
    const middle = (item: Area) => {
      const box = bounds(pointsOf(item.shape));
      return [(box.minX + box.maxX) / 2, (box.minY + box.maxY) / 2].map((mm) => Math.round(mm * 10) / 10);
    };
    expect(middle(area(items, 'outline-core'))).toEqual(middle(area(items, 'outline-seat')));
  });

  it('has a plate with its sewing line one allowance inside, and a tick for every notch', () => {
    const plate = box.pieces.find((piece) => piece.role === 'plate');
    if (!plate) throw new Error('no plate');
    const items = plateItems(plate, 12.7);
    expect(sizeOf(area(items, 'plate-cut'))).toEqual([527.1, 457.2]);
    expect(sizeOf(area(items, 'plate-sewn'))).toEqual([501.7, 431.8]);
    expect(items.filter((item) => item.kind === 'tick').length).toBe(plate.marks.length);
  });

  it('has a section as wide as sewn, its crown on both faces, the layers filling it and nothing outside', () => {
    for (const one of cushions) {
      if (one.state !== 'planned') throw new Error('blocked');
      const items = sectionItems(sectionOf(one, demoShop, inWords), { x: 0, y: 0 });
      const cover = area(items, 'section-cover');
      const [width = 0, height = 0] = sizeOf(cover);
      expect(width).toBeCloseTo(one.sizes?.sewn.width.value ?? 0, 0);
      expect(height).toBeCloseTo((one.sizes?.sewn.height.value ?? 0) + 2 * (one.fit?.crownMm ?? 0), 0);
      const layers = items.filter((item): item is Area => item.kind === 'area' && item.key.startsWith('section-layer'));
      expect(layers.length).toBe(one.source.core.layers.length);
      const inside = layers.reduce((sum, layer) => sum + Math.abs(polygonArea(pointsOf(layer.shape))), 0);
      expect(inside).toBeLessThanOrEqual(Math.abs(polygonArea(pointsOf(cover.shape))) + 1);
      const coverBox = bounds(pointsOf(cover.shape));
      for (const layer of layers) expect(bounds(pointsOf(layer.shape)).maxY).toBeLessThanOrEqual(coverBox.maxY + 0.1);
    }
  });

  it('lets only the given size be typed over', () => {
    const typed = (items: readonly SceneItem[]) => items.map((item) => item.kind === 'dim' && item.edit !== undefined);
    expect(typed(shapeDimensions(box))).toEqual([true, true]);
    expect(typed(planDimensions(box, 'finished'))).toEqual([false, false]);
  });
});

describe('a filling drawn', () => {
  const layers = fillingLayers(box.source, demoShop);
  const under = (massKg: number) => {
    if (!layers) throw new Error('no layers');
    return cushionFeel(box.source, { wrapLoftMm: box.wrap?.value ?? 0, layers, sitter: { massKg, posture: 'upright' } }, demoShop, 'inch');
  };
  /** Lowest point of the top layer's upper side. */
  const dip = (massKg: number | null): number => {
    const scene = fillingScene(box, demoShop, massKg === null ? null : under(massKg), 'x', inWords);
    const points = pointsOf(area(scene.items, 'layer-0').shape);
    return Math.min(...points.slice(0, points.length / 2).map((p) => p.y));
  };

  it('lies flat with nobody on it, and is pressed in the middle by as much as the model says', () => {
    const total = box.source.core.layers.reduce((sum, layer) => sum + layer.thicknessMm, 0);
    expect(dip(null)).toBeCloseTo(total, 6);
    for (const massKg of [25, 75, 120]) expect(dip(massKg)).toBeCloseTo(total - under(massKg).giveMm, 1);
  });

  it('keeps its layers one on the other: the lower side of one is the upper side of the next', () => {
    const { items } = fillingScene(box, demoShop, under(95), 'x', inWords);
    const [upper, lower] = ['layer-0', 'layer-1'].map((key) => pointsOf(area(items, key).shape));
    const half = (upper?.length ?? 0) / 2;
    const under0 = (upper ?? []).slice(half).reverse();
    (lower ?? []).slice(0, half).forEach((p, i) => expect(p.y).toBeCloseTo(under0[i]?.y ?? NaN, 6));
  });
});
