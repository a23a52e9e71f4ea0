import type { Sentences } from '../kernel/sentences';

/** What is said of how taut the cover lies. */
export const FIT_SENTENCES = {
  'core-exact-without-wrap': (_, mm) => [
    'Foam cut exactly to the cover and no wrap: a loose cover, a flat face, empty corners.',
    `Wrap it in ${mm('wrapMm')} wadding, or take a school that cuts the foam larger.`,
  ],
  'cover-loose': (_n, _mm, { pressure }) => [
    `The cover will lie loose: it presses on its filling with about ${pressure('pressurePa')}.`,
    'Wrap it thicker, or take a school that fills it more.',
  ],
  'cover-hard-to-close': (_n, _mm, { tension }) => [
    `The cover will be hard to close, about ${tension('tension')}.`,
    'Take a thinner wrap or a softer foam, or a longer zip and a bag to compress the core.',
  ],
  'cover-will-not-close': (_n, _mm, { tension }) => [`The cover will not close, about ${tension('tension')}.`, 'Cut the core smaller or thinner.'],
  'cushion-may-bow': (_, mm) => [
    `The core is ${mm('oversizeMm')} larger than its cover and may bow like a boat.`,
    'Cut it closer to the cover and fill with wrap instead.',
  ],
  'fit-not-known-for-construction': (n) => [
    `How a ${n('construction')} will fit is not predicted: the model knows covers with a band.`,
    'Try the filling in the sewn cover.',
  ],
  'fit-rough-for-filling': (n) => [
    `How the cover will fit round ${n('filling')} goes by a rule of thumb: the fit is a rough guide.`,
    'Try it in the sewn cover before the last seam is closed.',
  ],
  'crown-not-for-construction': (n, mm) => [
    `A ${n('construction')} has no plates that can be domed: the crown of ${mm('crownMm')} is left out.`,
    'Take the crown away, or make another cover.',
  ],
} satisfies Sentences;

declare module '../kernel/issue' {
  interface IssueCodes extends Record<keyof typeof FIT_SENTENCES, true> {}
}
