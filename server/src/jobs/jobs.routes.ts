import { archiveJobSchema, jobQuerySchema, readWith, revisionSchema, type HeldRemnants } from '@yardland/core';
import express, { Router, type Request } from 'express';
import { bodyNotJson, check, invalid } from '../http/refusal';
import { localDay } from '../local-day';
import type { JobStore } from './jobs.store';
import type { PreparedJob } from './prepared';
import type { JobReading } from './reading';
import { currentText, damaged, sendStored } from './stored';

/** A file name made by us from a job's name: letters, digits and hyphens. */
export function fileName(name: string, ending: string): string {
  const plain = name
    .normalize('NFKD')
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-+|-+$/g, '');
  return `${plain.slice(0, 60) || 'job'}.${ending}`;
}

/** So many of the jobs that were worked at last are asked what they have set aside. */
const HELD_LOOKED_AT = 1000;
/** Steps given to a window each way: so many can be taken back while the server is away. */
const STEPS_GIVEN = 20;

/** And of them so many letters each way, but always the nearest: of large jobs fewer. */
const STEPS_TEXT = 400_000;
/** Largest request body; a job document of a hundred cushions with a year of checks is far below. */
export const BODY_LIMIT = '2mb';

/** Bodies with a whole job come as text: it is read by itself, a large one in a thread. Before anything that reads bodies. */
export function jobBodies(): Router {
  const router = Router();
  const text = express.text({ type: 'application/json', limit: BODY_LIMIT });
  router.post('/', text);
  router.put('/:id', text);
  return router;
}

/** The job in a body, with what else it says. Throws a Refusal with what is wrong with it. */
async function jobIn(request: Request, kind: 'create' | 'write', reading: JobReading): Promise<{ job: PreparedJob; revision: number; label: string }> {
  const text: unknown = request.body;
  // Not sent as JSON: nothing was read of it.
  const read = await reading.body(typeof text === 'string' ? text : 'null', kind);
  if (read.ok) return read;
  throw read.problems ? invalid(read.problems) : bodyNotJson();
}

/** Jobs: list, make, read, write, undo, redo, copy, archive, export. */
export function jobRoutes(store: JobStore, reading: JobReading): Router {
  const router = Router();

  router.get('/', (request, response) => {
    const query = check(jobQuerySchema, request.query, readWith);
    const { search: text, state, archived, limit = 200, from = 0 } = query;
    response.json(store.list({ text, state, archived: archived === 'yes', limit, from, today: localDay() }));
  });
  router.get('/held-remnants', (_request, response) => {
    response.json({ held: store.heldRemnants(HELD_LOOKED_AT) } satisfies HeldRemnants);
  });
  router.post('/', async (request, response) => {
    const { job } = await jobIn(request, 'create', reading);
    await sendStored(response, store.create(job), reading, 201);
  });
  router.get('/:id', async (request, response) => {
    await sendStored(response, store.readText(request.params.id), reading);
  });
  router.put('/:id', async (request, response) => {
    const { revision, label, job } = await jobIn(request, 'write', reading);
    await sendStored(response, store.write(request.params.id, revision, label, job), reading);
  });
  router.get('/:id/steps', async (request, response) => {
    const { revision, past, future } = store.steps(request.params.id, STEPS_GIVEN, STEPS_TEXT);
    const texts = async (steps: typeof past): Promise<string> => {
      const each: string[] = [];
      for (const { label, document } of steps) {
        // As far as they can be read: what lies behind one that cannot be is out of reach.
        const text = await currentText(document, reading).catch(() => null);
        if (text === null) break;
        each.push(`{"label":${JSON.stringify(label)},"job":${text}}`);
      }
      return `[${each.join()}]`;
    };
    response.type('json').send(`{"revision":${revision},"past":${await texts(past)},"future":${await texts(future)}}`);
  });
  for (const [name, by] of [
    ['undo', -1],
    ['redo', 1],
  ] as const)
    router.post(`/:id/${name}`, async (request, response) => {
      const { id } = request.params as { readonly id: string };
      const { revision } = check(revisionSchema, request.body, readWith);
      const job = await reading.upToDate(store.stepText(id, revision, by));
      if (!job) throw damaged();
      await sendStored(response, store.goTo(id, revision, by, job), reading);
    });
  router.post('/:id/archive', async (request, response) => {
    const { revision, archived } = check(archiveJobSchema, request.body, readWith);
    await sendStored(response, store.archive(request.params.id, revision, archived), reading);
  });
  router.post('/:id/duplicate', async (request, response) => {
    const job = await reading.copy(store.readText(request.params.id).document);
    if (!job) throw damaged();
    await sendStored(response, store.create(job, 'Copied'), reading, 201);
  });
  router.get('/:id/export', async (request, response) => {
    const { name, document } = store.readText(request.params.id);
    const text = await currentText(document, reading);
    response
      .attachment(fileName(name, 'job.json'))
      .type('json')
      .send(`${JSON.stringify(JSON.parse(text), null, 2)}\n`);
  });
  return router;
}
