import { polygonArea } from '../../geometry/polygon';
import type { Point } from '../../geometry/point';
import { turnedBy, type LayItem, type LayPattern, type Placement } from '../contract';
import { turnedMotif } from '../pattern';
import { Lattice } from './lattice';
import { Layout, snapshot, type Snapshot } from './layout';
import { shapesOf, type Shape } from './shape';
import type { Unit } from './units';

/** What is laid on a roll: items, and where some copies are held. */
export interface RollGround {
  readonly items: readonly LayItem[];
  readonly widthMm: number;
  readonly gapMm: number;
  /** Copies that stay where they are. */
  readonly pins: readonly Placement[];
  /** The roll's pattern, where some items have to match it. */
  readonly pattern?: LayPattern;
}

/** A lay as placements. */
export interface RollLay {
  readonly placements: readonly Placement[];
  readonly lengthMm: number;
}

/** One copy of an item, and the index of its item's first shape. */
interface Copy {
  readonly item: LayItem;
  readonly copy: number;
  readonly firstShape: number;
}

const keyOf = ({ item, copy }: Pick<Placement, 'item' | 'copy'>): string => `${item} ${copy}`;

/** Every copy of the items in order: the pieces of a layout by their numbers, and placements of them. */
export class Copies {
  readonly #copies: readonly Copy[];
  readonly #number: ReadonlyMap<string, number>;

  constructor(private readonly ground: RollGround) {
    let firstShape = 0;
    this.#copies = ground.items.flatMap((item) => {
      const first = firstShape;
      firstShape += item.turns.length;
      return Array.from({ length: item.count }, (_, copy) => ({ item, copy, firstShape: first }));
    });
    this.#number = new Map(this.#copies.map(({ item, copy }, i) => [keyOf({ item: item.id, copy }), i]));
  }

  get count(): number {
    return this.#copies.length;
  }

  /** A layout of the pieces, each with at most so much cloth added outside it in each pass; held pieces are fixed. */
  layout(addedMm: number): Layout {
    const { items, widthMm, gapMm, pins, pattern } = this.ground;
    const fixed = new Uint8Array(this.count);
    for (const pin of pins) fixed[this.#number.get(keyOf(pin)) ?? -1] = 1;
    const pieces = {
      shapes: items.flatMap(({ polygon, turns }) => shapesOf(polygon, turns, addedMm)),
      firstShape: Int32Array.from(this.#copies, ({ firstShape }) => firstShape),
      turns: Int32Array.from(this.#copies, ({ item }) => item.turns.length),
      areaMm2: Float64Array.from(this.#copies, ({ item }) => Math.abs(polygonArea(item.polygon))),
      fixed,
    };
    const motifs = items.flatMap((item) => item.turns.map((turn) => turnedMotif(item, turn)));
    const all = new Layout(pieces, widthMm, gapMm, pattern && motifs.some(Boolean) ? new Lattice(pattern, motifs) : null);
    this.put(all, pins);
    return all;
  }

  /** Puts pieces where they are placed. */
  put(all: Layout, placements: readonly Placement[]): void {
    for (const placement of placements) {
      const i = this.#number.get(keyOf(placement));
      const copy = i === undefined ? undefined : this.#copies[i];
      if (i === undefined || !copy) continue;
      all.x[i] = placement.x;
      all.y[i] = placement.y;
      all.s[i] = copy.firstShape + copy.item.turns.indexOf(placement.turn);
    }
    all.length = all.end();
  }

  /** A lay as a snapshot of a layout. */
  at(all: Layout, { placements }: RollLay): Snapshot {
    this.put(all, placements);
    return snapshot(all);
  }

  /** A snapshot as a lay. */
  layOf({ x, y, s, length }: Snapshot): RollLay {
    const placements = this.#copies.map(({ item, copy, firstShape }, i): Placement => {
      const turn = item.turns[(s[i] as number) - firstShape] as number;
      return { item: item.id, copy, sheet: 0, x: x[i] as number, y: y[i] as number, turn };
    });
    return { placements, lengthMm: length };
  }

  /** The places of single pieces for given places of the units made of them; other pieces stay as they are in `all`. */
  apart(all: Layout, units: readonly Unit[], shapes: readonly Shape[], at: Snapshot): Snapshot {
    const whole = snapshot(all);
    units.forEach(({ members }, u) => {
      const { turn } = shapes[at.s[u] as number] as Shape;
      for (const member of members) {
        const { item, firstShape } = this.#copies[member.piece] as Copy;
        const own = turnedBy([{ x: member.x, y: member.y }], turn)[0] as Point;
        whole.x[member.piece] = (at.x[u] as number) + own.x;
        whole.y[member.piece] = (at.y[u] as number) + own.y;
        whole.s[member.piece] = firstShape + item.turns.findIndex((one) => (((one - member.turn - turn) % 360) + 360) % 360 === 0);
      }
    });
    return { ...whole, length: at.length };
  }

  /** Each copy with its number. */
  numbered(): readonly { readonly item: LayItem; readonly piece: number }[] {
    return this.#copies.map(({ item }, piece) => ({ item, piece }));
  }
}

/** A layout whose pieces are units; copies of one unit share their shapes. */
export function layoutOfUnits(units: readonly Unit[], { widthMm, gapMm }: RollGround, addedMm: number): Layout {
  const shapes: Shape[] = [];
  const known = new Map<string, number>();
  const firstShape = units.map(({ outline, turns }) => {
    const look = `${turns.join()} ${outline.map(({ x, y }) => `${x.toFixed(6)},${y.toFixed(6)}`).join()}`;
    const has = known.get(look);
    if (has !== undefined) return has;
    const first = shapes.length;
    known.set(look, first);
    shapes.push(...shapesOf(outline, turns, addedMm));
    return first;
  });
  const pieces = {
    shapes,
    firstShape: Int32Array.from(firstShape),
    turns: Int32Array.from(units, ({ turns }) => turns.length),
    areaMm2: Float64Array.from(units, ({ areaMm2 }) => areaMm2),
    fixed: new Uint8Array(units.length),
  };
  return new Layout(pieces, widthMm, gapMm);
}
