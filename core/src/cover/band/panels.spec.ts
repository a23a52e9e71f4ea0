import fc from 'fast-check';
import { area, perimeter } from '../../geometry/outline';
import type { Cushion } from '../../job/document';
import type { Piece } from '../../piece/piece';
import { unequalSeams } from '../../piece/seam';
import { SHIPPED_SCHOOLS } from '../../shop/schools';
import { planned } from '../../testing/planned';
import { sampleCushion } from '../../testing/samples';

const wedge = (over: Partial<Cushion> = {}): Cushion =>
  sampleCushion({
    given: 'finished',
    template: { shape: 'wedge', widthMm: 500, depthMm: 400, thinMm: 40 },
    heightMm: 100,
    core: { layers: [{ grade: 'wren-28', thicknessMm: 100 }] },
    ...over,
  });
const byLabel = (cushion: Cushion): Map<string, Piece> => new Map(planned(cushion).pieces.map((piece) => [piece.label, piece]));

describe('a wedge, 500 × 400, 100 at the front and 40 at the back', () => {
  // By hand: the slope is √(400² + 60²) = 404.475; seams 13, zip 30.
  const pieces = byLabel(wedge());
  const size = (label: string): number[] => {
    const piece = pieces.get(label)!;
    return [piece.countPerCushion, piece.width.value, Number(piece.height.value.toFixed(3))];
  };

  it('has two plates, four panels and a welt for each plate', () => {
    expect(size('bottom plate')).toEqual([1, 526, 426]);
    expect(size('top plate')).toEqual([1, 526, 430.475]);
    expect(size('boxing')).toEqual([1, 526, 126]);
    expect(size('zip plaque')).toEqual([1, 526, 40 + 26 + 30]);
    expect(size('right side panel')).toEqual([1, 426, 126]);
    // 400 × (100 + 40) / 2 inside the seams; the two sides are mirrored.
    const [right, left] = [pieces.get('right side panel')!, pieces.get('left side panel')!];
    expect(area(right.sewn!)).toBeCloseTo(28_000, 6);
    expect(perimeter(right.sewn!)).toBeCloseTo(400 + 100 + 40 + 404.475, 3);
    expect(area(left.outline)).toBeCloseTo(area(right.outline), 6);
    const rings = ['welt strip, bottom', 'welt strip, top'].map((label) => pieces.get(label)!);
    expect(rings.map((ring) => ring.width.value - ring.joins * ring.height.value - 50).map((mm) => Number(mm.toFixed(2)))).toEqual([1800, 1808.95]);
  });

  it('is sewn panel to panel, its thin end may be the front, and its cover has no clips', () => {
    const one = planned(wedge());
    const edges = (of: typeof one, id: string) => of.cover!.seams.find((seam) => seam.id === id)!.edges.map((edge) => Number(edge.lengthMm.toFixed(6)));
    // Measured on the seam lines: 100 high at the front, both panels.
    expect(edges(one, 'panel-corner-right')).toEqual([100, 100]);
    expect(edges(one, 'panel-corner-left')).toEqual([100, 100]);
    // The ends of the plaque, folded to the back's 40.
    expect([edges(one, 'plaque-end-left'), edges(one, 'plaque-end-right')]).toEqual([
      [40, 40],
      [40, 40],
    ]);
    const turned = planned(wedge({ template: { shape: 'wedge', widthMm: 500, depthMm: 400, thinMm: 40, thin: 'front' } }));
    expect(edges(turned, 'panel-corner-right')).toEqual([40, 40]);
    expect(edges(turned, 'plaque-end-left')).toEqual([100, 100]);
    expect(one.operations.map((step) => step.text).join(' ')).toContain('one allowance short');
    expect(one.operations.map((step) => step.text).join(' ')).toContain('on the slope');
  });

  it('is refused when its thin edge is no thinner, or nothing is left of it', () => {
    const codes = (cushion: Cushion): string[] => planned(cushion).problems.map((problem) => problem.code);
    expect(codes(wedge({ heightMm: 40 }))).toEqual(['thin-edge-not-thinner']);
    expect(codes(wedge({ template: { shape: 'wedge', widthMm: 500, depthMm: 400, thinMm: 20 }, school: 'squeezed-slab' }))).toEqual([
      'allowances-leave-no-height',
    ]);
    expect(codes(wedge({ template: { shape: 'wedge', widthMm: 500, depthMm: 400, thinMm: 15 } }))).toContain('edge-too-thin-for-zip');
  });
});

describe('every wedge', () => {
  it('has a cover whose seams pair, in every school', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...SHIPPED_SCHOOLS.map((school) => school.id)),
        fc.record({ widthMm: fc.integer({ min: 150, max: 1300 }), depthMm: fc.integer({ min: 150, max: 900 }), thinMm: fc.integer({ min: 35, max: 90 }) }),
        fc.constantFrom('front' as const, 'back' as const),
        fc.constantFrom('plain' as const, 'welt' as const),
        (school, sides, thin, edge) => {
          const one = planned(wedge({ school, heightMm: 120, template: { shape: 'wedge', ...sides, thin }, construction: { kind: 'boxed', edge } }));
          expect(one.cover).not.toBeNull();
          expect(unequalSeams(one.cover!.seams)).toEqual([]);
        },
      ),
      { seed: 93, numRuns: 120 },
    );
  });
});
