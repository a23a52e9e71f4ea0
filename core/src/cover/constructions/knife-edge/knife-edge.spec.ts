import fc from 'fast-check';
import { outlineBounds } from '../../../geometry/outline';
import type { Cushion } from '../../../job/document';
import { allButLays, planSolved } from '../../../plan/solve';
import { unequalSeams } from '../../../piece/seam';
import { SHAPES } from '../../../template/shapes/shapes';
import { planned } from '../../../testing/planned';
import { demoShop, sampleCushion, sampleJob } from '../../../testing/samples';

const INCH = 25.4;
type Closing = 'hand' | 'zip' | 'envelope';
const pillow = (closing: Closing = 'hand', over: Partial<Cushion> = {}): Cushion =>
  sampleCushion({
    given: 'core',
    template: { shape: 'rectangle', widthMm: 450, depthMm: 450 },
    heightMm: 100,
    construction: { kind: 'knife-edge', closing },
    core: { layers: [{ grade: 'eider-feather', thicknessMm: 100 }] },
    wrapLoftMm: 0,
    ...over,
  });

describe('a knife edge on an insert of 450', () => {
  const one = planned(pillow());
  const plate = one.pieces.find(({ role }) => role === 'plate')!;

  it('is cut 450 with nothing added and sewn to 424, corners in by 13 and running out at a quarter', () => {
    expect([plate.countPerCushion, plate.width.value, plate.height.value]).toEqual([2, 450, 450]);
    expect([one.sizes!.sewn.width.value, one.sizes!.sewn.depth.value]).toEqual([424, 424]);
    // Places from the insert's own corner.
    const origin = outlineBounds(plate.outline);
    const starts = plate.outline.segments.map(({ from }) => [Number((from.x - origin.minX).toFixed(3)), Number((from.y - origin.minY).toFixed(3))]);
    // The corner lies at 13, 13; a quarter of the side along, the edge is on its line again.
    expect(starts).toContain([13, 13]);
    expect(starts).toContain([112.5, 0]);
    const box = outlineBounds(plate.sewn!);
    expect([box.maxX - box.minX, box.maxY - box.minY].map((mm) => Math.round(mm * 100) / 100)).toEqual([424, 424]);
  });

  it('is closed by hand along its back but for 75 at each end, and says that it has no fit but a word', () => {
    const [closing] = one.cover!.closings;
    // The sewn back between its trimmed corners is some 398 long; 75 are sewn at each end.
    expect(closing!.kind).toBe('hand');
    expect(closing!.kind === 'hand' && Math.round(closing!.opening.value)).toBeGreaterThan(235);
    expect(closing!.kind === 'hand' && Math.round(closing!.opening.value)).toBeLessThan(255);
    expect(one.fit).toBeNull();
    expect(one.problems.map(({ code }) => code)).toContain('fit-not-known-for-construction');
    expect(one.cover!.seams.map(({ method }) => method)).toEqual(['machine', 'hand']);
  });

  it('has a feather insert that is pushed in: nothing of springs, bags or boxing in its steps', () => {
    const said = one.operations.flatMap(({ text, cautions }) => [text, ...cautions]).join(' ');
    expect(said).toContain('Push the insert in');
    expect(said).not.toMatch(/[Ss]pring|bag|boxing/);
  });

  it('as an envelope has two back pieces of half its depth, 50 and a hem of 13', () => {
    const envelope = planned(pillow('envelope'));
    const plates = envelope.pieces.filter(({ role }) => role === 'plate').map(({ label, width, height }) => [label, width.value, height.value]);
    expect(plates).toEqual([
      ['front plate', 450, 450],
      ['back, lower half', 450, 288],
      ['back, upper half', 450, 288],
    ]);
    expect(unequalSeams(envelope.cover!.seams)).toEqual([]);
  });

  it('in inches has an envelope of half its depth, 2 and a hem of a half', () => {
    const cushion = pillow('envelope', { template: { shape: 'rectangle', widthMm: 18 * INCH, depthMm: 18 * INCH } });
    const inch = planSolved(sampleJob([cushion], { units: 'inch' }), demoShop(), allButLays).cushions[0]!;
    expect(inch.pieces.find(({ label }) => label === 'back, lower half')!.height.value / INCH).toBeCloseTo(11.5, 6);
  });

  it('pairs its seams for every shape and closing, or says why it cannot', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...SHAPES),
        fc.constantFrom<Closing>('hand', 'zip', 'envelope'),
        fc.constantFrom('plain' as const, 'welt' as const),
        fc.integer({ min: 300, max: 700 }),
        (shape, closing, edge, wide) => {
          const made = planned(pillow(closing, { template: shape.like(wide, 420), construction: { kind: 'knife-edge', closing, edge } }));
          if (made.state === 'blocked') expect(shape.shape).toBe('wedge');
          else if (!made.problems.some(({ code }) => code === 'envelope-not-for-outline'))
            expect(unequalSeams(made.cover.seams)).withContext(`${shape.shape} ${closing}`).toEqual([]);
        },
      ),
      { seed: 1013, numRuns: 120 },
    );
  });
});
