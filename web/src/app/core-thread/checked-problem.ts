import { HttpErrorResponse } from '@angular/common/http';
import { catchError, type MonoTypeOperatorFunction, switchMap, throwError } from 'rxjs';
import type { CoreThread } from './core-thread';

/** Lets a refusal through whose job keeps to its contract, where it comes with one; another is an answer that is not understood. */
export function withCheckedProblem<T>(thread: CoreThread): MonoTypeOperatorFunction<T> {
  return catchError((error: unknown) => {
    const body: unknown = error instanceof HttpErrorResponse ? error.error : null;
    if (!(error instanceof HttpErrorResponse) || typeof body !== 'object' || body === null || !('current' in body)) return throwError(() => error);
    const { headers, status, statusText, url } = error;
    const answer = (content: unknown): HttpErrorResponse => new HttpErrorResponse({ error: content, headers, status, statusText, url: url ?? '' });
    return thread.read('problem', body).pipe(
      catchError(() => throwError(() => answer(null))),
      switchMap((problem) => throwError(() => answer(problem))),
    );
  });
}
