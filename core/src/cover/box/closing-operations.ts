import { given, type Figure } from '../../kernel/figure';
import { operation, type Operation } from '../../piece/operation';
import { minutesFor } from '../../shop/minutes';
import type { Closing, CoverRequest } from '../contract';
import type { Band } from '../band/band';
import { openZip } from '../sewing/cover-operations';
import type { PlaqueKind } from '../plaque/plaque';
import { hemmedEndStages } from '../plaque/plaque-stages';
import { endsFor, type Box } from './choices';

const SLIDER = 'Slider on, and a stop sewn across each end, before the plaque is closed in.';
const MEASURE = 'Measure the finished plaque against the boxing and trim it to match, to the millimetre.';

/** How each plaque is made up. `{0}` is the tape. */
const MAKE: Record<PlaqueKind, string> = {
  slit: 'Make up the zip plaque: fold the strip right sides in, seam at half the zip’s width with the longest stitch, slit the fold, press open, centre the zip of {0} over it, sew both rows the same way, cross the ends, and unpick the long stitch.',
  folded: 'Make up the zip plaque: fold both strips in half, butt their folds over the zip of {0}, and sew a row along each fold.',
  lapped:
    'Make up the zip plaque: join the narrow strip to one side of the zip of {0} and the wide one to the other, fold the wide one over the teeth and top-stitch the lap.',
  'hook-and-loop': 'Turn both closing strips in, and sew hook to the one and loop to the other, {0} each, two rows each; lay the loop side over the hook side.',
};

export interface ClosingWork {
  readonly choices: Box;
  readonly request: CoverRequest;
  readonly band: Band;
  readonly closing: Closing;
  /** Minutes at the machine for the named seams and some corners. */
  readonly sew: (names: readonly string[], corners?: number) => number;
}

/** Making the plaque up, and setting it into the boxing. */
export function plaqueOperations({ choices, request: { sizes, assume }, band, closing, sew }: ClosingWork): Operation[] {
  const { plaque, plackets, ends } = band;
  if (!plaque) return [];
  const names = plaque.seams.map(({ id }) => id);
  const parts = plaque.pieces.some(({ part }) => part.of > 1);
  const kind = endsFor(choices);
  const last = choices.plaqueSewn === 'last';
  const pocketed = !sizes.slope && kind === 'pocket';
  const hem = given('hem', assume('endHemMm'), 'shop');
  const lap = given('lap', assume('endLapMm'), 'shop');
  const endWords: { readonly text: string; readonly figures: readonly Figure[]; readonly cautions: readonly string[] } = sizes.slope
    ? { text: 'Sew the plaque to the sides at both ends, stopped one allowance short.', figures: [], cautions: [] }
    : kind === 'hemmed'
      ? {
          text: 'Turn both ends of the boxing in {0}, lap their folds {1} over the plaque’s ends, and close each with a row {2} from the fold.',
          figures: [hem, lap, given('from the fold', assume('endRowMm'), 'shop')],
          cautions: ['The row at a hemmed end stops short of the welt: the slider must pass.'],
        }
      : kind === 'placket'
        ? { text: 'Fold an end placket back over each end of the zip and sew plaque and boxing together through it.', figures: [], cautions: [] }
        : pocketed
          ? { text: 'Sew the plaque to the boxing at both ends, the boxing folded back over the zip’s ends.', figures: [plaque.length], cautions: [] }
          : { text: 'Sew the plaque to the boxing at both ends.', figures: [plaque.length], cautions: [] };
  const figures: readonly Figure[] = closing.kind === 'zip' || closing.kind === 'hook-and-loop' ? [closing.tape] : [];
  return [
    operation({
      id: 'sew/plaque',
      phase: 'sew',
      text: `${parts ? 'Join the parts of each plaque strip end to end first. ' : ''}${MAKE[plaque.kind]}`,
      figures,
      cautions: [...(closing.kind === 'zip' ? [SLIDER] : []), MEASURE],
      pieces: plaque.pieces.map(({ id }) => id),
      seams: names,
      stages: plaque.stages,
      minutes: sew(names),
      needs: 'machine',
      after: ['cut/notch'],
    }),
    operation({
      id: 'sew/plaque-ends',
      phase: 'sew',
      text: last ? `When both plates are on, set the plaque in last. ${endWords.text}` : endWords.text,
      figures: endWords.figures,
      cautions: endWords.cautions,
      pieces: [...band.boxing, ...plaque.pieces, ...plackets].map(({ id }) => id),
      seams: ends.map(({ id }) => id),
      stages: !sizes.slope && kind === 'hemmed' ? hemmedEndStages(hem.value, lap.value, assume('endRowMm')) : [],
      minutes: sew(ends.map(({ id }) => id)),
      needs: 'machine',
      after: ['sew/plaque', 'sew/boxing-joins', 'sew/panel-corners'],
    }),
  ];
}

/** Opening the zip in time, or closing the back by hand once the cushion is filled. */
export function lastOperations({ closing, request: { assume }, band }: ClosingWork): { readonly before: Operation[]; readonly after: Operation[] } {
  if (closing.kind === 'hand')
    return {
      before: [],
      after: [
        operation({
          id: 'fill/close',
          phase: 'fill',
          text: 'Turn both edges of the opening in by exactly the seam allowance and close {0} with a ladder stitch in strong thread.',
          figures: [closing.opening],
          pieces: band.boxing.map(({ id }) => id),
          seams: ['closing'],
          minutes: minutesFor('hand', closing.opening.value, 0, assume),
          needs: 'hand',
          after: ['fill/insert'],
        }),
      ],
    };
  const pieces = band.plaque?.pieces.map(({ id }) => id) ?? [];
  return {
    before: [openZip(pieces, 'sew/plaque-ends', closing.kind === 'zip' ? undefined : 'the hook and loop a hand’s width')],
    after: [],
  };
}
