import { Guesses } from '../src/sign-in/guesses';

describe('guessing at the pass-phrase', () => {
  it('gets slower with each wrong guess from an address, once for each guess, and forgets after a minute', () => {
    let now = 0;
    const guesses = new Guesses(() => now);
    const wrong = (n: number): number => {
      guesses.wrong('a', `guess ${n}`);
      return guesses.delay('a');
    };
    expect([1, 2, 3, 4, 5, 6, 7, 8, 9].map(wrong)).toEqual([0, 0, 250, 500, 1000, 2000, 4000, 8000, 8000]);
    // The same one again is a browser's or a tired hand's.
    guesses.wrong('b', 'straw');
    guesses.wrong('b', 'straw');
    guesses.wrong('b', 'straw');
    guesses.wrong('b', 'straw');
    expect(guesses.delay('b')).toBe(0);
    now = 61_000;
    expect(guesses.delay('a')).toBe(0);
  });

  it('makes everybody wait a little where very many guess, and nobody for ever', () => {
    const guesses = new Guesses(() => 0);
    for (let i = 0; i < 40; i++) guesses.wrong(`address ${i}`, `guess ${i}`);
    expect(guesses.delay('somebody else')).toBe(1000);
  });

  it('is tried one after the other; of very many at once the rest is sent away', async () => {
    const waited: number[] = [];
    const guesses = new Guesses(
      () => 0,
      (ms) => Promise.resolve(void waited.push(ms)),
    );
    let [at, most] = [0, 0];
    const work = async (): Promise<boolean> => {
      most = Math.max(most, ++at);
      await Promise.resolve();
      guesses.wrong('a', `${waited.length} ${at} ${Math.random()}`);
      at--;
      return true;
    };
    const all = await Promise.all(Array.from({ length: 14 }, () => guesses.inTurn('a', work)));
    expect([all.filter((one) => one === null).length, most]).toEqual([4, 1]);
    expect(waited).toEqual([250, 500, 1000, 2000, 4000, 8000, 8000]);
  });
});
