import * as z from 'zod';
import { outlineBounds, type Outline } from '../../geometry/outline';
import type { Issue } from '../../kernel/issue';
import { angleCut } from './angle-cut';
import { bay } from './bay';
import { free } from './free';
import { halfRound } from './half-round';
import { lShape } from './l-shape';
import { oval } from './oval';
import { quadrilateral } from './quadrilateral';
import { rectangle } from './rectangle';
import { ringSector } from './ring-sector';
import { round } from './round';
import { roundBack } from './round-back';
import type { ShapeModule } from './shape';
import { stationsShape } from './stations';
import { tShape } from './t-shape';
import { trapezoid } from './trapezoid';
import { wedge } from './wedge';

type TemplateOf<M> = M extends ShapeModule<infer T> ? T : never;

const modules = [
  rectangle,
  round,
  oval,
  halfRound,
  roundBack,
  trapezoid,
  wedge,
  tShape,
  lShape,
  angleCut,
  bay,
  ringSector,
  quadrilateral,
  stationsShape,
  free,
] as const;

/** A template in a job document: a shape and its measures, millimetres. */
export type Template = TemplateOf<(typeof modules)[number]>;

/** A shape as everything outside its own module sees it. */
export type Shape = ShapeModule<Template> & { readonly remarks?: (measures: Template) => Issue[] };

/** The closed list of shapes, in the order they are offered. */
export const SHAPES = modules as unknown as readonly Shape[];

type Discriminated = z.core.$ZodTypeDiscriminable & z.ZodType<Template>;
export const templateSchema: z.ZodType<Template> = z.discriminatedUnion(
  'shape',
  modules.map((module) => module.schema) as unknown as readonly [Discriminated, ...Discriminated[]],
);

/** The module of a template's shape. */
export function shapeOf(template: Template): Shape {
  return SHAPES.find((module) => module.shape === template.shape) ?? (rectangle as unknown as Shape);
}

/** A template's outline, and how far it reaches across and deep. Only for a template that passes its shape's check. */
export function outlineOf(template: Template): { readonly outline: Outline; readonly acrossMm: number; readonly deepMm: number } {
  const outline = shapeOf(template).outline(template);
  const box = outlineBounds(outline);
  return { outline, acrossMm: box.maxX - box.minX, deepMm: box.maxY - box.minY };
}
