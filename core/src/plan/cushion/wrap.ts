import { cornerFilling, endFilling, type PackedEnd } from '../../allowance/corner-filling';
import { cornersOf } from '../../cover/band/corners';
import type { Outline } from '../../geometry/outline';
import type { Figure } from '../../kernel/figure';
import { issue, type Issue } from '../../kernel/issue';
import { SAME_TO_A_CUSHION_MM } from '../../material/material';
import type { Sizes } from '../../piece/sizes';
import type { Constants } from '../../shop/assumptions';
import type { School } from '../../shop/schools';
import type { Rolls, Shop } from '../../shop/shop';
import { isOutdoors } from '../../job/terms';
import type { Cushion, Job } from '../../job/document';

/** Which rolls of wadding a cushion may take. */
export function rollsOf({ seat }: Cushion, { waddings }: { readonly waddings?: Job['waddings'] }): Rolls {
  return { outdoors: isOutdoors(seat?.place), chosen: waddings };
}

/** The loft of the roll that stands for the one asked for, mm: the nearest that may be used; within what a cushion does not feel, the one asked for. */
export function laidLoft(loftMm: number, rolls: Rolls, shop: Shop): number {
  const roll = loftMm > 0 ? shop.waddingNear(loftMm, rolls) : undefined;
  return roll && Math.abs(roll.loftMm - loftMm) > SAME_TO_A_CUSHION_MM ? roll.loftMm : loftMm;
}

/** The ends that a school packs, or null: how far they are from the core, and how wide. */
function packedEnds({ core, finished, sewn }: Sizes, { wrap }: School): PackedEnd | null {
  if (!wrap.packedEnds) return null;
  const [short, across] =
    core.width.value >= core.depth.value ? [finished.width.value - core.width.value, sewn.depth] : [finished.depth.value - core.depth.value, sewn.width];
  return short > 0 ? { gapMm: short / 2, widthMm: across } : null;
}

/** Loose wadding that is packed into each end; null where none is. */
export function endFillingOf(sizes: Sizes, school: School, assume: Constants): Figure | null {
  const end = packedEnds(sizes, school);
  return end && endFilling(end, sizes.sewn.height, assume);
}

/** Loose wadding: where there is a wrap there is some for the corners; packed ends take more. */
export function cornerFillingOf(sewn: Outline, sizes: Sizes, loftMm: number, school: School, assume: Constants): Figure | null {
  const corners = cornersOf(sewn).filter((corner) => !corner.inner).length;
  if (loftMm <= 0) return null;
  return cornerFilling(corners, sizes.sewn.height, packedEnds(sizes, school), assume);
}

/** What is wrong with a wrap: no wadding of that loft, too thin to do anything, or nothing that holds it. */
export function wrapProblems({ wrapFix: own }: Cushion, loftMm: number, rolls: Rolls, shop: Shop, assume: Constants): Issue[] {
  if (loftMm <= 0) return [];
  const wrapFix = own ?? shop.document.wrapFix;
  return [
    ...loftProblems(loftMm, shop, rolls),
    ...(loftMm < assume('leastWrapMm') ? [issue('warning', 'wrap-very-thin', 'wrapLoftMm', { loftMm, leastMm: assume('leastWrapMm') })] : []),
    ...(wrapFix === 'loose' ? [issue('warning', 'wrap-not-fixed', 'wrapFix')] : []),
  ];
}

/** No wadding at all, or none whose loft is as good as the one asked for. */
function loftProblems(loftMm: number, shop: Shop, rolls: Rolls): Issue[] {
  const roll = shop.waddingNear(loftMm, rolls);
  if (!roll) return [issue('error', 'no-wadding', 'wrapLoftMm', { loftMm })];
  return Math.abs(roll.loftMm - loftMm) > SAME_TO_A_CUSHION_MM
    ? [issue('note', 'wadding-of-another-loft', 'wrapLoftMm', { loftMm, wadding: roll.name, nearestMm: roll.loftMm })]
    : [];
}
