import type { CrownAnswer, CrownAsk } from '../../crown/domed';
import type { Outlines } from '../../allowance/outlines';
import type { Sizes } from '../../piece/sizes';
import { slantedPlate } from '../../cover/band/panels';
import { outlineBounds } from '../../geometry/outline';
import { given, measuredOn, type Figure } from '../../kernel/figure';
import type { EdgeProfile } from '../../cover/contract';
import { hashText } from '../../kernel/hash';
import { PLAIN_PIECE, type Piece } from '../../piece/piece';
import type { Cushion } from '../../job/document';

/** A crown that was asked for: its request, and the answer once there is one. Until then the plates are planned flat. */
export interface PlannedCrown {
  readonly hash: string;
  readonly request: CrownAsk;
  readonly answer: CrownAnswer | null;
}

/** How many faces stand proud: as the construction leaves it, else as it was asked; without a word both. */
export function facesOf({ crown }: Cushion, { crownedFaces }: EdgeProfile): 1 | 2 {
  return crownedFaces ?? crown?.faces ?? 2;
}

/** The crown that a cushion asks for, over the plate that is to stand proud. */
export function crownFor(cushion: Cushion, sizes: Sizes, outlines: Outlines, crownOf: (hash: string) => CrownAnswer | null): PlannedCrown | null {
  const { crown } = cushion;
  if (!crown || crown.mm === 0) return null;
  const outline = sizes.slope ? slantedPlate(sizes, sizes.slope) : outlines.sewn;
  const request: CrownAsk = { format: 'yardland/crown-ask@1', outline, crownMm: crown.mm, pads: crown.pads?.count ?? 0 };
  const hash = hashText(JSON.stringify(request));
  return { hash, request, answer: crownOf(hash) };
}

/** The crown's pads as pieces, largest first, for every crowned face. */
export function padPieces(cushion: Cushion, answer: CrownAnswer | null, faces: 1 | 2): Piece[] {
  const loft = cushion.crown?.pads?.loftMm;
  if (!answer || loft === undefined) return [];
  return answer.pads.map(({ outline, heightMm }, i): Piece => {
    const box = outlineBounds(outline);
    const level = given('above its edge', heightMm, 'measured');
    const side = (mm: number): Figure => measuredOn('pad', mm, 'across the crown where it stands {0} high', [level]);
    const of = answer.pads.length;
    return {
      ...PLAIN_PIECE,
      id: `crown-pad-${i + 1}`,
      role: 'crown-pad',
      label: of > 1 ? `crown pad ${i + 1} of ${of}` : 'crown pad',
      part: { index: i + 1, of },
      material: { kind: 'wadding', loftMm: loft },
      countPerCushion: faces,
      width: side(box.maxX - box.minX),
      height: side(box.maxY - box.minY),
      outline,
    };
  });
}
