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

  it('names a circle as a coded problem and drops nothing', () => {
    const { operations, problems } = ordered([op('x', 'cut'), op('a', 'sew', 'b'), op('b', 'sew', 'a')]);
    expect(operations.map(({ id }) => id)).toEqual(['x', 'a', 'b']);
    expect(problems.map(({ code, data }) => [code, data['operations']])).toEqual([['operations-in-a-circle', 'a, b']]);
  });
});
