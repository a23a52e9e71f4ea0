import type { Database } from 'better-sqlite3';
import { timingSafeEqual } from 'node:crypto';
import { Router, type RequestHandler } from 'express';
import { COMMAND_KEY } from './address';
import { backUp, backupsIn } from './backup';

/** Backups of the shop: made at the press of a button, and those there are. */
export function backupRoutes(db: Database, dataDir: string): Router {
  const router = Router();
  router.get('/', (_request, response) => {
    response.json({ backups: backupsIn(dataDir) });
  });
  router.post('/', async (_request, response) => {
    const { name, bytes } = await backUp(db, dataDir, new Date());
    response.status(201).json({ name, bytes });
  });
  return router;
}

/** Lets a command of the same folder through that knows the key, without signing in; everybody else goes on to the sign-in. */
export function byCommand(key: string | null, routes: RequestHandler): RequestHandler {
  return (request, response, next) => {
    const given = request.headers[COMMAND_KEY];
    const known = key !== null && typeof given === 'string' && given.length === key.length && timingSafeEqual(Buffer.from(given), Buffer.from(key));
    if (known) routes(request, response, next);
    else next();
  };
}
