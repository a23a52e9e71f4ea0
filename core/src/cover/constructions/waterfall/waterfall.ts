import { growEdges } from '../../../geometry/offset';
import { outlineBounds } from '../../../geometry/outline';
import { plus, sum } from '../../../kernel/figure';
import { issue, type Issue } from '../../../kernel/issue';
import { seamProblems } from '../../../piece/seam';
import type { Construction } from '../../contract';
import { frontOf } from '../../band/front';
import { notionsFor, zipClosing } from '../../sewing/notions';
import { waterfallFields, waterfallSchema, type Waterfall } from './choices';
import { overFront } from './plate';

import { waterfallOperations } from './operations';
import { waterfallSkin } from './skin';
import { openingProblems } from '../../sewing/opening';
import { piecesOf, radiusFor, seamsOf, slabDepth } from './pieces';
import { EDGE_CHOICE_WORDS } from '../../words';

const refused = (why: string): Issue[] => [
  issue('error', 'construction-not-for-outline', 'construction', { construction: 'waterfall front', why, instead: 'Take a boxed cover.' }),
];

/** Both edges of the front rounded alike. */
const both = (mm: number) => ({ topMm: mm, bottomMm: mm });

/** One plate over top, front and bottom, two side boxings rounded at the front, a zip round the back. */
export const waterfall: Construction<Waterfall> = {
  kind: 'waterfall',
  name: 'Waterfall front',
  idea: 'One plate over top, front and bottom: no seam where the legs lie. Sides boxed, the zip round the back.',
  words: ['waterfall'],
  choiceWords: EDGE_CHOICE_WORDS,
  schema: waterfallSchema,
  defaults: () => ({ kind: 'waterfall' }),
  fields: waterfallFields,
  slots: ['boxing', 'welt'],
  suits: ({ outline, sloping }) =>
    sloping ? refused('a wedge has panels of its own') : frontOf(outline) ? [] : refused('its front has to be one straight side with a corner at both ends'),
  cutSizes: (choices, request) => {
    const { sizes } = request;
    const sewn = sizes.cutToCore ? { ...sizes.sewn, depth: slabDepth(sizes) } : sizes.sewn;
    const between = overFront(sewn.height, radiusFor(choices, request));
    const depth = sum('plate, cut', sewn.depth, plus(sewn.depth), plus(between), plus(sizes.seam, 2));
    return { cut: { width: sizes.cut.width, depth }, sewn };
  },
  // In a slab no allowance is taken at the front, where there is no seam: the seam line's front stands so much further forward.
  seamLine: (sewn, sizes) => {
    const { minY, maxY } = outlineBounds(sewn);
    const moved = growEdges(sewn, { front: sizes.sewn.depth.value - (maxY - minY), right: 0, back: 0, left: 0, corner: 0 });
    return sizes.cutToCore && moved.ok ? moved.outline : sewn;
  },
  make(choices, request) {
    const front = frontOf(request.sewn);
    const problems: Issue[] = front ? [] : refused('its front has to be one straight side with a corner at both ends');
    if (!front) return { pieces: [], seams: [], closings: [], notions: [], operations: [], eased: null, skin: null, problems };
    const made = piecesOf(choices, request, front);
    const pieces = [made.plate.piece, ...new Set([made.sides.right, made.sides.left]), ...made.plaque.pieces, ...(made.welt ? [made.welt] : [])];
    const seams = seamsOf(made, pieces, request.sizes.sewn.height.value);
    const zip = zipClosing(made.opening, 'the back and round its corners', request);
    return {
      pieces,
      seams,
      closings: [zip],
      notions: notionsFor([zip], made.welt ? [made.welt] : []),
      operations: waterfallOperations(request, made, pieces, seams, zip.setIn),
      eased: null,
      skin: waterfallSkin(made, request, front),
      problems: [...openingProblems(request, { openingMm: made.opening.value, roundCornerMm: 0, path: 'construction' }), ...seamProblems(seams)],
    };
  },
  profile: ({ edge, cordMm, frontRadiusMm }, { sewn }, assume) => ({
    kind: 'band',
    heightMm: sewn.height.value,
    roundedFront: both(Math.min(frontRadiusMm ?? assume('frontRadiusMm'), sewn.height.value / 2)),
    crownedFaces: null,
    domes: false,
    onBoard: false,
    welt: edge === 'welt' ? { cordMm: cordMm ?? assume('cordMm'), on: 'both' } : null,
    modelled: true,
  }),
  lines: ({ edge }) => {
    const line = edge === 'welt' ? 'welt' : 'seam';
    return { top: line, bottom: line, corners: false, softFront: true };
  },
  traits: ({ edge }) => ({
    zip: 'round the back',
    washable: true,
    edge: edge === 'welt' ? 'soft in front, corded at sides and back' : 'soft in front, no seam under the knees',
    hard: 'The plate eased round the side boxings’ curves, mid marks on their centres.',
  }),
  says: ({ edge }) => (edge === 'welt' ? 'welted at sides and back' : 'plain edge'),
};
