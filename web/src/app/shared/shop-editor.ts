import { inject, Injectable } from '@angular/core';
import { readWith, sayLine, type ShopDocument, type UnitSystem } from '@yardland/core';
import { Messages } from './messages';
import { problemOf } from './problem';
import { ShopService } from './shop.service';

/** Steps in which rooms show and take lengths. */
const STEP = { mm: 1, inch: 1 / 8 };

/** What messages about the shop's document are about. */
const ABOUT = 'the shop';

/** Changing the shop's document from a room: what went wrong is said, and a change made elsewhere is fetched. */
@Injectable()
export class ShopEditor {
  readonly #shops = inject(ShopService);
  readonly #messages = inject(Messages);

  change(edit: (shop: ShopDocument) => ShopDocument, then?: () => void): void {
    this.#shops.change(edit).subscribe({
      next: () => {
        this.#messages.settle(ABOUT);
        then?.();
      },
      error: (error: unknown) => {
        const problem = problemOf(error);
        this.#messages.warn(ABOUT, problem.code === 'stale-revision' ? `${problem.message} It is shown here now; make the change again.` : problem.message);
        if (problem.code === 'stale-revision') this.#shops.renew().subscribe();
      },
    });
  }

  /** A thing of the shop as its schema has it; null where that does not allow it, which is said at once. */
  taken<T>(schema: Parameters<typeof readWith<T>>[0], value: unknown, units: UnitSystem): T | null {
    const read = readWith(schema, value);
    if (read.ok) return read.value;
    const [first] = read.problems;
    this.refuse(first ? sayLine(first, { units, step: STEP }) : 'This cannot be.');
    return null;
  }

  /** A change that the shop's document does not allow: nothing is sent. */
  refuse(why: string): void {
    this.#messages.warn(ABOUT, why);
  }
}
