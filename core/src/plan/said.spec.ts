import { BUILDS } from '../filling/sitters';
import type { Cushion, Job } from '../job/document';
import type { CushionPlan } from './cushion/cushion-plan';
import { issue } from '../kernel/issue';
import { plannedAlone } from '../testing/covers';
import { sampleCushion } from '../testing/samples';
import { say, sayLine, SPOKEN_CODES } from './said';

const inWords = { units: 'metric', step: { mm: 1, inch: 0.125 } } as const;
/** What would tell how heavy somebody is; a density is no weight of a person. */
const TELLS = /\b(sturdy|slight|middling|heavy|heaviest|very light|child)\b|\d ?(kg|lb)\b(?!\/)/i;

describe('what is said of a problem', () => {
  it('never tells a sitter’s build or weight, whatever the problem knows', () => {
    for (const code of SPOKEN_CODES)
      for (const build of BUILDS)
        expect(sayLine(issue('warning', code, '', { build, sitter: build, massKg: 120, kg: 120 }), inWords))
          .withContext(code)
          .not.toMatch(TELLS);
    // The check would see one.
    expect('A sturdy sitter presses it to its bottom').toMatch(TELLS);
    expect('for 95 kg').toMatch(TELLS);
    expect('30 kg/m³').not.toMatch(TELLS);
  });

  it('names the layer that gives where somebody who is named sits through, once, and nobody', () => {
    const over: Partial<Cushion> = {
      core: {
        layers: [
          { grade: 'wren-18', thicknessMm: 45 },
          { grade: 'wren-32-firm', thicknessMm: 30 },
        ],
      },
      seat: {
        support: 'board',
        sitters: [
          { build: 'heavy', posture: 'upright' },
          { build: 'sturdy', posture: 'upright' },
          { build: 'light', posture: 'upright' },
        ],
      },
    };
    const found = plannedAlone(sampleCushion(over)).problems.filter(({ code }) => code === 'sitter-bottoms-out');
    expect(found.length).toBe(1);
    expect(found[0]!.data['layer']).toBe('Wren 18');
    const said = sayLine(found[0]!, inWords);
    expect(said).toContain('Wren 18 gives by');
    expect(JSON.stringify(found)).not.toMatch(TELLS);
  });

  it('names the side of a core that a sheet does not give', () => {
    // 1 900 lies along a sheet of 1 990; 1 300 is more than its 1 190.
    const one = plannedAlone(sampleCushion({ template: { shape: 'rectangle', widthMm: 1900, depthMm: 1300 } }));
    const said = sayLine(
      one.problems.find(({ code }) => code === 'core-glued-up')!,
      inWords,
    );
    expect(said.replace(/\s/g, ' ')).toContain('The core is 1 300 mm deep and a sheet of Wren 28 gives 1 190 mm');
    // A long core is 6 longer for every 600 beyond 900: 2 112.
    const long = plannedAlone(sampleCushion({ template: { shape: 'rectangle', widthMm: 2100, depthMm: 600 } }));
    const words = sayLine(
      long.problems.find(({ code }) => code === 'core-glued-up')!,
      inWords,
    ).replace(/\s/g, ' ');
    expect(words).toContain('The core is 2 112 mm wide and a sheet of Wren 28 gives 1 990 mm');
  });

  it('sends nobody round in a circle about a plate wider than its cloth: what is advised works', () => {
    let [railroaded, turned, pieced] = [0, 0, 0];
    for (const [widthMm, depthMm] of [
      [1600, 600],
      [1600, 1500],
      [2600, 600],
      [4000, 600],
      [600, 1600],
      [1200, 1600],
    ] as const)
      for (const lies of [false, true]) {
        const plannedWith = (cloth: Job['cloth'], wide?: 'pieced') =>
          plannedAlone(
            sampleCushion({ template: { shape: 'rectangle', widthMm, depthMm }, construction: { kind: 'boxed', edge: 'plain', ...(wide ? { wide } : {}) } }),
            'metric',
            { cloth },
          );
        const plateOf = (one: CushionPlan) => one.problems.find(({ code }) => code === 'plate-wider-than-cloth' || code === 'plate-cannot-be-pieced');
        const cloth = { widthMm: 1400, ...(lies ? { railroaded: true } : {}) };
        const problem = plateOf(plannedWith(cloth));
        if (!problem) continue;
        const { mend } = say(problem, inWords);
        const context = `${widthMm} × ${depthMm} ${lies ? 'railroaded' : 'as it lies'}: ${mend}`;
        if (/[Rr]ailroad the cloth/.test(mend)) {
          railroaded++;
          expect(plateOf(plannedWith({ widthMm: 1400, railroaded: true })))
            .withContext(context)
            .toBeUndefined();
        }
        if (/[Tt]urn the cloth back/.test(mend)) {
          turned++;
          expect(plateOf(plannedWith({ widthMm: 1400 })))
            .withContext(context)
            .toBeUndefined();
        }
        if (/middle and two sides/.test(mend)) {
          pieced++;
          expect(plateOf(plannedWith(cloth, 'pieced')))
            .withContext(context)
            .toBeUndefined();
        }
        expect(mend)
          .withContext(context)
          .toMatch(/wider cloth/);
      }
    expect([railroaded > 0, turned > 0, pieced > 0]).toEqual([true, true, true]);
  });
});
