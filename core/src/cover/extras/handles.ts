import * as z from 'zod';
import { given } from '../../kernel/figure';
import { operation } from '../../piece/operation';
import { minutesFor } from '../../shop/minutes';
import type { Field } from '../contract';
import { countField } from '../sewing/fields';
import type { Added, ExtraAsk } from './contract';
import { foldedEdge, foldedStrip } from './folded-strip';

export const handlesShape = { handles: z.int().min(0).max(12).optional() };
export type Handles = z.infer<z.ZodObject<typeof handlesShape>>;

export const handlesFields: readonly Field<Handles>[] = [countField<Handles>('handles', 'Handles', 12, { group: 'extras' })];

/** Handles on the boxing. */
export function addHandles({ choices: { handles = 0 }, request: { assume }, bandIds }: ExtraAsk<Handles>): Partial<Added> {
  if (!handles) return {};
  const length = given('handle', assume('handleLengthMm'), 'shop');
  const wide = given('handle, wide', assume('handleWidthMm'), 'shop');
  const turnIn = given('turned in', assume('tieTurnMm'), 'shop');
  const handle = foldedStrip({ role: 'handle', remark: 'on the boxing', length, wide, turnIn, count: handles });
  const made = handles === 1 ? 'the handle' : `${handles} handles`;
  const put = handles === 1 ? 'it on the boxing, in the middle of a side' : 'them on the boxing, two a side from its middle out';
  return {
    pieces: [handle],
    seams: [foldedEdge(handle, 'handles', 'each handle folded and top-stitched')],
    operations: [
      operation({
        id: 'sew/handles',
        phase: 'sew',
        text: `Fold and top-stitch ${made}, and box-stitch ${put}, with slack for a hand.`,
        cautions: ['Through the boxing and a patch behind it: the pull comes on four stitches.'],
        pieces: [handle.id, ...bandIds],
        seams: ['handles'],
        minutes: minutesFor('sew', handles * length.value, 4 * handles, assume),
        needs: 'machine',
        after: ['cut/notch'],
      }),
    ],
  };
}
