import {
  amountWords,
  anewWords,
  bounds,
  cutOrder,
  formatLength,
  formatLengthUnit,
  formatNumber,
  goesOn,
  nothingOn,
  remnantWords,
  sayLine,
  type Plan,
  type PlannedLay,
  pieceOf,
  isTurned,
} from '@yardland/core';
import { drawCushion } from './cushion-picture';
import { drawLay, MOST_HIGH } from './lay-drawing';
import { MARGIN, Writer, type Stamp } from './writer';

/** What a lay is on, in words. */
function materialWords({ inWords, plan }: Writer, lay: PlannedLay): string {
  const { subject, remnant } = lay;
  const { units, step } = inWords;
  const name =
    subject.kind === 'cloth'
      ? subject.name
      : subject.kind === 'foam'
        ? `${plan.shop.grade(subject.grade)?.name ?? subject.grade}, ${formatLengthUnit(subject.thicknessMm, units, step)}`
        : (plan.shop.document.waddings.find(({ id }) => id === subject.material)?.name ?? 'Wadding');
  const kept = plan.shop.document.remnants.find(({ id }) => id === remnant);
  const on = kept ? `, ${remnantWords(kept, plan.shop, inWords)}` : '';
  return name + on + anewWords(lay);
}

/** One item of a lay with how often it is cut, how large, and for what. */
interface Row {
  readonly item: string;
  readonly count: number;
  readonly words: string;
  readonly size: string;
  readonly missing: boolean;
  /** Its number in the drawing of the lay; null for what has no place there. */
  readonly number: number | null;
}

/** The pieces of a lay in the order in which they are cut, those of one kind together; those that found no place at the end. */
function rowsOf({ inWords, plan }: Writer, lay: PlannedLay): Row[] {
  const { request, answer } = lay;
  if (!answer) return [];
  const length = (mm: number): string => formatLength(mm, inWords.units, inWords.step);
  const counts = new Map<string, number>();
  for (const { placement } of cutOrder(request, answer)) counts.set(placement.item, (counts.get(placement.item) ?? 0) + 1);
  const missing = new Map<string, number>();
  // What a remnant, or what is left, has no room for stands under the next material.
  if (!goesOn(lay)) for (const id of answer.unplaced) missing.set(id, (missing.get(id) ?? 0) + 1);
  const row = (id: string, count: number, number: number | null): Row => {
    const lost = number === null;
    const placed = pieceOf(id, plan.cushions);
    if (placed) {
      const { piece: found, cushion } = placed;
      const trimmed = found.trimMm > 0 ? `, cut ${length(found.width.value + found.trimMm)} long` : '';
      return {
        item: id,
        count,
        words: `${cushion.source.name}: ${found.label}${isTurned(id) ? ', turned over' : ''}${trimmed}`,
        size: `${length(found.width.value)} × ${length(found.height.value)}`,
        missing: lost,
        number,
      };
    }
    // A block of bias strips: as large as the cloth it takes.
    const box = bounds(request.items.find((item) => item.id === id)?.polygon ?? []);
    return {
      item: id,
      count,
      words: 'bias strips for the welt, as one block',
      size: `${length(box.maxY - box.minY)} × ${length(box.maxX - box.minX)}`,
      missing: lost,
      number,
    };
  };
  return [...[...counts].map(([id, count], i) => row(id, count, i + 1)), ...[...missing].map(([id, count]) => row(id, count, null))];
}

function layRows(writer: Writer, lay: PlannedLay): void {
  const { sheet, width, plan, inWords } = writer;
  const line = plan.buy.find(({ layKey }) => layKey === lay.key);
  const bought = line?.amount ? amountWords(line.sold, line.amount.value, inWords.units) : '';
  const buy = line ? bought : lay.remnant === null ? 'off what is left' : 'kept in stock';
  writer.list(`${materialWords(writer, lay)} · ${buy}`, lay.answer ? MOST_HIGH + 32 : 18);
  const rows = rowsOf(writer, lay);
  if (lay.answer) drawLay(writer, lay, lay.answer, new Map(rows.flatMap(({ item, number }) => (number === null ? [] : [[item, number] as const]))));
  for (const { count, words, size, missing, number } of rows) {
    const label = missing ? `! finds no place: ${words}` : words;
    const lines = sheet.wrapped(label, width - 170, { size: 10 });
    writer.need(lines.length * 13 + 4);
    if (number !== null) sheet.line(`${number}`, MARGIN, writer.y + 2, { size: 7.5, grey: 60 });
    sheet.line(formatNumber(count), MARGIN + 26, writer.y, { size: 10.5, face: 'bold', align: 'right' });
    lines.forEach((text, i) => sheet.line(text, MARGIN + 34, writer.y + i * 13, { size: 10, face: missing ? 'bold' : 'text' }));
    sheet.line(size, MARGIN + width, writer.y, { size: 10.5, face: 'bold', align: 'right' });
    writer.y += lines.length * 13 + 3;
    sheet.rule(MARGIN, writer.y - 1.5, width, 0.3, 190);
  }
  writer.endList();
}

/** Pictures of the cushions side by side, and how high one is, points. */
const PICTURES = 6;
const PICTURE_HIGH = 50;
const NAME = { size: 8.5 };
const NAME_HIGH = 10.5;

/** What is cut for: every cushion made up, with its name and how many there are of it. */
function pictures(writer: Writer): void {
  const { sheet, width, plan } = writer;
  const planned = plan.cushions.flatMap((one) => (one.state === 'planned' ? [one] : []));
  if (!planned.length) return;
  const wide = width / PICTURES;
  const named = planned.map((one) => ({ one, lines: sheet.wrapped(`${one.source.name} ×\u00a0${formatNumber(one.source.quantity)}`, wide - 10, NAME) }));
  const rows = Array.from({ length: Math.ceil(named.length / PICTURES) }, (_, i) => named.slice(i * PICTURES, (i + 1) * PICTURES));
  const highOf = (row: typeof named): number => PICTURE_HIGH + 6 + NAME_HIGH * Math.max(...row.map(({ lines }) => lines.length));
  writer.list('Cut for', highOf(rows[0] ?? []));
  for (const row of rows) {
    writer.need(highOf(row));
    row.forEach(({ one, lines }, i) => {
      const x = MARGIN + i * wide;
      drawCushion(sheet, one, { x, y: writer.y, width: wide - 14, height: PICTURE_HIGH });
      lines.forEach((text, k) => sheet.line(text, x, writer.y + PICTURE_HIGH + 3 + k * NAME_HIGH, NAME));
    });
    writer.y += highOf(row) + 4;
  }
  writer.endList();
}

/**
 * The cutting list of a whole job: what is cut for, in pictures; then by material: each material with what to buy of it, its lay to scale, and its pieces in the order in which they are cut, then everything else to buy.
 * Net sizes of strips, with the length they are cut to.
 */
export async function cuttingListPdf(plan: Plan, stamp: Stamp): Promise<Uint8Array> {
  const cushions = plan.job.cushions.reduce((sum, { quantity }) => sum + quantity, 0);
  const writer = new Writer(plan, { title: 'Cutting list', aside: cushions === 1 ? 'one cushion' : `${cushions} cushions`, mark: '', opens: '1/lay' }, stamp);
  writer.head(true);
  const problems = plan.problems.filter(({ severity }) => severity === 'error');
  if (problems.length) {
    writer.list('Look at this first', 14);
    for (const problem of problems) writer.paragraph(`! ${sayLine(problem, writer.inWords)}`, { size: 9.5, face: 'bold' });
    writer.endList();
  }
  pictures(writer);
  for (const lay of plan.lays) if (!nothingOn(lay)) layRows(writer, lay);
  const others = plan.buy.filter(({ layKey }) => layKey === null);
  if (others.length) {
    writer.list('To buy besides', 14);
    for (const { name, amount, sold } of others)
      writer.paragraph(`${name}: ${amount ? amountWords(sold, amount.value, writer.inWords.units) : '…'}`, { size: 10 });
    writer.endList();
  }
  writer.foot();
  return writer.sheet.finish();
}
