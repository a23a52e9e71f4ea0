import fs from 'node:fs';
import path from 'node:path';
import { shopSchema } from '@yardland/core';
import type { ShopStore } from '../shop/shop.store';

/** A ware as it begins: with a price, but no day on which somebody asked for it. */
const unpriced = <T extends { readonly pricedOn?: string | undefined }>({ pricedOn: _day, ...ware }: T): Omit<T, 'pricedOn'> => ware;

/**
 * Begins an own shop in an empty database: no jobs, no people, nothing on the shelves. Any other database stays as it is. The demo's foams, fillings, waddings and cloths are listed, so
 * that a first cushion can be chosen and cut before the shop enters its own; their prices have no day, and each says so. Returns whether the shop was begun.
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
