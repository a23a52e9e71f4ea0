import type { ShopDocument } from '../shop/shop';
import type { Choices, Construction } from './contract';
import { constructionSchema } from './list';

/** A construction as the shop usually makes it: its own defaults with what the shop has said of it. What it no longer understands is passed over, the whole of it. */
export function usualChoices({ kind, defaults }: Pick<Construction, 'kind' | 'defaults'>, { usual = {} }: Pick<ShopDocument, 'usual'>): Choices {
  const read = constructionSchema.safeParse({ ...defaults(), ...asToday(usual[kind] ?? {}), kind });
  return read.success ? read.data : defaults();
}

/** Choices as a shop kept them before a cover named its order of work. */
function asToday({ plaqueSewn, ...choices }: NonNullable<ShopDocument['usual']>[string]): typeof choices {
  return plaqueSewn === undefined ? choices : { ...choices, order: plaqueSewn === 'last' ? 'plaque-last' : 'plaque-with-boxing' };
}

/** The choices of a construction as the shop keeps them: all but which construction it is. */
function asUsual({ kind: _kind, ...choices }: Choices): NonNullable<ShopDocument['usual']>[string] {
  return Object.fromEntries(
    Object.entries(choices).filter((entry): entry is [string, string | number | boolean] => ['string', 'number', 'boolean'].includes(typeof entry[1])),
  );
}

/** The shop with how it usually makes a construction; null: as it is shipped. */
export function withUsual({ usual = {}, ...shop }: ShopDocument, kind: string, choices: Choices | null): ShopDocument {
  const { [kind]: _before, ...others } = usual;
  const all = choices ? { ...others, [kind]: asUsual(choices) } : others;
  return Object.keys(all).length ? { ...shop, usual: all } : shop;
}

/** Whether a cushion made anew of this construction would get just these choices. */
export function isUsual(construction: Pick<Construction, 'kind' | 'defaults'>, choices: Choices, shop: Pick<ShopDocument, 'usual'>): boolean {
  const sorted = (one: Choices): string => JSON.stringify(Object.entries(one).sort(([a], [b]) => (a < b ? -1 : 1)));
  return sorted(usualChoices(construction, shop)) === sorted(choices);
}
