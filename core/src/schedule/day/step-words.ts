import type { Work } from '../../shop/minutes';
import type { PlannedStep } from './day';

const DO: Readonly<Record<Work, string>> = {
  cut: 'Cut',
  prepare: 'Make up the core:',
  sew: 'Sew:',
  hand: 'By hand:',
  fill: 'Fill and dress:',
  staple: 'Staple:',
};

/** A step in a few words: `Cut Moss velvet`, `Sew: Box seat, 6 of it`. */
export function stepWords({ work, of }: Pick<PlannedStep, 'work' | 'of'>): string {
  return `${DO[work]} ${of}`;
}

/** What is on machine or table for it: `Moss velvet, cord foot`; empty where nothing has to be changed for it. */
export function setupWords({ setup }: Pick<PlannedStep, 'setup'>): string {
  const { cloth, foot } = setup ?? {};
  return [cloth, foot && `${foot} foot`].filter(Boolean).join(', ');
}
