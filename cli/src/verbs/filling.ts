import { checkPress, choose, chooseRequestSchema, feelOf, feelRequestSchema, press, pressRequestSchema, shipped } from '@yardland/core';
import { readShop } from '../read';
import { documentVerb } from './document-verb';

const nothingWrong = (): readonly never[] => [];

/** How a stack of layers feels under a sitter. */
export const feelVerb = documentVerb(
  { name: 'feel', does: 'works out sink, give, feel and verdicts of a stack of layers under a sitter' },
  feelRequestSchema,
  nothingWrong,
  (request) => feelOf(request, shipped),
);

/** Hardness of a sample from a press test. */
export const pressVerb = documentVerb(
  { name: 'press', does: 'works out the hardness of a sample from a plate, masses and thicknesses' },
  pressRequestSchema,
  checkPress,
  press,
);

/** A ranked list of fillings from the demo shop's catalogue. */
export const chooseVerb = documentVerb(
  { name: 'choose', does: 'ranks the demo shop’s foams and stacks for a seat and its sitters' },
  chooseRequestSchema,
  nothingWrong,
  (request) => {
    const shop = readShop(undefined);
    if (!shop.ok) throw new Error('the demo shop cannot be read');
    return choose(request, shop.value.document, (key) => shop.value.assume(key, 'metric'));
  },
);
