import type { Sentences } from '../kernel/sentences';

/** What is said of lays. */
export const LAY_SENTENCES = {
  'lay-left-out': (n) => [`The lay leaves ${n('piece')} out, though there is room for it.`, 'Lay it again.'],
  'lay-unknown-piece': (n) => [`The lay holds a piece the job has not: ${n('piece')}.`, 'Lay it again.'],
  'lay-piece-twice': (n) => [`${n('piece')} lies twice.`, 'Lay it again.'],
  'lay-piece-missing': (n) => [`${n('piece')} is missing from the lay.`, 'Lay it again.'],
  'lay-turn-not-allowed': (n) => [`${n('piece')} is turned by ${n('turn')}°, against the cloth.`, 'Lay it again.'],
  'lay-off-pattern': (n, mm) => [`${n('piece')} lies ${mm('byMm')} off the pattern.`, 'Lay it again.'],
  'lay-not-edge-to-edge': () => ['The saw cannot part these pieces from edge to edge.', 'Lay them again.'],
  'lay-outside': (n, mm) => [`${n('piece')} lies ${mm('byMm')} outside the material.`, 'Lay it again.'],
  'lay-too-many-pieces': (n) => [`${n('pieces')} pieces in one lay.`, `Lay at most ${n('most')} at once.`],
  'lay-too-many-points': (n) => [`The outlines have ${n('points')} points together.`, `Take fewer: at most ${n('most')}.`],
  'lay-piece-named-twice': (n) => [`Two pieces are called ${n('piece')}.`, 'Give each a name of its own, and the count for how many there are.'],
  'lay-pin-moved': (n) => [`${n('piece')} does not lie where it was put.`, 'Lay it again.'],
  'lay-overlap': (n) => [`${n('piece')} and ${n('other')} lie on each other.`, 'Lay it again.'],
  'lay-too-near': (n, mm) => [`${n('piece')} and ${n('other')} are ${mm('gapMm')} apart.`, 'Lay it again.'],
} satisfies Sentences;

declare module '../kernel/issue' {
  interface IssueCodes extends Record<keyof typeof LAY_SENTENCES, true> {}
}
