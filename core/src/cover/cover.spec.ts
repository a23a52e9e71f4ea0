import fc from 'fast-check';
import { given } from '../kernel/figure';
import { placeJoins, stripLengths, type BandToJoin } from './band/joins';
import { bounds } from '../geometry/outline';
import { polygonArea } from '../geometry/polygon';
import { biasBlocks, BIAS_WAYS } from './welt/bias';
import { weltPiece } from './welt/welt';

const band = (over: Partial<BandToJoin> = {}): BandToJoin => ({
  lengthMm: 1470,
  stripMm: 1380,
  seamMm: 13,
  trimMm: 0,
  endsMm: [50, 50],
  front: { from: 440, to: 1030 },
  nearFront: [],
  under: [],
  crowded: [],
  ...over,
});

describe('boxing joins', () => {
  it('are none when one strip is long enough', () => {
    expect(placeJoins(band({ stripMm: Infinity }))).toEqual({ at: [], onFront: false, crowded: false });
    expect(placeJoins(band({ stripMm: 1470 + 26 + 100 }))?.at).toEqual([]);
  });

  it('stay off the front edge, at the price of a strip more', () => {
    // One join would have to lie between 686 and 1344: all front (440 to 1590). Two joins at the sides need a front strip of 1270 + 26.
    const joins = placeJoins(band({ lengthMm: 2030, front: { from: 440, to: 1590 }, stripMm: 1380 }))!;
    expect(joins.onFront).toBeFalse();
    expect(joins.at.length).toBe(2);
    expect(joins.at[0]! + joins.at[1]!).toBeCloseTo(2030, 6);
  });

  it('land on the front only where no strip reaches across it, and say so', () => {
    expect(placeJoins(band({ lengthMm: 2580, front: { from: 390, to: 2190 } }))!.onFront).toBeTrue();
    expect(placeJoins(band({ stripMm: 20 }))).toBeNull();
  });

  it('give strips that fit, add up, and keep clear of crowded places when they can', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 500, max: 6000 }),
        fc.integer({ min: 600, max: 1600 }),
        fc.double({ min: 0.1, max: 0.3, noNaN: true }),
        (lengthMm, stripMm, share) => {
          const front = { from: lengthMm * share, to: lengthMm * (1 - share) };
          const crowded = [front.from, front.to].map((at) => ({ from: at - 60, to: at + 60 }));
          const asked = band({ lengthMm, stripMm, front, crowded });
          const joins = placeJoins(asked)!;
          const strips = stripLengths(asked, joins.at);
          expect(strips.every((length) => length <= stripMm + 1e-6 && length > 0)).toBeTrue();
          expect(strips.reduce((a, b) => a + b)).toBeCloseTo(lengthMm + 100 + 26 * strips.length, 6);
          expect([...joins.at].sort((a, b) => a - b)).toEqual([...joins.at]);
        },
      ),
      { seed: 81, numRuns: 80 },
    );
  });
});

describe('bias welt', () => {
  it('is cut from whole strips: the blocks hold them, the strips reach round the ring', () => {
    fc.assert(
      fc.property(fc.integer({ min: 300, max: 9000 }), fc.integer({ min: 25, max: 60 }), fc.integer({ min: 300, max: 700 }), (round, flange, depth) => {
        const piece = weltPiece({
          id: 'welt',
          label: 'welt strip',
          part: { index: 1, of: 1 },
          countPerCushion: 2,
          cord: given('cord', 5, 'shop'),
          cloth: given('cloth', 1, 'shop'),
          flange: given('flange', flange / 2, 'shop'),
          round: given('round', round, 'entered'),
          overlap: given('overlap', 50, 'shop'),
          biasDepthMm: depth,
        });
        const w = piece.height.value;
        const strips = piece.joins + 1;
        const reach = strips * depth * Math.SQRT2 - piece.joins * w;
        expect(reach).toBeGreaterThanOrEqual(round + 50 - 1e-6);
        if (strips > 1) expect(reach - (depth * Math.SQRT2 - w)).toBeLessThan(round + 50);
        // Strips are as long as the depth's diagonal and cover the blocks without loss, so their areas agree.
        for (const way of BIAS_WAYS) {
          const blocks = biasBlocks(way, strips * 2, w, depth, 1380);
          const cloth = blocks.reduce((total, { polygon }) => total + Math.abs(polygonArea(polygon)), 0);
          expect(cloth).toBeCloseTo(strips * 2 * w * depth * Math.SQRT2, 3);
        }
        const turnable = biasBlocks('block', strips * 2, w, depth, 1380).map(({ polygon }) => bounds(polygon));
        expect(turnable.every(({ maxY }) => maxY <= 1380 + 1e-6)).toBeTrue();
      }),
      { seed: 82 },
    );
    // Too narrow for a strip across: a block for each, for the lay to turn or to name.
    expect(biasBlocks('block', 4, 42, 700, 700).length).toBe(4);
  });
});
