import { dropSampleQuerySchema, readWith, writeSampleSchema, type Sample, type StoredSample } from '@yardland/core';
import type { Database } from 'better-sqlite3';
import { Router } from 'express';
import * as z from 'zod';
import { check, notFound, Refusal } from '../http/refusal';

interface Row {
  readonly id: string;
  readonly revision: number;
  readonly document: string;
}

const stored = ({ id, revision, document }: Row): StoredSample => ({ id, revision, sample: JSON.parse(document) as Sample });

const idSchema = z.strictObject({ id: z.uuid() });

/** Bench samples: newest first; written whole, with the revision that was seen. A new one is written under an identifier that its maker chose, so that it can be made without the server. */
export function sampleRoutes(db: Database): Router {
  const list = db.prepare<[], Row>('SELECT id, revision, document FROM sample ORDER BY date DESC, name');
  const read = db.prepare<[string], Row>('SELECT id, revision, document FROM sample WHERE id = ?');
  const put = db.prepare('INSERT OR REPLACE INTO sample (id, name, lot, date, document, revision) VALUES (@id, @name, @lot, @date, @document, @revision)');
  const drop = db.prepare('DELETE FROM sample WHERE id = ?');
  const stale = (row: Row): Refusal =>
    new Refusal(409, {
      code: 'stale-revision',
      path: 'revision',
      message: 'The sample was changed in another window since this one read it.',
      currentSample: stored(row),
    });
  const remove = db.transaction((id: string, seen: number): void => {
    const row = read.get(id);
    if (!row) throw notFound('sample');
    if (row.revision !== seen) throw stale(row);
    drop.run(id);
  });
  const write = db.transaction((id: string, seen: number, sample: Sample): StoredSample => {
    const row = read.get(id);
    if (!row && seen > 0) throw notFound('sample');
    if (row && row.revision !== seen) throw stale(row);
    const revision = seen + 1;
    put.run({ id, name: sample.name, lot: sample.lot ?? '', date: sample.date, document: JSON.stringify(sample), revision });
    return { id, revision, sample };
  });

  const router = Router();
  router.get('/', (_request, response) => {
    response.json({ samples: list.all().map(stored) });
  });
  router.put('/:id', (request, response) => {
    const { id } = check(idSchema, request.params, readWith);
    const { revision, sample } = check(writeSampleSchema, request.body, readWith);
    response.status(revision === 0 ? 201 : 200).json(write.immediate(id, revision, sample));
  });
  router.delete('/:id', (request, response) => {
    const { revision } = check(dropSampleQuerySchema, request.query, readWith);
    remove.immediate(request.params.id, revision);
    response.status(204).end();
  });
  return router;
}
