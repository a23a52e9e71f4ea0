import { fit, type FitRequest } from '../fit/fit';
import { sensitivity } from '../fit/sensitivity';
import { shipped } from '../shop/assumptions';
import { openShop } from '../shop/shop';
import { demoShop, sampleJob, sampleCushion } from '../testing/samples';
import { solveCrown } from '../crown/solve-crown';
import { fitAdvice } from './advice';
import { answersIn } from '../plan/answers';
import { compareSchools } from './compare-schools';
import type { Cushion } from '../job/document';
import { finished } from './trials';
import { planCushion } from '../plan/cushion/plan-cushion';
import { contextOf } from '../plan/cushion/steps/context';
import type { CushionPlan } from '../plan/cushion/cushion-plan';

const context = contextOf(sampleJob(), demoShop(), answersIn({}));
const made = (over: Partial<Cushion>): CushionPlan => planCushion(sampleCushion(over), context);
const codes = (one: CushionPlan): string[] => one.problems.map((problem) => problem.code);

describe('advice on the fit', () => {
  it('finds a wrap for foam cut exactly to its cover, and every change it names does what it says', () => {
    const loose = made({ wrapLoftMm: 0 });
    expect(loose.fit!.verdict).toBe('loose');
    const advice = finished(fitAdvice(loose, context, solveCrown));
    expect(advice.map((one) => one.kind)).toContain('wrap');
    for (const one of advice) {
      expect(planCushion(one.cushion, context).fit).withContext(one.kind).toEqual(one.fit);
      expect(one.from).not.toEqual(one.to);
    }
    expect(['taut', 'roomy']).toContain(advice[0]!.fit.verdict);
  });

  it('lets an over-full cushion out', () => {
    const full = made({
      school: 'bare-and-oversize',
      wrapLoftMm: 0,
      template: { shape: 'rectangle', widthMm: 260, depthMm: 240 },
      core: { layers: [{ grade: 'badger-90', thicknessMm: 100 }] },
    });
    expect(full.fit!.verdict).toBe('hard-to-close');
    expect(full.fit!.bowRisk).toBeTrue();
    const [best] = finished(fitAdvice(full, context, solveCrown));
    expect(['taut', 'roomy']).toContain(best!.fit.verdict);
  });

  it('says nothing where nothing can be predicted', () => {
    expect(finished(fitAdvice(made({ core: { layers: [] } }), context, solveCrown))).toEqual([]);
  });
});

describe('the cloth', () => {
  it('that stretches lies slacker and lets the face stand higher', () => {
    const { document } = context.shop;
    const shop = openShop({ ...document, cloths: document.cloths.map((cloth) => ({ ...cloth, stretches: cloth.id === 'indigo-twill' })) });
    const [woven, stretch] = ['moss-velvet', 'indigo-twill'].map(
      (material) => planCushion(sampleCushion(), { ...context, shop, cloth: { widthMm: 1400, material } }).fit!,
    );
    expect(stretch!.tensionAcrossNPerM).toBeLessThan(woven!.tensionAcrossNPerM);
    expect(stretch!.crownMm).toBeGreaterThan(woven!.crownMm);
  });
});

describe('sensitivity', () => {
  const request: FitRequest = {
    widthMm: 550,
    depthMm: 550,
    heightMm: 100,
    core: { widthMm: 550, depthMm: 550, layers: [{ kind: 'foam', thicknessMm: 100, hardness25N: 155.7, supportFactor: 2.2 }] },
    wrapLoftMm: 50,
    sideLoftAcrossMm: 25,
    sideLoftAlongMm: 25,
    padLoftMm: 0,
    crownedFaces: 2,
    bowAcrossMm: 0,
    bowAlongMm: 0,
    clothStiffnessNPerM: 15_000,
  };

  it('has the signs that a bench knows, and agrees with a coarse difference of its own', () => {
    const by = new Map(sensitivity(request, shipped).map((one) => [one.what, one]));
    expect(by.get('core-plan')!.amount).toBeGreaterThan(0);
    expect(by.get('cover-plan')!.amount).toBeLessThan(0);
    expect(by.get('wrap')!.crownMm).toBeGreaterThan(0);
    expect(by.get('boxing')!.crownMm).toBeLessThan(0);
    expect(by.get('pad')!.crownMm).toBeGreaterThan(0);
    const wider = fit({ ...request, core: { ...request.core, widthMm: 553, depthMm: 553 } }, shipped);
    const slope = (wider.pressureAcrossPa - fit(request, shipped).pressureAcrossPa) / 3;
    expect(by.get('core-plan')!.of).toBe('pressure');
    expect(Math.abs(by.get('core-plan')!.amount / slope - 1)).toBeLessThan(0.1);
  });
});

describe('comparing schools', () => {
  it('puts the same cushion through each as it stands, its core as thick as it asks', () => {
    const rows = finished(compareSchools(sampleCushion({ wrapLoftMm: 13, schoolNumber: { number: 'seam', mm: 20 } }), context, solveCrown));
    expect(rows.length).toBe(context.shop.schools.length);
    for (const row of rows) {
      expect(row.plan.sizes).withContext(row.school.id).not.toBeNull();
      expect(codes(row.plan)).withContext(row.school.id).not.toContain('layers-do-not-add-up');
      expect(row.plan.sizes!.seam.value).toBe(13);
    }
    const by = new Map(rows.map((row) => [row.school.id, row]));
    // 590 × 490 × 75 against 616 × 516 × 100, mm³.
    expect(by.get('padded-to-the-line')!.foamMm3).toBeCloseTo(590 * 490 * 75, 0);
    expect(by.get('bare-and-oversize')!.foamMm3).toBeCloseTo(616 * 516 * 100, 0);
    expect(by.get('measured-over-the-wrap')!.clothMm2).toBeGreaterThan(by.get('padded-to-the-line')!.clothMm2);
  });
});

describe('wrong turns', () => {
  const padded = (over: Partial<Cushion> = {}): CushionPlan =>
    made({
      given: 'finished',
      template: { shape: 'rectangle', widthMm: 600, depthMm: 500 },
      heightMm: 100,
      core: { layers: [{ grade: 'wren-28', thicknessMm: 100 }] },
      ...over,
    });

  it('wadding is never counted in a cover that is cut to the line, and once where it is measured over', () => {
    for (const loft of [0, 13, 25, 50]) expect(padded({ wrapLoftMm: loft }).sizes!.cut.width.value).toBe(626);
    const over = (loft: number): number => padded({ school: 'measured-over-the-wrap', wrapLoftMm: loft }).sizes!.sewn.width.value;
    // One squeezed layer a side: half of its loft, twice.
    expect(over(50) - over(25)).toBeCloseTo(25, 9);
    expect(padded({ school: 'measured-over-the-wrap', wrapLoftMm: 25 }).sizes!.core.width.value).toBe(600);
  });

  it('an allowance is added once: the cut plate is the sewn one and two seams, in every school and from every size', () => {
    for (const { id } of context.shop.schools)
      for (const given of ['seat', 'finished', 'core', 'sewn'] as const) {
        const { sewn, cut, seam, core } = padded({ school: id, given }).sizes!;
        expect(cut.width.value - sewn.width.value)
          .withContext(`${id} ${given}`)
          .toBeCloseTo(2 * seam.value, 9);
        if (id === 'squeezed-slab') expect(cut.width.value).toBe(core.width.value);
      }
  });

  it('a core exact to its cover without a wrap is said, and an over-full one', () => {
    expect(codes(padded({ wrapLoftMm: 0 }))).toContain('core-exact-without-wrap');
    expect(codes(padded({ wrapLoftMm: 25 }))).not.toContain('core-exact-without-wrap');
    const full = padded({
      school: 'bare-and-oversize',
      wrapLoftMm: 0,
      template: { shape: 'rectangle', widthMm: 280, depthMm: 280 },
      core: { layers: [{ grade: 'badger-90', thicknessMm: 125 }] },
    });
    expect(codes(full)).toContain('cushion-may-bow');
    expect(codes(full).some((code) => code === 'cover-hard-to-close' || code === 'cover-will-not-close')).toBeTrue();
    expect(full.pieces.length).toBeGreaterThan(0);
  });
});
