import fc from 'fast-check';
import { flatten, rectangleOutline } from '../geometry/outline';
import type { LayAnswer, LayItem, LayRequest, Turn } from './contract';
import { layEngine, solveLay } from './engine';
import { validateLay } from './validate';

const piece = (id: string, w: number, h: number, count = 1, turns: readonly Turn[] = [0, 180]): LayItem => ({
  id,
  polygon: flatten(rectangleOutline(w, h)),
  count,
  turns,
});

const request = (items: LayItem[], over: Partial<LayRequest> = {}): LayRequest => ({
  format: 'yardland/lay-request@1',
  material: { kind: 'roll', widthMm: 1350, gapMm: 3 },
  items,
  seed: 1,
  tries: 60,
  ...over,
});

const randomItems = fc.array(
  fc.record({ w: fc.integer({ min: 20, max: 1340 }), h: fc.integer({ min: 20, max: 900 }), count: fc.integer({ min: 1, max: 4 }), any: fc.boolean() }),
  { minLength: 1, maxLength: 8 },
);

describe('the lay', () => {
  it('of hand-worked pieces is the shortest there is', () => {
    // Two plates 673 wide side by side with 3 between them: 1349 of 1350; a strip the full width above: 500 + 3 + 100.
    const answer = solveLay(request([piece('plate', 673, 500, 2), piece('boxing', 1350, 100)]));
    expect(answer.lengthMm).toBeCloseTo(603, 6);
    expect(answer.unplaced).toEqual([]);
    // Area: (2 × 673 × 500 + 1350 × 100) / 1350 = 598.5
    expect(answer.bound).toBeCloseTo(598.52, 2);
    expect(answer.use).toBeCloseTo(808_000 / (1350 * 603), 6);
  });

  it('is valid for random pieces on rolls and sheets, in every allowed turn', () => {
    fc.assert(
      fc.property(randomItems, fc.integer({ min: 0, max: 1e6 }), fc.boolean(), (rows, seed, sheet) => {
        const items = rows.map((r, i) => piece(`p${i}`, r.w, r.h, r.count, r.any ? [0, 90, 180, 270] : [0]));
        const asked = request(items, { seed, tries: 12, ...(sheet ? { material: { kind: 'sheet', widthMm: 1350, lengthMm: 2000, gapMm: 5 } as const } : {}) });
        const answer = solveLay(asked);
        expect(validateLay(asked, answer)).toEqual([]);
        const used = asked.material.kind === 'roll' ? answer.lengthMm : answer.sheets;
        expect(used).toBeGreaterThanOrEqual(answer.bound - 1e-6);
      }),
      { seed: 41, numRuns: 120 },
    );
  });

  it('is the same for the same seed, and never worse for more tries', () => {
    const items = [piece('a', 410, 390, 5), piece('b', 260, 610, 4), piece('c', 900, 120, 6), piece('d', 130, 130, 9)];
    const short = solveLay(request(items, { tries: 4 }));
    const long = solveLay(request(items, { tries: 300 }));
    expect(solveLay(request(items, { tries: 300 }))).toEqual(long);
    expect(long.lengthMm).toBeLessThanOrEqual(short.lengthMm);
  });

  it('shows a valid best at every step, so that it can be stopped at any', () => {
    const asked = request([piece('a', 410, 390, 5), piece('b', 260, 610, 4)], { tries: 30 });
    let steps = 0;
    for (const progress of layEngine(asked)) {
      steps++;
      expect(progress.tried).toBe(steps);
      expect(validateLay(asked, progress.best)).toEqual([]);
    }
    expect(steps).toBeGreaterThan(1);
  });

  it('names what is too large for the material and lays the rest', () => {
    const asked = request([piece('bench', 1800, 450, 1, [0]), piece('plate', 500, 450)]);
    const answer = solveLay(asked);
    expect(answer.unplaced).toEqual(['bench']);
    expect(answer.placements.map((p) => p.item)).toEqual(['plate']);
    expect(solveLay(request([piece('bench', 1800, 450, 1, [0, 90])])).lengthMm).toBe(1800);
  });
});

describe('validateLay', () => {
  const asked = request([piece('a', 400, 300, 2), piece('b', 100, 100)]);
  const good = solveLay(asked);
  const spoiled = (change: (placements: LayAnswer['placements'][number][]) => void, over: Partial<LayAnswer> = {}): string[] => {
    const placements = good.placements.map((p) => ({ ...p }));
    change(placements);
    return validateLay(asked, { ...good, placements, ...over }).map((p) => p.code);
  };

  it('finds each way a lay can be wrong', () => {
    expect(spoiled(() => undefined)).toEqual([]);
    const at = (list: LayAnswer['placements'][number][], i: number) =>
      list[i] as { -readonly [K in keyof LayAnswer['placements'][number]]: LayAnswer['placements'][number][K] };
    expect(spoiled((p) => (at(p, 0).x = at(p, 1).x + 5))).toContain('lay-too-near');
    expect(spoiled((p) => (at(p, 0).x = 1000))).toContain('lay-outside');
    expect(spoiled((p) => (at(p, 0).turn = 90))).toContain('lay-turn-not-allowed');
    expect(spoiled((p) => p.pop())).toEqual(['lay-piece-missing']);
    expect(spoiled((p) => p.push(at(p, 0)))).toContain('lay-piece-twice');
    expect(spoiled((p) => (at(p, 0).item = 'z'))).toContain('lay-unknown-piece');
    expect(spoiled(() => undefined, { lengthMm: 100 })).toContain('lay-outside');
  });
});
