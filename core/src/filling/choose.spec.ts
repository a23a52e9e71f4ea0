import fc from 'fast-check';
import { shipped } from '../shop/assumptions';
import { demoShop } from '../testing/samples';
import { foamsOf, stacksOf } from './candidates';
import { choose } from './choose';
import { feelOf } from './feel';
import { layerOf } from './layer';
import type { ChooseRequest } from './choose-request';

describe('choosing', () => {
  const catalogue = demoShop().document;
  const ask = (over: Partial<ChooseRequest> = {}) =>
    choose(
      {
        format: 'yardland/choose@1',
        sitters: [{ massKg: 75, posture: 'upright' }],
        feel: 'medium',
        part: 'seat',
        use: 'regular',
        place: 'indoor',
        support: 'webbing',
        heightMm: 100,
        ...over,
      },
      catalogue,
      shipped,
    );
  const best = (over: Partial<ChooseRequest> = {}) => {
    const [first] = ask(over).ranked;
    if (!first) throw new Error('nothing was chosen');
    return first;
  };
  /** Mean hardness of a stack by thickness. */
  const hardness = (over: Partial<ChooseRequest>) => {
    const { layers } = best(over);
    return layers.reduce((sum, layer) => sum + (layer.hardness25N ?? 0) * layer.thicknessMm, 0) / layers.reduce((sum, layer) => sum + layer.thicknessMm, 0);
  };

  it('thin pads want firm foam, deep cushions reach the same support one class softer', () => {
    expect(hardness({ heightMm: 50, support: 'board' })).toBeGreaterThan(hardness({ heightMm: 100, support: 'board' }));
    expect(hardness({ heightMm: 100 })).toBeGreaterThan(hardness({ heightMm: 180 }));
  });

  it('on a bare board or a folding bed not the firmest class, unless the pad is thin', () => {
    for (const support of ['board', 'folding-bed'] as const)
      expect(best({ support, feel: 'firm' }).layers.some((layer) => (layer.hardness25N ?? 0) < 200))
        .withContext(support)
        .toBeTrue();
    expect(best({ support: 'board', feel: 'firm', heightMm: 40 }).layers.every((layer) => (layer.hardness25N ?? 0) >= 160)).toBeTrue();
  });

  it('low seats and frail sitters get firmer ones', () => {
    const give = (over: Partial<ChooseRequest>): number => {
      const layers = best(over).layers.map(({ grade, thicknessMm }) => layerOf(demoShop().stock(grade)!, thicknessMm));
      const sitter = { massKg: 75, posture: 'upright' as const };
      return feelOf({ format: 'yardland/feel@1', layers, support: 'webbing', sitter, settled: true }, shipped).giveMm;
    };
    expect(give({ sitters: [{ massKg: 75, posture: 'upright', frail: true }], deckHeightMm: 330 })).toBeLessThan(give({ deckHeightMm: 480 }) - 2);
  });

  it('backs may be light and soft; seats in daily use are dense in what bears', () => {
    const back = best({ part: 'back', feel: 'soft', use: 'daily' });
    expect(Math.max(...back.layers.map((layer) => layer.densityKgM3))).toBeLessThan(30);
    for (const heightMm of [60, 80, 100, 120, 150])
      for (const wanted of ['soft', 'medium', 'firm'] as const) {
        const { layers } = best({ use: 'daily', heightMm, feel: wanted });
        expect(layers[layers.length - 1]?.densityKgM3)
          .withContext(`${wanted} ${heightMm}`)
          .toBeGreaterThanOrEqual(35);
      }
    const occasional = best({ use: 'occasional' }).layers.map((layer) => layer.densityKgM3);
    expect(Math.min(...occasional)).toBeGreaterThanOrEqual(24);
    expect(Math.max(...occasional)).toBeLessThanOrEqual(29);
  });

  it('a mattress is a class softer than a seat of the same thickness, and never of the soft class', () => {
    const at = (part: 'seat' | 'mattress', posture: 'upright' | 'lying') =>
      ask({ part, use: 'daily', support: 'board', heightMm: 125, sitters: [{ massKg: 75, posture }] }).ranked.filter(({ layers }) => layers.length === 1);
    const [seat, bed] = [at('seat', 'upright')[0]!, at('mattress', 'lying')[0]!];
    expect(bed.layers[0]!.hardness25N).toBeLessThan(seat.layers[0]!.hardness25N!);
    // 20 lbf of little support is pressed through under the hip.
    const soft = ask({ part: 'mattress', use: 'occasional', support: 'board', heightMm: 125, sitters: [{ massKg: 75, posture: 'lying' }] });
    const single = soft.ranked.filter(({ layers }) => layers.length === 1);
    expect(single[0]!.layers[0]!.hardness25N).toBeGreaterThan(110);
    expect(single.map(({ layers }) => layers[0]!.grade)).not.toContain('wren-22-soft');
  });

  it('the soft layer alone bottoms out where a firm base under it does not', () => {
    const asked = ask({ sitters: [{ massKg: 110, posture: 'upright' }], feel: 'soft', heightMm: 100, use: 'occasional' });
    expect(asked.ranked.some((one) => one.layers.length === 1 && one.layers[0]?.grade === 'wren-22-soft')).toBeFalse();
    expect(asked.ranked.some((one) => one.layers.length === 2)).toBeTrue();
  });

  it('outdoors only open-cell fast-drying foam; everything else is listed with why', () => {
    const { ranked, excluded } = ask({ place: 'outdoor', use: 'occasional' });
    expect(ranked.length).toBeGreaterThan(0);
    expect(ranked.every((one) => one.layers.every((layer) => layer.family === 'fast-drying'))).toBeTrue();
    expect(excluded.find((one) => one.grade === 'heron-40')?.reason).toContain('holds water');
  });

  it('adds up to the height from sheets, ranks by score, and gives every place a reason', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(50, 75, 100, 120, 180),
        fc.constantFrom('soft' as const, 'medium' as const, 'firm' as const),
        fc.integer({ min: 40, max: 130 }),
        (heightMm, wanted, massKg) => {
          const { ranked, excluded } = ask({ heightMm, feel: wanted, sitters: [{ massKg, posture: 'upright' }] });
          for (const one of ranked) {
            expect(one.layers.reduce((sum, layer) => sum + layer.thicknessMm, 0)).toBeCloseTo(heightMm, 6);
            expect(one.reasons.length).toBeGreaterThan(0);
            expect(one.verdicts).not.toContain('bottoms-out');
          }
          expect(ranked.every((one, i) => i === 0 || one.score <= (ranked[i - 1]?.score ?? 0))).toBeTrue();
          const named = new Set([...ranked.flatMap((one) => one.layers.map((layer) => layer.grade)), ...excluded.map((one) => one.grade)]);
          if (ranked.length < 40) expect(named.size).toBe(catalogue.grades.length + catalogue.fillings.length - 1);
        },
      ),
      { seed: 104, numRuns: 40 },
    );
  });

  const heavy = { massKg: 120, posture: 'upright' as const };
  const kinds = (one: { readonly layers: readonly { readonly family: string }[] }) => one.layers.map((layer) => layer.family);

  it('heavy sitters get a sprung core with foam over it, with a feather envelope where it is to feel soft', () => {
    expect(kinds(best({ sitters: [heavy], support: 'board', heightMm: 200 }))).toEqual([jasmine.any(String), 'spring']);
    const soft = ask({ sitters: [heavy], support: 'board', heightMm: 240, feel: 'soft' }).ranked.filter((one) => kinds(one).includes('feather'));
    expect(soft.length).toBeGreaterThan(0);
    expect(soft.every((one) => kinds(one).includes('spring'))).toBeTrue();
    // And nobody else is told to buy springs.
    expect(kinds(best({ support: 'board', heightMm: 200 }))).not.toContain('spring');
  });

  it('from 120 high heavy sitters get springs, muslin and foam, and where it is to feel soft a feather case on them, on anything', () => {
    for (const support of ['board', 'webbing', 'springs'] as const)
      for (const massKg of [90, 95, 120])
        for (const heightMm of [120, 130, 150, 180, 200, 240, 300])
          for (const wanted of ['soft', 'medium', 'firm'] as const) {
            const first = best({ sitters: [{ massKg, posture: 'upright' }], support, heightMm, feel: wanted, use: 'daily' });
            const made = kinds(first);
            expect(made.includes('spring') && made.some((kind) => kind !== 'spring' && kind !== 'feather') && made.includes('feather') === (wanted === 'soft'))
              .withContext(`${support} ${massKg} kg ${heightMm} ${wanted}: ${made.join()}`)
              .toBeTrue();
            expect(first.because).toContain('with muslin and foam over them');
          }
    // A whole soft cushion, the same from both sides, is one choice.
    const whole = ask({ sitters: [heavy], support: 'board', heightMm: 240, feel: 'soft', reversible: true }).ranked;
    expect(whole.some((one) => kinds(one).join().startsWith('feather') && kinds(one).length === 5 && kinds(one)[2] === 'spring')).toBeTrue();
  });

  it('says what speaks for a choice first, and nobody’s weight', () => {
    const { ranked, excluded } = ask({ sitters: [{ massKg: 120, posture: 'upright', frail: true }], support: 'springs', heightMm: 200, feel: 'soft' });
    const hard = ranked.filter(({ verdicts }) => verdicts.includes('hard-to-rise'));
    expect(hard.length).toBeGreaterThan(0);
    for (const { reasons, because } of hard) {
      expect(reasons[0]).not.toContain('hard');
      expect(because).toMatch(/, but .*hard for the frail sitter to get up from/);
    }
    const words = [...ranked.map(({ because }) => because), ...excluded.map(({ reason, save }) => `${reason} ${save ?? ''}`)].join(' ');
    expect(words).not.toMatch(/heav|sturdy|\d+ kg\b(?!\/)/);
  });

  it('compressed slab stands outdoors under a roof, and nowhere else out of doors', () => {
    const families = (place: ChooseRequest['place']) => new Set(ask({ place, use: 'occasional', feel: 'firm' }).ranked.flatMap(kinds));
    expect([...families('covered')].sort()).toEqual(['fast-drying', 'slab']);
    expect([...families('outdoor')]).toEqual(['fast-drying']);
    expect(ask({ place: 'outdoor' }).excluded.find(({ grade }) => grade === 'dunnock-40')!.save).toBe('a roof over it');
  });

  it('feather alone only for light sitters on a sprung base; on a board it bottoms out', () => {
    const child = { massKg: 25, posture: 'upright' as const };
    const alone = (over: Partial<ChooseRequest>) => ask(over).ranked.some((one) => one.layers.length === 1 && kinds(one)[0] === 'feather');
    expect(alone({ sitters: [child], support: 'springs', feel: 'soft' })).toBeTrue();
    expect(alone({ sitters: [child], support: 'board', feel: 'soft' })).toBeFalse();
    expect(alone({ sitters: [{ massKg: 75, posture: 'upright' }], support: 'springs', feel: 'soft' })).toBeFalse();
    expect(ask({ feel: 'firm', support: 'board' }).excluded.find((one) => one.grade === 'eider-feather')?.reason).toMatch(/bottoms out|soft feel/);
  });

  it('has stacks of three, each layer firmer than the one above', () => {
    const threes = stacksOf(catalogue, 150).filter((stack) => foamsOf(stack).length === 3);
    expect(threes.length).toBeGreaterThan(10);
    for (const stack of threes) {
      const hard = foamsOf(stack).map(({ grade }) => grade.hardness25N);
      expect(hard.every((n, i) => i === 0 || n > (hard[i - 1] ?? 0))).toBeTrue();
      expect(stack.layers.reduce((sum, layer) => sum + layer.thicknessMm, 0)).toBeCloseTo(150, 9);
    }
  });

  it('from 90 kg a sprung core comes first, and up to 45 kg feather may be alone', () => {
    const at = (massKg: number) => ({ sitters: [{ massKg, posture: 'upright' as const }], support: 'board' as const, heightMm: 200 });
    expect(kinds(best(at(90)))).toContain('spring');
    expect(kinds(best(at(89)))).not.toContain('spring');
    const alone = (massKg: number) =>
      ask({ sitters: [{ massKg, posture: 'upright' }], support: 'springs', feel: 'soft' }).ranked.some(
        (one) => one.layers.length === 1 && kinds(one)[0] === 'feather',
      );
    expect([45, 46].map(alone)).toEqual([true, false]);
  });

  it('a back may be feather alone, on anything and for anybody', () => {
    for (const support of ['board', 'webbing'] as const) {
      const back = ask({ part: 'back', feel: 'soft', support, sitters: [heavy] }).ranked;
      expect(back.some((one) => one.layers.length === 1 && kinds(one)[0] === 'feather'))
        .withContext(support)
        .toBeTrue();
      expect(back.some((one) => kinds(one).includes('spring'))).toBeFalse();
    }
  });

  it('a feather envelope goes over springs in high cushions too', () => {
    for (const heightMm of [240, 280, 320]) {
      const soft = ask({ sitters: [heavy], support: 'board', heightMm, feel: 'soft' }).ranked.filter((one) => kinds(one).includes('feather'));
      expect(soft.length).withContext(`${heightMm}`).toBeGreaterThan(0);
      for (const one of soft) expect(one.layers.reduce((mm, layer) => mm + layer.thicknessMm, 0)).toBeCloseTo(heightMm, 6);
    }
  });

  it('where firm is wanted the firmest class is for a thin pad, never for a high cushion', () => {
    const firmest = (one: { readonly layers: readonly { readonly hardness25N: number | null }[] }) =>
      one.layers.every((layer) => (layer.hardness25N ?? 0) >= 200);
    expect(firmest(best({ heightMm: 50, feel: 'firm', support: 'webbing' }))).toBeTrue();
    for (const heightMm of [175, 180, 200]) {
      const high = ask({ heightMm, feel: 'firm' });
      expect(high.ranked.some(firmest)).withContext(`${heightMm}`).toBeFalse();
      expect(high.ranked[0]!.feel).toBe('firm');
    }
  });

  it('a cushion that is turned over has a firm middle and the same lighter layer on both faces, or is one slab', () => {
    const { ranked, excluded } = ask({ reversible: true, heightMm: 120, feel: 'soft', use: 'regular' });
    expect(ranked.some((one) => one.layers.length === 3)).toBeTrue();
    for (const { layers } of ranked) {
      expect(layers.map(({ grade }) => grade)).toEqual(layers.map(({ grade }) => grade).reverse());
      if (layers.length === 3) expect(layers[1]!.hardness25N!).toBeGreaterThan(layers[0]!.hardness25N!);
    }
    expect(excluded.every(({ reason }) => reason.length > 0)).toBeTrue();
  });

  it('says why in a sentence, and of what fell out what would save it', () => {
    const { ranked, excluded } = ask({ sitters: [{ massKg: 85, posture: 'upright' }], heightMm: 50, use: 'daily', support: 'board' });
    for (const { because } of ranked) expect(because).toMatch(/^It [a-z].*[^.]\.$/);
    const soft = excluded.find(({ grade }) => grade === 'wren-25')!;
    expect(soft.save).toContain('firmer foam under it');
    // What is said to hold does hold: the foam in a cushion that much higher, for occasional use where its density is no matter.
    const thin = ask({ sitters: [{ massKg: 85, posture: 'upright' }], heightMm: 50, use: 'occasional' }).excluded.find(({ grade }) => grade === 'wren-25')!;
    const higher = ask({ sitters: [{ massKg: 85, posture: 'upright' }], heightMm: 50 + thin.higherMm! + 5, use: 'occasional' });
    expect(thin.higherMm!).toBeGreaterThan(0);
    expect(higher.excluded.find(({ grade }) => grade === 'wren-25')?.reason ?? '').not.toContain('bottoms out');
    expect(excluded.find(({ grade }) => grade === 'tern-30')!.save).toBe('a place outdoors');
  });
});
