import { randomBytes, scryptSync, timingSafeEqual } from 'node:crypto';
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
        connectSrc: ["'self'"],
        objectSrc: ["'none'"],
        baseUri: ["'self'"],
        formAction: ["'self'"],
        frameAncestors: ["'none'"],
      },
    },
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

/**
 * On a loopback server only loopback names are answered, so that a foreign page cannot reach it under a name of its own; and a write
 * must come from a page of this very origin.
 */
export function sameOrigin(config: Config): RequestHandler {
  return (request, _response, next) => {
    const host = request.headers.host ?? '';
    if (isLoopback(config.host) && !isLoopback(hostOf(host)))
      throw new Refusal(403, { code: 'foreign-host', path: '', message: 'This address is not answered under that name.' });
    const writes = !['GET', 'HEAD', 'OPTIONS'].includes(request.method);
    const { origin } = request.headers;
    if (writes && origin !== undefined && URL.parse(origin)?.host !== host)
      throw new Refusal(403, { code: 'foreign-origin', path: '', message: 'Changes are taken from this application’s own pages only.' });
    next();
  };
}

const MOST_FAILURES = 10;
const FORGET_AFTER_MS = 60_000;

/** Asks for the shop's pass-phrase on every request, where one is set. Ten wrong tries in a minute from one address are enough. */
export function passPhraseGate(passPhrase: string | null): RequestHandler {
  if (passPhrase === null) return (_request, _response, next) => next();
  const salt = randomBytes(16);
  const wanted = scryptSync(passPhrase, salt, 32);
  let known = '';
  const failures = new Map<string, { count: number; since: number }>();
  return (request, response, next) => {
    const given = request.headers.authorization ?? '';
    if (known !== '' && given === known) {
      next();
      return;
    }
    const from = request.socket.remoteAddress ?? '';
    const past = failures.get(from);
    const recent = past && Date.now() - past.since < FORGET_AFTER_MS ? past : { count: 0, since: Date.now() };
    if (recent.count >= MOST_FAILURES) throw new Refusal(429, { code: 'too-many-tries', path: '', message: 'Too many wrong pass-phrases; wait a minute.' });
    const phrase = Buffer.from(given.replace(/^Basic /, ''), 'base64')
      .toString('utf8')
      .replace(/^[^:]*:/, '');
    if (given !== '' && timingSafeEqual(scryptSync(phrase, salt, 32), wanted)) {
      known = given;
      next();
      return;
    }
    if (given !== '') failures.set(from, { ...recent, count: recent.count + 1 });
    response.setHeader('WWW-Authenticate', 'Basic realm="Yardland", charset="UTF-8"');
    throw new Refusal(401, { code: 'pass-phrase-needed', path: '', message: 'This shop asks for its pass-phrase.' });
  };
}
