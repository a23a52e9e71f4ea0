import type { Merged, Problem } from '@yardland/core';
import { BehaviorSubject, defer, retry, Subject, type Observable, type Subscription } from 'rxjs';
import { problemOf } from './problem';
import { whenBack } from './when-back';

/** A document as the server has it; revision 0 and null where it has none yet. */
export interface Version<D> {
  readonly revision: number;
  readonly document: D | null;
}

/** What the server has not got yet: the version that was changed, and the document as it should be. */
export interface Unsent<D> {
  readonly base: Version<D>;
  readonly document: D;
}

export interface DocumentPort<D> {
  readonly write: (revision: number, document: D) => Observable<Version<D>>;
  /** What the server has, where it refused a write because of that; null for any other refusal. */
  readonly currentIn: (problem: Problem) => Version<D> | null;
  /** Where both changed the same, the last one's counts and is among the clashes. */
  readonly merge: (base: D, mine: D, theirs: D) => Merged<D>;
  /** False where this browser has no room for it. */
  readonly keep: (unsent: Unsent<D> | null) => boolean;
}

/** `waiting`: the server does not answer, what is to be written waits in this browser. */
export type QueueState = 'saved' | 'saving' | 'waiting';

/** Both changed the same: the names of what, and how to have it as this window had it. */
export interface Clash {
  readonly names: readonly string[];
  readonly takeMine: () => void;
}

const same = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b);

/**
 * Saves a document that is written whole. A change shows at once and is sent when the server has answered the one before; only the newest state is sent. State that is not yet written is
 * kept through `port.keep`. If another window wrote first, the changes are merged; where both changed the same, the other's value stands and `clash$` says so.
 */
export class DocumentQueue<D> {
  readonly document$: BehaviorSubject<D>;
  readonly state$ = new BehaviorSubject<QueueState>('saved');
  readonly clash$ = new Subject<Clash>();
  /** Something was written. */
  readonly written$ = new Subject<void>();
  /** A write that the server refused, in its words: the document is again as the server has it. */
  readonly refused$ = new Subject<string>();
  /** What is to be written could not be kept in this browser. */
  readonly full$ = new Subject<void>();
  readonly #port: DocumentPort<D>;
  #base: Version<D>;
  #busy = false;
  #writing: Subscription | null = null;

  /** `document`: as it is shown at first, the server's or one that is new. */
  constructor(port: DocumentPort<D>, current: Version<D>, document: D) {
    this.#port = port;
    this.#base = current;
    this.document$ = new BehaviorSubject(document);
  }

  /** The revision that was last read or written. */
  get revision(): number {
    return this.#base.revision;
  }

  /** Whether the server has nothing of it yet, and nothing is on its way there. */
  get isNew(): boolean {
    return this.#base.revision === 0 && !this.#busy;
  }

  /** Goes on with what an earlier page could not write; without one, writes a document that is new. */
  resume(unsent: Unsent<D> | null): void {
    if (unsent) this.#put(unsent.base.document, unsent.document, this.#base);
    else this.#send();
  }

  /** Changes the document as it is now. */
  change(edit: (document: D) => D): void {
    this.document$.next(edit(this.document$.value));
    this.#send();
  }

  /** Nothing more is written: the document is given up. */
  end(): void {
    this.#writing?.unsubscribe();
    this.#port.keep(null);
    this.state$.next('saved');
  }

  /** This window's document, made from `was`, onto what the server has now. */
  #put(was: D | null, mine: D, theirs: Version<D>): void {
    this.#base = theirs;
    const there = theirs.document;
    if (there === null) this.document$.next(mine);
    else {
      // Made here as new and taken before its answer was heard: all that this window says of it counts.
      const base = was ?? there;
      const { value, clashes } = this.#port.merge(base, mine, there);
      this.document$.next(value);
      if (clashes.length) {
        // The same merge with the sides exchanged: where both changed the same, this window's counts.
        const ours = this.#port.merge(base, there, mine).value;
        this.clash$.next({ names: clashes, takeMine: () => this.change((now) => this.#port.merge(value, now, ours).value) });
      }
    }
    this.#send();
  }

  #send(): void {
    const sent = this.document$.value;
    if (same(sent, this.#base.document)) {
      this.#port.keep(null);
      if (!this.#busy) this.state$.next('saved');
      return;
    }
    if (!this.#port.keep({ base: this.#base, document: sent })) this.full$.next();
    if (this.#busy) return;
    this.#busy = true;
    this.state$.next('saving');
    this.#writing = defer(() => this.#port.write(this.#base.revision, sent))
      .pipe(retry({ delay: (error, tries) => whenBack(error, tries, () => this.state$.next('waiting')) }))
      .subscribe({
        next: (stored) => {
          this.#busy = false;
          this.#base = stored;
          // As the server has it, unless it was changed since.
          if (this.document$.value === sent && stored.document !== null && !same(sent, stored.document)) this.document$.next(stored.document);
          this.written$.next();
          this.#send();
        },
        error: (error: unknown) => {
          this.#busy = false;
          this.#failed(problemOf(error));
        },
      });
  }

  #failed(problem: Problem): void {
    const current = this.#port.currentIn(problem);
    if (current) {
      this.#put(this.#base.document, this.document$.value, current);
      return;
    }
    if (this.#base.document !== null) this.document$.next(this.#base.document);
    this.#port.keep(null);
    this.state$.next('saved');
    this.refused$.next(problem.message);
  }
}
