import type { Operation } from '../piece/operation';
import type { Piece } from '../piece/piece';

/** What is on the machine while an operation is sewn: beside a zip's teeth, along a cord, or for a plain seam. */
export type Foot = 'zip' | 'cord' | 'plain';

const FOOT_WORDS: Record<Foot, string> = { zip: 'Zip foot on.', cord: 'Cord foot on.', plain: 'Plain foot on.' };

/** The foot that an operation is sewn with; null where it is not sewn at the machine. A seam along a plate's edge runs along the cord where the cover has a welt. */
export function footFor({ foot, needs, phase }: Pick<Operation, 'foot' | 'needs' | 'phase'>, pieces: readonly Pick<Piece, 'role'>[]): Foot | null {
  if (needs !== 'machine' || phase !== 'sew') return null;
  if (foot === 'zip') return 'zip';
  return foot === 'edge' && pieces.some(({ role }) => role === 'welt') ? 'cord' : 'plain';
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
