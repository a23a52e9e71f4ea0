import { fromEvent, merge, throwError, timer, type Observable } from 'rxjs';
import { problemOf } from './problem';

/** How long to wait before trying an unreachable server again; the browser's own sign of being back online is not waited for. */
const TRY_AGAIN_MS = 3000;
/** After an answer that says it is not for want of a way there, it is asked again after so long, doubled each time up to the most. */
const FIRST_WAIT_MS = 1000;
const MOST_WAIT_MS = 30_000;

/**
 * When a request that failed is worth another try: a server that is away, or too busy to answer, is asked again, less and less often; `waits` is told first. Fails with
 * the error where the server has answered and another try would get the same. For `retry({ delay })`: `tries` counts from 1.
 */
export function whenBack(error: unknown, tries: number, waits: () => void): Observable<unknown> {
  const { status } = problemOf(error);
  if (status !== 0 && status !== 429 && status < 500) return throwError(() => error);
  waits();
  const wait = status === 0 ? TRY_AGAIN_MS : Math.min(MOST_WAIT_MS, FIRST_WAIT_MS * 2 ** (tries - 1));
  return merge(timer(wait), fromEvent(window, 'online'));
}
