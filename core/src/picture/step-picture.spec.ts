import { CONSTRUCTIONS, type Construction } from '../cover/list';
import { plan } from '../plan/plan';
import type { Planned } from '../plan/cushion/cushion-plan';
import { demoShop, sampleCushion, sampleJob } from '../testing/samples';
import { stepShown } from './step-picture';

/** A cushion of a construction as the shop makes it usually. */
function made(kind: string): Planned {
  const construction = CONSTRUCTIONS.find((one) => one.kind === kind)!.defaults() as Construction;
  const [one] = plan(sampleJob([sampleCushion({ construction })]), demoShop()).cushions;
  if (one?.state !== 'planned') throw new Error(`${kind} cannot be made`);
  return one;
}
const shown = (one: Planned, id: string): string =>
  stepShown(
    one,
    one.operations.find((step) => step.id === id)!,
  );

describe('a step', () => {
  it('is drawn on a plan where it staples, stitches a roll or tufts, moment by moment where it folds, by its pieces, or by the section where it has none', () => {
    const [drum, mattress, boxed] = [made('drum'), made('rolled-edge'), made('boxed')];
    expect(shown(drum, 'fix/staple')).toBe('staples');
    expect([shown(mattress, 'fix/roll'), shown(mattress, 'fix/tufts')]).toEqual(['roll', 'tufts']);
    expect([shown(boxed, 'sew/plaque'), shown(boxed, 'cut/notch')]).toEqual(['moments', 'pieces']);
    expect(shown(boxed, boxed.operations.find(({ phase, pieces }) => phase === 'fill' && !pieces.length)!.id)).toBe('section');
    // Without its staples there is no plan to draw them on.
    expect(
      stepShown(
        { ...drum, cover: { ...drum.cover, staples: undefined } },
        drum.operations.find(({ id }) => id === 'fix/staple')!,
      ),
    ).toBe('moments');
  });
});
