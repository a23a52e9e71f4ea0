import type { Figure } from '../../../kernel/figure';
import { operation, type Operation } from '../../../piece/operation';
import type { Piece } from '../../../piece/piece';
import type { Seam } from '../../../piece/seam';
import { stageLine, type Stage } from '../../../piece/stage';
import type { CoverRequest } from '../../contract';
import { steamed } from '../../sewing/cloth-way';
import { cutCover, dress, insertCore, openZip } from '../../sewing/cover-operations';
import { sewMinutes, zipStep } from '../../sewing/steps';

const CUTTING = {
  rest: 'the top plate with its flaps and the bottom plate',
  notch: 'Notch the centres and the zip’s ends; the plan’s corners mark themselves.',
};

/** A corner of the top plate flat and folded, as it is cut: as much of the plate as the flaps are high, the plan's corner at the origin. */
function cornerStages(highMm: number, seamMm: number): readonly Stage[] {
  const [h, s] = [highMm, seamMm];
  const flat = stageLine('cloth', [-h, h], [s, h], [s, s], [h, s], [h, -h]);
  const folded = stageLine('cloth', [-h, -h], [s, s], [h, s], [h, -h], [-h, -h]);
  return [
    {
      words: 'flat: fold it on the diagonal',
      lines: [flat, stageLine('fold', [-h, -h], [0, 0]), stageLine('stitch', [0, 0], [h, 0]), stageLine('stitch', [0, 0], [0, h])],
    },
    { words: 'folded, flap edge to flap edge; seamed from the plan’s corner down', lines: [folded, stageLine('stitch', [0, 0], [h, 0])] },
  ];
}

/** The corners' seams, by id. */
export const flapCorners = (corners: number): { readonly id: string; readonly words: string }[] =>
  Array.from({ length: corners }, (_, i) => ({ id: `corner-${i + 1}`, words: `corner ${i + 1}, folded on its diagonal` }));

/** What the steps are made from. */
export interface FoldedWork {
  readonly pieces: readonly Piece[];
  readonly seams: readonly Seam[];
  /** Of the zip, where it has one. */
  readonly tape: Figure | null;
  readonly corners: number;
}

/** The steps of a cover with so many corners; `tape` of its zip, where it has one. */
export function foldedCornerOperations(request: CoverRequest, { pieces, seams, tape, corners }: FoldedWork): Operation[] {
  const { assume, sizes } = request;
  const ids = pieces.map(({ id }) => id);
  const cornerSeams = flapCorners(corners).map(({ id }) => id);
  const sew = sewMinutes(seams, assume);
  return [
    ...cutCover(pieces, CUTTING, request),
    operation({
      id: 'sew/corners',
      phase: 'sew',
      text: `Fold each of the ${corners} corners of the top plate on its diagonal, flap edge to flap edge, and seam it from the plan’s corner straight down, {0}; cut the cloth inside away but for the allowance, or leave it as a flap.`,
      figures: [sizes.sewn.height],
      cautions: ['Back-tack at the plan’s corner: the pull comes there.'],
      pieces: ids.slice(0, 1),
      seams: cornerSeams,
      looks: ['corners'],
      stages: cornerStages(sizes.sewn.height.value, sizes.seam.value),
      minutes: sew(cornerSeams, corners),
      needs: 'machine',
      after: ['cut/notch'],
    }),
    ...(tape
      ? [
          zipStep(
            {
              text: 'Set the zip of {0} into the back of the bottom seam, between top and bottom plate, its ends crossed.',
              tape,
              pieces: ids,
              seam: 'zip',
              runMm: tape.value,
              after: ['sew/corners'],
            },
            assume,
          ),
          openZip(ids, ['sew/zip']),
        ]
      : []),
    operation({
      id: 'sew/round',
      foot: 'edge',
      phase: 'sew',
      text: `Sew the flaps’ edge to the bottom plate, ${tape ? 'from one end of the zip round to the other' : 'all round'}, corner seams on the plate’s corners.`,
      pieces: ids,
      seams: ['round'],
      looks: ['pleats'],
      minutes: sew(['round'], corners),
      needs: 'machine',
      after: ['sew/corners', 'sew/open-zip'],
    }),
    insertCore(request, 'sew/round'),
    dress(request, `Push the corners out, fill them with loose wadding, close the zip${steamed(request.cloth('main'))}`, corners),
  ];
}
