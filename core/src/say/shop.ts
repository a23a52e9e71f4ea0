import type { Sentences } from '../kernel/sentences';

/** What is said of what is bought and what there is. */
export const SHOP_SENTENCES = {
  'piece-missing': (n, mm) => [
    `${n('piece')}, ${mm('widthMm')} × ${mm('heightMm')}, fits on none of its material: it is missing from what is bought.`,
    'Take a wider or longer material, or divide the piece.',
  ],
  'lot-would-be-split': (n, mm) => [
    `${n('sheets')} sheets of ${n('grade')}, ${mm('thicknessMm')}, are needed; no lot on the shelf holds more than ${n('most')} of the ${n('together')} there.`,
    'Order all of it from one lot: cushions of two lots feel different.',
  ],
  'lot-other-than-before': (n) => [
    n('now')
      ? `${n('grade')} was of lot ${n('before')} before, and is of lot ${n('now')} now.`
      : `${n('grade')} was of lot ${n('before')} before, and no lot is noted for what is cut now.`,
    'Cushions of two lots may feel different: ask the supplier for the same one, or tell the customer.',
  ],
  'lot-softer-than-grade': (n) => [
    `Lot ${n('lot')} of ${n('grade')} measured ${n('measuredN')} N at the gauges and is sold as ${n('soldN')} N: it sits softer than this plan says.`,
    'Take another lot, a firmer grade, or tell the supplier.',
  ],
  'own-cloth-short': (n, mm) => [
    `The customer’s own cloth, ${n('cloth')}, is ${mm('shortMm')} too short: ${mm('neededMm')} are needed and ${mm('thereMm')} are there.`,
    'Railroad it, join more, or name another cloth for a part that is not seen.',
  ],
  'pattern-cannot-match': (n) => [
    `${n('cushion')} cannot be matched to the pattern of ${n('cloth')}: a piece with a motif in its middle would not lie between the selvedges. It is laid as if there were no pattern.`,
    'Lay it the other way up the roll, split the seat, or take a wider cloth.',
  ],
} satisfies Sentences;

declare module '../kernel/issue' {
  interface IssueCodes extends Record<keyof typeof SHOP_SENTENCES, true> {}
}
