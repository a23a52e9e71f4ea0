import type { LayPattern } from '../contract';
import { Lattice, type Origins } from './lattice';

/** Motifs 320 apart along, in rows 340 apart from 170 on. */
const PATTERN: LayPattern = { alongMm: 320, acrossMm: 340, halfDrop: false, motifAcrossMm: 170 };
/** A plate 300 × 300 with its motif in the middle; a strip that need not match. */
const MOTIFS = [{ x: 150, y: 150 }, null];
/** On a roll 1360 wide, 1000 long. */
const ORIGINS: Origins = { lowX: 0, highX: 700, lowY: 0, highY: 1060 };

describe('places on a pattern', () => {
  const lattice = (over: Partial<LayPattern> = {}): Lattice => new Lattice({ ...PATTERN, ...over }, MOTIFS);

  it('are on the rows of motifs, every repeat along, and none for what need not match', () => {
    const lines = lattice().lines(0, 190, ORIGINS, 0);
    // Rows at 170, 510, 850 and 1190: the origin lies 150 below each. Along a motif lies at 190, so the origin at 40.
    expect(lines.map(({ x, y }) => [x, y])).toEqual([
      [40, 20],
      [40, 360],
      [40, 700],
      [40, 1040],
    ]);
    expect(lattice().lines(1, 190, ORIGINS, 0)).toEqual([]);
    expect(lattice().matches(1)).toBeFalse();
  });

  it('are found nearest to where a piece was put, never outside the strip', () => {
    expect(lattice().nearest(0, 190, ORIGINS, { x: 410, y: 380 })).toEqual({ x: 360, y: 360 });
    // 40, 360 and 680 along: 1000 would reach beyond the end.
    expect(lattice().nearest(0, 190, ORIGINS, { x: 2000, y: 2000 })).toEqual({ x: 680, y: 1040 });
    expect(lattice().nearest(0, 190, { ...ORIGINS, highX: 30 }, { x: 0, y: 0 })).toBeNull();
    // Every other row half a repeat further: 40 + 160.
    expect(lattice({ halfDrop: true }).nearest(0, 190, ORIGINS, { x: 190, y: 365 })).toEqual({ x: 200, y: 360 });
    // A stripe along leaves the place along free, one across the place across.
    expect(lattice({ alongMm: 0 }).nearest(0, 190, ORIGINS, { x: 123, y: 300 })).toEqual({ x: 123, y: 360 });
    expect(lattice({ acrossMm: 0 }).nearest(0, 190, ORIGINS, { x: 123, y: 300 })).toEqual({ x: 40, y: 300 });
  });

  it('begin flush with the squared end in as many ways as rows are dropped', () => {
    expect(lattice().flushPhases(() => ORIGINS)).toEqual([150]);
    expect(lattice({ halfDrop: true }).flushPhases(() => ORIGINS)).toEqual([150, 310]);
  });
});
