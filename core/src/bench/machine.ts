import type { Operation } from '../piece/operation';
import { sewnMm, type Seam } from '../piece/seam';
import type { Constants } from '../shop/assumptions';
import { showsHoles, type ClothKind } from '../material/material';
import type { Machine } from '../shop/ways';

const PINNED = 'Home machine: pin it, the welt underneath where there is one; go round twice, the second time from the other side.';
const CLIPPED = 'Home machine: clip it in the allowance, the welt underneath where there is one; go round once, slowly.';
const OVER_ZIP = 'Home machine: a scrap of cloth under the zip’s tape where it is crossed; press away from the zip.';
const OVER_ZIP_CLIPPED = 'Home machine: a scrap under the zip’s tape where it is crossed; roll the seam away from the zip.';

interface Sewn {
  readonly seams: readonly Seam[];
  /** What the cover is of. */
  readonly kind: ClothKind;
  readonly assume: Constants;
}

/**
 * The operations as the shop's machine asks for them: on a home machine seams are pinned and gone round twice, which takes as long again at the needle. Leather and vinyl
 * are clipped and sewn once: a second row would cut them like a stamp.
 */
export function forMachine(operations: readonly Operation[], machine: Machine, { seams, kind, assume }: Sewn): Operation[] {
  if (machine === 'walking-foot') return [...operations];
  return operations.map((operation) => {
    const sewn = seams.filter(({ id, method }) => operation.seams.includes(id) && method === 'machine');
    if (operation.needs !== 'machine' || sewn.length === 0) return operation;
    const twice = sewn.filter(({ zip }) => !zip);
    const overZip = sewn.some(({ zip }) => zip);
    if (showsHoles({ kind }))
      return { ...operation, cautions: [...operation.cautions, ...(twice.length ? [CLIPPED] : []), ...(overZip ? [OVER_ZIP_CLIPPED] : [])] };
    return {
      ...operation,
      cautions: [...operation.cautions, ...(twice.length ? [PINNED] : []), ...(overZip ? [OVER_ZIP] : [])],
      minutes: operation.minutes + (assume('sewMetreMinutes') * sewnMm(twice)) / 1000,
    };
  });
}
