import * as z from 'zod';
import { given } from '../../kernel/figure';
import { operation, type Operation } from '../../piece/operation';
import type { Piece } from '../../piece/piece';
import { minutesFor } from '../../shop/minutes';
import type { Field } from '../contract';
import { countField } from '../sewing/fields';
import type { Added, ExtraAsk } from './contract';
import { foldedEdge, foldedStrip } from './folded-strip';

export const handlesShape = { handles: z.int().min(0).max(12).optional() };
export type Handles = z.infer<z.ZodObject<typeof handlesShape>>;

export const handlesFields: readonly Field<Handles>[] = [countField<Handles>('handles', 'Handles', 12, { group: 'extras' })];

/** Handles on the boxing: those of the old cover that were kept, and the rest cut anew. */
export function addHandles({ choices: { handles = 0 }, request: { assume, keptHandles }, bandIds }: ExtraAsk<Handles>): Partial<Added> {
  if (!handles) return {};
  const old = Math.min(handles, keptHandles);
  const place = `on the boxing, ${handles === 1 ? 'in the middle of a side' : 'two a side from its middle out'}, with slack for a hand.`;
  const stitched = (text: string, folded: number, piece?: Piece): Operation =>
    operation({
      id: 'sew/handles',
      phase: 'sew',
      text,
      cautions: ['Through the boxing and a patch behind it: the pull comes on four stitches.'],
      pieces: [...(piece ? [piece.id] : []), ...bandIds],
      seams: piece ? ['handles'] : [],
      minutes: minutesFor('sew', folded, 4 * handles, assume),
      needs: 'machine',
      after: ['cut/notch'],
    });
  if (old === handles) return { operations: [stitched(`Box-stitch the old cover’s ${handles === 1 ? 'handle' : `${handles} handles`} ${place}`, 0)] };
  const length = given('handle', assume('handleLengthMm'), 'shop');
  const wide = given('handle, wide', assume('handleWidthMm'), 'shop');
  const turnIn = given('turned in', assume('tieTurnMm'), 'shop');
  const handle = foldedStrip({ role: 'handle', remark: 'on the boxing', length, wide, turnIn, count: handles - old });
  const made = handles - old === 1 ? 'the handle' : `${handles - old} handles`;
  const stitch = `${handles - old === 1 ? 'it' : 'them'}${old ? ` and the old cover’s ${old}` : ''}`;
  return {
    pieces: [handle],
    seams: [foldedEdge(handle, 'handles', 'each handle folded and top-stitched')],
    operations: [stitched(`Fold and top-stitch ${made}, and box-stitch ${stitch} ${place}`, (handles - old) * length.value, handle)],
  };
}
