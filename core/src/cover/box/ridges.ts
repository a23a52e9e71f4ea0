import { given } from '../../kernel/figure';
import { operation, type Operation } from '../../piece/operation';
import { minutesFor } from '../../shop/minutes';
import { isJoinedInPlace } from './order';
import { idsOf, lastCorner, present, sewingMinutes, type BoxWork } from './work';

/** The ridge: each seam turned to the boxing and top-stitched beside it, as soon as it is sewn. */
export interface Ridges {
  readonly panels: readonly Operation[];
  readonly lastCorner: readonly Operation[];
  readonly top: readonly Operation[];
  readonly bottom: readonly Operation[];
  readonly plaque: readonly Operation[];
  readonly byHand: readonly Operation[];
}

const NONE: Ridges = { panels: [], lastCorner: [], top: [], bottom: [], plaque: [], byHand: [] };

/** The steps of a ridge; none for another edge. */
export function ridgesOf(work: BoxWork): Ridges {
  const { choices, plates, band, seams, closing, request } = work;
  const { assume } = request;
  if (choices.edge !== 'ridge') return NONE;
  const away = given('from the seam', assume('ridgeMm'), 'shop');
  const stop = given('from a corner', assume('ridgeStopMm'), 'shop');
  const twice = choices.ridge === 'twice' ? ' Twice.' : '';
  const step = (id: string, what: string, names: readonly string[], pieces: readonly string[], after: readonly string[]): Operation[] => {
    const sewn = present(work, ...names);
    if (sewn.length === 0) return [];
    return [
      operation({
        id,
        phase: 'sew',
        text: `Turn ${what} to the boxing and top-stitch {0} from it with the longer stitch, stopping {1} before a bulky corner and going on as far after it.${twice}`,
        figures: [away, stop],
        pieces,
        seams: sewn,
        minutes: sewingMinutes(work, sewn),
        needs: 'machine',
        after,
      }),
    ];
  };
  const last = lastCorner(work);
  const joined = isJoinedInPlace(choices, band);
  const corners = seams.filter(({ id }) => id.startsWith('ridge-panel') || id === 'ridge-boxing-ring').map(({ id }) => id);
  const boxing = idsOf(...band.boxing);
  const plaque = idsOf(...(band.plaque?.pieces ?? []));
  return {
    panels: step(
      'sew/ridge-panels',
      'each corner seam',
      corners.filter((id) => id !== `ridge-${last ?? ''}`),
      boxing,
      ['sew/panel-corners'],
    ),
    lastCorner: step('sew/ridge-last-corner', 'the last corner’s seam', [`ridge-${last ?? ''}`], boxing, ['sew/last-corner']),
    top: step(
      'sew/ridge-top',
      'the top seam',
      ['ridge-top', ...(joined ? ['ridge-plaque-top'] : [])],
      [...idsOf(plates.top, ...band.boxing), ...(joined ? plaque : [])],
      ['sew/band-to-top', 'sew/join-in-place', 'sew/last-corner'],
    ),
    bottom: step('sew/ridge-bottom', 'the bottom seam', ['ridge-bottom'], idsOf(plates.bottom, ...band.boxing), ['sew/band-to-bottom']),
    plaque: step(
      'sew/ridge-plaque',
      'the plaque’s two seams',
      ['ridge-plaque-top', 'ridge-plaque-bottom'],
      [...idsOf(plates.top, plates.bottom), ...plaque],
      ['sew/plaque-in'],
    ),
    byHand:
      closing.kind === 'hand'
        ? [
            operation({
              id: 'fill/ridge',
              phase: 'fill',
              text: 'Work the ridge along the closed opening by hand, {0} from the seam, so that it runs on all round.',
              figures: [away],
              tools: ['curved needle'],
              pieces: boxing,
              seams: present(work, 'ridge-closing'),
              minutes: minutesFor('hand', closing.opening.value, 0, assume),
              needs: 'hand',
              after: ['fill/close'],
            }),
          ]
        : [],
  };
}
