import { issue, sayLine, type Issue, type Problem } from '@yardland/core';
import type { ErrorRequestHandler, RequestHandler } from 'express';
import type { Logger } from 'pino';
import type * as z from 'zod';

/** What a refusal has besides its problem. */
export interface RefusalMore {
  /** When to ask again, seconds; for status 503. */
  readonly retryAfterS?: number;
  /** The job as it stands now, as JSON text; for a stale write. */
  readonly current?: () => Promise<string>;
}

/** An answer that is not the one asked for: a status and a coded problem. Thrown by routes, sent by `sendRefusals`. */
export class Refusal extends Error {
  constructor(
    readonly status: number,
    readonly problem: Problem,
    readonly more: RefusalMore = {},
  ) {
    super(problem.message);
  }
}

export const notFound = (what: string): Refusal => new Refusal(404, { code: 'not-found', path: '', message: `There is no such ${what}.` });

const IN_WORDS = { units: 'metric' as const, step: { mm: 1, inch: 0.125 } };

/** Problems named at most; how many more there are is said. */
const MOST_PROBLEMS = 50;

/** The first of many problems, and one that says how many more there are. */
export function firstOf(problems: readonly Issue[]): readonly Issue[] {
  if (problems.length <= MOST_PROBLEMS || problems.at(-1)?.code === 'problems-left-out') return problems;
  return [...problems.slice(0, MOST_PROBLEMS), issue('error', 'problems-left-out', '', { count: problems.length - MOST_PROBLEMS })];
}

/** A refusal of a body or query, with the path and sentence of its problems. */
export function invalid(problems: readonly Issue[]): Refusal {
  const said = firstOf(problems).map((problem) => ({ code: problem.code, path: problem.path, message: sayLine(problem, IN_WORDS) }));
  const [first] = said;
  return new Refusal(400, {
    code: first?.code ?? 'invalid',
    path: first?.path ?? '',
    message: first?.message ?? 'The request is not as it should be.',
    problems: said,
  });
}

/** A refusal of one thing, in the core's own sentence. */
export function refused(status: number, problem: Issue): Refusal {
  return new Refusal(status, { code: problem.code, path: problem.path, message: sayLine(problem, IN_WORDS) });
}

/** Checks a value that came in against its contract; throws the refusal. */
export function check<T>(
  schema: z.ZodType<T>,
  value: unknown,
  read: (schema: z.ZodType<T>, value: unknown) => { ok: true; value: T } | { ok: false; problems: readonly Issue[] },
): T {
  const result = read(schema, value);
  if (!result.ok) throw invalid(result.problems);
  return result.value;
}

export const unknownRoute: RequestHandler = () => {
  throw new Refusal(404, { code: 'no-such-route', path: '', message: 'There is nothing at this address.' });
};

/** A body that is no JSON. */
export const bodyNotJson = (): Refusal => new Refusal(400, { code: 'body-not-json', path: '', message: 'The request is not JSON text.' });

const bodyProblems: Record<string, Problem> = {
  'entity.parse.failed': { code: 'body-not-json', path: '', message: 'The request is not JSON text.' },
  'entity.too.large': { code: 'body-too-large', path: '', message: 'The request is larger than is taken here.' },
  'encoding.unsupported': { code: 'body-encoding', path: '', message: 'The request is packed in a way that is not read here.' },
};

/** What keeps the database from being read or written, by the code of the error: nothing was changed, and it is worth trying again. */
const troubles: readonly (readonly [RegExp, Problem])[] = [
  [
    /^SQLITE_(BUSY|LOCKED)/,
    { code: 'database-busy', path: '', message: 'The shop’s database is held by another program. Nothing was changed; it is tried again.' },
  ],
  [/^(SQLITE_FULL|ENOSPC)/, { code: 'disk-full', path: '', message: 'The disk of the shop’s database is full. Nothing was changed; make room on it.' }],
  [
    /^SQLITE_(READONLY|IOERR|CANTOPEN)/,
    { code: 'database-unwritable', path: '', message: 'The shop’s database cannot be written now. Nothing was changed; look at its disk.' },
  ],
];

/** Last in the chain: turns whatever was thrown into a coded answer; what was not expected is logged, and nothing of it leaves. */
export function sendRefusals(log: Logger): ErrorRequestHandler {
  return async (error: unknown, request, response, next) => {
    if (response.headersSent) {
      next(error);
      return;
    }
    if (error instanceof Refusal) {
      const { retryAfterS, current } = error.more;
      if (retryAfterS !== undefined) response.setHeader('Retry-After', String(retryAfterS));
      // A job that is damaged as it is stored cannot be shown; the refusal stands without it.
      const now = current && (await current().catch(() => null));
      const text = JSON.stringify(error.problem);
      response
        .status(error.status)
        .type('json')
        .send(now ? `${text.slice(0, -1)},"current":${now}}` : text);
      return;
    }
    const { type, status } = error as { type?: string; status?: number };
    const body = type ? bodyProblems[type] : undefined;
    if (body || (status && status >= 400 && status < 500)) {
      response.status(status ?? 400).json(body ?? { code: 'bad-request', path: '', message: 'The request could not be read.' });
      return;
    }
    const trouble = troubles.find(([codes]) => codes.test((error as { code?: string }).code ?? ''));
    if (trouble) {
      log.error({ err: error, url: request.url }, 'the database could not be written');
      response.setHeader('Retry-After', '5');
      response.status(503).json(trouble[1]);
      return;
    }
    log.error({ err: error, url: request.url }, 'unexpected');
    response.status(500).json({ code: 'unexpected', path: '', message: 'Something went wrong here; nothing was changed. It has been written to the log.' });
  };
}
