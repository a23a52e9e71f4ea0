import {
  bounds,
  clothFacts,
  FIT_WORDS,
  flatten,
  formatLength,
  formatNumber,
  formatRun,
  hashText,
  pieceLabel,
  pieceRemark,
  planJson,
  sayLine,
  schoolWords,
  sewnApart,
  stepsOf,
  whyLine,
  type CushionPlan,
  type Figure,
  type Piece,
  type Plan,
  type SayIn,
} from '@yardland/core';
import { drawPlan, drawSection } from './drawing';
import { Sheet } from './sheet';

export interface Stamp {
  readonly revision: number;
  readonly printedAt: Date;
}

const MARGIN = 36;

/** Sizes that stand in the table above the cut lists: derivations start at them. */
const NAMED_SIZES: ReadonlySet<string> = new Set(['finished', 'sewn', 'core', 'seam', 'core thickness', 'sewn height']);

/** Short mark of what the ticket says: two tickets with the same mark tell to cut the same. */
export function ticketMark(plan: Plan, index: number): string {
  const { cushions } = planJson(plan);
  return hashText(JSON.stringify(cushions[index] ?? null))
    .slice(-6)
    .toUpperCase();
}

function head(sheet: Sheet, plan: Plan, one: CushionPlan, mark: string, stamp: Stamp): number {
  const right = sheet.width - MARGIN;
  sheet.line(one.source.name, MARGIN, 30, { size: 22, face: 'head', most: 330 });
  sheet.line(`× ${one.source.quantity}`, right, 26, { size: 26, face: 'head', align: 'right' });
  sheet.line([plan.job.name, plan.job.customer].filter(Boolean).join(' · '), MARGIN, 62, { size: 10.5, grey: 70, most: 360 });
  const printed = stamp.printedAt.toISOString().slice(0, 16).replace('T', ' ');
  sheet.line(`Stamp ${mark} · revision ${stamp.revision} · printed ${printed} UTC`, right, 63, { size: 8.5, grey: 70, align: 'right' });
  sheet.rule(MARGIN, 80, sheet.width - 2 * MARGIN, 1.4);
  return 90;
}

function sizesTable(sheet: Sheet, one: CushionPlan, x: number, y: number, width: number, length: (figure: Figure | undefined) => string): number {
  const { sizes } = one;
  if (!sizes) return y;
  const columns = [x + width * 0.52, x + width * 0.78, x + width];
  ['wide', 'deep', 'high'].forEach((word, i) => sheet.line(word, columns[i] ?? x, y, { size: 8.5, grey: 90, align: 'right' }));
  let at = y + 13;
  const rows: [string, (Figure | undefined)[]][] = [
    ['Seat', [sizes.seat.width, sizes.seat.depth]],
    ['Finished', [sizes.finished.width, sizes.finished.depth, sizes.finished.height]],
    ...(sewnApart(sizes) ? ([['Sewn', [sizes.sewn.width, sizes.sewn.depth, sizes.sewn.height]]] as [string, Figure[]][]) : []),
    ['Core', [sizes.core.width, sizes.core.depth, sizes.core.height]],
    ...(sizes.slope ? ([['Thin edge', [undefined, undefined, sizes.slope.finished]]] as [string, (Figure | undefined)[]][]) : []),
    ['Cut, plate', [sizes.cut.width, sizes.cut.depth]],
  ];
  for (const [word, figures] of rows) {
    sheet.line(word, x, at + 2, { size: 10.5 });
    figures.forEach((figure, i) => sheet.line(length(figure), columns[i] ?? x, at, { size: 13, face: 'bold', align: 'right' }));
    at += 20;
    sheet.rule(x, at - 2, width, 0.4, 150);
  }
  return at;
}

const MATERIAL_WORDS: Record<Piece['material'], string> = {
  cover: 'Cover',
  foam: 'Foam',
  'old-core': 'From the old cores',
  filling: 'Filling, made to size',
  wadding: 'Wadding',
};

function pieceRows(sheet: Sheet, plan: Plan, one: CushionPlan, y: number, bottom: number, length: (figure: Figure | undefined) => string): number {
  const width = sheet.width - 2 * MARGIN;
  let at = y;
  const facts = clothFacts(plan.job, plan.shop);
  for (const material of ['cover', 'foam', 'old-core', 'filling', 'wadding'] as const) {
    const pieces = one.pieces.filter((piece) => piece.material === material);
    if (pieces.length === 0 || at > bottom - 40) continue;
    const from = material === 'cover' ? (facts.name ?? '') : '';
    sheet.line(`${MATERIAL_WORDS[material]}${from ? ` · ${from}` : ''}, for one`, MARGIN, at, { size: 10.5, face: 'head' });
    at += 15;
    for (const piece of pieces) {
      if (at > bottom - 22) break;
      const grade =
        piece.grade === null
          ? ''
          : ` · ${plan.shop.stock(piece.grade)?.name ?? piece.grade}, ${formatLength(piece.thicknessMm ?? 0, plan.job.units, plan.shop.document.step)} thick`;
      sheet.line(String(piece.countPerCushion), MARGIN + 14, at, { size: 11, face: 'bold', align: 'right' });
      sheet.line(`${pieceLabel(piece)}${grade}`, MARGIN + 24, at, { size: 11, most: 250 });
      sheet.line(pieceRemark(piece), MARGIN + 282, at + 1.5, { size: 9, grey: 90, most: 80 });
      sheet.line(`${length(piece.width)} × ${length(piece.height)}`, MARGIN + width, at, { size: 12, face: 'bold', align: 'right' });
      const why = [...new Set([piece.width, piece.height].map((figure) => whyLine(figure, plan.job.units, NAMED_SIZES)))].join('   |   ');
      at = sheet.block(why, MARGIN + 24, at + 14, { size: 6.8, grey: 100, most: width - 24, lines: 2 }) + 3;
      sheet.rule(MARGIN, at - 1, width, 0.3, 190);
    }
    at += 5;
  }
  return at;
}

function footRows(sheet: Sheet, plan: Plan, one: CushionPlan, y: number, inWords: SayIn): void {
  const width = sheet.width - 2 * MARGIN;
  const half = width / 2 - 10;
  const run = (figure: Figure | null | undefined): string => (figure ? formatRun(figure.value, plan.job.units) : '—');
  const notions = one.cover?.notions;
  const lines = [
    `School: ${schoolWords(one, plan.shop, inWords) || '—'}. Seam ${formatLength(one.sizes?.seam.value ?? 0, inWords.units, inWords.step)}.`,
    ...(notions
      ? [
          `${one.cornerFilling ? `Loose wadding ${formatNumber(Math.ceil(one.cornerFilling.value))} g. ` : ''}Zip tape ${run(notions.zip)}, ${formatNumber(notions.sliders.value)} slider; ${notions.cord ? `cord ${run(notions.cord)}; ` : ''}thread ${run(notions.thread)}.`,
        ]
      : []),
    ...(one.fit ? [`Will it fit: ${FIT_WORDS[one.fit.verdict]}, crown about ${formatLength(one.fit.crownMm, inWords.units, inWords.step)} a face.`] : []),
    'Strips are laid longer and trimmed at their join; sizes above are net of that.',
  ];
  let left = y;
  for (const text of lines) left = sheet.block(text, MARGIN, left, { size: 9, most: half, lines: 2 }) + 2;

  const cautions = [...new Set(stepsOf(one).flatMap((step) => step.cautions))].slice(0, 5);
  const problems = one.problems.filter((problem) => problem.severity !== 'note').map((problem) => `! ${sayLine(problem, inWords)}`);
  let right = y;
  for (const text of [...problems.slice(0, 3), ...cautions]) {
    if (right > sheet.height - 52) break;
    right = sheet.block(text, MARGIN + half + 20, right, { size: 8.5, most: half, lines: 2, face: text.startsWith('!') ? 'bold' : 'text' }) + 2;
  }
  sheet.line('Follow the fire code where the furniture is used; public, marine, rail and care settings need certified materials.', MARGIN, sheet.height - 32, {
    size: 7.5,
    grey: 90,
  });
}

/** The ticket of one cushion: a page with the sketch to scale, the four sizes, cut lists with their derivations, notions and cautions; stamped. */
export async function ticketPdf(plan: Plan, index: number, stamp: Stamp): Promise<Uint8Array> {
  const one = plan.cushions[index];
  if (!one) throw new RangeError(`The job has no cushion ${index + 1}.`);
  const { units } = plan.job;
  const { step } = plan.shop.document;
  const length = (figure: Figure | undefined): string => (figure ? formatLength(figure.value, units, step) : '');
  const sheet = new Sheet(units === 'inch' ? 'LETTER' : 'A4', `${plan.job.name}: ${one.source.name}`);
  const top = head(sheet, plan, one, ticketMark(plan, index), stamp);

  const drawing = { x: MARGIN, y: top, width: 320, height: 190 };
  if (one.outlines && one.sizes) {
    const box = bounds(flatten(one.outlines.sewn));
    drawPlan(sheet, one, drawing, `${length(one.sizes.sewn.width)}`, `${length(one.sizes.sewn.depth)}`, box);
    drawSection(sheet, one, { x: MARGIN, y: top + 192, width: 320, height: 52 }, (mm) => formatLength(mm, units, step));
  }
  const tableX = MARGIN + 330;
  const below = sizesTable(sheet, one, tableX, top + 4, sheet.width - MARGIN - tableX, length);
  const unitWords = units === 'inch' ? 'inches' : 'millimetres';
  sheet.line(`All sizes in ${unitWords}, rounded to the shop’s step.`, tableX, below + 4, { size: 8, grey: 90 });
  if (one.source.note) sheet.block(one.source.note, tableX, below + 22, { size: 9.5, most: sheet.width - MARGIN - tableX, lines: 5 });

  const footY = sheet.height - 142;
  sheet.rule(MARGIN, top + 250, sheet.width - 2 * MARGIN, 0.8);
  pieceRows(sheet, plan, one, top + 257, footY - 6, length);
  sheet.rule(MARGIN, footY - 6, sheet.width - 2 * MARGIN, 0.8);
  footRows(sheet, plan, one, footY, { units, step });
  return sheet.finish();
}
