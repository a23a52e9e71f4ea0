import { grow } from '../geometry/offset';
import { outlineBounds, perimeter, rectangleOutline, type Outline } from '../geometry/outline';
import { given, law, plus, sum } from '../kernel/figure';
import type { Piece } from '../piece/piece';
import type { School } from '../shop/schools';
import { pair, pairMm, type UnitSystem } from '../units/length';
import { reaching } from './outlines';
import type { Sizes } from './sizes';

/** Faces reach over the core's edge by this on every side; the border laps half of its extra over each face and once over itself. */
const FACE_OVER = pair(13, 1 / 2);
const BORDER_OVER = pair(25, 1);

const WRAP: Pick<Piece, 'material' | 'grade' | 'thicknessMm' | 'sewn' | 'marks' | 'grain' | 'trimMm' | 'joins'> = {
  material: 'wadding',
  grade: null,
  thicknessMm: null,
  sewn: null,
  marks: [],
  grain: 'any',
  trimMm: 0,
  joins: 0,
};

/** The wadding pieces round one core: two faces, and the border where the school wraps all round. None without loft. */
export function wrapPieces(school: School, loftMm: number, core: Sizes['core'], outline: Outline, system: UnitSystem): Piece[] {
  if (loftMm <= 0) return [];
  const over = given('over the edge', pairMm(FACE_OVER, system), 'shop');
  const grown = grow(outline, over.value);
  const faceOutline = grown.ok ? grown.outline : outline;
  const box = outlineBounds(faceOutline);
  const face: Piece = {
    ...WRAP,
    id: 'wrap-face',
    role: 'wrap-face',
    part: { index: 1, of: 1 },
    countPerCushion: 2,
    width: reaching(sum('wrap face', core.width, plus(over, 2)), box.maxX - box.minX),
    height: reaching(sum('wrap face', core.depth, plus(over, 2)), box.maxY - box.minY),
    outline: faceOutline,
  };
  if (school.wrap.where === 'faces') return [face];
  const lap = given('lap', pairMm(BORDER_OVER, system), 'shop');
  const round = law('round the core', 'edge of {0} × {1}', [core.width, core.depth], () => perimeter(outline));
  const width = sum('wrap border', round, plus(lap));
  const height = sum('wrap border', core.height, plus(lap));
  return [
    face,
    {
      ...WRAP,
      id: 'wrap-border',
      role: 'wrap-border',
      part: { index: 1, of: 1 },
      countPerCushion: 1,
      width,
      height,
      outline: rectangleOutline(width.value, height.value),
    },
  ];
}
