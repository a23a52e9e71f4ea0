import fs from 'node:fs';
import path from 'node:path';
import { shopSchema } from '@yardland/core';
import type { ShopStore } from '../shop/shop.store';

/** A ware as it begins: with a price, but no day on which somebody asked for it. */
const unpriced = <T extends { readonly pricedOn?: string | undefined }>({ pricedOn: _day, ...ware }: T): Omit<T, 'pricedOn'> => ware;

/**
 * Begins a shop of one's own in an empty database, and leaves any other alone: no jobs, nobody at work yet, nothing on the shelves. The demo's foams, fillings, waddings and cloths are on its lists, so that a
 * first cushion can be chosen and cut from something until the shop has put its own in their place; their prices have no day, which is said with each. Returns whether it was begun.
 */
export function beginOwn(demoDir: string, shops: ShopStore): boolean {
  if (!shops.isEmpty()) return false;
  const demo = shopSchema.parse(JSON.parse(fs.readFileSync(path.join(demoDir, 'shop.json'), 'utf8')));
  shops.write({
    format: demo.format,
    name: 'Our shop',
    units: demo.units,
    step: demo.step,
    people: [],
    grades: demo.grades.map(({ lots: _shelf, ...grade }) => unpriced(grade)),
    fillings: demo.fillings.map(unpriced),
    waddings: demo.waddings.map(unpriced),
    cloths: demo.cloths.map(unpriced),
    calibration: {},
    schools: [],
    remnants: [],
    zips: [],
  });
  return true;
}
