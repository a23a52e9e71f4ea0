import { HttpClient } from '@angular/common/http';
import { inject, Injectable } from '@angular/core';
import { stockUsesSchema, type StockUses } from '@yardland/core';
import { map } from 'rxjs';
import { Messages } from '../shared/messages';
import { problemOf } from '../shared/saving/problem';
import { ABOUT_SHOP } from '../shared/saving/shop.service';

/** The two ways out of the stockroom. */
interface Ways {
  readonly remove: () => void;
  readonly putAway: () => void;
  readonly bringBack: () => void;
}

/** The jobs that name a thing, in words: `Reading corner`, `Reading corner and 2 more jobs`. */
function jobsWords({ count, jobs: [first = '', second] }: StockUses): string {
  if (count === 1) return first;
  if (count === 2) return `${first} and ${second ?? ''}`;
  return `${first} and ${count - 1} more jobs`;
}

/** Takes a thing out of the stockroom: away for good where no job names it, else put away, so that it is no longer offered and stays readable in the jobs that do. */
@Injectable({ providedIn: 'root' })
export class StockRemoval {
  readonly #http = inject(HttpClient);
  readonly #messages = inject(Messages);

  drop({ id, name }: { readonly id: string; readonly name: string }, { remove, putAway, bringBack }: Ways): void {
    this.#http
      .get(`/api/shop/uses/${encodeURIComponent(id)}`)
      .pipe(map((answer) => stockUsesSchema.parse(answer)))
      .subscribe({
        next: (uses) => {
          if (uses.count === 0) {
            remove();
            return;
          }
          putAway();
          this.#messages.tell(
            'put-away',
            `${name} is named by ${jobsWords(uses)}: it is put away. It is no longer offered, and stays readable there.`,
            bringBack,
          );
        },
        error: (error: unknown) => this.#messages.warn(ABOUT_SHOP, `${name} stays: which jobs name it could not be asked. ${problemOf(error).message}`),
      });
  }
}
