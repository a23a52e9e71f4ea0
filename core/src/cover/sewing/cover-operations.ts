import { perimeter } from '../../geometry/outline';
import { given } from '../../kernel/figure';
import { operation, type Operation, type Tool } from '../../piece/operation';
import { isNotch, turnedCopies, turnedWords, type Piece } from '../../piece/piece';
import { minutesFor } from '../../shop/minutes';
import type { FillWay } from '../../shop/ways';
import type { Contents, Cover, CoverRequest, Notion } from '../contract';
import { cuttingText, type CuttingWords } from './cloth-way';

/** Cutting the cloth and notching it, in the construction's own words and as the cloth is worked; nothing where there is no piece of cloth. */
export function cutCover(pieces: readonly Piece[], words: CuttingWords, { cloth: facts, assume }: CoverRequest, of: 'cover' | 'case' = 'cover'): Operation[] {
  const [cut, notch] = of === 'cover' ? ['cut/cover', 'cut/notch'] : ['cut/case', 'cut/case-notch'];
  const cloth = pieces.filter(({ material }) => material.kind === 'cloth');
  if (!cloth.length) return [];
  const main = facts(of === 'cover' ? 'main' : 'ticking');
  const ofOthers = cloth.some(({ material }) => material.kind === 'cloth' && facts(material.slot) !== main);
  const runMm = cloth.reduce((mm, piece) => mm + piece.countPerCushion * perimeter(piece.outline), 0);
  const notched = cloth.filter(({ marks }) => marks.some(isNotch));
  const notches = notched.reduce((count, piece) => count + piece.countPerCushion * piece.marks.filter(isNotch).length, 0);
  return [
    operation({
      id: cut,
      phase: 'cut',
      text: cuttingText(words, main, ofOthers),
      cautions: turnedOver(cloth),
      pieces: cloth.map(({ id }) => id),
      minutes: minutesFor('cut', runMm, 0, assume),
      needs: 'table',
    }),
    ...(notched.length
      ? [
          operation({
            id: notch,
            phase: 'cut',
            text: words.notch,
            pieces: notched.map(({ id }) => id),
            minutes: minutesFor('cut', 0, notches, assume),
            needs: 'table',
            after: [cut],
          }),
        ]
      : []),
  ];
}

/** What is cut turned over because it has a left and a right. */
function turnedOver(pieces: readonly Piece[]): string[] {
  const handed = pieces.map((piece) => ({ ...piece, turned: turnedCopies(piece) })).filter(({ turned }) => turned > 0);
  if (handed.length === 0) return [];
  const each = handed.map((piece) => `${piece.label} (${turnedWords(piece)})`);
  return [`Left and right differ, so mind which side of the cloth is up: ${each.join(', ')}.`];
}

/** Opening the zip before the seam that closes the cover. */
export function openZip(pieces: readonly string[], after: readonly string[], what = 'the zip a hand’s width, from the right side'): Operation {
  return operation({
    id: 'sew/open-zip',
    phase: 'sew',
    text: `Open ${what}: a cover sewn round shut cannot be turned.`,
    pieces,
    minutes: 0.2,
    needs: 'hand',
    after,
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

const SOFT_CORE: Readonly<Record<FillWay, string>> = {
  'bag-out': 'Compress the core in a thin bag with the vacuum, slide it to the front, let the air back and draw the bag out.',
  'bag-left': 'Compress the core in a thin bag with the vacuum, slide it to the front and let the air back; the bag stays inside.',
  'by-hand': 'Fold the core in half, push it to the front and let it open inside.',
};

/** How the core goes in, by what it is, and what to mind. */
function inserting({ sprung, stiff, loose, fill }: Contents): {
  readonly text: string;
  readonly cautions: readonly string[];
  readonly tools?: readonly Tool[];
} {
  if (sprung)
    return {
      text: 'Slide the sprung core in as it is, neither bagged nor compressed.',
      cautions: ['Springs under load: keep the unit flat, its covering whole.'],
    };
  if (stiff) return { text: 'Slide the core in as it is through the whole opening, both corners open.', cautions: [] };
  if (loose) return { text: 'Push the insert in, its corners into those of the cover.', cautions: [] };
  return fill === 'by-hand' ? { text: SOFT_CORE[fill], cautions: [] } : { text: SOFT_CORE[fill], cautions: [BAG], tools: ['vacuum and thin bags'] };
}

/** Putting the core in through the opening; `turned` where the cover has been turned before. */
export function insertCore({ contents, assume }: CoverRequest, after: string, turned = false): Operation {
  const { text, cautions, tools = [] } = inserting(contents);
  return operation({
    id: 'fill/insert',
    phase: 'fill',
    text: `${turned ? '' : 'Turn the cover. '}${text}${contents.belongs}`,
    cautions: [...cautions, ...(contents.softUp ? ['Soft side up.'] : [])],
    tools,
    minutes: minutesFor('fill', 0, 0, assume),
    needs: 'bench',
    after: [after],
  });
}

/** The bag that stays inside with a soft core, to be bought: one for each cushion. Bags that are drawn out are used again. */
export function bagInside({ operations, notions }: Pick<Cover, 'operations' | 'notions'>, { sprung, stiff, loose, fill }: Contents): Notion[] {
  const bagged =
    fill === 'bag-left' && !sprung && !stiff && !loose && operations.some(({ id }) => id === 'fill/insert') && !notions.some(({ ware }) => ware === 'film');
  return bagged ? [{ ware: 'bag', name: 'Thin bags, left inside', sold: 'count', amount: given('bag', 1, 'counted', 'count'), onFilled: true }] : [];
}

/** Dressing the filled cushion. */
export function dress({ assume }: CoverRequest, text: string, corners: number, after = 'fill/insert'): Operation {
  return operation({ id: 'fill/dress', phase: 'fill', text, minutes: minutesFor('fill', 0, corners, assume), needs: 'bench', after: [after] });
}
