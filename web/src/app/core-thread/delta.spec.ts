import * as fc from 'fast-check';
import { applied, deltaOf } from './delta';

/** What one side sends, as the other gets it. */
const sent = (before: unknown, after: unknown, depth: number) => structuredClone(deltaOf(before, after, depth));

describe('a delta', () => {
  it('makes of what the other side has what it was made from, whatever was changed', () => {
    const leaf = fc.oneof(fc.integer(), fc.string(), fc.constant(null));
    const document = fc.dictionary(fc.string({ minLength: 1 }), fc.oneof(leaf, fc.array(fc.dictionary(fc.constantFrom('a', 'b', 'c'), leaf))));
    fc.assert(
      fc.property(fc.array(document, { minLength: 2, maxLength: 5 }), fc.integer({ min: 0, max: 4 }), (versions, depth) => {
        // Each version keeps some parts of the one before as the same objects, as documents do that are never changed in place.
        const chain = versions.reduce<Record<string, unknown>[]>((all, version, i) => [...all, i % 2 ? { ...all.at(-1), ...version } : version], []);
        let there: unknown = undefined;
        chain.forEach((version, i) => {
          there = applied(there, sent(chain[i - 1], version, depth));
          expect(there).toEqual(version);
        });
      }),
      { seed: 11, numRuns: 200 },
    );
  });

  it('sends nothing of what is the same object, and leaves it the same object there', () => {
    const [kept, gone, fresh] = [{ name: 'kept', points: [1, 2, 3] }, { name: 'gone' }, { name: 'new' }];
    const before = { list: [gone, kept], other: { deep: kept } };
    const after = { list: [kept, fresh], other: before.other };
    const there = structuredClone(before);
    const delta = sent(before, after, 2);
    expect(JSON.stringify(delta)).not.toContain('points');
    const made = applied(there, delta) as typeof after;
    expect(made).toEqual(after);
    // It has moved to the front.
    expect(made.list[0]).toBe(there.list[1] as typeof kept);
    expect(made.other).toBe(there.other);
  });

  it('takes out what is gone, and tells a field that is undefined from one that is not there', () => {
    const before: Record<string, unknown> = { a: 1, b: 2 };
    const after: Record<string, unknown> = { b: 2, c: undefined };
    expect(Object.entries(applied({ ...before }, sent(before, after, 1)) as object)).toEqual([
      ['b', 2],
      ['c', undefined],
    ]);
  });

  it('is refused where the other side has something else', () => {
    expect(() => applied({}, deltaOf([1], [2], 1))).toThrowError(TypeError);
    expect(() => applied([], deltaOf({ a: 1 }, { a: 2 }, 1))).toThrowError(TypeError);
  });
});
