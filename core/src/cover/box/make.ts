import { apartOn } from '../../geometry/around';
import { edgeLength, perimeter } from '../../geometry/outline';
import { given, law, type Figure } from '../../kernel/figure';
import { showsHoles } from '../../material/material';
import { issue, type Issue } from '../../kernel/issue';
import type { Mark, Piece } from '../../piece/piece';
import { seamProblems } from '../../piece/seam';
import type { AssumptionKey } from '../../shop/assumptions';
import type { Closing, Cover, CoverRequest } from '../contract';
import type { Band } from '../band/band';
import { makeBand } from '../band/boxing';
import type { RollMarks } from '../band/request';
import { openingProblems } from '../sewing/opening';
import { enteredOr } from '../sewing/entered-or';
import { extrasOf } from '../extras/extras';
import { notionsFor, zipClosing } from '../sewing/notions';
import { makePanels } from '../band/panels';
import type { PlaquePlaces } from '../plaque/ask';
import { makePlaque, type Plaque } from '../plaque/plaque';
import { tiesOf } from '../plate/plate';
import { plateJoins } from '../plate/wide';
import { centreBack, reachOf, REACH_WORDS, type Reached } from '../band/reach';
import { boxingOf, closingOf, endsFor, reachFor, type Box, plaqueFor } from './choices';
import { boxOperations } from './operations';
import { handOpening, platesFor, type Plates } from './plates';
import { boxSeams } from './seams';
import { boxSkin } from './skin';
import { weltProblems, weltsFor } from './welts';

/** How far a pocket lies over each end of the opening: what shows of the zip begins there. 0 where its ends are made otherwise. */
function pocketOf(choices: Box, { assume }: CoverRequest): Figure {
  return closingOf(choices) !== 'hand' && endsFor(choices) === 'pocket'
    ? enteredOr('pocket', choices.zipPocketMm, 'zipPocketMm', assume)
    : given('no pocket', 0, 'counted');
}

/** A tie on the spot where the zip ends: neither lies flat. */
function tieProblems(choices: Box, request: CoverRequest, { zip }: Band): Issue[] {
  if (!zip) return [];
  const total = perimeter(request.sewn);
  const clear = request.assume('jointClearMm');
  // A zip meant to pass its ties runs beyond each by less than the joins keep clear.
  const hidden = pocketOf(choices, request).value;
  const near = tiesOf(request).some((tie) =>
    [zip.startMm + hidden, zip.endMm - hidden].some((end) => apartOn(total, tie, end) < Math.min(clear, request.assume('zipPastTieMm')) - 1e-6),
  );
  return near ? [issue('warning', 'tie-near-zip-end', 'marks', { clearMm: clear })] : [];
}

type Chosen = (name: string, entered: number | undefined, key: AssumptionKey) => Figure;
const chooser =
  ({ assume }: CoverRequest): Chosen =>
  (name, entered, key) =>
    enteredOr(name, entered, key, assume);

/** The allowances of the band's two seams: a welted one takes the welt's flange. */
function allowances(choices: Box, { sizes: { seam, flange } }: CoverRequest): { readonly lower: Figure; readonly upper: Figure } {
  return { upper: flange ?? seam, lower: choices.weltOn === 'top' ? seam : (flange ?? seam) };
}

/** Makes the plaque for an opening in a band of a height. */
function plaqueMaker(choices: Box, request: CoverRequest, stripMm: number): (opening: Figure, end: Figure, height: Figure, places?: PlaquePlaces) => Plaque {
  const chosen = chooser(request);
  const hooked = closingOf(choices) === 'hook-and-loop';
  const shop = (name: string, key: AssumptionKey): Figure => given(name, request.assume(key), 'shop');
  return (opening, end, height, places) =>
    makePlaque({
      ...(places ? { places } : {}),
      kind: hooked ? 'hook-and-loop' : plaqueFor(choices, request.cloth('boxing')),
      opening,
      end,
      height,
      ...allowances(choices, request),
      seam: request.sizes.seam,
      zipWidth: hooked ? shop('tape', 'hookTapeMm') : chosen('zip', choices.zipWidthMm, 'zipWidthMm'),
      teeth: choices.teethMm === undefined ? law('teeth', '{0} ÷ 2', [height]) : given('teeth', Math.min(choices.teethMm, height.value), 'entered'),
      gap: shop('teeth to edge', 'teethGapMm'),
      lap: shop('lap', 'zipLapMm'),
      turnIn: shop('joined', 'zipTurnMm'),
      stripMm,
      trimOffMm: request.assume('trimOffMm'),
      unbasted: showsHoles(request.cloth('boxing')),
    });
}

/** Where the band is opened: at the back as long as the zip that the cover is made for, else as the choices have it. */
function reachedBy(choices: Box, request: CoverRequest): Reached {
  const { sewn, sizes, round, assume, ownZip } = request;
  const chosen = chooser(request);
  if (ownZip && closingOf(choices) === 'zip') return { opening: ownZip.opening, middleMm: centreBack(sewn), own: true };
  return reachOf(reachFor(choices), {
    sewn,
    sewnWidth: sizes.sewn.width,
    round,
    zipReturn: chosen('return', choices.zipReturnMm, 'zipReturnMm'),
    zipShort: chosen('short of the corner', choices.zipShortMm, 'zipShortMm'),
    tiesMm: tiesOf(request),
    pastTie: given('past a tie', assume('zipPastTieMm'), 'shop'),
    pocket: pocketOf(choices, request),
  });
}

/** The boxing with its zip plaque: panels round a wedge, else strips wrapped round or panels. */
function bandFor(choices: Box, request: CoverRequest, roll: RollMarks | null): Band {
  const { sizes, sewn, assume } = request;
  const chosen = chooser(request);
  const cloth = request.cloth('boxing');
  const alongRoll = cloth.railroaded || choices.strips === 'along';
  const stripMm = alongRoll ? Infinity : cloth.usableMm;
  const plaque = plaqueMaker(choices, request, stripMm);
  const byHand = closingOf(choices) === 'hand';
  const back = edgeLength(sewn, 'back');
  const shared = { ...allowances(choices, request), handOpening: handOpening(request, back), stripMm, trimOffMm: assume('trimOffMm') };
  const band = sizes.slope
    ? makePanels({
        ...shared,
        sewn,
        sizes,
        slope: sizes.slope,
        zipWidth: chosen('zip', choices.zipWidthMm, 'zipWidthMm'),
        plaque: byHand ? null : (opening, height) => plaque(opening, sizes.seam, height),
      })
    : makeBand({
        ...shared,
        sewn,
        round: request.round,
        cutHeight: sizes.boxingCut,
        seam: sizes.seam,
        panels: boxingOf(choices) === 'panels',
        opened: byHand
          ? null
          : {
              plaque: (opening, end, places) => plaque(opening, end, sizes.sewn.height, places),
              reached: reachedBy(choices, request),
            },
        ends: {
          kind: endsFor(choices),
          pocket: chosen('pocket', choices.zipPocketMm, 'zipPocketMm'),
          hem: given('hem', assume('endHemMm'), 'shop'),
          lap: given('lap', assume('endLapMm'), 'shop'),
          placketLength: given('placket', assume('placketMm'), 'shop'),
          placketShortMm: assume('placketShortMm'),
        },
        roll,
        tiesMm: tiesOf(request),
        jointClearMm: assume('jointClearMm'),
        frontClearMm: assume('frontClearMm'),
        plateJoinsMm: plateJoins(choices.wide, request),
      });
  if (choices.strips !== 'along' || cloth.railroaded) return band;
  // The band's edges name their pieces by id, so that turning the pieces changes nothing in them.
  const along = (piece: Piece): Piece => ({ ...piece, alongRoll: true });
  return { ...band, boxing: band.boxing.map(along), plaque: band.plaque && { ...band.plaque, pieces: band.plaque.pieces.map(along) } };
}

/** How the cover is closed, with what it takes. */
function closingFor(choices: Box, request: CoverRequest, { opening }: Band): Closing {
  switch (closingOf(choices)) {
    case 'hand':
      return { kind: 'hand', opening };
    case 'hook-and-loop':
      return { kind: 'hook-and-loop', opening, tape: opening };
    case 'zip':
      return zipClosing(opening, request.sizes.slope ? REACH_WORDS.back : REACH_WORDS[reachFor(choices)], request);
  }
}

/** What is chalked on a boxed cover besides: on its plates, and along both edges of its band. */
export interface Chalked {
  readonly plate: readonly Mark[];
  readonly roll: RollMarks;
}

/** A boxed cover: two plates, a band between them, and how it is opened. */
export function makeBox(choices: Box, request: CoverRequest, chalked: Chalked | null = null): Cover {
  const band = bandFor(choices, request, chalked?.roll ?? null);
  const bandPieces = [...band.boxing, ...(band.plaque?.pieces ?? []), ...band.plackets];
  const flat = platesFor(choices, request, band, chalked?.plate ?? []);
  const extras = extrasOf({ choices, request, bottom: flat.bottom, bandIds: bandPieces.map(({ id }) => id) });
  // Patches are sewn onto the bottom plate along lines of their own.
  const plates: Plates = flat.bottom === extras.bottom ? flat : { ...flat, bottom: extras.bottom };
  const welts = weltsFor(choices, request);
  const rings = [...new Set([welts?.top.piece, welts?.bottom?.piece].filter((piece) => piece !== undefined))];
  const pieces = [...new Set([plates.bottom, plates.top]), ...bandPieces, ...rings, ...extras.pieces];
  const seams = boxSeams(choices, { band, plates, welts, more: extras.seams, pieces });
  const closing = closingFor(choices, request, band);
  return {
    pieces,
    seams,
    closings: [closing],
    notions: [...notionsFor([closing], rings), ...extras.notions],
    operations: boxOperations({ choices, request, pieces, plates, welts, band, seams, closing, extras }),
    eased: plates.eased,
    skin: boxSkin(request, band, plates, welts, { patches: extras.pieces.filter(({ role }) => role === 'patch'), straps: extras.straps }),
    problems: [
      ...band.problems,
      ...tieProblems(choices, request, band),
      ...openingProblems(request, {
        openingMm: band.opening.value,
        clearMm: band.clear.value,
        roundCornerMm: request.assume('zipReturnMm'),
        path: 'construction.zipReach',
      }),
      ...weltProblems(choices, request),
      ...extras.problems,
      ...seamProblems(seams),
    ],
  };
}
