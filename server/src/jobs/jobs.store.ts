import { randomUUID } from 'node:crypto';
import { readStoredJob, type HeldRemnants, type Job, type JobList, type StoredJob } from '@yardland/core';
import type { Database } from 'better-sqlite3';
import { notFound, Refusal } from '../http/refusal';
import { JobReading } from './reading';
import { damaged, storedText } from './stored';
import { prepared, type PreparedJob } from './prepared';
import { localDay } from '../local-day';
import { LogStore } from '../log/log.store';
import { jobStatements, type Finding, type JobRow, type ListQuery, type SummaryRow } from './jobs.sql';

/** Steps of one job that undo can go back over; older ones are deleted. */
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

/** A change as it is stored: what it is called, and the document that going over it makes. */
export interface StoredStep {
  readonly label: string;
  readonly document: string;
}

export interface StoredSteps {
  readonly revision: number;
  readonly past: readonly StoredStep[];
  readonly future: readonly StoredStep[];
}

/** Jobs, their revisions and their undo history. Every write names the revision it saw; a stale one is refused with the current job. */
export class JobStore {
  readonly #sql;
  readonly #reading: JobReading;
  readonly #log: LogStore;
  readonly #transaction: <T>(work: () => T) => T;

  constructor(db: Database, reading = new JobReading()) {
    this.#reading = reading;
    this.#sql = jobStatements(db);
    this.#log = new LogStore(db);
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
    const row = this.#row(id);
    return { id: row.id, revision: row.revision, archived: row.archived === 1, undo: row.undo, redo: row.redo, job: document(row.document) };
  }

  /** The job as it is stored, without being read into an object: for handing on as it is. */
  readText(id: string): JobRow {
    return this.#row(id);
  }

  /** Jobs that are not ready yet, the first to be due first, as they are stored. */
  toDo(most: number): readonly { readonly id: string; readonly revision: number; readonly document: string }[] {
    return this.#sql.toDo.all(most);
  }

  /** The one job whose id begins so; null where there is none, or more than one. */
  byFirst(letters: string): string | null {
    if (!/^[0-9a-f]{8}$/.test(letters)) return null;
    const found = this.#sql.byFirst.all(letters, `${letters}~`);
    return found.length === 1 ? (found[0]?.id ?? null) : null;
  }

  /** Of so many jobs that were worked at last those with clocked minutes, as they are stored. */
  clocked(most: number): string[] {
    return this.#sql.clocked.all(most).map(({ document: text }) => text);
  }

  /** What jobs have set aside of the shop's remnants: of so many that were worked at last and are not delivered. */
  heldRemnants(most: number): HeldRemnants['held'] {
    return this.#sql.heldRemnants.all(most);
  }

  /**
   * The changes on both sides of where a job stands, the nearest first, as they are stored: at most so many each way, and no more letters each way than `mostText`, but always the
   * nearest one. `past` has the document that taking the change back makes, `future` the one that bringing it again makes.
   */
  steps(id: string, most: number, mostText: number): StoredSteps {
    const { step, revision } = this.#row(id);
    const rows = this.#sql.stepsBetween.all(id, step - most, step + most);
    const at = (n: number) => rows.find((row) => row.step === n);
    const past: StoredStep[] = [];
    for (let [n, text] = [step, 0]; ; n--) {
      const [change, before] = [at(n), at(n - 1)];
      if (!change || !before) break;
      text += before.document.length;
      if (past.length && text > mostText) break;
      past.push({ label: change.label, document: before.document });
    }
    const future: StoredStep[] = [];
    for (let [n, text] = [step + 1, 0]; ; n++) {
      const row = at(n);
      text += row?.document.length ?? 0;
      if (!row || (future.length && text > mostText)) break;
      future.push(row);
    }
    return { revision, past, future };
  }

  create(job: PreparedJob, label = 'New job'): JobRow {
    const id = randomUUID();
    return this.#transaction(() => {
      const now = new Date().toISOString();
      this.#ownRemnants(id, job);
      this.#sql.insert.run({ id, now, ...columns(job) });
      this.#sql.insertStep.run({ id, step: 1, label, document: job.document, now });
      this.#writeCushions(id, job);
      return this.#row(id);
    });
  }

  write(id: string, revision: number, label: string, job: PreparedJob): JobRow {
    return this.#changing(id, revision, (row) => {
      const step = row.step + 1;
      this.#sql.dropRedo.run({ id, step: row.step });
      this.#sql.insertStep.run({ id, step, label, document: job.document, now: new Date().toISOString() });
      this.#sql.dropOld.run({ id, step: step - KEPT_STEPS });
      this.#point(id, step, job);
    });
  }

  /** The document that undo (−1) or redo (1) goes to from where the job stands. Refused where there is none, or the job does not stand where it was seen. */
  stepText(id: string, revision: number, by: -1 | 1): string {
    const row = this.#row(id);
    this.#seen(row, revision);
    const target = this.#sql.stepAt.get(id, row.step + by);
    if (!target) {
      const [code, message] = by < 0 ? ['nothing-to-undo', 'There is nothing to undo.'] : ['nothing-to-redo', 'There is nothing to redo.'];
      throw new Refusal(409, { code, path: '', message }, { current: () => storedText(row, this.#reading) });
    }
    return target.document;
  }

  /** Goes one step back or forth; `job` is what was made of that step's document. */
  goTo(id: string, revision: number, by: -1 | 1, job: PreparedJob): JobRow {
    return this.#changing(id, revision, (row) => this.#point(id, row.step + by, job));
  }

  archive(id: string, revision: number, archived: boolean): JobRow {
    return this.#changing(id, revision, (row) => {
      // Brought back it has its remnants again, if nobody else has taken them since.
      if (!archived && row.archived === 1) this.#freeRemnants(row);
      this.#sql.archive.run({ id, archived: archived ? 1 : 0, now: new Date().toISOString() });
    });
  }

  /** Writes what jobs from before there was a log say of themselves, so many of them at once; how many were looked at. One that cannot be read says nothing. */
  logEarlier(most: number): number {
    return this.#transaction(() => {
      const earlier = this.#sql.notLogged.all(most);
      for (const { id, document: text } of earlier) {
        const read = readStoredJob(text);
        if (read.ok) this.#writeCushions(id, prepared(read.value));
        else this.#sql.logged.run(id);
      }
      return earlier.length;
    });
  }

  #row(id: string): JobRow {
    const row = this.#sql.read.get(id);
    if (!row) throw notFound('job');
    return row;
  }

  #changing(id: string, revision: number, change: (row: JobRow) => void): JobRow {
    return this.#transaction(() => {
      const row = this.#row(id);
      this.#seen(row, revision);
      change(row);
      return this.#row(id);
    });
  }

  /** Refused with the job as it stands where that is not what was seen of it. */
  #seen(row: JobRow, revision: number): void {
    if (row.revision === revision) return;
    const message = 'This job was changed in another window since this one read it.';
    throw new Refusal(409, { code: 'stale-revision', path: 'revision', message }, { current: () => storedText(row, this.#reading) });
  }

  #point(id: string, step: number, job: PreparedJob): void {
    this.#ownRemnants(id, job);
    this.#sql.update.run({ id, step, now: new Date().toISOString(), ...columns(job) });
    this.#writeCushions(id, job);
  }

  /** A remnant can be cut once only. Refused where another job has one aside that this one has not had before; who has it, and who is due first, is said. */
  #ownRemnants(id: string, { remnants, dueDate }: PreparedJob): void {
    if (remnants.length === 0) return;
    const other = this.#sql.heldBy.get({ remnants: JSON.stringify(remnants), id });
    if (other) this.#taken(other, dueDate);
  }

  /** The same for a job that is brought back as it was. */
  #freeRemnants({ id, document: text }: JobRow): void {
    const { remnants = [], dueDate = null, state } = document(text);
    const other = state === 'delivered' || !remnants.length ? undefined : this.#sql.heldByOther.get({ remnants: JSON.stringify(remnants), id });
    if (other) this.#taken(other, dueDate);
  }

  #taken(other: { readonly name: string; readonly due_date: string | null }, dueDate: string | null): never {
    const first = dueDate !== null && (other.due_date === null || dueDate < other.due_date);
    const mend = first
      ? `This job is due first: take it off “${other.name}” there, and it is free for this one.`
      : 'That one is due first: take another, or cut from the roll.';
    throw new Refusal(422, { code: 'remnant-taken', path: 'job.remnants', message: `A remnant of these is set aside for “${other.name}” already. ${mend}` });
  }

  #writeCushions(jobId: string, { cushions, words, entries }: PreparedJob): void {
    this.#sql.dropCushions.run(jobId);
    cushions.forEach(({ materials, ...cushion }, position) => {
      this.#sql.insertCushion.run({ jobId, position, ...cushion });
      for (const material of materials) this.#sql.insertMaterial.run(jobId, position, material);
    });
    this.#sql.putWords.run(jobId, words);
    this.#log.bring(
      jobId,
      entries,
      cushions.map(({ name }) => name),
      localDay(),
    );
    this.#sql.logged.run(jobId);
  }
}

function columns({ name, customer, state, dueDate }: PreparedJob): Pick<PreparedJob, 'name' | 'customer' | 'state' | 'dueDate'> {
  return { name, customer, state, dueDate };
}

/** A stored document, read like any other: brought up to date, and refused where it is not as it should be. */
function document(text: string): Job {
  const read = readStoredJob(text);
  if (!read.ok) throw damaged();
  return read.value;
}
