import { middleDome, type Dome } from '../crown/dome';
import { wrapLies } from '../allowance/wrap-lies';
import { waddingAt } from '../filling/load-curve';
import type { Point } from '../geometry/point';
import { isFoam, type Stock } from '../material/material';
import type { Shop } from '../shop/shop';
import { formatLength } from '../units/format';
import type { Planned } from '../plan/cushion/cushion-plan';
import type { SayIn } from '../say/say';

/** What an area of the section is of. */
export type SectionMatter = 'wrap' | 'foam' | 'foam-alt' | 'spring' | 'feather' | 'felt' | 'pads' | 'cover' | 'welt' | 'board';

/** An area of the section, mm: x to the right, y up from the lower seam. Later ones lie over earlier ones. */
export interface SectionArea {
  readonly key: string;
  readonly matter: SectionMatter;
  readonly points: readonly Point[];
}

/** A word on the section, and the place it is about. */
export interface SectionWord {
  readonly key: string;
  readonly at: Point;
  readonly text: string;
}

export interface Section {
  readonly way: 'left to right' | 'front to back' | 'along its length';
  readonly widthMm: number;
  /** Height at both edges, and how far it reaches over the upper seam and under the lower one. */
  readonly heightMm: number;
  readonly overMm: number;
  readonly underMm: number;
  /** Where words begin, beside the drawing. */
  readonly wordsX: number;
  readonly areas: readonly SectionArea[];
  readonly words: readonly SectionWord[];
}

const POINTS = 48;
const shares = Array.from({ length: POINTS + 1 }, (_, i) => i / POINTS);

/** What the layers of a core are. */
export type LayerMatter = Extract<SectionMatter, 'foam' | 'foam-alt' | 'spring' | 'feather' | 'felt'>;

/** How a layer is drawn: foams alternate, so that two that meet can be told apart; other fillings by their kind. */
export function layerMatter(stock: Stock | undefined, index: number): LayerMatter {
  if (stock && !isFoam(stock)) return stock.kind;
  return index % 2 ? 'foam-alt' : 'foam';
}

const circle = (centre: Point, radius: number): Point[] =>
  Array.from({ length: 16 }, (_, i) => ({ x: centre.x + radius * Math.cos((i * Math.PI) / 8), y: centre.y + radius * Math.sin((i * Math.PI) / 8) }));
const box = (x: number, y: number, width: number, height: number): Point[] => [
  { x, y },
  { x: x + width, y },
  { x: x + width, y: y + height },
  { x, y: y + height },
];

interface Ask {
  readonly one: Planned;
  readonly shop: Shop;
  readonly size: (mm: number) => string;
}

const layerWords = ({ one, shop, size }: Ask, i: number): string => {
  const layer = one.source.core.layers[i];
  return layer ? `${shop.stock(layer.grade)?.name ?? layer.grade}, ${size(layer.thicknessMm)}` : '';
};

/** Share of its loft at which a wrap is drawn where the fit is not predicted: under a light hand. */
const UNKNOWN_SHARE = 0.5;

/** How thick the wadding on one side of the core lies in the closed cover, mm: as thin as the predicted pressure makes it. */
export function sideAsItLies({ fit, fitRequest, wrap, wrapWay }: Planned, way: 'across' | 'along'): number {
  if (!fit || !fitRequest?.waddingPa) return wrapLies(wrapWay).sides ? wrap.value * UNKNOWN_SHARE : 0;
  return way === 'across'
    ? waddingAt(fitRequest.sideLoftAcrossMm, fit.pressureAcrossPa, fitRequest.waddingPa)
    : waddingAt(fitRequest.sideLoftAlongMm, fit.pressureAlongPa, fitRequest.waddingPa);
}

/** A cover with a band, through its middle: the faces crowned as predicted, wrap as thick as it lies, foam that is thicker than the cover filling it to the face. */
function bandSection(ask: Ask): Section {
  const { one, shop, size } = ask;
  const { sizes, source, profile } = one;
  const { slope } = sizes;
  const way = slope ? 'front to back' : 'left to right';
  const width = (slope ? sizes.sewn.depth : sizes.sewn.width).value;
  const crown = one.fit?.crownMm ?? source.crown?.mm ?? 0;
  const under = (one.fitRequest?.crownedFaces ?? profile.crownedFaces ?? 2) === 2 ? crown : 0;
  const board = profile.onBoard ? sizes.sewn.height.value - profile.heightMm : 0;
  const thick = sizes.sewn.height.value;
  const [first, last] = slope ? (slope.end === 'back' ? [thick, slope.sewn.value] : [slope.sewn.value, thick]) : [thick, thick];
  const edge = (share: number): number => first + (last - first) * share;
  const dome: Dome = middleDome(one.crown, slope ? 'x' : 'y');
  const wrapMm = one.wrap.value;
  const lies = wrapLies(one.wrapWay);
  const row = (inset: number, height: (share: number) => number): Point[] =>
    shares.map((share) => {
      const at = inset + (width - 2 * inset) * share;
      return { x: at, y: height(at / width) };
    });
  const top = row(0, (share) => edge(share) + crown * dome(share));
  const bottom = row(0, (share) => -under * dome(share)).reverse();
  const side = sideAsItLies(one, slope ? 'along' : 'across');
  const onFaces = wrapMm > 0 && lies.faces;
  // With a wrap the foam lies flat inside it; without one it is squeezed into the whole cover. Pads lie between the two.
  const bulge = onFaces ? 0 : 1;
  const pads = source.crown?.pads;
  const padMm = pads ? Math.min(crown, pads.count * pads.loftMm) : 0;
  const { layers } = source.core;
  const total = layers.reduce((sum, layer) => sum + layer.thicknessMm, 0) || thick;
  const areas: SectionArea[] = [{ key: 'wrap', matter: wrapMm > 0 ? 'wrap' : 'foam', points: [...top, ...bottom] }];
  const words: SectionWord[] = [];

  // The slope cuts through the stack from above: a layer ends where the core does. Under foam on a board lies the board.
  const level = (height: number): Point[] =>
    row(side, (share) => {
      const stack = edge(share) - board;
      const share0 = Math.min((height - board) / (thick - board), stack / (thick - board));
      return board + share0 * (thick - board) + bulge * dome(share) * (crown * share0 - under * (1 - share0));
    });
  let above = 1;
  layers.forEach((layer, i) => {
    const below = above - layer.thicknessMm / total;
    const at = (share: number): number => board + share * (thick - board);
    areas.push({ key: `layer-${i}`, matter: layerMatter(shop.stock(layer.grade), i), points: [...level(at(above)), ...level(at(below)).reverse()] });
    const x = slope?.end === 'back' ? 0.04 : 0.96;
    words.push({ key: `layer-${i}`, at: { x: width * x, y: board + (edge(x) - board) * ((above + below) / 2) }, text: layerWords(ask, i) });
    above = below;
  });
  if (board > 0) {
    areas.push({ key: 'board', matter: 'board', points: box(0, 0, width, board) });
    words.push({ key: 'board', at: { x: width * 0.96, y: board / 2 }, text: `board, ${size(board)}` });
  }
  if (padMm > 0 && one.crown?.answer) {
    const pad = row(side, (share) => edge(share) + padMm * 0.55 * Math.max(0, dome(share) * 1.15 - 0.15));
    areas.push({ key: 'pads', matter: 'pads', points: [...pad, ...level(thick).reverse()] });
  }
  areas.push({ key: 'cover', matter: 'cover', points: [...top, ...bottom] });
  if (crown > 0)
    words.push({ key: 'crown', at: { x: width * 0.7, y: edge(0.7) + crown * dome(0.7) }, text: `crown ${size(crown)} ${under > 0 ? 'a face' : 'on top'}` });
  if (onFaces) words.push({ key: 'wrap', at: { x: width * 0.8, y: under > 0 ? -under * 0.3 : wrapMm / 8 }, text: `wrap ${size(wrapMm)}` });
  else if (side > 0) words.push({ key: 'wrap', at: { x: width * 0.995, y: thick * 0.3 }, text: `wrap round the edges ${size(wrapMm)}` });
  if (profile.welt) {
    const radius = Math.max(4, profile.welt.cordMm * 0.8);
    const corners = [
      [-1, 0],
      [1, 0],
      [-1, 1],
      [1, 1],
    ] as const;
    for (const [i, [x, y]] of corners.entries()) {
      if (y === 0 && profile.welt.on === 'top') continue;
      const centre = { x: x > 0 ? width + radius * 0.6 : -radius * 0.6, y: y ? edge(x > 0 ? 1 : 0) : 0 };
      areas.push({ key: `welt-${i}`, matter: 'welt', points: circle(centre, radius) });
    }
  }
  return { way, widthMm: width, heightMm: thick, overMm: crown, underMm: under, wordsX: width * (slope ? 1.3 : 1), areas, words };
}

/** Two faces that meet: as full as the insert's loft in the middle, nothing at the edge. */
function knifeSection(ask: Ask): Section {
  const { one, shop, size } = ask;
  const width = one.sizes.sewn.width.value;
  const half = one.sizes.core.height.value / 2;
  // Full for most of its width, as a soft insert lies.
  const swell = (share: number): number => half * (1 - Math.abs(2 * share - 1) ** 3) ** 0.7;
  const top = shares.map((share) => ({ x: width * share, y: swell(share) }));
  const bottom = shares.map((share) => ({ x: width * share, y: -swell(share) })).reverse();
  const [layer] = one.source.core.layers;
  const radius = one.profile.welt ? Math.max(4, one.profile.welt.cordMm * 0.8) : 0;
  return {
    way: 'left to right',
    widthMm: width,
    heightMm: 0,
    overMm: half,
    underMm: half,
    wordsX: width,
    areas: [
      { key: 'layer-0', matter: layerMatter(layer && shop.stock(layer.grade), 0), points: [...top, ...bottom] },
      { key: 'cover', matter: 'cover', points: [...top, ...bottom] },
      ...(radius
        ? [-radius * 0.6, width + radius * 0.6].map((x, i): SectionArea => ({ key: `welt-${i}`, matter: 'welt', points: circle({ x, y: 0 }, radius) }))
        : []),
    ],
    words: [{ key: 'layer-0', at: { x: width * 0.9, y: swell(0.9) * 0.4 }, text: layer ? layerWords(ask, 0) : `insert, ${size(2 * half)} full` }],
  };
}

/** A roll along its length, its layers side by side. */
function bodySection(ask: Ask): Section {
  const { one, shop, size } = ask;
  const { sizes, source } = one;
  const [long, tall] = [sizes.sewn.height.value, sizes.sewn.depth.value];
  const side = sideAsItLies(one, 'across');
  const total = source.core.layers.reduce((sum, layer) => sum + layer.thicknessMm, 0) || long;
  let from = 0;
  const layers = source.core.layers.map((layer, i): SectionArea => {
    const width = (layer.thicknessMm / total) * long;
    const area: SectionArea = { key: `layer-${i}`, matter: layerMatter(shop.stock(layer.grade), i), points: box(from, side, width, tall - 2 * side) };
    from += width;
    return area;
  });
  return {
    way: 'along its length',
    widthMm: long,
    heightMm: tall,
    overMm: 0,
    underMm: 0,
    wordsX: long,
    areas: [
      { key: 'wrap', matter: side > 0 ? 'wrap' : 'foam', points: box(0, 0, long, tall) },
      ...layers,
      { key: 'cover', matter: 'cover', points: box(0, 0, long, tall) },
    ],
    words: [
      ...(source.core.layers.length ? [{ key: 'layer-0', at: { x: long * 0.97, y: tall * 0.6 }, text: layerWords(ask, source.core.layers.length - 1) }] : []),
      ...(side > 0 ? [{ key: 'wrap', at: { x: long * 0.98, y: side / 2 }, text: `wrap ${size(one.wrap.value)}` }] : []),
    ],
  };
}

/** A cut through a cushion, to scale and without load: what the screen and the paper draw. Words in the job's units. */
export function sectionOf(one: Planned, shop: Shop, { units, step }: SayIn): Section {
  const ask: Ask = { one, shop, size: (mm) => formatLength(mm, units, step) };
  return { band: bandSection, knife: knifeSection, body: bodySection }[one.profile.kind](ask);
}
