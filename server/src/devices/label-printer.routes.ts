import { labelPrintQuerySchema, readWith, type LabelPrint } from '@yardland/core';
import { Router } from 'express';
import type { Logger } from 'pino';
import { askerOf } from '../workers/asker';
import { beginEvents } from '../http/events';
import { check } from '../http/refusal';
import type { JobStore } from '../jobs/jobs.store';
import type { ShopStore } from '../shop/shop.store';
import { printed } from '../papers/papers.routes';
import type { Workers } from '../workers/workers';
import { OutOfLabels, type LabelPrinter } from './label-printer';

/** The shop's label printer: the labels of a job or of one cushion are made and sent to it; each that is out is told as a server-sent event, at the end `done` or `out-of-labels`. */
export function labelPrinterRoutes(printer: LabelPrinter, jobs: JobStore, shops: ShopStore, workers: Workers, log: Logger): Router {
  const router = Router();

  router.get('/', (_request, response) => {
    response.json({ name: printer.name, simulated: printer.simulated });
  });

  router.post('/new-roll', (_request, response) => {
    printer.newRoll();
    response.status(204).end();
  });

  router.get('/print', async (request, response) => {
    const { job: id, cushion, from = 1 } = check(labelPrintQuerySchema, request.query, readWith);
    const { job, revision } = jobs.read(id);
    const { name, left } = askerOf(request, response);
    const ask = { index: null, query: { stock: 'roll', cushion }, stamp: { revision, printedAt: new Date() } };
    const { file, count = 0 } = printed(await workers.print({ kind: 'labels', job, shop: shops.read().document, ask }, { name, left }));
    const send = beginEvents(response);
    let out = from - 1;
    const tell = (event: string): void => {
      send(event, { printed: out, of: count } satisfies LabelPrint);
    };
    tell('printed');
    try {
      for await (const label of printer.print(file, from, count, left)) {
        out = label;
        tell(out === count ? 'done' : 'printed');
      }
    } catch (error) {
      if (error instanceof OutOfLabels) tell('out-of-labels');
      else log.error({ err: error }, 'label printer failed');
    }
    response.end();
  });
  return router;
}
