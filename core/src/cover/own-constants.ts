import { ASSUMPTIONS, ownAssumptions, type OwnAssumption } from '../shop/assumptions';
import { shopSchema } from '../shop/shop';
import { BLOCK_CONSTANTS } from './constructions/block/constants';
import { CHANNELLED_CONSTANTS } from './constructions/channelled/constants';
import { DRUM_CONSTANTS } from './constructions/drum/constants';
import { KNIFE_EDGE_CONSTANTS } from './constructions/knife-edge/constants';
import { PULL_OVER_CONSTANTS } from './constructions/pull-over/constants';
import { ROLLED_EDGE_CONSTANTS } from './constructions/rolled-edge/constants';
import { SPRUNG_CONSTANTS } from './constructions/sprung/constants';
import { EXTRAS_CONSTANTS } from './extras/constants';

/** The constants that one construction, or the extras, alone assume. They stand apart from `list.ts`, so that a shop is read without loading what makes covers. */
export const OWN_CONSTANTS = {
  block: BLOCK_CONSTANTS,
  channelled: CHANNELLED_CONSTANTS,
  drum: DRUM_CONSTANTS,
  'knife-edge': KNIFE_EDGE_CONSTANTS,
  'pull-over': PULL_OVER_CONSTANTS,
  'rolled-edge': ROLLED_EDGE_CONSTANTS,
  sprung: SPRUNG_CONSTANTS,
  extras: EXTRAS_CONSTANTS,
} as const;

/** Every constant that a shop may calibrate, by its key: the common ones first. */
export function allConstants(): Readonly<Record<string, OwnAssumption>> {
  return Object.assign({}, ownAssumptions(ASSUMPTIONS), ...Object.values(OWN_CONSTANTS)) as Record<string, OwnAssumption>;
}

/** A shop as it comes in: a value for a constant that does not exist is refused. */
export const calibratedShopSchema = shopSchema.superRefine(({ calibration }, { addIssue }) => {
  const known = allConstants();
  for (const key of Object.keys(calibration)) {
    if (!Object.hasOwn(known, key)) addIssue({ code: 'custom', path: ['calibration', key], message: 'there is no such constant' });
  }
});
