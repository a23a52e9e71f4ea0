import { aheadOn } from '../../geometry/around';
import { outlineBounds, perimeter, type Bounds, type Outline } from '../../geometry/outline';
import type { Point } from '../../geometry/point';
import type { CordLine, Skin } from '../skin';
import { bandParts } from './band-part';
import { coreParts, type SolidCore } from './core-part';
import { faceDivider } from './face-mesh';
import { faceParts, type FaceShape } from './face-part';
import type { Column } from './column';
import { fallAt, levelsOf, type RoundedEdge } from './front';
import { rimOf, type RimPoint } from './rim';
import { boundsOf, placed, type Solid, type SolidPart } from './solid';
import { plateLines } from './plate-lines';
import { strapPart } from './strap-part';
import { stitchRow, tube, type Loop } from './tube';

/** How a face rises over its rim. */
export interface Rise {
  /** In its middle, mm. */
  readonly mm: number;
  /** Share of that at a place of the plan: 0 on the rim. */
  readonly share: (p: Point) => number;
}

/** A cord of a welt, or a row of stitches along a ridge. */
export interface Trim {
  readonly line: CordLine;
  readonly piece: string;
  readonly material: string;
  /** Thickness of the cord, mm; null for a row of stitches. */
  readonly cordMm: number | null;
  /** Where the cord's cloth begins across its strip, mm. */
  readonly flangeMm: number;
}

/** A closed cushion as a mesh is made from it. All lengths in millimetres, the plan's front at the least y. */
export interface SolidAsk {
  /** Seam line of the plates. */
  readonly rim: Outline;
  readonly skin: Skin;
  /** Material of a piece, as it is named in the solid. */
  readonly materialOf: (piece: string) => string;
  /** What a plate was cut in, where it is wider than its cloth: its parts, each with its seam line; nothing for a whole one. */
  readonly partsOf: (piece: string) => readonly { readonly id: string; readonly sewn: Outline }[];
  /** A place on a piece's seam line as it lies on the piece as cut: larger where its cloth shrinks. */
  readonly asCut: (piece: string, p: Point) => Point;
  /** Height of the band as sewn, at the front and at the back; 0 where two plates meet. */
  readonly frontMm: number;
  readonly backMm: number;
  readonly rounded: { readonly frontY: number; readonly topMm: number; readonly bottomMm: number } | null;
  readonly over: Rise;
  readonly under: Rise;
  /** How far the band stands out in its middle, mm; its edges come nearer by as much as keeps its length. */
  readonly bulgeMm: number;
  /** Lies with its outline at its ends, like a roll. */
  readonly lie: 'across' | 'along';
  readonly trims: readonly Trim[];
  /** What lies in it; null for nothing. */
  readonly core: SolidCore | null;
  /** Where a roll is stitched along both edges: how far in from the seam, mm. */
  readonly rollMm: number | null;
}

/** Points of the rim and the faces, about. */
const RIM_POINTS = 150;
const FACE_POINTS = 700;
const LEAST_PITCH_MM = 9;
/** Steps of the band up its height, mm, and how many at most. */
const BAND_MM = 22;
const MOST_ROWS = 6;
/** A bulge runs out towards a sharp corner over this share of the height. */
const RUN_OUT = 0.75;
/** A stitched roll stands over the face by this share of its width, and at most so far, mm: little, so that the plate keeps its area. */
const ROLL_SHARE = 0.25;
const ROLL_MM = 3;

const smooth = (t: number): number => {
  const s = Math.max(0, Math.min(1, t));
  return s * s * (3 - 2 * s);
};

/** The band's height over a place of the plan: between the front's and the back's, as deep as it lies. */
const heightAt = ({ frontMm, backMm }: SolidAsk, { minY, maxY }: Bounds, { y }: Point): number =>
  frontMm + ((backMm - frontMm) * (y - minY)) / (maxY - minY || 1);

/** The columns of the band round the rim. A bulged band keeps its length, so that its edges come nearer: by 8 b² ÷ 3 h of a flat arc. */
function columnsOf(ask: SolidAsk, rim: readonly RimPoint[], box: Bounds, edges: Edges): Column[] {
  return rim.map((point): Column => {
    const fullMm = heightAt(ask, box, point.at);
    const low = edges.bottom ? fallAt(edges.bottom, point.at.y) : 0;
    const high = fullMm - (edges.top ? fallAt(edges.top, point.at.y) : 0);
    const standing = Math.max(0, high - low);
    const bulgeMm = standing < fullMm - 1e-6 ? 0 : ask.bulgeMm * smooth(point.fromCornerMm / (RUN_OUT * fullMm || 1));
    const nearer = standing > 0 ? (8 * bulgeMm * bulgeMm) / (3 * standing) : 0;
    return { rim: point, lowZ: low + nearer / 2, highZ: Math.max(low + nearer / 2, high - nearer / 2), fullMm, bulgeMm };
  });
}

interface Edges {
  readonly top: RoundedEdge | null;
  readonly bottom: RoundedEdge | null;
}

/** The closed cushion: plates, band, board, cords and stitches, standing on z = 0. Parts that meet have their seam's vertices in the same places. */
export function closedSolid(ask: SolidAsk): Solid {
  const { skin } = ask;
  const box = outlineBounds(ask.rim);
  const edges: Edges = {
    top: ask.rounded && ask.rounded.topMm > 0 ? { frontY: ask.rounded.frontY, radiusMm: ask.rounded.topMm } : null,
    bottom: ask.rounded && ask.rounded.bottomMm > 0 ? { frontY: ask.rounded.frontY, radiusMm: ask.rounded.bottomMm } : null,
  };
  const lines = { upper: plateLines(skin.upper, ask.partsOf), lower: skin.lower ? plateLines(skin.lower, ask.partsOf) : [] };
  const round = perimeter(ask.rim);
  const rim = rimOf(ask.rim, Math.max(LEAST_PITCH_MM, round / RIM_POINTS), {
    alongMm: [...skin.band.flatMap(({ fromMm, toMm }) => [fromMm, toMm]), ...(skin.zip ? [skin.zip.fromMm, skin.zip.toMm] : [])],
    crossing: [
      ...[edges.top, edges.bottom].flatMap((edge) => (edge ? levelsOf(edge) : [])).map((at) => ({ axis: 'y' as const, at })),
      ...[...lines.upper, ...lines.lower].flatMap(({ cuts }) => cuts),
    ],
  });
  const columns = columnsOf(ask, rim, box, edges);
  const area = (box.maxX - box.minX) * (box.maxY - box.minY);
  const pitchMm = Math.max(LEAST_PITCH_MM, Math.sqrt(area / FACE_POINTS));
  const shape = (upper: boolean): FaceShape => ({
    rim,
    edgeZ: columns.map(({ lowZ, highZ }) => (upper ? highZ : lowZ)),
    rounded: upper ? edges.top : edges.bottom,
    rise: roll(upper ? ask.over : ask.under, ask.rollMm, rim),
    sign: upper ? 1 : -1,
    levelZ: (p) => (upper ? heightAt(ask, box, p) : 0),
    pitchMm,
    insetsMm: ask.rollMm ? [0.33, 0.67, 1, 1.5].map((share) => share * (ask.rollMm ?? 0)) : [],
  });
  const heads = { materialOf: ask.materialOf, asCut: ask.asCut };
  const divide = faceDivider();
  const cover = [
    ...faceParts({ ...shape(true), side: 'top', face: skin.upper, plates: lines.upper, box, divide, ...heads }),
    ...faceParts({ ...shape(false), side: 'bottom', face: skin.lower, plates: lines.lower, box, divide, ...heads }),
    ...bandParts({ columns, skin, roundMm: round, rowMm: BAND_MM, mostRows: MOST_ROWS, partsOf: ask.partsOf, ...heads }),
  ];
  const trims = ask.trims.map((trim, i) => trimPart(trim, i, columns));
  const straps = (skin.straps ?? []).map((strap, i) => strapPart(strap, i, columns, round, ask.materialOf(strap.piece)));
  const zip = zipPart(ask, columns);
  const core = ask.core ? coreParts(ask.core, ask.rim, ask.over.share) : [];
  const all = [...cover, ...trims, ...straps, ...(zip ? [zip] : []), ...core];
  return { parts: standing(ask.lie === 'along' ? placed(all, ({ x, y, z }) => ({ x: z, y: x, z: y })) : all) };
}

/** Inside its rim a crowned face stands over it by at least this, mm, so that two faces that meet touch nowhere else. */
const LEAST_RISE_MM = 0.01;

const risen = ({ mm, share }: Rise, p: Point): number => (mm > 0 ? Math.max(LEAST_RISE_MM, mm * share(p)) : 0);

/** A face whose edge is stitched into a roll: the roll stands a little over it and ends in the line of its stitches. */
function roll(rise: Rise, rollMm: number | null, rim: readonly RimPoint[]): (p: Point) => number {
  if (!rollMm) return (p) => risen(rise, p);
  const ring = rim.map(({ at }) => at);
  return (p) => {
    const into = nearest(ring, p) / rollMm;
    return risen(rise, p) + (into < 1 ? Math.min(ROLL_MM, ROLL_SHARE * rollMm) * Math.sin(Math.PI * into) : 0);
  };
}

function nearest(ring: readonly Point[], p: Point): number {
  let least = Infinity;
  for (const at of ring) least = Math.min(least, Math.hypot(at.x - p.x, at.y - p.y));
  return least;
}

/** Everything moved up so that its cover stands on z = 0. */
export function standing(parts: readonly SolidPart[]): SolidPart[] {
  const { low } = boundsOf(parts.filter(({ kind }) => kind === 'cover' || kind === 'board'));
  return Number.isFinite(low.z) && low.z !== 0 ? placed(parts, (p) => ({ ...p, z: p.z - low.z })) : [...parts];
}

/** The line that a welt or a row of stitches follows, `outMm` out of the rim; over a rounded front both edges are one line round the plate. */
function loopOf(line: CordLine, columns: readonly Column[], outMm: number): Loop {
  const place = ({ rim: { at, outward } }: Column, z: number) => ({ x: at.x + outward.x * outMm, y: at.y + outward.y * outMm, z });
  const out = ({ rim: { outward } }: Column) => ({ x: outward.x, y: outward.y, z: 0 });
  if (line !== 'over-front') return { points: columns.map((one) => place(one, line === 'upper' ? one.highZ : one.lowZ)), out: columns.map(out) };
  // Along the front the plate has no edge: the line goes up one side, round the back, and down and back underneath.
  const frontY = Math.min(...columns.map(({ rim: { at } }) => at.y));
  const along = columns.filter(({ rim: { at } }) => at.y > frontY + 1e-6);
  const first = columns.findIndex(
    ({ rim: { at } }, i) => at.y > frontY + 1e-6 && (columns[(i + columns.length - 1) % columns.length] as Column).rim.at.y <= frontY + 1e-6,
  );
  const turned = first < 0 ? along : [...columns.slice(first), ...columns.slice(0, first)].filter(({ rim: { at } }) => at.y > frontY + 1e-6);
  const back = [...turned].reverse();
  return {
    points: [...turned.map((one) => place(one, one.highZ)), ...back.map((one) => place(one, one.lowZ))],
    out: [...turned.map(out), ...back.map(out)],
  };
}

/** Stitches of a ridge: so long, one each, so thick, mm. */
const STITCH = { pitchMm: 5, longMm: 3.4, thickMm: 1.2 };

function trimPart({ line, piece, material, cordMm, flangeMm }: Trim, index: number, columns: readonly Column[]): SolidPart {
  const kind = cordMm === null ? 'stitch' : 'cord';
  const head = { id: `${kind}-${index + 1}`, piece, kind, material } as const;
  if (cordMm === null) return stitchRow(head, loopOf(line, columns, 0.6), STITCH);
  return tube(head, loopOf(line, columns, cordMm / 4), cordMm / 2, flangeMm);
}

/** The zip's teeth as they are seen, mm. */
const TEETH = { pitchMm: 5, longMm: 3.6, thickMm: 3 };

/** The zip's teeth as a row along the band, where the plaque's strips meet. */
function zipPart({ skin: { zip }, rim }: SolidAsk, columns: readonly Column[]): SolidPart | null {
  if (!zip) return null;
  const round = perimeter(rim);
  const ahead = (mm: number): number => aheadOn(round, zip.fromMm, mm);
  const run = columns.filter((one) => ahead(one.rim.mm) <= zip.toMm - zip.fromMm + 1e-6).sort((a, b) => ahead(a.rim.mm) - ahead(b.rim.mm));
  if (run.length < 2) return null;
  const place = ({ rim: { at, outward }, lowZ, highZ, bulgeMm }: Column) => {
    const out = 0.5 + bulgeMm * 4 * zip.share * (1 - zip.share);
    return { x: at.x + outward.x * out, y: at.y + outward.y * out, z: lowZ + (highZ - lowZ) * zip.share };
  };
  const out = run.map(({ rim: { outward } }) => ({ x: outward.x, y: outward.y, z: 0 }));
  return stitchRow({ id: 'zip', piece: 'zip', kind: 'stitch', material: 'zip' }, { points: run.map(place), out, open: true }, TEETH);
}
