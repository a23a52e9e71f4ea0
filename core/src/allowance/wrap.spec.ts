import { given } from '../kernel/figure';
import { area, outlineBounds, perimeter, rectangleOutline } from '../geometry/outline';
import { selfCrossing } from '../geometry/simple';
import type { PieceRole } from '../piece/piece';
import { shipped } from '../shop/assumptions';
import { WRAP_WAYS, type WrapWay } from '../shop/schools';
import { outlineOf, SHAPES } from '../template/shapes/shapes';
import { parcelOutline, wrapPieces } from './wrap';
import { cornerFilling } from './corner-filling';
import { sideLofts } from './wrap-lies';

const plane = { width: given('core', 600, 'entered'), depth: given('core', 500, 'entered'), height: given('core', 100, 'entered') };
const pieces = (way: WrapWay, loft = 25) =>
  wrapPieces(way, loft, plane, rectangleOutline(600, 500), shipped).map((one) => [one.role, one.countPerCushion, one.width.value, one.height.value]);

describe('the ways of wrapping a core of 600 × 500 × 100', () => {
  // By hand: faces reach 13 over each edge, or half the thickness, 50, where they are whipped together and must meet; a border is 2200 + 25 round, 100 + 25 high or butted at 100;
  // a blanket goes 2 × (500 + 100) + 25 round; a parcel's face hangs 100 down each side.
  const BY_HAND: Record<WrapWay, (PieceRole | number)[][]> = {
    faces: [['wrap-face', 2, 626, 526]],
    whipped: [['wrap-face', 2, 700, 600]],
    'faces-and-border': [
      ['wrap-face', 2, 626, 526],
      ['wrap-border', 1, 2225, 125],
    ],
    'butted-border': [
      ['wrap-face', 2, 626, 526],
      ['wrap-border', 1, 2225, 100],
    ],
    border: [['wrap-border', 1, 2225, 125]],
    blanket: [
      ['wrap-blanket', 1, 600, 1225],
      ['wrap-end', 2, 500, 100],
    ],
    parcel: [
      ['wrap-parcel', 1, 800, 700],
      ['wrap-face', 1, 626, 526],
    ],
  };
  for (const way of WRAP_WAYS)
    it(`${way} has its pieces`, () => {
      expect(pieces(way)).toEqual(BY_HAND[way]);
      expect(pieces(way, 0)).toEqual([]);
    });

  it('whipped faces of a thin core reach over by the usual figure, and what lies on the sides is one loft but for faces alone', () => {
    const thin = { ...plane, height: given('core', 50, 'entered') };
    expect(wrapPieces('whipped', 25, thin, rectangleOutline(600, 500), shipped)[0]!.width.value).toBe(664);
    expect(WRAP_WAYS.map((way) => sideLofts(way, 25, null, shipped).acrossMm)).toEqual(WRAP_WAYS.map((way) => (way === 'faces' ? 0 : 25)));
    // Packed ends: the wrap and 40 of packing at both ends of the longer way, the wrap alone front and back.
    expect(sideLofts('faces-and-border', 25, 'across', shipped)).toEqual({ acrossMm: 65, alongMm: 25 });
  });

  it('a parcel loses two triangles at each corner: its area is the face and four flaps', () => {
    const cross = parcelOutline(rectangleOutline(600, 500), 100)!;
    expect(area(cross)).toBeCloseTo(600 * 500 + 2200 * 100, 6);
    expect(cross.segments.filter(({ edge }) => edge === 'corner').length).toBe(8);
    // A round corner keeps its flap: nothing is cut out where nothing folds.
    const round = parcelOutline(rectangleOutline(600, 500, 60), 100)!;
    expect(round.segments.length).toBe(8);
    expect(perimeter(round)).toBeCloseTo(perimeter(rectangleOutline(600, 500, 60)) + 2 * Math.PI * 100, 6);
  });

  it('wraps every shape, and never with a sheet that lies over itself', () => {
    for (const shape of SHAPES) {
      const { outline } = outlineOf(shape.like(600, 500));
      const box = outlineBounds(outline);
      const size = { width: given('core', box.maxX - box.minX, 'entered'), depth: given('core', box.maxY - box.minY, 'entered'), height: plane.height };
      for (const way of WRAP_WAYS)
        for (const piece of wrapPieces(way, 25, size, outline, shipped)) {
          expect(selfCrossing(piece.outline)).withContext(`${shape.shape} ${way} ${piece.role}`).toBeNull();
          const reach = outlineBounds(piece.outline);
          expect(reach.maxX - reach.minX)
            .withContext(`${shape.shape} ${way} ${piece.role}`)
            .toBeCloseTo(piece.width.value, 3);
          expect(reach.maxY - reach.minY)
            .withContext(`${shape.shape} ${way} ${piece.role}`)
            .toBeCloseTo(piece.height.value, 3);
        }
    }
  });
});

describe('loose wadding', () => {
  it('fills corners by their volume, and the ends where they are packed', () => {
    // 4 corners × 40 × 40 × 75 mm × 14 kg/m³ = 6.72 g; two ends of 13 × 500 × 75 at the same density 13.65 g.
    const height = given('height', 75, 'entered');
    expect(cornerFilling(4, height, null, shipped).value).toBeCloseTo(6.72, 9);
    expect(cornerFilling(4, height, { gapMm: 13, widthMm: plane.depth }, shipped).value).toBeCloseTo(6.72 + 13.65, 9);
  });
});
