import { given, type Figure } from '../../kernel/figure';
import { operation, type Operation } from '../../piece/operation';
import { minutesFor } from '../../shop/minutes';
import { plaqueText, plaqueTools } from '../sewing/cloth-way';
import { openZip } from '../sewing/cover-operations';
import type { Stage } from '../../piece/stage';
import { hemmedEndStages, placketStages } from '../plaque/plaque-stages';
import { threeCutsStages } from '../sewing/corner-stages';
import { ladderStages } from '../sewing/hand-stages';
import { inPlaceStages } from '../sewing/ring-stages';
import { endsFor, plaqueIsLast } from './choices';
import { isJoinedInPlace, isPanelByPanel } from './order';
import { idsOf, lastCorner, present, sewingMinutes, type BoxWork } from './work';

const SLIDER = 'Slider on, and a stop sewn across each end, before the plaque is closed in.';
const MEASURE = 'Measure the finished plaque against the boxing and trim it to match, to the millimetre.';

interface Words {
  readonly text: string;
  readonly figures: readonly Figure[];
  readonly cautions: readonly string[];
}

/** How the plaque's ends meet the boxing. */
function endWords(work: BoxWork): Words {
  const { choices, band, request } = work;
  const { sizes, assume } = request;
  const plain = (text: string): Words => ({ text, figures: [], cautions: [] });
  // Panels are a chain: one of its corners stays open until the first plate is on.
  if (lastCorner(work))
    return plain('Sew the plaque’s left end to its panel, stopped one allowance short; its right end, the chain’s last corner, stays open.');
  if (band.panels || sizes.slope) return plain('Sew the plaque to the panels at both ends, stopped one allowance short.');
  switch (endsFor(choices)) {
    case 'hemmed':
      return {
        text: 'Turn both ends of the boxing in {0}, lap their folds {1} over the plaque’s ends, and close each with a row {2} from the fold.',
        figures: [given('hem', assume('endHemMm'), 'shop'), given('lap', assume('endLapMm'), 'shop'), given('from the fold', assume('endRowMm'), 'shop')],
        cautions: ['The row at a hemmed end stops short of the welt: the slider must pass.'],
      };
    case 'placket':
      return plain('Fold an end placket back over each end of the zip and sew plaque and boxing together through it.');
    case 'pocket':
      return plain('Sew the plaque to the boxing at both ends, the boxing folded back over the zip’s ends.');
    case 'plain':
      return plain('Sew the plaque to the boxing at both ends.');
  }
}

/** How the plaque's ends meet the boxing, moment by moment, where something is folded. */
function endStages({ choices, band, request: { sizes, assume } }: BoxWork): readonly Stage[] {
  if (band.panels || sizes.slope) return [];
  switch (endsFor(choices)) {
    case 'hemmed':
      return hemmedEndStages({
        hemMm: assume('endHemMm'),
        lapMm: assume('endLapMm'),
        rowMm: assume('endRowMm'),
        welted: choices.edge === 'welt' ? { heightMm: sizes.sewn.height.value, shortMm: assume('ridgeStopMm') } : null,
      });
    case 'placket':
      return placketStages(assume('placketMm'), assume('placketShortMm'), sizes.seam.value);
    case 'pocket':
    case 'plain':
      return [];
  }
}

/** Making the plaque up. */
export function plaqueMaking(work: BoxWork): Operation[] {
  const { band, closing } = work;
  const { plaque } = band;
  if (!plaque) return [];
  const names = plaque.seams.map(({ id }) => id);
  const parts = plaque.pieces.some(({ part }) => part.of > 1);
  return [
    operation({
      id: 'sew/plaque',
      foot: 'zip',
      phase: 'sew',
      text: `${parts ? 'Join the parts of each plaque strip end to end first. ' : ''}${plaqueText(plaque.kind, work.request.cloth('boxing'))}`,
      figures: closing.kind === 'zip' ? [closing.setIn] : closing.kind === 'hook-and-loop' ? [closing.tape] : [],
      cautions: [...(closing.kind === 'zip' ? [SLIDER] : []), MEASURE],
      pieces: idsOf(...plaque.pieces),
      tools: plaqueTools(plaque.kind, work.request.cloth('boxing')),
      seams: names,
      stages: plaque.stages,
      minutes: sewingMinutes(work, names),
      needs: 'machine',
      after: ['cut/notch'],
    }),
  ];
}

/** Setting the plaque's ends into the boxing: before the first plate, or once both are on. */
export function plaqueEnds(work: BoxWork): Operation[] {
  const { choices, band } = work;
  const { plaque, plackets, ends } = band;
  if (!plaque) return [];
  const last = lastCorner(work);
  const names = ends.map(({ id }) => id).filter((id) => id !== last);
  const words = endWords(work);
  return [
    operation({
      id: 'sew/plaque-ends',
      phase: 'sew',
      ...words,
      pieces: idsOf(...band.boxing, ...plaque.pieces, ...plackets),
      seams: names,
      looks: ['plaque-join'],
      stages: endStages(work),
      minutes: sewingMinutes(work, names),
      needs: 'machine',
      after: ['sew/plaque', 'sew/boxing-joins', 'sew/panel-corners', ...(plaqueIsLast(choices) ? ['sew/open-zip'] : [])],
    }),
  ];
}

/** The boxing's ends, folded over and trimmed where they meet the plaque on the first plate, joined to it, and the rest of that plate's seam sewn. */
export function joiningInPlace(work: BoxWork): Operation[] {
  const { choices, request, band, plates } = work;
  const { plaque, ends } = band;
  if (!plaque || !isJoinedInPlace(choices, band)) return [];
  const names = [...ends.map(({ id }) => id), ...present(work, 'plaque-to-top')];
  const trimMm = Math.max(0, ...band.boxing.map((piece) => piece.trimMm)) / 2;
  const words = endWords(work);
  const from = 1 + words.figures.length;
  return [
    operation({
      id: 'sew/join-in-place',
      phase: 'sew',
      text: `At each end fold the boxing over where it meets the plaque, mark that place on the plate and on the fold, and trim what is over to one seam beyond the fold: {${from - 1}} was left for it. ${words.text} Then sew the last {${from}} on both sides, and the plaque, to the top plate.`,
      figures: [...words.figures, given('cut long at each end', trimMm, 'shop'), given('left open at each end', request.assume('joinStopMm'), 'shop')],
      cautions: [...words.cautions, 'Both ends are measured on the plate as it is sewn: cloth that gives has moved by now.'],
      pieces: idsOf(plates.top, ...band.boxing, ...plaque.pieces, ...band.plackets),
      seams: names,
      looks: ['plaque-join'],
      stages: [...inPlaceStages({ openMm: request.assume('joinStopMm'), longMm: trimMm, seamMm: request.sizes.seam.value }), ...endStages(work)],
      minutes: sewingMinutes(work, names),
      needs: 'machine',
      after: ['sew/plaque', 'sew/band-to-top'],
    }),
  ];
}

/** The corner seams of panels that were sewn to the plates one by one, the plaque's ends among them. */
export function cornersLast(work: BoxWork): Operation[] {
  const { choices, band } = work;
  if (!isPanelByPanel(choices, band)) return [];
  const names = [...band.joins, ...band.ends].map(({ id }) => id);
  return [
    operation({
      id: 'sew/corners-last',
      phase: 'sew',
      text: 'Sew the corner seams last, from plate to plate; trim each corner in three cuts: along both allowances, then across the point.',
      cautions: ['A panel a little long or short is made to fit here: sew where the two meet, not where they were marked.'],
      pieces: idsOf(...band.boxing, ...(band.plaque?.pieces ?? []), ...band.plackets),
      seams: names,
      looks: ['corners'],
      stages: threeCutsStages(work.request.sizes.seam.value),
      minutes: sewingMinutes(work, names, names.length),
      needs: 'machine',
      after: ['sew/band-to-bottom'],
    }),
  ];
}

/** The two long edges of a plaque that comes last: they close the cover, so its zip stands open before. */
export function plaqueIn(work: BoxWork): Operation[] {
  const { plates, band, choices } = work;
  if (!band.plaque || !plaqueIsLast(choices)) return [];
  const names = present(work, 'plaque-to-top', 'plaque-to-bottom');
  return [
    operation({
      id: 'sew/plaque-in',
      phase: 'sew',
      text: 'Sew the plaque’s two long edges to the plates, its notches on theirs: first the top, then the bottom.',
      cautions: ['Through the open zip the cover is turned: look that it stands open before the last seam.'],
      pieces: idsOf(plates.top, plates.bottom, ...band.plaque.pieces),
      seams: names,
      minutes: sewingMinutes(work, names),
      needs: 'machine',
      after: ['sew/plaque-ends', 'sew/open-zip'],
    }),
  ];
}

/** Opening the zip in time: before the seam that closes the cover. */
export function opening({ band, closing, choices }: BoxWork): Operation[] {
  if (!band.plaque) return [];
  const after = plaqueIsLast(choices) ? ['sew/plaque', 'sew/band-to-bottom'] : ['sew/plaque', 'sew/plaque-ends', 'sew/join-in-place', 'sew/band-to-top'];
  return [openZip(idsOf(...band.plaque.pieces), after, closing.kind === 'zip' ? undefined : 'the hook and loop a hand’s width')];
}

/** Closing the back by hand once the cushion is filled. */
export function closingByHand({ band, closing, request: { assume, sizes } }: BoxWork): Operation[] {
  if (closing.kind !== 'hand') return [];
  return [
    operation({
      id: 'fill/close',
      phase: 'fill',
      text: 'Turn both edges of the opening in by exactly the seam allowance and close {0} with a ladder stitch in strong thread.',
      figures: [closing.opening],
      tools: ['curved needle'],
      pieces: idsOf(...band.boxing),
      seams: ['closing'],
      stages: ladderStages(sizes.seam.value, assume('slipStitchMm')),
      minutes: minutesFor('hand', closing.opening.value, 0, assume),
      needs: 'hand',
      after: ['fill/insert'],
    }),
  ];
}
