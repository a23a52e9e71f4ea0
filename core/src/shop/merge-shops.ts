import { mergeFields, mergeRows, type Merged } from '../kernel/public';
import type { ShopDocument } from './shop';
import { ROW_LISTS } from './stock-lists';

type List = (typeof ROW_LISTS)[number];

/** What a thing of the shop is called; by its id where it has no name. */
function nameOf(shop: ShopDocument, list: List, id: string): string {
  const row = shop[list].find((one) => one.id === id);
  return row && 'name' in row ? row.name : id;
}

/**
 * Three-way merge of the shop: `base` is what both windows had, and this window's changes are put onto what the other has now. List entries are merged one by one, field by
 * field. Where both changed the same field the other's value stands, and its name is among the clashes.
 */
export function mergeShops(base: ShopDocument, mine: ShopDocument, theirs: ShopDocument): Merged<ShopDocument> {
  const whole = mergeFields(base, mine, theirs);
  const clashes = whole.clashes.filter((key) => !(ROW_LISTS as readonly string[]).includes(key) && key !== 'calibration' && key !== 'usual');
  const calibration = mergeFields(base.calibration, mine.calibration, theirs.calibration);
  const usual = mergeFields(base.usual ?? {}, mine.usual ?? {}, theirs.usual ?? {});
  const { usual: _before, ...merged } = whole.value;
  let value: ShopDocument = { ...merged, calibration: calibration.value, ...(Object.keys(usual.value).length ? { usual: usual.value } : {}) };
  clashes.push(...calibration.clashes, ...usual.clashes);
  for (const list of ROW_LISTS) {
    const rows = mergeRows<ShopDocument[List][number]>(base[list], mine[list], theirs[list]);
    value = { ...value, [list]: rows.value };
    clashes.push(...rows.clashes.map((id) => nameOf(theirs, list, id)));
  }
  return { value, clashes };
}
