import { Injectable, type OnDestroy } from '@angular/core';
import type { Job } from '@yardland/core';
import { map, of, Subject, timer, type Observable } from 'rxjs';

/** A change of a job, or a step back or forth. `job` is the document as it is afterwards; null where only the server knows it. */
export interface Change {
  readonly kind: 'edit' | 'undo' | 'redo';
  readonly label: string;
  readonly job: Job | null;
}

/** What is kept in the browser until the server has it. */
export interface Pending {
  readonly revision: number;
  readonly changes: readonly Change[];
}

/** What became of keeping changes in the browser: all of them, only the job's last state, or nothing. */
export type Kept = 'all' | 'last state' | 'nothing';

const SHELF = 'yardland.pending.';
const WINDOW = 'yardland.window';
const CHANNEL = 'yardland.windows';
/** Other windows of this browser answer within this, ms; one that the browser has put to sleep may not. */
const ANSWERED_MS = 200;

/** Windows of one browser ask each other who is there; each page load has a token of its own, so that a copied tab is told from its original. */
interface Word {
  readonly kind: 'ask' | 'here';
  readonly name: string;
  readonly token: string;
}

function store(key: string, value: unknown): boolean {
  try {
    localStorage.setItem(key, JSON.stringify(value));
    return true;
  } catch {
    return false;
  }
}

function remove(key: string): void {
  try {
    localStorage.removeItem(key);
  } catch {
    // A store that is forbidden holds nothing to remove.
  }
}

function readFrom(key: string): Pending | null {
  try {
    const kept = JSON.parse(localStorage.getItem(key) ?? 'null') as Pending | null;
    return kept && { ...kept, changes: kept.changes.map((change) => ({ ...change, kind: change.kind ?? 'edit' })) };
  } catch {
    return null;
  }
}

/**
 * The changes of jobs that the server has not answered yet, kept in this browser: a shelf for each window, so that two that are both without the server never overwrite
 * each other's. What a window that is closed has left goes on in the next one that opens its job.
 */
@Injectable({ providedIn: 'root' })
export class PendingShelf implements OnDestroy {
  readonly #token = crypto.getRandomValues(new Uint32Array(2)).join('-');
  readonly #others = new Set<string>();
  readonly #channel = typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel(CHANNEL);
  #name = this.#named();
  /** Something was put on a shelf of this window, or taken off. */
  readonly changed$ = new Subject<void>();

  constructor() {
    this.#channel?.addEventListener('message', ({ data }: MessageEvent<Word>) => this.#hear(data));
    this.#say('ask');
  }

  ngOnDestroy(): void {
    this.#channel?.close();
  }

  /** What waits for a job: this window's own, or what a closed window has left. At once when nothing waits at all; else when the other windows have answered. */
  find(id: string): Observable<Pending | null> {
    if (this.#shelvesOf(id).length === 0) return of(null);
    this.#others.clear();
    this.#say('ask');
    return timer(ANSWERED_MS).pipe(
      map(() => {
        const own = readFrom(this.#key(id));
        if (own) return own;
        const left = this.#shelvesOf(id).find((key) => ![...this.#others].some((name) => key === this.#key(id, name)));
        const found = left === undefined ? null : readFrom(left);
        if (left !== undefined && found && this.keep(id, found) === 'all') remove(left);
        return found;
      }),
    );
  }

  /** Keeps what waits. Where the browser's store is full the last state of the job is kept in place of every step to it; where even that does not fit, it says so. */
  keep(id: string, pending: Pending | null): Kept {
    const kept = this.#keep(id, pending);
    this.changed$.next();
    return kept;
  }

  /** The jobs of which something waits, on the shelf of any window. */
  jobs(): string[] {
    try {
      return [
        ...new Set(
          Object.keys(localStorage)
            .filter((key) => key.startsWith(SHELF))
            .map((key) => key.slice(SHELF.length).split('.')[0] ?? ''),
        ),
      ];
    } catch {
      return [];
    }
  }

  #keep(id: string, pending: Pending | null): Kept {
    const key = this.#key(id);
    if (!pending) {
      remove(key);
      return 'all';
    }
    if (store(key, pending)) return 'all';
    const last = pending.changes.at(-1);
    const job = last?.job ?? null;
    if (job && store(key, { revision: pending.revision, changes: [{ kind: 'edit', label: last?.label ?? '', job }] } satisfies Pending)) return 'last state';
    remove(key);
    return 'nothing';
  }

  #key(id: string, name = this.#name): string {
    return `${SHELF}${id}.${name}`;
  }

  /** The shelves of a job, of whatever window; one without a window's name was kept before windows had names. */
  #shelvesOf(id: string): string[] {
    try {
      return Object.keys(localStorage).filter((key) => key === `${SHELF}${id}` || key.startsWith(`${SHELF}${id}.`));
    } catch {
      return [];
    }
  }

  /** The name this window has had since it was opened, over reloads; where the browser keeps none, a new one. */
  #named(): string {
    try {
      const name = sessionStorage.getItem(WINDOW) ?? this.#token;
      sessionStorage.setItem(WINDOW, name);
      return name;
    } catch {
      return this.#token;
    }
  }

  #say(kind: Word['kind']): void {
    this.#channel?.postMessage({ kind, name: this.#name, token: this.#token } satisfies Word);
  }

  #hear({ kind, name, token }: Word): void {
    if (token === this.#token) return;
    if (kind === 'ask') {
      this.#say('here');
      return;
    }
    // A tab that was copied has its original's name: what stands on that shelf is the original's.
    if (name === this.#name) {
      this.#name = this.#token;
      try {
        sessionStorage.setItem(WINDOW, this.#name);
      } catch {
        // It keeps the name until it is closed.
      }
    }
    this.#others.add(name);
  }
}
