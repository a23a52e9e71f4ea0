import { HttpClient, type HttpInterceptorFn } from '@angular/common/http';
import { inject, Injectable } from '@angular/core';
import { madeTokenSchema, sessionListSchema, tokenListSchema, type MadeToken, type MakeToken, type SessionList, type TokenList } from '@yardland/core';
import { map, switchMap, tap, type Observable } from 'rxjs';
import { forgetKept } from '../offline/kept';
import { problemOf } from '../shared/saving/problem';

/** Who is signed in, where the shop asks for its pass-phrase. */
@Injectable({ providedIn: 'root' })
export class SessionsApi {
  readonly #http = inject(HttpClient);

  list(): Observable<SessionList> {
    return this.#http.get('/api/sessions').pipe(map((value) => sessionListSchema.parse(value)));
  }

  end(id: string): Observable<unknown> {
    return this.#http.delete(`/api/sessions/${id}`);
  }

  /** Tokens of the shop's programs. */
  tokens(): Observable<TokenList> {
    return this.#http.get('/api/tokens').pipe(map((value) => tokenListSchema.parse(value)));
  }

  makeToken(asked: MakeToken): Observable<MadeToken> {
    return this.#http.post('/api/tokens', asked).pipe(map((value) => madeTokenSchema.parse(value)));
  }

  endToken(id: string): Observable<unknown> {
    return this.#http.delete(`/api/tokens/${id}`);
  }

  /** Signs out; what this device has kept of the shop is forgotten. */
  signOut(): Observable<unknown> {
    return this.#http.post('/sign-out', null, { responseType: 'text' }).pipe(switchMap(() => forgetKept()));
  }
}

/** A window that is looked at again asks whether its session still is: one that was ended elsewhere shows nothing more. */
export function watchSession(http: HttpClient): void {
  document.addEventListener('visibilitychange', () => {
    if (document.visibilityState === 'visible') http.get('/api/sessions').subscribe({ error: () => undefined });
  });
}

/** A session that is over: the pass-phrase is asked for, and then this page again. What was not sent yet waits in the browser until then. */
export const signInAgain: HttpInterceptorFn = (request, next) =>
  next(request).pipe(
    tap({
      error: (error: unknown) => {
        const { status, code } = problemOf(error);
        if (status !== 401 || code !== 'pass-phrase-needed') return;
        // Ended here or elsewhere: nothing that this browser has kept of the shop is shown any more.
        const to = `/sign-in?to=${encodeURIComponent(location.pathname + location.search)}`;
        void forgetKept().finally(() => location.assign(to));
      },
    }),
  );
