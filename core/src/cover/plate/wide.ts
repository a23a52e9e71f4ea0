import { aheadOn } from '../../geometry/around';
import * as z from 'zod';
import { alongOutline } from '../../geometry/along';
import { outlineBounds, perimeter, rectangleOutline, stationAt, type Outline } from '../../geometry/outline';
import type { Point } from '../../geometry/point';
import type { Segment } from '../../geometry/segment';
import { sliced } from '../../geometry/transform';
import { given, law, measuredOn, renamed, type Figure } from '../../kernel/figure';
import { PLAIN_PIECE, type Mark, type Piece } from '../../piece/piece';
import { ON_LINE_MM, type SeamDraft, type Stretch } from '../../piece/seam';
import { SAME_SIZE_MM } from '../../piece/sizes';
import type { CoverRequest, Field } from '../contract';
import { choiceField } from '../sewing/fields';

/** What becomes of a plate wider than its cloth: the cloth has to be turned, or the plate is made of a full middle and two equal sides. */
export const WIDE_WAYS = ['turn', 'pieced'] as const;
export type WideWay = (typeof WIDE_WAYS)[number];

/** The choice, for the schema of every construction that has a plate. */
export const wideShape = { wide: z.enum(WIDE_WAYS).optional() };

/** The same for its tray. */
export const wideField = <C extends { readonly wide?: WideWay | undefined }>(): Field<C> =>
  choiceField<{ readonly wide?: WideWay | undefined }>('wide', 'Plates wider than the cloth', {
    turn: 'turn the cloth',
    pieced: 'middle and two sides',
  }) as unknown as Field<C>;

/** Where a plate wider than its cloth is divided: two upright lines at equal distances from its middle, x; null where one drop is wide enough, or three are too narrow. */
export function wideCuts(plate: Outline, usableMm: number, seamMm: number): readonly [low: number, high: number] | null {
  const { minX, maxX } = outlineBounds(plate);
  const half = usableMm / 2 - seamMm;
  const sideMm = (maxX - minX) / 2 - half + seamMm;
  if (maxX - minX <= usableMm || half <= 0 || sideMm > usableMm || sideMm <= seamMm) return null;
  const centre = (minX + maxX) / 2;
  return [centre - half, centre + half];
}

/** Where upright lines meet a seam line, mm round it. */
function crossings(sewn: Outline, [low, high]: readonly [number, number]): number[] {
  const [middle, sides] = [sliced(sewn, 'x', low, high), sliced(sewn, 'x', high, Infinity)];
  const [left, right] = [middle && cutOf(middle, low), sides && cutOf(sides, high)];
  if (!left || !right) return [];
  return [left.from, left.to, right.from, right.to].flatMap((at) => alongOutline(sewn, at, ON_LINE_MM) ?? []);
}

/** Where plates will be joined, mm round their seam line: the joins of a band lie under them. None where the cloth is wide enough, or is to be turned. */
export function plateJoins(way: WideWay | undefined, { cut, sewn, sizes, cloth }: Pick<CoverRequest, 'cut' | 'sewn' | 'sizes' | 'cloth'>): number[] {
  const { usableMm, railroaded } = cloth('main');
  const cuts = way === 'pieced' && !railroaded ? wideCuts(cut, usableMm, sizes.seam.value) : null;
  return cuts ? crossings(sewn, cuts) : [];
}

/** A plate in three parts. */
export interface PiecedPlate {
  /** Two widths of the cloth, each as long as the plate: seamed to a tube, they give the three parts with one cut. Null where the parts are cut one by one. */
  readonly drop: Piece | null;
  readonly parts: readonly [middle: Piece, right: Piece, left: Piece];
  /** Marked from the fold of the drop that becomes the middle. */
  readonly fromFold: Figure;
  /** The seams that make one plate of its parts. */
  readonly joins: readonly SeamDraft[];
  /** A stretch of the whole plate, on the parts that it runs over. */
  readonly onParts: (stretch: Stretch) => readonly Stretch[];
}

/** The straight cut of a slice: the segment that stands upright at `x`. */
function cutOf({ segments }: Outline, x: number): Segment | null {
  return segments.find(({ kind, from, to }) => kind === 'line' && Math.abs(from.x - x) < 1e-6 && Math.abs(to.x - x) < 1e-6) ?? null;
}

interface Slices {
  readonly middle: Outline;
  readonly right: Outline;
  readonly left: Outline;
}

/** An outline in three, cut upright at two lines, each part reaching `over` beyond its cuts; null where a part would fall to pieces. */
function slices(outline: Outline, [low, high]: readonly [number, number], over: number): Slices | null {
  const middle = sliced(outline, 'x', low - over, high + over);
  const right = sliced(outline, 'x', high - over, Infinity);
  const left = sliced(outline, 'x', -Infinity, low + over);
  return middle && right && left ? { middle, right, left } : null;
}

/**
 * A plate wider than its cloth, made of a middle as wide as the cloth and two equal sides, never with one seam in the centre. Up to twice the width between seams it comes from two drops
 * seamed to a tube, so that both drops lie whole on the cloth. Null where three widths are not enough, or where a cut would make more than three parts.
 */
export function piecedPlate(plate: Piece, usable: Figure, seam: Figure): PiecedPlate | null {
  const s = seam.value;
  const cuts = wideCuts(plate.outline, usable.value, s);
  const cut = cuts && slices(plate.outline, cuts, s);
  const sewn = cuts && plate.sewn && slices(plate.sewn, cuts, 0);
  if (!cuts || !cut || !sewn || !plate.sewn) return null;
  const [low, high] = cuts;
  const edges = [cutOf(sewn.middle, high), cutOf(sewn.middle, low), cutOf(sewn.right, high), cutOf(sewn.left, low)];
  const [middleRight, middleLeft, rightEdge, leftEdge] = edges;
  if (!middleRight || !middleLeft || !rightEdge || !leftEdge) return null;

  const box = outlineBounds(plate.outline);
  const tube = box.maxX - box.minX <= 2 * (usable.value - 2 * s) + 1e-9;
  const dropId = `${plate.id}-drop`;
  const deep = (outline: Outline): Figure => {
    const { minY, maxY } = outlineBounds(outline);
    return Math.abs(maxY - minY - plate.height.value) <= SAME_SIZE_MM
      ? plate.height
      : measuredOn(plate.height.name, maxY - minY, 'as far as this part of {0} reaches', [plate.height]);
  };
  const sideWidth = law('side part, cut', '({0} − ({1} − 2 × {2})) ÷ 2 + {2}', [plate.width, usable, seam]);
  const middleWidth = renamed('middle part, cut', usable);
  const marksIn = (from: number, to: number): Mark[] => plate.marks.filter(({ at }) => at.x >= from && at.x < to);
  const part = (which: keyof Slices, index: number, width: Figure, marks: readonly Mark[]): Piece => ({
    ...plate,
    id: `${plate.id}-${which}`,
    label: `${plate.label}, ${which}`,
    remark: tube ? 'out of the tube' : which === 'middle' ? 'the cloth’s full width' : 'cut from a further drop',
    part: { index, of: 3 },
    partOf: { plate: plate.id, drop: tube ? dropId : null },
    width,
    height: deep(cut[which]),
    outline: cut[which],
    sewn: sewn[which],
    marks,
    ...(which === 'middle' ? {} : { placements: [] }),
  });
  const middle = part('middle', 1, middleWidth, marksIn(low, high));
  const right = part('right', 2, sideWidth, marksIn(high, Infinity));
  const left = part('left', 3, sideWidth, marksIn(-Infinity, low));
  const run = ({ id }: Piece, { from, to }: Segment): Stretch => ({ piece: id, from, to });
  const join = (which: 'right' | 'left', middleEdge: Segment, side: Piece, sideEdge: Segment): SeamDraft => ({
    id: `${plate.id}-join-${which}`,
    words: `${plate.label}: middle to the ${which} side`,
    first: [run(middle, middleEdge)],
    second: [run(side, sideEdge)],
    count: plate.countPerCushion,
  });
  // Counter-clockwise the seam line runs over the middle's front, the right side, the middle's back and the left side.
  const turns: readonly (readonly [Point, Piece])[] = [
    [middleLeft.to, middle],
    [middleRight.from, right],
    [middleRight.to, middle],
    [middleLeft.from, left],
  ];
  return {
    drop: tube ? dropOf(plate, dropId, usable) : null,
    parts: [middle, right, left],
    fromFold: law('from the fold', '{0} ÷ 2', [plate.width]),
    joins: [join('right', middleRight, right, rightEdge), join('left', middleLeft, left, leftEdge)],
    onParts: (stretch) => (stretch.placement === undefined ? over(plate.sewn as Outline, stretch, turns) : [{ ...stretch, piece: middle.id }]),
  };
}

/** One of the two widths of cloth that make a tube. */
function dropOf(plate: Piece, id: string, usable: Figure): Piece {
  const { face, grain, material, height, countPerCushion } = plate;
  return {
    ...PLAIN_PIECE,
    id,
    role: 'drop',
    label: `${plate.label}, drop`,
    remark: 'two are seamed to a tube',
    material,
    countPerCushion: 2 * countPerCushion,
    width: renamed('drop', usable),
    height,
    outline: rectangleOutline(usable.value, height.value),
    grain,
    face,
  };
}

/** Runs shorter than this are where a stretch only touches a part, mm. */
const TOUCH_MM = 1e-6;

/** A stretch of a seam line divided where the line passes from one part to the next. */
function over(sewn: Outline, stretch: Stretch, turns: readonly (readonly [Point, Piece])[]): Stretch[] {
  const round = perimeter(sewn);
  const along = (at: Point): number => alongOutline(sewn, at, ON_LINE_MM) ?? NaN;
  const from = along(stretch.from);
  const ahead = (mm: number): number => aheadOn(round, from, mm);
  const ring = Math.hypot(stretch.to.x - stretch.from.x, stretch.to.y - stretch.from.y) < ON_LINE_MM;
  const long = ring ? round : ahead(along(stretch.to));
  const stops = turns.map(([at, piece]) => ({ mm: ahead(along(at)), piece })).sort((a, b) => a.mm - b.mm);
  const before = stops.at(-1);
  const runs = [...(before && (stops[0]?.mm ?? 0) > TOUCH_MM ? [{ mm: 0, piece: before.piece }] : []), ...stops].filter(({ mm }) => mm < long - TOUCH_MM);
  const at = (mm: number): Point => stationAt(sewn, (from + mm) % round).at;
  return runs.map(({ mm, piece }, i): Stretch => {
    const end = runs[i + 1]?.mm ?? long;
    return {
      ...stretch,
      piece: piece.id,
      from: mm <= TOUCH_MM ? stretch.from : at(mm),
      to: end >= long - TOUCH_MM ? stretch.to : at(end),
    };
  });
}

/** The usable width of a cloth as a figure. */
export const usableFigure = (usableMm: number): Figure => given('usable width', usableMm, 'material');
