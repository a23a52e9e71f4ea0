import { randomUUID } from 'node:crypto';
import { MOST_COUNTED, type LogAbout, type LogEntry, type LogFacets, type LogList, type LogQuery, type StoredEntry, type WrittenEntry } from '@yardland/core';
import type { Database } from 'better-sqlite3';
import * as z from 'zod';
import { notFound, Refusal } from '../http/refusal';
import { logStatements, type EntryRow, type LogSearch } from './log.sql';

/** What an entry keeps besides its columns. */
const restSchema = z.strictObject({ complaint: z.string().optional(), outcome: z.string().optional(), pictures: z.array(z.string()).optional() });

/** The day before the first day of a year, and its last. */
const daysOf = (year: number): readonly [string, string] => [`${year}-01-01`, `${year}-12-31`];

function aboutOf({ about, job_id, position, cushion_name, subject }: EntryRow): LogAbout {
  if (about === 'cushion' && job_id && position !== null) return { on: 'cushion', job: job_id, index: position, name: cushion_name ?? '' };
  // A cushion that was taken out of its job leaves its entries with the job.
  if ((about === 'job' || about === 'cushion') && job_id) return { on: 'job', job: job_id };
  if (about === 'material' && subject !== null) return { on: 'material', material: subject };
  if (about === 'supplier' && subject !== null) return { on: 'supplier', supplier: subject };
  return { on: 'shop' };
}

function storedOf(row: EntryRow): StoredEntry {
  const { complaint, outcome, pictures = [] } = restSchema.parse(JSON.parse(row.document));
  const of = row.job_id === null ? null : { name: row.job_name ?? '', customer: row.customer ?? '', archived: row.archived === 1 };
  return {
    id: row.id,
    revision: row.revision,
    day: row.day,
    kind: row.kind as StoredEntry['kind'],
    about: aboutOf(row),
    of,
    material: row.subject !== null && row.about !== 'supplier' ? row.subject : null,
    who: row.who,
    text: row.text,
    written: row.written_by,
    ...(complaint === undefined ? {} : { complaint: complaint as NonNullable<StoredEntry['complaint']> }),
    ...(outcome === undefined ? {} : { outcome }),
    pictures,
  };
}

function searchOf({ words, year, limit = 100, from = 0, ...query }: LogQuery): LogSearch {
  const text = words?.trim() ?? '';
  const long = [...text].length >= 3;
  const [fromDay, toDay] = year === undefined ? [null, null] : daysOf(year);
  const of = <K extends keyof typeof query>(key: K): NonNullable<(typeof query)[K]> | null => query[key] ?? null;
  // A depth without a width is looked for as a width: either way round is looked at.
  const [widthMm, depthMm] = query.widthMm === undefined ? [of('depthMm'), null] : [query.widthMm, of('depthMm')];
  return {
    match: long ? `"${text.replaceAll('"', '""')}"` : null,
    like: text && !long ? `%${text.replace(/[!%_]/g, '!$&')}%` : null,
    kind: of('kind'),
    job: of('job'),
    customer: of('customer'),
    cloth: of('cloth'),
    filling: of('filling'),
    school: of('school'),
    construction: of('construction'),
    widthMm,
    depthMm,
    heightMm: of('heightMm'),
    fromDay,
    toDay,
    limit,
    from,
  };
}

/** The log: entries by hand, and those that jobs and the shop write themselves. */
export class LogStore {
  readonly #sql;
  readonly #transaction: <T>(work: () => T) => T;

  constructor(db: Database) {
    this.#sql = logStatements(db);
    this.#transaction = (work) => db.transaction(work).immediate();
  }

  list(query: LogQuery): LogList {
    const search = searchOf(query);
    const { few, many, count, onlyWords } = this.#sql.search(search);
    const worded = onlyWords && search.match !== null ? (this.#sql.worded.get(search.match)?.total ?? 0) : 0;
    const total = worded > MOST_COUNTED ? worded : (count.get(search)?.total ?? 0);
    // One more than is wanted tells whether others come after.
    const rows = (total > MOST_COUNTED ? many : few).all({ ...search, limit: search.limit + 1 });
    return { entries: rows.slice(0, search.limit).map(storedOf), total, more: rows.length > search.limit };
  }

  facets(): LogFacets {
    const { first, last } = this.#sql.days.get() ?? { first: null, last: null };
    const [from, to] = [Number(first?.slice(0, 4)), Number(last?.slice(0, 4))];
    const years = first && last ? Array.from({ length: to - from + 1 }, (_, i) => to - i) : [];
    return { customers: this.#sql.customers.all().map(({ customer }) => customer), years };
  }

  /** Jobs with a check, as they are stored, newest first. */
  checked(most: number): readonly { readonly id: string; readonly document: string }[] {
    return this.#sql.checked.all(most);
  }

  /** Writes an entry by hand; `revision` is the one that was seen, 0 for a new one. */
  write(id: string, revision: number, entry: LogEntry): StoredEntry {
    return this.#transaction(() => {
      this.#seen(id, revision);
      const { about, day, kind, text, who = '', complaint, outcome, pictures } = entry;
      const jobId = 'job' in about ? about.job : null;
      if (jobId !== null && !this.#sql.jobExists.get(jobId)) throw notFound('job');
      const document = JSON.stringify({ complaint, outcome, pictures });
      this.#sql.put.run({
        id,
        revision: revision + 1,
        day,
        kind,
        about: about.on,
        jobId,
        cushion: about.on === 'cushion' ? about.index : null,
        cushionName: about.on === 'cushion' ? about.name : null,
        subject: about.on === 'material' ? about.material : about.on === 'supplier' ? about.supplier : null,
        who,
        text,
        document,
        writtenBy: null,
        now: new Date().toISOString(),
      });
      return storedOf(this.#row(id));
    });
  }

  drop(id: string, revision: number): void {
    this.#transaction(() => {
      this.#seen(id, revision);
      this.#sql.drop.run(id);
    });
  }

  /**
   * Brings what a job, or the shop where `job` is null, writes itself to what it says now: new entries come, changed ones change, those that no longer hold go. `today` is the day
   * of those that name none. Part of the caller's transaction.
   */
  bring(job: string | null, entries: readonly WrittenEntry[], names: readonly string[], today: string): void {
    const before = new Map(this.#sql.writtenOf.all(job ?? '').map((row) => [row.written_by, row]));
    for (const { key, day, kind, cushion, material, who, text, pictures } of entries) {
      const known = before.get(key);
      before.delete(key);
      const cushionName = cushion === null ? null : (names[cushion] ?? '');
      const document = JSON.stringify(pictures.length ? { pictures } : {});
      const on = day ?? known?.day ?? today;
      if (known && known.text === text && known.day === on && known.document === document && known.cushion_name === cushionName) continue;
      // Bought for a job it belongs to the job, whatever it is of.
      const about = job === null ? (material === null ? 'shop' : 'material') : cushion === null ? 'job' : 'cushion';
      this.#sql.put.run({
        id: known?.id ?? randomUUID(),
        revision: 1,
        day: on,
        kind,
        about,
        jobId: job,
        cushion,
        cushionName,
        subject: material,
        who,
        text,
        document,
        writtenBy: key,
        now: new Date().toISOString(),
      });
    }
    for (const { id } of before.values()) this.#sql.drop.run(id);
  }

  #row(id: string): EntryRow {
    const row = this.#sql.read.get(id);
    if (!row) throw notFound('entry');
    return row;
  }

  #seen(id: string, revision: number): void {
    const row = this.#sql.read.get(id);
    if (!row && revision === 0) return;
    if (!row) throw notFound('entry');
    if (row.written_by !== null)
      throw new Refusal(409, { code: 'entry-written', path: '', message: 'This entry writes itself: change what it tells of, in its job or in the shop.' });
    if (row.revision !== revision)
      throw new Refusal(409, {
        code: 'stale-revision',
        path: 'revision',
        message: 'The entry was changed in another window since this one read it.',
        currentEntry: storedOf(row),
      });
  }
}
