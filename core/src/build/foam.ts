import type { Outline } from '../geometry/outline';
import { issue, type Issue } from '../kernel/issue';
import type { Piece } from '../piece/piece';
import type { Shop } from '../shop/shop';
import type { UnitSystem } from '../units/length';
import type { Sizes } from './sizes';

export interface Layer {
  readonly grade: string;
  readonly thicknessMm: number;
}

/** Sheets are sold by round numbers: 2 in is a 50 mm sheet. Within this a thickness is the nominal sheet's, mm. */
const SHEET_NOMINAL_MM = 2.5;
/** How far the layers may miss the asked thickness before it is said, mm: what a sheet is cut to. */
const LAYER_SUM_MM = 0.5;

/** The foam pieces of a core, from the top layer down; each is the core's plan. */
export function foamPieces(layers: readonly Layer[], core: Sizes['core'], outline: Outline): Piece[] {
  return layers.map((layer, index) => ({
    id: `foam-${index + 1}`,
    role: 'foam',
    part: { index: index + 1, of: layers.length },
    material: 'foam',
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

/** What is wrong with the layers: none, a grade nobody has, a sum that is not the thickness the school asks for. */
export function checkLayers(layers: readonly Layer[], core: Sizes['core'], shop: Shop, units: UnitSystem): Issue[] {
  const problems: Issue[] = [];
  if (layers.length === 0) problems.push(issue('error', 'core-has-no-layers', 'core.layers', { wantedMm: core.height.value }));
  layers.forEach((layer, index) => {
    const grade = shop.grade(layer.grade);
    const path = `core.layers.${index}`;
    if (!grade) {
      problems.push(issue('error', 'grade-unknown', `${path}.grade`, { grade: layer.grade }));
      return;
    }
    const { widthMm, lengthMm } = grade.sheet;
    const usable = [widthMm, lengthMm].map((side) => side - 2 * shop.assume('sheetTrimMm', units)).sort((a, b) => a - b);
    const wanted = [core.width.value, core.depth.value].sort((a, b) => a - b);
    if ((wanted[0] ?? 0) > (usable[0] ?? 0) || (wanted[1] ?? 0) > (usable[1] ?? 0))
      problems.push(issue('error', 'core-larger-than-sheet', path, { grade: grade.name, coreMm: wanted[1] ?? 0, sheetMm: usable[1] ?? 0 }));
    if (!grade.thicknessesMm.some((sheet) => Math.abs(sheet - layer.thicknessMm) <= SHEET_NOMINAL_MM)) {
      const nearest = [...grade.thicknessesMm].sort((a, b) => Math.abs(a - layer.thicknessMm) - Math.abs(b - layer.thicknessMm))[0] ?? 0;
      problems.push(
        issue('warning', 'sheet-thickness-not-stocked', `${path}.thicknessMm`, { grade: grade.name, thicknessMm: layer.thicknessMm, nearestMm: nearest }),
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
