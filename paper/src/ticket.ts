import {
  clothWords,
  decidingWords,
  feelWords,
  FIT_WORDS,
  lookWords,
  outlookOf,
  formatNumber,
  formatRun,
  hashText,
  planJson,
  problemsOf,
  sayLine,
  salvagedWords,
  schoolWords,
  splitWords,
  sewnApart,
  whyLine,
  type Closing,
  type Figure,
  type MaterialKind,
  type Piece,
  type Plan,
  amountWords,
  notchWords,
  notionsOf,
  formatLengthUnit,
} from '@yardland/core';
import { drawCushion } from './cushion-picture';
import { drawPlan, drawRoll, drawSection, drawStaples, planPiece } from './drawing';
import { workOrder } from './work-order';
import { TicketWriter } from './ticket-writer';
import { MARGIN, type Stamp } from './writer';

export type { Stamp } from './writer';

/** Sizes that stand in the table above the cut lists: derivations start at them. */
const NAMED_SIZES: ReadonlySet<string> = new Set(['finished', 'sewn', 'core', 'seam', 'core thickness', 'sewn height', 'finished height']);

/** Short mark of what the ticket says: two tickets with the same mark tell to cut the same. */
export function ticketMark(plan: Plan, index: number): string {
  const { cushions } = planJson(plan);
  return hashText(JSON.stringify(cushions[index] ?? null))
    .slice(-6)
    .toUpperCase();
}

function sizesTable(writer: TicketWriter, x: number, y: number, width: number): number {
  const { sheet, one } = writer;
  const { sizes } = one;
  if (!sizes) return y;
  const columns = [x + width * 0.52, x + width * 0.78, x + width];
  ['wide', 'deep', 'high'].forEach((word, i) => sheet.line(word, columns[i] ?? x, y, { size: 8.5, grey: 90, align: 'right' }));
  let at = y + 13;
  const rows: [string, (Figure | undefined)[]][] = [
    ['Seat', [sizes.seat.width, sizes.seat.depth]],
    ['Finished', [sizes.finished.width, sizes.finished.depth, sizes.finished.height]],
    ...(sewnApart(sizes)
      ? ([['Sewn', [sizes.sewn.width, sizes.sewn.depth, ...(sizes.sewn.height.value > 0 ? [sizes.sewn.height] : [])]]] as [string, Figure[]][])
      : []),
    ['Core', [sizes.core.width, sizes.core.depth, sizes.core.height]],
    ...(sizes.slope ? ([['Thin edge', [undefined, undefined, sizes.slope.finished]]] as [string, (Figure | undefined)[]][]) : []),
    ['Cut, plate', [sizes.cut.width, sizes.cut.depth]],
  ];
  for (const [word, figures] of rows) {
    sheet.line(word, x, at + 2, { size: 10.5 });
    figures.forEach((figure, i) => sheet.line(writer.length(figure), columns[i] ?? x, at, { size: 13, face: 'bold', align: 'right' }));
    at += 20;
    sheet.rule(x, at - 2, width, 0.4, 150);
  }
  return at;
}

const MATERIAL_WORDS: Record<MaterialKind, string> = {
  cloth: 'Cover',
  foam: 'Foam',
  'old-core': 'From the old cores',
  'thin-foam': 'Thin foam',
  filling: 'Filling, made to size',
  wadding: 'Wadding',
};
const KINDS = Object.keys(MATERIAL_WORDS) as MaterialKind[];

/** What a piece is cut from, where its list does not say it. */
function stuffWords({ plan, inWords }: TicketWriter, { material }: Piece): string {
  const thick = (mm: number): string => `, ${formatLengthUnit(mm, inWords.units, inWords.step)} thick`;
  const named = (id: string): string => plan.shop.stock(id)?.name ?? id;
  if (material.kind === 'foam') return ` · ${named(material.grade)}${thick(material.thicknessMm)}`;
  if (material.kind === 'filling') return ` · ${named(material.filling)}${thick(material.thicknessMm)}`;
  return material.kind === 'wadding' ? ` · ${formatLengthUnit(material.loftMm, inWords.units, inWords.step)} loft` : '';
}

function pieceRow(writer: TicketWriter, piece: Piece): void {
  const { sheet, width, inWords } = writer;
  const why = [...new Set([piece.width, piece.height].map((figure) => whyLine(figure, inWords.units, NAMED_SIZES)))].join('   |   ');
  const small = { size: 6.8, grey: 100, most: width - 24 };
  const remarks = [
    piece.remark,
    piece.trimMm > 0 ? `cut ${formatLengthUnit(piece.width.value + piece.trimMm, inWords.units, inWords.step)} long, trimmed at the join` : '',
  ]
    .filter(Boolean)
    .join('; ');
  const labelMost = width - 190;
  const label = `${piece.label}${stuffWords(writer, piece)}`;
  const labelLines = sheet.wrapped(label, labelMost, { size: 11 });
  const notches = notchWords(piece, inWords);
  const notchText = notches ? `Notches: ${notches}` : '';
  const noted = { size: 8, grey: 40, most: width - 24 };
  const height =
    Math.max(1, labelLines.length) * 14 +
    (remarks ? 11 : 0) +
    (notchText ? sheet.blockHeight(notchText, noted.most, noted) + 1 : 0) +
    sheet.blockHeight(why, small.most, small) +
    4;
  writer.need(height);
  const top = writer.y;
  sheet.line(String(piece.countPerCushion), MARGIN + 14, top, { size: 11, face: 'bold', align: 'right' });
  labelLines.forEach((line, i) => sheet.line(line, MARGIN + 24, top + i * 14, { size: 11 }));
  sheet.line(`${writer.length(piece.width)} × ${writer.length(piece.height)}`, MARGIN + width, top, { size: 12, face: 'bold', align: 'right' });
  let at = top + Math.max(1, labelLines.length) * 14;
  if (remarks) {
    sheet.line(remarks, MARGIN + 24, at, { size: 8.5, grey: 70, most: width - 24 });
    at += 11;
  }
  if (notchText) at = sheet.block(notchText, MARGIN + 24, at, noted) + 1;
  writer.y = sheet.block(why, MARGIN + 24, at, small) + 3;
  sheet.rule(MARGIN, writer.y - 1.5, width, 0.3, 190);
}

/** Every piece of the cushion, by what it is cut from; cloth by its slot, each slot with its cloth. */
function cutLists(writer: TicketWriter): void {
  const { pieces } = writer.one;
  for (const kind of KINDS) {
    const ofKind = pieces.filter(({ material }) => material.kind === kind);
    const clothOf = ({ material }: Piece): string =>
      material.kind === 'cloth' ? clothWords(material.slot, writer.plan.job, writer.one.source, writer.plan.shop) : '';
    for (const cloth of new Set(ofKind.map(clothOf))) {
      const list = ofKind.filter((piece) => clothOf(piece) === cloth);
      if (!list.length) continue;
      writer.list(`${MATERIAL_WORDS[kind]}${cloth ? ` · ${cloth}` : ''}, for one`, 44);
      for (const piece of list) pieceRow(writer, piece);
      writer.endList();
    }
  }
}

function closingWords(closing: Closing, run: (figure: Figure) => string, size: (figure: Figure) => string): string {
  switch (closing.kind) {
    case 'zip':
      return `Zip, ${closing.reach}: opening ${size(closing.opening)}, tape ${run(closing.tape)}, ${formatNumber(closing.sliders.value)} slider.`;
    case 'hand':
      return `Closed by hand over ${size(closing.opening)}.`;
    case 'hook-and-loop':
      return `Hook and loop over ${size(closing.opening)}, ${run(closing.tape)} of each.`;
    case 'envelope':
      return `Envelope back, overlapping ${size(closing.overlap)}.`;
    case 'staples':
      return `Stapled round ${run(closing.round)}, about ${formatNumber(closing.count.value)} staples.`;
  }
}

/** How it will look, feel and close, a row for each that is predicted. */
function outlookRows({ plan, one, inWords }: TicketWriter): string[] {
  const { look, feel, close } = outlookOf(one, plan.shop, inWords.units);
  const size = (mm: number): string => formatLengthUnit(mm, inWords.units, inWords.step);
  return [
    ...(look ? [`Look: ${lookWords(look, size)}.`] : []),
    ...(feel ? [`Feel: ${feelWords(feel, size)}.`] : []),
    ...(close ? [`Close: ${FIT_WORDS[close.verdict]}, about ${decidingWords(close.deciding, inWords.units)}${close.rough ? ', a rough guide' : ''}.`] : []),
  ];
}

/** Height of the drawing of the staples, points. */
const STAPLING_HIGH = 190;

/** Where and in which order a cover is stapled, where it is. */
function stapling(writer: TicketWriter): void {
  const staples = writer.one.cover?.staples;
  if (!staples) return;
  writer.list('Stapling', STAPLING_HIGH);
  writer.y = drawStaples(writer.sheet, staples, { x: MARGIN, y: writer.y, width: 320, height: STAPLING_HIGH }, writer.inWords);
  writer.endList();
}

/** In which order a rolled edge is stitched, where it is. */
function rolling(writer: TicketWriter): void {
  const roll = writer.one.cover?.roll;
  if (!roll) return;
  writer.list('Roll, for a right hand; a left one works each side the other way', STAPLING_HIGH);
  drawRoll(writer.sheet, roll, 'right', { x: MARGIN, y: writer.y, width: 320, height: STAPLING_HIGH });
  writer.y += STAPLING_HIGH;
  writer.endList();
}

function facts(writer: TicketWriter): void {
  const { plan, one, inWords } = writer;
  const run = (figure: Figure): string => formatRun(figure.value, inWords.units);
  const size = (figure: Figure): string => formatLengthUnit(figure.value, inWords.units, inWords.step);
  const { name, detail } = one.construction;
  const rows = [
    ...(one.source.split ? [`${splitWords(one.source)}.`] : []),
    `${[name, detail].filter(Boolean).join(', ')}. School: ${schoolWords(one, plan.shop, inWords) || '—'}. Seam ${formatLengthUnit(one.sizes?.seam.value ?? 0, inWords.units, inWords.step)}.`,
    [
      ...(one.cover && !one.keptCover ? one.cover.closings.map((closing) => closingWords(closing, run, size)) : []),
      ...notionsOf(one)
        .filter(({ ware }) => ware !== 'zip' && ware !== 'slider' && ware !== 'hook-and-loop' && ware !== 'staples')
        .map(({ name, sold, amount }) => `${name} ${amountWords(sold, amount.value, inWords.units)}.`),
    ].join(' '),
    ...salvagedWords(plan.salvaged, plan.cushions.indexOf(one), inWords).map((line) => `${line}.`),
    ...(one.keptCover ? [`The old cover goes back on: it is ${one.keptCover === 'wash' ? 'washed' : 're-stitched'}, and nothing of it is cut or bought.`] : []),
    ...(one.cornerFilling ? [`Loose wadding ${formatNumber(Math.ceil(one.cornerFilling.value))} g.`] : []),
    ...outlookRows(writer),
  ];
  writer.list('Making up', 14);
  for (const row of rows.filter(Boolean)) writer.paragraph(row, { size: 9.5 });
  writer.endList();
}

/** What is wrong, what to look out for, and what is missing: all of it. */
function warnings(writer: TicketWriter): void {
  const { plan, one, inWords } = writer;
  const index = plan.cushions.indexOf(one);
  const problems = problemsOf(plan, index).filter(({ severity }) => severity !== 'note');
  if (problems.length) {
    writer.list('Look at this first', 14);
    for (const problem of problems) writer.paragraph(`! ${sayLine(problem, inWords)}`, { size: 9.5, face: 'bold' });
    writer.endList();
  }
}

/** The picture of the cushion made up is this high at least, points. */
const LEAST_PICTURE = 64;

/**
 * The ticket of one cushion on as many pages as it needs: the sketch to scale, the sizes, every piece with its derivation, closing and notions, what is wrong, the order of
 * work to be ticked off, what is cut anew; each page stamped and numbered.
 */
export async function ticketPdf(plan: Plan, index: number, stamp: Stamp): Promise<Uint8Array> {
  const one = plan.cushions[index];
  if (!one) throw new RangeError(`The job has no cushion ${index + 1}.`);
  const writer = new TicketWriter(plan, one, ticketMark(plan, index), stamp);
  const { sheet } = writer;
  const { units } = plan.job;
  writer.head(true);
  const top = writer.y;

  const plate = one.state === 'planned' ? planPiece(one) : null;
  let drawn = top;
  if (one.state === 'planned' && plate) {
    drawPlan(sheet, plate, { x: MARGIN, y: top, width: 310, height: 168 }, writer.inWords);
    drawn = drawSection(sheet, one, { x: MARGIN, y: top + 176, width: 320, height: 84 }, plan.shop, writer.inWords);
  }
  const tableX = MARGIN + 336;
  const tableWidth = sheet.width - MARGIN - tableX;
  let below = sizesTable(writer, tableX, top + 2, tableWidth) + 4;
  below = sheet.block(
    `All sizes in ${units === 'inch' ? 'inches' : 'millimetres'}, rounded to the shop’s step. Sizes of strips are net of what is trimmed at their join.`,
    tableX,
    below,
    {
      size: 8,
      grey: 90,
      most: tableWidth,
    },
  );
  if (one.state === 'planned') {
    // Under the sizes, as far down as the section beside it reaches.
    const height = Math.max(LEAST_PICTURE, drawn - below - 12);
    drawCushion(sheet, one, { x: tableX, y: below + 8, width: tableWidth, height });
    below += height + 12;
  }
  writer.y = Math.max(drawn, below) + 6;
  if (one.source.note) writer.paragraph(one.source.note, { size: 9.5 });
  sheet.rule(MARGIN, writer.y, writer.width, 0.8);
  writer.y += 7;

  warnings(writer);
  cutLists(writer);
  facts(writer);
  stapling(writer);
  rolling(writer);
  workOrder(writer);
  writer.foot();
  return sheet.finish();
}
