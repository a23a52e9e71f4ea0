import type * as z from 'zod';
import { given } from '../../kernel/figure';
import { operation } from '../../piece/operation';
import { minutesFor } from '../../shop/minutes';
import type { Field } from '../contract';
import { enteredOr } from '../sewing/entered-or';
import { lengthField } from '../sewing/fields';
import { lengthWithin } from '../sewing/lengths';
import { tiesOf } from '../plate/plate';
import { stripEdge } from '../sewing/cloth-piece';
import { marksOf, type Added, type ExtraAsk } from './contract';
import { foldedEdge, foldedStrip } from './folded-strip';
import { EXTRAS_CONSTANTS } from './constants';

export const tiesShape = { tieLengthMm: lengthWithin(50, 3000).optional(), tieWidthMm: lengthWithin(5, 100).optional() };
export type Ties = z.infer<z.ZodObject<typeof tiesShape>>;

export const tiesFields: readonly Field<Ties>[] = [
  lengthField<Ties>('tieLengthMm', 'Ties, long', [50, 3000], EXTRAS_CONSTANTS.tieLengthMm, { group: 'extras' }),
  lengthField<Ties>('tieWidthMm', 'Ties, wide', [5, 100], EXTRAS_CONSTANTS.tieWidthMm, { group: 'extras' }),
];

/** Two ties at each of their marks. */
export function addTies({ choices, request }: ExtraAsk<Ties>): Partial<Added> {
  const { assume } = request;
  const ties = marksOf(request, 'tie');
  if (!ties) return {};
  const turnIn = given('turned in', assume(EXTRAS_CONSTANTS.tieTurnMm), 'shop');
  const length = enteredOr('tie', choices.tieLengthMm, EXTRAS_CONSTANTS.tieLengthMm, assume);
  const wide = enteredOr('tie, wide', choices.tieWidthMm, EXTRAS_CONSTANTS.tieWidthMm, assume);
  const tie = foldedStrip({ role: 'tie', remark: 'two a mark', length, wide, turnIn, count: 2 * ties });
  // Seen laid along the band, one either way from its mark.
  const laid = { piece: tie.id, wideMm: wide.value, kind: 'tie', onPiece: stripEdge(tie, 'lower').from } as const;
  return {
    straps: tiesOf(request).flatMap((mm) => [1, -1].map((way) => ({ ...laid, fromMm: mm, toMm: mm + way * length.value }))),
    pieces: [tie],
    seams: [foldedEdge(tie, 'ties', 'each tie folded and top-stitched')],
    operations: [
      operation({
        id: 'sew/ties-made',
        phase: 'sew',
        text: 'Fold both edges of each tie strip in {0}, fold it in half, turn one end in and top-stitch.',
        figures: [turnIn],
        pieces: [tie.id],
        seams: ['ties'],
        minutes: minutesFor('sew', 2 * ties * length.value, 2 * ties, assume),
        needs: 'machine',
        after: ['cut/notch'],
      }),
    ],
  };
}
