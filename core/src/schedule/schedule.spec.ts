import { seededRandom } from '../kernel/random';
import { schedule, type Schedule } from './answer';
import { checkSchedule, scheduleRequestSchema, type ScheduleRequest } from './request';

type Loose = Record<string, unknown>;
const WEEK = [8, 8, 8, 8, 8, 0, 0];
const ask = (over: Loose): ScheduleRequest =>
  scheduleRequestSchema.parse({
    format: 'yardland/schedule@1',
    // A Tuesday.
    from: '2026-12-01',
    dayStarts: '08:00',
    people: [{ name: 'Ada', hours: WEEK, does: ['cut', 'sew', 'fill'] }],
    machines: { table: 1, machine: 1 },
    jobs: [],
    seconds: 0.2,
    ...over,
  });
const step = (id: string, minutes: number, over: Loose = {}): Loose => ({ id, does: 'sew', needs: null, minutes, ...over });
const job = (id: string, due: string, steps: Loose[], over: Loose = {}): Loose => ({ id, due, steps, ...over });
const partsOf = ({ steps }: Schedule, id: string): string[] =>
  steps.find((one) => one.step === id)!.parts.map(({ start, end }) => `${start.slice(5)} ${end.slice(5)}`);

/** What a plan breaks of what it was asked, looked at from its times alone. */
function broken(request: ScheduleRequest, plan: Schedule): string[] {
  const at = (time: string): number => Date.parse(`${time}:00Z`) / 60_000;
  const found: string[] = [];
  const placed = plan.steps.map((one) => ({
    ...one,
    asked: request.jobs.find(({ id }) => id === one.job)!.steps.find(({ id }) => id === one.step)!,
    start: at(one.parts[0]!.start),
    end: at(one.parts.at(-1)!.end),
  }));
  for (const one of placed) {
    const person = request.people.find(({ name }) => name === one.person)!;
    const owner = request.jobs.find(({ id }) => id === one.job)!;
    if (!person.does.includes(one.asked.does)) found.push(`${one.step}: ${one.person} does not ${one.asked.does}`);
    if (one.parts.reduce((sum, { start, end }) => sum + at(end) - at(start), 0) !== one.asked.minutes) found.push(`${one.step}: not its minutes`);
    if (one.parts.length > 1 && !one.asked.splits) found.push(`${one.step}: left`);
    one.parts.forEach(({ start, end }, i) => {
      const day = new Date(`${start.slice(0, 10)}T00:00:00Z`);
      const opens = at(`${start.slice(0, 10)}T${request.dayStarts}`);
      const closes = opens + 60 * person.hours[(day.getUTCDay() + 6) % 7]!;
      if (person.off.includes(start.slice(0, 10)) || at(start) < opens || at(end) > closes) found.push(`${one.step}: outside the hours`);
      if (i < one.parts.length - 1 && at(end) !== closes) found.push(`${one.step}: left before closing time`);
      if (i > 0 && at(start) !== opens) found.push(`${one.step}: taken up late`);
    });
    for (const ready of [owner.ready, one.asked.ready]) if (ready && one.parts[0]!.start < `${ready}T00:00`) found.push(`${one.step}: before it is ready`);
    for (const before of one.asked.after) {
      const other = placed.find((each) => each.job === one.job && each.step === before)!;
      if (one.start < other.end + other.asked.waitMinutes) found.push(`${one.step}: before ${before}`);
    }
    for (const other of placed)
      if (other !== one && other.person === one.person && one.start < other.end && other.start < one.end) found.push(`${one.step}: with ${other.step}`);
    if (one.asked.needs) {
      const together = placed.filter((each) => each.asked.needs === one.asked.needs && each.start <= one.start && each.end > one.start);
      if (together.length > request.machines[one.asked.needs]!) found.push(`${one.step}: no ${one.asked.needs} free`);
    }
  }
  if (placed.length + plan.unplaced.length !== request.jobs.reduce((sum, { steps }) => sum + steps.length, 0)) found.push('steps missing');
  for (const { id, due, weight: _weight } of request.jobs) {
    const end = Math.max(...placed.filter((one) => one.job === id).map((one) => one.end));
    if (at(plan.ends[id]!) !== end) found.push(`${id}: not its end`);
    if (Math.abs(plan.late[id]! - Math.max(0, (end - at(`${due}T00:00`) - 1440) / 1440)) > 1e-9) found.push(`${id}: not as late`);
    if (at(plan.bound[id]!) > end) found.push(`${id}: before its bound`);
  }
  return found;
}

describe('the plan of the day', () => {
  it('works within the hours, waits on the clock, leaves at closing time only what may be left', () => {
    const request = ask({
      jobs: [
        job('a', '2026-12-31', [
          step('glue', 300),
          // It rests overnight: nobody works at 18:00, and at 08:00 it has rested.
          step('wrap', 60, { after: ['glue'], does: 'fill' }),
        ]),
        job('b', '2026-12-31', [step('long', 700, { splits: true, after: [] })]),
      ],
    });
    request.jobs[0]!.steps[0]!.waitMinutes = 600;
    const plan = schedule(request);
    expect(broken(request, plan)).toEqual([]);
    expect(partsOf(plan, 'glue')).toEqual(['12-01T08:00 12-01T13:00']);
    // 13:00 and ten hours: 23:00; the next morning.
    expect(plan.steps.find((one) => one.step === 'wrap')!.parts[0]!.start >= '2026-12-02T08:00').toBeTrue();
    const whole = ask({ jobs: [job('a', '2026-12-31', [step('one', 400), step('two', 200, { after: ['one'] })])] });
    expect(partsOf(schedule(whole), 'two')).toEqual(['12-02T08:00 12-02T11:20']);
    const weekend = ask({ from: '2026-12-04', jobs: [job('a', '2026-12-31', [step('one', 700, { splits: true })])] });
    expect(partsOf(schedule(weekend), 'one')).toEqual(['12-04T08:00 12-04T16:00', '12-07T08:00 12-07T11:40']);
  });

  it('is as late as it says: days of 24 hours from the end of the due day, by weight', () => {
    // 1 Dec, 960 minutes: it ends on the 2nd at 16:00, 16 hours after the 1st is over.
    const plan = schedule(ask({ jobs: [job('a', '2026-12-01', [step('one', 480), step('two', 480, { after: ['one'] })], { weight: 3 })] }));
    expect(plan.late).toEqual({ a: 16 / 24 });
    expect(plan.lateness).toBeCloseTo(2, 9);
    expect([plan.ends, plan.bound]).toEqual([{ a: '2026-12-02T16:00' }, { a: '2026-12-02T16:00' }]);
  });

  it('shares one machine, does not hold sewing up for foam, and changes cloth as seldom as lateness allows', () => {
    const people = ['Ada', 'Ben'].map((name) => ({ name, hours: WEEK, does: ['cut', 'sew', 'fill'] }));
    const two = ask({ people, jobs: ['a', 'b'].map((id) => job(id, '2026-12-31', [step(`sew-${id}`, 120, { needs: 'machine' })])) });
    const shared = schedule(two);
    expect(broken(two, shared)).toEqual([]);
    expect(shared.steps.map(({ parts }) => parts[0]!.start.slice(11)).sort()).toEqual(['08:00', '10:00']);

    const foam = ask({ jobs: [job('a', '2026-12-10', [step('sew', 60), step('fill', 60, { does: 'fill', after: ['sew'], ready: '2026-12-03' })])] });
    expect([partsOf(schedule(foam), 'sew'), partsOf(schedule(foam), 'fill')]).toEqual([['12-01T08:00 12-01T09:00'], ['12-03T08:00 12-03T09:00']]);

    const cloths = ask({ jobs: ['red', 'blue', 'red', 'blue'].map((setup, i) => job(`j${i}`, '2026-12-31', [step(`s${i}`, 30, { setup })])) });
    expect(schedule(cloths).setups).toBe(1);
  });

  it('keeps every rule on shops at random, and gives the same plan twice', () => {
    const random = seededRandom(34);
    const pick = (below: number): number => Math.floor(random() * below);
    for (let round = 0; round < 25; round++) {
      const people = Array.from({ length: 1 + pick(4) }, (_, p) => ({
        name: `P${p}`,
        hours: [8, 8, 7.5, 8, 6, pick(2) * 4, 0],
        does: p === 0 ? ['cut', 'sew', 'fill'] : [['cut', 'sew', 'fill'][pick(3)]!, 'sew'],
        off: pick(3) ? [] : ['2026-12-03'],
      }));
      const jobs = Array.from({ length: 1 + pick(8) }, (_, j) =>
        job(
          `J${j}`,
          `2026-12-${String(1 + pick(20)).padStart(2, '0')}`,
          Array.from({ length: 1 + pick(7) }, (_, s) =>
            step(`s${s}`, 10 + pick(300), {
              does: ['cut', 'sew', 'fill'][pick(3)],
              needs: [null, 'table', 'machine'][pick(3)],
              waitMinutes: pick(3) ? 0 : pick(900),
              after: s > 0 && pick(4) ? [`s${pick(s)}`] : [],
              splits: pick(3) === 0,
              setup: [null, 'red', 'blue'][pick(3)],
              ...(pick(6) ? {} : { ready: '2026-12-04' }),
            }),
          ),
          { weight: 1 + pick(3), ...(pick(5) ? {} : { ready: '2026-12-02' }) },
        ),
      );
      const request = ask({ people, jobs, seconds: 0.05, seed: round });
      const plan = schedule(request);
      expect(broken(request, plan)).withContext(`round ${round}`).toEqual([]);
      expect(schedule(request)).toEqual(plan);
    }
  });

  it('is on small shops as little late as the best of all orders, tried out one by one on the minute', () => {
    const random = seededRandom(9);
    const pick = (below: number): number => Math.floor(random() * below);
    for (let round = 0; round < 12; round++) {
      const count = 4 + pick(3);
      const jobs = Array.from({ length: count }, (_, j) =>
        job(`J${j}`, `2026-12-0${1 + pick(3)}`, [step('s', 60 + 30 * pick(10), { does: pick(2) ? 'cut' : 'sew', needs: pick(2) ? 'machine' : null })], {
          weight: 1 + pick(4),
        }),
      );
      const people = [
        { name: 'Ada', hours: WEEK, does: ['cut', 'sew'] },
        { name: 'Ben', hours: [4, 4, 4, 4, 4, 0, 0], does: ['sew'] },
      ];
      const request = ask({ people, jobs, seconds: 0.5, seed: round });
      const plan = schedule(request);
      expect(broken(request, plan)).toEqual([]);
      const best = leastLateness(request);
      expect(plan.lateness)
        .withContext(`round ${round}`)
        .toBeLessThanOrEqual(best * 1.03 + 1e-9);
      expect(plan.lateness).toBeGreaterThanOrEqual(best - 1e-9);
    }
  });

  it('says what no plan can answer, at its place', () => {
    const codes = (over: Loose): string[] => checkSchedule(ask(over)).map(({ code, path }) => `${code} ${path}`);
    expect(codes({ jobs: [job('a', '2026-12-05', [step('one', 500)])] })).toEqual(['schedule-too-long jobs.0.steps.0.minutes']);
    expect(codes({ jobs: [job('a', '2026-12-05', [step('one', 50, { after: ['two'] }), step('two', 50, { after: ['one'] })])] })).toEqual([
      'schedule-circle jobs.0.steps',
    ]);
    expect(codes({ jobs: [job('a', '2026-12-05', [step('one', 50, { does: 'staple', needs: 'press', after: ['gone'] })])] })).toEqual([
      'schedule-after-unknown jobs.0.steps.0.after',
      'schedule-nobody jobs.0.steps.0.does',
      'schedule-no-machine jobs.0.steps.0.needs',
    ]);
  });
});

/** The least lateness of jobs of one step each: every order and every person, each step at the first whole minute at which nothing is in its way. Plain and slow. */
function leastLateness(request: ScheduleRequest): number {
  const START = 8 * 60;
  const works = (p: number, minute: number): boolean => {
    const weekday = (1 + Math.floor(minute / 1440)) % 7;
    const into = minute % 1440;
    return into >= START && into < START + 60 * request.people[p]!.hours[weekday]!;
  };
  const place = (
    busy: readonly { p: number; needs: string | null; start: number; end: number }[],
    p: number,
    minutes: number,
    needs: string | null,
  ): number => {
    for (let start = START; ; start += 30) {
      let fits = true;
      for (let m = start; m < start + minutes && fits; m += 30) fits = works(p, m) && Math.floor(m / 1440) === Math.floor(start / 1440);
      if (fits && busy.every((one) => one.end <= start || one.start >= start + minutes || (one.p !== p && (needs === null || one.needs !== needs))))
        return start;
    }
  };
  let best = Infinity;
  const visit = (left: readonly number[], busy: readonly { p: number; needs: string | null; start: number; end: number }[], lateness: number): void => {
    if (lateness >= best) return;
    if (!left.length) {
      best = lateness;
      return;
    }
    for (const j of left) {
      const { due, weight, steps } = request.jobs[j]!;
      const { minutes, does } = steps[0]!;
      const needs = steps[0]!.needs ?? null;
      request.people.forEach((person, p) => {
        if (!person.does.includes(does) || Math.max(...person.hours) * 60 < minutes) return;
        const start = place(busy, p, minutes, needs);
        const over = Math.max(0, (start + minutes - 1440 * Number(due.slice(8))) / 1440);
        visit(
          left.filter((one) => one !== j),
          [...busy, { p, needs, start, end: start + minutes }],
          lateness + weight * over,
        );
      });
    }
  };
  visit(
    request.jobs.map((_, j) => j),
    [],
    0,
  );
  return best;
}
