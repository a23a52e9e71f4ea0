import { bounds, jobSchema, planSolved, polygonArea, type CushionPlan, type Job } from '@yardland/core';
import conductors from '../../../../demo/jobs/conductors-chair.json';
import { pointsOf, type Area, type Scene } from '../shared/table/scene';
import { demoShop, solvedPlan, stallsJob } from '../testing/opened-job';
import { buildScene, crownScene, firstProfile } from './build-scene';
import { sensitivityWords } from './build-words';
import { adviceWords } from '../job/solving/advice-words';

const job: Job = jobSchema.parse(conductors);
const planned = planSolved(job, demoShop).cushions;
const inWords = { units: 'metric' as const, step: { mm: 1, inch: 1 / 8 } };
const named = (name: RegExp): CushionPlan => {
  const found = planned.find((one) => name.test(one.source.name));
  if (!found) throw new Error('no such cushion');
  return found;
};
const area = (scene: Scene, key: string): Area => {
  const found = scene.items.find((item) => item.key === key);
  if (found?.kind !== 'area') throw new Error(`no ${key}`);
  return found;
};
const texts = (scene: Scene): string[] => scene.items.flatMap((item) => (item.kind === 'note' || item.kind === 'leader' ? [item.text] : []));

describe('Build drawn', () => {
  it('a wedge slopes in its section, which runs from front to back, and has both heights to type over', () => {
    const one = named(/Wedge/);
    const scene = buildScene(one, demoShop, inWords, 'x');
    expect(texts(scene)).toContain('Section, front to back');
    const heights = scene.items.flatMap((item) => (item.kind === 'dim' && item.edit ? [[item.key, item.mm]] : []));
    expect(heights).toEqual([
      ['heightMm', 100],
      ['thinMm', 45],
    ]);
    // The layer ends where the slope does: (100 + 45) ÷ 2 × 400, less the side wrap at both ends, 25 lofty and as thin as the cover's pressure makes it.
    const layer = pointsOf(area(scene, 'section-layer-0').shape);
    expect(Math.abs(polygonArea(layer))).toBeCloseTo(72.5 * (400 - 50 / Math.sqrt(1 + one.fit!.pressureAlongPa / 130)), -1);
  });

  it('a crown is as high in its section as it is predicted, on the face that has one, and domed in plan', () => {
    const one = named(/Crowned/);
    const scene = buildScene(one, demoShop, inWords, 'x');
    const box = bounds(pointsOf(area(scene, 'section-cover').shape));
    expect(box.maxY - box.minY).toBeCloseTo(95 + (one.fit?.crownMm ?? 0), 0);
    const plate = one.pieces.find((piece) => piece.id === 'plate-top');
    expect(area(scene, 'plate-cut').shape).toBe(plate?.outline as never);
  });

  it('the crown from above has level lines inside one another, its pads, and a profile that is as high as the line it is taken on', () => {
    const one = named(/Crowned/);
    const line = firstProfile(one);
    const scene = crownScene(one, line, inWords, 'x');
    const levels = scene.items.filter((item): item is Area => item.kind === 'area' && item.key.startsWith('level-'));
    const areas = levels.map((level) => Math.abs(polygonArea(pointsOf(level.shape))));
    expect(areas.length).toBe(6);
    expect([...areas].sort((a, b) => b - a)).toEqual(areas);
    expect(texts(scene)).toContain('30 mm high here');
    expect(texts(scene).filter((text) => text.startsWith('pad '))).toEqual(['pad 1, at 8 mm', 'pad 2, at 23 mm']);
    // Along the back edge the face is as low as its edge.
    const edge = crownScene(one, { from: { x: 60, y: 539.9 }, to: { x: 540, y: 539.9 } }, inWords, 'x');
    expect(texts(edge).some((text) => /^[01] mm high here$/.test(text))).toBeTrue();
  });

  it('is drawn for a crown that is still worked out, and for cushions without one', () => {
    const one = named(/Crowned/);
    if (one.state !== 'planned') throw new Error('blocked');
    const waiting = { ...one, crown: one.crown && { ...one.crown, answer: null } };
    expect(crownScene(waiting, firstProfile(waiting), inWords, 'x').items.length).toBe(1);
    for (const plain of solvedPlan(stallsJob).cushions) expect(buildScene(plain, demoShop, inWords, 'x').items.length).toBeGreaterThan(8);
  });
});

describe('words of the fit', () => {
  it('say what an allowance does in the units of the job', () => {
    const one = { what: 'core-plan' as const, of: 'pressure' as const, amount: 12.34, crownMm: -0.31 };
    expect(sensitivityWords(one, 'metric')).toEqual({ what: 'core wider and deeper', does: '+12 Pa, crown −0.3 mm' });
    expect(sensitivityWords(one, 'inch').does).toBe('+0.4 lbf/ft², crown −0.019 in');
    expect(sensitivityWords({ ...one, of: 'tension', crownMm: 0.01 }, 'metric').does).toBe('+12 N/m');
  });

  it('say a change from what to what', () => {
    const [advice] = [{ cushion: job.cushions[0]!, fit: named(/Wedge/).fit! }];
    expect(adviceWords({ kind: 'wrap', from: 0, to: 25, ...advice }, inWords)).toBe('Wrap it in 25 mm');
    expect(adviceWords({ kind: 'wrap', from: 25, to: 0, ...advice }, inWords)).toBe('Leave the wrap out');
    expect(adviceWords({ kind: 'foam', from: 'Wren 28', to: 'Heron 50', ...advice }, inWords)).toBe('Heron 50 on top instead of Wren 28');
    expect(adviceWords({ kind: 'crown-pads', from: 2, to: 1, ...advice }, inWords)).toBe('1 crown pad, not 2');
  });
});
