import { buyList } from '../../../plan/buy/buy';
import type { Cushion } from '../../../job/document';
import type { Planned } from '../../../plan/cushion/cushion-plan';
import { unequalSeams } from '../../../piece/seam';
import { IN, madeAlone, plannedAlone } from '../../../testing/covers';
import { demoShop, sampleCushion, sampleJob } from '../../../testing/samples';
import type { Channelled } from './choices';

const shop = demoShop();
const cushionOf = (choices: Partial<Channelled>, over: Partial<Cushion>): Cushion =>
  sampleCushion({
    given: 'core',
    construction: { kind: 'channelled', ...choices },
    template: { shape: 'rectangle', widthMm: 560, depthMm: 500 },
    heightMm: 120,
    core: { layers: [] },
    ...over,
  });
const made = (choices: Partial<Channelled>, over: Partial<Cushion>, units: 'metric' | 'inch' = 'metric'): Planned => madeAlone(cushionOf(choices, over), units);
const sizes = (one: Planned, role: string, unit = 1): number[][] =>
  one.pieces
    .filter((each) => each.role === role)
    .map(({ width, height, countPerCushion }) => [...[width.value, height.value].map((mm) => Math.round((mm / unit) * 1000) / 1000), countPerCushion]);

describe('a channelled feather case', () => {
  it('evens its channels to the width: panels of plan + 2 s + 10 a channel, walls of the channel’s length by loft + 2 s', () => {
    const one = made({ channelMm: 140, cover: 'none' }, {});
    // 560 ÷ 140 = 4 channels: 560 + 26 + 40 by 500 + 26; three walls of 500 by 120 + 26.
    expect([sizes(one, 'channel'), sizes(one, 'wall')]).toEqual([[[626, 526, 2]], [[500, 146, 3]]]);
    expect(one.cover.pieces.every(({ material }) => material.kind === 'cloth' && material.slot === 'ticking')).toBeTrue();
    expect([one.sizes.cut.width.value, one.sizes.cut.depth.value]).toEqual([626, 526]);
    // 22 ÷ 5.5 = 4 channels: 22 + 1 + 4 × ⅜ by 20 + 1.
    const inches = made({ cover: 'none' }, { template: { shape: 'rectangle', widthMm: 22 * IN, depthMm: 20 * IN }, heightMm: 5 * IN }, 'inch');
    expect([sizes(inches, 'channel', IN), sizes(inches, 'wall', IN)]).toEqual([[[24.5, 21, 2]], [[20, 6, 3]]]);
    expect([...unequalSeams(one.cover.seams), ...unequalSeams(inches.cover.seams)]).toEqual([]);
  });

  it('of ticking has an outer cover, boxed as high as its loft, and goes into it once it is filled', () => {
    const one = made({ channelMm: 140 }, {});
    const size = (id: string) => one.pieces.filter((piece) => piece.id === id).map(({ width, height, material }) => [width.value, height.value, material]);
    expect(size('plate')).toEqual([[586, 526, { kind: 'cloth', slot: 'main' }]]);
    expect(one.pieces.filter(({ role }) => role === 'boxing').every(({ height }) => height.value === 146)).toBeTrue();
    expect(size('channel-panel')).toEqual([[626, 526, { kind: 'cloth', slot: 'ticking' }]]);
    const order = ['cut/case', 'sew/case', 'fill/channels', 'fill/insert', 'fill/dress'].map((id) => one.operations.findIndex((step) => step.id === id));
    expect(order.every((at, i) => at > (order[i - 1] ?? -1)))
      .withContext(order.join())
      .toBeTrue();
    expect(one.cover.closings.map(({ kind }) => kind)).toEqual(['zip', 'hand']);
    expect(unequalSeams(one.cover.seams)).toEqual([]);
  });

  it('weighs the fill: its volume by the density of its mix, in equal channels', () => {
    const fill = (choices: Partial<Channelled>): number =>
      made({ channelMm: 140, ...choices }, {}).cover.notions.find(({ ware }) => ware === 'fill')?.amount.value ?? NaN;
    // 0.56 × 0.5 × 0.12 m³ = 0.0336 m³, of 35 kg/m³ feather and 18 of down.
    expect(fill({})).toBeCloseTo(1176, 3);
    expect(fill({ mix: 'down' })).toBeCloseTo(604.8, 3);
    const feather = cushionOf({ channelMm: 140 }, {});
    expect(made({ channelMm: 140 }, {}).operations.find(({ id }) => id === 'fill/channels')?.text).toContain('294 g');
    expect(
      buyList({ job: sampleJob([feather]), plans: [madeAlone(feather)], lays: [], lots: [], salvaged: [], shop }).find(({ sold }) => sold === 'weight')?.amount
        ?.value,
    ).toBeCloseTo(1176, 3);
  });

  it('cuts its walls to the channel where the case is round, and refuses what turns in', () => {
    const round = made({ channelMm: 130 }, { template: { shape: 'round', diameterMm: 390 } });
    // Three channels of a panel 390 + 30 wide: its walls are 140 in from its edge, 55 from the middle of either half: 2 √(195² − 55²).
    expect(sizes(round, 'wall').map(([, , count]) => count)).toEqual([2]);
    expect(sizes(round, 'wall')[0]?.[0]).toBeCloseTo(374.1, 1);
    expect(unequalSeams(round.cover.seams)).toEqual([]);
    const l = plannedAlone(cushionOf({}, { template: { shape: 'l', widthMm: 600, depthMm: 560, backWidthMm: 480, earDepthMm: 150, arm: 'left' } }));
    expect([l.state, l.problems[0]?.code]).toEqual(['blocked', 'construction-not-for-outline']);
  });

  it('goes round a core as an envelope: a boxed cover, and a case for each feather layer, which the fit counts', () => {
    const layers = [
      { grade: 'eider-feather', thicknessMm: 40 },
      { grade: 'wren-28', thicknessMm: 70 },
      { grade: 'eider-feather', thicknessMm: 40 },
    ];
    const over: Partial<Cushion> = { given: 'finished', heightMm: 150, core: { layers } };
    const one = made({ as: 'envelope', channelMm: 140 }, over);
    expect(one.pieces.some(({ role }) => role === 'boxing')).toBeTrue();
    expect(sizes(one, 'channel').map(([, , count]) => count)).toEqual([4]);
    // Loft and two seams of the school's.
    expect(sizes(one, 'wall')[0]?.[1]).toBe(40 + 2 * one.sizes.seam.value);
    // Made here, not bought made to size; the foam between stays.
    expect(one.pieces.filter(({ role }) => role === 'filling')).toEqual([]);
    expect(one.pieces.filter(({ role }) => role === 'foam').length).toBe(1);
    expect(one.fitRequest?.core.layers.map(({ kind }) => kind)).toEqual(['feather', 'foam', 'feather']);
    const order = ['fill/case-channels', 'fill/envelope', 'fill/insert'].map((id) => one.operations.findIndex((step) => step.id === id));
    expect(order[0]! >= 0 && order[0]! < order[1]! && order[1]! < order[2]!).toBeTrue();
    expect(unequalSeams(one.cover.seams)).toEqual([]);
    expect(made({ as: 'envelope' }, { ...over, core: { layers: layers.slice(1, 2) } }).problems.map(({ code }) => code)).toContain('envelope-without-feather');
  });

  it('says when somebody heavy is to sit on feather alone, and when layers of foam would not be used', () => {
    const heavy: Partial<Cushion> = { seat: { sitters: [{ build: 'heavy', posture: 'upright' }] } };
    expect(made({}, heavy).problems.map(({ code }) => code)).toContain('feather-under-heavy');
    expect(made({}, { core: { layers: [{ grade: 'wren-28', thicknessMm: 120 }] } }).problems.map(({ code }) => code)).toContain('layers-not-in-case');
  });
});
