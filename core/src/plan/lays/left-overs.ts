import type { Remnant } from '../../material/material';
import type { Plan } from '../plan';
import { alongFrom } from '../../lay/pattern';
import { isBought, recutKey, type PlannedLay } from './planned-lay';
import { leftOver } from './bought';

/** What is left of a material once a job is cut, as the stockroom keeps it, without an id. */
export type LeftOver = Remnant extends infer One ? (One extends Remnant ? Omit<One, 'id'> : never) : never;

/** Where on the end of a roll the nearest motif lies, of the first row or of the one beside it, told by the lay before it; null where nothing was matched, or none lies on it. */
function motifOn({ request: { material }, answer }: PlannedLay, lengthMm: number): { readonly alongMm: number; readonly acrossMm: number } | null {
  const pattern = material.kind === 'roll' ? material.pattern : undefined;
  const phaseMm = answer?.patternAtMm;
  if (!pattern || material.kind !== 'roll' || !answer || phaseMm === undefined) return null;
  const rows = pattern.halfDrop ? [0, 1] : [0];
  const motifs = rows.map((row) => ({
    alongMm: pattern.alongMm > 0 ? alongFrom(pattern, phaseMm, { x: 0, y: 0 }, row, answer.lengthMm) - answer.lengthMm : 0,
    acrossMm: pattern.motifAcrossMm + row * pattern.acrossMm,
  }));
  const [nearest] = motifs
    .filter(({ alongMm, acrossMm }) => alongMm <= lengthMm && acrossMm <= material.widthMm)
    .sort((one, other) => one.alongMm - other.alongMm);
  return nearest ?? null;
}

/**
 * Leftovers of a job that are worth keeping (at least `keptOffcutMm` long): the end of each roll of cloth and the last sheet of each foam, over the full usable width. Cloth the
 * customer brought is not the shop's to keep; what is cut again from a leftover is subtracted.
 */
export function leftOvers({ job, shop, lays, buy }: Plan): readonly LeftOver[] {
  const least = shop.assume('keptOffcutMm', job.units);
  return lays.filter(isBought).flatMap((lay): LeftOver[] => {
    const { subject, request, key } = lay;
    const again = lays.find((one) => one.key === recutKey(key) && !buy.some(({ layKey }) => layKey === one.key))?.answer?.lengthMm ?? 0;
    const lengthMm = (leftOver(lay, lays, job, shop)?.value ?? 0) - again;
    if (lengthMm < least || request.material.kind === 'hide') return [];
    const extent = { widthMm: request.material.widthMm, lengthMm, note: job.name.slice(0, 200) };
    if (subject.kind === 'foam') return [{ grade: subject.grade, thicknessMm: subject.thicknessMm, ...extent }];
    const cloth = subject.kind === 'cloth' && subject.ownLengthMm === null && request.material.kind === 'roll' ? subject.use.material : undefined;
    const motif = motifOn(lay, lengthMm);
    return cloth === undefined ? [] : [{ cloth, ...extent, ...(motif ? { motif } : {}) }];
  });
}
