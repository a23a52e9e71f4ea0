import { randomBytes } from 'node:crypto';
import { isIP } from 'node:net';
import os from 'node:os';
import type { RequestHandler, Response } from 'express';
import helmet from 'helmet';
import { isLoopback, type Config } from '../config';
import { Refusal } from './refusal';

/** A fresh nonce for each page, for the styles that the interface adds while running. */
export const styleNonce: RequestHandler = (_request, response, next) => {
  response.locals['nonce'] = randomBytes(16).toString('base64');
  next();
};

/** Strict headers: scripts, workers, fonts and connections from here only; no inline script, no eval. */
export function securityHeaders(): RequestHandler {
  return helmet({
    contentSecurityPolicy: {
      useDefaults: false,
      directives: {
        defaultSrc: ["'self'"],
        scriptSrc: ["'self'"],
        workerSrc: ["'self'"],
        styleSrc: ["'self'", (_request, response) => `'nonce-${String((response as Response).locals['nonce'])}'`],
        imgSrc: ["'self'", 'data:', 'blob:'],
        fontSrc: ["'self'"],
        manifestSrc: ["'self'"],
        connectSrc: ["'self'"],
        objectSrc: ["'none'"],
        baseUri: ["'self'"],
        formAction: ["'self'"],
        frameAncestors: ["'none'"],
      },
    },
    // Nothing of an address leaves; but a form of our own pages says where it comes from, which none would with no-referrer.
    referrerPolicy: { policy: 'same-origin' },
    strictTransportSecurity: false,
  });
}

/** The host without its port, IPv6 brackets kept off. */
function hostOf(authority: string): string {
  try {
    return new URL(`http://${authority}`).hostname.replace(/^\[|\]$/g, '');
  } catch {
    return '';
  }
}

/** Whether a server is answered under a name: on this machine by loopback names only; in the shop's network by its address, its own name, or one that was told. */
function answersTo({ host, names }: Config, name: string): boolean {
  if (isLoopback(host)) return isLoopback(name);
  const own = os.hostname().toLowerCase();
  return isIP(name) !== 0 || isLoopback(name) || [host, own, `${own}.local`, ...names].includes(name.toLowerCase());
}

/** Only the server's own names are answered, so that a foreign page cannot reach it under a name of its own; and a write must come from a page of this very origin. */
export function sameOrigin(config: Config): RequestHandler {
  return (request, _response, next) => {
    const host = request.headers.host ?? '';
    if (!answersTo(config, hostOf(host))) throw new Refusal(403, { code: 'foreign-host', path: '', message: 'This address is not answered under that name.' });
    const writes = !['GET', 'HEAD', 'OPTIONS'].includes(request.method);
    const { origin } = request.headers;
    if (writes && origin !== undefined && URL.parse(origin)?.host !== host)
      throw new Refusal(403, { code: 'foreign-origin', path: '', message: 'Changes are taken from this application’s own pages only.' });
    next();
  };
}
