import { NOTHING_ASKED, queryOf, sizeOf } from './entry-query';

describe('what is looked for in the book', () => {
  it('takes a size as it is scribbled, in the shop’s units or with their mark', () => {
    expect(sizeOf('600 x 550', 'metric')).toEqual({ widthMm: 600, depthMm: 550, heightMm: undefined });
    expect(sizeOf(' 60 cm × 550×90', 'metric')).toEqual({ widthMm: 600, depthMm: 550, heightMm: 90 });
    const inches = sizeOf('24 x 22 1/2', 'inch');
    expect(inches?.widthMm).toBeCloseTo(609.6, 9);
    expect(inches?.depthMm).toBeCloseTo(571.5, 9);
    expect(sizeOf('600', 'metric')).toEqual({ widthMm: 600, depthMm: undefined, heightMm: undefined });
  });

  it('takes nothing that is no size', () => {
    for (const text of ['', 'large', '600 x', '600 x 550 x 90 x 2', '0 x 550']) expect(sizeOf(text, 'metric')).withContext(text).toBeNull();
  });

  it('asks only for what is filled in', () => {
    expect(queryOf(NOTHING_ASKED, 'metric')).toEqual({});
    const asked = { ...NOTHING_ASKED, words: 'zip', year: '2025', size: 'large', kind: 'complaint' as const };
    expect(queryOf(asked, 'metric', 'job-id')).toEqual({ words: 'zip', year: 2025, kind: 'complaint', job: 'job-id' });
  });
});
