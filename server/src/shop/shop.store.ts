import { openShop, shopSchema, type Shop, type ShopDocument, type StoredShop } from '@yardland/core';
import type { Database } from 'better-sqlite3';
import { Refusal } from '../http/refusal';

type Kind = 'grade' | 'filling' | 'cloth' | 'wadding';

/** The shop's document, kept in rows. */
export class ShopStore {
  readonly #db: Database;
  #open: Shop | null = null;

  constructor(db: Database) {
    this.#db = db;
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
    return this.#db
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
        return this.stored();
      })
      .immediate();
  }

  write(document: ShopDocument, revision = 1): void {
    const insertMaterial = this.#db.prepare('INSERT INTO material (kind, id, position, name, document) VALUES (?, ?, ?, ?, ?)');
    this.#db.transaction(() => {
      this.#db
        .prepare('INSERT OR REPLACE INTO shop (id, name, units, step, calibration, revision) VALUES (1, ?, ?, ?, ?, ?)')
        .run(document.name, document.units, JSON.stringify(document.step), JSON.stringify(document.calibration), revision);
      this.#db.prepare('DELETE FROM material').run();
      const rows: [Kind, readonly { id: string; name: string }[]][] = [
        ['grade', document.grades],
        ['filling', document.fillings],
        ['cloth', document.cloths],
        ['wadding', document.waddings],
      ];
      for (const [kind, materials] of rows) materials.forEach((one, position) => insertMaterial.run(kind, one.id, position, one.name, JSON.stringify(one)));
      this.#db.prepare('DELETE FROM school').run();
      const insertSchool = this.#db.prepare('INSERT INTO school (id, position, name, document) VALUES (?, ?, ?, ?)');
      this.#db.prepare('DELETE FROM remnant').run();
      const insertRemnant = this.#db.prepare('INSERT INTO remnant (id, position, grade, document) VALUES (?, ?, ?, ?)');
      document.remnants.forEach((one, position) => insertRemnant.run(one.id, position, one.grade, JSON.stringify(one)));
      document.schools.forEach((one, position) => insertSchool.run(one.id, position, one.name, JSON.stringify(one)));
    })();
    this.#open = null;
  }

  /** The shop ready for planning; read once and kept until it is written. Throws when there is none. */
  read(): Shop {
    return (this.#open ??= openShop(this.#readDocument()));
  }

  #readDocument(): ShopDocument {
    const row = this.#db
      .prepare<[], { name: string; units: string; step: string; calibration: string }>('SELECT name, units, step, calibration FROM shop')
      .get();
    const select = this.#db.prepare<[Kind], { document: string }>('SELECT document FROM material WHERE kind = ? ORDER BY position');
    const materials = (kind: Kind): unknown[] => select.all(kind).map((one): unknown => JSON.parse(one.document));
    const rows = (table: 'school' | 'remnant'): unknown[] =>
      this.#db
        .prepare<[], { document: string }>(`SELECT document FROM ${table} ORDER BY position`)
        .all()
        .map((one): unknown => JSON.parse(one.document));
    return shopSchema.parse({
      format: 'yardland/shop@1',
      name: row?.name,
      units: row?.units,
      step: JSON.parse(row?.step ?? 'null') as unknown,
      calibration: JSON.parse(row?.calibration ?? 'null') as unknown,
      grades: materials('grade'),
      fillings: materials('filling'),
      cloths: materials('cloth'),
      waddings: materials('wadding'),
      schools: rows('school'),
      remnants: rows('remnant'),
    });
  }
}
