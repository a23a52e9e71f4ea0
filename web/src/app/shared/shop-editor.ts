import { inject, Injectable, signal } from '@angular/core';
import type { ShopDocument } from '@yardland/core';
import { problemOf } from './problem';
import { ShopService } from './shop.service';

/** Changing the shop's document from a room: what went wrong is said there, and a change made elsewhere is fetched. */
@Injectable()
export class ShopEditor {
  readonly #shops = inject(ShopService);
  readonly message = signal<string | null>(null);

  change(edit: (shop: ShopDocument) => ShopDocument, then?: () => void): void {
    this.#shops.change(edit).subscribe({
      next: () => {
        this.message.set(null);
        then?.();
      },
      error: (error: unknown) => {
        const problem = problemOf(error);
        this.message.set(problem.code === 'stale-revision' ? `${problem.message} It is shown here now; make the change again.` : problem.message);
        if (problem.code === 'stale-revision') this.#shops.renew().subscribe();
      },
    });
  }
}
