import type { Arrangement, Effort, Panel, Place } from './arrangement';
import { TOUCH_MM } from './forbidden';
import { COOL, HOT, separate, type Budget } from './separate';

/** Lines searched for one piece: when it is first laid, and when it is moved. */
const FIRST: Effort = { lines: 24, turns: 4, widths: Infinity };
export const QUICK: Effort = { lines: 3, turns: 3, widths: 0.7 };
/** Only a place that is clear of everything costs less than this. */
const CLEAR = TOUCH_MM / 2;
/** First and smallest step by which the length is reduced, as a share of it. */
const FIRST_STEP = 0.04;
const LAST_STEP = 0.0004;
/** Up to this use of the material, places without overlap are found quickly. */
const EASILY_USED = 0.71;
/** Probability that the next try begins where a failed one ended, and not at the best lay. */
const GO_ON = 0.5;
/** Most rounds of compaction. */
const COMPACT_ROUNDS = 8;

export const copyOf = (all: Arrangement): (Place | null)[] => [...all.places];

export function put(all: Arrangement, places: readonly (Place | null)[]): void {
  places.forEach((place, i) => (all.places[i] = place));
}

const movable = (all: Arrangement): number[] => all.bodies.map((_, i) => i).filter((i) => all.places[i] && !all.fixed[i]);

/** The far end of the pieces on a panel, mm. */
export function endOf(all: Arrangement, panel: number): number {
  return all.places.reduce((far, place, i) => (place?.panel === panel ? Math.max(far, place.x + all.turned(i, place.turn).maxX) : far), 0);
}

/** Lays pieces one after another where each reaches least far and is clear of those before. Yields after each; returns those that found no place. */
export function* layInOrder(all: Arrangement, order: readonly number[], panels: readonly number[], budget: Budget): Generator<void, number[]> {
  const without: number[] = [];
  for (const i of order) {
    budget.spend(all.bodies.length);
    all.places[i] = null;
    for (const panel of panels) {
      all.places[i] = all.bestPlace(i, FIRST, CLEAR, [panel]);
      if (all.places[i]) break;
    }
    if (!all.places[i]) without.push(i);
    yield;
  }
  return without;
}

/** Moves each piece to where it reaches less far, from the near end on, until no piece can move. */
export function compact(all: Arrangement, panels: readonly number[], budget: Budget): void {
  for (let round = 0; round < COMPACT_ROUNDS; round++) {
    let moved = false;
    for (const i of movable(all).sort((a, b) => all.reachOf(a) - all.reachOf(b))) {
      if (budget.left <= 0) return;
      budget.spend(all.bodies.length);
      const better = all.bestPlace(i, QUICK, CLEAR, panels, { reachBelow: all.reachOf(i) });
      if (!better) continue;
      all.places[i] = better;
      moved = true;
    }
    if (!moved) return;
  }
}

/** Exchanges two pieces, one of them from the larger half: each goes as near to the other's middle as its panel allows. */
function exchange(all: Arrangement, random: () => number): void {
  const pieces = movable(all).sort((a, b) => (all.bodies[b]?.areaMm2 ?? 0) - (all.bodies[a]?.areaMm2 ?? 0));
  const i = pieces[Math.floor(random() * Math.ceil(pieces.length / 2))];
  const j = pieces[Math.floor(random() * pieces.length)];
  if (i === undefined || j === undefined || i === j) return;
  const [a, b] = [all.places[i] as Place, all.places[j] as Place];
  const middle = (piece: number, place: Place): readonly [number, number] => {
    const shape = all.turned(piece, place.turn);
    return [place.x + (shape.minX + shape.maxX) / 2, place.y + (shape.minY + shape.maxY) / 2];
  };
  const at = (piece: number, turn: number, index: number, [x, y]: readonly [number, number]): Place => {
    const shape = all.turned(piece, turn);
    const panel = all.panels[index] as Panel;
    const clamp = (value: number, low: number, high: number): number => Math.min(Math.max(value, low), Math.max(low, high));
    return {
      panel: index,
      turn,
      x: clamp(x - (shape.minX + shape.maxX) / 2, -shape.minX, panel.lengthMm - shape.maxX),
      y: clamp(y - (shape.minY + shape.maxY) / 2, -shape.minY, panel.widthMm - shape.maxY),
    };
  };
  all.places[i] = at(i, a.turn, b.panel, middle(j, b));
  all.places[j] = at(j, b.turn, a.panel, middle(i, a));
}

/** The best lay so far, as it stands after each round. */
export interface StripStep {
  readonly places: readonly (Place | null)[];
  readonly lengthMm: number;
}

/**
 * Draws the open end of a panel in, again and again: what no longer fits is moved in, and all are moved apart; by less each time that does not
 * succeed. All pieces have a place clear of the others when it begins. Yields the best so far after each round of moves.
 */
export function* drawIn(all: Arrangement, open: number, leastMm: number, budget: Budget, random: () => number): Generator<StripStep, StripStep> {
  const panel = all.panels[open] as Panel;
  const panels = all.everyPanel;
  const end = (): StripStep => ({ places: copyOf(all), lengthMm: endOf(all, open) });
  let best = end();
  // A loose lay is shortened by a large step.
  const areaMm2 = all.bodies.reduce((sum, body, i) => sum + (all.places[i]?.panel === open ? body.areaMm2 : 0), 0);
  let step = Math.max(FIRST_STEP, 1 - areaMm2 / (EASILY_USED * panel.widthMm * best.lengthMm));
  let failed = 0;
  let heat = HOT;
  while (budget.left > 0 && best.lengthMm > leastMm + 1e-3) {
    panel.lengthMm = Math.max(leastMm, best.lengthMm * (1 - step));
    if (movable(all).length === 0 || all.bodies.some((_, i) => all.fixed[i] && !all.inside(i))) break;
    for (const i of movable(all).filter((one) => !all.inside(one))) {
      all.places[i] = null;
      all.places[i] = all.bestPlace(i, QUICK, Infinity, panels);
      budget.spend(all.bodies.length);
    }
    // Too short for some piece in every turn: no shorter lay exists.
    if (all.places.includes(null)) break;
    const work = separate(all, QUICK, heat, budget, random);
    let round = work.next();
    for (; !round.done; round = work.next()) yield best;
    if (round.value) {
      compact(all, panels, budget);
      best = end();
      failed = 0;
      yield best;
      continue;
    }
    if (random() >= GO_ON) put(all, best.places);
    failed++;
    heat = heat === HOT ? COOL : HOT;
    if (failed % 2 === 0 || step > 0.01) step = Math.max(LAST_STEP, step / 2);
    if (failed >= 2) exchange(all, random);
    if (failed >= 4 && random() < 0.5) exchange(all, random);
  }
  panel.lengthMm = best.lengthMm;
  put(all, best.places);
  return best;
}

/**
 * Adds the pieces that found no place, one after another, and separates all pieces after each; one that cannot be separated is taken out again.
 * Yields after each round whether there is a new best, with `all` free of overlap. Ends when all are in or the budget is used up.
 */
export function* fill(all: Arrangement, open: readonly number[], budget: Budget, random: () => number): Generator<boolean, void> {
  const panels = all.everyPanel;
  let waiting = [...open];
  while (waiting.length && budget.left > 0) {
    const before = budget.left;
    for (const i of [...waiting]) {
      if (budget.left <= 0) return;
      const kept = copyOf(all);
      compact(all, panels, budget);
      all.places[i] = all.bestPlace(i, FIRST, Infinity, panels);
      budget.spend(all.bodies.length);
      let apart = false;
      if (all.places[i]) {
        const work = separate(all, QUICK, COOL, budget, random);
        let round = work.next();
        for (; !round.done; round = work.next()) yield false;
        apart = round.value;
      }
      if (apart) waiting = waiting.filter((one) => one !== i);
      else put(all, kept);
      yield apart;
    }
    if (budget.left === before) return;
  }
}
