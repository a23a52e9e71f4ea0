import type { Database } from 'better-sqlite3';

/** From this share of its limit on a database is nearly full, and that is said. */
const NEARLY = 0.8;

/** How large a database is, and how large it may become, bytes. Free pages count as free. */
export interface Space {
  readonly bytes: number;
  readonly limitBytes: number;
  readonly nearlyFull: boolean;
  readonly full: boolean;
}

/** The space of a database against its limit. */
export function spaceOf(db: Database, limitBytes: number): Space {
  const read = (name: string): number => Number(db.pragma(name, { simple: true }));
  const bytes = (read('page_count') - read('freelist_count')) * read('page_size');
  return { bytes, limitBytes, nearlyFull: bytes >= limitBytes * NEARLY, full: bytes >= limitBytes };
}
