/** Where on a band (mm from its start) a join should not be. */
export interface Zone {
  readonly from: number;
  readonly to: number;
}

export interface BandToJoin {
  /** Sewn length of the band, mm. */
  readonly lengthMm: number;
  /** Longest strip that can be cut, mm of cut length; Infinity when cut along the roll. */
  readonly stripMm: number;
  /** Joined strips are cut longer by this altogether and trimmed at their joins. */
  readonly trimMm: number;
  /** Seam allowance at each end of every strip. */
  readonly seamMm: number;
  /** Extra cut length at the left and the right end of the whole band (folds of the zip pockets). */
  readonly endsMm: readonly [left: number, right: number];
  readonly front: Zone;
  /** Behind the front corners, where a join is seen from the front. */
  readonly nearFront: readonly Zone[];
  /** Where joins have to be: under those of the plates. */
  readonly under: readonly number[];
  /** Corners, ties and zip ends, each with its clearance already round it. */
  readonly crowded: readonly Zone[];
}

export interface Joins {
  /** Distances from the band's start, mm, ascending. */
  readonly at: readonly number[];
  readonly onFront: boolean;
  readonly crowded: boolean;
}

/**
 * Costs of a place, far enough apart that a lesser one never outweighs a greater: the front edge, near behind its corners, joined strips with less than half their trim-off, one strip more, some of it
 * missing, a crowded place, lopsidedness, uneven strips.
 */
const COST = { front: 1e8, nearFront: 1e6, barelyTrimmed: 2.5e5, extraStrip: 1e5, untrimmed: 5e4, crowded: 1e4, lopsided: 1e3 };
/** Joins are placed to this, mm; finer makes no difference at the machine. */
const GRID_MM = 5;

const inside = (at: number, zone: Zone): boolean => at > zone.from && at < zone.to;

/** Cut lengths of the strips between joins, the folds at both ends of the band included. */
export function stripLengths(band: BandToJoin, at: readonly number[]): number[] {
  const stops = [0, ...at, band.lengthMm];
  return stops.slice(1).map((stop, i) => {
    const ends = (i === 0 ? band.endsMm[0] : 0) + (i === at.length ? band.endsMm[1] : 0);
    return stop - (stops[i] ?? 0) + 2 * band.seamMm + ends;
  });
}

const isIn = (x: number, zones: readonly Zone[]): boolean => zones.some((zone) => inside(x, zone));

/** What a set of joins costs; Infinity where a strip between them is too long. Thousands of sets are looked at for each band, so it allocates nothing. */
function cost(band: BandToJoin, at: readonly number[]): number {
  const { lengthMm, stripMm, trimMm, seamMm, endsMm } = band;
  let [places, longest, shortest] = [0, 0, Infinity];
  let mirrored = true;
  for (let i = 0; i <= at.length; i++) {
    const [from, to] = [i === 0 ? 0 : (at[i - 1] as number), i === at.length ? lengthMm : (at[i] as number)];
    const strip = to - from + 2 * seamMm + (i === 0 ? endsMm[0] : 0) + (i === at.length ? endsMm[1] : 0);
    if (strip > stripMm + 1e-9) return Infinity;
    longest = Math.max(longest, strip);
    shortest = Math.min(shortest, strip);
    if (i === at.length) break;
    places += (inside(to, band.front) ? COST.front : 0) + (isIn(to, band.nearFront) ? COST.nearFront : 0) + (isIn(to, band.crowded) ? COST.crowded : 0);
    mirrored &&= Math.abs(to + (at[at.length - 1 - i] as number) - lengthMm) < 1e-6;
  }
  const left = stripMm - longest;
  const untrimmed = at.length === 0 || left >= trimMm - 1e-9 ? 0 : left < trimMm / 2 ? COST.barelyTrimmed : COST.untrimmed;
  return places + untrimmed + (mirrored ? 0 : COST.lopsided) + (longest - shortest) / 100;
}

/** The places of the grid between two, mm: the first one, and from there every `every`th. */
function grid(from: number, to: number, every = 1): number[] {
  const places = Math.max(0, Math.floor((to - from) / GRID_MM));
  return Array.from({ length: Math.ceil(places / every) }, (_, i) => from + (i * every + 1) * GRID_MM);
}

/** Sets that are not mirrored are looked through in steps of so many places of the grid. */
const COARSE = 8;

const coarse = (from: number, to: number): number[] => grid(from, to, COARSE);

/** Two joins anywhere. */
const lopsidedPairs = (length: number): number[][] => coarse(0, length).flatMap((a) => coarse(a, length).map((b) => [a, b]));

/** A mirrored pair and one more: three joins that are mirrored have one at the centre front. */
const lopsidedTriples = (length: number): number[][] => coarse(0, length / 2).flatMap((a) => coarse(a, length - a).map((b) => [a, b, length - a]));

/** Candidate sets of `count` joins: mirrored about the centre front; for a single one every place. */
function candidates(band: BandToJoin, count: number): number[][] {
  const length = band.lengthMm;
  const centre = count % 2 ? [length / 2] : [];
  const even = Array.from({ length: count }, (_, i) => (length * (i + 1)) / (count + 1));
  const mirror = (half: readonly number[]): number[] => [...half, ...centre, ...[...half].reverse().map((x) => length - x)];
  if (count === 0) return [[]];
  if (count === 1) return [centre, ...grid(0, length).map((x) => [x])];
  if (count <= 3) return [even, ...grid(0, length / 2).map((x) => mirror([x]))];
  if (count > 5) return [even];
  // Two mirrored pairs: only those whose strips the cloth gives are worth making.
  const longest = band.stripMm - 2 * band.seamMm;
  const outer = grid(0, length / 2, 4);
  const middle = (x: number): number => (count === 4 ? length - 2 * x : length / 2 - x);
  const pairs = outer
    .filter((a) => a <= longest)
    .flatMap((a) => outer.filter((b) => b > a && b - a <= longest && middle(b) <= longest).map((b) => mirror([a, b])));
  return [even, ...pairs];
}

/** Where a zone of a band lies on a part of it that begins at `fromMm`. */
const onPart = ({ from, to }: Zone, fromMm: number): Zone => ({ from: from - fromMm, to: to - fromMm });

/**
 * Places the joins of a boxing; null when no strip is long enough. Where the plates are pieced, the joins lie under the joins of the plates, and each part between them is placed by itself.
 * Otherwise, in this order of preference: no join on the front edge or just behind its corners (worth one more join); as few as the strip's length allows; clear of corners, ties and zip
 * ends; symmetric about the centre front; strips of like length.
 */
export function placeJoins(band: BandToJoin): Joins | null {
  if (band.under.length === 0 || !Number.isFinite(band.stripMm)) return placeFree(band);
  const stops = [0, ...[...band.under].sort((a, b) => a - b), band.lengthMm];
  const parts = stops.slice(1).map((to, i) => {
    const fromMm = stops[i] ?? 0;
    const zones = (list: readonly Zone[]): Zone[] => list.map((zone) => onPart(zone, fromMm));
    const part: BandToJoin = {
      ...band,
      lengthMm: to - fromMm,
      endsMm: [i === 0 ? band.endsMm[0] : 0, i === stops.length - 2 ? band.endsMm[1] : 0],
      front: onPart(band.front, fromMm),
      nearFront: zones(band.nearFront),
      crowded: zones(band.crowded),
      under: [],
    };
    return { fromMm, joins: placeFree(part) };
  });
  if (parts.some(({ joins }) => joins === null)) return null;
  const at = parts.flatMap(({ fromMm, joins }, i) => [...(i > 0 ? [fromMm] : []), ...(joins?.at ?? []).map((x) => x + fromMm)]);
  return { at, onFront: parts.some(({ joins }) => joins?.onFront), crowded: parts.some(({ joins }) => joins?.crowded) };
}

interface Best {
  readonly at: readonly number[];
  readonly cost: number;
}

/** The cheapest of some sets of joins, or the one that was best before. */
function cheapest(band: BandToJoin, sets: readonly number[][], more: number, before: Best | null): Best | null {
  let best = before;
  for (const at of sets) {
    const total = cost(band, at) + more;
    if (total < (best?.cost ?? Infinity)) best = { at, cost: total };
  }
  return best;
}

/** The same where no plate says where a join has to be. */
function placeFree(band: BandToJoin): Joins | null {
  const longest = band.stripMm - 2 * band.seamMm;
  if (longest <= 0) return null;
  const fewest = Number.isFinite(longest) ? Math.max(0, Math.ceil((band.lengthMm + band.endsMm[0] + band.endsMm[1]) / longest - 1e-9) - 1) : 0;
  if (fewest > 40) return null;
  let best: Best | null = null;
  for (const count of [fewest, fewest + 1, fewest + 2]) {
    const more = (count - fewest) * COST.extraStrip;
    // A strip more can only pay where what fewer strips gave costs more than it.
    if (best && best.cost <= more) break;
    best = cheapest(band, candidates(band, count), more, best);
    // Sets that are not mirrored are looked at only where no mirrored one keeps away from the front, and others could.
    const frontMm = band.front.to - band.front.from;
    if (frontMm < longest && (best?.cost ?? Infinity) >= COST.nearFront)
      best = cheapest(band, count === 2 ? lopsidedPairs(band.lengthMm) : count === 3 ? lopsidedTriples(band.lengthMm) : [], more, best);
  }
  if (!best) return null;
  const { at } = best;
  return { at, onFront: at.some((x) => inside(x, band.front)), crowded: at.some((x) => isIn(x, band.crowded)) };
}
