import type { Operation } from '../piece/operation';
import type { Piece } from '../piece/piece';

/** What is on the machine while an operation is sewn: beside a zip's teeth, along a cord, or for a plain seam. */
export type Foot = 'zip' | 'cord' | 'plain';

const FOOT_WORDS: Record<Foot, string> = { zip: 'Zip foot on.', cord: 'Cord foot on.', plain: 'Plain foot on.' };

/** Seams of band and plate run along the cord where the cover has a welt. */
const ALONG_PLATE = /^sew\/(welt|band-to-|plates|round|panels-to-|side-|ends)/;

/** The foot that an operation is sewn with; null where it is not sewn at the machine. Operations are known by their names, which are stable. */
export function footFor({ id, needs, phase }: Pick<Operation, 'id' | 'needs' | 'phase'>, pieces: readonly Pick<Piece, 'role'>[]): Foot | null {
  if (needs !== 'machine' || phase !== 'sew') return null;
  if (id === 'sew/plaque' || id.endsWith('zip')) return 'zip';
  return pieces.some(({ role }) => role === 'welt') && ALONG_PLATE.test(id) ? 'cord' : 'plain';
}

/** The work order with the foot to change to, on each step at the machine that is sewn with another than the step before it. */
export function withFeet(operations: readonly Operation[], pieces: readonly Pick<Piece, 'role'>[]): Operation[] {
  let on: Foot | null = null;
  return operations.map((operation) => {
    const foot = footFor(operation, pieces);
    if (foot === null || foot === on) return operation;
    on = foot;
    return { ...operation, cautions: [...operation.cautions, FOOT_WORDS[foot]] };
  });
}
