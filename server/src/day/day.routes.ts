import { randomBytes, timingSafeEqual } from 'node:crypto';
import { isDeepStrictEqual } from 'node:util';
import { readWith, standingSchema, whatIfSchema, type ShownDay } from '@yardland/core';
import { standingOf, type Day, type Promised, type Saver } from '@yardland/core/schedule';
import type { Database } from 'better-sqlite3';
import { Router, type Request, type RequestHandler, type Response } from 'express';
import { check, notFound } from '../http/refusal';
import type { JobStore } from '../jobs/jobs.store';
import { localDay } from '../local-day';
import type { ShopStore } from '../shop/shop.store';
import { askerOf } from '../workers/asker';
import type { DayTask } from '../workers/day-tasks';
import type { Workers } from '../workers/workers';
import { calendarOf } from './calendar';
import type { StandingStore } from './standing.store';

/** So many jobs that are not ready are planned at most. */
const MOST_JOBS = 200;
const CALENDAR = 'calendar';

/** The secret in the address of the shop's calendar, made when it is first asked for. */
function calendarKey(db: Database): string {
  const read = db.prepare<[string], { value: string }>('SELECT value FROM secret WHERE name = ?');
  const known = read.get(CALENDAR)?.value;
  if (known !== undefined) return known;
  const value = randomBytes(24).toString('base64url');
  db.prepare('INSERT OR IGNORE INTO secret (name, value, created_at) VALUES (?, ?, ?)').run(CALENDAR, value, new Date().toISOString());
  return read.get(CALENDAR)?.value ?? value;
}

/** When it is where the shop is. */
function moment(now = new Date()): DayTask['at'] {
  const two = (n: number): string => String(n).padStart(2, '0');
  return { day: localDay(now), time: `${two(now.getHours())}:${two(now.getMinutes())}` };
}

interface DayParts {
  readonly db: Database;
  readonly jobs: JobStore;
  readonly shops: ShopStore;
  readonly workers: Workers;
  readonly standing: StandingStore;
}

const taskOf = ({ jobs, shops, standing }: DayParts): DayTask => ({
  jobs: jobs.toDo(MOST_JOBS),
  shop: shops.read().document,
  at: { ...moment(), standing: standing.read() },
});

/** The plan of the day: who does what when, what could be promised, what would save a late job; as a calendar and on paper. */
export function dayRoutes(parts: DayParts): Router {
  const { db, workers, standing } = parts;
  const router = Router();
  /** `holds`: by how the shop works, with nothing tried out. Then the next plan goes on from it, unless another has come to stand meanwhile. */
  const shown = async (task: DayTask, holds: boolean, request: Request, response: Response): Promise<void> => {
    const plan = await workers.day<Omit<ShownDay, 'calendar'>>('dayPlan', task, askerOf(request, response));
    if (holds && !plan.day.problems.length && isDeepStrictEqual(standing.read(), task.at.standing)) standing.write(standingOf(plan.day));
    response.json({ ...plan, calendar: `/calendar/${calendarKey(db)}.ics` } satisfies ShownDay);
  };

  router.get('/', (request, response) => shown(taskOf(parts), true, request, response));
  router.post('/what-if', (request, response) => {
    const { shopDay, ...whatIf } = check(whatIfSchema, request.body, readWith);
    const task = taskOf(parts);
    const holds = Object.keys(whatIf).length === 0 && (!shopDay || isDeepStrictEqual(shopDay, task.shop.day));
    const tried = { ...task, shop: shopDay ? { ...task.shop, day: shopDay } : task.shop, whatIf: whatIf as NonNullable<DayTask['whatIf']> };
    return shown(tried, holds, request, response);
  });
  router.put('/standing', (request, response) => {
    standing.write(check(standingSchema, request.body, readWith).steps);
    response.status(204).end();
  });
  router.delete('/standing', (_request, response) => {
    standing.drop();
    response.status(204).end();
  });
  router.get('/promise/:id', async (request, response) => {
    const task = { ...taskOf(parts), job: request.params.id };
    const promised = await workers.day<Promised | null>('dayPromise', task, askerOf(request, response));
    if (!promised) throw notFound('job to promise');
    response.json(promised);
  });
  router.get('/savers/:id', async (request, response) => {
    const savers = await workers.day<readonly Saver[]>('daySavers', { ...taskOf(parts), job: request.params.id }, askerOf(request, response));
    response.json({ savers });
  });
  router.get('/day.pdf', async (request, response) => {
    const task = taskOf(parts);
    const file = await workers.day<Uint8Array>(
      'dayPaper',
      { ...task, ask: { shop: task.shop.name, units: task.shop.units, printedAt: new Date() } },
      askerOf(request, response),
    );
    response.setHeader('Content-Disposition', 'inline; filename="the-day.pdf"');
    response.type('pdf').send(Buffer.from(file));
  });
  return router;
}

/** The calendar at its secret address: programs that subscribe to it cannot sign in. Whoever does not know the address finds nothing there. */
export function calendarRoute(parts: DayParts): RequestHandler {
  return async (request, response) => {
    const [given, wanted] = [Buffer.from(String(request.params['key'])), Buffer.from(calendarKey(parts.db))];
    if (given.length !== wanted.length || !timingSafeEqual(given, wanted)) throw notFound('calendar');
    const task = taskOf(parts);
    const { day } = await parts.workers.day<{ readonly day: Day }>('dayPlan', task, askerOf(request, response));
    response.setHeader('Cache-Control', 'no-store');
    response.type('text/calendar').send(calendarOf(day, task.shop.name));
  };
}
