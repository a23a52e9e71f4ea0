import * as z from 'zod';
import { given } from '../../kernel/figure';
import type { Field } from '../contract';
import { choiceField } from '../sewing/fields';
import type { Added, ExtraAsk } from './contract';
import { addPatch } from './patch';
import { EXTRAS_CONSTANTS } from './constants';

export const gripShape = { base: z.enum(['plain', 'anti-slip']).optional() };
export type Grip = z.infer<z.ZodObject<typeof gripShape>>;

export const gripFields: readonly Field<Grip>[] = [choiceField<Grip>('base', 'Base', { plain: 'plain', 'anti-slip': 'anti-slip' }, { group: 'extras' })];

/** A base that does not slip, sewn flat to the bottom plate. */
export function addGrip(ask: ExtraAsk<Grip>): Partial<Added> {
  if (ask.choices.base !== 'anti-slip') return {};
  const inset = given('margin', ask.request.assume(EXTRAS_CONSTANTS.gripInsetMm), 'shop');
  const text = 'Sew the anti-slip cloth flat to the bottom plate, its edge {0} inside the seam line.';
  return addPatch({ slot: 'grip', id: 'anti-slip-base', label: 'anti-slip base', remark: 'sewn flat to the bottom', inset, beyond: null, text }, ask);
}
