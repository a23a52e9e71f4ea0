import { planForChecks } from '../../record/learning/learn';
import type { Job } from '../../job/document';
import type { ShopDocument } from '../../shop/shop';
import { demoShop, sampleCushion, sampleJob } from '../../testing/samples';
import { checkSchedule } from '../request';
import { dayOf, dayRequest, standingOf, type JobToDo } from './day';
import { promiseFor, saversOf } from './promise';
import { stepsOf, type DayStep } from './steps';

const shop = demoShop();
const at = { day: '2026-12-01', time: '08:00' };
const [first, second, third] = [
  '0d2f6d3a-3b7e-4c39-9a58-5f2f6c2d7e11',
  '6a1c0c5e-93c5-4a55-8d1f-7a0f6d1f2b20',
  '9b7d1a4e-1f3c-4e6a-8a2b-3c4d5e6f7a8b',
] as const;
const ofJob = (job: Job): readonly DayStep[] => stepsOf(planForChecks(job, shop));

const WEEK = [8, 8, 8, 8, 8, 0, 0];
const one: Pick<ShopDocument, 'people' | 'day'> = {
  people: ['Ines'],
  day: { starts: '08:00', workers: { Ines: { hours: WEEK, does: ['cut', 'sew', 'fill', 'staple'] } } },
};

/** A job of bare steps, one after the other. */
function toDo(id: string, minutes: readonly number[], over: Partial<JobToDo> = {}, step: Partial<DayStep> = {}): JobToDo {
  const steps = minutes.map((long, i): DayStep => {
    const base = { id: `s${i}`, does: 'sew', needs: null, minutes: long, waitMinutes: 0, after: i ? [`s${i - 1}`] : [], splits: true, setup: null } as const;
    return { ...base, material: null, work: 'sew', inHand: false, begunBy: null, of: 'seat', operations: [], ...step };
  });
  return { id, name: id.slice(0, 2), customer: '', state: 'cutting', due: '2026-12-18', awaits: {}, steps, ...over };
}

describe('what is left to do on a job, in goes', () => {
  const job = sampleJob([sampleCushion({ name: 'A', quantity: 3 }), sampleCushion({ name: 'B', heightMm: 60 })]);

  it('has every minute of the work order that is not ticked, once', () => {
    const { cushions } = planForChecks(job, shop);
    const minutes = cushions.reduce(
      (sum, { operations, source }) => sum + operations.reduce((all, operation) => all + operation.minutes * source.quantity, 0),
      0,
    );
    const steps = ofJob(job);
    const seen = steps.flatMap(({ operations }) => operations.map(({ cushion, id }) => `${cushion} ${id}`));
    expect(new Set(seen).size).toBe(seen.length);
    expect(seen.length).toBe(cushions.reduce((sum, { operations }) => sum + operations.filter((operation) => operation.minutes > 0).length, 0));
    // Each go is told in whole minutes.
    expect(Math.abs(steps.reduce((sum, step) => sum + step.minutes, 0) - minutes)).toBeLessThan(steps.length);
  });

  it('comes after what its operations come after, and never after itself', () => {
    const { cushions } = planForChecks(job, shop);
    const steps = ofJob(job);
    const stepOf = new Map(steps.flatMap((step) => step.operations.map(({ cushion, id }) => [`${cushion} ${id}`, step.id] as const)));
    cushions.forEach(({ operations }, cushion) => {
      for (const { id, after } of operations)
        for (const before of after) {
          const [own, other] = [stepOf.get(`${cushion} ${id}`), stepOf.get(`${cushion} ${before}`)];
          if (own === undefined || other === undefined || own === other) continue;
          expect(steps.find((step) => step.id === own)!.after)
            .withContext(`${id} after ${before}`)
            .toContain(other);
        }
    });
    const request = dayRequest([{ ...toDo(first, []), steps }], one, at);
    expect(checkSchedule(request)).toEqual([]);
  });

  it('cuts cloth of the whole job in one go, and keeps what is left of a step under its name when some of it is ticked', () => {
    const steps = ofJob(job);
    const cut = steps.filter(({ material }) => material === 'cloth');
    expect(cut.length).toBe(1);
    expect(new Set(cut[0]!.operations.map(({ cushion }) => cushion))).toEqual(new Set([0, 1]));
    const [sewn] = steps.filter(({ work, operations }) => work === 'sew' && operations.length > 2);
    const ticked = { ...job, cushions: job.cushions.map((cushion) => ({ ...cushion, bench: { done: { [sewn!.operations[0]!.id]: { count: 1 } } } })) };
    const after = ofJob(ticked).find(({ id }) => id === sewn!.id);
    expect(after!.minutes).toBeLessThan(sewn!.minutes);
  });

  it('is nothing once all is ticked', () => {
    const { cushions } = planForChecks(job, shop);
    const done = (i: number) => Object.fromEntries(cushions[i]!.operations.map(({ id }) => [id, { count: job.cushions[i]!.quantity }]));
    expect(ofJob({ ...job, cushions: job.cushions.map((cushion, i) => ({ ...cushion, bench: { done: done(i) } })) })).toEqual([]);
  });
});

describe('the plan of the day', () => {
  it('takes jobs at work, by their due day, from this moment on', () => {
    const jobs = [toDo(first, [120], { due: '2026-12-10' }), toDo(second, [60], { due: '2026-12-02' }), toDo(third, [60], { state: 'new' })];
    const { steps } = dayOf(jobs, one, { day: '2026-12-01', time: '14:30' });
    expect(steps.map(({ job, parts }) => [job, ...parts.map(({ start, end }) => `${start}–${end.slice(11)}`)])).toEqual([
      [second, '2026-12-01T14:30–15:30'],
      [first, '2026-12-01T15:30–16:00', '2026-12-02T08:00–09:30'],
    ]);
  });

  it('holds what waits for foam until its day; foam of which nobody said a day is taken to come in a week, and that is said', () => {
    const waiting = toDo(first, [60], { state: 'waiting-for-foam', awaits: { foam: '2026-12-09' } }, { material: 'foam' });
    const unsaid = toDo(second, [60], { state: 'waiting-for-foam' }, { material: 'foam' });
    const { steps, jobs } = dayOf([waiting, unsaid], one, at);
    expect(steps.map(({ job, parts }) => [job, parts[0]!.start])).toEqual([
      [second, '2026-12-08T08:00'],
      [first, '2026-12-09T08:00'],
    ]);
    expect(jobs.map(({ awaits }) => awaits)).toEqual([
      [{ what: 'foam', on: '2026-12-09', assumed: false }],
      [{ what: 'foam', on: '2026-12-08', assumed: true }],
    ]);
  });

  it('keeps a step where it was put by hand, and moves the rest round it', () => {
    const jobs = [toDo(first, [120], { due: '2026-12-02' }), toDo(second, [120], { due: '2026-12-30' })];
    const pinned = { ...one, day: { ...one.day!, pins: [{ job: second, step: 's0', notBefore: '2026-12-01T09:00' }] } };
    const { steps } = dayOf(jobs, pinned, at);
    const start = (job: string): string => steps.find((step) => step.job === job)!.parts[0]!.start;
    expect([start(second), steps.find((step) => step.job === second)!.pinned]).toEqual(['2026-12-01T09:00', true]);
    expect(start(first)).toBe('2026-12-01T11:00');
    // Pinned to a person who has left: the step is still done.
    const gone = { ...one, day: { ...one.day!, pins: [{ job: second, step: 's0', person: 'Bram' }] } };
    expect(dayOf(jobs, gone, at).steps.length).toBe(2);
  });

  it('goes to the person it was given, and says where nobody does a thing', () => {
    const two = { people: ['Ines', 'Bram'], day: { starts: '08:00', workers: { Bram: { hours: WEEK, does: ['sew' as const] } } } };
    const pins = [{ job: first, step: 's0', person: 'Bram' }];
    expect(dayOf([toDo(first, [60])], { ...two, day: { ...two.day, pins } }, at).steps[0]!.person).toBe('Bram');
    const nobody = { people: ['Bram'], day: two.day };
    expect(dayOf([toDo(first, [60], {}, { does: 'staple' })], nobody, at).problems[0]!.code).toBe('schedule-nobody');
  });

  it('goes on with the plan that stands: a tick moves nothing but what then begins sooner', () => {
    const week = { hours: WEEK, does: ['cut', 'sew', 'fill', 'staple'] as ('cut' | 'sew' | 'fill' | 'staple')[] };
    const three = { people: ['Ines', 'Bram', 'Tove'], day: { starts: '08:00', workers: { Ines: week, Bram: week, Tove: week } } };
    const minutes = [95, 40, 130, 70, 25, 210, 55, 85];
    const jobs = [first, second, third].map((id, j) => toDo(id, [...minutes.slice(j), ...minutes.slice(0, j)], { due: `2026-12-0${2 + j}` }));
    const before = dayOf(jobs, three, at);
    for (const { job, step } of before.steps.filter(({ parts }) => parts[0]!.start === '2026-12-01T08:00')) {
      const left = jobs.map((one) =>
        one.id === job
          ? { ...one, steps: one.steps.filter(({ id }) => id !== step).map((each) => ({ ...each, after: each.after.filter((id) => id !== step) })) }
          : one,
      );
      const after = dayOf(left, three, { ...at, standing: standingOf(before) });
      expect(after.steps.length).toBe(before.steps.length - 1);
      for (const now of after.steps) {
        const was = before.steps.find((one) => one.job === now.job && one.step === now.step)!;
        expect(now.person).withContext(`${now.job} ${now.step}`).toBe(was.person);
        expect(now.parts[0]!.start <= was.parts[0]!.start)
          .withContext(`${now.job} ${now.step} begins later`)
          .toBeTrue();
      }
    }
  });

  it('moves what stands where that saves more lateness than an hour for each step, and not for less', () => {
    const two = {
      people: ['Ines', 'Bram'],
      day: { starts: '08:00', workers: Object.fromEntries(['Ines', 'Bram'].map((name) => [name, { hours: WEEK, does: ['sew' as const] }])) },
    };
    const standing = [first, second].map((job, i) => ({ job, step: 's0', person: 'Ines', start: `2026-12-01T${i ? '15' : '08'}:00` }));
    // Ines has both; the second would be late by 14 hours, for it ends at 14:00 on the day after it is due. Bram has nothing to do.
    const jobs = (long: number) => [toDo(first, [420], { due: '2026-12-01' }), toDo(second, [long], { due: '2026-12-01' })];
    expect(dayOf(jobs(420), two, { ...at, standing }).steps.map(({ person, job }) => [job, person])).toEqual([
      [first, 'Ines'],
      [second, 'Bram'],
    ]);
    // In time either way: whoever has it keeps it, though the other could do it sooner.
    expect(dayOf(jobs(60), two, { ...at, standing }).steps.map(({ person }) => person)).toEqual(['Ines', 'Ines']);
    // Whoever began a step ends it, late or not.
    const begun = [toDo(first, [420], { due: '2026-12-01' }), toDo(second, [420], { due: '2026-12-01' }, { begunBy: 'Ines' })];
    expect(dayOf(begun, two, { ...at, standing }).steps.find(({ job }) => job === second)!.person).toBe('Ines');
  });

  it('shows one person in a shop that has named nobody', () => {
    expect(dayOf([toDo(first, [60])], {}, at).people.map(({ name }) => name)).toEqual(['the shop']);
  });
});

describe('what can be promised', () => {
  // 40 hours of work stand before it: a week of one person.
  const full = toDo(first, [2400], { due: '2026-12-07' });

  it('is the end by the plan with half a day’s slack a week, and what holds it up', () => {
    const asked = toDo(second, [240], { state: 'new', due: null });
    const promise = promiseFor([full, asked], second, one, at)!;
    // Tuesday to Monday evening for the other; then half of Tuesday the 8th: 7.5 days and half a day of slack is Tuesday still, then the next.
    expect([promise.end, promise.alone]).toEqual(['2026-12-08T12:00', '2026-12-01T12:00']);
    expect(promise.day).toBe('2026-12-09');
    expect(promise.heldUp.map(({ by, until }) => [by, until])).toEqual([['Ines', '2026-12-07T16:00']]);
    expect(promise.pushes).toEqual([]);
  });

  it('never falls on a day on which nobody works', () => {
    const asked = toDo(second, [60], { state: 'new', awaits: { foam: '2026-12-04' }, due: null }, { material: 'foam' });
    const promise = promiseFor([asked], second, one, at)!;
    // Friday morning, and a little slack: Saturday, so Monday.
    expect([promise.end, promise.day]).toEqual(['2026-12-04T09:00', '2026-12-04']);
    expect(promise.awaits).toEqual([{ what: 'foam', on: '2026-12-04', assumed: false }]);
    const later = promiseFor([toDo(second, [60], { awaits: { foam: '2026-12-11' } }, { material: 'foam' })], second, one, at)!;
    expect([later.end, later.day]).toEqual(['2026-12-11T09:00', '2026-12-14']);
  });
});

describe('the least that saves a late job', () => {
  it('is an evening where an evening is enough, and nothing where it is not late', () => {
    // 9 hours of work due today.
    const late = toDo(first, [540], { due: '2026-12-01' });
    const [least] = saversOf([late], first, one, at);
    expect([least!.whatIf, least!.lateDays, least!.end]).toEqual([{ otherwise: [{ person: 'Ines', day: '2026-12-01', hours: 10 }] }, 0, '2026-12-01T17:00']);
    expect(saversOf([{ ...late, due: '2026-12-02' }], first, one, at)).toEqual([]);
  });

  it('is a Saturday where an evening is not enough', () => {
    const late = toDo(first, [2640], { due: '2026-12-05' });
    const [least] = saversOf([late], first, one, at);
    expect(least!.whatIf).toEqual({ otherwise: [{ person: 'Ines', day: '2026-12-05', hours: 6 }] });
    expect(least!.lateDays).toBeGreaterThanOrEqual(0);
  });
});
