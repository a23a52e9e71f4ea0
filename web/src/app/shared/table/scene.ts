import { bounds, flatten, type Bounds, type Outline, type Point } from '@yardland/core';

/** How a thing is drawn: the inks of each are in `inks.ts`. */
export type Look =
  | 'cut'
  | 'sew'
  | 'seat'
  | 'finished'
  | 'core'
  | 'foam'
  | 'foam-alt'
  | 'spring'
  | 'feather'
  | 'felt'
  | 'wrap'
  | 'cover'
  | 'piece'
  | `cushion-${0 | 1 | 2 | 3 | 4 | 5}`
  | 'motif'
  | 'sewing'
  | 'sewing-hand'
  | 'sewing-edge'
  | 'material'
  | 'selvedge'
  | 'soft-part'
  | 'taken'
  | 'saw'
  | 'flaw'
  | 'bias'
  | 'board'
  | 'fold'
  | 'twine'
  | 'cord'
  | 'crown'
  | 'chalked'
  | 'bound';

interface Item {
  readonly key: string;
}

/** A line or a filled shape, millimetres, y towards the back (up on the table). */
export interface Area extends Item {
  readonly kind: 'area';
  readonly shape: Outline | readonly Point[];
  readonly open?: boolean;
  readonly look: Look;
  /** The piece can be picked; this is what it is called. */
  readonly pick?: string;
}

/** A measure between two points, written on the side named; typed over where `edit` is given. */
export interface Dimension extends Item {
  readonly kind: 'dim';
  readonly from: Point;
  readonly to: Point;
  readonly side: 'below' | 'right' | 'left' | 'above';
  /** How far from the thing, pixels. */
  readonly away?: number;
  readonly mm: number;
  readonly name: string;
  readonly edit?: { readonly minMm: number; readonly maxMm: number };
}

export interface Note extends Item {
  readonly kind: 'note';
  readonly at: Point;
  readonly text: string;
  readonly anchor?: 'start' | 'middle' | 'end';
  readonly look?: 'head' | 'small' | 'plain' | 'onpiece';
  /** Room for the words, mm: where they do not fit, `short` is written, or nothing. */
  readonly within?: number;
  readonly tall?: number;
  readonly short?: string;
  /** Pixels from the point. */
  readonly dx?: number;
  readonly dy?: number;
}

/** A notch: a short line from the cut edge inwards. */
export interface Tick extends Item {
  readonly kind: 'tick';
  readonly from: Point;
  readonly to: Point;
}

/** Grain. */
export interface Arrow extends Item {
  readonly kind: 'arrow';
  readonly from: Point;
  readonly to: Point;
  readonly text: string;
}

/** A line from a part to words beside the drawing. */
export interface Leader extends Item {
  readonly kind: 'leader';
  readonly at: Point;
  readonly toX: number;
  readonly text: string;
}

/** A grip that changes a measure when dragged along an axis. */
export interface Handle extends Item {
  readonly kind: 'handle';
  readonly at: Point;
  readonly axis: 'x' | 'y';
  /** The measure now, and how much of it one millimetre of drag is. */
  readonly mm: number;
  readonly perMm: number;
  readonly minMm: number;
  readonly maxMm: number;
  readonly name: string;
}

/** A knob that is dragged freely over the table: a layer of a stack, a point of an outline. */
export interface Knob extends Item {
  readonly kind: 'knob';
  readonly at: Point;
  readonly name: string;
  /** Where it lies, in words: read out with its name, and again when arrow keys have moved it. */
  readonly place?: string;
  readonly look: 'layer' | 'corner' | 'smooth' | 'control' | 'mark';
  /** How far an arrow key moves it, mm; the shop's step where it is not said. */
  readonly stepMm?: number;
  readonly picked?: boolean;
}

export type SceneItem = Area | Dimension | Note | Tick | Arrow | Leader | Handle | Knob;

export interface Scene {
  /** What the picture shows, in words. */
  readonly title: string;
  /** Changes when the view should be fitted anew. */
  readonly fit: string;
  /** What the view is fitted to at first; absent: everything. Fitting by hand shows everything. */
  readonly around?: { readonly minX: number; readonly minY: number; readonly maxX: number; readonly maxY: number };
  readonly items: readonly SceneItem[];
  /** Room kept free round the drawing, pixels. */
  readonly room?: { readonly top?: number; readonly right?: number; readonly bottom?: number; readonly left?: number };
}

function isOutline(shape: Area['shape']): shape is Outline {
  return 'segments' in shape;
}

/** The points of a shape, curves flattened. */
export function pointsOf(shape: Area['shape']): readonly Point[] {
  return isOutline(shape) ? flatten(shape) : shape;
}

/** The box round everything of a scene that has an extent. */
export function sceneBounds(scene: Scene): Bounds {
  const points = scene.items.flatMap((item): readonly Point[] => {
    if (item.kind === 'area') return pointsOf(item.shape);
    if (item.kind === 'dim' || item.kind === 'tick' || item.kind === 'arrow') return [item.from, item.to];
    return item.kind === 'note' || item.kind === 'handle' || item.kind === 'knob' ? [item.at] : [];
  });
  return points.length ? bounds(points) : { minX: 0, minY: 0, maxX: 100, maxY: 100 };
}

/** A shape moved by dx, dy. */
export function shifted(shape: Area['shape'], dx: number, dy: number): readonly Point[] {
  return pointsOf(shape).map((p) => ({ x: p.x + dx, y: p.y + dy }));
}
