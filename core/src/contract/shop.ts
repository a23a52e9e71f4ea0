import * as z from 'zod';
import { shopSchema } from '../shop/shop';

/** The shop with the revision that a later write must name. */
export const storedShopSchema = z.strictObject({ revision: z.int().positive(), shop: shopSchema });
/** Remnants that jobs still to be delivered have set aside, each with the job. */
export const heldRemnantsSchema = z.strictObject({ held: z.array(z.strictObject({ remnant: z.string(), job: z.uuid(), name: z.string() })) });
export type HeldRemnants = z.infer<typeof heldRemnantsSchema>;

export type StoredShop = z.infer<typeof storedShopSchema>;
