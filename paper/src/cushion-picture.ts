import { cushionPicture, PICTURE_DOTS, type PictureLine } from '@yardland/core/solid';
import { USUAL_VIEW, type Planned, type Point } from '@yardland/core';
import type { Sheet } from './sheet';

interface Box {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

/** How wide each kind of line is drawn, points. A welt is two lines with cloth between them. */
const WIDTHS: Readonly<Record<PictureLine['kind'], number>> = { seam: 0.55, turn: 0.55, stitch: 0.45, cord: 2 };
const CORD_INSIDE = 0.9;
const OUTER = 0.9;
/** Dots of the picture a point: finer is not seen in print. */
const DOTS = 4.5;

/** Draws the finished cushion centred in a box, as large as fits; nothing where it has no cover. */
export function drawCushion(sheet: Sheet, one: Planned, { x, y, width, height }: Box): void {
  const picture = cushionPicture(one, USUAL_VIEW, Math.min(PICTURE_DOTS, Math.round(DOTS * Math.max(width, height))));
  if (!picture) return;
  const { minX, minY, maxX, maxY } = picture;
  const scale = Math.min(width / (maxX - minX), height / (maxY - minY));
  const on = (p: Point): Point => ({ x: x + width / 2 + (p.x - (minX + maxX) / 2) * scale, y: y + height / 2 - (p.y - (minY + maxY) / 2) * scale });
  sheet.shape(picture.outline.map(on), { width: OUTER, fill: '#fafafa' });
  for (const { kind, points } of picture.lines) {
    const line = points.map(on);
    sheet.polyline(line, { width: WIDTHS[kind] });
    if (kind === 'cord') sheet.polyline(line, { width: CORD_INSIDE, white: true });
  }
}
