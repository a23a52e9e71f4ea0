import { issue } from '../kernel/issue';
import { readWith } from '../kernel/read';
import { mended, outlineFromJson, outlineProblems, outlineSchema, outlineToJson } from '../template/outline-json';
import { outlineOf, shapeOf, templateSchema } from '../template/shapes/shapes';
import type { OutlineFormat, ReadOutline } from './outline-file';

/** Reads an outline document, or a template: a shape with its measures, by itself or under `template`. */
export function readOutlineValue(value: unknown): ReadOutline {
  const body = typeof value === 'object' && value !== null && 'template' in value ? value.template : value;
  if (typeof body === 'object' && body !== null && 'shape' in body) {
    const template = readWith(templateSchema, body);
    if (!template.ok) return template;
    const problems = shapeOf(template.value).check(template.value);
    if (problems.length) return { ok: false, problems };
    return { ok: true, outline: outlineOf(template.value).outline, notes: shapeOf(template.value).remarks?.(template.value) ?? [] };
  }
  const read = readWith(outlineSchema, body);
  if (!read.ok) return read;
  const outline = outlineFromJson(read.value);
  const problems = outlineProblems(outline);
  return problems.length ? { ok: false, problems } : { ok: true, outline: mended(outline), notes: [] };
}

/** `yardland/outline@1`. */
export const json: OutlineFormat = {
  ending: 'json',
  name: 'open JSON',
  read(text) {
    try {
      return readOutlineValue(JSON.parse(text) as unknown);
    } catch {
      return { ok: false, problems: [issue('error', 'file-not-json', '')] };
    }
  },
  write: (outline) => `${JSON.stringify(outlineToJson(outline), null, 2)}\n`,
};
