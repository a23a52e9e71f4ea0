import { createRequire } from 'node:module';
import type { Point } from '@yardland/core';
import PDFDocument from 'pdfkit';

const require = createRequire(import.meta.url);
const fontFile = (name: string): string => require.resolve(name);

const FONTS = {
  text: () => fontFile('@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-400-normal.woff'),
  bold: () => fontFile('@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-700-normal.woff'),
  head: () => fontFile('@fontsource/besley/files/besley-latin-700-normal.woff'),
};
export type Face = keyof typeof FONTS;

/** Signs that the shipped faces lack, said with what they have. */
function printable(text: string): string {
  return text.replace(/\u202f/g, '\u00a0').replace(/π/g, 'pi');
}

export interface Pen {
  readonly width?: number;
  readonly dash?: readonly [number, number];
  readonly fill?: string;
}

/** One page of black-on-white paper, measured in points from the top left. */
export class Sheet {
  readonly doc: PDFKit.PDFDocument;
  readonly width: number;
  readonly height: number;

  /** `size`: a name of the paper, or width and height in points. */
  constructor(size: 'A4' | 'A3' | 'LETTER' | 'LEGAL' | [number, number], title: string) {
    this.doc = new PDFDocument({ size, margin: 0, autoFirstPage: true, info: { Title: title, Creator: 'Yardland' } });
    for (const [face, file] of Object.entries(FONTS)) this.doc.registerFont(face, file());
    this.width = this.doc.page.width;
    this.height = this.doc.page.height;
  }

  /** Writes one line; returns its width. Cut short with an ellipsis when it would be wider than `most`. */
  line(text: string, x: number, y: number, options: { size: number; face?: Face; grey?: number; most?: number; align?: 'left' | 'right' | 'center' }): number {
    const { size, face = 'text', grey = 0, align = 'left' } = options;
    this.doc.font(face).fontSize(size).fillColor([grey, grey, grey]);
    let shown = printable(text);
    if (options.most !== undefined) while (shown.length > 1 && this.doc.widthOfString(shown) > options.most) shown = `${shown.replace(/…$/, '').slice(0, -1)}…`;
    const width = this.doc.widthOfString(shown);
    const left = align === 'left' ? x : align === 'right' ? x - width : x - width / 2;
    this.doc.text(shown, left, y, { lineBreak: false });
    return width;
  }

  /** Writes text in lines no wider than `most`, at most `lines` of them; returns the y below. */
  block(text: string, x: number, y: number, options: { size: number; most: number; lines: number; face?: Face; grey?: number }): number {
    const { size, face = 'text', grey = 0, most, lines } = options;
    this.doc.font(face).fontSize(size).fillColor([grey, grey, grey]);
    const height = size * 1.4 * lines;
    const shown = printable(text);
    const needed = Math.min(height, this.doc.heightOfString(shown, { width: most, lineGap: size * 0.05 }));
    this.doc.text(shown, x, y, { width: most, height, ellipsis: true, lineGap: size * 0.05 });
    return y + needed;
  }

  rule(x: number, y: number, width: number, weight = 0.5, grey = 0): void {
    this.doc
      .moveTo(x, y)
      .lineTo(x + width, y)
      .lineWidth(weight)
      .strokeColor([grey, grey, grey])
      .undash()
      .stroke();
  }

  /** A closed curve through points in paper coordinates. */
  shape(points: readonly Point[], pen: Pen): void {
    const [first, ...rest] = points;
    if (!first) return;
    this.doc.moveTo(first.x, first.y);
    for (const point of rest) this.doc.lineTo(point.x, point.y);
    this.doc.closePath().lineWidth(pen.width ?? 1);
    if (pen.dash) this.doc.dash(pen.dash[0], { space: pen.dash[1] });
    else this.doc.undash();
    if (pen.fill) this.doc.fillAndStroke(pen.fill, 'black');
    else this.doc.strokeColor('black').stroke();
    this.doc.undash();
  }

  stroke(from: Point, to: Point, width = 0.6): void {
    this.doc.moveTo(from.x, from.y).lineTo(to.x, to.y).lineWidth(width).strokeColor('black').undash().stroke();
  }

  /** Begins another page of the same size. */
  nextPage(): void {
    this.doc.addPage({ size: [this.width, this.height], margin: 0 });
  }

  /** Ends the page; resolves with the file. */
  finish(): Promise<Uint8Array> {
    return new Promise((resolve, reject) => {
      const chunks: Uint8Array[] = [];
      this.doc.on('data', (chunk: Uint8Array) => chunks.push(chunk));
      this.doc.on('end', () => resolve(Buffer.concat(chunks)));
      this.doc.on('error', reject);
      this.doc.end();
    });
  }
}
