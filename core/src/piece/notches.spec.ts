import { closed, polygonOutline, rectangleOutline } from '../geometry/outline';
import { notchWords } from '../plan/cushion/words';
import { madeAlone } from '../testing/covers';
import { sampleCushion } from '../testing/samples';
import { notchPlaces } from './notches';
import type { Mark } from './piece';

const notch = (kind: Mark['kind'], x: number, y: number, outward: Mark['outward']): Mark => ({ kind, at: { x, y }, outward });

describe('where a notch is cut', () => {
  it('is told along the cut edge, fronts and backs from the left, sides from the front', () => {
    // Cut 526 × 426; the seam line lies 13 inside.
    const marks = [
      notch('centre-front', 263, 13, { x: 0, y: -1 }),
      notch('zip-end', 513, 300, { x: 1, y: 0 }),
      notch('tie', 100, 413, { x: 0, y: 1 }),
      notch('zip-end', 13, 310, { x: -1, y: 0 }),
      { kind: 'button', at: { x: 263, y: 213 }, outward: { x: 0, y: 0 } } as const,
    ];
    expect(notchPlaces({ outline: rectangleOutline(526, 426), marks })).toEqual([
      { kind: 'centre-front', edge: 'front', alongMm: 263 },
      { kind: 'zip-end', edge: 'right', alongMm: 300 },
      { kind: 'tie', edge: 'back', alongMm: 100 },
      { kind: 'zip-end', edge: 'left', alongMm: 310 },
    ]);
  });

  it('is on one whole edge also where the outline begins in its middle', () => {
    const whole = polygonOutline([
      [200, 0, 'front'],
      [400, 0, 'right'],
      [400, 300, 'back'],
      [0, 300, 'left'],
      [0, 0, 'front'],
    ]);
    const outline = { ...whole, segments: closed(whole.segments) };
    const at = (x: number) => notchPlaces({ outline, marks: [notch('tie', x, 10, { x: 0, y: -1 })] })[0]?.alongMm;
    expect([at(120), at(330)]).toEqual([120, 330]);
  });

  it('is said for a strip once where both its edges are alike', () => {
    const one = madeAlone(sampleCushion({ template: { shape: 'rectangle', widthMm: 600, depthMm: 480 } }));
    const words = (id: string): string => {
      const piece = one.pieces.find((each) => each.id === id);
      return piece ? notchWords(piece, { units: 'metric', step: { mm: 1, inch: 0.125 } }) : '';
    };
    // 626 wide: its middle at 313.
    expect(words('plate')).toMatch(/^front from the left 313 centre front; .*back from the left 313 centre back/);
    const strip = one.pieces.find(({ role, marks }) => role === 'boxing' && marks.some(({ kind }) => kind === 'centre-front'));
    expect(words(strip?.id ?? '')).toMatch(/^both edges from the left .*centre front/);
  });
});
