import fc from 'fast-check';
import type { Cushion } from '../../../job/document';
import { unequalSeams } from '../../../piece/seam';
import { SHAPES } from '../../../template/shapes/shapes';
import { SHIPPED_SCHOOLS } from '../../../shop/schools';
import { planned } from '../../../testing/planned';
import { demoShop, sampleCushion, sampleJob } from '../../../testing/samples';
import { allButLays, planSolved } from '../../../plan/solve';

const INCH = 25.4;
const bolster = (over: Partial<Cushion> = {}): Cushion =>
  sampleCushion({
    given: 'finished',
    template: { shape: 'round', diameterMm: 180 },
    heightMm: 600,
    construction: { kind: 'bolster' },
    core: { layers: Array.from({ length: 6 }, () => ({ grade: 'wren-28', thicknessMm: 100 })) },
    wrapLoftMm: 13,
    ...over,
  });
const size = (one: ReturnType<typeof planned>, role: string): number[] => {
  const piece = one.pieces.find((each) => each.role === role)!;
  return [piece.countPerCushion, Number(piece.width.value.toFixed(2)), Number(piece.height.value.toFixed(2))];
};

describe('a bolster of 180 across, 600 long', () => {
  it('has two ends of 206, a body of 591.49 by 626, and layers across its length', () => {
    const one = planned(bolster());
    expect(size(one, 'end')).toEqual([2, 206, 206]);
    // π · 180 + 26 by 600 + 26.
    expect(size(one, 'body')).toEqual([1, 591.49, 626]);
    expect(one.pieces.filter(({ role }) => role === 'foam').length).toBe(6);
    const [zip] = one.cover!.closings;
    expect(zip!.kind === 'zip' && [zip!.opening.value, zip!.tape.value]).toEqual([500, 600]);
    // The step names the tape that is bought, and no words of another construction.
    expect(one.operations.find(({ id }) => id === 'sew/body-zip')!.figures.map(({ value }) => value)).toEqual([600]);
    expect(one.operations.find(({ id }) => id === 'cut/notch')!.text).not.toMatch(/boxing|zip/);
    expect(unequalSeams(one.cover!.seams)).toEqual([]);
    expect(one.problems.map(({ code }) => code)).toContain('fit-not-known-for-construction');
  });

  it('in inches takes half an inch: 7 in across and 24 long has ends of 8 and a body 25 long', () => {
    const cushion = bolster({ template: { shape: 'round', diameterMm: 7 * INCH }, heightMm: 24 * INCH });
    const inch = planSolved(sampleJob([cushion], { units: 'inch' }), demoShop(), allButLays).cushions[0]!;
    const body = inch.pieces.find(({ role }) => role === 'body')!;
    expect(
      [inch.pieces.find(({ role }) => role === 'end')!.width.value, body.height.value, body.width.value].map((mm) => Number((mm / INCH).toFixed(4))),
    ).toEqual([8, 25, Number((Math.PI * 7 + 1).toFixed(4))]);
  });

  it('is welted round both ends when asked', () => {
    const one = planned(bolster({ construction: { kind: 'bolster', edge: 'welt' } }));
    expect(one.cover!.seams.map(({ id }) => id)).toContain('welt-to-end');
    expect(one.pieces.find(({ role }) => role === 'welt')!.countPerCushion).toBe(2);
  });

  it('pairs its seams for every end and school', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...SHAPES),
        fc.constantFrom(...SHIPPED_SCHOOLS),
        fc.constantFrom('plain' as const, 'welt' as const),
        fc.integer({ min: 200, max: 1900 }),
        (shape, school, edge, heightMm) => {
          const one = planned(bolster({ template: shape.like(260, 240), school: school.id, heightMm, construction: { kind: 'bolster', edge } }));
          if (one.state === 'planned') expect(unequalSeams(one.cover.seams)).withContext(`${shape.shape} ${school.id}`).toEqual([]);
          else expect(shape.shape).toBe('wedge');
        },
      ),
      { seed: 1012, numRuns: 100 },
    );
  });
});
