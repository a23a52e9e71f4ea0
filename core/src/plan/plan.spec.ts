import fc from 'fast-check';
import { bounds, perimeter } from '../geometry/outline';
import { whyLine } from '../kernel/why';
import { solveLay } from '../lay/engine/engine';
import type { Piece, PieceRole } from '../piece/piece';
import { unequalSeams } from '../piece/seam';
import { SHIPPED_SCHOOLS } from '../shop/schools';
import { demoShop, sampleCushion, sampleJob } from '../testing/samples';
import type { Cushion } from '../job/document';
import { plan, type Plan } from './plan';
import { planJson } from './json';
import type { CushionPlan } from './cushion/cushion-plan';
import { checkedLay, planSolved } from './solve';

const shop = demoShop();
const IN = 25.4;

function only(job = sampleJob()): CushionPlan {
  const [first] = plan(job, shop).cushions;
  if (!first) throw new Error('no cushion');
  return first;
}
const ofRole = (one: CushionPlan, role: PieceRole): readonly Piece[] => one.pieces.filter((piece) => piece.role === role);
const first = (one: CushionPlan, role: PieceRole): Piece => {
  const [piece] = ofRole(one, role);
  if (!piece) throw new Error(`no ${role}`);
  return piece;
};
const size = (piece: Piece): [number, number] => [piece.width.value, piece.height.value];
const codes = (one: CushionPlan): string[] => one.problems.map((problem) => problem.code);
const solvedPlan = (job = sampleJob()): Plan => planSolved(job, shop);

describe('plan: the metric case worked by hand', () => {
  const one = only();

  it('has the four sizes', () => {
    expect(one.sizes?.finished.width.value).toBe(590);
    expect([one.sizes?.core.width.value, one.sizes?.core.depth.value, one.sizes?.core.height.value]).toEqual([590, 490, 75]);
    expect([one.sizes?.cut.width.value, one.sizes?.cut.depth.value]).toEqual([616, 516]);
    expect(whyLine(one.sizes!.cut.width, 'metric')).toBe('590 seat − 0 gap = 590 finished; + 2 × 13 seam = 616 cut');
  });

  it('has plates, boxing, plaque and welt', () => {
    expect(size(first(one, 'plate'))).toEqual([616, 516]);
    expect(first(one, 'plate').countPerCushion).toBe(2);
    // Seam line 2 × (590 + 490) = 2160; opening 590 + 2 × 50 = 690. Boxing 2160 − 690 + 4 × 25 + 2 × 13 = 1596 for 1380 of cloth:
    // two strips, 2 × 13 more; the join 150 behind the front's corner, 290 from the zip end: 290 + 26 + 50 = 366 and 1180 + 26 + 50 = 1256.
    expect(ofRole(one, 'boxing').map(size)).toEqual([
      [366, 101],
      [1256, 101],
    ]);
    expect(size(first(one, 'plaque'))).toEqual([716, 131]);
    // π × 5 + 1 + 2 × 13 wide; 2160 + 50 long; across 1380 of cloth a strip is 1951 long, so there is one diagonal join of one width.
    expect(first(one, 'welt').height.value).toBeCloseTo(42.708, 3);
    expect(first(one, 'welt').width.value).toBeCloseTo(2210 + 42.708, 2);
    expect(first(one, 'welt').countPerCushion).toBe(2);
  });

  it('has foam, wrap, zip and cord', () => {
    expect(size(first(one, 'foam'))).toEqual([590, 490]);
    expect(size(first(one, 'wrap-face'))).toEqual([616, 516]);
    // 2160 round the core and a lap of 25, in two parts: across the roll of 1400 they save more than the join costs.
    expect(size(first(one, 'wrap-border'))).toEqual([2185 / 2, 100]);
    expect(first(one, 'wrap-border').countPerCushion).toBe(2);
    const amount = (ware: string) => one.cover?.notions.find((notion) => notion.ware === ware)?.amount.value;
    expect(amount('zip')).toBe(790);
    expect(amount('cord')).toBe(4420);
    expect(one.problems.filter((problem) => problem.severity !== 'note')).toEqual([]);
  });

  it('notches plates at the centres and zip ends, and the boxing opposite each other', () => {
    const plate = first(one, 'plate');
    const at = (kind: string) => plate.marks.filter((mark) => mark.kind === kind).map((mark) => [Math.round(mark.at.x), Math.round(mark.at.y)]);
    expect(at('centre-front')).toEqual([[295, 0]]);
    expect(at('centre-back')).toEqual([[295, 490]]);
    expect(at('zip-end').sort()).toEqual([
      [0, 440],
      [590, 440],
    ]);
    for (const strip of ofRole(one, 'boxing')) {
      const xs = (y: number) => strip.marks.filter((mark) => mark.outward.y === y).map((mark) => mark.at.x);
      expect(xs(-1)).toEqual(xs(1));
    }
    const corners = ofRole(one, 'boxing').flatMap((strip) => strip.marks.filter((mark) => mark.kind === 'corner'));
    expect(corners.length).toBe(4);
  });
});

describe('plan: the inch case worked by hand', () => {
  const cushion = sampleCushion({
    given: 'finished',
    template: { shape: 'rectangle', widthMm: 23.5 * IN, depthMm: 19 * IN },
    heightMm: 3 * IN,
    school: 'bare-and-oversize',
    construction: { kind: 'boxed', edge: 'plain' },
    core: { layers: [{ grade: 'heron-45-firm', thicknessMm: 4 * IN }] },
    wrapLoftMm: 0,
  });
  const one = only(sampleJob([cushion], { units: 'inch', cloth: { widthMm: 54 * IN } }));
  const inches = (value: number | undefined) => Math.round(((value ?? NaN) / IN) * 1e6) / 1e6;

  it('cuts the foam half an inch larger all round and an inch thicker', () => {
    expect([one.sizes?.core.width, one.sizes?.core.depth, one.sizes?.core.height].map((f) => inches(f?.value))).toEqual([24.5, 20, 4]);
    expect(size(first(one, 'plate')).map(inches)).toEqual([24.5, 20]);
    expect(ofRole(one, 'wrap-face')).toEqual([]);
    expect(whyLine(one.sizes!.core.width, 'inch')).toBe('23 1/2 finished + 2 × 1/2 a side = 24 1/2 core');
  });

  it('uses inch numbers for zip and boxing', () => {
    // 2 × (23½ + 19) = 85; opening 23½ + 2 × 2 = 27½; boxing 85 − 27½ + 4 × 1 + 1 = 62½ and 1 for its one join.
    expect(
      ofRole(one, 'boxing')
        .map((piece) => inches(piece.width.value))
        .reduce((a, b) => a + b),
    ).toBeCloseTo(63.5, 6);
    expect(inches(first(one, 'boxing').height.value)).toBe(4);
    expect(size(first(one, 'plaque')).map(inches)).toEqual([28.5, 5.25]);
  });

  it('with wrap on the faces keeps the plan and takes the finished height for the foam', () => {
    const wrapped = only(sampleJob([{ ...cushion, wrapLoftMm: IN }], { units: 'inch' }));
    expect(inches(wrapped.sizes?.core.width.value)).toBe(24.5);
    expect(inches(wrapped.sizes?.core.height.value)).toBe(3);
    expect(wrapped.pieces.map((piece) => piece.role)).toContain('wrap-face');
    expect(wrapped.pieces.map((piece) => piece.role)).not.toContain('wrap-border');
  });
});

describe('a school', () => {
  it('adds to a long core in proportion, beyond the limit and only to its length', () => {
    const core = (widthMm: number, depthMm: number, school = 'padded-to-the-line') =>
      only(sampleJob([sampleCushion({ school, given: 'finished', template: { shape: 'rectangle', widthMm, depthMm } })])).sizes!.core;
    expect(core(1500, 450).width.value).toBeCloseTo(1506, 9);
    expect(core(1800, 950).width.value).toBeCloseTo(1809, 9);
    expect(core(1800, 950).depth.value).toBe(950);
    expect(core(900, 450).width.value).toBe(900);
    expect(core(1500, 450, 'bare-and-oversize').width.value).toBe(1526);
  });
});

const anyCushion: fc.Arbitrary<Cushion> = fc
  .record({
    widthMm: fc.integer({ min: 150, max: 2600 }),
    depthMm: fc.integer({ min: 150, max: 1200 }),
    radius: fc.double({ min: 0, max: 1, noNaN: true }),
    heightMm: fc.integer({ min: 20, max: 220 }),
    school: fc.constantFrom(...SHIPPED_SCHOOLS.map((school) => school.id)),
    edge: fc.constantFrom('plain' as const, 'welt' as const),
    strips: fc.constantFrom('across' as const, 'along' as const),
    zipReturnMm: fc.integer({ min: 0, max: 75 }),
    zipPocketMm: fc.integer({ min: 0, max: 50 }),
    given: fc.constantFrom('seat' as const, 'finished' as const, 'core' as const),
    wrapLoftMm: fc.constantFrom(0, 13, 25),
  })
  .map(({ widthMm, depthMm, radius, heightMm, school, edge, strips, zipReturnMm, zipPocketMm, given, wrapLoftMm }) =>
    sampleCushion({
      template: { shape: 'rectangle', widthMm, depthMm, cornerRadiusMm: (radius * Math.min(widthMm, depthMm)) / 3 },
      heightMm,
      school,
      given,
      wrapLoftMm,
      construction: { kind: 'boxed', edge, strips, zipReturnMm, zipPocketMm },
      core: { layers: [{ grade: 'wren-28', thicknessMm: heightMm }] },
    }),
  );

describe('every cover', () => {
  it('has seams that pair, boxing that closes the seam line, and strips that the cloth gives', () => {
    fc.assert(
      fc.property(anyCushion, fc.constantFrom('inch' as const, 'metric' as const), (cushion, units) => {
        const one = only(sampleJob([cushion], { units }));
        if (!one.cover) {
          expect(codes(one)[0]).toMatch(/^allowances-leave-no/);
          return;
        }
        expect(unequalSeams(one.cover.seams)).toEqual([]);
        const seam = one.sizes!.seam.value;
        if (cushion.construction.kind !== 'boxed') throw new Error(cushion.construction.kind);
        const pocket = cushion.construction.zipPocketMm ?? 0;
        const strips = ofRole(one, 'boxing');
        const boxing = strips.reduce((total, piece) => total + piece.width.value - 2 * seam, 0) - 4 * pocket;
        const plaque = ofRole(one, 'plaque').reduce((total, piece) => total + piece.width.value - 2 * seam, 0);
        expect(boxing + plaque).toBeCloseTo(perimeter(one.outlines!.sewn), 6);
        if (cushion.construction.strips === 'across' && !codes(one).includes('cloth-too-narrow-for-strips'))
          for (const strip of strips) expect(strip.width.value + strip.trimMm).toBeLessThanOrEqual(1400 - 19 + 1e-6);
      }),
      { seed: 62, numRuns: 150 },
    );
  });

  it('shows a wrong piece as an unequal pair', () => {
    const { cover } = only();
    const [seam] = cover!.seams.filter((one) => one.id === 'band-to-top');
    expect(unequalSeams([{ ...seam!, edges: [seam!.edges[0], { ...seam!.edges[1], lengthMm: seam!.edges[1].lengthMm + 2 }] }]).length).toBe(1);
  });
});

describe('what goes wrong', () => {
  const expectCode = (over: Partial<Cushion>, code: string, job = {}): void =>
    expect(codes(only(sampleJob([sampleCushion(over)], job))))
      .withContext(code)
      .toContain(code);

  it('is said, each by its own code', () => {
    expectCode({ template: { shape: 'rectangle', widthMm: 400, depthMm: 300, cornerRadiusMm: 151 } }, 'corner-radius-too-large');
    expectCode({ school: 'no-such' }, 'school-unknown');
    expectCode({ core: { layers: [] } }, 'core-has-no-layers');
    expectCode({ core: { layers: [{ grade: 'no-such', thicknessMm: 75 }] } }, 'grade-unknown');
    expectCode({ core: { layers: [{ grade: 'wren-28', thicknessMm: 50 }] } }, 'layers-do-not-add-up');
    expectCode({ core: { layers: [{ grade: 'wren-28', thicknessMm: 71 }] } }, 'sheet-thickness-not-stocked');
    expectCode({ template: { shape: 'rectangle', widthMm: 2300, depthMm: 400 } }, 'core-glued-up');
    expectCode({ template: { shape: 'rectangle', widthMm: 2300, depthMm: 2200 } }, 'core-glued-up');
    // A wide ring that a straight cut would leave in two pieces.
    expectCode({ template: { shape: 'ring-sector', innerRadiusMm: 1500, depthMm: 500, angleDeg: 330 } }, 'core-larger-than-sheet');
    expectCode({ wrapLoftMm: 0 }, 'core-exact-without-wrap');
    expectCode({ template: { shape: 'rectangle', widthMm: 1680, depthMm: 430 } }, 'boxing-join-on-front');
    expectCode({ template: { shape: 'rectangle', widthMm: 1680, depthMm: 430 } }, 'plate-wider-than-cloth');
    expectCode(
      { template: { shape: 'rectangle', widthMm: 300, depthMm: 300 }, construction: { kind: 'boxed', edge: 'plain', zipReturnMm: 500 } },
      'zip-longer-than-cushion',
    );
    expectCode({ given: 'core', school: 'bare-and-oversize', template: { shape: 'rectangle', widthMm: 20, depthMm: 300 } }, 'allowances-leave-nothing');
    expectCode({}, 'cloth-too-narrow-for-strips', { cloth: { widthMm: 60 } });
    expectCode(
      {
        school: 'bare-and-oversize',
        wrapLoftMm: 0,
        template: { shape: 'rectangle', widthMm: 300, depthMm: 280 },
        core: { layers: [{ grade: 'badger-90', thicknessMm: 170 }] },
      },
      'cover-will-not-close',
    );
    expectCode({ wrapLoftMm: 4 }, 'wrap-very-thin');
    expectCode({ wrapFix: 'loose' }, 'wrap-not-fixed');
  });

  it('goes away when the long bench is railroaded', () => {
    const bench = sampleCushion({ template: { shape: 'rectangle', widthMm: 1680, depthMm: 430 }, core: { layers: [{ grade: 'heron-40', thicknessMm: 75 }] } });
    expect(codes(only(sampleJob([bench], { cloth: { widthMm: 1400, railroaded: true } })))).toEqual([]);
  });
});

describe('the whole plan', () => {
  it('asks for its lays, then shows what to buy from their checked answers', () => {
    const asked = plan(sampleJob(), shop);
    expect(asked.lays.map((one) => one.key)).toEqual(['cloth', 'foam-wren-28-75', 'wadding-wadding-25']);
    expect(asked.buy.filter((line) => line.layKey).every((line) => line.amount === null)).toBeTrue();
    const done = solvedPlan();
    expect(done.wanted).toEqual([]);
    const cloth = done.buy.find((line) => line.ware === 'cloth')!;
    const laid = done.lays.find((lay) => lay.key === 'cloth')!.answer!.lengthMm;
    expect(cloth.amount!.value).toBe(Math.ceil((laid + 30) / 100) * 100);
    expect(done.buy.find((line) => line.ware === 'foam')!.amount!.value).toBe(1);
  });

  it('lays strips with their trim-off, but never prints it in a size', () => {
    const cloth = plan(sampleJob(), shop).lays.find((one) => one.key === 'cloth')!;
    const laid = cloth.request.items.find((item) => item.id === '0/plaque')!;
    const { minY, maxY } = bounds(laid.polygon);
    expect(maxY - minY).toBe(816);
    expect(first(only(), 'plaque').width.value).toBe(716);
  });

  it('refuses a lay that breaks the rules', () => {
    const asked = plan(sampleJob(), shop);
    const [cloth] = asked.lays;
    const answer = solveLay(cloth!.request);
    const spoiled = plan(sampleJob(), shop, { [cloth!.hash]: checkedLay(cloth!.request, { ...answer, placements: answer.placements.slice(1) }) });
    expect(spoiled.problems.map((problem) => problem.code)).toContain('lay-piece-missing');
    expect(spoiled.buy[0]!.amount).toBeNull();
  });

  it('takes over unchanged cushions from before, as they are, and only those', () => {
    const job = sampleJob([sampleCushion(), sampleCushion({ name: 'Other' })]);
    const before = plan(job, shop);
    const changed = { ...job, cushions: [job.cushions[0]!, sampleCushion({ name: 'Other', heightMm: 80 })] };
    const after = plan(changed, shop, {}, before);
    expect(after.cushions[0]).toBe(before.cushions[0]!);
    expect(after.cushions[1]!.sizes!.finished.height.value).toBe(80);
    expect(JSON.stringify(planJson(after))).toBe(JSON.stringify(planJson(plan(changed, shop))));
    const wider = plan({ ...job, cloth: { widthMm: 1500 } }, shop, {}, before);
    expect(wider.cushions[0]).not.toBe(before.cushions[0]!);
  });

  it('is the same for the same job, and its JSON survives being written and read', () => {
    const json = planJson(solvedPlan());
    expect(JSON.parse(JSON.stringify(json))).toEqual(json);
    expect(planJson(solvedPlan())).toEqual(json);
  });
});
