import { userUnits, type Along, type Room } from './lengths';
import type { Element } from './tree';

const ellipse = (cx: number, cy: number, rx: number, ry: number): string =>
  `M${cx + rx} ${cy}A${rx} ${ry} 0 0 1 ${cx} ${cy + ry}A${rx} ${ry} 0 0 1 ${cx - rx} ${cy}A${rx} ${ry} 0 0 1 ${cx} ${cy - ry}A${rx} ${ry} 0 0 1 ${cx + rx} ${cy}Z`;

/** A rectangle; a radius given for one way counts for both, and none is more than half a side. */
function rectangle({ x, y, w, h }: Readonly<Record<'x' | 'y' | 'w' | 'h', number>>, rx: number | null, ry: number | null): string {
  const [a, b] = [Math.min(w / 2, rx ?? ry ?? 0), Math.min(h / 2, ry ?? rx ?? 0)];
  if (!(a > 0 && b > 0)) return `M${x} ${y}h${w}v${h}h${-w}Z`;
  const arc = (dx: number, dy: number): string => `a${a} ${b} 0 0 1 ${dx} ${dy}`;
  return `M${x + a} ${y}h${w - 2 * a}${arc(a, b)}v${h - 2 * b}${arc(-a, b)}h${-(w - 2 * a)}${arc(-a, -b)}v${-(h - 2 * b)}${arc(a, -b)}Z`;
}

/** Path data of an element that draws, in the user units of its room; null for one that does not. */
export function pathOf({ name, attributes: a, style, line }: Element, room: Room): string | null {
  const said = (key: string): string | undefined => style.get(key) ?? a[key];
  const n = (key: string, along: Along): number => userUnits(said(key), along, room, line);
  const maybe = (key: string, along: Along): number | null =>
    said(key) === undefined || said(key)?.trim() === 'auto' ? null : userUnits(said(key), along, room, line);
  switch (name) {
    case 'path':
      return style.get('d')?.replace(/^path\(["']?|["']?\)$/g, '') ?? a['d'] ?? null;
    case 'polygon':
      return a['points'] ? `M${a['points']}Z` : null;
    case 'polyline':
      return a['points'] ? `M${a['points']}` : null;
    case 'line':
      return `M${n('x1', 'x')} ${n('y1', 'y')}L${n('x2', 'x')} ${n('y2', 'y')}`;
    case 'rect':
      return rectangle({ x: n('x', 'x'), y: n('y', 'y'), w: n('width', 'x'), h: n('height', 'y') }, maybe('rx', 'x'), maybe('ry', 'y'));
    case 'circle':
      return ellipse(n('cx', 'x'), n('cy', 'y'), n('r', 'both'), n('r', 'both'));
    case 'ellipse': {
      const [rx, ry] = [maybe('rx', 'x'), maybe('ry', 'y')];
      return ellipse(n('cx', 'x'), n('cy', 'y'), rx ?? ry ?? 0, ry ?? rx ?? 0);
    }
    default:
      return null;
  }
}
