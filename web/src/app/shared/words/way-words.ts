import { FILL_WAYS, MACHINES, WRAP_FIXES, type FillWay, type Machine, type ShopDocument, type WrapFix } from '@yardland/core';
import type { Option } from '../controls/choice';

const MACHINE_WORDS: Record<Machine, string> = { 'walking-foot': 'a walking foot', home: 'a home machine' };
const FILL_WORDS: Record<FillWay, string> = { 'bag-out': 'bag drawn out', 'bag-left': 'bag left in', 'by-hand': 'by hand' };
const FIX_WORDS: Record<WrapFix, string> = { adhesive: 'adhesive', staples: 'staples', stitch: 'hand stitch', loose: 'nothing: loose' };

/** Values with their names, as a choice offers them. */
export const options = <T extends string>(values: readonly T[], words: Record<T, string>): readonly Option<T>[] =>
  values.map((value) => ({ value, name: words[value] }));

/** What a shop does its own way, by its key in the shop's document, the usual one first. */
export const WAYS = {
  machine: options(MACHINES, MACHINE_WORDS),
  fill: options(FILL_WAYS, FILL_WORDS),
  wrapFix: options(WRAP_FIXES, FIX_WORDS),
} as const;
export type Way = keyof typeof WAYS;

/** How the shop does it. */
export function shopsWay(way: Way, shop: ShopDocument | null | undefined): string {
  return shop?.[way] ?? WAYS[way][0]?.value ?? '';
}

/** What a cushion may choose: as the shop does it, first and named, or another way. */
export function waysOfOne(way: Way, shop: ShopDocument | null | undefined): readonly Option[] {
  const usual = WAYS[way].find(({ value }) => value === shopsWay(way, shop));
  return [{ value: 'shop', name: `the shop’s: ${usual?.name ?? ''}` }, ...WAYS[way]];
}
