import { randomUUID } from 'node:crypto';
import {
  closedLines,
  flatten,
  lotsBefore,
  outlineOf,
  readStoredJob,
  shapeOf,
  type Job,
  type JobList,
  type HeldRemnants,
  type JobSteps,
  type StoredJob,
} from '@yardland/core';
import type { Database } from 'better-sqlite3';
import { notFound, Refusal } from '../http/refusal';
import { jobStatements, type Finding, type JobRow, type ListQuery, type SummaryRow } from './jobs.sql';

/** Steps of one job that undo can go back over; older ones are let go. */
const KEPT_STEPS = 500;

export interface Search {
  readonly text?: string | undefined;
  readonly state?: string | undefined;
  readonly archived: boolean;
  readonly limit: number;
  /** How many of the jobs found come before the first that is wanted. */
  readonly from: number;
  /** Today in the shop, YYYY-MM-DD: for telling what is late. */
  readonly today: string;
}

/** Jobs, their revisions and their undo history. Every write names the revision it saw; a stale one is refused with the current job. */
export class JobStore {
  readonly #sql;
  readonly #transaction: <T>(work: () => T) => T;

  constructor(db: Database) {
    this.#sql = jobStatements(db);
    this.#transaction = (work) => db.transaction(work).immediate();
  }

  isEmpty(): boolean {
    return this.#sql.any.get()?.found === 0;
  }

  list(search: Search): JobList {
    const text = search.text?.trim();
    const finding: Finding = !text ? 'any' : [...text].length < 3 ? 'like' : 'match';
    const query: ListQuery = {
      words: text ? (finding === 'match' ? `"${text.replaceAll('"', '""')}"` : `%${text.replace(/[!%_]/g, '!$&')}%`) : null,
      state: search.state === 'late' ? null : (search.state ?? null),
      lateOn: search.state === 'late' ? search.today : null,
      archived: search.archived ? 1 : 0,
      limit: search.limit,
      from: search.from,
    };
    const rows = this.#sql.find[finding].all(query);
    const jobs = rows.map(({ due_date, updated_at, archived, outlines, state, found: _found, ...row }) => ({
      ...row,
      state: state as JobList['jobs'][number]['state'],
      dueDate: due_date,
      archived: archived === 1,
      outlines: JSON.parse(outlines) as JobList['jobs'][number]['outlines'],
      updatedAt: updated_at,
    }));
    return { jobs, total: this.#total(finding, query, rows) };
  }

  /** How many jobs a query finds altogether. With words every row tells it; a page past the last one has no row, so the first one is asked. */
  #total(finding: Finding, query: ListQuery, rows: readonly SummaryRow[]): number {
    if (finding === 'any') return this.#sql.count.get(query)?.total ?? 0;
    const [first] = rows.length || query.from === 0 ? rows : this.#sql.find[finding].all({ ...query, from: 0, limit: 1 });
    return first?.found ?? 0;
  }

  read(id: string): StoredJob {
    return stored(this.#row(id));
  }

  /** The job as it is stored, without being read into an object: for handing on as it is. */
  readText(id: string): JobRow {
    return this.#row(id);
  }

  /** Of so many jobs that were worked at last those with clocked minutes, as they are stored. */
  clocked(most: number): string[] {
    return this.#sql.clocked.all(most).map(({ document: text }) => text);
  }

  /** What jobs have set aside of the shop's remnants: of so many that were worked at last and are not delivered. */
  heldRemnants(most: number): HeldRemnants['held'] {
    return this.#sql.heldRemnants.all(most);
  }

  /** The changes on both sides of where a job stands, so many at most each way; as far as they can be read. */
  steps(id: string, most: number): JobSteps {
    const { step, revision } = this.#row(id);
    const rows = this.#sql.stepsBetween.all(id, step - most, step + most);
    const past: JobSteps['past'] = [];
    const future: JobSteps['future'] = [];
    for (let n = step; ; n--) {
      const [change, before] = [rows.find((row) => row.step === n), rows.find((row) => row.step === n - 1)];
      const job = change && before && readStoredJob(before.document);
      if (!change || !job?.ok) break;
      past.push({ label: change.label, job: job.value });
    }
    for (const row of rows.filter((one) => one.step > step)) {
      const job = readStoredJob(row.document);
      if (!job.ok) break;
      future.push({ label: row.label, job: job.value });
    }
    return { revision, past, future };
  }

  create(job: Job, label = 'New job'): StoredJob {
    const id = randomUUID();
    return this.#transaction(() => {
      const now = new Date().toISOString();
      this.#sql.insert.run({ id, now, ...columns(job) });
      this.#sql.insertStep.run({ id, step: 1, label, document: JSON.stringify(job), now });
      this.#writeCushions(id, job);
      return this.read(id);
    });
  }

  write(id: string, revision: number, label: string, job: Job): StoredJob {
    return this.#changing(id, revision, (row) => {
      const step = row.step + 1;
      this.#sql.dropRedo.run({ id, step: row.step });
      this.#sql.insertStep.run({ id, step, label, document: JSON.stringify(job), now: new Date().toISOString() });
      this.#sql.dropOld.run({ id, step: step - KEPT_STEPS });
      this.#point(id, step, job);
    });
  }

  undo(id: string, revision: number): StoredJob {
    return this.#changing(id, revision, (row) => this.#goTo(row, row.step - 1, 'nothing-to-undo', 'There is nothing to undo.'));
  }

  redo(id: string, revision: number): StoredJob {
    return this.#changing(id, revision, (row) => this.#goTo(row, row.step + 1, 'nothing-to-redo', 'There is nothing to redo.'));
  }

  archive(id: string, revision: number, archived: boolean): StoredJob {
    return this.#changing(id, revision, () => {
      this.#sql.archive.run({ id, archived: archived ? 1 : 0, now: new Date().toISOString() });
    });
  }

  duplicate(id: string): StoredJob {
    const { job } = this.read(id);
    const cushions = job.cushions.map(({ bench: _bench, checks: _checks, madeForZip: _zip, ...cushion }) => cushion);
    // A remnant can be cut once only, and a salvaged zip sewn in once: they stay with the job that has them.
    const { dueDate: _dueDate, remnants: _remnants, zips: _zips, ...rest } = job;
    return this.create({ ...rest, ...lotsBefore(job), name: `${job.name.slice(0, 113)}, again`, state: 'new', cushions }, 'Copied');
  }

  #row(id: string): JobRow {
    const row = this.#sql.read.get(id);
    if (!row) throw notFound('job');
    return row;
  }

  #changing(id: string, revision: number, change: (row: JobRow) => void): StoredJob {
    return this.#transaction(() => {
      const row = this.#row(id);
      if (row.revision !== revision) {
        const message = 'This job was changed in another window since this one read it.';
        throw new Refusal(409, { code: 'stale-revision', path: 'revision', message, current: stored(row) });
      }
      change(row);
      return this.read(id);
    });
  }

  #goTo(row: JobRow, step: number, code: string, message: string): void {
    const target = this.#sql.stepAt.get(row.id, step);
    if (!target) throw new Refusal(409, { code, path: '', message, current: stored(row) });
    this.#point(row.id, step, document(target.document));
  }

  #point(id: string, step: number, job: Job): void {
    this.#sql.update.run({ id, step, now: new Date().toISOString(), ...columns(job) });
    this.#writeCushions(id, job);
  }

  #writeCushions(jobId: string, job: Job): void {
    this.#sql.dropCushions.run(jobId);
    job.cushions.forEach((cushion, position) => {
      // A template that cannot be is kept as it was written, and listed without a size.
      const cannotBe = shapeOf(cushion.template).check(cushion.template).length > 0;
      const { acrossMm, deepMm } = cannotBe ? { acrossMm: 0, deepMm: 0 } : outlineOf(cushion.template);
      const { name, quantity, heightMm, school } = cushion;
      const outline = cannotBe ? null : JSON.stringify(smallOutline(cushion));
      this.#sql.insertCushion.run({
        jobId,
        position,
        name,
        quantity,
        shape: cushion.template.shape,
        widthMm: acrossMm,
        depthMm: deepMm,
        heightMm,
        school,
        outline,
        lines: cannotBe ? null : JSON.stringify(closedLines(cushion, acrossMm)),
      });
    });
    this.#sql.putWords.run(jobId, [job.name, job.customer ?? '', ...job.cushions.map(({ name }) => name)].join('\n'));
  }
}

function columns(job: Job): { name: string; customer: string; state: string; dueDate: string | null } {
  return { name: job.name, customer: job.customer ?? '', state: job.state ?? 'new', dueDate: job.dueDate ?? null };
}

function stored(row: JobRow): StoredJob {
  return { id: row.id, revision: row.revision, archived: row.archived === 1, undo: row.undo, redo: row.redo, job: document(row.document) };
}

/** A stored document, read like any other: brought up to date, and refused where it is not as it should be. */
function document(text: string): Job {
  const read = readStoredJob(text);
  if (read.ok) return read.value;
  const [first] = read.problems;
  throw new Refusal(500, {
    code: 'stored-job-damaged',
    path: first?.path ?? '',
    message: 'This job cannot be read as it is stored. Restore a backup, or take an earlier step of it.',
  });
}

/** Chords of the small outline run this near to its curves, mm. */
const SMALL_MM = 6;

/** The outline for a list's small drawing: whole millimetres, flattened roughly. */
function smallOutline({ template }: Job['cushions'][number]): readonly (readonly [number, number])[] {
  const points = flatten(outlineOf(template).outline, SMALL_MM);
  const [minX, minY] = [Math.min(...points.map(({ x }) => x)), Math.min(...points.map(({ y }) => y))];
  return points.map(({ x, y }) => [Math.round(x - minX), Math.round(y - minY)] as const);
}
