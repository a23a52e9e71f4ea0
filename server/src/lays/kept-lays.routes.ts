import { keptLaysSchema, LAY_ENGINE, readWith, type KeptLays } from '@yardland/core';
import { Router } from 'express';
import { check } from '../http/refusal';
import type { JobStore } from '../jobs/jobs.store';
import type { KeptLayStore } from './kept-lays.store';

/** Lays of a job that were worked out already: by its pages, or for its papers. */
export function keptLayRoutes(jobs: JobStore, kept: KeptLayStore): Router {
  const router = Router({ mergeParams: true });
  router.get('/:id/lays', (request, response) => {
    const { id } = request.params;
    jobs.readText(id);
    response.json({ engine: LAY_ENGINE, lays: kept.of(id) } satisfies KeptLays);
  });
  router.put('/:id/lays', (request, response) => {
    const { id } = request.params;
    jobs.readText(id);
    kept.keep(id, check(keptLaysSchema, request.body, readWith).lays);
    response.status(204).end();
  });
  return router;
}
