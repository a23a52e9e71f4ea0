import { needleAt } from './fit-bar';

describe('the fit bar', () => {
  it('puts each verdict in its own band, and never leaves the bar', () => {
    expect([needleAt('loose', 0), needleAt('roomy', 0), needleAt('taut', 0), needleAt('taut', 0.5), needleAt('hard-to-close', 0)].map(Math.round)).toEqual([
      0, 17, 33, 50, 67,
    ]);
    expect(needleAt('will-not-close', 1)).toBe(100);
  });
});
