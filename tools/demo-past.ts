// Makes the demo shop's past: twelve delivered jobs with checks over two years, and what was written by hand in its log. Run: npx tsx tools/demo-past.ts
// The checks are what cushions would measure in a shop whose wadding brings 0.84 of its loft, measured by hands to 1.6 mm, from a seed: the learning is meant to find it.
import fs from 'node:fs';
import path from 'node:path';
import { fileURLToPath } from 'node:url';
import {
  delivered,
  jobSchema,
  madeAgain,
  openShop,
  promised,
  readJob,
  seededRandom,
  shopSchema,
  type Cushion,
  type Job,
  type Plan,
  type Shop,
} from '@yardland/core';
import { planForChecks } from '@yardland/core/book';
import prettier from 'prettier';

const demo = path.join(path.dirname(fileURLToPath(import.meta.url)), '../demo');
const HIDDEN_LOFT_SHARE = 0.84;
const NOISE_MM = 1.6;
/** Dates in the demo's files count back from this day; they are moved along when the shop is seeded. */
const AS_OF = '2026-12-01';

const random = seededRandom(1912);
/** A number of the standard normal distribution (Box and Muller, 1958). */
const normal = (): number => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
const half = (mm: number): number => Math.round(mm * 2) / 2;
const daysBack = (days: number): string => new Date(Date.parse(`${AS_OF}T12:00:00Z`) - days * 86_400_000).toISOString().slice(0, 10);

const shop = openShop(shopSchema.parse(JSON.parse(fs.readFileSync(path.join(demo, 'shop.json'), 'utf8'))));
const world: Shop = openShop({ ...shop.document, calibration: { waddingLoftShare: HIDDEN_LOFT_SHARE } });

interface Past {
  readonly name: string;
  readonly customer: string;
  readonly daysAgo: number;
  readonly cloth: string;
  readonly cushions: readonly (Partial<Cushion> &
    Pick<Cushion, 'name' | 'template' | 'heightMm' | 'core'> & { readonly checked: number; readonly remarks?: readonly string[] })[];
  /** The job that it makes a cushion of once more. */
  readonly repeats?: string;
  readonly lots?: readonly (readonly [material: string, lot: string])[];
}

const box = (widthMm: number, depthMm: number): Cushion['template'] => ({ shape: 'rectangle', widthMm, depthMm });
const of = (grade: string, thicknessMm: number): Cushion['core'] => ({ layers: [{ grade, thicknessMm }] });

const PAST: readonly Past[] = [
  {
    name: 'Stalls benches, trial pair',
    customer: 'Lantern House, house manager',
    daysAgo: 706,
    cloth: 'indigo-twill',
    lots: [['wren-28', 'W28-0911']],
    cushions: [
      {
        name: 'Trial bench',
        quantity: 2,
        template: box(1480, 420),
        heightMm: 75,
        core: of('wren-28', 75),
        wrapLoftMm: 25,
        checked: 2,
        remarks: ['Corners wanted more filling; packed a hand of loose wadding into each.'],
      },
    ],
  },
  {
    name: 'Cashier’s stool',
    customer: 'Lantern House, box office',
    daysAgo: 668,
    cloth: 'moss-velvet',
    cushions: [
      {
        name: 'Stool pad',
        quantity: 1,
        template: { shape: 'round', diameterMm: 360 },
        heightMm: 50,
        core: of('heron-45-firm', 50),
        wrapLoftMm: 13,
        checked: 1,
      },
    ],
  },
  {
    name: 'Library window seat',
    customer: 'Lantern House, library',
    daysAgo: 611,
    cloth: 'meadow-jacquard',
    lots: [
      ['heron-40', 'H40-0288'],
      ['meadow-jacquard', 'R-0311'],
    ],
    cushions: [
      { name: 'Window seat, left', quantity: 1, template: box(1120, 480), heightMm: 75, core: of('heron-40', 75), wrapLoftMm: 25, checked: 1 },
      {
        name: 'Window seat, right',
        quantity: 1,
        template: box(1060, 480),
        heightMm: 75,
        core: of('heron-40', 75),
        wrapLoftMm: 25,
        checked: 1,
        remarks: ['Motif runs on across the join.'],
      },
    ],
  },
  {
    name: 'Rehearsal room chairs',
    customer: 'Lantern House, players',
    daysAgo: 560,
    cloth: 'russet-wool',
    lots: [['wren-32-firm', 'W32-0117']],
    cushions: [
      {
        name: 'Chair seat',
        quantity: 8,
        template: box(430, 420),
        heightMm: 50,
        core: of('wren-32-firm', 50),
        school: 'bare-and-oversize',
        wrapLoftMm: 13,
        checked: 3,
      },
    ],
  },
  {
    name: 'Prompt corner armchair',
    customer: 'Lantern House, stage manager',
    daysAgo: 489,
    cloth: 'moss-velvet',
    lots: [['heron-40', 'H40-0311']],
    cushions: [
      {
        name: 'Armchair seat',
        quantity: 1,
        template: box(560, 540),
        heightMm: 100,
        core: of('heron-40', 100),
        wrapLoftMm: 25,
        checked: 2,
        remarks: ['Measured again after four weeks in use.'],
      },
    ],
  },
  {
    name: 'Orchestra rail pads',
    customer: 'Lantern House, orchestra',
    daysAgo: 431,
    cloth: 'russet-wool',
    cushions: [{ name: 'Rail pad', quantity: 6, template: box(900, 220), heightMm: 50, core: of('heron-45-firm', 50), wrapLoftMm: 13, checked: 2 }],
  },
  {
    name: 'Patrons’ settee',
    customer: 'Lantern House, foyer',
    daysAgo: 377,
    cloth: 'moss-velvet',
    lots: [
      ['heron-40', 'H40-0345'],
      ['moss-velvet', 'R-1204'],
    ],
    cushions: [
      {
        name: 'Settee seat',
        quantity: 3,
        template: box(640, 620),
        heightMm: 100,
        core: of('heron-40', 100),
        wrapLoftMm: 25,
        checked: 3,
        remarks: ['Stands flatter than drawn; all three alike.'],
      },
      { name: 'Settee back', quantity: 3, template: box(620, 460), heightMm: 100, core: of('wren-22-soft', 100), wrapLoftMm: 25, checked: 2 },
    ],
  },
  {
    name: 'Wardrobe bench',
    customer: 'Lantern House, wardrobe',
    daysAgo: 318,
    cloth: 'indigo-twill',
    cushions: [
      {
        name: 'Bench seat',
        quantity: 2,
        template: box(1250, 400),
        heightMm: 50,
        core: of('wren-28', 50),
        school: 'measured-over-the-wrap',
        wrapLoftMm: 25,
        checked: 2,
      },
    ],
  },
  {
    name: 'Directors’ box chairs',
    customer: 'Lantern House, house manager',
    daysAgo: 246,
    cloth: 'meadow-jacquard',
    lots: [['heron-35', 'H35-0120']],
    cushions: [{ name: 'Box chair seat', quantity: 4, template: box(520, 500), heightMm: 75, core: of('heron-35', 75), wrapLoftMm: 25, checked: 4 }],
  },
  {
    name: 'Ticket hall bench',
    customer: 'Lantern House, front of house',
    daysAgo: 182,
    cloth: 'foyer-vinyl',
    lots: [['wren-32-firm', 'W32-0244']],
    cushions: [
      {
        name: 'Hall bench',
        quantity: 2,
        template: box(1600, 450),
        heightMm: 75,
        core: of('wren-32-firm', 75),
        wrapLoftMm: 13,
        checked: 2,
        remarks: ['Vinyl gives lengthways: 5 mm over.'],
      },
    ],
  },
  {
    name: 'Marionette workshop stools',
    customer: 'Lantern House, workshop',
    daysAgo: 117,
    cloth: 'indigo-twill',
    cushions: [
      { name: 'Stool pad', quantity: 5, template: { shape: 'round', diameterMm: 340 }, heightMm: 50, core: of('heron-40', 50), wrapLoftMm: 25, checked: 2 },
    ],
  },
  {
    name: 'Prompt corner armchair, again',
    customer: 'Lantern House, stage manager',
    daysAgo: 63,
    cloth: 'moss-velvet',
    lots: [['heron-40', 'H40-0398']],
    repeats: 'Prompt corner armchair',
    cushions: [{ name: 'Armchair seat', quantity: 1, template: box(560, 540), heightMm: 100, core: of('heron-40', 100), wrapLoftMm: 25, checked: 3 }],
  },
];

/** What a plan promises of one of its cushions. Throws an Error where it cannot be made. */
function promiseOf(plan: Plan, i: number): NonNullable<ReturnType<typeof promised>> {
  const one = plan.cushions[i];
  const promise = one && promised(one);
  if (!promise) throw new Error(`${plan.job.name}: ${one?.source.name ?? i} cannot be made`);
  return promise;
}

/** The job as it was planned, then measured as it came out in the hidden world. */
function madeIn({ name, customer, daysAgo, cloth, cushions, lots = [] }: Past): Job {
  const width = shop.cloth(cloth)?.widthMm ?? 1400;
  const bare = jobSchema.parse({
    format: 'yardland/job@4',
    name,
    customer,
    units: 'metric',
    state: 'ready',
    dueDate: daysBack(daysAgo - 2),
    cushions: cushions.map(({ checked: _checked, remarks: _remarks, ...cushion }) => ({
      quantity: 1,
      given: 'seat',
      school: 'padded-to-the-line',
      construction: { kind: 'boxed', edge: 'welt' },
      seat: { support: 'webbing', use: 'daily', place: 'indoor' },
      ...cushion,
    })),
    ...(lots.length ? { lots: lots.map(([material, lot]) => ({ material, lot, day: daysBack(daysAgo + 16) })) } : {}),
    cloth: { material: cloth, widthMm: width },
  });
  const [here, there] = [planForChecks(bare, shop), planForChecks(bare, world)];
  const measured = bare.cushions.map((cushion, i): Cushion => {
    const [promise, comes] = [promiseOf(here, i), promiseOf(there, i)];
    const stretch = cloth === 'foyer-vinyl' ? 4 : 0;
    const checks = Array.from({ length: cushions[i]?.checked ?? 0 }, (_, n) => {
      const remark = n === 0 ? cushions[i]?.remarks?.[0] : undefined;
      return {
        date: daysBack(daysAgo + 1 - (n > 0 && cushion.quantity === 1 ? 28 * n : 0)),
        widthMm: half(comes.widthMm + stretch + NOISE_MM * normal()),
        depthMm: half(comes.depthMm + NOISE_MM * normal()),
        edgeMm: half(comes.edgeMm + (NOISE_MM / 2) * normal()),
        middleMm: half(comes.middleMm + NOISE_MM * normal()),
        promised: promise,
        ...(remark ? { remark } : {}),
      };
    });
    return { ...cushion, checks };
  });
  return delivered({ ...bare, cushions: measured }, shop, daysBack(daysAgo));
}

/** What was written by hand: when, what kind, about which job (and its cushion), the words. */
const BY_HAND: readonly {
  readonly daysAgo: number;
  readonly kind: string;
  readonly job?: string;
  readonly cushion?: string;
  readonly supplier?: string;
  readonly material?: string;
  readonly text: string;
  readonly complaint?: string;
  readonly outcome?: string;
}[] = [
  { daysAgo: 720, kind: 'remark', text: 'New cutting table: 3.2 m long, so a bench of two drops lies whole.' },
  { daysAgo: 690, kind: 'remark', job: 'Stalls benches, trial pair', text: 'House manager sat on both for an hour: keep the firmer one.' },
  { daysAgo: 655, kind: 'bought', supplier: 'Fellside Foam', text: 'First sheets from them; edges square, labels on every sheet.' },
  {
    daysAgo: 602,
    kind: 'complaint',
    job: 'Library window seat',
    cushion: 'Window seat, left',
    complaint: 'does-not-fit',
    text: 'Rubs on the shutter when it is opened.',
    outcome: 'Shutter hinge stands 8 mm proud; cushion as promised. Hinge let in.',
  },
  {
    daysAgo: 548,
    kind: 'remark',
    job: 'Rehearsal room chairs',
    text: 'Two of eight were sewn with the nap turned; seen at the look, sewn again before filling.',
  },
  { daysAgo: 500, kind: 'changed', text: 'Welt cord from 5 to 4 mm for velvet: sits closer to the row.' },
  { daysAgo: 462, kind: 'remark', job: 'Prompt corner armchair', text: 'He gets up easily from 455 mm; keep that height for the next.' },
  { daysAgo: 409, kind: 'bought', material: 'moss-velvet', text: 'Asked for one batch in writing; both rolls came as one.' },
  {
    daysAgo: 350,
    kind: 'complaint',
    job: 'Patrons’ settee',
    cushion: 'Settee seat',
    complaint: 'wrinkles',
    text: 'Faces lie in soft folds after a month.',
    outcome: 'Crowns came out lower than promised. A second layer of wadding on the faces, at our cost.',
  },
  { daysAgo: 300, kind: 'remark', job: 'Wardrobe bench', text: 'Children climb on it: stitched the plaque ends twice.' },
  {
    daysAgo: 233,
    kind: 'remark',
    job: 'Directors’ box chairs',
    text: 'Motif centred on every seat took 0.4 m more than the lay said at first; kept the note in the cloth.',
  },
  { daysAgo: 170, kind: 'remark', job: 'Ticket hall bench', text: 'Vinyl warmed before it was drawn over: no lines at the corners.' },
  { daysAgo: 140, kind: 'bought', supplier: 'Fellside Foam', text: 'Heron 40 came as two lots; sent one back, the set stays one.' },
  { daysAgo: 96, kind: 'remark', text: 'Wadding from the new roll feels thinner than it is sold as. Measure crowns for a while.' },
  { daysAgo: 41, kind: 'remark', job: 'Prompt corner armchair, again', text: 'Side by side with the first: nobody can tell which is which.' },
];

const made = PAST.map(madeIn);
const jobs = made.map((job, i): Job => {
  const first = made.find(({ name }) => name === PAST[i]?.repeats);
  const repeats = first && madeAgain(first, 0, shop, { on: daysBack((PAST[i]?.daysAgo ?? 0) + 34) })?.repeats;
  return repeats ? { ...job, repeats } : job;
});
for (const job of jobs) if (!readJob(job).ok) throw new Error(`${job.name} is not as it should be`);
const write = async (file: string, value: unknown): Promise<void> => {
  const target = path.join(demo, file);
  const options = await prettier.resolveConfig(target);
  fs.writeFileSync(target, await prettier.format(JSON.stringify(value), { ...options, parser: 'json' }));
};
await write('past-jobs.json', jobs);
await write(
  'log.json',
  BY_HAND.map(({ daysAgo, ...entry }) => ({ day: daysBack(daysAgo), ...entry })),
);
console.log(
  `${jobs.length} jobs, ${jobs.flatMap(({ cushions }) => cushions.flatMap(({ checks = [] }) => checks)).length} checks, ${BY_HAND.length} entries by hand`,
);
