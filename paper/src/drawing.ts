import { flatten, type Bounds, type CushionPlan, type Point } from '@yardland/core';
import type { Sheet } from './sheet';

export interface Frame {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

const DIM_ROOM = 26;

function dimension(sheet: Sheet, from: Point, to: Point, text: string): void {
  sheet.stroke(from, to);
  const upright = Math.abs(to.x - from.x) < 1;
  for (const end of [from, to])
    sheet.stroke({ x: end.x - (upright ? 3 : 0), y: end.y - (upright ? 0 : 3) }, { x: end.x + (upright ? 3 : 0), y: end.y + (upright ? 0 : 3) });
  const middle = { x: (from.x + to.x) / 2, y: (from.y + to.y) / 2 };
  if (upright) sheet.line(text, middle.x + 6, middle.y - 6, { size: 11, face: 'bold' });
  else sheet.line(text, middle.x, middle.y + 3, { size: 11, face: 'bold', align: 'center' });
}

/** The plate from above: cut line solid, sewing line dashed, notches as ticks, the grain as an arrow; front at the bottom. */
export function drawPlan(sheet: Sheet, one: CushionPlan, frame: Frame, wide: string, deep: string, box: Bounds): void {
  const plate = one.pieces.find((piece) => piece.role === 'plate');
  if (!plate || !one.sizes) return;
  const seam = one.sizes.seam.value;
  const width = box.maxX - box.minX + 2 * seam;
  const depth = box.maxY - box.minY + 2 * seam;
  const scale = Math.min((frame.width - 60) / width, (frame.height - DIM_ROOM - 12) / depth);
  const paper = (p: Point): Point => ({ x: frame.x + 6 + (p.x + seam) * scale, y: frame.y + 8 + (box.maxY + seam - p.y) * scale });
  sheet.shape(flatten(plate.outline).map(paper), { width: 1.2 });
  if (plate.sewn) sheet.shape(flatten(plate.sewn).map(paper), { width: 0.8, dash: [4, 2.5] });
  for (const mark of plate.marks) sheet.stroke(paper({ x: mark.at.x + mark.outward.x * seam, y: mark.at.y + mark.outward.y * seam }), paper(mark.at), 1);
  const arrow = [paper({ x: box.maxX * 0.5, y: box.maxY * 0.3 }), paper({ x: box.maxX * 0.5, y: box.maxY * 0.7 })] as const;
  sheet.stroke(arrow[0], arrow[1], 0.8);
  sheet.stroke(arrow[1], { x: arrow[1].x - 3, y: arrow[1].y + 6 }, 0.8);
  sheet.stroke(arrow[1], { x: arrow[1].x + 3, y: arrow[1].y + 6 }, 0.8);
  sheet.line('grain', arrow[1].x + 6, (arrow[0].y + arrow[1].y) / 2 - 4, { size: 8, grey: 60 });
  const [left, right] = [paper({ x: box.minX, y: 0 }).x, paper({ x: box.maxX, y: 0 }).x];
  const foot = paper({ x: 0, y: box.minY - seam }).y + 10;
  dimension(sheet, { x: left, y: foot }, { x: right, y: foot }, wide);
  const side = paper({ x: box.maxX + seam, y: 0 }).x + 10;
  dimension(sheet, { x: side, y: paper({ x: 0, y: box.maxY }).y }, { x: side, y: paper({ x: 0, y: box.minY }).y }, deep);
  sheet.line('front', (left + right) / 2, paper({ x: 0, y: box.minY }).y - 12, { size: 8, grey: 60, align: 'center' });
}

/** The layers from front to back, to one scale both ways; the outline of each is the foam as cut. */
export function drawSection(sheet: Sheet, one: CushionPlan, frame: Frame, length: (mm: number) => string): void {
  const { sizes } = one;
  if (!sizes) return;
  const width = sizes.core.depth.value;
  const total = one.source.core.layers.reduce((sum, layer) => sum + layer.thicknessMm, 0);
  const scale = Math.min((frame.width - 120) / width, (frame.height - 16) / Math.max(total, 1));
  let y = frame.y + 8;
  one.source.core.layers.forEach((layer, i) => {
    const height = layer.thicknessMm * scale;
    const right = frame.x + 8 + width * scale;
    sheet.shape(
      [
        { x: frame.x + 8, y },
        { x: right, y },
        { x: right, y: y + height },
        { x: frame.x + 8, y: y + height },
      ],
      { width: 0.8 },
    );
    sheet.line(`layer ${i + 1}: ${length(layer.thicknessMm)}`, right + 10, y + height / 2 - 5, { size: 8.5 });
    y += height;
  });
}
