import { shipped } from '../shop/assumptions';
import fc from 'fast-check';
import { dryingCurves } from './drying';
import { joinLongCore, joinZones, optionsOf, type LongCoreAsk } from './long-core';
import { judge, judgeCover } from './old-core';
import { hardness25From, parseGradeCode } from './quoted';
import { crownPads, refreshList } from './refresh';
import { stageReplacements } from '../plan/buy/staging';

describe('the verdict on an old core', () => {
  const asked = { densityFloor: 35, hardness25N: 170, hardnessClass: 45 };
  const codes = (found: Parameters<typeof judge>[0], of = asked) => judge(found, of).reasons.map((reason) => reason.code);

  it('is the heaviest that applies, with all its reasons', () => {
    expect(judge({ findings: ['smell', 'joints-open', 'crumbling'] }).verdict).toBe('replace');
    expect(codes({ findings: ['smell', 'joints-open'] })).toEqual(['old-core-joints-open', 'old-core-smell']);
    expect(judge({ findings: ['strip-missing'], edgeMm: 100, middleMm: 85 }).verdict).toBe('patch');
    expect(judge({ findings: [], edgeMm: 100, middleMm: 91 }).verdict).toBe('keep');
    expect(judge({ findings: [], edgeMm: 100, middleMm: 89 }).verdict).toBe('refresh');
    expect(judge({ findings: [], edgeMm: 100, middleMm: 74 }).verdict).toBe('replace');
  });

  it('weighs and presses: a class too soft or a fifth too light is replaced, at the edge it is not', () => {
    expect(codes({ findings: [], hardness25N: 124 })).toEqual(['old-core-too-soft']);
    expect(codes({ findings: [], hardness25N: 126 })).toEqual([]);
    expect(codes({ findings: [], densityKgM3: 27.9 })).toEqual(['old-core-too-light']);
    expect(codes({ findings: [], densityKgM3: 28.1 })).toEqual([]);
  });

  it('public use wants a known rating', () => {
    const certified = { ...asked, certified: true };
    expect(judge({ findings: [], rating: 'unknown' }, certified).verdict).toBe('replace');
    expect(judge({ findings: [], rating: 'known' }, certified).verdict).toBe('keep');
    expect(judge({ findings: [], rating: 'unknown' }, asked).verdict).toBe('keep');
  });

  it('the cover has its own', () => {
    expect(judgeCover([])).toEqual({ verdict: 'wash', saveZip: false, reasons: [] });
    expect(judgeCover(['seams-pull']).verdict).toBe('restitch');
    for (const past of ['worn', 'torn', 'shrunk', 'faded', 'mould-stained', 'no-zip'] as const) expect(judgeCover(['seams-pull', past]).verdict).toBe('renew');
    // Washed cloth with its zip sewn shut is unpicked, not thrown away; a zip that is not there is not saved.
    expect(judgeCover(['sewn-shut']).verdict).toBe('wash');
    expect(judgeCover(['no-zip', 'zip-good']).saveZip).toBeFalse();
    expect(judgeCover(['worn', 'zip-good'])).toEqual(jasmine.objectContaining({ verdict: 'renew', saveZip: true }));
  });
});

describe('bringing an old core back', () => {
  it('lists what to do, and nothing for a core that is replaced', () => {
    const found = { findings: ['smell', 'joints-open'] as const, edgeMm: 80, middleMm: 68 };
    const kinds = refreshList(found, judge(found), { widthMm: 500, depthMm: 400 }, 25).map((item) => item.kind);
    expect(kinds).toEqual(['wrap', 'frame', 'air', 'glue', 'pad', 'steam']);
    const gone = { findings: ['mould'] as const };
    expect(refreshList(gone, judge(gone), { widthMm: 500, depthMm: 400 }, 25)).toEqual([]);
  });

  it('pads are level sets of the hollow: their areas add up to its volume', () => {
    // Volume of the bowl d(1 − x²/a²)(1 − y²/b²) over 2a × 2b: d · 4ab · 4/9.
    const [w, d, hollow] = [600, 480, 400];
    const pads = crownPads(w, d, hollow, 10);
    expect(pads.length).toBe(40);
    const volume = pads.reduce((sum, pad) => sum + pad.areaMm2 * 10, 0);
    expect(volume / (hollow * w * d * (4 / 9))).toBeCloseTo(1, 2);
    expect(pads.every((pad, i) => i === 0 || pad.areaMm2 < (pads[i - 1]?.areaMm2 ?? 0))).toBeTrue();
    // One pad covers what lies deeper than half.
    const [one] = crownPads(600, 480, 20, 25);
    expect(one?.widthMm).toBeCloseTo(600 * Math.SQRT1_2, 9);
  });

  it('a budget is spent on the worst first, cheaper ones where dearer no longer fit', () => {
    const row = (findings: Parameters<typeof judge>[0]['findings'], quantity: number, replaceCost: number) => ({
      judged: judge({ findings }),
      quantity,
      replaceCost,
    });
    const rows = [row(['mould'], 2, 40), row(['smell'], 5, 1), row(['mould', 'crumbling'], 3, 100), row(['crumbling'], 1, 30)];
    expect(stageReplacements(rows, 250)).toEqual({
      staged: [
        { row: 2, now: 2, later: 1, patched: false },
        { row: 0, now: 1, later: 1, patched: false },
        { row: 3, now: 0, later: 1, patched: false },
      ],
      spent: 240,
    });
    expect(stageReplacements(rows, null).staged.every((one) => one.later === 0)).toBeTrue();
    // A patched core is good for now: it follows those that are replaced, costs nothing now, and comes new later.
    const withPatched = stageReplacements([row(['joints-open'], 2, 50), ...rows], 250);
    expect([withPatched.staged.at(-1), withPatched.spent]).toEqual([{ row: 0, now: 0, later: 2, patched: true }, 240]);
  });
});

describe('several old cores into one', () => {
  const piece = (lengthMm: number, depthMm = 450, heightMm = 80) => ({ name: String(lengthMm), lengthMm, depthMm, heightMm });
  const ask = (pieces: LongCoreAsk['pieces'], over: Partial<LongCoreAsk> = {}): LongCoreAsk => ({
    format: 'yardland/long-core-ask@1',
    lengthMm: 1800,
    depthMm: 450,
    heightMm: 80,
    places: 3,
    pieces,
    ...over,
  });

  it('takes the one cut that a hand-worked case needs', () => {
    // Places of 600: joins may lie within 150 of 0, 600, 1200, 1800. 620 + 600 + 580 fits with no cut at all.
    const whole = joinLongCore(ask([piece(700), piece(620), piece(600), piece(580)]));
    expect(whole.kind === 'plan' && whole.plan.cuts).toBe(0);
    // 1000 + 1000: the one join would have to lie between 800 and 1000: in the middle place.
    const two = joinLongCore(ask([piece(1000), piece(1000)]));
    expect(two.kind === 'plan' && two.plan.joinsClear).toBeFalse();
    // A rip and a cut: both counted.
    const wide = joinLongCore(ask([piece(1300, 500), piece(600)]));
    expect(wide.kind === 'plan' && [wide.plan.cuts, wide.plan.joins.length]).toEqual([2, 1]);
  });

  it('says what is missing, leaves out what is of another height, and turns a piece that is deep enough the other way', () => {
    expect(joinLongCore(ask([piece(900), piece(600, 450, 60), piece(500)]))).toEqual(jasmine.objectContaining({ kind: 'too-short', missingMm: 400 }));
    const turned = joinLongCore(ask([piece(1200), piece(460, 600)]));
    expect(turned.kind === 'plan' && turned.plan.used.map((one) => [one.turned, one.ripped])).toContain([true, true]);
  });

  it('fills a gap with the strip it ripped off', () => {
    // 1500 of 650 deep leaves a strip of 1500 × 200; 100 of it fills what 1500 + 200 lacks of 1800. By hand: one rip, the strip cut to depth and to length.
    const one = joinLongCore(ask([piece(1500, 650), piece(200)], { places: 1 }));
    if (one.kind !== 'plan') throw new Error(one.kind);
    expect(one.plan.used.filter((used) => used.strip).map((used) => [used.piece, used.turned])).toEqual([[0, true]]);
    expect(one.plan.used.reduce((mm, used) => mm + used.toMm - used.fromMm, 0)).toBeCloseTo(1800, 6);
    // Without the strip there is nothing to fill it with.
    expect(joinLongCore(ask([piece(1500, 450), piece(200)], { places: 1 })).kind).toBe('too-short');
  });

  /** The plain one: every order, turn and cut on a grid of 20 mm, strips once their piece is in. */
  function slow(request: LongCoreAsk): readonly [cuts: number, joins: number] | null {
    const zones = joinZones(request);
    const clear = (x: number): boolean => zones.some(([a, b]) => x >= a - 1e-9 && x <= b + 1e-9);
    const options = optionsOf(request);
    let best: readonly [number, number] | null = null;
    const walk = (at: number, laid: readonly (typeof options)[number][], cuts: number): void => {
      if (best && cuts > best[0]) return;
      for (const option of options) {
        if (laid.some((one) => one.piece === option.piece && one.strip === option.strip)) continue;
        if (option.strip && !laid.some((one) => one.piece === option.piece && one.turned === option.parentTurned)) continue;
        for (let mm = 60; mm <= option.lengthMm; mm += 10) {
          const to = at + mm;
          const spent = cuts + (mm < option.lengthMm ? 1 : 0) + (option.ripped ? 1 : 0);
          if (to === request.lengthMm) {
            if (!best || spent < best[0] || (spent === best[0] && laid.length < best[1])) best = [spent, laid.length];
          } else if (to < request.lengthMm && clear(to)) walk(to, [...laid, option], spent);
        }
      }
    };
    walk(0, [], 0);
    return best;
  }

  it('finds as good a plan as the plain search, on random cases, and one that holds', () => {
    const lengths = fc.array(fc.integer({ min: 6, max: 30 }), { minLength: 2, maxLength: 3 });
    fc.assert(
      fc.property(lengths, fc.integer({ min: 2, max: 4 }), fc.boolean(), (units, places, deep) => {
        const request = ask(
          units.map((n, i) => piece(n * 20, deep && i === 0 ? 520 : 450)),
          { lengthMm: 1200, places },
        );
        const [fast, plain] = [joinLongCore(request), slow(request)];
        if (fast.kind !== 'plan') {
          expect(plain).toBeNull();
          return;
        }
        const { used, cuts, joins, joinsClear } = fast.plan;
        if (plain) expect([cuts, joins.length]).toEqual([...plain]);
        if (joinsClear) for (const x of joins) expect(joinZones(request).some(([a, b]) => x >= a - 1e-6 && x <= b + 1e-6)).toBeTrue();
        used.forEach((one, i) => {
          expect(one.fromMm).toBeCloseTo(i === 0 ? 0 : (used[i - 1]?.toMm ?? -1), 6);
          const option = optionsOf(request).find(({ piece: of, strip, turned }) => of === one.piece && strip === one.strip && turned === one.turned);
          const long = option?.lengthMm ?? 0;
          const mm = one.toMm - one.fromMm;
          if (one.cutShorter) expect(mm).toBeLessThan(long);
          else expect(Math.abs(mm - long)).toBeLessThanOrEqual(2.001);
        });
        expect(new Set(used.map((one) => `${one.piece} ${one.strip}`)).size).toBe(used.length);
      }),
      { seed: 105, numRuns: 60 },
    );
  });
});

describe('drying', () => {
  it('follows a core that dries as an exponential, between and beyond its readings', () => {
    // Half the water in 60 minutes: 5 % is left after 60 · log2(20) = 259.3 minutes.
    const water = (minute: number) => 1 + 2 ** (-minute / 60);
    const readings = (minutes: readonly number[]) => minutes.map((minute) => ({ minute, massKg: water(minute), covered: false }));
    const [within] = dryingCurves({ dryKg: 1, readings: readings([0, 60, 200, 300]) }, shipped);
    expect(within?.dryAfter?.extrapolated).toBeFalse();
    expect(within?.dryAfter?.minutes).toBeCloseTo(259.3, 1);
    const [beyond] = dryingCurves({ dryKg: 1, readings: readings([0, 120]) }, shipped);
    expect(beyond?.dryAfter?.extrapolated).toBeTrue();
    expect(beyond?.dryAfter?.minutes).toBeCloseTo(259.3, 1);
  });

  it('keeps bare and covered apart and says nothing of a core that does not dry', () => {
    const curves = dryingCurves(
      {
        dryKg: 1,
        readings: [
          { minute: 0, massKg: 2, covered: true },
          { minute: 30, massKg: 2, covered: true, knocked: true },
          { minute: 0, massKg: 1.5, covered: false },
        ],
      },
      shipped,
    );
    expect(curves.map((curve) => [curve.covered, curve.points.length, curve.dryAfter])).toEqual([
      [false, 1, null],
      [true, 2, null],
    ]);
  });
});

describe('hardness as quoted', () => {
  it('converts by the curve: 40 % on 50 mm', () => {
    // S 2.2: A = 0.9778, B = 0.2306 by hand, so f(0.40) = 1.2161; 50 mm read 0.5^0.3 = 0.8123 of 100 mm.
    expect(hardness25From({ hardnessN: 170, percent: 40, thicknessMm: 50 }, 2.2)).toBeCloseTo(172.1, 1);
    expect(hardness25From({ hardnessN: 140, percent: 25, thicknessMm: 100 }, 2)).toBeCloseTo(140, 9);
  });

  it('reads a grade code as the shop’s units have it', () => {
    expect(parseGradeCode('35140', 'metric')).toEqual({ densityKgM3: 35, hardnessN: 140 });
    expect(parseGradeCode('1835', 'inch')?.densityKgM3).toBeCloseTo(28.83, 2);
    expect(parseGradeCode('1.8-35', 'inch')?.hardnessN).toBeCloseTo(155.7, 1);
    for (const bad of ['', 'firm', '3', '351400', '00140']) expect(parseGradeCode(bad, 'metric')).withContext(bad).toBeNull();
  });
});
