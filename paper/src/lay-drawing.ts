import { bounds, boxOf, cutOrder, edgeCuts, isSawn, partIn, type Band, type LayAnswer, type LayMaterial, type PlannedLay, type Point } from '@yardland/core';
import { MARGIN, type Writer } from './writer';

/** A roll is drawn at most so high, points: two or three rows of it go on a page beside their list. */
export const MOST_HIGH = 92;
/** A hide is drawn larger: its pieces lie anywhere on it, points. */
const HIDE_HIGH = 190;
/** What is so many times as long as wide is drawn like a roll. */
const LONG = 2.5;
/** Room between rows and sheets, points. */
const GAP = 14;
/** A number is written on a part at least so wide and high, points. */
const LEAST_LABEL = 7;

/** How the material is cut up into rows of the drawing: a long roll goes on in the next row; sheets one by one. */
function bandsOn({ request: { material } }: PlannedLay, answer: LayAnswer, mostMm: number): Band[] {
  const band = (from: number, length: number, width: number, sheet: number | null): Band => ({ x: 0, y: width, width, length, from, sheet });
  const inRows = (allMm: number, width: number, first: number): Band[] => {
    const rows = Math.max(1, Math.ceil(allMm / mostMm - 1e-9));
    return Array.from({ length: rows }, (_, row) => band(first + row * (allMm / rows), allMm / rows, width, null));
  };
  if (material.kind === 'hide') {
    const { minX, minY, maxX, maxY } = boxOf(material);
    return isLong(material) ? inRows(maxX - minX, maxY - minY, minX) : [band(minX, maxX - minX, maxY - minY, 0)];
  }
  if (material.kind === 'sheet') return Array.from({ length: answer.sheets }, (_, sheet) => band(0, material.lengthMm, material.widthMm, sheet));
  return inRows(answer.lengthMm, material.widthMm, 0);
}

/** Material that goes on in the next row: a roll, or what is left of one. */
function isLong(material: LayMaterial): boolean {
  if (material.kind !== 'hide') return material.kind === 'roll';
  const { minX, minY, maxX, maxY } = boxOf(material);
  return maxX - minX > LONG * (maxY - minY);
}

/**
 * Draws a lay to scale, in rows over the width of the page: the edge of the material, flaws and soft parts, what is already cut from it in grey, the numbered cuts of an edge-to-edge
 * saw, and every piece with its row number in the list (`numbers`, by item). A piece at the end of a row is drawn in both rows. A row without room begins a new page.
 */
export function drawLay(writer: Writer, lay: PlannedLay, answer: LayAnswer, numbers: ReadonlyMap<string, number>): void {
  const { sheet, width } = writer;
  const { material } = lay.request;
  const box = boxOf(material);
  const [across, along] = [box.maxY - box.minY, material.kind === 'roll' ? answer.lengthMm : box.maxX - box.minX];
  if (!(across > 0 && along > 0)) return;
  // A hide or sheet is wholly in one row.
  const long = isLong(material);
  const scale = long ? MOST_HIGH / across : Math.min((material.kind === 'hide' ? HIDE_HIGH : MOST_HIGH) / across, width / along);
  const laid = cutOrder(lay.request, answer);
  const cuts = isSawn(material) ? (edgeCuts(lay.request, answer) ?? []) : [];
  const bands = bandsOn(lay, answer, width / scale);
  const high = across * scale;
  const perRow = long ? 1 : Math.max(1, Math.floor((width + GAP) / (along * scale + GAP)));
  bands.forEach((band, i) => {
    if (i > 0 && i % perRow === 0) writer.y += high + GAP;
    if (i % perRow === 0) writer.need(high + GAP);
    const left = MARGIN + (i % perRow) * (along * scale + GAP);
    const at = (p: Point): Point => ({ x: left + p.x * scale, y: writer.y + (band.width - p.y) * scale });
    const edge = { width: 0.5, fill: '#f0f0f0' };
    const inBand = (points: readonly Point[], look: Parameters<typeof sheet.shape>[1]): void => {
      const part = partIn(band, points, band.sheet ?? 0).map(at);
      if (part.length) sheet.shape(part, look);
    };
    const hide = material.kind === 'hide' ? material : null;
    const box = [
      { x: 0, y: 0 },
      { x: band.length, y: 0 },
      { x: band.length, y: band.width },
      { x: 0, y: band.width },
    ];
    if (hide) inBand(hide.outline, edge);
    else sheet.shape(box.map(at), edge);
    for (const part of hide?.soft ?? []) inBand(part, { width: 0.5, dash: [2, 1.5] });
    for (const part of hide?.taken ?? []) inBand(part, { width: 0.4, fill: '#c4c4c4' });
    for (const { placement, polygon } of laid) {
      const points = partIn(band, polygon, placement.sheet).map(at);
      if (!points.length) continue;
      sheet.shape(points, { width: 0.7, fill: 'white' });
      const { minX, maxX, minY, maxY } = bounds(points);
      const number = numbers.get(placement.item);
      if (number !== undefined && maxX - minX >= LEAST_LABEL && maxY - minY >= LEAST_LABEL)
        sheet.line(`${number}`, (minX + maxX) / 2, (minY + maxY) / 2 - 3.5, { size: 6.5, face: 'bold', align: 'center' });
    }
    cuts
      .filter((cut) => cut.sheet === band.sheet)
      .forEach(({ from, to }, k) => {
        const [a, b] = [at(from), at(to)];
        sheet.polyline([a, b], { width: 0.9, dash: [3, 2] });
        sheet.line(`${k + 1}`, a.x === b.x ? b.x : b.x + 2, a.x === b.x ? b.y - 8 : b.y - 3.5, { size: 6, grey: 60, align: a.x === b.x ? 'center' : 'left' });
      });
    for (const flaw of hide?.flaws ?? []) inBand(flaw, { width: 0.5, fill: 'black' });
  });
  writer.y += high + GAP;
}
