import { BehaviorSubject, of, Subject, throwError } from 'rxjs';
import type { ListRange } from '@angular/cdk/collections';
import { firstPage, Pages, type Page } from './pages';

const numbers = (from: number, many: number): number[] => Array.from({ length: many }, (_, i) => from + i);

describe('a long list in pages', () => {
  it('is as long as the whole and fetches only what is looked at, once', () => {
    const asked: [number, number][] = [];
    const ask = (from: number, most: number) => {
      asked.push([from, most]);
      return of({ rows: numbers(from, Math.min(most, 1050 - from)), total: 1050 });
    };
    let list: Pages<number> | undefined;
    firstPage(ask).subscribe((first) => (list = new Pages(first, ask, fail)));
    const viewChange = new BehaviorSubject<ListRange>({ start: 0, end: 20 });
    let rows: readonly { row: number | null }[] = [];
    list?.connect({ viewChange }).subscribe((places) => (rows = places));
    expect([rows.length, rows[99]?.row, rows[100]?.row]).toEqual([1050, 99, null]);
    viewChange.next({ start: 1030, end: 1060 });
    expect([rows[1049]?.row, rows[999]?.row]).toEqual([1049, null]);
    viewChange.next({ start: 90, end: 210 });
    viewChange.next({ start: 95, end: 215 });
    expect([rows[100]?.row, rows[214]?.row]).toEqual([100, 214]);
    expect(asked.map(([from]) => from)).toEqual([0, 1000, 100, 200]);
  });

  it('says when a page does not come, and asks again; answers after it is gone change nothing', () => {
    const failed: unknown[] = [];
    const late = new Subject<Page<number>>();
    const answers = [throwError(() => 'away'), late];
    const list = new Pages<number>(
      { rows: numbers(0, 100), total: 300 },
      () => answers.shift() ?? of({ rows: [], total: 0 }),
      (error) => failed.push(error),
    );
    const viewChange = new Subject<ListRange>();
    let rows: readonly { row: number | null }[] = [];
    list.connect({ viewChange }).subscribe((places) => (rows = places));
    viewChange.next({ start: 150, end: 160 });
    expect([failed, rows[150]?.row]).toEqual([['away'], null]);
    viewChange.next({ start: 151, end: 161 });
    list.disconnect();
    late.next({ rows: numbers(100, 100), total: 300 });
    expect(rows[150]?.row).toBeNull();
  });
});
