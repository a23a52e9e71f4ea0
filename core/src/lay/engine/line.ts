import { TOUCH_MM, type Region } from './forbidden';

/** What one search line crosses. Its lists are reused for the next line to avoid allocations. */
export class Line {
  /** Stretches on which the piece would lie in a region: from, to, whose it is, and which. */
  readonly low: number[] = [];
  readonly high: number[] = [];
  readonly who: number[] = [];
  readonly region: Region[] = [];
  count = 0;
  /** Where the piece would touch a neighbour: the ends of its stretches that lie in no other stretch of the same neighbour. */
  readonly touching: number[] = [];

  /** Adds a stretch of a neighbour whose first one is `first`: the neighbour's stretches stay in order of their beginnings. */
  add(a: number, b: number, who: number, region: Region, first: number): void {
    const { low, high } = this;
    let s = this.count++;
    for (; s > first && (low[s - 1] as number) > a; s--) this.#move(s - 1, s);
    low[s] = a;
    high[s] = b;
    this.who[s] = who;
    this.region[s] = region;
  }

  /** Records the contacts of a neighbour, from its first stretch on. */
  touch(first: number): void {
    for (let s = first; s < this.count;) {
      let end = this.high[s] as number;
      this.touching.push(this.low[s] as number);
      for (s++; s < this.count && (this.low[s] as number) < end - TOUCH_MM; s++) end = Math.max(end, this.high[s] as number);
      this.touching.push(end);
    }
  }

  /** Puts the stretches of all neighbours in order of their beginnings. */
  sort(): void {
    const { low, high, who, region } = this;
    for (let i = 1; i < this.count; i++) {
      const [a, b, k, one] = [low[i] as number, high[i] as number, who[i] as number, region[i] as Region];
      let s = i;
      for (; s > 0 && (low[s - 1] as number) > a; s--) this.#move(s - 1, s);
      low[s] = a;
      high[s] = b;
      who[s] = k;
      region[s] = one;
    }
  }

  #move(from: number, to: number): void {
    this.low[to] = this.low[from] as number;
    this.high[to] = this.high[from] as number;
    this.who[to] = this.who[from] as number;
    this.region[to] = this.region[from] as Region;
  }
}
