import { alongOutline } from '../geometry/along';
import { edgeSpans, outlineBounds, perimeter, stationAt, type EdgeSpan, type Outline } from '../geometry/outline';
import type { EdgeName } from '../geometry/segment';
import { isNotch, type MarkKind, type Piece } from './piece';

/** Where a notch is found with a tape on the cut piece. */
export interface NotchPlace {
  readonly kind: MarkKind;
  readonly edge: EdgeName;
  /**
   * Measured from: on a straight edge along or across the piece, its left side or its front; on any other edge, along the edge, from the left end of front and back
   * edges and from the front end of the others.
   */
  readonly alongMm: number;
}

/** A seam line lies no further inside the cut edge than this, mm. */
const WIDEST_ALLOWANCE_MM = 80;
/** An edge whose ends are as level as this lies along the piece, or across it. */
const STRAIGHT_MM = 0.01;

/** The runs of edges round an outline, one that goes on over its first point as one run. */
function wholeSpans(outline: Outline, round: number): EdgeSpan[] {
  const spans = edgeSpans(outline);
  const [first, last] = [spans[0], spans.at(-1)];
  if (!first || !last || first === last || first.edge !== last.edge) return spans;
  return [...spans.slice(1, -1), { edge: last.edge, start: last.start, end: round + first.end }];
}

/** The notches of a piece by the edge they are cut into, each with its distance along it. Chalked places on the face are not among them. */
export function notchPlaces({ outline, marks }: Pick<Piece, 'outline' | 'marks'>): NotchPlace[] {
  const round = perimeter(outline);
  const spans = wholeSpans(outline, round);
  const box = outlineBounds(outline);
  return marks.filter(isNotch).flatMap(({ kind, at }): NotchPlace[] => {
    const place = alongOutline(outline, at, WIDEST_ALLOWANCE_MM);
    if (place === null) return [];
    const span = spans.find(({ start, end }) => (place >= start && place <= end) || place + round <= end);
    if (!span) return [];
    const fromStart = place >= span.start ? place - span.start : place + round - span.start;
    const { at: on, segment } = stationAt(outline, place);
    if (segment.kind === 'line' && Math.abs(segment.from.y - segment.to.y) < STRAIGHT_MM) return [{ kind, edge: span.edge, alongMm: on.x - box.minX }];
    if (segment.kind === 'line' && Math.abs(segment.from.x - segment.to.x) < STRAIGHT_MM) return [{ kind, edge: span.edge, alongMm: on.y - box.minY }];
    // Counter-clockwise the front runs from left to right and the right edge to the back; the back and the left edge run the other way.
    const backwards = span.edge === 'back' || span.edge === 'left';
    return [{ kind, edge: span.edge, alongMm: backwards ? span.end - span.start - fromStart : fromStart }];
  });
}
