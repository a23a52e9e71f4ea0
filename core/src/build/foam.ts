import type { Outline } from '../geometry/outline';
import { issue, type Issue } from '../kernel/issue';
import { isFoam, SHEET_NOMINAL_MM, type Grade } from '../material/material';
import type { Piece } from '../piece/piece';
import type { Shop } from '../shop/shop';
import type { UnitSystem } from '../units/length';
import type { Sizes } from './sizes';

export interface Layer {
  readonly grade: string;
  readonly thicknessMm: number;
}

/** How far the layers may miss the asked thickness before it is said, mm: what a sheet is cut to. */
const LAYER_SUM_MM = 0.5;

/** The pieces of a core, from the top layer down; each is the core's plan. Foam is cut from sheets, other fillings are made to size. */
export function corePieces(layers: readonly Layer[], core: Sizes['core'], outline: Outline, shop: Shop): Piece[] {
  const roleOf = (layer: Layer): 'foam' | 'filling' => {
    const stock = shop.stock(layer.grade);
    return stock && !isFoam(stock) ? 'filling' : 'foam';
  };
  return layers.map((layer, index) => ({
    id: `foam-${index + 1}`,
    role: roleOf(layer),
    part: { index: index + 1, of: layers.length },
    material: roleOf(layer),
    grade: layer.grade,
    thicknessMm: layer.thicknessMm,
    countPerCushion: 1,
    width: core.width,
    height: core.depth,
    outline,
    sewn: null,
    marks: [],
    grain: 'any',
    trimMm: 0,
    joins: 0,
  }));
}

function checkSheet(grade: Grade, core: Sizes['core'], shop: Shop, units: UnitSystem, path: string): Issue[] {
  const { widthMm, lengthMm } = grade.sheet;
  const usable = [widthMm, lengthMm].map((side) => side - 2 * shop.assume('sheetTrimMm', units)).sort((a, b) => a - b);
  const wanted = [core.width.value, core.depth.value].sort((a, b) => a - b);
  const [shorter = 0, longer = 0] = wanted;
  if (shorter <= (usable[0] ?? 0) && longer <= (usable[1] ?? 0)) return [];
  return [issue('error', 'core-larger-than-sheet', path, { grade: grade.name, coreMm: longer, sheetMm: usable[1] ?? 0 })];
}

/** What is wrong with the layers: none, a grade nobody has, a sum that is not the thickness the school asks for. */
export function checkLayers(layers: readonly Layer[], core: Sizes['core'], shop: Shop, units: UnitSystem): Issue[] {
  const problems: Issue[] = [];
  if (layers.length === 0) problems.push(issue('error', 'core-has-no-layers', 'core.layers', { wantedMm: core.height.value }));
  layers.forEach((layer, index) => {
    const stock = shop.stock(layer.grade);
    const path = `core.layers.${index}`;
    if (!stock) {
      problems.push(issue('error', 'grade-unknown', `${path}.grade`, { grade: layer.grade }));
      return;
    }
    if (isFoam(stock)) problems.push(...checkSheet(stock, core, shop, units, path));
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
  if (layers.length && Math.abs(total - core.height.value) > LAYER_SUM_MM)
    problems.push(
      issue('warning', 'layers-do-not-add-up', 'core.layers', { totalMm: total, wantedMm: core.height.value, differenceMm: total - core.height.value }),
    );
  return problems;
}
