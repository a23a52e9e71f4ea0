import { rectangleOutline } from '../geometry/outline';
import { given } from '../kernel/figure';
import { SHIPPED_SCHOOLS } from '../shop/schools';
import { SHAPES } from '../template/shapes/shapes';
import { planned } from '../testing/planned';
import { sampleCushion } from '../testing/samples';
import { PLAIN_PIECE, type Piece } from './piece';
import { seamsOn, stretchLength, unequalSeams } from './seam';

const piece = (id: string, width: number, height: number): Piece => {
  const line = rectangleOutline(width, height);
  return {
    ...PLAIN_PIECE,
    id,
    role: 'plate',
    label: id,
    material: { kind: 'cloth', slot: 'main' },
    width: given('', width, 'entered'),
    height: given('', height, 'entered'),
    outline: line,
    sewn: line,
  };
};

describe('a seam', () => {
  const a = piece('a', 400, 300);

  it('is measured on the pieces, counter-clockwise from place to place, all round from a place to itself', () => {
    const at = (x: number, y: number) => ({ x, y });
    expect(stretchLength(a, { piece: 'a', from: at(0, 0), to: at(0, 0) })).toBe(1400);
    expect(stretchLength(a, { piece: 'a', from: at(400, 0), to: at(0, 300) })).toBe(700);
    expect(stretchLength(a, { piece: 'a', from: at(0, 300), to: at(100, 0), foldedMm: 30 })).toBe(370);
    // A place in the middle of an edge, and one that is not on the line at all.
    expect(stretchLength(a, { piece: 'a', from: at(100, 0), to: at(250, 0) })).toBeCloseTo(150, 9);
    expect(stretchLength(a, { piece: 'a', from: at(100, 5), to: at(250, 0) })).toBeNaN();
    expect(stretchLength({ ...a, sewn: null }, { piece: 'a', from: at(0, 0), to: at(0, 0) })).toBeNaN();
  });

  it('that does not pair, or cannot be measured, is found', () => {
    const b = piece('b', 402, 300);
    const round = (id: string) => [{ piece: id, from: { x: 0, y: 0 }, to: { x: 0, y: 0 } }];
    const seams = (easedMm: number) => seamsOn([a, b], [{ id: 's', words: 's', first: round('a'), second: round('b'), easedMm }]);
    expect(unequalSeams(seams(0)).length).toBe(1);
    expect(unequalSeams(seams(4)).length).toBe(0);
    expect(unequalSeams(seamsOn([a], [{ id: 's', words: 's', first: round('a'), second: round('gone') }])).length).toBe(1);
  });

  it('of a real cover shows a wrong piece: a plaque cut short is found at its ends and in the band', () => {
    const { cover } = planned(sampleCushion());
    const spoiled = cover!.pieces.map((one) => (one.id === 'plaque' ? { ...one, sewn: rectangleOutline(one.width.value - 40, one.height.value - 40) } : one));
    const again = seamsOn(
      spoiled,
      cover!.seams.map(({ edges, ...seam }) => ({ ...seam, first: edges[0].stretches, second: edges[1].stretches })),
    );
    expect(unequalSeams(again).map(({ id }) => id)).toEqual(['plaque-slit', 'plaque-end-left', 'plaque-end-right', 'band-to-top', 'band-to-bottom']);
  });

  it('pairs in every shape and school of boxed covers, measured on the strips themselves', () => {
    for (const shape of SHAPES)
      for (const school of SHIPPED_SCHOOLS) {
        const { cover } = planned(sampleCushion({ template: shape.like(610, 470), heightMm: 120, school: school.id }));
        expect(cover && unequalSeams(cover.seams))
          .withContext(`${shape.shape} ${school.id}`)
          .toEqual([]);
      }
  });
});
