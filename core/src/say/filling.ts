import type { Sentences } from '../kernel/sentences';

/** What is said of fillings and who sits on them. */
export const FILLING_SENTENCES = {
  'sitter-bottoms-out': (n) => [
    `This filling is sat through: ${n('layer')} gives by ${n('strainPercent')} % where the weight is greatest.`,
    'Take a firmer or a thicker layer there, or put a firm one underneath.',
  ],
  'soft-under-firm': (n) => [`${n('below')} lies under the firmer ${n('above')}.`, 'Put the firm layer at the bottom and the soft one on top.'],
  'indoor-foam-outdoors': (n) => [`${n('filling')} holds water for days out of doors.`, 'Take an open, fast-drying foam.'],
  'kept-core-outdoors': (n) => [
    n('filling')
      ? `The core that goes back in is ${n('filling')}, which holds water for days out of doors.`
      : 'The old core goes back in out of doors, and nothing says that it is of foam that dries there.',
    'Take a new one of open, fast-drying foam.',
  ],
  'fixed-cover-outdoors': () => ['This cover does not come off, and out of doors it has to: what gets wet inside stays wet.', 'Close it with a zip.'],
  'firm-on-hard-base': (n, mm) => [
    `Firm is wanted on ${n('base') === 'board' ? 'a bare board' : 'a folding bed'}: the firmest foams sit like a board there.`,
    `Take the medium class; the firmest only in a pad of up to ${mm('thinMm')}.`,
  ],
  'indoor-wadding-outdoors': (n) => [`${n('wadding')} holds water out of doors.`, 'Take an open, quick-drying wadding, or no wrap.'],
  'bad-core-kept': (n) => [
    `The old core goes back in, and it ${{ mould: 'is mouldy', crumbling: 'crumbles', 'no-return': 'does not come back' }[n('finding')] ?? 'is past use'}.`,
    'Replace it.',
  ],
  'core-kept-against-verdict': () => ['The old core goes back in against the verdict on it.', 'Replace it, or put a new firm layer under or over it.'],
  'kept-core-not-rated': () => [
    'The old core goes back in, and nothing shows that it meets the fire rules of this place.',
    'Replace it with certified material; who runs the place and its fire adviser decide, not the shop.',
  ],
  'filling-not-rated': (n) => [
    `No fire rating of ${n('filling')} is known, and this place asks for certified material.`,
    'Ask the supplier for its certificate and note it in the stockroom, or take a certified filling.',
  ],
  'feather-under-heavy': () => [
    'Feather and down alone will not carry who sits here.',
    'Put a sprung or foam core inside, with the feather as an envelope round it.',
  ],
  'more-collected-than-poured': (n) => [`More water was collected than the ${n('pouredL')} litres poured on.`, 'Read the jug again.'],
  'press-not-pressed': (_, mm) => [
    `The sample is ${mm('loadedMm')} under the load and ${mm('thicknessMm')} without: nothing was pressed.`,
    'Read the thickness under the load again.',
  ],
  'press-on-the-ground': (_, mm) => [
    `Only ${mm('loadedMm')} were left under the load: the foam lay on the ground.`,
    'Take a lighter load or a thicker sample.',
  ],
} satisfies Sentences;

declare module '../kernel/issue' {
  interface IssueCodes extends Record<keyof typeof FILLING_SENTENCES, true> {}
}
