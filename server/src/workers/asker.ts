import type { Request, Response } from 'express';
import type { Asker } from './workers';

/** Who asks, by session where one signs in and else by address; and when they have gone before the answer was sent. */
export function askerOf(request: Request, response: Response): Asker {
  const left = new AbortController();
  response.on('close', () => left.abort());
  const session: unknown = response.locals['session'];
  return {
    name: typeof session === 'string' ? session : (request.socket.remoteAddress ?? ''),
    left: left.signal,
    // Said in the answer, once it is there.
    waits: (before) => void (response.headersSent || response.setHeader('Waited-Behind', String(before))),
  };
}
