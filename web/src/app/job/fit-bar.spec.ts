import { needleAt } from './fit-bar';

describe('the fit bar', () => {
  it('puts each band’s start where the band starts, and never leaves the bar', () => {
    expect([0, 15, 40, 150, 300, 1e6].map((tension) => Math.round(needleAt(tension)))).toEqual([0, 17, 33, 67, 83, 100]);
  });
});
