import type { Point } from '@yardland/core';
import PDFDocument from 'pdfkit';
import { filesOf, runsOf, type Face } from './faces';

export type { Face } from './faces';

export interface Pen {
  readonly width?: number;
  readonly dash?: readonly [number, number];
  readonly fill?: string;
}

interface TextStyle {
  readonly size: number;
  readonly face?: Face;
  /** 0 black to 255 white. */
  readonly grey?: number;
}

/** Line height as a multiple of the letters' size. */
const LEADING = 1.28;

/** Pages of black-on-white paper of one size, measured in points from the top left. */
export class Sheet {
  readonly doc: PDFKit.PDFDocument;
  readonly width: number;
  readonly height: number;

  /** `size`: a name of the paper, or width and height in points. */
  constructor(size: 'A4' | 'A3' | 'LETTER' | 'LEGAL' | [number, number], title: string) {
    this.doc = new PDFDocument({ size, margin: 0, autoFirstPage: true, bufferPages: true, info: { Title: title, Creator: 'Yardland' } });
    for (const face of ['text', 'bold', 'head'] as const) for (const { name, data } of filesOf(face)) this.doc.registerFont(name, data);
    this.width = this.doc.page.width;
    this.height = this.doc.page.height;
  }

  /** How wide a text is on one line. */
  widthOf(text: string, { size, face = 'text' }: TextStyle): number {
    return runsOf(text, face).reduce((width, run) => width + this.doc.font(run.font).fontSize(size).widthOfString(run.text), 0);
  }

  /** Writes one line; returns its width. Cut short with an ellipsis when it would be wider than `most`. */
  line(text: string, x: number, y: number, options: TextStyle & { readonly most?: number; readonly align?: 'left' | 'right' | 'center' }): number {
    const { size, face = 'text', grey = 0, align = 'left', most } = options;
    let shown = text;
    if (most !== undefined) while (shown.length > 1 && this.widthOf(shown, options) > most) shown = `${shown.replace(/…$/, '').slice(0, -1)}…`;
    const width = this.widthOf(shown, options);
    let at = align === 'left' ? x : align === 'right' ? x - width : x - width / 2;
    const baseline = y + size * 0.95;
    for (const run of runsOf(shown, face)) {
      this.doc.font(run.font).fontSize(size).fillColor([grey, grey, grey]).text(run.text, at, baseline, { lineBreak: false, baseline: 'alphabetic' });
      at += this.doc.widthOfString(run.text);
    }
    return width;
  }

  /** A text broken into lines no wider than `most`; a word that is wider by itself is broken where it must be. */
  wrapped(text: string, most: number, style: TextStyle): string[] {
    const lines: string[] = [];
    let line = '';
    const put = (word: string): void => {
      const next = line ? `${line} ${word}` : word;
      if (this.widthOf(next, style) <= most) {
        line = next;
        return;
      }
      if (line) lines.push(line);
      line = word;
      while (line.length > 1 && this.widthOf(line, style) > most) {
        let fits = line.length - 1;
        while (fits > 1 && this.widthOf(line.slice(0, fits), style) > most) fits--;
        lines.push(line.slice(0, fits));
        line = line.slice(fits);
      }
    };
    for (const paragraph of text.split('\n')) {
      for (const word of paragraph.split(/ +/).filter(Boolean)) put(word);
      lines.push(line);
      line = '';
    }
    return lines;
  }

  /** How high a text stands in lines no wider than `most`. */
  blockHeight(text: string, most: number, style: TextStyle): number {
    return this.wrapped(text, most, style).length * style.size * LEADING;
  }

  /** Writes text in lines no wider than `most`, all of it; returns the y below. */
  block(text: string, x: number, y: number, options: TextStyle & { readonly most: number }): number {
    const lines = this.wrapped(text, options.most, options);
    lines.forEach((line, i) =>
      this.line(line, x, y + i * options.size * LEADING, { size: options.size, ...(options.face ? { face: options.face } : {}), grey: options.grey ?? 0 }),
    );
    return y + lines.length * options.size * LEADING;
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

  /** A closed curve through points in paper coordinates; with `holes` cut out of it. */
  shape(points: readonly Point[], pen: Pen, holes: readonly (readonly Point[])[] = []): void {
    if (!points.length) return;
    for (const ring of [points, ...holes]) {
      ring.forEach((point, i) => (i === 0 ? this.doc.moveTo(point.x, point.y) : this.doc.lineTo(point.x, point.y)));
      this.doc.closePath();
    }
    this.doc.lineWidth(pen.width ?? 1);
    if (pen.dash) this.doc.dash(pen.dash[0], { space: pen.dash[1] });
    else this.doc.undash();
    if (pen.fill) this.doc.fillColor(pen.fill).strokeColor('black').fillAndStroke();
    else this.doc.strokeColor('black').stroke();
    this.doc.undash();
  }

  /** An open line through points; `white` over what is drawn already. */
  polyline(points: readonly Point[], { width = 1, dash, white = false }: Pick<Pen, 'width' | 'dash'> & { readonly white?: boolean }): void {
    points.forEach((point, i) => (i === 0 ? this.doc.moveTo(point.x, point.y) : this.doc.lineTo(point.x, point.y)));
    this.doc.lineWidth(width);
    if (dash) this.doc.dash(dash[0], { space: dash[1] });
    else this.doc.undash();
    this.doc.strokeColor(white ? 'white' : 'black').stroke();
    this.doc.undash();
  }

  /** Takes away what was drawn in a rectangle, so that a letter over it can be read. */
  patch({ x, y, width, height }: { readonly x: number; readonly y: number; readonly width: number; readonly height: number }): void {
    this.doc.rect(x, y, width, height).fillColor('white').fill();
  }

  stroke(from: Point, to: Point, width = 0.6): void {
    this.doc.moveTo(from.x, from.y).lineTo(to.x, to.y).lineWidth(width).strokeColor('black').undash().stroke();
  }

  /** Begins another page of the same size. */
  nextPage(): void {
    this.doc.addPage({ size: [this.width, this.height], margin: 0 });
  }

  /** Goes over all pages once the last is written: for what must know how many there are. */
  eachPage(work: (page: number, of: number) => void): void {
    const { start, count } = this.doc.bufferedPageRange();
    for (let i = 0; i < count; i++) {
      this.doc.switchToPage(start + i);
      work(i + 1, count);
    }
  }

  /** Ends the pages; resolves with the file. */
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
