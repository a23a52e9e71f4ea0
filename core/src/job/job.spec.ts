import fc from 'fast-check';
import chest from '../../../demo/jobs/storage-chest.json';
import { judge, setOf } from '../filling/old-core';
import { compare } from '../record/check';
import { demoShop, sampleCushion, sampleJob } from '../testing/samples';
import { readJob, readJobText } from './document';
import { plan } from '../plan/plan';
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
    expect(sayBy(SENTENCES, worst.reasons[1]!, inWords).what).toBe('The middle is sat out by 20 % of the edge’s thickness.');
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
