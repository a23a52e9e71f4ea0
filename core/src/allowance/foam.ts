import { growEdges, type EdgeAmounts } from '../geometry/offset';
import type { Outline } from '../geometry/outline';
import { given, minus, plus, sum, type Figure } from '../kernel/figure';
import { issue, type Issue } from '../kernel/issue';
import { isFoam, SAME_TO_A_CUSHION_MM, SHEET_NOMINAL_MM, type Grade } from '../material/material';
import { PLAIN_PIECE, type Piece } from '../piece/piece';
import type { Constants } from '../shop/assumptions';
import type { Shop } from '../shop/shop';
import { gluedAt } from './glue';
import { inParts } from './parts';
import type { Sizes } from '../piece/sizes';

export interface Layer {
  readonly grade: string;
  readonly thicknessMm: number;
  /** The top layer is longer and rolls down over the front; those below stand back for it. */
  readonly overFront?: boolean | undefined;
  /** Its upper edges are cut off at 45°, so wide. */
  readonly bevelMm?: number | undefined;
}

/** What a sheet gives once its edges are trimmed, shorter side first; mm. */
function usableOf(grade: Grade, assume: Constants): readonly [shorter: number, longer: number] {
  const trim = 2 * assume('sheetTrimMm');
  const [shorter = 0, longer = 0] = [grade.sheet.widthMm - trim, grade.sheet.lengthMm - trim].sort((a, b) => a - b);
  return [shorter, longer];
}

/** How far forward or back a layer's front stands from the core's: a top layer that rolls over the front covers the ends of those below. */
function frontBy(layers: readonly Layer[], index: number): number {
  const [top] = layers;
  if (!top?.overFront) return 0;
  if (index > 0) return -top.thicknessMm;
  return layers.slice(1).reduce((sum, layer) => sum + layer.thicknessMm, 0);
}

const FRONT_ONLY: EdgeAmounts = { front: 1, right: 0, back: 0, left: 0, corner: 0 };

function planOf(layers: readonly Layer[], index: number, core: Sizes['core'], outline: Outline): { readonly outline: Outline; readonly depth: Figure } {
  const by = frontBy(layers, index);
  if (by === 0) return { outline, depth: core.depth };
  const grown = growEdges(outline, { ...FRONT_ONLY, front: by });
  const own = given(by > 0 ? 'down the front' : 'the layer over the front', Math.abs(by), 'counted');
  return { outline: grown.ok ? grown.outline : outline, depth: sum('core', core.depth, by > 0 ? plus(own) : minus(own)) };
}

/** A core as it is made up: its layers from the top down, its size and outline, and how many sit on it side by side. */
export interface CoreToCut {
  readonly layers: readonly Layer[];
  readonly size: Sizes['core'];
  readonly outline: Outline;
  readonly places: number;
}

/**
 * The pieces of a core, from the top layer down. Foam is cut from sheets, and glued up from parts where no sheet is long enough, the joins of one layer off those
 * of the next; other fillings are made to size.
 */
export function corePieces({ layers, size: core, outline, places }: CoreToCut, shop: Shop, assume: Constants): Piece[] {
  return layers.flatMap((layer, index): Piece[] => {
    const stock = shop.stock(layer.grade);
    const role = stock && !isFoam(stock) ? 'filling' : 'foam';
    const own = planOf(layers, index, core, outline);
    const { grade, thicknessMm } = layer;
    const whole: Piece = {
      ...PLAIN_PIECE,
      id: `foam-${index + 1}`,
      role,
      label: layers.length > 1 ? `${role}, layer ${index + 1}` : role,
      part: { index: index + 1, of: layers.length },
      material: role === 'foam' ? { kind: 'foam', grade, thicknessMm } : { kind: 'filling', filling: grade, thicknessMm },
      width: core.width,
      height: own.depth,
      outline: own.outline,
    };
    if (!stock || !isFoam(stock)) return [whole];
    const parts = partsOf(whole, usableOf(stock, assume), places, index, assume('joinEndMm'));
    return parts ?? [whole];
  });
}

/** A layer in parts, none larger than a sheet: side by side along one way, or both ways; null where one sheet gives it, or no plain cut does. */
function partsOf(whole: Piece, [shorter, longer]: readonly [number, number], places: number, index: number, endMm: number): Piece[] | null {
  const [wide, deep] = [whole.width.value, whole.height.value];
  if (fitsWithin([wide, deep], [shorter, longer])) return null;
  // Whichever way the sheets lie, the fewest parts; the long side along the sheet's long side where both do.
  const ways = [
    [wide >= deep ? longer : shorter, wide >= deep ? shorter : longer],
    [wide >= deep ? shorter : longer, wide >= deep ? longer : shorter],
  ] as const;
  const count = ([x, y]: readonly [number, number]): number => Math.ceil(wide / x - 1e-9) * Math.ceil(deep / y - 1e-9);
  const [xMost, yMost] = count(ways[1]) < count(ways[0]) ? ways[1] : ways[0];
  return inParts(whole, acrossCuts(wide, xMost, places, index, endMm), deepCuts(deep, yMost, index, endMm), 'core');
}

const fitsWithin = ([a, b]: readonly [number, number], [shorter, longer]: readonly [number, number]): boolean =>
  Math.max(a, b) <= longer && Math.min(a, b) <= shorter;

/** Joins along the width; those of the next layer lie mirrored. */
function acrossCuts(wideMm: number, mostMm: number, places: number, index: number, endMm: number): readonly number[] {
  const joins = gluedAt(wideMm, mostMm, places, endMm);
  return index % 2 ? joins.map((join) => wideMm - join).sort((a, b) => a - b) : joins;
}

/** Joins along the depth, as far back as the sheet reaches: nobody sits there. Those of the next layer lie a little further forward, where its sheet reaches too. */
function deepCuts(deepMm: number, mostMm: number, index: number, endMm: number): readonly number[] {
  const joins = gluedAt(deepMm, mostMm, 1, endMm);
  const forward = joins.map((join) => join - endMm);
  const reaches = (forward[0] ?? 0) >= endMm && deepMm - (forward.at(-1) ?? 0) <= mostMm;
  return index % 2 && reaches ? forward : joins;
}

function checkSheet(grade: Grade, layerPieces: readonly Piece[], core: Sizes['core'], assume: Constants, path: string): Issue[] {
  const [shorter, longer] = usableOf(grade, assume);
  const [wide, deep] = [core.width.value, core.depth.value];
  if (fitsWithin([wide, deep], [shorter, longer])) return [];
  // The side that is named is the one that does not fit: the longer one where the sheet is too short for it, else the other.
  const widest = wide >= deep;
  const tooLong = Math.max(wide, deep) > longer;
  const data = {
    grade: grade.name,
    coreMm: tooLong ? Math.max(wide, deep) : Math.min(wide, deep),
    sheetMm: tooLong ? longer : shorter,
    way: widest === tooLong ? 'wide' : 'deep',
  };
  return layerPieces.length > 1
    ? [issue('note', 'core-glued-up', path, { ...data, parts: layerPieces.length })]
    : [issue('error', 'core-larger-than-sheet', path, data)];
}

/** What is wrong with the layers: none, a grade nobody has, a sum that is not the thickness the school asks for. */
export function checkLayers(layers: readonly Layer[], core: Sizes['core'], pieces: readonly Piece[], shop: Shop, assume: Constants): Issue[] {
  const problems: Issue[] = [];
  if (layers.length === 0) problems.push(issue('error', 'core-has-no-layers', 'core.layers', { wantedMm: core.height.value }));
  layers.forEach((layer, index) => {
    const stock = shop.stock(layer.grade);
    const path = `core.layers.${index}`;
    if (!stock) {
      problems.push(issue('error', 'grade-unknown', `${path}.grade`, { grade: layer.grade }));
      return;
    }
    if (isFoam(stock))
      problems.push(
        ...checkSheet(
          stock,
          pieces.filter((piece) => piece.part.index === index + 1),
          core,
          assume,
          path,
        ),
      );
    if (!stock.thicknessesMm.some((sheet) => Math.abs(sheet - layer.thicknessMm) <= SHEET_NOMINAL_MM)) {
      const nearest = [...stock.thicknessesMm].sort((a, b) => Math.abs(a - layer.thicknessMm) - Math.abs(b - layer.thicknessMm))[0] ?? 0;
      problems.push(
        issue('warning', isFoam(stock) ? 'sheet-thickness-not-stocked' : 'filling-not-made-so-high', `${path}.thicknessMm`, {
          grade: stock.name,
          thicknessMm: layer.thicknessMm,
          nearestMm: nearest,
        }),
      );
    }
  });
  const total = layers.reduce((sum, layer) => sum + layer.thicknessMm, 0);
  if (layers.length && Math.abs(total - core.height.value) > SAME_TO_A_CUSHION_MM)
    problems.push(
      issue('warning', 'layers-do-not-add-up', 'core.layers', { totalMm: total, wantedMm: core.height.value, differenceMm: total - core.height.value }),
    );
  return problems;
}
