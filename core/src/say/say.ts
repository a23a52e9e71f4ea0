import type { Issue } from '../kernel/issue';
import type { Pair, UnitSystem } from '../units/length';
import { formatPressureUnit, formatTensionUnit } from '../units/force';
import { formatLengthUnit, formatNumber } from '../units/format';

export interface SayIn {
  readonly units: UnitSystem;
  readonly step: Pair;
}

/** A problem in plain words: what is wrong, and what to do about it. */
export interface Said {
  readonly what: string;
  readonly mend: string;
}

type Print = (key: string) => string;
type Speak = (n: Print, mm: Print, of: { readonly pressure: Print; readonly tension: Print }) => readonly [what: string, mend: string];

const document =
  (lead: string): Speak =>
  (n) => [`${lead}: ${n('detail')}.`, 'Correct the document and read it again.'];

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

/** One sentence pair for each code there is. `mm` prints a length in the job's units, `n` a number or word, `of` what a cover presses and pulls with. */
const SENTENCES: Record<string, Speak> = {
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
  'print-too-many-pages': (n) => [`Full size this takes ${n('pages')} pages, and at most ${n('most')} are printed.`, 'Take larger paper, or a roll.'],
  'outline-crosses-itself': (_, mm) => [
    `The outline crosses itself, ${mm('xMm')} from the left and ${mm('yMm')} from the front.`,
    'Pull the points there apart.',
  ],
  'allowances-leave-nothing': () => ['The allowances leave nothing of the cushion.', 'Check the measures and which size was given.'],
  'allowances-leave-no-height': (_, mm) => [`The allowances leave nothing of a height of ${mm('heightMm')}.`, 'Make it higher, or take another school.'],
  'thin-edge-not-thinner': (_, mm) => [
    `The thin edge is ${mm('thinMm')} and the thick one ${mm('heightMm')}.`,
    'Make the thin one less, or the finished height more.',
  ],
  'edge-too-thin-for-zip': (_, mm) => [
    `The back edge is ${mm('edgeMm')} high and the zip ${mm('zipMm')} wide.`,
    'Take a narrower zip, or turn the wedge so that its thick edge is at the back.',
  ],
  'school-unknown': (n) => [`No allowance school is called “${n('school')}”.`, 'Choose one of the shop’s schools.'],
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
  'zip-longer-than-cushion': (_, mm) => [
    `A zip opening of ${mm('openingMm')} leaves no boxing in a seam line of ${mm('roundMm')}.`,
    'Shorten the zip’s return.',
  ],
  'zip-too-short-for-core': (_, mm) => [
    `The core needs an opening of ${mm('neededMm')} and the zip gives ${mm('openingMm')}.`,
    'Run the zip further round the corners, make its pockets shallower, or compress a soft core in a bag.',
  ],
  'straight-welt-on-tight-curve': (_, mm) => [
    `Welt cut straight does not lie round a radius of ${mm('radiusMm')}: woven cloth wants ${mm('leastMm')} or more.`,
    'Cut the welt on the bias, or take a ridge instead.',
  ],
  'plate-cannot-be-pieced': (n, mm) => [
    `A plate ${mm('plateMm')} across cannot be made of a middle and two sides from ${mm('usableMm')} of cloth.`,
    wideAdvice(n),
  ],
  'no-room-for-patch': (n) => [`The bottom plate is too small for the ${n('what')}.`, 'Leave it out, or make its margin smaller in the table of constants.'],
  'split-count': (n) => [`A seat is split into 2 to ${n('most')} cushions.`, ''],
  'split-gap': (_, mm) => [`The gap between two cushions is between nothing and ${mm('mostMm')}.`, ''],
  'split-too-narrow': (_, mm) => [`No cushion is narrower than ${mm('leastMm')}.`, 'Split it into fewer, or make the gap smaller.'],
  'split-widths-do-not-add-up': (_, mm) => [`The widths make ${mm('sumMm')}, and beside the gaps there are ${mm('roomMm')}.`, 'Make them add up to the seat.'],
  'split-not-for-outline': () => ['A straight cut would leave this outline in loose parts.', 'Draw each cushion by its points instead.'],
  'top-layer-not-over-front': () => [
    'On a frame the top layer runs over the front and down, and the layers under it end that much short of it.',
    'Choose *over the front* for the top layer under Build.',
  ],
  'layers-not-in-case': () => [
    'The case is filled with loose feather by weight: the layers under Filling are not used.',
    'Take it as an envelope, or clear the layers.',
  ],
  'envelope-without-feather': () => [
    'An envelope goes round a core in cases as high as the feather layers of the filling, and there is none.',
    'Add a feather layer above and below the core under Filling.',
  ],
  'no-springs-in-filling': () => ['There is no spring unit in the filling: the felt is reckoned round the whole core.', 'Choose a spring unit under Filling.'],
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
  'plate-wider-than-cloth': (n, mm) => [`The plate is ${mm('plateMm')} across and the cloth gives ${mm('usableMm')}.`, wideAdvice(n)],
  'tie-near-zip-end': (_, mm) => [`A tie and an end of the zip lie within ${mm('clearMm')} of each other.`, 'Move the tie, or let the zip run past it.'],
  'seam-pair-unequal': (n, mm) => [
    `The two edges of seam “${n('seam')}” differ: ${mm('firstMm')} and ${mm('secondMm')}.`,
    'Please report this job: the cover should never come out so.',
  ],
  'piece-missing': (n, mm) => [
    `${n('piece')}, ${mm('widthMm')} × ${mm('heightMm')}, fits on none of its material: it is missing from what is bought.`,
    'Take a wider or longer material, or divide the piece.',
  ],
  'no-wadding': (_, mm) => [`The shop has no wadding, and a wrap of ${mm('loftMm')} is asked for.`, 'Put a wadding into the stockroom.'],
  'wadding-of-another-loft': (n, mm) => [
    `No wadding of ${mm('loftMm')} is in the stockroom; ${n('wadding')}, ${mm('nearestMm')}, is the nearest and is laid.`,
    '',
  ],
  'lay-left-out': (n) => [`The lay leaves ${n('piece')} out, though there is room for it.`, 'Lay it again.'],
  'kept-cover-not-measured': () => [
    'The old cover goes back on, and its own size was not measured.',
    'Measure it seam to seam and say so under “measured is”: until then it is taken for what a new one would be.',
  ],
  'old-cores-too-short': (_, mm) => [`The old cores are ${mm('missingMm')} too short together.`, 'Fill the gap with an offcut.'],
  'old-cores-do-not-join': () => ['No way was found to make the core’s length of these old cores.', 'Add an offcut, or take a new core.'],
  'old-core-join-sat-on': () => ['A join of the old cores lies where somebody sits.', 'No other way was found with these; an offcut more may give one.'],
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
  'lay-unknown-piece': (n) => [`The lay holds a piece the job has not: ${n('piece')}.`, 'Lay it again.'],
  'lay-piece-twice': (n) => [`${n('piece')} lies twice.`, 'Lay it again.'],
  'lay-piece-missing': (n) => [`${n('piece')} is missing from the lay.`, 'Lay it again.'],
  'lay-turn-not-allowed': (n) => [`${n('piece')} is turned by ${n('turn')}°, against the cloth.`, 'Lay it again.'],
  'lay-off-pattern': (n, mm) => [`${n('piece')} lies ${mm('byMm')} off the pattern.`, 'Lay it again.'],
  'lay-not-edge-to-edge': () => ['The saw cannot part these pieces from edge to edge.', 'Lay them again.'],
  'pattern-cannot-match': (n) => [
    `${n('cushion')} cannot be matched to the pattern of ${n('cloth')}: a piece with a motif in its middle would not lie between the selvedges. It is laid as if there were no pattern.`,
    'Lay it the other way up the roll, split the seat, or take a wider cloth.',
  ],
  'lay-outside': (n, mm) => [`${n('piece')} lies ${mm('byMm')} outside the material.`, 'Lay it again.'],
  'lay-too-many-pieces': (n) => [`${n('pieces')} pieces in one lay.`, `Lay at most ${n('most')} at once.`],
  'lay-too-many-points': (n) => [`The outlines have ${n('points')} points together.`, `Take fewer: at most ${n('most')}.`],
  'lay-piece-named-twice': (n) => [`Two pieces are called ${n('piece')}.`, 'Give each a name of its own, and the count for how many there are.'],
  'lay-pin-moved': (n) => [`${n('piece')} does not lie where it was put.`, 'Lay it again.'],
  'lay-overlap': (n) => [`${n('piece')} and ${n('other')} lie on each other.`, 'Lay it again.'],
  'lay-too-near': (n, mm) => [`${n('piece')} and ${n('other')} are ${mm('gapMm')} apart.`, 'Lay it again.'],
  'old-core-mould': () => ['Mould goes through the core.', 'Replace it; keep the dust off your lungs.'],
  'old-core-crumbling': () => ['The foam crumbles.', 'Replace it.'],
  'old-core-no-return': () => ['It does not come back after a squeeze.', 'Replace it.'],
  'old-core-done-for': (n) => [
    `The middle has lost ${n('setPercent')} % of the edge’s thickness.`,
    'Replace it, or put a new firm layer under or over it where the height allows.',
  ],
  'old-core-sat-out': (n) => [`The middle has lost ${n('setPercent')} % of the edge’s thickness.`, 'Fill the hollow with a crown pad and wrap it anew.'],
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
  'old-cover-sewn-shut': () => ['The zip was sewn shut.', 'Unpick it before anything is pulled.'],
  'old-cover-save-zip': () => ['The zip is good.', 'Save it for the new cover.'],
  'core-mark-twice': (n) => [`The mark “${n('mark')}” stands on the core of “${n('other')}” too.`, 'Mark one of them otherwise, or covers get swapped.'],
  'lot-would-be-split': (n, mm) => [
    `${n('sheets')} sheets of ${n('grade')}, ${mm('thicknessMm')}, are needed; no lot on the shelf holds more than ${n('most')} of the ${n('together')} there.`,
    'Order all of it from one lot: cushions of two lots feel different.',
  ],
  'board-too-small-for-flange': (_, mm) => [
    `The board is too small for a flange of ${mm('flangeMm')}.`,
    'Staple the band itself under the board, or take a narrower flange in the constants.',
  ],
  'frame-too-small-to-staple': (_, mm) => [
    `The frame is too small for a line of staples ${mm('lineMm')} in from its edge.`,
    'Take a smaller distance in the constants.',
  ],
  'no-inner-case': () => ['An inner case cannot be drawn outside this outline.', 'Even the outline out under Template, or take a boxed cover.'],
  'envelope-not-for-outline': () => [
    'An envelope back needs an outline that a straight cut parts in two.',
    'It is planned closed by hand; take a zip otherwise.',
  ],
  'no-room-for-opening': () => [
    'The back edge is too short for an opening.',
    'Take an envelope back, or turn the template so that a longer edge is at the back.',
  ],
  'fit-not-known-for-construction': (n) => [
    `How a ${n('construction')} will fit is not predicted: the model knows covers with a band.`,
    'Try the filling in the sewn cover.',
  ],
  'crown-not-for-construction': (n, mm) => [
    `A ${n('construction')} has no plates that can be domed: the crown of ${mm('crownMm')} is left out.`,
    'Take the crown away, or make another cover.',
  ],
  'operations-in-a-circle': (n) => [
    `Steps wait for each other in a circle: ${n('operations')}.`,
    'Please report this job: the order of work should never come out so.',
  ],
  'own-cloth-short': (n, mm) => [
    `The customer’s own cloth, ${n('cloth')}, is ${mm('shortMm')} too short: ${mm('neededMm')} are needed and ${mm('thereMm')} are there.`,
    'Railroad it, join more, or name another cloth for a part that is not seen.',
  ],
  'construction-not-for-outline': (n) => [`A ${n('construction')} cover cannot be made for this outline: ${n('why')}.`, n('instead')],
  'fit-rough-for-filling': (n) => [
    `How the cover will fit round ${n('filling')} goes by a rule of thumb: the fit is a rough guide.`,
    'Try it in the sewn cover before the last seam is closed.',
  ],
  'wrap-very-thin': (_, mm) => [
    `A wadding of ${mm('loftMm')} neither fills the corners nor softens the edges.`,
    `Take one of ${mm('leastMm')} or more, or none.`,
  ],
  'wrap-not-fixed': () => [
    'Nothing holds the wrap: loose wadding rolls up and shifts in the cover.',
    'Fix it with adhesive or by hand, or staple it at the edge.',
  ],
  'school-edition-older': (n) => [
    `This cushion keeps edition ${n('edition')} of the school “${n('school')}”, whose numbers have been corrected since.`,
    `Leave it as it was cut, or take edition ${n('newest')} at Build.`,
  ],
  'old-core-joints-open': () => ['Glued joints have opened.', 'Re-glue them, or splice in an offcut.'],
  'old-core-discoloured': () => ['The foam is discoloured; that alone takes nothing from it.', 'Air it and keep it.'],
  'old-core-smell': () => ['It smells.', 'Air it, powder and vacuum, steam the corners.'],
  'more-collected-than-poured': (n) => [`More water was collected than the ${n('pouredL')} litres poured on.`, 'Read the jug again.'],
  'press-not-pressed': (_, mm) => [
    `The sample is ${mm('loadedMm')} under the load and ${mm('thicknessMm')} without: nothing was pressed.`,
    'Read the thickness under the load again.',
  ],
  'press-on-the-ground': (_, mm) => [
    `Only ${mm('loadedMm')} were left under the load: the foam lay on the ground.`,
    'Take a lighter load or a thicker sample.',
  ],
  'file-too-large': (n) => [`The file is longer than ${n('limit')} characters.`, 'A job file is far smaller: check that it is the right one.'],
  'file-unreadable': (n) => [`The file “${n('file')}” cannot be read.`, 'Check its name and place.'],
  'picture-corners-on-a-line': () => ['Three of the four corners lie on one line.', 'Put each on its own corner of the sheet.'],
  'picture-line-open': () => [
    'The line on the sheet is not closed, or too faint.',
    'Go over it with a darker marker, or look for a gap, and take the picture again.',
  ],
  'picture-without-line': () => ['No line was found on the sheet.', 'Draw it dark, and keep its whole length on the sheet.'],
  'picture-without-sheet': () => ['No sheet stands out in the picture.', 'Lay it on something darker, or put the four corners on it by hand.'],
  stopped: () => ['Stopped by hand.', ''],
  'file-kind-unknown': (n) => [`Outlines are not read from “${n('file')}”.`, `Take one of ${n('kinds')}.`],
  'file-not-of-its-kind': (n) => [
    `The file is not ${n('kind')} as it should be${n('detail') ? `: ${n('detail')}` : ''}.`,
    'Export it again, or take another format.',
  ],
  'file-line-unreadable': (n) => [
    `Line ${n('line')} of the ${n('kind')} file cannot be read right: ${n('detail')}.`,
    'Export it again, or take another format.',
  ],
  'entities-not-read': (n) => [`Of the drawing ${n('kinds')} was not read.`, 'Turn it into lines and arcs if it belongs to the outline.'],
  'file-takes-too-long': (n) => [
    `“${n('file')}” was not read within ${n('seconds')} seconds.`,
    'An outline of a seat takes a moment: look in the program that drew it for thousands of copies, or curves without end.',
  ],
  'file-without-outline': () => ['The file holds no closed outline.', 'Close it in the program that drew it, and export it again.'],
  'outline-too-fine': (n) => [`The outline has more than ${n('most')} parts.`, 'Simplify it before it is exported.'],
  'more-outlines': (n) => [`${n('others')} more lines were in the file; the largest closed one was taken.`, ''],
  'units-not-said': () => ['The file does not say its units; millimetres were taken.', 'Say mm or inch if its size is wrong.'],
  'offset-trimmed': () => ['A corner closed up; what was left was trimmed.', 'Look whether the shape is still the one that is wanted.'],
  'nothing-left': () => ['Nothing is left of the outline.', 'Take off less.'],
  'print-too-many-labels': (n) => [`That is ${n('labels')} labels; ${n('most')} are printed at a time.`, 'Print the labels of one cushion after another.'],
  'file-unwritable': (n) => [`The file “${n('file')}” cannot be written.`, 'Check its folder.'],
  'file-not-json': () => ['The file is not JSON text.', 'Choose a job file that was exported from here, or one written to its description.'],
};

/** Every code that has a sentence of its own. */
export const SPOKEN_CODES: readonly string[] = Object.keys(SENTENCES);

const DOCUMENT_SENTENCE = document('The document is not as it should be');

/** The problem in words, lengths in the job's units at the shop's step. An unknown code speaks by its name rather than not at all. */
export function say(problem: Issue, { units, step }: SayIn): Said {
  const data = problem.data;
  const value = (key: string): number => Number(key === 'differenceAbsMm' ? Math.abs(Number(data['differenceMm'])) : data[key]);
  const mm = (key: string): string => formatLengthUnit(value(key), units, step);
  const n = (key: string): string => (typeof data[key] === 'number' ? formatNumber(value(key)) : String(data[key] ?? ''));
  const speak = SENTENCES[problem.code] ?? (problem.code.startsWith('document-') ? DOCUMENT_SENTENCE : undefined);
  const pressure = (key: string): string => formatPressureUnit(value(key), units);
  const tension = (key: string): string => formatTensionUnit(value(key), units);
  const [what, mend] = speak ? speak(n, mm, { pressure, tension }) : [problem.code.replaceAll('-', ' '), ''];
  return { what, mend };
}

/** Both sentences as one message. */
export function sayLine(problem: Issue, inWords: SayIn): string {
  const { what, mend } = say(problem, inWords);
  return mend ? `${what} ${mend}` : what;
}
