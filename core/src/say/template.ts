import type { Sentences } from '../kernel/sentences';

/** What is said of the template and its outline. */
export const TEMPLATE_SENTENCES = {
  'corner-radius-too-large': (_, mm) => [`A corner radius of ${mm('radiusMm')} is more than half the shorter side.`, `Make it ${mm('mostMm')} or less.`],
  'corner-radii-too-large': (_, mm) => [`Two corner radii make ${mm('togetherMm')} on a side of ${mm('sideMm')}.`, 'Make them smaller.'],
  'measure-too-large': (n, mm) => [`The ${n('what')} is ${mm('mm')}, and ${n('under')} only ${mm('mostMm')}.`, `Make it ${mm('mostMm')} or less.`],
  'stations-not-in-order': (_, mm) => [`A depth at ${mm('atMm')} comes after one at ${mm('beforeMm')}.`, 'Measure them in order along the front.'],
  'diagonal-does-not-reach': (_, mm) => [
    `A diagonal of ${mm('diagonalMm')} does not fit these sides.`,
    'Measure it again, from the front left corner to the back right one.',
  ],
  'diagonals-disagree': (_, mm) => [`The sides and diagonals disagree by ${mm('leftMm')}.`, 'Measure again; until then the shape that fits best is used.'],
  'crown-wants-one-outline': () => ['A crown is asked for over a template or an outline.', 'Give one of them.'],
  'outline-empty': () => ['There is no outline yet.', 'Draw at least three sides.'],
  'outline-open': (_, mm) => [`The outline is open: its ends are ${mm('gapMm')} apart.`, 'Close it, or draw it again.'],
  'outline-too-large': (_, mm) => [
    `The outline is ${mm('acrossMm')} across; a cushion is at most ${mm('mostMm')}.`,
    'Look whether it was drawn in other units.',
  ],
  'outline-too-many-curves': (n) => [
    `The outline has ${n('curves')} curves of about ${n('points')} points, more than any template.`,
    'Draw it with fewer points, or even it out in the program that made it.',
  ],
  'outline-crosses-itself': (_, mm) => [
    `The outline crosses itself, ${mm('xMm')} from the left and ${mm('yMm')} from the front.`,
    'Pull the points there apart.',
  ],
  'offset-trimmed': () => ['A corner closed up; what was left was trimmed.', 'Look whether the shape is still the one that is wanted.'],
  'nothing-left': () => ['Nothing is left of the outline.', 'Take off less.'],
  'split-count': (n) => [`A seat is split into 2 to ${n('most')} cushions.`, ''],
  'split-gap': (_, mm) => [`The gap between two cushions is between nothing and ${mm('mostMm')}.`, ''],
  'split-too-narrow': (_, mm) => [`No cushion is narrower than ${mm('leastMm')}.`, 'Split it into fewer, or make the gap smaller.'],
  'split-widths-do-not-add-up': (_, mm) => [`The widths make ${mm('sumMm')}, and beside the gaps there are ${mm('roomMm')}.`, 'Make them add up to the seat.'],
  'split-not-for-outline': () => ['A straight cut would leave this outline in loose parts.', 'Draw each cushion by its points instead.'],
} satisfies Sentences;

declare module '../kernel/issue' {
  interface IssueCodes extends Record<keyof typeof TEMPLATE_SENTENCES, true> {}
}
