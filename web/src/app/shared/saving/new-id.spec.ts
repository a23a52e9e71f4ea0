import { newId } from './new-id';

describe('newId', () => {
  it('is plain, and never one that is taken', () => {
    expect(newId('Heron 40, delivery', new Set())).toBe('heron-40-delivery');
    expect(newId('  Étoile ½  ', new Set())).toMatch(/^[a-z0-9-]+$/);
    expect(newId('x', new Set(['x', 'x-2']))).toBe('x-3');
    expect(newId('…', new Set())).toBe('foam');
  });
});
