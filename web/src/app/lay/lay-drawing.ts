import { bounds, boxOf, cutOrder, partIn, type Band, type LayAnswer, type LayMaterial, type Placement, type PlannedLay, type Point } from '@yardland/core';
import type { LayDrawing } from '@yardland/core/format/whole-lay';
import { boxArea } from '../shared/table/cushion-scene';
import type { Look, SceneItem } from '../shared/table/scene';

/** Room between rows or sheets, as a share of the material's width. */
const GAP = 0.26;
/** Of the room between two rows, what words there have. */
const ROW_WORDS = 0.7;
/** A roll is folded into rows so that the whole is about this much wider than high. */
const ASPECT = 1.5;

/** How the material is laid out on the table: a long roll, or what is left of one, goes on in the next row, sheets lie side by side. */
export function bandsOf(material: LayMaterial, answer: LayAnswer): Band[] {
  const inRows = (allMm: number, width: number, first: number): Band[] => {
    const rows = Math.max(1, Math.round(Math.sqrt(allMm / (ASPECT * width * (1 + GAP)))));
    const length = allMm / rows;
    return Array.from({ length: rows }, (_, row) => ({ x: 0, y: -row * width * (1 + GAP), width, length, from: first + row * length, sheet: null }));
  };
  if (material.kind === 'hide') {
    const { minX, minY, maxX, maxY } = boxOf(material);
    const bands = inRows(maxX - minX, maxY - minY, minX);
    return bands.length === 1 ? bands.map((band) => ({ ...band, sheet: 0 })) : bands;
  }
  const width = material.widthMm;
  if (material.kind === 'sheet') {
    const perRow = Math.max(1, Math.round(Math.sqrt((ASPECT * answer.sheets * width) / material.lengthMm)));
    return Array.from({ length: Math.max(1, answer.sheets) }, (_, sheet) => ({
      x: (sheet % perRow) * material.lengthMm * (1 + GAP),
      y: -Math.floor(sheet / perRow) * width * (1 + GAP),
      width,
      length: material.lengthMm,
      from: 0,
      sheet,
    }));
  }
  return inRows(answer.lengthMm, width, 0);
}

/** The material of a band with its words; on a roll the selvedges, and the line that no lay of these pieces can be shorter than. */
export function bandItems(band: Band, index: number, answer: LayAnswer, words: string): SceneItem[] {
  const { x, y, width, length } = band;
  const items: SceneItem[] = [
    boxArea(`material-${index}`, { x, y: y - width, width: length, height: width }, 'material'),
    // Between two rows the words also stand clear of the row below.
    { kind: 'note', key: `band-${index}`, at: { x, y }, dy: -7, text: words, look: 'small', ...(y < 0 ? { tall: ROW_WORDS * GAP * width } : {}) },
  ];
  if (band.sheet !== null) return items;
  const edge = width * 0.012;
  items.push(
    boxArea(`selvedge-near-${index}`, { x, y: y - width - edge, width: length, height: edge }, 'selvedge'),
    boxArea(`selvedge-far-${index}`, { x, y, width: length, height: edge }, 'selvedge'),
  );
  const bound = answer.bound - band.from;
  if (bound > 0 && bound <= length)
    items.push({
      kind: 'area',
      key: 'bound',
      shape: [
        { x: x + bound, y: y + edge * 2 },
        { x: x + bound, y: y - width - edge * 2 },
      ],
      open: true,
      look: 'bound',
    });
  return items;
}

/** What of a remnant, a hide or what is left of a roll lies in a band: its edge, its soft parts, what is cut from it already, its flaws. */
export function hideItems(band: Band, index: number, { outline, flaws, soft = [], taken = [] }: Extract<LayMaterial, { readonly kind: 'hide' }>): SceneItem[] {
  const items = (key: string, rings: readonly (readonly Point[])[], look: Look): SceneItem[] =>
    rings.flatMap((ring, i) => {
      const shape = partIn(band, ring, 0);
      return shape.length ? [{ kind: 'area', key: `${key}-${index}-${i}`, shape, look }] : [];
    });
  return [...items('material', [outline], 'material'), ...items('soft', soft, 'soft-part'), ...items('taken', taken, 'taken'), ...items('flaw', flaws, 'flaw')];
}

export function widthOf(points: readonly Point[]): number {
  if (points.length === 0) return 0;
  const box = bounds(points);
  return box.maxX - box.minX;
}

/** A piece moved over the table from one place to another, as it then lies on its material; null where there is no material under it. */
export function movedOver(bands: readonly Band[], placement: Placement, from: Point, to: Point): Placement | null {
  const on = (p: Point): Band | undefined =>
    bands.find(({ x, y, width, length }) => p.x >= x && p.x <= x + length && p.y <= y && p.y >= y - width) ??
    [...bands].sort((a, b) => awayFrom(a, p) - awayFrom(b, p))[0];
  const [before, after] = [on(from), on(to)];
  if (!before || !after) return null;
  const along = (band: Band, p: Point): number => p.x - band.x + band.from;
  return {
    ...placement,
    sheet: after.sheet ?? placement.sheet,
    x: placement.x + along(after, to) - along(before, from),
    y: placement.y + (to.y - after.y + after.width) - (from.y - before.y + before.width),
  };
}

/** How far a point is from a band, mm. */
function awayFrom({ x, y, width, length }: Band, p: Point): number {
  return Math.hypot(Math.max(0, x - p.x, p.x - x - length), Math.max(0, p.y - y, y - width - p.y));
}

/** Room between sheets in a file, mm. */
const APART_MM = 100;

/** A whole lay as it is saved: the material's edge, and the pieces in the order in which they are cut, sheets one after another. */
export function wholeLay({ request, subject }: PlannedLay, answer: LayAnswer, words: (placement: Placement) => string): LayDrawing {
  const { material } = request;
  const moved = (ring: readonly Point[], sheet: number): Point[] =>
    material.kind === 'sheet' ? ring.map((p) => ({ x: p.x + sheet * (material.lengthMm + APART_MM), y: p.y })) : [...ring];
  const box = (long: number, wide: number): Point[] => [
    { x: 0, y: 0 },
    { x: long, y: 0 },
    { x: long, y: wide },
    { x: 0, y: wide },
  ];
  const edges =
    material.kind === 'hide'
      ? [material.outline, ...(material.soft ?? []), ...(material.taken ?? []), ...material.flaws]
      : material.kind === 'roll'
        ? [box(answer.lengthMm, material.widthMm)]
        : Array.from({ length: answer.sheets }, (_, sheet) => moved(box(material.lengthMm, material.widthMm), sheet));
  return {
    title: subject.kind === 'cloth' ? subject.name : `${subject.kind} lay`,
    material: edges,
    pieces: cutOrder(request, answer).map(({ placement, polygon }, i) => ({ words: `${i + 1} ${words(placement)}`, polygon: moved(polygon, placement.sheet) })),
  };
}
