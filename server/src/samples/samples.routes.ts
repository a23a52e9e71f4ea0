import { randomUUID } from 'node:crypto';
import { readWith, writeSampleSchema, type Sample, type StoredSample } from '@yardland/core';
import type { Database } from 'better-sqlite3';
import { Router } from 'express';
import { check, notFound } from '../http/refusal';

interface Row {
  readonly id: string;
  readonly document: string;
}

const stored = ({ id, document }: Row): StoredSample => ({ id, sample: JSON.parse(document) as Sample });

/** Bench samples: newest first; written whole. */
export function sampleRoutes(db: Database): Router {
  const list = db.prepare<[], Row>('SELECT id, document FROM sample ORDER BY date DESC, name');
  const read = db.prepare<[string], Row>('SELECT id, document FROM sample WHERE id = ?');
  const put = db.prepare('INSERT OR REPLACE INTO sample (id, name, lot, date, document) VALUES (@id, @name, @lot, @date, @document)');
  const drop = db.prepare('DELETE FROM sample WHERE id = ?');
  const write = (id: string, sample: Sample): StoredSample => {
    put.run({ id, name: sample.name, lot: sample.lot ?? '', date: sample.date, document: JSON.stringify(sample) });
    return { id, sample };
  };
  const known = (id: string): Row => {
    const row = read.get(id);
    if (!row) throw notFound('sample');
    return row;
  };

  const router = Router();
  router.get('/', (_request, response) => {
    response.json({ samples: list.all().map(stored) });
  });
  router.post('/', (request, response) => {
    response.status(201).json(write(randomUUID(), check(writeSampleSchema, request.body, readWith).sample));
  });
  router.put('/:id', (request, response) => {
    const { id } = known(request.params.id);
    response.json(write(id, check(writeSampleSchema, request.body, readWith).sample));
  });
  router.delete('/:id', (request, response) => {
    drop.run(known(request.params.id).id);
    response.status(204).end();
  });
  return router;
}
