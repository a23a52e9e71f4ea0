import type { Sentences } from '../kernel/sentences';

/** What is said of schools, sizes and the core. */
export const SIZES_SENTENCES = {
  'allowances-leave-nothing': () => ['The allowances leave nothing of the cushion.', 'Check the measures and which size was given.'],
  'allowances-leave-no-height': (_, mm) => [`The allowances leave nothing of a height of ${mm('heightMm')}.`, 'Make it higher, or take another school.'],
  'thin-edge-not-thinner': (_, mm) => [
    `The thin edge is ${mm('thinMm')} and the thick one ${mm('heightMm')}.`,
    'Make the thin one less, or the finished height more.',
  ],
  'school-unknown': (n) => [`No allowance school is called “${n('school')}”.`, 'Choose one of the shop’s schools.'],
  'school-edition-older': (n) => [
    `This cushion keeps edition ${n('edition')} of the school “${n('school')}”, whose numbers have been corrected since.`,
    `Leave it as it was cut, or take edition ${n('newest')} at Build.`,
  ],
  'core-has-no-layers': (_, mm) => ['The core has no foam yet.', `Add layers that make ${mm('wantedMm')}.`],
  'grade-unknown': (n) => [`The shop has no foam called “${n('grade')}”.`, 'Choose one from the catalogue.'],
  'core-glued-up': (n, mm) => [
    `The core is ${mm('coreMm')} ${n('way')} and a sheet of ${n('grade')} gives ${mm('sheetMm')}: it is glued up from ${n('parts')} parts.`,
    'The joins lie between the sitting places where that can be; say at Look over how many sit on it.',
  ],
  'core-larger-than-sheet': (n, mm) => [
    `The core is ${mm('coreMm')} ${n('way')} and a sheet of ${n('grade')} gives ${mm('sheetMm')}.`,
    'No straight cut divides this outline: take foam in larger sheets, or glue up a block before it is cut to shape.',
  ],
  'sheet-thickness-not-stocked': (n, mm) => [
    `${n('grade')} does not come ${mm('thicknessMm')} thick.`,
    `The nearest sheet is ${mm('nearestMm')}; or have it split to size.`,
  ],
  'filling-not-made-so-high': (n, mm) => [`${n('grade')} is not made ${mm('thicknessMm')} high.`, `The nearest is ${mm('nearestMm')}.`],
  'layers-do-not-add-up': (_, mm) => [
    `The layers make ${mm('totalMm')}; the school asks for ${mm('wantedMm')}.`,
    `Change a layer by ${mm('differenceAbsMm')}, add or take out one, or take another school.`,
  ],
  'core-cut-otherwise': (_, mm) => [
    `The core was cut ${mm('widthMm')} × ${mm('depthMm')} × ${mm('heightMm')}, which is up to ${mm('worstMm')} off the plan. Wrap and fit go by that.`,
    'Look at how taut the cover will be; trim the core, or cut it anew.',
  ],
  'test-fit-followed': (_, mm) => [
    `The wrapped core measured ${mm('widthMm')} × ${mm('depthMm')} × ${mm('heightMm')} where ${mm('plannedWidthMm')} × ${mm('plannedDepthMm')} × ${mm('plannedHeightMm')} was planned: plates and boxing follow it.`,
    'Look at the finished size: it has moved by as much.',
  ],
  'test-fit-larger': (_, mm) => [
    `The wrapped core measured up to ${mm('worstMm')} more than the cover is sewn, which stays as planned: it will lie tauter than said.`,
    'Let the cover follow the test-fit at Build, trim the core, or take a thinner wrap.',
  ],
  'test-fit-smaller': (_, mm) => [
    `The wrapped core measured up to ${mm('worstMm')} less than the cover is sewn, which stays as planned: it will lie looser than said.`,
    'Let the cover follow the test-fit at Build, or take a thicker wrap.',
  ],
  'test-fit-not-here': (n) => [
    `A test-fit changes nothing of a ${n('construction')}: its cover is cut to its frame, board or insert, or goes back on as it is.`,
    'Take it out at Build.',
  ],
  'no-wadding': (_, mm) => [`The shop has no wadding, and a wrap of ${mm('loftMm')} is asked for.`, 'Put a wadding into the stockroom.'],
  'wadding-of-another-loft': (n, mm) => [
    `No wadding of ${mm('loftMm')} is in the stockroom; ${n('wadding')}, ${mm('nearestMm')}, is the nearest and is laid.`,
    '',
  ],
  'wrap-very-thin': (_, mm) => [
    `A wadding of ${mm('loftMm')} neither fills the corners nor softens the edges.`,
    `Take one of ${mm('leastMm')} or more, or none.`,
  ],
  'wrap-not-fixed': () => [
    'Nothing holds the wrap: loose wadding rolls up and shifts in the cover.',
    'Fix it with adhesive or by hand, or staple it at the edge.',
  ],
} satisfies Sentences;

declare module '../kernel/issue' {
  interface IssueCodes extends Record<keyof typeof SIZES_SENTENCES, true> {}
}
