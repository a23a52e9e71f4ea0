import type { Point } from '../../geometry/point';
import { forbiddenBy, TOUCH_MM, type Forbidden, type Region } from './forbidden';
import { Line } from './line';
import type { Turned } from './shape';
import { Weights } from './weights';

/** A rectangle of material that pieces lie on, in its own coordinates: x along, y across, both from 0. */
export interface Panel {
  readonly widthMm: number;
  /** Usable length; on a roll it shrinks as the lay gets better. */
  lengthMm: number;
  /** Parts that are missing or must stay free, as convex parts; null where the whole rectangle may be used. */
  readonly blocked: readonly (readonly Point[])[] | null;
  /** The same for a piece that is seen. */
  readonly forSeen: readonly (readonly Point[])[] | null;
}

/** Where a piece lies: on which panel, in which of its turns (an index), and its origin. */
export interface Place {
  readonly panel: number;
  readonly turn: number;
  readonly x: number;
  readonly y: number;
}

/** Which shape each piece has. Pieces of one item share a shape. */
export interface Body {
  readonly shape: number;
  readonly areaMm2: number;
  readonly seen: boolean;
}

/** A place found for a piece, with what overlap there costs. */
export interface Found extends Place {
  readonly cost: number;
  /** The far end of the piece along the material, counted over all panels before it: the tie-breaker. */
  readonly reach: number;
}

/** A piece in one turn on one panel, and the area in which its origin is searched for. */
interface Sought {
  readonly i: number;
  readonly panel: number;
  readonly turn: number;
  readonly box: Box;
}

/** What a place has to beat: it must cost less, or cost nothing and reach less far. */
interface Limit {
  cost: number;
  reach: number;
}

/** Lines searched in each direction, for one turn on one panel. */
export interface Effort {
  readonly lines: number;
  /** Turns tried, of those allowed; the current one always is. */
  readonly turns: number;
  /** Length searched in each direction of a line along the material, in widths of the material. */
  readonly widths: number;
}

/** Probability that a line runs along an edge of the panel and not through a neighbour's corner. */
const EDGE_SHARE = 0.15;

/** A neighbour of the piece that is being placed. */
interface Near {
  /** Index of the piece; indices beyond the pieces are blocked parts of panels. */
  other: number;
  /** Its origin. */
  x: number;
  y: number;
  weight: number;
  /** Bounds of the region that the piece's origin may not enter because of it. */
  minX: number;
  maxX: number;
  minY: number;
  maxY: number;
  /** That region, about the neighbour's origin; made when a line first crosses its bounds. */
  forbidden: Forbidden | null;
}

/** Bounds of the origin of a piece that lies inside its panel. */
export interface Box {
  readonly lowX: number;
  readonly highX: number;
  readonly lowY: number;
  readonly highY: number;
}

/** The direction in which reach is measured: among places that cost nothing, the one that reaches least far is best. */
export interface Pull {
  readonly x: number;
  readonly y: number;
}

/** Towards the squared end. */
export const ALONG: Pull = { x: 1, y: 0 };

/** An overlap counts by this power of the product of both areas over the mean area, because a large piece finds a clear place less easily than a strip. */
const SIZE_POWER = 0.25;

/** Offset of reach from one panel to the next, so that earlier panels are filled first, mm. */
const PANEL_REACH_MM = 1e6;

/**
 * Pieces on panels, some of which may overlap, with a weight for each pair. Places are looked for along lines: on a line each region
 * where a piece may not lie is a stretch, and the ends of the stretches are where pieces touch, exactly. Lines go through the regions' corners.
 */
export class Arrangement {
  readonly places: (Place | null)[];
  /** The panels' numbers. */
  readonly everyPanel: readonly number[];
  readonly weights: Weights;
  readonly #forbidden: (Forbidden | undefined)[][] = [];
  readonly #blocked: (Forbidden | undefined)[][] = [];
  readonly #firstTurn: readonly number[];
  readonly #sizes: readonly number[];
  readonly #turnCount: number;
  // The neighbours of the piece being placed, and the stretches on one line; reused between calls to avoid allocations.
  readonly #near: Near[] = [];
  #nearCount = 0;
  readonly #line = new Line();
  readonly #deep: number[] = [];
  readonly #touched: number[] = [];

  constructor(
    readonly bodies: readonly Body[],
    readonly shapes: readonly (readonly Turned[])[],
    readonly panels: readonly Panel[],
    private readonly random: () => number,
    /** Pieces that stay where they are. */
    readonly fixed: readonly boolean[],
  ) {
    this.places = bodies.map(() => null);
    this.everyPanel = panels.map((_, i) => i);
    this.weights = new Weights(bodies.length, panels.length);
    let next = 0;
    this.#firstTurn = shapes.map((turns) => {
      const first = next;
      next += turns.length;
      return first;
    });
    this.#turnCount = next;
    const meanMm2 = bodies.reduce((sum, { areaMm2 }) => sum + areaMm2, 0) / bodies.length;
    this.#sizes = bodies.map(({ areaMm2 }) => (areaMm2 / meanMm2) ** SIZE_POWER);
  }

  turned(piece: number, turn: number): Turned {
    return (this.shapes[(this.bodies[piece] as Body).shape] as readonly Turned[])[turn] as Turned;
  }

  turnsOf(piece: number): readonly Turned[] {
    return this.shapes[(this.bodies[piece] as Body).shape] as readonly Turned[];
  }

  /** The no-fit polygon of two pieces in given turns. Made on first use. */
  #between(lying: number, lyingTurn: number, moving: number, movingTurn: number): Forbidden {
    const a = (this.#firstTurn[(this.bodies[lying] as Body).shape] as number) + lyingTurn;
    const b = (this.#firstTurn[(this.bodies[moving] as Body).shape] as number) + movingTurn;
    const row = (this.#forbidden[a] ??= new Array<Forbidden | undefined>(this.#turnCount));
    return (row[b] ??= forbiddenBy(this.turned(lying, lyingTurn).parts, this.turned(moving, movingTurn).against));
  }

  /** The no-fit polygon of a placed piece and one in a given turn, about the placed one's origin. */
  hindrance(placed: number, moving: number, movingTurn: number): Forbidden | null {
    const place = this.places[placed];
    return place ? this.#between(placed, place.turn, moving, movingTurn) : null;
  }

  #blockedFor(panel: number, piece: number, turn: number): Forbidden | null {
    const { shape, seen } = this.bodies[piece] as Body;
    const blocked = (this.panels[panel] as Panel)[seen ? 'forSeen' : 'blocked'];
    if (!blocked) return null;
    const b = (this.#firstTurn[shape] as number) + turn;
    const row = (this.#blocked[panel] ??= new Array<Forbidden | undefined>(this.#turnCount));
    return (row[b] ??= forbiddenBy(blocked, this.turned(piece, turn).opposite));
  }

  #sizeOf(i: number, j: number): number {
    return (this.#sizes[i] as number) * (this.#sizes[j] as number);
  }

  /** The unweighted cost of the overlap of two placed pieces, scaled by their sizes; 0 when they are clear. */
  overlap(i: number, j: number): number {
    const a = this.places[i];
    const b = this.places[j];
    if (!a || !b || a.panel !== b.panel) return 0;
    const lying = this.turned(j, b.turn);
    const box = this.turned(i, a.turn).againstBox;
    const dx = a.x - b.x;
    const dy = a.y - b.y;
    if (dx <= lying.minX + box.minX || dx >= lying.maxX + box.maxX || dy <= lying.minY + box.minY || dy >= lying.maxY + box.maxY) return 0;
    return this.#between(j, b.turn, i, a.turn).cost(dx, dy) * this.#sizeOf(i, j);
  }

  /** The same for a placed piece and the blocked parts of its panel. */
  overlapBlocked(i: number): number {
    const place = this.places[i];
    return place ? (this.#blockedFor(place.panel, i, place.turn)?.cost(place.x, place.y) ?? 0) : 0;
  }

  /** The weighted overlap of a placed piece with everything else. */
  costOf(i: number): number {
    const place = this.places[i];
    if (!place) return Infinity;
    let cost = this.overlapBlocked(i) * this.weights.of(i, this.bodies.length + place.panel);
    for (let j = 0; j < this.bodies.length; j++) if (j !== i) cost += this.overlap(i, j) * this.weights.of(i, j);
    return cost;
  }

  /** The far end of a placed piece along the material, over all panels before. */
  reachOf(i: number): number {
    const place = this.places[i];
    return place ? place.panel * PANEL_REACH_MM + place.x + this.turned(i, place.turn).maxX : 0;
  }

  /** Whether a piece lies inside the usable part of its panel. */
  inside(i: number): boolean {
    const place = this.places[i];
    if (!place) return false;
    const panel = this.panels[place.panel] as Panel;
    const shape = this.turned(i, place.turn);
    return place.x + shape.maxX <= panel.lengthMm + TOUCH_MM && place.x + shape.minX >= -TOUCH_MM;
  }

  /**
   * The place that costs least among those looked at, and of places that cost nothing the one that reaches least far.
   * `most`: only a place that costs less is of use. Null when there is none.
   */
  bestPlace(
    i: number,
    effort: Effort,
    most: number,
    panels: readonly number[],
    { reachBelow = Infinity, pull = ALONG }: { reachBelow?: number; pull?: Pull } = {},
  ): Found | null {
    let best: Found | null = null;
    const limit: Limit = { cost: most, reach: reachBelow };
    const has = this.places[i];
    const take = (found: Found): void => {
      best = found;
      limit.cost = found.cost;
      if (found.cost === 0) limit.reach = found.reach;
    };
    for (const panel of panels) {
      for (const turn of this.#someTurns(i, has?.turn ?? 0, effort.turns)) {
        const whole = this.boxOf(i, panel, turn);
        if (!whole) continue;
        const half = effort.widths * (this.panels[panel] as Panel).widthMm;
        const round = (x: number): Box => ({ ...whole, lowX: Math.max(whole.lowX, x - half), highX: Math.min(whole.highX, x + half) });
        let sought: Sought = { i, panel, turn, box: whole };
        const along = (level: number, upright: boolean): boolean => {
          const found = this.#alongLine(sought, level, upright, limit, pull);
          if (found) take(found);
          return found !== null;
        };
        const cross = ({ x, y }: Point): void => {
          sought = { i, panel, turn, box: round(x) };
          this.#gather(sought);
          along(y, false);
          along(x, true);
        };
        if (has && has.panel === panel && has.turn === turn) cross(has);
        for (let k = 0; k < effort.lines; k++) cross(this.#someLevel(i, panel, turn, whole));
        // Repeats along lines through the best place so far, as long as that helps.
        const from = best as Found | null;
        if (from?.panel !== panel || from.turn !== turn) continue;
        sought = { i, panel, turn, box: round(from.x) };
        this.#gather(sought);
        for (let k = 0; k < 6; k++) {
          const better = along((best as unknown as Found).x, true);
          if (!along((best as unknown as Found).y, false) && !better) break;
        }
      }
    }
    return best;
  }

  /** The turns to try: the current one, and as many others as the effort allows. */
  #someTurns(i: number, has: number, most: number): number[] {
    const count = this.turnsOf(i).length;
    if (count <= most) return Array.from({ length: count }, (_, turn) => turn);
    const chosen = new Set([has]);
    while (chosen.size < most) chosen.add(Math.floor(this.random() * count));
    return [...chosen];
  }

  /** Bounds of the origin for a piece in a turn to lie inside a panel; null when it is too large. */
  boxOf(i: number, panel: number, turn: number): Box | null {
    const shape = this.turned(i, turn);
    const { widthMm, lengthMm } = this.panels[panel] as Panel;
    const box = { lowX: -shape.minX, highX: lengthMm - shape.maxX, lowY: -shape.minY, highY: widthMm - shape.maxY };
    if (box.highX < box.lowX - TOUCH_MM || box.highY < box.lowY - TOUCH_MM) return null;
    return { ...box, highX: Math.max(box.lowX, box.highX), highY: Math.max(box.lowY, box.highY) };
  }

  #gather({ i, panel, turn, box: { lowX, highX } }: Sought): void {
    const box = this.turned(i, turn).againstBox;
    this.#nearCount = 0;
    for (let j = 0; j < this.bodies.length; j++) {
      const other = this.places[j];
      if (j === i || other?.panel !== panel) continue;
      const lying = this.turned(j, other.turn);
      if (other.x + lying.maxX + box.maxX <= lowX || other.x + lying.minX + box.minX >= highX) continue;
      const near = this.#nextNear();
      near.other = j;
      near.x = other.x;
      near.y = other.y;
      near.weight = this.weights.of(i, j) * this.#sizeOf(i, j);
      near.minX = other.x + lying.minX + box.minX;
      near.maxX = other.x + lying.maxX + box.maxX;
      near.minY = other.y + lying.minY + box.minY;
      near.maxY = other.y + lying.maxY + box.maxY;
      near.forbidden = null;
    }
    const blocked = this.#blockedFor(panel, i, turn);
    if (!blocked) return;
    const { minX, maxX, minY, maxY } = blocked;
    Object.assign(this.#nextNear(), {
      other: this.bodies.length + panel,
      x: 0,
      y: 0,
      weight: this.weights.of(i, this.bodies.length + panel),
      minX,
      maxX,
      minY,
      maxY,
      forbidden: blocked,
    });
  }

  #nextNear(): Near {
    const next = this.#nearCount++;
    return (this.#near[next] ??= { other: 0, x: 0, y: 0, weight: 1, minX: 0, maxX: 0, minY: 0, maxY: 0, forbidden: null });
  }

  #forbiddenOf(near: Near, i: number, turn: number): Forbidden {
    return (near.forbidden ??= this.#between(near.other, (this.places[near.other] as Place).turn, i, turn));
  }

  /** A random corner of a neighbour's no-fit polygon, or sometimes of the panel. */
  #someLevel(i: number, panel: number, turn: number, box: Box): Point {
    const j = Math.floor(this.random() * this.bodies.length);
    const other = j === i ? null : this.places[j];
    const forbidden = this.random() < EDGE_SHARE ? null : other?.panel === panel ? this.#between(j, other.turn, i, turn) : this.#blockedFor(panel, i, turn);
    if (!forbidden) return { x: this.random() < 0.7 ? box.lowX : box.highX, y: this.random() < 0.5 ? box.lowY : box.highY };
    const region = forbidden.regions[Math.floor(this.random() * forbidden.regions.length)] as Region;
    const k = Math.floor(this.random() * region.corners);
    const [x, y] = other?.panel === panel ? [other.x, other.y] : [0, 0];
    return { x: x + (region.xs[k] as number), y: y + (region.ys[k] as number) };
  }

  /** The stretches of one line on which the piece would lie in a neighbour, and the places between them where it would touch one. */
  #stretches({ i, turn, box }: Sought, at: number, upright: boolean): void {
    const [from, to] = upright ? [box.lowY, box.highY] : [box.lowX, box.highX];
    const line = this.#line;
    line.count = 0;
    line.touching.length = 0;
    for (let k = 0; k < this.#nearCount; k++) {
      const near = this.#near[k] as Near;
      if (
        upright
          ? at <= near.minX + TOUCH_MM || at >= near.maxX - TOUCH_MM || near.maxY <= from + TOUCH_MM || near.minY >= to - TOUCH_MM
          : at <= near.minY + TOUCH_MM || at >= near.maxY - TOUCH_MM || near.maxX <= from + TOUCH_MM || near.minX >= to - TOUCH_MM
      )
        continue;
      const { regions } = this.#forbiddenOf(near, i, turn);
      const here = at - (upright ? near.x : near.y);
      const move = upright ? near.y : near.x;
      const first = line.count;
      for (const one of regions) {
        if (upright ? here <= one.minX + TOUCH_MM || here >= one.maxX - TOUCH_MM : here <= one.minY + TOUCH_MM || here >= one.maxY - TOUCH_MM) continue;
        if (move + (upright ? one.maxY : one.maxX) <= from + TOUCH_MM || move + (upright ? one.minY : one.minX) >= to - TOUCH_MM) continue;
        const a = move + (upright ? one.lowerAt(here) : one.leftAt(here));
        const b = move + (upright ? one.upperAt(here) : one.rightAt(here));
        if (b > from + TOUCH_MM && a < to - TOUCH_MM && b - a > TOUCH_MM) line.add(a, b, k, one, first);
      }
      line.touch(first);
    }
    line.sort();
  }

  /** The cost of overlap at a place on the line searched last; adding stops once it exceeds the limit. */
  #costAt(t: number, x: number, y: number, limit: number): number {
    const { low, high, who, region, count } = this.#line;
    const deep = this.#deep;
    let cost = 0;
    let touched = 0;
    for (let s = 0; s < count; s++) {
      if ((low[s] as number) >= t - TOUCH_MM) break;
      if ((high[s] as number) <= t + TOUCH_MM) continue;
      const k = who[s] as number;
      const near = this.#near[k] as Near;
      const here = (region[s] as Region).cost(x - near.x, y - near.y);
      const before = deep[k] ?? 0;
      if (here <= before) continue;
      if (before === 0) this.#touched[touched++] = k;
      deep[k] = here;
      cost += (here - before) * near.weight;
      if (cost >= limit) break;
    }
    for (let i = 0; i < touched; i++) deep[this.#touched[i] as number] = 0;
    return cost;
  }

  /** The best place on one line: `upright`, at x = level with y free, else at y = level with x free. */
  #alongLine(sought: Sought, level: number, upright: boolean, most: Readonly<Limit>, pull: Pull): Found | null {
    const { i, panel, turn, box } = sought;
    const [first, last, from, to] = upright ? [box.lowX, box.highX, box.lowY, box.highY] : [box.lowY, box.highY, box.lowX, box.highX];
    if (level < first - TOUCH_MM || level > last + TOUCH_MM) return null;
    const at = Math.min(last, Math.max(first, level));
    this.#stretches(sought, at, upright);
    const { touching } = this.#line;
    const shape = this.turned(i, turn);
    const before = panel * PANEL_REACH_MM + pull.x * (pull.x > 0 ? shape.maxX : shape.minX) + pull.y * (pull.y > 0 ? shape.maxY : shape.minY);
    let best: Found | null = null;
    let { cost: limit, reach } = most;
    for (let c = -2; c < touching.length; c++) {
      const t = c === -2 ? from : c === -1 ? to : (touching[c] as number);
      if (t < from || t > to) continue;
      const far = before + pull.x * (upright ? at : t) + pull.y * (upright ? t : at);
      // Among places that cost nothing, only a smaller reach is better.
      const nearer = far < reach - TOUCH_MM;
      if (limit <= 0 && !nearer) continue;
      const [x, y] = upright ? [at, t] : [t, at];
      const cost = this.#costAt(t, x, y, limit);
      if (cost > 0 ? cost < limit : nearer) {
        best = { panel, turn, x, y, cost, reach: far };
        limit = cost;
        if (cost === 0) reach = far;
      }
    }
    return best;
  }
}
