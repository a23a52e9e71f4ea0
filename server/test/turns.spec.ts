import { setTimeout as wait } from 'node:timers/promises';
import { Turns, type Expected, type Turn } from '../src/workers/turns';

const { signal } = new AbortController();

/** Whether a turn has come by now. */
async function has(turn: Promise<Turn>): Promise<boolean> {
  return Promise.race([turn.then(() => true), wait(5).then(() => false)]);
}

describe('turns at two threads', () => {
  const ask = (turns: Turns, asker: string, expected?: Expected): Promise<Turn> => turns.take(asker, signal, expected);

  it('keep the last free one for short work and for others', async () => {
    const turns = new Turns(2);
    const heavy = await ask(turns, 'a');
    const [second, shortOne] = [ask(turns, 'a'), ask(turns, 'a', 'short')];
    // Her second unknown one waits, what is known to be short does not.
    expect([await has(second), await has(shortOne), turns.waiting]).toEqual([false, true, 1]);
    (await shortOne).give();
    const other = ask(turns, 'b');
    expect([await has(second), await has(other)]).toEqual([false, true]);
    // What took long the last time never takes the last place.
    (await other).give();
    const long = ask(turns, 'c', 'long');
    expect(await has(long)).toBeFalse();
    heavy.give();
    expect([await has(second), await has(long)]).toEqual([true, false]);
  });

  it('let work that turns out long run on beside the others', async () => {
    const turns = new Turns(2, { longMs: 20, overdue: 1 });
    const [one, two] = [await ask(turns, 'a'), await ask(turns, 'b')];
    const third = ask(turns, 'c');
    expect(await has(third)).toBeFalse();
    await wait(40);
    // One of them gave its place; the other keeps its own, or there would be too many.
    expect(await has(third)).toBeTrue();
    expect(await has(ask(turns, 'd'))).toBeFalse();
    one.give();
    two.give();
  });

  it('let in one of each line after the other, and forget who has left', async () => {
    const turns = new Turns(1);
    const running = await ask(turns, 'x');
    const gone = new AbortController();
    const order: string[] = [];
    const come = (asker: string, left = signal) =>
      turns.take(asker, left).then(
        (turn) => {
          order.push(asker);
          turn.give();
        },
        () => undefined,
      );
    const all = [come('a'), come('a'), come('a', gone.signal), come('b')];
    gone.abort();
    running.give();
    await Promise.all(all);
    expect(order).toEqual(['a', 'b', 'a']);
    expect(turns.waiting).toBe(0);
  });
});
