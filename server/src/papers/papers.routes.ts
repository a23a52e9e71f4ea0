import { readWith } from '@yardland/core';
import type { Printed } from '@yardland/paper';
import { PAPERS } from '@yardland/paper/papers';
import { Router } from 'express';
import type { Reached } from '../tls/trust.routes';
import { codeLink } from './code-links';
import { askerOf } from '../workers/asker';
import type { KeptLayStore } from '../lays/kept-lays.store';
import { check, notFound, Refusal, refused } from '../http/refusal';
import { fileName } from '../jobs/jobs.routes';
import type { JobStore } from '../jobs/jobs.store';
import type { ShopStore } from '../shop/shop.store';
import type { Workers } from '../workers/workers';

/** A file that was made; otherwise refused with why there is none. */
export function printed(made: Printed): Extract<Printed, { readonly kind: 'file' }> {
  if (made.kind === 'no-cushion') throw notFound('cushion');
  if (made.kind === 'no-piece') throw notFound('piece');
  if (made.kind === 'no-outline')
    throw new Refusal(409, { code: 'no-outline', path: 'template', message: 'This cushion cannot be cut yet: mend what its ticket says first.' });
  if (made.kind === 'refused') throw refused(422, made.problem);
  return made;
}

interface PaperParts {
  readonly jobs: JobStore;
  readonly shops: ShopStore;
  readonly workers: Workers;
  readonly reached: Reached;
  readonly kept: KeptLayStore;
}

/** Paper and tables of a job, each kind by its own line in the list of papers, and the whole plan as JSON: made in worker threads. */
export function paperRoutes({ jobs, shops, workers, reached, kept }: PaperParts): Router {
  const router = Router({ mergeParams: true });

  // A look at the head of an answer computes nothing.
  router.head([...PAPERS.map(({ path, ending }) => `/:id/${path}.${ending}`), '/:id/plan'], (request, response) => {
    jobs.readText(String(request.params['id']));
    response.type(request.path.split('.').at(-1) ?? 'json').end();
  });
  for (const { kind, path, ending, query: querySchema, laid } of PAPERS)
    router.get(`/:id/${path}.${ending}`, async (request, response) => {
      const query = check<unknown>(querySchema, request.query, readWith);
      const { id, cushion } = request.params as { readonly id: string; readonly cushion?: string };
      const { document: job, revision, name } = jobs.readText(id);
      // By its number from 1, as the address has it; whether there is one is seen where the job is read.
      const index = cushion === undefined ? null : Number(cushion) - 1;
      if (index !== null && !(index >= 0 && Number.isInteger(index))) throw notFound('cushion');
      const ask = { index, query, stamp: { revision, printedAt: new Date(), link: codeLink(reached, id) } };
      const task = { kind, job, shop: shops.read().document, lays: laid ? kept.of(id) : [], ask };
      const { made: answer, lays } = await workers.print(task, askerOf(request, response), `${id} ${cushion ?? ''}`);
      kept.keep(id, lays);
      const made = printed(answer);
      response.setHeader('Content-Disposition', `inline; filename="${fileName(`${name} ${made.words}`, ending)}"`);
      response.type(ending).send(Buffer.from(made.file));
    });

  router.get('/:id/plan', async (request, response) => {
    const { id } = request.params;
    const { document: job } = jobs.readText(id);
    const { made, lays } = await workers.plan({ job, shop: shops.read().document, lays: kept.of(id) }, askerOf(request, response), id);
    kept.keep(id, lays);
    response.type('json').send(made);
  });
  return router;
}
