import type { Cushion } from '../job/document';
import { filled } from '../plan/cushion/words';
import { madeAlone } from '../testing/covers';
import { sampleCushion } from '../testing/samples';
import { whyLine } from '../kernel/why';

const made = (testFit?: Cushion['testFit'], over: Partial<Cushion> = {}) =>
  madeAlone(
    sampleCushion({
      given: 'core',
      school: 'measured-over-the-wrap',
      template: { shape: 'rectangle', widthMm: 550, depthMm: 500 },
      heightMm: 100,
      construction: { kind: 'boxed', edge: 'plain' },
      core: { layers: [{ grade: 'wren-28', thicknessMm: 100 }] },
      ...(testFit ? { testFit } : {}),
      ...over,
    }),
  );
const plate = (one: ReturnType<typeof made>): readonly number[] => {
  const piece = one.pieces.find(({ role }) => role === 'plate');
  return [piece?.width.value ?? NaN, piece?.height.value ?? NaN];
};
const codes = (one: ReturnType<typeof made>): string[] => one.problems.map(({ code }) => code).filter((code) => code.startsWith('test-fit'));

describe('a wrapped core that is tried before cloth is cut', () => {
  it('comes before the cloth, after the wrap, and says what was planned', () => {
    const { operations } = made({ cover: 'follows' });
    const at = (id: string): number => operations.findIndex((one) => one.id === id);
    expect(at('prepare/wrap')).toBeLessThan(at('prepare/test-fit'));
    expect(at('prepare/test-fit')).toBeLessThan(at('cut/cover'));
    const step = operations[at('prepare/test-fit')]!;
    // 550 + 2 × 12.5 of the wrap squeezed to half its 25.
    expect(step.figures.map(({ value }) => value)).toEqual([575, 525, 125]);
    expect(made().operations.some(({ id }) => id === 'prepare/test-fit')).toBeFalse();
  });

  it('lets plates and boxing follow what it measured, each with its why; sides that were not measured stay', () => {
    const [planned, tried] = [made(), made({ cover: 'follows', widthMm: 583, heightMm: 119 })];
    expect(plate(planned)).toEqual([575 + 38, 525 + 38]);
    expect(plate(tried)).toEqual([583 + 38, 525 + 38]);
    const boxing = (one: ReturnType<typeof made>): number => one.pieces.find(({ role }) => role === 'boxing')?.height.value ?? NaN;
    expect(boxing(tried)).toBe(boxing(planned) - 6);
    expect(whyLine(tried.pieces.find(({ role }) => role === 'plate')!.width, 'metric')).toContain('583 over the wrap + 2 × 19 seam = 621');
    expect(codes(tried)).toEqual(['test-fit-followed']);
    // The core itself and its wrap are as they were.
    expect(tried.sizes.core).toEqual(planned.sizes.core);
    // A wider cover presses less on the same core; the fit is worked out against it.
    expect(tried.fit?.pressureAcrossPa ?? Infinity).toBeLessThan(planned.fit?.pressureAcrossPa ?? 0);
  });

  it('or keeps the cover as planned and says what that does', () => {
    const tauter = made({ cover: 'as-planned', widthMm: 583 });
    expect(plate(tauter)).toEqual(plate(made()));
    expect(codes(tauter)).toEqual(['test-fit-larger']);
    expect(codes(made({ cover: 'as-planned', depthMm: 515 }))).toEqual(['test-fit-smaller']);
    // Within what a tape can tell on wadding it is as planned.
    expect(codes(made({ cover: 'as-planned', widthMm: 577 }))).toEqual([]);
  });

  it('says so where the cover cannot follow: on a board, or an old cover that goes back on', () => {
    const drum = made({ cover: 'follows', widthMm: 600 }, { given: 'seat', construction: { kind: 'drum' }, template: { shape: 'round', diameterMm: 380 } });
    expect(codes(drum)).toEqual(['test-fit-not-here']);
    expect(drum.operations.some(({ id }) => id === 'prepare/test-fit')).toBeFalse();
  });
});

describe('packed ends', () => {
  it('have a step of their own, with the grams of one end: gap × width × height at the density of loose wadding', () => {
    const one = made(undefined, {
      given: 'seat',
      school: 'packed-ends',
      template: { shape: 'rectangle', widthMm: 1800, depthMm: 500 },
      core: { layers: [{ grade: 'wren-28', thicknessMm: 100 }] },
    });
    const ids = one.operations.map(({ id }) => id);
    expect(ids.indexOf('fill/pack-ends')).toBeGreaterThan(ids.indexOf('fill/insert'));
    expect(ids.indexOf('fill/pack-ends')).toBeLessThan(ids.indexOf('fill/dress'));
    const step = one.operations.find(({ id }) => id === 'fill/pack-ends')!;
    // The core is 13 short at each end; the boxing is sewn 113 high, the cover 500 deep: 13 × 500 × 113 is 0.7345 l, at 14 g a litre of loose wadding 10.28 g.
    expect(step.figures[0]?.value).toBeCloseTo(10.283, 3);
    expect(filled(step.text, step.figures, 'inch', { mm: 1, inch: 1 / 8 })).toMatch(/^Pack 11 g of/);
  });
});
