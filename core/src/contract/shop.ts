import * as z from 'zod';
import { shopSchema } from '../shop/shop';

/** The shop with the revision that a later write must name. */
export const storedShopSchema = z.strictObject({ revision: z.int().positive(), shop: shopSchema });
export type StoredShop = z.infer<typeof storedShopSchema>;
