import { bounds, flatten, formatLength, type Piece, type Planned, type SayIn } from '@yardland/core';
import { notchItems } from '../shared/table/cushion-scene';
import { shifted, type Scene, type SceneItem } from '../shared/table/scene';

/** The table is two broad pieces wide; those in a row lie this share of it apart. */
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

const isBroad = ({ width, height }: Piece): boolean => height.value > width.value / 4;

/** How wide the table is drawn, mm: two of the broad pieces side by side. */
function tableWidth(pieces: readonly Piece[]): number {
  const broad = pieces.filter(isBroad);
  return (2 * Math.max(...(broad.length ? broad : pieces).map((piece) => boxOf(piece).width))) / (1 - GAP);
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
      x += Math.max(width, most * 0.2) + most * GAP;
    }
  }
  return rows;
}

/** One piece with its words, its lower left corner at x and y; the table is `most` wide. */
function pieceItems({ piece, copy, x }: Placed, y: number, most: number, seam: number, { units, step }: SayIn): SceneItem[] {
  const box = bounds(flatten(piece.outline));
  const { width, height } = boxOf(piece);
  const words = copy ? `${piece.label}, ${copy} of ${piece.countPerCushion}` : `${piece.countPerCushion} × ${piece.label}`;
  const key = copy ? `${piece.id}-${copy}` : piece.id;
  const size = `${formatLength(piece.width.value, units, step)} × ${formatLength(piece.height.value, units, step)}`;
  const look = piece.grain === 'bias' ? 'bias' : piece.material.kind === 'cloth' ? 'piece' : 'foam';
  const note = { kind: 'note', key: `${key}-words`, at: { x, y: y + height }, dy: -7, text: words, look: 'plain', anchor: 'start' } as const;
  const sizeNote = { ...note, key: `${key}-size`, look: 'small' } as const;
  if (width > most * 1.001)
    return [
      ...brokenItems(piece, key, y, most, seam, `${words}, ${size}`),
      note,
      { ...sizeNote, at: { x: most, y: y + height }, text: `${size}, drawn with a break`, anchor: 'end' },
    ];
  const [dx, dy] = [x - box.minX, y - box.minY];
  const holes = (piece.holes ?? []).map((hole, i): SceneItem => ({ kind: 'area', key: `${key}-hole-${i}`, shape: shifted(hole, dx, dy), look: 'cut' }));
  // On a piece too short for its name and its size above it.
  const inside = width < most * 0.45;
  return [
    { kind: 'area', key, shape: shifted(piece.outline, dx, dy), look, pick: `${words}, ${size}` },
    ...holes,
    ...(piece.sewn && look === 'piece' ? [{ kind: 'area' as const, key: `${key}-sewn`, shape: shifted(piece.sewn, dx, dy), look: 'sew' as const }] : []),
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
    inside && !holes.length && height > most * 0.05
      ? { ...sizeNote, at: { x: x + width * 0.4, y: y + height / 2 }, dy: 4, text: size, anchor: 'middle' }
      : inside
        ? { ...sizeNote, at: { x, y }, dy: 15, text: size }
        : { ...sizeNote, at: { x: x + width, y: y + height }, text: size, anchor: 'end' },
  ];
}

/** A strip longer than the table: a break in the middle, both ends to scale. */
function brokenItems(piece: Piece, key: string, y: number, most: number, seam: number, pick: string): SceneItem[] {
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
    y -= most * 0.075;
  }
  return { title: `Pieces of the cover of ${one.source.name}`, fit, room: { left: 40, right: 40, top: 92, bottom: 34 }, items };
}
