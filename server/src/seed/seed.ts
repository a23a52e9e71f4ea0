import { randomUUID } from 'node:crypto';
import fs from 'node:fs';
import path from 'node:path';
import {
  COMPLAINTS,
  JOB_STATES,
  demoLaysSchema,
  LOG_KINDS,
  logEntrySchema,
  readJob,
  sampleSchema,
  shopSchema,
  type Job,
  type LogAbout,
  type LogEntry,
} from '@yardland/core';
import type { Database } from 'better-sqlite3';
import * as z from 'zod';
import { localDay } from '../local-day';
import { KeptLayStore } from '../lays/kept-lays.store';
import { LogStore } from '../log/log.store';
import { prepared } from '../jobs/prepared';
import type { JobStore } from '../jobs/jobs.store';
import type { ShopStore } from '../shop/shop.store';

const manifestSchema = z.array(z.strictObject({ file: z.string(), dueInDays: z.int(), state: z.enum(JOB_STATES).optional(), foamInDays: z.int().optional() }));
const DAY_MS = 86_400_000;
/** The day that dates in the demo's files count from: they are moved along with the day of seeding. */
const AS_OF = '2026-12-01';

/** An entry of the demo's log: its job and cushion are named, since identifiers are made anew with every seeding. */
const demoEntrySchema = z.strictObject({
  day: z.iso.date(),
  kind: z.enum(LOG_KINDS),
  job: z.string().optional(),
  cushion: z.string().optional(),
  supplier: z.string().optional(),
  material: z.string().optional(),
  text: z.string(),
  complaint: z.enum(COMPLAINTS).optional(),
  outcome: z.string().optional(),
});
type DemoEntry = z.infer<typeof demoEntrySchema>;

/** How far the demo's dates are moved along. */
const sinceMs = (today: Date): number => Math.round((Date.parse(localDay(today)) - Date.parse(AS_OF)) / DAY_MS) * DAY_MS;

/** The value with every day in it moved along by so many days. */
function moved(value: unknown, byMs: number): unknown {
  if (typeof value === 'string') return /^\d{4}-\d{2}-\d{2}$/.test(value) ? new Date(Date.parse(value) + byMs).toISOString().slice(0, 10) : value;
  if (Array.isArray(value)) return value.map((one) => moved(one, byMs));
  if (typeof value !== 'object' || value === null) return value;
  return Object.fromEntries(Object.entries(value).map(([key, one]) => [key, moved(one, byMs)]));
}

/** The entry as the log takes it, with its job by identifier. Throws an Error where there is no such job or cushion. */
function entryOf({ job, cushion, supplier, material, ...rest }: DemoEntry, ids: ReadonlyMap<string, { readonly id: string; readonly job: Job }>): LogEntry {
  const found = job === undefined ? undefined : ids.get(job);
  if (job !== undefined && !found) throw new Error(`The demo's log names the job ${job}, which is not there`);
  const index = found?.job.cushions.findIndex(({ name }) => name === cushion) ?? -1;
  if (cushion !== undefined && index < 0) throw new Error(`The demo's log names the cushion ${cushion}, which is not there`);
  const about: LogAbout = found
    ? cushion === undefined
      ? { on: 'job', job: found.id }
      : { on: 'cushion', job: found.id, index, name: cushion }
    : supplier !== undefined
      ? { on: 'supplier', supplier }
      : material !== undefined
        ? { on: 'material', material }
        : { on: 'shop' };
  return logEntrySchema.parse({ ...rest, about });
}

/** Fills an empty database with the demo shop; due dates count from today. Leaves any other database alone. Returns how many jobs were made. */
export function seedDemo(demoDir: string, db: Database, jobs: JobStore, shops: ShopStore, today = new Date()): number {
  const read = (file: string): unknown => JSON.parse(fs.readFileSync(path.join(demoDir, file), 'utf8'));
  if (!shops.isEmpty()) return 0;
  const shop = shopSchema.parse(moved(read('shop.json'), sinceMs(today)));
  const manifest = manifestSchema.parse(read('manifest.json'));
  const byMs = sinceMs(today);
  const inDays = (days: number): string => localDay(new Date(today.getTime() + days * DAY_MS));
  const documents = manifest.map(({ file, dueInDays, state, foamInDays }) => ({
    file,
    job: {
      ...readDemo(moved(read(file), byMs), file),
      dueDate: inDays(dueInDays),
      ...(state ? { state } : {}),
      ...(foamInDays === undefined ? {} : { awaits: { foam: inDays(foamInDays) } }),
    },
  }));
  // Lays of another engine are left to be searched for.
  const searched = demoLaysSchema.safeParse(read('lays.json'));
  const lays = searched.success ? searched.data.jobs : {};
  const past = z
    .array(z.unknown())
    .parse(moved(read('past-jobs.json'), byMs))
    .map((one) => readDemo(one, 'past-jobs.json'));
  const entries = z.array(demoEntrySchema).parse(moved(read('log.json'), byMs));
  const samples = z.array(sampleSchema).parse(read('samples.json'));
  // All of it or nothing: a seeding that was stopped half-way would be taken for the shop's own work.
  db.transaction(() => {
    shops.write(shop);
    const kept = new KeptLayStore(db);
    for (const { file, job } of documents) kept.keep(jobs.create(prepared(job), 'Demo job').id, lays[file] ?? []);
    const ids = new Map<string, { readonly id: string; readonly job: Job }>();
    for (const job of past) {
      const { id, revision } = jobs.create(prepared(job), 'Demo job');
      jobs.archive(id, revision, true);
      ids.set(job.name, { id, job });
    }
    const log = new LogStore(db);
    for (const entry of entries) log.write(randomUUID(), 0, entryOf(entry, ids));
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
