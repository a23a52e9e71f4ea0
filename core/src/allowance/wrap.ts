import { isCorner } from '../geometry/measure';
import { inArcs } from '../geometry/biarc';
import { grow } from '../geometry/offset';
import { closed, outlineBounds, perimeter, rectangleOutline, type Outline } from '../geometry/outline';
import { cross, plusPoint, type Point } from '../geometry/point';
import { directionOn, line, segmentLength, type Segment } from '../geometry/segment';
import { given, law, measuredOn, plus, sum, type Figure } from '../kernel/figure';
import { PLAIN_PIECE, type Piece, type PieceRole } from '../piece/piece';
import type { Constants } from '../shop/assumptions';
import type { WrapWay } from '../shop/schools';
import { gluedAt } from './glue';
import { reaching } from './outlines';
import { inParts } from './parts';
import { wrapLies } from './wrap-lies';
import type { Sizes } from '../piece/sizes';

interface Core {
  readonly size: Sizes['core'];
  readonly outline: Outline;
  readonly loftMm: number;
  readonly assume: Constants;
}

type WrapRole = Extract<PieceRole, `wrap-${string}`>;
const LABELS: Record<WrapRole, string> = {
  'wrap-face': 'wrap, face',
  'wrap-border': 'wrap, border',
  'wrap-blanket': 'wrap, blanket',
  'wrap-end': 'wrap, end',
  'wrap-parcel': 'wrap, parcel',
};

/** A piece of wadding as it is cut. */
interface Wadding {
  readonly role: WrapRole;
  readonly count: number;
  readonly width: Figure;
  readonly height: Figure;
}

const piece = (loftMm: number, { role, count, width, height }: Wadding, outline: Outline): Piece => ({
  ...PLAIN_PIECE,
  id: role,
  role,
  label: LABELS[role],
  material: { kind: 'wadding', loftMm },
  countPerCushion: count,
  width,
  height,
  outline,
});

const strip = (loftMm: number, wadding: Wadding): Piece => piece(loftMm, wadding, rectangleOutline(wadding.width.value, wadding.height.value));

/** Faces of wadding that reach over the core's edge. */
function faces({ size, outline, loftMm, assume }: Core, over: Figure = given('over the edge', assume('wrapFaceOverMm'), 'shop')): Piece {
  const grown = grow(outline, over.value);
  const face = grown.ok ? grown.outline : outline;
  const box = outlineBounds(face);
  const side = (figure: Figure, mm: number): Figure => reaching(sum('wrap face', figure, plus(over, 2)), mm);
  const [width, height] = [side(size.width, box.maxX - box.minX), side(size.depth, box.maxY - box.minY)];
  return piece(loftMm, { role: 'wrap-face', count: 2, width, height }, face);
}

/** Faces that are whipped together reach at least to the middle of the side, or their edges would not meet. */
function whipped(core: Core): Piece {
  const usual = given('over the edge', core.assume('wrapWhipOverMm'), 'shop');
  const half = core.size.height.value / 2;
  return faces(core, half > usual.value ? law('half the thickness', '{0} ÷ 2', [core.size.height]) : usual);
}

/** The strip round the core: lapped over the faces, or butted to them; once over itself. */
function border({ size, outline, loftMm, assume }: Core, lapped: boolean): Piece {
  const lap = given('lap', assume('wrapBorderOverMm'), 'shop');
  const round = measuredOn('round the core', perimeter(outline), 'along the edge of {0} by {1}', [size.width, size.depth]);
  const height = lapped ? sum('wrap border', size.height, plus(lap)) : size.height;
  return strip(loftMm, { role: 'wrap-border', count: 1, width: sum('wrap border', round, plus(lap)), height });
}

/** One length round front and back, and a piece for each end. */
function blanket({ size, loftMm, assume }: Core): Piece[] {
  const lap = given('lap', assume('wrapBorderOverMm'), 'shop');
  const round = law('blanket', '2 × ({0} + {1}) + {2}', [size.depth, size.height, lap]);
  return [
    strip(loftMm, { role: 'wrap-blanket', count: 1, width: size.width, height: round }),
    strip(loftMm, { role: 'wrap-end', count: 2, width: size.depth, height: size.height }),
  ];
}

/** An arc or a line moved outwards; the outline runs counter-clockwise. */
function outwards(segment: Segment, mm: number): Segment | null {
  const normalAt = (along: number): Point => {
    const d = directionOn(segment, along);
    return { x: d.y, y: -d.x };
  };
  const [from, to] = [plusPoint(segment.from, normalAt(0), mm), plusPoint(segment.to, normalAt(segmentLength(segment)), mm)];
  if (segment.kind === 'line') return line(segment.edge, from, to);
  if (segment.kind !== 'arc') return null;
  const radius = segment.radius + Math.sign(segment.sweep) * mm;
  return radius > 0 ? { ...segment, from, to, radius } : null;
}

/**
 * A face whose edges hang down all round by `mm`, the corners cut out so that neighbours meet on the core's upright edge: at each corner two 45° triangles
 * with legs of `mm`. Null where the outline turns in on itself: there the flaps would lie over each other.
 */
export function parcelOutline(outline: Outline, mm: number): Outline | null {
  const { segments } = inArcs(outline);
  const flaps = segments.map((segment) => outwards(segment, mm));
  const made: Segment[] = [];
  for (const [i, segment] of segments.entries()) {
    const [flap, next, nextFlap] = [flaps[i], segments[(i + 1) % segments.length], flaps[(i + 1) % segments.length]];
    if (!flap || !next || !nextFlap) return null;
    made.push(flap);
    if (!isCorner(segment, next)) continue;
    if (cross(directionOn(segment, segmentLength(segment)), directionOn(next, 0)) < 0) return null;
    made.push(line('corner', flap.to, segment.to), line('corner', segment.to, nextFlap.from));
  }
  return { segments: closed(made) };
}

/** One sheet over a face and down the sides, its corners mitred, and a plain face under it. */
function parcel(core: Core): Piece[] {
  const { size, outline, loftMm } = core;
  const flap = parcelOutline(outline, size.height.value);
  const below = { ...faces(core), countPerCushion: 1 };
  if (!flap) return [{ ...below, countPerCushion: 2 }, border(core, true)];
  const box = outlineBounds(flap);
  const side = (figure: Figure, mm: number): Figure => reaching(sum('parcel', figure, plus(size.height, 2)), mm);
  const [width, height] = [side(size.width, box.maxX - box.minX), side(size.depth, box.maxY - box.minY)];
  return [piece(loftMm, { role: 'wrap-parcel', count: 1, width, height }, flap), below];
}

const WAYS: Record<WrapWay, (core: Core) => Piece[]> = {
  blanket,
  faces: (core) => [faces(core)],
  'faces-and-border': (core) => [faces(core), border(core, true)],
  'butted-border': (core) => [faces(core), border(core, false)],
  border: (core) => [border(core, true)],
  parcel,
  whipped: (core) => [whipped(core)],
};

/** The wadding pieces round one core, by the way it is wrapped. None without loft. */
export function wrapPieces(way: WrapWay, loftMm: number, size: Sizes['core'], outline: Outline, assume: Constants): Piece[] {
  return loftMm > 0 ? WAYS[way]({ size, outline, loftMm, assume }) : [];
}

/** The same on a board: the underside has none, so one face is cut, and a border where the way has sides. */
export function wrapOnBoard(way: WrapWay, loftMm: number, size: Sizes['core'], outline: Outline, assume: Constants): Piece[] {
  if (loftMm <= 0) return [];
  const core: Core = { size, outline, loftMm, assume };
  const { sides, faces: faced } = wrapLies(way);
  return [...(faced ? [{ ...faces(core), countPerCushion: 1 }] : []), ...(sides ? [border(core, way !== 'butted-border')] : [])];
}

/**
 * A piece of wadding that no roll is wide enough for, in parts with a butt join: between two sitting places where one is in reach. A piece that the roll gives
 * stays whole; so does one that no straight cut divides, and the lay then says that it is missing.
 */
export function onRoll(one: Piece, rollMm: number, places: number, assume: Constants): Piece[] {
  const [wide, deep] = [one.width.value, one.height.value];
  if (Math.min(wide, deep) <= rollMm) return [one];
  const endMm = assume('joinEndMm');
  const across = wide / rollMm <= deep / rollMm + 1e-9;
  const cuts = across ? gluedAt(wide, rollMm, places, endMm) : gluedAt(deep, rollMm, 1, endMm);
  return inParts(one, across ? cuts : [], across ? [] : cuts, 'wrap') ?? [one];
}
