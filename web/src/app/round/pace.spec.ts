import { Pace } from './pace';

describe('the pace of a picture that is turned', () => {
  /** The last of so many frames, each `tookMs` after the one before, from `fromMs` on. */
  const after = (pace: Pace, frames: number, tookMs: number, fromMs: number): number =>
    Array.from({ length: frames }, (_, i) => pace.at(fromMs + (i + 1) * tookMs)).at(-1) ?? NaN;

  it('has fewer dots where frames are slow, down to a floor, and more again only after many fast ones', () => {
    const pace = new Pace();
    expect(pace.at(0)).toBe(1);
    // Four times too slow at 180 ms: half the dots across and down are a quarter of them.
    expect(after(pace, 1, 180, 0)).toBeCloseTo(0.5, 9);
    expect(after(pace, 20, 96, 180)).toBeCloseTo(0.3, 9);
    expect(after(pace, 11, 16, 2100)).toBeCloseTo(0.3, 9);
    expect(after(pace, 1, 16, 2276)).toBeCloseTo(0.345, 9);
    expect(after(pace, 200, 16, 2292)).toBe(1);
  });

  it('stays as it is while the hand rests', () => {
    const pace = new Pace();
    pace.at(0);
    expect(pace.at(60_000)).toBe(1);
    // 30 ms a frame is neither slow nor fast.
    expect(after(pace, 100, 30, 60_000)).toBe(1);
  });
});
