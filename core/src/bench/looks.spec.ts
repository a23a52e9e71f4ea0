import { CONSTRUCTIONS } from '../cover/list';
import type { Cushion } from '../job/document';
import type { Operation } from '../piece/operation';
import { madeAlone } from '../testing/covers';
import { shipped } from '../shop/assumptions';
import { sampleCushion } from '../testing/samples';
import { foundAtLooks, withLooks, withPassedLooks } from './looks';
import { openedAgain, restitching } from './recut';

const OUTLINES: Partial<Record<string, Partial<Cushion>>> = {
  bolster: { template: { shape: 'round', diameterMm: 200 }, heightMm: 600, core: { layers: [] } },
  'knife-edge': { given: 'core' },
};
const cushion = (construction: object, over: Partial<Cushion> = {}): Cushion =>
  sampleCushion({ construction: construction as Cushion['construction'], ...over });
const operationsOf = (one: Cushion): readonly Operation[] => madeAlone(one).operations;

describe('a look before one goes on', () => {
  it('comes right after the step it looks at is needed, before any step that would hide the fault, in every construction', () => {
    for (const { kind, defaults } of CONSTRUCTIONS) {
      const steps = operationsOf(cushion(defaults(), OUTLINES[kind] ?? {}));
      const at = (id: string): number => steps.findIndex((step) => step.id === id);
      const looks = steps.filter(({ asks }) => asks);
      expect(looks.length).withContext(kind).toBeGreaterThan(0);
      for (const look of looks) {
        expect(at(look.asks!.of)).withContext(look.id).toBeLessThan(at(look.id));
        // Whatever needs the step that is looked at comes after the look.
        for (const later of steps.filter(({ id, after }) => id !== look.id && after.includes(look.asks!.of)))
          if (!later.asks) expect(at(look.id)).withContext(`${look.id} before ${later.id}`).toBeLessThan(at(later.id));
        expect(look.text)
          .withContext(look.id)
          .toMatch(/^Look before you go on: .*\?$/);
      }
    }
  });

  it('asks for what there is: ties only where there are some, the welt where there is one', () => {
    const kinds = (one: Cushion): string[] => operationsOf(one).flatMap(({ asks }) => (asks ? [asks.kind] : []));
    const plain = cushion({ kind: 'boxed', edge: 'plain' });
    expect(kinds(plain)).toEqual(['plaque-join', 'corners', 'opposite', 'pleats']);
    const ties = cushion({ kind: 'boxed', edge: 'welt' }, { marks: [{ kind: 'tie', edge: 'back', share: 0.25 }] });
    expect(kinds(ties)).toEqual(jasmine.arrayContaining(['welt', 'ties']));
    expect(kinds(cushion({ kind: 'waterfall' }))).toContain('halves');
  });

  it('that finds a fault opens the run, what was sewn after it, and the filling, on those cushions alone', () => {
    const steps = operationsOf(cushion({ kind: 'boxed', edge: 'plain' }, { quantity: 3 }));
    const all = Object.fromEntries(steps.map(({ id }) => [id, { count: 3, on: [1, 2, 3] }]));
    const made = restitching(steps, all, 3, { step: 'sew/band-to-top', cushions: [2] }, 1.5);
    const ids = made.redo.map(({ operation }) => operation.id);
    expect(ids).toEqual(jasmine.arrayContaining(['sew/band-to-top', 'sew/band-to-bottom', 'look/pleats-band-to-bottom', 'fill/insert', 'fill/dress']));
    // The boxing's joins were sewn before, and stay.
    expect(ids).not.toContain('sew/boxing-joins');
    expect(ids).not.toContain('sew/plaque-ends');
    // Opening takes one and a half times as long as sewing, and all is done again.
    expect(made.minutes).toBeCloseTo(
      made.redo.reduce((sum, { operation }) => sum + operation.minutes * 2.5, 0),
      9,
    );
    expect(openedAgain(all, made, 3)['sew/band-to-top']).toEqual({ count: 2, on: [1, 3] });
    // At the look itself nothing is sewn after it yet: the run alone.
    const early = { 'sew/band-to-top': { count: 3, on: [1, 2, 3] } };
    expect(restitching(steps, early, 3, { step: 'sew/band-to-top', cushions: [2] }, 1.5).redo.map(({ operation }) => operation.id)).toEqual([
      'sew/band-to-top',
    ]);
  });

  it('is counted by its kind, and steps without one stay as they are', () => {
    expect(foundAtLooks([{ kind: 'welt' }, { kind: 'pleats' }, { kind: 'pleats' }])).toEqual([
      { kind: 'pleats', count: 2 },
      { kind: 'welt', count: 1 },
    ]);
    const steps = operationsOf(cushion({ kind: 'boxed', edge: 'plain' })).filter(({ asks, looks }) => !asks && !looks);
    expect(withLooks(steps, shipped)).toEqual([...steps]);
  });
});

describe('a look that was gone past', () => {
  it('counts as passed where something after it is done, so that what was finished before there were looks stays finished', () => {
    const steps = operationsOf(cushion({ kind: 'boxed', edge: 'plain' }, { quantity: 2 }));
    // As a job was ticked that knows no looks: everything on both.
    const before = Object.fromEntries(steps.filter(({ asks }) => !asks).map(({ id }) => [id, { count: 2 }]));
    const passed = withPassedLooks(steps, before, 2);
    expect(steps.filter(({ id }) => passed[id]?.count !== 2).map(({ id }) => id)).toEqual([]);
    // The first plate is on number 1 only, and nothing after it: its corners are still to be looked at.
    const early = withPassedLooks(steps, { 'sew/band-to-top': { count: 1, on: [1] } }, 2);
    expect(early['look/corners-band-to-top']).toBeUndefined();
    expect(withPassedLooks(steps, { 'sew/band-to-bottom': { count: 1, on: [2] } }, 2)['look/corners-band-to-top']).toEqual({ count: 1, on: [2] });
  });
});
