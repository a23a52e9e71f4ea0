import { seededRandom } from '../../kernel/random';
import { homography, mapPoint } from './homography';
import { sheetCorners } from './on-sheet';
import type { ColourPicture } from './straightened-picture';
import type { Corners } from './trace';

/** One repeat of the cloth that the simulated camera looks at, mm. */
export const MADE_REPEAT = { acrossMm: 160, alongMm: 200 } as const;

/** A picture of a patterned cloth as a camera would take it, with the corners of one repeat, its motif in the middle. */
export interface MadeCloth {
  readonly picture: ColourPicture;
  readonly corners: Corners;
}

const SIZE = { width: 1400, height: 1050 };
/** Lower left, lower right, upper right, upper left of the repeat in the middle of the picture. */
const CORNERS: Corners = [
  { x: 452, y: 790 },
  { x: 968, y: 812 },
  { x: 904, y: 262 },
  { x: 498, y: 246 },
];
const GROUND = [206, 190, 152];
const RING = [52, 84, 120];
const BUD = [158, 52, 44];
const BAND = [232, 222, 196];
/** Light falls from one side of the picture to the other by this factor, and from its lower edge to its upper one. */
const LIGHT = { across: 0.62, upwards: 0.84 };

/** The colour of the made cloth at a place of its repeat, mm from the lower left: a ring in the middle, a bud up and to the right of it, and a band along its left side. */
export function madeClothAt(across: number, along: number): readonly number[] {
  const x = ((across % MADE_REPEAT.acrossMm) + MADE_REPEAT.acrossMm) % MADE_REPEAT.acrossMm;
  const y = ((along % MADE_REPEAT.alongMm) + MADE_REPEAT.alongMm) % MADE_REPEAT.alongMm;
  const ring = Math.hypot(x - 80, y - 100);
  if (ring > 20 && ring < 44) return RING;
  if (Math.hypot(x - 128, y - 160) < 16) return BUD;
  if (x > 8 && x < 20) return BAND;
  return GROUND;
}

/** Renders the cloth at a slant, in uneven light, with its weave and grain. */
export function madeCloth(): MadeCloth {
  const toCloth = homography(CORNERS, sheetCorners({ width: MADE_REPEAT.acrossMm, depth: MADE_REPEAT.alongMm }));
  const random = seededRandom(53);
  const rgba = new Uint8ClampedArray(4 * SIZE.width * SIZE.height);
  for (let y = 0; y < SIZE.height; y++)
    for (let x = 0; x < SIZE.width; x++) {
      const place = toCloth ? mapPoint(toCloth, { x: x + 0.5, y: y + 0.5 }) : { x: 0, y: 0 };
      const thread = 1 + 0.05 * Math.sin(place.x * 2.6) * Math.sin(place.y * 2.6);
      const light = LIGHT.across ** (1 - x / SIZE.width) * LIGHT.upwards ** (1 - y / SIZE.height);
      const grain = (random() - 0.5) * 10;
      const at = 4 * (y * SIZE.width + x);
      madeClothAt(place.x, place.y).forEach((value, k) => (rgba[at + k] = Math.round(value * thread * light + grain)));
      rgba[at + 3] = 255;
    }
  return { picture: { ...SIZE, rgba }, corners: CORNERS };
}
