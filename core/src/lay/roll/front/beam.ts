import type { Budget } from '../budget';
import { areaUnder, deepestPit, Drop, emptyFront, FrontMaker, reachOf, type Front, type Pit } from './front';
import type { Kind, Variant } from './kinds';
import { judgedWith, Score, type Judged, type Weights } from './score';

/** Settings of a beam. */
export interface BeamSettings extends Weights {
  /** Partial lays expanded in each interval of placed area. */
  readonly width: number;
  /** Children kept of each expanded lay. */
  readonly children: number;
  /** Most expanded lays with the same pieces left, as a share of the width. */
  readonly same: number;
  /** Most levels through which a pit is filled up. */
  readonly raises: number;
}

/** One step of a partial lay: a piece, linked to the step before it. */
export interface Step {
  readonly before: Step | null;
  readonly kind: number;
  readonly variant: Variant;
  readonly x: number;
  readonly y: number;
}

/** A complete lay: its length, grown by the gap, and its last step. */
export interface BeamLay {
  readonly lengthMm: number;
  readonly step: Step;
}

interface Node extends Judged {
  readonly step: Step | null;
  readonly score: number;
}

/** A candidate child: a piece at a place on a front. */
interface Child {
  readonly kind: number;
  readonly variant: Variant;
  readonly x: number;
  readonly y: number;
  readonly front: Front;
  /** Area wasted for it, as a share of its own. */
  readonly rate: number;
}

/** A pit of a front, and the children made by laying pieces in it. */
interface OpenPit extends Pick<Pit, 'low' | 'high'> {
  readonly node: Node;
  readonly front: Front;
  /** Area under the front, mm². */
  readonly underMm2: number;
  readonly made: Child[];
}

/** Distance at which something counts as touching a wall, mm. */
const TINY_MM = 1e-3;
/** Positions of one variant that differ by less are tried once, mm. */
const SAME_PLACE_MM = 0.5;
/** A smaller rise of the front beside a pit is no wall, mm. */
const WALL_MM = 2;
/** A row of the front that rises by more than this is slanted, mm. */
const SLANT_MM = 1;
/** Least jump and least bend of the front that make a corner to lay at. */
const JUMP_MM = 5;
const BEND = 0.3;
/** Most places tried for one variant, at corners and at walls. */
const MOST_CORNERS = 10;
const MOST_PLACES = 16;
/** Most pits used in one expansion, and most children of one kind kept. */
const MOST_PITS = 24;
const MOST_OF_A_KIND = 4;
/** Moves counted for each place tried in an expansion. */
const PLACES_A_MOVE = 40;
/** Least improvement of length that counts, mm. */
const SHORTER_MM = 0.01;

/** Places on a front where a piece may begin: inside a pit, and beyond it. */
function cornersOf(front: Front, low: number, high: number): { readonly inside: readonly number[]; readonly walls: readonly number[] } {
  const inside: number[] = [];
  const walls: number[] = [];
  const at = (i: number): number => front[i] as number;
  const steep = (i: number): number => (at(i + 3) - at(i + 2)) / (at(i + 1) - at(i));
  for (let i = 0; i < front.length; i += 4) {
    if (i > 0 && Math.abs(at(i - 1) - at(i + 2)) < JUMP_MM && Math.abs(steep(i) - steep(i - 4)) < BEND) continue;
    (at(i) > low + TINY_MM && at(i) < high - TINY_MM ? inside : walls).push(at(i));
  }
  return { inside: inside.slice(0, MOST_CORNERS), walls };
}

/** A key for a front, rounded to a millimetre. */
function lookOf(front: Front): string {
  let look = '';
  for (let i = 0; i < front.length; i += 4) look += `${Math.round(front[i + 1] as number)},${Math.round(front[i + 2] as number)};`;
  return look;
}

function isSlanted(front: Front, low: number, high: number): boolean {
  for (let i = 0; i < front.length; i += 4) {
    const within = (front[i + 1] as number) > low + TINY_MM && (front[i] as number) < high - TINY_MM;
    if (within && Math.abs((front[i + 2] as number) - (front[i + 3] as number)) > SLANT_MM) return true;
  }
  return false;
}

/**
 * A beam search (Lowerre 1976) over exact fronts. A partial lay is extended at the lowest pit of its front: each kind and turn of piece is laid at the ends of the pit, curved and
 * slanted ones also in its corners, or the pit is filled up to its lower wall as waste. Partial lays are compared with others of about the same placed area only.
 */
class Beam {
  readonly #score: Score;
  readonly #drop = new Drop();
  readonly #make = new FrontMaker();
  /** Positions already tried for the current variant. */
  readonly #tried = new Float64Array(MOST_PLACES);
  readonly #totalMm2: number;
  readonly #leastMm2: number;
  readonly #bucketMm2: number;
  readonly #buckets: Node[][];
  readonly #worst: Float64Array;
  #looked = 0;

  constructor(
    private readonly kinds: readonly Kind[],
    private readonly widthMm: number,
    private readonly settings: BeamSettings,
    random: () => number,
    /** Only shorter lays are searched for, mm. */
    private shortestMm: number,
  ) {
    const pieces = kinds.reduce((sum, { copies }) => sum + copies.length, 0);
    this.#score = new Score(kinds, widthMm, settings, random);
    this.#totalMm2 = kinds.reduce((sum, { copies, areaMm2 }) => sum + copies.length * areaMm2, 0);
    this.#leastMm2 = Math.min(...kinds.map(({ areaMm2 }) => areaMm2));
    this.#bucketMm2 = Math.max(this.#leastMm2 * 0.999, this.#totalMm2 / (2.5 * pieces));
    this.#buckets = Array.from({ length: Math.ceil(this.#totalMm2 / this.#bucketMm2) + pieces + 2 }, () => []);
    this.#worst = new Float64Array(this.#buckets.length).fill(Infinity);
  }

  /** Searches from the first steps of another lay. Yields each shorter lay, and null from time to time in between. */
  *run(prefix: readonly Step[], budget: Budget): Generator<BeamLay | null, void> {
    const start = this.#after(prefix);
    if (start.underMm2 + this.#totalMm2 - start.placedMm2 > this.shortestMm * this.widthMm) return;
    this.#bucketAt(start.placedMm2).push(start);
    for (let b = 0; b < this.#buckets.length; b++) {
      for (const node of this.#chosen(this.#buckets[b] as Node[])) {
        if (budget.left <= 0) return;
        this.#looked = 0;
        for (const child of this.#children(node)) {
          const lay = this.#keep(node, child, b);
          if (lay) yield lay;
        }
        budget.left -= Math.max(1, this.#looked / PLACES_A_MOVE);
        yield null;
      }
      this.#buckets[b] = [];
    }
  }

  #bucketAt(placedMm2: number): Node[] {
    return this.#buckets[Math.floor(placedMm2 / this.#bucketMm2)] as Node[];
  }

  #after(prefix: readonly Step[]): Node {
    const left = Uint16Array.from(this.kinds, ({ copies }) => copies.length);
    let node: Node = { ...judgedWith(emptyFront(this.widthMm), left, 0), step: null, score: 0 };
    for (const { kind, variant, y } of prefix) {
      this.#drop.at(node.front, variant, y);
      const step = { before: node.step, kind, variant, x: this.#drop.x, y };
      node = { ...this.#laid(node, kind, this.#make.withPiece(node.front, variant, step.x, y)), step, score: 0 };
    }
    return node;
  }

  #laid({ left, placedMm2 }: Node, kind: number, front: Front): Judged {
    const rest = left.slice();
    rest[kind] = (rest[kind] as number) - 1;
    return judgedWith(front, rest, placedMm2 + (this.kinds[kind] as Kind).areaMm2);
  }

  /** The best of a bucket: few with the same pieces left, no duplicates. */
  *#chosen(all: Node[]): Generator<Node> {
    const { width, same } = this.settings;
    all.sort((a, b) => a.score - b.score);
    const most = Math.max(1, Math.round(same * width));
    const seen = new Set<string>();
    const alike = new Map<string, number>();
    let opened = 0;
    for (const node of all) {
      if (opened >= width) return;
      const left = node.left.join();
      const count = alike.get(left) ?? 0;
      if (count >= most) continue;
      if (most > 1) {
        const look = `${left}|${lookOf(node.front)}`;
        if (seen.has(look)) continue;
        seen.add(look);
      }
      alike.set(left, count + 1);
      opened++;
      yield node;
    }
  }

  /** The children of a partial lay that waste least for their size. */
  #children(node: Node): Child[] {
    const made: Child[] = [];
    const kinds = this.#score.leftKinds(node.left);
    const leastHeight = Math.min(...kinds.flatMap((k) => (this.kinds[k] as Kind).variants.map(({ h }) => h)));
    let { front } = node;
    for (let pits = 0, raises = 0; pits < MOST_PITS && raises <= this.settings.raises; pits++) {
      const { low, high, levelMm } = deepestPit(front, WALL_MM);
      if (high - low >= leastHeight - TINY_MM || isSlanted(front, low, high)) {
        this.#layInPit(node, front, { low, high }, made);
        raises++;
      }
      if (levelMm === Infinity) break;
      front = this.#make.raised(front, low, high, levelMm);
    }
    made.sort((a, b) => a.rate - b.rate);
    const ofKind = new Map<number, number>();
    return made
      .filter(({ kind }) => {
        const count = ofKind.get(kind) ?? 0;
        ofKind.set(kind, count + 1);
        return count < MOST_OF_A_KIND;
      })
      .slice(0, this.settings.children);
  }

  #layInPit(node: Node, front: Front, { low, high }: Pick<Pit, 'low' | 'high'>, made: Child[]): void {
    const slanted = isSlanted(front, low, high);
    const { inside, walls } = cornersOf(front, low, high);
    const underMm2 = front === node.front ? node.underMm2 : Math.max(node.underMm2, areaUnder(front));
    const pit: OpenPit = { node, front, low, high, underMm2, made };
    for (const kind of this.#score.leftKinds(node.left))
      for (const variant of (this.kinds[kind] as Kind).variants) {
        const { h, isBox } = variant;
        if (isBox && !slanted && h > high - low + TINY_MM) continue;
        let tried = this.#tryAt(pit, kind, variant, low, 0);
        tried = this.#tryAt(pit, kind, variant, high - h, tried);
        if (isBox && !slanted) continue;
        // A piece wider than the pit rests on a wall with one end.
        for (const places of [inside, walls])
          for (const y of places) {
            tried = this.#tryAt(pit, kind, variant, y, tried);
            tried = this.#tryAt(pit, kind, variant, y - h, tried);
          }
      }
  }

  /** Tries a piece at a position across, unless one nearby was tried; returns the number of positions tried. */
  #tryAt({ node, front, low, high, underMm2, made }: OpenPit, kind: number, variant: Variant, place: number, tried: number): number {
    const { h, w } = variant;
    const y = Math.max(0, Math.min(this.widthMm - h, place));
    if (tried >= MOST_PLACES || y > high - TINY_MM || y + h < low + TINY_MM) return tried;
    for (let k = 0; k < tried; k++) if (Math.abs((this.#tried[k] as number) - y) < SAME_PLACE_MM) return tried;
    this.#tried[tried] = y;
    this.#looked++;
    this.#drop.at(front, variant, y);
    const { x, shut, gain } = this.#drop;
    const { areaMm2 } = this.kinds[kind] as Kind;
    const restMm2 = this.#totalMm2 - node.placedMm2 - areaMm2;
    // Rejects what is already too long or wastes too much.
    if (x + w <= this.shortestMm - SHORTER_MM && underMm2 + gain + restMm2 <= this.shortestMm * this.widthMm)
      made.push({ kind, variant, x, y, front, rate: (shut + underMm2 - node.underMm2) / areaMm2 });
    return tried + 1;
  }

  /** Adds a child to the bucket of its placed area; returns a complete lay if it is shorter. */
  #keep(node: Node, { kind, variant, x, y, front }: Child, from: number): BeamLay | null {
    const judged = this.#laid(node, kind, this.#make.withPiece(front, variant, x, y));
    const step: Step = { before: node.step, kind, variant, x, y };
    if (judged.placedMm2 > this.#totalMm2 - this.#leastMm2 / 2) {
      const lengthMm = reachOf(judged.front);
      if (lengthMm >= this.shortestMm - SHORTER_MM) return null;
      this.shortestMm = lengthMm;
      return { lengthMm, step };
    }
    const score = this.#score.of(judged);
    const to = Math.max(from + 1, Math.floor(judged.placedMm2 / this.#bucketMm2));
    const list = this.#buckets[to] as Node[];
    const most = 4 * this.settings.width;
    if (list.length > most && score > (this.#worst[to] as number)) return null;
    list.push({ ...judged, step, score });
    if (list.length <= 2 * most) return null;
    list.sort((a, b) => a.score - b.score);
    list.length = most;
    this.#worst[to] = (list[most - 1] as Node).score;
    return null;
  }
}

/** Where a beam begins and what it has to beat. */
export interface BeamAsk {
  readonly kinds: readonly Kind[];
  /** Width of the roll, grown by the gap, mm. */
  readonly widthMm: number;
  /** The first steps, which stay as they are. */
  readonly prefix: readonly Step[];
  readonly shorterThanMm: number;
}

/** Runs one beam: yields ever shorter lays, and null from time to time in between. */
export function beam(
  { kinds, widthMm, prefix, shorterThanMm }: BeamAsk,
  settings: BeamSettings,
  random: () => number,
  budget: Budget,
): Generator<BeamLay | null, void> {
  return new Beam(kinds, widthMm, settings, random, shorterThanMm).run(prefix, budget);
}

/** The steps of a lay, first to last. */
export function stepsOf(last: Step): Step[] {
  const steps: Step[] = [];
  for (let step: Step | null = last; step; step = step.before) steps.push(step);
  return steps.reverse();
}
