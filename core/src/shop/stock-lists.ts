import type { ShopDocument } from './shop';

/** What a shop buys by name: one of each kind, and its list in the shop's document. A further kind is a line here, its schema in the document and its panel in the Stockroom. */
export const BOUGHT_LISTS = { grade: 'grades', filling: 'fillings', cloth: 'cloths', wadding: 'waddings' } as const;
export type BoughtKind = keyof typeof BOUGHT_LISTS;
export const BOUGHT_KINDS = Object.keys(BOUGHT_LISTS) as readonly BoughtKind[];

type BoughtList = (typeof BOUGHT_LISTS)[BoughtKind];

/** Every list of the document whose rows are changed, stored and merged one by one, by their ids. */
export const ROW_LISTS = [...Object.values(BOUGHT_LISTS), 'remnants', 'zips', 'schools'] as const;

/** All that the shop buys by name, kind by kind, in the order of its lists. */
export const allBought = (shop: Pick<ShopDocument, BoughtList>): ShopDocument[BoughtList][number][] =>
  Object.values(BOUGHT_LISTS).flatMap((list) => [...shop[list]]);
