import { HttpClient } from '@angular/common/http';
import { inject, Injectable } from '@angular/core';
import { openShop, shopSchema, type Shop } from '@yardland/core';
import { map, shareReplay, type Observable } from 'rxjs';

/** The shop's materials, schools and constants: read once. */
@Injectable({ providedIn: 'root' })
export class ShopService {
  readonly shop$: Observable<Shop> = inject(HttpClient)
    .get('/api/shop')
    .pipe(
      map((value) => openShop(shopSchema.parse(value))),
      shareReplay(1),
    );
}
