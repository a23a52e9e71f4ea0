import { formatLength, type Figure, type Plan, type SayIn } from '@yardland/core';
import { codeAddress, drawCode } from './code';
import { localTime } from './local-time';
import { Sheet } from './sheet';

export interface Stamp {
  readonly revision: number;
  readonly printedAt: Date;
  /** The job's address for other devices, to be printed as codes; none where the server is open on its own machine only. */
  readonly link?: string | null;
}

/** Free at the edges of each page, points. */
export const MARGIN = 36;
/** The foot of each page: where its number and the words on fire rules stand. */
const FOOT = 40;

/** What stands at the head of every page. */
export interface Heading {
  readonly title: string;
  /** Large, at the right: `× 6`. */
  readonly aside: string;
  /** Small, before the revision: the stamp of a ticket. */
  readonly mark: string;
  /** What the code on the first page opens, below the job's address. */
  readonly opens?: string;
}

/** Side of the code at the head of a page, points. */
const CODE = 46;

/** A paper as it is written: a page, and how far down it is. What does not fit any more goes on the next one, its heading repeated. */
export class Writer {
  readonly sheet: Sheet;
  readonly inWords: SayIn;
  y = 0;
  /** Written again at the top of every page that a list goes on to. */
  #heading: string | null = null;

  constructor(
    readonly plan: Plan,
    readonly heading: Heading,
    readonly stamp: Stamp,
  ) {
    const { units } = plan.job;
    this.inWords = { units, step: plan.shop.document.step };
    this.sheet = new Sheet(units === 'inch' ? 'LETTER' : 'A4', `${plan.job.name}: ${heading.title}`);
  }

  get width(): number {
    return this.sheet.width - 2 * MARGIN;
  }

  get bottom(): number {
    return this.sheet.height - FOOT;
  }

  length(figure: Figure | undefined): string {
    return figure ? formatLength(figure.value, this.inWords.units, this.inWords.step) : '';
  }

  head(first: boolean): void {
    const { sheet, plan, heading, stamp } = this;
    const { title, aside, mark } = heading;
    const code = first && stamp.link && heading.opens !== undefined ? codeAddress(stamp.link, heading.opens) : null;
    if (code !== null) drawCode(sheet, code, sheet.width - MARGIN - CODE + 4, 16, CODE);
    const taken = code === null ? 0 : CODE + 4;
    const right = sheet.width - MARGIN - taken;
    const size = first ? 22 : 14;
    // Room for the count beside it; a long name goes over several lines.
    const name = sheet.wrapped(title, this.width - 70 - taken, { size, face: 'head' });
    name.forEach((line, i) => sheet.line(line, MARGIN, 26 + i * size * 1.15, { size, face: 'head' }));
    sheet.line(aside, right, 22, { size: first ? 26 : 16, face: 'head', align: 'right' });
    const y = 26 + name.length * size * 1.15 + 5;
    const job = sheet.wrapped([plan.job.name, plan.job.customer].filter(Boolean).join(' · '), this.width - 230 - taken, { size: 10.5, grey: 70 });
    job.forEach((line, i) => sheet.line(line, MARGIN, y + i * 13, { size: 10.5, grey: 70 }));
    sheet.line(`${mark}revision ${stamp.revision} · printed ${localTime(stamp.printedAt)}`, right, y + 1, { size: 8.5, grey: 70, align: 'right' });
    const below = y + job.length * 13 + 4;
    sheet.rule(MARGIN, below, this.width, 1.4);
    this.y = below + 8;
  }

  /** Room for so much, on this page or the next. */
  need(height: number): void {
    if (this.y + height <= this.bottom) return;
    this.sheet.nextPage();
    this.head(false);
    if (this.#heading !== null) this.#writeHeading(`${this.#heading}, continued`);
  }

  /** Begins a list: its heading stays with the first of its rows. */
  list(text: string, withRow: number): void {
    this.#heading = null;
    this.need(18 + withRow);
    this.#heading = text;
    this.#writeHeading(text);
  }

  /** The foot of every page, once all are written. */
  foot(): void {
    const { sheet } = this;
    sheet.eachPage((page, of) => {
      const y = sheet.height - 30;
      sheet.line('Follow the fire code where the furniture is used; public, marine, rail and care settings need certified materials.', MARGIN, y, {
        size: 7.5,
        grey: 90,
      });
      sheet.line(`page ${page} of ${of}`, sheet.width - MARGIN, y - 1, { size: 8.5, face: 'bold', align: 'right' });
    });
  }

  endList(): void {
    this.#heading = null;
    this.y += 5;
  }

  #writeHeading(text: string): void {
    this.sheet.line(text, MARGIN, this.y, { size: 10.5, face: 'head' });
    this.y += 16;
  }

  /** A paragraph over the whole width, on as many pages as it takes. */
  paragraph(text: string, options: { size: number; face?: 'text' | 'bold'; indent?: number; grey?: number }): void {
    const { size, indent = 0 } = options;
    for (const line of this.sheet.wrapped(text, this.width - indent, options)) {
      this.need(size * 1.3);
      this.sheet.line(line, MARGIN + indent, this.y, options);
      this.y += size * 1.28;
    }
    this.y += 2;
  }
}
