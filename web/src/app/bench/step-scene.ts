import {
  turnedWords,
  bounds,
  flatten,
  isNotch,
  sectionOf,
  sewnRuns,
  type Operation,
  type Piece,
  type Planned,
  type Point,
  type SayIn,
  type SewnRun,
  type Shop,
} from '@yardland/core';
import { stapleScene } from '../cover/staple-scene';
import { boxArea, notchItems } from '../shared/table/cushion-scene';
import { sectionItems } from '../shared/table/section';
import { shifted, type Look, type Scene, type SceneItem } from '../shared/table/scene';
import { stageItems } from './stage-scene';

/** A strip longer than so many times the widest plate is drawn with a break. */
const BREAK_FROM = 3;
/** Room between pieces, as a share of the widest: in rows, and under each other, where the drawing is smaller and the words need more of it. */
const GAP = { 'in-rows': 0.12, 'under-each-other': 0.26 } as const;
/** The drawing is about so many times wider than high, where it has the whole screen; beside the list pieces stand under each other. */
const ASPECT = 1.25;
/** On a piece narrower than so many seams the letters of opposite edges stand apart along it. */
const NARROW = 12;
/** Room in a row for the words over a small piece, as a share of the widest. */
const SLOT = 0.62;

/** What a piece is drawn as: foam, wadding, cloth on the bias, cloth. */
function pieceLook({ material, grain }: Piece): Look {
  if (material.kind === 'wadding') return 'wrap';
  if (material.kind !== 'cloth') return 'foam';
  return grain === 'bias' ? 'bias' : 'piece';
}

/** One piece as it is drawn: with its left lower corner at the origin, or in two parts with what is between left out. */
interface Drawn {
  readonly piece: Piece;
  readonly width: number;
  readonly height: number;
  /** Its own coordinates on the drawing; null where it is left out. */
  readonly parts: readonly { readonly fromX: number; readonly toX: number; readonly dx: number }[];
  readonly lowX: number;
  readonly lowY: number;
}

function drawnAs(piece: Piece, widest: number): Drawn {
  const { minX, maxX, minY, maxY } = bounds(flatten(piece.outline));
  const long = maxX - minX;
  const common = { piece, height: maxY - minY, lowX: minX, lowY: minY };
  if (long <= widest * BREAK_FROM) return { ...common, width: long, parts: [{ fromX: minX, toX: maxX, dx: -minX }] };
  const half = widest * 0.75;
  const left = { fromX: minX, toX: minX + half, dx: -minX };
  const right = { fromX: maxX - half, toX: maxX, dx: half + widest * 0.06 - (maxX - half) };
  return { ...common, width: 2 * half + widest * 0.06, parts: [left, right] };
}

/** The parts of a line that lie between two x. */
function between(points: readonly Point[], fromX: number, toX: number): Point[][] {
  const runs: Point[][] = [];
  let run: Point[] = [];
  const cut = (a: Point, b: Point, x: number): Point => ({ x, y: a.y + ((b.y - a.y) * (x - a.x)) / (b.x - a.x) });
  for (let i = 1; i < points.length; i++) {
    const [a, b] = [points[i - 1] as Point, points[i] as Point];
    const crossings = [fromX, toX].filter((x) => (a.x - x) * (b.x - x) < 0).sort((p, q) => (b.x > a.x ? p - q : q - p));
    const stops = [a, ...crossings.map((x) => cut(a, b, x)), b];
    for (let k = 1; k < stops.length; k++) {
      const [p, q] = [stops[k - 1] as Point, stops[k] as Point];
      const middle = (p.x + q.x) / 2;
      if (middle >= fromX - 1e-6 && middle <= toX + 1e-6) run = run.length ? [...run, q] : [p, q];
      else if (run.length) {
        runs.push(run);
        run = [];
      }
    }
  }
  return run.length ? [...runs, run] : runs;
}

/** The point at a share of a line's length, and the direction there. */
function placeOn(points: readonly Point[], share: number): { readonly at: Point; readonly way: Point } {
  const lengths = points.slice(1).map((p, i) => Math.hypot(p.x - (points[i] as Point).x, p.y - (points[i] as Point).y));
  let rest = lengths.reduce((sum, mm) => sum + mm, 0) * share;
  for (let i = 0; i < lengths.length; i++) {
    const [a, b, long] = [points[i] as Point, points[i + 1] as Point, lengths[i] as number];
    if (rest <= long && long > 0)
      return { at: { x: a.x + ((b.x - a.x) * rest) / long, y: a.y + ((b.y - a.y) * rest) / long }, way: { x: (b.x - a.x) / long, y: (b.y - a.y) / long } };
    rest -= long;
  }
  return { at: points[0] as Point, way: { x: 1, y: 0 } };
}

interface RunLook {
  readonly key: string;
  readonly seamMm: number;
  /** How far along the run its letter stands, as a share of its length. */
  readonly share: number;
}

/** What is sewn on a piece: the edge lit, the stitch line, its letter, and where it starts and stops. */
function runItems(run: SewnRun, { parts, lowY }: Drawn, { x, y }: Point, { key, seamMm, share }: RunLook): SceneItem[] {
  const moved = (p: Point, dx: number): Point => ({ x: p.x + dx + x, y: p.y - lowY + y });
  return parts.flatMap(({ fromX, toX, dx }, part) =>
    between(run.points, fromX, toX).flatMap((line, k): SceneItem[] => {
      const shape = line.map((p) => moved(p, dx));
      const name = `${key}-${part}-${k}`;
      const { at, way } = placeOn(shape, share);
      // Beside the line, on the piece: it runs counter-clockwise, so the piece is on its left.
      const inside = { x: at.x - way.y * seamMm * 2.4, y: at.y + way.x * seamMm * 2.4 };
      const across = (end: Point, next: Point, id: string): SceneItem[] => {
        const long = Math.hypot(next.x - end.x, next.y - end.y);
        if (run.ring || long === 0) return [];
        const out = { x: ((next.y - end.y) / long) * seamMm, y: (-(next.x - end.x) / long) * seamMm };
        return [{ kind: 'tick', key: `${name}-${id}`, from: { x: end.x + out.x, y: end.y + out.y }, to: { x: end.x - out.x, y: end.y - out.y } }];
      };
      const rows = run.rows > 1 ? ` ${run.rows}×` : '';
      return [
        { kind: 'area', key: `${name}-lit`, shape, open: true, look: 'sewing-edge' },
        { kind: 'area', key: `${name}-stitch`, shape, open: true, look: run.method === 'hand' ? 'sewing-hand' : 'sewing' },
        ...across(shape[0] as Point, shape[1] as Point, 'start'),
        ...across(shape[shape.length - 1] as Point, shape[shape.length - 2] as Point, 'stop'),
        ...(part === 0 && k === 0
          ? [{ kind: 'note', key: `${name}-letter`, at: inside, dy: 5, anchor: 'middle', look: 'head', text: `${run.letter}${rows}` } as const]
          : []),
      ];
    }),
  );
}

/** Runs along the same line of a piece as one, with the letters of all: both plates are drawn as one piece, and each is sewn by a seam of its own. */
function oneOfEach(runs: readonly SewnRun[]): SewnRun[] {
  const lines = new Map<string, SewnRun>();
  for (const run of runs) {
    const line = JSON.stringify(run.points);
    const before = lines.get(line);
    lines.set(line, before ? { ...before, letter: `${before.letter}, ${run.letter}` } : run);
  }
  return [...lines.values()];
}

interface InHand {
  readonly runs: readonly SewnRun[];
  readonly seamMm: number;
  /** Whether it is cut in this step. */
  readonly cutting: boolean;
}

/** One piece where it lies on the drawing, with everything on it. */
function pieceItems(drawn: Drawn, { x, y }: Point, { runs, seamMm, cutting }: InHand): SceneItem[] {
  const { piece, parts, width, height, lowX, lowY } = drawn;
  const { id } = piece;
  const look = pieceLook(piece);
  const whole = parts.length === 1;
  const [dx, dy] = [x - lowX, y - lowY];
  const outline: SceneItem[] = whole
    ? [
        { kind: 'area', key: id, shape: shifted(piece.outline, dx, dy), look },
        ...(piece.holes ?? []).map((hole, i): SceneItem => ({ kind: 'area', key: `${id}-hole-${i}`, shape: shifted(hole, dx, dy), look: 'cut' })),
        ...(piece.sewn ? [{ kind: 'area', key: `${id}-sewn`, shape: shifted(piece.sewn, dx, dy), look: 'sew' } as const] : []),
        ...notchItems(piece, seamMm, id, dx, dy),
      ]
    : parts.flatMap((part, i) => [
        boxArea(`${id}-${i}`, { x: x + part.fromX + part.dx, y, width: part.toX - part.fromX, height }, look),
        ...notchItems(
          { ...piece, marks: piece.marks.filter((mark) => isNotch(mark) && mark.at.x >= part.fromX && mark.at.x <= part.toX) },
          seamMm,
          `${id}-${i}`,
          x + part.dx,
          dy,
        ),
      ]);
  const grain: SceneItem[] =
    cutting && piece.material.kind === 'cloth' && piece.grain === 'with-the-roll' && Math.min(width, height) > seamMm * 16
      ? [
          piece.alongRoll
            ? {
                kind: 'arrow',
                key: `${id}-grain`,
                from: { x: x + width * 0.35, y: y + height / 2 },
                to: { x: x + width * 0.65, y: y + height / 2 },
                text: 'roll',
              }
            : {
                kind: 'arrow',
                key: `${id}-grain`,
                from: { x: x + width / 2, y: y + height * 0.3 },
                to: { x: x + width / 2, y: y + height * 0.7 },
                text: 'roll',
              },
        ]
      : [];
  return [
    ...outline,
    ...oneOfEach(runs.filter((run) => run.piece === id)).flatMap((run, i) =>
      runItems(run, drawn, { x, y }, { key: `${id}-run-${i}`, seamMm, share: height < seamMm * NARROW ? 0.3 : 0.5 }),
    ),
    ...grain,
    {
      kind: 'note',
      key: `${id}-words`,
      at: { x, y: y + height },
      dy: -7,
      text: [`${piece.countPerCushion} × ${piece.label}`, turnedWords(piece)].filter(Boolean).join(', '),
    },
  ];
}

/** How a step is drawn: for what change of the view it is fitted anew, how its pieces lie, in what words, and for which shop, where there is one yet. */
export interface StepLook {
  readonly fit: string;
  readonly lying: keyof typeof GAP;
  readonly inWords: SayIn;
  readonly shop: Shop | null;
}

/** How a step looks at the bench: where it staples, from below with the order; its pieces; of one that has none in hand, the cushion's section. Under the first two what it folds, slits or turns, moment by moment. */
export function stepScene(one: Planned, step: Operation, { fit, lying, inWords, shop }: StepLook): Scene {
  if (shop && step.stages.length === 0 && !one.pieces.some(({ id }) => step.pieces.includes(id))) return sectionScene(one, fit, lying, inWords, shop);
  const scene =
    step.phase === 'fix' && one.cover.staples && step.stages.length
      ? stapleScene(one, fit, inWords, lying === 'in-rows' ? 'large' : 'small')
      : piecesScene(one, step, fit, lying);
  if (step.stages.length === 0) return scene;
  const places = scene.items.flatMap((item) => (item.kind === 'area' ? ('segments' in item.shape ? flatten(item.shape) : item.shape) : []));
  const box = bounds(places);
  const wide = box.maxX - box.minX;
  const left = box.minX;
  const width = lying === 'in-rows' ? (wide / step.stages.length) * 0.78 : wide * 0.8;
  const top = box.minY - wide * (lying === 'in-rows' ? 0.1 : 0.16);
  return {
    ...scene,
    title: `${scene.title}. ${step.stages.map(({ words }, i) => `${i + 1}: ${words}`).join('; ')}`,
    room: { left: 30, right: 30, top: 70, bottom: 70 },
    items: [...scene.items, ...stageItems(step.stages, { left, top, width, lying })],
  };
}

/** The cushion as it is filled: what is filled, dressed and closed is seen across. Beside the list there is no room for its words. */
function sectionScene(one: Planned, fit: string, lying: keyof typeof GAP, inWords: SayIn, shop: Shop): Scene {
  const section = sectionOf(one, shop, inWords);
  const large = lying === 'in-rows';
  const items = sectionItems(section, { x: 0, y: 0 }).filter(({ kind }) => large || kind !== 'note');
  const words: SceneItem = {
    kind: 'note',
    key: 'section-words',
    at: { x: 0, y: -section.underMm },
    dy: 36,
    text: `Section, ${section.way}`,
    look: large ? 'head' : 'plain',
  };
  return {
    title: `Section of ${one.source.name}, ${section.way}`,
    fit,
    room: { left: 40, right: large ? 170 : 40, top: 60, bottom: 70 },
    items: [...items, words],
  };
}

/** The pieces of a step to one scale, the edges that meet lit and lettered, notches, and the way of the roll where it is cut. */
function piecesScene(one: Planned, step: Operation, fit: string, lying: keyof typeof GAP): Scene {
  const pieces = one.pieces.filter(({ id }) => step.pieces.includes(id));
  const runs = sewnRuns({ seams: step.asks?.seams ?? step.seams }, one.pieces, one.cover.seams);
  const widest = Math.max(one.sizes.cut.width.value, 200);
  const gap = widest * GAP[lying];
  const drawn = pieces.map((piece) => drawnAs(piece, widest));
  const slot = (width: number): number => Math.max(width, widest * SLOT);
  const total = drawn.reduce((sum, { width, height }) => sum + (slot(width) + gap) * (height + 2 * gap), 0);
  const limit = lying === 'in-rows' ? Math.max(...drawn.map(({ width }) => width), Math.sqrt(total * ASPECT)) : 0;
  const items: SceneItem[] = [];
  let [x, top, rowHeight] = [0, 0, 0];
  for (const each of drawn) {
    if (x > 0 && x + each.width > limit) {
      top -= rowHeight + gap;
      [x, rowHeight] = [0, 0];
    }
    items.push(...pieceItems(each, { x, y: top - each.height }, { runs, seamMm: one.sizes.seam.value, cutting: step.phase === 'cut' }));
    x += slot(each.width) + gap;
    rowHeight = Math.max(rowHeight, each.height + gap * 0.4);
  }
  const seams = [...new Map(runs.map(({ letter, words }) => [letter, words]))].map(([letter, words]) => `${letter}: ${words}`);
  return {
    title: `Pieces of this step: ${pieces.map(({ label }) => label).join(', ')}${seams.length ? `; ${seams.join(', ')}` : ''}`,
    fit,
    room: { left: 30, right: 30, top: 70, bottom: 30 },
    items,
  };
}
