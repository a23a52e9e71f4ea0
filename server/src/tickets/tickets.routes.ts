import { labelQuerySchema, readWith, templatePrintQuerySchema } from '@yardland/core';
import { Router } from 'express';
import { askerOf } from '../http/asker';
import { check, notFound, Refusal, refused } from '../http/refusal';
import { fileName } from '../jobs/jobs.routes';
import type { JobStore } from '../jobs/jobs.store';
import type { ShopStore } from '../shop/shop.store';
import type { Printed } from '../workers/tasks';
import type { Workers } from '../workers/workers';

/** A file that was made; otherwise refused with why there is none. */
export function printed(made: Printed): Extract<Printed, { readonly kind: 'file' }> {
  if (made.kind === 'no-piece') throw notFound('piece');
  if (made.kind === 'no-outline')
    throw new Refusal(409, { code: 'no-outline', path: 'template', message: 'This cushion cannot be cut yet: mend what its ticket says first.' });
  if (made.kind === 'refused') throw refused(422, made.problem);
  return made;
}

/** Paper and derived files of a job, made in worker threads: the ticket of each cushion as PDF, templates at full size, the whole plan as JSON. */
export function ticketRoutes(jobs: JobStore, shops: ShopStore, workers: Workers): Router {
  const router = Router({ mergeParams: true });

  router.get('/:id/tickets/:cushion.pdf', async (request, response) => {
    const { job, revision } = jobs.read(request.params.id);
    const index = Number(request.params.cushion) - 1;
    const cushion = job.cushions[index];
    if (!Number.isInteger(index) || !cushion) throw notFound('cushion');
    const pdf = await workers.ticket({ job, shop: shops.read().document, index, stamp: { revision, printedAt: new Date() } }, askerOf(request, response));
    response.setHeader('Content-Disposition', `inline; filename="${fileName(`${job.name} ${cushion.name}`, 'pdf')}"`);
    response.type('pdf').send(Buffer.from(pdf));
  });

  router.get('/:id/cutting-list.pdf', async (request, response) => {
    const { job, revision } = jobs.read(request.params.id);
    const pdf = await workers.cuttingList({ job, shop: shops.read().document, stamp: { revision, printedAt: new Date() } }, askerOf(request, response));
    response.setHeader('Content-Disposition', `inline; filename="${fileName(`${job.name} cutting list`, 'pdf')}"`);
    response.type('pdf').send(Buffer.from(pdf));
  });

  router.get('/:id/labels.pdf', async (request, response) => {
    const { stock, cushion } = check(labelQuerySchema, request.query, readWith);
    const { job } = jobs.read(request.params.id);
    if (cushion !== undefined && !job.cushions[cushion - 1]) throw notFound('cushion');
    const task = {
      job,
      shop: shops.read().document,
      index: cushion === undefined ? null : cushion - 1,
      stock: stock ?? (job.units === 'inch' ? 'letter' : 'a4'),
    };
    const made = printed(await workers.labels(task, askerOf(request, response)));
    response.setHeader('Content-Disposition', `inline; filename="${fileName(`${job.name} ${made.words}`, 'pdf')}"`);
    response.type('pdf').send(Buffer.from(made.file));
  });

  router.get('/:id/templates/:cushion.pdf', async (request, response) => {
    const { paper = 'a4', size = 'given', piece = null, rollWidthMm = null } = check(templatePrintQuerySchema, request.query, readWith);
    const { job } = jobs.read(request.params.id);
    const index = Number(request.params.cushion) - 1;
    const cushion = job.cushions[index];
    if (!cushion) throw notFound('cushion');
    const made = printed(await workers.template({ job, shop: shops.read().document, index, size, piece, paper, rollWidthMm }, askerOf(request, response)));
    response.setHeader('Content-Disposition', `inline; filename="${fileName(`${job.name} ${cushion.name} ${made.words}`, 'pdf')}"`);
    response.type('pdf').send(Buffer.from(made.file));
  });

  router.get('/:id/plan', async (request, response) => {
    const { job } = jobs.read(request.params.id);
    response.type('json').send(await workers.plan({ job, shop: shops.read().document }, askerOf(request, response)));
  });
  return router;
}
