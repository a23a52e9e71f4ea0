import QRCode from 'qrcode';
import type { Sheet } from './sheet';

/** Free round a code, in its own modules: what readers need at least where nothing stands near it. */
const QUIET = 2;

/** The address of a place in a job, as a code has it: in capitals, which take a third less room in one. `link` is the job's own. */
export const codeAddress = (link: string, place: string): string => `${link}/${place}`.toUpperCase();

/** Draws an address as a QR code (ISO/IEC 18004) in a square, points; the quiet zone is part of it. */
export function drawCode(sheet: Sheet, address: string, x: number, y: number, side: number): void {
  const { size, data } = QRCode.create(address, { errorCorrectionLevel: 'L' }).modules;
  const module = side / (size + 2 * QUIET);
  sheet.doc.fillColor('black');
  for (let row = 0; row < size; row++)
    for (let column = 0; column < size; column++) {
      if (!data[row * size + column]) continue;
      let end = column + 1;
      while (end < size && data[row * size + end]) end++;
      // A hair of overlap, so that no light shows between rows.
      sheet.doc.rect(x + (column + QUIET) * module, y + (row + QUIET) * module, (end - column) * module, module * 1.02);
      column = end;
    }
  sheet.doc.fill();
}
