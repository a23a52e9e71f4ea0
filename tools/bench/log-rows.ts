import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import type { LogQuery } from '@yardland/core';
import type { Database } from 'better-sqlite3';
import { openDatabase } from '../../server/src/db/open';
import { LogStore } from '../../server/src/log/log.store';
import { rowOf, timed, type Row } from './measure';

const JOBS = 10_000;
const ENTRIES_OF_EACH = 6;
const WORDS =
  'corners wanted more filling wadding packed loose shutter hinge velvet welt zip seam crown flat stood proud sewn again motif centre bench chair settee stool'.split(
    ' ',
  );
const pick = <T>(all: readonly T[], i: number): T => all[(i * 7919) % all.length] as T;
const two = (n: number): string => String(n).padStart(2, '0');

/** Many jobs with two cushions each, and their entries, put straight into the tables: what is measured is finding them. */
function fill(db: Database): void {
  const job = db.prepare(
    "INSERT INTO job (id, revision, step, name, customer, state, archived, created_at, updated_at) VALUES (?, 1, 1, ?, ?, 'delivered', 1, '', '')",
  );
  const words = db.prepare('INSERT INTO job_words (job_id, words) VALUES (?, ?)');
  const cushion = db.prepare(
    "INSERT INTO cushion (job_id, position, name, quantity, shape, width_mm, depth_mm, height_mm, school, construction) VALUES (?, ?, 'seat', 1, 'rectangle', ?, ?, ?, ?, ?)",
  );
  const material = db.prepare('INSERT INTO cushion_material (job_id, position, material) VALUES (?, ?, ?)');
  const entry = db.prepare(
    "INSERT INTO log (id, day, kind, about, job_id, cushion, cushion_name, who, text, document, created_at) VALUES (?, ?, ?, ?, ?, ?, ?, '', ?, '{}', '')",
  );
  for (let i = 0; i < JOBS; i++) {
    const id = `job-${i}`;
    job.run(id, `${pick(WORDS, i)} ${i}`, `Customer ${i % 2500}`);
    words.run(id, `${pick(WORDS, i)} ${i}\nCustomer ${i % 2500}`);
    for (const at of [0, 1]) {
      cushion.run(
        id,
        at,
        300 + ((i * 37 + at * 91) % 1500),
        300 + ((i * 53) % 500),
        50 + (i % 9) * 10,
        pick(['a', 'b', 'c', 'd', 'e'], i),
        pick(['boxed', 'drum', 'bolster'], i + at),
      );
      material.run(id, at, `grade-${i % 16}`);
      material.run(id, at, `cloth-${(i + at) % 12}`);
    }
    for (let e = 0; e < ENTRIES_OF_EACH; e++) {
      const day = `20${10 + (i % 17)}-${two(1 + (i % 12))}-${two(1 + ((e * 5) % 28))}`;
      const text = Array.from({ length: 12 }, (_, k) => pick(WORDS, i * 13 + e * 5 + k)).join(' ');
      const ofCushion = e % 2 === 1;
      entry.run(
        `${id}-${e}`,
        day,
        pick(['made', 'measured', 'changed', 'bought', 'remark'], e + i),
        ofCushion ? 'cushion' : 'job',
        id,
        ofCushion ? 0 : null,
        ofCushion ? 'seat' : null,
        text,
      );
    }
  }
}

/** The log found by what people look for, a page of a hundred with the count. */
export function logRows(): Row[] {
  const folder = fs.mkdtempSync(path.join(os.tmpdir(), 'yardland-bench-'));
  const db = openDatabase(folder);
  try {
    db.transaction(() => fill(db))();
    db.exec('ANALYZE');
    const store = new LogStore(db);
    const asked: readonly (readonly [string, LogQuery])[] = [
      ['all of it', {}],
      ['a customer’s name', { words: 'Customer 77' }],
      ['a word that stands in a third of the entries', { words: 'wadding' }],
      ['a cloth', { cloth: 'cloth-3' }],
      ['filling and school', { filling: 'grade-5', school: 'b' }],
      ['size', { widthMm: 600, depthMm: 500 }],
      ['that word and a cloth together', { words: 'wadding', cloth: 'cloth-3' }],
    ];
    return asked.map(([what, query]) =>
      rowOf(
        `log of ${JOBS} jobs with ${JOBS * ENTRIES_OF_EACH} entries: ${what}`,
        'under 20 ms',
        timed(20, () => void store.list(query)),
      ),
    );
  } finally {
    db.close();
    fs.rmSync(folder, { recursive: true });
  }
}
