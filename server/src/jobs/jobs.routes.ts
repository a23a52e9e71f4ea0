import { archiveJobSchema, createJobSchema, isCurrent, jobQuerySchema, readWith, revisionSchema, writeJobSchema, type HeldRemnants } from '@yardland/core';
import { Router } from 'express';
import { check } from '../http/refusal';
import type { JobStore } from './jobs.store';

/** Today where the shop is, YYYY-MM-DD. */
export function localDay(now = new Date()): string {
  const two = (n: number): string => String(n).padStart(2, '0');
  return `${now.getFullYear()}-${two(now.getMonth() + 1)}-${two(now.getDate())}`;
}

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

/** Jobs: list, make, read, write, undo, redo, copy, archive, export. */
export function jobRoutes(store: JobStore): Router {
  const router = Router();

  router.get('/', (request, response) => {
    const query = check(jobQuerySchema, request.query, readWith);
    const { search: text, state, archived, limit = 200, from = 0 } = query;
    response.json(store.list({ text, state, archived: archived === 'yes', limit, from, today: localDay() }));
  });
  router.get('/held-remnants', (_request, response) => {
    response.json({ held: store.heldRemnants(HELD_LOOKED_AT) } satisfies HeldRemnants);
  });
  router.post('/', (request, response) => {
    response.status(201).json(store.create(check(createJobSchema, request.body, readWith).job));
  });
  router.get('/:id', (request, response) => {
    // Handed on as stored, its JSON neither read nor written again: most requests are this one.
    const { document, archived, ...row } = store.readText(request.params.id);
    if (!isCurrent(document)) {
      response.json(store.read(request.params.id));
      return;
    }
    const head = JSON.stringify({ id: row.id, revision: row.revision, archived: archived === 1, undo: row.undo, redo: row.redo });
    response.type('json').send(`${head.slice(0, -1)},"job":${document}}`);
  });
  router.put('/:id', (request, response) => {
    const { revision, label, job } = check(writeJobSchema, request.body, readWith);
    response.json(store.write(request.params.id, revision, label, job));
  });
  router.get('/:id/steps', (request, response) => {
    response.json(store.steps(request.params.id, STEPS_GIVEN));
  });
  router.post('/:id/undo', (request, response) => {
    response.json(store.undo(request.params.id, check(revisionSchema, request.body, readWith).revision));
  });
  router.post('/:id/redo', (request, response) => {
    response.json(store.redo(request.params.id, check(revisionSchema, request.body, readWith).revision));
  });
  router.post('/:id/archive', (request, response) => {
    const { revision, archived } = check(archiveJobSchema, request.body, readWith);
    response.json(store.archive(request.params.id, revision, archived));
  });
  router.post('/:id/duplicate', (request, response) => {
    response.status(201).json(store.duplicate(request.params.id));
  });
  router.get('/:id/export', (request, response) => {
    const { job } = store.read(request.params.id);
    response
      .attachment(fileName(job.name, 'job.json'))
      .type('json')
      .send(`${JSON.stringify(job, null, 2)}\n`);
  });
  return router;
}
