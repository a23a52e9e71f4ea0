/** An old core or an offcut that may go into a long one. */
export interface OldPiece {
  readonly name: string;
  readonly lengthMm: number;
  readonly depthMm: number;
  readonly heightMm: number;
}

/** A question for one long core out of old ones. The same request always gives the same answer. */
export interface LongCoreAsk {
  readonly format: 'yardland/long-core-ask@1';
  readonly lengthMm: number;
  readonly depthMm: number;
  readonly heightMm: number;
  /** People side by side on it: their places share its length evenly. */
  readonly places: number;
  readonly pieces: readonly OldPiece[];
}

/** A piece as it lies in the long core. */
export interface UsedPiece {
  readonly piece: number;
  /** Not the piece itself but the strip that was ripped off it. */
  readonly strip: boolean;
  /** Turned a quarter: its depth lies along the core. */
  readonly turned: boolean;
  readonly fromMm: number;
  readonly toMm: number;
  /** Cut shorter, and ripped to depth. */
  readonly cutShorter: boolean;
  readonly ripped: boolean;
}

export interface LongCore {
  readonly used: readonly UsedPiece[];
  readonly cuts: number;
  readonly joins: readonly number[];
  /** False: no plan keeps the joins away from the sitting places, and this one does not. */
  readonly joinsClear: boolean;
}

export type LongCoreAnswer = { readonly format: 'yardland/long-core-answer@1' } & (
  | { readonly kind: 'plan'; readonly plan: LongCore }
  /** The pieces that can be used end to end are shorter than the core by this. */
  | { readonly kind: 'too-short'; readonly missingMm: number }
  | { readonly kind: 'none' }
);

const answered = { format: 'yardland/long-core-answer@1' } as const;

/** Old cores are measured no finer; within this a length or a depth is as wanted, mm. */
const MEASURED_MM = 2;
/** Heights further apart than this leave a step that is felt, mm. */
const STEP_MM = 3;
/** A piece shorter than this is not worth gluing, mm. */
const SHORTEST_MM = 60;
/** Positions looked at before the search gives up. */
const MOST_STATES = 400_000;
/** A join keeps at least this share of a seat's width from a sitting centre. */
const CLEAR_SHARE = 0.25;

type Span = readonly [from: number, to: number];

interface Option {
  readonly piece: number;
  /** The strip ripped off the piece: there once the piece lies so that one is left. */
  readonly strip: boolean;
  /** Of a strip: how its piece must lie. */
  readonly parentTurned: boolean;
  readonly turned: boolean;
  readonly lengthMm: number;
  readonly ripped: boolean;
}

const meet = (spans: readonly Span[], others: readonly Span[]): Span[] =>
  spans.flatMap(([a, b]) => others.flatMap(([c, d]): Span[] => (Math.max(a, c) <= Math.min(b, d) ? [[Math.max(a, c), Math.min(b, d)]] : [])));

/** Where joins may lie: everywhere but round each sitting centre. */
export function joinZones({ lengthMm, places }: Pick<LongCoreAsk, 'lengthMm' | 'places'>): Span[] {
  const seat = lengthMm / places;
  const clear = seat * CLEAR_SHARE;
  const centres = Array.from({ length: places }, (_, i) => (i + 0.5) * seat);
  const edges = [0, ...centres.flatMap((c) => [c - clear, c + clear]), lengthMm];
  return Array.from({ length: places + 1 }, (_, i): Span => [edges[2 * i] ?? 0, edges[2 * i + 1] ?? lengthMm]);
}

interface Way {
  readonly along: number;
  readonly across: number;
  readonly turned: boolean;
}

/** Both ways a right-angled piece of foam may lie; one for a square. */
const waysOf = (lengthMm: number, depthMm: number): Way[] =>
  [
    { along: lengthMm, across: depthMm, turned: false },
    { along: depthMm, across: lengthMm, turned: true },
  ].filter(({ turned }) => !turned || lengthMm !== depthMm);

/** Every way a piece, or the strip that is ripped off it, may lie so that it is deep and high enough. */
export function optionsOf(ask: LongCoreAsk): Option[] {
  const lies = ({ along, across }: Way): boolean => across >= ask.depthMm - MEASURED_MM && along >= SHORTEST_MM;
  const ripped = ({ across }: Way): boolean => across > ask.depthMm + MEASURED_MM;
  return ask.pieces.flatMap((one, piece) => {
    if (Math.abs(one.heightMm - ask.heightMm) > STEP_MM) return [];
    return waysOf(one.lengthMm, one.depthMm)
      .filter(lies)
      .flatMap((way): Option[] => {
        const whole = { piece, strip: false, parentTurned: false, turned: way.turned, lengthMm: way.along, ripped: ripped(way) };
        if (!ripped(way)) return [whole];
        // A piece that lies turned and leaves as much as the core is deep was only sawn in two: no strip.
        const left = way.across - ask.depthMm;
        const strips = way.turned && left >= ask.depthMm - MEASURED_MM ? [] : waysOf(way.along, left).filter(lies);
        return [
          whole,
          ...strips.map((strip): Option => ({
            piece,
            strip: true,
            parentTurned: way.turned,
            turned: strip.turned,
            lengthMm: strip.along,
            ripped: ripped(strip),
          })),
        ];
      });
  });
}

interface Placed {
  readonly option: Option;
  readonly cut: boolean;
  /** Where its far end may lie. */
  readonly ends: readonly Span[];
}

/** The far ends that a piece can reach from where the last one ended. */
const reach = (starts: readonly Span[], { lengthMm }: Option, cut: boolean): Span[] =>
  starts.map(([a, b]): Span => (cut ? [a + SHORTEST_MM, b + lengthMm - 1] : [a + lengthMm, b + lengthMm]));

/** From the last end back to the first: of what is possible, the middle of the widest span. */
function settle(placed: readonly Placed[], lengthMm: number): UsedPiece[] {
  const used: UsedPiece[] = [];
  let to = lengthMm;
  for (let i = placed.length - 1; i >= 0; i--) {
    const { option, cut } = placed[i] as Placed;
    const starts: readonly Span[] = i === 0 ? [[0, 0]] : (placed[i - 1] as Placed).ends;
    const slack = i === placed.length - 1 ? MEASURED_MM : 1e-6;
    const back: Span = cut ? [to - option.lengthMm + 1 - 1e-6, to - SHORTEST_MM + 1e-6] : [to - option.lengthMm - slack, to - option.lengthMm + slack];
    const possible = meet(starts, [back]).sort((p, q) => q[1] - q[0] - (p[1] - p[0]));
    const [a, b] = possible[0] ?? [0, 0];
    const from = i === 0 ? 0 : (a + b) / 2;
    used.unshift({ piece: option.piece, strip: option.strip, turned: option.turned, fromMm: from, toMm: to, cutShorter: cut, ripped: option.ripped });
    to = from;
  }
  return used;
}

function search(ask: LongCoreAsk, options: readonly Option[], zones: readonly Span[], states: { left: number }): UsedPiece[] | null {
  const { lengthMm } = ask;
  const most = new Set(options.map(({ piece, strip }) => `${piece} ${strip}`)).size;
  const walk = (placed: readonly Placed[], cutsLeft: number, piecesLeft: number): UsedPiece[] | null => {
    const starts: readonly Span[] = placed.at(-1)?.ends ?? [[0, 0]];
    const tried = new Set<string>();
    for (const option of options) {
      if (placed.some((one) => one.option.piece === option.piece && one.option.strip === option.strip)) continue;
      // A strip is there once its piece lies as it must; that the piece comes first loses nothing, for a core is the same from both ends.
      if (option.strip && !placed.some(({ option: { piece, strip, turned } }) => piece === option.piece && !strip && turned === option.parentTurned)) continue;
      // Two pieces alike need not both be tried in one place.
      const like = `${option.lengthMm} ${option.ripped} ${option.strip}`;
      if (tried.has(like)) continue;
      tried.add(like);
      for (const cut of [false, true]) {
        const cost = (cut ? 1 : 0) + (option.ripped ? 1 : 0);
        if (cost > cutsLeft || states.left-- <= 0) continue;
        const ends = reach(starts, option, cut);
        if (piecesLeft === 1) {
          const last = [...placed, { option, cut, ends }];
          if (cost === cutsLeft && meet(ends, [[lengthMm - MEASURED_MM, lengthMm + MEASURED_MM]]).length) return settle(last, lengthMm);
          continue;
        }
        const clear = meet(meet(ends, zones), [[0, lengthMm - SHORTEST_MM]]);
        if (!clear.length) continue;
        const found = walk([...placed, { option, cut, ends: clear }], cutsLeft - cost, piecesLeft - 1);
        if (found) return found;
      }
    }
    return null;
  };
  // Fewest cuts, then fewest joins: the first plan found is the best.
  for (let cuts = 0; cuts <= 2 * most; cuts++)
    for (let pieces = 1; pieces <= most; pieces++) {
      const found = walk([], cuts, pieces);
      if (found) return found;
    }
  return null;
}

/**
 * Makes one long core out of several old ones: cut to depth and butted end to end, with the joins away from where people sit. The result has the fewest cuts, and among those the
 * fewest joins. Strips ripped off are offcuts that may fill a gap. The search goes over orders, turns and cuts; after a cut it carries the whole range of places that the next join can have.
 */
export function joinLongCore(ask: LongCoreAsk): LongCoreAnswer {
  const options = optionsOf(ask);
  const longest = new Map<number, number>();
  for (const { piece, lengthMm, turned } of options.filter(({ strip }) => !strip)) {
    const strips = options.filter((one) => one.strip && one.piece === piece && one.parentTurned === turned).map((one) => one.lengthMm);
    longest.set(piece, Math.max(lengthMm + Math.max(0, ...strips), longest.get(piece) ?? 0));
  }
  const together = [...longest.values()].reduce((sum, mm) => sum + mm, 0);
  if (together < ask.lengthMm - MEASURED_MM) return { ...answered, kind: 'too-short', missingMm: ask.lengthMm - together };
  const states = { left: MOST_STATES };
  const clear = search(ask, options, joinZones(ask), states);
  const used = clear ?? search(ask, options, [[0, ask.lengthMm]], { left: MOST_STATES });
  if (!used) return { ...answered, kind: 'none' };
  return {
    ...answered,
    kind: 'plan',
    plan: {
      used,
      cuts: used.reduce((sum, one) => sum + (one.cutShorter ? 1 : 0) + (one.ripped ? 1 : 0), 0),
      joins: used.slice(0, -1).map((one) => one.toMm),
      joinsClear: clear !== null,
    },
  };
}
