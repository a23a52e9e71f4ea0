import type { Cushion } from '../job/document';
import { issue } from '../kernel/issue';
import { madeAlone } from '../testing/covers';
import { sampleCushion } from '../testing/samples';
import { COMPLAINTS } from './log/entry';
import { lookBack, type Evidence } from './look-back';
import { promised } from './check';

const planned = (over: Partial<Cushion>) => madeAlone(sampleCushion(over));
const found = (over: Partial<Cushion>, sort: (typeof COMPLAINTS)[number], problems = [] as Parameters<typeof lookBack>[1]) =>
  lookBack(planned(over), problems, sort);
const explaining = (evidence: readonly Evidence[]) => evidence.filter(({ explains }) => explains).map(({ code }) => code);

describe('looking back at a complaint', () => {
  it('finds a crown lower than promised over several checks, each of which is within bounds', () => {
    const target = promised(planned({}))!;
    const low = (mm: number) => ({ date: '2026-03-04', edgeMm: target.edgeMm, middleMm: target.middleMm - mm });
    const evidence = found({ quantity: 3, checks: [low(6), low(4), low(5)] }, 'wrinkles');
    expect(explaining(evidence)).toEqual(['crown-off']);
    const crown = evidence.find(({ code }) => code === 'crown-off') as Extract<Evidence, { code: 'crown-off' }>;
    expect([crown.mm, crown.checks]).toEqual([-5, 3]);
    // One check that is 3 mm low says nothing sure: hands measure to 2.
    expect(explaining(found({ checks: [low(3)] }, 'wrinkles'))).toEqual([]);
    // Lower does not make it too hard.
    expect(explaining(found({ quantity: 3, checks: [low(6), low(4), low(5)] }, 'too-hard'))).toEqual([]);
  });

  it('tells a warning that explains it from one that does not', () => {
    const bottoms = issue('warning', 'sitter-bottoms-out', 'cushions.0.core.layers', { layer: 'Heron 40', strainPercent: 70 });
    const loose = issue('warning', 'cover-loose', 'cushions.0', {});
    const evidence = found({}, 'too-soft', [loose, bottoms]);
    const warned = evidence.filter(({ code }) => code === 'warned') as Extract<Evidence, { code: 'warned' }>[];
    // What explains it stands first.
    expect(warned.map(({ issue: { code }, explains }) => [code, explains])).toEqual([
      ['sitter-bottoms-out', true],
      ['cover-loose', false],
    ]);
  });

  it('finds steps that were left out where steps were ticked, and says nothing of them where nobody ticks', () => {
    const { operations } = planned({});
    const [first] = operations;
    expect(explaining(found({}, 'seam-or-zip'))).toEqual([]);
    const evidence = found({ bench: { done: { [first!.id]: { count: 1 } } } }, 'seam-or-zip');
    const open = evidence.filter(({ code }) => code === 'step-open') as Extract<Evidence, { code: 'step-open' }>[];
    expect(open.length).toBe(operations.length - 1);
    const sewn = new Set(operations.filter(({ phase }) => phase === 'sew').map(({ id }) => id));
    expect(open.every(({ step, explains }) => explains === sewn.has(step))).toBeTrue();
  });

  it('finds pieces cut again and cut before the plan changed, and never leaves out that nothing was measured', () => {
    const bench = {
      done: { 'cut/cover': { count: 1, sizes: { 'plate-top': [900, 500] as [number, number] } } },
      recuts: [{ piece: 'plate-top', cushions: [1], each: 1, date: '2026-02-20' }],
    };
    const evidence = found({ bench }, 'does-not-fit');
    expect(explaining(evidence)).toContain('recut');
    expect(explaining(evidence)).toContain('cut-then-changed');
    for (const sort of COMPLAINTS) expect(found({ bench }, sort).map(({ code }) => code)).toContain('never-measured');
  });
});
