import { createHash, randomBytes, randomUUID } from 'node:crypto';
import type { SessionList } from '@yardland/core';
import type { Database } from 'better-sqlite3';

/** A session that nobody used for so long is over, ms. */
export const IDLE_MS = 14 * 86_400_000;
/** It is noted that a session was used no oftener than this, ms. */
const NOTED_MS = 60_000;
/** Sessions kept at most; the one that was not used for longest goes. */
const MOST = 200;

interface Row {
  readonly id: string;
  readonly agent: string;
  readonly created_at: number;
  readonly seen_at: number;
}

const hashOf = (token: string): string => createHash('sha256').update(token).digest('hex');

/** Sessions of those who know the pass-phrase. The browser holds a token, the database only its hash. */
export class Sessions {
  readonly #insert;
  readonly #byHash;
  readonly #see;
  readonly #all;
  readonly #end;
  readonly #endIdle;
  /** Who wants to hear that a session is ended. */
  readonly #ended = new Map<string, Set<() => void>>();

  constructor(
    db: Database,
    private readonly now: () => number = Date.now,
  ) {
    this.#insert = db.prepare('INSERT INTO session (id, token_hash, agent, created_at, seen_at) VALUES (?, ?, ?, ?, ?)');
    this.#byHash = db.prepare<[string], Row>('SELECT id, agent, created_at, seen_at FROM session WHERE token_hash = ?');
    this.#see = db.prepare('UPDATE session SET seen_at = ? WHERE id = ?');
    this.#all = db.prepare<[], Row>('SELECT id, agent, created_at, seen_at FROM session ORDER BY seen_at DESC, created_at DESC');
    this.#end = db.prepare('DELETE FROM session WHERE id = ?');
    this.#endIdle = db.prepare('DELETE FROM session WHERE seen_at < ?');
  }

  /** A new session for a browser; the token is for it alone. */
  begin(agent: string): string {
    const [token, now] = [randomBytes(32).toString('base64url'), this.now()];
    this.#endIdle.run(now - IDLE_MS);
    for (const { id } of this.#all.all().slice(MOST - 1)) this.#end.run(id);
    this.#insert.run(randomUUID(), hashOf(token), agent.slice(0, 200), now, now);
    return token;
  }

  /** The session that a token is of, by its id; null when there is none, or it is over. A clock that was set back ends none. */
  of(token: string | undefined): string | null {
    const row = token ? this.#byHash.get(hashOf(token)) : undefined;
    if (!row) return null;
    const [now, idle] = [this.now(), this.now() - row.seen_at];
    if (idle > IDLE_MS) {
      this.#end.run(row.id);
      return null;
    }
    if (idle > NOTED_MS || idle < 0) this.#see.run(now, row.id);
    return row.id;
  }

  end(id: string): boolean {
    const ended = this.#end.run(id).changes > 0;
    if (ended) for (const hear of this.#ended.get(id) ?? []) hear();
    return ended;
  }

  /** Calls when a session is ended; what it returns stops listening. */
  whenEnded(id: string, hear: () => void): () => void {
    const all = this.#ended.get(id) ?? new Set();
    this.#ended.set(id, all.add(hear));
    return () => {
      all.delete(hear);
      if (all.size === 0) this.#ended.delete(id);
    };
  }

  /** All of them, the one used last first; `here`: the asker's own. */
  list(here: string | null): SessionList['sessions'] {
    return this.#all.all().map(({ id, agent, created_at, seen_at }) => ({
      id,
      agent,
      createdAt: new Date(created_at).toISOString(),
      seenAt: new Date(seen_at).toISOString(),
      here: id === here,
    }));
  }
}
