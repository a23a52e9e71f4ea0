import { DataSource, type CollectionViewer, type ListRange } from '@angular/cdk/collections';
import { BehaviorSubject, Subject, takeUntil, type Observable } from 'rxjs';

/** Rows asked for at once. */
const PAGE = 100;

/** Some rows of a long list, from the one asked for on, and how many the list has. */
export interface Page<T> {
  readonly rows: readonly T[];
  readonly total: number;
}

/** Answers some rows of a list: `from` is how many come before them, `most` how many they are at most. */
export type PageAsker<T> = (from: number, most: number) => Observable<Page<T>>;

/** A place in a long list: what is in it, or null until its page has come. */
export interface Place<T> {
  /** Which of the list it is, from 0. */
  readonly at: number;
  readonly row: T | null;
}

/** The first page of a list. */
export function firstPage<T>(ask: PageAsker<T>): Observable<Page<T>> {
  return ask(0, PAGE);
}

/**
 * A long list for a CDK table in a virtual scroll: as long as the whole, of which only the pages looked at are fetched. A page that could
 * not be fetched is asked for again when it is next looked at.
 */
export class Pages<T> extends DataSource<Place<T>> {
  readonly #places = new BehaviorSubject<readonly Place<T>[]>([]);
  readonly #asked = new Set<number>([0]);
  readonly #gone = new Subject<void>();

  /** Shows the first page, which has come already; `ask` fetches the others, `failed` is told why one did not come. */
  constructor(
    first: Page<T>,
    private readonly ask: PageAsker<T>,
    private readonly failed: (error: unknown) => void,
  ) {
    super();
    this.#put(0, first);
  }

  /** How many rows the list has, by the latest answer. */
  get total(): number {
    return this.#places.value.length;
  }

  connect(viewer: CollectionViewer): Observable<readonly Place<T>[]> {
    viewer.viewChange.pipe(takeUntil(this.#gone)).subscribe((range) => this.#fetch(range));
    return this.#places;
  }

  disconnect(): void {
    this.#gone.next();
  }

  #fetch({ start, end }: ListRange): void {
    const last = Math.min(end, this.total) - 1;
    for (let page = Math.floor(start / PAGE); page <= Math.floor(last / PAGE); page++) {
      if (this.#asked.has(page)) continue;
      this.#asked.add(page);
      this.ask(page * PAGE, PAGE)
        .pipe(takeUntil(this.#gone))
        .subscribe({
          next: (answer) => this.#put(page * PAGE, answer),
          error: (error: unknown) => {
            this.#asked.delete(page);
            this.failed(error);
          },
        });
    }
  }

  #put(from: number, { rows, total }: Page<T>): void {
    const before = this.#places.value;
    this.#places.next(Array.from({ length: total }, (_, at) => ({ at, row: rows[at - from] ?? before[at]?.row ?? null })));
  }
}
