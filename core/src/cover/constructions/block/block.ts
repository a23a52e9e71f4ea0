import { flatFace } from '../../../form/skin';
import { grow } from '../../../geometry/offset';
import { edgeLength, perimeter, type Outline } from '../../../geometry/outline';
import { given, law, measuredOn, minus, plus, sum } from '../../../kernel/figure';
import { issue, type Issue } from '../../../kernel/issue';
import { operation, type Operation } from '../../../piece/operation';
import type { Piece } from '../../../piece/piece';
import { seamProblems, seamsOn, type Seam } from '../../../piece/seam';
import type { Constants } from '../../../shop/assumptions';
import { minutesFor } from '../../../shop/minutes';
import type { Closing, Construction, CoverRequest, Notion } from '../../contract';
import type { Band } from '../../band/band';
import { makeBand } from '../../band/boxing';
import { allRound, clothPiece, stripEdge } from '../../sewing/cloth-piece';
import { cornersOf } from '../../band/corners';
import { steamed } from '../../sewing/cloth-way';
import { cutCover, dress, insertCore, openZip } from '../../sewing/cover-operations';
import { notionsFor } from '../../sewing/notions';
import { sewMinutes, weltStep } from '../../sewing/steps';
import { plateMarks } from '../../plate/plate';
import { plateJoins } from '../../plate/wide';
import { chosenWelt } from '../../welt/welt';
import { blockFields, blockSchema, type Block } from './choices';
import { enteredOr } from '../../sewing/entered-or';
import { EDGE_CHOICE_WORDS } from '../../words';
import { BLOCK_CONSTANTS } from './constants';

const CUTTING = {
  strips: 'the panels',
  rest: 'the top plate, and the base of lining',
  notch: 'Notch the centres of plate, base and panels.',
};
/** The panels round the block, one a side, seamed at every corner. */
function panelsFor({ wide }: Block, request: CoverRequest): Band {
  const { sizes, sewn, round, assume } = request;
  const cloth = request.cloth('boxing');
  const none = given('none', 0, 'counted');
  return makeBand({
    sewn,
    round,
    cutHeight: sizes.boxingCut,
    lower: sizes.seam,
    upper: sizes.seam,
    seam: sizes.seam,
    panels: true,
    opened: null,
    handOpening: none,
    ends: { kind: 'plain', pocket: none, hem: none, lap: none, placketLength: none, placketShortMm: 0 },
    stripMm: cloth.railroaded ? Infinity : cloth.usableMm,
    tiesMm: [],
    jointClearMm: assume('jointClearMm'),
    frontClearMm: assume('frontClearMm'),
    plateJoinsMm: plateJoins(wide, request),
    trimOffMm: assume('trimOffMm'),
  });
}

interface BaseZip {
  readonly closing: Extract<Closing, { readonly kind: 'zip' }>;
  /** The line inside the base that the zip follows on three sides. */
  readonly line: Outline;
}

/** The zip in the base: on three sides, so far inside the seam line; both its corners rounded. Null where the base leaves no room. */
function baseZip({ zipInsetMm, zipRadiusMm }: Block, { sewn, assume }: CoverRequest): BaseZip | null {
  const inset = enteredOr('inside the base', zipInsetMm, BLOCK_CONSTANTS.blockZipInsetMm, assume);
  const radius = enteredOr('corners', zipRadiusMm, BLOCK_CONSTANTS.blockZipRadiusMm, assume);
  const inner = grow(sewn, -inset.value);
  if (!inner.ok) return null;
  const front = edgeLength(inner.outline, 'front');
  const three = measuredOn('three sides of the base', perimeter(inner.outline) - front, 'round the base {0} inside its seam, but for the front', [inset]);
  const saved = law('saved at two rounded corners', '(4 − π) × {0}', [radius]);
  const opening = sum('zip opening', three, minus(saved));
  const tape = sum('zip tape', opening, plus(given('stops', assume(BLOCK_CONSTANTS.blockStopMm), 'shop'), 2));
  if (opening.value <= 0) return null;
  return {
    line: inner.outline,
    closing: { kind: 'zip', reach: 'round three sides of the base', opening, tape, setIn: tape, sliders: given('slider', 1, 'counted', 'count') },
  };
}

interface Made {
  readonly band: Band;
  readonly plate: Piece;
  readonly base: Piece;
  readonly welt: Piece | null;
  readonly zip: BaseZip | null;
}

function piecesOf(choices: Block, request: CoverRequest): Made {
  const { sizes, sewn } = request;
  const band = panelsFor(choices, request);
  const zip = baseZip(choices, request);
  const shared = { width: sizes.cut.width, height: sizes.cut.depth, outline: request.cut, sewn, marks: plateMarks(request, null) };
  const plate = clothPiece('main', { ...shared, id: 'plate', role: 'plate', label: 'top plate', remark: `${shared.marks.length} notches` });
  const base = clothPiece('lining', {
    ...shared,
    id: 'base',
    role: 'base',
    label: 'base',
    remark: 'a zip on three sides',
    facing: 'down',
    face: 'hidden',
    ...(zip ? { placements: [zip.line] } : {}),
  });
  const welt = choices.edge === 'welt' ? chosenWelt(choices, request, request.round, 1) : null;
  return { band, plate, base, welt, zip };
}

const RING = 'Make up the welt and sew it round the top plate, starting at the centre back; join the ring there.';

function baseZipStep(base: Piece, { closing: { tape } }: BaseZip, assume: Constants): Operation {
  return operation({
    id: 'sew/base-zip',
    foot: 'zip',
    phase: 'sew',
    text: 'Sew the zip of {0} flat to the whole base along the marked line on three sides, both edges; slit the lining along the teeth, the slit ending {1} inside each end of the tape, and sew folded lining across both ends as stops.',
    figures: [tape, given('from each end', assume(BLOCK_CONSTANTS.blockStopMm), 'shop')],
    cautions: ['Slider on before the stops. Round the corners no tighter than the zip turns.'],
    pieces: [base.id],
    minutes: minutesFor('sew', 2 * tape.value, 4, assume),
    needs: 'machine',
    after: ['cut/notch'],
  });
}

function operationsOf(request: CoverRequest, { band, plate, base, welt, zip }: Made, pieces: readonly Piece[], seams: readonly Seam[]): Operation[] {
  const { assume, sewn } = request;
  const corners = cornersOf(sewn).length;
  const sew = sewMinutes(seams, assume);
  const panels = band.boxing.map(({ id }) => id);
  // The chain's last corner is closed once the plate holds the others.
  const joins = band.joins.map(({ id }) => id).filter((id) => id !== 'boxing-ring');
  const steps = insertCore(request, 'sew/panels-to-base');
  return [
    ...cutCover(pieces, CUTTING, request),
    ...(zip ? [baseZipStep(base, zip, assume)] : []),
    operation({
      id: 'sew/panel-corners',
      phase: 'sew',
      text: 'Sew the panels to a chain, corner to corner, each seam stopped one allowance short at the top and left open one allowance at the bottom.',
      pieces: panels,
      seams: joins,
      minutes: sew(joins),
      needs: 'machine',
      after: ['cut/notch'],
    }),
    ...(welt ? [weltStep({ text: RING, pieces: [welt.id, plate.id], seam: 'welt-top', corners }, sew, assume)] : []),
    operation({
      id: 'sew/panels-to-top',
      foot: 'edge',
      phase: 'sew',
      text: 'Sew the panels to the top plate, corner to corner, pivoting where their seams stop.',
      cautions: ['Clip the allowance, not the stitch.'],
      pieces: [plate.id, ...panels],
      seams: ['panels-to-top'],
      looks: ['corners'],
      minutes: sew(['panels-to-top'], corners),
      needs: 'machine',
      after: ['sew/panel-corners', 'sew/welt-on'],
    }),
    operation({
      id: 'sew/last-corner',
      phase: 'sew',
      text: 'Close the chain’s last corner, left open one allowance at the bottom.',
      pieces: panels,
      seams: ['boxing-ring'],
      minutes: sew(['boxing-ring']),
      needs: 'machine',
      after: ['sew/panels-to-top'],
    }),
    openZip([base.id], ['sew/base-zip'], 'the base’s zip a hand’s width, from the right side'),
    operation({
      id: 'sew/panels-to-base',
      foot: 'edge',
      phase: 'sew',
      text: 'Sew the panels to the base all round.',
      pieces: [base.id, ...panels],
      seams: ['panels-to-base'],
      looks: ['opposite', 'pleats'],
      minutes: sew(['panels-to-base'], corners),
      needs: 'machine',
      after: ['sew/panels-to-top', 'sew/last-corner', 'sew/open-zip'],
    }),
    {
      ...steps,
      text: `Turn the cover. Vacuum the block in film, load it through the base and let the air back; the film stays in.${request.contents.belongs}`,
      // It goes in through the base: what is to be on top goes in first.
      cautions: [...steps.cautions.filter((caution) => caution !== 'Soft side up.'), ...(request.contents.softUp ? ['Soft side down while loading.'] : [])],
    },
    dress(request, `Turn the block over, work the panels’ seams to the edges, close the zip${steamed(request.cloth('main'))}`, corners),
  ];
}

/** Film that a block is loaded in and that stays round it: once round its sides and over both faces, with as much over as it is high to close it. */
function filmFor({ sizes: { core } }: CoverRequest): Notion {
  const amount = law('film', '2 × {0} + 3 × {1}', [core.depth, core.height]);
  return { ware: 'film', name: 'Film round the block, by the roll’s length', sold: 'run', amount, onFilled: true };
}

/** A block on the floor or on feet: panels all round, a plate on top, a base of lining that the block is loaded through. */
export const block: Construction<Block> = {
  kind: 'block',
  name: 'Block stool',
  idea: 'Panels all round, a plate on top, and a base of lining with a zip on three sides through which the block goes in.',
  words: ['block', 'stool', 'pouf'],
  choiceWords: EDGE_CHOICE_WORDS,
  schema: blockSchema,
  defaults: () => ({ kind: 'block', edge: 'welt' }),
  fields: blockFields,
  slots: ['boxing', 'welt', 'lining'],
  suits: ({ sloping }) =>
    sloping
      ? [
          issue('error', 'construction-not-for-outline', 'construction', {
            construction: 'block stool',
            why: 'it stands level',
            instead: 'Take a boxed cover.',
          }),
        ]
      : [],
  make(choices, request) {
    const made = piecesOf(choices, request);
    const { band, plate, base, welt, zip } = made;
    const pieces = [plate, ...band.boxing, base, ...(welt ? [welt] : [])];
    const seams = seamsOn(pieces, [
      ...band.joins,
      ...(welt ? [{ id: 'welt-top', words: 'welt to the top plate', first: [stripEdge(welt, 'lower')], second: [allRound(plate)] }] : []),
      { id: 'panels-to-top', words: 'panels to the top plate', first: band.topEdge, second: [allRound(plate)] },
      { id: 'panels-to-base', words: 'panels to the base', first: band.bottomEdge, second: [allRound(base)] },
    ]);
    const closings = zip ? [zip.closing] : [];
    const problems: Issue[] = [...band.problems, ...(zip ? [] : [issue('error', 'no-room-for-opening', 'construction.zipInsetMm')]), ...seamProblems(seams)];
    return {
      pieces,
      seams,
      closings,
      notions: [...notionsFor(closings, welt ? [welt] : []), filmFor(request)],
      operations: operationsOf(request, made, pieces, seams),
      eased: null,
      skin: { upper: flatFace(plate.id), lower: flatFace(base.id), band: band.runs, cords: welt ? [{ piece: welt.id, line: 'upper' }] : [] },
      problems,
    };
  },
  profile: ({ edge, cordMm }, { sewn }, assume) => ({
    kind: 'band',
    heightMm: sewn.height.value,
    crownedFaces: 1,
    domes: false,
    onBoard: false,
    welt: edge === 'welt' ? { cordMm: cordMm ?? assume('cordMm'), on: 'top' } : null,
    modelled: true,
  }),
  lines: ({ edge }) => ({ top: edge === 'welt' ? 'welt' : 'seam', bottom: 'seam', corners: true, softFront: false }),
  traits: ({ edge }) => ({
    zip: 'underneath, unseen',
    washable: true,
    edge: edge === 'welt' ? 'square, corded on top' : 'square, plain',
    hard: 'A zip round three sides of the base, slit once it is sewn; loading a whole block through it.',
  }),
  says: ({ edge }) => (edge === 'welt' ? 'welted on top' : 'plain edge'),
};
