import fs from 'node:fs';
import { openDatabase } from '../src/db/open';
import { JobStore } from '../src/jobs/jobs.store';
import { beginOwn } from '../src/seed/own-shop';
import { seedDemo } from '../src/seed/seed';
import { ShopStore } from '../src/shop/shop.store';
import { demoDir, temporaryFolder } from './support';

describe('a shop of one’s own', () => {
  it('begins without jobs, people or anything on the shelves, with wares whose prices have no day, and is begun once', () => {
    const folder = temporaryFolder();
    const db = openDatabase(folder);
    const shops = new ShopStore(db);
    expect(beginOwn(demoDir, shops)).toBeTrue();
    const { document } = shops.read();
    expect([document.name, document.people, document.remnants, document.zips, document.schools]).toEqual(['Our shop', [], [], [], []]);
    const wares = [...document.grades, ...document.fillings, ...document.waddings, ...document.cloths];
    expect(wares.length).toBeGreaterThan(20);
    expect(wares.filter(({ pricedOn }) => pricedOn !== undefined)).toEqual([]);
    expect(document.grades.filter(({ lots }) => lots !== undefined)).toEqual([]);
    for (const table of ['job', 'log', 'sample'])
      expect(db.prepare(`SELECT count(*) AS n FROM ${table}`).get())
        .withContext(table)
        .toEqual({ n: 0 });
    // Neither is begun over it afterwards.
    expect(beginOwn(demoDir, shops)).toBeFalse();
    expect(seedDemo(demoDir, db, new JobStore(db), shops)).toBe(0);
    db.close();
    fs.rmSync(folder, { recursive: true });
  });
});
