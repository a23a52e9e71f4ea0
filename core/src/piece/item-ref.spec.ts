import { isBiasItem, isTurned, itemId, itemRef, pieceOf } from './item-ref';

describe('what an item of a lay is called', () => {
  it('names a piece by its cushion and itself, a bias block by its group, and is read back', () => {
    expect(itemId({ kind: 'piece', cushion: 2, piece: 'plate' })).toBe('2/plate');
    expect(itemRef('2/plate')).toEqual({ kind: 'piece', cushion: 2, piece: 'plate' });
    expect(itemId({ kind: 'piece', cushion: 2, piece: 'plate', turned: true })).toBe('2/plate/turned');
    expect(itemRef('2/plate/turned')).toEqual({ kind: 'piece', cushion: 2, piece: 'plate', turned: true });
    expect(['2/plate/turned', '2/plate', 'bias/1.1'].map(isTurned)).toEqual([true, false, false]);
    expect(itemId({ kind: 'bias', group: 1, block: 12 })).toBe('bias/1.12');
    expect(itemRef('bias/1.12')).toEqual({ kind: 'bias', group: 1, block: 12 });
    expect(['bias', 'plate', '/plate', '2/', 'x/plate', ''].map(itemRef)).toEqual([null, null, null, null, null, null]);
    expect([isBiasItem('bias/1.1'), isBiasItem('0/bias-strip')]).toEqual([true, false]);
  });

  it('finds the piece, and none where there is none', () => {
    const cushions = [{ pieces: [] }, { pieces: [{ id: 'plate', label: 'plate' }] }];
    expect(pieceOf('1/plate', cushions)).toEqual({ cushion: cushions[1]!, index: 1, piece: cushions[1]!.pieces[0]! });
    expect([pieceOf('0/plate', cushions), pieceOf('7/plate', cushions), pieceOf('bias/1.1', cushions)]).toEqual([null, null, null]);
  });
});
