import { outlineBounds, promised, type CushionPlan, type Point } from '@yardland/core';
import type { Scene, SceneItem } from '../shared/table/scene';
import { PLACES } from '../shared/words/check-words';

/** Room between the plan and the side, as a share of the width. */
const APART = 0.35;
/** Points along the crowned top of the side. */
const TOP_POINTS = 24;

/** Where a dressed cushion is measured, each place with its letter: from above, along its middle lines, and from the front with its crown. */
export function checkScene(one: CushionPlan): Scene {
  const target = promised(one);
  const shape = one.outlines?.sewn ?? one.outlines?.finished;
  if (!target || !shape) return { title: 'Where it is measured', fit: 'check none', items: [] };
  const { minX, minY, maxX, maxY } = outlineBounds(shape);
  const [wide, deep] = [maxX - minX, maxY - minY];
  const left = maxX + wide * APART;
  const right = left + target.widthMm;
  const crown = target.middleMm - target.edgeMm;
  const top = Array.from({ length: TOP_POINTS + 1 }, (_, i): Point => {
    const share = 1 - i / TOP_POINTS;
    return { x: left + target.widthMm * share, y: minY + target.edgeMm + crown * Math.sin(Math.PI * share) };
  });
  const middle = (left + right) / 2;
  const dim = (key: 'widthMm' | 'depthMm', side: 'below' | 'left', from: Point, to: Point, away: number): SceneItem => ({
    kind: 'dim',
    key,
    name: `${PLACES[key].letter}, ${PLACES[key].words.toLowerCase()}`,
    side,
    away,
    from,
    to,
    mm: target[key],
  });
  const letter = (key: keyof typeof PLACES, at: Point, dy = 0): SceneItem => ({
    kind: 'note',
    key: `letter-${key}`,
    at,
    dy,
    anchor: 'middle',
    text: PLACES[key].letter,
    look: 'head',
  });
  const line = (key: string, a: Point, b: Point): SceneItem => ({ kind: 'area', key, shape: [a, b], open: true, look: 'fold' });
  return {
    title: 'Where it is measured',
    fit: `check ${wide} ${deep} ${target.edgeMm} ${target.middleMm}`,
    room: { left: 60, right: 90, top: 34, bottom: 70 },
    items: [
      { kind: 'area', key: 'plan', shape, look: 'finished' },
      line('across', { x: minX, y: (minY + maxY) / 2 }, { x: maxX, y: (minY + maxY) / 2 }),
      line('along', { x: (minX + maxX) / 2, y: minY }, { x: (minX + maxX) / 2, y: maxY }),
      letter('widthMm', { x: minX + wide * 0.2, y: (minY + maxY) / 2 }, -6),
      letter('depthMm', { x: (minX + maxX) / 2 + wide * 0.07, y: minY + deep * 0.2 }),
      dim('widthMm', 'below', { x: minX, y: minY }, { x: maxX, y: minY }, 40),
      dim('depthMm', 'left', { x: minX, y: minY }, { x: minX, y: maxY }, 26),
      { kind: 'note', key: 'above', at: { x: (minX + maxX) / 2, y: maxY }, dy: -10, anchor: 'middle', text: 'from above', look: 'small' },
      { kind: 'area', key: 'side', shape: [{ x: left, y: minY }, { x: right, y: minY }, ...top], look: 'cover' },
      line('middle', { x: middle, y: minY }, { x: middle, y: minY + target.middleMm }),
      letter('edgeMm', { x: left - wide * 0.06, y: minY + target.edgeMm / 2 }, 6),
      letter('middleMm', { x: middle, y: minY + target.middleMm }, -8),
      line('edge', { x: left - wide * 0.025, y: minY }, { x: left - wide * 0.025, y: minY + target.edgeMm }),
      { kind: 'note', key: 'front', at: { x: middle, y: minY }, dy: 22, anchor: 'middle', text: 'from the front', look: 'small' },
    ],
  };
}
