import type { PracticeState } from '@yardland/core/practice';
import { Router } from 'express';
import { notFound } from '../http/refusal';
import type { ShopStore } from '../shop/shop.store';
import { askerOf } from '../workers/asker';
import type { Workers } from '../workers/workers';
import type { JobReading } from './reading';
import { sendStored } from './stored';
import type { JobStore } from './jobs.store';

interface PracticeParts {
  readonly jobs: JobStore;
  readonly shops: ShopStore;
  readonly workers: Workers;
  readonly reading: JobReading;
}

/** Practice: a job with mistakes in it, and how far somebody is with finding them. */
export function practiceRoutes({ jobs, shops, workers, reading }: PracticeParts): Router {
  const router = Router();
  router.post('/', async (request, response) => {
    const text = await workers.practice<string>('practiceStart', { shop: shops.read().document }, askerOf(request, response));
    const read = await reading.body(JSON.stringify({ job: JSON.parse(text) as unknown }), 'create');
    if (!read.ok) throw new Error('the practice job is no job');
    await sendStored(response, jobs.create(read.job), reading, 201);
  });
  router.get('/:id', async (request, response) => {
    const { document: job } = jobs.readText(request.params.id);
    const state = await workers.practice<PracticeState | null>('practiceOf', { job, shop: shops.read().document }, askerOf(request, response));
    if (!state) throw notFound('practice job');
    response.json(state);
  });
  return router;
}
