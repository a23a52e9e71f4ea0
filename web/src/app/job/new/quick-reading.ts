import { constructionOf, formatLength, outlineOf, sayQuickProblem, shapeOf, type QuickReading, type SayIn, type ShopDocument } from '@yardland/core';

/** What was understood of a line, in a sentence; or what stood in the way. */
export function quickWords(reading: QuickReading, { units, step }: SayIn, shop: Pick<ShopDocument, 'grades' | 'cloths'> | undefined): string {
  if (!reading.ok) return sayQuickProblem(reading);
  const { acrossMm, deepMm } = outlineOf(reading.template);
  const [wide = '', deep = '', high = ''] = [acrossMm, deepMm, reading.heightMm].map((mm) => formatLength(mm, units, step));
  const construction = constructionOf(reading.construction);
  const size = construction.heightWord ? `${wide} × ${deep}, ${construction.heightWord} ${high}` : `${wide} × ${deep} × ${high} high`;
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
