import type { Bounds, Point } from '@yardland/core';
import { pointsOf, type Area, type Arrow, type Dimension, type Handle, type Knob, type Leader, type Note, type Scene, type Tick } from './scene';

/** Pixels per millimetre, and where the origin lies on the screen. */
export interface View {
  readonly scale: number;
  readonly x: number;
  readonly y: number;
}

export interface Size {
  readonly width: number;
  readonly height: number;
}

const ROOM = { top: 64, right: 110, bottom: 78, left: 60 };
/** A small thing is not drawn larger than this, pixels a millimetre. */
const LARGEST_SCALE = 2.4;

/** The view that shows a box whole, centred, with its room kept free. */
export function fittedView(box: Bounds, size: Size, room: Scene['room']): View {
  const free = { ...ROOM, ...room };
  const width = Math.max(box.maxX - box.minX, 1);
  const height = Math.max(box.maxY - box.minY, 1);
  const scale = Math.max(0.005, Math.min(LARGEST_SCALE, (size.width - free.left - free.right) / width, (size.height - free.top - free.bottom) / height));
  return {
    scale,
    x: free.left + (size.width - free.left - free.right - width * scale) / 2 - box.minX * scale,
    y: free.top + (size.height - free.top - free.bottom + height * scale) / 2 + box.minY * scale,
  };
}

/** The view after zooming about a point of the screen. */
export function zoomed(view: View, factor: number, about: Point): View {
  const scale = Math.min(20, Math.max(0.005, view.scale * factor));
  const ratio = scale / view.scale;
  return { scale, x: about.x - (about.x - view.x) * ratio, y: about.y - (about.y - view.y) * ratio };
}

export const onScreen = (p: Point, view: View): Point => ({ x: view.x + p.x * view.scale, y: view.y - p.y * view.scale });

const at = (p: Point): string => `${p.x.toFixed(1)} ${p.y.toFixed(1)}`;

export function areaPath(item: Area, view: View): string {
  const points = pointsOf(item.shape).map((p) => at(onScreen(p, view)));
  return `M${points.join('L')}${item.open ? '' : 'Z'}`;
}

export interface DrawnDimension {
  readonly item: Dimension;
  readonly path: string;
  readonly x: number;
  readonly y: number;
}

const DIM_AWAY = 30;
const DIM_TICK = 5;

/** A dimension line with its end ticks, and where its figure stands. */
export function drawnDimension(item: Dimension, view: View): DrawnDimension {
  const away = item.away ?? DIM_AWAY;
  const shift = { below: { x: 0, y: away }, above: { x: 0, y: -away }, right: { x: away, y: 0 }, left: { x: -away, y: 0 } }[item.side];
  const [a, b] = [item.from, item.to].map((p) => onScreen(p, view)).map((p) => ({ x: p.x + shift.x, y: p.y + shift.y })) as [Point, Point];
  const along = item.side === 'below' || item.side === 'above' ? { x: 0, y: DIM_TICK } : { x: DIM_TICK, y: 0 };
  const tick = (p: Point): string => `M${at({ x: p.x - along.x, y: p.y - along.y })}L${at({ x: p.x + along.x, y: p.y + along.y })}`;
  return { item, path: `M${at(a)}L${at(b)}${tick(a)}${tick(b)}`, x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 };
}

/** Figures on one side stand at least this far apart, pixels, so that each can be hit with a finger. */
const DIM_PITCH = 38;

/** Moves the figures of upright dimensions on one side apart where they would lie on each other. */
function spread(dims: readonly DrawnDimension[]): DrawnDimension[] {
  const lowest = new Map<string, number>();
  return [...dims]
    .sort((a, b) => a.y - b.y)
    .map((dim) => {
      const { side } = dim.item;
      if (side === 'below' || side === 'above') return dim;
      const y = Math.max(dim.y, (lowest.get(side) ?? -Infinity) + DIM_PITCH);
      lowest.set(side, y);
      return { ...dim, y };
    });
}

/** A line from a place in the drawing to words beside it, folded into lines. */
export interface DrawnLeader {
  readonly item: Leader;
  readonly path: string;
  readonly lines: readonly { readonly text: string; readonly x: number; readonly y: number }[];
}

export interface Drawing {
  readonly areas: readonly { readonly item: Area; readonly path: string }[];
  readonly dims: readonly DrawnDimension[];
  readonly ticks: readonly { readonly item: Tick; readonly path: string }[];
  readonly arrows: readonly { readonly item: Arrow; readonly text: string; readonly path: string; readonly x: number; readonly y: number }[];
  readonly notes: readonly { readonly item: Note; readonly text: string; readonly x: number; readonly y: number }[];
  readonly leaders: readonly DrawnLeader[];
  readonly handles: readonly { readonly item: Handle; readonly x: number; readonly y: number }[];
  readonly knobs: readonly { readonly item: Knob; readonly x: number; readonly y: number }[];
}

function arrowPath(item: Arrow, view: View): string {
  const [a, b] = [onScreen(item.from, view), onScreen(item.to, view)];
  const angle = Math.atan2(b.y - a.y, b.x - a.x);
  const barb = (turn: number): Point => ({ x: b.x - 11 * Math.cos(angle + turn), y: b.y - 11 * Math.sin(angle + turn) });
  return `M${at(a)}L${at(b)}M${at(barb(0.45))}L${at(b)}L${at(barb(-0.45))}`;
}

/** Width of one letter of a note, pixels; generous, so that words end inside their piece. */
const LETTER_PX = 7.4;
/** The word beside an arrow has room by one that is longer than this, pixels. */
const LEAST_ARROW_PX = 30;

/** Height that a line of words needs, pixels. */
const LINE_PX = 14;

function fittingWords({ text, short, within, tall }: Note, view: View): string {
  if (tall !== undefined && tall * view.scale < LINE_PX) return '';
  const fits = (words: string): boolean => within === undefined || words.length * LETTER_PX <= within * view.scale;
  return fits(text) ? text : short !== undefined && fits(short) ? short : '';
}

/** Notes on one line end before the next begins: what has no room is left off, and said so. On pieces they have their own room already. */
function apart<N extends Drawing['notes'][number]>(notes: readonly N[]): N[] {
  const beside = notes.filter(({ item, text }) => item.look !== 'onpiece' && (item.anchor ?? 'start') === 'start' && text !== '');
  return notes.map((note) => {
    if (!beside.includes(note)) return note;
    const next = Math.min(...beside.flatMap(({ x, y }) => (x > note.x && Math.abs(y - note.y) < LINE_PX ? [x] : [])));
    const letters = Math.floor((next - note.x - LETTER_PX) / LETTER_PX);
    return note.text.length <= letters ? note : { ...note, text: `${note.text.slice(0, Math.max(1, letters - 1)).trimEnd()}…` };
  });
}

/** Words beside a drawing: lines are so far apart, pixels, and have at most so many letters where they can be broken. */
const LEADER_PITCH = 17;
export const LEADER_LETTERS = 22;

/** Words broken between words into lines of at most so many letters; a longer word has its line alone. */
export function folded(text: string, letters: number): readonly string[] {
  const lines: string[] = [];
  for (const word of text.split(' ')) {
    const last = lines.at(-1);
    if (last !== undefined && last.length + 1 + word.length <= letters) lines[lines.length - 1] = `${last} ${word}`;
    else lines.push(word);
  }
  return lines;
}

/** Everything of a scene in pixels. */
export function drawScene(scene: Scene, view: View): Drawing {
  const of = <K extends Scene['items'][number]['kind']>(kind: K) =>
    scene.items.filter((item): item is Extract<Scene['items'][number], { kind: K }> => item.kind === kind);
  let lowest = -Infinity;
  const leaders = of('leader')
    .map((item) => ({ item, start: onScreen(item.at, view), endX: onScreen({ x: item.toX, y: 0 }, view).x + 26 }))
    .sort((a, b) => a.start.y - b.start.y)
    .map(({ item, start, endX }) => {
      const y = Math.max(start.y, lowest + LEADER_PITCH);
      const lines = folded(item.text, LEADER_LETTERS).map((text, i) => ({ text, x: endX, y: y + i * LEADER_PITCH }));
      lowest = lines.at(-1)?.y ?? y;
      return { item, path: `M${at(start)}L${at({ x: endX - 14, y })}L${at({ x: endX - 4, y })}`, lines };
    });
  return {
    areas: of('area').map((item) => ({ item, path: areaPath(item, view) })),
    dims: spread(of('dim').map((item) => drawnDimension(item, view))),
    ticks: of('tick').map((item) => ({ item, path: `M${at(onScreen(item.from, view))}L${at(onScreen(item.to, view))}` })),
    arrows: of('arrow').map((item) => ({
      item,
      text: Math.hypot(item.to.x - item.from.x, item.to.y - item.from.y) * view.scale < LEAST_ARROW_PX ? '' : item.text,
      path: arrowPath(item, view),
      ...onScreen({ x: (item.from.x + item.to.x) / 2, y: (item.from.y + item.to.y) / 2 }, view),
    })),
    notes: apart(
      of('note').map((item) => {
        const p = onScreen(item.at, view);
        return { item, text: fittingWords(item, view), x: p.x + (item.dx ?? 0), y: p.y + (item.dy ?? 0) };
      }),
    ),
    leaders,
    handles: of('handle').map((item) => ({ item, ...onScreen(item.at, view) })),
    knobs: of('knob').map((item) => ({ item, ...onScreen(item.at, view) })),
  };
}
