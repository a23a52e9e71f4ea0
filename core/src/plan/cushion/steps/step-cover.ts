import type { ClothFacts, Construction, Contents, Cover, CoverRequest } from '../../../cover/contract';
import { pieceWide } from '../../../cover/plate/piece-wide';
import { bagInside } from '../../../cover/sewing/cover-operations';
import { muslinOf } from '../../../cover/sewing/muslin';
import { ownZip, type OwnZip } from '../../../cover/sewing/own-zip';
import { threadFor } from '../../../cover/sewing/notions';
import { withRawEdges } from '../../../cover/sewing/raw-edges';
import { perimeter } from '../../../geometry/outline';
import type { Cushion } from '../../../job/document';
import { measuredOn } from '../../../kernel/figure';
import { issue, type Issue } from '../../../kernel/issue';
import { turnedCopies, turnedWords, type Piece } from '../../../piece/piece';
import { clothUse, shrinkage, slotFacts } from '../../cloths';
import { keptOf } from '../old/kept-parts';
import { contentsOf } from './contents';
import type { CushionContext } from './context';
import { crownFor, facesOf, type PlannedCrown } from '../crown';
import { cutLarger } from '../as-cut/shrink';
import type { Sized } from './step-sizes';

/** The cover of a cushion, as it is made. */
export interface Covered {
  readonly cover: Cover;
  /** Its pieces as they are cut: larger where the cloth shrinks. */
  readonly coverPieces: readonly Piece[];
  readonly crown: PlannedCrown | null;
  /** Goes between springs and foam, where the core is new. */
  readonly muslin: Piece | null;
  /** The main cloth gives. */
  readonly stretches: boolean;
  /** The construction makes and fills this much of the feather itself. */
  readonly ownFeather: 'feather' | 'all' | null;
  readonly problems: readonly Issue[];
}

/** The second step: the crown's answer, and the cover round it. */
export function coveredCushion(cushion: Cushion, construction: Construction, sized: Sized, context: CushionContext): Covered {
  const { shop, cloth, answers, assume } = context;
  const { sizes, outlines, profile } = sized;
  const { construction: choices } = cushion;
  const facts = slotFacts(context, cushion, shop);
  const crown = profile.domes ? crownFor(cushion, sizes, outlines, answers.crown) : null;
  const ownFeather = construction.fillsFeather?.(choices) ?? null;
  const contents = filledAs(contentsOf(cushion, sizes.core, shop), ownFeather);
  const request: CoverRequest = {
    sizes,
    sewn: outlines.sewn,
    cut: outlines.cut,
    core: outlines.core,
    dome: crown?.answer && cushion.crown?.way === 'bow' ? { outline: crown.answer.bowed, faces: facesOf(cushion, profile) } : null,
    marks: cushion.marks ?? [],
    round: sized.round ?? measuredOn('seam line round', perimeter(outlines.sewn), 'along the edge of {0} by {1}', [sizes.sewn.width, sizes.sewn.depth]),
    cloth: facts,
    contents,
    ownZip: cushion.madeForZip ? ownZip(cushion.madeForZip, assume) : null,
    keptHandles: Math.floor(keptOf(cushion, 'handles') / cushion.quantity),
    assume,
  };
  const { rawEdges = 'left', rawEdgesSynthetic = 'left' } = shop.document;
  const wide = pieceWide(construction.make(choices, request), choices.wide ?? 'turn', request);
  const made = withRawEdges(wide, request, { natural: rawEdges, synthetic: rawEdgesSynthetic });
  const machine = cushion.machine ?? shop.document.machine ?? 'walking-foot';
  const thread = made.seams.length ? [threadFor(made.seams, facts('main'), machine, assume)] : [];
  const muslin = cushion.core.kept ? null : muslinOf(request);
  const onMainCloth = muslin && !construction.slots.includes('lining') && facts('lining') === facts('main');
  return {
    cover: { ...made, notions: [...made.notions, ...thread, ...bagInside(made, contents)] },
    coverPieces: made.pieces.map((piece) => {
      if (piece.material.kind !== 'cloth') return piece;
      const { slot } = piece.material;
      const { across, along } = shrinkage(clothUse(slot, { cloth }, cushion, shop), shop);
      return cutLarger(asLaid(piece, facts(slot)), across, along);
    }),
    crown,
    muslin,
    stretches: facts('main').stretches,
    ownFeather,
    problems: [
      ...(onMainCloth ? [issue('warning', 'slot-not-named', 'slots.lining', { what: 'muslin between springs and foam' })] : []),
      ...ownZipProblems(request.ownZip, made.closings, cushion.quantity),
    ],
  };
}

/** A zip that the cover is made for but that its construction, or the length of its side, does not let it follow; one zip for several cushions. */
function ownZipProblems(own: OwnZip | null, closings: Cover['closings'], quantity: number): Issue[] {
  if (!own) return [];
  const closing = closings.find((one) => one.kind === 'zip');
  if (!closing) return [issue('warning', 'own-zip-without-zip', 'madeForZip', { zipMm: own.length.value })];
  if (closing.setIn !== own.length)
    return [issue('warning', 'own-zip-not-followed', 'madeForZip', { zipMm: own.length.value, closesMm: own.opening.value, openingMm: closing.opening.value })];
  return quantity > 1 ? [issue('note', 'own-zip-for-one', 'madeForZip', { others: quantity - 1, tapeMm: closing.tape.value })] : [];
}

/** A piece as it lies on its cloth: which of its copies are turned over; on a hide, which has no threads, along it, turned a little where that saves leather. */
function asLaid(piece: Piece, { kind }: Pick<ClothFacts, 'kind'>): Piece {
  const turned = turnedCopies(piece);
  const grain = piece.grain === 'with-the-roll' && kind === 'leather' ? 'along-the-hide' : piece.grain;
  if (turned === 0) return grain === piece.grain ? piece : { ...piece, grain };
  const remark = [piece.remark, turnedWords({ ...piece, turned })].filter(Boolean).join('; ');
  return { ...piece, grain, turned, remark };
}

/** A case that is all feather is pushed in by hand, whatever layers are named. */
function filledAs(layered: Contents, ownFeather: Covered['ownFeather']): Contents {
  return ownFeather === 'all' ? { ...layered, loose: true, sprung: false, stiff: false, softUp: false, foamOnSprings: 0 } : layered;
}
