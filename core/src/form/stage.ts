import type { Point } from '../geometry/point';
import { placeOn, type ClosedForm, type Point3 } from './form';
import { frontProfile, type FrontProfile } from './soft-front';

/** From where it is looked at, degrees: turned about the upright, and from how far above the level. */
export interface View3 {
  readonly turnDeg: number;
  readonly aboveDeg: number;
}

/** Parallel projection: where a place of space falls on the picture, and how far behind it lies. */
export function projected({ turnDeg, aboveDeg }: View3): (p: Point3) => Point & { readonly depth: number } {
  const [a, e] = [(turnDeg * Math.PI) / 180, (aboveDeg * Math.PI) / 180];
  const [ca, sa, ce, se] = [Math.cos(a), Math.sin(a), Math.cos(e), Math.sin(e)];
  return ({ x, y, z }) => {
    const across = x * ca + y * sa;
    const away = -x * sa + y * ca;
    return { x: across, y: away * se + z * ce, depth: away * ce - z * se };
  };
}

/** A form as it is looked at: where its places fall on the picture, which of its sides face the eye, and where its faces and sides end at a rounded front. */
export interface Stage {
  readonly form: ClosedForm;
  readonly turnDeg: number;
  readonly to: (p: Point3) => Point;
  /** A place of the outline at a share of the height, `riseMm` above it. */
  readonly at: (p: Point, share: number, riseMm?: number) => Point;
  /** More than nothing for what faces the eye. */
  readonly toward: (normal: Point3) => number;
  readonly next: (i: number) => Point;
  readonly before: (i: number) => number;
  /** How much a side of the rim faces the eye, and how far away it is. */
  readonly facing: (i: number) => number;
  readonly depth: (i: number) => number;
  readonly profile: FrontProfile | null;
  /** The upper face's own edge: the rim, ending behind a rounded front. */
  readonly faceRim: readonly Point[];
  /** Whether a rounded front and a side meet at a corner of the rim. */
  readonly joinsFront: (corner: number) => boolean;
  /** The end of a side at a rounded front, from above down. */
  readonly roundedEnd: (corner: Point, other: Point) => Point[];
  readonly sideOutline: (i: number) => Point[];
  /** A side's lower (0) or upper (1) edge, as far as it runs straight. */
  readonly sideEdge: (i: number, share: 0 | 1) => Point[];
}

/** A place so far from a corner along one of its sides. */
function along(corner: Point, other: Point, mm: number): Point {
  const length = Math.hypot(other.x - corner.x, other.y - corner.y) || 1;
  return { x: corner.x + ((other.x - corner.x) * mm) / length, y: corner.y + ((other.y - corner.y) * mm) / length };
}

/** A form set up to be drawn from a view. */
export function stageOf(form: ClosedForm, view: View3): Stage {
  const { rim, front } = form;
  const count = rim.length;
  const place = projected(view);
  const to = (p: Point3): Point => place(p);
  const at = (p: Point, share: number, riseMm = 0): Point => to(placeOn(form, p, share, riseMm));
  const next = (i: number): Point => rim[(i + 1) % count] as Point;
  const before = (i: number): number => (i + count - 1) % count;
  // The way to the eye, against which sides are told from backs.
  const origin = place({ x: 0, y: 0, z: 0 }).depth;
  const toward = (p: Point3): number => origin - place(p).depth;
  const sides = rim.map((a, i) => {
    const b = next(i);
    const out = { x: b.y - a.y, y: a.x - b.x };
    const length = Math.hypot(out.x, out.y) || 1;
    const normal: Point3 = form.lie === 'across' ? { x: out.x / length, y: out.y / length, z: 0 } : { x: 0, y: out.x / length, z: out.y / length };
    const middle = { x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 };
    return { depth: place(placeOn(form, middle, 0.5)).depth, facing: toward(normal) };
  });
  const profile = form.lie === 'across' && form.heightMm > 0 ? frontProfile(form) : null;
  const joinsFront = (corner: number): boolean => profile !== null && Boolean(front[before(corner)]) !== Boolean(front[corner]);
  const roundedEnd = (corner: Point, other: Point): Point[] =>
    (profile?.points ?? []).map(({ backMm, upMm }) => to({ ...along(corner, other, backMm), z: upMm }));
  const faceRim = rim.map((p, i) => {
    if (!profile || !joinsFront(i)) return p;
    return along(p, front[before(i)] ? next(i) : (rim[before(i)] as Point), profile.topMm);
  });
  const sideEdge = (i: number, share: 0 | 1): Point[] => {
    const [a, b] = [rim[i] as Point, next(i)];
    if (!profile || front[i]) return [at(a, share), at(b, share)];
    const mm = share ? profile.topMm : profile.bottomMm;
    return [joinsFront(i) ? along(a, b, mm) : a, joinsFront((i + 1) % count) ? along(b, a, mm) : b].map((p) => at(p, share));
  };
  const sideOutline = (i: number): Point[] => {
    const [a, b] = [rim[i] as Point, next(i)];
    if (joinsFront(i)) return [at(b, 0), at(b, 1), ...roundedEnd(a, b)];
    return joinsFront((i + 1) % count) ? [at(a, 0), at(a, 1), ...roundedEnd(b, a)] : [at(a, 0), at(b, 0), at(b, 1), at(a, 1)];
  };
  return {
    form,
    turnDeg: view.turnDeg,
    to,
    at,
    toward,
    next,
    before,
    facing: (i) => sides[i]?.facing ?? 0,
    depth: (i) => sides[i]?.depth ?? 0,
    profile,
    faceRim,
    joinsFront,
    roundedEnd,
    sideOutline,
    sideEdge,
  };
}
