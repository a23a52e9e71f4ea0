import { given, type Figure } from '../../kernel/figure';
import type { Piece } from '../../piece/piece';
import { operation, type Operation } from '../../piece/operation';
import { minutesFor } from '../../shop/minutes';
import { clipEvery } from '../band/corners';
import { showsHoles } from '../../material/material';
import { weltRing } from '../sewing/steps';
import { drawnDown } from '../sewing/drawn-down';
import { slippedKnotStages } from '../sewing/hand-stages';
import { steamed, type CuttingWords } from '../sewing/cloth-way';
import { cutCover, dress, insertCore } from '../sewing/cover-operations';
import { plaqueIsLast, weltWithBoxing } from './choices';
import { closingByHand, cornersLast, joiningInPlace, opening, plaqueEnds, plaqueIn, plaqueMaking } from './closing-operations';
import { makingUp } from './making-up';
import { isJoinedInPlace, isPanelByPanel } from './order';
import { ridgesOf } from './ridges';
import { clipsPerCorner, cornerCount, idsOf, lastCorner, many, sewingMinutes, type BoxWork } from './work';

/** What is cut and notched of a cover: only what it has. */
function cutting(work: BoxWork): CuttingWords {
  const { band, closing } = work;
  const marks = ['centres', 'corners', ...(countMarks(work, 'tie') ? ['ties'] : []), closing.kind === 'zip' ? 'zip ends' : 'the ends of the opening'];
  const on = band.plaque ? ['plates', 'boxing', 'plaque'] : ['plates', 'boxing'];
  const list = (words: readonly string[]): string => `${words.slice(0, -1).join(', ')} and ${words.at(-1) ?? ''}`;
  return {
    strips: 'the long strips',
    rest: 'the plates',
    notch: `Notch ${list(marks)} on ${list(on)}, on both edges of ${band.plaque ? 'boxing and plaque' : 'the boxing'}.`,
  };
}

/** What of the band is sewn to both plates: all of it, or without a plaque that comes last. */
const bandIds = ({ band, choices }: BoxWork): string[] => idsOf(...band.boxing, ...(plaqueIsLast(choices) ? [] : (band.plaque?.pieces ?? [])));

/** The ring of boxing and plaque is whole before it meets the first plate. */
const ringFirst = ({ choices, band }: BoxWork): boolean => !plaqueIsLast(choices) && !isJoinedInPlace(choices, band) && !isPanelByPanel(choices, band);

const countMarks = ({ request: { marks } }: BoxWork, kind: 'tie' | 'button'): number => marks.filter((mark) => mark.kind === kind).length;

function tying(work: BoxWork): Operation[] {
  const ties = countMarks(work, 'tie');
  if (ties === 0) return [];
  // Where the ring is not whole yet the ties are held by the bottom plate.
  const last = !ringFirst(work);
  const holes = showsHoles(work.request.cloth('main'));
  return [
    operation({
      id: 'sew/ties',
      phase: 'sew',
      text: `${holes ? 'Staple, in the allowance,' : 'Baste'} ${many(ties, 'the pair of ties at its notch', 'pairs of ties at their notches')} on the ${last ? 'bottom plate' : 'band’s lower edge'}, ends towards the middle, and back-tack over them${holes ? '; draw the staples' : ''}.`,
      cautions: ['No tie where a join or an end of the zip lies.'],
      pieces: ['tie', ...(last ? idsOf(work.plates.bottom) : bandIds(work))],
      minutes: sewingMinutes(work, [], ties),
      needs: 'machine',
      after: [...(last ? ['cut/notch'] : ['sew/plaque-ends']), 'sew/ties-made', 'sew/boxing-joins', 'sew/panel-corners'],
    }),
  ];
}

/** How the band is sewn to the first plate, in words, by the order of work. */
function toTopWords(work: BoxWork): Pick<Operation, 'text' | 'figures'> {
  const { choices, request, band } = work;
  const { assume, sewn, sizes } = request;
  if (isPanelByPanel(choices, band)) {
    const plaque = band.plaque ? ', the plaque as one of them,' : '';
    return { text: `Sew each panel${plaque} to the top plate by itself, stopped one allowance short at both ends.`, figures: [] };
  }
  const last = plaqueIsLast(choices);
  const what = last || isJoinedInPlace(choices, band) ? 'boxing' : 'band';
  if (band.panels) {
    const run = last ? 'from one end of the zip round to the other' : 'corner to corner';
    return { text: `Sew the ${what} to the top plate, ${run}, pivoting where the panels’ seams stop.`, figures: [] };
  }
  const clips = clipsPerCorner(work);
  const every = clipEvery(sewn, sizes.seam.value, assume('clipOpenMm'));
  const figures: readonly Figure[] = every === null ? [] : [given('between clips', every, 'shop')];
  const clipped = `clip the boxing ${clips === 1 ? 'once' : `${clips} times`} at each corner${every === null ? '.' : ', and every {0} along the curves.'}`;
  if (isJoinedInPlace(choices, band))
    return {
      text: `Sew the boxing to the top plate, its ends long, from the back round; ${clipped} Stop {${figures.length}} short of each end of the zip.`,
      figures: [...figures, given('short of it', assume('joinStopMm'), 'shop')],
    };
  return { text: `Sew the ${what} to the top plate, ${last ? 'from one end of the zip round to the other' : 'notch to notch'}; ${clipped}`, figures };
}

/** A welt that is caught between plate and band in one row. */
interface CaughtWelt {
  /** What it adds to the step, its figures counted from `{at}` on. */
  readonly words: string;
  readonly figures: readonly Figure[];
  readonly piece: Piece | undefined;
}

/** The welt of one side where it is sewn on with the boxing; the first says what both save. */
function caughtWelt(work: BoxWork, side: 'top' | 'bottom', at: number): CaughtWelt | null {
  const { welts, seams, choices, request } = work;
  const caught = seams.filter(({ id }) => id === 'welt-top' || id === 'welt-bottom');
  if (!weltWithBoxing(choices) || !caught.some(({ id }) => id === `welt-${side}`)) return null;
  const runMm = caught.reduce((mm, { edges }) => mm + edges[0].lengthMm, 0);
  const saved = minutesFor('sew', runMm, caught.length * cornerCount(work), request.assume);
  const words = ` Lay the welt between, its raw edges on theirs, and sew all in one go; begin {${at}} past the centre back and close its ring as you come round.`;
  return {
    words: side === 'top' ? `${words} That saves {${at + 1}} min over sewing the welt on first.` : words,
    figures: [
      given('past the mark', request.assume('ringOverlapMm'), 'shop'),
      ...(side === 'top' ? [given('saved', Math.round(saved), 'counted', 'count')] : []),
    ],
    piece: welts?.[side]?.piece,
  };
}

/** The band to the first plate. */
function toTop(work: BoxWork): Operation {
  const { choices, plates, band, request } = work;
  const onePanel = isPanelByPanel(choices, band);
  const { text, figures } = toTopWords(work);
  const welt = caughtWelt(work, 'top', figures.length);
  return operation({
    text: `${text}${welt?.words ?? ''}`,
    figures: [...figures, ...(welt?.figures ?? [])],
    stages: welt ? weltRing(request.assume) : [],
    id: 'sew/band-to-top',
    foot: 'edge',
    phase: 'sew',
    cautions: ['Clip the allowance, not the stitch.', ...(plates.eased ? ['Ease the domed plate in evenly between the notches; no pleat at a corner.'] : [])],
    pieces: [...idsOf(plates.top, welt?.piece), ...(isJoinedInPlace(choices, band) ? idsOf(...band.boxing) : bandIds(work))],
    seams: ['band-to-top', ...(welt ? ['welt-top'] : [])],
    looks: [...(onePanel ? [] : (['corners'] as const)), ...(welt ? (['welt'] as const) : [])],
    minutes: sewingMinutes(work, ['band-to-top'], cornerCount(work)),
    needs: 'machine',
    after: [
      'sew/boxing-joins',
      'sew/panel-corners',
      'sew/ridge-panels',
      'sew/ties',
      'sew/welt-on',
      'sew/welt',
      'sew/inner-corners',
      'sew/handles',
      'sew/vents',
      ...(ringFirst(work) ? ['sew/plaque-ends'] : onePanel ? ['sew/plaque', 'cut/notch'] : []),
    ],
  });
}

/** Closing the ring of panels, once the first plate holds its corners. */
function closeRing(work: BoxWork): Operation[] {
  const seam = lastCorner(work);
  if (!seam) return [];
  return [
    operation({
      id: 'sew/last-corner',
      phase: 'sew',
      text: `Close the chain’s last corner${work.band.plaque ? ', the plaque’s right end' : ''}, stopped one allowance short at the bottom.`,
      pieces: bandIds(work),
      seams: [seam],
      minutes: sewingMinutes(work, [seam]),
      needs: 'machine',
      after: ['sew/band-to-top'],
    }),
  ];
}

function markButtons(work: BoxWork): Operation[] {
  const buttons = countMarks(work, 'button');
  if (buttons === 0) return [];
  return [
    operation({
      id: 'sew/buttons',
      phase: 'sew',
      text: `Mark ${many(buttons, 'the button', 'buttons')} on both plates before they are closed in.`,
      pieces: idsOf(work.plates.top, work.plates.bottom),
      minutes: minutesFor('cut', 0, 2 * buttons, work.request.assume),
      needs: 'table',
      after: ['sew/band-to-top'],
    }),
  ];
}

function bottomCaution({ closing, choices }: BoxWork): string {
  if (closing.kind === 'hand') return 'Back-tack both ends of the opening.';
  return plaqueIsLast(choices)
    ? 'Where the plaque goes, both plates stay open until it is set in.'
    : 'The zip stands open a hand’s width before the last seam closes.';
}

/** The band to the second plate. */
function toBottom(work: BoxWork): Operation {
  const { closing, choices, plates, extras, band } = work;
  const last = plaqueIsLast(choices);
  const onePanel = isPanelByPanel(choices, band);
  const own = closing.kind === 'hand' ? [closing.opening] : [];
  const welt = caughtWelt(work, 'bottom', own.length);
  const patches = extras.operations.filter(({ id }) => id === 'sew/drain-panel' || id === 'sew/anti-slip-base').map(({ id }) => id);
  return operation({
    id: 'sew/band-to-bottom',
    foot: 'edge',
    phase: 'sew',
    text: `${
      onePanel
        ? `Sew each panel to the bottom plate the same way, each opposite its twin.${closing.kind === 'hand' ? ' Leave {0} open in the middle of the back.' : ''}`
        : last
          ? 'Sew the boxing to the bottom plate the same way, from one end of the zip round to the other, each corner opposite its twin.'
          : `Sew the band to the bottom plate from notch to notch, each corner opposite its twin.${closing.kind === 'hand' ? ' Leave {0} open in the middle of the back.' : ''}`
    }${welt?.words ?? ''}`,
    figures: [...own, ...(welt?.figures ?? [])],
    cautions: [bottomCaution(work)],
    pieces: [...idsOf(plates.bottom, welt?.piece), ...bandIds(work)],
    seams: ['band-to-bottom', ...(welt ? ['welt-bottom'] : [])],
    looks: [
      ...(onePanel ? [] : (['opposite'] as const)),
      'pleats',
      ...(countMarks(work, 'tie') ? (['ties'] as const) : []),
      ...(welt ? (['welt'] as const) : []),
    ],
    minutes: sewingMinutes(work, ['band-to-bottom'], cornerCount(work)),
    needs: 'machine',
    after: [
      'sew/band-to-top',
      'sew/join-in-place',
      'sew/last-corner',
      'sew/ridge-last-corner',
      'sew/ridge-top',
      'sew/buttons',
      ...patches,
      ...(last ? [] : ['sew/open-zip']),
    ],
  });
}

function drawButtons(work: BoxWork, after: string): Operation[] {
  const buttons = countMarks(work, 'button');
  if (buttons === 0) return [];
  const { sizes, assume } = work.request;
  const depth = drawnDown(sizes, assume);
  return [
    operation({
      id: 'fill/buttons',
      phase: 'fill',
      text: `Cover ${2 * buttons} buttons and draw ${many(buttons, 'the pair', 'pairs')} through the core with twine, one on each face, held by a slipped knot, all {0} deep.`,
      figures: [depth],
      tools: ['long needle'],
      pieces: ['button'],
      stages: slippedKnotStages(work.request.sizes.sewn.height.value, depth.value),
      minutes: minutesFor('hand', 0, 3 * buttons, work.request.assume),
      needs: 'hand',
      after: [after],
    }),
  ];
}

const SHUT = { zip: ', close the zip', hand: '', 'hook-and-loop': ', close the hook and loop', envelope: '', staples: '' };

/** The sewing of a boxed cover, in an order that keeps every later seam reachable. */
export function boxOperations(work: BoxWork): Operation[] {
  const { choices, request, closing, extras, pieces } = work;
  const ridge = ridgesOf(work);
  const last = plaqueIsLast(choices);
  const filled = closing.kind === 'hand' ? (ridge.byHand.length ? 'fill/ridge' : 'fill/close') : 'fill/insert';
  const shut = last ? 'sew/plaque-in' : isPanelByPanel(choices, work.band) ? 'sew/corners-last' : 'sew/band-to-bottom';
  return [
    ...cutCover(pieces, cutting(work), request),
    ...plaqueMaking(work),
    ...makingUp(work),
    ...ridge.panels,
    ...extras.operations,
    ...(ringFirst(work) ? plaqueEnds(work) : []),
    ...tying(work),
    toTop(work),
    ...joiningInPlace(work),
    ...closeRing(work),
    ...ridge.lastCorner,
    ...ridge.top,
    ...markButtons(work),
    ...(last ? [] : opening(work)),
    toBottom(work),
    ...cornersLast(work),
    ...ridge.bottom,
    ...(last ? [...opening(work), ...plaqueEnds(work), ...plaqueIn(work), ...ridge.plaque] : []),
    { ...insertCore(request, shut), after: [shut, 'sew/ridge-bottom', 'sew/ridge-plaque'] },
    ...closingByHand(work),
    ...ridge.byHand,
    ...drawButtons(work, filled),
    dress(
      request,
      `Fill the corners with loose wadding, work the seam to the edge${SHUT[closing.kind]}${steamed(request.cloth('main'))}`,
      cornerCount(work),
      countMarks(work, 'button') ? 'fill/buttons' : filled,
    ),
  ];
}
