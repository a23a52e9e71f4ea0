import fc from 'fast-check';
import { area, outlineBounds } from '../geometry/outline';
import { sliced } from '../geometry/transform';
import type { Cushion } from '../job/document';
import { outlineOf } from '../template/shapes/shapes';
import { planned } from '../testing/planned';
import { sampleCushion } from '../testing/samples';
import { gluedArea, gluedAt } from './glue';

const long = (over: Partial<Cushion> = {}): Cushion => sampleCushion({ given: 'core', template: { shape: 'rectangle', widthMm: 3000, depthMm: 450 }, ...over });

describe('a core longer than a sheet', () => {
  it('is glued up between the sitting places, where the sheet reaches', () => {
    expect(gluedAt(3000, 1990, 1, 100)).toEqual([1990]);
    expect(gluedAt(3000, 2100, 3, 100)).toEqual([2000]);
    expect(gluedAt(3000, 1990, 2, 100)).toEqual([1500]);
    expect(gluedAt(1990, 1990, 2, 100)).toEqual([]);
    // The last part would be a sliver: the join moves in.
    expect(gluedAt(2000, 1990, 1, 100)).toEqual([1900]);
  });

  it('always comes out whole: as few parts as it takes, none longer than the sheet, none a sliver', () => {
    fc.assert(
      fc.property(fc.integer({ min: 300, max: 9000 }), fc.integer({ min: 600, max: 2400 }), fc.integer({ min: 1, max: 8 }), (length, most, places) => {
        const ends = [0, ...gluedAt(length, most, places, 100), length];
        const parts = ends.slice(1).map((to, i) => to - ends[i]!);
        expect(Math.max(...parts)).toBeLessThanOrEqual(most + 1e-6);
        expect(Math.min(...parts)).toBeGreaterThan(length > most ? 99 : 0);
        // One more part at most than the fewest there can be: a join between two places is worth it.
        expect(parts.length).toBeLessThanOrEqual(Math.ceil(length / most) + 1);
      }),
      { seed: 95 },
    );
  });

  it('has its parts as pieces, the next layer joined elsewhere, and the glued faces counted', () => {
    const one = planned(
      long({
        seat: { places: 3 },
        heightMm: 100,
        core: {
          layers: [
            { grade: 'wren-28', thicknessMm: 50 },
            { grade: 'wren-28', thicknessMm: 50 },
          ],
        },
      }),
    );
    const foam = one.pieces.filter((piece) => piece.material.kind === 'foam');
    expect(foam.map(({ label }) => label)).toEqual([
      'foam, layer 1, part 1 of 2',
      'foam, layer 1, part 2 of 2',
      'foam, layer 2, part 1 of 2',
      'foam, layer 2, part 2 of 2',
    ]);
    expect(foam.slice(0, 2).reduce((sum, piece) => sum + area(piece.outline), 0)).toBeCloseTo(3000 * 450, 3);
    expect(foam[0]!.width.value).toBeCloseTo(foam[3]!.width.value, 6);
    expect(one.problems.map((problem) => problem.code)).toContain('core-glued-up');
    // Between the layers 3000 × 450, across each layer's one join 50 × 450.
    expect(gluedArea(one.pieces, one.source.core.layers, 3000 * 450, 450)).toBeCloseTo(3000 * 450 + 2 * 50 * 450, 6);
    expect(one.operations.map((step) => step.text).join(' ')).toContain('Glue each layer up');
  });

  it('is cut square across any outline that a straight cut parts in two, and not across others', () => {
    const sector = outlineOf({ shape: 'ring-sector', innerRadiusMm: 1200, depthMm: 450, angleDeg: 50 }).outline;
    const box = outlineBounds(sector);
    const middle = (box.minX + box.maxX) / 2;
    const parts = [sliced(sector, 'x', box.minX, middle)!, sliced(sector, 'x', middle, box.maxX)!];
    expect(area(parts[0]!) + area(parts[1]!)).toBeCloseTo(area(sector), 3);
    expect(area(parts[0]!)).toBeCloseTo(area(parts[1]!), 3);
    // A level cut near the arms of the ring meets it four times.
    expect(sliced(sector, 'y', box.minY, box.minY + 60)).toBeNull();
  });
});

describe('layers with a plan of their own', () => {
  it('a top layer rolls down over the front, and those below stand back for it', () => {
    const one = planned(
      sampleCushion({
        given: 'core',
        heightMm: 100,
        core: {
          layers: [
            { grade: 'wren-28', thicknessMm: 25, overFront: true },
            { grade: 'wren-28', thicknessMm: 75, bevelMm: 15 },
          ],
        },
      }),
    );
    const depths = one.pieces.filter((piece) => piece.material.kind === 'foam').map((piece) => piece.height.value);
    expect(depths).toEqual([490 + 75, 490 - 25]);
    const boxes = one.pieces.filter((piece) => piece.material.kind === 'foam').map((piece) => outlineBounds(piece.outline));
    expect(boxes.map((box) => [box.minY, box.maxY])).toEqual([
      [-75, 490],
      [25, 490],
    ]);
    const words = one.operations.map((step) => step.text).join(' ');
    expect(words).toContain('down over the front');
    expect(words).toContain('Bevel the upper edges of layer 2');
  });
});
