import type { Remnant } from '../../material/material';
import type { Plan } from '../plan';
import { isBought, recutKey } from './planned-lay';
import { leftOver } from './bought';

/** What is left of a material once a job is cut, as the stockroom keeps it, without an id. */
export type LeftOver = Remnant extends infer One ? (One extends Remnant ? Omit<One, 'id'> : never) : never;

/**
 * What is left over of all that a job buys and is worth keeping (`keptOffcutMm` along): the end of each roll of cloth, and the last sheet of each foam, over its full usable width. Nothing of
 * cloth that the customer brought, and without what is cut anew from it.
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
    return cloth === undefined ? [] : [{ cloth, ...extent }];
  });
}
