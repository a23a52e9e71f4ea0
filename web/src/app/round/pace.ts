/** From frame to frame, ms: slower than the first is felt while turning; faster than the second leaves time to spare. */
const SLOW_MS = 45;
const FAST_MS = 22;
/** A pause longer than this is no frame: the hand rested. */
const REST_MS = 1500;
/** Dots a point, at least and at most. */
const LEAST = 0.3;
const MOST = 1;
/** By how much they are changed at a time: fewer by as much as the frame was too slow, its time going with their square, but not to less than a share at once; more by little. */
const FEWER = 0.4;
const MORE = 1.15;
/** So many fast frames one after the other before there are more dots again. */
const FAST_FRAMES = 12;

/** How many dots a point a picture is drawn with while it is turned: fewer where the machine does not keep up, more again where it does. */
export class Pace {
  #ratio = MOST;
  #last: number | null = null;
  #fast = 0;

  /** Dots a point for a frame that is drawn now, ms of any clock. */
  at(nowMs: number): number {
    const took = this.#last === null ? null : nowMs - this.#last;
    this.#last = nowMs;
    if (took === null || took > REST_MS) return this.#ratio;
    this.#fast = took < FAST_MS ? this.#fast + 1 : 0;
    if (took > SLOW_MS) this.#ratio = Math.max(LEAST, this.#ratio * Math.max(FEWER, Math.sqrt(SLOW_MS / took)));
    else if (this.#fast >= FAST_FRAMES) {
      this.#ratio = Math.min(MOST, this.#ratio * MORE);
      this.#fast = 0;
    }
    return this.#ratio;
  }
}
