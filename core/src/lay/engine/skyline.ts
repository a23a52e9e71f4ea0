/** The upper edge of what has been laid: runs of equal height, left to right, covering the whole width. */
interface Run {
  readonly x: number;
  readonly y: number;
  readonly width: number;
}

export interface Spot {
  readonly x: number;
  readonly y: number;
  /** Area that becomes unreachable under the piece. */
  readonly waste: number;
}

/** Rounding slack when a piece is exactly as wide as its place, mm. */
const SLACK_MM = 1e-6;

/** Bottom-left packing of boxes on a strip by its skyline. */
export class Skyline {
  #runs: Run[];
  readonly #width: number;
  readonly #ceiling: number;

  /** A strip `width` wide, and `ceiling` long at most (Infinity for a roll). */
  constructor(width: number, ceiling: number) {
    this.#width = width;
    this.#ceiling = ceiling;
    this.#runs = [{ x: 0, y: 0, width }];
  }

  /** The lowest, then least wasteful, then leftmost spot for a box, or null. */
  best(width: number, height: number): Spot | null {
    let best: Spot | null = null;
    for (let i = 0; i < this.#runs.length; i++) {
      const spot = this.#at(i, width);
      if (!spot || spot.y + height > this.#ceiling + SLACK_MM) continue;
      if (!best || spot.y < best.y - SLACK_MM || (spot.y < best.y + SLACK_MM && spot.waste < best.waste)) best = spot;
    }
    return best;
  }

  #at(index: number, width: number): Spot | null {
    const first = this.#runs[index];
    if (!first || first.x + width > this.#width + SLACK_MM) return null;
    let y = 0;
    let covered = 0;
    let under = 0;
    for (let i = index; covered < width - SLACK_MM; i++) {
      const run = this.#runs[i];
      if (!run) return null;
      const share = Math.min(run.width, width - covered);
      if (run.y > y) {
        under += (run.y - y) * covered;
        y = run.y;
      }
      under += (y - run.y) * share;
      covered += share;
    }
    return { x: first.x, y, waste: under };
  }

  /** Lays a box on a spot that `best` gave for it. */
  put(spot: Spot, width: number, height: number): void {
    const right = spot.x + width;
    const next: Run[] = [];
    let laid = false;
    for (const run of this.#runs) {
      const runRight = run.x + run.width;
      if (runRight <= spot.x + SLACK_MM || run.x >= right - SLACK_MM) {
        next.push(run);
        continue;
      }
      if (run.x < spot.x - SLACK_MM) next.push({ ...run, width: spot.x - run.x });
      if (!laid) next.push({ x: spot.x, y: spot.y + height, width });
      laid = true;
      if (runRight > right + SLACK_MM) next.push({ x: right, y: run.y, width: runRight - right });
    }
    this.#runs = next.reduce<Run[]>((runs, run) => {
      const last = runs[runs.length - 1];
      if (last && Math.abs(last.y - run.y) < SLACK_MM) runs[runs.length - 1] = { ...last, width: last.width + run.width };
      else runs.push(run);
      return runs;
    }, []);
  }
}
