import { bounds } from '../../geometry/outline';
import { polygonArea } from '../../geometry/polygon';
import { turnedBy, type LayItem } from '../contract';
import type { Budget } from './budget';
import { Copies, layoutOfUnits, type RollGround, type RollLay } from './copies';
import { compact, drawIn, stepsThrough } from './draw-in';
import { Beams } from './front/beams';
import { restore, snapshot, type Layout, type Snapshot } from './layout';
import { Mover, type Tool } from './mover';
import { layOnPattern } from './on-pattern';
import { layInOrder, MOST_MOVED, ORDER_LINES, orders, ORDERS_FOR } from './one-by-one';
import { FINE_MM, ROUGH_MM } from './shape';
import { joinedUnits, singleUnit, type Unit } from './units';

/** First step as a share of the length: when searching, after a beam, and when closing up a lay found with rough shapes. */
const SEARCH_STEP = 0.02;
const BEAM_STEP = 0.01;
const CLOSE_STEP = 0.004;
/** Rough shapes are used where they have less than this share of the parts. */
const FEWER_PARTS = 0.9;
/** A set whose pieces fill at least this share of their bounding boxes is searched by beams first. */
const BOXY = 0.7;
/** Share of the moves spent on beams, and the least number before pieces are moved one by one. */
const BEAM_SHARE = 0.6;
const FIRST_BEAM_MOVES = 40_000;
/** Up to these multiples of the shortest length, a lay is compacted, or used as a start. */
const WORTH_PUSHING = 1.03;
const WORTH_DRAWING = 1.02;

/** What is to be laid on a roll. */
export interface RollAsk extends RollGround {
  /** Lower bound on the length, mm. */
  readonly leastMm: number;
  /** A lay to begin with; null where there is none. */
  readonly first: RollLay | null;
  /** On a pattern: where along the roll a motif of the first row lies because a held piece says so, mm; null where the lay may choose. */
  readonly knownPhaseMm?: number | null;
}

/** Whether the pieces of a set are mostly boxes or nearly so: plates, boxings, strips. */
function isBoxy(items: readonly LayItem[]): boolean {
  let [area, boxes] = [0, 0];
  for (const { polygon, turns, count } of items) {
    const fits = turns.map((turn) => bounds(turnedBy(polygon, turn))).map(({ minX, maxX, minY, maxY }) => (maxX - minX) * (maxY - minY));
    area += count * Math.abs(polygonArea(polygon));
    boxes += count * Math.min(...fits);
  }
  return area >= BOXY * boxes;
}

const partsOf = ({ shapes }: Layout): number => shapes.reduce((sum, { parts }) => sum + parts.length, 0);

/** Lays pieces on a roll: holds the shortest lay so far. */
class Roll {
  readonly #copies: Copies;
  readonly #fine: Tool;
  readonly #rough: Tool | null;
  #best: Snapshot;
  #told: { readonly at: Snapshot; readonly lay: RollLay } | null = null;

  constructor(
    private readonly ask: RollAsk,
    private readonly random: () => number,
    private readonly budget: Budget,
  ) {
    this.#copies = new Copies(ask);
    this.#fine = this.#tool(this.#copies.layout(FINE_MM));
    const rough = this.#copies.layout(ROUGH_MM);
    this.#rough = partsOf(rough) < FEWER_PARTS * partsOf(this.#fine.all) ? this.#tool(rough) : null;
    const none = { ...snapshot(this.#fine.all), length: Infinity };
    this.#best = ask.first ? this.#copies.at(this.#fine.all, ask.first) : none;
  }

  /** The shortest lay so far; the same object as long as there is no shorter. */
  get best(): RollLay {
    if (this.#told?.at !== this.#best) this.#told = { at: this.#best, lay: this.#copies.layOf(this.#best) };
    return this.#told.lay;
  }

  #tool(all: Layout): Tool {
    return { all, mover: new Mover(all, this.random) };
  }

  get #open(): boolean {
    return this.budget.left > 0 && this.#best.length > this.ask.leastMm + 1e-3;
  }

  /** Keeps a lay if it is the shortest. Returns whether it is. */
  #take(lay: Snapshot): boolean {
    if (lay.length >= this.#best.length - 1e-6) return false;
    this.#best = lay;
    return true;
  }

  /** Searches until the moves are used up. Yields after each round. */
  *run(): Generator<void, void> {
    const { lattice } = this.#fine.all;
    if (lattice) {
      const { leastMm, knownPhaseMm = null } = this.ask;
      for (const lay of layOnPattern({ fine: this.#fine, rough: this.#rough, lattice, knownPhaseMm, leastMm }, this.budget)) {
        if (lay) this.#take(lay);
        yield;
      }
      return;
    }
    const whole = (at: Snapshot): Snapshot => at;
    yield* this.#inOrders(this.#rough ?? this.#fine, whole);
    const beams = new Beams(this.ask.items, this.ask.widthMm, this.ask.gapMm, this.random);
    if (this.ask.pins.length === 0 && beams.fit && isBoxy(this.ask.items)) yield* this.#byBeams(beams);
    else yield* this.#byMoving();
  }

  /** Lays one by one in several orders, because boxes leave hollows and the room beside bias strips empty. Returns the shortest lay, in the tool's own pieces. */
  *#inOrders({ all, mover }: Tool, whole: (at: Snapshot) => Snapshot): Generator<void, Snapshot> {
    let shortest: Snapshot | null = null;
    let tried = 0;
    for (const order of orders(all, this.random)) {
      // Something has to lie on the roll, however few moves there are.
      const must = tried === 0 && this.#best.length === Infinity;
      if (!must && (tried >= ORDERS_FOR / all.n || this.budget.left <= all.n)) break;
      tried++;
      yield* layInOrder(all, mover, order, { lines: ORDER_LINES }, this.budget);
      if (shortest && all.length >= shortest.length - 1e-6) continue;
      shortest = snapshot(all);
      if (this.#take(whole(shortest))) yield;
    }
    return shortest ?? snapshot(all);
  }

  /** Shortens the roll by separation: joined pieces, rough and fine shapes in alternation. */
  *#byMoving(): Generator<void, void> {
    const units = this.#units();
    const joint = units && this.#tool(layoutOfUnits(units, this.ask, ROUGH_MM));
    const apart = (at: Snapshot): Snapshot => (units && joint ? this.#copies.apart(this.#fine.all, units, joint.all.shapes, at) : at);
    /** The places of the units; their pieces may have been separated since. */
    let jointly = joint ? yield* this.#inOrders(joint, apart) : null;
    const searching = this.#rough ? (['rough', 'fine'] as const) : (['fine'] as const);
    const cycles = joint ? (['joint', 'fine', 'joint', searching[0]] as const) : searching;
    for (let cycle = 0; this.#open; cycle++) {
      const kind = cycles[cycle % cycles.length];
      const firstStep = kind === 'fine' && cycles.length > 1 ? CLOSE_STEP : SEARCH_STEP;
      const ask = { leastMm: this.ask.leastMm, firstStep, cycle: Math.floor(cycle / Math.min(2, cycles.length)), mayBeginAnew: firstStep >= SEARCH_STEP };
      if (kind === 'joint' && joint && jointly) {
        const from: Snapshot = { ...jointly, length: this.#best.length };
        for (const at of stepsThrough(drawIn(joint.all, joint.mover, from, this.budget, ask))) {
          jointly = at;
          this.#take(apart(at));
          yield;
        }
      } else yield* this.#drawnIn(kind === 'rough' && this.#rough ? this.#rough : this.#fine, this.#best, ask);
    }
  }

  *#drawnIn({ all, mover }: Tool, from: Snapshot, ask: Parameters<typeof drawIn>[4]): Generator<void, void> {
    for (const at of stepsThrough(drawIn(all, mover, from, this.budget, ask))) {
      this.#take(at);
      yield;
    }
  }

  /** Joins pieces that fit each other; null where none do, where there is a gap between pieces, or where some are held. */
  #units(): Unit[] | null {
    const { gapMm, widthMm, pins } = this.ask;
    if (gapMm > 0 || pins.length) return null;
    const singles = this.#copies.numbered().map(({ item, piece }) => singleUnit(item.id, piece, item.polygon, item.turns));
    const units = joinedUnits(singles, widthMm);
    return units.length < singles.length ? units : null;
  }

  /** Alternates between beams and drawing the end in, from the best lay and from others that beams found. Each gets its share of the moves; beams begin. */
  *#byBeams(beams: Beams): Generator<void, void> {
    const begun = this.budget.left;
    const pushed = new Set<string>();
    const drawn = new Set<string>();
    let beamMoves = 0;
    for (let cycle = 0; this.#open;) {
      const before = this.budget.left;
      const spent = begun - before;
      if (beamMoves < Math.min(FIRST_BEAM_MOVES, BEAM_SHARE * begun) || beamMoves < BEAM_SHARE * spent) {
        yield* this.#beam(beams, pushed);
        beamMoves += before - this.budget.left;
        continue;
      }
      const { kept } = beams;
      const other = cycle % 3 === 2 ? kept.find(({ lengthMm }) => !drawn.has(lengthMm.toFixed(2)) && lengthMm < this.#best.length * WORTH_DRAWING) : undefined;
      if (other) drawn.add(other.lengthMm.toFixed(2));
      const from = this.#pushed(other ? this.#copies.at(this.#fine.all, other) : this.#best);
      if (this.#take(from)) yield;
      const rough = cycle % 2 === 0 ? null : this.#rough;
      const ask = { leastMm: this.ask.leastMm, firstStep: rough ? SEARCH_STEP : BEAM_STEP, cycle: 0, mayBeginAnew: false };
      yield* this.#drawnIn(rough ?? this.#fine, from, ask);
      cycle++;
    }
  }

  /** Runs one beam and compacts the best of its lays that is not much longer than the shortest. */
  *#beam(beams: Beams, pushed: Set<string>): Generator<void, void> {
    this.budget.left--;
    const found = yield* beams.next(this.budget);
    if (!found) return;
    for (const { lengthMm, placements } of [found, ...beams.kept]) {
      const key = lengthMm.toFixed(2);
      if (pushed.has(key) || lengthMm > this.#best.length * WORTH_PUSHING) continue;
      pushed.add(key);
      const at = this.#copies.at(this.#fine.all, { lengthMm, placements });
      if (this.#take(this.#pushed(at))) yield;
      return;
    }
  }

  /** Compacts a lay: small pieces move into enclosed holes. */
  #pushed(from: Snapshot): Snapshot {
    const { all, mover } = this.#fine;
    restore(all, from);
    compact(all, mover, this.budget);
    all.length = all.end();
    return snapshot(all);
  }
}

/** Lays pieces on a roll, each round's best so far yielded. Some copies may be held; every item fits across the roll in some turn. */
export function* layOnRoll(ask: RollAsk, random: () => number, budget: Budget): Generator<RollLay, RollLay> {
  const pieces = ask.items.reduce((sum, { count }) => sum + count, 0);
  if (pieces > MOST_MOVED && ask.first) return ask.first;
  const roll = new Roll(ask, random, budget);
  for (const _ of roll.run()) if (roll.best.lengthMm < Infinity) yield roll.best;
  return roll.best;
}
