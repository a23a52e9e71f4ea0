import { numberedApart, outlineBounds, stitchesFor, towards, type Hand, type NumberedStitch, type Planned, type Point, type RollPlan } from '@yardland/core';
import { circle } from '../shared/table/cushion-scene';
import type { Scene, SceneItem } from '../shared/table/scene';

/** Which step is drawn: the stitching of the roll, or the tufting. */
type StitchedStep = 'roll' | 'tufts';

/** How far in from the stitches the turn of a side stands, and the arrow of the hand, as shares of the cushion's width: further in a small drawing, whose letters are as large. */
const ROOM = { large: { side: 0.09, arrow: 0.145 }, small: { side: 0.12, arrow: 0 } } as const;
/** Numbers stand so far apart, and so far in from their stitches. */
const NUMBERS_APART = 0.075;
const NUMBER_IN = 0.033;
/** Nothing stands further in than on a cushion so many times as wide as deep. */
const NARROW = 2.2;
type Room = keyof typeof ROOM;
/** Radius of a stitch’s and of a tuft’s mark, as shares of the cushion's width. */
const STITCH = 0.0045;
const TUFT = 0.011;

/** Where things stand on the face of a cushion. */
interface Face {
  readonly wide: number;
  readonly deep: number;
  readonly middle: Point;
}

const note = (key: string, at: Point, text: string, look: 'head' | 'plain' | 'small', dy = 5): SceneItem => ({
  kind: 'note',
  key,
  at,
  text,
  anchor: 'middle',
  look,
  dy,
});

/** Tufts with their numbers, on the lines that they are chalked along. */
function tuftItems(plan: RollPlan, face: Face): SceneItem[] {
  const { minX, minY, maxX, maxY } = outlineBounds(plan.edge);
  const on = (key: 'x' | 'y'): number[] => [...new Set(plan.tufts.map((p) => Math.round(p[key] * 10) / 10))];
  const chalk = (key: string, from: Point, to: Point): SceneItem => ({ kind: 'area', key, shape: [from, to], open: true, look: 'fold' });
  return [
    ...on('x').map((x) => chalk(`deep-${x}`, { x, y: minY }, { x, y: maxY })),
    ...on('y').map((y) => chalk(`across-${y}`, { x: minX, y }, { x: maxX, y })),
    ...plan.tufts.map((at, i): SceneItem => ({ kind: 'area', key: `tuft-${i}`, shape: circle(at, face.wide * TUFT), look: 'chalked' })),
    ...plan.tufts.map((at, i) => note(`tuft-number-${i}`, { x: at.x, y: at.y - face.wide * TUFT }, String(i + 1), 'head', 16)),
  ];
}

/** Numbers of the stitches, as far as they have room, a little inside them. */
function numberItems(stitches: readonly NumberedStitch[], { wide, middle }: Face): SceneItem[] {
  return numberedApart(stitches, wide * NUMBERS_APART).map(({ at, order }) =>
    note(`number-${order}`, towards(at, middle, wide * NUMBER_IN), String(order), 'plain'),
  );
}

/** One side of the roll: its stitches, its turn and the way the hand goes. */
function sideItems(words: string, turn: number, stitches: readonly NumberedStitch[], { wide, deep, middle }: Face, room: Room): SceneItem[] {
  const at = (share: number): Point => stitches[Math.floor((stitches.length - 1) * share)]?.at ?? { x: 0, y: 0 };
  const { side, arrow } = ROOM[room];
  // Square to the side, towards the middle.
  const [first, last] = [at(0), at(1)];
  const long = Math.hypot(last.x - first.x, last.y - first.y) || 1;
  const square = { x: -(last.y - first.y) / long, y: (last.x - first.x) / long };
  const way = Math.sign(square.x * (middle.x - at(0.5).x) + square.y * (middle.y - at(0.5).y)) || 1;
  const by = way * Math.min(wide, NARROW * deep);
  const inside = (p: Point, share: number): Point => ({ x: p.x + square.x * by * share, y: p.y + square.y * by * share });
  return [
    ...stitches.map((one): SceneItem => ({ kind: 'area', key: `stitch-${one.order}`, shape: circle(one.at, wide * STITCH), look: 'chalked' })),
    note(`side-${words}`, inside(at(0.5), side), room === 'large' ? `${turn} ${words}` : String(turn), 'head'),
    ...(room === 'large' ? [{ kind: 'arrow', key: `way-${words}`, from: inside(at(0.3), arrow), to: inside(at(0.7), arrow), text: '' } as const] : []),
  ];
}

/** A rolled edge from above, its stitches numbered in the order of a hand, each side with its turn; or its tufts, numbered from the middle outwards. */
export function rollScene({ cover, source }: Planned, what: StitchedStep, hand: Hand, fit: string, room: Room): Scene {
  const plan = cover.roll;
  if (!plan) return { title: 'Roll', fit, items: [] };
  const { minX, minY, maxX, maxY } = outlineBounds(plan.edge);
  const middle = { x: (minX + maxX) / 2, y: (minY + maxY) / 2 };
  const wide = maxX - minX;
  const face = { wide, deep: maxY - minY, middle };
  const sides = stitchesFor(plan, hand);
  const count = sides.reduce((sum, { stitches }) => sum + stitches.length, 0);
  const order = sides.map(({ words }) => words).join(', ');
  return {
    title:
      what === 'roll'
        ? `${source.name}: ${count} stitches of the roll, side after side: ${order}; for a ${hand} hand`
        : `${source.name}: ${plan.tufts.length} tufts, from the middle outwards`,
    fit: `${fit} ${what}`,
    room: { left: 30, right: 30, top: 60, bottom: 40 },
    items: [
      { kind: 'area', key: 'face', shape: plan.edge, look: 'piece' },
      ...(what === 'tufts'
        ? tuftItems(plan, face)
        : [
            // Small: here the tufts are done.
            ...plan.tufts.map((at, i): SceneItem => ({ kind: 'area', key: `tuft-${i}`, shape: circle(at, wide * STITCH), look: 'fold' })),
            ...(room === 'large'
              ? numberItems(
                  sides.flatMap(({ stitches }) => stitches),
                  face,
                )
              : []),
            ...sides.flatMap(({ words, stitches }, i) => sideItems(words, i + 1, stitches, face, room)),
          ]),
      note('front', { x: middle.x, y: minY }, 'front', 'small', 18),
    ],
  };
}
