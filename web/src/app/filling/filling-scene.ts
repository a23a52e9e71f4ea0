import {
  layerMatter,
  sectionOf,
  shipped,
  waddingAt,
  wrapLies,
  type CushionPlan,
  type Feel,
  type Planned,
  type Point,
  type SayIn,
  type Shop,
  formatLengthUnit,
} from '@yardland/core';
import { boxArea } from '../shared/table/cushion-scene';
import type { Scene, SceneItem } from '../shared/table/scene';
import { sectionItems } from '../shared/table/section';

/** Half the width of the patch a sitter rests on, mm: about the root of the contact area. */
const HALF_SEATED_MM = 175;
const POINTS = 64;

/** How much of the full sink shows at a distance from the middle: flat under the sitter, run out soon beyond. */
const share = (fromMiddle: number): number => Math.exp(-((Math.abs(fromMiddle) / (HALF_SEATED_MM * 1.15)) ** 4));

/** A level line across the core, pressed down by `sinkMm` in the middle. */
function level(width: number, y: number, sinkMm: number): Point[] {
  return Array.from({ length: POINTS + 1 }, (_, i) => {
    const x = (width * i) / POINTS;
    return { x, y: y - sinkMm * share(x - width / 2) };
  });
}

/**
 * The cover over the stack: crowned as predicted while nobody sits, and down on what the sitter leaves of the wrap where somebody does. Between the cover and
 * the stack lies the wrap, and what else lifts the face.
 */
function coverItems(one: CushionPlan, width: number, total: number, feel: Feel | null): SceneItem[] {
  const lies = wrapLies(one.wrapWay).faces ? (one.wrap?.value ?? 0) : 0;
  const crownMm = one.fit?.crownMm ?? 0;
  const sink = feel?.giveMm ?? 0;
  const pressed = feel ? waddingAt(lies, feel.meanPressurePa, one.fitRequest?.waddingPa ?? shipped('waddingPa')) : 0;
  const top = level(width, total, sink).map(({ x, y }): Point => {
    const loaded = feel ? share(x - width / 2) : 0;
    const along = x / width;
    return { x, y: y + 4 * crownMm * along * (1 - along) * (1 - loaded) + pressed * loaded };
  });
  const stack = level(width, total, sink).reverse();
  return [
    ...(lies > 0 ? [{ kind: 'area' as const, key: 'wrap', shape: [...top, ...stack], look: 'wrap' as const }] : []),
    { kind: 'area', key: 'cover', shape: [{ x: 0, y: 0 }, ...top, { x: width, y: 0 }], open: true, look: 'cover' },
  ];
}

/** Where a layer dragged to a height belongs: as many layers stay above it as have their middle higher. */
export function dropIndex(layers: readonly { readonly thicknessMm: number }[], from: number, y: number): number {
  let top = layers.reduce((sum, layer) => sum + layer.thicknessMm, 0);
  let above = 0;
  layers.forEach((layer, i) => {
    const middle = top - layer.thicknessMm / 2;
    top -= layer.thicknessMm;
    if (i !== from && middle > y) above += 1;
  });
  return above;
}

/** What is in a cover without a band, where no stack stands: layers side by side in a roll, or one insert. */
function sectionScene(one: Planned, shop: Shop, fit: string, inWords: SayIn): Scene {
  const section = sectionOf(one, shop, inWords);
  const { widthMm, overMm, underMm } = section;
  const roll = one.profile.kind === 'body';
  const reach: SceneItem = {
    kind: 'dim',
    key: 'reach',
    name: roll ? 'length' : 'fullness',
    side: roll ? 'below' : 'left',
    away: 40,
    from: { x: 0, y: -underMm },
    to: roll ? { x: widthMm, y: 0 } : { x: 0, y: overMm },
    mm: roll ? widthMm : overMm + underMm,
  };
  return {
    title: `Filling of ${one.source.name}, ${section.way}`,
    fit,
    room: { left: 130, right: 190, top: 60, bottom: 80 },
    items: [...sectionItems(section, { x: 0, y: 0 }), reach],
  };
}

/** A layer where it lies under a sitter: pressed by its own sink, lowered by what gives below it. */
interface LyingLayer {
  readonly layer: CushionPlan['source']['core']['layers'][number];
  readonly index: number;
  readonly topMm: number;
  readonly bottomMm: number;
  /** How far its upper and its lower face lie lower in the middle. */
  readonly sunkMm: { readonly top: number; readonly bottom: number };
  /** How far it may be dragged to change places: far enough to pass a neighbour's middle. */
  readonly stepMm: number;
}

function lyingLayers({ source: { core } }: Planned, feel: Feel | null): LyingLayer[] {
  const { layers } = core;
  const thickness = (i: number): number => layers[i]?.thicknessMm ?? 0;
  const under = (from: number): number => (feel ? feel.giveMm - feel.sinkMm : 0) + (feel?.layers.slice(from).reduce((sum, { sinkMm }) => sum + sinkMm, 0) ?? 0);
  return layers.map((layer, index) => {
    const bottomMm = layers.slice(index + 1).reduce((sum, { thicknessMm }) => sum + thicknessMm, 0);
    return {
      layer,
      index,
      topMm: bottomMm + layer.thicknessMm,
      bottomMm,
      sunkMm: { top: under(index), bottom: under(index + 1) },
      stepMm: (layer.thicknessMm + Math.max(thickness(index - 1), thickness(index + 1))) / 2 + 1,
    };
  });
}

/** What the stack is shown with: the shop's wares, a sitter's weight on it, and the units of its words. */
interface Shown {
  readonly shop: Shop;
  readonly feel: Feel | null;
  readonly inWords: SayIn;
}

/** One layer of the stack: its shape, its thickness to type over, a knob to drag it by where it has a neighbour, its words. */
function layerItems(
  { layer, index, topMm, bottomMm, sunkMm, stepMm }: LyingLayer,
  { source: { core }, sizes }: Planned,
  { shop, feel, inWords }: Shown,
): SceneItem[] {
  const width = sizes.core.width.value;
  const middle = (topMm + bottomMm) / 2;
  const strain = feel?.layers[index]?.strain;
  const name = shop.stock(layer.grade)?.name ?? layer.grade;
  return [
    {
      kind: 'area',
      key: `layer-${index}`,
      shape: [...level(width, topMm, sunkMm.top), ...level(width, bottomMm, sunkMm.bottom).reverse()],
      look: layerMatter(shop.stock(layer.grade), index),
    },
    {
      kind: 'dim',
      key: `layer-${index}`,
      name: `layer ${index + 1} thickness`,
      side: 'left',
      away: 56,
      from: { x: 0, y: topMm },
      to: { x: 0, y: bottomMm },
      mm: layer.thicknessMm,
      edit: { minMm: 5, maxMm: 600 },
    },
    ...(core.layers.length > 1
      ? [
          {
            kind: 'knob' as const,
            key: `layer-${index}`,
            at: { x: -width * 0.04, y: middle },
            name: `Layer ${index + 1}, drag up or down`,
            place: `${name}, ${formatLengthUnit(layer.thicknessMm, inWords.units, inWords.step)}, ${index + 1} of ${core.layers.length} from the top`,
            look: 'layer' as const,
            stepMm,
          },
        ]
      : []),
    {
      kind: 'leader',
      key: `words-${index}`,
      at: { x: width * 0.98, y: middle },
      toX: width,
      text: strain === undefined ? name : `${name}, −${Math.round(strain * 100)}\u00a0%`,
    },
  ];
}

/** The stack in section, to scale; with a sitter on it, each layer pressed by its own sink and the deck by its give. */
export function fillingScene(one: CushionPlan, shop: Shop, feel: Feel | null, fit: string, inWords: SayIn): Scene {
  if (one.state !== 'planned') return { title: 'Filling', fit, items: [] };
  if (one.profile.kind !== 'band') return sectionScene(one, shop, fit, inWords);
  const { width, height } = one.sizes.core;
  const total = one.source.core.layers.reduce((sum, layer) => sum + layer.thicknessMm, 0);
  const ground = width.value * 0.03;
  const deckGive = feel ? feel.giveMm - feel.sinkMm : 0;
  const edge = [
    { x: -width.value * 0.04, y: height.value },
    { x: width.value * 1.04, y: height.value },
  ];
  const below = -Math.max(ground, deckGive);
  const items: SceneItem[] = [
    ...lyingLayers(one, feel).flatMap((layer) => layerItems(layer, one, { shop, feel, inWords })),
    ...coverItems(one, width.value, total, feel),
    { kind: 'area', key: 'wanted', shape: edge, open: true, look: 'bound' },
    {
      kind: 'note',
      key: 'wanted-words',
      at: { x: width.value / 2, y: Math.max(height.value, total) + (feel ? 0 : (one.fit?.crownMm ?? 0)) },
      dy: -14,
      anchor: 'middle',
      text: `the school asks for ${formatLengthUnit(height.value, inWords.units, inWords.step)} of core`,
      look: 'small',
    },
    deckGive > 0
      ? { kind: 'area', key: 'deck', shape: level(width.value, 0, deckGive), open: true, look: 'cover' }
      : boxArea('ground', { x: -width.value * 0.06, y: -ground, width: width.value * 1.12, height: ground }, 'board'),
    {
      kind: 'dim',
      key: 'core-width',
      name: 'core width',
      side: 'below',
      away: 30,
      from: { x: 0, y: below },
      to: { x: width.value, y: below },
      mm: width.value,
    },
  ];
  return {
    title: `Filling of ${one.source.name}, in section${feel ? ', under a sitter' : ''}`,
    fit,
    room: { left: 104, right: 186, top: 84, bottom: 66 },
    items,
  };
}
