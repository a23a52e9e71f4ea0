import { isCorner } from '../../geometry/measure';
import { inArcs } from '../../geometry/biarc';
import { edgeSpans, type Outline } from '../../geometry/outline';
import { cross } from '../../geometry/point';
import { directionOn, segmentLength, type Segment } from '../../geometry/segment';

/** A corner of a seam line, mm round it: a rounded one from start to end, a square one where both are the same. */
export interface Corner {
  readonly start: number;
  readonly end: number;
  /** Turns into the cushion: its allowance has to be stay-stitched and clipped to the stitch. */
  readonly inner: boolean;
}

/** The corners of an outline in their order round it. A curve without any is given its quarters, so that two plates cannot twist on it. */
export function cornersOf(outline: Outline): Corner[] {
  const { segments } = outline;
  const corners: Corner[] = [];
  let along = 0;
  segments.forEach((segment, i) => {
    const end = along + segmentLength(segment);
    const next = segments[(i + 1) % segments.length] as Segment;
    if (segment.edge === 'corner') {
      const last = corners.at(-1);
      if (last && last.end === along && last.end > last.start) corners[corners.length - 1] = { ...last, end };
      else corners.push({ start: along, end, inner: segment.kind === 'arc' && segment.sweep < 0 });
    }
    if (isCorner(segment, next)) corners.push({ start: end, end, inner: cross(directionOn(segment, segmentLength(segment)), directionOn(next, 0)) < 0 });
    along = end;
  });
  if (corners.length) return corners;
  return edgeSpans(outline).map(({ end }) => ({ start: end, end, inner: false }));
}

/** Distance between clips along a curve's allowance so that none opens or overlaps more than `openMm`: radius × open ÷ allowance. Null without curves. */
export function clipEvery(outline: Outline, allowanceMm: number, openMm: number): number | null {
  const radii = inArcs(outline).segments.flatMap((segment) => (segment.kind === 'arc' && segment.edge !== 'corner' ? [segment.radius] : []));
  return radii.length && allowanceMm > 0 ? (Math.min(...radii) * openMm) / allowanceMm : null;
}

/** Whether an outline turns in anywhere: a band cannot be drawn over it. */
export function turnsIn({ segments }: Outline): boolean {
  return segments.some((segment, i) => {
    const next = segments[(i + 1) % segments.length] as Segment;
    const inwards = isCorner(segment, next) && cross(directionOn(segment, segmentLength(segment)), directionOn(next, 0)) < 0;
    return inwards || (segment.kind === 'arc' && segment.sweep < 0);
  });
}
