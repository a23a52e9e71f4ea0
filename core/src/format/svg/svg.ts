import type { Outline } from '../../geometry/outline';
import type { Point } from '../../geometry/point';
import type { Segment } from '../../geometry/segment';
import { escaped, figure, frameOf, type OutlineFormat } from '../outline-file';
import { readSvg } from './read';

function command(segment: Segment): string {
  const p = (q: Point): string => `${figure(q.x)} ${figure(-q.y)}`;
  if (segment.kind === 'line') return `L${p(segment.to)}`;
  if (segment.kind === 'cubic') return `C${p(segment.c1)} ${p(segment.c2)} ${p(segment.to)}`;
  const large = Math.abs(segment.sweep) > Math.PI ? 1 : 0;
  return `A${figure(segment.radius)} ${figure(segment.radius)} 0 ${large} ${segment.sweep > 0 ? 0 : 1} ${p(segment.to)}`;
}

/** The outline as one path in millimetres, front below; the centre line dashed, the name as its title. */
function write(outline: Outline, name: string): string {
  const { x, y, width, height } = frameOf(outline);
  const [first] = outline.segments;
  const room = 10;
  const view = [x - room, -(y + height) - room, width + 2 * room, height + 2 * room].map(figure);
  const middle = figure(x + width / 2);
  return `<?xml version="1.0" encoding="UTF-8"?>
<svg xmlns="http://www.w3.org/2000/svg" width="${view[2]}mm" height="${view[3]}mm" viewBox="${view.join(' ')}">
  <title>${escaped(name)}</title>
  <path id="cut" d="M${figure(first?.from.x ?? 0)} ${figure(-(first?.from.y ?? 0))}${outline.segments.map(command).join('')}Z" fill="none" stroke="#a92f26" stroke-width="0.5"/>
  <path id="grain" d="M${middle} ${figure(-(y + height * 0.3))}L${middle} ${figure(-(y + height * 0.7))}" fill="none" stroke="#26303a" stroke-width="0.3" stroke-dasharray="6 3"/>
</svg>
`;
}

/** Scalable vector graphics: everything that draws a line, with its transforms, views and uses, is read; nothing of it is run or fetched. */
export const svg: OutlineFormat = { ending: 'svg', name: 'SVG drawing', read: readSvg, write };
