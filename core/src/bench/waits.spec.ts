import { operation, type Operation } from '../piece/operation';
import { madeAlone } from '../testing/covers';
import { sampleCushion } from '../testing/samples';
import { refreshSteps, timed } from './waits';

const step = (id: string, minutes: number, waitMinutes = 0, after: readonly string[] = []): Operation =>
  operation({ id, phase: 'prepare', text: id, minutes, waitMinutes, needs: 'bench', after });

describe('steps that wait, done by one pair of hands', () => {
  it('goes on with what can be done while glue sets, and waits only where nothing can', () => {
    // Glue at 0–10, rests to 40; cut 10–15; the pad needs the glue: 40–48, not 15.
    const { steps, handMinutes, readyAt } = timed([step('glue', 10, 30), step('pad', 8, 0, ['glue']), step('cut', 5)]);
    expect(steps.map(({ step: { id }, from, to, ready }) => [id, from, to, ready])).toEqual([
      ['glue', 0, 10, 40],
      ['cut', 10, 15, 15],
      ['pad', 40, 48, 48],
    ]);
    expect([handMinutes, readyAt]).toEqual([23, 48]);
    // Two alike: hands twice, the wait once.
    expect(timed([step('glue', 10, 30), step('pad', 8, 0, ['glue'])], 2).steps.at(-1)).toEqual(jasmine.objectContaining({ from: 50, to: 66 }));
  });

  it('brings an old core and its cover back: washing first, then wrap off and frame, powder, glue, and the wrap last', () => {
    const one = madeAlone(
      sampleCushion({
        given: 'core',
        template: { shape: 'rectangle', widthMm: 500, depthMm: 450 },
        heightMm: 80,
        core: { kept: true, layers: [{ grade: 'wren-28', thicknessMm: 80 }] },
        seat: { old: { findings: ['joints-open', 'smell'], edgeMm: 80, middleMm: 70 }, oldCover: { findings: [] } },
      }),
    );
    const steps = refreshSteps(one.operations);
    expect(steps.map(({ id }) => id)).toEqual([
      'prepare/cover-wash',
      'prepare/old-wrap',
      'prepare/old-frame',
      'cut/wadding',
      'prepare/old-air',
      'prepare/old-glue',
      'prepare/old-pad',
      'prepare/old-steam',
      'prepare/wrap',
    ]);
    const { steps: course, readyAt } = timed(steps);
    const at = (id: string) => course.find((each) => each.step.id === id)!;
    // The cover dries for a day from the first minutes on, and nothing of the core waits for it.
    expect(at('prepare/cover-wash').from).toBe(0);
    expect(readyAt).toBe(at('prepare/cover-wash').to + 1440);
    expect(at('prepare/old-glue').from).toBeGreaterThanOrEqual(at('prepare/old-air').to + 30);
    expect(at('prepare/old-pad').from).toBeGreaterThanOrEqual(at('prepare/old-glue').to + 30);
    expect(at('prepare/wrap').to).toBeLessThan(300);
  });
});
