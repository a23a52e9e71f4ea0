import { inject, Injectable } from '@angular/core';
import { readWith, sayLine, type ShopDocument, type UnitSystem } from '@yardland/core';
import { Messages } from '../messages';
import { problemOf } from './problem';
import { ABOUT_SHOP, ShopService } from './shop.service';

/** Steps in which rooms show and take lengths. */
const STEP = { mm: 1, inch: 1 / 8 };

/** What refusals are about: apart from the shop, so that an answer to an earlier change does not take them away. */
const ABOUT_REFUSED = 'the shop, refused';

/** Changing the shop's document from a room: a change shows at once, what is wrong with one is said. */
@Injectable({ providedIn: 'root' })
export class ShopEditor {
  readonly #shops = inject(ShopService);
  readonly #messages = inject(Messages);

  change(edit: (shop: ShopDocument) => ShopDocument, then?: () => void): void {
    this.#messages.settle(ABOUT_REFUSED);
    this.#shops.change(edit).subscribe({
      next: () => then?.(),
      error: (error: unknown) => this.#messages.warn(ABOUT_SHOP, problemOf(error).message),
    });
  }

  /** A thing of the shop as its schema has it; null where that does not allow it, which is said at once. */
  taken<T>(schema: Parameters<typeof readWith<T>>[0], value: unknown, units: UnitSystem): T | null {
    const read = readWith(schema, value);
    if (read.ok) return read.value;
    const [first] = read.problems;
    const misshapen = first?.code.startsWith('document-') ? first.data['detail'] : undefined;
    this.refuse(!first ? 'This cannot be.' : misshapen === undefined ? sayLine(first, { units, step: STEP }) : `${first.path}: ${misshapen}.`);
    return null;
  }

  /** A change that the shop's document does not allow: nothing is sent. Said until the next change. */
  refuse(why: string): void {
    this.#messages.warn(ABOUT_REFUSED, why);
  }
}
