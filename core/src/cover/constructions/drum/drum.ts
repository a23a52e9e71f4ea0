import { flatFace } from '../../../form/skin';
import { DRUM_SENTENCES } from './sentences';
import { outlineBounds, perimeter, rectangleOutline } from '../../../geometry/outline';
import { given, lawOrMeasured, measuredOn, plus, renamed, sum, type Figure } from '../../../kernel/figure';
import { smooth } from '../../plate/plate';
import { issue, type Issue } from '../../../kernel/issue';
import { operation, type Operation } from '../../../piece/operation';
import { PLAIN_PIECE, type Piece } from '../../../piece/piece';
import { seamProblems, seamsOn, type Seam, sewnMm } from '../../../piece/seam';
import { minutesFor } from '../../../shop/minutes';
import type { Closing, Construction, CoverRequest } from '../../contract';
import { allRound, clothPiece, clothStrip, pairOfMarks, stripEdge } from '../../sewing/cloth-piece';
import { turnsIn } from '../../band/corners';
import { walkedBandStages } from '../../sewing/ring-stages';
import { sewMinutes } from '../../sewing/steps';
import { cutCover, dress, ridgeStep } from '../../sewing/cover-operations';
import { notionsFor } from '../../sewing/notions';
import { stapleClosing, staplePlan } from '../../sewing/staple-plan';
import { turnedUnder } from '../../sewing/staple-stages';
import { offsetOrNull, quarterMarks, quarterPlaces, ringRun } from '../../band/ring';
import { drumFields, drumSchema, type Drum } from './choices';
import { drumSizes } from './sizes';
import { enteredOr } from '../../sewing/entered-or';
import { DRUM_CONSTANTS } from './constants';

const CUTTING = { strips: 'the band', rest: 'the plate and the flange', notch: 'Notch the quarters of the plate and of the band.' };

const refused = (why: string): Issue[] => [
  issue('error', 'construction-not-for-outline', 'construction', {
    construction: 'drum',
    why,
    instead: 'Take a boxed cover, or an outline without inner corners.',
  }),
];

interface DrumPieces {
  readonly plate: Piece;
  readonly band: Piece;
  readonly flange: Piece | null;
  readonly strip: Piece;
}

function piecesOf(request: CoverRequest, board: Figure): DrumPieces {
  const { sizes, sewn, assume, round } = request;
  const { seam } = sizes;
  const turnMm = assume(DRUM_CONSTANTS.boardTurnMm);
  const plate = clothPiece('main', {
    id: 'plate',
    role: 'plate',
    label: 'top plate',
    remark: 'notched at the quarters',
    width: sizes.cut.width,
    height: sizes.cut.depth,
    outline: request.cut,
    sewn,
    marks: quarterMarks(sewn, round.value),
  });
  // Its ends are joined in the trim-off: what is cut long is overlapped, cut square and joined with the seam.
  const allowances = { left: 0, right: 0, lower: turnMm, upper: seam.value };
  const band = clothStrip(
    'boxing',
    {
      id: 'band',
      role: 'band',
      label: 'band',
      remark: 'cut long, joined in the round',
      width: renamed('band', round),
      height: sizes.boxingCut,
      trimMm: 2 * (assume('trimOffMm') + seam.value),
    },
    allowances,
    quarterPlaces(round.value, 0).flatMap((x) => pairOfMarks('quarter', x, sizes.boxingCut.value, allowances)),
  );
  return { plate, band, flange: flangeOf(request), strip: edgeStrip(request, board) };
}

/** A ring that goes under the board: its outer seam line is the band's lower edge. Null where the board is too small for it. */
function flangeOf({ sewn, sizes, assume }: CoverRequest): Piece | null {
  const turn = given('outside the seam', assume(DRUM_CONSTANTS.boardTurnMm), 'shop');
  const cut = offsetOrNull(sewn, turn.value);
  const hole = offsetOrNull(sewn, -assume(DRUM_CONSTANTS.flangeWideMm));
  if (!cut || !hole) return null;
  const box = outlineBounds(cut);
  const side = (figure: Figure, mm: number): Figure => lawOrMeasured('flange', mm, '{0} + 2 × {1}', [figure, turn]);
  return clothPiece('lining', {
    id: 'flange',
    role: 'flange',
    label: 'staple flange',
    remark: 'a ring, cut through at the band’s join',
    face: 'hidden',
    width: side(sizes.sewn.width, box.maxX - box.minX),
    height: side(sizes.sewn.depth, box.maxY - box.minY),
    outline: cut,
    holes: [hole],
    sewn,
  });
}

/** A strip of thin foam that hides the board's edge under the cloth. */
function edgeStrip({ sizes, core, assume }: CoverRequest, board: Figure): Piece {
  const overMm = assume(DRUM_CONSTANTS.boardOverhangMm);
  const boardLine = offsetOrNull(core, -overMm) ?? core;
  const round = measuredOn('round the board', perimeter(boardLine), 'along the edge of {0} by {1}', [sizes.seat.width, sizes.seat.depth]);
  const width = sum('edge strip', round, plus(given('over', assume(DRUM_CONSTANTS.edgeStripOverMm), 'shop')));
  return {
    ...PLAIN_PIECE,
    id: 'edge-strip',
    role: 'edge-strip',
    label: 'edge strip, thin foam',
    remark: 'round the board’s edge',
    material: { kind: 'thin-foam', thicknessMm: overMm },
    width,
    height: board,
    outline: rectangleOutline(width.value, board.value),
  };
}

function drumOperations(request: CoverRequest, pieces: DrumPieces, seams: readonly Seam[], all: readonly Piece[]): Operation[] {
  const { assume } = request;
  const sew = sewMinutes(seams, assume);
  const { plate, band, flange, strip } = pieces;
  return [
    ...cutCover(all, CUTTING, request),
    operation({
      id: 'prepare/glue-to-board',
      phase: 'prepare',
      text: 'Mask the foam’s sides and the board’s edge, spray the board and the foam’s underside, and let the glue go tacky. Lay the foam on so that it stands over the board by {0} all round, press it down from the middle outwards, and take the masking off.',
      figures: [given('over the board', assume(DRUM_CONSTANTS.boardOverhangMm), 'shop')],
      cautions: ['Spray adhesive: open the window, nothing burning near; what is masked stays clean, and cloth laid by is covered.'],
      minutes: minutesFor('prepare', perimeter(request.core), 0, assume),
      waitMinutes: assume('tackyMinutes'),
      needs: 'bench',
      after: ['prepare/glue-parts', 'prepare/glue-layers'],
    }),
    operation({
      id: 'prepare/edge-strip',
      phase: 'prepare',
      text: 'Glue the strip of thin foam round the board’s edge, {0} high, its ends butted.',
      figures: [strip.height],
      cautions: ['Spray adhesive: open the window, nothing burning near, keep overspray off the faces.'],
      pieces: [strip.id],
      minutes: minutesFor('prepare', strip.width.value, 0, assume),
      waitMinutes: assume('tackyMinutes'),
      needs: 'bench',
      after: ['prepare/glue-to-board'],
    }),
    operation({
      id: 'sew/band-to-plate',
      foot: 'edge',
      phase: 'sew',
      text: 'Sew the band to the plate from quarter to quarter, leaving {0} unsewn on each side of its join. Walk both ends round to the mark, overlap them {1}, cut square, join, and sew on {2} over the first stitches.',
      figures: [
        given('left open', assume('sewnEndMm'), 'shop'),
        request.sizes.seam,
        given('over the first stitches', assume(DRUM_CONSTANTS.sewPastMm), 'shop'),
      ],
      pieces: [plate.id, band.id],
      seams: ['band-join', 'band-to-plate'],
      stages: walkedBandStages({ openMm: assume('sewnEndMm'), seamMm: request.sizes.seam.value, pastMm: assume(DRUM_CONSTANTS.sewPastMm) }),
      minutes: sew(['band-to-plate']) + sew(['band-join']),
      needs: 'machine',
    }),
    ridgeStep(request, [plate.id, band.id], sew(['ridge']), 'sew/band-to-plate'),
    ...(flange
      ? [
          operation({
            id: 'sew/flange',
            phase: 'sew',
            text: 'Cut the flange through at the band’s join, its ends laid flush and not over each other. Sew it to the band’s lower edge, then a second row that keeps it turned under.',
            pieces: [flange.id, band.id],
            seams: ['flange-to-band'],
            looks: ['pleats'],
            minutes: sew(['flange-to-band']),
            needs: 'machine',
            after: ['sew/ridge'],
          }),
        ]
      : []),
    dress(request, 'Lay the foam on the board, draw the cover over both, work the ridge to the edge all round.', 0, 'sew/flange'),
    operation({
      id: 'fix/staple',
      phase: 'fix',
      onPlan: 'staples',
      text: `Turn it over and staple the flange flat under the board: the middle of opposite sides first, look, halve the gaps, one each {0}${smooth(request.sewn) ? '' : ', {1} clear of the corners until all sides are done; then the front corners, the side before the front, and the back corners'}.`,
      figures: [given('apart', assume('stapleEveryMm'), 'shop'), given('from a corner', assume('stapleClearMm'), 'shop')],
      cautions: ['Flat, no pleat.'],
      tools: ['staple gun'],
      pieces: flange ? [flange.id] : [band.id],
      seams: ['flange-to-board'],
      stages: turnedUnder(assume(DRUM_CONSTANTS.flangeWideMm) / 2, assume(DRUM_CONSTANTS.flangeWideMm) / 2),
      minutes: minutesFor('staple', sewnMm(seams.filter(({ id }) => id === 'flange-to-board')), 0, assume),
      needs: 'bench',
      after: ['fill/dress'],
    }),
  ];
}

/** Foam on a board: a plate, a band with a ridge, and a flange that is stapled flat under the board. No zip, no bottom. */
export const drum: Construction<Drum> = {
  kind: 'drum',
  name: 'Drum',
  sentences: DRUM_SENTENCES,
  idea: 'Foam on a board, drawn over and stapled flat underneath: perches, stools, drop-in seats.',
  heightWord: 'foam’s thickness',
  words: ['drum'],
  choiceWords: {},
  schema: drumSchema,
  defaults: () => ({ kind: 'drum' }),
  fields: drumFields,
  slots: ['boxing', 'lining'],
  given: 'seat',
  suits: (suitor) => (suitor.sloping ? refused('it slopes') : turnsIn(suitor.outline) ? refused('it turns in on itself') : []),
  sizes: drumSizes,
  make({ boardMm }, request) {
    const { assume, core } = request;
    const board = enteredOr('board', boardMm, DRUM_CONSTANTS.boardMm, assume);
    const made = piecesOf(request, board);
    const { plate, band, flange, strip } = made;
    const pieces = [plate, band, ...(flange ? [flange] : []), strip];
    const lower = stripEdge(band, 'lower');
    const seams = seamsOn(pieces, [
      { id: 'band-join', words: 'the band’s ends to each other', first: [stripEdge(band, 'right')], second: [stripEdge(band, 'left')] },
      { id: 'band-to-plate', words: 'band to the plate', first: [stripEdge(band, 'upper')], second: [allRound(plate)] },
      { id: 'ridge', words: 'ridge on the top seam', method: 'top-stitch', first: [stripEdge(band, 'upper')], second: [allRound(plate)] },
      ...(flange
        ? [
            { id: 'flange-to-band', words: 'flange to the band', rows: 2, first: [allRound(flange)], second: [lower] },
            { id: 'flange-to-board', words: 'flange under the board', method: 'staple' as const, first: [allRound(flange)], second: [lower] },
          ]
        : []),
    ]);
    const boardLine = offsetOrNull(core, -assume(DRUM_CONSTANTS.boardOverhangMm)) ?? core;
    const plan = staplePlan(boardLine, assume(DRUM_CONSTANTS.flangeWideMm) / 2, assume);
    // The flange is cut to the line: there is nothing to lay in pleats.
    const staples = plan && { ...plan, pleats: [] };
    const closings: Closing[] = staples ? [stapleClosing(staples)] : [];
    return {
      pieces,
      seams,
      closings,
      notions: [
        ...notionsFor(closings, []),
        { ware: 'thin-foam', name: `Thin foam, ${Math.round(assume(DRUM_CONSTANTS.boardOverhangMm))} mm, as strip`, sold: 'run', amount: strip.width },
      ],
      operations: drumOperations(request, made, seams, pieces),
      staples,
      eased: null,
      skin: { upper: flatFace(plate.id), lower: null, band: [ringRun(band, perimeter(request.sewn))], cords: [] },
      problems: [
        ...(flange ? [] : [issue('error', 'board-too-small-for-flange', 'template', { flangeMm: assume(DRUM_CONSTANTS.flangeWideMm) })]),
        ...seamProblems(seams),
      ],
    };
  },
  profile: ({ boardMm }, { sewn }, assume) => ({
    kind: 'band',
    heightMm: sewn.height.value - (boardMm ?? assume(DRUM_CONSTANTS.boardMm)),
    crownedFaces: 1,
    domes: false,
    onBoard: true,
    welt: null,
    modelled: true,
  }),
  lines: () => ({ top: 'ridge', bottom: 'soft', corners: false, softFront: false }),
  traits: () => ({
    zip: '',
    washable: false,
    edge: 'a ridge on the top seam, stapled underneath',
    hard: 'The band joined on its way round; the flange stapled flat, without a pleat.',
  }),
  says: () => 'with a ridge and a staple flange',
};
