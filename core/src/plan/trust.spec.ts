import { demoShop, sampleCushion, sampleJob } from '../testing/samples';
import { solveLay } from '../lay/engine/engine';
import { validateLay } from '../lay/validate';
import { openShop } from '../shop/shop';
import type { Cushion, Job } from '../job/document';
import { problemsOf } from './problems-of';
import { allButLays, planSolved } from './solve';

const IN = 25.4;
const shop = demoShop();
const seat = (over: Partial<NonNullable<Cushion['seat']>>): NonNullable<Cushion['seat']> => over;
const codes = (cushion: Cushion, over: Partial<Job> = {}): string[] => problemsOf(planSolved(sampleJob([cushion], over), shop), 0).map(({ code }) => code);

describe('twins of one material in inches and millimetres', () => {
  const cushion = (thicknessMm: number, wrapLoftMm: number): Cushion =>
    sampleCushion({ heightMm: 75, wrapLoftMm, core: { layers: [{ grade: 'wren-28', thicknessMm }] } });
  const plan = planSolved(sampleJob([cushion(75, 25), cushion(3 * IN, IN)]), shop);

  it('are one lay and one line to buy', () => {
    expect(plan.lays.map(({ key }) => key)).toEqual(['cloth', 'foam-wren-28-75', 'wadding-wadding-25']);
    expect(plan.buy.filter(({ ware }) => ware === 'foam' || ware === 'wadding').length).toBe(2);
  });

  it('miss nothing that matters: 3 in stands for 75, and 4 mm short is said', () => {
    expect(plan.problems.map(({ code }) => code)).not.toContain('layers-do-not-add-up');
    expect(codes(cushion(71, 25))).toContain('layers-do-not-add-up');
  });
});

describe('what is too large for its material', () => {
  it('is butted from two widths of wadding: a blanket 72 in wide on a roll of 55 in', () => {
    const narrow = openShop({ ...shop.document, waddings: [{ id: 'narrow', name: 'Narrow 1', loftMm: IN, rollWidthMm: 55 * IN, pricePerM: 1 }] });
    const cushion = sampleCushion({ given: 'core', template: { shape: 'rectangle', widthMm: 72 * IN, depthMm: 70 * IN }, wrapWay: 'blanket', wrapLoftMm: IN });
    const plan = planSolved(sampleJob([cushion], { units: 'inch', cloth: { widthMm: 3000 } }), narrow);
    const blanket = plan.cushions[0]!.pieces.filter(({ role }) => role === 'wrap-blanket');
    expect(blanket.map(({ glued }) => glued)).toEqual([
      { index: 1, of: 2 },
      { index: 2, of: 2 },
    ]);
    expect(blanket.reduce((mm, piece) => mm + piece.width.value, 0)).toBeCloseTo(72 * IN, 6);
    // Two runs of the blanket's length round and the ends: far more than 9 in.
    const bought = plan.buy.find(({ ware }) => ware === 'wadding')!;
    expect(bought.unplaced).toBe(0);
    expect(bought.amount!.value).toBeGreaterThan(2 * 2 * 70 * IN);
  });

  it('is glued up both ways: a core 2400 × 1800 from sheets of 2000 × 1200', () => {
    const cushion = sampleCushion({
      given: 'core',
      template: { shape: 'rectangle', widthMm: 2400, depthMm: 1800 },
      seat: seat({ places: 4 }),
    });
    const one = planSolved(sampleJob([cushion], { cloth: { widthMm: 3000 } }), shop);
    const foam = one.cushions[0]!.pieces.filter(({ material }) => material.kind === 'foam');
    expect(foam.reduce((mm2, piece) => mm2 + piece.width.value * piece.height.value, 0)).toBeCloseTo(2400 * 1800, 3);
    for (const piece of foam) {
      const [short = 0, long = 0] = [piece.width.value, piece.height.value].sort((a, b) => a - b);
      expect(short).toBeLessThanOrEqual(1190);
      expect(long).toBeLessThanOrEqual(1990);
    }
    const sheets = one.buy.find(({ ware }) => ware === 'foam')!;
    expect([sheets.unplaced, sheets.amount!.value >= 2]).toEqual([0, true]);
  });

  it('is named with its size when nothing gives it, and a railroaded cloth is not told to be railroaded', () => {
    const plan = planSolved(sampleJob([sampleCushion()], { cloth: { widthMm: 300, railroaded: true } }), shop);
    const missing = problemsOf(plan, 0).filter(({ code }) => code === 'piece-missing');
    expect(missing.some(({ data }) => data['piece'] === 'plate' && data['widthMm'] === 616)).toBeTrue();
    expect(problemsOf(plan, 0).find(({ code }) => code === 'plate-wider-than-cloth')!.data['railroaded']).toBe(1);
  });
});

describe('a cover that goes back on', () => {
  const kept = sampleCushion({ given: 'sewn', seat: seat({ oldCover: { findings: ['seams-pull'] } }) });

  it('is neither cut, bought nor sewn again, and the fit is held against its measure', () => {
    const plan = planSolved(sampleJob([kept]), shop);
    const [one] = plan.cushions;
    expect(one!.keptCover).toBe('restitch');
    expect(one!.pieces.some(({ material }) => material.kind === 'cloth')).toBeFalse();
    expect(plan.lays.some(({ key }) => key === 'cloth')).toBeFalse();
    // The wrap is glued on as ever.
    expect(plan.buy.map(({ ware }) => ware)).toEqual(['foam', 'wadding', 'adhesive']);
    expect(one!.fitRequest!.widthMm).toBe(590);
  });

  it('is made new when it is worn, or when a new one is wanted all the same', () => {
    const cut = (oldCover: NonNullable<Cushion['seat']>['oldCover']): boolean =>
      planSolved(sampleJob([{ ...kept, seat: { oldCover } }]), shop).cushions[0]!.pieces.some(({ material }) => material.kind === 'cloth');
    expect(cut({ findings: ['worn'] })).toBeTrue();
    expect(cut({ findings: [], renew: true })).toBeTrue();
    expect(cut({ findings: [] })).toBeFalse();
  });

  it('asks for its measure where another size was given', () => {
    expect(codes({ ...kept, given: 'seat' })).toContain('kept-cover-not-measured');
    expect(codes(kept)).not.toContain('kept-cover-not-measured');
  });
});

describe('old cores', () => {
  it('that are sat out get their hollow pads cut, laid and bought', () => {
    // 80 at the edge, 68 in the middle: a hollow of 12, filled with one layer of 25.
    const one = sampleCushion({
      given: 'core',
      heightMm: 80,
      wrapLoftMm: 0,
      core: { kept: true, layers: [{ grade: 'wren-28', thicknessMm: 80 }] },
      seat: seat({ old: { edgeMm: 80, middleMm: 68, findings: [] } }),
    });
    const plan = planSolved(sampleJob([one]), shop);
    expect(plan.cushions[0]!.pieces.filter(({ role }) => role === 'hollow-pad').length).toBe(1);
    expect(plan.buy.find(({ ware }) => ware === 'wadding')!.amount!.value).toBeGreaterThan(300);
    expect(plan.buy.some(({ ware }) => ware === 'foam')).toBeFalse();
  });

  it('joined into a long one stand in the cut list with their sizes, and a pad lies over the joins', () => {
    const one = sampleCushion({
      given: 'core',
      heightMm: 80,
      wrapLoftMm: 0,
      template: { shape: 'rectangle', widthMm: 1800, depthMm: 450 },
      core: { kept: true, layers: [{ grade: 'wren-28', thicknessMm: 80 }] },
      seat: seat({
        places: 3,
        oldCores: [
          { name: 'A', lengthMm: 1300, depthMm: 500, heightMm: 80 },
          { name: 'B', lengthMm: 600, depthMm: 450, heightMm: 80 },
        ],
      }),
    });
    const [planned] = planSolved(sampleJob([one]), shop, allButLays).cushions;
    const old = planned!.pieces.filter(({ material }) => material.kind === 'old-core');
    expect(old.reduce((mm, piece) => mm + piece.width.value, 0)).toBeCloseTo(1800, 6);
    expect(old.every((piece) => piece.height.value === 450)).toBeTrue();
    expect(planned!.pieces.find(({ role }) => role === 'hollow-pad')!.countPerCushion).toBe(2);
  });
});

describe('what must not pass in silence', () => {
  const layers = (...rows: readonly [string, number][]): Partial<Cushion> => ({
    core: { layers: rows.map(([grade, thicknessMm]) => ({ grade, thicknessMm })) },
  });
  const sitter = (build: 'slight' | 'heavy') => ({ build, posture: 'upright' as const });

  it('is said of each grave thing, and only where it is so', () => {
    const said = (over: Partial<Cushion>): string[] => codes(sampleCushion(over));
    expect(said({ ...layers(['wren-22-soft', 75]), seat: seat({ sitters: [sitter('heavy')] }) })).toContain('sitter-bottoms-out');
    expect(said({ ...layers(['wren-32-firm', 75]), seat: seat({ sitters: [sitter('slight')] }) })).not.toContain('sitter-bottoms-out');
    expect(said(layers(['wren-32-firm', 25], ['wren-22-soft', 50]))).toContain('soft-under-firm');
    expect(said(layers(['wren-22-soft', 25], ['wren-32-firm', 50]))).not.toContain('soft-under-firm');
    // Firm in the middle and the same soft layer on both faces: reversible.
    expect(said(layers(['wren-22-soft', 25], ['wren-32-firm', 25], ['wren-22-soft', 25]))).not.toContain('soft-under-firm');
    expect(said({ ...layers(['wren-28', 75]), wrapLoftMm: 0, seat: seat({ place: 'outdoor' }) })).toContain('indoor-foam-outdoors');
    expect(said({ ...layers(['tern-30', 75]), wrapLoftMm: 0, seat: seat({ place: 'outdoor' }) })).not.toContain('indoor-foam-outdoors');
    expect(said({ core: { kept: true, layers: [{ grade: 'wren-28', thicknessMm: 75 }] }, seat: seat({ old: { findings: ['mould'] } }) })).toContain(
      'bad-core-kept',
    );
    expect(said({ core: { kept: true, layers: [] }, seat: seat({ fire: { setting: 'care' }, old: { findings: [] } }) })).toContain('kept-core-not-rated');
    expect(said({ ...layers(['eider-down', 100]), heightMm: 100, seat: seat({ sitters: [sitter('heavy')] }) })).toContain('feather-under-heavy');
  });

  it('takes an open wadding out of doors where the shop has one, and says so where it has none', () => {
    const outdoors = sampleCushion({ ...layers(['tern-30', 75]), seat: seat({ place: 'outdoor' }) });
    const plan = planSolved(sampleJob([outdoors]), shop);
    expect(plan.lays.map(({ key }) => key)).toContain('wadding-wadding-open-20');
    const bare = openShop({ ...shop.document, waddings: shop.document.waddings.filter(({ open }) => !open) });
    expect(planSolved(sampleJob([outdoors]), bare).problems.map(({ code }) => code)).toContain('indoor-wadding-outdoors');
  });
});

describe('the check of a lay', () => {
  it('is not satisfied by an answer that leaves out what fits', () => {
    const [lay] = planSolved(sampleJob(), shop).lays;
    const answer = solveLay(lay!.request);
    const nothing = {
      ...answer,
      placements: [],
      unplaced: lay!.request.items.flatMap(({ id, count }) => Array.from({ length: count }, () => id)),
      lengthMm: 0,
    };
    expect(validateLay(lay!.request, answer)).toEqual([]);
    expect(validateLay(lay!.request, nothing).map(({ code }) => code)).toEqual(lay!.request.items.map(() => 'lay-left-out'));
  });
});
