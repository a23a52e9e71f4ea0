import { createHash, randomBytes, randomUUID } from 'node:crypto';
import type { MadeToken, MakeToken, TokenList } from '@yardland/core';
import type { Database } from 'better-sqlite3';

/** It is noted that a token was used no oftener than this, ms. */
const NOTED_MS = 60_000;
/** What every token begins with, so that one left lying about is known for what it is. */
const BEGINS = 'yl_';

interface Row {
  readonly id: string;
  readonly name: string;
  readonly may: 'read' | 'write';
  readonly created_at: number;
  readonly seen_at: number | null;
}

/** Who comes with a token: which it is, and whether it may write. */
export interface TokenBearer {
  readonly id: string;
  readonly mayWrite: boolean;
}

const hashOf = (token: string): string => createHash('sha256').update(token).digest('hex');
const COLUMNS = 'id, name, may, created_at, seen_at';

/** Tokens of the shop's programs. A program holds its token, the database only its hash. */
export class Tokens {
  readonly #insert;
  readonly #byHash;
  readonly #see;
  readonly #all;
  readonly #end;

  constructor(
    db: Database,
    private readonly now: () => number = Date.now,
  ) {
    this.#insert = db.prepare('INSERT INTO token (id, name, may, token_hash, created_at) VALUES (?, ?, ?, ?, ?)');
    this.#byHash = db.prepare<[string], Row>(`SELECT ${COLUMNS} FROM token WHERE token_hash = ?`);
    this.#see = db.prepare('UPDATE token SET seen_at = ? WHERE id = ?');
    this.#all = db.prepare<[], Row>(`SELECT ${COLUMNS} FROM token ORDER BY created_at DESC, id`);
    this.#end = db.prepare('DELETE FROM token WHERE id = ?');
  }

  /** A new one; its text is told this once. */
  make({ name, may }: MakeToken): MadeToken {
    const [id, token] = [randomUUID(), BEGINS + randomBytes(32).toString('base64url')];
    this.#insert.run(id, name, may, hashOf(token), this.now());
    return { id, token };
  }

  /** Whose token stands in an `Authorization: Bearer` header; null where none does, or it is not known. */
  of(header: string | undefined): TokenBearer | null {
    const token = /^Bearer (\S+)$/i.exec(header ?? '')?.[1];
    const row = token ? this.#byHash.get(hashOf(token)) : undefined;
    if (!row) return null;
    const now = this.now();
    if (Math.abs(now - (row.seen_at ?? 0)) > NOTED_MS) this.#see.run(now, row.id);
    return { id: row.id, mayWrite: row.may === 'write' };
  }

  end(id: string): boolean {
    return this.#end.run(id).changes > 0;
  }

  list(): TokenList['tokens'] {
    return this.#all.all().map(({ id, name, may, created_at, seen_at }) => ({
      id,
      name,
      may,
      createdAt: new Date(created_at).toISOString(),
      seenAt: seen_at === null ? null : new Date(seen_at).toISOString(),
    }));
  }
}
