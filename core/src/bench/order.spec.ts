import { operation } from '../piece/operation';
import { ordered } from './order';

const op = (id: string, phase: 'cut' | 'sew', ...after: string[]) => operation({ id, phase, text: id, minutes: 1, needs: 'table', after });
const ids = (...of: readonly ReturnType<typeof op>[]): string[] => ordered(of).operations.map(({ id }) => id);

describe('the order of operations', () => {
  it('puts each after what it names, phase by phase, otherwise as given', () => {
    expect(ids(op('c', 'sew', 'b'), op('a', 'cut'), op('b', 'sew'), op('d', 'cut'))).toEqual(['a', 'd', 'b', 'c']);
    expect(ids(op('b', 'cut', 'a'), op('a', 'cut', 'not-there'))).toEqual(['a', 'b']);
  });

  it('names a circle as a coded problem and drops nothing', () => {
    const { operations, problems } = ordered([op('x', 'cut'), op('a', 'sew', 'b'), op('b', 'sew', 'a')]);
    expect(operations.map(({ id }) => id)).toEqual(['x', 'a', 'b']);
    expect(problems.map(({ code, data }) => [code, data['operations']])).toEqual([['operations-in-a-circle', 'a, b']]);
  });
});
