import { grow } from '../../../geometry/offset';
import { perimeter } from '../../../geometry/outline';
import { given, measuredOn, plus, sum, type Figure } from '../../../kernel/figure';
import type { Operation } from '../../../piece/operation';
import type { Piece, PieceRole } from '../../../piece/piece';
import { seamsOn, type Seam } from '../../../piece/seam';
import type { Plane } from '../../../piece/sizes';
import { makeBox } from '../../box/make';
import type { Cover, CoverRequest } from '../../contract';
import { SPRUNG_CONSTANTS } from './constants';

const ROLES: Partial<Record<PieceRole, PieceRole>> = { plate: 'inner-plate', boxing: 'inner-band', panel: 'inner-band' };
const inner = (id: string): string => `inner-${id}`;
/** `sew/band-to-top` becomes `sew/inner-band-to-top`. */
const innerStep = (id: string): string => id.replace('/', '/inner-');

/** The inner case is larger than the cover by this on each side: the cover then stands tight. */
function larger({ sizes: { sewn, seam }, assume }: CoverRequest): { readonly sewn: Plane; readonly cut: Plane } {
  const more = given('larger than the cover', assume(SPRUNG_CONSTANTS.innerLargerMm), 'shop');
  const wide = (figure: Figure): Figure => sum('inner case, sewn', figure, plus(more, 2));
  const cut = (figure: Figure): Figure => sum('inner case, cut', wide(figure), plus(seam, 2));
  return { sewn: { width: wide(sewn.width), depth: wide(sewn.depth) }, cut: { width: cut(sewn.width), depth: cut(sewn.depth) } };
}

/** What the inner case is asked for: the cover's request, larger in plan, of lining, with neither marks nor crown. Null where its outline cannot be grown. */
function requestOf(request: CoverRequest): CoverRequest | null {
  const { sizes, assume } = request;
  const sewn = grow(request.sewn, assume(SPRUNG_CONSTANTS.innerLargerMm));
  const cut = sewn.ok ? grow(sewn.outline, sizes.seam.value) : sewn;
  if (!sewn.ok || !cut.ok) return null;
  const plane = larger(request);
  return {
    ...request,
    sewn: sewn.outline,
    cut: cut.outline,
    round: measuredOn('inner case round', perimeter(sewn.outline), 'along the edge of {0} by {1}', [plane.sewn.width, plane.sewn.depth]),
    sizes: {
      ...sizes,
      sewn: { ...plane.sewn, height: sizes.sewn.height },
      cut: plane.cut,
      boxingCut: sum('inner band, cut', sizes.sewn.height, plus(sizes.seam, 2)),
      flange: null,
    },
    marks: [],
    dome: null,
    cloth: () => request.cloth('lining'),
  };
}

function innerPiece(piece: Piece): Piece {
  return {
    ...piece,
    id: inner(piece.id),
    role: ROLES[piece.role] ?? piece.role,
    label: `inner ${piece.label}`,
    face: 'hidden',
    material: { kind: 'cloth', slot: 'lining' },
  };
}

function innerSeams(seams: readonly Seam[], pieces: readonly Piece[]): Seam[] {
  return seamsOn(
    pieces,
    seams.map((seam) => {
      const [first, second] = seam.edges.map(({ stretches }) => stretches.map((stretch) => ({ ...stretch, piece: inner(stretch.piece) })));
      return { ...seam, id: inner(seam.id), words: `inner case: ${seam.words}`, first: first ?? [], second: second ?? [] };
    }),
  );
}

/** Said wherever the unit is put in. */
export const UNIT_FLAT = 'Springs under load: keep the unit flat, its covering whole.';

function innerOperation(step: Operation): Operation {
  const filling = step.id === 'fill/insert';
  const text = filling
    ? 'Slide the felted unit into the inner case as it is, neither bagged nor compressed; pack its corners, and only now trim the felt.'
    : `Inner case: ${step.text}`;
  return {
    ...step,
    // It has no welt to run along.
    foot: undefined,
    cautions: filling ? [UNIT_FLAT] : step.cautions,
    id: innerStep(step.id),
    text,
    pieces: step.pieces.map(inner),
    seams: step.seams.map(inner),
    after: step.after.map(innerStep),
  };
}

/** The case round a sprung unit: boxed in plain cloth, no zip, closed by hand; null where the outline leaves no room for it. */
export function innerCase(request: CoverRequest): Cover | null {
  const asked = requestOf(request);
  if (!asked) return null;
  const made = makeBox({ edge: 'plain', closing: 'hand' }, asked);
  const pieces = made.pieces.map(innerPiece);
  return {
    ...made,
    pieces,
    seams: innerSeams(made.seams, pieces),
    // It is dressed in its cover.
    operations: made.operations.filter(({ id }) => id !== 'fill/dress').map(innerOperation),
  };
}
