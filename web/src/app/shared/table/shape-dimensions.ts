import { shapeOf, type CushionPlan, type Point, type Template } from '@yardland/core';
import { templateOrigin } from './cushion-scene';
import type { SceneItem } from './scene';

/** The measures of the template's shape, written on it to be typed over; `key` is the measure's own. */
export function shapeDimensions(one: CushionPlan): SceneItem[] {
  const { template } = one.source;
  const shape = shapeOf(template);
  if (!one.outlines || shape.check(template).length) return [];
  const origin = templateOrigin(one);
  const at = (p: Point): Point => ({ x: p.x + origin.x, y: p.y + origin.y });
  return shape.dimensions(template).map(({ key, from, to, side }): SceneItem => {
    const measure = shape.measures.find((one) => one.key === key);
    const away = { below: 40, above: 34, left: 40, right: 52 }[side];
    const mm = measure ? measureOf(template, key) : Math.hypot(to.x - from.x, to.y - from.y);
    const edit = measure ? { edit: { minMm: measure.least, maxMm: measure.most } } : {};
    const word = measure?.word ?? key;
    const name = word === 'wide' ? `${one.source.given} width` : word === 'deep' ? `${one.source.given} depth` : word;
    return { kind: 'dim', key, name, side, away, from: at(from), to: at(to), mm, ...edit };
  });
}

/** One measure of a template as it stands; what is left out reads as nothing. */
export function measureOf(template: Template, key: string): number {
  const value = (template as unknown as Record<string, unknown>)[key];
  return typeof value === 'number' ? value : 0;
}
