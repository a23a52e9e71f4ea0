import { filled, type Planned, type SayIn } from '@yardland/core';

/** Longest text of a step beside the picture, letters. */
const LONGEST = 150;

/** The steps that put pieces together, in their order. */
export function makingSteps({ operations }: Pick<Planned, 'operations'>): Planned['operations'] {
  return operations.filter(({ phase, pieces }) => phase !== 'cut' && pieces.length > 0);
}

/** What is done at a share of the order of work: its step, in a sentence; empty when all is done. */
export function stepOf(one: Planned, share: number, { units, step: fine }: SayIn): string {
  const steps = makingSteps(one);
  if (share >= 1 || !steps.length) return '';
  const at = Math.min(steps.length - 1, Math.floor(share * steps.length));
  const step = steps[at];
  if (!step) return '';
  const text = filled(step.text, step.figures, units, fine);
  const first = /^.*?[.](?=\s|$)/.exec(text)?.[0] ?? text;
  return `Step ${at + 1} of ${steps.length}: ${first.length > LONGEST ? `${first.slice(0, LONGEST)}…` : first}`;
}
