import fc from 'fast-check';
import chest from '../../../demo/jobs/storage-chest.json';
import { judge, setOf } from '../filling/old-core';
import { compare } from '../record/check';
import { demoShop, sampleCushion, sampleJob } from '../testing/samples';
import { readJob, readJobText } from './document';
import { plan } from '../plan/plan';
import type { ShopDocument } from '../shop/shop';
import { readQuickLine, sayQuickProblem } from './quick-line';
import { sayBy, SENTENCES } from '../say/say';

const shop = demoShop();
const inWords = { units: 'metric' as const, step: shop.document.step };
const planned = (over = {}) => plan(sampleJob([sampleCushion(over)]), shop).cushions[0]!;

describe('a job document', () => {
  it('is read as it was written', () => {
    const read = readJob(chest);
    expect(read.ok && read.value).toEqual(chest as never);
    expect(readJobText(JSON.stringify(sampleJob())).ok).toBeTrue();
  });

  it('is refused with the path of everything wrong', () => {
    const paths = (value: unknown): string[] => {
      const read = readJob(value);
      return read.ok ? [] : read.problems.map((problem) => `${problem.code} ${problem.path}`);
    };
    const good = sampleJob();
    expect(paths({ ...good, format: 'yardland/job@9' })).toEqual(['document-invalid-value format']);
    expect(paths({ ...good, cushions: [sampleCushion({ heightMm: -5 })] })).toEqual(['document-too-small cushions.0.heightMm']);
    expect(paths({ ...good, cushions: [{ ...sampleCushion(), wrapLoft: 25 }] })).toEqual(['document-unrecognized-keys cushions.0.wrapLoft']);
    expect(paths({ ...good, cushions: [] })).toEqual(['document-too-small cushions']);
    expect(paths({ ...good, cloth: { widthMm: NaN } })).toEqual(['document-invalid-type cloth.widthMm']);
    expect(paths(null).length).toBe(1);
  });

  it('never makes the reader throw, whatever stands in the file', () => {
    expect(readJobText('{"a":').ok).toBeFalse();
    expect(readJobText('x'.repeat(2_000_001)).ok).toBeFalse();
    expect(readJobText('['.repeat(100_000) + ']'.repeat(100_000)).ok).toBeFalse();
    fc.assert(
      fc.property(fc.json(), (text) => expect(readJobText(text).ok).toBeFalse()),
      { seed: 71, numRuns: 200 },
    );
  });
});

describe('plan on any document that the schema lets through', () => {
  it('never throws, and every problem it has speaks in whole sentences', () => {
    const number = fc.oneof(fc.integer({ min: 1, max: 3000 }), fc.double({ min: 1e-6, max: 20000, noNaN: true }));
    fc.assert(
      fc.property(
        number,
        number,
        fc.double({ min: 0, max: 10000, noNaN: true }),
        fc.double({ min: 1e-6, max: 1000, noNaN: true }),
        number,
        fc.constantFrom('padded-to-the-line', 'bare-and-oversize', 'x'),
        (w, d, r, h, cloth, school) => {
          const job = sampleJob([sampleCushion({ template: { shape: 'rectangle', widthMm: w, depthMm: d, cornerRadiusMm: r }, heightMm: h, school })], {
            cloth: { widthMm: Math.min(cloth, 10000) },
          });
          for (const problem of plan(job, shop).problems) {
            const { what, mend } = sayBy(SENTENCES, problem, inWords);
            expect(what)
              .withContext(problem.code)
              .toMatch(/^.+ .+\.$/);
            expect(mend)
              .withContext(problem.code)
              .toMatch(/^.+\.$/);
            expect(what + mend).not.toMatch(/NaN|undefined|Infinity/);
          }
        },
      ),
      { seed: 72, numRuns: 150 },
    );
  });
});

describe('the quick line with shapes', () => {
  it('takes a shape by its word, a round one with one measure less', () => {
    const round = readQuickLine('2 x round 460 x 90', 'metric');
    expect(round.ok && [round.quantity, round.template, round.heightMm]).toEqual([2, { shape: 'round', diameterMm: 460 }, 90]);
    const oval = readQuickLine('600 x 400 x 75 oval welt', 'metric');
    expect(oval.ok && [oval.template.shape, oval.construction]).toEqual(['oval', { kind: 'boxed', edge: 'welt' }]);
    const half = readQuickLine('4 x half-round 420 x 50', 'metric');
    expect(half.ok && [half.quantity, half.template]).toEqual([4, { shape: 'half-round', widthMm: 420 }]);
    const drum = readQuickLine('2 x round 380 x 60 drum', 'metric');
    expect(drum.ok && [drum.quantity, drum.given, drum.template, drum.heightMm, drum.construction]).toEqual([
      2,
      'seat',
      { shape: 'round', diameterMm: 380 },
      60,
      { kind: 'drum' },
    ]);
    const scatter = readQuickLine('4 x 450 x 450 x 120 knife edge envelope', 'metric');
    expect(scatter.ok && [scatter.given, scatter.construction]).toEqual(['core', { kind: 'knife-edge', closing: 'envelope' }]);
    const roll = readQuickLine('round 180 x 600 bolster welted', 'metric');
    expect(roll.ok && [roll.given, roll.construction]).toEqual(['finished', { kind: 'bolster', edge: 'welt' }]);
    // As it is said at the bench: a T-cushion is a T.
    for (const line of ['T-cushion 24 x 22 x 4', 't 24 x 22 x 4', '24 x 22 x 4 t-cushion boxed']) {
      const tee = readQuickLine(line, 'inch');
      expect(tee.ok && [tee.template.shape, tee.heightMm])
        .withContext(line)
        .toEqual(['t', 4 * 25.4]);
    }
    // What is no measure because it is a word is said to be a word that is not known.
    expect(readQuickLine('pouffe 24 x 22 x 4', 'inch')).toEqual({ ok: false, code: 'words-unknown', about: 'pouffe' });
    // A word of another construction is not understood.
    expect(readQuickLine('500 x 450 x 75 boxed envelope', 'metric')).toEqual(jasmine.objectContaining({ ok: false, code: 'words-unknown' }));
    expect(readQuickLine('round 460', 'metric')).toEqual(jasmine.objectContaining({ ok: false, code: 'no-measures' }));
  });
});

describe('the quick line', () => {
  it('takes a whole cushion as scribbled on card', () => {
    const reading = readQuickLine('6 x 19 3/4 x 17 x 3 boxed welt', 'inch');
    expect(reading).toEqual({
      ok: true,
      quantity: 6,
      given: 'seat',
      template: { shape: 'rectangle', widthMm: 19.75 * 25.4, depthMm: 17 * 25.4 },
      heightMm: 3 * 25.4,
      construction: { kind: 'boxed', edge: 'welt' },
    });
    expect(readQuickLine('500 × 450 × 75', 'metric')).toEqual(jasmine.objectContaining({ ok: true, quantity: 1, heightMm: 75 }));
    expect(readQuickLine('2 x 19 3/4" x 432 mm x 7,5 cm plain', 'metric')).toEqual(jasmine.objectContaining({ quantity: 2, heightMm: 75 }));
    expect(readQuickLine('2 x rectangle 500 x 450 x 75 boxed', 'metric')).toEqual(jasmine.objectContaining({ quantity: 2 }));
  });

  it('takes what it does not say from how the shop usually makes it, and passes over what no construction knows', () => {
    const made = (text: string, usual: ShopDocument['usual']) => {
      const reading = readQuickLine(text, 'metric', { usual });
      return reading.ok ? reading.construction : reading.code;
    };
    const ours = { boxed: { edge: 'welt', cordMm: 6 }, 'rolled-edge': { tufts: 'diamond', tuftWith: 'button', knotted: 'third' } };
    expect(made('500 x 450 x 75', ours)).toEqual({ kind: 'boxed', edge: 'welt', cordMm: 6 });
    expect(made('500 x 450 x 75 boxed plain', ours)).toEqual({ kind: 'boxed', edge: 'plain', cordMm: 6 });
    expect(made('900 x 450 x 100 mattress', ours)).toEqual(
      jasmine.objectContaining({ kind: 'rolled-edge', tufts: 'diamond', tuftWith: 'button', knotted: 'third' }),
    );
    expect(made('500 x 450 x 75', { boxed: { edge: 'feathered' } })).toEqual({ kind: 'boxed', edge: 'plain' });
  });

  it('says what it did not understand', () => {
    const problem = (text: string): string => {
      const reading = readQuickLine(text, 'inch');
      return reading.ok ? 'understood' : `${reading.code}: ${reading.about}`;
    };
    expect(problem('boxed')).toBe('no-measures: boxed');
    expect(problem('6 x 19 x 17 x 3 quilted')).toBe('words-unknown: quilted');
    expect(problem('1.5 x 19 x 17 x 3')).toBe('quantity-unclear: 1.5');
    expect(problem('6 x 19/0 x 17 x 3')).toBe('measure-unreadable: 19/0');
    expect(sayQuickProblem('words-unknown', 'quilted')).toContain('quilted');
    fc.assert(
      fc.property(fc.string(), (text) => expect(() => readQuickLine(text, 'metric')).not.toThrow()),
      { seed: 73 },
    );
  });
});

describe('an old core', () => {
  it('gets the heaviest verdict that applies, with all reasons', () => {
    const verdict = (edgeMm: number, middleMm: number, ...findings: Parameters<typeof judge>[0]['findings']) => judge({ edgeMm, middleMm, findings });
    expect(verdict(100, 95).verdict).toBe('keep');
    expect(verdict(100, 80).verdict).toBe('refresh');
    expect(verdict(100, 74).verdict).toBe('replace');
    expect(verdict(100, 80, 'joints-open').verdict).toBe('patch');
    const worst = verdict(100, 80, 'discoloured', 'mould');
    expect(worst.verdict).toBe('replace');
    expect(worst.reasons.map((reason) => reason.code)).toEqual(['old-core-mould', 'old-core-sat-out', 'old-core-discoloured']);
    expect(setOf({})).toBeNull();
    expect(sayBy(SENTENCES, worst.reasons[1]!, inWords).what).toBe('The middle has lost 20 % of the edge’s thickness.');
  });
});

describe('the work order', () => {
  it('keeps every later seam reachable: welt before band, plaque before its ends, zip open before the last seam', () => {
    const steps = planned().operations;
    const at = (id: string) => steps.findIndex((step) => step.id === id);
    for (const [before, after] of [
      ['sew/plaque', 'sew/plaque-ends'],
      ['sew/boxing-joins', 'sew/plaque-ends'],
      ['sew/welt', 'sew/welt-on'],
      ['sew/welt-on', 'sew/band-to-top'],
      ['sew/plaque-ends', 'sew/band-to-top'],
      ['sew/band-to-top', 'sew/open-zip'],
      ['sew/open-zip', 'sew/band-to-bottom'],
    ] as const) {
      expect(at(before)).withContext(before).toBeGreaterThanOrEqual(0);
      expect(at(after)).withContext(after).toBeGreaterThan(at(before));
    }
    // Each foot is put on once: the zip's for the plaque, the plain one for joins and ends, the cord's from the welt on.
    const feet = steps.flatMap(({ id, cautions }) => cautions.filter((words) => words.endsWith(' foot on.')).map((words) => `${id}: ${words}`));
    expect(feet).toEqual(['sew/plaque: Zip foot on.', 'sew/boxing-joins: Plain foot on.', 'sew/welt: Cord foot on.']);
    expect(steps[at('sew/open-zip')]!.text).toContain('Open the zip');
    expect(steps[at('sew/plaque')]!.cautions.join()).toContain('Slider on');
    expect(new Set(steps.map((step) => step.id)).size).toBe(steps.length);
  });

  it('leaves out what this cushion has not', () => {
    const bare = planned({ school: 'bare-and-oversize', wrapLoftMm: 0, construction: { kind: 'boxed', edge: 'plain', strips: 'along' } }).operations;
    expect(bare.map((step) => step.text).join()).not.toMatch(/welt|wadding for the wrap|Join the boxing/);
    expect(planned({ school: 'none' }).operations).toEqual([]);
  });
});

describe('the check', () => {
  it('measures against what was promised', () => {
    const one = planned();
    const rows = compare(one, { widthMm: 593, depthMm: 500, middleMm: 75 + 2 * one.fit!.crownMm });
    expect(rows.map((row) => [row.place, row.offMm === null ? null : Math.round(row.offMm), row.within])).toEqual([
      ['widthMm', 3, true],
      ['depthMm', 10, false],
      ['edgeMm', null, null],
      ['middleMm', 0, true],
    ]);
  });
});
