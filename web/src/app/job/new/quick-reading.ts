import {
  constructionOf,
  outlineOf,
  sayQuickProblem,
  shapeOf,
  type QuickReading,
  type SayIn,
  type ShopDocument,
  formatLengthUnit,
  formatSize,
} from '@yardland/core';

/** What was understood of a line, in a sentence; or what stood in the way. */
export function quickWords(reading: QuickReading, { units, step }: SayIn, shop: Pick<ShopDocument, 'grades' | 'cloths'> | undefined): string {
  if (!reading.ok) return sayQuickProblem(reading);
  const { acrossMm, deepMm } = outlineOf(reading.template);
  const construction = constructionOf(reading.construction);
  const size = construction.heightWord
    ? `${formatSize([acrossMm, deepMm], units, step)}, ${construction.heightWord} ${formatLengthUnit(reading.heightMm, units, step)}`
    : `${formatSize([acrossMm, deepMm, reading.heightMm], units, step)} high`;
  const detail = construction.says(reading.construction);
  const named = [
    shop?.grades.find(({ id }) => id === reading.grade)?.name,
    shop?.cloths.find(({ id }) => id === reading.cloth)?.name,
    reading.school?.replaceAll('-', ' '),
  ];
  const parts = [construction.name.toLowerCase(), detail, ...named].filter(Boolean).join(', ');
  const height = reading.heightAssumed ? ' As high as the cushion in hand, for the line does not say.' : '';
  return `${reading.quantity} × ${shapeOf(reading.template).name}, ${reading.given} ${size}, ${parts}.${height}`;
}
