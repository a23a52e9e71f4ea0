import type { Print, Sentences } from '../kernel/sentences';

/** What to do about a plate wider than its cloth: only what would work is named, so that one advice does not lead back to the other. */
function wideAdvice(n: Print): string {
  const ways = [
    ...(n('turns') === '1' ? [n('railroaded') === '1' ? 'turn the cloth back: it is railroaded now' : 'railroad the cloth'] : []),
    ...(n('pieces') === '1' ? ['have wide plates made of a middle and two sides, under Cover'] : []),
    'take a wider cloth',
  ];
  const text = ways.length > 1 ? `${ways.slice(0, -1).join(', ')}, or ${ways.at(-1) ?? ''}` : (ways[0] ?? '');
  return `${text.charAt(0).toUpperCase()}${text.slice(1)}.`;
}

/** What is said of the cover. */
export const COVER_SENTENCES = {
  'construction-unknown': (n) => [`No construction is called “${n('kind')}”.`, 'Choose one under Cover.'],
  'construction-not-for-outline': (n) => [`A ${n('construction')} cover cannot be made for this outline: ${n('why')}.`, n('instead')],
  'edge-too-thin-for-zip': (_, mm) => [
    `The back edge is ${mm('edgeMm')} high and the zip ${mm('zipMm')} wide.`,
    'Take a narrower zip, or turn the wedge so that its thick edge is at the back.',
  ],
  'zip-longer-than-cushion': (n, mm) => [
    `A zip opening of ${mm('openingMm')} leaves no boxing in a seam line of ${mm('roundMm')}.`,
    n('own') === '1' ? 'Make the cover for a shorter zip, or with new tape.' : 'Shorten the zip’s return.',
  ],
  'welt-strip-too-narrow': (_, mm) => [
    `A welt strip of ${mm('stripMm')} does not go round its cord with a flange: it takes ${mm('needsMm')} at least.`,
    'Cut it wider, or take a thinner cord.',
  ],
  'welt-strip-gives-flange': (n, mm) => [
    `A welt strip of ${mm('stripMm')} leaves a flange of ${mm('flangeMm')} where the seam takes ${mm('seamMm')}.`,
    n('tighter') === '1' ? `The cover comes out ${mm('byMm')} tighter across and deep.` : `The cover comes out ${mm('byMm')} roomier across and deep.`,
  ],
  'own-zip-without-zip': (_, mm) => [
    `The cover is made for a salvaged zip of ${mm('zipMm')}, and has no zip.`,
    'Close it with a zip, or let go of the salvaged one under Cover, Closing.',
  ],
  'own-zip-not-followed': (_, mm) => [
    `The cover cannot follow its salvaged zip: that one closes ${mm('closesMm')}, the opening here is ${mm('openingMm')}.`,
    'Choose another zip, or another construction: where the opening is as long as its side allows, a zip is set aside for it instead.',
  ],
  'own-zip-for-one': (n, mm) => [
    `The salvaged zip goes into one of these cushions; the others (${n('others')}) take new tape of ${mm('tapeMm')} each.`,
    'Nothing to do.',
  ],
  'zip-too-short-for-core': (n, mm) => [
    `The core needs an opening of ${mm('neededMm')} and the zip gives ${mm('openingMm')}.`,
    n('own') === '1'
      ? 'Make the cover for a longer zip, or with new tape; or compress a soft core in a bag.'
      : 'Run the zip further round the corners, make its pockets shallower, or compress a soft core in a bag.',
  ],
  'straight-welt-on-tight-curve': (_, mm) => [
    `Welt cut straight does not lie round a radius of ${mm('radiusMm')}: woven cloth wants ${mm('leastMm')} or more.`,
    'Cut the welt on the bias, or take a ridge instead.',
  ],
  'plate-cannot-be-pieced': (n, mm) => [
    `A plate ${mm('plateMm')} across cannot be made of a middle and two sides from ${mm('usableMm')} of cloth.`,
    wideAdvice(n),
  ],
  'plate-wider-than-cloth': (n, mm) => [`The plate is ${mm('plateMm')} across and the cloth gives ${mm('usableMm')}.`, wideAdvice(n)],
  'no-room-for-patch': (n) => [`The bottom plate is too small for the ${n('what')}.`, 'Leave it out, or make its margin smaller in the table of constants.'],
  'no-room-for-opening': () => [
    'The back edge is too short for an opening.',
    'Take an envelope back, or turn the template so that a longer edge is at the back.',
  ],
  'raw-edge-wants-allowance': (n, mm) => [
    `A seam allowance of ${mm('seamMm')} is less than ${n('what')} needs: ${mm('leastMm')}.`,
    'Take a wider allowance, or do the shop’s raw edges otherwise: Stockroom.',
  ],
  'slot-not-named': (n) => [`The ${n('what')} is laid on the main cloth as long as no cloth of its own is chosen.`, 'Choose one under Cover, Cloths.'],
  'boxing-join-on-front': () => [
    'A boxing join falls on the front edge; no other place is long enough.',
    'Cut the strips along the roll, or railroad the cloth.',
  ],
  'strip-without-trim': (n, mm) => [
    `The ${n('strip')} is nearly as long as the cloth gives, ${mm('stripMm')}: it is cut with ${mm('trimMm')} of the ${mm('wantedMm')} to trim at its joins.`,
    'Cut it to its length exactly, or cut the strips along the roll.',
  ],
  'cloth-too-narrow-for-strips': (_, mm) => [`No boxing strip can be cut from ${mm('stripMm')} of cloth.`, 'Check the cloth’s width.'],
  'plaque-longer-than-strip': (_, mm) => [
    `The zip plaque is ${mm('plaqueMm')} long and the cloth gives ${mm('stripMm')}.`,
    'Cut the strips along the roll, or shorten the zip.',
  ],
  'tie-near-zip-end': (_, mm) => [`A tie and an end of the zip lie within ${mm('clearMm')} of each other.`, 'Move the tie, or let the zip run past it.'],
  'seam-pair-unequal': (n, mm) => [
    `The two edges of seam “${n('seam')}” differ: ${mm('firstMm')} and ${mm('secondMm')}.`,
    'Please report this job: the cover should never come out so.',
  ],
  'operations-in-a-circle': (n) => [
    `Steps wait for each other in a circle: ${n('operations')}.`,
    'Please report this job: the order of work should never come out so.',
  ],
  'kept-cover-not-measured': () => [
    'The old cover goes back on, and its own size was not measured.',
    'Measure it seam to seam and say so under “measured is”: until then it is taken for what a new one would be.',
  ],
} satisfies Sentences;

declare module '../kernel/issue' {
  interface IssueCodes extends Record<keyof typeof COVER_SENTENCES, true> {}
}
