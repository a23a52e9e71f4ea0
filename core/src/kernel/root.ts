/** More steps than any function here needs; the bracket is halved at least every other step. */
const MOST_STEPS = 200;

/**
 * Where a continuous falling function crosses zero between `low` and `high`, to within `tolerance`: false position with the Illinois
 * weighting, and a bisection whenever a step leaves more than half of the bracket. `low` when it starts at or below zero, `high` when it never gets there.
 */
export function fallingRoot(low: number, high: number, tolerance: number, value: (x: number) => number): number {
  let [a, b] = [low, high];
  let [fa, fb] = [value(a), value(b)];
  if (fa <= 0) return a;
  if (fb >= 0) return b;
  for (let step = 0; step < MOST_STEPS && b - a > tolerance; step++) {
    const before = b - a;
    // A guess that lies on an end would never close the bracket: kept a little inside.
    const guess = Math.min(b - tolerance / 4, Math.max(a + tolerance / 4, a + (before * fa) / (fa - fb)));
    const at = value(guess);
    if (at > 0) {
      a = guess;
      fa = at;
      fb /= 2;
    } else {
      b = guess;
      fb = at;
      fa /= 2;
    }
    if (b - a <= before / 2) continue;
    const middle = (a + b) / 2;
    const half = value(middle);
    if (half > 0) [a, fa] = [middle, half];
    else [b, fb] = [middle, half];
  }
  return (a + b) / 2;
}
