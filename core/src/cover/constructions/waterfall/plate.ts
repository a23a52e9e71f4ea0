import { grow } from '../../../geometry/offset';
import { outlineBounds, stationAt, type Outline } from '../../../geometry/outline';
import type { Point } from '../../../geometry/point';
import { line, mapped, reversed, segmentLength, type Segment } from '../../../geometry/segment';
import { law, type Figure } from '../../../kernel/figure';
import type { Mark, Piece } from '../../../piece/piece';
import type { CoverRequest } from '../../contract';
import { clothPiece } from '../../sewing/cloth-piece';
import type { FrontAndRest } from '../../band/front';

/** What the plate has between top and bottom: the height, less what two rounded corners of the side boxings save. */
export function overFront(height: Figure, radius: Figure): Figure {
  return law('over the front', '{0} − (4 − π) × {1}', [height, radius]);
}

/** The one plate over top, front and bottom, and the places on its seam line that others meet. */
export interface WaterfallPlate {
  readonly piece: Piece;
  /** Middle of the front, where the side boxings' centres meet it, right and left. */
  readonly middle: { readonly right: Point; readonly left: Point };
  /** A place on the top's or the bottom's edge, `mm` from the front's right end round the sides and the back. */
  readonly at: (face: 'top' | 'bottom', mm: number) => Point;
  /** Sides and back together, mm. */
  readonly restMm: number;
}

/**
 * Top outline, its mirror image about the front, and between them the front's height less what its two rounded corners save: m = H − 0.858 r. Its seam line from back
 * edge over the front to back edge is 2 D + H − 0.858 r.
 */
export function waterfallPlate(
  { sizes, sewn, marks }: CoverRequest,
  { front, rest }: FrontAndRest,
  radius: Figure,
  openings: readonly [number, number],
  corners: readonly number[],
): WaterfallPlate {
  const { seam } = sizes;
  const between = overFront(sizes.sewn.height, radius);
  const half = between.value / 2;
  const y0 = front.from.y;
  const up = (p: Point): Point => ({ x: p.x, y: p.y - y0 + half });
  const down = (p: Point): Point => ({ x: p.x, y: y0 - p.y - half });
  const top = rest.map((segment) => mapped(segment, up, false));
  const bottom = [...rest].reverse().map((segment) => reversed(mapped(segment, down, true)));
  const [right, left] = [front.to.x, front.from.x];
  const line1 = line('left', { x: left, y: half }, { x: left, y: -half });
  const line2 = line('right', { x: right, y: -half }, { x: right, y: half });
  const outline: Outline = { segments: [...top, line1, ...bottom, line2] };
  const cut = grow(outline, seam.value);
  const whole: Outline = { segments: rest };
  const restMm = rest.reduce((mm, segment) => mm + segmentLength(segment), 0);
  // The rest is open: its end and its beginning are the front's two ends.
  const placeOn = (mm: number): { readonly at: Point; readonly outward: Point } =>
    mm >= restMm - 1e-9 ? { at: front.from, outward: { x: -1, y: 0 } } : stationAt(whole, Math.max(0, mm));
  const at = (face: 'top' | 'bottom', mm: number): Point => (face === 'top' ? up : down)(placeOn(mm).at);
  const notch = (kind: Mark['kind'], mm: number): Mark[] => {
    const { outward } = placeOn(mm);
    return [
      { kind, at: at('top', mm), outward },
      { kind, at: at('bottom', mm), outward: { x: outward.x, y: -outward.y } },
    ];
  };
  const middle = { right: { x: right, y: 0 }, left: { x: left, y: 0 } };
  const piece = clothPiece('main', {
    id: 'plate',
    role: 'plate',
    label: 'plate, top to bottom',
    remark: 'one piece over the front',
    width: sizes.cut.width,
    height: sizes.cut.depth,
    outline: cut.ok ? cut.outline : outline,
    sewn: outline,
    marks: [
      { kind: 'mid', at: middle.right, outward: { x: 1, y: 0 } },
      { kind: 'mid', at: middle.left, outward: { x: -1, y: 0 } },
      ...openings.flatMap((mm) => notch('zip-end', mm)),
      ...notch('centre-back', (openings[0] + openings[1]) / 2),
      ...corners.flatMap((mm) => notch('corner', mm)),
      // Buttons stand on the top face; the bottom's lie under them.
      ...marks.flatMap((mark): Mark[] => {
        if (mark.kind !== 'button') return [];
        const b = outlineBounds(sewn);
        const p = { x: b.minX + (b.maxX - b.minX) * mark.across, y: b.minY + (b.maxY - b.minY) * mark.deep };
        return [up(p), down(p)].map((place) => ({ kind: 'button', at: place, outward: { x: 0, y: 0 } }));
      }),
    ],
  });
  return { piece, middle, at, restMm };
}

/** A side boxing's seam line: its fold at the left, its front end at the right with both corners rounded. */
export function sideLine(runMm: number, heightMm: number, radiusMm: number): Outline {
  const r = radiusMm;
  const corner = (from: Point, to: Point, centre: Point): Segment => ({ kind: 'arc', edge: 'corner', from, to, centre, radius: r, sweep: Math.PI / 2 });
  const p = (x: number, y: number): Point => ({ x, y });
  const segments: Segment[] = [
    line('front', p(0, 0), p(runMm - r, 0)),
    corner(p(runMm - r, 0), p(runMm, r), p(runMm - r, r)),
    line('right', p(runMm, r), p(runMm, heightMm - r)),
    corner(p(runMm, heightMm - r), p(runMm - r, heightMm), p(runMm - r, heightMm - r)),
    line('back', p(runMm - r, heightMm), p(0, heightMm)),
    line('left', p(0, heightMm), p(0, 0)),
  ];
  return { segments: segments.filter((segment) => segmentLength(segment) > 1e-9) };
}

/** Whether two runs are one length, so that one piece serves both sides. */
export const alike = (a: number, b: number): boolean => Math.abs(a - b) < 0.01;
