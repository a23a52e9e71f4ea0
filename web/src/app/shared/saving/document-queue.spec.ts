import { HttpErrorResponse } from '@angular/common/http';
import { mergeFields } from '@yardland/core';
import { Subject, type Observable } from 'rxjs';
import { DocumentQueue, type Unsent, type Version } from './document-queue';

interface Card {
  readonly name: string;
  readonly price?: number;
  readonly note?: string;
}

/** A server in hand: each write is answered by the test. */
class Desk {
  readonly sent: { readonly revision: number; readonly document: Card; readonly answer: Subject<Version<Card>> }[] = [];
  kept: Unsent<Card> | null = null;
  room = true;
  /** What the server has, when it refuses a stale write. */
  now: Version<Card> | null = null;

  queue(current: Version<Card>, document: Card): DocumentQueue<Card> {
    return new DocumentQueue<Card>(
      {
        write: (revision, document): Observable<Version<Card>> => {
          const answer = new Subject<Version<Card>>();
          this.sent.push({ revision, document, answer });
          return answer;
        },
        currentIn: ({ code }) => (code === 'stale-revision' ? this.now : null),
        merge: mergeFields,
        keep: (unsent) => {
          if (this.room) this.kept = unsent;
          return this.room;
        },
      },
      current,
      document,
    );
  }

  take(i: number): void {
    const { revision, document, answer } = this.sent[i]!;
    answer.next({ revision: revision + 1, document });
    answer.complete();
  }

  stale(i: number, revision: number, document: Card): void {
    this.now = { revision, document };
    this.refuse(i, 409, { code: 'stale-revision', path: 'revision', message: 'stale' });
  }

  refuse(i: number, status: number, error: unknown = null): void {
    this.sent[i]!.answer.error(new HttpErrorResponse({ status, error }));
  }
}

describe('a document that is written whole', () => {
  let desk: Desk;
  beforeEach(() => {
    desk = new Desk();
    jasmine.clock().install();
  });
  afterEach(() => jasmine.clock().uninstall());

  it('shows a change at once, sends one state after the other, and keeps in the browser what is not written', () => {
    const queue = desk.queue({ revision: 4, document: { name: 'a' } }, { name: 'a' });
    queue.change((card) => ({ ...card, price: 1 }));
    queue.change((card) => ({ ...card, price: 2 }));
    queue.change((card) => ({ ...card, price: 3 }));
    expect(queue.document$.value).toEqual({ name: 'a', price: 3 });
    expect(desk.sent.map(({ document }) => document.price)).toEqual([1]);
    expect(desk.kept).toEqual({ base: { revision: 4, document: { name: 'a' } }, document: { name: 'a', price: 3 } });
    desk.take(0);
    // What came between is not sent by itself.
    expect(desk.sent.map(({ revision, document }) => [revision, document.price])).toEqual([
      [4, 1],
      [5, 3],
    ]);
    desk.take(1);
    expect([queue.state$.value, desk.kept]).toEqual(['saved', null]);
  });

  it('waits while the server is away and goes out by itself, with what was changed meanwhile after it', () => {
    const queue = desk.queue({ revision: 1, document: { name: 'a' } }, { name: 'a' });
    queue.change((card) => ({ ...card, price: 1 }));
    desk.refuse(0, 0);
    expect(queue.state$.value).toBe('waiting');
    queue.change((card) => ({ ...card, price: 2 }));
    jasmine.clock().tick(4000);
    expect(desk.sent.length).toBe(2);
    desk.take(1);
    desk.take(2);
    expect([queue.state$.value, desk.sent.at(-1)!.document.price, desk.kept]).toEqual(['saved', 2, null]);
  });

  it('merges with what another window wrote; of what both changed the other’s stands, and this one’s can be had', () => {
    const queue = desk.queue({ revision: 1, document: { name: 'a', price: 1 } }, { name: 'a', price: 1 });
    const clashes: { names: readonly string[]; takeMine: () => void }[] = [];
    queue.clash$.subscribe((clash) => clashes.push(clash));
    queue.change(() => ({ name: 'mine', price: 2 }));
    desk.stale(0, 7, { name: 'theirs', price: 1, note: 'new' });
    expect(queue.document$.value).toEqual({ name: 'theirs', price: 2, note: 'new' });
    expect(desk.sent[1]!.revision).toBe(7);
    expect(clashes.map(({ names }) => names)).toEqual([['name']]);
    desk.take(1);
    clashes[0]!.takeMine();
    expect(desk.sent[2]!.document).toEqual({ name: 'mine', price: 2, note: 'new' });
  });

  it('is no clash with itself when an answer was lost, nor with a new one that was taken', () => {
    const queue = desk.queue({ revision: 1, document: { name: 'a' } }, { name: 'a' });
    queue.clash$.subscribe(() => fail('no clash'));
    queue.change(() => ({ name: 'b' }));
    queue.change(() => ({ name: 'b', price: 5 }));
    desk.stale(0, 2, { name: 'b' });
    expect(desk.sent[1]).toEqual(jasmine.objectContaining({ revision: 2, document: { name: 'b', price: 5 } }));

    const fresh = desk.queue({ revision: 0, document: null }, { name: 'new' });
    fresh.resume(null);
    fresh.change((card) => ({ ...card, price: 1 }));
    desk.stale(2, 1, { name: 'new' });
    expect(desk.sent[3]).toEqual(jasmine.objectContaining({ revision: 1, document: { name: 'new', price: 1 } }));
  });

  it('says what the server refuses and goes back to what it has, so that the next change goes out', () => {
    const queue = desk.queue({ revision: 1, document: { name: 'a' } }, { name: 'a' });
    const said: string[] = [];
    queue.refused$.subscribe((why) => said.push(why));
    queue.change(() => ({ name: '' }));
    desk.refuse(0, 400, { code: 'too-short', path: 'name', message: 'A name is wanted.' });
    expect([said, queue.document$.value, desk.kept]).toEqual([['A name is wanted.'], { name: 'a' }, null]);
    queue.change(() => ({ name: 'c' }));
    expect(desk.sent[1]!.document).toEqual({ name: 'c' });
  });

  it('goes on with what an earlier page left, onto what is there now; and says when there is no room to keep it', () => {
    const queue = desk.queue({ revision: 9, document: { name: 'a', note: 'theirs' } }, { name: 'a', note: 'theirs' });
    queue.resume({ base: { revision: 3, document: { name: 'a' } }, document: { name: 'a', price: 8 } });
    expect(desk.sent[0]).toEqual(jasmine.objectContaining({ revision: 9, document: { name: 'a', note: 'theirs', price: 8 } }));
    let full = 0;
    queue.full$.subscribe(() => full++);
    desk.room = false;
    queue.change((card) => ({ ...card, price: 9 }));
    expect(full).toBe(1);
  });
});
