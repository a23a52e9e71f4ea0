import type { LinePicture } from '../form/solid/line-picture';
import type { Point } from '../geometry/point';
import { distanceTo } from '../geometry/measure';
import { flatten } from '../geometry/outline';
import { distance } from '../geometry/point';
import { contains, polygonArea } from '../geometry/polygon';
import type { Cushion } from '../job/document';
import type { Planned } from '../plan/cushion/cushion-plan';
import { plan } from '../plan/plan';
import { SHAPES } from '../template/shapes/shapes';
import { demoShop, sampleCushion, sampleJob } from '../testing/samples';
import { cushionPicture } from './cushion-picture';

const shop = demoShop();

/** A flat cushion, 500 × 400 × 80 on its seam lines unless it is said otherwise, its zip at the back only, with its picture. */
function made(over: Partial<Cushion> = {}): { readonly picture: LinePicture; readonly one: Planned } {
  const cushion = sampleCushion({ template: { shape: 'rectangle', widthMm: 500, depthMm: 400 }, heightMm: 80, wrapLoftMm: 0, given: 'sewn', ...over });
  const plain = { ...cushion, construction: { ...cushion.construction, edge: 'plain', zipReturnMm: 0, ...over.construction } as Cushion['construction'] };
  const [one] = plan(sampleJob([{ ...plain, crown: { mm: 0, way: 'flat', faces: 2 } }]), shop).cushions;
  if (one?.state !== 'planned') throw new Error('not planned');
  // Straight: as it is sewn, with nothing in it that would crown it.
  const flat = { ...one, fit: null, fitRequest: null };
  const picture = cushionPicture(flat);
  if (!picture) throw new Error('no picture');
  return { picture, one: flat };
}

const lengthOf = (points: readonly Point[]): number => points.slice(1).reduce((sum, p, i) => sum + distance(p, points[i] as Point), 0);
const seams = ({ lines }: LinePicture): number => lines.filter(({ kind }) => kind === 'seam').reduce((sum, { points }) => sum + lengthOf(points), 0);

/** Looked at from 32° to the right and 30° above: how long a millimetre to the right, away and up is on the picture. */
const [turn, above] = [(32 * Math.PI) / 180, (30 * Math.PI) / 180];
const right = Math.hypot(Math.cos(turn), Math.sin(turn) * Math.sin(above));
const away = Math.hypot(Math.sin(turn), Math.cos(turn) * Math.sin(above));
const up = Math.cos(above);

describe('the picture of a cushion in lines', () => {
  it('covers what a box covers: its top, its front and one side, each as much as it faces the eye', () => {
    const { outline } = made().picture;
    const covered = 500 * 400 * Math.sin(above) + 80 * up * (500 * Math.cos(turn) + 400 * Math.sin(turn));
    expect(Math.abs(polygonArea(outline)) / covered).toBeCloseTo(1, 2);
  });

  it('draws of a box the edges that are seen and no others: four above, two below, three upright', () => {
    const seen = 500 * right * 3 + 400 * away * 3 + 80 * up * 3;
    const drawn = seams(made().picture) / seen;
    expect(drawn).toBeGreaterThan(0.97);
    expect(drawn).toBeLessThan(1.03);
  });

  it('leaves out what stands behind the upper face: no line runs over it, whatever its shape, inner corners and curves among them', () => {
    for (const { like, shape } of SHAPES.filter((one) => ['t', 'l', 'ring-sector', 'round-back', 'half-round', 'angle-cut'].includes(one.shape))) {
      const { picture, one } = made({ template: like(600, 500) as Cushion['template'] });
      const high = one.sizes.sewn.height.value;
      const face = flatten(one.outlines.sewn).map(({ x, y }) => ({
        x: x * Math.cos(turn) + y * Math.sin(turn),
        y: (y * Math.cos(turn) - x * Math.sin(turn)) * Math.sin(above) + high * up,
      }));
      const over = picture.lines.flatMap(({ points }) => points).filter((p) => contains(face, p) && distanceTo(face, p) > 4);
      expect(over).withContext(shape).toEqual([]);
      expect(seams(picture)).withContext(shape).toBeGreaterThan(1500);
    }
  });

  it('draws a welt round the whole upper face and along the lower edge that is seen', () => {
    const { picture } = made({ construction: { ...sampleCushion().construction, edge: 'welt', cordMm: 8 } as Cushion['construction'] });
    const cords = picture.lines.filter(({ kind }) => kind === 'cord').reduce((sum, { points }) => sum + lengthOf(points), 0);
    const rings = 500 * right * 3 + 400 * away * 3;
    expect(cords / rings).toBeGreaterThan(0.93);
    expect(cords / rings).toBeLessThan(1.1);
  });
});
