import type { Operation } from '../piece/operation';
import { sewnMm, type Seam } from '../piece/seam';
import type { Constants } from '../shop/assumptions';
import type { Machine } from '../shop/ways';

const PINNED = 'Home machine: pin it, the welt underneath where there is one; go round twice, the second time from the other side.';
const OVER_ZIP = 'Home machine: a scrap of cloth under the zip’s tape where it is crossed; press away from the zip.';

/** The operations as the shop's machine asks for them: on a home machine seams are pinned and gone round twice, which takes as long again at the needle. */
export function forMachine(operations: readonly Operation[], machine: Machine, seams: readonly Seam[], assume: Constants): Operation[] {
  if (machine === 'walking-foot') return [...operations];
  return operations.map((operation) => {
    const sewn = seams.filter(({ id, method }) => operation.seams.includes(id) && method === 'machine');
    if (operation.needs !== 'machine' || sewn.length === 0) return operation;
    const twice = sewn.filter(({ zip }) => !zip);
    const runMm = sewnMm(twice);
    return {
      ...operation,
      cautions: [...operation.cautions, ...(twice.length ? [PINNED] : []), ...(sewn.some(({ zip }) => zip) ? [OVER_ZIP] : [])],
      minutes: operation.minutes + (assume('sewMetreMinutes') * runMm) / 1000,
    };
  });
}
