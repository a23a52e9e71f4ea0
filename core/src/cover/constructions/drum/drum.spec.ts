import fc from 'fast-check';
import { area } from '../../../geometry/outline';
import type { Cushion } from '../../../job/document';
import { planJson } from '../../../plan/json';
import { planSolved } from '../../../plan/solve';
import { unequalSeams } from '../../../piece/seam';
import { SHAPES } from '../../../template/shapes/shapes';
import { planned } from '../../../testing/planned';
import { demoShop, sampleCushion, sampleJob } from '../../../testing/samples';

const INCH = 25.4;
const drum = (over: Partial<Cushion> = {}): Cushion =>
  sampleCushion({
    given: 'seat',
    template: { shape: 'round', diameterMm: 380 },
    heightMm: 60,
    construction: { kind: 'drum', boardMm: 22 },
    core: { layers: [{ grade: 'wren-32-firm', thicknessMm: 60 }] },
    wrapLoftMm: 0,
    ...over,
  });
const piece = (one: ReturnType<typeof planned>, role: string) => one.pieces.find((each) => each.role === role)!;

describe('a drum on a round board of 380, foam of 60, board edge of 22', () => {
  const one = planned(drum());

  it('has its foam glued to the board, masked, before the strip round the edge; the glue is bought for it', () => {
    const at = (id: string): number => one.operations.findIndex((step) => step.id === id);
    expect(at('prepare/glue-to-board')).toBeLessThan(at('prepare/edge-strip'));
    expect(one.operations[at('prepare/glue-to-board')]?.text).toContain('Mask');
    // Foam of 392 across: 0.1207 m² at 0.25 l a m².
    expect(one.coreNotions!.find(({ ware }) => ware === 'adhesive')?.amount.value).toBeCloseTo(0.1207 * 0.25, 3);
  });

  it('has the hand-worked sizes: foam 392, plate cut 404 on a seam line of 378, band 1187.5 long, 82 sewn, 101 cut', () => {
    expect([piece(one, 'foam').width.value, one.sizes!.core.height.value]).toEqual([392, 60]);
    expect([piece(one, 'plate').width.value, one.sizes!.sewn.width.value]).toEqual([404, 378]);
    expect(piece(one, 'band').width.value).toBeCloseTo(Math.PI * 378, 3);
    expect([one.sizes!.sewn.height.value, piece(one, 'band').height.value]).toEqual([82, 101]);
    // Outside the band's lower edge by 6, and 50 wide inside it: a ring between radii of 195 and 139.
    expect(piece(one, 'flange').width.value).toBeCloseTo(390, 6);
    expect(area(piece(one, 'flange').holes![0]!)).toBeCloseTo(Math.PI * 139 ** 2, 0);
    // As high as the board, round it and 25 over.
    expect([piece(one, 'edge-strip').height.value, piece(one, 'edge-strip').width.value]).toEqual([22, jasmine.any(Number)]);
    expect(piece(one, 'edge-strip').width.value).toBeCloseTo(Math.PI * 380 + 25, 3);
  });

  it('pairs its seams, staples its flange under the board, and has neither zip nor bottom', () => {
    const seams = one.cover!.seams;
    expect(seams.map(({ id }) => id)).toEqual(['band-join', 'band-to-plate', 'ridge', 'flange-to-band', 'flange-to-board']);
    expect(seams.find(({ id }) => id === 'band-to-plate')!.edges.map(({ lengthMm }) => Math.round(lengthMm * 10) / 10)).toEqual([1187.5, 1187.5]);
    expect(unequalSeams(seams)).toEqual([]);
    const [closing] = one.cover!.closings;
    expect(closing!.kind === 'staples' && closing!.count.value).toBe(
      // Round a line of radius 190 − 25, in quarters of 259: 14 gaps of under 20 in each.
      56,
    );
    expect(one.pieces.filter(({ role }) => role === 'plate').map(({ countPerCushion }) => countPerCushion)).toEqual([1]);
    expect(one.operations.at(-1)!.id).toBe('fix/staple');
    expect(one.operations.map(({ id }) => id).filter((id) => id.startsWith('fill'))).toEqual(['fill/dress']);
  });

  it('is crowned on top only, and held apart by its foam alone', () => {
    expect([one.fitRequest!.crownedFaces, one.fitRequest!.heightMm]).toEqual([1, 60]);
  });

  it('in inches takes quarters and halves: a board of 15 in, foam of 15 1/2, plate cut 16, seam line 15', () => {
    const inch = planSolved(sampleJob([drum({ template: { shape: 'round', diameterMm: 15 * INCH }, heightMm: 2.5 * INCH })], { units: 'inch' }), demoShop())
      .cushions[0]!;
    const inches = (mm: number): number => Number((mm / INCH).toFixed(6));
    expect([inches(inch.sizes!.core.width.value), inches(piece(inch, 'plate').width.value), inches(inch.sizes!.sewn.width.value)]).toEqual([15.5, 16, 15]);
  });
});

describe('every drum', () => {
  it('pairs its seams on every convex outline, and is refused with the reason on any other', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...SHAPES),
        fc.integer({ min: 260, max: 900 }),
        fc.integer({ min: 240, max: 700 }),
        fc.integer({ min: 20, max: 150 }),
        (shape, wide, deep, heightMm) => {
          const one = planned(drum({ template: shape.like(wide, deep), heightMm }));
          if (one.state === 'blocked') {
            expect(one.problems.map(({ code }) => code)).toEqual(['construction-not-for-outline']);
            return;
          }
          expect(unequalSeams(one.cover.seams)).withContext(shape.shape).toEqual([]);
        },
      ),
      { seed: 1011, numRuns: 120 },
    );
    expect(planned(drum({ template: SHAPES.find(({ shape }) => shape === 't')!.like(600, 500) })).state).toBe('blocked');
    expect(planned(drum({ template: { shape: 'rectangle', widthMm: 400, depthMm: 300 } })).state).toBe('planned');
  });

  it('stands in the open plan with its roles and closing', () => {
    const [json] = planJson(planSolved(sampleJob([drum()]), demoShop())).cushions;
    expect(json!.pieces.map(({ role }) => role)).toEqual(['plate', 'band', 'flange', 'edge-strip', 'foam']);
    expect(json!.closings[0]!.kind).toBe('staples');
  });
});
