import { randomUUID } from 'node:crypto';
import fs from 'node:fs';
import path from 'node:path';
import { readJob, sampleSchema, shopSchema, type Job } from '@yardland/core';
import type { Database } from 'better-sqlite3';
import * as z from 'zod';
import { localDay } from '../jobs/jobs.routes';
import { prepared } from '../jobs/prepared';
import type { JobStore } from '../jobs/jobs.store';
import type { ShopStore } from '../shop/shop.store';

const manifestSchema = z.array(z.strictObject({ file: z.string(), dueInDays: z.int() }));
const DAY_MS = 86_400_000;

/** Fills an empty database with the demo shop; due dates count from today. Leaves any other database alone. Returns how many jobs were made. */
export function seedDemo(demoDir: string, db: Database, jobs: JobStore, shops: ShopStore, today = new Date()): number {
  const read = (file: string): unknown => JSON.parse(fs.readFileSync(path.join(demoDir, file), 'utf8'));
  if (!shops.isEmpty()) return 0;
  const shop = shopSchema.parse(read('shop.json'));
  const manifest = manifestSchema.parse(read('manifest.json'));
  const documents = manifest.map(({ file, dueInDays }) => ({
    ...readDemo(read(file), file),
    dueDate: localDay(new Date(today.getTime() + dueInDays * DAY_MS)),
  }));
  const samples = z.array(sampleSchema).parse(read('samples.json'));
  // All of it or nothing: a seeding that was stopped half-way would be taken for the shop's own work.
  db.transaction(() => {
    shops.write(shop);
    for (const job of documents) jobs.create(prepared(job), 'Demo job');
    const insert = db.prepare('INSERT INTO sample (id, name, lot, date, document) VALUES (?, ?, ?, ?, ?)');
    for (const sample of samples) insert.run(randomUUID(), sample.name, sample.lot ?? '', sample.date, JSON.stringify(sample));
  }).immediate();
  return manifest.length;
}

function readDemo(value: unknown, file: string): Job {
  const job = readJob(value);
  if (!job.ok) throw new Error(`The demo job ${file} is not as it should be: ${job.problems[0]?.path ?? ''}`);
  return job.value;
}
