import {
  bounds,
  filled,
  flatten,
  isNotch,
  sectionOf,
  stepPicture,
  stepShown,
  type Hand,
  type Operation,
  type Plan,
  type Planned,
  type Point,
  type Stage,
  type WallPaper,
} from '@yardland/core';
import { drawRoll, drawStaplePlan, sectionAreas, type Frame } from './drawing';
import { codeAddress, drawCode } from './code';
import { localTime } from './local-time';
import { Sheet } from './sheet';
import { stageLines } from './stages';
import type { Stamp } from './writer';

/** On which paper, and for which hand where something is sewn in its order. */
export interface WallLook {
  readonly size: WallPaper;
  readonly hand: Hand;
}

/** Width and height in points, lying. */
const SIZES: Readonly<Record<WallPaper, readonly [number, number]>> = {
  a4: [841.89, 595.28],
  a3: [1190.55, 841.89],
  letter: [792, 612],
  tabloid: [1224, 792],
};

const MARGIN = 28;
/** Between cells, and inside one between drawing and words, points. */
const GAP = 10;
const WORDS_GAP = 3;
/** A cell is never smaller than this, or its drawing cannot be read from a step away; what then has no room goes on another sheet. */
const LEAST = { width: 92, height: 84 } as const;
/** Words of a step on a sheet of that width, and at most so many lines of them, points. */
const WORDS = 7.2;
const MOST_LINES = 4;
/** A line shorter than so many letters is followed by the next sentence. */
const LEAST_WORDS = 40;
/** Moments of a step that folds take two cells from so many on. */
const WIDE_FROM = 3;

/** A step on the wall: its number, and its first sentences. */
interface Cell {
  readonly step: Operation;
  readonly number: number;
  readonly words: string;
  readonly wide: boolean;
}

/** The first sentence of a step, and as many more as it takes to say something; the rest of it stands on the ticket. */
function firstSentences(text: string): string {
  for (const { index } of text.matchAll(/[.?!](?=\s)/g)) if (index + 1 >= LEAST_WORDS) return text.slice(0, index + 1);
  return text;
}

/** Where each cell lies: row by row, a wide one on two places. */
interface Placed extends Cell {
  readonly page: number;
  readonly column: number;
  readonly row: number;
}

interface Grid {
  readonly columns: number;
  readonly rows: number;
  readonly pages: number;
  readonly placed: readonly Placed[];
}

function gridOf(cells: readonly Cell[], columns: number, rows: number): Grid {
  let [page, row, column] = [0, 0, 0];
  const placed = cells.map((cell): Placed => {
    const span = cell.wide ? 2 : 1;
    if (column + span > columns) [row, column] = [row + 1, 0];
    if (row >= rows) [page, row] = [page + 1, 0];
    const at = { ...cell, page, row, column };
    column += span;
    return at;
  });
  return { columns, rows, pages: page + 1, placed };
}

/** The grid of the largest cells that takes all steps on one sheet; as many sheets as it needs where the cells would become too small. */
function bestGrid(cells: readonly Cell[], width: number, height: number): Grid {
  let best: { readonly grid: Grid; readonly size: number } | null = null;
  const [most, mostRows] = [Math.floor((width + GAP) / (LEAST.width + GAP)), Math.floor((height + GAP) / (LEAST.height + GAP))];
  for (let columns = 2; columns <= most; columns++)
    for (let rows = 1; rows <= mostRows; rows++) {
      const grid = gridOf(cells, columns, rows);
      if (grid.pages > 1) continue;
      const [w, h] = [(width + GAP) / columns - GAP, (height + GAP) / rows - GAP];
      // Drawings are a little wider than high.
      const size = Math.min(w, h * 1.25);
      if (!best || size > best.size) best = { grid, size };
    }
  return best?.grid ?? gridOf(cells, most, mostRows);
}

/** Pieces of a step in a frame: outlines, notches, what is sewn thick, its letters. */
function drawPieces(sheet: Sheet, one: Planned, step: Operation, frame: Frame): void {
  const { pieces } = stepPicture(one, step, 'in-rows', frame.width / frame.height);
  if (!pieces.length) return;
  const { minX, minY, maxX, maxY } = bounds(pieces.flatMap(({ at, width, height }) => [at, { x: at.x + width, y: at.y + height }]));
  const letters = 7.5;
  const scale = Math.min((frame.width - 6) / (maxX - minX), (frame.height - 6) / (maxY - minY));
  const left = frame.x + (frame.width - (maxX - minX) * scale) / 2;
  const top = frame.y + (frame.height - (maxY - minY) * scale) / 2;
  const paper = ({ x, y }: Point): Point => ({ x: left + (x - minX) * scale, y: top + (maxY - y) * scale });
  const seamMm = one.sizes.seam.value;
  for (const { piece, at, height, parts, dy, runs } of pieces) {
    const fill = piece.material.kind === 'cloth' ? {} : { fill: piece.material.kind === 'wadding' ? '#ececec' : '#f5f5f5' };
    const [whole] = parts.length === 1 ? parts : [];
    if (whole) {
      const moved = (p: Point): Point => paper({ x: p.x + at.x + whole.dx, y: p.y + dy });
      sheet.shape(
        flatten(piece.outline).map(moved),
        { width: 0.7, ...fill },
        (piece.holes ?? []).map((hole) => flatten(hole).map(moved)),
      );
      for (const mark of piece.marks.filter(isNotch))
        sheet.stroke(moved({ x: mark.at.x + mark.outward.x * seamMm, y: mark.at.y + mark.outward.y * seamMm }), moved(mark.at), 0.5);
    } else
      for (const { fromX, toX, dx } of parts) {
        const [x1, x2] = [at.x + fromX + dx, at.x + toX + dx];
        const corners = [
          [x1, at.y],
          [x2, at.y],
          [x2, at.y + height],
          [x1, at.y + height],
        ] as const;
        sheet.shape(
          corners.map(([x, y]) => paper({ x, y })),
          { width: 0.7, ...fill },
        );
      }
    for (const { points, hand, letter } of runs) {
      sheet.polyline(points.map(paper), { width: 2, ...(hand ? { dash: [1.5, 2] as const } : {}) });
      if (!letter) continue;
      const p = paper(letter.at);
      const half = sheet.widthOf(letter.text, { size: letters, face: 'bold' }) / 2 + 1;
      sheet.patch({ x: p.x - half, y: p.y - letters / 2, width: 2 * half, height: letters });
      sheet.line(letter.text, p.x, p.y - letters / 2, { size: letters, face: 'bold', align: 'center' });
    }
  }
}

/** The moments of a step in as many rows as make them largest, to one scale, with their numbers. */
function drawMoments(sheet: Sheet, stages: readonly Stage[], frame: Frame): void {
  const points = stages.flatMap(({ lines }) => lines.flatMap((line) => line.points));
  const { minX, minY, maxX, maxY } = bounds(points);
  const inRows = (rows: number) => {
    const columns = Math.ceil(stages.length / rows);
    const [wide, high] = [(frame.width - GAP * (columns - 1)) / columns, (frame.height - GAP * (rows - 1)) / rows];
    return { columns, wide, high, scale: Math.min(wide / Math.max(1, maxX - minX), (high - 10) / Math.max(1, maxY - minY)) };
  };
  const ways = stages.map((_, i) => inRows(i + 1));
  const { columns, wide, high, scale } = ways.reduce((best, way) => (way.scale > best.scale + 1e-9 ? way : best));
  stages.forEach(({ lines }, i) => {
    const [x, y] = [frame.x + (i % columns) * (wide + GAP), frame.y + Math.floor(i / columns) * (high + GAP)];
    const left = x + (wide - (maxX - minX) * scale) / 2;
    const top = y + 8 + (high - 10 - (maxY - minY) * scale) / 2;
    stageLines(sheet, lines, (p) => ({ x: left + (p.x - minX) * scale, y: top + (maxY - p.y) * scale }));
    if (stages.length > 1) sheet.line(String(i + 1), x, y, { size: 6.5, grey: 90 });
  });
}

/** What a step is drawn for. */
interface Shown {
  readonly plan: Plan;
  readonly one: Planned;
  readonly hand: Hand;
}

/** The picture of one step. */
function drawStep(sheet: Sheet, { plan, one, hand }: Shown, step: Operation, frame: Frame): void {
  const { staples, roll } = one.cover;
  const shown = stepShown(one, step);
  if (shown === 'roll' && roll) drawRoll(sheet, roll, hand, frame);
  else if (shown === 'staples' && staples) {
    const half = { ...frame, width: frame.width / 2 - GAP / 2 };
    drawStaplePlan(sheet, staples, half);
    drawMoments(sheet, step.stages, { ...half, x: frame.x + frame.width / 2 + GAP / 2 });
  } else if (step.stages.length) drawMoments(sheet, step.stages, frame);
  else if (shown === 'pieces') drawPieces(sheet, one, step, frame);
  else {
    const section = sectionOf(one, plan.shop, { units: plan.job.units, step: plan.shop.document.step });
    const tall = section.heightMm + section.overMm + section.underMm;
    const scale = Math.min(frame.width / section.widthMm, frame.height / Math.max(tall, 1)) * 0.9;
    const left = frame.x + (frame.width - section.widthMm * scale) / 2;
    const zero = frame.y + (frame.height + (section.heightMm + section.overMm - section.underMm) * scale) / 2;
    sectionAreas(sheet, section, ({ x, y }) => ({ x: left + x * scale, y: zero - y * scale }));
  }
}

/** Side of the code that opens a step, points. */
const CODE = 36;

const cellsOf = (one: Planned, plan: Plan): Cell[] =>
  one.operations.map((step, i) => ({
    step,
    number: i + 1,
    words: firstSentences(filled(step.text, step.figures, plan.job.units, plan.shop.document.step)),
    wide: step.stages.length >= WIDE_FROM || stepShown(one, step) === 'staples',
  }));

/**
 * The order of work of one cushion as a picture for the wall: a drawing and a line for each step, all of them on one sheet as large as they fit. Where the cells would become
 * too small to be read the rest goes on further sheets, which say so.
 */
export async function wallPdf(plan: Plan, index: number, { size, hand }: WallLook, stamp: Stamp): Promise<Uint8Array> {
  const one = plan.cushions[index];
  if (!one) throw new RangeError(`The job has no cushion ${index + 1}.`);
  if (one.state !== 'planned') throw new RangeError(`Cushion ${index + 1} cannot be cut yet.`);
  const [width, height] = SIZES[size];
  const sheet = new Sheet([width, height], `${plan.job.name}: ${one.source.name}, order of work`);
  const top = 62;
  const [roomX, roomY] = [width - 2 * MARGIN, height - top - 34];
  const cells = cellsOf(one, plan);
  const { columns, rows, pages, placed } = bestGrid(cells, roomX, roomY);
  const [cellW, cellH] = [(roomX + GAP) / columns - GAP, (roomY + GAP) / rows - GAP];
  // Larger sheets have larger words.
  const words = Math.min(11, WORDS * Math.max(1, cellW / 130));
  const head = (page: number): void => {
    sheet.line(`${one.source.name}: order of work`, MARGIN, 20, { size: 20, face: 'head', most: roomX - 150 });
    const detail = [one.construction.name, one.construction.detail].filter(Boolean).join(', ');
    sheet.line([plan.job.name, detail].join(' · '), MARGIN, 44, { size: 9.5, grey: 70, most: roomX - 200 });
    const sheets = pages > 1 ? ` · sheet ${page + 1} of ${pages}` : '';
    sheet.line(`revision ${stamp.revision} · printed ${localTime(stamp.printedAt)}${sheets}`, width - MARGIN, 45, { size: 8, grey: 70, align: 'right' });
    sheet.rule(MARGIN, 57, roomX, 1.2);
    sheet.line('A line a step; sizes, cautions and the rest of each step stand on the ticket.', MARGIN, height - 24, { size: 8, grey: 70 });
  };
  head(0);
  const written = placed.map((cell) => {
    const style = { size: words, ...(cell.step.asks ? { face: 'bold' as const } : {}) };
    const lines = sheet.wrapped(cell.words, (cell.wide ? 2 * cellW + GAP : cellW) - 16, style);
    return { ...cell, style, lines: lines.length > MOST_LINES ? [...lines.slice(0, MOST_LINES - 1), `${lines[MOST_LINES - 1] ?? ''} …`] : lines };
  });
  let page = 0;
  for (const { step, number, style, lines, wide, page: on, row, column } of written) {
    if (on > page) {
      sheet.nextPage();
      head(on);
      page = on;
    }
    const cell = { x: MARGIN + column * (cellW + GAP), y: top + row * (cellH + GAP), width: wide ? 2 * cellW + GAP : cellW, height: cellH };
    // The words of a row begin at one height.
    const wordsHigh = Math.max(...written.filter((other) => other.page === on && other.row === row).map((other) => other.lines.length)) * words * 1.2;
    const drawing = { ...cell, height: cell.height - wordsHigh - WORDS_GAP };
    const side = stamp.link ? Math.min(CODE, drawing.height / 2, drawing.width / 3) : 0;
    drawStep(sheet, { plan, one, hand }, step, { ...drawing, width: drawing.width - side });
    if (stamp.link) drawCode(sheet, codeAddress(stamp.link, `${index + 1}/s/${encodeURI(step.id)}`), cell.x + cell.width - side, cell.y, side);
    const y = cell.y + cell.height - wordsHigh;
    sheet.line(String(number), cell.x, y - 1, { size: words + 1.5, face: 'bold' });
    lines.forEach((line, i) => sheet.line(line, cell.x + 16, y + i * words * 1.2, style));
    sheet.rule(cell.x, cell.y + cell.height + GAP / 2 - 1, cell.width, 0.4, 170);
  }
  return sheet.finish();
}
