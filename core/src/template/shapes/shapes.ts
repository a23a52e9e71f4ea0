import * as z from 'zod';
import { rectangle } from './rectangle';

/** The closed list of shapes. */
export const SHAPES = [rectangle] as const;

/** A template in a job document: a shape and its measures, millimetres. */
export const templateSchema = z.discriminatedUnion('shape', [rectangle.schema as typeof rectangle.schema & z.ZodObject<{ shape: z.ZodLiteral<'rectangle'> }>]);
export type Template = Parameters<(typeof SHAPES)[number]['check']>[0];

/** The module of a template's shape. */
export function shapeOf(template: Template): (typeof SHAPES)[number] {
  return SHAPES.find((module) => module.shape === template.shape) ?? rectangle;
}
