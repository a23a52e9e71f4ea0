import type { Piece } from '../piece/piece';

/**
 * Where a length that no sheet gives is glued up: as few joins as it takes, each between two sitting places where one is in reach, else as far along as
 * the sheet goes. Places share the length evenly; one place sits in the middle. No part is shorter than `endMm`.
 */
export function gluedAt(lengthMm: number, sheetMm: number, places: number, endMm: number): number[] {
  const joins: number[] = [];
  let from = 0;
  while (lengthMm - from > sheetMm + 1e-6) {
    const parts = Math.ceil((lengthMm - from) / sheetMm - 1e-9);
    // What is left must still go into the parts that are left, and no part may be a sliver.
    const least = Math.max(from + endMm, lengthMm - (parts - 1) * sheetMm);
    const most = Math.min(from + sheetMm, lengthMm - endMm);
    const between = Array.from({ length: places - 1 }, (_, i) => (lengthMm * (i + 1)) / places).filter((at) => at >= least && at <= most);
    const join = between.at(-1) ?? most;
    joins.push(join);
    from = join;
  }
  return joins;
}

/** Faces that are glued for one core, mm²: between layers, and across where a layer is pieced. */
export function gluedArea(pieces: readonly Piece[], layers: readonly { readonly thicknessMm: number }[], planMm2: number, acrossMm: number): number {
  const between = Math.max(0, layers.length - 1) * planMm2;
  const joins = layers.reduce((sum, layer, i) => {
    const parts = pieces.filter((piece) => piece.material.kind === 'foam' && piece.part.index === i + 1).length;
    return sum + Math.max(0, parts - 1) * layer.thicknessMm * acrossMm;
  }, 0);
  return between + joins;
}
