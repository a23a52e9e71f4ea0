import * as z from 'zod';
import { given } from '../../kernel/figure';
import { operation } from '../../piece/operation';
import { minutesFor } from '../../shop/minutes';
import type { Field } from '../contract';
import { countField } from '../sewing/fields';
import type { Added, ExtraAsk } from './contract';

export const ventsShape = { vents: z.int().min(0).max(40).optional() };
export type Vents = z.infer<z.ZodObject<typeof ventsShape>>;

export const ventsFields: readonly Field<Vents>[] = [countField<Vents>('vents', 'Vents', 40, { group: 'extras' })];

/** Vent eyelets in the back of the boxing. */
export function addVents({ choices: { vents = 0 }, request: { assume }, bandIds }: ExtraAsk<Vents>): Partial<Added> {
  if (!vents) return {};
  return {
    notions: [{ ware: 'eyelets', name: 'Vent eyelets', sold: 'count', amount: given('vents', vents, 'entered', 'count') }],
    operations: [
      operation({
        id: 'sew/vents',
        phase: 'sew',
        text: `Set ${vents === 1 ? 'the vent eyelet' : `${vents} vent eyelets`} in the back of the boxing, clear of the zip, before it is sewn on.`,
        cautions: ['Back the cloth with a scrap where an eyelet goes.'],
        tools: ['eyelet tool'],
        pieces: bandIds,
        minutes: minutesFor('cut', 0, 3 * vents, assume),
        needs: 'bench',
        after: ['cut/notch'],
      }),
    ],
  };
}
