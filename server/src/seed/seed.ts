import { randomUUID } from 'node:crypto';
import fs from 'node:fs';
import path from 'node:path';
import { jobSchema, sampleSchema, shopSchema } from '@yardland/core';
import type { Database } from 'better-sqlite3';
import * as z from 'zod';
import { localDay } from '../jobs/jobs.routes';
import type { JobStore } from '../jobs/jobs.store';
import type { ShopStore } from '../shop/shop.store';

const manifestSchema = z.array(z.strictObject({ file: z.string(), dueInDays: z.int() }));
const DAY_MS = 86_400_000;

/** Fills an empty database with the demo shop; due dates count from today. Leaves any other database alone. Returns how many jobs were made. */
export function seedDemo(demoDir: string, db: Database, jobs: JobStore, shops: ShopStore, today = new Date()): number {
  const read = (file: string): unknown => JSON.parse(fs.readFileSync(path.join(demoDir, file), 'utf8'));
  if (!shops.isEmpty()) return 0;
  shops.write(shopSchema.parse(read('shop.json')));
  const manifest = manifestSchema.parse(read('manifest.json'));
  for (const { file, dueInDays } of manifest)
    jobs.create({ ...jobSchema.parse(read(file)), dueDate: localDay(new Date(today.getTime() + dueInDays * DAY_MS)) }, 'Demo job');
  const insert = db.prepare('INSERT INTO sample (id, name, lot, date, document) VALUES (?, ?, ?, ?, ?)');
  for (const sample of z.array(sampleSchema).parse(read('samples.json')))
    insert.run(randomUUID(), sample.name, sample.lot ?? '', sample.date, JSON.stringify(sample));
  return manifest.length;
}
