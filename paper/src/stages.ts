import { bounds, type Point, type Stage, type StageLine, type StageLook } from '@yardland/core';
import type { Pen, Sheet } from './sheet';
import { MARGIN, type Writer } from './writer';

/** A stage is at most so wide and high, points; from one to the next; its words are so large. */
const WIDE = 112;
const HIGH = 58;
const GAP = 16;
const WORDS = 7.5;

/** How each line of a stage is drawn: told apart without colour. */
const LINES: Readonly<Record<StageLook, Pen & { readonly closed?: true }>> = {
  cloth: { width: 1.1 },
  cord: { width: 3 },
  wadding: { width: 1.8, dash: [0.6, 1.4] },
  fold: { width: 0.7, dash: [3, 2] },
  cut: { width: 1.4, dash: [5, 2] },
  thread: { width: 0.6 },
  stitch: { width: 0.9, dash: [1.2, 1.6] },
  staple: { width: 2 },
  zip: { width: 2.2, dash: [1, 1] },
  board: { width: 0.7, fill: '#d8d8d8', closed: true },
  foam: { width: 0.5, fill: '#f0f0f0', closed: true },
};

/** The lines of one stage, each placed on the paper by `at`. */
export function stageLines(sheet: Sheet, lines: readonly StageLine[], at: (point: Point) => Point): void {
  for (const { look, points } of lines) {
    const { closed, ...style } = LINES[look];
    const placed = points.map(at);
    if (closed) sheet.shape(placed, style);
    else sheet.polyline(placed, style);
  }
}

/** How pieces stand at the moments of a step that folds, slits or turns them, beside each other at one scale, each with its words beneath. Begins another page where there is no room. */
export function drawStages(writer: Writer, stages: readonly Stage[]): void {
  const { sheet } = writer;
  const points = stages.flatMap(({ lines }) => lines.flatMap((line) => line.points));
  if (points.length === 0) return;
  const { minX, minY, maxX, maxY } = bounds(points);
  const scale = Math.min(WIDE / Math.max(1, maxX - minX), HIGH / Math.max(1, maxY - minY));
  const high = (maxY - minY) * scale;
  const perRow = Math.floor((writer.width + GAP) / (WIDE + GAP));
  const words = stages.map((stage, i) => sheet.wrapped(`${i + 1} ${stage.words}`, WIDE, { size: WORDS }));
  for (let first = 0; first < stages.length; first += perRow) {
    const row = stages.slice(first, first + perRow);
    const most = Math.max(...words.slice(first, first + perRow).map((lines) => lines.length));
    const tall = high + 6 + most * (WORDS + 2) + 6;
    writer.need(tall);
    row.forEach(({ lines }, k) => {
      const left = MARGIN + 14 + k * (WIDE + GAP);
      const at = ({ x, y }: Point): Point => ({ x: left + (x - minX) * scale, y: writer.y + 2 + (maxY - y) * scale });
      stageLines(sheet, lines, at);
      (words[first + k] ?? []).forEach((text, i) => sheet.line(text, left, writer.y + high + 6 + i * (WORDS + 2), { size: WORDS }));
    });
    writer.y += tall;
  }
}
