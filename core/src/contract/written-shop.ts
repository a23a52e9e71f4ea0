import { calibratedShopSchema } from '../cover/own-constants';
import { storedShopSchema } from './shop';

/** The shop as it is written: a value for a constant that does not exist is refused. Apart from `storedShopSchema`, so that a page reads the shop without every construction's constants. */
export const writtenShopSchema = storedShopSchema.extend({ shop: calibratedShopSchema });
