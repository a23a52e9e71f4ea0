import { bounds, flatten, type Bounds, type Outline, type Piece, type Planned, type SayIn, formatSize } from '@yardland/core';
import { notchItems } from '../shared/table/cushion-scene';
import { shifted, type Scene, type SceneItem } from '../shared/table/scene';

/** Pieces in a row lie this share of the table's width apart. */
const GAP = 0.05;
/** A piece drawn more than twice would only fill the table. */
const MOST_COPIES = 2;

interface Placed {
  readonly piece: Piece;
  readonly copy: number;
  readonly x: number;
}

const boxOf = (piece: Piece): { readonly width: number; readonly height: number } => {
  const { minX, minY, maxX, maxY } = bounds(flatten(piece.outline));
  return { width: maxX - minX, height: maxY - minY };
};

/** Whether a line lies on a piece: one on a plate that is cut in parts runs over several. */
function holds(box: Bounds, line: Outline): boolean {
  const { minX, maxX, minY, maxY } = bounds(flatten(line));
  return minX >= box.minX && maxX <= box.maxX && minY >= box.minY && maxY <= box.maxY;
}

const isBroad = ({ width, height }: Piece): boolean => height.value > width.value / 4;

/** Room under a row for the words of the next, as a share of the table's width. */
const ROW_GAP = 0.075;
/** The table is about so many times as wide as it is high. */
const ASPECT = 1.8;
/** A piece has at least this share of the table's width, for its words. */
const LEAST_SLOT = 0.22;

/** The widest broad piece side by side so often that the rows fill the table best. */
function tableWidth(pieces: readonly Piece[]): number {
  const broad = pieces.filter(isBroad);
  const widest = Math.max(...(broad.length ? broad : pieces).map((piece) => boxOf(piece).width));
  const off = (most: number): number => {
    const rows = rowsOf(pieces, most);
    const deep = rows.reduce((sum, row) => sum + Math.max(...row.map(({ piece }) => boxOf(piece).height)) + most * ROW_GAP, 0);
    return Math.abs(Math.log(most / deep / ASPECT));
  };
  const widths = [2, 3, 4, 5, 6].map((times) => (times * widest) / (1 - (times - 1) * GAP));
  return widths.reduce((best, most) => (off(most) < off(best) ? most : best));
}

/** Pieces in rows, the broad ones first: as many side by side as the table is wide, a pair as two. */
function rowsOf(pieces: readonly Piece[], most: number): Placed[][] {
  const rows: Placed[][] = [];
  let x = Infinity;
  for (const piece of [...pieces].sort((a, b) => Number(isBroad(b)) - Number(isBroad(a)))) {
    const { width } = boxOf(piece);
    const copies = isBroad(piece) ? Math.min(piece.countPerCushion, MOST_COPIES) : 1;
    for (let copy = 0; copy < copies; copy++) {
      if (x + width > most * 1.001) {
        rows.push([]);
        x = 0;
      }
      rows.at(-1)?.push({ piece, copy: copies > 1 ? copy + 1 : 0, x });
      x += Math.max(width, most * LEAST_SLOT) + most * GAP;
    }
  }
  return rows;
}

/** One piece with its words, its lower left corner at x and y; the table is `most` wide. */
function pieceItems({ piece, copy, x }: Placed, y: number, most: number, seam: number, { units, step }: SayIn): SceneItem[] {
  const box = bounds(flatten(piece.outline));
  const { width, height } = boxOf(piece);
  const words = copy
    ? `${piece.label}, ${copy} of ${piece.countPerCushion}`
    : piece.countPerCushion > 1
      ? `${piece.countPerCushion} × ${piece.label}`
      : piece.label;
  const key = copy ? `${piece.id}-${copy}` : piece.id;
  const size = formatSize([piece.width.value, piece.height.value], units, step);
  const look = piece.grain === 'bias' ? 'bias' : piece.material.kind === 'cloth' ? 'piece' : 'foam';
  // The words above a piece end before its neighbour's begin; what does not fit there is told when it is picked.
  const within = Math.max(width, most * LEAST_SLOT) + most * GAP * 0.8;
  const note = {
    kind: 'note',
    key: `${key}-words`,
    at: { x, y: y + height },
    dy: -7,
    text: `${words}, ${size}`,
    short: words,
    within,
    look: 'plain',
    anchor: 'start',
  } as const;
  if (width > most * 1.001)
    return [...brokenItems(piece, { key, y, most, seam, pick: `${words}, ${size}` }), { ...note, text: `${words}, ${size}, drawn with a break`, within: most }];
  const [dx, dy] = [x - box.minX, y - box.minY];
  const holes = (piece.holes ?? []).map((hole, i): SceneItem => ({ kind: 'area', key: `${key}-hole-${i}`, shape: shifted(hole, dx, dy), look: 'cut' }));
  return [
    { kind: 'area', key, shape: shifted(piece.outline, dx, dy), look, pick: `${words}, ${size}` },
    ...holes,
    ...(piece.sewn && look === 'piece' ? [{ kind: 'area' as const, key: `${key}-sewn`, shape: shifted(piece.sewn, dx, dy), look: 'sew' as const }] : []),
    ...(piece.placements ?? [])
      .filter((line) => holds(box, line))
      .map((line, i): SceneItem => ({ kind: 'area', key: `${key}-placement-${i}`, shape: shifted(line, dx, dy), look: 'sew' })),
    ...notchItems(piece, seam, key, dx, dy),
    ...(piece.grain === 'with-the-roll' && height > most * 0.18 && !holes.length
      ? [
          {
            kind: 'arrow' as const,
            key: `${key}-grain`,
            from: { x: x + width * 0.5, y: y + height * 0.3 },
            to: { x: x + width * 0.5, y: y + height * 0.7 },
            text: 'grain',
          },
        ]
      : []),
    note,
  ];
}

interface Broken {
  readonly key: string;
  readonly y: number;
  /** The table's width. */
  readonly most: number;
  readonly seam: number;
  /** What is said when it is picked. */
  readonly pick: string;
}

/** A strip longer than the table: a break in the middle, both ends to scale. */
function brokenItems(piece: Piece, { key, y, most, seam, pick }: Broken): SceneItem[] {
  const { width, height } = boxOf(piece);
  const look = piece.grain === 'bias' ? 'bias' : piece.material.kind === 'cloth' ? 'piece' : 'foam';
  const half = most * 0.485;
  const lean = Math.min(height * 0.5, half * 0.06);
  const left = [
    { x: 0, y },
    { x: half - lean, y },
    { x: half + lean, y: y + height },
    { x: 0, y: y + height },
  ];
  const right = [
    { x: most - half - lean, y },
    { x: most, y },
    { x: most, y: y + height },
    { x: most - half + lean, y: y + height },
  ];
  const near = piece.marks.filter((mark) => mark.at.x < half - lean);
  const far = piece.marks.filter((mark) => mark.at.x > width - half + lean);
  return [
    { kind: 'area', key, shape: left, look, pick },
    { kind: 'area', key: `${key}-far`, shape: right, look },
    ...notchItems({ ...piece, marks: near }, seam, `${key}-near`, 0, y),
    ...notchItems({ ...piece, marks: far }, seam, `${key}-far`, most - width, y),
  ];
}

/** The cover's pieces to scale, each with its seam line, notches and grain. */
export function coverScene(one: Planned, fit: string, inWords: SayIn): Scene {
  const { pieces } = one.cover;
  const most = tableWidth(pieces);
  const items: SceneItem[] = [];
  let y = 0;
  for (const row of rowsOf(pieces, most)) {
    y -= Math.max(...row.map(({ piece }) => boxOf(piece).height));
    for (const placed of row) items.push(...pieceItems(placed, y, most, one.sizes.seam.value, inWords));
    y -= most * ROW_GAP;
  }
  return { title: `Pieces of the cover of ${one.source.name}`, fit, room: { left: 40, right: 84, top: 92, bottom: 34 }, items };
}
