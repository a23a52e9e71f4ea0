import type { CrownAnswer, CrownAsk } from '../build/domed';
import type { Outlines } from '../build/outlines';
import type { Sizes } from '../build/sizes';
import { slantedPlate } from '../cover/panels';
import { outlineBounds } from '../geometry/outline';
import { given, law, type Figure } from '../kernel/figure';
import { hashText } from '../kernel/hash';
import type { Piece } from '../piece/piece';
import type { Cushion } from './document';

/** A crown that was asked for: its request, and the answer once there is one. Until then the plates are planned flat. */
export interface PlannedCrown {
  readonly hash: string;
  readonly request: CrownAsk;
  readonly answer: CrownAnswer | null;
}

/** How many faces stand proud. A wedge is crowned on its slope only; without a word both faces are. */
export function facesOf({ crown }: Cushion, sizes: Sizes): 1 | 2 {
  return sizes.slope ? 1 : (crown?.faces ?? 2);
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
export function padPieces(cushion: Cushion, sizes: Sizes, answer: CrownAnswer | null): Piece[] {
  const loft = cushion.crown?.pads?.loftMm;
  if (!answer || loft === undefined) return [];
  return answer.pads.map(({ outline, heightMm }, i): Piece => {
    const box = outlineBounds(outline);
    const level = given('level', heightMm, 'counted');
    const side = (mm: number): Figure => law('pad', 'where the crown stands {0} high', [level], () => mm);
    return {
      id: `crown-pad-${i + 1}`,
      role: 'crown-pad',
      part: { index: i + 1, of: answer.pads.length },
      material: 'wadding',
      grade: null,
      thicknessMm: loft,
      countPerCushion: facesOf(cushion, sizes),
      width: side(box.maxX - box.minX),
      height: side(box.maxY - box.minY),
      outline,
      sewn: null,
      marks: [],
      grain: 'any',
      trimMm: 0,
      joins: 0,
    };
  });
}
