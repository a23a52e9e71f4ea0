import { HttpClient } from '@angular/common/http';
import { inject, Injectable } from '@angular/core';
import { openShop, storedShopSchema, type Shop, type ShopDocument, type StoredShop } from '@yardland/core';
import { map, merge, shareReplay, Subject, switchMap, take, tap, type Observable } from 'rxjs';

/** The shop's materials, schools and constants: read once, and renewed when they are changed here. */
@Injectable({ providedIn: 'root' })
export class ShopService {
  readonly #http = inject(HttpClient);
  readonly #changed = new Subject<StoredShop>();
  readonly stored$: Observable<StoredShop> = merge(this.#read(), this.#changed).pipe(shareReplay(1));
  /** Each change from now on, ready for planning. */
  readonly changes$: Observable<Shop> = this.#changed.pipe(map(({ shop }) => openShop(shop)));
  /** The newest shop, once; ready for planning. */
  readonly shop$: Observable<Shop> = this.stored$.pipe(
    take(1),
    map(({ shop }) => openShop(shop)),
  );

  /** Changes the shop's document; a stale change fails with the server's problem and is not taken over. */
  change(edit: (document: ShopDocument) => ShopDocument): Observable<StoredShop> {
    return this.stored$.pipe(
      take(1),
      switchMap(({ revision, shop }) => this.#http.put('/api/shop', { revision, shop: edit(shop) })),
      map((value) => storedShopSchema.parse(value)),
      tap((stored) => this.#changed.next(stored)),
    );
  }

  /** Reads the shop again, after another window has changed it. */
  renew(): Observable<StoredShop> {
    return this.#read().pipe(tap((stored) => this.#changed.next(stored)));
  }

  #read(): Observable<StoredShop> {
    return this.#http.get('/api/shop').pipe(map((value) => storedShopSchema.parse(value)));
  }
}
