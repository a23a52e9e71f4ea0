import type { Database } from 'better-sqlite3';
import { Router } from 'express';
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
