import {
  amountWords,
  formatMoney,
  formatNumber,
  formatRun,
  orderSheet,
  priceCaution,
  type CutRow,
  type Figure,
  type Orderable,
  type Plan,
  type SheetRow,
  type Waste,
  wasteOf,
  formatLength,
  formatLengthUnit,
} from '@yardland/core';
import { localDay } from './local-time';
import { MARGIN, Writer, type Stamp } from './writer';

/** One line of the sheet: how many, what, how large, and what it comes to. */
interface Line {
  readonly count: string;
  readonly words: string;
  readonly size: string;
  readonly small: string;
}

function writeLine(writer: Writer, { count, words, size, small }: Line): void {
  const { sheet, width } = writer;
  const lines = sheet.wrapped(words, width - 220, { size: 10.5 });
  writer.need(lines.length * 13 + (small ? 15 : 4));
  sheet.line(count, MARGIN + 26, writer.y, { size: 11, face: 'bold', align: 'right' });
  lines.forEach((text, i) => sheet.line(text, MARGIN + 36, writer.y + i * 13, { size: 10.5 }));
  sheet.line(size, MARGIN + width, writer.y, { size: 10.5, face: 'bold', align: 'right' });
  writer.y += lines.length * 13;
  if (small) {
    sheet.line(small, MARGIN + 36, writer.y, { size: 8.5, grey: 70, most: width - 40 });
    writer.y += 11;
  }
  writer.y += 3;
  sheet.rule(MARGIN, writer.y - 1.5, width, 0.3, 190);
}

/** The numbers of a material: what a supplier knows it by. */
function numbers({ densityKgM3, hardness25N }: Orderable): string {
  return [densityKgM3 === null ? '' : `${formatNumber(densityKgM3)} kg/m³`, hardness25N === null ? '' : `${formatNumber(hardness25N)} N at 25 %`]
    .filter(Boolean)
    .join(', ');
}

/** The sum of a row and what is to be said of its price. */
function priced(money: number | null, pricedOn: string | null, today: string): string {
  return money !== null ? [`about ${formatMoney(money)}`, priceCaution(pricedOn, today)].filter(Boolean).join('; ') : 'no price';
}

const total = (rows: readonly { readonly cost: Figure | null }[]): number => rows.reduce((sum, { cost }) => sum + (cost?.value ?? 0), 0);

/** What of a job's foam, fillings and wadding is ordered: foam as whole sheets, or the same cut to size. */
export async function orderSheetPdf(plan: Plan, stamp: Stamp): Promise<Uint8Array> {
  const writer = new Writer(plan, { title: 'Order: foam and wadding', aside: '', mark: '' }, stamp);
  const { units, step } = writer.inWords;
  const { sheets, cuts, wadding, oneLot } = orderSheet(plan);
  const today = localDay(stamp.printedAt);
  const length = (mm: number): string => formatLength(mm, units, step);
  writer.head(true);
  if (oneLot.length) writer.paragraph(`All of one lot: ${oneLot.join('; ')}. Cushions of two lots feel different.`, { size: 10, face: 'bold' });
  const sum = (rows: readonly Orderable[], words: string): void => {
    if (rows.some(({ cost }) => cost))
      writer.paragraph(`${words}: about ${formatMoney(total(rows))}${rows.every(({ cost }) => cost) ? '' : ', and what has no price'}.`, { size: 9.5 });
  };
  if (sheets.length) {
    writer.list('Foam as whole sheets', 30);
    for (const row of sheets) writeLine(writer, sheetLine(row, length, today));
    sum(sheets, 'Sheets together');
    writer.endList();
  }
  if (cuts.length) {
    writer.list('Or cut to size, and fillings made to size', 30);
    for (const row of cuts) writeLine(writer, cutLine(row, length, today));
    sum(cuts, 'Cut to size together, without the cutting');
    if (cuts.some(({ byOutline }) => byOutline))
      writer.paragraph('By outline: the sizes are those of its box. Its outline goes with the order as a file: under Template, as the core, saved as DXF.', {
        size: 9.5,
      });
    writer.endList();
  }
  if (wadding.length) {
    writer.list('Wadding', 30);
    for (const row of wadding) {
      const size = row.lengthMm === null ? '…' : formatRun(row.lengthMm, units);
      writeLine(writer, {
        count: '1',
        words: `${row.name}, ${length(row.loftMm)} loft, ${length(row.rollWidthMm)} wide`,
        size,
        small: priced(row.cost?.value ?? null, row.pricedOn, today),
      });
    }
    sum(wadding, 'Wadding together');
    writer.endList();
  }
  wasteList(writer, wasteOf(plan), today);
  if (!sheets.length && !cuts.length && !wadding.length) writer.paragraph('Nothing of this job’s foam or wadding has to be ordered.', { size: 11 });
  writer.foot();
  return writer.sheet.finish();
}

/** What of each material, cloth too, goes into no piece and is not worth keeping. */
function wasteList(writer: Writer, rows: readonly Waste[], today: string): void {
  if (!rows.length) return;
  const { units, step } = writer.inWords;
  writer.list('Offcuts not worth keeping, of all that is bought', 30);
  for (const { name, thicknessMm, wasteM2, boughtM2, wasteKg, money, pricedOn } of rows)
    writeLine(writer, {
      count: '',
      words: `${name}${thicknessMm === null ? '' : `, ${formatLengthUnit(thicknessMm, units, step)}`}: ${formatNumber((100 * wasteM2) / boughtM2)} %`,
      size: amountWords('weight', wasteKg * 1000, units),
      small: money === null ? '' : priced(money, pricedOn, today),
    });
  writer.endList();
}

function sheetLine(row: SheetRow, length: (mm: number) => string, today: string): Line {
  const there = row.lot === null ? '' : `lot ${row.lot} on the shelf holds enough`;
  return {
    count: row.sheets === null ? '…' : formatNumber(row.sheets),
    words: [row.name, numbers(row)].filter(Boolean).join(', '),
    size: `${length(row.widthMm)} × ${length(row.lengthMm)} × ${length(row.thicknessMm)}`,
    small: [priced(row.cost?.value ?? null, row.pricedOn, today), there].filter(Boolean).join('; '),
  };
}

function cutLine(row: CutRow, length: (mm: number) => string, today: string): Line {
  return {
    count: formatNumber(row.count),
    words: [row.name, numbers(row)].filter(Boolean).join(', '),
    size: `${length(row.widthMm)} × ${length(row.depthMm)} × ${length(row.thicknessMm)}${row.byOutline ? ', by outline' : ''}`,
    small: `${row.what}; ${priced(row.cost?.value ?? null, row.pricedOn, today)}`,
  };
}
