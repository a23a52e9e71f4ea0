/** Up to this number of pieces, the weights of all pairs are kept in a table of at most 18 MB; above it, only weights other than 1. */
const MOST_DENSE = 1500;

/** Weights of overlaps between two pieces, or between a piece and the blocked parts of a panel: panels are numbered after the pieces. Each starts at 1. */
export class Weights {
  readonly #kept: Float64Array | Map<number, number>;
  readonly #stride: number;

  constructor(
    private readonly pieces: number,
    panels: number,
  ) {
    this.#stride = pieces + panels;
    this.#kept = pieces <= MOST_DENSE ? new Float64Array(pieces * this.#stride).fill(1) : new Map();
  }

  of(piece: number, other: number): number {
    const at = piece * this.#stride + other;
    return this.#kept instanceof Map ? (this.#kept.get(at) ?? 1) : (this.#kept[at] as number);
  }

  /** The same for both of a pair. */
  set(piece: number, other: number, weight: number): void {
    this.#put(piece * this.#stride + other, weight);
    if (other < this.pieces) this.#put(other * this.#stride + piece, weight);
  }

  reset(): void {
    if (this.#kept instanceof Map) this.#kept.clear();
    else this.#kept.fill(1);
  }

  #put(at: number, weight: number): void {
    if (this.#kept instanceof Map) this.#kept.set(at, weight);
    else this.#kept[at] = weight;
  }
}
