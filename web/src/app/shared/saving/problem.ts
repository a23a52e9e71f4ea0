import { HttpErrorResponse } from '@angular/common/http';
import { refusalSchema, type Problem } from '@yardland/core';

/** A failed request as a coded problem; `offline` when the server was not reached. The document beside a stale write was checked where the answer came in. */
export function problemOf(error: unknown): Problem & { readonly status: number } {
  if (error instanceof HttpErrorResponse) {
    if (refusalSchema.safeParse(error.error).success) return { ...(error.error as Problem), status: error.status };
    if (error.status === 0) return { status: 0, code: 'offline', path: '', message: 'The Yardland server does not answer.' };
    return { status: error.status, code: 'unexpected', path: '', message: `The server answered ${error.status} in a way not understood here.` };
  }
  return { status: -1, code: 'unexpected', path: '', message: String(error) };
}
