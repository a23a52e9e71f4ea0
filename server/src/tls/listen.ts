import http, { type RequestListener } from 'node:http';
import https from 'node:https';
import net from 'node:net';
import type { KeyPair } from './certificate';

/** A TLS handshake begins with this byte; no method of HTTP does. */
const HANDSHAKE = 22;
/** A connection that says nothing for so long is closed. */
const SILENT_MS = 10_000;

/** A server that listens on one port. */
export interface Listener {
  readonly listen: (port: number, host: string, listening: (error?: NodeJS.ErrnoException) => void) => void;
  readonly port: () => number;
  readonly close: (closed: () => void) => void;
  readonly closeAllConnections: () => void;
  /** Another certificate, for connections from now on. */
  readonly renew: (pair: KeyPair) => void;
}

/** Listens without TLS. */
export function plainListener(app: RequestListener): Listener {
  const server = http.createServer(app);
  return {
    listen: (port, host, listening) => void server.once('error', listening).listen(port, host, () => listening()),
    port: () => (server.address() as net.AddressInfo).port,
    close(closed) {
      server.close(closed);
      server.closeIdleConnections();
    },
    closeAllConnections: () => server.closeAllConnections(),
    renew: () => undefined,
  };
}

const isHere = (address: string | undefined): boolean => /^(?:::ffff:)?127\.|^::1$/.test(address ?? '');

/**
 * Listens with TLS and without on one port: who speaks TLS gets the application, and so does a command of this very machine that does not; anybody else without TLS gets what `plain` says,
 * which sends them on.
 */
export function tlsListener(app: RequestListener, plain: RequestListener, pair: KeyPair, isOwn: (address: string | undefined) => boolean = isHere): Listener {
  const secure = https.createServer({ ...pair, minVersion: 'TLSv1.2' }, app);
  const here = http.createServer(app);
  const others = http.createServer(plain);
  const servers = [secure, here, others];
  const front = net.createServer((socket) => {
    socket.on('error', () => socket.destroy());
    const silent = (): void => void socket.destroy();
    socket.setTimeout(SILENT_MS).once('timeout', silent);
    socket.once('data', (first: Buffer) => {
      // From here on it is the server's own affair how long it waits.
      socket.setTimeout(0).off('timeout', silent);
      socket.pause();
      socket.unshift(first);
      const server = first[0] === HANDSHAKE ? secure : isOwn(socket.remoteAddress) ? here : others;
      server.emit('connection', socket);
      process.nextTick(() => socket.resume());
    });
  });
  return {
    listen: (port, host, listening) => void front.once('error', listening).listen(port, host, () => listening()),
    port: () => (front.address() as net.AddressInfo).port,
    close(closed) {
      front.close(closed);
      for (const server of servers) server.closeIdleConnections();
    },
    closeAllConnections() {
      for (const server of servers) server.closeAllConnections();
    },
    renew: (next) => secure.setSecureContext({ ...next, minVersion: 'TLSv1.2' }),
  };
}
