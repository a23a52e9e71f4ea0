import * as fc from 'fast-check';
import { mergeFields, mergeRows } from './merge';

interface Thing {
  readonly id: string;
  readonly name?: string;
  readonly price?: number;
  readonly sizes?: readonly number[];
}

const fields = fc.record(
  { name: fc.constantFrom('a', 'b', 'c'), price: fc.nat(3), sizes: fc.array(fc.nat(2), { maxLength: 2 }) },
  { requiredKeys: [] },
) as fc.Arbitrary<Omit<Thing, 'id'>>;
const rows = fc.uniqueArray(
  fc.record({ id: fc.constantFrom('p', 'q', 'r', 's', 't') }).chain(({ id }) => fields.map((rest): Thing => ({ id, ...rest }))),
  {
    selector: ({ id }) => id,
  },
);
const byId = (list: readonly Thing[]): Thing[] => [...list].sort((a, b) => a.id.localeCompare(b.id));

describe('putting together what two sides made of one thing', () => {
  it('by hand: each side’s own change counts, the same field changed otherwise is the other’s and a clash', () => {
    const base = { name: 'Wren', price: 10, colour: 'blue' };
    expect(mergeFields<Record<string, unknown>>(base, { ...base, price: 12 }, { ...base, colour: 'red' })).toEqual({
      value: { name: 'Wren', price: 12, colour: 'red' },
      clashes: [],
    });
    expect(mergeFields(base, { ...base, price: 12 }, { ...base, price: 14 })).toEqual({ value: { ...base, price: 14 }, clashes: ['price'] });
    const { colour: _gone, ...without } = base;
    expect(mergeFields<Record<string, unknown>>(base, without, { ...base, price: 14 })).toEqual({ value: { name: 'Wren', price: 14 }, clashes: [] });
  });

  it('of fields: a side that changed nothing gives way, both alike is no clash, and a clash lies where both differ from what was and from each other', () => {
    fc.assert(
      fc.property(fields, fields, fields, (base, mine, theirs) => {
        expect(mergeFields(base, base, theirs)).toEqual({ value: theirs, clashes: [] });
        expect(mergeFields(base, mine, base)).toEqual({ value: mine, clashes: [] });
        expect(mergeFields(base, mine, mine)).toEqual({ value: mine, clashes: [] });
        const { value, clashes } = mergeFields(base, mine, theirs);
        const other = mergeFields(base, theirs, mine);
        expect([...other.clashes].sort()).toEqual([...clashes].sort());
        // Where nothing clashes it does not matter who was first.
        if (!clashes.length) expect(other.value).toEqual(value);
      }),
      { seed: 27, numRuns: 400 },
    );
  });

  it('of rows: nothing that one side made or changed is lost, and what one side took out comes back only if the other changed it', () => {
    fc.assert(
      fc.property(rows, rows, rows, (base, mine, theirs) => {
        expect(byId(mergeRows(base, base, theirs).value)).toEqual(byId(theirs));
        expect(byId(mergeRows(base, mine, base).value)).toEqual(byId(mine));
        const { value } = mergeRows(base, mine, theirs);
        const ids = value.map(({ id }) => id);
        expect(new Set(ids).size).toBe(ids.length);
        const was = new Map(base.map((row) => [row.id, JSON.stringify(row)]));
        const keptBy = (list: readonly Thing[], id: string): boolean => list.some((row) => row.id === id);
        const changedBy = (list: readonly Thing[], id: string): boolean => list.some((row) => row.id === id && JSON.stringify(row) !== was.get(id));
        for (const id of ['p', 'q', 'r', 's', 't']) {
          const both = keptBy(mine, id) && keptBy(theirs, id);
          expect(ids.includes(id))
            .withContext(id)
            .toBe(both || changedBy(mine, id) || changedBy(theirs, id));
        }
      }),
      { seed: 27, numRuns: 400 },
    );
  });
});
