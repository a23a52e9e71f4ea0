import * as z from 'zod';
import { given } from '../../kernel/figure';
import type { Field } from '../contract';
import { choiceField } from '../sewing/fields';
import type { Added, ExtraAsk } from './contract';
import { addPatch } from './patch';
import { EXTRAS_CONSTANTS } from './constants';

export const drainShape = { drain: z.enum(['none', 'mesh']).optional() };
export type Drain = z.infer<z.ZodObject<typeof drainShape>>;

export const drainFields: readonly Field<Drain>[] = [
  choiceField<Drain>('drain', 'Drain panel', { none: 'none', mesh: 'mesh in the bottom' }, { group: 'extras' }),
];

/** A panel of mesh in the bottom plate, for cushions out of doors. */
export function addDrain(ask: ExtraAsk<Drain>): Partial<Added> {
  const { assume } = ask.request;
  if (ask.choices.drain !== 'mesh') return {};
  const inset = given('margin', assume(EXTRAS_CONSTANTS.drainInsetMm), 'shop');
  const lap = given('allowance', assume(EXTRAS_CONSTANTS.drainLapMm), 'shop');
  const text =
    'Sew the mesh flat to the bottom plate, {0} inside its seam line; cut the plate’s cloth away inside the stitching but for {1}, turn that in and top-stitch.';
  return addPatch({ slot: 'mesh', id: 'drain-panel', label: 'drain panel', remark: 'mesh', inset, beyond: lap, text }, ask);
}
