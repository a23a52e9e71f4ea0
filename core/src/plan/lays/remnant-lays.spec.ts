import { solveLay } from '../../lay/engine/engine';
import { validateLay } from '../../lay/validate';
import type { LayRequest } from '../../lay/contract';
import type { Remnant } from '../../material/material';
import { openShop, type Shop } from '../../shop/shop';
import { demoShop, sampleCushion, sampleJob } from '../../testing/samples';
import type { Job } from '../../job/document';
import { leftOvers } from './left-overs';
import { plan, type Plan } from '../plan';
import { planSolved } from '../solve';

const CLOTH = 'demo-test-cloth';
const shopWith = (remnants: readonly Remnant[]): Shop => {
  const { document } = demoShop();
  const [first] = document.cloths;
  if (!first) throw new Error('no cloth');
  const { pattern: _pattern, ...plain } = first;
  return openShop({
    ...document,
    cloths: [...document.cloths, { ...plain, id: CLOTH, widthMm: 1400, selvedgeMm: 10, oneWay: false }],
    remnants: [...remnants],
  });
};
const job = (remnants: readonly string[]): Job => ({
  ...sampleJob([sampleCushion({ template: { shape: 'rectangle', widthMm: 500, depthMm: 450 }, quantity: 2 })]),
  cloth: { widthMm: 1400, material: CLOTH, railroaded: false },
  remnants: [...remnants],
});
const cloth = (id: string, lengthMm: number, widthMm: number): Remnant => ({ id, cloth: CLOTH, lengthMm, widthMm });
const onCloth = (made: Plan) => made.lays.filter(({ subject }) => subject.kind === 'cloth');
/** How often each item is placed over all lays of the cloth. */
const placed = (made: Plan): Record<string, number> => {
  const counts: Record<string, number> = {};
  for (const { answer } of onCloth(made)) for (const { item } of answer?.placements ?? []) counts[item] = (counts[item] ?? 0) + 1;
  return counts;
};

describe('cut from remnants first', () => {
  const without = planSolved(job([]), shopWith([]));
  const all = placed(without);

  it('cuts each piece once, off the smaller remnant first, and buys only what is left', () => {
    const made = planSolved(job(['large', 'small']), shopWith([cloth('large', 1300, 700), cloth('small', 600, 520), cloth('other', 5000, 1400)]));
    const lays = onCloth(made);
    expect(lays.map(({ remnant }) => remnant)).toEqual(['small', 'large', null]);
    expect(placed(made)).toEqual(all);
    // A plate is 526 × 476 with its seams: one goes on 600 × 520.
    expect(lays[0]?.answer?.placements.length).toBeGreaterThan(0);
    expect(lays.every(({ request, answer }) => answer && validateLay(request, answer).length === 0)).toBeTrue();
    const [before, after] = [without, made].map(({ buy }) => buy.filter(({ ware }) => ware === 'cloth'));
    expect(after?.length).toBe(1);
    expect(after?.[0]?.amount?.value).toBeLessThan(before?.[0]?.amount?.value ?? 0);
    // What a remnant has no room for is not missing.
    expect(made.problems.map(({ code }) => code)).not.toContain('piece-missing');
  });

  it('cuts anew from what is left of the remnants, then of the roll', () => {
    const wrong = (cushions: readonly number[]): Job => {
      const {
        cushions: [first],
        ...rest
      } = job(['large']);
      if (!first) throw new Error('no cushion');
      return { ...rest, cushions: [{ ...first, bench: { done: {}, recuts: [{ piece: 'plate', cushions: [...cushions], each: 1, date: '2026-01-05' }] } }] };
    };
    // A plate is 526 × 476: two more fit beyond what is cut of a long remnant, and nothing is bought.
    const made = planSolved(wrong([1, 2]), shopWith([cloth('large', 6000, 1380)]));
    const again = onCloth(made).filter(({ recutOf }) => recutOf !== null);
    expect(again.map(({ key, remnant }) => [key, remnant])).toEqual([['cloth/on large/left of 1', 'large']]);
    expect(again[0]?.answer?.placements.map(({ item }) => item)).toEqual(['0/plate', '0/plate']);
    expect(again[0]?.problems).toEqual([]);
    expect(made.buy.filter(({ ware }) => ware === 'cloth')).toEqual([]);
    // A remnant too small for anything of the first lay still takes what fits it.
    const scrap = planSolved(wrong([1]), shopWith([cloth('large', 480, 530)]));
    const whole = onCloth(scrap).map(({ key, answer }) => [key, answer?.placements.filter(({ item }) => item === '0/plate').length]);
    expect(whole.filter(([, count]) => count !== 0).length).toBeGreaterThan(1);
    expect(whole.reduce((sum, [, count]) => sum + Number(count), 0)).toBe(5);
  });

  it('buys nothing where a remnant takes everything, and all of it where none takes a piece', () => {
    const whole = planSolved(job(['roll']), shopWith([cloth('roll', 9000, 1380)]));
    expect(onCloth(whole).map(({ remnant }) => remnant)).toEqual(['roll']);
    expect(whole.buy.filter(({ ware }) => ware === 'cloth')).toEqual([]);
    const scrap = planSolved(job(['scrap']), shopWith([cloth('scrap', 30, 30)]));
    expect(scrap.buy.find(({ ware }) => ware === 'cloth')?.amount?.value).toBe(without.buy.find(({ ware }) => ware === 'cloth')?.amount?.value);
    // One that is gone from the stockroom, or of another cloth, is passed over.
    expect(onCloth(planSolved(job(['gone']), shopWith([]))).map(({ remnant }) => remnant)).toEqual([null]);
  });

  it('asks for one lay after another: what is bought waits until it is known what is left', () => {
    const first = plan(job(['small', 'large']), shopWith([cloth('large', 1300, 700), cloth('small', 600, 520)]));
    expect(onCloth(first).map(({ remnant, held }) => [remnant, held])).toEqual([
      ['small', false],
      [null, true],
    ]);
    const asked = first.wanted.map((one) => ('key' in one ? one.key : ''));
    expect(asked).toContain('cloth/on small');
    expect(asked).not.toContain('cloth');
    expect(first.buy.find(({ ware }) => ware === 'cloth')?.amount).toBeNull();
  });

  it('keeps what is left of what was bought: the roll’s end and the last sheet, over their full width', () => {
    const kept = leftOvers(without);
    const [line] = without.buy.filter(({ ware }) => ware === 'cloth');
    const [lay] = onCloth(without);
    const roll = kept.find((one) => 'cloth' in one);
    const endMm = (line?.amount?.value ?? 0) - (lay?.answer?.lengthMm ?? 0) - 30;
    if (endMm >= 150) expect(roll).toEqual(jasmine.objectContaining({ cloth: CLOTH, widthMm: 1380, lengthMm: endMm }));
    else expect(roll).toBeUndefined();
    const foam = without.lays.find(({ subject }) => subject.kind === 'foam');
    const sheet = kept.find((one) => 'grade' in one);
    const material = foam?.request.material;
    expect(material?.kind === 'sheet' ? material.lengthMm - (foam?.answer?.lengthMm ?? 0) : NaN).toBeCloseTo(sheet?.lengthMm ?? NaN, 6);
  });
});

describe('a hide with a soft part', () => {
  const square = (x: number, y: number, side: number) => [
    { x, y },
    { x: x + side, y },
    { x: x + side, y: y + side },
    { x, y: y + side },
  ];
  // 1000 × 500, its left half soft: of squares of 480 one that is seen fits on the right, hidden ones on the left too.
  const request: LayRequest = {
    format: 'yardland/lay-request@2',
    material: {
      kind: 'hide',
      outline: [
        { x: 0, y: 0 },
        { x: 1000, y: 0 },
        { x: 1000, y: 500 },
        { x: 0, y: 500 },
      ],
      flaws: [],
      soft: [square(0, 0, 500)],
    },
    gapMm: 0,
    items: [
      { id: 'top', polygon: square(0, 0, 480), count: 2, turns: [0], good: true },
      { id: 'bottom', polygon: square(0, 0, 480), count: 1, turns: [0] },
    ],
    pins: [],
    seed: 1,
    moves: 2000,
  };

  it('gives what is seen its good part alone, and what is hidden the rest', () => {
    const answer = solveLay(request);
    expect(answer.placements.map(({ item }) => item).sort()).toEqual(['bottom', 'top']);
    expect(answer.unplaced).toEqual(['top']);
    expect(answer.placements.find(({ item }) => item === 'top')?.x).toBeGreaterThanOrEqual(500);
    expect(answer.placements.find(({ item }) => item === 'bottom')?.x).toBeLessThanOrEqual(20);
    expect(validateLay(request, answer)).toEqual([]);
    const moved = { ...answer, placements: answer.placements.map((one) => ({ ...one, x: one.item === 'top' ? 0 : 500 })) };
    expect(validateLay(request, moved).map(({ code }) => code)).toEqual(['lay-outside']);
  });
});

describe('a patterned remnant', () => {
  // Repeats of 320 along and 350 across, every other row half a repeat further: the demo's jacquard.
  const seats: Job = {
    ...sampleJob([sampleCushion({ template: { shape: 'rectangle', widthMm: 500, depthMm: 450 }, quantity: 2 })]),
    cloth: { widthMm: 1420, material: 'meadow-jacquard', railroaded: false },
    remnants: ['end'],
  };
  const found = { alongMm: 250, acrossMm: 410 };
  const end = (motif?: typeof found): Remnant => ({
    id: 'end',
    cloth: 'meadow-jacquard',
    lengthMm: 1500,
    widthMm: 900,
    // A moth hole on the motif nearest to the squared end.
    flaws: [
      [
        [200, 380],
        [300, 380],
        [300, 440],
        [200, 440],
      ],
    ],
    ...(motif ? { motif } : {}),
  });
  const laid = (remnant: Remnant): Plan => planSolved(seats, openShop({ ...demoShop().document, remnants: [remnant] }));
  const matchedOn = (made: Plan): { x: number; y: number }[] => {
    const lay = onCloth(made).find(({ remnant }) => remnant === 'end');
    return (lay?.answer?.placements ?? []).flatMap(({ item, x, y, turn }) => {
      const { motif } = lay!.request.items.find(({ id }) => id === item)!;
      return motif ? [{ x: x + (turn === 180 ? -motif.x : motif.x), y: y + (turn === 180 ? -motif.y : motif.y) }] : [];
    });
  };

  it('takes pieces that have to match once a motif was found on it, each with its motif on one of the remnant’s own', () => {
    expect(matchedOn(laid(end()))).toEqual([]);
    const made = laid(end(found));
    const motifs = matchedOn(made);
    expect(motifs.length).toBeGreaterThan(0);
    for (const { x, y } of motifs) {
      const row = (y - found.acrossMm) / 350;
      const along = (x - found.alongMm) / 160;
      expect(Math.abs(row - Math.round(row))).toBeLessThan(1e-4);
      expect(Math.abs(along - Math.round(along))).toBeLessThan(1e-4);
      // Even rows have theirs at whole repeats of 320, odd ones half-way between.
      expect(Math.abs(Math.round(along) % 2)).toBe(Math.abs(Math.round(row) % 2));
    }
    expect(onCloth(made).every(({ request, answer }) => answer && validateLay(request, answer).length === 0)).toBeTrue();
    expect(made.problems.map(({ code }) => code)).not.toContain('piece-missing');
    const bought = (one: Plan): number => one.buy.find(({ ware }) => ware === 'cloth')?.amount?.value ?? 0;
    expect(bought(made)).toBeLessThan(bought(laid(end())));
  });

  it('is kept with the place of a motif where one lies on it, reckoned on from the lay before it', () => {
    const { document } = demoShop();
    // However short it is.
    const shop = openShop({ ...document, calibration: { ...document.calibration, keptOffcutMm: 1 } });
    const [seat] = seats.cushions;
    const kept = [380, 440, 460, 480, 500].map((depthMm) => {
      const made = planSolved({ ...seats, cushions: [{ ...seat!, template: { shape: 'rectangle', widthMm: 500, depthMm } }], remnants: [] }, shop);
      return { one: leftOvers(made).find((left) => 'cloth' in left), answer: onCloth(made)[0]!.answer! };
    });
    const noted = kept.flatMap(({ one, answer }) => (one?.motif ? [{ ...one, motif: one.motif, answer }] : []));
    expect(noted.length).toBeGreaterThan(0);
    expect(noted.length).toBeLessThan(kept.length);
    for (const { lengthMm, motif, answer } of noted) {
      // Along from the squared end of the roll, whole repeats from the first motif of the first row, which lies half a repeat from its edge; the second row half a repeat further.
      const row = (motif.acrossMm - 175) / 350;
      const along = (answer.lengthMm + motif.alongMm - answer.patternAtMm! - 160 * row) / 320;
      expect([0, 1]).toContain(row);
      expect(Math.abs(along - Math.round(along))).toBeLessThan(1e-6);
      expect(motif.alongMm).toBeLessThanOrEqual(lengthMm);
    }
  });
});
