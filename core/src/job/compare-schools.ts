import { area } from '../geometry/outline';
import type { Piece } from '../piece/piece';
import type { SchoolRow } from '../shop/schools';
import type { Cushion } from './document';
import { planCushion, type CushionContext, type CushionPlan } from './plan-cushion';

/** A cushion as one school would make it. */
export interface Compared {
  readonly school: SchoolRow;
  /** The cushion with that school and nothing of it put otherwise. */
  readonly cushion: Cushion;
  readonly plan: CushionPlan;
  /** What one cushion takes of each, pieces alone, mm²; foam and filling mm³. */
  readonly clothMm2: number;
  readonly foamMm3: number;
}

const total = (pieces: readonly Piece[], material: Piece['material'], of: (piece: Piece) => number): number =>
  pieces.filter((piece) => piece.material === material).reduce((sum, piece) => sum + of(piece) * piece.countPerCushion, 0);

/** Whether two thicknesses of a core are one, mm. */
const SAME_MM = 0.5;

/**
 * The cushion through every school of the shop, each as it stands: its own wrap, none of its numbers overridden. A single layer is taken as thick as the
 * school asks; of a stack the top layer makes up the difference, where it can.
 */
export function compareSchools(cushion: Cushion, context: CushionContext): Compared[] {
  const { schoolNumber: _number, wrapLoftMm: _loft, wrapWay: _way, ...rest } = cushion;
  return context.shop.schools.map((school) => {
    const as: Cushion = { ...rest, school: school.id };
    const first = planCushion(as, context);
    const [top, ...below] = as.core.layers;
    const missing = (first.sizes?.core.height.value ?? 0) - as.core.layers.reduce((sum, layer) => sum + layer.thicknessMm, 0);
    const fits = !first.sizes || !top || Math.abs(missing) < SAME_MM || top.thicknessMm + missing < 5 || cushion.core.kept;
    const made = fits ? as : { ...as, core: { ...as.core, layers: [{ ...top, thicknessMm: top.thicknessMm + missing }, ...below] } };
    const plan = fits ? first : planCushion(made, context);
    return {
      school,
      cushion: made,
      plan,
      clothMm2: total(plan.pieces, 'cover', (piece) => area(piece.outline)),
      foamMm3: total(plan.pieces, 'foam', (piece) => area(piece.outline) * (piece.thicknessMm ?? 0)),
    };
  });
}
