import {
  bounds,
  flatten,
  formatLength,
  isFoam,
  outlineBounds,
  shapeOf,
  type CushionPlan,
  type Piece,
  type Point,
  type SayIn,
  type Shop,
  type Stock,
  type Template,
} from '@yardland/core';
import type { Area, Look, SceneItem } from './scene';

/** Outlines of a cushion over each other, the finished one with its front left at the origin. */
export function outlineItems(one: CushionPlan, which: readonly ('seat' | 'finished' | 'core')[]): Area[] {
  const { outlines } = one;
  return outlines ? which.map((name) => ({ kind: 'area', key: `outline-${name}`, shape: outlines[name], look: name })) : [];
}

/** A plate: its cut line, its sewing line, its notches and its grain; sewn outline at the origin. */
export function plateItems(plate: Piece, seamMm: number): SceneItem[] {
  const box = bounds(flatten(plate.outline));
  const middle = (box.minX + box.maxX) / 2;
  const depth = box.maxY - box.minY;
  const x = middle - (box.maxX - box.minX) * 0.3;
  return [
    { kind: 'area', key: 'plate-cut', shape: plate.outline, look: 'cut' },
    ...(plate.sewn ? [{ kind: 'area' as const, key: 'plate-sewn', shape: plate.sewn, look: 'sew' as const }] : []),
    ...notchItems(plate, seamMm, 'plate', 0, 0),
    { kind: 'arrow', key: 'plate-grain', from: { x, y: box.minY + depth * 0.28 }, to: { x, y: box.minY + depth * 0.72 }, text: 'grain' },
  ];
}

/** The notches of a piece moved by dx, dy: from the cut edge to the seam line. */
export function notchItems(piece: Piece, seamMm: number, key: string, dx: number, dy: number): SceneItem[] {
  return piece.marks.map((mark, i): SceneItem =>
    mark.kind === 'button'
      ? { kind: 'area', key: `${key}-button-${i}`, shape: circle({ x: mark.at.x + dx, y: mark.at.y + dy }, 9), look: 'bound' }
      : {
          kind: 'tick',
          key: `${key}-notch-${i}`,
          from: { x: mark.at.x + mark.outward.x * seamMm + dx, y: mark.at.y + mark.outward.y * seamMm + dy },
          to: { x: mark.at.x + mark.outward.x * seamMm * 0.15 + dx, y: mark.at.y + mark.outward.y * seamMm * 0.15 + dy },
        },
  );
}

const ARC_POINTS = 40;

/** Points of a face that stands `crown` proud in the middle of a span, from left to right; a parabola, flat at the edges' height. */
function dome(width: number, edge: number, crown: number): Point[] {
  return Array.from({ length: ARC_POINTS + 1 }, (_, i) => {
    const share = (2 * i) / ARC_POINTS - 1;
    return { x: (width * i) / ARC_POINTS, y: edge + crown * (1 - share * share) };
  });
}

/** How a layer is drawn: foams by turns, so that two that meet can be told apart; other fillings by their kind. */
export function layerLook(stock: Stock | undefined, index: number): Look {
  if (stock && !isFoam(stock)) return stock.kind;
  return index % 2 ? 'foam-alt' : 'foam';
}

export interface SectionPlace {
  readonly x: number;
  /** Level of the lower seam. */
  readonly y: number;
}

/**
 * A cut through the middle, left to right: cover, wrap and layers to scale, both faces crowned as predicted, no load. Wrap is drawn as thick as it
 * lies; foam that is thicker than the cover fills it to the face.
 */
export function sectionItems(one: CushionPlan, place: SectionPlace, inWords: SayIn, shop: Shop): SceneItem[] {
  const { sizes, source, fit } = one;
  if (!sizes) return [];
  const width = sizes.sewn.width.value;
  const height = sizes.sewn.height.value;
  const crown = fit?.crownMm ?? 0;
  const wrapMm = one.wrap?.value ?? 0;
  const move = (points: readonly Point[]): Point[] => points.map((p) => ({ x: p.x + place.x, y: p.y + place.y }));
  const top = dome(width, height, crown);
  const bottom = dome(width, 0, -crown).reverse();
  const side = one.pieces.some((piece) => piece.role === 'wrap-border') ? wrapMm / 3 : 0;
  // With a wrap the foam lies flat inside it; without one it is squeezed into the whole cover.
  const foamCrown = wrapMm > 0 ? 0 : crown;
  const total = source.core.layers.reduce((sum, layer) => sum + layer.thicknessMm, 0) || height;
  const words = (mm: number): string => formatLength(mm, inWords.units, inWords.step);
  const items: SceneItem[] = [{ kind: 'area', key: 'section-wrap', shape: move([...top, ...bottom]), look: wrapMm > 0 ? 'wrap' : 'foam' }];

  const level = (share: number): Point[] => dome(width - 2 * side, height * share, foamCrown * (2 * share - 1)).map((p) => ({ x: p.x + side, y: p.y }));
  let above = 1;
  source.core.layers.forEach((layer, i) => {
    const below = above - layer.thicknessMm / total;
    items.push({
      kind: 'area',
      key: `section-layer-${i}`,
      shape: move([...level(above), ...level(below).reverse()]),
      look: layerLook(shop.stock(layer.grade), i),
    });
    items.push({
      kind: 'leader',
      key: `section-words-${i}`,
      at: { x: place.x + width * 0.96, y: place.y + height * ((above + below) / 2) },
      toX: place.x + width,
      text: `${shop.stock(layer.grade)?.name ?? layer.grade}, ${words(layer.thicknessMm)}`,
    });
    above = below;
  });
  items.push({ kind: 'area', key: 'section-cover', shape: move([...top, ...bottom]), look: 'cover' });
  if (crown > 0)
    items.push({
      kind: 'leader',
      key: 'section-crown',
      at: { x: place.x + width * 0.7, y: place.y + height + crown * 0.84 },
      toX: place.x + width,
      text: `crown ${words(crown)} a face`,
    });
  if (wrapMm > 0)
    items.push({
      kind: 'leader',
      key: 'section-wrap-words',
      at: { x: place.x + width * 0.8, y: place.y - crown * 0.3 },
      toX: place.x + width,
      text: `wrap ${words(wrapMm)}`,
    });
  if (source.construction.edge === 'welt') {
    const radius = Math.max(4, (source.construction.cordMm ?? 5) * 0.8);
    for (const [i, at] of [0, 1, 2, 3].entries()) {
      const centre = { x: place.x + (at % 2 ? width + radius * 0.6 : -radius * 0.6), y: place.y + (at > 1 ? height : 0) };
      items.push({ kind: 'area', key: `section-welt-${i}`, shape: circle(centre, radius), look: 'cover' });
    }
  }
  return items;
}

function circle(centre: Point, radius: number): Point[] {
  return Array.from({ length: 16 }, (_, i) => ({ x: centre.x + radius * Math.cos((i * Math.PI) / 8), y: centre.y + radius * Math.sin((i * Math.PI) / 8) }));
}

/** How far an outline reaches, written on it. */
export function planDimensions(one: CushionPlan, which: 'seat' | 'finished' | 'core'): SceneItem[] {
  const { sizes, outlines } = one;
  if (!sizes || !outlines) return [];
  const { minX, minY, maxX, maxY } = outlineBounds(outlines[which]);
  const { width, depth } = sizes[which];
  return [
    { kind: 'dim', key: 'reach-x', name: `${which} width`, side: 'below', away: 40, from: { x: minX, y: minY }, to: { x: maxX, y: minY }, mm: width.value },
    { kind: 'dim', key: 'reach-y', name: `${which} depth`, side: 'right', away: 52, from: { x: maxX, y: maxY }, to: { x: maxX, y: minY }, mm: depth.value },
  ];
}

/** Where the template's own drawing lies in the frame of the plan's outlines. */
export function templateOrigin(one: CushionPlan): Point {
  const given = one.outlines?.[one.source.given];
  if (!given) return { x: 0, y: 0 };
  const { minX, minY } = outlineBounds(given);
  return { x: minX, y: minY };
}

/** The measures of the template's shape, written on it to be typed over; `key` is the measure's own. */
export function shapeDimensions(one: CushionPlan): SceneItem[] {
  const { template } = one.source;
  const shape = shapeOf(template);
  if (!one.outlines || shape.check(template).length) return [];
  const origin = templateOrigin(one);
  const at = (p: Point): Point => ({ x: p.x + origin.x, y: p.y + origin.y });
  return shape.dimensions(template).map(({ key, from, to, side }): SceneItem => {
    const measure = shape.measures.find((one) => one.key === key);
    const away = { below: 40, above: 34, left: 40, right: 52 }[side];
    const mm = measure ? measureOf(template, key) : Math.hypot(to.x - from.x, to.y - from.y);
    const edit = measure ? { edit: { minMm: measure.least, maxMm: measure.most } } : {};
    const word = measure?.word ?? key;
    const name = word === 'wide' ? `${one.source.given} width` : word === 'deep' ? `${one.source.given} depth` : word;
    return { kind: 'dim', key, name, side, away, from: at(from), to: at(to), mm, ...edit };
  });
}

/** One measure of a template as it stands; what is left out reads as nothing. */
export function measureOf(template: Template, key: string): number {
  const value = (template as unknown as Record<string, unknown>)[key];
  return typeof value === 'number' ? value : 0;
}

/** The corners of an upright rectangle, from its lower left. */
export const rectanglePoints = (x: number, y: number, width: number, height: number): Point[] => [
  { x, y },
  { x: x + width, y },
  { x: x + width, y: y + height },
  { x, y: y + height },
];

export const boxArea = (key: string, x: number, y: number, width: number, height: number, look: Look, pick?: string): Area => ({
  kind: 'area',
  key,
  shape: rectanglePoints(x, y, width, height),
  look,
  ...(pick ? { pick } : {}),
});
