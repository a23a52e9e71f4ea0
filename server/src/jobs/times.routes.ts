import { Router } from 'express';
import { askerOf } from '../workers/asker';
import type { ShopStore } from '../shop/shop.store';
import type { Workers } from '../workers/workers';
import type { JobStore } from './jobs.store';

/** So many of the jobs that were worked at last tell how long work takes. */
const JOBS_LOOKED_AT = 500;

/** What the clock at the bench says of the shop's rates. */
export function timesRoutes(jobs: JobStore, shops: ShopStore, workers: Workers): Router {
  const router = Router();
  router.get('/', async (request, response) => {
    response.json(await workers.times({ jobs: jobs.clocked(JOBS_LOOKED_AT), shop: shops.read().document }, askerOf(request, response)));
  });
  return router;
}
