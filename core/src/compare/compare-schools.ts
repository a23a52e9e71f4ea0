import { area } from '../geometry/outline';
import type { MaterialKind } from '../piece/material-ref';
import type { Piece } from '../piece/piece';
import type { SchoolRow } from '../shop/schools';
import type { Cushion } from '../job/document';
import type { TrialProgress } from './advice';
import { planCushion } from '../plan/cushion/plan-cushion';
import type { CushionContext } from '../plan/cushion/steps/context';
import type { CushionPlan } from '../plan/cushion/cushion-plan';
import { planCushionSolved, type CrownSolver } from '../plan/cushion/plan-cushion-solved';

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

const total = (pieces: readonly Piece[], material: MaterialKind, of: (piece: Piece) => number): number =>
  pieces.filter((piece) => piece.material.kind === material).reduce((sum, piece) => sum + of(piece) * piece.countPerCushion, 0);

/** Whether two thicknesses of a core are one, and the thinnest layer that is cut, mm. */
const SAME_MM = 0.5;
const THINNEST_MM = 5;

/**
 * The cushion through every school of the shop, each as it stands: its own wrap, its own crown, none of its numbers overridden. A single layer is taken as thick as the
 * school asks; of a stack the top layer makes up the difference, where it can. Yields after each school.
 */
export function* compareSchools(cushion: Cushion, context: CushionContext, solveCrown: CrownSolver): Generator<TrialProgress, Compared[]> {
  const { schoolNumber: _number, schoolEdition: _edition, wrapLoftMm: _loft, wrapWay: _way, ...rest } = cushion;
  const { schools } = context.shop;
  const rows: Compared[] = [];
  for (const school of schools) {
    const as: Cushion = { ...rest, school: school.id };
    const made = withAskedThickness(as, planCushion(as, context));
    const plan = planCushionSolved(made, context, solveCrown);
    rows.push({
      school,
      cushion: made,
      plan,
      clothMm2: total(plan.pieces, 'cloth', (piece) => area(piece.outline)),
      foamMm3: total(plan.pieces, 'foam', (piece) => area(piece.outline) * (piece.material.kind === 'foam' ? piece.material.thicknessMm : 0)),
    });
    yield { done: rows.length, of: schools.length };
  }
  return rows;
}

/** The cushion with its top layer as thick as the school asks of the whole stack; as it is where that cannot be. */
function withAskedThickness(cushion: Cushion, { sizes }: CushionPlan): Cushion {
  const { layers, kept } = cushion.core;
  const [top, ...below] = layers;
  const missing = (sizes?.core.height.value ?? 0) - layers.reduce((sum, layer) => sum + layer.thicknessMm, 0);
  if (!sizes || !top || kept || Math.abs(missing) < SAME_MM || top.thicknessMm + missing < THINNEST_MM) return cushion;
  return { ...cushion, core: { ...cushion.core, layers: [{ ...top, thicknessMm: top.thicknessMm + missing }, ...below] } };
}
