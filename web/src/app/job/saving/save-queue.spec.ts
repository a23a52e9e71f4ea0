import { HttpErrorResponse } from '@angular/common/http';
import { JOB_FORMAT, type Job, type StoredJob } from '@yardland/core';
import { defer, firstValueFrom, of, throwError } from 'rxjs';
import { Injector } from '@angular/core';
import { WindowShelves } from '../../shared/saving/window-shelves';
import { PendingShelf, type Kept } from './pending-shelf';
import type { Change, Pending } from './pending-shelf';
import { SaveQueue, stillToSend } from './save-queue';

const job = (name: string): Job => ({
  format: JOB_FORMAT,
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
const change = (name: string): Change => ({ kind: 'edit', label: name, job: job(name) });
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
  /** What it answers instead while it is too busy, or broken; null: itself. */
  busy: number | null = null;
  /** The next answer is lost on its way back. */
  loses = false;
  last = 'theirs';
  readonly written: string[] = [];
  kept: Pending | null = null;
  nothingToUndo = false;
  room: Kept = 'all';
  readonly queue: SaveQueue;

  constructor(waiting: readonly Change[] = []) {
    this.queue = new SaveQueue(
      {
        write: (revision, label, next) =>
          defer(() => {
            if (!this.reachable) return throwError(() => new HttpErrorResponse({ status: 0 }));
            const problem = { code: 'stale-revision', path: 'revision', message: 'stale', current: stored(this.revision, this.last) };
            if (revision !== this.revision) return throwError(() => new HttpErrorResponse({ status: 409, error: problem }));
            if (this.busy !== null) return throwError(() => new HttpErrorResponse({ status: this.busy ?? 500 }));
            this.revision += 1;
            this.written.push(label);
            this.last = next.name;
            if (this.loses) {
              this.loses = false;
              return throwError(() => new HttpErrorResponse({ status: 0 }));
            }
            return of(stored(this.revision, next.name));
          }),
        step: (revision, direction) =>
          defer(() => {
            if (!this.reachable) return throwError(() => new HttpErrorResponse({ status: 0 }));
            const nothing = { code: 'nothing-to-undo', path: '', message: 'nothing', current: stored(this.revision, 'first') };
            if (this.nothingToUndo) return throwError(() => new HttpErrorResponse({ status: 409, error: nothing }));
            if (revision !== this.revision) return throwError(() => new HttpErrorResponse({ status: 409 }));
            this.revision += 1;
            this.written.push(direction);
            return of(stored(this.revision, direction));
          }),
        keep: (pending) => {
          this.kept = pending && structuredClone(pending);
          return this.room;
        },
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

  it('waits longer and longer for a server that is too busy or broken, and loses nothing', () => {
    const jar = new Jar();
    for (const status of [503, 500, 429]) {
      jar.busy = status;
      const before = jar.written.length;
      jar.queue.push(change(`at ${status}`));
      // Asked after 1, 3 and 7 s: at 8 s the next try is still to come, 15 s from the first.
      jasmine.clock().tick(8000);
      expect([jar.queue.state$.value, jar.queue.waiting]).toEqual(['offline', 1]);
      jar.busy = null;
      jasmine.clock().tick(6900);
      expect(jar.written.length).toBe(before);
      jasmine.clock().tick(200);
      expect([jar.queue.state$.value, jar.written.at(-1)]).toEqual(['saved', `at ${status}`]);
    }
  });

  it('takes its own write for its own when the answer was lost on the way', () => {
    const jar = new Jar();
    jar.loses = true;
    jar.queue.push(change('mine'));
    jar.queue.push(change('next'));
    expect(jar.queue.state$.value).toBe('offline');
    jasmine.clock().tick(3100);
    expect([jar.queue.state$.value, jar.written, jar.queue.conflict$.value]).toEqual(['saved', ['mine', 'next'], null]);
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

  it('sends undo and redo in turn with the edits, and goes on past a step that is not there', () => {
    const jar = new Jar();
    jar.queue.push(change('a'));
    jar.queue.push({ kind: 'undo', label: 'a', job: null });
    jar.queue.push({ kind: 'undo', label: 'b', job: null });
    expect(jar.written).toEqual(['a', 'undo', 'undo']);
    jar.nothingToUndo = true;
    jar.queue.push({ kind: 'undo', label: 'c', job: null });
    expect([jar.queue.state$.value, jar.queue.waiting]).toEqual(['saved', 0]);
  });

  it('says how well what waits is kept in the browser', () => {
    const jar = new Jar();
    jar.reachable = false;
    jar.room = 'nothing';
    jar.queue.push(change('a'));
    expect(jar.queue.kept$.value).toBe('nothing');
  });
});

describe('the shelf of pending changes', () => {
  const ID = 'full-store';
  const shelfOf = (shelves: WindowShelves): PendingShelf =>
    Injector.create({ providers: [{ provide: WindowShelves, useValue: shelves }, PendingShelf] }).get(PendingShelf);
  beforeEach(() => localStorage.clear());
  afterEach(() => localStorage.clear());

  it('of each window is its own; what a closed one has left goes on in another', async () => {
    const [one, other] = [new WindowShelves(), new WindowShelves()];
    const [here, there] = [shelfOf(one), shelfOf(other)];
    const found = (shelf: PendingShelf) => firstValueFrom(shelf.find(ID));
    // Both begin with the name of one tab, as a copied tab does, until the later one has heard of the other and takes a name of its own.
    do {
      await new Promise((resolve) => setTimeout(resolve, 20));
      here.keep(ID, { revision: 1, changes: [change('mine')] });
      there.keep(ID, { revision: 1, changes: [change('theirs')] });
    } while (localStorage.length < 2);
    expect(localStorage.length).toBe(2);
    expect((await found(here))?.changes.map(({ label }) => label)).toEqual(['mine']);
    expect((await found(there))?.changes.map(({ label }) => label)).toEqual(['theirs']);
    localStorage.clear();
    expect(await found(here)).toBeNull();
    localStorage.setItem(`yardland.pending.${ID}.gone`, JSON.stringify({ revision: 3, changes: [change('left')] }));
    expect((await found(here))?.changes.map(({ label }) => label)).toEqual(['left']);
    // It is this window's now.
    expect(Object.keys(localStorage).some((key) => key.endsWith('.gone'))).toBeFalse();
    expect((await found(there))?.changes ?? null).toBeNull();
    for (const shelves of [one, other]) shelves.ngOnDestroy();
  });

  it('keeps the job as it is now in place of every step when the store is full, and says when not even that fits', () => {
    const shelves = new WindowShelves();
    shelves.ngOnDestroy();
    const pendingShelf = shelfOf(shelves);
    const set = spyOn(Storage.prototype, 'setItem').and.callThrough();
    const big = (name: string): Change => ({ ...change(name), label: name });
    expect(pendingShelf.keep(ID, { revision: 1, changes: [big('a'), big('b')] })).toBe('all');
    set.and.callFake((_key: string, value: string) => {
      if (value.includes('"a"')) throw new DOMException('full', 'QuotaExceededError');
    });
    expect(pendingShelf.keep(ID, { revision: 1, changes: [big('a'), big('b')] })).toBe('last state');
    set.and.throwError(new DOMException('full', 'QuotaExceededError'));
    expect(pendingShelf.keep(ID, { revision: 1, changes: [big('a'), big('b')] })).toBe('nothing');
    expect(localStorage.length).toBe(0);
  });
});

describe('what of a shelf is still to be sent', () => {
  const pending: Pending = { revision: 4, changes: [change('first'), change('second')] };
  it('is all of it, all but a change that was taken and whose answer was lost, or a question to a person', () => {
    expect(stillToSend(pending, stored(4, 'before'))).toEqual(pending.changes);
    expect(stillToSend(pending, stored(5, 'first'))).toEqual([change('second')]);
    expect(stillToSend({ revision: 4, changes: [change('first')] }, stored(5, 'first'))).toEqual([]);
    expect(stillToSend(pending, stored(5, 'somebody else’s'))).toBeNull();
    expect(stillToSend(pending, stored(6, 'first'))).toBeNull();
    // What a step back led to is known to the server alone.
    expect(stillToSend({ revision: 4, changes: [{ kind: 'undo', label: '', job: null }] }, stored(5, 'first'))).toBeNull();
  });
});
