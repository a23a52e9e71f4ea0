import { operation, type Operation } from '../../../piece/operation';
import type { Cushion } from '../../../job/document';
import type { Constants } from '../../../shop/assumptions';
import { minutesFor } from '../../../shop/minutes';
import { formatLengthUnit, formatNumber } from '../../../units/format';
import type { SayIn } from '../../../say/say';
import { keptCover, lookedOverCover } from './look-over';

type Keeps = NonNullable<NonNullable<NonNullable<Cushion['seat']>['oldCover']>['keeps']>;

/** What is taken off the old cover for the new one; nothing where the old cover itself goes back on. */
export function keptParts(cushion: Cushion): Keeps {
  return keptCover(cushion) ? {} : (cushion.seat?.oldCover?.keeps ?? {});
}

/** How much of one part is kept, for all of these cushions together: a count, or mm of cord. 0 where none is. */
export const keptOf = (cushion: Cushion, part: keyof Keeps): number => keptParts(cushion)[part] ?? 0;

/** Taking off the old cover what is kept of it; no step where nothing is. Its zip is kept where it was found good, or where the new cover is made for it. */
export function savingParts(cushion: Cushion, { units, step }: SayIn, assume: Constants): Operation[] {
  const { buttons, eyelets, handles, cordMm } = keptParts(cushion);
  const zip = !keptCover(cushion) && (lookedOverCover(cushion)?.saveZip ?? false);
  const count = (n: number | undefined, one: string): string[] => (n ? [`${formatNumber(n)} ${one}${n === 1 ? '' : 's'}`] : []);
  const parts = [
    ...(zip ? ['its zip with both stops'] : []),
    ...count(handles, 'handle'),
    ...count(buttons, 'button'),
    ...count(eyelets, 'eyelet'),
    ...(cordMm ? [`${formatLengthUnit(cordMm, units, step)} of welt cord`] : []),
  ];
  if (!parts.length) return [];
  return [
    operation({
      id: 'prepare/save-parts',
      phase: 'strip',
      text: `Take off the old cover, and put by with the core’s mark, what goes into the new one: ${parts.join(', ')}.`,
      cautions: zip ? ['Measure the zip as it lies: a label may lie.'] : [],
      minutes: minutesFor('prepare', 0, parts.length * 2, assume),
      needs: 'bench',
    }),
  ];
}
