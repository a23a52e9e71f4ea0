import { bounds, flatten, isNotch, outlineBounds, type CushionPlan, type Piece, type Point } from '@yardland/core';
import type { Area, Look, SceneItem } from './scene';

/** Outlines of a cushion over each other, the finished one with its front left at the origin. */
export function outlineItems(one: CushionPlan, which: readonly ('seat' | 'finished' | 'core')[]): Area[] {
  const { outlines } = one;
  return outlines ? which.map((name) => ({ kind: 'area', key: `outline-${name}`, shape: outlines[name], look: name })) : [];
}

/** A plate: its cut line, its sewing line, its notches and its grain; sewn outline at the origin. */
export function plateItems(plate: Piece, seamMm: number): SceneItem[] {
  const box = bounds(flatten(plate.outline));
  const middle = (box.minX + box.maxX) / 2;
  const depth = box.maxY - box.minY;
  const x = middle - (box.maxX - box.minX) * 0.3;
  return [
    { kind: 'area', key: 'plate-cut', shape: plate.outline, look: 'cut' },
    ...(plate.sewn ? [{ kind: 'area' as const, key: 'plate-sewn', shape: plate.sewn, look: 'sew' as const }] : []),
    ...notchItems(plate, seamMm, 'plate', 0, 0),
    ...(plate.grain === 'with-the-roll'
      ? [{ kind: 'arrow' as const, key: 'plate-grain', from: { x, y: box.minY + depth * 0.28 }, to: { x, y: box.minY + depth * 0.72 }, text: 'grain' }]
      : []),
  ];
}

/** The marks of a piece moved by dx, dy: notches from the cut edge to the seam line, chalked places as small circles. */
export function notchItems(piece: Piece, seamMm: number, key: string, dx: number, dy: number): SceneItem[] {
  return piece.marks.map((mark, i): SceneItem =>
    !isNotch(mark)
      ? {
          kind: 'area',
          key: `${key}-${mark.kind}-${i}`,
          shape: circle({ x: mark.at.x + dx, y: mark.at.y + dy }, mark.kind === 'roll' ? 2.5 : 9),
          look: mark.kind === 'button' ? 'bound' : 'chalked',
        }
      : {
          kind: 'tick',
          key: `${key}-notch-${i}`,
          from: { x: mark.at.x + mark.outward.x * seamMm + dx, y: mark.at.y + mark.outward.y * seamMm + dy },
          to: { x: mark.at.x + mark.outward.x * seamMm * 0.15 + dx, y: mark.at.y + mark.outward.y * seamMm * 0.15 + dy },
        },
  );
}

/** A small circle, as a polygon. */
export function circle(centre: Point, radius: number): Point[] {
  return Array.from({ length: 16 }, (_, i) => ({ x: centre.x + radius * Math.cos((i * Math.PI) / 8), y: centre.y + radius * Math.sin((i * Math.PI) / 8) }));
}

/** How far an outline reaches, written on it. */
export function planDimensions(one: CushionPlan, which: 'seat' | 'finished' | 'core'): SceneItem[] {
  const { sizes, outlines } = one;
  if (!sizes || !outlines) return [];
  const { minX, minY, maxX, maxY } = outlineBounds(outlines[which]);
  const { width, depth } = sizes[which];
  return [
    { kind: 'dim', key: 'reach-x', name: `${which} width`, side: 'below', away: 40, from: { x: minX, y: minY }, to: { x: maxX, y: minY }, mm: width.value },
    { kind: 'dim', key: 'reach-y', name: `${which} depth`, side: 'right', away: 52, from: { x: maxX, y: maxY }, to: { x: maxX, y: minY }, mm: depth.value },
  ];
}

/** Where the template's own drawing lies in the frame of the plan's outlines. */
export function templateOrigin(one: CushionPlan): Point {
  const given = one.outlines?.[one.source.given];
  if (!given) return { x: 0, y: 0 };
  const { minX, minY } = outlineBounds(given);
  return { x: minX, y: minY };
}

interface UprightBox {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

/** The corners of an upright rectangle, from its lower left. */
export const rectanglePoints = (x: number, y: number, width: number, height: number): Point[] => [
  { x, y },
  { x: x + width, y },
  { x: x + width, y: y + height },
  { x, y: y + height },
];

/** An upright rectangle, from its lower left corner. */
export const boxArea = (key: string, { x, y, width, height }: UprightBox, look: Look, pick?: string): Area => ({
  kind: 'area',
  key,
  shape: rectanglePoints(x, y, width, height),
  look,
  ...(pick ? { pick } : {}),
});
