import { crown } from './crown';
import type { CrownAnswer, CrownAsk } from './domed';

/** Solves the crown of a face; some tens of milliseconds, so that screens leave it to a worker. */
export function solveCrown({ outline, crownMm, pads }: CrownAsk): CrownAnswer {
  return { format: 'yardland/crown-answer@1', ...crown(outline, crownMm, pads) };
}
