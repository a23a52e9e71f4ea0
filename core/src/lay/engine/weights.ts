/** Pieces up to which the weight of every pair is kept in a table, 18 MB at most; of more only the weights that are not 1. */
const MOST_DENSE = 1500;

/** How much the overlap of two pieces weighs, or of a piece with what is blocked of a panel: panels are numbered on from the pieces. Each is 1 to begin with. */
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
