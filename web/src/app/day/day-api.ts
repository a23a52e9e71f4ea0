import { HttpClient } from '@angular/common/http';
import { inject, Injectable } from '@angular/core';
import { promisedSchema, saversSchema, shownDaySchema, type ShopDay, type ShownDay } from '@yardland/core';
import type { Promised, Saver, StandingStep, WhatIf } from '@yardland/core/schedule';
import { map, type Observable } from 'rxjs';

/** The plan of the day, made by the server. */
@Injectable({ providedIn: 'root' })
export class DayApi {
  readonly #http = inject(HttpClient);

  /** The plan with how the shop works as it is here, whether or not that is kept already, and with something tried out. */
  shown(shopDay: ShopDay | undefined, whatIf: WhatIf = {}): Observable<ShownDay> {
    return this.#http.post('/api/day/what-if', { ...(shopDay ? { shopDay } : {}), ...whatIf }).pipe(map((value) => shownDaySchema.parse(value)));
  }

  /** Puts back a plan that stood: the next one goes on from it. Null lets the one that stands go: the next is made anew. */
  stand(steps: readonly StandingStep[] | null): Observable<unknown> {
    return steps ? this.#http.put('/api/day/standing', { steps }) : this.#http.delete('/api/day/standing');
  }

  promise(job: string): Observable<Promised> {
    return this.#http.get(`/api/day/promise/${job}`).pipe(map((value) => promisedSchema.parse(value)));
  }

  savers(job: string): Observable<readonly Saver[]> {
    return this.#http.get(`/api/day/savers/${job}`).pipe(map((value) => saversSchema.parse(value).savers));
  }
}
