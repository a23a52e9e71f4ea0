import * as z from 'zod';
import { outlineFromJson, mended, outlineProblems, outlineSchema, outlineToJson } from '../template/outline-json';
import { outlineOf, shapeOf, templateSchema } from '../template/shapes/shapes';
import { issue, under, type Issue } from '../kernel/issue';
import type { Outline } from '../geometry/outline';
import { crown } from './crown';

/** A question for the crown of one face: over a template or an outline, so high, with so many pads. */
export const crownRequestSchema = z.strictObject({
  format: z.literal('yardland/crown@1'),
  template: templateSchema.optional(),
  outline: outlineSchema.optional(),
  crownMm: z.number().min(0).max(300),
  pads: z.int().min(0).max(20).optional(),
});
export type CrownRequest = z.infer<typeof crownRequestSchema>;

/** What is wrong with a question for a crown: no outline, two, or one that cannot be. */
export function checkCrown({ template, outline }: CrownRequest): Issue[] {
  if ((template === undefined) === (outline === undefined)) return [issue('error', 'crown-wants-one-outline', 'template')];
  return template ? under('template', shapeOf(template).check(template)) : outline ? outlineProblems(outlineFromJson(outline)) : [];
}

/** The crown's answer as open JSON; across runs left to right, along front to back, through the highest point. */
export function crownAnswer({ template, outline, crownMm, pads = 0 }: CrownRequest) {
  const plan: Outline = template ? outlineOf(template).outline : outline ? mended(outlineFromJson(outline)) : { segments: [] };
  const { extraAcrossMm, extraAlongMm, drawInAcrossMm, drawInAlongMm, bowed, pads: made } = crown(plan, crownMm, pads);
  return {
    extraAcrossMm,
    extraAlongMm,
    drawInAcrossMm,
    drawInAlongMm,
    bowed: outlineToJson(bowed),
    pads: made.map(({ heightMm, areaMm2, outline: line }) => ({ heightMm, areaMm2, outline: outlineToJson(line) })),
  };
}
