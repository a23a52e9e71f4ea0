import * as z from 'zod';
import { shopSchema } from '../shop/shop';

/** The shop with the revision that a later write must name. */
export const storedShopSchema = z.strictObject({ revision: z.int().positive(), shop: shopSchema });
/** Which jobs name a thing of the shop: how many, and some of their names. */
export const stockUsesSchema = z.strictObject({ count: z.int().nonnegative(), jobs: z.array(z.string()).max(5) });
export type StockUses = z.infer<typeof stockUsesSchema>;

export type StoredShop = z.infer<typeof storedShopSchema>;
