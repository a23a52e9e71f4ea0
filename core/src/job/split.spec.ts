import { area } from '../geometry/outline';
import { outlineOf } from '../template/shapes/shapes';
import { sampleCushion } from '../testing/samples';
import type { Cushion } from './document';
import { cushionSchema } from './document';
import { splitCushion } from './split';

const bench = (over: Partial<Cushion> = {}): Cushion =>
  sampleCushion({ name: 'Window bench', template: { shape: 'rectangle', widthMm: 1800, depthMm: 450 }, ...over });
const made = (cushion: Cushion, ask: Parameters<typeof splitCushion>[1]): readonly Cushion[] => {
  const split = splitCushion(cushion, ask);
  if (!split.ok) throw new Error(split.problems.map(({ code }) => code).join());
  return split.cushions;
};
const widths = (cushions: readonly Cushion[]): number[] => cushions.map(({ template }) => Number(outlineOf(template).acrossMm.toFixed(3)));
const code = (cushion: Cushion, ask: Parameters<typeof splitCushion>[1]): string => {
  const split = splitCushion(cushion, ask);
  return split.ok ? 'ok' : (split.problems[0]?.code ?? '');
};

describe('one seat split', () => {
  it('of 1 800 into three with 4 between gives 597.333 each; in inches 72 with 1/4 between 23 5/6', () => {
    const three = made(bench(), { into: 3, gapMm: 4 });
    expect(widths(three)).toEqual([597.333, 597.333, 597.333]);
    expect(three.map(({ name }) => name)).toEqual(['Window bench, left', 'Window bench, middle', 'Window bench, right']);
    expect(three.map(({ split }) => split)).toEqual([1, 2, 3].map((index) => jasmine.objectContaining({ seat: 'Window bench', index, of: 3 })));
    // The seat's middle is 900 from the left: 597⅓ + 4 = 601⅓ to the right of the left part's own.
    expect(three.map(({ split }) => split?.middle?.xMm.toFixed(3))).toEqual(['601.333', '0.000', '-601.333']);
    expect(three.map(({ split }) => split?.middle?.yMm)).toEqual([0, 0, 0]);
    expect(three.every((one) => cushionSchema.safeParse(one).success)).toBeTrue();
    const inches = made(bench({ template: { shape: 'rectangle', widthMm: 72 * 25.4, depthMm: 457.2 } }), { into: 3, gapMm: 6.35 });
    expect(widths(inches).map((mm) => Number((mm / 25.4).toFixed(3)))).toEqual([23.833, 23.833, 23.833]);
  });

  it('takes given widths where with their gaps they make up the seat', () => {
    expect(widths(made(bench(), { widthsMm: [700, 1096], gapMm: 4 }))).toEqual([700, 1096]);
    expect(code(bench(), { widthsMm: [700, 1100], gapMm: 4 })).toBe('split-widths-do-not-add-up');
    expect(code(bench(), { into: 1, gapMm: 4 })).toBe('split-count');
    expect(code(bench(), { into: 12, gapMm: 140 })).toBe('split-too-narrow');
  });

  it('keeps round ends, curves and marks where they were', () => {
    const round = bench({
      template: { shape: 'half-round', widthMm: 1200, depthMm: 600 },
      marks: [
        { kind: 'button', across: 0.25, deep: 0.3 },
        { kind: 'tie', edge: 'front', share: 0.75 },
      ],
    });
    const [left, right] = made(round, { into: 2, gapMm: 0 });
    // Two quarters of the disc, half its area together.
    const areas = [left, right].map((one) => area(outlineOf(one!.template).outline));
    expect((areas[0] ?? 0) + (areas[1] ?? 0)).toBeCloseTo(area(outlineOf(round.template).outline), 3);
    expect(areas[0]).toBeCloseTo(areas[1] ?? 0, 3);
    // Both quarters are as deep as the half-round, so the seat's middle is 300 to the side and no further back or forward.
    expect([left, right].map((one) => [one?.split?.middle?.xMm, one?.split?.middle?.yMm].map((mm) => Math.round(mm ?? NaN)))).toEqual([
      [300, 0],
      [-300, 0],
    ]);
    // The button at a quarter of the whole is in the middle of the left half, the tie at three quarters in the middle of the right half's front.
    expect([left?.marks?.length, right?.marks?.length]).toEqual([1, 1]);
    expect(left?.marks?.[0]?.kind).toBe('button');
    expect((left?.marks?.[0] as { across: number }).across).toBeCloseTo(0.5, 9);
    expect((right?.marks?.[0] as { share: number }).share).toBeCloseTo(0.5, 2);
    // A cut that would leave loose parts is refused.
    expect(code(bench({ template: { shape: 'ring-sector', innerRadiusMm: 600, depthMm: 300, angleDeg: 200 } }), { into: 2, gapMm: 0 })).toMatch(
      /^(ok|split-not-for-outline)$/,
    );
  });

  it('leaves ticks and checks behind: nothing of the parts has been cut yet', () => {
    const [left] = made(bench({ bench: { done: { 'cut/cover': { count: 1 } } }, checks: [{ date: '2026-01-01' }] }), { into: 2, gapMm: 4 });
    expect([left?.bench, left?.checks]).toEqual([undefined, undefined]);
  });
});
