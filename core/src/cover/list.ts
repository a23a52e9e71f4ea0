import * as z from 'zod';
import { bolster, bolsterSchema } from './constructions/bolster/bolster';
import { boxed } from './constructions/boxed/boxed';
import { boxedSchema } from './constructions/boxed/choices';
import { drumSchema } from './constructions/drum/choices';
import { drum } from './constructions/drum/drum';
import { knifeEdgeSchema } from './constructions/knife-edge/choices';
import { knifeEdge } from './constructions/knife-edge/knife-edge';
import { oneOfMany, type Choices, type Construction as ConstructionModule } from './contract';

/** The closed list of constructions, as they are offered. */
export const CONSTRUCTIONS: readonly ConstructionModule[] = [oneOfMany(boxed), oneOfMany(knifeEdge), oneOfMany(bolster), oneOfMany(drum)];

/** The choices of a cushion's construction in its document. */
export const constructionSchema = z.discriminatedUnion('kind', [boxedSchema, knifeEdgeSchema, bolsterSchema, drumSchema]);
export type Construction = z.infer<typeof constructionSchema>;

/** The module of a construction; boxed for a kind that is not in it. */
export function constructionOf({ kind }: Choices, list: readonly ConstructionModule[] = CONSTRUCTIONS): ConstructionModule {
  return list.find((one) => one.kind === kind) ?? oneOfMany(boxed);
}
