import { mirrored, numberedStaples, outlineBounds, towards, type Planned, type Point, type SayIn, formatLengthUnit } from '@yardland/core';
import { circle } from '../shared/table/cushion-scene';
import type { Scene, SceneItem } from '../shared/table/scene';

/** Numbers of staples stand at least this share of the frame's width apart; more of it in a small drawing. */
const NUMBERS_APART = { large: 0.075, small: 0.17 };
/** Radius of a staple's dot, as a share of the frame's width. */
const DOT = 0.0045;

/** Where a cover is stapled and in which order, as it lies before the upholsterer: turned over, the front at the foot. A small drawing has numbers alone. */
export function stapleScene({ cover, source }: Planned, fit: string, { units, step }: SayIn, room: keyof typeof NUMBERS_APART = 'large'): Scene {
  const plan = cover.staples;
  if (!plan) return { title: 'Stapling', fit, items: [] };
  const { minX, minY, maxX, maxY } = outlineBounds(plan.edge);
  const wide = maxX - minX;
  const middle = { x: (minX + maxX) / 2, y: (minY + maxY) / 2 };
  const turned = ({ x, y }: Point): Point => ({ x: 2 * middle.x - x, y });
  const numbers = numberedStaples(plan, wide * NUMBERS_APART[room]);
  // Numbers stand inside the line, on the side of the middle.
  const inwards = (p: Point): Point => towards(p, middle, wide * (room === 'large' ? 0.032 : 0.07));
  const staples = plan.staples.map(({ at, order, round, corner }): SceneItem => ({
    kind: 'area',
    key: `staple-${order}`,
    shape: circle(turned(at), wide * (round === 1 ? DOT * 1.7 : DOT)),
    look: corner ? 'core' : round === 1 ? 'cut' : 'chalked',
  }));
  const labels = numbers.map(({ at, order }): SceneItem => ({
    kind: 'note',
    key: `number-${order}`,
    at: inwards(turned(at)),
    text: String(order),
    anchor: 'middle',
    look: 'head',
    dy: 5,
  }));
  const corners = plan.staples.filter(({ corner }) => corner);
  const [firstCorner] = corners;
  const pleats = plan.pleats.map(({ at, count }, i): SceneItem => ({
    kind: 'note',
    key: `pleats-${i}`,
    at: inwards(inwards(turned(at))),
    text: `${count} small ${count === 1 ? 'pleat' : 'pleats'} here`,
    anchor: 'middle',
    look: 'plain',
    dy: 5,
  }));
  const line = formatLengthUnit(plan.inMm, units, step);
  const words: readonly SceneItem[] = [
    { kind: 'note', key: 'line-words', at: middle, text: `the line, ${line} from the edge`, anchor: 'middle', look: 'plain' },
    {
      kind: 'note',
      key: 'order-words',
      at: middle,
      text: firstCorner ? `${plan.staples.length} staples; corners last, from ${firstCorner.order}` : `${plan.staples.length} staples, halving the gaps`,
      anchor: 'middle',
      look: 'plain',
      dy: 22,
    },
  ];
  return {
    title: `${source.name}: stapling, seen from below`,
    fit: `${fit} staples`,
    ...(room === 'small' ? { room: { left: 30, right: 30, top: 60, bottom: 40 } } : {}),
    items: [
      { kind: 'area', key: 'frame', shape: mirrored(plan.edge, middle.x), look: 'board' },
      { kind: 'area', key: 'line', shape: mirrored(plan.line, middle.x), look: 'sew' },
      ...staples,
      ...labels,
      ...(room === 'small' ? [] : [...pleats, ...words]),
      { kind: 'note', key: 'front', at: { x: middle.x, y: minY }, text: 'front', anchor: 'middle', look: 'small', dy: 18 },
    ],
  };
}
