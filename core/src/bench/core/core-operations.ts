import { given } from '../../kernel/figure';
import { operation, type Operation, type Tool } from '../../piece/operation';
import type { Constants } from '../../shop/assumptions';
import { minutesFor } from '../../shop/minutes';
import { CAUTION, ids, round, type CoreWork } from './core-work';
import { cutting } from './cutting';
import { newCore } from './new-core';
import { joiningOldCores, refreshing } from './old-core';
import { mitredStages } from './wrap-stages';

/** How a wrap is held, and how its edges are finished then. */
function fixing(
  { lay, close, fix }: NonNullable<CoreWork['wrapping']>,
  assume: Constants,
): Pick<Operation, 'text' | 'figures' | 'cautions'> & { readonly tools?: readonly Tool[] } {
  const every = given('apart', assume('wrapStapleMm'), 'shop');
  switch (fix) {
    case 'adhesive':
      return {
        text: `${lay} Spray both sides along the edges, let the glue go tacky, and press it on. ${close}`.trim(),
        figures: [],
        cautions: [CAUTION.glue, CAUTION.edgeOnly],
      };
    case 'staples':
      return {
        text: `${lay} Staple it round the edge seam, one each {0}; then trim what stands over at 45°.`,
        figures: [every],
        cautions: [CAUTION.staples],
        tools: ['staple gun'],
      };
    case 'stitch':
      return { text: `${lay} Tack it round the edges by hand with long stitches. ${close}`.trim(), figures: [], cautions: [] };
    case 'loose':
      return { text: `${lay} ${close}`.trim(), figures: [], cautions: [CAUTION.loose] };
  }
}

/** Cutting and preparing of what goes into the cover: foam, fillings, old cores, pads and wrap. */
export function coreOperations(work: CoreWork): Operation[] {
  const { pieces, kept, crownedFaces, wrapping, coreHighMm, assume } = work;
  const pads = pieces.filter(({ role }) => role === 'crown-pad');
  const wraps = pieces.filter(({ role }) => role.startsWith('wrap-'));
  const minutes = minutesFor('prepare', 0, 0, assume);
  const core = [
    ...(kept ? [...refreshing(work), ...joiningOldCores(work)] : newCore(work)),
    ...(pads.length
      ? [
          operation({
            id: 'prepare/crown-pads',
            phase: 'prepare',
            text: `Lay the crown pads in the middle of ${crownedFaces === 1 ? 'the top' : 'both faces'}, the largest first, and tack them at their edges only.`,
            cautions: [CAUTION.glue],
            pieces: ids(pads),
            minutes,
            needs: 'bench',
          }),
        ]
      : []),
  ];
  return [
    ...cutting(work),
    ...core,
    ...(wraps.length && wrapping !== null
      ? [
          operation({
            id: 'prepare/wrap',
            phase: 'prepare',
            ...fixing(wrapping, assume),
            pieces: ids(wraps),
            ...(wrapping.mitred ? { stages: mitredStages(coreHighMm) } : {}),
            minutes: minutesFor('prepare', wraps.reduce((mm, piece) => mm + round(piece), 0) / 2, 0, assume),
            ...(wrapping.fix === 'adhesive' ? { waitMinutes: assume('tackyMinutes') } : {}),
            needs: 'bench',
            // Wrapped, a core can no longer be worked on.
            after: core.map(({ id }) => id),
          }),
        ]
      : []),
  ];
}
