import { HttpResponse, type HttpInterceptorFn } from '@angular/common/http';
import { inject } from '@angular/core';
import { tap } from 'rxjs';
import { timeWords } from '../shared/words/days';
import { Messages } from '../shared/messages';
import { KEPT_SINCE } from './kept';

/** What messages about the server being away are about. */
const ABOUT = 'the server';

/** Says when what is shown was kept by this browser because the server is away, and what cannot be done until it is back; and no longer says it once the server answers. */
export const sayServerAway: HttpInterceptorFn = (request, next) => {
  const messages = inject(Messages);
  return next(request).pipe(
    tap((event) => {
      if (!(event instanceof HttpResponse)) return;
      const since = event.headers.get(KEPT_SINCE);
      if (since === null) messages.settle(ABOUT);
      else if (!messages.all().some(({ about, bad }) => about === ABOUT && bad))
        messages.warn(
          ABOUT,
          `The server is away: this is how it was ${timeWords(since)}. Jobs and rooms that were opened here can be worked on, and what you change goes out when it is back; printing, pictures and new jobs need the server.`,
        );
    }),
  );
};
