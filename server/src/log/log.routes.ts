import { dropEntryQuerySchema, logCsv, logQuerySchema, readStoredJob, readWith, writeEntrySchema, type CheckedJobs, type LogQuery } from '@yardland/core';
import { Router } from 'express';
import * as z from 'zod';
import { check } from '../http/refusal';
import type { LogStore } from './log.store';

const idSchema = z.strictObject({ id: z.uuid() });

/** So many rows at most in one file. */
const CSV_ROWS = 100_000;
/** So many of the jobs with a check that were worked at last tell what checks teach. */
const CHECKED_LOOKED_AT = 1000;

/** The log: found by words and by what its jobs are made of; written by hand with the revision that was seen; taken away as CSV. `names`: what materials are called, by id. */
export function logRoutes(store: LogStore, names: () => ReadonlyMap<string, string>): Router {
  const router = Router();
  const asked = (query: unknown): LogQuery => check(logQuerySchema, query, readWith);

  router.get('/', (request, response) => {
    response.json(store.list(asked(request.query)));
  });
  router.get('/facets', (_request, response) => {
    response.json(store.facets());
  });
  router.get('/log.csv', (request, response) => {
    const { entries } = store.list({ ...asked(request.query), limit: CSV_ROWS, from: 0 });
    const named = names();
    response
      .attachment('log.csv')
      .type('text/csv')
      // The mark at the start tells spreadsheets that it is UTF-8.
      .send(`\uFEFF${logCsv(entries, (id) => named.get(id) ?? id)}`);
  });
  router.get('/checked', (_request, response) => {
    const jobs = store.checked(CHECKED_LOOKED_AT).flatMap(({ id, document }) => {
      const read = readStoredJob(document);
      return read.ok ? [{ id, job: read.value }] : [];
    });
    response.json({ jobs } satisfies CheckedJobs);
  });
  router.put('/:id', (request, response) => {
    const { id } = check(idSchema, request.params, readWith);
    const { revision, entry } = check(writeEntrySchema, request.body, readWith);
    response.status(revision === 0 ? 201 : 200).json(store.write(id, revision, entry));
  });
  router.delete('/:id', (request, response) => {
    const { id } = check(idSchema, request.params, readWith);
    const { revision } = check(dropEntryQuerySchema, request.query, readWith);
    store.drop(id, revision);
    response.status(204).end();
  });
  return router;
}
