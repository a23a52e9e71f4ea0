import { doneOn, filled, formatNumber, toolsOf, withPassedLooks } from '@yardland/core';
import { drawStages } from './stages';
import type { TicketWriter } from './ticket-writer';
import { MARGIN, type Writer } from './writer';

/** Size of a box to tick, and from one to the next, points. */
const BOX = 9;
const BOX_PITCH = 22;

/** Boxes to tick, one for each of the batch, with its number; those that are done are crossed. */
function tickBoxes(writer: Writer, done: readonly number[], quantity: number): void {
  const { sheet } = writer;
  const perRow = Math.floor((writer.width - 14) / BOX_PITCH);
  for (let first = 1; first <= quantity; first += perRow) {
    writer.need(BOX + 5);
    for (let number = first; number < Math.min(first + perRow, quantity + 1); number++) {
      const [x, y] = [MARGIN + 14 + (number - first) * BOX_PITCH, writer.y + 1];
      const corners = [
        { x, y },
        { x: x + BOX, y },
        { x: x + BOX, y: y + BOX },
        { x, y: y + BOX },
      ] as const;
      sheet.shape(corners, { width: 0.7 });
      if (done.includes(number)) {
        sheet.stroke(corners[0], corners[2]);
        sheet.stroke(corners[1], corners[3]);
      }
      if (quantity > 1) sheet.line(String(number), x + BOX + 2, y + 1, { size: 7, grey: 60 });
    }
    writer.y += BOX + 5;
  }
}

/** The order of work, to be ticked off on paper: each step with its time, its own cautions, how its pieces stand where it folds or turns them, and a box for each of the batch. */
export function workOrder(writer: TicketWriter): void {
  const { one, inWords } = writer;
  if (!one.operations.length) return;
  const { quantity, bench } = one.source;
  const ticks = withPassedLooks(one.operations, bench?.done ?? {}, quantity);
  writer.list('Order of work', 14);
  const tools = toolsOf(one.operations);
  if (tools.length) writer.paragraph(`Lay out, beyond the everyday tools: ${tools.join(', ')}.`, { size: 9 });
  one.operations.forEach((step, i) => {
    const minutes = formatNumber(step.minutes * quantity);
    writer.paragraph(`${i + 1}  ${filled(step.text, step.figures, inWords.units, inWords.step)} (${minutes} min)`, { size: 9 });
    for (const caution of step.cautions) writer.paragraph(`    ! ${caution}`, { size: 8.5, face: 'bold' });
    drawStages(writer, step.stages);
    tickBoxes(writer, doneOn(ticks[step.id], quantity), quantity);
  });
  writer.endList();
  if (!bench?.recuts?.length) return;
  writer.list('Cut anew', 12);
  for (const { piece, cushions, each, why, date } of bench.recuts) {
    const label = one.pieces.find(({ id }) => id === piece)?.label ?? piece.replaceAll('-', ' ');
    writer.paragraph(`· ${cushions.length * each} × ${label}${quantity > 1 ? `, on ${cushions.join(', ')}` : ''}, ${date}${why ? `: ${why}` : ''}`, {
      size: 9,
    });
  }
  writer.endList();
}
