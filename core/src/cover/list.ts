import * as z from 'zod';
import { bolster, bolsterSchema } from './constructions/bolster/bolster';
import { boxed, boxedSchema } from './constructions/boxed/boxed';
import { channelled } from './constructions/channelled/channelled';
import { channelledSchema } from './constructions/channelled/choices';
import { drumSchema } from './constructions/drum/choices';
import { drum } from './constructions/drum/drum';
import { knifeEdgeSchema } from './constructions/knife-edge/choices';
import { knifeEdge } from './constructions/knife-edge/knife-edge';
import { block } from './constructions/block/block';
import { blockSchema } from './constructions/block/choices';
import { foldedCornerSchema } from './constructions/folded-corner/choices';
import { foldedCorner } from './constructions/folded-corner/folded-corner';
import { pullOver } from './constructions/pull-over/pull-over';
import { pullOverSchema } from './constructions/pull-over/choices';
import { rolledEdge } from './constructions/rolled-edge/rolled-edge';
import { rolledEdgeSchema } from './constructions/rolled-edge/choices';
import { sprung } from './constructions/sprung/sprung';
import { sprungSchema } from './constructions/sprung/choices';
import { waterfallSchema } from './constructions/waterfall/choices';
import { waterfall } from './constructions/waterfall/waterfall';
import { oneOfMany, type Choices, type Construction as ConstructionModule } from './contract';

/** The closed list of constructions, as they are offered. */
export const CONSTRUCTIONS: readonly ConstructionModule[] = [
  oneOfMany(boxed),
  oneOfMany(waterfall),
  oneOfMany(foldedCorner),
  oneOfMany(knifeEdge),
  oneOfMany(bolster),
  oneOfMany(drum),
  oneOfMany(pullOver),
  oneOfMany(block),
  oneOfMany(rolledEdge),
  oneOfMany(sprung),
  oneOfMany(channelled),
];

/** The choices of a cushion's construction in its document. */
export const constructionSchema = z.discriminatedUnion('kind', [
  boxedSchema,
  waterfallSchema,
  foldedCornerSchema,
  knifeEdgeSchema,
  bolsterSchema,
  drumSchema,
  pullOverSchema,
  blockSchema,
  rolledEdgeSchema,
  sprungSchema,
  channelledSchema,
]);
export type Construction = z.infer<typeof constructionSchema>;

/** The module of a kind of construction; undefined where the list has none. */
export function findConstruction({ kind }: Pick<Choices, 'kind'>, list: readonly ConstructionModule[]): ConstructionModule | undefined {
  return list.find((one) => one.kind === kind);
}

/** The module of the choices in a document, whose schema lets only shipped kinds through. Throws a RangeError for any other. */
export function constructionOf(choices: Pick<Choices, 'kind'>): ConstructionModule {
  const found = findConstruction(choices, CONSTRUCTIONS);
  if (!found) throw new RangeError(`no construction is called ${choices.kind}`);
  return found;
}
