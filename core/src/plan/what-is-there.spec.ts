import { CONSTRUCTIONS } from '../cover/list';
import { readJob, type Cushion } from '../job/document';
import { whyLine } from '../kernel/why';
import { promised } from '../record/check';
import { madeAlone } from '../testing/covers';
import { demoShop, sampleCushion, sampleJob } from '../testing/samples';
import type { Planned } from './cushion/cushion-plan';
import { planSolved } from './solve';

describe('the fit counts what is there and nothing else', () => {
  const one = (over: Partial<Cushion>): Planned => madeAlone(sampleCushion(over));

  it('a crown’s pads only where they are cut: on a pull-over there are none, and one face of wrap', () => {
    const crown: Cushion['crown'] = { mm: 30, way: 'flat', faces: 1, pads: { count: 3, loftMm: 25 } };
    const over: Partial<Cushion> = {
      construction: { kind: 'pull-over', crownStrip: 'none' },
      core: { layers: [{ grade: 'wren-28', thicknessMm: 75 }] },
      wrapLoftMm: 25,
    };
    const [plain, asked] = [one(over), one({ ...over, crown })];
    expect(asked.fitRequest!.padLoftMm).toBe(0);
    expect(asked.fit!.crownMm).toBe(plain.fit!.crownMm);
    expect(asked.pieces.some(({ role }) => role === 'crown-pad')).toBeFalse();
    // Underneath is board: one face is cut, and one counts.
    expect([plain.pieces.find(({ role }) => role === 'wrap-face')!.countPerCushion, plain.fitRequest!.wrapLoftMm]).toEqual([1, 25]);
  });

  it('the roll that is laid, not the loft that was asked for', () => {
    // The shop has 13, 25 and, for outdoors, an open one of 20.
    expect(one({ wrapLoftMm: 16 }).fitRequest!.wrapLoftMm).toBe(2 * 13);
    expect(one({ wrapLoftMm: 25, seat: { place: 'outdoor' } }).fitRequest!.wrapLoftMm).toBe(2 * 20);
    expect(one({ wrapLoftMm: 24 }).fitRequest!.wrapLoftMm).toBe(2 * 24);
  });

  it('an easier roll is sewn higher, and promised so', () => {
    const mattress = (height: 'usual' | 'easier') =>
      one({ template: { shape: 'rectangle', widthMm: 1200, depthMm: 700 }, heightMm: 100, construction: { kind: 'rolled-edge', height } });
    const [usual, easier] = [mattress('usual'), mattress('easier')];
    expect([easier.sizes.sewn.height.value, easier.profile.heightMm, promised(easier)!.edgeMm]).toEqual([113, 113, 113]);
    expect(easier.pieces.find(({ role }) => role === 'boxing')!.height.value - usual.pieces.find(({ role }) => role === 'boxing')!.height.value).toBe(13);
    expect(easier.fitRequest!.heightMm).toBe(113);
  });
});

describe('what a figure comes to', () => {
  const thread = (machine: 'home' | 'walking-foot'): number =>
    madeAlone(sampleCushion({ machine, construction: { kind: 'boxed', edge: 'plain', closing: 'hand' } })).cover.notions.find(({ ware }) => ware === 'thread')!
      .amount.value;

  it('thread goes round twice where the seam does', () => {
    // By hand the opening of 440 is sewn once, with the thread doubled; all else is machine seams.
    const { seams } = madeAlone(sampleCushion({ construction: { kind: 'boxed', edge: 'plain', closing: 'hand' } })).cover;
    const hand = seams.filter(({ method }) => method === 'hand').reduce((mm, { edges }) => mm + edges[0].lengthMm, 0);
    const ratio = 2.5 + (0.7 * 0.5) / 1.5;
    expect(thread('home') - 2 * thread('walking-foot')).toBeCloseTo(-2 * hand * ratio, 3);
  });

  it('a why says nothing twice', () => {
    for (const { amount } of planSolved(sampleJob(), demoShop()).buy) {
      if (!amount) continue;
      const steps = whyLine(amount, 'metric').split(/; | = /);
      expect(new Set(steps).size).withContext(whyLine(amount, 'metric')).toBe(steps.length);
    }
  });

  it('what cannot be cut from a cloth is named beside what to buy of it', () => {
    const wide = planSolved(sampleJob([sampleCushion({ template: { shape: 'rectangle', widthMm: 1600, depthMm: 490 } })]), demoShop());
    const line = wide.buy.find(({ ware }) => ware === 'cloth')!;
    expect([line.without, line.unplaced]).toEqual([['plate'], 2]);
    // In parts nothing is missing, and both drops of each plate lie whole on the roll.
    const construction = { kind: 'boxed', edge: 'welt', wide: 'pieced' } as const;
    const made = planSolved(sampleJob([sampleCushion({ template: { shape: 'rectangle', widthMm: 1600, depthMm: 490 }, construction })]), demoShop());
    const lay = made.lays.find(({ subject }) => subject.kind === 'cloth')!;
    expect(lay.request.items.find(({ id }) => id === '0/plate-drop')!.count).toBe(4);
    expect(lay.request.items.some(({ id }) => /plate-(left|right|middle)/.test(id))).toBeFalse();
    expect(made.buy.find(({ ware }) => ware === 'cloth')!.without).toEqual([]);
  });

  it('a length that no bench could make is refused with its range in words', () => {
    const refused = (construction: object, over: object = {}) => {
      const read = readJob(sampleJob([{ ...sampleCushion(over as Partial<Cushion>), construction: construction as Cushion['construction'] }]));
      return read.ok ? '' : JSON.stringify(read.problems);
    };
    expect(refused({ kind: 'boxed', edge: 'plain', seamMm: 0.001 })).toContain('from 3 to 50 mm (1/8 to 2 in)');
    expect(refused({ kind: 'boxed', edge: 'welt', cordMm: 0.2 })).toContain('from 1 to 25 mm');
    expect(refused({ kind: 'boxed', edge: 'plain' }, { schoolNumber: { number: 'seam', mm: 0.001 } })).toContain('seam allowance: a length from 3 to 50 mm');
    for (const { kind, fields, schema, defaults } of CONSTRUCTIONS)
      for (const field of fields) {
        if (field.kind !== 'length') continue;
        // The tray and the document have one range.
        for (const [mm, ok] of [
          [field.minMm, true],
          [field.maxMm, true],
          [field.minMm - 0.5, false],
          [field.maxMm + 0.5, false],
        ] as const)
          expect(schema.safeParse({ ...defaults(), kind, [field.key]: mm }).success)
            .withContext(`${kind}.${field.key} ${mm}`)
            .toBe(ok);
      }
  });
});

describe('a long core that is turned', () => {
  it('says so in the cutting list and the step, and a strip has no wrap to take off', () => {
    // Only with one core turned is there a strip long enough.
    const seat: Cushion['seat'] = {
      places: 2,
      oldCores: [
        { name: 'A', lengthMm: 620, depthMm: 900, heightMm: 75 },
        { name: 'B', lengthMm: 620, depthMm: 500, heightMm: 75 },
      ],
    };
    const whole = planSolved(
      sampleJob([
        sampleCushion({
          given: 'core',
          template: { shape: 'rectangle', widthMm: 1400, depthMm: 480 },
          core: { kept: true, layers: [{ grade: 'wren-28', thicknessMm: 75 }] },
          seat,
        }),
      ]),
      demoShop(),
    ).cushions[0] as Planned;
    const pieces = whole.pieces.filter(({ material }) => material.kind === 'old-core');
    const steps = whole.operations.filter(({ id }) => id.startsWith('cut/old-core'));
    const turned = pieces.filter(({ label }) => label.includes(', turned'));
    expect(turned.length).toBeGreaterThan(0);
    for (const piece of turned) {
      expect(piece.remark).toContain('turned a quarter');
      expect(steps.find((step) => step.pieces.includes(piece.id))!.text).toMatch(/, turned .*Turned a quarter/);
    }
    for (const step of steps)
      expect(/old wrap/.test(step.text))
        .withContext(step.text)
        .toBe(!step.text.includes('strip ripped off'));
  });
});
