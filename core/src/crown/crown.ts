import { isCorner } from '../geometry/measure';
import { inArcs } from '../geometry/biarc';
import { area, closed, flatten, stationAt, type Outline } from '../geometry/outline';
import { distance, type Point } from '../geometry/point';
import { polygonArea } from '../geometry/polygon';
import { segmentLength, type EdgeName, type Segment } from '../geometry/segment';
import { contour } from '../geometry/contour';
import { tidied } from '../geometry/transform';
import { sideAlong } from '../template/edges';
import { fitCurve } from '../template/fit-curve';
import { knotsOn, type Knot } from './knots';
import { chordsOf, membrane, type Chord, type Membrane, type Surface } from './membrane';

export interface CrownPad {
  /** The surface's height along this pad's outline, mm. */
  readonly heightMm: number;
  readonly areaMm2: number;
  readonly outline: Outline;
}

export interface Crown {
  /** More cloth than the plan has, along the line left to right (across) and front to back (along) through the highest point, mm. */
  readonly extraAcrossMm: number;
  readonly extraAlongMm: number;
  /** What a plate left flat draws the finished size in by, mm. */
  readonly drawInAcrossMm: number;
  readonly drawInAlongMm: number;
  /** The cut edge of the domed plate, fuller so that it still measures its plan. */
  readonly bowed: Outline;
  /** Largest first. */
  readonly pads: readonly CrownPad[];
  readonly top: Point;
  /** The face's surface, as shares of the crown. */
  readonly surface: Surface;
}

/** Chords of the plate are this near its curves, mm. */
const CHORD_MM = 0.05;
/** ∫(√(1 + u'²) − 1) over a chord for a crown of `crownMm`: from knot to knot, which is short by one over the square of their number. */
function extraOn(surface: Surface, axis: 'x' | 'y', at: number, chord: Chord, crownMm: number): number {
  let extra = 0;
  let before: Knot | undefined;
  for (const knot of knotsOn(surface, axis, at, chord)) {
    if (before) {
      const run = knot.along - before.along;
      extra += Math.hypot(run, crownMm * (knot.height - before.height)) - run;
    }
    before = knot;
  }
  return extra;
}

const chordThrough = (chords: readonly Chord[], at: number): Chord | undefined => chords.find(({ from, to }) => at >= from - 1e-6 && at <= to + 1e-6);

/** A flat plate W wide that is domed spans W − d, where the dome on W − d takes d more cloth: extra goes by one over the span. */
function drawIn(extraMm: number, widthMm: number): number {
  const root = widthMm * widthMm - 4 * extraMm * widthMm;
  return root <= 0 ? widthMm / 2 : (widthMm - Math.sqrt(root)) / 2;
}

/** Places round the edge that are moved out, mm apart; corners always among them. */
const BOW_PITCH_MM = 8;
/** The bow runs out to nothing over this share of the way from corner to corner. */
const RUN_OUT = 0.2;

/** An edge that a chord only grazes is not moved along itself: the bow comes in as the edge turns to face it. */
const FACING = 0.35;

function facing(outward: number): number {
  const t = Math.min(1, Math.abs(outward) / FACING);
  return Math.sign(outward) * t * t * (3 - 2 * t);
}

interface Side {
  readonly segments: readonly Segment[];
  readonly start: number;
  readonly length: number;
}

/** The outline's stretches between sharp corners; the whole round where it has none. */
function sidesOf(outline: Outline): Side[] {
  const { segments } = outline;
  const breaks = segments.flatMap((segment, i) => (isCorner(segment, segments[(i + 1) % segments.length] as Segment) ? [i + 1] : []));
  const starts: number[] = [0];
  for (const segment of segments) starts.push((starts.at(-1) ?? 0) + segmentLength(segment));
  if (!breaks.length) return [{ segments, start: 0, length: starts.at(-1) ?? 0 }];
  return breaks.map((from, n) => {
    const to = breaks[(n + 1) % breaks.length] as number;
    const count = (to - from + segments.length) % segments.length || segments.length;
    const run = Array.from({ length: count }, (_, k) => segments[(from + k) % segments.length] as Segment);
    return { segments: run, start: starts[from % segments.length] ?? 0, length: run.reduce((sum, segment) => sum + segmentLength(segment), 0) };
  });
}

/** Half of the local extra at each end of every chord, run out to nothing at every corner; curves fitted through. */
function bow(outline: Outline, surface: Membrane, crownMm: number): Outline {
  const sides = sidesOf(outline);
  const round =
    sides.length === 1 &&
    sides[0]?.start === 0 &&
    sides[0].segments.length === outline.segments.length &&
    !isCorner(outline.segments.at(-1) as Segment, outline.segments[0] as Segment);
  const halfExtra = (axis: 'x' | 'y', p: Point): number => {
    const [at, along] = axis === 'y' ? [p.y, p.x] : [p.x, p.y];
    const chord = chordThrough(chordsOf(surface.polygon, axis, at), along);
    return chord && chord.to - chord.from > surface.step ? extraOn(surface, axis, at, chord, crownMm) / 2 : 0;
  };
  const segments = sides.flatMap(({ start, length }) => {
    const count = Math.max(8, Math.ceil(length / BOW_PITCH_MM));
    const places = Array.from({ length: count + 1 }, (_, i) => {
      const along = (length * i) / count;
      const { at, outward, segment } = stationAt(outline, start + along);
      const run = Math.min(along, length - along) / (length * RUN_OUT);
      const share = round ? 1 : run >= 1 ? 1 : Math.max(0, run * run * (3 - 2 * run));
      // Looked at a little inside, where the plate's chords surely are.
      const within = { x: at.x - outward.x * 2 * CHORD_MM, y: at.y - outward.y * 2 * CHORD_MM };
      const by = {
        x: facing(outward.x) * halfExtra('y', within) * share,
        y: facing(outward.y) * halfExtra('x', within) * share,
      };
      return { point: { x: at.x + by.x, y: at.y + by.y }, edge: segment.edge as EdgeName };
    });
    return fitCurve(places, 0.05);
  });
  return tidied({ segments: closed(segments) });
}

/** The level set where the surface stands at `share` of the crown, as an outline. */
function levelSet({ x0, y0, step, columns, rows, values }: Membrane, share: number): Outline {
  const ring = contour(values, columns, rows, share).map(({ x, y }): Point => ({ x: x0 + x * step, y: y0 + y * step }));
  const turned = polygonArea(ring) < 0 ? [...ring].reverse() : ring;
  const first = turned[0];
  if (!first || turned.length < 8) return { segments: [] };
  const facing = (i: number): EdgeName => sideAlong(turned[(i + turned.length - 2) % turned.length] as Point, turned[(i + 2) % turned.length] as Point);
  const places = [...turned.map((point, i) => ({ point, edge: facing(i) })), { point: first, edge: facing(0) }].filter(
    (one, i, all) => i === 0 || distance(one.point, (all[i - 1] as typeof one).point) > 1e-9,
  );
  return tidied({ segments: closed(fitCurve(places, 0.15)) });
}

/**
 * The crown of one face over an outline: the membrane ∇²u = −const with u = 0 on the edge, its highest point at `crownMm`. From it the extra cloth, the
 * draw-in of a flat plate, the domed plate, and the outlines of `pads` layers: where the surface stands at (i − ½)/k of the crown or more.
 */
export function crown(outline: Outline, crownMm: number, pads = 0): Crown {
  const arcs = inArcs(outline);
  const polygon = flatten(arcs, CHORD_MM);
  const surface = membrane(polygon, area(arcs));
  const { top } = surface;
  const across = chordThrough(chordsOf(polygon, 'y', top.y), top.x) ?? { from: 0, to: 0 };
  const along = chordThrough(chordsOf(polygon, 'x', top.x), top.y) ?? { from: 0, to: 0 };
  const extraAcrossMm = crownMm === 0 ? 0 : extraOn(surface, 'y', top.y, across, crownMm);
  const extraAlongMm = crownMm === 0 ? 0 : extraOn(surface, 'x', top.x, along, crownMm);
  return {
    extraAcrossMm,
    extraAlongMm,
    drawInAcrossMm: drawIn(extraAcrossMm, across.to - across.from),
    drawInAlongMm: drawIn(extraAlongMm, along.to - along.from),
    bowed: crownMm === 0 ? outline : bow(arcs, surface, crownMm),
    pads: Array.from({ length: pads }, (_, i) => {
      const share = (i + 0.5) / pads;
      const level = levelSet(surface, share);
      return { heightMm: crownMm * share, areaMm2: area(level), outline: level };
    }).filter((pad) => pad.outline.segments.length > 1),
    top,
    surface: { x0: surface.x0, y0: surface.y0, step: surface.step, columns: surface.columns, rows: surface.rows, values: surface.values },
  };
}
