import { compareOrders } from '../../compare/compare-orders';
import { answersIn } from '../../plan/answers';
import { contextOf } from '../../plan/cushion/steps/context';
import { demoShop, sampleCushion, sampleJob } from '../../testing/samples';
import { usualChoices } from '../usual';
import { CONSTRUCTIONS } from '../list';
import type { Cushion } from '../../job/document';
import { unequalSeams } from '../../piece/seam';
import { madeAlone } from '../../testing/covers';
import { orderOf, ordersFor } from './order';

const cover = (choices: object) =>
  madeAlone(
    sampleCushion({
      given: 'finished',
      template: { shape: 'rectangle', widthMm: 600, depthMm: 500 },
      construction: { kind: 'boxed', edge: 'plain', seamMm: 13, ...choices } as Cushion['construction'],
    }),
  );
const sewn = (choices: object): string[] => cover(choices).operations.flatMap(({ id, phase }) => (phase === 'sew' && id.startsWith('sew/') ? [id] : []));
const step = (choices: object, id: string) => cover(choices).operations.find((one) => one.id === id)!;

describe('the order of work of a boxed cover', () => {
  it('is what was chosen where it suits: in place only a strip with a plaque, one by one only panels without a ridge', () => {
    expect(ordersFor({ edge: 'plain' })).toEqual(['plaque-with-boxing', 'plaque-last', 'joined-in-place']);
    expect(ordersFor({ edge: 'plain', boxing: 'panels' })).toEqual(['plaque-with-boxing', 'plaque-last', 'panel-by-panel']);
    expect(ordersFor({ edge: 'ridge', boxing: 'panels', closing: 'hand' })).toEqual(['plaque-with-boxing']);
    expect(orderOf({ edge: 'plain', boxing: 'panels', order: 'joined-in-place' })).toBe('plaque-with-boxing');
  });

  it('joined in place: the boxing on the plate but for its ends, then folded, trimmed, joined and sewn shut, then the second plate', () => {
    const choices = { order: 'joined-in-place' };
    expect(sewn(choices)).toEqual(
      ['sew/plaque', 'sew/boxing-joins', 'sew/band-to-top', 'sew/join-in-place', 'sew/open-zip', 'sew/band-to-bottom'].filter((id) =>
        sewn(choices).includes(id),
      ),
    );
    expect(sewn(choices)).not.toContain('sew/plaque-ends');
    // Stopped 50 short of each end; what is cut long is told again where it is trimmed.
    expect(step(choices, 'sew/band-to-top').figures.at(-1)?.value).toBe(50);
    expect(step(choices, 'sew/join-in-place').figures.at(-1)?.value).toBe(50);
    expect(step(choices, 'sew/band-to-top').pieces).not.toContain('plaque');
    const one = cover(choices);
    expect(unequalSeams(one.cover.seams)).toEqual([]);
    // The first plate's seam is sewn in two runs, which together go round: the boxing's and the plaque's.
    const length = (id: string): number => one.cover.seams.find((seam) => seam.id === id)!.edges[0].lengthMm;
    expect(length('band-to-top') + length('plaque-to-top')).toBeCloseTo(length('band-to-bottom'), 0);
  });

  it('sews welt and boxing on in one go where that is chosen: one row less, and says what it saves', () => {
    const first = cover({ edge: 'welt' });
    const together = cover({ edge: 'welt', weltSewn: 'with-boxing' });
    const minutes = ({ operations }: typeof first): number => operations.filter(({ needs }) => needs === 'machine').reduce((sum, one) => sum + one.minutes, 0);
    const top = together.operations.find(({ id }) => id === 'sew/band-to-top')!;
    const saved = minutes(first) - minutes(together);
    expect(saved).toBeGreaterThan(5);
    expect(top.figures.find(({ name }) => name === 'saved')?.value).toBe(Math.round(saved));
    expect([top.seams, together.operations.some(({ id }) => id === 'sew/welt-on')]).toEqual([['band-to-top', 'welt-top'], false]);
    expect(together.operations.filter(({ asks }) => asks?.kind === 'welt').map(({ asks }) => asks?.of)).toEqual(['sew/band-to-top', 'sew/band-to-bottom']);
    // As much cloth and cord as before, and less thread.
    const amount = (one: typeof first, ware: string): number => one.cover.notions.find((each) => each.ware === ware)?.amount.value ?? NaN;
    expect(amount(together, 'cord')).toBe(amount(first, 'cord'));
    expect(amount(first, 'thread') - amount(together, 'thread')).toBeGreaterThan(2 * 2 * 2150);
    // Not where the ring is not whole, and not along an opening that is closed by hand.
    for (const other of [{ order: 'plaque-last' }, { closing: 'hand' }])
      expect(cover({ edge: 'welt', weltSewn: 'with-boxing', ...other }).operations.some(({ id }) => id === 'sew/welt-on')).toBeTrue();
  });

  it('panel by panel: both plates first, every corner seam last, and the core goes in after it', () => {
    const choices = { boxing: 'panels', order: 'panel-by-panel' };
    expect(sewn(choices)).toEqual(['sew/plaque', 'sew/band-to-top', 'sew/open-zip', 'sew/band-to-bottom', 'sew/corners-last']);
    const { operations } = cover(choices);
    const at = (id: string): number => operations.findIndex((one) => one.id === id);
    expect(at('sew/corners-last')).toBeLessThan(at('fill/insert'));
    expect(step(choices, 'sew/corners-last').seams.length).toBe(4);
  });

  it('sews every seam of the cover once, whatever the order', () => {
    for (const boxing of ['strip', 'panels'] as const)
      for (const closing of ['zip', 'hand'] as const)
        for (const order of ordersFor({ edge: 'welt', boxing, closing })) {
          const one = cover({ edge: 'welt', boxing, closing, order });
          const done = one.operations.flatMap(({ seams }) => seams).sort();
          expect(done)
            .withContext(`${boxing} ${closing} ${order}`)
            .toEqual([...one.cover.seams].map(({ id }) => id).sort());
        }
  });

  it('of a shop’s usual way is read as it was kept before', () => {
    const boxed = CONSTRUCTIONS.find(({ kind }) => kind === 'boxed')!;
    expect(usualChoices(boxed, { usual: { boxed: { edge: 'plain', plaqueSewn: 'last' } } })).toEqual({ kind: 'boxed', edge: 'plain', order: 'plaque-last' });
  });
});

describe('orders of work compared', () => {
  const context = contextOf(sampleJob([]), demoShop(), answersIn({}));
  const cushion = (choices: object): Cushion => sampleCushion({ construction: { kind: 'boxed', edge: 'plain', ...choices } as Cushion['construction'] });

  it('are those that suit, the one in hand among them, with the same pieces and each its own minutes and looks', () => {
    const offers = compareOrders(cushion({ order: 'plaque-last' }), context);
    expect(offers.map(({ order, inHand }) => [order, inHand])).toEqual([
      ['plaque-with-boxing', false],
      ['plaque-last', true],
      ['joined-in-place', false],
    ]);
    for (const { order, minutes, machineMinutes, threadMm, looks, corrects, construction } of offers) {
      const made = madeAlone(cushion(construction));
      expect(minutes)
        .withContext(order)
        .toBeCloseTo(
          made.operations.reduce((sum, one) => sum + one.minutes, 0),
          9,
        );
      expect(machineMinutes).withContext(order).toBeLessThan(minutes);
      expect(threadMm).withContext(order).toBeGreaterThan(5000);
      expect([looks > 2, corrects.length > 20])
        .withContext(order)
        .toEqual([true, true]);
    }
    // What is sewn is the same in all of them: thread differs by nothing.
    expect(new Set(offers.map(({ threadMm }) => Math.round(threadMm))).size).toBe(1);
  });

  it('are none where there is no choice', () => {
    expect(compareOrders(cushion({ closing: 'hand' }), context)).toEqual([]);
    expect(compareOrders(sampleCushion({ construction: { kind: 'waterfall' } as Cushion['construction'] }), context)).toEqual([]);
  });
});
