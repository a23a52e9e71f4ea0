import type * as z from 'zod';
import type { Outline } from '../../geometry/outline';
import { arcAbout } from '../../geometry/segment';
import { given, law } from '../../kernel/figure';
import type { Field } from '../contract';
import { clothPiece } from '../sewing/cloth-piece';
import { enteredOr } from '../sewing/entered-or';
import { lengthField } from '../sewing/fields';
import { lengthWithin } from '../sewing/lengths';
import { marksOf, type Added, type ExtraAsk } from './contract';
import { EXTRAS_CONSTANTS } from './constants';

export const buttonsShape = { buttonMm: lengthWithin(8, 80).optional() };
export type Buttons = z.infer<z.ZodObject<typeof buttonsShape>>;

export const buttonsFields: readonly Field<Buttons>[] = [lengthField<Buttons>('buttonMm', 'Buttons', [8, 80], EXTRAS_CONSTANTS.buttonMm, { group: 'extras' })];

function disc(diameterMm: number): Outline {
  const r = diameterMm / 2;
  const centre = { x: r, y: r };
  return { segments: [arcAbout('front', centre, { x: 0, y: r }, Math.PI), arcAbout('back', centre, { x: 2 * r, y: r }, Math.PI)] };
}

/** A pair of covered buttons at each of their marks, and the twine that ties them through the core; they are put in when the cushion is filled. */
export function addButtons({ choices, request }: ExtraAsk<Buttons>): Partial<Added> {
  const { assume, sizes } = request;
  const buttons = marksOf(request, 'button');
  if (!buttons) return {};
  const across = law('disc', '2 × {0}', [enteredOr('button', choices.buttonMm, EXTRAS_CONSTANTS.buttonMm, assume)]);
  const each = law('twine a pair', '2 × {0} + {1}', [sizes.core.height, given('to tie it', assume(EXTRAS_CONSTANTS.buttonTwineMm), 'shop')]);
  return {
    pieces: [
      clothPiece('main', {
        id: 'button',
        role: 'button',
        label: 'button disc',
        remark: 'a pair a mark',
        countPerCushion: 2 * buttons,
        width: across,
        height: across,
        outline: disc(across.value),
      }),
    ],
    notions: [
      { ware: 'buttons', name: 'Buttons to cover', sold: 'count', amount: given('buttons', 2 * buttons, 'counted', 'count') },
      { ware: 'twine', name: 'Twine', sold: 'run', amount: law('twine', '{0} × {1}', [given('pairs', buttons, 'counted', 'count'), each]) },
    ],
  };
}
