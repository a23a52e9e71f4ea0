import { renamed, type Figure } from '../../kernel/figure';
import { issue, type Issue } from '../../kernel/issue';
import { operation, type Operation } from '../../piece/operation';
import type { Piece, PieceRole } from '../../piece/piece';
import { seamProblems, seamsOn, type SeamDraft, sewnMm } from '../../piece/seam';
import { minutesFor } from '../../shop/minutes';
import type { Cover, CoverRequest } from '../contract';
import { flattened, rollerFor } from '../sewing/cloth-way';
import { piecedPlate, usableFigure, type PiecedPlate, type WideWay } from './wide';

/** Pieces that are made of a middle and two sides where their cloth is too narrow. Strips are joined end to end by rules of their own. */
const PIECED: ReadonlySet<PieceRole> = new Set(['plate', 'inner-plate', 'base', 'body', 'end', 'channel', 'dust-cover']);

/** The step that makes wide plates out of drops of cloth. */
export const WIDE_STEP = 'sew/wide-plates';

type Ask = Pick<CoverRequest, 'cloth' | 'sizes' | 'assume'>;

interface Wide {
  readonly piece: Piece;
  readonly pieced: PiecedPlate | null;
  readonly problems: readonly Issue[];
}

/** What is done about a piece wider than its cloth; null for one that the cloth gives. */
function widePiece(piece: Piece, way: WideWay, { cloth, sizes }: Ask): Wide | null {
  if (!PIECED.has(piece.role) || piece.material.kind !== 'cloth' || piece.partOf) return null;
  const { usableMm, railroaded } = cloth(piece.material.slot);
  const plateMm = railroaded ? piece.height.value : piece.width.value;
  if (plateMm <= usableMm) return null;
  const pieced = way === 'pieced' && !railroaded ? piecedPlate(piece, usableFigure(usableMm), sizes.seam) : null;
  if (pieced) return { piece, pieced, problems: [] };
  const asked = way === 'pieced';
  const across = railroaded ? piece.width.value : piece.height.value;
  return {
    piece,
    pieced: null,
    problems: [
      issue('error', asked ? 'plate-cannot-be-pieced' : 'plate-wider-than-cloth', asked ? 'construction.wide' : 'cloth.widthMm', {
        plateMm,
        usableMm,
        railroaded: railroaded ? 1 : 0,
        // The other way round it would go on the cloth; and seamed, where it lies as it is.
        turns: across <= usableMm ? 1 : 0,
        pieces: !railroaded && piecedPlate(piece, usableFigure(usableMm), sizes.seam) ? 1 : 0,
      }),
    ],
  };
}

function wideStep(wide: readonly (Wide & { readonly pieced: PiecedPlate })[], { cloth, assume }: Ask, runMm: number, cutBy: readonly string[]): Operation {
  const [first] = wide as readonly [Wide & { readonly pieced: PiecedPlate }, ...(Wide & { readonly pieced: PiecedPlate })[]];
  const tube = first.pieced.drop !== null;
  // All of one cover: the cloth of the first says how they are worked.
  const nature = cloth(first.piece.material.kind === 'cloth' ? first.piece.material.slot : 'main');
  const edges = nature.kind === 'woven' ? 'selvedges' : 'long edges';
  const figures: readonly Figure[] = tube ? [first.pieced.fromFold] : [renamed('side', first.pieced.parts[1].width)];
  return operation({
    id: WIDE_STEP,
    phase: 'cut',
    text: tube
      ? `Make each wide plate from its two drops: seam them on both ${edges} into a tube and ${flattened(nature, 'the seams')}. Lay the seams on each other, mark {0} from the fold of the drop that is to be the middle, and cut there once, through both layers: it opens out to that drop whole with a side panel at each side. Cut the plate’s outline from it.`
      : `Make each wide plate of a full width in the middle and a side of {0} seamed to each of its ${edges}; ${flattened(nature, 'the seams')}, and cut the plate’s outline from it.`,
    figures,
    cautions: ['Each further drop starts on a repeat: match the pattern across the seams. Never one seam down the middle of a seat.'],
    tools: rollerFor(nature),
    pieces: wide.flatMap(({ pieced }) => [...(pieced.drop ? [pieced.drop.id] : []), ...pieced.parts.map(({ id }) => id)]),
    seams: wide.flatMap(({ pieced }) => pieced.joins.map(({ id }) => id)),
    minutes: minutesFor('sew', runMm, 0, assume),
    needs: 'machine',
    after: cutBy,
  });
}

/** The cover with every plate that is wider than its cloth made of parts, where that is chosen and can be; otherwise with what is wrong. */
export function pieceWide(cover: Cover, way: WideWay, ask: Ask): Cover {
  const wide = cover.pieces.flatMap((piece) => widePiece(piece, way, ask) ?? []);
  if (wide.length === 0) return cover;
  const problems = [...cover.problems, ...wide.flatMap((one) => one.problems).slice(0, 1)];
  const made = wide.flatMap(({ pieced, ...one }) => (pieced ? [{ ...one, pieced }] : []));
  if (made.length === 0) return { ...cover, problems };
  const of = new Map(made.map(({ piece, pieced }) => [piece.id, pieced]));
  const pieces = cover.pieces.flatMap((piece): readonly Piece[] => {
    const parts = of.get(piece.id);
    return parts ? [...(parts.drop ? [parts.drop] : []), ...parts.parts] : [piece];
  });
  const onParts = (stretches: SeamDraft['first']): SeamDraft['first'] => stretches.flatMap((stretch) => of.get(stretch.piece)?.onParts(stretch) ?? [stretch]);
  const joins = seamsOn(
    pieces,
    made.flatMap(({ pieced }) => pieced.joins),
  );
  const sewn = seamsOn(
    pieces,
    cover.seams.map(({ edges, ...seam }) => ({ ...seam, first: onParts(edges[0].stretches), second: onParts(edges[1].stretches) })),
  );
  const runMm = sewnMm(joins);
  const cutters = new Set(
    made.flatMap(({ piece }) => cover.operations.find(({ phase, pieces: inHand }) => phase === 'cut' && inHand.includes(piece.id))?.id ?? []),
  );
  const lastCutter = [...cutters].at(-1);
  const step = wideStep(made, ask, runMm, [...cutters]);
  const cutOut = (id: string): readonly string[] => {
    const parts = of.get(id);
    return parts ? (parts.drop ? [parts.drop.id] : parts.parts.map((part) => part.id)) : [id];
  };
  const partsOf = (id: string): readonly string[] => of.get(id)?.parts.map((part) => part.id) ?? [id];
  const operations = cover.operations.flatMap((one): Operation[] => {
    if (!one.pieces.some((id) => of.has(id))) return [one];
    if (cutters.has(one.id)) return [{ ...one, pieces: one.pieces.flatMap(cutOut) }, ...(one.id === lastCutter ? [step] : [])];
    return [{ ...one, pieces: one.pieces.flatMap(partsOf), after: [...one.after, WIDE_STEP] }];
  });
  return { ...cover, pieces, seams: [...joins, ...sewn], operations, problems: [...problems, ...seamProblems([...joins, ...sewn])] };
}
