import type { Sentences } from '../kernel/sentences';

/** What is said of old cores and covers. */
export const OLD_SENTENCES = {
  'old-cores-too-short': (_, mm) => [`The old cores are ${mm('missingMm')} too short together.`, 'Fill the gap with an offcut.'],
  'old-cores-do-not-join': () => ['No way was found to make the core’s length of these old cores.', 'Add an offcut, or take a new core.'],
  'old-core-join-sat-on': () => ['A join of the old cores lies where somebody sits.', 'No other way was found with these; an offcut more may give one.'],
  'old-core-mould': () => ['Mould goes through the core.', 'Replace it; keep the dust off your lungs.'],
  'old-core-crumbling': () => ['The foam crumbles.', 'Replace it.'],
  'old-core-no-return': () => ['It does not come back after a squeeze.', 'Replace it.'],
  'old-core-done-for': (n) => [
    `The middle has lost ${n('setPercent')} % of the edge’s thickness.`,
    'Replace it, or put a new firm layer under or over it where the height allows.',
  ],
  'old-core-sat-out': (n) => [`The middle is sat out by ${n('setPercent')} % of the edge’s thickness.`, 'Fill the hollow with a crown pad and wrap it anew.'],
  'old-core-too-soft': (n) => [
    `The old foam measures ${n('hardness')} N where ${n('wanted')} N are wanted: more than a class too soft.`,
    'Replace it, or put a new firm layer under or over it where the height allows.',
  ],
  'old-core-too-light': (n) => [
    `The old foam weighs ${n('density')} kg/m³ where this use wants ${n('floor')}.`,
    'Replace it; keep the old one for lying on or for a seat used now and then.',
  ],
  'old-core-not-rated': () => [
    'Nothing shows that the old core meets a fire rating, and this place asks for one.',
    'Replace it with certified material. Who runs the place and its fire adviser decide, not the shop.',
  ],
  'old-core-outdoors': () => ['It goes outdoors and is not of fast-drying foam: it holds water for days.', 'Replace it with open, fast-drying foam.'],
  'old-core-strip-missing': () => ['A strip of it is missing.', 'Splice one in from an offcut of the same feel.'],
  'old-cover-seams-pull': () => ['Seams pull.', 'Re-stitch them, a row beside the old one.'],
  'old-cover-worn': () => ['The cloth is worn.', 'Renew the cover.'],
  'old-cover-torn': () => ['The cloth is torn.', 'Renew the cover.'],
  'old-cover-shrunk': () => ['It has shrunk.', 'Renew it; wash or steam the new cloth before it is cut.'],
  'old-cover-faded': () => ['The cloth has faded.', 'Renew the cover: beside new cloth it would show.'],
  'old-cover-mould-stained': () => ['Mould has stained the cloth.', 'Renew the cover: washing does not take it out. Look at the core for mould too.'],
  'old-cover-no-zip': () => ['It has no zip: it does not come off to be washed.', 'Renew the cover with a zip.'],
  'old-cover-sewn-shut': () => ['The zip was sewn shut.', 'Unpick it before anything is pulled.'],
  'old-cover-save-zip': () => ['The zip is good.', 'Save it for the new cover.'],
  'old-core-joints-open': () => ['Glued joints have opened.', 'Re-glue them, or splice in an offcut.'],
  'old-core-discoloured': () => ['The foam is discoloured; that alone takes nothing from it.', 'Air it and keep it.'],
  'old-core-smell': () => ['It smells.', 'Air it, powder and vacuum, steam the corners.'],
  'core-mark-twice': (n) => [`The mark “${n('mark')}” stands on the core of “${n('other')}” too.`, 'Mark one of them otherwise, or covers get swapped.'],
} satisfies Sentences;

declare module '../kernel/issue' {
  interface IssueCodes extends Record<keyof typeof OLD_SENTENCES, true> {}
}
