import type { Job, StoredJob } from '@yardland/core';
import { BehaviorSubject, concatMap, defer, EMPTY, Observable, retry, Subject, tap } from 'rxjs';
import { problemOf } from '../../shared/saving/problem';
import { whenBack } from '../../shared/saving/when-back';
import { differences } from './differences';
import type { Change, Kept, Pending } from './pending-shelf';

/** `offline`: changes wait in the browser; `conflict`: another window was first. */
export type SaveState = 'saved' | 'saving' | 'offline' | 'conflict' | 'refused';

export interface SavePort {
  readonly write: (revision: number, label: string, job: Job) => Observable<StoredJob>;
  readonly step: (revision: number, direction: 'undo' | 'redo') => Observable<StoredJob>;
  readonly keep: (pending: Pending | null) => Kept;
}

/** An answer of the server, and the change that it answers. */
export interface Answered {
  readonly change: Change;
  readonly stored: StoredJob;
}

/** Answers of the server to a step that is not there to be taken: nothing is lost by going on. */
const NO_STEP: ReadonlySet<string> = new Set(['nothing-to-undo', 'nothing-to-redo']);

/** A write was taken and its answer lost on the way: what the server has, one revision on from what was seen, is what was sent. */
function wasTaken({ job }: Change, seen: number, current: StoredJob): boolean {
  return job !== null && current.revision === seen + 1 && differences(current.job, job).length === 0;
}

/**
 * The kept changes that still have to be sent, given the job as the server has it: all of them, or all but the first if the server has it already and only its answer was lost.
 * Null when somebody else has changed the job meanwhile.
 */
export function stillToSend({ revision, changes }: Pending, stored: StoredJob): readonly Change[] | null {
  if (stored.revision === revision) return changes;
  const [first, ...rest] = changes;
  return first && wasTaken(first, revision, stored) ? rest : null;
}

/**
 * Sends changes, undos and redos to the server one after the other, each naming the revision that the one before made. What has not been answered is kept
 * through `port.keep`, so that it goes out in order when the server is back, after a reload too. A stale write stops the queue in `conflict`.
 */
export class SaveQueue {
  readonly state$ = new BehaviorSubject<SaveState>('saved');
  readonly answered$ = new Subject<Answered>();
  readonly conflict$ = new BehaviorSubject<StoredJob | null>(null);
  readonly refusal$ = new BehaviorSubject<string | null>(null);
  /** How well the changes that wait are kept in this browser. */
  readonly kept$ = new BehaviorSubject<Kept>('all');
  readonly #port: SavePort;
  readonly #sending = new Subject<void>();
  #revision: number;
  #changes: Change[];

  constructor(port: SavePort, revision: number, waiting: readonly Change[] = []) {
    this.#port = port;
    this.#revision = revision;
    this.#changes = [...waiting];
    this.#sending.pipe(concatMap(() => this.#sendOne())).subscribe();
    for (const _ of waiting) this.#sending.next();
  }

  get revision(): number {
    return this.#revision;
  }

  /** The job as it will be once everything is sent; null when nothing waits, or only the server knows. */
  get latest(): Job | null {
    return this.#changes.at(-1)?.job ?? null;
  }

  get waiting(): number {
    return this.#changes.length;
  }

  push(change: Change): void {
    this.#changes.push(change);
    this.#keep();
    if (this.state$.value !== 'conflict') this.#sending.next();
  }

  /** Goes on from a revision that this window has now seen, sending `changes` in place of what waited. */
  resume(revision: number, changes: readonly Change[]): void {
    this.#revision = revision;
    this.#changes = [...changes];
    this.#keep();
    this.conflict$.next(null);
    this.refusal$.next(null);
    this.state$.next('saved');
    for (const _ of changes) this.#sending.next();
  }

  #sendOne(): Observable<unknown> {
    const [change] = this.#changes;
    if (!change || this.state$.value === 'conflict' || this.state$.value === 'refused') return EMPTY;
    if (this.state$.value !== 'offline') this.state$.next('saving');
    return defer(() => this.#send(change)).pipe(
      retry({ delay: (error, tries) => whenBack(error, tries, () => this.state$.next('offline')), resetOnSuccess: true }),
      tap((stored) => this.#answered(change, stored)),
      (sent) =>
        new Observable((subscriber) =>
          sent.subscribe({ error: (error: unknown) => this.#stop(change, error, () => subscriber.complete()), complete: () => subscriber.complete() }),
        ),
    );
  }

  #send(change: Change): Observable<StoredJob> {
    if (change.kind !== 'edit') return this.#port.step(this.#revision, change.kind);
    return change.job ? this.#port.write(this.#revision, change.label, change.job) : EMPTY;
  }

  #answered(change: Change, stored: StoredJob): void {
    this.#revision = stored.revision;
    this.#changes.shift();
    this.#keep();
    this.state$.next(this.#changes.length ? 'saving' : 'saved');
    this.answered$.next({ change, stored });
  }

  #stop(change: Change, error: unknown, done: () => void): void {
    const problem = problemOf(error);
    if (problem.current && NO_STEP.has(problem.code)) this.#answered(change, problem.current);
    else if (problem.current && wasTaken(change, this.#revision, problem.current)) this.#answered(change, problem.current);
    else if (problem.status === 409 && problem.current) {
      this.state$.next('conflict');
      this.conflict$.next(problem.current);
    } else {
      this.state$.next('refused');
      this.refusal$.next(problem.message);
    }
    done();
  }

  #keep(): void {
    this.kept$.next(this.#port.keep(this.#changes.length ? { revision: this.#revision, changes: this.#changes } : null));
  }
}
