import * as fc from 'fast-check';
import { operation } from '../piece/operation';
import { ordered } from './order';

const op = (id: string, phase: 'cut' | 'sew', ...after: string[]) => operation({ id, phase, text: id, minutes: 1, needs: 'table', after });
const ids = (...of: readonly ReturnType<typeof op>[]): string[] => ordered(of).operations.map(({ id }) => id);

describe('the order of operations', () => {
  it('puts each after what it names, phase by phase, otherwise as given', () => {
    expect(ids(op('c', 'sew', 'b'), op('a', 'cut'), op('b', 'sew'), op('d', 'cut'))).toEqual(['a', 'd', 'b', 'c']);
    expect(ids(op('b', 'cut', 'a'), op('a', 'cut', 'not-there'))).toEqual(['a', 'b']);
  });

  it('changes the setup as seldom as the names allow: where a change is needed, to one that can be finished', () => {
    const of = (id: string, ...after: string[]) => operation({ id, phase: 'sew', text: id, minutes: 1, needs: 'machine', after });
    // Given as a box seat's: zip, cord, cord, plain, and cord again, which waits for the plain one.
    const steps = [of('zip'), of('cord'), of('cord-on', 'cord'), of('plain', 'zip'), of('cord-top', 'cord-on', 'plain')];
    const setup = ({ id }: { id: string }): string => id.split('-')[0] as string;
    expect(ordered(steps).operations.map(({ id }) => id)).toEqual(['zip', 'cord', 'cord-on', 'plain', 'cord-top']);
    expect(ordered(steps, setup).operations.map(({ id }) => id)).toEqual(['zip', 'plain', 'cord', 'cord-on', 'cord-top']);
  });

  it('puts every step once, after what it waits for and phase by phase, whatever the names and the setups', () => {
    const steps = fc
      .array(
        fc.record({
          phase: fc.constantFrom('cut' as const, 'sew' as const),
          after: fc.array(fc.nat(20), { maxLength: 3 }),
          setup: fc.constantFrom('zip', 'cord'),
        }),
        {
          minLength: 1,
          maxLength: 20,
        },
      )
      // Each may wait only for steps of its own phase before it, or of the phase before: no circle.
      .map((all) =>
        all.map(({ phase, after, setup }, i) => ({
          one: op(`${setup}-${i}`, phase),
          phase,
          setup,
          after: after.filter((j) => j < i && !(phase === 'cut' && all[j]?.phase === 'sew')),
        })),
      );
    fc.assert(
      fc.property(steps, (all) => {
        const given = all.map(({ one, after }) => ({ ...one, after: after.map((j) => all[j]!.one.id) }));
        const { operations, problems } = ordered(given, ({ id }) => id.split('-')[0] ?? null);
        expect(problems).toEqual([]);
        const at = new Map(operations.map(({ id }, i) => [id, i]));
        expect([...at.keys()].sort()).toEqual(given.map(({ id }) => id).sort());
        for (const { id, after } of given) for (const before of after) expect(at.get(before)!).toBeLessThan(at.get(id)!);
        const phases = operations.map(({ phase }) => phase);
        expect(phases.lastIndexOf('cut')).toBeLessThan(phases.includes('sew') ? phases.indexOf('sew') : Infinity);
      }),
      { seed: 27, numRuns: 200 },
    );
  });

  it('names a circle as a coded problem and drops nothing', () => {
    const { operations, problems } = ordered([op('x', 'cut'), op('a', 'sew', 'b'), op('b', 'sew', 'a')]);
    expect(operations.map(({ id }) => id)).toEqual(['x', 'a', 'b']);
    expect(problems.map(({ code, data }) => [code, data['operations']])).toEqual([['operations-in-a-circle', 'a, b']]);
  });
});
