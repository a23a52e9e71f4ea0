import { computed, inject, signal } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { putAwayLast, type ShopDocument } from '@yardland/core';
import type * as z from 'zod';
import { newId } from '../shared/saving/new-id';
import { ShopEditor } from '../shared/saving/shop-editor';
import { ShopService } from '../shared/saving/shop.service';
import { StockRemoval } from './stock-removal';

/** A list of the shop's document: where it is, how it is put back, and what one row must be. */
interface RowsOf<T> {
  readonly schema: z.ZodType<T>;
  readonly rows: (shop: ShopDocument) => readonly T[];
  readonly withRows: (shop: ShopDocument, rows: T[]) => ShopDocument;
}

/** One of the shop's lists of materials, of which one row is edited beside it: the picked one, else the first. Made in an injection context. */
export class PickedRows<T extends { readonly id: string; readonly name: string; readonly putAway?: boolean | undefined }> {
  readonly #shop = toSignal(inject(ShopService).document$);
  readonly #edit = inject(ShopEditor);
  readonly #removal = inject(StockRemoval);
  readonly #of: RowsOf<T>;
  readonly #chosen = signal<string | null>(null);
  readonly units = computed(() => this.#shop()?.units ?? 'metric');
  readonly rows = computed((): readonly T[] => {
    const shop = this.#shop();
    return shop ? putAwayLast(this.#of.rows(shop)) : [];
  });
  readonly picked = computed(() => this.rows().find(({ id }) => id === this.#chosen()) ?? this.rows()[0] ?? null);

  constructor(of: RowsOf<T>) {
    this.#of = of;
  }

  pick(id: string): void {
    this.#chosen.set(id);
  }

  /** A new row like another, picked at once. */
  add(like: T, name: string): void {
    const id = newId(name, new Set(this.rows().map((one) => one.id)));
    this.#edit.change(
      (shop) => this.#of.withRows(shop, [...this.#of.rows(shop), { ...like, id, name, putAway: undefined }]),
      () => this.pick(id),
    );
  }

  /** Takes a row away, or puts it away where jobs name it. */
  drop(row: T): void {
    const away = (putAway: true | undefined) => () => this.#change(row.id, (one) => ({ ...one, putAway }));
    this.#removal.drop(row, { remove: () => this.#remove(row.id), putAway: away(true), bringBack: away(undefined) });
  }

  /** Offers a row again that was put away. */
  bringBack(id: string): void {
    this.#change(id, (one) => ({ ...one, putAway: undefined }));
  }

  #change(id: string, change: (row: T) => T): void {
    this.#edit.change((shop) =>
      this.#of.withRows(
        shop,
        this.#of.rows(shop).map((one) => (one.id === id ? change(one) : one)),
      ),
    );
  }

  #remove(id: string): void {
    this.#edit.change((shop) =>
      this.#of.withRows(
        shop,
        this.#of.rows(shop).filter((one) => one.id !== id),
      ),
    );
  }

  /** Takes a change of the picked row over, or says at once what is wrong with it. */
  set(change: Partial<T>): void {
    const next = this.#edit.taken(this.#of.schema, { ...this.picked(), ...change }, this.units());
    if (next) this.#change(next.id, () => next);
  }
}
