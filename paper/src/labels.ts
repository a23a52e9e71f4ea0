import { clothWords, type LABEL_STOCKS, type Plan, type Piece, type Planned, type CushionPlan, formatLengthUnit, formatSize } from '@yardland/core';
import { codeAddress, drawCode } from './code';
import { Sheet } from './sheet';

const PT_PER_MM = 72 / 25.4;
/** Labels of one print at most: a longer one is printed cushion by cushion. */
export const MOST_LABELS = 2000;
/** Room inside a label's edge, mm. */
const EDGE_MM = 2.5;
/** Side of a label's code, mm. */
const CODE_MM = 17;
/** Words of a label are as large as they fit, between these, points. */
const SIZES = [11, 10, 9, 8, 7, 6, 5, 4] as const;

export type LabelStock = (typeof LABEL_STOCKS)[number];

/** Labels on a sheet, or one after another off a roll, mm. */
interface Stock {
  readonly page: 'A4' | 'LETTER' | readonly [number, number];
  readonly across: number;
  readonly down: number;
  readonly widthMm: number;
  readonly heightMm: number;
  readonly leftMm: number;
  readonly topMm: number;
  readonly pitchMm: number;
}

const STOCKS = {
  /** 24 on A4. */
  a4: { page: 'A4', across: 3, down: 8, widthMm: 70, heightMm: 37, leftMm: 0, topMm: 0.5, pitchMm: 70 },
  /** 30 on Letter. */
  letter: { page: 'LETTER', across: 3, down: 10, widthMm: 66.7, heightMm: 25.4, leftMm: 4.8, topMm: 12.7, pitchMm: 69.85 },
  /** A label printer's roll. */
  roll: { page: [62, 29], across: 1, down: 1, widthMm: 62, heightMm: 29, leftMm: 0, topMm: 0, pitchMm: 62 },
} as const satisfies Record<LabelStock, Stock>;

/** One label: what the piece is, what it is for, and how large. */
export interface PieceLabel {
  readonly head: string;
  /** Where the piece is met next, below the job's address. */
  readonly opens: string;
  readonly cushion: string;
  readonly size: string;
  readonly of: string;
}

const cutOf = ({ material }: Piece): boolean => material.kind === 'cloth' || material.kind === 'foam' || material.kind === 'wadding';

function labelsOf(one: Planned, plan: Plan, cushionNumber: number): PieceLabel[] {
  const { units } = plan.job;
  const { step } = plan.shop.document;
  const { source } = one;
  return one.pieces.filter(cutOf).flatMap((piece) => {
    const { material, countPerCushion, trimMm, width, height, label } = piece;
    const size = formatSize([width.value, height.value], units, step);
    const cut = trimMm > 0 ? `, cut ${formatLengthUnit(width.value + trimMm, units, step)} long` : '';
    const of =
      material.kind === 'foam'
        ? (plan.shop.grade(material.grade)?.name ?? material.grade)
        : material.kind === 'cloth'
          ? `${clothWords(material.slot, plan.job, source, plan.shop)}${LIES[piece.grain]}`
          : 'wadding';
    return Array.from({ length: source.quantity }, (_, cushion) =>
      Array.from({ length: countPerCushion }, (_, copy) => ({
        head: `${countPerCushion > 1 ? `${label}, ${copy + 1} of ${countPerCushion}` : label}${copy >= countPerCushion - piece.turned ? ', turned over' : ''}`,
        cushion: source.quantity > 1 ? `${source.name}, ${cushion + 1} of ${source.quantity}` : source.name,
        size: size + cut,
        of,
        opens: `${cushionNumber}/p/${encodeURI(piece.id)}`,
      })),
    ).flat();
  });
}

/** A label for every piece that is cut: of one cushion, or of the whole job. Cushions that cannot be cut yet have none. */
export function pieceLabels(plan: Plan, index: number | null): PieceLabel[] {
  const planned = (one: CushionPlan | undefined): one is Planned => one?.state === 'planned';
  return plan.cushions.flatMap((one, i) => ((index === null || i === index) && planned(one) ? labelsOf(one, plan, i + 1) : []));
}

/** Where a label is written, points. */
interface Room {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

/** Which way a piece of cloth lies, said after its cloth. */
const LIES: Record<Piece['grain'], string> = { 'with-the-roll': ', up the roll', 'along-the-hide': ', along the hide', bias: ', on the bias', any: '' };

/** Writes a label, all of it, as large as it fits its box. */
function writeLabel(sheet: Sheet, { head, cushion, size, of }: PieceLabel, job: string, { x, y, width, height }: Room): void {
  const lines = [
    { text: head, face: 'bold' as const, times: 1.25 },
    { text: size, face: 'bold' as const, times: 1.1 },
    { text: cushion, face: 'text' as const, times: 1 },
    { text: `${of} · ${job}`, face: 'text' as const, times: 0.85 },
  ];
  const high = (points: number): number =>
    lines.reduce((sum, { text, face, times }) => sum + sheet.blockHeight(text, width, { size: points * times, face }), 0);
  const points = SIZES.find((one) => high(one) <= height) ?? SIZES[SIZES.length - 1] ?? 4;
  let at = y;
  for (const { text, face, times } of lines) at = sheet.block(text, x, at, { size: points * times, face, most: width });
}

/** Labels on sheets or off a roll, as PDF: each piece by its name, its copy, its cushion, its size as it is cut and its material, and, where the job has an address, a code that opens what is done with it next. */
export async function labelsPdf(plan: Plan, index: number | null, stock: LabelStock, link: string | null = null): Promise<Uint8Array> {
  const { page, across, down, widthMm, heightMm, leftMm, topMm, pitchMm }: Stock = STOCKS[stock];
  const sheet = new Sheet(typeof page === 'string' ? page : [page[0] * PT_PER_MM, page[1] * PT_PER_MM], `${plan.job.name}: labels`);
  pieceLabels(plan, index).forEach((label, i) => {
    const place = i % (across * down);
    if (i > 0 && place === 0) sheet.nextPage();
    const [x, y] = [leftMm + (place % across) * pitchMm + EDGE_MM, topMm + Math.floor(place / across) * heightMm + EDGE_MM];
    const height = heightMm - 2 * EDGE_MM;
    const code = link === null ? 0 : Math.min(CODE_MM, height);
    const width = widthMm - 2 * EDGE_MM - code;
    if (link !== null) drawCode(sheet, codeAddress(link, label.opens), (x + width) * PT_PER_MM, y * PT_PER_MM, code * PT_PER_MM);
    writeLabel(sheet, label, plan.job.name, { x: x * PT_PER_MM, y: y * PT_PER_MM, width: width * PT_PER_MM, height: height * PT_PER_MM });
  });
  return sheet.finish();
}
