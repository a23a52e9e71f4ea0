import type { Cushion, Job } from '../../job/document';
import type { SalvagedZip } from '../../material/material';
import { unequalSeams } from '../../piece/seam';
import { madeAlone, plannedAlone, sizeOf } from '../../testing/covers';
import { demoShop, sampleCushion, sampleJob } from '../../testing/samples';
import { plan } from '../plan';

const ZIP: SalvagedZip = { id: 'zip-old', lengthMm: 545, colour: 'black', kind: 'closed-end', from: 'foyer bench' };
const cushion = (construction: object, over: Partial<Cushion> = {}): Cushion =>
  sampleCushion({
    given: 'finished',
    template: { shape: 'rectangle', widthMm: 600, depthMm: 500 },
    construction: construction as Cushion['construction'],
    madeForZip: ZIP,
    ...over,
  });
const openingOf = (made: ReturnType<typeof madeAlone>): number | undefined => {
  const [closing] = made.cover.closings;
  return closing?.kind === 'zip' ? Math.round(closing.opening.value * 1000) / 1000 : undefined;
};
const zipStep = (made: ReturnType<typeof madeAlone>, id: string): number[] =>
  made.operations.filter((one) => one.id === id).flatMap(({ figures }) => figures.map(({ value }) => value));
const bought = (job: Job, ware: string): number => plan(job, demoShop()).buy.find((line) => line.ware === ware)?.amount?.value ?? 0;

describe('a cover made for a salvaged zip', () => {
  it('has the opening that the zip closes: 545 less 10 at each end with its own stops, less 25 with stops sewn across', () => {
    // Plain ends, no pockets: the plaque is the opening and two seams of 13, the boxing the round of 2200 less the opening and two seams.
    const boxed = { kind: 'boxed', edge: 'plain', seamMm: 13, zipEnds: 'plain', boxing: 'strip', plaque: 'folded' };
    const made = madeAlone(cushion(boxed));
    expect(openingOf(made)).toBe(525);
    expect(sizeOf(made, 'plaque')[0]).toBe(525 + 26);
    expect(unequalSeams(made.cover.seams)).toEqual([]);
    expect(zipStep(made, 'sew/plaque')).toEqual([545]);
    expect(openingOf(madeAlone(cushion(boxed, { madeForZip: { ...ZIP, kind: 'continuous' } })))).toBe(495);
  });

  it('follows it in every construction that opens along one side', () => {
    for (const construction of [{ kind: 'knife-edge', closing: 'zip' }, { kind: 'folded-corner' }, { kind: 'rolled-edge', closing: 'zip' }]) {
      const made = madeAlone(cushion(construction, construction.kind === 'knife-edge' ? { given: 'core' } : {}));
      expect(openingOf(made)).withContext(construction.kind).toBe(525);
      expect(unequalSeams(made.cover.seams)).withContext(construction.kind).toEqual([]);
      expect(made.problems.map(({ path }) => path))
        .withContext(construction.kind)
        .not.toContain('madeForZip');
    }
    expect(openingOf(madeAlone(cushion({ kind: 'bolster' }, { template: { shape: 'round', diameterMm: 200 }, heightMm: 600, core: { layers: [] } })))).toBe(
      525,
    );
  });

  it('says so where it cannot: no zip, an opening of its own shape, a side that is too short, a core that does not go in', () => {
    const codes = (one: Cushion): string[] =>
      plannedAlone(one)
        .problems.filter(({ path }) => path === 'madeForZip')
        .map(({ code }) => code);
    expect(codes(cushion({ kind: 'boxed', edge: 'plain', closing: 'hand' }))).toEqual(['own-zip-without-zip']);
    expect(codes(cushion({ kind: 'waterfall' }))).toEqual(['own-zip-not-followed']);
    expect(codes(cushion({ kind: 'folded-corner' }, { madeForZip: { ...ZIP, lengthMm: 800 } }))).toContain('own-zip-not-followed');
    expect(codes(cushion({ kind: 'boxed', edge: 'plain' }, { madeForZip: { ...ZIP, lengthMm: 200 } }))).toEqual(['zip-too-short-for-core']);
    expect(codes(cushion({ kind: 'boxed', edge: 'plain' }, { madeForZip: { ...ZIP, lengthMm: 3000 } }))).toContain('zip-longer-than-cushion');
  });

  it('goes into the first of several, nobody else takes it, and the others are bought new tape of the same opening', () => {
    const boxed = { kind: 'boxed', edge: 'plain' };
    const shop = demoShop();
    const job = sampleJob([cushion(boxed, { quantity: 3 }), cushion(boxed, { madeForZip: undefined })], { zips: ['zip-old'] });
    const made = plan(job, { ...shop, document: { ...shop.document, zips: [ZIP] } });
    expect(made.salvaged.map(({ zip, cushion: at, copy }) => [zip.id, at, copy])).toEqual([['zip-old', 0, 0]]);
    expect(made.cushions[0]?.problems.map(({ code }) => code)).toContain('own-zip-for-one');
    // Two more of 525 + 2 × 50; the other cushion has the opening of its choices.
    const alone = bought(sampleJob([cushion(boxed, { madeForZip: undefined })]), 'zip');
    expect(bought(job, 'zip')).toBeCloseTo(2 * 625 + alone, 6);
    // One by itself needs none, even where the zip has left the shop's list.
    expect([bought(sampleJob([cushion(boxed)]), 'zip'), bought(sampleJob([cushion(boxed)]), 'slider')]).toEqual([0, 0]);
  });
});
