import { createHash } from 'node:crypto';
import type { Database } from 'better-sqlite3';
import { shopAndJobs } from './migrations/0001-shop-and-jobs.sql';
import { samples } from './migrations/0002-samples.sql';
import { shopRevision } from './migrations/0003-shop-revision.sql';
import { fillingsAndPictures } from './migrations/0004-fillings-and-pictures.sql';
import { schoolsAndRemnants } from './migrations/0005-schools-and-remnants.sql';
import { searchAndOutlines } from './migrations/0006-search-and-outlines.sql';
import { salvagedZips } from './migrations/0007-salvaged-zips.sql';
import { closedLines } from './migrations/0008-closed-lines.sql';
import { sessions } from './migrations/0009-sessions.sql';
import { remnantsOfAnyMaterial } from './migrations/0010-remnants-of-any-material.sql';
import { shopSettings } from './migrations/0011-shop-settings.sql';
import { log } from './migrations/0012-log.sql';
import { secrets } from './migrations/0013-secrets.sql';
import { standingPlan } from './migrations/0014-standing-plan.sql';
import { tokens } from './migrations/0015-tokens.sql';
import { keptLays } from './migrations/0016-kept-lays.sql';

export interface Migration {
  readonly name: string;
  readonly sql: string;
}

/** In order, append-only: a migration that has shipped is never edited. */
export const MIGRATIONS: readonly Migration[] = [
  { name: 'shop-and-jobs', sql: shopAndJobs },
  { name: 'samples', sql: samples },
  { name: 'shop-revision', sql: shopRevision },
  { name: 'fillings-and-pictures', sql: fillingsAndPictures },
  { name: 'schools-and-remnants', sql: schoolsAndRemnants },
  { name: 'search-and-outlines', sql: searchAndOutlines },
  { name: 'salvaged-zips', sql: salvagedZips },
  { name: 'closed-lines', sql: closedLines },
  { name: 'sessions', sql: sessions },
  { name: 'remnants-of-any-material', sql: remnantsOfAnyMaterial },
  { name: 'shop-settings', sql: shopSettings },
  { name: 'log', sql: log },
  { name: 'secrets', sql: secrets },
  { name: 'standing-plan', sql: standingPlan },
  { name: 'tokens', sql: tokens },
  { name: 'kept-lays', sql: keptLays },
];

const checksum = (sql: string): string => createHash('sha256').update(sql).digest('hex');

/** Why a database was not opened; nothing in it was touched. */
export class DatabaseRefused extends Error {}

/** Brings a database to the newest form, each step in a transaction; refuses one that is newer or was changed behind our back. */
export function migrate(db: Database, migrations: readonly Migration[] = MIGRATIONS): void {
  db.exec(`CREATE TABLE IF NOT EXISTS migration (
    number INTEGER PRIMARY KEY, name TEXT NOT NULL, checksum TEXT NOT NULL, applied_at TEXT NOT NULL
  ) STRICT`);
  const applied = db.prepare<[], { number: number; name: string; checksum: string }>('SELECT number, name, checksum FROM migration ORDER BY number').all();
  if (applied.length > migrations.length)
    throw new DatabaseRefused(
      `This database was written by a newer Yardland (form ${applied.length}; this one knows ${migrations.length}). Update Yardland; nothing was changed.`,
    );
  applied.forEach((row, i) => {
    const shipped = migrations[i];
    if (!shipped || shipped.name !== row.name || checksum(shipped.sql) !== row.checksum)
      throw new DatabaseRefused(`Migration ${row.number} (“${row.name}”) of this database is not the one that ships. Nothing was changed.`);
  });
  const record = db.prepare('INSERT INTO migration (number, name, checksum, applied_at) VALUES (?, ?, ?, ?)');
  migrations.slice(applied.length).forEach((migration, i) => {
    db.transaction(() => {
      db.exec(migration.sql);
      record.run(applied.length + i + 1, migration.name, checksum(migration.sql), new Date().toISOString());
    })();
  });
}
