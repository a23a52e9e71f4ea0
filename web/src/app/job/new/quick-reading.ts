import { constructionOf, formatLength, outlineOf, readQuickLine, sayQuickProblem, shapeOf, type QuickReading, type SayIn } from '@yardland/core';

export { readQuickLine };

/** What was understood of a line, in a sentence; or what stood in the way. */
export function quickWords(reading: QuickReading, { units, step }: SayIn): string {
  if (!reading.ok) return sayQuickProblem(reading.code, reading.about);
  const { acrossMm, deepMm } = outlineOf(reading.template);
  const [wide = '', deep = '', high = ''] = [acrossMm, deepMm, reading.heightMm].map((mm) => formatLength(mm, units, step));
  const construction = constructionOf(reading.construction);
  const size = construction.heightWord ? `${wide} × ${deep}, ${construction.heightWord} ${high}` : `${wide} × ${deep} × ${high} high`;
  const detail = construction.says(reading.construction);
  return `${reading.quantity} × ${shapeOf(reading.template).name}, ${reading.given} ${size}, ${[construction.name.toLowerCase(), detail].filter(Boolean).join(', ')}.`;
}
