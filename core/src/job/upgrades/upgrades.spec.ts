import { isBiasItem } from '../../piece/item-ref';
import { plan } from '../../plan/plan';
import { demoShop, sampleCushion, sampleJob } from '../../testing/samples';
import { planned } from '../../testing/planned';
import { readJob } from '../document';
import type { Planned } from '../../plan/cushion/cushion-plan';
import boxes from './fixtures/1-prompt-side-boxes.json';
import kneelers from './fixtures/1-puppeteers-kneelers.json';
import stalls from './fixtures/1-stalls-benches.json';
import chest from './fixtures/1-storage-chest.json';
import benches from './fixtures/2-stalls-benches.json';
import gallery from './fixtures/3-gallery-and-boxes.json';
import { JOB_FORMAT } from '../terms';
import { upgraded, UPGRADES } from './upgrades';

const opened = (value: unknown) => {
  const read = readJob(value);
  if (!read.ok) throw new Error(JSON.stringify(read.problems));
  return read.value;
};

describe('documents of earlier formats', () => {
  it('open in today’s, all that were kept', () => {
    for (const kept of [boxes, kneelers, stalls, chest]) {
      expect(kept.format).toBe('yardland/job@1');
      const job = opened(kept);
      expect(job.format).toBe(JOB_FORMAT);
      expect(job.cushions.map(({ name }) => name)).toEqual(kept.cushions.map(({ name }) => name));
    }
  });

  it('keep each tick on the work it was made for', () => {
    const bridge = opened(kneelers).cushions[0]!;
    const ids = new Set(planned(bridge).operations.map(({ id }) => id));
    const done = bridge.bench!.done;
    expect(Object.fromEntries(Object.entries(done).map(([id, { count }]) => [id, count]))).toEqual({
      'cut/cover': 8,
      'cut/notch': 8,
      'cut/foam-1': 8,
      'cut/wadding': 8,
      'prepare/wrap': 5,
      'sew/plaque': 3,
    });
    for (const id of Object.keys(done)) expect(ids.has(id)).withContext(id).toBeTrue();
    // A long bench may have been cut in parts, each a step: its third place says nothing, and keeps its old name rather than move.
    expect(Object.keys(opened(stalls).cushions[0]!.bench!.done)).toEqual(['cut/cover', 'cut/notch', 'cut-3']);
  });

  it('keep the numbers of the school that they were made by, and say which edition that was', () => {
    const job = opened(benches);
    expect(job.cushions.map(({ schoolEdition }) => schoolEdition)).toEqual([1, 1, undefined]);
    const [over, deck] = job.cushions.map((cushion) => planned(cushion)) as [Planned, Planned];
    // The first edition took 13 of seam, 6 a side and 13 of boxing more; the corrected one 19 of seam and nothing more.
    expect([over.sizes.seam.value, over.sizes.cut.width.value - over.sizes.core.width.value]).toEqual([13, 25 + 12 + 26]);
    expect(deck.wrapWay).toBe('faces');
    expect(over.problems.map(({ code }) => code)).toContain('school-edition-older');
    const { schoolEdition: _first, ...taken } = job.cushions[0]!;
    const now = planned(taken) as Planned;
    expect([now.sizes.seam.value, now.sizes.cut.width.value - now.sizes.core.width.value]).toEqual([19, 25 + 38]);
    expect(now.problems.map(({ code }) => code)).not.toContain('school-edition-older');
  });

  it('keep the blocks that their bias strips were cut from, in every cloth; where nothing is said now they go across the width as one', () => {
    expect(gallery.format).toBe('yardland/job@3');
    const job = opened({
      ...gallery,
      cushions: gallery.cushions.map((one, i) => (i === 0 ? { ...one, slots: { welt: { widthMm: 1400 } }, cloth: { widthMm: 1370, bias: 'tube' } } : one)),
    });
    expect([job.cloth.bias, job.cushions[0]!.slots?.welt?.bias, job.cushions[0]!.cloth?.bias]).toEqual(['block', 'block', 'tube']);
    const last = opened({
      ...gallery,
      cushions: gallery.cushions.map((one) => ({ ...one, construction: { kind: 'boxed', edge: 'plain', plaqueSewn: 'last' } })),
    });
    expect(last.cushions[0]!.construction).toEqual({ kind: 'boxed', edge: 'plain', order: 'plaque-last' });
    const blocks = (use: typeof job.cloth): number =>
      plan({ ...job, cloth: use }, demoShop())
        .lays.find(({ key }) => key === 'cloth')!
        .request.items.filter(({ id }) => isBiasItem(id)).length;
    const { bias: _blocks, ...across } = job.cloth;
    expect(blocks(across)).toBe(1);
    expect(blocks(job.cloth)).toBeGreaterThan(1);
  });

  it('are left alone when they are of today’s format, and refused when they are of none', () => {
    const now = sampleJob([sampleCushion()]);
    expect(upgraded(now)).toBe(now);
    expect(readJob({ ...now, format: 'yardland/job@99' }).ok).toBeFalse();
    for (const odd of [null, 7, 'x', [], { format: 'yardland/job@1', cushions: 3 }, { format: 'yardland/job@1', cushions: [null, { bench: 5 }] }])
      expect(readJob(odd).ok).toBeFalse();
    expect(UPGRADES.at(-1)!.to).toBe(JOB_FORMAT);
  });
});
