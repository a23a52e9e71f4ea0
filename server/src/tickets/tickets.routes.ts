import { planJson } from '@yardland/core';
import { ticketPdf } from '@yardland/paper';
import { Router } from 'express';
import { notFound } from '../http/refusal';
import { fileName } from '../jobs/jobs.routes';
import type { JobStore } from '../jobs/jobs.store';
import type { ShopStore } from '../shop/shop.store';
import type { Solver } from './solver';

/** Paper and derived files of a job: the ticket of each cushion as PDF, the whole plan as JSON. */
export function ticketRoutes(jobs: JobStore, shops: ShopStore, solver: Solver): Router {
  const router = Router({ mergeParams: true });

  router.get('/:id/tickets/:cushion.pdf', async (request, response) => {
    const { job, revision } = jobs.read(request.params.id);
    const index = Number(request.params.cushion) - 1;
    if (!Number.isInteger(index) || !job.cushions[index]) throw notFound('cushion');
    const plan = await solver.plan(job, shops.read());
    const pdf = await ticketPdf(plan, index, { revision, printedAt: new Date() });
    response.setHeader('Content-Disposition', `inline; filename="${fileName(`${job.name} ${job.cushions[index].name}`, 'pdf')}"`);
    response.type('pdf').send(Buffer.from(pdf));
  });

  router.get('/:id/plan', async (request, response) => {
    const { job } = jobs.read(request.params.id);
    response.json(planJson(await solver.plan(job, shops.read())));
  });
  return router;
}
