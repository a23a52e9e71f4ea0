import type { Cushion, Job } from '../job/document';
import { readJob } from '../job/document';
import { demoShop } from '../testing/samples';
import { MISTAKES, practiceJob, practiceState } from './practice';

const shop = demoShop();
const job = practiceJob(shop);
const left = (one: Job): string[] => practiceState(one, shop)!.left.map(({ id }) => id);
const changed = (one: Job, cushion: number, change: (before: Cushion) => Cushion): Job => ({
  ...one,
  cushions: one.cushions.map((each, i) => (i === cushion ? change(each) : each)),
});
const choices = (over: object) => (before: Cushion) => ({ ...before, construction: { ...before.construction, ...over } }) as Cushion;
const grade = (id: string) => (before: Cushion) => ({ ...before, core: { layers: before.core.layers.map((layer) => ({ ...layer, grade: id })) } });

/** What a practitioner would do about each. */
const MENDED: Readonly<Record<string, (one: Job) => Job>> = {
  'foam-to-cover': (one) => changed(one, 0, ({ schoolNumber: _number, ...rest }) => rest),
  'zip-too-short': (one) => changed(one, 0, choices({ zipReach: 'corners', zipShortMm: undefined })),
  'indoor-foam': (one) => changed(one, 1, grade('tern-32-firm')),
  'sewn-shut': (one) => changed(one, 1, choices({ closing: 'zip' })),
  'straight-welt': (one) => changed(one, 2, choices({ weltCut: 'bias' })),
  'sat-through': (one) => changed(one, 2, (before) => ({ ...before, heightMm: 100, core: { layers: [{ grade: 'heron-50', thicknessMm: 100 }] } })),
  'soft-under-firm': (one) => changed(one, 3, (before) => ({ ...before, core: { layers: [...before.core.layers].reverse() } })),
  'nap-sideways': (one) =>
    changed(one, 3, ({ cloth, ...rest }) => ({ ...rest, ...(cloth ? { cloth: { widthMm: cloth.widthMm, material: cloth.material! } } : {}) })),
};

describe('the practice job', () => {
  it('has eight mistakes in the demo’s shop, and is a job like any other', () => {
    expect(job.practice).toEqual(MISTAKES.map(({ id }) => id));
    expect(left(job).length).toBe(8);
    const read = readJob(JSON.parse(JSON.stringify(job)));
    expect(read.ok && read.value.cushions.length).toBe(4);
  });

  it('takes each as found once it is mended as a practitioner would, and only that one', () => {
    for (const { id } of MISTAKES) {
      const after = MENDED[id]!(job);
      expect(left(after))
        .withContext(id)
        .toEqual(left(job).filter((one) => one !== id));
      expect(practiceState(after, shop)!.found.map((one) => one.id)).toEqual([id]);
    }
  });

  it('is done when all are mended, and a mistake that is made again is there again', () => {
    const all = MISTAKES.reduce((one, { id }) => MENDED[id]!(one), job);
    expect([left(all), practiceState(all, shop)!.found.length]).toEqual([[], 8]);
    expect(left(changed(all, 1, choices({ closing: 'hand' })))).toEqual(['sewn-shut']);
  });

  it('asks only for what the shop can do wrong, and says nothing of a cushion that was taken out', () => {
    const plain = practiceJob({ ...shop, document: { ...shop.document, cloths: shop.document.cloths.filter(({ oneWay }) => !oneWay) } });
    expect(plain.practice).not.toContain('nap-sideways');
    const fewer = practiceState({ ...job, cushions: job.cushions.slice(0, 2) }, shop)!;
    expect(fewer.found).toEqual([]);
    expect(fewer.left.length).toBe(4);
    const { practice: _practice, ...ordinary } = job;
    expect(practiceState(ordinary, shop)).toBeNull();
  });
});
