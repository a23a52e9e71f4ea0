import { checkCrown, crownAnswer, crownRequestSchema, fit, fitRequestSchema, shipped } from '@yardland/core';
import { documentVerb } from './document-verb';

/** The crown of one face: extra cloth, draw-in, bowed plate, pads. */
export const crownVerb = documentVerb(
  { name: 'crown', does: 'works out the extra cloth, the draw-in, the bowed plate and the pads of a crowned face' },
  crownRequestSchema,
  checkCrown,
  crownAnswer,
);

/** Crown and tautness before anything is cut. */
export const fitVerb = documentVerb(
  { name: 'fit', does: 'predicts crown and tautness of a cover over its core' },
  fitRequestSchema,
  () => [],
  ({ format: _format, ...request }) => fit(request, shipped),
);
