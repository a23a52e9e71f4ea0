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
  /** Seam allowance at each end of every strip. */
  readonly seamMm: number;
  /** Extra cut length at each end of the whole band (folds of the zip pockets). */
  readonly endMm: number;
  readonly front: Zone;
  /** Corners, ties and zip ends, each with its clearance already round it. */
  readonly crowded: readonly Zone[];
}

export interface Joins {
  /** Distances from the band's start, mm, ascending. */
  readonly at: readonly number[];
  readonly onFront: boolean;
  readonly crowded: boolean;
}

/** Costs of a place, far enough apart that a lesser one never outweighs a greater: the front edge, one strip more, a crowded place, lopsidedness, uneven strips. */
const COST = { front: 1e6, extraStrip: 1e5, crowded: 1e4, lopsided: 1e3 };
/** Joins are placed to this, mm; finer makes no difference at the machine. */
const GRID_MM = 5;

const inside = (at: number, zone: Zone): boolean => at > zone.from && at < zone.to;

/** Cut lengths of the strips between joins, the folds at both ends of the band included. */
export function stripLengths(band: BandToJoin, at: readonly number[]): number[] {
  const stops = [0, ...at, band.lengthMm];
  return stops.slice(1).map((stop, i) => {
    const ends = (i === 0 ? band.endMm : 0) + (i === at.length ? band.endMm : 0);
    return stop - (stops[i] ?? 0) + 2 * band.seamMm + ends;
  });
}

function cost(band: BandToJoin, at: readonly number[]): number {
  const strips = stripLengths(band, at);
  if (strips.some((length) => length > band.stripMm + 1e-9)) return Infinity;
  const places = at.reduce((sum, x) => sum + (inside(x, band.front) ? COST.front : 0) + (band.crowded.some((zone) => inside(x, zone)) ? COST.crowded : 0), 0);
  const mirrored = at.every((x, i) => Math.abs(x + (at[at.length - 1 - i] ?? 0) - band.lengthMm) < 1e-6);
  return places + (mirrored ? 0 : COST.lopsided) + (Math.max(...strips) - Math.min(...strips)) / 100;
}

function grid(from: number, to: number): number[] {
  return Array.from({ length: Math.max(0, Math.floor((to - from) / GRID_MM)) }, (_, i) => from + (i + 1) * GRID_MM);
}

/** Candidate sets of `count` joins: mirrored about the centre front, and for a single join every place. */
function candidates(band: BandToJoin, count: number): number[][] {
  const length = band.lengthMm;
  const centre = count % 2 ? [length / 2] : [];
  const even = Array.from({ length: count }, (_, i) => (length * (i + 1)) / (count + 1));
  const mirror = (half: readonly number[]): number[] => [...half, ...centre, ...[...half].reverse().map((x) => length - x)];
  if (count === 0) return [[]];
  if (count === 1) return [centre, ...grid(0, length).map((x) => [x])];
  if (count <= 3) return [even, ...grid(0, length / 2).map((x) => mirror([x]))];
  const outer = grid(0, length / 2);
  const pairs = count <= 5 ? outer.filter((_, i) => i % 4 === 0).flatMap((a, i, all) => all.slice(i + 1).map((b) => mirror([a, b]))) : [];
  return [even, ...pairs];
}

/**
 * Places the joins of a boxing: never on the front edge while another way exists (one strip more counts as one), then as few as the strip's length
 * allows, then clear of corners, ties and zip ends, then symmetric about the centre front, then strips of like length. Null when no strip is long enough.
 */
export function placeJoins(band: BandToJoin): Joins | null {
  const longest = band.stripMm - 2 * band.seamMm;
  if (longest <= 0) return null;
  const fewest = Number.isFinite(longest) ? Math.max(0, Math.ceil((band.lengthMm + 2 * band.endMm) / longest - 1e-9) - 1) : 0;
  if (fewest > 40) return null;
  let best: { readonly at: readonly number[]; readonly cost: number } | null = null;
  for (const count of [fewest, fewest + 1, fewest + 2]) {
    // A strip more can only pay where what fewer strips gave costs more than it.
    if (best && best.cost <= (count - fewest) * COST.extraStrip) break;
    for (const at of candidates(band, count)) {
      const total = cost(band, at) + (count - fewest) * COST.extraStrip;
      if (total < (best?.cost ?? Infinity)) best = { at, cost: total };
    }
  }
  if (!best) return null;
  const { at } = best;
  return { at, onFront: at.some((x) => inside(x, band.front)), crowded: at.some((x) => band.crowded.some((zone) => inside(x, zone))) };
}
