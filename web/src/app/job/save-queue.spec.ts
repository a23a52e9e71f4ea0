import { HttpErrorResponse } from '@angular/common/http';
import type { Job, StoredJob } from '@yardland/core';
import { defer, of, throwError } from 'rxjs';
import { drained, SaveQueue, type Change, type Pending } from './save-queue';

const job = (name: string): Job => ({
  format: 'yardland/job@1',
  name,
  units: 'metric',
  cushions: [
    {
      name: 'Seat',
      quantity: 1,
      given: 'seat',
      template: { shape: 'rectangle', widthMm: 500, depthMm: 450 },
      heightMm: 75,
      school: 'padded-to-the-line',
      construction: { kind: 'boxed', edge: 'plain' },
      core: { layers: [] },
    },
  ],
  cloth: { widthMm: 1400 },
});
const change = (name: string): Change => ({ label: name, job: job(name) });
const stored = (revision: number, name: string): StoredJob => ({
  id: '00000000-0000-4000-8000-000000000000',
  revision,
  archived: false,
  undo: name,
  redo: null,
  job: job(name),
});

/** A server in a jar: refuses stale writes, and can be unreachable. */
class Jar {
  revision = 1;
  reachable = true;
  readonly written: string[] = [];
  kept: Pending | null = null;
  readonly queue: SaveQueue;

  constructor(waiting: readonly Change[] = []) {
    this.queue = new SaveQueue(
      {
        write: (revision, label, next) =>
          defer(() => {
            if (!this.reachable) return throwError(() => new HttpErrorResponse({ status: 0 }));
            const problem = { code: 'stale-revision', path: 'revision', message: 'stale', current: stored(this.revision, 'theirs') };
            if (revision !== this.revision) return throwError(() => new HttpErrorResponse({ status: 409, error: problem }));
            this.revision += 1;
            this.written.push(label);
            return of(stored(this.revision, next.name));
          }),
        keep: (pending) => (this.kept = pending && structuredClone(pending)),
      },
      1,
      waiting,
    );
  }
}

describe('SaveQueue', () => {
  beforeEach(() => jasmine.clock().install());
  afterEach(() => jasmine.clock().uninstall());

  it('sends changes in order, each naming the revision of the one before', () => {
    const jar = new Jar();
    for (const name of ['a', 'b', 'c']) jar.queue.push(change(name));
    expect(jar.written).toEqual(['a', 'b', 'c']);
    expect([jar.queue.revision, jar.queue.state$.value, jar.kept]).toEqual([4, 'saved', null]);
  });

  it('keeps changes while the server is away, says so, and sends them in order when it is back', () => {
    const jar = new Jar();
    jar.reachable = false;
    jar.queue.push(change('a'));
    jar.queue.push(change('b'));
    expect(jar.queue.state$.value).toBe('offline');
    expect(jar.kept?.changes.map((one) => one.label)).toEqual(['a', 'b']);
    jasmine.clock().tick(3100);
    expect(jar.queue.state$.value).toBe('offline');
    jar.reachable = true;
    jasmine.clock().tick(3100);
    expect(jar.written).toEqual(['a', 'b']);
    expect([jar.queue.state$.value, jar.kept]).toEqual(['saved', null]);
  });

  it('goes on after a reload with what was kept', () => {
    const jar = new Jar([change('a'), change('b')]);
    expect(jar.written).toEqual(['a', 'b']);
  });

  it('stops at a stale write with the other’s job, and overwrites nothing until the person has chosen', () => {
    const jar = new Jar();
    jar.revision = 5;
    jar.queue.push(change('mine'));
    jar.queue.push(change('mine too'));
    expect([jar.queue.state$.value, jar.queue.conflict$.value?.job.name]).toEqual(['conflict', 'theirs']);
    expect(jar.written).toEqual([]);
    jar.queue.resume(5, [change('kept')]);
    expect([jar.written, jar.queue.state$.value]).toEqual([['kept'], 'saved']);
  });

  it('says when it is drained', () => {
    const jar = new Jar();
    jar.reachable = false;
    jar.queue.push(change('a'));
    const seen: string[] = [];
    drained(jar.queue).subscribe((state) => seen.push(state));
    expect(seen).toEqual(['offline']);
    jar.reachable = true;
    jasmine.clock().tick(3100);
    drained(jar.queue).subscribe((state) => seen.push(state));
    expect(seen).toEqual(['offline', 'saved']);
  });
});
