import { membrane } from '../crown/membrane';
import { inArcs } from '../geometry/biarc';
import { distanceTo } from '../geometry/measure';
import { area, flatten, outlineBounds, type Outline } from '../geometry/outline';
import type { Point } from '../geometry/point';
import { drawnIn, onGrid, type RiseGrid } from '../form/form';
import { wrapLies } from '../allowance/wrap-lies';
import { closedSolid, type SolidAsk, type Trim } from '../form/solid/closed-solid';
import type { SolidCore } from '../form/solid/core-part';
import type { Solid } from '../form/solid/solid';
import type { Mark, Piece } from '../piece/piece';
import type { Planned } from '../plan/cushion/cushion-plan';
import { isButton, plateMarksOf } from './plate-marks';
import { sideAsItLies } from './section';
import { materialName } from './solid-material';

/** How the cushion in the round is wanted. */
export interface SolidWishes {
  /** How far the band's bulge is shown: 1 as predicted, 0 straight. */
  readonly bulge: number;
}

/** Grid steps of a membrane that is only looked at: its error is far below a millimetre. */
const STEPS = 48;
const CHORD_MM = 0.3;
/** Of what the sides of the filling are squeezed in by, so much comes out again in the middle of the band. Assumed: no law is known. */
const BULGE_SHARE = 0.5;
/** A core in a wrap is drawn so far inside the faces, mm. */
const CLEAR_MM = 3;
/** A band's edges come nearer by at most this share of its height. */
const NEARER_SHARE = 0.04;

/**
 * How far the band stands out in its middle, mm: half of what core and wrap would stand out by if nothing held them, and no more than its own cut height lets it, its
 * edges coming nearer by a twenty-fifth. Nothing where the fit is not predicted.
 */
function bulgeOf({ fitRequest, profile }: Planned): number {
  if (!fitRequest || profile.kind !== 'band') return 0;
  const { core, widthMm, depthMm, sideLoftAcrossMm, sideLoftAlongMm, heightMm } = fitRequest;
  const across = (core.widthMm + 2 * sideLoftAcrossMm - widthMm) / 2;
  const along = (core.depthMm + 2 * sideLoftAlongMm - depthMm) / 2;
  const pressed = Math.max(0, (across + along) / 2) * BULGE_SHARE;
  return Math.min(pressed, Math.sqrt((3 * NEARER_SHARE) / 8) * heightMm);
}

/** The crown of each face of a cushion, mm: as predicted; where no fit is, as asked for; of two plates that meet, half the loft. */
export function crownsOf({ fit, fitRequest, source, profile }: Planned): { readonly overMm: number; readonly underMm: number } {
  if (profile.kind === 'body') return { overMm: 0, underMm: 0 };
  if (profile.kind === 'knife') return { overMm: source.heightMm / 2, underMm: source.heightMm / 2 };
  const overMm = fit?.crownMm ?? source.crown?.mm ?? 0;
  const faces = fitRequest?.crownedFaces ?? profile.crownedFaces ?? 2;
  return { overMm, underMm: faces === 1 ? 0 : overMm };
}

/** The membrane over an outline, as shares of its highest point: the one the crown was solved with, or one of its own. */
function surfaceOver({ crown, sizes, outlines }: Planned, rim: Outline): RiseGrid {
  if (crown?.answer && !sizes.slope && rim === outlines.sewn) return crown.answer.surface;
  const arcs = inArcs(rim);
  return membrane(flatten(arcs, CHORD_MM), area(arcs), STEPS);
}

/** How a face rises, as shares of its crown: its membrane, drawn in by buttons and channels. */
function crownOver(rim: readonly Point[], surface: RiseGrid, marks: readonly Mark[], lines: Planned['lines']): (p: Point) => number {
  const left = drawnIn({ rim, buttons: marks.filter(isButton).map(({ at }) => at), lines });
  return (p) => onGrid(surface, p) * left(p);
}

/** A place of a piece's seam line on the piece as it is cut: larger all over where its cloth shrinks. */
function asCutOf({ cover, pieces }: Planned): (id: string, p: Point) => Point {
  const scales = new Map(
    cover.pieces.map((piece) => {
      const cut = pieces.find(({ id }) => id === piece.id) ?? piece;
      const [own, larger] = [outlineBounds(piece.outline), outlineBounds(cut.outline)];
      const across = (larger.maxX - larger.minX) / (own.maxX - own.minX || 1);
      const along = (larger.maxY - larger.minY) / (own.maxY - own.minY || 1);
      const same = piece === cut || (Math.abs(across - 1) < 1e-9 && Math.abs(along - 1) < 1e-9);
      const move = ({ x, y }: Point): Point => ({ x: larger.minX + (x - own.minX) * across, y: larger.minY + (y - own.minY) * along });
      return [piece.id, same ? null : move] as const;
    }),
  );
  return (id, p) => scales.get(id)?.(p) ?? p;
}

/** The cords and ridges that run along its edges. */
function trimsOf({ cover, lines, profile }: Planned): Trim[] {
  const { skin, pieces } = cover;
  const find = (id: string): Piece | undefined => pieces.find((one) => one.id === id);
  const cords = (skin?.cords ?? []).map(({ piece, line }): Trim => {
    const strip = find(piece);
    const flangeMm = strip?.sewn ? outlineBounds(strip.sewn).minY : 0;
    return { line, piece, material: materialName(strip), cordMm: profile.welt?.cordMm ?? 0, flangeMm };
  });
  const ridge = (line: 'upper' | 'lower'): Trim => ({ line, piece: 'ridge', material: 'thread', cordMm: null, flangeMm: 0 });
  return [
    ...cords.filter(({ cordMm }) => (cordMm ?? 0) > 0),
    ...(lines.top === 'ridge' ? [ridge('upper')] : []),
    ...(lines.bottom === 'ridge' ? [ridge('lower')] : []),
  ];
}

/** How far in from the seam a roll is stitched, mm; null where none is. */
function rollOf({ lines, outlines }: Planned, marks: ReturnType<typeof plateMarksOf>): number | null {
  const stitch = lines.top === 'roll' ? marks.find(({ kind }) => kind === 'roll') : undefined;
  return stitch ? distanceTo(flatten(outlines.sewn), stitch.at) : null;
}

/** How high the band stands at the front and at the back, mm: alike but in a wedge, and nothing where two plates meet. */
function bandHeights({ profile, sizes: { sewn, slope } }: Planned): { readonly frontMm: number; readonly backMm: number } {
  const thick = profile.kind === 'knife' ? 0 : sewn.height.value;
  const thin = slope?.sewn.value ?? thick;
  return slope?.end === 'front' ? { frontMm: thin, backMm: thick } : { frontMm: thick, backMm: thin };
}

/** The filling as it lies in the cover: flat inside a wrap on its faces, which then makes the crown; without one it fills the cover to its faces. */
function coreOf(one: Planned, crowns: ReturnType<typeof crownsOf>): SolidCore | null {
  const { source, outlines, profile, wrap, wrapWay } = one;
  const { layers } = source.core;
  const total = layers.reduce((mm, { thicknessMm }) => mm + thicknessMm, 0);
  if (total <= 0) return null;
  const { frontMm, backMm } = bandHeights(one);
  const board = profile.onBoard ? frontMm - profile.heightMm : 0;
  const wrapped = profile.kind === 'band' && wrap.value > 0 && wrapLies(wrapWay).faces;
  // A bulged band draws the faces' edges in: the filling is drawn clear of them.
  const clearMm = wrapped ? CLEAR_MM : 0.4;
  const inside = (mm: number): number => Math.max(0, mm - board - 2 * clearMm);
  let above = 1;
  return {
    outline: outlines.core,
    // The first layer named is the uppermost.
    layers: layers.map(({ grade, thicknessMm }, i) => {
      const high = above;
      above -= thicknessMm / total;
      return { id: `layer-${i + 1}`, material: `filling/${grade}`, low: Math.max(0, above), high };
    }),
    sideMm: profile.kind === 'band' ? Math.max(CLEAR_MM, sideAsItLies(one, 'across')) : 1,
    fromMm: board + clearMm,
    frontMm: inside(frontMm),
    backMm: inside(backMm),
    overMm: wrapped ? 0 : crowns.overMm,
    underMm: wrapped ? 0 : crowns.underMm,
  };
}

/** What the mesh of a planned cushion is made from; null where its cover has no pieces to show. */
function askOf(one: Planned, { bulge }: SolidWishes): SolidAsk | null {
  const { cover, profile, outlines, lines } = one;
  const { skin } = cover;
  if (!skin) return null;
  const rim = skin.rim ?? outlines.sewn;
  const marks = plateMarksOf(cover);
  const { overMm, underMm } = crownsOf(one);
  const ring = flatten(rim, CHORD_MM);
  const crowned = overMm > 0 || underMm > 0;
  const share = crowned ? crownOver(ring, surfaceOver(one, rim), marks, lines) : (): number => 0;
  const front = outlines.sewn.segments.find(({ edge }) => edge === 'front');
  const rounded = profile.roundedFront && front ? { frontY: front.from.y, ...profile.roundedFront } : null;
  return {
    rim,
    skin,
    materialOf: (id) => materialName(cover.pieces.find((piece) => piece.id === id)),
    partsOf: (id) => cover.pieces.flatMap(({ id: part, partOf, sewn }) => (partOf?.plate === id && sewn ? [{ id: part, sewn }] : [])),
    asCut: asCutOf(one),
    ...bandHeights(one),
    rounded,
    over: { mm: overMm, share },
    under: { mm: underMm, share },
    bulgeMm: bulgeOf(one) * bulge,
    lie: profile.kind === 'body' ? 'along' : 'across',
    trims: trimsOf(one),
    core: coreOf(one, { overMm, underMm }),
    rollMm: rollOf(one, marks),
  };
}

/**
 * A planned cushion in the round: each piece of its cover, its board, cords and stitches, and the layers of its core. Every vertex comes from the plan. Null where
 * nothing is to be shown. Takes some tens of milliseconds.
 */
export function solidOf(one: Planned, wishes: SolidWishes = { bulge: 1 }): Solid | null {
  const ask = askOf(one, wishes);
  return ask && closedSolid(ask);
}
