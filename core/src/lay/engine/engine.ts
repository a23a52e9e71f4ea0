import { bounds } from '../../geometry/outline';
import { polygonArea } from '../../geometry/polygon';
import { seededRandom } from '../../kernel/random';
import { lowerBound } from '../bound';
import { isSawn, type LayAnswer, type LayProgress, type LayRequest, type Placement } from '../contract';
import { fitsPattern, knownPhase, patternOf, phaseOf, turnedMotif } from '../pattern';
import { pinsThatHold } from '../pins';
import { bestAnswer, joinedProgress, searchesOf } from '../seeds';
import { Arrangement, type Body, type Panel, type Place } from './arrangement';
import { better, boxedCopies, fitsGround, searchBoxes, type BoxedCopy, type BoxGround } from './boxes';
import { searchEdgeToEdge } from './guillotine';
import { hidePanel } from './hide';
import { layMatched, type Matched, type OnPattern } from './matched';
import { Budget, COOL, separate } from './separate';
import { shapesOf, type Turned } from './shape';
import { layOnRoll } from '../roll/roll';
import type { RollLay } from '../roll/copies';
import { compact, copyOf, drawIn, endOf, fill, layInOrder, put, QUICK } from './strip';

/** Orders of bounding boxes tried before the exact shapes. */
const BOX_TRIES = 240;
/** Above this number of pieces, exact shapes are not laid one by one: checking each against all others takes too long, and their boxes have been laid. */
const ONE_BY_ONE_MOST = 150;
/** Above this number, pieces stay where their boxes lie: each try would check every pair. */
const AS_BOXES_MOST = 1200;
/** Up to this number of pieces the full number of box orders is tried; for more pieces, fewer orders. */
const BOX_TRIES_FOR = 400;
/** Most box orders tried for edge-to-edge cuts. */
const EDGE_TRIES = 6_000;
/** Share of the remaining moves spent on saving a sheet. */
const SHEET_SHARE = 0.4;

/** Everything the search needs of a request, computed once. */
interface Question {
  readonly request: LayRequest;
  readonly copies: readonly BoxedCopy[];
  readonly bodies: readonly Body[];
  readonly shapes: readonly (readonly Turned[])[];
  readonly unplaced: readonly string[];
  readonly bound: number;
  readonly random: () => number;
  readonly budget: Budget;
}

/** A lay during the search: the place of each copy. */
interface Held {
  readonly places: readonly (Place | null)[];
  readonly sheets: number;
  readonly lengthMm: number;
}

function groundOf({ material, gapMm }: LayRequest): BoxGround {
  if (material.kind === 'hide') {
    const box = bounds(material.outline);
    return { widthMm: box.maxY - box.minY, lengthMm: box.maxX - box.minX, gapMm };
  }
  return { widthMm: material.widthMm, lengthMm: material.kind === 'sheet' ? material.lengthMm : Infinity, gapMm };
}

function questionOf(request: LayRequest): Question {
  const ground = groundOf(request);
  const all = boxedCopies(request.items);
  const offPattern = new Set(request.items.filter((item) => !fitsPattern(item, request.material)).map(({ id }) => id));
  const fits = (copy: BoxedCopy): boolean => fitsGround(copy, ground) && !offPattern.has(copy.item);
  const copies = all.filter(fits);
  const unplaced = all.filter((copy) => !fits(copy)).map(({ item }) => item);
  const items = new Map(request.items.map((item, shape) => [item.id, { shape, areaMm2: Math.abs(polygonArea(item.polygon)), seen: item.good === true }]));
  const bodies = copies.map(({ item }) => items.get(item) as Body);
  const fitting = request.items.filter(({ id }) => copies.some(({ item }) => item === id));
  return {
    request,
    copies,
    bodies,
    shapes: request.items.map(({ polygon, turns }) => shapesOf(polygon, turns, request.gapMm)),
    unplaced,
    bound: request.material.kind === 'hide' ? 0 : lowerBound(fitting, request.material, request.gapMm),
    random: seededRandom(request.seed),
    budget: new Budget(request.moves),
  };
}

/** A copy's shape in each of its turns. */
const turnsOf = ({ bodies, shapes }: Question, i: number): readonly Turned[] => shapes[(bodies[i] as Body).shape] as readonly Turned[];

const movesOf = ({ request, budget }: Question): number => Math.round(request.moves - Math.max(0, budget.left));

function answerOf(question: Question, held: Held): LayAnswer {
  const { request, copies, bodies } = question;
  const { material } = request;
  const corner = material.kind === 'hide' ? bounds(material.outline) : { minX: 0, minY: 0 };
  const placements = held.places.flatMap((place, i): Placement[] => {
    const copy = copies[i];
    if (!place || !copy) return [];
    const turned = turnsOf(question, i)[place.turn] as Turned;
    return [{ item: copy.item, copy: copy.copy, sheet: place.panel, x: place.x + corner.minX, y: place.y + corner.minY, turn: turned.turn }];
  });
  const areaMm2 = held.places.reduce((sum, place, i) => sum + (place ? (bodies[i] as Body).areaMm2 : 0), 0);
  const takenMm2 =
    material.kind === 'roll'
      ? material.widthMm * held.lengthMm
      : material.kind === 'sheet'
        ? material.widthMm * material.lengthMm * held.sheets
        : Math.abs(polygonArea(material.outline)) - [...material.flaws, ...(material.taken ?? [])].reduce((sum, part) => sum + Math.abs(polygonArea(part)), 0);
  const pattern = patternOf(material);
  const patternAtMm = pattern && phaseOf(request, placements);
  return {
    format: 'yardland/lay-answer@2',
    placements,
    sheets: held.sheets,
    lengthMm: held.lengthMm,
    unplaced: [...question.unplaced, ...copies.filter((_, i) => !held.places[i]).map(({ item }) => item)],
    bound: question.bound,
    use: takenMm2 > 0 ? areaMm2 / takenMm2 : 0,
    ...(patternAtMm === null ? {} : { patternAtMm }),
    moves: movesOf(question),
    stopped: false,
  };
}

/** Places of pinned pieces; null for the others. */
function pinsOf(question: Question): (Place | null)[] {
  const { request, copies } = question;
  const pins = pinsThatHold(request, request.pins);
  return copies.map(({ item, copy }, i) => {
    const pin = pins.find((one) => one.item === item && one.copy === copy);
    const turn = turnsOf(question, i).findIndex((turned) => turned.turn === pin?.turn);
    return pin && turn >= 0 ? { panel: pin.sheet, turn, x: pin.x, y: pin.y } : null;
  });
}

const panelsOf = ({ widthMm, lengthMm }: BoxGround, sheets: number): Panel[] =>
  Array.from({ length: sheets }, () => ({ widthMm, lengthMm, blocked: null, forSeen: null }));

/** The places of a lay of boxes. */
function placesOf(question: Question, placements: readonly Placement[]): (Place | null)[] {
  const found = new Map(placements.map((one) => [`${one.item} ${one.copy}`, one]));
  return question.copies.map(({ item, copy }, i) => {
    const one = found.get(`${item} ${copy}`);
    if (!one) return null;
    const turn = turnsOf(question, i).findIndex((turned) => turned.turn === one.turn);
    return { panel: one.sheet, turn, x: one.x, y: one.y };
  });
}

const largestFirst = ({ bodies }: Question, pieces: readonly number[]): number[] =>
  [...pieces].sort((a, b) => (bodies[b]?.areaMm2 ?? 0) - (bodies[a]?.areaMm2 ?? 0));

function heldBy(all: Arrangement): Held {
  const sheets = all.places.reduce((most, place) => Math.max(most, (place?.panel ?? -1) + 1), 0);
  return { places: copyOf(all), sheets, lengthMm: sheets ? endOf(all, sheets - 1) : 0 };
}

/** Every piece that is not pinned, the largest first. */
const freePieces = (question: Question, pins: readonly (Place | null)[]): number[] =>
  largestFirst(
    question,
    question.bodies.map((_, i) => i).filter((i) => !pins[i]),
  );

/** The pieces that have to match a pattern, and where a motif falls in each of their turns. */
function matchedOf({ request, copies, shapes, bodies }: Question): Matched[] {
  if (!patternOf(request.material)) return [];
  return copies.flatMap(({ item }, piece) => {
    const found = request.items.find(({ id }) => id === item);
    const turns = shapes[(bodies[piece] as Body).shape] ?? [];
    const motifs = turns.flatMap(({ turn }) => turnedMotif(found ?? {}, turn) ?? []);
    return motifs.length ? [{ piece, motifs }] : [];
  });
}

/** A remnant's pattern as it lies on a panel whose corner is at 0. */
function onPattern({ material }: LayRequest, corner: { readonly minX: number; readonly minY: number }): OnPattern | null {
  const [pattern, phase] = [patternOf(material), knownPhase(material)];
  return pattern && phase !== null ? { pattern: { ...pattern, motifAcrossMm: pattern.motifAcrossMm - corner.minY }, phaseMm: phase - corner.minX } : null;
}

/** Pieces laid first: those pinned, and on a pattern those that have to match it. `pins` in the panel's coordinates. */
function heldPlaces(question: Question, panel: Panel, pins: readonly (Place | null)[], on: OnPattern | null): readonly (Place | null)[] {
  const { budget, random } = question;
  const matched = matchedOf(question).filter(({ piece }) => !pins[piece]);
  if (!on || matched.length === 0) return pins;
  const all = new Arrangement(question.bodies, question.shapes, [panel], random, pins.map(Boolean));
  put(all, pins);
  return layMatched(all, matched, on, budget, random);
}

/** Lays the pieces one by one round the pinned ones, on as many sheets as needed. Yields after each. */
function* laidInOrder(question: Question, ground: BoxGround, pins: readonly (Place | null)[]): Generator<void, Held> {
  let open = freePieces(question, pins);
  let places: readonly (Place | null)[] = pins;
  for (let sheets = Math.max(1, ...pins.map((pin) => (pin?.panel ?? 0) + 1)); ; sheets++) {
    const all = new Arrangement(question.bodies, question.shapes, panelsOf(ground, sheets), question.random, pins.map(Boolean));
    put(all, places);
    const before = open.length;
    open = yield* layInOrder(all, open, all.everyPanel, question.budget);
    places = copyOf(all);
    // Each piece fits the material by itself, so an empty sheet takes at least one.
    if (open.length === 0 || open.length === before) return heldBy(all);
  }
}

/** Tries to save a sheet, as long as that succeeds and moves are left. */
function* withoutSheets(question: Question, ground: BoxGround, from: Held, fixed: readonly boolean[]): Generator<Held, Held> {
  let best = from;
  while (best.sheets > question.bound && question.budget.left > 0) {
    const last = best.sheets - 1;
    if (best.places.some((place, i) => fixed[i] && place?.panel === last)) break;
    const all = new Arrangement(question.bodies, question.shapes, panelsOf(ground, last), question.random, fixed);
    put(
      all,
      best.places.map((place) => (place?.panel === last ? null : place)),
    );
    for (const i of largestFirst(
      question,
      best.places.flatMap((place, i) => (place?.panel === last ? [i] : [])),
    ))
      all.places[i] = all.bestPlace(i, QUICK, Infinity, all.everyPanel);
    if (all.places.includes(null)) break;
    const part = new Budget(question.budget.left * SHEET_SHARE);
    question.budget.left -= part.left;
    const work = separate(all, QUICK, COOL, part, question.random);
    let round = work.next();
    for (; !round.done; round = work.next()) yield best;
    question.budget.left += Math.max(0, part.left);
    if (!round.value) break;
    best = heldBy(all);
    yield best;
  }
  return best;
}

/** A roll: boxes first, unless some pieces are pinned or have to match a pattern; then what suits the set. */
function* onRoll(question: Question): Generator<Held, Held> {
  const { request, copies, budget, random } = question;
  const { material, gapMm } = request;
  if (material.kind !== 'roll') throw new Error('not a roll');
  const ground = groundOf(request);
  const pins = pinsThatHold(request, request.pins);
  const items = request.items.filter(({ id }) => copies.some(({ item }) => item === id));
  let first: RollLay | null = null;
  let held: Held | null = null;
  const told = (lay: RollLay): Held =>
    (held = lay === first && held ? held : { places: placesOf(question, lay.placements), sheets: 1, lengthMm: lay.lengthMm });
  const pattern = items.some(({ motif }) => motif) ? patternOf(material) : null;
  if (pins.length === 0 && !pattern) {
    const tries = Math.min(Math.ceil(BOX_TRIES * Math.min(1, BOX_TRIES_FOR / copies.length)), request.moves);
    for (const lay of searchBoxes(copies, ground, tries, random)) {
      if (!first || better(lay, { sheets: 1, lengthMm: first.lengthMm })) {
        held = null;
        first = lay;
      }
      yield told(first);
      if (first.lengthMm <= question.bound + 1e-6) return told(first);
    }
  }
  const matching = pattern ? { pattern, knownPhaseMm: phaseOf(request, pins) } : {};
  const run = layOnRoll({ items, widthMm: material.widthMm, gapMm, pins, leastMm: question.bound, first, ...matching }, random, budget);
  for (let step = run.next(); ; step = run.next()) {
    if (step.value !== first) [held, first] = [null, step.value];
    const best = told(step.value);
    if (step.done) return best;
    yield best;
  }
}

/** Sheets: boxes first, because that is quick; then the pieces as they are, as few sheets as possible, the last one's end drawn in. */
function* onSheets(question: Question): Generator<Held, Held> {
  const { request, copies, budget, random } = question;
  const ground = groundOf(request);
  const pins = pinsOf(question);
  const fixed = pins.map(Boolean);
  let best: Held = { places: copies.map(() => null), sheets: Infinity, lengthMm: Infinity };
  if (!fixed.includes(true)) {
    for (const lay of searchBoxes(copies, ground, Math.min(Math.ceil(BOX_TRIES * Math.min(1, BOX_TRIES_FOR / copies.length)), request.moves), random)) {
      const held = { places: placesOf(question, lay.placements), sheets: lay.sheets, lengthMm: lay.lengthMm };
      if (better(held, best)) best = held;
      yield best;
    }
    if (copies.length > AS_BOXES_MOST) return best;
  }
  if (fixed.includes(true) || (copies.length <= ONE_BY_ONE_MOST && budget.left > copies.length)) {
    const work = laidInOrder(question, ground, pins);
    let step = work.next();
    for (; !step.done; step = work.next()) if (Number.isFinite(best.lengthMm)) yield best;
    if (better(step.value, best)) best = step.value;
    yield best;
  }
  best = yield* withoutSheets(question, ground, best, fixed);
  const all = new Arrangement(question.bodies, question.shapes, panelsOf(ground, best.sheets), random, fixed);
  put(all, best.places);
  compact(all, all.everyPanel, budget);
  const compacted = heldBy(all);
  if (better(compacted, best)) best = compacted;
  yield best;
  const { sheets } = best;
  put(all, best.places);
  const work = drawIn(all, sheets - 1, 0, budget, random);
  for (let step = work.next(); ; step = work.next()) {
    best = { ...step.value, sheets };
    if (step.done) return best;
    yield best;
  }
}

/** Sheets that are sawn from edge to edge. Nothing is pinned on them: what is moved by hand would stand in the saw's way. */
function* edgeToEdge(question: Question): Generator<Held, Held> {
  const { request, copies, budget, random } = question;
  let best: Held = { places: copies.map(() => null), sheets: Infinity, lengthMm: Infinity };
  for (const lay of searchEdgeToEdge(copies, groundOf(request), Math.min(request.moves, EDGE_TRIES), random)) {
    budget.spend(copies.length);
    best = { places: placesOf(question, lay.placements), sheets: lay.sheets, lengthMm: lay.lengthMm };
    yield best;
  }
  return best;
}

/** A hide: as many pieces as find a place, the largest first. */
function* onHide(question: Question): Generator<Held, Held> {
  const { request, bodies, shapes, budget, random } = question;
  const { material, gapMm } = request;
  if (material.kind !== 'hide') throw new Error('not a hide');
  // A panel's lower left corner is at 0.
  const corner = bounds(material.outline);
  const pins = pinsOf(question).map((pin) => pin && { ...pin, x: pin.x - corner.minX, y: pin.y - corner.minY });
  const panel = hidePanel(material, gapMm);
  const fixed = heldPlaces(question, panel, pins, onPattern(request, corner));
  const all = new Arrangement(bodies, shapes, [panel], random, fixed.map(Boolean));
  put(all, fixed);
  // What has to match and found no motif to lie on finds no place beside it either.
  const offMotif = new Set(matchedOf(question).map(({ piece }) => piece));
  const free = freePieces(question, fixed).filter((i) => !offMotif.has(i));
  const held = (): Held => ({ places: copyOf(all), sheets: 1, lengthMm: endOf(all, 0) });
  const laying = layInOrder(all, free, [0], budget);
  let laid = laying.next();
  for (; !laid.done; laid = laying.next()) yield held();
  const open = laid.value;
  let best = held();
  yield best;
  const work = fill(all, open, budget, random);
  for (let step = work.next(); !step.done; step = work.next()) {
    if (step.value) best = held();
    yield best;
  }
  return best;
}

/** The search that suits the material. */
function searchOn(question: Question): Generator<Held, Held> {
  const { material } = question.request;
  if (material.kind === 'hide') return onHide(question);
  if (isSawn(material)) return edgeToEdge(question);
  return material.kind === 'roll' ? onRoll(question) : onSheets(question);
}

/** One search, from the request's first seed. */
function* search(request: LayRequest): Generator<LayProgress, LayAnswer> {
  const question = questionOf(request);
  const none: Held = { places: question.copies.map(() => null), sheets: question.copies.length ? 1 : 0, lengthMm: 0 };
  if (question.copies.length === 0) return answerOf(question, none);
  const work = searchOn(question);
  let held: Held | null = null;
  let best: LayAnswer = answerOf(question, none);
  for (let step = work.next(); ; step = work.next()) {
    // The answer is rebuilt only for a new lay; the count of moves goes on.
    best = step.value === held ? { ...best, moves: movesOf(question) } : answerOf(question, step.value);
    held = step.value;
    if (step.done) return best;
    yield { done: Math.min(request.moves, best.moves), of: request.moves, best };
  }
}

/** Several searches in one thread, round-robin. */
function* inTurn(searches: readonly LayRequest[]): Generator<LayProgress, LayAnswer> {
  const runs = searches.map(search);
  const last: (LayProgress | null)[] = searches.map(() => null);
  const answers: (LayAnswer | null)[] = searches.map(() => null);
  while (answers.includes(null)) {
    for (const [i, run] of runs.entries()) {
      if (answers[i]) continue;
      const step = run.next();
      if (step.done) {
        answers[i] = step.value;
        const of = (searches[i] as LayRequest).moves;
        last[i] = { done: of, of, best: step.value };
      } else last[i] = step.value;
    }
    yield joinedProgress(last.filter((one) => one !== null));
  }
  return bestAnswer(answers.filter((one) => one !== null));
}

/**
 * Lays pieces close to the optimum, with each of the request's seeds. Yields the best so far after each round, so that a caller can show progress and
 * stop; on stopping, the last best is the answer. Searches may also run in separate threads (`searchesOf`, `bestAnswer`): the answer is the same.
 */
export function* layEngine(request: LayRequest): Generator<LayProgress, LayAnswer> {
  const searches = searchesOf(request);
  return yield* searches.length === 1 ? search(searches[0] as LayRequest) : inTurn(searches);
}

/** Runs the engine to its end: for the command line, the server and tests. */
export function solveLay(request: LayRequest): LayAnswer {
  const run = layEngine(request);
  for (let step = run.next(); ; step = run.next()) if (step.done) return step.value;
}
