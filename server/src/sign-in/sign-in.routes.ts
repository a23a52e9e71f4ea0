import { randomBytes, scrypt, timingSafeEqual } from 'node:crypto';
import { promisify } from 'node:util';
import express, { Router, type Request, type RequestHandler, type Response } from 'express';
import type { Logger } from 'pino';
import { makeTokenSchema, readWith } from '@yardland/core';
import { check, notFound, Refusal } from '../http/refusal';
import { Guesses } from './guesses';
import { IDLE_MS, type Sessions } from './sessions';
import { signInPage } from './sign-in-page';
import type { TokenBearer, Tokens } from './tokens';

const COOKIE = 'yardland_session';
const WRONG = 'That is not the pass-phrase of this shop.';
const TOO_MANY = 'Too many are signing in from here at once; wait a moment.';

const scrypted = promisify<string, Buffer, number, Buffer>(scrypt);

/** The session's token in a request's cookie. */
function tokenOf({ headers }: Request): string | undefined {
  const pairs = (headers.cookie ?? '').split(/; */).map((pair) => pair.split('='));
  return pairs.find(([name]) => name === COOKIE)?.[1];
}

/** A page of this very server to go to after signing in: never another one's. */
const ownPage = (to: unknown): string => (typeof to === 'string' && /^\/(?![/\\])/.test(to) && !to.startsWith('/sign-in') ? to : '/');

const sendPage = (response: Response, status: number, to: string, problem: string | null): void => {
  response.setHeader('Cache-Control', 'no-store');
  response
    .status(status)
    .type('html')
    .send(signInPage({ nonce: String(response.locals['nonce']), to, problem }));
};

interface SignInParts {
  readonly sessions: Sessions;
  readonly tokens: Tokens;
  readonly log: Logger;
}

/** What a program may not do, whatever its token: say who else comes in. */
const PEOPLE_ONLY = /^\/api\/(?:sessions|tokens|backups)(?:\/|$)/;

/** Lets a program in by its token, for what it may do; throws the refusal. */
function letIn(bearer: TokenBearer, { method, path }: Request): void {
  if (!path.startsWith('/api/') || PEOPLE_ONLY.test(path))
    throw new Refusal(403, { code: 'token-not-for-this', path: '', message: 'A program’s token is not for this: sign in as a person.' });
  if (!bearer.mayWrite && !['GET', 'HEAD'].includes(method))
    throw new Refusal(403, { code: 'token-reads-only', path: '', message: 'This token is for reading only.' });
}

/** Tokens of programs: listed, made, ended. */
function tokenRoutes(router: Router, tokens: Tokens): void {
  router.get('/api/tokens', (_request, response) => {
    response.json({ tokens: tokens.list() });
  });
  router.post('/api/tokens', express.json({ limit: '4kb' }), (request, response) => {
    response.status(201).json(tokens.make(check(makeTokenSchema, request.body, readWith)));
  });
  router.delete('/api/tokens/:id', (request, response) => {
    if (!tokens.end(request.params.id)) throw notFound('token');
    response.status(204).end();
  });
}

/**
 * Sign-in with the shop's pass-phrase: a page that asks for it, a session in an HttpOnly, SameSite cookie, and signing out. Wrong guesses slow down the next ones but lock nobody out: the
 * right one is always accepted. Ending a session ends its streams. Everything after this middleware requires a session.
 */
export function signIn(passPhrase: string, { sessions, tokens, log }: SignInParts): RequestHandler {
  const router = Router();
  const salt = randomBytes(16);
  const wanted = scrypted(passPhrase, salt, 32);
  const guesses = new Guesses();

  router.get('/sign-in', (request, response) => {
    const to = ownPage(request.query['to']);
    if (sessions.of(tokenOf(request))) response.redirect(303, to);
    else sendPage(response, 200, to, null);
  });
  router.post('/sign-in', express.urlencoded({ limit: '4kb', extended: false }), async (request, response) => {
    const { phrase, to } = (request.body ?? {}) as { phrase?: unknown; to?: unknown };
    const guess = typeof phrase === 'string' ? phrase : '';
    const from = request.ip ?? '';
    const right = await guesses.inTurn(from, async () => {
      const is = timingSafeEqual(await scrypted(guess, salt, 32), await wanted);
      if (!is) guesses.wrong(from, guess);
      return is;
    });
    if (right === null) {
      sendPage(response, 429, ownPage(to), TOO_MANY);
      return;
    }
    if (!right) {
      log.warn({ from }, 'a wrong pass-phrase');
      sendPage(response, 401, ownPage(to), WRONG);
      return;
    }
    response.cookie(COOKIE, sessions.begin(request.headers['user-agent'] ?? ''), {
      httpOnly: true,
      sameSite: 'strict',
      secure: request.secure,
      path: '/',
      maxAge: IDLE_MS,
    });
    response.redirect(303, ownPage(to));
  });

  router.use((request, response, next) => {
    const bearer = tokens.of(request.headers.authorization);
    if (bearer) {
      letIn(bearer, request);
      response.locals['session'] = bearer.id;
      next();
      return;
    }
    const here = sessions.of(tokenOf(request));
    if (here !== null) {
      response.locals['session'] = here;
      // A stream goes on after it was begun: it ends with its session.
      const heard = sessions.whenEnded(here, () => {
        if (String(response.getHeader('content-type')).startsWith('text/event-stream')) response.end();
      });
      response.on('close', heard);
      next();
      return;
    }
    const wantsPage = request.method === 'GET' && !request.path.startsWith('/api/') && request.accepts(['json', 'html']) === 'html';
    if (wantsPage) response.redirect(303, `/sign-in?to=${encodeURIComponent(request.originalUrl)}`);
    else throw new Refusal(401, { code: 'pass-phrase-needed', path: '', message: 'This shop asks for its pass-phrase: sign in again.' });
  });

  router.post('/sign-out', (_request, response) => {
    sessions.end(String(response.locals['session']));
    response.clearCookie(COOKIE, { path: '/' });
    response.redirect(303, '/sign-in');
  });
  tokenRoutes(router, tokens);
  router.get('/api/sessions', (_request, response) => {
    response.json({ asked: true, sessions: sessions.list(String(response.locals['session'])) });
  });
  router.delete('/api/sessions/:id', (request, response) => {
    if (!sessions.end(request.params.id)) throw notFound('session');
    response.status(204).end();
  });
  return router;
}

/** Where no pass-phrase is set nobody signs in. */
export const nobodySignsIn: RequestHandler = (request, response, next) => {
  if (request.method === 'GET' && request.path === '/api/sessions') response.json({ asked: false, sessions: [] });
  else next();
};
