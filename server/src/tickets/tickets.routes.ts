import { planJson, readWith, templatePrintQuerySchema, type CushionPlan, type Piece, type TEMPLATE_SIZES } from '@yardland/core';
import { templatePdf, ticketPdf, type TemplateSubject } from '@yardland/paper';
import { Router } from 'express';
import { check, notFound, Refusal } from '../http/refusal';
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
    const one = (await solver.plan(job, shops.read())).cushions[Number(request.params.cushion) - 1];
    if (!one) throw notFound('cushion');
    const { subject, words } = templateSubject(one, size, piece);
    if (!subject && piece !== undefined && one.state === 'planned') throw notFound('piece');
    if (!subject)
      throw new Refusal(409, {
        code: 'no-outline',
        path: 'template',
        message: 'This cushion cannot be cut yet: mend what its ticket says first.',
      });
    const name = `${job.name}: ${one.source.name}, ${words}`;
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

/** What is printed full size: a piece by its id, the largest plate as it is cut, or the outline of a size. */
function templateSubject(
  one: CushionPlan,
  size: (typeof TEMPLATE_SIZES)[number],
  piece: string | undefined,
): { readonly subject: TemplateSubject | null; readonly words: string } {
  // The plate where there is one, else whatever of cloth is largest: an end, a body.
  const area = ({ width, height }: Piece): number => width.value * height.value;
  const largest = one.pieces
    .filter(({ material, grain }) => material.kind === 'cloth' && grain !== 'bias')
    .sort((a, b) => Number(b.role === 'plate') - Number(a.role === 'plate') || area(b) - area(a))[0];
  if (piece !== undefined || size === 'cut') {
    const found = piece === undefined ? largest : one.pieces.find(({ id }) => id === piece);
    return { subject: found ? { outline: found.outline, sewn: found.sewn, holes: found.holes ?? [], marks: found.marks } : null, words: found?.label ?? '' };
  }
  const name = size === 'given' ? one.source.given : size;
  const outline = one.outlines?.[name];
  return { subject: outline ? { outline } : null, words: name };
}
