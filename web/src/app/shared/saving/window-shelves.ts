import { Injectable, type OnDestroy } from '@angular/core';
import { map, of, Subject, timer, type Observable } from 'rxjs';

/** The shelves of bench samples: looked at by the application itself, which fetches what sends them only when there is something on one. */
export const UNSENT_SAMPLES = 'yardland.unsent-sample.';

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

function readFrom(key: string): unknown {
  try {
    return JSON.parse(localStorage.getItem(key) ?? 'null') as unknown;
  } catch {
    return null;
  }
}

/**
 * What the server has not got yet, kept in this browser: a shelf for each window, so that two that are both without the server never overwrite
 * each other's. What a window that is closed has left goes on in the next one that asks for it.
 */
@Injectable({ providedIn: 'root' })
export class WindowShelves implements OnDestroy {
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

  /**
   * What waits of a thing: this window's own, or what a closed window has left. At once when nothing waits at all; else when the other windows have answered.
   * `kind`: what sort of thing, the beginning of the keys.
   */
  find(kind: string, id: string): Observable<unknown> {
    if (this.#shelvesOf(kind, id).length === 0) return of(null);
    this.#others.clear();
    this.#say('ask');
    return timer(ANSWERED_MS).pipe(
      map(() => {
        const own = readFrom(this.#key(kind, id));
        if (own) return own;
        const left = this.#shelvesOf(kind, id).find((key) => ![...this.#others].some((name) => key === this.#key(kind, id, name)));
        const found = left === undefined ? null : readFrom(left);
        if (left !== undefined && found && this.keep(kind, id, found)) remove(left);
        return found;
      }),
    );
  }

  /** Keeps what waits; null takes it off the shelf. False where the browser's store has no room for it: then what was there before is still there. */
  keep(kind: string, id: string, value: unknown): boolean {
    const key = this.#key(kind, id);
    let kept = true;
    if (value === null) remove(key);
    else kept = store(key, value);
    this.changed$.next();
    return kept;
  }

  /** The things of a kind of which something waits, on the shelf of any window. */
  ids(kind: string): string[] {
    try {
      return [
        ...new Set(
          Object.keys(localStorage)
            .filter((key) => key.startsWith(kind))
            .map((key) => key.slice(kind.length).split('.')[0] ?? ''),
        ),
      ];
    } catch {
      return [];
    }
  }

  #key(kind: string, id: string, name = this.#name): string {
    return `${kind}${id}.${name}`;
  }

  /** The shelves of a thing, of whatever window; one without a window's name was kept before windows had names. */
  #shelvesOf(kind: string, id: string): string[] {
    try {
      return Object.keys(localStorage).filter((key) => key === `${kind}${id}` || key.startsWith(`${kind}${id}.`));
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
