import svgpath from 'svgpath';
import { arcAsCubics, mapSegment, type Affine } from '../../geometry/affine';
import type { Point } from '../../geometry/point';
import { line, type Segment } from '../../geometry/segment';
import { arcBetween } from '../../template/outline-json';
import { MOST_ENTITIES } from '../outline-file';
import { Unreadable } from '../unreadable';

/** The centre-free arc of SVG as one that turns by an angle; the y axis still points down, so clockwise there is counter-clockwise here. */
function arcSweep(from: Point, to: Point, radius: number, large: boolean, clockwise: boolean): number {
  const chord = Math.hypot(to.x - from.x, to.y - from.y);
  const half = Math.asin(Math.min(1, chord / (2 * radius)));
  const sweep = large ? 2 * Math.PI - 2 * half : 2 * half;
  return clockwise ? sweep : -sweep;
}

/** Part of an ellipse as cubics: the arc is a circle's, seen through the map that makes the ellipse. Radii too small to reach are scaled up, as the standard has it. */
function ellipticArc(from: Point, [rx = 0, ry = 0, degrees = 0, large = 0, clockwise = 0]: readonly number[], to: Point): Segment[] {
  const angle = (degrees * Math.PI) / 180;
  const [c, s] = [Math.cos(angle), Math.sin(angle)];
  // Both ends where the ellipse is a circle of radius 1.
  const round = ({ x, y }: Point): Point => ({ x: (c * x + s * y) / rx, y: (-s * x + c * y) / ry });
  const [a, b] = [round(from), round(to)];
  const half = Math.hypot(b.x - a.x, b.y - a.y) / 2;
  const radius = Math.max(1, half);
  const arc = arcBetween('front', a, b, arcSweep(a, b, radius, large === 1, clockwise === 1));
  if (arc.kind !== 'arc') return [line('front', from, to)];
  const cubics = arcAsCubics(arc).flatMap((part) => mapSegment([c * rx, s * rx, -s * ry, c * ry, 0, 0], part));
  return cubics.map((part, i) => ({ ...part, ...(i === 0 ? { from } : {}), ...(i === cubics.length - 1 ? { to } : {}) }));
}

/** Segments of path data under a map; the y axis as in the file. Throws `Unreadable` where the data breaks off. */
export function pathSegments(data: string, map: Affine, lineNumber: number): Segment[] {
  const parsed = svgpath(data) as ReturnType<typeof svgpath> & { readonly err?: string };
  if (parsed.err) throw new Unreadable(lineNumber, `path data: ${parsed.err.replace(/^SvgPath:\s*/, '')}`);
  const path = parsed
    .matrix([...map])
    .abs()
    .unshort();
  const segments: Segment[] = [];
  let [at, start]: [Point, Point] = [
    { x: 0, y: 0 },
    { x: 0, y: 0 },
  ];
  const to = (next: Point, made: Segment): void => {
    segments.push(made);
    at = next;
    if (segments.length > MOST_ENTITIES) throw new Unreadable(lineNumber, 'it holds too much');
  };
  path.iterate((command) => {
    const [letter, ...n] = command as unknown as [string, ...number[]];
    const p = (i: number): Point => ({ x: n[i] ?? 0, y: n[i + 1] ?? 0 });
    if (letter === 'M') {
      at = p(0);
      start = at;
    } else if (letter === 'Z') {
      if (Math.hypot(at.x - start.x, at.y - start.y) > 1e-9) to(start, line('front', at, start));
      at = start;
    } else if (letter === 'L') to(p(0), line('front', at, p(0)));
    else if (letter === 'H') to({ x: n[0] ?? 0, y: at.y }, line('front', at, { x: n[0] ?? 0, y: at.y }));
    else if (letter === 'V') to({ x: at.x, y: n[0] ?? 0 }, line('front', at, { x: at.x, y: n[0] ?? 0 }));
    else if (letter === 'C') to(p(4), { kind: 'cubic', edge: 'front', from: at, c1: p(0), c2: p(2), to: p(4) });
    else if (letter === 'Q') {
      const [c, end] = [p(0), p(2)];
      const third = (a: Point): Point => ({ x: a.x + ((c.x - a.x) * 2) / 3, y: a.y + ((c.y - a.y) * 2) / 3 });
      to(end, { kind: 'cubic', edge: 'front', from: at, c1: third(at), c2: third(end), to: end });
    } else if (letter === 'A') {
      const [rx = 0, ry = 0, , large = 0, clockwise = 0] = n;
      const end = p(5);
      if (rx > 0 && Math.abs(rx - ry) <= 1e-6 * Math.max(rx, ry)) to(end, arcBetween('front', at, end, arcSweep(at, end, rx, large === 1, clockwise === 1)));
      else if (rx > 0 && ry > 0) ellipticArc(at, n, end).forEach((segment) => to(segment.to, segment));
      else to(end, line('front', at, end));
    }
  });
  return segments;
}
