import { given } from '../../kernel/figure';
import type { StageLine } from '../../piece/stage';
import type { PlaqueAsk } from './ask';
import { makePlaque } from './plaque';
import { hemmedEndStages } from './plaque-stages';
import { turnedUnder } from '../sewing/staple-stages';

const mm = (value: number) => given('given', value, 'entered');
const ask = (kind: PlaqueAsk['kind']): PlaqueAsk => ({
  kind,
  opening: mm(500),
  end: mm(13),
  height: mm(80),
  lower: mm(13),
  upper: mm(10),
  seam: mm(13),
  zipWidth: mm(30),
  teeth: mm(25),
  gap: mm(3),
  lap: mm(19),
  turnIn: mm(10),
  stripMm: Infinity,
  trimOffMm: 0,
});

/** How much cloth each line shows: what of it runs across. */
const cloths = (lines: readonly StageLine[]): number[] =>
  lines.filter(({ look }) => look === 'cloth').map(({ points }) => points.slice(1).reduce((sum, p, i) => sum + Math.abs(p.x - points[i]!.x), 0));

describe('a step that folds, drawn moment by moment', () => {
  it('shows at every moment the cloth that the pieces have', () => {
    // A slit strip: 80 finished, 13 and 10 of seams, 30 for the zip; 133 however it is folded.
    const slit = makePlaque(ask('slit'));
    expect(slit.pieces.map(({ height }) => height.value)).toEqual([133]);
    for (const { lines } of slit.stages) expect(cloths(lines).reduce((sum, one) => sum + one, 0)).toBeCloseTo(133, 6);
    expect(slit.stages.map(({ lines }) => lines.some(({ look }) => look === 'zip'))).toEqual([false, false, true]);

    // Two strips folded in half: 80 + 2 × 13, 80 + 2 × 10.
    const folded = makePlaque(ask('folded'));
    expect(folded.pieces.map(({ height }) => height.value)).toEqual([106, 100]);
    for (const { lines } of folded.stages) cloths(lines).forEach((shown, i) => expect(shown).toBeCloseTo([106, 100][i]!, 6));

    // Narrow: 13 + 25 − 3 + 10. Wide: 10 + 80 − 25 + 2 × 19 + 3 + 10.
    const lapped = makePlaque(ask('lapped'));
    expect(lapped.pieces.map(({ height }) => height.value)).toEqual([45, 116]);
    const [flat, over] = lapped.stages.map(({ lines }) => cloths(lines));
    flat!.forEach((shown, i) => expect(shown).toBeCloseTo([45, 116][i]!, 6));
    // Where it folds back over itself the drawing is a layer's distance longer, a seventh of the height.
    over!.forEach((shown, i) => expect(shown).toBeCloseTo([45, 116 + 0.14 * 80][i]!, 6));
    expect(makePlaque(ask('hook-and-loop')).stages).toEqual([]);
  });

  it('has its rows where the step says: a hemmed end’s through hem, lap and plaque; a staple on its line', () => {
    const [, lapped] = hemmedEndStages({ hemMm: 13, lapMm: 50, rowMm: 25, welted: null });
    const row = lapped!.lines.find(({ look }) => look === 'stitch')!;
    expect(row.points.map(({ x }) => x)).toEqual([25, 25]);
    const plaque = lapped!.lines.filter(({ look }) => look === 'cloth')[1]!;
    expect(Math.max(...plaque.points.map(({ x }) => x))).toBe(50);
    const [before, after] = turnedUnder(40, 15);
    expect(after!.lines.find(({ look }) => look === 'staple')!.points.map(({ x }) => x)).toEqual([-40, -40]);
    // What hangs down before lies under the board after: line and what holds beyond it.
    const foot = Math.min(...before!.lines.find(({ look }) => look === 'cloth')!.points.map(({ y }) => y));
    const end = after!.lines.find(({ look }) => look === 'cloth')!.points.at(-1)!.x;
    expect([foot, end]).toEqual([-55, -55]);
  });
});
