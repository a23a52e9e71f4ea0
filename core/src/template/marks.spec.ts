import { stationAt } from '../geometry/outline';
import { planned } from '../testing/planned';
import { sampleCushion } from '../testing/samples';
import { buttonAt, evenTies, markNear, tieAlong, tieDistance, type TieMark } from './marks';
import { outlineOf } from './shapes/shapes';
import { sized } from './sized';

const tie = (share: number, edge: TieMark['edge'] = 'back'): TieMark => ({ kind: 'tie', edge, share });

describe('marks', () => {
  const { outline } = outlineOf({ shape: 'rectangle', widthMm: 600, depthMm: 500 });

  it('ride on the outline: a tie a quarter along the back stays there through every size', () => {
    // Counter-clockwise: the back runs from right to left.
    expect(stationAt(outline, tieAlong(outline, tie(0.25))!).at).toEqual({ x: 450, y: 500 });
    const grown = sized(outline, 40, 20)!;
    const at = stationAt(grown, tieAlong(grown, tie(0.25))!).at;
    expect(at.x).toBeCloseTo(300 + 640 / 4, 6);
    expect(tieDistance(grown, tie(0.25))).toEqual(jasmine.objectContaining({ mm: 160, ofMm: 640 }));
    expect(buttonAt(grown, { kind: 'button', across: 0.5, deep: 0.5 })).toEqual({ x: 300, y: 250 });
  });

  it('go where they are dragged: a tie to the nearest edge, a button anywhere on the face', () => {
    const moved = markNear(outline, tie(0.5), { x: 610, y: 125 });
    expect(moved.kind === 'tie' && [moved.edge, Math.round(moved.share * 100)]).toEqual(['right', 25]);
    // A step of a millimetre is one: the tie does not stay where it was, nor does it jump.
    const stepped = markNear(outline, tie(0.5), { x: 301, y: 500 });
    expect(stepped.kind === 'tie' && 600 * stepped.share).toBeCloseTo(299, 1);
    expect(markNear(outline, { kind: 'button', across: 0, deep: 0 }, { x: 300, y: 900 })).toEqual({ kind: 'button', across: 0.5, deep: 1 });
    expect(evenTies('front', 2).map((one) => one.share)).toEqual([0.25, 0.75]);
  });

  it('are notched on plates and boxing, keep joins away, and warn at the zip’s end', () => {
    const bench = { shape: 'rectangle' as const, widthMm: 1600, depthMm: 450 };
    const plain = planned(sampleCushion({ template: bench }));
    const tied = planned(sampleCushion({ template: bench, marks: [tie(0.5, 'left'), tie(0.5, 'right')] }));
    const plate = tied.pieces.find((piece) => piece.role === 'plate')!;
    expect(plate.marks.filter((mark) => mark.kind === 'tie').length).toBe(2);
    const onBoxing = tied.pieces.filter((piece) => piece.role === 'boxing').flatMap((piece) => piece.marks.filter((mark) => mark.kind === 'tie'));
    // Both edges of the strip, for each tie.
    expect(onBoxing.length).toBe(4);
    expect(plain.pieces.some((piece) => piece.marks.some((mark) => mark.kind === 'tie'))).toBeFalse();
    // The zip covers the back and 50 mm round each corner: it ends on the sides.
    const near = planned(sampleCushion({ marks: [tie(0.1, 'left')] }));
    expect(near.problems.map((problem) => problem.code)).toContain('tie-near-zip-end');
    expect(tied.problems.map((problem) => problem.code)).not.toContain('tie-near-zip-end');
  });
});
