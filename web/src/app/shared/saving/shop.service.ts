import { HttpClient } from '@angular/common/http';
import { inject, Injectable } from '@angular/core';
import { mergeShops, openShop, storedShopSchema, type Shop, type ShopDocument } from '@yardland/core';
import { forkJoin, map, shareReplay, skip, switchMap, take, type Observable } from 'rxjs';
import { DocumentQueue, type Unsent, type Version } from './document-queue';
import { Messages } from '../messages';
import { tellOfQueue } from './queue-messages';
import { WindowShelves } from './window-shelves';

/** What messages about the shop's document are about. */
export const ABOUT_SHOP = 'the shop';

/** Where what the server has not got of the shop is kept in the browser. */
const KIND = 'yardland.unsent-shop.';
const ID = 'shop';

const versionOf = (value: unknown): Version<ShopDocument> => {
  const { revision, shop } = storedShopSchema.parse(value);
  return { revision, document: shop };
};

/** The shop's materials, schools and constants: read once; what is changed here shows at once and goes out when the server answers. */
@Injectable({ providedIn: 'root' })
export class ShopService {
  readonly #http = inject(HttpClient);
  readonly #shelves = inject(WindowShelves);
  readonly #messages = inject(Messages);
  readonly #queue$ = forkJoin([this.#http.get('/api/shop').pipe(map(versionOf)), this.#shelves.find(KIND, ID)]).pipe(
    map(([current, unsent]) => this.#begin(current, unsent as Unsent<ShopDocument> | null)),
    shareReplay(1),
  );
  /** The shop's document now, and after each change. */
  readonly document$: Observable<ShopDocument> = this.#queue$.pipe(switchMap(({ document$ }) => document$));
  /** Each change from now on, ready for planning. */
  readonly changes$: Observable<Shop> = this.#queue$.pipe(
    switchMap(({ document$ }) => document$.pipe(skip(1))),
    map(openShop),
  );
  /** The newest shop, once; ready for planning. */
  readonly shop$: Observable<Shop> = this.document$.pipe(take(1), map(openShop));

  /** Changes the shop's document. Fails where it was never read. */
  change(edit: (document: ShopDocument) => ShopDocument): Observable<void> {
    return this.#queue$.pipe(
      take(1),
      map((queue) => queue.change(edit)),
    );
  }

  #begin(current: Version<ShopDocument>, unsent: Unsent<ShopDocument> | null): DocumentQueue<ShopDocument> {
    if (!current.document) throw new Error('no shop');
    const queue = new DocumentQueue<ShopDocument>(
      {
        write: (revision, shop) => this.#http.put('/api/shop', { revision, shop }).pipe(map(versionOf)),
        currentIn: ({ currentShop }) => (storedShopSchema.safeParse(currentShop).success ? versionOf(currentShop) : null),
        merge: mergeShops,
        keep: (waiting) => this.#shelves.keep(KIND, ID, waiting),
      },
      current,
      current.document,
    );
    tellOfQueue(queue, this.#messages, ABOUT_SHOP, 'The shop');
    queue.resume(unsent);
    return queue;
  }
}
