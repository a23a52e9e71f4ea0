import { perimeter } from '../../geometry/outline';
import { given } from '../../kernel/figure';
import { operation, type Operation } from '../../piece/operation';
import { isNotch, type Piece } from '../../piece/piece';
import type { Constants } from '../../shop/assumptions';
import { minutesFor } from '../../shop/minutes';
import type { CoverRequest } from '../contract';

/** Cutting the cloth and notching it, in the construction's own words; nothing where there is no piece of cloth. */
export function cutCover(pieces: readonly Piece[], words: { readonly cut: string; readonly notch: string }, assume: Constants): Operation[] {
  const cloth = pieces.filter(({ material }) => material.kind === 'cloth');
  if (!cloth.length) return [];
  const runMm = cloth.reduce((mm, piece) => mm + piece.countPerCushion * perimeter(piece.outline), 0);
  const notched = cloth.filter(({ marks }) => marks.some(isNotch));
  const notches = notched.reduce((count, piece) => count + piece.countPerCushion * piece.marks.filter(isNotch).length, 0);
  return [
    operation({
      id: 'cut/cover',
      phase: 'cut',
      text: `Square the end of the cloth. ${words.cut}; grain and nap one way.`,
      pieces: cloth.map(({ id }) => id),
      minutes: minutesFor('cut', runMm, 0, assume),
      needs: 'table',
    }),
    ...(notched.length
      ? [
          operation({
            id: 'cut/notch',
            phase: 'cut',
            text: words.notch,
            pieces: notched.map(({ id }) => id),
            minutes: minutesFor('cut', 0, notches, assume),
            needs: 'table',
            after: ['cut/cover'],
          }),
        ]
      : []),
  ];
}

/** Opening the zip before the seam that closes the cover. */
export function openZip(pieces: readonly string[], after: string, what = 'the zip a hand’s width, from the right side'): Operation {
  return operation({
    id: 'sew/open-zip',
    phase: 'sew',
    text: `Open ${what}: a cover sewn round shut cannot be turned.`,
    pieces,
    minutes: 0.2,
    needs: 'hand',
    after: [after],
  });
}

/** The ridge of a band whose seam is turned to it. */
export function ridgeStep({ assume }: CoverRequest, pieces: readonly string[], minutes: number, after: string): Operation {
  return operation({
    id: 'sew/ridge',
    phase: 'sew',
    text: 'Turn the seam to the band and top-stitch it {0} from the edge with the longer stitch: the ridge.',
    figures: [given('from the seam', assume('ridgeMm'), 'shop')],
    cautions: ['Try the stitch on a scrap of the same cloth first.'],
    pieces,
    seams: ['ridge'],
    minutes,
    needs: 'machine',
    after: [after],
  });
}

const BAG = 'Thin plastic bags and vacuum: never within a child’s reach.';

/** Putting the core in through the opening. */
export function insertCore({ contents, assume }: CoverRequest, after: string): Operation {
  const { layers, sprung, stiff, loose, belongs } = contents;
  const pushed = stiff || loose;
  return operation({
    id: 'fill/insert',
    phase: 'fill',
    text: `Turn the cover. ${sprung ? 'Slide the sprung core in as it is, neither bagged nor compressed.' : stiff ? 'Slide the core in as it is through the whole opening, both corners open.' : loose ? 'Push the insert in, its corners into those of the cover.' : 'Fold or compress the core in a thin bag, slide it in, let the air back.'}${belongs}`,
    cautions: [...(sprung ? ['Springs under load: keep the unit flat, its covering whole.'] : pushed ? [] : [BAG]), ...(layers > 1 ? ['Soft side up.'] : [])],
    minutes: minutesFor('fill', 0, 0, assume),
    needs: 'bench',
    after: [after],
  });
}

/** Dressing the filled cushion. */
export function dress({ assume }: CoverRequest, text: string, corners: number, after = 'fill/insert'): Operation {
  return operation({ id: 'fill/dress', phase: 'fill', text, minutes: minutesFor('fill', 0, corners, assume), needs: 'bench', after: [after] });
}
