import type { LayItem, Placement } from '../../contract';
import type { Budget } from '../budget';
import { beam, stepsOf, type BeamSettings, type Step } from './beam';
import { kindsOf, mirroredKinds, type Kind } from './kinds';

/** A lay found by beams. */
export interface FrontLay {
  readonly lengthMm: number;
  readonly placements: readonly Placement[];
}

/** A lay to continue from: from the near end (0) or, mirrored, from the far end (1). */
interface Known {
  readonly lengthMm: number;
  readonly steps: readonly Step[];
  readonly end: 0 | 1;
}

/** Most lays kept to continue from. */
const KEPT = 6;
/** Beams from scratch at first, and their share later. */
const FRESH_FIRST = 5;
const FRESH = 0.25;
/** Beams with the usual settings to begin with. */
const USUAL = 2;
/** A beam costs about its width × the pieces left, so its width is this number ÷ pieces: for the first beam, the next two, later ones from scratch, and those that continue a lay. */
const FIRST_EFFORT = 100;
const NEXT_EFFORT = 300;
const FRESH_EFFORTS = [500, 1000, 2000];
const ON_EFFORTS = [150, 300, 600, 1200];

/** A lay mirrored end to end, in order from its new near end. */
function fromOtherEnd({ lengthMm, steps, end }: Known, ends: readonly [readonly Kind[], readonly Kind[]]): Step[] {
  const [own, other] = [ends[end], ends[end === 0 ? 1 : 0]];
  const mirrored = (step: Step): Step => {
    const at = (own[step.kind] as Kind).variants.indexOf(step.variant);
    const variant = (other[step.kind] as Kind).variants[at] ?? step.variant;
    return { ...step, before: null, variant, x: lengthMm - step.x - step.variant.w };
  };
  return steps.map(mirrored).sort((a, b) => a.x - b.x);
}

function settingsOf(run: number, random: () => number): Omit<BeamSettings, 'width'> {
  const pick = (...of: readonly number[]): number => of[Math.floor(random() * of.length)] as number;
  const usual = run < USUAL;
  return {
    uneven: usual ? 0.3 : pick(0.1, 0.2, 0.4),
    misfit: usual ? 0.5 : pick(0.3, 1, 1),
    noise: usual ? 0 : pick(0.1, 0.3, 0.5),
    children: pick(10, 16, 30),
    owed: pick(0.15, 0.3, 0.6, 0.6),
    same: pick(0.01, 0.05, 0.1),
    save: pick(0, 0.02, 0.1),
    raises: pick(1, 2, 3),
  };
}

/**
 * Lays by beams with changing settings. The first ones begin from scratch, from either end; later ones keep the first part of a good lay, seen from either end, and
 * lay the rest again.
 */
export class Beams {
  readonly #ends: readonly [readonly Kind[], readonly Kind[]];
  readonly #pieces: number;
  readonly #pool: Known[] = [];
  #runs = 0;

  constructor(
    items: readonly LayItem[],
    private readonly widthMm: number,
    private readonly gapMm: number,
    private readonly random: () => number,
  ) {
    const kinds = kindsOf(items, widthMm, gapMm);
    this.#ends = [kinds, mirroredKinds(kinds)];
    this.#pieces = kinds.reduce((sum, { copies }) => sum + copies.length, 0);
  }

  /** Whether every piece fits across the roll in some turn: otherwise there is nothing to search. */
  get fit(): boolean {
    return this.#ends[0].every(({ variants }) => variants.length > 0);
  }

  /** The lays kept to continue from, the shortest first. */
  get kept(): readonly FrontLay[] {
    return this.#pool.map((known) => this.#layOf(known));
  }

  /** Runs one more beam. Yields while working; returns the shortest lay it found, null where none is worth keeping. */
  *next(budget: Budget): Generator<void, FrontLay | null> {
    const run = this.#runs++;
    const settings = settingsOf(run, this.random);
    const from = run < FRESH_FIRST || this.random() < FRESH ? null : this.#some();
    const { prefix, end, shorterThanMm } = from ? this.#goingOn(from) : this.#fromNothing();
    const rest = this.#pieces - prefix.length;
    const pick = (of: readonly number[]): number => of[Math.floor(this.random() * of.length)] as number;
    const effort = run === 0 ? FIRST_EFFORT : run < 3 ? NEXT_EFFORT : pick(from ? ON_EFFORTS : FRESH_EFFORTS);
    const width = Math.max(3, Math.round(effort / Math.max(1, rest)));
    const ask = { kinds: this.#ends[end], widthMm: this.widthMm + this.gapMm, prefix, shorterThanMm };
    let found: Known | null = null;
    for (const lay of beam(ask, { ...settings, width }, this.random, budget)) {
      if (lay) found = { lengthMm: lay.lengthMm, steps: stepsOf(lay.step), end };
      yield;
    }
    if (!found) return null;
    this.#keep(found, from);
    return this.#layOf(found);
  }

  #some(): Known | null {
    return this.#pool[Math.floor(this.random() * this.random() * this.#pool.length)] ?? null;
  }

  #fromNothing(): { readonly prefix: readonly Step[]; readonly end: 0 | 1; readonly shorterThanMm: number } {
    const worst = this.#pool.length > 3 ? this.#pool.at(-1) : undefined;
    return { prefix: [], end: this.random() < 0.5 ? 0 : 1, shorterThanMm: worst ? worst.lengthMm * 1.01 : Infinity };
  }

  #goingOn(from: Known): { readonly prefix: readonly Step[]; readonly end: 0 | 1; readonly shorterThanMm: number } {
    const turned = this.random() < 0.5;
    const steps = turned ? fromOtherEnd(from, this.#ends) : from.steps;
    const share = 0.85 - 0.8 * this.random() * this.random();
    const end = turned === (from.end === 0) ? 1 : 0;
    // Sometimes a slightly longer lay is good enough to continue from.
    const slackMm = this.random() < 0.3 ? 0.004 * from.lengthMm : -0.01;
    return { prefix: steps.slice(0, Math.floor(share * this.#pieces)), end, shorterThanMm: from.lengthMm + slackMm };
  }

  /** A lay that descends from a kept one replaces it, so that the kept lays stay diverse. */
  #keep(found: Known, from: Known | null): void {
    if (from && found.lengthMm <= from.lengthMm) this.#pool.splice(this.#pool.indexOf(from), 1);
    this.#pool.push(found);
    this.#pool.sort((a, b) => a.lengthMm - b.lengthMm);
    this.#pool.length = Math.min(this.#pool.length, KEPT);
  }

  #layOf({ lengthMm, steps, end }: Known): FrontLay {
    const next = this.#ends[0].map(() => 0);
    const placements = steps.flatMap(({ kind, variant, x, y }): Placement[] => {
      const i = next[kind] as number;
      next[kind] = i + 1;
      const copy = (this.#ends[end][kind] as Kind).copies[i];
      // In the mirror the piece's box begins where it ends; its origin is as far from its own left side in both.
      const left = end === 0 ? x : lengthMm - x - variant.w;
      return copy ? [{ ...copy, sheet: 0, x: left + variant.ox, y: y + variant.oy, turn: variant.turn }] : [];
    });
    return { lengthMm: lengthMm - this.gapMm, placements };
  }
}
