import type { Cover } from '../cover/contract';
import type { Mark, Piece } from '../piece/piece';

/** What is marked on the first plate; one of three parts has its marks on all of them. */
export function plateMarksOf({ pieces }: Pick<Cover, 'pieces'>): Mark[] {
  const [plate] = pieces.filter(({ role }) => role === 'plate');
  const wholeOf = ({ id, partOf }: Piece): string => partOf?.plate ?? id;
  return pieces.filter((one) => plate && wholeOf(one) === wholeOf(plate)).flatMap(({ marks }) => marks);
}

/** Whether a mark draws the face in. */
export const isButton = ({ kind }: Mark): boolean => kind === 'button' || kind === 'tuft';
