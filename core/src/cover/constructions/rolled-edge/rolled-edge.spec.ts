import { buyList } from '../../../plan/buy/buy';
import { isButton, plateMarksOf } from '../../../picture/plate-marks';
import type { Cushion } from '../../../job/document';
import type { Planned } from '../../../plan/cushion/cushion-plan';
import { unequalSeams } from '../../../piece/seam';
import { IN, madeAlone } from '../../../testing/covers';
import { demoShop, sampleCushion, sampleJob } from '../../../testing/samples';
import { stitchesFor } from '../../../piece/roll';
import { rollHeight } from '../../sewing/stitched-edge';
import type { RolledEdge } from './choices';

const shop = demoShop();
const cushionOf = (choices: Partial<RolledEdge>, over: Partial<Cushion>): Cushion =>
  sampleCushion({
    given: 'finished',
    construction: { kind: 'rolled-edge', ...choices },
    template: { shape: 'rectangle', widthMm: 600, depthMm: 500 },
    heightMm: 100,
    core: { layers: [{ grade: 'wren-28', thicknessMm: 100 }] },
    ...over,
  });
const made = (choices: Partial<RolledEdge>, over: Partial<Cushion>, units: 'metric' | 'inch' = 'metric'): Planned => madeAlone(cushionOf(choices, over), units);
const marksOf = (one: Planned, kind: 'tuft' | 'roll', role: string): { readonly x: number; readonly y: number }[] =>
  one.pieces.filter((piece) => piece.role === role).flatMap(({ marks }) => marks.filter((mark) => mark.kind === kind).map(({ at }) => at));
const notion = (one: Planned, name: string): number => one.cover.notions.find((each) => each.name === name)?.amount.value ?? NaN;

describe('a rolled-edge mattress', () => {
  it('evens the stitches on each side so that every corner falls on one, the same on plate and boxing', () => {
    const one = made({}, {});
    const plate = marksOf(one, 'roll', 'plate');
    // 600 / 38 ≈ 16 and 500 / 38 ≈ 13, on two sides each.
    expect(plate.length).toBe(2 * 16 + 2 * 13);
    // 13 in on 75 high, where the roll stands 13; it stands 16 on 100.
    const xs = plate.filter(({ y }) => Math.abs(y - 16) < 0.01).map(({ x }) => x);
    // At a corner 16 in from both sides; between, 37.5 apart.
    expect(Math.min(...xs)).toBeCloseTo(16, 1);
    expect(xs.some((x) => Math.abs(x - 37.5) < 0.01) && xs.some((x) => Math.abs(x - 562.5) < 0.01)).toBeTrue();
    // A hand-closed band goes all round: every stitch is on it, on both edges, 16 inside the seams of 13.
    const band = marksOf(one, 'roll', 'boxing');
    expect([...new Set(band.map(({ y }) => Math.round(y * 10) / 10))].sort((a, b) => a - b)).toEqual([29, 97]);
    expect(band.filter(({ y }) => y < 50).length).toBeGreaterThanOrEqual(58);
    const inches = made({}, { template: { shape: 'rectangle', widthMm: 30 * IN, depthMm: 24 * IN }, heightMm: 4 * IN }, 'inch');
    expect(marksOf(inches, 'roll', 'plate').length).toBe(2 * 20 + 2 * 16);
  });

  it('sets tufts in a grid evened to the outline, half a spacing in, none nearer than 60 to the edge', () => {
    expect(marksOf(made({}, {}), 'tuft', 'plate')).toEqual([
      { x: 150, y: 125 },
      { x: 450, y: 125 },
      { x: 150, y: 375 },
      { x: 450, y: 375 },
    ]);
    expect(marksOf(made({ tufts: 'diamond' }, {}), 'tuft', 'plate')).toContain({ x: 300, y: 250 });
    expect(marksOf(made({ tufts: 'none' }, {}), 'tuft', 'plate')).toEqual([]);
    // 100 apart on a round of 400: the first row would lie 50 in.
    const round = marksOf(made({ tuftMm: 100 }, { template: { shape: 'round', diameterMm: 400 } }), 'tuft', 'plate');
    expect(round.length).toBeGreaterThan(3);
    expect(round.every(({ x, y }) => Math.hypot(x - 200, y - 200) <= 140.1)).toBeTrue();
  });

  it('is rolled side after side, the least seen first, from right to left as one sits before each, the other way for a left hand', () => {
    const { roll } = made({}, {}).cover;
    expect(roll?.sides.map(({ words, stitches }) => [words, stitches.length])).toEqual([
      ['back', 16],
      ['right', 13],
      ['left', 13],
      ['front', 16],
    ]);
    const [back, right, , front] = stitchesFor(roll!, 'right');
    // Before the front the right hand is at 600: it works towards 0. Before the back it is at 0, and the numbers begin there.
    expect(front!.stitches[0]!.at.x).toBeGreaterThan(front!.stitches.at(-1)!.at.x);
    expect(back!.stitches[0]!.at.x).toBeLessThan(back!.stitches.at(-1)!.at.x);
    expect([back!.stitches[0]!.order, right!.stitches[0]!.order, front!.stitches.at(-1)!.order]).toEqual([1, 17, 58]);
    const left = stitchesFor(roll!, 'left')[0]!;
    expect(left.stitches.map(({ at }) => at)).toEqual(back!.stitches.map(({ at }) => at).reverse());
    expect(left.stitches[0]!.order).toBe(1);
    // On 125 the roll stands 22: the stitches lie 22 in and are 6 × 22 ÷ 13 = 10.2 long.
    const thick = made({}, { heightMm: 125, core: { layers: [{ grade: 'wren-28', thicknessMm: 125 }] } });
    const step = thick.operations.find(({ id }) => id === 'fix/roll');
    expect(step?.figures.map(({ value }) => Math.round(value * 10) / 10)).toEqual([10.2, 38, 22, 22]);
    // Tufts from the middle outwards, each drawn down by a fifth of the thickness.
    const nine = made({ tuftMm: 180 }, {});
    expect(nine.cover.roll?.tufts[0]).toEqual({ x: 300, y: 250 });
    expect(nine.operations.find(({ id }) => id === 'fix/tufts')?.figures[2]?.value).toBe(20);
    // A round one is evened on its quarters.
    expect(made({}, { template: { shape: 'round', diameterMm: 400 } }).cover.roll?.sides.map(({ words }) => words)).toEqual(['back', 'right', 'left', 'front']);
  });

  it('takes twine for twice the thickness and 300 a tuft, and four times the rolled length', () => {
    const one = made({}, {});
    expect([notion(one, 'Twine for tufts'), notion(one, 'Twine for the roll')]).toEqual([4 * (200 + 300), 4 * 2 * 2200]);
    const inches = made({ tuftWith: 'button' }, { template: { shape: 'rectangle', widthMm: 30 * IN, depthMm: 24 * IN }, heightMm: 4 * IN }, 'inch');
    expect(notion(inches, 'Twine for tufts') / IN).toBeCloseTo(6 * (8 + 12), 6);
    expect(notion(inches, 'Twine for the roll') / IN).toBeCloseTo(4 * 2 * 108, 6);
    expect(notion(inches, 'Tufting buttons')).toBe(12);
  });

  it('is a boxed cover closed by hand, its boxing 13 higher where an easier roll is wanted', () => {
    const boxing = (one: Planned): number => one.pieces.find(({ role }) => role === 'boxing')?.height.value ?? NaN;
    expect([boxing(made({}, {})), boxing(made({ height: 'easier' }, {}))]).toEqual([126, 139]);
    expect(made({ height: 'easier' }, {}).sizes.boxingCut.value).toBe(139);
    expect(made({}, {}).cover.closings.map(({ kind }) => kind)).toEqual(['hand']);
    expect(made({ closing: 'zip' }, {}).cover.closings.map(({ kind }) => kind)).toEqual(['zip']);
    for (const choices of [{}, { closing: 'zip' }, { boxing: 'panels', height: 'easier' }] as const)
      expect(unequalSeams(made(choices, {}).cover.seams)).toEqual([]);
    expect([50, 75, 87.5, 100, 112.5, 125, 200].map(rollHeight)).toEqual([13, 13, 14.5, 16, 19, 22, 22]);
  });

  it('turns an old cushion into one: tufts and roll only, with their twine, and no new cover', () => {
    const old: Partial<Cushion> = { given: 'sewn', seat: { oldCover: { findings: [] } } };
    const one = made({}, old);
    expect(one.keptCover).not.toBeNull();
    expect(one.pieces.filter(({ material }) => material.kind === 'cloth')).toEqual([]);
    const steps = one.operations.map(({ id }) => id);
    expect([steps.includes('fix/tufts'), steps.includes('fix/roll'), steps.includes('cut/chalk'), steps.includes('sew/band-to-top')]).toEqual([
      true,
      true,
      false,
      false,
    ]);
    const bought = buyList({ job: sampleJob([cushionOf({}, old)]), plans: [one], lays: [], lots: [], salvaged: [], shop }).map(({ name }) => name);
    expect([bought.includes('Twine for tufts'), bought.includes('Twine for the roll'), bought.includes('Thread')]).toEqual([true, true, false]);
  });

  it('is drawn with its tufts', () => {
    expect(plateMarksOf(made({}, {}).cover).filter(isButton).length).toBe(4);
  });
});
