import type { Point } from '../geometry/point';
import { pointSegmentDistance } from '../geometry/polygon';
import { boxOf, type LayMaterial, type LayRequest, type Placement } from './contract';
import { forbiddenBy, TOUCH_MM, type Forbidden } from './engine/forbidden';
import { hidePanel } from './engine/hide';
import { shapesOf, type Turned } from './engine/shape';
import { alongFrom, offPattern, ON_PATTERN_MM, patternOf, phaseOf, rowsBetween, turnedMotif } from './pattern';

/** What pins are looked at against: everything of a request but the pins. */
type Ground = Pick<LayRequest, 'material' | 'gapMm' | 'items'>;

/** Edges near to a place that are looked at for where they meet. */
const MOST_EDGES = 60;
/** A roll has no end: its edges are looked at so far beyond the place, mm. */
const NEAR_MM = 5000;

type Box = Readonly<Record<'minX' | 'minY' | 'maxX' | 'maxY', number>>;
type Stretch = readonly [Point, Point];

/** A place within so much of a contact is meant to be the contact, mm. */
const SNAP_MM = 12;

function turnedOf({ items, gapMm }: Ground, { item, turn }: Pick<Placement, 'item' | 'turn'>): Turned | null {
  const found = items.find(({ id }) => id === item);
  return found?.turns.includes(turn) ? (shapesOf(found.polygon, [turn], gapMm)[0] ?? null) : null;
}

interface Hindrance {
  readonly forbidden: Forbidden;
  readonly x: number;
  readonly y: number;
}

/** Where a piece may not lie on its sheet: on pins, and off a hide, on its flaws or, if it is seen, its soft parts. */
function hindrances(ground: Ground, pins: readonly Placement[], moving: Turned, sheet: number, item: string): Hindrance[] {
  const seen = ground.items.find(({ id }) => id === item)?.good === true;
  const { material } = ground;
  const others = pins.flatMap((pin): Hindrance[] => {
    const lying = pin.sheet === sheet ? turnedOf(ground, pin) : null;
    return lying ? [{ forbidden: forbiddenBy(lying.parts, moving.against), x: pin.x, y: pin.y }] : [];
  });
  if (material.kind !== 'hide') return others;
  const { minX, minY } = boxOf(material);
  const { blocked, forSeen } = hidePanel(material, ground.gapMm);
  return [...others, { forbidden: forbiddenBy((seen ? forSeen : blocked) ?? [], moving.opposite), x: minX, y: minY }];
}

const clear = (at: Point, hindered: readonly Hindrance[]): boolean => hindered.every(({ forbidden, x, y }) => forbidden.cost(at.x - x, at.y - y) === 0);

/** Where the origin of a turned piece may be for it to lie inside the material's box. */
function originsOf(material: LayMaterial, shape: Turned): Box | null {
  const box = boxOf(material);
  const origins = { minX: box.minX - shape.minX, minY: box.minY - shape.minY, maxX: box.maxX - shape.maxX, maxY: box.maxY - shape.maxY };
  return origins.maxX < origins.minX - TOUCH_MM || origins.maxY < origins.minY - TOUCH_MM ? null : origins;
}

/** The nearest point of a stretch. */
function nearestOn(a: Point, b: Point, p: Point): Point {
  const [dx, dy] = [b.x - a.x, b.y - a.y];
  const square = dx * dx + dy * dy;
  const t = square === 0 ? 0 : Math.max(0, Math.min(1, ((p.x - a.x) * dx + (p.y - a.y) * dy) / square));
  return { x: a.x + t * dx, y: a.y + t * dy };
}

/** Where two stretches cross; null where they do not, or lie on one line. */
function crossing([a, b]: Stretch, [c, d]: Stretch): Point | null {
  const [dx, dy, ex, ey] = [b.x - a.x, b.y - a.y, d.x - c.x, d.y - c.y];
  const over = dx * ey - dy * ex;
  if (Math.abs(over) < 1e-9) return null;
  const t = ((c.x - a.x) * ey - (c.y - a.y) * ex) / over;
  const u = ((c.x - a.x) * dy - (c.y - a.y) * dx) / over;
  return t < 0 || t > 1 || u < 0 || u > 1 ? null : { x: a.x + t * dx, y: a.y + t * dy };
}

/** Where the piece would touch two things at once near to where it is wanted, slanting ones too: where the edges of regions cross each other, or the edge of where it may lie. */
function corners(hindered: readonly Hindrance[], wanted: Point, { minX, minY, maxX, maxY }: Box): Point[] {
  const near = hindered
    .flatMap(({ forbidden, x, y }) =>
      forbidden.regions.flatMap((region) =>
        Array.from({ length: region.corners }, (_, i): Stretch => {
          const next = (i + 1) % region.corners;
          return [
            { x: x + (region.xs[i] as number), y: y + (region.ys[i] as number) },
            { x: x + (region.xs[next] as number), y: y + (region.ys[next] as number) },
          ];
        }),
      ),
    )
    .map((stretch) => ({ stretch, mm: pointSegmentDistance(wanted, ...stretch) }))
    .sort((one, other) => one.mm - other.mm)
    .slice(0, MOST_EDGES)
    .map(({ stretch }) => stretch);
  const far = Number.isFinite(maxX) ? maxX : wanted.x + NEAR_MM;
  const ring = [
    { x: minX, y: minY },
    { x: far, y: minY },
    { x: far, y: maxY },
    { x: minX, y: maxY },
  ];
  const border = ring.map((p, i): Stretch => [p, ring[(i + 1) % ring.length] as Point]);
  return near.flatMap((one, i) => [...near.slice(i + 1), ...border].flatMap((other) => crossing(one, other) ?? []));
}

/** Places where the piece would touch a hindrance: its regions' corners and the points of their edges nearest to a wanted place, and along and across from that. */
function contacts(hindered: readonly Hindrance[], wanted: Point): Point[] {
  return hindered.flatMap(({ forbidden, x, y }) =>
    forbidden.regions.flatMap((region) => {
      const corners = Array.from({ length: region.corners }, (_, i) => ({ x: x + (region.xs[i] as number), y: y + (region.ys[i] as number) }));
      const [hereX, hereY] = [wanted.x - x, wanted.y - y];
      const level = hereY > region.minY && hereY < region.maxY ? [region.leftAt(hereY), region.rightAt(hereY)].map((at) => ({ x: x + at, y: wanted.y })) : [];
      const upright =
        hereX > region.minX && hereX < region.maxX ? [region.lowerAt(hereX), region.upperAt(hereX)].map((at) => ({ x: wanted.x, y: y + at })) : [];
      return [...corners, ...level, ...upright, ...corners.map((a, i) => nearestOn(a, corners[(i + 1) % corners.length] as Point, wanted))];
    }),
  );
}

/**
 * The legal place nearest to where a person wants a piece: inside the material and clear of the pins. Other pieces make way. A piece within a few millimetres of an edge touches it; on a
 * pattern it goes to the nearest motif, whose phase comes from the pins or from `patternAtMm`.
 * Null when the piece is not of this lay, may not be turned that way, or finds no room on that sheet.
 */
export function nearestPlace(ground: Ground, pins: readonly Placement[], wanted: Placement, patternAtMm: number | null = null): Placement | null {
  const moving = turnedOf(ground, wanted);
  const origins = moving && originsOf(ground.material, moving);
  if (!moving || !origins) return null;
  const others = pins.filter(({ item, copy }) => item !== wanted.item || copy !== wanted.copy);
  const hindered = hindrances(ground, others, moving, wanted.sheet, wanted.item);
  const inside = (p: Point): Point => ({ x: Math.min(origins.maxX, Math.max(origins.minX, p.x)), y: Math.min(origins.maxY, Math.max(origins.minY, p.y)) });
  const meant = inside(wanted);
  const pattern = patternOf(ground.material);
  const onMotifs = pattern && placesOnPattern(ground, phaseOf(ground, others) ?? patternAtMm, { ...wanted, ...meant }, origins);
  const edges = [origins.minX, origins.maxX].map((x) => ({ x, y: meant.y })).concat([origins.minY, origins.maxY].map((y) => ({ x: meant.x, y })));
  const own = [origins.minX, origins.maxX].flatMap((x) => [origins.minY, origins.maxY].map((y) => ({ x, y })));
  const touching = contacts(hindered, meant);
  const twice = [...own, ...corners(hindered, meant, origins)];
  const nearest = (places: readonly Point[], to: Point): { readonly at: Point; readonly mm: number } | undefined =>
    places
      .filter(({ x, y }) => Number.isFinite(x) && Number.isFinite(y))
      .map(inside)
      .filter((p) => clear(p, hindered))
      .map((at) => ({ at, mm: Math.hypot(at.x - to.x, at.y - to.y) }))
      .sort((a, b) => a.mm - b.mm)[0];
  if (onMotifs) {
    const legal = onMotifs.filter(({ x, y }) => x >= origins.minX && x <= origins.maxX && y >= origins.minY && y <= origins.maxY);
    const motif = nearest(legal, wanted);
    return motif ? { ...wanted, ...motif.at } : null;
  }
  const contact = nearest([...edges, ...touching, ...twice], meant);
  const place = clear(meant, hindered) && (!contact || contact.mm > SNAP_MM) ? meant : contact?.at;
  if (!place) return null;
  // In a corner near by it touches two things at once.
  const corner = nearest(twice, place);
  return { ...wanted, ...(corner && corner.mm <= SNAP_MM ? corner.at : place) };
}

/** Whether a piece that has to match lies on the pattern; the first one says where along it begins. */
function onPattern(ground: Ground, held: readonly Placement[], pin: Placement): boolean {
  const pattern = patternOf(ground.material);
  const motif = turnedMotif(ground.items.find(({ id }) => id === pin.item) ?? {}, pin.turn);
  if (!pattern || !motif) return true;
  const phaseMm = phaseOf(ground, [...held, pin]) ?? 0;
  return offPattern(pattern, phaseMm, { x: pin.x + motif.x, y: pin.y + motif.y }) <= ON_PATTERN_MM;
}

/** Repeats each way within which a place on the pattern is looked for. */
const REPEATS_NEAR = 6;

/** The places on the pattern near to where a piece that has to match is wanted; null for one that need not. */
function placesOnPattern({ material, items }: Ground, phaseMm: number | null, wanted: Placement, origins: Box): Point[] | null {
  const pattern = patternOf(material);
  const motif = turnedMotif(items.find(({ id }) => id === wanted.item) ?? {}, wanted.turn);
  if (!pattern || !motif) return null;
  const rows = pattern.acrossMm > 0 ? rowsBetween(pattern, motif, origins.minY, origins.maxY) : [{ row: 0, y: wanted.y }];
  return rows.flatMap(({ row, y }) => {
    if (pattern.alongMm <= 0 || phaseMm === null) return [{ x: wanted.x, y }];
    const first = alongFrom(pattern, phaseMm, motif, row, Math.max(origins.minX, wanted.x - REPEATS_NEAR * pattern.alongMm));
    return Array.from({ length: 2 * REPEATS_NEAR }, (_, k) => ({ x: first + k * pattern.alongMm, y }));
  });
}

/** The pins that still hold: of a piece that is there, in a turn it may have, inside the material, and clear of the pins before. */
export function pinsThatHold(ground: Ground, pins: readonly Placement[]): Placement[] {
  return pins.reduce<Placement[]>((held, pin) => {
    const moving = turnedOf(ground, pin);
    const origins = moving && originsOf(ground.material, moving);
    const item = ground.items.find(({ id }) => id === pin.item);
    const again = held.some(({ item: id, copy }) => id === pin.item && copy === pin.copy);
    if (!moving || !origins || !item || pin.copy >= item.count || again) return held;
    const within = pin.x >= origins.minX - TOUCH_MM && pin.x <= origins.maxX + TOUCH_MM && pin.y >= origins.minY - TOUCH_MM && pin.y <= origins.maxY + TOUCH_MM;
    return within && onPattern(ground, held, pin) && clear(pin, hindrances(ground, held, moving, pin.sheet, pin.item)) ? [...held, pin] : held;
  }, []);
}
