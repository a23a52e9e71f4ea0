import { flatten, outlineBounds, type Mark, type Outline, type Point } from '@yardland/core';
import { Sheet } from './sheet';

/** Points of the page in a millimetre. */
const PT = 72 / 25.4;

/** Paper to tile on; or one sheet off a roll of this width. */
export type TemplatePaper = 'a4' | 'letter' | 'a3' | 'legal' | { readonly rollWidthMm: number };

const SIZES = { a4: 'A4', letter: 'LETTER', a3: 'A3', legal: 'LEGAL' } as const;

/** What is printed full size: a bare outline, or a piece with its seam line, its holes and its notches. */
export interface TemplateSubject {
  readonly outline: Outline;
  readonly sewn?: Outline | null;
  readonly holes?: readonly Outline[];
  readonly marks?: readonly Mark[];
}

export interface TemplatePrint {
  readonly name: string;
  /** Which proof square goes with it: 100 mm or 4 in. */
  readonly units: 'metric' | 'inch';
  readonly paper: TemplatePaper;
}

/** White round every tile, which no printer reaches into, and how far tiles lap over each other, mm. */
const MARGIN_MM = 12;
const OVERLAP_MM = 10;
/** Curves go as chords within this. */
const CHORD_MM = 0.05;
/** Length of a notch on a template, mm. */
const NOTCH_MM = 8;

interface Frame {
  /** Lower left of the tile in the outline's own millimetres. */
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

/** The outline and its centre line on one page, full size, only where the tile's frame shows it. */
function drawTile(sheet: Sheet, { outline, sewn, holes = [], marks = [] }: TemplateSubject, frame: Frame): void {
  const { doc } = sheet;
  const at = (p: Point): Point => ({ x: (MARGIN_MM + p.x - frame.x) * PT, y: (MARGIN_MM + frame.y + frame.height - p.y) * PT });
  const [left, top, width, height] = [MARGIN_MM * PT, MARGIN_MM * PT, frame.width * PT, frame.height * PT];
  doc.save().rect(left, top, width, height).clip();
  sheet.shape(
    flatten(outline, CHORD_MM).map(at),
    { width: 0.8 },
    holes.map((hole) => flatten(hole, CHORD_MM).map(at)),
  );
  if (sewn) sheet.shape(flatten(sewn, CHORD_MM).map(at), { width: 0.5, dash: [6, 4] });
  for (const mark of marks) {
    const way = mark.outward.x === 0 && mark.outward.y === 0 ? { x: 0, y: 1 } : mark.outward;
    sheet.stroke(at(mark.at), at({ x: mark.at.x + way.x * NOTCH_MM, y: mark.at.y + way.y * NOTCH_MM }), 0.8);
  }
  const { minX, minY, maxX, maxY } = outlineBounds(outline);
  const x = (minX + maxX) / 2;
  doc.dash(12, { space: 6 });
  doc
    .moveTo(at({ x, y: minY }).x, at({ x, y: minY }).y)
    .lineTo(at({ x, y: maxY }).x, at({ x, y: maxY }).y)
    .lineWidth(0.5)
    .strokeColor('black')
    .stroke();
  doc.undash();
  const words = at({ x: minX + (maxX - minX) * 0.25, y: minY + 8 });
  sheet.line('front', words.x, words.y, { size: 11, grey: 60 });
  doc.restore();
}

/** Crop marks at the corners of a tile, and a diamond with its letter in the middle of every edge that meets another tile. */
function drawMarks(sheet: Sheet, frame: Frame, place: { column: number; row: number; columns: number; rows: number }): void {
  const [x0, y0] = [MARGIN_MM * PT, MARGIN_MM * PT];
  const [x1, y1] = [x0 + frame.width * PT, y0 + frame.height * PT];
  const arm = 5 * PT;
  for (const [x, sx] of [
    [x0, -1],
    [x1, 1],
  ] as const)
    for (const [y, sy] of [
      [y0, -1],
      [y1, 1],
    ] as const) {
      sheet.stroke({ x: x + sx * 2, y }, { x: x + sx * arm, y }, 0.4);
      sheet.stroke({ x, y: y + sy * 2 }, { x, y: y + sy * arm }, 0.4);
    }
  const lap = (OVERLAP_MM / 2) * PT;
  const diamond = (x: number, y: number, word: string): void => {
    const r = 3 * PT;
    sheet.shape(
      [
        { x, y: y - r },
        { x: x + r, y },
        { x, y: y + r },
        { x: x - r, y },
      ],
      { width: 0.5 },
    );
    sheet.line(word, x, y - 4, { size: 7, align: 'center' });
  };
  const { column, row, columns, rows } = place;
  const [middleX, middleY] = [(x0 + x1) / 2, (y0 + y1) / 2];
  // A join has one name on both its tiles: across by row and column, upwards likewise. Rows count from the front.
  if (column > 0) diamond(x0 + lap, middleY, `${row + 1}${letter(column - 1)}`);
  if (column < columns - 1) diamond(x1 - lap, middleY, `${row + 1}${letter(column)}`);
  if (row > 0) diamond(middleX, y1 - lap, `${letter(column)}${row}`);
  if (row < rows - 1) diamond(middleX, y0 + lap, `${letter(column)}${row + 1}`);
}

const letter = (n: number): string => String.fromCharCode(97 + (n % 26));

/** A square to lay a rule on before anything is cut: 100 mm or 4 in. */
function proofSquare(sheet: Sheet, x: number, y: number, units: 'metric' | 'inch'): void {
  const side = (units === 'inch' ? 4 * 25.4 : 100) * PT;
  sheet.shape(
    [
      { x, y },
      { x: x + side, y },
      { x: x + side, y: y + side },
      { x, y: y + side },
    ],
    { width: 0.8 },
  );
  const words = units === 'inch' ? '4 in' : '100 mm';
  sheet.line(`Proof square, ${words}`, x + 8, y + 10, { size: 11, face: 'bold' });
  sheet.block(`Measure both ways before cutting. If it is not ${words}, print again at 100 %, “actual size”, nothing fitted to the page.`, x + 8, y + 28, {
    size: 9.5,
    most: side - 16,
  });
}

interface Tiling {
  readonly columns: number;
  readonly rows: number;
  readonly frames: readonly (Frame & { readonly column: number; readonly row: number })[];
}

/** Tiles from the front left, each lapping over the one before. */
export function tiled(outline: Outline, pageWidthMm: number, pageHeightMm: number): Tiling {
  const { minX, minY, maxX, maxY } = outlineBounds(outline);
  const [width, height] = [pageWidthMm - 2 * MARGIN_MM, pageHeightMm - 2 * MARGIN_MM];
  const many = (mm: number, tile: number): number => Math.max(1, Math.ceil((mm + 4 - OVERLAP_MM) / (tile - OVERLAP_MM) - 1e-9));
  const [columns, rows] = [many(maxX - minX, width), many(maxY - minY, height)];
  const frames = Array.from({ length: rows * columns }, (_, i) => {
    const [column, row] = [i % columns, Math.floor(i / columns)];
    return { column, row, x: minX - 2 + column * (width - OVERLAP_MM), y: minY - 2 + row * (height - OVERLAP_MM), width, height };
  });
  return { columns, rows, frames };
}

/** The map of the tiles with the outline over them, small, and the proof square: the first page. */
function cover(sheet: Sheet, outline: Outline, tiling: Tiling, print: TemplatePrint): void {
  const left = 16 * PT;
  sheet.line(print.name, left, 16 * PT, { size: 20, face: 'head', most: sheet.width - 2 * left });
  const words = `Full size on ${tiling.frames.length} ${tiling.frames.length === 1 ? 'page' : 'pages'}, ${tiling.columns} across and ${tiling.rows} deep. Lap each page ${OVERLAP_MM} mm over the next, diamonds of the same name on each other.`;
  const below = sheet.block(words, left, 28 * PT, { size: 11, most: sheet.width - 2 * left }) + 14;
  proofSquare(sheet, left, below, print.units);
  const last = tiling.frames.at(-1);
  const first = tiling.frames[0];
  if (!first || !last) return;
  const [wide, deep] = [last.x + last.width - first.x, last.y + last.height - first.y];
  const top = below + (print.units === 'inch' ? 101.6 : 100) * PT + 18;
  const scale = Math.min((sheet.width - 2 * left) / wide, (sheet.height - top - 16 * PT) / deep, PT * 0.4);
  const at = (p: Point): Point => ({ x: left + (p.x - first.x) * scale, y: top + (first.y + deep - p.y) * scale });
  for (const tile of tiling.frames) {
    const [a, b] = [at({ x: tile.x, y: tile.y + tile.height }), at({ x: tile.x + tile.width, y: tile.y })];
    sheet.shape([a, { x: b.x, y: a.y }, b, { x: a.x, y: b.y }], { width: 0.4, dash: [3, 2] });
    sheet.line(`${letter(tile.column).toUpperCase()}${tile.row + 1}`, (a.x + b.x) / 2, (a.y + b.y) / 2 - 5, { size: 9, grey: 90, align: 'center' });
  }
  sheet.shape(flatten(outline, 0.5).map(at), { width: 1 });
}

/** Room for the proof square beside the outline on a roll, mm. */
const ROLL_PROOF_MM = 120;

const PAPER_MM = { a4: [210, 297], letter: [215.9, 279.4], a3: [297, 420], legal: [215.9, 355.6] } as const;

/** Pages of one print; more are not taped together but drawn on a roll. */
export const MOST_PAGES = 150;

/** How many pages an outline takes full size on sheets of paper, the map with them. */
export function pagesFor(outline: Outline, paper: Exclude<TemplatePaper, object>): number {
  const [wide, deep] = PAPER_MM[paper];
  return 1 + tiled(outline, wide, deep).frames.length;
}

/** The outline full size: over tiles with overlap, crop and joining marks and a tile map; or on one sheet as wide as a roll. With a proof square. */
export function templatePdf(subject: TemplateSubject, print: TemplatePrint): Promise<Uint8Array> {
  const { outline } = subject;
  if (typeof print.paper === 'object') return rollPdf(subject, print, print.paper.rollWidthMm);
  const sheet = new Sheet(SIZES[print.paper], print.name);
  const tiling = tiled(outline, sheet.width / PT, sheet.height / PT);
  cover(sheet, outline, tiling, print);
  for (const tile of tiling.frames) {
    sheet.nextPage();
    drawTile(sheet, subject, tile);
    drawMarks(sheet, tile, { ...tile, columns: tiling.columns, rows: tiling.rows });
    sheet.line(`${print.name} · ${letter(tile.column).toUpperCase()}${tile.row + 1}`, MARGIN_MM * PT + 20, sheet.height - 8 * PT, { size: 8, grey: 80 });
  }
  return sheet.finish();
}

/** One sheet as wide as the roll, the proof square after the outline. */
function rollPdf(subject: TemplateSubject, print: TemplatePrint, rollWidthMm: number): Promise<Uint8Array> {
  const { minX, minY, maxX, maxY } = outlineBounds(subject.outline);
  const [width, depth] = [maxX - minX, maxY - minY];
  const sheet = new Sheet([rollWidthMm * PT, (depth + 2 * MARGIN_MM + ROLL_PROOF_MM) * PT], print.name);
  drawTile(sheet, subject, { x: minX, y: minY, width: Math.min(width + 1, rollWidthMm - 2 * MARGIN_MM), height: depth });
  proofSquare(sheet, MARGIN_MM * PT, (depth + 2 * MARGIN_MM) * PT, print.units);
  return sheet.finish();
}
