import { IDENTITY, mapSegment, within, type Affine } from '../../geometry/affine';
import type { Segment } from '../../geometry/segment';
import { chained, outlineOfChains, unitsNotSaid } from '../chains';
import { MOST_ENTITIES, scaleOf, type FileUnits, type ReadOutline } from '../outline-file';
import { reading, Unreadable } from '../unreadable';
import { lengthParts, UNIT_MM, userUnits, type Room } from './lengths';
import { pathSegments } from './path';
import { pathOf } from './shapes';
import { transformOf } from './transform';
import { DEEPEST, treeOf, type Element } from './tree';

const HIDDEN: ReadonlySet<string> = new Set(['defs', 'clipPath', 'mask', 'symbol', 'pattern', 'marker', 'metadata', 'title', 'desc', 'style', 'script']);
/** Room of a drawing that does not say how large it is, in pixels, as the standard has it. */
const UNSAID: Room = { width: 300, height: 150 };

function viewBoxOf({ attributes, line }: Element): readonly [number, number, number, number] | null {
  const text = attributes['viewBox'];
  if (text === undefined) return null;
  const [x, y, w, h, ...more] = text
    .trim()
    .split(/[\s,]+/)
    .map(Number);
  if (![x, y, w, h].every((n) => Number.isFinite(n)) || more.length || !(w && w > 0) || !(h && h > 0))
    throw new Unreadable(line, `the view box “${text.slice(0, 60)}”`);
  return [x ?? 0, y ?? 0, w, h];
}

const ALIGN: Readonly<Record<string, number>> = { Min: 0, Mid: 0.5, Max: 1 };

/** The map that fits a view box into a room, by `preserveAspectRatio`. */
function fitted([x, y, w, h]: readonly [number, number, number, number], { width, height }: Room, ratio = 'xMidYMid meet'): Affine {
  const [sx, sy] = [width / w, height / h];
  if (/\bnone\b/.test(ratio)) return [sx, 0, 0, sy, -x * sx, -y * sy];
  const scale = /\bslice\b/.test(ratio) ? Math.max(sx, sy) : Math.min(sx, sy);
  const [, ax = 'Mid', ay = 'Mid'] = /x(Min|Mid|Max)Y(Min|Mid|Max)/.exec(ratio) ?? [];
  return [scale, 0, 0, scale, (width - w * scale) * (ALIGN[ax] ?? 0.5) - x * scale, (height - h * scale) * (ALIGN[ay] ?? 0.5) - y * scale];
}

interface View {
  readonly map: Affine;
  readonly room: Room;
}

/** A nested drawing or a symbol: its own room inside the one around it. */
function nested(element: Element, outer: View, width: string | undefined, height: string | undefined, at: readonly [number, number]): View {
  const { line, attributes } = element;
  const room = {
    width: userUnits(width, 'x', outer.room, line, outer.room.width),
    height: userUnits(height, 'y', outer.room, line, outer.room.height),
  };
  const box = viewBoxOf(element);
  const placed = within(outer.map, [1, 0, 0, 1, ...at]);
  if (!box) return { map: placed, room };
  return { map: within(placed, fitted(box, room, attributes['preserveAspectRatio'])), room: { width: box[2], height: box[3] } };
}

/** Millimetres of the root's own measures, and the map to them; `said` is false where the file has no real measure. */
function rootView(root: Element): View & { readonly said: boolean } {
  const box = viewBoxOf(root);
  const side = (key: 'width' | 'height'): { readonly px: number; readonly real: boolean } | null => {
    const parts = lengthParts(root.attributes[key] ?? '');
    if (!parts || parts.unit === '%' || !(parts.value > 0)) return null;
    const mm = UNIT_MM[parts.unit];
    const real = mm !== undefined && parts.unit !== 'px';
    return { px: real ? (parts.value * mm) / (UNIT_MM['px'] ?? 1) : parts.value, real };
  };
  const [wide, high] = [side('width'), side('height')];
  const said = (wide?.real ?? true) && (high?.real ?? true) && (wide?.real || high?.real || false);
  const natural = box ? { width: box[2], height: box[3] } : UNSAID;
  // One side alone keeps the view box's proportion.
  const room = {
    width: wide?.px ?? (high ? (high.px * natural.width) / natural.height : natural.width),
    height: high?.px ?? (wide ? (wide.px * natural.height) / natural.width : natural.height),
  };
  if (!said) return { map: IDENTITY, room: natural, said };
  const mm = UNIT_MM['px'] ?? 1;
  const toMm: Affine = [mm, 0, 0, mm, 0, 0];
  return box ? { map: within(toMm, fitted(box, room, root.attributes['preserveAspectRatio'])), room: natural, said } : { map: toMm, room, said };
}

class Drawing {
  readonly drawn: { readonly id: string; readonly segments: readonly Segment[] }[] = [];
  readonly #byId = new Map<string, Element>();
  #count = 0;

  constructor(root: Element) {
    const note = (element: Element): void => {
      const { id } = element.attributes;
      if (id !== undefined && !this.#byId.has(id)) this.#byId.set(id, element);
      element.children.forEach(note);
    };
    note(root);
  }

  add(element: Element, view: View, depth: number): void {
    if (depth > DEEPEST) throw new Unreadable(element.line, 'it is nested too deeply');
    if (++this.#count > MOST_ENTITIES) throw new Unreadable(element.line, 'it holds too much');
    const { name, attributes, style } = element;
    if (HIDDEN.has(name) || (style.get('display') ?? attributes['display'])?.trim() === 'none') return;
    if (style.has('transform-origin') || attributes['transform-origin'] !== undefined)
      throw new Unreadable(element.line, 'a transform about an origin of its own');
    // A style's transform stands in place of the attribute's, as the standard has it.
    const turned: View = { room: view.room, map: within(view.map, transformOf(style.get('transform') ?? attributes['transform'] ?? '', element.line)) };
    if (name === 'use') {
      this.#use(element, turned, depth);
      return;
    }
    const data = pathOf(element, turned.room);
    if (data !== null) this.drawn.push({ id: attributes['id'] ?? '', segments: pathSegments(data, turned.map, element.line) });
    const inner = name === 'svg' ? nested(element, turned, attributes['width'], attributes['height'], this.#corner(element, turned)) : turned;
    for (const child of element.children) this.add(child, inner, depth + 1);
  }

  #corner({ attributes, line }: Element, { room }: View): readonly [number, number] {
    return [userUnits(attributes['x'], 'x', room, line), userUnits(attributes['y'], 'y', room, line)];
  }

  #use(element: Element, view: View, depth: number): void {
    const { attributes, line } = element;
    const href = attributes['href'] ?? attributes['xlink:href'] ?? '';
    const target = href.startsWith('#') ? this.#byId.get(href.slice(1)) : undefined;
    if (!target) throw new Unreadable(line, `“${href.slice(0, 40)}” is used and not in the file`);
    const at = this.#corner(element, view);
    if (target.name === 'symbol' || target.name === 'svg') {
      const [width, height] = [attributes['width'] ?? target.attributes['width'], attributes['height'] ?? target.attributes['height']];
      const inner = nested(target, view, width, height, at);
      for (const child of target.children) this.add(child, inner, depth + 1);
    } else this.add(target, { room: view.room, map: within(view.map, [1, 0, 0, 1, ...at]) }, depth + 1);
  }
}

/** Reads the outline of a drawing. What is read is read right; what cannot be is refused with its line. `units`: where the file does not say. */
export function readSvg(text: string, units: FileUnits | null): ReadOutline {
  return reading('SVG', () => {
    const root = treeOf(text);
    const view = rootView(root);
    const drawing = new Drawing(root);
    for (const child of root.children) drawing.add(child, view, 1);
    const cut = drawing.drawn.filter((one) => one.id === 'cut');
    // Turned over, so that y points to the back, and brought to millimetres.
    const by = view.said ? 1 : scaleOf(units);
    const all = (cut.length ? cut : drawing.drawn).flatMap((one) => one.segments).flatMap((segment) => mapSegment([by, 0, 0, -by, 0, 0], segment));
    const far = all.some(({ from, to }) => [from.x, from.y, to.x, to.y].some((n) => !(Math.abs(n) < 1e6)));
    if (far) throw new Unreadable(0, 'a part of it lies a kilometre away: its units cannot be right');
    return outlineOfChains(chained(all), view.said || units !== null ? [] : [unitsNotSaid()]);
  });
}
