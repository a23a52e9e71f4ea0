import type { Response } from 'express';

/** Begins an answer of server-sent events; what it returns tells one. Ended like any other answer. */
export function beginEvents(response: Response): (event: string, data: unknown) => void {
  // `no-transform` keeps the compression from holding events back.
  response.writeHead(200, { 'Content-Type': 'text/event-stream', 'Cache-Control': 'no-store, no-transform', 'X-Accel-Buffering': 'no' });
  return (event, data) => {
    response.write(`event: ${event}\ndata: ${JSON.stringify(data)}\n\n`);
  };
}
