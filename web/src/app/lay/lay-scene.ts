import {
  bounds,
  edgeCuts,
  formatLengthUnit,
  formatRun,
  isSawn,
  partIn,
  placed,
  polygonArea,
  type LayAnswer,
  type Band,
  type Bounds,
  type LayPattern,
  type PlannedLay,
  type Pair,
  type Point,
  type UnitSystem,
  itemRef,
} from '@yardland/core';
import type { Look, Scene, SceneItem } from '../shared/table/scene';
import { bandItems, bandsOf, hideItems, widthOf } from './lay-drawing';

/** How far an arrow key moves a piece on the lay, mm. */
const MOVE_STEP_MM = 10;
/** So many cushions can be told apart by their hatch; the next has the first one's again, and its number. */
const HATCHES = 6;
/** More motifs than this would only be a grey ground. */
const MOST_MOTIFS = 700;
/** Half the size of the cross that marks a motif, as a share of the smaller repeat. */
const CROSS = 0.08;

/** What a lay's drawing needs besides the lay. */
export interface LaySceneWords {
  readonly title: string;
  readonly fit: string;
  readonly units: UnitSystem;
  readonly step: Pair;
  /** The picked piece: item and copy. */
  readonly picked: string | null;
  /** The piece that the view is first brought to: item and copy. */
  readonly near: string | null;
  readonly pinned: (piece: string) => boolean;
  /** A piece in one word or two, by its item. */
  readonly label: (item: string) => string;
  readonly words: (item: string) => string;
}

/** Pieces of one cushion look alike, each cushion other than the next; on foam and wadding the material is shown. */
function lookOf(lay: PlannedLay, item: string): Look {
  const ref = itemRef(item);
  if (ref?.kind !== 'piece') return 'bias';
  if (lay.subject.kind !== 'cloth') return lay.subject.kind === 'foam' ? 'foam' : 'wrap';
  return `cushion-${(ref.cushion % HATCHES) as 0 | 1 | 2 | 3 | 4 | 5}`;
}

/** The centres of the motifs in a band, as crosses. */
function motifItems(band: Band, index: number, { alongMm, acrossMm, halfDrop, motifAcrossMm }: LayPattern, atMm: number): SceneItem[] {
  const smaller = Math.min(...[alongMm, acrossMm].filter((mm) => mm > 0));
  const arm = smaller * CROSS;
  const rows = acrossMm > 0 ? Math.floor((band.width - motifAcrossMm) / acrossMm) - Math.ceil(-motifAcrossMm / acrossMm) + 1 : 0;
  const columns = alongMm > 0 ? Math.ceil(band.length / alongMm) : 0;
  if (Math.max(1, rows) * Math.max(1, columns) > MOST_MOTIFS) return [];
  const at = (x: number, y: number): Point => ({ x: band.x + x - band.from, y: band.y - band.width + y });
  const line = (key: string, a: Point, b: Point): SceneItem => ({ kind: 'area', key: `motif-${index}-${key}`, shape: [a, b], open: true, look: 'motif' });
  const first = Math.ceil(-motifAcrossMm / (acrossMm || 1));
  const levels = Array.from({ length: rows }, (_, i) => ({ row: first + i, y: motifAcrossMm + (first + i) * acrossMm }));
  const alongs = (drop: number): number[] => {
    const from = Math.ceil((band.from - atMm - drop) / alongMm);
    const to = Math.floor((band.from + band.length - atMm - drop) / alongMm);
    return Array.from({ length: Math.max(0, to - from + 1) }, (_, k) => atMm + drop + (from + k) * alongMm);
  };
  if (alongMm <= 0) return levels.map(({ row, y }) => line(`${row}`, at(band.from, y), at(band.from + band.length, y)));
  if (acrossMm <= 0) return alongs(0).map((x, k) => line(`${k}`, at(x, 0), at(x, band.width)));
  return levels.flatMap(({ row, y }) =>
    alongs(halfDrop && row % 2 !== 0 ? alongMm / 2 : 0).flatMap((x, k) => [
      line(`${row}-${k}-a`, at(x - arm, y), at(x + arm, y)),
      line(`${row}-${k}-b`, at(x, y - arm), at(x, y + arm)),
    ]),
  );
}

/** The pieces in the order of the list, each copy after the other: the keys that go from piece to piece find them in the same order while the lay gets better. */
function inListOrder({ request: { items } }: PlannedLay, { placements }: LayAnswer): LayAnswer['placements'] {
  const places = new Map(items.map(({ id }, i) => [id, i]));
  return [...placements].sort((a, b) => (places.get(a.item) ?? 0) - (places.get(b.item) ?? 0) || a.copy - b.copy);
}

/** What a sheet of a lay is called: of leather it is a hide. */
const sheetWord = ({ subject }: PlannedLay): 'hide' | 'sheet' => (subject.kind === 'cloth' ? 'hide' : 'sheet');

/** A lay on the table: the material in rows or sheets, its pieces by cushion, the motifs of its pattern, the picked piece's mark, and the measures. */
export function layScene(lay: PlannedLay, answer: LayAnswer, { title, fit, units, step, picked, near, pinned, label, words }: LaySceneWords): Scene {
  const { material } = lay.request;
  const bands = bandsOf(material, answer);
  const polygons = new Map(lay.request.items.map((item) => [item.id, item.polygon]));
  const drawn: SceneItem[] = bands.flatMap((band, i) =>
    material.kind === 'hide'
      ? hideItems(band, i, material)
      : bandItems(band, i, answer, band.sheet === null ? `from ${formatLengthUnit(band.from, units, step)}` : `${sheetWord(lay)} ${band.sheet + 1}`),
  );
  const whereWords = (points: readonly Point[], turn: number): string => {
    const { minX, minY } = bounds(points);
    return `${formatRun(minX, units)} along, ${formatLengthUnit(minY, units, step)} across${turn ? `, turned ${turn}°` : ''}`;
  };
  let knob: Point | null = null;
  let around: Scene['around'];
  for (const placement of inListOrder(lay, answer)) {
    const polygon = polygons.get(placement.item);
    if (!polygon) continue;
    const points = placed(polygon, placement);
    const parts = bands.map((band) => partIn(band, points, placement.sheet));
    const widest = Math.max(...parts.map(widthOf));
    const main = parts.findIndex((part) => widthOf(part) === widest);
    parts.forEach((part, i) => {
      if (part.length < 3) return;
      const key = `${placement.item} ${placement.copy}`;
      const box = bounds(part);
      const middle = { x: (box.minX + box.maxX) / 2, y: (box.minY + box.maxY) / 2 };
      const text = `${label(placement.item)}${pinned(key) ? ' · pinned' : ''}`;
      drawn.push({
        kind: 'area',
        // The part that is named keeps its key in whatever row it comes to lie, so that it stays in focus while the lay gets better.
        key: `${key} ${i === main ? 0 : i + 1}`,
        shape: part,
        look: lookOf(lay, placement.item),
        pick: `${words(placement.item)}, copy ${placement.copy + 1}, ${whereWords(points, placement.turn)}${pinned(key) ? ', pinned' : ''}`,
      });
      if (i !== main) return;
      if (picked === key) knob = middle;
      if (near === key) around = widened(box);
      drawn.push({
        kind: 'note',
        key: `${key} words`,
        at: middle,
        dy: 4,
        text,
        short: text.split(' ')[0] ?? '',
        // Of a slanted strip as much as it is wide on average: words have no more room on it.
        within: Math.abs(polygonArea(part)) / Math.max(1, box.maxY - box.minY),
        tall: box.maxY - box.minY,
        anchor: 'middle',
        look: 'onpiece',
      });
    });
  }
  if (isSawn(material)) drawn.push(...cutItems(bands, lay, answer));
  const pattern = material.kind === 'sheet' ? undefined : material.pattern;
  if (pattern && answer.patternAtMm !== undefined) bands.forEach((band, i) => drawn.push(...motifItems(band, i, pattern, answer.patternAtMm ?? 0)));
  if (knob) drawn.push({ kind: 'knob', key: 'move', at: knob, name: `Move ${words((picked ?? '').replace(/ \d+$/, ''))}`, look: 'mark', stepMm: MOVE_STEP_MM });
  return {
    title,
    fit,
    ...(around ? { around } : {}),
    room: { left: 84, right: 34, top: 74, bottom: 62 },
    items: [...drawn, ...measures(bands, units)],
  };
}

/** The cuts of a saw that goes from edge to edge, numbered in their order on each sheet. */
function cutItems(bands: readonly Band[], lay: PlannedLay, answer: LayAnswer): SceneItem[] {
  const cuts = edgeCuts(lay.request, answer) ?? [];
  return bands.flatMap(({ x, y, width, sheet }): SceneItem[] =>
    cuts
      .filter((cut) => cut.sheet === sheet)
      .flatMap(({ from, to }, i): SceneItem[] => {
        const [a, b] = [from, to].map((p) => ({ x: x + p.x, y: y - width + p.y })) as [Point, Point];
        return [
          { kind: 'area', key: `saw-${sheet ?? 0}-${i}`, shape: [a, b], open: true, look: 'saw' },
          {
            kind: 'note',
            key: `saw-${sheet ?? 0}-${i} words`,
            at: b,
            dy: a.x === b.x ? -6 : 4,
            text: `${i + 1}`,
            anchor: a.x === b.x ? 'middle' : 'start',
            look: 'small',
          },
        ];
      }),
  );
}

/** A box with as much again on every side: what lies round a piece is seen too. */
function widened({ minX, minY, maxX, maxY }: Bounds): Bounds {
  const [x, y] = [(maxX - minX) / 2, (maxY - minY) / 2];
  return { minX: minX - x, minY: minY - y, maxX: maxX + x, maxY: maxY + y };
}

/** The usable width, and the length laid. */
function measures(bands: readonly Band[], units: UnitSystem): SceneItem[] {
  const [first, last] = [bands[0], bands[bands.length - 1]];
  if (!first || !last) return [];
  const width: SceneItem = {
    kind: 'dim',
    key: 'width',
    name: 'usable width',
    side: 'left',
    away: 26,
    from: { x: first.x, y: first.y },
    to: { x: first.x, y: first.y - first.width },
    mm: first.width,
  };
  const low = last.y - last.width;
  if (bands.length === 1 || last.sheet !== null) {
    const [from, to] = [
      { x: first.x, y: low },
      { x: first.x + first.length, y: low },
    ];
    return [width, { kind: 'dim', key: 'length', name: 'length', side: 'below', away: 30, from, to, mm: first.length }];
  }
  const text = `${formatRun(last.from + last.length, units)} altogether`;
  return [width, { kind: 'note', key: 'whole', at: { x: last.x + last.length, y: low }, dy: 26, anchor: 'end', look: 'head', text }];
}
