import { fullSize, issue, planJson, readWith, templatePrintQuerySchema } from '@yardland/core';
import { MOST_PAGES, pagesFor, templatePdf, ticketPdf } from '@yardland/paper';
import { Router } from 'express';
import { check, notFound, Refusal, refused } from '../http/refusal';
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

  router.get('/:id/templates/:cushion.pdf', async (request, response) => {
    const { paper = 'a4', size = 'given', piece, rollWidthMm } = check(templatePrintQuerySchema, request.query, readWith);
    const { job } = jobs.read(request.params.id);
    // Solved first: a plate that is domed for its crown, or a pad, is what it is only then.
    const one = (await solver.shaped(job, shops.read())).cushions[Number(request.params.cushion) - 1];
    if (!one) throw notFound('cushion');
    const found = fullSize(one, size, piece ?? null);
    if (!found && piece !== undefined && one.state === 'planned') throw notFound('piece');
    if (!found)
      throw new Refusal(409, {
        code: 'no-outline',
        path: 'template',
        message: 'This cushion cannot be cut yet: mend what its ticket says first.',
      });
    const { outline, words, piece: printed } = found;
    const pages = rollWidthMm === undefined ? pagesFor(outline, paper) : 1;
    if (pages > MOST_PAGES) throw refused(422, issue('error', 'print-too-many-pages', 'paper', { pages, most: MOST_PAGES }));
    const name = `${job.name}: ${one.source.name}, ${words}`;
    const subject = { outline, ...(printed && { sewn: printed.sewn, holes: printed.holes ?? [], marks: printed.marks }) };
    const pdf = await templatePdf(subject, { name, units: job.units, paper: rollWidthMm === undefined ? paper : { rollWidthMm } });
    response.setHeader('Content-Disposition', `inline; filename="${fileName(`${job.name} ${one.source.name} ${words}`, 'pdf')}"`);
    response.type('pdf').send(Buffer.from(pdf));
  });

  router.get('/:id/plan', async (request, response) => {
    const { job } = jobs.read(request.params.id);
    response.json(planJson(await solver.plan(job, shops.read())));
  });
  return router;
}
