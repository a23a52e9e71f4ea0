import type { Outline } from '../../geometry/outline';
import type { Point } from '../../geometry/point';
import { line, startAngle, type Segment } from '../../geometry/segment';
import { figure, frameOf, oneLine, type OutlineFormat } from '../outline-file';
import { readDxf } from './read';

const xy = (p: Point, codes: readonly [number, number]): string => `${codes[0]}\n${figure(p.x)}\n${codes[1]}\n${figure(p.y)}\n`;

function entity(segment: Segment, on: string): string {
  if (segment.kind === 'line') return `0\nLINE\n8\n${on}\n${xy(segment.from, [10, 20])}${xy(segment.to, [11, 21])}`;
  if (segment.kind === 'cubic') {
    const knots = [0, 0, 0, 0, 1, 1, 1, 1].map((k) => `40\n${k}\n`).join('');
    const controls = [segment.from, segment.c1, segment.c2, segment.to].map((p) => xy(p, [10, 20])).join('');
    return `0\nSPLINE\n8\n${on}\n70\n8\n71\n3\n72\n8\n73\n4\n${knots}${controls}`;
  }
  // DXF arcs run counter-clockwise.
  const degrees = (angle: number): string => ((((angle * 180) / Math.PI) % 360) + 360).toFixed(9);
  const [from, to] =
    segment.sweep > 0 ? [startAngle(segment), startAngle(segment) + segment.sweep] : [startAngle(segment) + segment.sweep, startAngle(segment)];
  return `0\nARC\n8\n${on}\n${xy(segment.centre, [10, 20])}40\n${figure(segment.radius)}\n50\n${degrees(from)}\n51\n${degrees(to)}\n`;
}

/** The outline on the layer CUT, the centre line as the grain, the name as text; in millimetres. */
function write(outline: Outline, name: string): string {
  const { x, y, width, height } = frameOf(outline);
  const middle = x + width / 2;
  const grain = line('front', { x: middle, y: y + height * 0.3 }, { x: middle, y: y + height * 0.7 });
  const words = oneLine(name);
  return [
    '0\nSECTION\n2\nHEADER\n9\n$INSUNITS\n70\n4\n0\nENDSEC\n',
    '0\nSECTION\n2\nENTITIES\n',
    ...outline.segments.map((segment) => entity(segment, 'CUT')),
    entity(grain, 'GRAIN'),
    `0\nTEXT\n8\nTEXT\n${xy({ x: x + width * 0.1, y: y + height * 0.2 }, [10, 20])}40\n12\n1\n${words}\n`,
    '0\nENDSEC\n0\nEOF\n',
  ].join('');
}

/** Drawing exchange: lines, arcs, circles, ellipses, polylines with bulges, splines and inserted blocks are read; lines, arcs and splines written. */
export const dxf: OutlineFormat = { ending: 'dxf', name: 'DXF drawing', read: readDxf, write };
