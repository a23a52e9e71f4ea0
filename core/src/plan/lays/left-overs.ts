import type { Remnant } from '../../material/material';
import type { Plan } from '../plan';
import { alongFrom } from '../../lay/pattern';
import { isBought, recutKey, type PlannedLay } from './planned-lay';
import { leftOver } from './bought';

/** What is left of a material once a job is cut, as the stockroom keeps it, without an id. */
export type LeftOver = Remnant extends infer One ? (One extends Remnant ? Omit<One, 'id'> : never) : never;

/** Where on the end of a roll a motif lies, told by the lay before it; null where nothing was matched, or none lies on it. */
function motifOn({ request: { material }, answer }: PlannedLay, lengthMm: number): { readonly alongMm: number; readonly acrossMm: number } | null {
  const pattern = material.kind === 'roll' ? material.pattern : undefined;
  if (!pattern || answer?.patternAtMm === undefined) return null;
  const alongMm = pattern.alongMm > 0 ? alongFrom(pattern, answer.patternAtMm, { x: 0, y: 0 }, 0, answer.lengthMm) - answer.lengthMm : 0;
  return alongMm <= lengthMm ? { alongMm, acrossMm: pattern.motifAcrossMm } : null;
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
