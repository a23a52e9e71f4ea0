import { randomUUID } from 'node:crypto';
import { labelPrintSchema, labelPrintAskSchema, readWith, type LabelPrint, type LabelPrintEvent } from '@yardland/core';
import { Router } from 'express';
import type { Logger } from 'pino';
import { beginEvents } from '../http/events';
import { check, notFound } from '../http/refusal';
import type { JobStore } from '../jobs/jobs.store';
import { codeLink } from '../papers/code-links';
import type { Reached } from '../tls/trust.routes';
import { printed } from '../papers/papers.routes';
import type { ShopStore } from '../shop/shop.store';
import { askerOf } from '../workers/asker';
import { Turns, type Turn } from '../workers/turns';
import type { Workers } from '../workers/workers';
import { OutOfLabels, type LabelPrinter } from './label-printer';

/** A print that is listened to: how far it is, and who hears of it. */
interface Print {
  readonly stop: AbortController;
  event: LabelPrintEvent;
  at: LabelPrint;
  readonly listeners: Set<(event: LabelPrintEvent, at: LabelPrint) => void>;
}

interface PrinterParts {
  readonly jobs: JobStore;
  readonly shops: ShopStore;
  readonly workers: Workers;
  readonly reached: Reached;
  readonly log: Logger;
}

/** A print that nobody listens to ends itself after this. */
const UNHEARD_MS = 30_000;
const OVER: ReadonlySet<LabelPrintEvent> = new Set(['done', 'out-of-labels', 'stopped', 'failed']);

/**
 * The shop's label printer. `POST /print` makes the labels of a job or of one cushion and queues them; the answer says how many prints are before it.
 * `GET /print/:id` reports each label that is out as a server-sent event, and ends with `done` or `out-of-labels`. A client that closes the stream stops the print after the current label.
 */
export function labelPrinterRoutes(printer: LabelPrinter, { jobs, shops, workers, reached, log }: PrinterParts): Router {
  const router = Router();
  const prints = new Map<string, Print>();
  const turns = new Turns(1);
  const before = (): number => [...prints.values()].filter(({ event }) => !OVER.has(event)).length - 1;

  const run = async (id: string, print: Print, file: Uint8Array, from: number): Promise<void> => {
    const tell = (event: LabelPrintEvent, out = print.at.printed): void => {
      print.event = event;
      print.at = { printed: out, of: print.at.of };
      for (const listener of print.listeners) listener(event, print.at);
    };
    const { signal } = print.stop;
    let turn: Turn | null = null;
    try {
      turn = await turns.take(id, signal);
      tell('printed');
      for await (const label of printer.print(file, from, print.at.of, signal)) tell(label === print.at.of ? 'done' : 'printed', label);
      if (print.event !== 'done') tell(signal.aborted ? 'stopped' : 'done');
    } catch (error) {
      if (!(error instanceof OutOfLabels) && !signal.aborted) log.error({ err: error }, 'label printer failed');
      tell(error instanceof OutOfLabels ? 'out-of-labels' : signal.aborted ? 'stopped' : 'failed');
    } finally {
      turn?.give();
      // Kept for a moment, so that whoever listens late hears how it ended.
      setTimeout(() => prints.delete(id), UNHEARD_MS).unref();
    }
  };

  router.get('/', (_request, response) => {
    response.json({ name: printer.name, simulated: printer.simulated });
  });

  router.post('/new-roll', (_request, response) => {
    printer.newRoll();
    response.status(204).end();
  });

  router.post('/print', async (request, response) => {
    const { job, cushion, from = 1 } = check(labelPrintAskSchema, request.body, readWith);
    const { document, revision } = jobs.readText(job);
    const ask = { index: null, query: { stock: 'roll', cushion }, stamp: { revision, printedAt: new Date(), link: codeLink(reached, job) } };
    const { made } = await workers.print({ kind: 'labels', job: document, shop: shops.read().document, ask }, askerOf(request, response));
    const { file, count = 0 } = printed(made);
    const id = randomUUID();
    const print: Print = { stop: new AbortController(), event: 'waiting', at: { printed: from - 1, of: count }, listeners: new Set() };
    prints.set(id, print);
    setTimeout(() => print.listeners.size === 0 && print.stop.abort(), UNHEARD_MS).unref();
    response.status(201).json({ print: id, before: before() });
    await run(id, print, file, from);
  });

  router.get('/print/:id', (request, response) => {
    const print = prints.get(request.params.id);
    if (!print) throw notFound('print');
    const send = beginEvents(response);
    const hear = (event: LabelPrintEvent, at: LabelPrint): void => {
      send(event, labelPrintSchema.parse(at));
      if (OVER.has(event)) response.end();
    };
    print.listeners.add(hear);
    hear(print.event, print.at);
    response.on('close', () => {
      print.listeners.delete(hear);
      if (print.listeners.size === 0) print.stop.abort();
    });
  });
  return router;
}
