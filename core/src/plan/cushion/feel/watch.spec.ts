import type { Cushion } from '../../../job/document';
import { plannedAlone } from '../../../testing/covers';
import { sampleCushion } from '../../../testing/samples';

const codes = (over: Partial<Cushion>): string[] => plannedAlone(sampleCushion(over)).problems.map(({ code }) => code);
const layers = (...of: readonly (readonly [string, number])[]): Pick<Cushion, 'core'> => ({
  core: { layers: of.map(([grade, thicknessMm]) => ({ grade, thicknessMm })) },
});

describe('what must not pass in silence', () => {
  it('a core that holds water goes outdoors, new or kept; slab may stand under a roof', () => {
    const out = (place: 'outdoor' | 'covered', grade: string, kept = false) =>
      codes({ seat: { place }, core: { layers: [{ grade, thicknessMm: 75 }], ...(kept ? { kept } : {}) } }).filter((code) =>
        /core-outdoors|foam-outdoors/.test(code),
      );
    expect(out('outdoor', 'wren-28')).toEqual(['indoor-foam-outdoors']);
    expect(out('outdoor', 'wren-28', true)).toEqual(['kept-core-outdoors']);
    expect(out('covered', 'wren-28', true)).toEqual(['kept-core-outdoors']);
    expect([out('outdoor', 'tern-30'), out('covered', 'tern-30', true)]).toEqual([[], []]);
    expect([out('outdoor', 'dunnock-40'), out('covered', 'dunnock-40')]).toEqual([['indoor-foam-outdoors'], []]);
    // Of a kept core without a foam nothing is known.
    expect(codes({ seat: { place: 'outdoor' }, core: { layers: [], kept: true } })).toContain('kept-core-outdoors');
  });

  it('a cover that cannot come off outdoors', () => {
    const fixed = (construction: Cushion['construction'], place: 'outdoor' | 'indoor' = 'outdoor') =>
      codes({ construction, seat: { place } }).includes('fixed-cover-outdoors');
    expect(fixed({ kind: 'boxed', edge: 'plain', closing: 'hand' })).toBeTrue();
    expect(fixed({ kind: 'pull-over' })).toBeTrue();
    expect(fixed({ kind: 'boxed', edge: 'plain' })).toBeFalse();
    expect(fixed({ kind: 'boxed', edge: 'plain', closing: 'hand' }, 'indoor')).toBeFalse();
  });

  it('a firm wish on a board or a folding bed, unless the pad is thin', () => {
    const firm = (support: 'board' | 'folding-bed' | 'webbing', heightMm: number) =>
      codes({ heightMm, seat: { support, feel: 'firm' } }).includes('firm-on-hard-base');
    expect([firm('folding-bed', 100), firm('board', 75), firm('webbing', 100), firm('folding-bed', 50)]).toEqual([true, true, false, false]);
  });

  it('a pillow is not told that its layers do not add up, and a cushion is', () => {
    const pillow: Partial<Cushion> = {
      given: 'core',
      construction: { kind: 'knife-edge' },
      heightMm: 120,
      seat: { part: 'pillow' },
      ...layers(['eider-feather', 100]),
    };
    expect(codes(pillow)).not.toContain('layers-do-not-add-up');
    expect(codes({ heightMm: 120, ...layers(['wren-28', 100]) })).toContain('layers-do-not-add-up');
  });

  it('a layer that gives where it bears, and not one that is there for comfort', () => {
    const seat: Cushion['seat'] = { support: 'board', sitters: [{ build: 'sturdy', posture: 'upright' }] };
    const said = (of: Pick<Cushion, 'core'>, heightMm: number) => codes({ heightMm, seat, ...of }).includes('sitter-bottoms-out');
    expect(said(layers(['wren-18', 75]), 75)).toBeTrue();
    expect(said(layers(['wren-18', 25], ['heron-45-firm', 75]), 100)).toBeFalse();
    // 95 kg upright on springs of 120 with foam over them.
    expect(said(layers(['heron-45-firm', 40], ['plover-springs', 120]), 160)).toBeFalse();
  });

  it('soft side up where there is one', () => {
    const up = (of: Pick<Cushion, 'core'>) =>
      plannedAlone(sampleCushion({ heightMm: 120, ...of })).operations.some(({ cautions, text }) => /[Ss]oft side up/.test(`${cautions.join(' ')} ${text}`));
    expect(up(layers(['wren-22-soft', 40], ['heron-40', 80]))).toBeTrue();
    expect(up(layers(['wren-22-soft', 30], ['heron-40', 60], ['wren-22-soft', 30]))).toBeFalse();
  });
});
