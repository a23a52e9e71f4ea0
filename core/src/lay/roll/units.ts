import { bounds } from '../../geometry/outline';
import { overlapArea } from '../../geometry/overlap';
import { distance, type Point } from '../../geometry/point';
import { polygonArea } from '../../geometry/polygon';
import { turnedBy } from '../contract';
import { cleaned, hull } from '../engine/convex';

/** A piece in a unit: turned about its own origin, then moved. */
export interface Member {
  readonly piece: number;
  readonly turn: number;
  readonly x: number;
  readonly y: number;
}

/** Pieces that lie against one another and are moved as one. */
export interface Unit {
  /** Units of one kind differ only in the copies they are made of. */
  readonly kind: string;
  readonly members: readonly Member[];
  readonly outline: readonly Point[];
  readonly turns: readonly number[];
  readonly areaMm2: number;
  /** Area of its convex hull minus its own. */
  readonly wasteMm2: number;
  readonly lengthMm: number;
  /** Area of its bounding box. */
  readonly boxMm2: number;
  readonly isBox: boolean;
}

/** Tolerance for equal edges and equal corners, mm. */
const SAME_MM = 1e-3;
/** A pair is joined when this share of the shorter outline lies on the other … */
const LEAST_SHARED = 0.2;
/** … and the hull of both wastes at most half of what their separate hulls waste, or this share of their area … */
const LEFT_OVER = 0.005;
/** … and they use a box of both better than boxes of each by this share at least. */
const GAIN = 0.01;
/** Two that are joined may share so much of their insides, mm². */
const SHARED_MM2 = 0.005;
const MOST_MEMBERS = 6;

const turnOf = (degrees: number): number => ((degrees % 360) + 360) % 360;

/** The ring without corners that stand on a straight line. */
function straightened(ring: readonly Point[]): Point[] {
  return ring.filter((p, i) => {
    const a = ring[(i + ring.length - 1) % ring.length] as Point;
    const b = ring[(i + 1) % ring.length] as Point;
    return Math.abs((p.x - a.x) * (b.y - a.y) - (p.y - a.y) * (b.x - a.x)) > SAME_MM * Math.max(1, distance(a, b));
  });
}

function unitOf(kind: string, members: readonly Member[], outline: readonly Point[], turns: readonly number[]): Unit {
  const areaMm2 = Math.abs(polygonArea(outline));
  const level = outline.every((p, i) => {
    const q = outline[(i + 1) % outline.length] as Point;
    return Math.abs(p.x - q.x) < SAME_MM || Math.abs(p.y - q.y) < SAME_MM;
  });
  const { minX, maxX, minY, maxY } = bounds(outline);
  return {
    kind,
    members,
    outline,
    turns,
    areaMm2,
    wasteMm2: Math.abs(polygonArea(hull(outline))) - areaMm2,
    lengthMm: outline.reduce((sum, p, i) => sum + distance(p, outline[(i + 1) % outline.length] as Point), 0),
    boxMm2: (maxX - minX) * (maxY - minY),
    isBox: outline.length === 4 && level,
  };
}

/** One piece by itself; `kind`: its item. */
export function singleUnit(kind: string, piece: number, polygon: readonly Point[], turns: readonly number[]): Unit {
  return unitOf(kind, [{ piece, turn: 0, x: 0, y: 0 }], cleaned(polygon), turns);
}

/** The outline of two rings that share whole edges: all edges but the shared ones, end to end. Null where that is no one ring. */
function joinedOutline(a: readonly Point[], b: readonly Point[]): Point[] | null {
  const edgesOf = (ring: readonly Point[]) => ring.map((p, i) => [p, ring[(i + 1) % ring.length] as Point] as const);
  const others = edgesOf(b);
  const gone = new Set<number>();
  const left = edgesOf(a).filter(([p, q]) => {
    const k = others.findIndex(([r, s], i) => !gone.has(i) && distance(p, s) < SAME_MM && distance(q, r) < SAME_MM);
    if (k >= 0) gone.add(k);
    return k < 0;
  });
  const open = [...left, ...others.filter((_, i) => !gone.has(i))];
  const ring: Point[] = [];
  for (let edge = open.pop(); edge;) {
    const [from, to] = edge;
    ring.push(from);
    const next = open.findIndex(([p]) => distance(p, to) < SAME_MM);
    edge = next >= 0 ? open.splice(next, 1)[0] : undefined;
  }
  return open.length === 0 && ring.length >= 3 ? straightened(ring) : null;
}

/** How two units lie against one another: the second turned, then moved, with the outline of both and how much of the shorter one is shared. */
interface Match {
  readonly turn: number;
  readonly x: number;
  readonly y: number;
  readonly share: number;
  readonly outline: readonly Point[];
  readonly turns: readonly number[];
}

/** Where the second of two rings has to be moved for edges of both to lie on one another, with how long those are together. */
function edgeMatches(one: readonly Point[], other: readonly Point[]): { readonly length: number; readonly x: number; readonly y: number }[] {
  const shared = new Map<string, { length: number; readonly x: number; readonly y: number }>();
  one.forEach((p, i) => {
    const q = one[(i + 1) % one.length] as Point;
    other.forEach((r, j) => {
      const s = other[(j + 1) % other.length] as Point;
      // Equally long, and the other way round.
      if (Math.abs(q.x - p.x + s.x - r.x) > SAME_MM || Math.abs(q.y - p.y + s.y - r.y) > SAME_MM) return;
      const [x, y] = [p.x - s.x, p.y - s.y];
      const key = `${Math.round(x * 50)} ${Math.round(y * 50)}`;
      const known = shared.get(key);
      if (known) known.length += distance(p, q);
      else shared.set(key, { length: distance(p, q), x, y });
    });
  });
  return [...shared.values()];
}

/** Whether a joint outline is worth having: it is the area of both, uses its box better than they did, and leaves little of its hull over. */
function gains(u: Unit, v: Unit, outline: readonly Point[], moved: readonly Point[]): boolean {
  const areaMm2 = u.areaMm2 + v.areaMm2;
  const { minX, maxX, minY, maxY } = bounds(outline);
  const wasteMm2 = polygonArea(hull(outline)) - areaMm2;
  return (
    areaMm2 / ((maxX - minX) * (maxY - minY)) >= areaMm2 / (u.boxMm2 + v.boxMm2) + GAIN &&
    Math.abs(polygonArea(outline) - areaMm2) <= 1e-6 * areaMm2 &&
    wasteMm2 <= Math.max(LEFT_OVER * areaMm2, 0.5 * (u.wasteMm2 + v.wasteMm2)) &&
    overlapArea(u.outline, moved) <= SHARED_MM2
  );
}

/** The way in which two units lie against one another with the most of their outlines shared; null where too little is, or nothing is gained. */
function matchOf(u: Unit, v: Unit, widthMm: number): Match | null {
  let best: Match | null = null;
  for (const turn of new Set(v.turns.flatMap((t) => u.turns.map((s) => turnOf(t - s))))) {
    const both = u.turns.filter((t) => v.turns.includes(turnOf(t + turn)));
    const turned = turnedBy(v.outline, turn);
    for (const { length, x, y } of both.length ? edgeMatches(u.outline, turned) : []) {
      const share = length / Math.min(u.lengthMm, v.lengthMm);
      if (share < LEAST_SHARED || (best && share <= best.share)) continue;
      const moved = turned.map((p) => ({ x: p.x + x, y: p.y + y }));
      const outline = joinedOutline(u.outline, moved);
      const turns = outline ? both.filter((t) => fitsAcross(turnedBy(outline, t), widthMm)) : [];
      if (outline && turns.length && gains(u, v, outline, moved)) best = { turn, x, y, share, outline, turns };
    }
  }
  return best;
}

function fitsAcross(ring: readonly Point[], widthMm: number): boolean {
  const { minY, maxY } = bounds(ring);
  return maxY - minY <= widthMm;
}

function together(u: Unit, v: Unit, { turn, x, y, outline, turns }: Match): Unit {
  const members = v.members.map((member): Member => {
    const at = turnedBy([{ x: member.x, y: member.y }], turn)[0] as Point;
    return { piece: member.piece, turn: turnOf(member.turn + turn), x: at.x + x, y: at.y + y };
  });
  return unitOf(`(${u.kind}|${v.kind}|${turn}|${x.toFixed(3)}|${y.toFixed(3)})`, [...u.members, ...members], outline, turns);
}

/**
 * Joins pieces that fit one another, those that share most of their outlines first, again and again. Boxes stay single: which of them go together is for the search.
 * The result is one way to begin, not a rule: the search goes on with single pieces afterwards.
 */
export function joinedUnits(singles: readonly Unit[], widthMm: number): Unit[] {
  const units = [...singles];
  const known = new Map<string, Match | null>();
  let pairs: { readonly u: Unit; readonly v: Unit; readonly match: Match }[] = [];
  const look = (u: Unit, others: readonly Unit[]): void => {
    for (const v of others) {
      if (u.isBox || v.isBox || u.members.length + v.members.length > MOST_MEMBERS) continue;
      const key = `${u.kind} ${v.kind}`;
      const match = known.get(key) ?? (known.has(key) ? null : matchOf(u, v, widthMm));
      known.set(key, match);
      if (match) pairs.push({ u, v, match });
    }
  };
  units.forEach((u, i) => look(u, units.slice(i + 1)));
  for (;;) {
    const best = pairs.reduce<(typeof pairs)[number] | null>((most, pair) => (!most || pair.match.share > most.match.share ? pair : most), null);
    if (!best) return units;
    const { u, v, match } = best;
    units.splice(units.indexOf(u), 1);
    units.splice(units.indexOf(v), 1);
    pairs = pairs.filter((pair) => ![u, v].includes(pair.u) && ![u, v].includes(pair.v));
    const unit = together(u, v, match);
    look(unit, units);
    units.push(unit);
  }
}
