import {
  allBought,
  BOUGHT_KINDS,
  BOUGHT_LISTS,
  openShop,
  ROW_LISTS,
  shopSchema,
  writtenByShop,
  type BoughtKind,
  type Shop,
  type ShopDocument,
  type StockUses,
  type StoredShop,
} from '@yardland/core';
import type { Database } from 'better-sqlite3';
import { Refusal } from '../http/refusal';
import { localDay } from '../local-day';
import { LogStore } from '../log/log.store';

interface Row {
  readonly id: string;
  readonly name?: string;
  readonly grade?: string;
  readonly cloth?: string;
  readonly lengthMm?: number;
}

/** Tables of the shop's things, and their columns. */
const COLUMNS = {
  material: 'kind, id, position, name, document',
  school: 'id, position, name, document',
  remnant: 'id, position, material, document',
  salvaged_zip: 'id, position, length_mm, document',
} as const;
type Table = keyof typeof COLUMNS;
/** Lists of the document with a table of their own; those of materials share one. */
const OWN_TABLES = { school: 'schools', remnant: 'remnants', salvaged_zip: 'zips' } as const satisfies Partial<Record<Table, (typeof ROW_LISTS)[number]>>;
const tablesOf = Object.entries(OWN_TABLES) as [keyof typeof OWN_TABLES, (typeof OWN_TABLES)[keyof typeof OWN_TABLES]][];
const inRows = (key: string): boolean => (ROW_LISTS as readonly string[]).includes(key);

/** Reading, putting and dropping the rows of one table; of materials, those of one kind. */
function rowStatements(db: Database, table: Table, kind: BoughtKind | null) {
  const where = kind === null ? '' : `kind = '${kind}' AND `;
  const all = db.prepare<[], { id: string; position: number; document: string }>(`SELECT id, position, document FROM ${table} WHERE ${where}1`);
  const drop = db.prepare<[string]>(`DELETE FROM ${table} WHERE ${where}id = ?`);
  const columns = COLUMNS[table];
  const put = db.prepare(`INSERT OR REPLACE INTO ${table} (${columns}) VALUES (${columns.replace(/[a-z_]+/g, '@$&')})`);
  return {
    all: () => all.all(),
    drop: (id: string) => drop.run(id),
    put: ({ id, name, grade, cloth, lengthMm }: Row, position: number, document: string) =>
      put.run({ kind, id, position, name, material: grade ?? cloth, length_mm: lengthMm, document }),
  };
}

/** The shop's document, kept in rows. */
export class ShopStore {
  readonly #db: Database;
  readonly #log: LogStore;
  #open: Shop | null = null;

  constructor(db: Database) {
    this.#db = db;
    this.#log = new LogStore(db);
  }

  isEmpty(): boolean {
    return this.#db.prepare('SELECT 1 FROM shop').get() === undefined;
  }

  /** The shop's document with its revision. */
  stored(): StoredShop {
    const row = this.#db.prepare<[], { revision: number }>('SELECT revision FROM shop').get();
    return { revision: row?.revision ?? 1, shop: this.read().document };
  }

  /** Takes a changed document that names the revision it saw; refuses a stale one with the current. */
  change({ revision, shop }: StoredShop): StoredShop {
    this.#db
      .transaction(() => {
        const current = this.stored();
        if (current.revision !== revision)
          throw new Refusal(409, {
            code: 'stale-revision',
            path: 'revision',
            message: 'The shop was changed in another window since this one read it.',
            currentShop: current,
          });
        this.write(shop, revision + 1);
      })
      .immediate();
    // Read again only once the change is on the disk.
    return this.stored();
  }

  /** Brings the rows to what a document says: what has changed is written, what has gone is removed, all the rest is left alone. */
  write(document: ShopDocument, revision = 1): void {
    this.#db.transaction(() => {
      // What has neither a column nor a table goes into the settings, so that nothing of the document is left out.
      const { format: _format, name, units, step, calibration, ...others } = document;
      const settings = Object.fromEntries(Object.entries(others).filter(([key]) => !inRows(key)));
      this.#db
        .prepare('INSERT OR REPLACE INTO shop (id, name, units, step, calibration, settings, revision) VALUES (1, ?, ?, ?, ?, ?, ?)')
        .run(name, units, JSON.stringify(step), JSON.stringify(calibration), JSON.stringify(settings), revision);
      for (const kind of BOUGHT_KINDS) this.#bring('material', kind, document[BOUGHT_LISTS[kind]]);
      for (const [table, list] of tablesOf) this.#bring(table, null, document[list]);
      this.#log.bring(null, writtenByShop(document), [], localDay());
    })();
    this.#open = null;
  }

  #bring(table: Table, kind: BoughtKind | null, items: readonly Row[]): void {
    const sql = rowStatements(this.#db, table, kind);
    const before = new Map(sql.all().map((row) => [row.id, row]));
    items.forEach((item, position) => {
      const document = JSON.stringify(item);
      const row = before.get(item.id);
      before.delete(item.id);
      if (row?.position !== position || row.document !== document) sql.put(item, position, document);
    });
    for (const id of before.keys()) sql.drop(id);
  }

  /** Which jobs, put away or not, name a material by its id. Looked for as a word of their documents: a name that only looks like it keeps what need not be kept. */
  uses(id: string): StockUses {
    const named = this.#db
      .prepare<[string], { name: string }>(
        'SELECT j.name FROM job j JOIN job_step s ON s.job_id = j.id AND s.step = j.step WHERE instr(s.document, ?) > 0 ORDER BY j.updated_at DESC, j.id',
      )
      .all(JSON.stringify(id));
    return { count: named.length, jobs: named.slice(0, 5).map(({ name }) => name) };
  }

  /** What the shop's materials are called, by id. */
  materialNames(): ReadonlyMap<string, string> {
    return new Map(allBought(this.read().document).map(({ id, name }) => [id, name]));
  }

  /** The shop ready for planning; read once and kept until it is written. Throws when there is none. */
  read(): Shop {
    return (this.#open ??= openShop(this.#readDocument()));
  }

  #readDocument(): ShopDocument {
    const row = this.#db
      .prepare<[], { name: string; units: string; step: string; calibration: string; settings: string }>(
        'SELECT name, units, step, calibration, settings FROM shop',
      )
      .get();
    const select = this.#db.prepare<[BoughtKind], { document: string }>('SELECT document FROM material WHERE kind = ? ORDER BY position');
    const materials = (kind: BoughtKind): unknown[] => select.all(kind).map((one): unknown => JSON.parse(one.document));
    const rows = (table: Exclude<Table, 'material'>): unknown[] =>
      this.#db
        .prepare<[], { document: string }>(`SELECT document FROM ${table} ORDER BY position`)
        .all()
        .map((one): unknown => JSON.parse(one.document));
    return shopSchema.parse({
      ...(JSON.parse(row?.settings ?? '{}') as object),
      format: 'yardland/shop@1',
      name: row?.name,
      units: row?.units,
      step: JSON.parse(row?.step ?? 'null') as unknown,
      calibration: JSON.parse(row?.calibration ?? 'null') as unknown,
      ...Object.fromEntries(BOUGHT_KINDS.map((kind) => [BOUGHT_LISTS[kind], materials(kind)])),
      ...Object.fromEntries(tablesOf.map(([table, list]) => [list, rows(table)])),
    });
  }
}
